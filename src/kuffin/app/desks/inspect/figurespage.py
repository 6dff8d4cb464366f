"""The run's figures: the reading by window and whole trace, its uncertainty, idle, spread and extremes."""

from __future__ import annotations

from kuffin.app.desks.inspect.furtherpage import InsidePage
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import Opener, no_keys, text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.units import shown
from kuffin.core.compare.pairwords import number
from kuffin.reading.runresult import RunResult
from kuffin.said.figurewords import budget_working, maximum_words, whole_sentence, whole_working
from kuffin.said.working import trace_working
from kuffin.verdict.budget import Budget, budget_of
from kuffin.verdict.study import StudyVerdict

_STEPS = (("coolant_over_air", mark("coolant over air")), ("die_over_coolant", mark("die over coolant")))


class FiguresPage(InsidePage):
    """Tables, each with the sentence that says what it is for."""

    def __init__(self, state: State) -> None:
        super().__init__(state)
        self.heading(tr("The reading, two ways"))
        self.ways = FigureTable(tr("The reading by window and by the whole trace"))
        self.ways_words = text(style="small")
        self.column.addWidget(self.ways)
        self.column.addWidget(self.ways_words)
        self.heading(tr("What makes its uncertainty"))
        self.budget = FigureTable(tr("Uncertainty budget"))
        self.advice = Opener()
        self.advice.opened.connect(self._explain_budget)
        self.column.addWidget(self.budget)
        self.column.addWidget(self.advice)
        self.heading(tr("Idle"))
        self.idle = FigureTable(tr("Idle readings"))
        self.idle_words = text(style="small")
        self.column.addWidget(self.idle)
        self.column.addWidget(self.idle_words)
        self.heading(tr("Spread and extremes"))
        self.extremes = FigureTable(tr("Spread and extremes"))
        self.extremes_words = text(style="small")
        self.column.addWidget(self.extremes)
        self.column.addWidget(self.extremes_words)
        self.column.addStretch()
        self._found: Budget | None = None

    def show_run(self) -> None:
        verdict, mount, run = self.state.verdict, self.mount(), self.run()
        if verdict is None or mount is None or run is None or run.id not in verdict.results:
            return
        result = verdict.results[run.id]
        self._show_ways(verdict, result)
        self._show_budget(verdict, mount.id, result)
        self._show_idle()
        self._show_extremes()

    def _show_ways(self, verdict: StudyVerdict, result: RunResult) -> None:
        power = verdict.reference_power_w
        rows = []
        for key, label in ((key, tr(label)) for key, label in _STEPS):
            trace = result.traces.get(f"{key}_per_watt") or result.traces.get(key)
            if trace is None:
                window, when = tr("not to be had"), ""
            else:
                own = result.power_for(key.split("_")[0]) or power
                scale = power if f"{key}_per_watt" in result.traces else power / own
                window = f"{number(trace.value * scale, 2)} ± {number(trace.u95 * scale, 2)} K"
                state = (
                    tr("by the clock")
                    if result.window_by == "clock"
                    else tr("by hand")
                    if trace.by_hand
                    else tr("settled")
                    if trace.settled
                    else tr("heading for")
                )
                when = tr(
                    "{state}, {begin} to {end} min",
                    state=state,
                    begin=number(trace.window.span_s[0] / 60, 0),
                    end=number(trace.window.span_s[1] / 60, 0),
                )
            whole, tau = "…", ""
            if self.inside is not None:
                fit = self.inside.whole.get(key)
                whole = f"{whole_sentence(fit, power)}" + (" (bent)" if fit.bent else "") if fit is not None else "–"
                tau = f"τ {number(fit.tau_s / 60, 1)} min" if fit is not None and fit.tau_s else ""
            rows.append((label, whole, window, tau, when))
        head = ("", tr("whole trace"), tr("window"), "", tr("at {power} W", power=number(power, 0)))
        self.ways.show_rows(head, rows, words=True, opens={1: self._explain_way, 2: self._explain_window})
        problems = [] if self.inside is None else list(dict.fromkeys(self.inside.whole_problem.values()))
        said = tr(
            "The whole-trace fit uses power and air as they were measured, so a drifting room or "
            "a short run does it little harm. "
        )
        self.ways_words.setText(said + "".join(f"Not fitted: {p}. " for p in problems))

    def _show_budget(self, verdict: StudyVerdict, mount_id: int, result: RunResult) -> None:
        reading = next((r for r in verdict.temperature.readings if r.mount_id == mount_id), None)
        self._found = budget_of(verdict, reading, result, self.bench()) if reading is not None else None
        b = self._found
        if b is None:
            self.budget.show_rows(("",), [(tr("There is no reading to make a budget of."),)])
            self.advice.setText("")
            return
        total, apart = b.absolute.u**2 or 1.0, b.difference.u**2 or 1.0
        means = {"yes": tr("cancels"), "scales": tr("scales with it"), "no": tr("counts twice")}
        rows = [
            (
                s.name,
                f"{number(s.contribution, 3)} {b.unit}",
                f"{number(100 * s.contribution**2 / total, 0)} %",
                means[s.cancels],
                f"{number(c.contribution, 3)} {b.unit}",
                f"{number(100 * c.contribution**2 / apart, 0)} %",
            )
            for s, c in zip(b.sources, b.compared, strict=True)
        ]
        rows.append(
            (
                tr("all together (U95)"),
                f"± {number(b.absolute.half_width, 2)} {b.unit}",
                "",
                "",
                f"± {number(b.difference.half_width, 2)} {b.unit}",
                "",
            )
        )
        if b.between_mounts is not None:
            rows.append(
                (
                    tr("scatter between mounts (U95)"),
                    "",
                    "",
                    tr("decides a verdict"),
                    f"± {number(b.between_mounts, 2)} {b.unit}",
                    "",
                )
            )
        head = (
            tr("source"),
            tr("in the value, u"),
            tr("share"),
            tr("between candidates"),
            tr("in a difference, u"),
            tr("share"),
        )
        self.budget.show_rows(head, rows, opens=dict.fromkeys((1, 4), lambda _row: self._explain_budget()))
        self.advice.setText(no_keys(f"{b.advice} ›"))

    def _show_idle(self) -> None:
        x = self.inside
        rows = (
            []
            if x is None
            else [
                (i.name, f"{number(i.mean, 0 if abs(i.mean) >= 1000 else 1)} {shown(i.unit)}", number(i.scatter, 2))
                for i in x.idle
            ]
        )
        self.idle.show_rows(
            ("", tr("last 3 min before the load"), tr("scatter")),
            rows or [(tr("no idle before the load") if x is not None else "…", "", "")],
        )
        said = ""
        if x is not None and x.rest_k is not None:
            said = tr(
                "Coolant over air that no heat explains: {rest_k} K. It should be near 0; a probe's "
                "offset or warm air at the intake shows here.",
                rest_k=number(x.rest_k, 2),
            )
        self.idle_words.setText(said)

    def _show_extremes(self) -> None:
        x = self.inside
        rows = []
        for name, e in ({} if x is None else x.extremes).items():
            rows.append(
                (
                    name,
                    f"{number(e.mean, 1)} °C",
                    f"{number(e.scatter, 1)} K",
                    f"{number(e.one_percent, 1)} °C",
                    f"{number(e.highest, 1)} °C",
                )
            )
        if x is not None and x.spread_k is not None:
            rows.append((tr("hottest less coolest"), f"{number(x.spread_k, 1)} K", "", "", ""))
        head = (tr("in the window"), tr("mean"), tr("scatter"), tr("exceeded 1 % of the time"), tr("highest seen"))
        self.extremes.show_rows(
            head, rows or [(tr("no die, hot spot, memory or regulator") if x is not None else "…", "", "", "", "")]
        )
        first = next(iter(x.extremes.items()), None) if x is not None else None
        self.extremes_words.setText(maximum_words(first[0], first[1], "°C") if first is not None else "")

    # --- workings --------------------------------------------------------------------------------------------------

    def _explain_window(self, row: int) -> None:
        verdict, mount = self.state.verdict, self.state.mount()
        if verdict is None or mount is None:
            return
        key = _STEPS[row][0]
        result = next((verdict.results[r.id] for r in mount.live_runs if r.id in verdict.results), None)
        trace = f"{key}_per_watt" if result is not None and f"{key}_per_watt" in result.traces else key
        told = trace_working(verdict, mount.id, trace)
        if told is not None:
            self.working.emit(told)

    def _explain_way(self, row: int) -> None:
        key = _STEPS[row][0]
        if self.inside is not None and key in self.inside.whole and self.state.verdict is not None:
            self.working.emit(whole_working(key, self.inside.whole[key], self.state.verdict.reference_power_w))

    def _explain_budget(self) -> None:
        mount = self.mount()
        if self._found is not None and mount is not None:
            self.working.emit(
                budget_working(
                    self._found,
                    tr(
                        "{name}, round {round}: what makes its uncertainty",
                        name=mount.candidate.name,
                        round=mount.round,
                    ),
                )
            )
