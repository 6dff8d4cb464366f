"""The window in another language: complete, its places filled, and what people wrote left as it is."""

from __future__ import annotations

import ast
import json
import re
import sqlite3
import string
from collections.abc import Iterator
from contextlib import closing
from pathlib import Path
from typing import Any

import pytest
from PySide6.QtCore import QCoreApplication, QLocale, Qt
from PySide6.QtGui import QAction
from PySide6.QtWidgets import QAbstractButton, QApplication, QComboBox, QLabel, QLineEdit, QTableView, QWidget
from pytestqt.qtbot import QtBot
from tools import messages

from kuffin.app.frame.window import MainWindow
from kuffin.app.look.speech import CONTEXT, LANGUAGES, chosen_language, speak_language
from kuffin.app.widgets.painted import Painted
from kuffin.app.widgets.plotparts import axes
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.base.saying import Saying, say, told
from kuffin.notebook.edits import leave_out
from kuffin.notebook.runwriter import NewMark, add_marks
from kuffin.notebook.store import Notebook
from kuffin.publish.tables import as_json
from kuffin.verdict.study import judge
from tests.app.paintedwords import painted_words
from tests.app.test_nothing_is_cut import all_pages, cut_when_laid

OURS = [name for name in LANGUAGES if name not in {"desktop", "en"}]


def places(message: str) -> list[tuple[str | None, ...]]:
    """The places of a message with the way each is written."""
    return sorted((name, spec, how) for _, name, spec, how in string.Formatter().parse(message) if name is not None)


def edges(message: str) -> tuple[str, str]:
    """The blanks around a message, by which it is put together with others."""
    return message[: len(message) - len(message.lstrip())], message[len(message.rstrip()) :]


@pytest.mark.parametrize("language", OURS)
def test_every_message_is_translated_with_its_places(language: str, qapp: QApplication) -> None:
    translated: dict[str, str] = messages.kept(messages.SPEECH / f"kuffin_{language}.ts")
    said: dict[str, Any] = messages.all_said()
    assert set(said) == set(translated), "run tools/messages.py, and translate what waits"
    for message, other in translated.items():
        assert places(message) == places(other), message
        assert edges(message) == edges(other), message
    speak_language(qapp, language)
    try:  # what is compiled is what was written
        compiled = {m: QCoreApplication.translate(CONTEXT, m) for m in said}
    finally:
        speak_language(qapp, "en")
    assert compiled == translated


def test_each_message_names_what_is_put_into_it() -> None:
    """A place without a value fails where the message is told: for an error, just when it is needed."""
    looked_at, wrong = 0, []
    for path in sorted(messages.SOURCE.rglob("*.py")):
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            name = node.func.id if isinstance(node, ast.Call) and isinstance(node.func, ast.Name) else ""
            if name not in {"tr", "say", "counted", *messages.ERRORS} or any(k.arg is None for k in node.keywords):
                continue
            told = node.args[1:3] if name == "counted" else node.args[:1]
            said = [message for argument in told for message in messages.literals(argument)]
            wanted = {place for message in said for place, *_ in places(message)} - (
                {"n"} if name == "counted" else set()
            )
            if said:
                looked_at += 1
                given = {k.arg for k in node.keywords}
                if given - {"n"} != wanted - {"n"} or (given and "n" in wanted and "n" not in given):
                    wrong.append((path.name, node.lineno, given ^ wanted))
    assert looked_at > 2000 and wrong == []


def test_numbers_are_the_languages_and_data_is_put_into_a_message_and_never_looked_up(german: None) -> None:
    assert tr("Logs of {candidate}", candidate="x") == "Logs of x"  # none of ours stays as it is
    assert plain(-1.25) == "-1,25" and axes()["left"].tickStrings([-0.5, 1.0], 1.0, 0.5) == ["−0,5", "1,0"]
    assert tr("Add logs of {candidate}", candidate="Deadline {0} &") == "Logs von Deadline {0} & hinzufügen"


