"""The figure that sums it up: who is named the winner, by hand and by Kuffin, on the same simulated studies.

Each study: two to six blocks, differences of 0 to 4 K at 200 W (in a third of the studies some or all are identical), mounts
that scatter by 0.3 to 1.2 K, one mount in twelve put together badly, a room that warms through the day and drifts in the run,
power that differs by a few per cent. Judged by

(a) practice by hand: one mount each, 30 min of load, the mean of the last 3 min, as read;
(b) the same over air; and, to compare hours, over air with as many mounts as (c) made;
(c) Kuffin, by the function that the window calls: up to eight rounds in random order, declared looks after three, five and eight;
    after a look only the leader and those not yet told apart from it are mounted again; the early check is followed by a remount; a mount that the check
    against siblings doubts is opened: a bad one shows in its print and is put together again, a sound one is kept and counts;
    runs until settled; die over coolant per watt; the verdict with a margin of 1 K, by the pairs of the leader over all pairs together;
(c) as proposed: the same, but mounted is what the Rounds page proposes, until it is known which is best or an answer has hardly a chance;
    declared looks after three, four, six and eight rounds, past these those of any plan, and 27 rounds at most.

What is neither named nor called alike abstains; of it is told where at least no other can be better by the margin.

Coverage is that of four full rounds, whatever was stopped when.
"""

from __future__ import annotations

import os
from collections import Counter
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass, field, replace
from functools import partial
from typing import Any

import numpy as np
from numpy.typing import NDArray

from benchmarks.studies import Bench
from kuffin.core.base.errors import KuffinError
from kuffin.core.compare import Comparison, MountValue, compare
from kuffin.core.compare.whichisbest import which_is_best
from kuffin.core.findings import CheckLimits, Sibling, against_siblings
from kuffin.core.findings.earlycheck import early_check, early_resistance, pooled_scatter
from kuffin.core.settle import settle
from kuffin.simulated.room import Room
from kuffin.simulated.sensors import Sensor
from kuffin.simulated.thermal import Loop, simulate
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.whatnext import MountMinutes, what_next

Array = NDArray[np.float64]

POWER_W, MARGIN_K, PLANNED, FULL = 200.0, 1.0, 8, 4
LOOKS, PROPOSED_LOOKS, MOST_ROUNDS = (3, 5, 8), (3, 4, 6, 8), 27
CHANGE_OVER_MIN, IDLE_S, LOAD_S, BY_HAND_S = 40.0, 180.0, 2700.0, 1800.0
BAD = 1 / 12
_DIE, _COOLANT, _AIR, _POWER = (
    Sensor(noise=0.6, quantum=1.0),
    Sensor(noise=0.03, quantum=0.01),
    Sensor(noise=0.04, quantum=0.01),
    Sensor(noise=0.9, quantum=0.1),
)


@dataclass(frozen=True)
class Truth:
    """What is so in a study: die over coolant of each candidate, K at 200 W; the mounts' scatter, K."""

    names: tuple[str, ...]
    levels: Array
    scatter_k: float
    tau_s: float
    drift_k_h: float
    run_drift_k_h: float
    swing_k: float


def draw_truth(rng: np.random.Generator) -> Truth:
    """Draw a study."""
    k = int(rng.integers(2, 7))
    offsets = rng.uniform(0.0, 4.0, k)
    if rng.random() < 1 / 3:  # some or all identical
        many = int(rng.integers(2, k + 1))
        offsets[rng.permutation(k)[:many]] = rng.uniform(0.0, 4.0)
    return Truth(
        tuple("ABCDEF"[:k]),
        30.0 + offsets - offsets.min(),
        float(rng.uniform(0.3, 1.2)),
        float(rng.uniform(250, 800)),
        float(rng.uniform(0.2, 1.2)),
        float(rng.normal(0, 0.6)),
        float(rng.choice([0.0, 0.3])),
    )


@dataclass
class Mounted:
    """One mount with its recording; temperatures are in a room at 0 K over its own beginning."""

    level_k: float
    bad: bool
    times: Array
    die: Array
    coolant: Array
    air: Array
    power: Array


