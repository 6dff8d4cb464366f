"""Message boxes. What stands in them is text, whoever wrote it: never markup."""

from __future__ import annotations

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QMessageBox, QWidget

Button = QMessageBox.StandardButton


def message(parent: QWidget | None, title: str, words: str) -> QMessageBox:
    """A box that is not shown yet."""
    box = QMessageBox(parent)
    box.setWindowTitle(title)
    box.setTextFormat(Qt.TextFormat.PlainText)
    box.setText(words)
    return box


def tell(parent: QWidget | None, title: str, words: str) -> None:
    """Say something that must be read before one goes on."""
    message(parent, title, words).exec()


def tell_meanwhile(parent: QWidget | None, title: str, words: str) -> None:
    """Say something that must be read, while all else goes on."""
    box = message(parent, title, words)
    box.setIcon(QMessageBox.Icon.Warning)
    box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
    box.open()


def own_page(parent: QWidget | None, title: str, markup: str) -> None:
    """Show a page of Kuffin's own, the only one with markup: nothing that a person or a file brings may come in."""
    box = message(parent, title, "")
    box.setTextFormat(Qt.TextFormat.RichText)
    box.setText(markup)
    box.exec()


def ask(parent: QWidget | None, title: str, question: str) -> bool:
    """Ask something that is answered with Yes or No."""
    box = message(parent, title, question)
    box.setIcon(QMessageBox.Icon.Question)
    box.setStandardButtons(Button.Yes | Button.No)
    box.setDefaultButton(Button.No)
    return box.exec() == Button.Yes
