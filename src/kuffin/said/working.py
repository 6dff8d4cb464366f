"""Show working: where a number comes from, in sentences and formulas with the figures in them."""

from __future__ import annotations

from dataclasses import dataclass, field

from kuffin.core.base.errors import CompareError
from kuffin.core.compare import Comparison, PairResult
from kuffin.core.compare.pairwords import digits_for, joined, number, pair_sentence, span
from kuffin.core.findings import KINDS
from kuffin.core.heat.normalise import School
from kuffin.core.plan.design import plan_mounts
from kuffin.core.settle import Settled
from kuffin.reading.runresult import RunResult
from kuffin.verdict.schools import MountReading, SchoolResult, scope
from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True)
class Link:
    """A way onwards: to the working of something else, or to a run."""

    label: str
    kind: str  # mount, candidate, pair, reading, samples
    key: str


@dataclass
class Working:
    """A number's working: a title, the number, lines, and links to what it was made from."""

    title: str
    answer: str
    lines: list[tuple[str, str]] = field(default_factory=list)  # (what, text)
    links: list[Link] = field(default_factory=list)
    appendix: str = ""  # only in the copied text: what is too long to show

    def as_text(self) -> str:
        """Plain text for copying."""
        told = "\n".join([self.title, self.answer, "", *[f"{a}: {b}" if a else b for a, b in self.lines]])
        return f"{told}\n\n{self.appendix}" if self.appendix else told


def mount_working(v: StudyVerdict, reading: MountReading, school: School | None = None) -> Working:
    """How a mount's reading came about, under the school in use or another one."""
    school = school or v.school
    if reading.value is None or reading.u95 is None:
        return Working(
            reading.label,
            "no reading",
            [("Why", reading.problem or "no run")],
            [Link("Open the run", "mount", str(reading.mount_id))],
        )
    out = Working(
        f"{reading.label}: {school.label.lower()}",
        f"{number(reading.value, 2)} ± {number(reading.u95, 2)} {school.unit}",
    )
    for run_id in reading.runs:
        result = v.results[run_id]
        trace = result.traces.get(school.trace)
        if school.whole and school.trace in result.whole:
            out.lines += _whole_lines(v, school, result)
        elif trace is not None:
            out.lines += _trace_lines(v, school, result, trace)
        elif school.over is None and result.window_s is not None:
            out.lines.append(
                (
                    "As read",
                    f"the plain mean of {result.names.get(school.part)} over {_minutes(result.window_s)}; nothing is taken out",
                )
            )
    if len(reading.runs) > 1:
        out.lines.append(("Mount", f"the mean of its {len(reading.runs)} runs; the mount is the unit of evidence"))
    if reading.left_out:
        out.lines.append(("Left out", reading.left_out))
    for found in v.findings.get(reading.mount_id, ()):
        out.lines.append(("Noticed", f"{found.sentence} Likely: {KINDS[found.kind].causes[0]}"))
    out.lines.append(
        (
            "What it is not",
            "the half-width here is that of one window. How far mounts of one candidate differ is another matter: "
            "a verdict's interval comes from that",
        )
    )
    for i, run_id in enumerate(reading.runs, 1):
        which = f" of run {i}" if len(reading.runs) > 1 else ""
        out.links.append(
            Link(f"The window's samples{which}, and where they come from", "samples", f"{run_id}\n{school.key}")
        )
    out.links.append(Link("Open the run", "mount", str(reading.mount_id)))
    return out


def _minutes(span_s: tuple[float, float]) -> str:
    return f"{span_s[0] / 60:.1f} to {span_s[1] / 60:.1f} min"


