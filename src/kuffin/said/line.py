"""The verdict line: what the evidence supports so far, and the one next thing to do."""

from __future__ import annotations

import datetime as dt
from collections import Counter
from dataclasses import dataclass

from kuffin.core.base.days import day_words
from kuffin.core.base.language import tr
from kuffin.core.base.pointers import ASKS, points_to
from kuffin.core.bench.outcomes import HELD, Outcome
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare import Comparison, PairResult
from kuffin.core.compare.pairwords import (
    beside_nothing,
    count,
    digits_for,
    joined,
    number,
    several,
    span,
    to_settle,
    was_held,
)
from kuffin.core.compare.whichisbest import which_is_best
from kuffin.core.findings import together
from kuffin.core.heat.normalise import School
from kuffin.notebook.entities import Mount
from kuffin.said.ageingwords import aged_words, due_words
from kuffin.said.whatnextwords import as_good_words, stop_words
from kuffin.verdict.ageing import ageing_of, due_rechecks, rest_ends
from kuffin.verdict.chosenoutcomes import instead_of
from kuffin.verdict.claims import JudgedClaim
from kuffin.verdict.looks import look_tag, outlook
from kuffin.verdict.runreadings import limit_seen
from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True)
class NextStep:
    """The one next thing.

    Attributes
    ----------
    action : str
        ``plan``, ``prepare``, ``run``, ``add``, ``inspect``, ``baseline``, ``compare``, or a place where something is
        told (`core.base.pointers`).
    mount_id : int or None
        Where it leads.
    """

    label: str
    hint: str
    action: str
    mount_id: int | None = None


@dataclass(frozen=True)
class VerdictLine:
    """A sentence and a next step."""

    sentence: str
    step: NextStep


def continued(sentence: str) -> str:
    """A sentence behind a colon: what begins with a way of judging begins small."""
    return sentence[0].lower() + sentence[1:] if sentence.startswith(("By ", "As read, ")) else sentence


def verdict_line(v: StudyVerdict, planned: Mount | None = None, now: dt.datetime | None = None) -> VerdictLine:
    """What may be said so far, and what to do next.

    Parameters
    ----------
    planned : Mount, optional
        The mount that the plan has next.
    now : datetime, optional
        What is due is told by it; without it nothing is.
    """
    step = _next(v)
    if planned is not None and step.action == "add":
        step = _prepare(v, planned, step, now)
    coming = due_rechecks(v.evidence.study)
    if coming and now is not None and planned is None and v.main.comparison is None and step.action == "add":
        hint = tr("the next recheck: {label}, {due}", label=coming[0].label, due=due_words(coming[0], now))
        step = NextStep(tr("look at the ageing"), hint, "ageing")
    due = [d for d in coming if now is not None and d.at <= now]
    if due and now is not None and step.action != "inspect":
        step = NextStep(
            tr("recheck {label}", label=due[0].label),
            tr("it stays in place: {due}", due=due_words(due[0], now)),
            "run",
            due[0].mount.id,
        )
    return VerdictLine(_with_ageing(v, _sentence(v)), step)


def _with_ageing(v: StudyVerdict, sentence: str) -> str:
    """What aged behind what was compared; all of it where nothing could be compared."""
    if not any(m.rechecks for _, m in v.evidence.mounts):
        return sentence
    found = ageing_of(v)
    if v.main.comparison is None:
        return " ".join(aged_words(m, found.baseline) for m in found.mounts) or sentence
    aged = [m for m in found.mounts if m.found is not None and m.found.aged and found.baseline]
    return " ".join([sentence, *(aged_words(m, found.baseline) for m in aged)])