def test_what_checks_found_is_told_in_german_and_kept_in_english(german: None, demo: Path) -> None:
    with closing(Notebook.open(demo)) as notebook:
        for study in notebook.studies():
            for found in judge(notebook, notebook.study(study.id)).findings.values():
                for finding in found:
                    assert isinstance(finding.said, Saying) and finding.seen == finding.said
                    assert finding.sentence.casefold() != f"{finding.seen}.".casefold()


def test_what_undo_would_take_back_is_told_in_german_and_kept_in_english(german: None, demo: Path) -> None:
    with closing(Notebook.open(demo)) as notebook:
        leave_out(notebook, 1, say("{name}, round {round}", name="Lift {0}", round=1), "fan touched the rail")
    with closing(Notebook.open(demo)) as notebook:
        label = notebook.undo_label
        assert label is not None and told(label) == "Lift {0}, Runde 1 weglassen"
        assert label == "leave out Lift {0}, round 1" == notebook.undo()
        assert told(str(notebook.redo_label)) == label  # a sentence without its places stands as it is


def test_a_word_of_a_person_that_looks_like_a_kept_sentence_stays_as_it_was_written(demo: Path) -> None:
    written = json.dumps({"message": "air", "places": {}})
    with closing(Notebook.open(demo)) as notebook:
        run = notebook.study(1).live_candidates[0].live_mounts[0].live_runs[0].id
        add_marks(notebook, run, [NewMark(at_s=1.0, kind="mark", text=written)])
    with closing(Notebook.open(demo)) as notebook:
        runs = [r for c in notebook.study(1).live_candidates for m in c.live_mounts for r in m.live_runs]
        assert [told(m.text) for r in runs if r.id == run for m in r.marks] == [written]


def test_the_language_is_the_desktops_or_as_chosen(monkeypatch: pytest.MonkeyPatch) -> None:
    for wanted, spoken in (
        (["de-AT", "de"], "de"),
        (["fr-FR", "de"], "de"),
        (["fr-FR"], "en"),
        (["en-GB", "de"], "en"),
    ):
        monkeypatch.setattr(QLocale, "uiLanguages", lambda _self, told=wanted: told)
        assert chosen_language("desktop") == spoken
    assert chosen_language("en") == "en"


def figures(told: object) -> Iterator[object]:
    """All that is no text in plain data, in order."""
    if isinstance(told, dict):
        for value in told.values():
            yield from figures(value)
    elif isinstance(told, list):
        for value in told:
            yield from figures(value)
    elif not isinstance(told, str):
        yield told


def test_a_study_is_judged_the_same_and_files_are_the_same(
    qapp: QApplication, demo_window: MainWindow, tmp_path: Path
) -> None:
    window, verdict = demo_window, demo_window.state.verdict
    assert verdict is not None
    kinds = (("everything", ".json"), ("readings", ".csv"), ("verdicts", ".csv"), ("findings", ".csv"))

    def written(language: str) -> list[bytes]:
        speak_language(qapp, language)
        try:
            paths = [tmp_path / f"{language}-{what}{ending}" for what, ending in kinds]
            for path, (what, _) in zip(paths, kinds, strict=True):
                window.studies.write_to(path, what)
            return [p.read_bytes() for p in paths]
        finally:
            speak_language(qapp, "en")

    assert written("de") == written("en")
    speak_language(qapp, "de")
    try:
        assert window.state.notebook is not None
        told = judge(window.state.notebook, verdict.evidence.study)
        german = json.loads(as_json(told, [], {}))
    finally:
        speak_language(qapp, "en")
    english = json.loads(as_json(verdict, [], {}))
    assert list(figures(german)) == list(figures(english))
    assert "nicht unterscheiden" in str(german["in_words"]) and "tell Sedge and Rush apart" in str(english["in_words"])


