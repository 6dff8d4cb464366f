"""Out of the window: a study sent to another lab and taken in there, its tables for a spreadsheet and a page."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

import pytest
from openpyxl import load_workbook
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QApplication, QDialog, QMessageBox, QTableWidget

from kuffin.app.frame.window import MainWindow
from tests.app.driving import action, choose, drop, pump_until, shown_words, with_dialog
from tests.publish.test_otherpackage import about, packed
from tests.verdict.test_outcomes import made


@pytest.fixture
def two_blocks(window: MainWindow, at_rest: Callable[[], None], tmp_path: Path) -> MainWindow:
    made(tmp_path, names=("Tern", "Plover")).close()
    assert window.notebooks.open_path(tmp_path / "n.kuffin")
    at_rest()
    return window


def test_a_study_is_sent_and_taken_in_and_says_the_same(
    two_blocks: MainWindow, at_rest: Callable[[], None], tmp_path: Path
) -> None:
    window = two_blocks
    said = window.header.verdict.text()
    target = tmp_path / "sent.zip"

    def agree(dialog: QDialog) -> None:
        assert isinstance(dialog, QMessageBox) and dialog.checkBox() is not None and not dialog.checkBox().isChecked()
        dialog.button(QMessageBox.StandardButton.Ok).click()

    with_dialog(action(window, "Raw data as a package …"), agree, choose(target))
    at_rest()
    assert target.exists() and window.strip.trouble.text() == f"Written: sent.zip with 6 runs, in {target.parent}"
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


def test_its_tables_are_pasted_and_opened_in_a_spreadsheet(
    two_blocks: MainWindow, at_rest: Callable[[], None], tmp_path: Path
) -> None:
    window = two_blocks
    action(window, "Copy the table, to paste")()
    data = QApplication.clipboard().mimeData()
    assert "<table>" in data.html() and data.text().startswith("Which block?") and "| Plover |" in data.text()
    with_dialog(action(window, "Tables as a spreadsheet …"), choose(tmp_path / "t.xlsx"))
    assert load_workbook(tmp_path / "t.xlsx")["Pairs"]["B3"].value in {"Tern", "Plover"}


def test_another_programs_package_is_looked_at_like_logs(
    two_blocks: MainWindow, at_rest: Callable[[], None], tmp_path: Path
) -> None:
    package = packed(tmp_path / "theirs.zip", about())
    drop(two_blocks, package)
    pump_until(lambda: two_blocks.importer.dialog is not None)
    assert "another program's: one table to be read like logs" in two_blocks.strip.trouble.text()
    dialog = two_blocks.importer.dialog
    assert "run one" in shown_words(dialog) or "run one" in "".join(
        item.text() for item in dialog.findChildren(QTableWidget)[0].findItems("run one", Qt.MatchFlag.MatchContains)
    )
    dialog.reject()
    at_rest()
    assert len(two_blocks.state.notebook.studies()) == 1
