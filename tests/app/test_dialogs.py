"""Every menu entry that asks something really opens its dialog (none of them stood in for)."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

import pytest
from PySide6.QtCore import QMimeData, QPointF, Qt, QUrl
from PySide6.QtGui import QDropEvent
from PySide6.QtWidgets import QDialog
from pytestqt.qtbot import QtBot

from kuffin.app.dialogs.newstudy import NewStudy
from kuffin.app.frame.window import MainWindow
from kuffin.reading.comparedguess import guess_compared
from tests.app.driving import action, choose, shown_words, with_dialog

Wait = Callable[[], None]


@pytest.mark.parametrize(
    ("entry", "title"),
    [
        ("New notebook …", "New notebook"),
        ("Open …", "Open a notebook"),
        ("Save a copy as …", "Save a copy as"),
        ("Write the demo's logs …", "Write the demo's logs into"),
        ("Bin …", "Bin"),
        ("Start a study …", "Start a study"),
        ("Change the study …", "Change the study"),
        ("Add logs …", "Add logs"),
        ("Readings as CSV …", "Write out"),
        ("Picture as SVG …", "Write out"),
        ("Keys", "Keys"),
        ("Caution at the bench", "Caution at the bench"),
        ("About Kuffin", "About Kuffin"),
    ],
)
def test_the_entry_opens_its_dialog_and_nothing_happens_on_cancel(
    demo_window: MainWindow, at_rest: Wait, entry: str, title: str
) -> None:
    before = demo_window.state.notebook
    assert with_dialog(action(demo_window, entry), QDialog.reject) == [title]
    at_rest()
    assert demo_window.state.notebook is before
    assert demo_window.strip.trouble.text() == ""


@pytest.mark.parametrize("entry", ["Keys", "Caution at the bench"])
def test_help_fits_a_low_screen(window: MainWindow, entry: str) -> None:
    sizes: list[int] = []

    def measure(dialog: QDialog) -> None:
        sizes.append(dialog.sizeHint().height())
        dialog.reject()

    with_dialog(action(window, entry), measure)
    assert len(sizes) == 1 and 100 < sizes[0] < 720


def test_a_notebook_is_made_a_study_started_and_its_numbers_written_out(
    demo_window: MainWindow, at_rest: Wait, tmp_path: Path
) -> None:
    w = demo_window
    with_dialog(action(w, "Readings as CSV …"), choose(tmp_path / "out.csv"))
    assert (tmp_path / "out.csv").read_text().startswith("candidate,mount,round")
    with_dialog(action(w, "Save a copy as …"), choose(tmp_path / "copy.kuffin"))
    with_dialog(action(w, "New notebook …"), choose(tmp_path / "mine.kuffin"))
    at_rest()
    assert w.state.notebook is not None
    assert w.state.notebook.path.name == "mine.kuffin"
    assert w.pages.currentWidget() is w.start

    def fill(dialog: QDialog) -> None:
        assert isinstance(dialog, NewStudy)
        dialog.question.setText("Which paste?")
        dialog.candidates.setPlainText("Chalk\nMarl")
        dialog.kind.setCurrentIndex(dialog.kind.findData("paste"))
        dialog.accept()

    with_dialog(action(w, "Start a study …"), fill)
    at_rest()
    assert w.header.question.text() == "Which paste?"
    with_dialog(action(w, "Open …"), choose(tmp_path / "copy.kuffin"))
    at_rest()
    assert "Sedge is ahead so far" in w.header.verdict.text()


def test_logs_are_chosen_in_a_dialog(demo_window: MainWindow, at_rest: Wait, tmp_path: Path, qtbot: QtBot) -> None:
    path = tmp_path / "sedge_round9.csv"
    path.write_text(
        "Time,Die [°C]\n" + "".join(f"2026-03-04 10:{i // 60:02d}:{i % 60:02d},{40 + i % 3}\n" for i in range(200))
    )
    with_dialog(action(demo_window, "Add logs …"), choose(path))
    at_rest()
    dialog = demo_window.importer.dialog
    assert dialog is not None
    assert (dialog.logs[0].candidate, dialog.logs[0].mount.round) == ("Sedge", 9)
    dialog.reject()


def test_logs_dropped_on_the_first_page_lead_to_a_notebook_a_study_and_a_verdict(
    window: MainWindow, at_rest: Wait, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    from kuffin.demo.scenario import write_logs

    write_logs(tmp_path / "logs")
    steps: list[str] = []

    def study(dialog: QDialog) -> None:
        assert isinstance(dialog, NewStudy)
        steps.append("study")
        assert dialog.names() == ["Bulrush", "Reed", "Rush", "Sedge"] and dialog.missing.text() == ""
        assert "bulrush" in shown_words(dialog) and "are added when the study has begun" in shown_words(dialog)
        assert str(tmp_path / "bench notebook.kuffin") in shown_words(dialog)
        dialog.question.setText("Which radiator?")
        dialog.candidates.setPlainText("Sedge\nReed\nBulrush\nRush")
        dialog.accept()

    monkeypatch.setattr("kuffin.app.acts.notebooks.documents", lambda: tmp_path)
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(tmp_path / "logs"))])
    drop = QDropEvent(
        QPointF(400, 400), Qt.DropAction.CopyAction, data, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
    )
    with_dialog(lambda: window.dropEvent(drop), study)
    at_rest()
    assert steps == ["study"] and window.state.notebook is not None
    assert window.state.notebook.path == tmp_path / "bench notebook.kuffin"
    dialog = window.importer.dialog
    assert dialog is not None
    dialog.accept()
    at_rest()
    assert window.state.verdict is not None
    assert window.state.verdict.mounts == 12
    assert window.header.verdict.text().startswith("So far, after twelve mounts: Sedge runs the coolant")


@pytest.mark.parametrize(
    ("names", "head", "kind", "says"),
    [
        (
            ("c1", "c2"),
            "Time,DIMM [°C],Room [°C]",
            "memory cooler",
            "By their channels memory coolers can be compared.",
        ),
        (("paste_a", "paste_b"), "Time,Die [°C],Water in [°C]", "paste", "By their names they are of pastes."),
        (
            ("a", "b"),
            "Time,Die [°C],Water in [°C]",
            "block",
            "By their channels water blocks, pastes and pads can be compared.",
        ),
        (("Chalk 1", "Marl 1"), "Time,x", "paste", "The shelf has pastes of these names."),
    ],
)
def test_what_is_compared_is_proposed_from_the_logs_that_wait_and_stays_as_chosen(
    demo_window: MainWindow,
    at_rest: Wait,
    tmp_path: Path,
    qtbot: QtBot,
    names: tuple[str, ...],
    head: str,
    kind: str,
    says: str,
) -> None:
    rows = "".join(f"2026-03-04 10:{i // 60:02d}:{i % 60:02d}{',40.5' * head.count(',')}\n" for i in range(120))
    paths = []
    for name in names:
        paths.append(str(tmp_path / f"{name}.csv"))
        Path(paths[-1]).write_text(f"{head}\n{rows}")

    def seen(dialog: QDialog) -> None:
        assert isinstance(dialog, NewStudy)
        qtbot.waitUntil(lambda: dialog.guessed.text() == says)
        assert dialog.key() == kind and dialog.guessed.isVisible()
        assert dialog.missing.text() == ""  # what is proposed is not typed
        dialog.kind.setFocus()
        qtbot.keyClicks(dialog.kind, "fans")
        own = dialog.key()
        dialog.take_guess(guess_compared(["memory", "room"], []))
        assert dialog.key() == own
        dialog.reject()

    demo_window.studies.pending = paths
    with_dialog(demo_window.studies.new_study, seen)
    at_rest()
