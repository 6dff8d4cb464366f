"""Show working: where a number comes from, in sentences and formulas with the figures in them."""

from __future__ import annotations

from dataclasses import replace

from kuffin.core.base.errors import CompareError
from kuffin.core.base.leads import VERDICT, ToCandidate, ToMount, ToPair, ToSamples, Where
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare import Comparison, PairResult
from kuffin.core.compare.claims import Claimed
from kuffin.core.compare.pairwords import best_of, digits_for, joined, number, pair_said, span
from kuffin.core.compare.whichisbest import which_is_best
from kuffin.core.compare.worked import apart, candidate_mean, pair_difference
from kuffin.core.findings import KINDS
from kuffin.core.heat.normalise import SCHOOLS, School
from kuffin.core.plan.design import plan_mounts
from kuffin.core.settle import Settled
from kuffin.reading.runresult import RunResult
from kuffin.said.shownworking import Link, Working
from kuffin.said.whatnextwords import as_good_words
from kuffin.verdict.outcomes import MountReading, OutcomeResult, scope
from kuffin.verdict.partfacts import fact_of
from kuffin.verdict.study import StudyVerdict


def mount_working(
    v: StudyVerdict, reading: MountReading, outcome: Outcome | None = None, condition: str | None = None
) -> Working:
    """How a mount's reading came about, by the outcome that the verdict is about or another one."""
    outcome = outcome or v.outcome
    if reading.worked is None:
        out = Working(title=reading.label, answer="no reading")
        out.say("Why", reading.problem or "no run")
        out.links.append(Link("Open the run", ToMount(reading.mount_id)))
        return out
    out = Working.of(f"{reading.label}: {outcome.label.lower()}", reading.worked)
    for run_id in reading.runs:
        result = v.results[run_id].at(condition) or v.results[run_id]
        trace = result.traces.get(outcome.trace) if isinstance(outcome, School) else None
        if trace is not None and isinstance(outcome, School) and not outcome.whole:
            out.say_all(_trace_remarks(outcome, result, trace))
    if len(reading.runs) > 1:
        out.say("Mount", "the mean of its runs; the mount is the unit of evidence")
    if reading.left_out:
        out.say("Left out", reading.left_out)
    for found in v.findings.get(reading.mount_id, ()):
        out.say("Noticed", f"{found.sentence} Likely: {KINDS[found.kind].causes[0]}")
    if reading.typed:
        out.say("Typed", "figures read off a screen or a meter by a person, not recorded")
    out.say(
        "What it is not",
        f"the half-width here is that of {'these figures' if reading.typed else 'one window'}. How far mounts of one candidate differ is another matter: "
        "a verdict's interval comes from that",
    )
    sampled = (isinstance(outcome, School) or outcome.role) and not reading.typed
    for i, run_id in enumerate(reading.runs if sampled else (), 1):
        which = f" of run {i}" if len(reading.runs) > 1 else ""
        link = Link(
            f"The window's samples{which}, and where they come from", ToSamples(run_id, Where(outcome.key, condition))
        )
        out.links.append(link)
    out.links.append(Link("Open the run", ToMount(reading.mount_id)))
    return out


def trace_working(v: StudyVerdict, mount_id: int, trace: str) -> Working | None:
    """The working of a mount's reading of a trace, as the school that is read from it shows it; None without a mount."""
    school = next(s for s in SCHOOLS.values() if s.trace == trace and not s.rebased)
    reading = next((r for r in v.readings_of(school) if r.mount_id == mount_id), None)
    return None if reading is None else mount_working(v, reading, school)


def _trace_remarks(school: School, result: RunResult, t: Settled) -> list[tuple[str, str]]:
    """What the judged trace is, and how it settled, in words."""
    names = result.names
    over = school.over or "air"
    divisor = names.get("power", "power")
    if school.of_coolant and "heat" in names:
        divisor = "the sum of " + names["heat"]
    told = [
        (
            "Trace",
            f"{names.get(school.part, school.part)} less {names.get(over, over)}"
            + (f" warmed by {names['upstream']} before it" if over == "coolant" and result.warmed_k is not None else "")
            + (", the latter delayed by the loop's own time constant" if not t.fast else "")
            + (f", divided by {divisor}" + (" with the same delay" if not t.fast else "") if school.per_watt else ""),
        )
    ]
    unit, fine = school.trace_unit, school.trace_digits + 1
    if t.load.start_s is not None:
        loops = f", in loops of {t.load.period_s:.0f} s" if t.load.period_s else ""
        told.append(("Load", f"from {t.load.start_s / 60:.1f} min{loops}"))
    if t.warm_up.tau_s is not None:
        told.append(
            (
                "Warm-up",
                f"time constant {t.warm_up.tau_s / 60:.1f} min; still to go at the end {number(t.level.to_go, fine)} "
                f"± {number(t.level.to_go_u95, fine)} {unit}",
            )
        )
    if t.settled and not t.by_hand:
        told.append(
            (
                "Settled",
                f"from {(t.settled_at_s or 0) / 60:.1f} min: drift {number(t.drift.per_10min, fine)} ± {number(t.drift.u95, fine)} {unit} "
                f"in 10 min, inside ± {number(t.tolerance, fine)} {unit}",
            )
        )
    if t.spikes:
        told.append(("Spikes", f"{t.spikes} of {t.samples} samples were marked and left out of means"))
    return told