def _prepare(v: StudyVerdict, planned: Mount, otherwise: NextStep, now: dt.datetime | None) -> NextStep:
    make = kind_under_test(v.under_test).make
    what = tr("{name}, round {round}", name=planned.candidate.name, round=planned.round)
    if planned.open_run is not None:
        hint = tr("its recording was cut off, or is going on: go on with it, or close it as it is")
        return NextStep(tr("see to {what}", what=what), hint, "run", planned.id)
    rested = rest_ends(v.evidence.study, planned)
    if rested is not None and now is not None and now < rested:
        when = (
            f"{rested:%H:%M}"
            if rested.date() == now.date()
            else tr("{rested:%H:%M} on {day}", rested=rested, day=day_words(rested))
        )
        return NextStep(
            tr("let {what} rest until {when}", what=what, when=when),
            tr("the plan gives it its rest before the first reading"),
            "run",
            planned.id,
        )
    if planned.ready_at:
        return NextStep(
            tr("run {what}", what=what),
            tr("it is ready to run: on the Run desk, or with a logger of your own (drop its log on the loom)"),
            "run",
            planned.id,
        )
    hint = "" if otherwise.label.startswith("add") else otherwise.hint
    verb = tr("go on with") if planned.begun_at else make
    return NextStep(f"{verb} {what}", hint or tr("the plan has it next"), "prepare", planned.id)


def _asked(v: StudyVerdict) -> str:
    """What has to be told of the bench before any mount can be read; blank for nothing."""
    asked = {why for r in v.results.values() for why in r.whose.values()}
    problems = {r.problem for r in v.main.readings if r.problem}
    return next((p for p in problems if p in asked), "") if len(problems) == 1 else ""


def _sentence(v: StudyVerdict) -> str:
    found = v.main.comparison
    if v.mounts == 0:
        return tr("Nothing yet: no mount has a log.")
    if found is None:
        counting = [r for r in v.main.readings if r.left_out is None and r.value is not None]
        if not counting:
            asked = _asked(v)
            if asked:
                return tr("Nothing may be said yet: {asked}.", asked=asked)
            return tr("Nothing may be said: no mount counts.") if v.main.readings else tr("Nothing yet.")
        if len({r.candidate for r in counting}) < 2:
            return tr("Nothing may be said yet: only one candidate has a mount that counts.")
        return tr("Nothing may be said yet: with one mount each, the scatter between mounts is unknown.")
    outcome = v.outcome
    best, *others = v.main.ranking()
    cautions = _cautions(v)
    apart, same, open_ = _relations(found, best, others)
    told = which_is_best(found)
    limit = f"{found.margin or 0:.3g} {outcome.difference_unit}".rstrip()
    if told.alone and told.alike:
        same, open_ = [(n, found.pair(best, n)) for n in told.alike], []
    parts = []
    if told.alone and told.ahead is not None:
        parts.append(_named(v, best, told.ahead, apart, [n for n, _ in open_]))
        open_ = []
    elif len(apart) == 1:
        name, pair = apart[0]
        digits, by = digits_for(pair.high - pair.low), _by(pair, outcome)
        gap = f"{number(abs(pair.difference), digits)} {outcome.difference_unit}".rstrip()
        so = (
            tr("{by} {better} than {name}", by=by, better=outcome.wording.better, name=name)
            if pair.held
            else tr("{gap} {better} than {name} ({by})", gap=gap, better=outcome.wording.better, name=name, by=by)
        )
        parts.append(f"{best} {_verb(v)} {so}.")
    elif apart:
        texts = [f"{name} ({_by(pair, outcome)})" for name, pair in apart[:3]]
        if len(apart) > 3:
            texts.append(tr("{apart} more", apart=count(len(apart) - 3)))
        parts.append(
            tr(
                "{best} {verb} {better} than {texts}.",
                best=best,
                verb=_verb(v),
                better=outcome.wording.better,
                texts=joined(texts),
            )
        )
    if len(same) == 1:
        parts.append(
            tr(
                "{best} and {same} are within {limit}: the same for this purpose.",
                best=best,
                same=same[0][0],
                limit=limit,
            )
        )
    elif same:
        parts.append(
            tr(
                "{each} are within {limit} of {best}: the same for this purpose.",
                each=joined([n for n, _ in same]),
                limit=limit,
                best=best,
            )
        )
    held = list(dict.fromkeys(n for _, p in open_ for n in p.held))
    if held and found.free:
        parts.append(tr("{was_held}: by this they are not told apart.", was_held=was_held(held, free=True)))
    elif held:
        what = " or ".join(o.label for o in instead_of(v)) or tr("what was held")
        parts.append(
            tr(
                "{was_held}{was_held_2}, so this cannot be told of it; compare {what}.",
                was_held=was_held(held)[:1].upper(),
                was_held_2=was_held(held)[1:],
                what=what,
            )
        )
    open_ = [(n, p) for n, p in open_ if not p.held]
    if open_:
        names = [n for n, _ in open_]
        if not apart and not same:
            parts.append(
                tr("{best} is ahead so far, but not told apart from {names} yet.", best=best, names=joined(names))
                if len(names) < 4
                else tr("{best} is ahead so far, but no candidate is told apart from it yet.", best=best)
            )
        else:
            parts.append(tr("{each} are not told apart yet.", each=joined([best, *names])))
        if told.behind is not None:
            parts.append(f"{as_good_words(v, told)}.")
    alike = _alike(found, [n for n, _ in apart])
    if len(alike) > 1 and not same:
        parts.append(tr("{alike} are the same within {limit}.", alike=joined(alike), limit=limit))
    if parts and outcome.leaves_in:  # in the same sentence, so that it cannot be told without it
        parts[0] = tr("As read, with {leaves_in} still in it, {parts}", leaves_in=outcome.leaves_in, parts=parts[0])
    elif parts and not isinstance(outcome, School):
        parts[0] = tr("By {label}, {parts}", label=outcome.label, parts=parts[0])
    parts += [_claim(c) for c in v.claims if c.judged in {"refuted", "borne out"}][:2]
    return " ".join([*parts, *cautions, *_bench(v), *([look_tag(v.looks)] if v.looks is not None else [])])


