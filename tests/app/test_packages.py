"""A study sent to another lab and taken in there, in the window."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

from PySide6.QtWidgets import QDialog, QMessageBox

from kuffin.app.frame.window import MainWindow
from tests.app.driving import action, choose, drop, pump_until, with_dialog
from tests.verdict.test_outcomes import made


def test_a_study_is_sent_and_taken_in_and_says_the_same(
    window: MainWindow, at_rest: Callable[[], None], tmp_path: Path
) -> None:
    made(tmp_path, names=("Tern", "Plover")).close()
    assert window.notebooks.open_path(tmp_path / "n.kuffin")
    at_rest()
    said = window.header.verdict.text()
    target = tmp_path / "sent.zip"

    def agree(dialog: QDialog) -> None:
        assert isinstance(dialog, QMessageBox) and dialog.checkBox() is not None and not dialog.checkBox().isChecked()
        dialog.button(QMessageBox.StandardButton.Ok).click()

    with_dialog(action(window, "Raw data as a package …"), agree, choose(target))
    at_rest()
    assert target.exists() and window.strip.trouble.text() == "sent.zip is written, with 6 runs"
    # dropped on the window it comes back as a study of its own
    drop(window, target)
    pump_until(lambda: len(window.state.notebook.studies()) == 2 and not window.jobs.running)
    at_rest()
    assert window.state.study.id == 2 and window.header.verdict.text() == said
    # undone like any edit; and a bad one leaves a sentence
    window.state.notebook.undo()
    at_rest()
    assert len(window.state.notebook.studies()) == 1
    target.write_bytes(b"nothing of the kind")
    drop(window, target)
    at_rest()
    assert "is no data package" in window.strip.trouble.text()