def mount(rng: np.random.Generator, t: Truth, i: int, bad: bool) -> Mounted:
    """Put a candidate together and record it."""
    level = t.levels[i] + float(rng.normal(0, t.scatter_k)) + (float(rng.uniform(3, 9)) if bad else 0.0)
    r = level / POWER_W
    power = POWER_W * (1 + float(rng.normal(0, 0.02)))
    loop = Loop(
        r_die=0.55 * r,
        r_block=0.45 * r,
        r_radiator=0.055,
        c_coolant=t.tau_s / 0.055 - 200,
        leakage=0.001,
        leakage_at_c=62.0,
    )
    times = np.arange(0.0, IDLE_S + LOAD_S, 1.0)
    room = Room(start_c=21.0, drift_k_h=t.run_drift_k_h, wander_k=0.08, hvac_k=t.swing_k, hvac_period_s=800.0)
    air = room.air(times, rng)
    demand = np.where(times < IDLE_S, 24.0, power)
    course = simulate(loop, times, demand, air)
    at = np.arange(0, times.size, 2)
    return Mounted(
        level,
        bad,
        times[at],
        _DIE.read(course.die[at], rng),
        _COOLANT.read(course.coolant[at], rng),
        _AIR.read(air[at], rng),
        _POWER.read(course.power[at], rng),
    )


def by_hand(m: Mounted, room_k: float) -> tuple[float, float]:
    """Thirty minutes, the mean of the last three: as read, and over air."""
    inside = (m.times > IDLE_S + BY_HAND_S - 180) & (m.times <= IDLE_S + BY_HAND_S)
    die, air = float(np.nanmean(m.die[inside])), float(np.nanmean(m.air[inside]))
    return die + room_k, die - air


def read(m: Mounted) -> tuple[float, float]:
    """Kuffin's reading, K at 200 W, and the minutes of load it took: until settled, measured for five minutes more."""
    whole = _settle(m, m.times[-1])
    end = m.times[-1] if whole.settled_at_s is None else min(whole.settled_at_s + 300.0 + 60.0, m.times[-1])
    found = whole if end >= m.times[-1] - 1 else _settle(m, end)
    return found.value * POWER_W, (end - IDLE_S) / 60


def _settle(m: Mounted, end: float) -> Any:
    keep = m.times <= end
    return settle(
        m.times[keep],
        m.die[keep],
        over=m.coolant[keep],
        per=m.power[keep],
        load=m.power[keep],
        air=m.air[keep],
        tolerance=0.2 / POWER_W * 2,
    )


@dataclass
class Outcome:
    """What one study came to, by each way."""

    counts: Counter[str] = field(default_factory=Counter)
    hours: dict[str, float] = field(default_factory=dict)


def study(seed: int, proposed: bool = False) -> Outcome:
    """Draw a study and judge it by all ways.

    Parameters
    ----------
    proposed : bool
        Whether (c) mounts what the Rounds page proposes, and stops where that says that more mounts are not worth it.
    """
    rng = np.random.default_rng(seed)
    t = draw_truth(rng)
    k = len(t.names)
    best = float(t.levels.min())
    true_best = {n for n, x in zip(t.names, t.levels, strict=True) if x < best + 1e-9}
    first = [[mount(rng, t, i, bool(rng.random() < BAD)) for i in range(k)] for _ in range(FULL)]
    out = Outcome()

    # (a) and (b): the first round, in the order of the names, the room warming through the day
    slot_h = (CHANGE_OVER_MIN + 33) / 60
    hand = [[by_hand(m, t.drift_k_h * slot_h * i) for i, m in enumerate(r)] for r in first]
    for way, at in (("a", 0), ("b", 1)):
        _named(out, way, t.names[int(np.argmin([h[at] for h in hand[0]]))], true_best, t)
        out.hours[way] = k * slot_h

    # (c)
    kept: list[MountValue] = []
    spoilt: list[bool] = []
    over_air: dict[str, list[float]] = {n: [] for n in t.names}
    minutes, done = 0.0, 0
    early: dict[str, list[float]] = {n: [] for n in t.names}
    stopped: Comparison | None = None
    full: Comparison | None = None
    open_ = list(range(k))
    looks, most = (PROPOSED_LOOKS, MOST_ROUNDS) if proposed else (LOOKS, PLANNED)
    for number in range(most):
        everyone = number < FULL  # for the coverage; what the verdict did not ask for costs no hours
        for i in rng.permutation(k if everyone else open_).tolist():
            name = t.names[i]
            m = first[number][i] if everyone else mount(rng, t, i, bool(rng.random() < BAD))
            counts = stopped is None and i in open_
            if counts:
                over_air[name].append(by_hand(m, 0.0)[1])
            for _ in range(3):
                minutes += (CHANGE_OVER_MIN + IDLE_S / 60) * counts
                done += counts
                seen = early_resistance(m.times, m.die, m.coolant, m.power, IDLE_S)
                assert seen is not None
                check = early_check(*seen, early[name], *pooled_scatter(list(early.values())), (60.0, 120.0))
                if check.state != "worse":
                    break
                minutes += 3 * counts
                m = mount(rng, t, i, bool(rng.random() < BAD))
            early[name].append(seen[0])
            value, took = read(m)
            minutes += took * counts
            kept.append(MountValue(candidate=name, mount=f"{name}{number}", value=value, round=str(number)))
            spoilt.append(m.bad)
        if number + 1 in {*looks, FULL} or number >= PLANNED:
            more_minutes, more = _remount(rng, t, kept, spoilt)
            if stopped is None:
                minutes, done = minutes + more_minutes, done + more
        if number + 1 == FULL:
            full = compare(kept, margin=MARGIN_K, confidence=0.95)
            out.counts["bad left"] = any(spoilt)
        if (number + 1 in looks or number >= PLANNED) and stopped is None:
            judged = as_the_window_judges(kept, looks)
            found = judged.main.comparison
            assert found is not None
            next_ = _proposed(judged) if proposed else _all_open(found)
            open_ = [i for i, n in enumerate(t.names) if n in next_]
            if not open_ or number + 1 == most:
                stopped = found
                out.hours["c"] = minutes / 60
                out.counts["c mounts"] = done
        if stopped is not None and full is not None:
            break
    assert stopped is not None and full is not None
    _kuffins(out, stopped, t, true_best, proposed)

    # over air with the mounts that (c) began with, bad ones and all: the means
    means = {n: float(np.mean(v)) for n, v in over_air.items()}
    _named(out, "b many", min(means, key=lambda n: means[n]), true_best, t)
    out.hours["b many"] = out.counts["c mounts"] * slot_h

    level = dict(zip(t.names, t.levels, strict=True))
    out.counts["held"] = all(p.low <= level[p.a] - level[p.b] <= p.high for p in full.pairs)
    out.counts["held, none bad"] = bool(out.counts["held"]) and not out.counts["bad left"]
    identical = [(p.a, p.b) for p in full.pairs if level[p.a] == level[p.b]]
    if identical:
        out.counts["with identical"] = 1
        told = which_is_best(stopped)
        named = proposed and told.answered and not told.alike and any(told.best in pair for pair in identical)
        out.counts["false lower"] = named or any(
            stopped.pair(a, b).verdict in {"a_lower", "b_lower"} for a, b in identical
        )
    return out