def _named(v: StudyVerdict, best: str, ahead: float, apart: list[tuple[str, PairResult]], open_: list[str]) -> str:
    """One that is the best though not every pair with it is settled: ``Reed runs the coolant coolest, by at least 0.2 K``."""
    outcome = v.outcome
    least = f"{beside_nothing(ahead, 1)} {outcome.difference_unit}".rstrip()
    texts = [tr("{name} by {by}", name=name, by=_by(pair, outcome)) for name, pair in apart[:3]]
    pairs = tr(" ahead of {texts}", texts=joined(texts)) if texts else ""
    return tr(
        "{best} {verb} {best_2}, by at least {least}{which}. How far it is ahead of {open} is still open.",
        best=best,
        verb=_verb(v),
        best_2=outcome.wording.best,
        least=least,
        which=f";{pairs}" if pairs else "",
        open=joined(open_),
    )


def _verb(v: StudyVerdict) -> str:
    """How the better candidate is spoken of: ``runs the coolant``; of what is no temperature just ``is``."""
    if not isinstance(v.outcome, School):
        return "is"
    verb = kind_under_test(v.under_test).keeps
    shared = {r.device for r in v.results.values() if r.device and r.devices}
    if len(shared) == 1:  # of several devices on the bench it is said whose die it is
        verb = verb.replace("the die", f"the {shared.pop()}’s die")
    return verb


def _by(pair: PairResult, outcome: Outcome) -> str:
    low, high = sorted((abs(pair.low), abs(pair.high)))
    if pair.held:
        return f"at least {beside_nothing(low, digits_for(pair.high - pair.low))} {outcome.difference_unit}".rstrip()
    return span(low, high, outcome.difference_unit, digits_for(pair.high - pair.low))


