"""Driving a window as a person does: menus, dialogs, drops, cells of tables."""

from __future__ import annotations

import time
from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import QMimeData, QPointF, Qt, QTimer, QUrl
from PySide6.QtGui import QDropEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import (
    QApplication,
    QComboBox,
    QDialog,
    QFileDialog,
    QInputDialog,
    QLabel,
    QLineEdit,
    QPushButton,
    QTableWidget,
    QWidget,
)

from kuffin.app.frame.window import MainWindow

Answer = Callable[[QDialog], None]


def shown_words(widget: QWidget) -> str:
    """All that labels and buttons within a widget say to a person who looks at it."""
    said = [w.text() for w in [*widget.findChildren(QLabel), *widget.findChildren(QPushButton)] if w.isVisible()]
    return "\n".join(said)


def with_dialog(do: Callable[[], object], *answers: Answer) -> list[str]:
    """Do something that opens a modal dialogs one after the other, and answer them; returns their titles."""
    seen: list[str] = []

    def look(tries: int = 200) -> None:
        dialog = QApplication.activeModalWidget()
        if isinstance(dialog, QDialog):
            seen.append(dialog.windowTitle())
            if len(seen) < len(answers):
                QTimer.singleShot(20, lambda: look(200))
            answers[len(seen) - 1](dialog)
        elif tries:
            QTimer.singleShot(20, lambda: look(tries - 1))

    QTimer.singleShot(0, look)
    do()
    return seen


def action(window: MainWindow, text: str) -> Callable[[], None]:
    for menu in window.menuBar().actions():
        stack = [menu]
        while stack:
            entry = stack.pop()
            if entry.menu() is not None:
                stack += entry.menu().actions()  # type: ignore[attr-defined]
            elif entry.text() == text:
                return entry.trigger
    raise AssertionError(f"no menu entry “{text}”")


def choose(path: Path) -> Callable[[QDialog], None]:
    def answer(dialog: QDialog) -> None:
        assert isinstance(dialog, QFileDialog)
        line = dialog.findChild(QLineEdit, "fileNameEdit")
        assert line is not None
        line.setText(str(path))
        dialog.accept()

    return answer


def type_in(written: str) -> Answer:
    """Answer a dialog that asks for a line of text, or for one of several."""

    def answer(dialog: QDialog) -> None:
        assert isinstance(dialog, QInputDialog)
        box = dialog.findChild(QComboBox)
        if box is not None:
            box.setCurrentText(written)
        else:
            dialog.setTextValue(written)
        dialog.accept()

    return answer


def write_cell(table: QTableWidget, row: int, column: int, written: str) -> None:
    """Write into a cell with the keyboard, or choose from its list."""
    table.setCurrentCell(row, column)
    table.editItem(table.item(row, column))
    QTest.qWait(10)
    editor = table.findChild(QComboBox) or table.findChild(QLineEdit)
    assert editor is not None, "the cell cannot be written into"
    if isinstance(editor, QComboBox):
        place = editor.findText(written)
        assert place >= 0, f"{written} is not among {[editor.itemText(i) for i in range(editor.count())]}"
        editor.setCurrentIndex(place)
        editor.activated.emit(place)
    else:
        editor.selectAll()
        QTest.keyClicks(editor, written)
        QTest.keyClick(editor, Qt.Key.Key_Return)
    QTest.qWait(10)


def drop(target: QWidget, *paths: Path) -> None:
    """Drop files on a widget."""
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(p)) for p in paths])
    event = QDropEvent(
        QPointF(target.rect().center()),
        Qt.DropAction.CopyAction,
        data,
        Qt.MouseButton.LeftButton,
        Qt.KeyboardModifier.NoModifier,
    )
    target.dropEvent(event)


def press(parent: QWidget, words: str) -> None:
    """Click the button that says something."""
    from PySide6.QtWidgets import QAbstractButton

    found = [b for b in parent.findChildren(QAbstractButton) if b.text() == words and b.isVisibleTo(parent)]
    assert found, f"no button “{words}”"
    QTest.mouseClick(found[0], Qt.MouseButton.LeftButton)


def give(line: QLineEdit, written: str) -> None:
    """Write into a line, in the place of what stands there, and press Enter."""
    line.setFocus()
    line.selectAll()
    QTest.keyClicks(line, written)
    QTest.keyClick(line, Qt.Key.Key_Return)


def pump_until(true: Callable[[], object], seconds: float = 40.0) -> None:
    """Let the window work until something is so; unlike qWait, it lets the recorder's threads have their turn."""
    end = time.monotonic() + seconds
    while not true():
        assert time.monotonic() < end, "it did not come to that"
        QApplication.processEvents()
        time.sleep(0.005)


def renewed(path: Path) -> Path:
    """Make another recording of a log: the same one counts only once in a study."""
    lines = path.read_text(encoding="utf-8").split("\n")
    for i in range(40, 60):
        first, *rest = lines[i].split(",")
        lines[i] = ",".join([first, *(f"{float(c) + 0.01:.4g}" if c else c for c in rest)])
    path.write_text("\n".join(lines), encoding="utf-8")
    return path
