"""Boxes to choose from in little room, fields whose width is told in digits, dialogs that stay on the screen."""

from __future__ import annotations

from PySide6.QtGui import QFont
from PySide6.QtWidgets import QDialog, QLineEdit
from pytestqt.qtbot import QtBot

from kuffin.app.look.theme import USUAL_POINTS
from kuffin.app.widgets.choice import Choice
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.app.widgets.messages import OwnPage


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
    DigitWidths(line, most=8.5)
    before, font = line.maximumWidth(), QFont(line.font())
    font.setPointSizeF(2 * font.pointSizeF())
    line.setFont(font)
    assert 1.8 < line.maximumWidth() / before < 2.2


def test_a_dialog_grows_with_its_text_and_stays_on_the_screen(qtbot: QtBot) -> None:
    dialog = QDialog()
    qtbot.addWidget(dialog)
    screen, usual = dialog.screen().availableSize(), QFont(dialog.font())
    for times in (1.0, 1.5):
        usual.setPointSizeF(times * USUAL_POINTS)
        dialog.setFont(usual)
        open_at(dialog, 300, 200)
        assert (dialog.width(), dialog.height()) == (300 * times, 200 * times)
    open_at(dialog, 5000, 5000)
    assert dialog.width() < screen.width() and dialog.height() < screen.height()
    page = OwnPage("Keys", "".join(f"<p>Line {i}</p>" for i in range(200)))
    qtbot.addWidget(page)
    page.show()
    assert page.height() < screen.height() and page.page.verticalScrollBar().maximum() > 0  # the rest is scrolled to