def _cautions(v: StudyVerdict) -> list[str]:
    """What else is to be known of the comparison."""
    out = []
    typed = [r for r in v.main.readings if r.typed and r.value is not None and r.left_out is None]
    if typed:
        unsure = sum(not r.settled for r in typed)
        also = tr("; whether {unsure} of them had settled is not known", unsure=unsure) if unsure else ""
        out.append(
            tr(
                "{capitalize} rest{which} on typed figures{also}.",
                capitalize=several(len(typed), "mount").capitalize(),
                which="s" if len(typed) == 1 else "",
                also=also,
            )
        )
    for name, mounts in v.main.failed().items():
        out.append(
            tr(
                "{name} could not finish {mounts}: {failed}.",
                name=name,
                mounts=several(len(mounts), "mount"),
                failed=mounts[0].failed,
            )
        )
    found = v.main.comparison
    if v.outcome.bounded != HELD:  # where it is, the comparison itself tells
        out += _throttled(v)
    wide = found.unequal if found is not None else None
    if wide is not None and found is not None:
        how = tr("each keeps its own spread") if found.sd is None else tr("one spread is shared by all")
        out.append(
            tr(
                "{name} scatters {times:.0f} times as far as the others: {how}.",
                name=wide.name,
                times=wide.times,
                how=how,
            )
        )
    return out


def _throttled(v: StudyVerdict) -> list[str]:
    """The candidates of which mounts were held by their limit."""
    told: dict[str, list[bool]] = {}
    for r in v.main.readings:
        if r.left_out is None and r.value is not None:
            under = [v.results[i].at(v.evidence.condition) for i in r.runs]
            told.setdefault(r.candidate, []).append(any(limit_seen(one) for one in under if one is not None))
    each = [(n, sum(met), len(met)) for n, met in told.items() if any(met)]
    return [
        tr("{n} throttled in {which} of its {of}.", n=n, which=tr("all") if k == of else k, of=several(of, "mount"))
        for n, k, of in each
    ]


def _alike(found: Comparison, names: list[str]) -> list[str]:
    """The most candidates, from the coolest on, that are all proven the same as each other."""
    same = {frozenset((p.a, p.b)) for p in found.pairs if p.verdict == "same"}
    best: list[str] = []
    for i in range(len(names)):
        group: list[str] = []
        for name in names[i:]:
            if all(frozenset((name, other)) in same for other in group):
                group.append(name)
        best = group if len(group) > len(best) else best
    return best


def _claim(c: JudgedClaim) -> str:
    held = tr("does not hold") if c.judged == "refuted" else "holds"
    return tr("The claim that {gist} {held}.", gist=c.gist, held=held)


def _bench(v: StudyVerdict) -> list[str]:
    moved = v.baseline.chart.moved if v.baseline is not None else None
    if v.baseline is None or moved is None:
        return []
    how = (
        tr("corrected by the baseline")
        if v.corrected
        else tr("taken out with the rounds")
        if v.blocks
        else tr("not taken out")
    )
    return [
        tr("The bench moved by {by} K {when} ({how}).", by=number(abs(moved.by), 1), when=v.baseline.when(), how=how)
    ]


def _relations(found: Comparison, best: str, others: list[str]) -> tuple[list[tuple[str, PairResult]], ...]:
    apart: list[tuple[str, PairResult]] = []
    same: list[tuple[str, PairResult]] = []
    open_: list[tuple[str, PairResult]] = []
    for name in others:
        pair = next((p for p in found.pairs if {p.a, p.b} == {best, name}), None)
        if pair is None:
            continue
        place = same if pair.verdict == "same" else open_ if pair.verdict == "unsettled" else apart
        place.append((name, pair))
    return apart, same, open_