def _trace_lines(v: StudyVerdict, school: School, result: RunResult, t: Settled) -> list[tuple[str, str]]:
    names = result.names
    unit = "K/W" if school.per_watt else "K"
    digits = 4 if school.per_watt else 2
    fine = digits + 1  # for what is small beside the reading
    over = school.over or "air"
    divisor = names.get("power", "power")
    if school.of_coolant and "heat" in names:
        divisor = "the sum of " + names["heat"]
    lines = [
        (
            "Trace",
            f"{names.get(school.part, school.part)} less {names.get(over, over)}"
            + (f" warmed by {names['upstream']} before it" if over == "coolant" and result.warmed_k is not None else "")
            + (", the latter delayed by the loop's own time constant" if not t.fast else "")
            + (f", divided by {divisor}" + (" with the same delay" if not t.fast else "") if school.per_watt else ""),
        )
    ]
    if t.load_start_s is not None:
        lines.append(
            (
                "Load",
                f"from {t.load_start_s / 60:.1f} min" + (f", in loops of {t.period_s:.0f} s" if t.period_s else ""),
            )
        )
    if t.tau_s is not None:
        lines.append(
            (
                "Warm-up",
                f"y(t) = f + A·exp(−t/τ), fitted: τ = {t.tau_s / 60:.1f} min, "
                f"f = {number(t.final, digits)} ± {number(t.final_u95, fine)} {unit}, still to go at the end {number(t.still_to_go, fine)} {unit}",
            )
        )
    if t.by_hand:
        lines.append(
            (
                "Window",
                f"{_minutes(t.window_s)}, set by hand: mean {number(t.mean, digits)} ± {number(t.mean_u95, fine)} {unit}",
            )
        )
    elif t.settled:
        lines.append(
            (
                "Settled",
                f"from {(t.settled_at_s or 0) / 60:.1f} min: drift {number(t.drift_per_10min, fine)} ± {number(t.drift_u95, fine)} {unit} "
                f"in 10 min, inside ± {number(t.tolerance, fine)} {unit}",
            )
        )
        lines.append(
            (
                "Window",
                f"{_minutes(t.window_s)}: mean {number(t.mean, digits)} {unit}, scatter {number(t.sd, fine)} {unit}, "
                f"as good as {t.n_eff:.0f} independent samples",
            )
        )
        lines.append(
            (
                "Warm-up left",
                f"{number(t.left_in_window, fine)} {unit} on average over the window, taken off: "
                f"{number(t.mean, digits)} − ({number(t.left_in_window, fine)}) = {number(t.value, digits)} {unit}",
            )
        )
    else:
        lines.append(
            (
                "Not settled",
                f"at the end {number(abs(t.still_to_go), fine)} {unit} were still to go; the reading is the level that the warm-up "
                f"points to, f, with its wider interval",
            )
        )
    lines.append(("Half-width", f"95 %: {_half_width(t)}: ± {number(t.u95, fine)} {unit}"))
    if t.spikes:
        lines.append(("Spikes", f"{t.spikes} of {t.samples} samples were marked and left out of means"))
    if school.per_watt:
        lines.append(
            (
                "Re-based",
                f"R·P = {number(t.value, 4)} K/W × {v.reference_power_w:g} W = {number(t.value * v.reference_power_w, 2)} K, "
                "so that K/W can be read as kelvins at the study's power",
            )
        )
    if school.rebased:
        lines.append(
            (
                "Re-based",
                f"{v.reference_air_c:g} °C + {number(t.value, 2)} K = {number(v.reference_air_c + t.value, 2)} °C, "
                "as it would read in a room at that temperature",
            )
        )
    return lines


def _half_width(t: Settled) -> str:
    """What a reading's half-width is made of, which differs with how it was read."""
    if not t.by_hand and not t.settled:
        parts = [
            "what the fit leaves open about f",
            "0.15 of what is still to go",
            "a hundredth of the warm-up",
            "the tolerance's quarter",
        ]
    else:
        parts = ["the window's mean with the autocorrelation of its samples", "the tolerance's quarter"]
        if not t.by_hand and not t.fast:
            parts.append("what a second, slower part could still add")
        if not t.by_hand and t.left_in_window:
            parts.append("a third of the warm-up that was taken off")
        elif t.by_hand and t.left_in_window:
            parts.append("all of the warm-up left in it, which a window set by hand keeps")
    if t.rounding_u:
        parts.append("the steps of coarse sensors")
    return joined(parts)


