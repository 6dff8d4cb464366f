"""A box to choose from that ends in an ellipsis what it has no room for."""

from __future__ import annotations

from PySide6.QtCore import QSize, Qt
from PySide6.QtGui import QPaintEvent
from PySide6.QtWidgets import QComboBox, QStyle, QStyleOptionComboBox, QStylePainter, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.texts import plain_tip

_LEAST_DIGITS = 14


@guarded
class Choice(QComboBox):
    """The box. What is cut is told whole by its tip."""

    def __init__(self, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToContents)  # also for what it offers later

    def minimumSizeHint(self) -> QSize:
        """Little: what has no room is ended in an ellipsis."""
        hint = super().minimumSizeHint()
        return QSize(min(hint.width(), _LEAST_DIGITS * self.fontMetrics().horizontalAdvance("0")), hint.height())

    def paintEvent(self, _event: QPaintEvent) -> None:
        painter, option = QStylePainter(self), QStyleOptionComboBox()
        try:
            self.initStyleOption(option)
            parts = QStyle.ComplexControl.CC_ComboBox, option, QStyle.SubControl.SC_ComboBoxEditField
            room, metrics = self.style().subControlRect(*parts, self).width(), painter.fontMetrics()
            whole = option.currentText
            if metrics.horizontalAdvance(whole) > room + 2:
                option.currentText = metrics.elidedText(whole, Qt.TextElideMode.ElideRight, room)
            if not self.isEditable() and (self.toolTip() or option.currentText != whole):
                self.setToolTip(plain_tip(whole) if option.currentText != whole else "")
            painter.drawComplexControl(QStyle.ComplexControl.CC_ComboBox, option)
            painter.drawControl(QStyle.ControlElement.CE_ComboBoxLabel, option)
        finally:
            painter.end()