def _all_open(found: Comparison) -> set[str]:
    """The leader and all that are not told apart from it; nobody where there are none."""
    leader = min(found.candidates, key=lambda c: c.mean).name
    return {n for p in found.pairs if leader in {p.a, p.b} and not p.settled for n in (p.a, p.b)}


def _proposed(v: StudyVerdict) -> set[str]:
    """Who is mounted next by the Rounds page; nobody where it says that more mounts are not worth their hours."""
    told = what_next(v, MountMinutes(CHANGE_OVER_MIN + 40.0, "as here"))
    return set() if told is None or told.hardly else set(told.choices[0].names)


def as_the_window_judges(kept: list[MountValue], looks: tuple[int, ...] = LOOKS) -> StudyVerdict:
    """The verdict that the window shows of these mounts, with its own count of looks."""
    names = list(dict.fromkeys(v.candidate for v in kept))
    bench = Bench.of(names, PLANNED, blocks=True, plan={"looks": list(looks)}, margin_k=MARGIN_K)
    for v in kept:
        bench.mount(v.candidate, int(v.round or 0) + 1, v.value)
    return bench.judge()


def _remount(rng: np.random.Generator, t: Truth, kept: list[MountValue], spoilt: list[bool]) -> tuple[float, int]:
    """Mounts that stand apart and whose print is bad are put together once more; the minutes and mounts that takes."""
    minutes, n = 0.0, 0
    siblings = [
        Sibling(
            mount_id=i,
            candidate=v.candidate,
            label=v.mount,
            figures={"die_over_coolant": v.value / POWER_W},
            channels={},
        )
        for i, v in enumerate(kept)
    ]
    found = against_siblings(siblings, "block", POWER_W, CheckLimits())
    for i, told in found.items():
        if not told or kept[i].mount.endswith("again"):
            continue
        if not spoilt[i]:  # its print is sound: it stays; looking at it was part of the next change-over
            kept[i] = replace(kept[i], mount=kept[i].mount + " again")
            continue
        m = mount(rng, t, t.names.index(kept[i].candidate), bool(rng.random() < BAD))
        value, took = read(m)
        kept[i] = MountValue(
            candidate=kept[i].candidate, mount=kept[i].mount + " again", value=value, round=kept[i].round
        )
        spoilt[i] = m.bad
        minutes += CHANGE_OVER_MIN + IDLE_S / 60 + took
        n += 1
    return minutes, n


def _named(out: Outcome, way: str, name: str, true_best: set[str], t: Truth) -> None:
    if name not in true_best:
        out.counts[f"{way} wrong"] = 1
    elif len(true_best) > 1:
        out.counts[f"{way} among identical"] = 1
    else:
        out.counts[f"{way} right"] = 1


