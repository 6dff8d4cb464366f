"""Every label, button and picture of every page has the room that its text asks for, and no page scrolls sideways."""

from __future__ import annotations

import itertools
from collections.abc import Iterator

import pytest
from PySide6.QtCore import QPoint, QRect
from PySide6.QtWidgets import (
    QAbstractSpinBox,
    QCheckBox,
    QComboBox,
    QLabel,
    QLineEdit,
    QPushButton,
    QRadioButton,
    QScrollArea,
    QToolButton,
    QWidget,
)
from pytestqt.qtbot import QtBot

from kuffin.app.desks.inspect.atcursor import AtCursor
from kuffin.app.frame.window import MainWindow
from kuffin.app.widgets.fewlines import FewLines
from kuffin.app.widgets.paged import PagedDesk
from kuffin.app.widgets.painted import Painted
from kuffin.demo.practising import draw
from tests.app.driving import pump_until
from tests.app.paintedwords import cut_in_picture

_BUTTONS = (QPushButton, QCheckBox, QRadioButton, QToolButton)
_ON_PURPOSE = (FewLines, AtCursor)  # which show what fits, and tell the rest elsewhere


def cut_in(window: QWidget) -> Iterator[str]:
    """What is cut of all that can be seen, in words."""
    for widget in window.findChildren(QWidget):
        if not widget.isVisible():
            continue
        if isinstance(widget, Painted):
            yield from cut_in_picture(widget)
        elif isinstance(widget, QScrollArea) and widget.widget() is not None and widget.horizontalScrollBar().maximum():
            yield f"{type(widget.widget()).__name__} is {widget.horizontalScrollBar().maximum()} px too wide"
        elif isinstance(widget, FewLines) and widget.heightForWidth(widget.width()) > widget.height():
            yield f"“{widget.text()[:50]}” lacks {widget.heightForWidth(widget.width()) - widget.height()} px below"
        elif isinstance(widget, QLabel) and widget.text() and not isinstance(widget, _ON_PURPOSE):
            if widget.wordWrap():
                lacks = widget.heightForWidth(widget.width()) - widget.height()
            else:
                lacks = widget.sizeHint().width() - widget.width()
            if lacks > 2:
                yield f"“{widget.text()[:50]}” lacks {lacks} px"
        elif isinstance(widget, QLineEdit) and widget.width() < 6 * widget.fontMetrics().horizontalAdvance("0"):
            if not isinstance(widget.parentWidget(), (QComboBox, QAbstractSpinBox)):
                yield f"the field “{widget.accessibleName()}” shows next to nothing: {widget.width()} px"
        elif isinstance(widget, _BUTTONS) and widget.text() and widget.sizeHint().width() > widget.width() + 2:
            yield f"button “{widget.text()[:50]}” lacks {widget.sizeHint().width() - widget.width()} px"


def over_one_another(page: QWidget) -> Iterator[str]:
    """What of a page's words and pictures lies over others of it, in words."""
    seen = [
        (widget, QRect(widget.mapTo(page, QPoint(0, 0)), widget.size()))
        for widget in page.findChildren(QWidget)
        if isinstance(widget, (QLabel, Painted, *_BUTTONS))
        and widget.isVisible()
        and not widget.visibleRegion().isEmpty()
    ]
    for (one, a), (other, b) in itertools.combinations(seen, 2):
        both = a.intersected(b)
        if min(both.width(), both.height()) <= 2 or one.isAncestorOf(other) or other.isAncestorOf(one):
            continue
        if scrolled(one) is scrolled(other):
            yield f"{called(one)} and {called(other)} lie over one another by {both.width()} × {both.height()} px"


def scrolled(widget: QWidget) -> QWidget | None:
    """The scroll area that a widget lies in: what lies in none stands beside it."""
    at = widget.parentWidget()
    while at is not None and not isinstance(at, QScrollArea):
        at = at.parentWidget()
    return at


def called(widget: QWidget) -> str:
    """A widget in words."""
    said = widget.text() if isinstance(widget, (QLabel, *_BUTTONS)) else ""
    return f"{type(widget).__name__} “{said[:30]}”"


def cut_when_laid(qtbot: QtBot, window: MainWindow) -> list[str]:
    """What is still cut when the window has had time to lay itself out."""
    qtbot.waitUntil(lambda: not window.jobs.running, timeout=90_000)
    for _ in range(20):
        qtbot.wait(20)
        cut = list(cut_in(window))
        if not cut:
            break
    return cut


def all_pages(window: MainWindow) -> Iterator[str]:
    """Go to each page of each desk in turn."""
    for name, made in window.desks.items():
        window.show_desk(name)
        desk = made()
        paged = desk if isinstance(desk, PagedDesk) else getattr(desk, "paged", None)
        if not isinstance(paged, PagedDesk):
            yield name
            continue
        for key, title in paged.offered():
            paged.go(key)
            yield f"{name}, {title}"


@pytest.mark.parametrize(
    ("study", "scale", "sizes"),
    [
        ("Radiators, spring", 1.0, ((1280, 800), (1024, 700))),
        ("Radiators, spring", 1.25, ((1024, 700),)),
        ("Radiators, spring", 1.5, ((1280, 800),)),
        ("Blocks, late winter", 1.5, ((1024, 700),)),  # five candidates under three conditions
    ],
)
def test_nothing_is_cut_on_any_page(
    demo_window: MainWindow, qtbot: QtBot, study: str, scale: float, sizes: tuple[tuple[int, int], ...]
) -> None:
    if scale != 1.0:
        demo_window.scale_text(scale)
    notebook = demo_window.state.notebook
    assert notebook is not None
    demo_window.state.choose_study(next(s.id for s in notebook.studies() if s.name == study))
    cut: list[str] = []
    for where in all_pages(demo_window):
        for size in sizes:
            demo_window.resize(*size)
            cut += [f"{where}, {size[0]} px: {said}" for said in cut_when_laid(qtbot, demo_window)]
    assert not cut, "\n".join(cut)


def test_nothing_is_cut_while_a_run_goes_on_nor_before_nor_after(
    window: MainWindow, qtbot: QtBot, monkeypatch: pytest.MonkeyPatch
) -> None:
    window.show()
    window.scale_text(1.5)
    monkeypatch.setattr("kuffin.demo.practising.draw", lambda: draw(5, "contact"))
    window.start.practice_wanted.emit()
    pump_until(lambda: window.state.study is not None and not window.jobs.running)
    window.settings.set_value("bench", "simulated 300")
    window.run.renew()
    wrong: list[str] = []

    def look(where: str) -> None:
        for size in ((1280, 800), (1024, 700)):
            window.resize(*size)
            wrong.extend(f"{where}, {size[0]} px: {said}" for said in cut_when_laid(qtbot, window))
            wrong.extend(f"{where}, {size[0]} px: {said}" for said in over_one_another(window.run))

    look("before the run")
    window.run.ready.start.click()
    pump_until(lambda: window.running.now is not None and window.running.now.elapsed_s > 60)
    look("while it idles")
    pump_until(lambda: window.run.page.doing.key == "remount", 40)
    look("where it should be mounted again")
    window.run.page.big.click()
    pump_until(lambda: not window.running.active and not window.jobs.running)
    look("when it was stopped")
    window.run.page.big.click()
    look("what was wrong")
    assert not wrong, "\n".join(wrong)
