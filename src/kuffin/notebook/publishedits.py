"""Edits of a study's page: its sections, a person's own words in them, answers to what will be asked."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

from kuffin.core.base.saying import say
from kuffin.notebook.entities import Study
from kuffin.notebook.store import Notebook


def _change(notebook: Notebook, study_id: int, label: str, key: str, value: Any) -> None:
    with notebook.edit(label) as session:
        study = session.get_one(Study, study_id)
        study.published = {**study.published, key: value}


def order_sections(notebook: Notebook, study_id: int, order: Sequence[str]) -> None:
    """Put the sections into an order."""
    _change(notebook, study_id, "reorder the page's sections", "order", list(order))


def switch_section(notebook: Notebook, study_id: int, key: str, title: str, on: bool) -> None:
    """Let a section stand in the page, or not."""
    kept = dict(notebook.study(study_id).published.get("switched") or {})
    label = (
        say("show “{title}” in the page", title=title) if on else say("leave “{title}” out of the page", title=title)
    )
    _change(notebook, study_id, label, "switched", {**kept, key: on})


def entitle_section(notebook: Notebook, study_id: int, key: str, title: str) -> None:
    """Give a section a title of one's own; blank: the usual one."""
    kept = dict(notebook.study(study_id).published.get("titles") or {})
    _change(notebook, study_id, "rename a section", "titles", _with(kept, key, title.strip()))


def write_words(notebook: Notebook, study_id: int, key: str, words: str, since: Mapping[str, str]) -> None:
    """Keep a person's own words for a section.

    Parameters
    ----------
    since : mapping
        What is said now of each pair that the words name: words that it no longer bears out are marked later.
    """
    published = notebook.study(study_id).published
    with notebook.edit("write words for the page") as session:
        study = session.get_one(Study, study_id)
        study.published = {
            **study.published,
            "words": _with(dict(published.get("words") or {}), key, words.strip()),
            "since": _with(dict(published.get("since") or {}), key, dict(since) if words.strip() else {}),
        }


def answer_question(notebook: Notebook, study_id: int, key: str, answer: str) -> None:
    """Keep a person's answer to what a critical reader will ask; blank takes it back."""
    kept = dict(notebook.study(study_id).published.get("answers") or {})
    _change(notebook, study_id, "answer a reader's question", "answers", _with(kept, key, answer.strip()))


def _with(kept: dict[str, Any], key: str, value: Any) -> dict[str, Any]:
    """A table with an entry, or without it where that is blank."""
    rest = {k: v for k, v in kept.items() if k != key}
    return {**rest, key: value} if value else rest
