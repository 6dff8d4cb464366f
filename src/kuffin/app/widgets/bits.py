"""Small pieces that every desk uses."""

from __future__ import annotations

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QFrame, QLabel, QPushButton


def rule(vertical: bool = False) -> QFrame:
    """A hairline."""
    line = QFrame()
    line.setObjectName("rule")
    if vertical:
        line.setFixedWidth(1)
    else:
        line.setFixedHeight(1)
    return line


def text(content: str = "", *, style: str | None = None, wrap: bool = True) -> QLabel:
    """A label; style is one of small, heading, big, muted, warn."""
    label = QLabel(content)
    label.setWordWrap(wrap)
    if style:
        label.setProperty(style, "true")
    return label


def link_button(content: str, name: str | None = None) -> QPushButton:
    """A button that reads as a link and takes the keyboard."""
    button = QPushButton(content)
    button.setObjectName("link")
    button.setCursor(Qt.CursorShape.PointingHandCursor)
    if name:
        button.setAccessibleName(name)
    return button
