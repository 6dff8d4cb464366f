"""Clock against temperature: boost steps, throttling, what a kelvin buys; and scores and frame times."""

from __future__ import annotations

from functools import cached_property
from typing import TYPE_CHECKING

from kuffin.app.desks.inspect.furtherpage import InsidePage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import text
from kuffin.core.compare.pairwords import number

if TYPE_CHECKING:
    from kuffin.app.widgets.boostplot import BoostPlot
    from kuffin.reading.furtherfigures import Inside


class ClockPage(InsidePage):
    """A picture, the steps lost, and what was measured of speed."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state)
        self._theme = theme
        self.heading("Clock against temperature, under load")
        self.words = text()
        self.column.addWidget(self.words)
        self.steps = FigureTable("Boost steps lost")
        self.column.addWidget(self.steps)
        self.heading("Scores and frame times")
        self.frames = FigureTable("Frame rates")
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
                else "The die went through too few degrees under load to see steps."
                if has
                else "This run has no clock channel; give one its role under Channels, or join a log that has it."
            )
            self.words.setText(f"{said} {_at_the_limit(x)}" if has and x is not None else said)
            self.steps.show_rows(("",), [])
        else:
            said = (
                f"Held in the window: {number(boost.held_mhz, 0)} MHz on average, above {number(boost.held_low_mhz, 0)} MHz 99 % of the time. "
                f"A kelvin costs {number(-boost.mhz_per_k, 1)} ± {number(1.96 * boost.mhz_per_k_se, 1)} MHz here: one kelvin cooler buys as much."
            )
            self.words.setText(f"{said} {_at_the_limit(x)}" if x is not None else said)
            rows = [
                (f"above {number(s.at_c, 1)} °C", f"{number(s.from_mhz, 0)} → {number(s.to_mhz, 0)} MHz")
                for s in boost.steps[:14]
            ]
            self.steps.show_rows(("step lost", "clock"), rows or [("no step lost", "")])
        self._show_frames()

    def _show_frames(self) -> None:
        x = self.inside
        rows = [
            (label, f"{value:g} {unit}".strip(), "", "") for label, value, unit in (x.scores if x is not None else ())
        ]
        rows += [
            (name, f"{number(f.average, 1)} /s", f"{number(f.low_percentile, 1)} /s", f"{number(f.low_average, 1)} /s")
            for name, f in (x.frames if x is not None else {}).items()
        ]
        head = (
            "",
            "score, or average rate",
            "1 % low: rate at the 99th percentile",
            "1 % low: mean of the slowest 1 %",
        )
        self.frames.show_rows(head, rows or [("none", "", "", "")])
        said = "Two things are called “1 % low”; a number without its definition cannot be compared. Join a log of frame times on the page “The run”."
        self.frame_words.setText((x.frame_problem + ". " if x is not None and x.frame_problem else "") + said)


def _at_the_limit(x: Inside) -> str:
    """What was seen of a temperature limit."""
    t = x.throttling
    if t is None:
        return "Not throttled: no clock was seen to be lost at a temperature limit."
    clock = f"{number(t.clock_free_mhz, 0)} to {number(t.clock_held_mhz, 0)} MHz"
    how = f"the clock gave way from {clock} as the coolant warmed" if t.as_coolant_warmed else f"from {clock}"
    share = f"{number(100 * t.share, 0)} % of the load"
    return f"Throttled in {share}, at {number(t.limit_c, 0)} °C, from {number(t.since_s / 60, 0)} min on: {how}."
