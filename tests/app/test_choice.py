"""Boxes to choose from in little room, and fields whose width is told in digits."""

from __future__ import annotations

from PySide6.QtGui import QFont
from PySide6.QtWidgets import QLineEdit
from pytestqt.qtbot import QtBot

from kuffin.app.widgets.choice import Choice, no_wider


def test_what_has_no_room_is_told_whole_by_the_tip(qtbot: QtBot) -> None:
    box = Choice()
    qtbot.addWidget(box)
    box.addItems(["Coolant over air, per watt <b>", "K"])
    box.resize(90, 30)
    box.grab()
    assert box.toolTip() == "<p>Coolant over air, per watt &lt;b&gt;</p>"
    box.setCurrentIndex(1)
    box.grab()
    assert box.toolTip() == ""


def test_a_field_grows_with_its_text(qtbot: QtBot) -> None:
    line = QLineEdit()
    qtbot.addWidget(line)
    no_wider(line, 6)
    before, font = line.maximumWidth(), QFont(line.font())
    font.setPointSizeF(2 * font.pointSizeF())
    line.setFont(font)
    assert 1.8 < line.maximumWidth() / before < 2.2
