"""A table that is shown anew: the figure that has the focus keeps it, and opens what stands there now."""

from __future__ import annotations

from PySide6.QtWidgets import QPushButton
from pytestqt.qtbot import QtBot

from kuffin.app.widgets.figuretable import FigureTable
from tests.app.driving import shown_words


def test_figures_that_change_keep_the_focus_and_open_what_stands_there_now(qtbot: QtBot) -> None:
    table, opened = FigureTable("Figures"), []
    qtbot.addWidget(table)
    head = ("candidate", "die")
    table.show_rows(head, [("Reed", "40.1 K"), ("Rush", "–")], opens={1: lambda r: opened.append(("before", r))})
    table.show()
    (figure,) = table.findChildren(QPushButton)
    figure.setFocus()
    table.show_rows(head, [("Rush & Co", "38.2 K"), ("Reed", "–")], opens={1: lambda r: opened.append(("now", r))})
    assert table.findChildren(QPushButton) == [figure] and table.focusWidget() is figure
    assert "Rush & Co: 38.2 K" in figure.accessibleName() and figure.text() == "38.2 K"
    figure.click()
    assert opened == [("now", 0)]
    # another shape is laid out anew, and nothing of the old stays to be seen
    table.show_rows(head, [("Rush", "38.2 K"), ("Reed", "41.0 K")], opens={1: lambda r: opened.append(("then", r))})
    qtbot.wait(10)
    figures = [b for b in table.findChildren(QPushButton) if b.isVisible()]
    assert [b.text() for b in figures] == ["38.2 K", "41.0 K"] and "–" not in shown_words(table)
    figures[1].click()
    assert opened[-1] == ("then", 1)
    table.show_rows(
        head, [("a much longer name than there was", "38.2 K"), ("Reed", "41.0 K")], opens={1: opened.append}
    )
    assert table.minimumSizeHint().width() > 0 and "a much longer name" in shown_words(table)
