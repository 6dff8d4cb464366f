"""Clock against temperature: boost steps, throttling, what a kelvin buys; and scores and frame times."""

from __future__ import annotations

from functools import cached_property
from typing import TYPE_CHECKING

from kuffin.app.desks.inspect.furtherpage import InsidePage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.compare.pairwords import number

if TYPE_CHECKING:
    from kuffin.app.widgets.boostplot import BoostPlot
    from kuffin.reading.furtherfigures import Inside


class ClockPage(InsidePage):
    """A picture, the steps lost, and what was measured of speed."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state)
        self._theme = theme
        self.heading(tr("Clock against temperature, under load"))
        self.words = text()
        self.column.addWidget(self.words)
        self.steps = FigureTable(tr("Boost steps lost"))
        self.column.addWidget(self.steps)
        self.heading(tr("Scores and frame times"))
        self.frames = FigureTable(tr("Frame rates"))
        self.frame_words = text(style="small")
        self.column.addWidget(self.frames)
        self.column.addWidget(self.frame_words)
        self.column.addStretch()

    @cached_property
    def plot(self) -> BoostPlot:
        """The picture; made when first needed, as the plotting library is slow to import."""
        from kuffin.app.widgets.boostplot import BoostPlot

        plot = BoostPlot(self._theme)
        self.column.insertWidget(1, plot)
        return plot

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        if "plot" in self.__dict__:
            self.plot.set_theme(theme)

    def show_run(self) -> None:
        x, run = self.inside, self.run()
        boost = x.boost if x is not None else None
        self.plot.show_boost(boost)
        if boost is None:
            has = run is not None and any(c.role == "clock" for c in run.channels)
            said = (
                "…"
                if x is None
                else tr("The die went through too few degrees under load to see steps.")
                if has
                else tr("This run has no clock channel; give one its role under Channels, or join a log that has it.")
            )
            self.words.setText(f"{said} {_at_the_limit(x)}" if has and x is not None else said)
            self.steps.show_rows(("",), [])
        else:
            said = tr(
                "Held in the window: {held} MHz on average, above {low} MHz 99 % of the time. A "
                "kelvin costs {cost} ± {spread} MHz here: one kelvin cooler buys as much.",
                held=number(boost.held_mhz, 0),
                low=number(boost.held_low_mhz, 0),
                cost=number(-boost.mhz_per_k, 1),
                spread=number(1.96 * boost.mhz_per_k_se, 1),
            )
            self.words.setText(f"{said} {_at_the_limit(x)}" if x is not None else said)
            rows = [
                (tr("above {at_c} °C", at_c=number(s.at_c, 1)), f"{number(s.from_mhz, 0)} → {number(s.to_mhz, 0)} MHz")
                for s in boost.steps[:14]
            ]
            self.steps.show_rows((tr("step lost"), tr("clock")), rows or [(tr("no step lost"), "")])
        self._show_frames()

    def _show_frames(self) -> None:
        x = self.inside
        rows = [
            (label, f"{plain(value)} {unit}".strip(), "", "")
            for label, value, unit in (x.scores if x is not None else ())
        ]
        rows += [
            (name, f"{number(f.average, 1)} /s", f"{number(f.low_percentile, 1)} /s", f"{number(f.low_average, 1)} /s")
            for name, f in (x.frames if x is not None else {}).items()
        ]
        head = (
            "",
            tr("score, or average rate"),
            tr("1 % low: rate at the 99th percentile"),
            tr("1 % low: mean of the slowest 1 %"),
        )
        self.frames.show_rows(head, rows or [(tr("none"), "", "", "")])
        said = tr(
            "Two things are called “1 % low”; a number without its definition cannot be "
            "compared. Join a log of frame times on the page “The run”."
        )
        self.frame_words.setText((x.frame_problem + ". " if x is not None and x.frame_problem else "") + said)


def _at_the_limit(x: Inside) -> str:
    """What was seen of a temperature limit."""
    t = x.throttling
    if t is None:
        return tr("Not throttled: no clock was seen to be lost at a temperature limit.")
    clock = tr(
        "{clock_free_mhz} to {clock_held_mhz} MHz",
        clock_free_mhz=number(t.clock_free_mhz, 0),
        clock_held_mhz=number(t.clock_held_mhz, 0),
    )
    how = (
        tr("the clock gave way from {clock} as the coolant warmed", clock=clock)
        if t.as_coolant_warmed
        else tr("from {clock}", clock=clock)
    )
    share = tr("{share} % of the load", share=number(100 * t.share, 0))
    return tr(
        "Throttled in {share}, at {limit_c} °C, from {since_s} min on: {how}.",
        share=share,
        limit_c=number(t.limit_c, 0),
        since_s=number(t.since_s / 60, 0),
        how=how,
    )
