"""A number one types or steps through: decimal comma and point are both taken for what they are, whatever the desktop's language."""

from __future__ import annotations

import re

from PySide6.QtGui import QValidator
from PySide6.QtWidgets import QAbstractSpinBox, QDoubleSpinBox, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.core.base.language import written
from kuffin.core.base.numbers import typed_number

_TYPED = re.compile(r"[-−+]?\d*[.,]?\d*")


def pad(box: QAbstractSpinBox) -> None:
    """Give a number as much room before it as a line of text has."""
    box.lineEdit().setTextMargins(5, 0, 2, 0)


@guarded
class NumberSpin(QDoubleSpinBox):
    """Shown with the desktop's decimal sign. Qt's own takes “1.5” for 15 where the point parts thousands; here nothing does."""

    def __init__(self, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        pad(self)

    def _bare(self, text: str) -> str:
        return (
            text.removeprefix(self.prefix())
            .removesuffix(self.suffix())
            .strip()
            .removesuffix(self.suffix().strip())
            .strip()
        )

    def validate(self, text: str, pos: int) -> tuple[QValidator.State, str, int]:
        state, bare = QValidator.State, self._bare(text)
        if bare == self.specialValueText() != "":
            return state.Acceptable, text, pos
        if not _TYPED.fullmatch(bare):
            return state.Invalid, text, pos
        if not any(c.isdigit() for c in bare):
            return state.Intermediate, text, pos
        inside = self.minimum() <= self.valueFromText(text) <= self.maximum()
        return state.Acceptable if inside else state.Intermediate, text, pos

    def valueFromText(self, text: str) -> float:
        try:
            return typed_number(self._bare(text))
        except ValueError:  # its special text, or nothing yet
            return self.minimum() if self.specialValueText() else self.value()

    def textFromValue(self, value: float) -> str:
        return written(f"{value:.{self.decimals()}f}").replace(".", self.locale().decimalPoint())
