"""Ageing told and not told: drawn studies of half a year on a bench that moves.

Each study: two candidates and a baseline left in place, read at 0, 1, 7, 30, 60, 90, 120 and 180 days (some rechecks missed). The
bench moves by a step of 0.3 to 2 K at some time and drifts besides; what moves it goes with the level of each, which differ. In a third
of the studies neither candidate ages; else one does by 1 K, along the logarithm of time or in a step. Told by the function that the
window calls.
"""

from __future__ import annotations

import numpy as np

from kuffin.core.compare.ageing import AgedReading, ageing, less_baseline, log_time

STUDIES, AGED_K = 300, 1.0
COULD = 0.6  # of what it is: with so narrow an interval it would be found nine times of ten
DAYS = np.array([0.0, 1.0, 7.0, 30.0, 60.0, 90.0, 120.0, 180.0])


def study(rng: np.random.Generator) -> dict[str, tuple[bool, bool, bool]]:
    """One study: by candidate, whether it ages, whether that is told, and whether 1 K could have been seen."""
    keep = np.concatenate([[True], rng.random(DAYS.size - 1) > 0.15])
    days = DAYS[keep]
    if days.size < 5:
        days = DAYS
    scatter = float(rng.uniform(0.06, 0.3))  # from day to day, of the same mount
    levels = {"baseline": 40.0, "A": float(rng.uniform(34, 46)), "B": float(rng.uniform(34, 46))}
    moves = rng.uniform(0.3, 2.0) * rng.choice([-1, 1]) * (days > rng.uniform(0, 180))
    moves = (moves + rng.normal(0, 0.4) * days / 180) / 40.0
    ages = {"A": bool(rng.random() < 2 / 3), "B": False, "baseline": False}
    step = rng.random() < 0.4
    shape = (days > rng.uniform(1, 120)).astype(float) if step else log_time(days) / log_time(180.0)
    read = {
        n: level * (1 + moves) + (AGED_K * shape if ages[n] else 0.0) + rng.normal(0, scatter, days.size)
        for n, level in levels.items()
    }
    u95 = 1.96 * 0.05 * np.sqrt(2)
    rows = {
        n: [
            AgedReading(days=float(d), value=less[0], u95=float(u95), unlike=less[1])
            for d, less in (
                (d, less_baseline(float(y), float(read[n][0]), float(b), float(read["baseline"][0])))
                for d, y, b in zip(days, read[n], read["baseline"], strict=True)
            )
        ]
        for n in ("A", "B")
    }
    found = ageing(rows)
    return {n: (ages[n], found[n].aged, found[n].half < COULD * AGED_K) for n in rows}


def report() -> None:
    """Print the figures."""
    rng = np.random.default_rng(19)
    told = [one for _ in range(STUDIES) for one in study(rng).values()]
    steady = [t for aged, t, _ in told if not aged]
    aged = [t for aged, t, could in told if aged and could]
    print(
        f"a move of the bench told as ageing: {sum(steady)} of {len(steady)} ({100 * np.mean(steady):.1f} %, aim 5 %)"
    )
    print(
        f"1 K of ageing found where the interval could show it: {sum(aged)} of {len(aged)} ({100 * np.mean(aged):.1f} %, "
        "aim 90 %)"
    )


if __name__ == "__main__":
    report()
