"""What a verdict is made from: the study, its mounts with their runs, and what each run gave."""

from __future__ import annotations

import datetime as dt
from collections.abc import Mapping, Sequence
from dataclasses import KW_ONLY, dataclass, field, replace

import numpy as np

from kuffin.core.bench.conditions import Condition
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.findings import Sibling
from kuffin.notebook.entities import Mount, Study
from kuffin.reading.judgingrules import JudgingRules
from kuffin.reading.runresult import RunResult
from kuffin.verdict.recordedsound import Sounds

Mounts = Sequence[tuple[str, Mount]]
ONE_ROUND_DAYS = 14  # mounts of a round that lie farther apart share nothing that could be taken out


@dataclass(frozen=True)
class Evidence:
    """All that a verdict rests on.

    Attributes
    ----------
    mounts : sequence of (candidate's name, Mount)
        Those with a run.
    results : mapping of RunResult
        By the run's id.
    ways : Ways or None
        What runs are judged by.
    elsewhere : tuple of Sibling
        The same device's mounts in other studies, where this one has a single mount.
    sounds : mapping
        Each mount's recordings, by its id.
    """

    study: Study
    mounts: Mounts
    results: Mapping[int, RunResult] = field(repr=False)
    ways: JudgingRules | None = field(repr=False, default=None)
    _: KW_ONLY
    elsewhere: tuple[Sibling, ...] = field(repr=False, default=())
    sounds: Sounds = field(repr=False, default_factory=dict)

    @property
    def condition(self) -> str | None:
        """The load step that the verdict is about, None where its runs have one only."""
        return None if self.ways is None else self.ways.condition

    @property
    def conditions(self) -> tuple[Condition, ...]:
        """All load steps; none where its runs have one only."""
        return () if self.ways is None or self.ways.condition is None else self.ways.conditions

    @property
    def blocks(self) -> bool:
        """Whether what a whole round had in common is taken out: where the plan has rounds, and they were run as such."""
        return self.study.blocks and self.round_apart is None

    @property
    def round_apart(self) -> tuple[int, int] | None:
        """A round whose mounts lie so many days apart that they share no day, and how many; None where there is none.

        Rounds are days as they were run, never by number alone (METHODS, "Candidates and days").
        """
        days: dict[int, list[dt.date]] = {}
        for _, m in self.mounts:
            begun = next((r.started_at for r in m.live_runs if r.started_at), None)
            if begun and not m.control and not m.left_out:
                days.setdefault(m.round, []).append(dt.date.fromisoformat(begun[:10]))
        worst = max((((max(d) - min(d)).days, n) for n, d in days.items()), default=(0, 0))
        return (worst[1], worst[0]) if worst[0] > ONE_ROUND_DAYS else None

    def first_rounds(self, n: int) -> Evidence:
        """The mounts of each candidate's first n rounds."""
        rounds: dict[str, set[int]] = {}
        for name, m in self.mounts:
            rounds.setdefault(name, set()).add(m.round)
        return replace(self, mounts=[(name, m) for name, m in self.mounts if m.round in sorted(rounds[name])[:n]])

    def margin_of(self, outcome: Outcome, level: float) -> float | None:
        """The smallest difference that matters by an outcome, at the level that its values have: the study's word first."""
        said = self.study.plan.get("matters", {}).get(outcome.key)
        return float(said) if said is not None else outcome.margin(self.study.margin_k, level)

    def typical_tau_s(self, trace: str) -> float | None:
        """The median time constant of a rise in the recorded runs, s; 0 where it follows at once, None where none tells it."""
        found = [
            0.0 if t.fast else t.warm_up.tau_s
            for r in self.results.values()
            for one in (r, *r.steps)
            if (t := one.traces.get(trace)) is not None and (t.fast or t.warm_up.tau_s is not None)
        ]
        known = [x for x in found if x is not None]
        return float(np.median(known)) if known else None

    def typical_power(self, part: str, condition: str | None) -> float | None:
        """The median of the powers that make a part's rise under a condition, in whole watts; None where none is known."""
        values = [
            p
            for _, m in self.mounts
            for r in m.live_runs
            if (one := self.results[r.id].at(condition)) is not None and (p := one.power_for(part)) is not None
        ]
        return float(round(float(np.median(values)))) if values else None


def mounts_of(study: Study) -> Mounts:
    """A study's mounts with a run, with their candidates; one that is only planned is no evidence yet."""
    return [(c.name, m) for c in study.live_candidates for m in c.live_mounts if m.live_runs]
