"""Show working: where a number comes from, in sentences and formulas with the figures in them."""

from __future__ import annotations

from dataclasses import replace

from kuffin.core.base.errors import CompareError
from kuffin.core.base.language import inside, tr
from kuffin.core.base.leads import VERDICT, ToCandidate, ToMount, ToPair, ToSamples, Where
from kuffin.core.base.numbers import begun
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
        out = Working(title=reading.label, answer=tr("no reading"))
        out.say(tr("Why"), reading.problem or tr("no run"))
        out.links.append(Link(tr("Open the run"), ToMount(reading.mount_id)))
        return out
    out = Working.of(f"{reading.label}: {outcome.label.lower()}", reading.worked)
    for run_id in reading.runs:
        result = v.results[run_id].at(condition) or v.results[run_id]
        trace = result.traces.get(outcome.trace) if isinstance(outcome, School) else None
        if trace is not None and isinstance(outcome, School) and not outcome.whole:
            out.say_all(_trace_remarks(outcome, result, trace))
    if len(reading.runs) > 1:
        out.say(tr("Mount"), tr("the mean of its runs; the mount is the unit of evidence"))
    if reading.left_out:
        out.say(tr("Left out"), reading.left_out)
    for found in v.findings.get(reading.mount_id, ()):
        out.say(
            tr("Noticed"),
            tr("{sentence} Likely: {causes}", sentence=found.sentence, causes=KINDS[found.kind].causes[0]),
        )
    if reading.typed:
        out.say(tr("Typed"), tr("figures read off a screen or a meter by a person, not recorded"))
    out.say(
        tr("What it is not"),
        (
            tr(
                "the half-width here is that of these figures. How far mounts of one candidate "
                "differ is another matter: a verdict's interval comes from that"
            )
            if reading.typed
            else tr(
                "the half-width here is that of one window. How far mounts of one candidate differ "
                "is another matter: a verdict's interval comes from that"
            )
        ),
    )
    sampled = (isinstance(outcome, School) or outcome.role) and not reading.typed
    for i, run_id in enumerate(reading.runs if sampled else (), 1):
        which = tr(" of run {i}", i=i) if len(reading.runs) > 1 else ""
        link = Link(
            tr("The window's samples{which}, and where they come from", which=which),
            ToSamples(run_id, Where(outcome.key, condition)),
        )
        out.links.append(link)
    out.links.append(Link(tr("Open the run"), ToMount(reading.mount_id)))
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
        divisor = tr("the sum of ") + names["heat"]
    told = [
        (
            tr("Trace"),
            tr("{part} less {over}", part=names.get(school.part, school.part), over=names.get(over, over))
            + (
                tr(" warmed by {names} before it", names=names["upstream"])
                if over == "coolant" and result.warmed_k is not None
                else ""
            )
            + (tr(", the latter delayed by the loop's own time constant") if not t.fast else "")
            + (
                tr(", divided by {divisor}", divisor=divisor) + (tr(" with the same delay") if not t.fast else "")
                if school.per_watt
                else ""
            ),
        )
    ]
    unit, fine = school.trace_unit, school.trace_digits + 1
    if t.load.start_s is not None:
        loops = tr(", in loops of {period_s:.0f} s", period_s=t.load.period_s) if t.load.period_s else ""
        told.append((tr("Load"), tr("from {start_s:.1f} min{loops}", start_s=t.load.start_s / 60, loops=loops)))
    if t.warm_up.tau_s is not None:
        told.append(
            (
                tr("Warm-up"),
                tr(
                    "time constant {tau_s:.1f} min; still to go at the end {to_go} ± {to_go_u95} {unit}",
                    tau_s=t.warm_up.tau_s / 60,
                    to_go=number(t.level.to_go, fine),
                    to_go_u95=number(t.level.to_go_u95, fine),
                    unit=unit,
                ),
            )
        )
    if t.settled and not t.by_hand:
        told.append(
            (
                tr("Settled"),
                tr(
                    "from {settled_at_s:.1f} min: drift {per_10min} ± {u95} {unit} in 10 min, inside ± "
                    "{tolerance} {unit}",
                    settled_at_s=(t.settled_at_s or 0) / 60,
                    per_10min=number(t.drift.per_10min, fine),
                    u95=number(t.drift.u95, fine),
                    unit=unit,
                    tolerance=number(t.tolerance, fine),
                ),
            )
        )
    if t.spikes:
        told.append(
            (
                tr("Spikes"),
                tr(
                    "{spikes} of {samples} samples were marked and left out of means",
                    spikes=t.spikes,
                    samples=t.samples,
                ),
            )
        )
    return told


