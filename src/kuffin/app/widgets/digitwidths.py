"""How wide a field may be, told in digits, so that it goes with the size of its letters."""

from __future__ import annotations

from PySide6.QtCore import QEvent, QObject
from PySide6.QtWidgets import QWidget

from kuffin.app.base.guarded import guarded


@guarded
class DigitWidths(QObject):
    """Keeps a field's widths to so many digits, whatever the size of its text becomes.

    Parameters
    ----------
    least, most : float, optional
        No narrower than so many digits, where its greatest width allows for it, and no wider.
    """

    def __init__(self, field: QWidget, least: float | None = None, most: float | None = None) -> None:
        super().__init__(field)
        self._field, self._least, self._most = field, least, most
        field.installEventFilter(self)
        self._fit()

    def _fit(self) -> None:
        digit = self._field.fontMetrics().horizontalAdvance("0")
        if self._most is not None:
            self._field.setMaximumWidth(round(self._most * digit))
        if self._least is not None:
            self._field.setMinimumWidth(min(round(self._least * digit), self._field.maximumWidth()))

    def eventFilter(self, _watched: QObject, event: QEvent) -> bool:
        if event.type() == QEvent.Type.FontChange:
            self._fit()
        return False