def _whole_lines(v: StudyVerdict, school: School, result: RunResult) -> list[tuple[str, str]]:
    w = result.whole[school.trace]
    lines = [
        (
            "Whole-trace fit",
            "C·dT/dt = P(t) − (T − T_base(t))/R, with power and base temperature as they were measured",
        ),
        ("Stretch", f"{_minutes(w.span_s)}, from a minute after the load began; no window and no waiting"),
        ("Resistance", f"R = {number(w.resistance_k_w, 4)} ± {number(w.resistance_u95, 4)} K/W"),
    ]
    if w.tau_s is not None:
        lines.append(("Time constant", f"{number(w.tau_s / 60, 1)} min"))
    if w.bent:
        lines.append(
            ("Mind", "what the fit leaves is bent: a second, slower part is warming, and R is off by about its share")
        )
    shown = w.resistance_k_w * v.reference_power_w
    lines.append(
        ("Re-based", f"R·P = {number(w.resistance_k_w, 4)} K/W × {v.reference_power_w:g} W = {number(shown, 2)} K")
    )
    return lines


def study_working(v: StudyVerdict, sentence: str) -> Working:
    """What the verdict line rests on: every pair with the leader, and how it was judged."""
    found = v.main.comparison
    if found is None:
        return Working("So far", sentence, [("Why", v.main.why_not or "too few mounts")])
    out = Working("So far", sentence)
    best = min(found.candidates, key=lambda c: c.mean).name
    for pair in found.pairs:
        if best in {pair.a, pair.b}:
            other = pair.b if pair.a == best else pair.a
            out.lines.append((f"{best} and {other}", pair_sentence(pair, found, v.school.unit, "cooler")))
            out.links.append(Link(f"{best} and {other}: the working", "pair", f"{pair.a}\n{pair.b}"))
    out.lines.append(
        (
            "Judged by",
            f"{v.school.label.lower()}, {found.method}, {100 * found.confidence:.4g} % over all pairs together",
        )
    )
    out.lines.append(("Scope", scope(found)))
    return out


def candidate_working(v: StudyVerdict, under: SchoolResult, name: str) -> Working:
    """How a candidate's mean and interval came about."""
    found = under.comparison
    readings = under.of(name)
    unit = under.school.unit
    if found is None:
        return Working(name, "no mean yet", [("Why", under.why_not or "too few mounts")])
    c = found.candidate(name)
    out = Working(
        f"{name}: {under.school.label.lower()}", f"{number(c.mean, 2)} {unit} ({span(c.low, c.high, unit, 2)})"
    )
    used = [r for r in readings if r.left_out is None and r.value is not None]
    out.lines.append(
        (
            "Mounts",
            "; ".join(
                f"round {r.round}: {number(r.value or 0, 2)} {unit}" + ("" if r.settled else " (not settled)")
                for r in used
            ),
        )
    )
    out.lines += [("Left out", f"round {r.round}: {r.left_out}") for r in readings if r.left_out]
    rounds = "; each round counts the same" if found.rounds > 1 else ""
    out.lines.append(("Mean", f"least-squares mean of {c.mounts} mounts{rounds}"))
    if found.sd is not None:
        out.lines.append(
            (
                "Scatter",
                f"between mounts, shared by all candidates: {number(found.scatter[0], 2)} {unit} with {found.scatter[1]:g} degrees of freedom",
            )
        )
    elif c.sd is not None:
        out.lines.append(("Scatter", f"between this candidate's own mounts: {number(c.sd, 2)} {unit}"))
    out.lines.append(
        ("Interval", f"{100 * found.confidence:.4g} %, for this mean alone; pairs are judged by their own intervals")
    )
    out.lines.append(
        ("Chance of being best", f"{100 * c.p_best:.0f} %, by drawing the means from their joint t distribution")
    )
    out.links += [Link(f"Round {r.round}: its working", "reading", str(r.mount_id)) for r in readings]
    return out