def study_working(v: StudyVerdict, sentence: str) -> Working:
    """What the verdict line rests on: every pair with the leader, and how it was judged."""
    found = v.main.comparison
    if found is None:
        return _why_not(tr("So far"), sentence, v.main)
    out = Working(title=tr("So far"), answer=sentence)
    best = best_of(found)
    for pair in found.pairs:
        if best in {pair.a, pair.b}:
            other = pair.b if pair.a == best else pair.a
            said = pair_said(pair, found, v.outcome)
            out.say(tr("{best} and {other}", best=best, other=other), said, ToPair(pair.a, pair.b))
    out.say(
        tr("Judged by"),
        tr(
            "{label}, {method}, {confidence:.4g} % over all pairs together",
            label=inside(v.school.label),
            method=found.method,
            confidence=100 * found.confidence,
        ),
    )
    told = which_is_best(found)
    if told.alone:
        what = (
            tr("{best} named", best=best)
            if told.ahead is not None
            else tr("{each} called alike", each=joined([best, *told.alike]))
        )
        out.say(
            tr("The answer"),
            tr(
                "{claim} by each pair with {best} alone, at {confidence:.4g} %: a claim that is only "
                "made where all of its parts hold needs no widening for their number",
                claim=what,
                best=best,
                confidence=100 * found.confidence,
            ),
        )
    if told.behind is not None:
        out.say(
            tr("As good as any"),
            tr(
                "{as_good}, by each pair with {best} alone, from one side, at {confidence:.4g} %: of "
                "each pair the half-width less the lead of {best}, and of these the greatest",
                as_good=as_good_words(v, told),
                best=best,
                confidence=100 * found.confidence,
            ),
        )
    out.say(tr("Scope"), scope(found))
    return out


def _why_not(title: str, answer: str, under: OutcomeResult) -> Working:
    out = Working(title=title, answer=answer)
    out.say(tr("Why"), under.why_not or tr("too few mounts"))
    return out


def candidate_working(v: StudyVerdict, under: OutcomeResult, name: str, where: Where = VERDICT) -> Working:
    """How a candidate's mean and interval came about."""
    found = under.comparison
    readings = under.of(name)
    unit = under.outcome.unit
    if found is None:
        return _why_not(name, tr("no mean yet"), under)
    c = found.candidate(name)
    mean = candidate_mean(found, name, unit, under.worked_by_mount(where))
    out = Working(
        title=f"{name}: {inside(under.outcome.label)}",
        answer=f"{number(c.mean, 2)} {unit} ({span(c.low, c.high, unit, 2)})",
    )
    out.add(mean)
    unsettled = [
        tr("round {round}", round=r.round)
        for r in readings
        if r.value is not None and r.left_out is None and not r.settled
    ]
    if unsettled:
        out.say(tr("Not settled"), joined(unsettled))
    out.say_all(
        [
            (tr("Left out"), tr("round {round}: {left_out}", round=r.round, left_out=r.left_out))
            for r in readings
            if r.left_out
        ]
    )
    if found.rounds > 1:
        out.say(tr("Rounds"), tr("each counts the same; what a whole round had in common is taken out"))
    out.say(
        tr("Interval"),
        tr(
            "{confidence:.4g} %, for this mean alone; pairs are judged by their own intervals",
            confidence=100 * found.confidence,
        ),
    )
    out.say(
        tr("Chance of being best"),
        (
            tr("at most {p_best:.0f} %, by drawing the means from their joint t distribution", p_best=100 * c.p_best)
            if c.bound
            else tr("{p_best:.0f} %, by drawing the means from their joint t distribution", p_best=100 * c.p_best)
        ),
    )
    return out