def shown(window: QWidget) -> Iterator[str]:
    """All that can be read in a window, but for what stands in tables and fields."""
    for widget in window.findChildren(QWidget):
        if not widget.isVisible():
            continue
        yield from (widget.toolTip(), widget.accessibleName(), widget.accessibleDescription())
        if isinstance(widget, QLabel | QAbstractButton):
            yield widget.text()
        elif isinstance(widget, QComboBox):
            yield from (widget.itemText(i) for i in range(widget.count()))
        elif isinstance(widget, QTableView):
            model = widget.model()
            yield from (str(model.headerData(i, Qt.Orientation.Horizontal) or "") for i in range(model.columnCount()))


def filled_in(window: QWidget) -> Iterator[str]:
    """What stands in the tables and fields that can be seen."""
    for widget in window.findChildren(QWidget):
        if not widget.isVisible():
            continue
        if isinstance(widget, QLineEdit):
            yield widget.text()
        elif isinstance(widget, QTableView):
            model = widget.model()
            cells = (model.index(r, c) for r in range(min(model.rowCount(), 40)) for c in range(model.columnCount()))
            yield from (str(cell.data() or "") for cell in cells)


_ENGLISH = re.compile(r"\b(the|and|of|is|are|with|from|this|which|by|not|to|its|has)\b")


def written_in(path: Path) -> list[str]:
    """Every text in a notebook that may stand in a window, the longest first."""
    with closing(sqlite3.connect(path)) as db:
        tables = [name for (name,) in db.execute("SELECT name FROM sqlite_master WHERE type = 'table'")]
        cells = {str(x) for t in tables for row in db.execute(f'SELECT * FROM "{t}"') for x in row if x is not None}
    words = {w for cell in cells for w in (cell, *re.findall(r'"((?:[^"\\]|\\.)+)"', cell)) if len(w) < 400}
    return sorted((w for w in words if _ENGLISH.search(w)), key=len, reverse=True)


def still_english(said: str, data: list[str]) -> bool:
    """Whether a text has English in it that is none of the notebook's."""
    for words in data if _ENGLISH.search(said) else ():
        said = said.replace(words, "").replace(words[:1].upper() + words[1:], "")
    return _ENGLISH.search(said) is not None


_WITH_POINT = re.compile(r"(?<![\d.])\d+\.\d+(?![\d.])")  # no date, no version
_AS_TYPED = {"1 % + 0.1 kPa"}  # an accuracy, which the demo wrote so


@pytest.mark.usefixtures("german")
def test_no_page_cuts_its_words_or_shows_any_that_are_english(
    demo_window: MainWindow, qtbot: QtBot, demo: Path
) -> None:
    window = demo_window
    window.resize(1024, 700)
    translated = {m: t for m, t in messages.kept(messages.SPEECH / "kuffin_de.ts").items() if t != m}
    own = set(translated.values())
    brought = {c.name for m in window.state.mounts() for r in m.live_runs for c in r.channels}  # as the logs call them
    kept = {f.sentence for found in window.state.verdict.findings.values() for f in found}  # in English
    left = {a.text() for a in window.findChildren(QAction)} & set(translated)
    seen, cut, data = 0, [], [str(demo), *written_in(demo)]
    for where in all_pages(window):
        cut += [f"{where}: {said}" for said in cut_when_laid(qtbot, window)]
        words = set(shown(window)) - brought
        cells = set(filled_in(window)) - brought - _AS_TYPED
        if not where.startswith("Publish"):  # the page that goes out is English
            left |= {f"{where}: {w}" for w in words | cells if _WITH_POINT.search(w) and not any(k in w for k in kept)}
            painted = {w.text for p in window.findChildren(Painted) if p.isVisible() for w in painted_words(p)}
            left |= {f"{where}: {w}" for w in words | cells | painted if still_english(w, data)}
        left |= {f"{where}: {w}" for w in words & set(translated) - own}
        seen += len(words & own)
    assert not [*cut, *sorted(left)], "\n".join([*cut, *sorted(left)])
    assert seen > 500
