"""In which order mounts are made: rounds, randomised within, with baseline retests and whole plots."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from itertools import pairwise

import numpy as np

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import counted, tr

_DRAWS = 60


@dataclass(frozen=True)
class Slot:
    """One mount in the order: who, in which round, and whether it only watches the bench."""

    candidate: str
    round: int
    control: bool = False


@dataclass(frozen=True, kw_only=True)
class Fairness:
    """How even an order is.

    Attributes
    ----------
    mean_place : dict
        Each candidate's mean place within its rounds, from 0 (first) to 1 (last).
    worst_gap : float
        The largest difference between two of them: the share of a drift within a round that lands in a difference.
    early, late : str
        The candidates with that difference.
    repeats : int
        How often a candidate comes twice running.
    uneven_rounds : tuple of int
        Rounds that lack a candidate or hold one twice.
    """

    mean_place: dict[str, float]
    worst_gap: float
    early: str
    late: str
    repeats: int
    uneven_rounds: tuple[int, ...]

    def sentence(self) -> str:
        """What the order costs in fairness, in words."""
        parts = []
        if self.worst_gap > 0.01:
            parts.append(
                tr(
                    "{early} tends to come earlier than {late}: a bench that drifts by 1 K within a "
                    "round would put {worst_gap:.2f} K between them",
                    early=self.early,
                    late=self.late,
                    worst_gap=self.worst_gap,
                )
            )
        else:
            parts.append(tr("all candidates come equally early and late, so a steady drift within a round cancels"))
        if self.repeats:
            parts.append(
                counted(
                    self.repeats, "a candidate comes twice running once", "a candidate comes twice running {n} times"
                )
            )
        if self.uneven_rounds:
            which = ", ".join(map(str, self.uneven_rounds))
            parts.append(
                counted(
                    len(self.uneven_rounds),
                    "round {which} cannot serve as a block: not every candidate comes once",
                    "rounds {which} cannot serve as blocks: not every candidate comes once",
                    which=which,
                )
            )
        return "; ".join(parts) + "."


def out_of_step(
    slots: Sequence[Slot], candidates: Sequence[str], rounds: int, baseline: str | None = None
) -> list[str]:
    """What an order lacks of a plan that was changed after it was drawn; empty where it fits.

    Parameters
    ----------
    slots : sequence of Slot
        The order; empty for none, which lacks nothing.
    candidates : sequence of str
        The baseline among them, if there is one.
    rounds : int
        As planned now.
    """
    if not slots:
        return []
    tested = [n for n in candidates if n != baseline]
    found = [tr("{n} is not in it", n=n) for n in tested if not any(s.candidate == n for s in slots)]
    last = max(s.round for s in slots)
    if last != rounds:
        found.append(
            counted(
                rounds,
                "it has {has}, {n} is planned",
                "it has {has}, {n} are planned",
                has=counted(last, "{n} round", "{n} rounds"),
            )
        )
    if baseline is not None and not any(s.candidate == baseline and s.control for s in slots):
        found.append(tr("{baseline} does not come between the rounds, as a baseline should", baseline=baseline))
    return found


def controls_after(rounds: int, every: int) -> list[int]:
    """After which rounds the baseline is mounted again; 0 is the start, and the end always counts."""
    return sorted({0, rounds, *range(every, rounds, every)}) if every > 0 else [0, rounds]


def plan_order(
    candidates: Sequence[str],
    rounds: int,
    seed: int,
    *,
    baseline: str | None = None,
    control_every: int = 2,
    plots: Mapping[str, str] | None = None,
    minutes: Mapping[tuple[str, str], float] | None = None,
    done: Sequence[Slot] = (),
) -> list[Slot]:
    """Draw an order: randomised complete blocks.

    Each round holds each candidate once, in random order; no candidate comes twice running across a boundary (but of
    two candidates one would then always come first, so there ABBA is allowed); the baseline is mounted at the start,
    at the end and between. Of a number of such draws the evenest is taken, and of equally even ones the quickest; the
    draw treats all candidates alike.

    Parameters
    ----------
    candidates : sequence of str
        The baseline among them, if there is one; it then stands in no round of its own.
    rounds : int
    seed : int
    baseline : str, optional
    control_every : int
        After how many rounds the baseline comes again.
    plots : mapping of candidate to level, optional
        Where changing one factor costs much more (a coolant against a pump speed): candidates of one level stay
        together within a round (whole plots), in random order, and the levels are in random order.
    minutes : mapping of (from, to) to minutes, optional
        What each change-over takes.
    done : sequence of Slot
        What is done already, in its order: it stays at the front, and only what its rounds lack is drawn.

    Raises
    ------
    BenchError
        With fewer than two candidates, two of one name, no round, or a baseline that is none of the candidates.

    >>> [s.candidate for s in plan_order(["Reed", "Rush"], 1, seed=1)]
    ['Reed', 'Rush']
    """
    names = list(candidates)
    if len(set(names)) != len(names):
        raise BenchError("two candidates have the same name; give each its own")
    if baseline is not None and baseline not in names:
        raise BenchError("the baseline {baseline} is none of the candidates", baseline=baseline)
    tested = [n for n in names if n != baseline]
    if len(tested) + (baseline is not None) < 2:
        raise BenchError("a comparison takes at least two candidates; add one on the Plan desk")
    if not 1 <= rounds <= 200:
        raise BenchError("plan between 1 and 200 mounts of each candidate")
    rng = np.random.default_rng(seed)
    best: tuple[float, float, list[Slot]] | None = None
    for _ in range(_DRAWS):
        drawn = _with_controls(_rounds(tested, rounds, rng, plots, done), rounds, baseline, control_every, done)
        score = (round(fairness(drawn).worst_gap, 9), change_over_minutes(drawn, minutes))
        if best is None or score < best[:2]:
            best = (*score, drawn)
    assert best is not None
    return best[2]


def _rounds(
    tested: Sequence[str], rounds: int, rng: np.random.Generator, plots: Mapping[str, str] | None, done: Sequence[Slot]
) -> list[list[str]]:
    """What is still to be drawn of each round."""
    out: list[list[str]] = []
    last = done[-1].candidate if done else ""
    everyone = tested
    for number in range(1, rounds + 1):
        there = {s.candidate for s in done if s.round == number and not s.control}
        tested = [n for n in everyone if n not in there]
        if not tested:
            out.append([])
            continue
        for _attempt in range(100):
            if plots:
                levels = sorted({plots.get(n, "") for n in tested})
                drawn = [
                    str(n)
                    for i in rng.permutation(len(levels))
                    for n in rng.permutation([t for t in tested if plots.get(t, "") == levels[i]])
                ]
            else:
                drawn = [str(n) for n in rng.permutation(list(tested))]
            if len(tested) < 2 or len(everyone) < 3 or drawn[0] != last:
                break
        out.append(drawn)
        last = drawn[-1]
    return out


def _with_controls(
    drawn: list[list[str]], rounds: int, baseline: str | None, every: int, done: Sequence[Slot]
) -> list[Slot]:
    after = controls_after(rounds, every) if baseline is not None else []
    had = sum(1 for s in done if s.candidate == baseline)
    after = after[had:]  # the first ones were made already
    out = list(done)
    if baseline is not None and 0 in after:
        out.append(Slot(baseline, 1, control=True))
    for number, names in enumerate(drawn, 1):
        out += [Slot(n, number) for n in names]
        if baseline is not None and number in after:
            out.append(Slot(baseline, min(number + 1, rounds), control=True))
    return out


def change_over_minutes(order: Sequence[Slot], minutes: Mapping[tuple[str, str], float] | None) -> float:
    """What all change-overs of an order take together; an unknown one counts nothing."""
    if not minutes:
        return 0.0
    return sum(minutes.get((a.candidate, b.candidate), 0.0) for a, b in pairwise(order))


def fairness(order: Sequence[Slot]) -> Fairness:
    """How even an order is; retests of the baseline do not count."""
    counting = [s for s in order if not s.control]
    rounds: dict[int, list[str]] = {}
    for slot in counting:
        rounds.setdefault(slot.round, []).append(slot.candidate)
    places: dict[str, list[float]] = {}
    for names in rounds.values():
        for place, name in enumerate(names):
            places.setdefault(name, []).append(place / (len(names) - 1) if len(names) > 1 else 0.5)
    everyone = set(places)
    mean = {name: float(np.mean(p)) for name, p in places.items()}
    early = min(mean, key=lambda n: mean[n], default="")
    late = max(mean, key=lambda n: mean[n], default="")
    return Fairness(
        mean_place=mean,
        worst_gap=mean[late] - mean[early] if mean else 0.0,
        early=early,
        late=late,
        repeats=sum(a.candidate == b.candidate for a, b in pairwise(order)),
        uneven_rounds=tuple(
            sorted(r for r, names in rounds.items() if set(names) != everyone or len(names) != len(everyone))
        ),
    )


def moved(order: Sequence[Slot], source: int, target: int) -> list[Slot]:
    """The order with one mount moved to another place; it takes over the round of where it lands."""
    out = list(order)
    slot = out.pop(source)
    target = min(max(target, 0), len(out))
    neighbour = out[target - 1] if target > 0 else out[0] if out else slot
    if target < len(out) and target > 0 and out[target].round == slot.round:
        neighbour = out[target]
    out.insert(target, Slot(slot.candidate, neighbour.round, slot.control))
    return out
