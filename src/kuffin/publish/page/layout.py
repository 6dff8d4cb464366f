"""How a study's page is laid out: which sections, in which order, with which words; as the notebook keeps it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any

from kuffin.publish.page.sections import SECTIONS, Section


@dataclass(frozen=True, kw_only=True)
class PageLayout:
    """The layout of a page.

    Attributes
    ----------
    order : tuple of str
        The sections' keys; those that are not in it follow in their usual order.
    switched : dict
        Sections that are on or off against what is usual.
    titles, words : dict
        A person's own, by section.
    since : dict
        What was said of the pairs that the words name when they were written, by section.
    answers : dict
        A person's answers to what a critical reader will ask.
    """

    order: tuple[str, ...] = ()
    switched: Mapping[str, bool] = field(default_factory=dict)
    titles: Mapping[str, str] = field(default_factory=dict)
    words: Mapping[str, str] = field(default_factory=dict)
    since: Mapping[str, Mapping[str, str]] = field(default_factory=dict)
    answers: Mapping[str, str] = field(default_factory=dict)

    @classmethod
    def of(cls, kept: Mapping[str, Any]) -> PageLayout:
        """As the notebook keeps it."""
        return cls(
            order=tuple(kept.get("order") or ()),
            **{k: dict(kept.get(k) or {}) for k in ("switched", "titles", "words", "since", "answers")},
        )

    @property
    def sections(self) -> list[Section]:
        """All sections in the page's order, also those that are off."""
        usual = {s.key: s for s in SECTIONS}
        chosen = [usual[k] for k in self.order if k in usual]
        return chosen + [s for s in SECTIONS if s not in chosen]

    def on(self, section: Section) -> bool:
        """Whether a section stands in the page."""
        return self.switched.get(section.key, section.usual)

    def title(self, section: Section) -> str:
        """What stands over a section."""
        return self.titles.get(section.key, "").strip() or section.title
