"""Small pieces that every desk uses."""

from __future__ import annotations

import html
from typing import Any

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QKeyEvent, QMouseEvent, QResizeEvent, QShowEvent
from PySide6.QtWidgets import QFormLayout, QFrame, QLabel, QLayout, QPushButton, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.core.base.language import tr

_LEAST_DIGITS = 12  # of a field in a form


def rule(vertical: bool = False) -> QFrame:
    """A hairline."""
    line = QFrame()
    line.setObjectName("rule")
    if vertical:
        line.setFixedWidth(1)
    else:
        line.setFixedHeight(1)
    return line


@guarded
class Text(QLabel):
    """A label that shows its text as it is: what a person or a file brings is never markup, opens nothing, runs nothing.

    All labels are of this kind; a test finds any that is not. One that wraps keeps the height that its lines take: a page that is
    too high scrolls, rather than cutting them.
    """

    def __init__(self, content: str = "") -> None:
        super().__init__()
        self.setTextFormat(Qt.TextFormat.PlainText)
        self.setText(content)

    def setText(self, content: str) -> None:
        super().setText(content)
        self._keep_height()

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._keep_height()

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self._keep_height()

    def _keep_height(self) -> None:
        if not self.hasHeightForWidth():
            return
        self.setMinimumHeight(0)  # which the height that is asked for would not go below
        if self.isVisible():
            self.setMinimumHeight(max(self.heightForWidth(self.width()), 0))


class Form(QFormLayout):
    """Fields with their labels before them, as they are; above them where both have no room side by side."""

    def __init__(self, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self.setRowWrapPolicy(QFormLayout.RowWrapPolicy.WrapLongRows)

    def addRow(self, *row: Any) -> None:
        if len(row) == 2 and isinstance(row[0], str):
            label = Text(row[0])
            if isinstance(row[1], QWidget):
                label.setBuddy(row[1])
                if not isinstance(row[1], QLabel):  # rather below its label than so narrow that one sees nothing in it
                    DigitWidths(row[1], least=_LEAST_DIGITS)
            row = (label, row[1])
        super().addRow(*row)


def plain_tip(content: str) -> str:
    """Text for a tool tip, which would take markup for markup."""
    return f"<p>{html.escape(content).replace(chr(10), '<br>')}</p>" if "<" in content else content


def no_keys(content: str) -> str:
    """Text for a button or a menu entry, where a single ``&`` would make a key of the letter after it."""
    return content.replace("&", "&&")


def no_fields(content: str) -> str:
    """Text for a label in a plot, whose library takes what stands in braces for a field to be filled in."""
    return content.replace("{", "{{").replace("}", "}}")


def text(content: str = "", *, style: str | None = None, wrap: bool = True) -> QLabel:
    """A label; style is one of small, heading, big, muted, warn."""
    label = Text(content)
    label.setWordWrap(wrap)
    if style:
        label.setProperty(style, "true")
    return label


@guarded
class Opener(Text):
    """A sentence that opens its working: with a click, or with Enter or F1 while it has the focus."""

    opened = Signal()

    def __init__(self) -> None:
        super().__init__()
        self.setWordWrap(True)
        self.setIndent(0)
        self.setFocusPolicy(Qt.FocusPolicy.TabFocus)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        self.setToolTip(tr("Click, or F1: show the working"))

    def mousePressEvent(self, _event: QMouseEvent) -> None:
        self.opened.emit()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_F1}:
            self.opened.emit()
        else:
            super().keyPressEvent(event)


def link_button(content: str, name: str | None = None) -> QPushButton:
    """A button that reads as a link and takes the keyboard."""
    button = QPushButton(no_keys(content))
    button.setObjectName("link")
    button.setCursor(Qt.CursorShape.PointingHandCursor)
    if name:
        button.setAccessibleName(name)
    return button


def empty(layout: QLayout) -> None:
    """Take all widgets out of a layout, and away."""
    while layout.count():
        item = layout.takeAt(0)
        widget = item.widget() if item is not None else None
        if widget is not None:
            widget.hide()  # deleted only later, and until then it would be seen where it was
            widget.deleteLater()