def pair_working(v: StudyVerdict, under: OutcomeResult, a: str, b: str, where: Where = VERDICT) -> Working:
    """How a pair's verdict came about."""
    found = under.comparison
    if found is None:
        return _why_not(tr("{a} and {b}", a=a, b=b), tr("no verdict yet"), under)
    pair = found.pair(a, b)
    unit = under.outcome.unit
    kelvins = apart(unit)
    digits = max(2, digits_for(pair.high - pair.low))
    out = Working(title=tr("{a} and {b}", a=pair.a, b=pair.b), answer=pair_said(pair, found, under.outcome))
    out.add(pair_difference(found, pair, unit, digits, where=where))
    out.say(tr("So"), tr("{low}; adjusted p {p}", low=span(pair.low, pair.high, kelvins, digits), p=_p(pair.p)))
    if found.margin is not None:
        out.add(replace(pair_difference(found, pair, unit, digits, narrow=True, where=where), name="The same?"))
        out.say(
            tr("The same?"),
            (
                tr(
                    "{narrow} lies inside ± {margin:g} {kelvins}, the smallest difference that matters",
                    narrow=span(pair.narrow_low, pair.narrow_high, kelvins, digits),
                    margin=found.margin,
                    kelvins=kelvins,
                )
                if pair.verdict == "same"
                else tr(
                    "{narrow} does not lie inside ± {margin:g} {kelvins}, the smallest difference that matters",
                    narrow=span(pair.narrow_low, pair.narrow_high, kelvins, digits),
                    margin=found.margin,
                    kelvins=kelvins,
                )
            ),
        )
    if pair.verdict == "unsettled":
        out.say_all(_needed_lines(found, pair))
    if found.rounds > 1:
        out.say(tr("Rounds"), tr("count as blocks: what a whole round had in common is taken out"))
    out.say(tr("Scope"), scope(found))
    return out


def fact_working(v: StudyVerdict, fact: Outcome, a: str, b: str, amount: Claimed) -> Working:
    """Where a part's fact, or the difference of two, comes from."""
    told = fact_of(v.evidence.study, fact, a, b, amount)
    title = f"{begun(fact.label)}: {joined([a, b] if b else [a])}"
    if isinstance(told, str):
        return Working(title=title, answer=told)
    out = Working(title=title, answer=f"{number(told.value, told.digits)} {told.unit}".rstrip())
    out.add(told)
    return out


def _needed_lines(found: Comparison, pair: PairResult) -> list[tuple[str, str]]:
    needed = tr("more than 99") if pair.mounts_needed is None else str(pair.mounts_needed)
    lines = [
        (
            tr("Mounts needed"),
            tr("{needed} of each for an even chance, if difference and scatter stay as they are", needed=needed),
        )
    ]
    sd, _ = found.scatter_of(pair.a, pair.b)
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
        lines.append((tr("For a chance of 80 %"), tr("{mounts} of each to tell them apart", mounts=plan.mounts)))
    except CompareError:
        pass
    return lines


def _p(p: float) -> str:
    return tr("below 0.0001") if p < 0.0001 else f"{p:.4f}" if p < 0.1 else f"{p:.2f}"


def grid_working(label: str, under: OutcomeResult, where: Where = VERDICT) -> Working:
    """One cell of the grid of conditions: its means and all its pairs."""
    found = under.comparison
    if found is None:
        return _why_not(label, tr("no comparison"), under)
    unit = under.outcome.unit
    best = found.candidate(best_of(found))
    said = f"{best.name} is {under.outcome.wording.best}: {number(best.mean, 1)} {unit}".rstrip()
    out = Working(title=label, answer=said)
    for c in sorted(found.candidates, key=lambda c: c.mean, reverse=under.outcome.higher_is_better):
        said = tr(
            "{mean} {unit} ({low}), {mounts} mounts",
            mean=number(c.mean, 2),
            unit=unit,
            low=span(c.low, c.high, unit, 2),
            mounts=c.mounts,
        )
        out.say(c.name, said, ToCandidate(c.name, where))
    for pair in found.pairs:
        said = pair_said(pair, found, under.outcome)
        out.say(tr("{a} and {b}", a=pair.a, b=pair.b), said, ToPair(pair.a, pair.b, where))
    out.say(
        tr("Judged by"),
        tr(
            "{label}, {method}, {confidence:.4g} % in this cell",
            label=inside(under.outcome.label),
            method=found.method,
            confidence=100 * found.confidence,
        ),
    )
    out.say(tr("Scope"), scope(found))
    return out