def _kuffins(out: Outcome, found: Comparison, t: Truth, true_best: set[str], proposed: bool) -> None:
    leader = min(found.candidates, key=lambda c: c.mean).name
    mine = [p for p in found.pairs if leader in {p.a, p.b}]
    level = dict(zip(t.names, t.levels, strict=True))
    told = which_is_best(found)
    if proposed and told.answered:
        if not told.alike:
            _named(out, "c", told.best, true_best, t)
        else:
            right = all(abs(level[n] - level[leader]) < MARGIN_K for n in told.alike)
            out.counts["c alike, rightly" if right else "c alike, wrongly"] = 1
    elif all(p.verdict in {"a_lower", "b_lower"} for p in mine):
        _named(out, "c", leader, true_best, t)
    elif all(p.settled for p in mine):
        near = [p for p in mine if p.verdict == "same"]
        right = all(abs(level[p.a] - level[p.b]) < MARGIN_K for p in near)
        out.counts["c alike, rightly" if right else "c alike, wrongly"] = 1
    else:
        out.counts["c abstains"] = 1
        if told.behind is not None:
            near = level[told.best] - min(level.values()) < MARGIN_K
            out.counts["c as good, rightly" if near else "c as good, wrongly"] = 1
        left = {leader, *(n for p in mine if p.verdict not in {"a_lower", "b_lower"} for n in (p.a, p.b))}
        if len(left) < len(t.names):
            out.counts["c narrowed"] = 1
            out.counts["c narrowed wrongly"] = not left & true_best


def one(seed: int, proposed: bool = False) -> Outcome | None:
    """A study, or None where it could not be judged (counted)."""
    try:
        return study(seed, proposed)
    except KuffinError:
        return None


def report(studies: int = 1000, seed: int = 1) -> None:
    """Run and print, as rounds are made by the leader and all that are open, and as the Rounds page proposes them."""
    seeds = range(seed * 100_000, seed * 100_000 + studies)
    with ProcessPoolExecutor(os.cpu_count()) as pool:
        for proposed in (False, True):
            print("\nas the Rounds page proposes:" if proposed else "the leader and all that are open, round by round:")
            _print(list(pool.map(partial(one, proposed=proposed), seeds, chunksize=5)))


def _print(found: list[Outcome | None]) -> None:
    done = [o for o in found if o is not None]
    total: Counter[str] = Counter()
    hours: Counter[str] = Counter()
    for o in done:
        total.update({k: int(v) for k, v in o.counts.items()})
        hours.update(o.hours)
    print(f"{len(done)} studies judged ({len(found) - len(done)} could not be)")
    for way, label in (
        ("a", "(a) by hand, as read"),
        ("b", "(b) by hand, over air"),
        ("b many", "(b) with as many mounts"),
        ("c", "(c) Kuffin"),
    ):
        right, wrong = total[f"{way} right"], total[f"{way} wrong"]
        said = f"{label}: winner right {right}, wrong {wrong}, one of identical ones named {total[f'{way} among identical']}"
        good = right
        if way == "c":
            said += (
                f", alike within {MARGIN_K:g} K rightly {total['c alike, rightly']}, wrongly {total['c alike, wrongly']}, "
                f"abstains {total['c abstains']} (of them some ruled out {total['c narrowed']}, the best among these "
                f"{total['c narrowed wrongly']}; no other better by {MARGIN_K:g} K rightly {total['c as good, rightly']}, wrongly "
                f"{total['c as good, wrongly']})"
            )
            good += total["c alike, rightly"]
        print(f"{said}; {hours[way] / len(done):.1f} h a study, {hours[way] / max(good, 1):.1f} h a right answer")
    wrong_c = total["c wrong"] + total["c among identical"]
    wrong_a = total["a wrong"] + total["a among identical"]
    print(
        f"wrong winners of (c) against (a): {wrong_c} / {wrong_a} = {wrong_c / max(wrong_a, 1):.3f} (aim 0.1 at most)"
    )
    print(f"95 % intervals over all pairs hold the truth in {100 * total['held'] / len(done):.1f} % (aim 93 to 97)")
    clean = len(done) - total["bad left"]
    print(
        f"  in the {clean} studies with no bad mount left unnoticed: {100 * total['held, none bad'] / max(clean, 1):.1f} %; in the "
        f"others {100 * (total['held'] - total['held, none bad']) / max(total['bad left'], 1):.1f} %"
    )
    print(
        f"a false “lower” among identical candidates in {100 * total['false lower'] / max(total['with identical'], 1):.1f} % "
        f"of {total['with identical']} studies (aim 5 at most)"
    )
    print(f"mounts made by (c): {total['c mounts'] / len(done):.1f} a study")
