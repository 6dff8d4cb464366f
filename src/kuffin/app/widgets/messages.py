"""Message boxes. What stands in them is text, whoever wrote it: never markup."""

from __future__ import annotations

from PySide6.QtCore import QSize, Qt
from PySide6.QtWidgets import QDialog, QDialogButtonBox, QMessageBox, QTextBrowser, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.dialogsize import roomy

Button = QMessageBox.StandardButton
_PAGE_WIDTH = 720


@guarded
class OwnPage(QDialog):
    """A page of Kuffin's own: as high as its words, and scrolled where the screen is lower."""

    def __init__(self, title: str, markup: str, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self.setWindowTitle(title)
        self.page = QTextBrowser()
        self.page.setOpenLinks(False)
        self.page.setAccessibleName(title)
        self.page.setHtml(markup)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Ok)
        buttons.accepted.connect(self.accept)
        layout = QVBoxLayout(self)
        layout.addWidget(self.page)
        layout.addWidget(buttons)
        self.resize(self.sizeHint())

    def sizeHint(self) -> QSize:
        widest = roomy(self, _PAGE_WIDTH, 10_000)
        page = self.page.document().clone()
        page.setTextWidth(widest.width() - 60)
        high = round(page.size().height()) + 100  # with the button and the margins
        return QSize(widest.width(), min(high, widest.height()))


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
    box = OwnPage(title, markup, parent)
    box.exec()
    box.deleteLater()


def ask(parent: QWidget | None, title: str, question: str) -> bool:
    """Ask something that is answered with Yes or No."""
    box = message(parent, title, question)
    box.setIcon(QMessageBox.Icon.Question)
    box.setStandardButtons(Button.Yes | Button.No)
    box.setDefaultButton(Button.No)
    return box.exec() == Button.Yes