def _next(v: StudyVerdict) -> NextStep:
    make = kind_under_test(v.under_test).make
    found_open = v.open_findings()
    if found_open:
        # the mount with most to say first
        counts = Counter(o.mount_id for o in found_open)
        worst = max(found_open, key=lambda o: counts[o.mount_id])
        untold = next((r for r in v.main.readings if r.mount_id == worst.mount_id and points_to(r.problem or "")), None)
        if untold is not None and untold.problem:  # what is not told is told where the sentence points to
            place = points_to(untold.problem)
            return NextStep(f"{worst.label}: {ASKS[place]}", untold.problem, place, worst.mount_id)
        said = together(v.unanswered(worst.mount_id)) or worst.finding.sentence
        return NextStep(tr("look at {label}", label=worst.label), said, "inspect", worst.mount_id)
    if v.mounts == 0:
        return NextStep(tr("add the first logs"), tr("or plan the mounts first, on the Plan desk (Ctrl+1)"), "add")
    found = v.main.comparison
    if found is None:
        lacking = [
            c
            for c in v.candidates
            if not any(r.candidate == c and r.left_out is None and r.value is not None for r in v.main.readings)
        ]
        names = joined(lacking[:3]) if lacking else tr("each candidate")
        return NextStep(f"{make} {names}" + ("" if lacking else tr(" once more")), v.main.why_not or "", "add")
    best, *others = v.main.ranking()
    _, _, open_ = _relations(found, best, others)
    bounds = [(n, p) for n, p in open_ if p.held]
    told = which_is_best(found)
    open_ = [(n, p) for n, p in open_ if n in told.open and not p.held]
    if _bench(v) and not v.corrected and not v.blocks:
        return NextStep(tr("look at the baseline"), tr("the bench moved, and the verdict has it in"), "baseline")
    if open_:
        return _go_on(v, found, best, open_)
    if bounds:
        return NextStep(tr("look at what was held"), to_settle(bounds[0][1], found), "compare")
    if v.looks is not None and v.looks.had == 0:
        return NextStep(
            tr("{make} the next of round {rounds_done}", make=make, rounds_done=v.looks.rounds_done + 1),
            tr("the first look is after round {declared}", declared=v.looks.declared[0]),
            "add",
        )
    rest = [p for p in found.pairs if not p.settled]
    hint = tr("the winner stands") if rest else tr("every pair is settled")
    out = outlook(v)
    if out is not None:
        hint += (
            tr(", and it is enough: a further round would hardly change it")
            if out.enough
            else tr(", but a further round could still change it ({most:.0f} %)", most=100 * out.most)
        )
    if rest:
        hint += tr("; still open: ") + ", ".join(f"{p.a} – {p.b}" for p in rest[:3])
    return NextStep(tr("read the verdict"), hint, "compare")


def _go_on(v: StudyVerdict, found: Comparison, best: str, open_: list[tuple[str, PairResult]]) -> NextStep:
    """More mounts of the leader and of all who are not told apart from it: one round after the other, each complete."""
    make = kind_under_test(v.under_test).make
    rounds = {
        name: {r.round for r in v.main.readings if r.candidate == name} for name in (best, *(n for n, _ in open_))
    }
    least = min(len(done) for done in rounds.values())
    behind = [name for name, done in rounds.items() if len(done) == least]
    number_ = 1 + max((max(done, default=0) for done in rounds.values()), default=0)
    if len(behind) < len(rounds):
        number_ = max((max(done, default=0) for name, done in rounds.items() if name not in behind), default=1)
    name, pair = open_[0]
    hint = tr("{to_settle}: {best} and {name}", to_settle=to_settle(pair, found), best=best, name=name)
    told = v.next_mounts
    if told is not None and told.hardly:
        as_good = which_is_best(found).behind is not None
        what = (
            tr("say that no other beats {best} by what matters", best=best) if as_good else tr("say how near they are")
        )
        return NextStep(what, stop_words(v, told), "rounds")
    return NextStep(
        tr("{make} {behind}, round {number}", make=make, behind=joined(behind), number=number_), hint, "add"
    )
