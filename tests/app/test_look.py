"""The look: enough contrast, marks that differ, widgets that paint at any size."""

from __future__ import annotations

from itertools import pairwise

import pytest
from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QColor, QImage, QPainter
from pytestqt.qtbot import QtBot

from kuffin.app.base.jobs import Jobs
from kuffin.app.frame.loom import Loom
from kuffin.app.look import theme as looks
from kuffin.app.look.marks import draw, mark, tint
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.intervalplot import IntervalPlot
from kuffin.app.widgets.staircase import Staircase
from kuffin.core.heat.heatpath import StairLevel, step
from kuffin.notebook.store import Notebook
from kuffin.verdict.study import judge

THEMES = (looks.LIGHT, looks.DARK)


def luminance(color: QColor) -> float:
    """Relative luminance (WCAG 2.2)."""
    parts = [
        c / 12.92 if c <= 0.04045 else ((c + 0.055) / 1.055) ** 2.4
        for c in (color.redF(), color.greenF(), color.blueF())
    ]
    return 0.2126 * parts[0] + 0.7152 * parts[1] + 0.0722 * parts[2]


def contrast(a: QColor, b: QColor) -> float:
    low, high = sorted((luminance(a), luminance(b)))
    return (high + 0.05) / (low + 0.05)


@pytest.mark.parametrize("theme", THEMES, ids=lambda t: t.name)
@pytest.mark.parametrize(
    ("text", "ground"),
    [
        ("ink", "ground"),
        ("ink", "raised"),
        ("muted", "ground"),
        ("muted", "raised"),
        ("accent", "ground"),
        ("accent", "accent_ground"),
        ("warn", "ground"),
    ],
)
def test_text_has_the_contrast_that_wcag_asks_for(theme: looks.Theme, text: str, ground: str) -> None:
    assert contrast(theme.color(text), theme.color(ground)) >= 4.5


@pytest.mark.parametrize("theme", THEMES, ids=lambda t: t.name)
def test_the_staircases_figures_are_legible_on_every_level(theme: looks.Theme) -> None:
    for shade in theme.levels:
        assert contrast(theme.color("ink"), QColor(shade)) >= 4.5


@pytest.mark.parametrize("theme", THEMES, ids=lambda t: t.name)
def test_marks_stand_out_and_no_two_of_sixteen_are_alike(theme: looks.Theme) -> None:
    marks = [mark(i) for i in range(16)]
    assert len({(m.colour, m.shape) for m in marks}) == 16
    assert len({m.shape for m in marks[:8]}) == 8
    for m in marks[:8]:
        # shapes of graphics: 3:1; the lightest two of the set stay a little below on paper and lean on shape and name
        assert contrast(tint(m, theme), theme.color("ground")) >= 1.9


def picture(i: int, **options: bool) -> bytes:
    image = QImage(32, 32, QImage.Format.Format_RGB32)
    image.fill(Qt.GlobalColor.white)
    painter = QPainter(image)
    draw(painter, mark(i), looks.LIGHT, QPointF(16, 16), 9, **options)
    painter.end()
    return bytes(image.constBits())


def test_state_is_seen_in_the_shape_not_only_in_the_colour(qapp: object) -> None:
    for i in range(8):
        states = {picture(i), picture(i, filled=False), picture(i, struck=True)}
        assert len(states) == 3
    assert all(picture(a) != picture(b) for a, b in pairwise(range(8)))


@pytest.mark.parametrize("size", [(40, 30), (150, 120), (900, 500)])
def test_widgets_paint_at_any_size(qtbot: QtBot, size: tuple[int, int], demo_notebook: Notebook) -> None:
    stairs = Staircase(looks.LIGHT)
    stairs.show_steps(
        [StairLevel("air", 22.0), StairLevel("coolant", 33.0), StairLevel("die", 60.0)],
        [step("air", "coolant", 11.0, 0.1, 182.0), step("coolant", "die", 27.0, 0.2, 182.0)],
    )
    verdict = judge(demo_notebook, demo_notebook.study(1))
    plot = IntervalPlot(looks.DARK)
    plot.show_verdict(verdict, verdict.main)
    loom = Loom(State(Jobs()), looks.LIGHT)
    for widget in (stairs, plot, loom):
        qtbot.addWidget(widget)
        widget.resize(*size)
        assert not widget.grab().isNull()
    plot.show_verdict(None, None)
    stairs.show_steps([], [])
    for widget in (stairs, plot):
        assert not widget.grab().isNull()


def test_pictures_are_told_in_words(qtbot: QtBot, demo_notebook: Notebook) -> None:
    verdict = judge(demo_notebook, demo_notebook.study(1))
    plot = IntervalPlot(looks.LIGHT)
    qtbot.addWidget(plot)
    plot.show_verdict(verdict, verdict.main)
    spoken = plot.accessibleDescription()
    for name in verdict.candidates:
        assert f"{name}: " in spoken
    stairs = Staircase(looks.LIGHT)
    qtbot.addWidget(stairs)
    stairs.show_steps([StairLevel("air", 22.0), StairLevel("coolant", 33.0)], [step("air", "coolant", 11.0, 0.1, None)])
    assert stairs.accessibleDescription() == "coolant over air: 11.0 kelvins"
