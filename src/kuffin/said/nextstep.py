"""The one next thing to do, and why."""

from __future__ import annotations

import datetime as dt
from collections import Counter
from dataclasses import dataclass

from kuffin.core.base.days import day_words
from kuffin.core.base.language import tr
from kuffin.core.base.pointers import ASKS, points_to
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare import Comparison, PairResult
from kuffin.core.compare.pairwords import joined, to_settle
from kuffin.core.compare.whichisbest import which_is_best
from kuffin.core.findings import together
from kuffin.notebook.entities import Mount
from kuffin.said.ageingwords import due_words
from kuffin.said.standing import bench_words, relations
from kuffin.said.whatnextwords import stop_words
from kuffin.verdict.ageing import due_rechecks, rest_ends
from kuffin.verdict.looks import outlook
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


def next_step(v: StudyVerdict, planned: Mount | None, now: dt.datetime | None) -> NextStep:
    """What to do next: what the evidence asks for, else what the plan has, else what is due."""
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
    return step


def _prepare(v: StudyVerdict, planned: Mount, otherwise: NextStep, now: dt.datetime | None) -> NextStep:
    make = kind_under_test(v.under_test).make
    what = tr("{name}, round {round}", name=planned.candidate.name, round=planned.round)
    if planned.open_run is not None:
        hint = tr("its recording was cut off, or is going on: go on with it, or close it as it is")
        return NextStep(tr("see to {mount}", mount=what), hint, "run", planned.id)
    rested = rest_ends(v.evidence.study, planned)
    if rested is not None and now is not None and now < rested:
        when = (
            f"{rested:%H:%M}"
            if rested.date() == now.date()
            else tr("{rested:%H:%M} on {day}", rested=rested, day=day_words(rested))
        )
        return NextStep(
            tr("let {mount} rest until {when}", mount=what, when=when),
            tr("the plan gives it its rest before the first reading"),
            "run",
            planned.id,
        )
    if planned.ready_at:
        return NextStep(
            tr("run {mount}", mount=what),
            tr("it is ready to run: on the Run desk, or with a logger of your own (drop its log on the loom)"),
            "run",
            planned.id,
        )
    hint = "" if otherwise.action == "add" else otherwise.hint
    verb = tr("go on with") if planned.begun_at else make
    return NextStep(
        tr("{make} {mount}", make=verb, mount=what), hint or tr("the plan has it next"), "prepare", planned.id
    )


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
        return NextStep(
            tr("{make} {mount}", make=make, mount=names) + ("" if lacking else tr(" once more")),
            v.main.why_not or "",
            "add",
        )
    best, *others = v.main.ranking()
    _, _, open_ = relations(found, best, others)
    bounds = [(n, p) for n, p in open_ if p.held]
    told = which_is_best(found)
    open_ = [(n, p) for n, p in open_ if n in told.open and not p.held]
    if bench_words(v) and not v.corrected and not v.blocks:
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
