"""How large a dialog opens: it grows with the text, and stays on the screen."""

from __future__ import annotations

from PySide6.QtCore import QSize
from PySide6.QtWidgets import QDialog

from kuffin.app.look.theme import USUAL_POINTS

_EDGE = 48  # px of the screen that a dialog leaves, for its frame too


def roomy(dialog: QDialog, width: int, height: int) -> QSize:
    """So many px at the usual size of text; more with larger text, and no more than the screen has."""
    zoom, room = dialog.font().pointSizeF() / USUAL_POINTS, dialog.screen().availableSize()
    return QSize(min(round(width * zoom), room.width() - _EDGE), min(round(height * zoom), room.height() - _EDGE))


def open_at(dialog: QDialog, width: int, height: int) -> None:
    """Let a dialog open at a size, told in px at the usual size of text."""
    dialog.resize(roomy(dialog, width, height))