def study_working(v: StudyVerdict, sentence: str) -> Working:
    """What the verdict line rests on: every pair with the leader, and how it was judged."""
    found = v.main.comparison
    if found is None:
        return _why_not("So far", sentence, v.main)
    out = Working(title="So far", answer=sentence)
    best = best_of(found)
    for pair in found.pairs:
        if best in {pair.a, pair.b}:
            other = pair.b if pair.a == best else pair.a
            said = pair_said(pair, found, v.outcome)
            out.say(f"{best} and {other}", said, ToPair(pair.a, pair.b))
    out.say(
        "Judged by", f"{v.school.label.lower()}, {found.method}, {100 * found.confidence:.4g} % over all pairs together"
    )
    told = which_is_best(found)
    if told.alone:
        what = f"{best} named" if told.ahead is not None else f"{joined([best, *told.alike])} called alike"
        out.say(
            "The answer",
            f"{what} by each pair with {best} alone, at {100 * found.confidence:.4g} %: a claim that is only made where all of its parts hold "
            "needs no widening for their number",
        )
    if told.behind is not None:
        out.say(
            "As good as any",
            f"{as_good_words(v, told)}, by each pair with {best} alone, from one side, at {100 * found.confidence:.4g} %: of each pair the "
            f"half-width less the lead of {best}, and of these the greatest",
        )
    out.say("Scope", scope(found))
    return out


def _why_not(title: str, answer: str, under: OutcomeResult) -> Working:
    out = Working(title=title, answer=answer)
    out.say("Why", under.why_not or "too few mounts")
    return out


def candidate_working(v: StudyVerdict, under: OutcomeResult, name: str, where: Where = VERDICT) -> Working:
    """How a candidate's mean and interval came about."""
    found = under.comparison
    readings = under.of(name)
    unit = under.outcome.unit
    if found is None:
        return _why_not(name, "no mean yet", under)
    c = found.candidate(name)
    mean = candidate_mean(found, name, unit, under.worked_by_mount(where))
    out = Working(
        title=f"{name}: {under.outcome.label.lower()}",
        answer=f"{number(c.mean, 2)} {unit} ({span(c.low, c.high, unit, 2)})",
    )
    out.add(mean)
    unsettled = [f"round {r.round}" for r in readings if r.value is not None and r.left_out is None and not r.settled]
    if unsettled:
        out.say("Not settled", joined(unsettled))
    out.say_all([("Left out", f"round {r.round}: {r.left_out}") for r in readings if r.left_out])
    if found.rounds > 1:
        out.say("Rounds", "each counts the same; what a whole round had in common is taken out")
    out.say("Interval", f"{100 * found.confidence:.4g} %, for this mean alone; pairs are judged by their own intervals")
    out.say(
        "Chance of being best",
        f"{'at most ' if c.bound else ''}{100 * c.p_best:.0f} %, by drawing the means from their joint t distribution",
    )
    return out


def pair_working(v: StudyVerdict, under: OutcomeResult, a: str, b: str, where: Where = VERDICT) -> Working:
    """How a pair's verdict came about."""
    found = under.comparison
    if found is None:
        return _why_not(f"{a} and {b}", "no verdict yet", under)
    pair = found.pair(a, b)
    unit = under.outcome.unit
    kelvins = apart(unit)
    digits = max(2, digits_for(pair.high - pair.low))
    out = Working(title=f"{pair.a} and {pair.b}", answer=pair_said(pair, found, under.outcome))
    out.add(pair_difference(found, pair, unit, digits, where=where))
    out.say("So", f"{span(pair.low, pair.high, kelvins, digits)}; adjusted p {_p(pair.p)}")
    if found.margin is not None:
        out.add(replace(pair_difference(found, pair, unit, digits, narrow=True, where=where), name="The same?"))
        out.say(
            "The same?",
            f"{span(pair.narrow_low, pair.narrow_high, kelvins, digits)} "
            f"{'lies' if pair.verdict == 'same' else 'does not lie'} inside ± {found.margin:g} {kelvins}, the smallest difference that matters",
        )
    if pair.verdict == "unsettled":
        out.say_all(_needed_lines(found, pair))
    if found.rounds > 1:
        out.say("Rounds", "count as blocks: what a whole round had in common is taken out")
    out.say("Scope", scope(found))
    return out


def fact_working(v: StudyVerdict, fact: Outcome, a: str, b: str, amount: Claimed) -> Working:
    """Where a part's fact, or the difference of two, comes from."""
    told = fact_of(v.evidence.study, fact, a, b, amount)
    title = f"{fact.label.capitalize()}: {a}{f' and {b}' if b else ''}"
    if isinstance(told, str):
        return Working(title=title, answer=told)
    out = Working(title=title, answer=f"{number(told.value, told.digits)} {told.unit}".rstrip())
    out.add(told)
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


def grid_working(label: str, under: OutcomeResult, where: Where = VERDICT) -> Working:
    """One cell of the grid of conditions: its means and all its pairs."""
    found = under.comparison
    if found is None:
        return _why_not(label, "no comparison", under)
    unit = under.outcome.unit
    best = found.candidate(best_of(found))
    said = f"{best.name} is {under.outcome.wording.best}: {number(best.mean, 1)} {unit}".rstrip()
    out = Working(title=label, answer=said)
    for c in sorted(found.candidates, key=lambda c: c.mean, reverse=under.outcome.higher_is_better):
        said = f"{number(c.mean, 2)} {unit} ({span(c.low, c.high, unit, 2)}), {c.mounts} mounts"
        out.say(c.name, said, ToCandidate(c.name, where))
    for pair in found.pairs:
        said = pair_said(pair, found, under.outcome)
        out.say(f"{pair.a} and {pair.b}", said, ToPair(pair.a, pair.b, where))
    out.say("Judged by", f"{under.outcome.label.lower()}, {found.method}, {100 * found.confidence:.4g} % in this cell")
    out.say("Scope", scope(found))
    return out