def pair_working(v: StudyVerdict, under: SchoolResult, a: str, b: str) -> Working:
    """How a pair's verdict came about."""
    found = under.comparison
    if found is None:
        return Working(f"{a} and {b}", "no verdict yet", [("Why", under.why_not or "too few mounts")])
    pair = found.pair(a, b)
    unit = under.school.unit
    digits = max(2, digits_for(pair.high - pair.low))
    out = Working(f"{pair.a} and {pair.b}", pair_sentence(pair, found, unit, "cooler"))
    ca, cb = found.candidate(pair.a), found.candidate(pair.b)
    out.lines.append(
        (
            "Difference",
            f"{number(ca.mean, digits)} − {number(cb.mean, digits)} = {number(pair.difference, digits)} {unit}",
        )
    )
    out.lines.append(
        (
            "Standard error",
            f"{number(pair.se, 3)} {unit} with {pair.df:.3g} degrees of freedom, from {ca.mounts} and {cb.mounts} mounts",
        )
    )
    out.lines.append(
        (
            "Method",
            f"{found.method}, {100 * found.confidence:.4g} % over all {len(found.pairs)} pairs together: "
            f"{span(pair.low, pair.high, unit, digits)}; adjusted p = {_p(pair.p)}",
        )
    )
    if found.margin is not None:
        level = 2 * found.confidence - 1
        out.lines.append(
            (
                "The same?",
                f"the {100 * level:.3g} % interval {span(pair.narrow_low, pair.narrow_high, unit, digits)} "
                f"{'lies' if pair.verdict == 'same' else 'does not lie'} inside ± {found.margin:g} {unit}, the smallest difference that matters",
            )
        )
    if pair.verdict == "unsettled":
        out.lines += _needed_lines(found, pair)
    if found.rounds > 1:
        out.lines.append(("Rounds", "count as blocks: what a whole round had in common is taken out"))
    out.lines.append(("Scope", scope(found)))
    out.links += [Link(f"{pair.a}: its mean", "candidate", pair.a), Link(f"{pair.b}: its mean", "candidate", pair.b)]
    return out


def _needed_lines(found: Comparison, pair: PairResult) -> list[tuple[str, str]]:
    needed = "more than 99" if pair.mounts_needed is None else str(pair.mounts_needed)
    lines = [("Mounts needed", f"{needed} of each for an even chance, if difference and scatter stay as they are")]
    sd = found.scatter[0]
    try:
        plan = plan_mounts(
            len(found.candidates),
            sd,
            pair.difference,
            0.8,
            found.confidence,
            found.reference is not None,
            found.rounds > 1,
        )
        lines.append(("For a chance of 80 %", f"{plan.mounts} of each to tell them apart"))
    except CompareError:
        pass
    return lines


def _p(p: float) -> str:
    return "below 0.0001" if p < 0.0001 else f"{p:.4f}" if p < 0.1 else f"{p:.2f}"


def grid_working(label: str, under: SchoolResult) -> Working:
    """One cell of the grid of conditions: its means and all its pairs."""
    found = under.comparison
    if found is None:
        return Working(label, "no comparison", [("Why", under.why_not or "too few mounts")])
    unit = under.school.unit
    best = min(found.candidates, key=lambda c: c.mean)
    out = Working(label, f"{best.name} is coolest: {number(best.mean, 1)} {unit}")
    for c in sorted(found.candidates, key=lambda c: c.mean):
        out.lines.append((c.name, f"{number(c.mean, 2)} {unit} ({span(c.low, c.high, unit, 2)}), {c.mounts} mounts"))
    for pair in found.pairs:
        out.lines.append((f"{pair.a} and {pair.b}", pair_sentence(pair, found, "K", "cooler")))
    out.lines.append(
        ("Judged by", f"{under.school.label.lower()}, {found.method}, {100 * found.confidence:.4g} % in this cell")
    )
    out.lines.append(("Scope", scope(found)))
    return out
