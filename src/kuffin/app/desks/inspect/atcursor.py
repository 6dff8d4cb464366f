"""What every channel reads at the cursor, on two lines that stay as high as they are."""

from __future__ import annotations

from PySide6.QtCore import Qt

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.texts import Text


@guarded
class AtCursor(Text):
    """It never asks for more room: the traces above it would jump with each reading."""

    def __init__(self) -> None:
        super().__init__()
        self.setProperty("small", "true")
        self.setWordWrap(True)
        self.setFixedHeight(34)
        self.setAlignment(Qt.AlignmentFlag.AlignTop)

    def hasHeightForWidth(self) -> bool:
        return False
