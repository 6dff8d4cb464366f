"""A whole study to practise on: a few blocks whose truth is hidden, mounts that may be bad, and so many hours for it.

The truth is drawn from a seed, and nowhere else. What the proposed plan would have said in the same hours is worked out with the same truth
and mounts of its own, by the same comparison and the same rule for what to mount next.
"""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence
from dataclasses import dataclass, replace
from pathlib import Path

import numpy as np

from kuffin.core.base.errors import BenchError
from kuffin.core.compare import Comparison, MountValue, compare
from kuffin.core.compare.nextmounts import round_choices
from kuffin.core.compare.whichisbest import which_is_best
from kuffin.demo.faults import FAULTS, with_fault
from kuffin.demo.scenario import BATCH, forget_history
from kuffin.logs.table import LogTable
from kuffin.notebook import edits, planedits
from kuffin.notebook.store import Notebook
from kuffin.simulated.faults import Fault
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, Radiator, RunPlan, record

QUESTION = "Practice: which block is the best?"
NAMES = ("Tern", "Plover", "Dunlin", "Knot")
HOURS = (6.0, 60.0)
CHANGE_OVER_MIN = 40.0
POWER_W, MARGIN_K = 180.0, 1.0
_IDLE_S, _LOAD_S = 240.0, 2400.0
MOUNT_H = (CHANGE_OVER_MIN + (_IDLE_S + _LOAD_S) / 60) / 60
_BAD = 0.1
_FIRST_LOOK = 3


@dataclass(frozen=True, kw_only=True)
class HiddenStudy:
    """What is hidden in a study.

    Attributes
    ----------
    over_k : dict of name to float
        How much warmer than the best one each is, K at 180 W.
    scatter_k : float
        Of its mounts.
    hours : float
        What there is for it.
    """

    seed: int
    hours: float
    over_k: dict[str, float]
    scatter_k: float

    @property
    def best(self) -> tuple[str, ...]:
        """The best one; several where nobody could tell them apart by the margin."""
        return tuple(n for n, x in self.over_k.items() if x < MARGIN_K)

    def plan(self, name: str, mount: int) -> tuple[RunPlan, Fault, str]:
        """What is built in when a candidate is mounted for the so-many-th time in the study, and which fault is in it."""
        rng = np.random.default_rng([self.seed, list(self.over_k).index(name), mount])
        extra = self.over_k[name] + float(rng.normal(0, self.scatter_k))
        plan = RunPlan(
            radiator=Radiator(name="Reed", k_w=0.0578),
            block=Block(name=name, r0_k_w=0.045 + extra / POWER_W),
            load=replace(BATCH, power_w=POWER_W * (1 + float(rng.normal(0, 0.015)))),
            room=Room(start_c=21.0 + float(rng.uniform(0, 3)), drift_k_h=0.4, wander_k=0.1),
            start=dt.datetime(2026, 1, 1),
            idle_s=_IDLE_S,
            load_s=_LOAD_S,
        )
        if rng.random() >= _BAD:
            return plan, Fault(), ""
        key = list(FAULTS)[int(rng.integers(len(FAULTS)))]
        return (*with_fault(plan, key, rng), key)


def hidden(seed: int, candidates: int, hours: float) -> HiddenStudy:
    """Draw what is hidden.

    Raises
    ------
    BenchError
        For another number of candidates than two to four, or hours for no study.

    >>> found = hidden(3, 2, 12.0)
    >>> min(found.over_k.values()), len(found.over_k)
    (0.0, 2)
    """
    if not 2 <= candidates <= len(NAMES):
        raise BenchError(f"{candidates} candidates: there are two to four")
    if not HOURS[0] <= hours <= HOURS[1]:
        raise BenchError(f"{hours:g} hours are outside {HOURS[0]:g} to {HOURS[1]:g}")
    rng = np.random.default_rng(seed)
    over = rng.uniform(0.0, 3.5, candidates)
    if rng.random() < 1 / 3:  # two are identical
        a, b = rng.permutation(candidates)[:2]
        over[a] = over[b]
    over = np.round(over - over.min(), 2)
    names = [NAMES[i] for i in rng.permutation(candidates)]
    scatter = float(rng.uniform(0.25, 0.8))
    return HiddenStudy(
        seed=seed,
        hours=hours,
        over_k={n: float(x) for n, x in sorted(zip(names, over, strict=True), key=lambda p: NAMES.index(p[0]))},
        scatter_k=scatter,
    )


def made_run(study: HiddenStudy, name: str, mount: int, at: dt.datetime) -> LogTable:
    """The log of a mount that is made now."""
    plan, fault, _ = study.plan(name, mount)
    seed = study.seed * 1000 + 50 * NAMES.index(name) + mount
    table, _ = record(replace(plan, start=at), Pump(), seed % 2**31, f"{name.lower()}_mount{mount}.csv", fault)
    return table


def said_of(found: Comparison | None) -> str:
    """What a comparison says of the question: a name, several with a plus, or blank where it is open.

    >>> said_of(None)
    ''
    """
    if found is None:
        return ""
    told = which_is_best(found)
    return "+".join(sorted([told.best, *told.alike])) if told.answered else ""


def is_right(study: HiddenStudy, said: str) -> bool | None:
    """Whether what was said is so; None where nothing was."""
    if not said:
        return None
    names = said.split("+")
    if len(names) == 1:
        return study.over_k[names[0]] == 0.0 and sum(x == 0.0 for x in study.over_k.values()) == 1
    level = [study.over_k[n] for n in names]
    return min(level) == 0.0 and max(level) < MARGIN_K + 1e-9


@dataclass(frozen=True)
class ByThePlan:
    """What the proposed plan would have said: see `said_of`; and the mounts and hours it took."""

    said: str
    mounts: int
    hours: float


def by_the_plan(study: HiddenStudy) -> ByThePlan:
    """Rounds as the Rounds page proposes them, until the question is settled, is not worth more hours, or the hours are over.

    A bad mount is seen and made again: it costs its hours.
    """
    names, rng = list(study.over_k), np.random.default_rng([study.seed, 99])
    kept: list[MountValue] = []
    mounts, open_ = 0, names
    found: Comparison | None = None
    for number in range(1, 60):
        before = mounts
        for name in open_:
            mounts += 1 + int(rng.random() < _BAD)
            level = 40.0 + study.over_k[name] + float(rng.normal(0, study.scatter_k))
            kept.append(MountValue(candidate=name, mount=f"{name} {number}", value=level))
        if mounts * MOUNT_H > study.hours:
            mounts = before
            break
        if number < _FIRST_LOOK:
            continue
        found = compare(kept, margin=MARGIN_K, confidence=0.95)
        choices = round_choices(found, dict.fromkeys(names, 60 * MOUNT_H))
        if not choices or not choices[0].worth_it:
            break
        open_ = list(choices[0].names)
    return ByThePlan(said_of(found), mounts, mounts * MOUNT_H)


def words_of(said: str) -> str:
    """What was said, in words.

    >>> words_of("Plover"), words_of("Knot+Tern"), words_of("")
    ('Plover is the best', 'Knot and Tern are the same within 1 K, and the best', 'it cannot be told')
    """
    if not said:
        return "it cannot be told"
    names = said.split("+")
    if len(names) == 1:
        return f"{names[0]} is the best"
    return f"{', '.join(names[:-1])} and {names[-1]} are the same within {MARGIN_K:g} K, and the best"


def told(study: HiddenStudy, said: str, hours: float, made: Sequence[tuple[str, int]]) -> list[str]:
    """What was so, what was said, what it cost, and what the plan would have said; each a sentence."""
    order = sorted(study.over_k.items(), key=lambda p: p[1])
    truth = ", ".join(f"{n} {x:+.2f} K" if x else f"{n} coolest" for n, x in order)
    judged = {True: "That is so", False: "That is not so", None: "Nothing was claimed"}[is_right(study, said)]
    bad = [(n, m, key) for n, m in made if (key := study.plan(n, m)[2])]
    plan = by_the_plan(study)
    plan_judged = {True: ", rightly", False: ", wrongly", None: ""}[is_right(study, plan.said)]
    out = [
        f"What was so, at {POWER_W:.0f} W: {truth}; mounts scattered by {study.scatter_k:.1f} K.",
        f"You said that {words_of(said)}. {judged}. It took {len(made)} mounts and {hours:.1f} of {study.hours:g} h.",
        f"Rounds as proposed, in the same hours: {words_of(plan.said)}{plan_judged}, after {plan.mounts} mounts and {plan.hours:.1f} h.",
    ]
    if bad:
        faults = "; ".join(f"{n}, mount {m}: {FAULTS[key].name}" for n, m, key in bad)
        out.append(f"Mounts with something wrong in them: {faults}.")
    return out


def build_whole_study(path: Path | str, seed: int, candidates: int, hours: float) -> None:
    """Write a notebook with a study that has no mount yet; what is hidden is known by its seed alone.

    Raises
    ------
    BenchError
        See `hidden`.
    """
    study = hidden(seed, candidates, hours)
    notebook = Notebook.create(path)
    try:
        made = edits.add_study(notebook, QUESTION, "block", list(study.over_k), MARGIN_K, name="Practice study")
        edits.change_study(notebook, made, "set the study up", reference_power_w=POWER_W, blocks=True)
        kept = {"seed": seed, "candidates": candidates, "hours": hours}
        planedits.set_plan(notebook, made, "hide what is so", practice=kept)
        forget_history(notebook)
    finally:
        notebook.close()
