"""Hostile truths: what is said where the truth is none that the method would have drawn.

- One candidate scatters 1 to 5 times as far as the others: how often anything is called cooler where all are the same, and how many mounts
  of each find a true difference, for the spreads that may be chosen (shared by all, each its own, moderated as the window does it).
- Heavy tails (Student's t with 3 degrees of freedom) and a mount in ten that is bad by 3 scatters.
- Whole degrees, read of candidates that are the same, at the edge between two.
- Six sound mounts in place, tested again five times beside a control that scatters as they do.
"""

from __future__ import annotations

from collections.abc import Callable
from itertools import product

import numpy as np

from benchmarks.ageing import DAYS
from kuffin.core.base.errors import CompareError
from kuffin.core.compare import Comparison, MountValue, compare
from kuffin.core.compare.ageing import AgedReading, ageing

STUDIES = 200
Draw = Callable[[np.random.Generator, int], np.ndarray]


def study(
    rng: np.random.Generator, draws: list[Draw], mounts: list[int], levels: list[float], rounds: bool, **how: object
) -> Comparison:
    """One study; `draws` give each candidate's mounts about its level."""
    day = rng.normal(0, 1.0, max(mounts)) if rounds else np.zeros(max(mounts))
    values = [
        MountValue(
            candidate=f"C{i}",
            mount=f"C{i} {j}",
            value=level + float(x) + float(day[j]),
            round=str(j) if rounds else None,
        )
        for i, (draw, n, level) in enumerate(zip(draws, mounts, levels, strict=True))
        for j, x in enumerate(draw(rng, n))
    ]
    return compare(values, **how)  # type: ignore[arg-type]


def normal(sd: float) -> Draw:
    """Mounts that scatter normally."""
    return lambda rng, n: rng.normal(0, sd, n)


def share_told(
    draws: list[Draw], mounts: list[int], rounds: bool, spread: str, seed: int, studies: int = STUDIES
) -> float:
    """How often anything is called lower of candidates that are the same."""
    rng, told = np.random.default_rng(seed), 0
    for _ in range(studies):
        try:
            found = study(rng, draws, mounts, [0.0] * len(draws), rounds, spread=spread)
        except CompareError:
            continue
        told += any(p.settled for p in found.pairs)
    return told / studies


def report() -> None:
    """Print the figures."""
    print("called cooler where all are the same, one of four scattering r times as far (aim 6 % up to 3, 8 % at 5):")
    for mounts, rounds in (([3] * 4, False), ([3] * 4, True), ([5] * 4, True), ([3, 6, 6, 6], False), ([2] * 4, False)):
        cells = []
        for r, spread in product((1, 3, 5), ("pooled", "moderated") if rounds else ("pooled", "separate", "moderated")):
            share = share_told([normal(r), *[normal(1.0)] * 3], mounts, rounds, spread, 11)
            cells.append(f"{spread[:4]} ×{r} {100 * share:.1f}")
        print(f"  mounts {mounts}{' in rounds' if rounds else ''}: " + ", ".join(cells))
    for name, draw in (
        ("heavy tails", lambda rng, n: rng.standard_t(3, n) / np.sqrt(3)),
        ("one mount in ten bad by 3 scatters", lambda rng, n: rng.normal(0, 1, n) + 3.0 * (rng.random(n) < 0.1)),
    ):
        shares = [share_told([draw] * 4, [4] * 4, True, s, 12) for s in ("pooled", "moderated")]
        print(f"  {name}: pooled {100 * shares[0]:.1f} %, moderated {100 * shares[1]:.1f} % (aim 6 %)")
    print("mounts of each to find 2.6 scatters in 80 %, equal spreads (aim: under half a mount more):")
    for rounds, spread in product((False, True), ("pooled", "moderated")):
        found = []
        for n in range(3, 9):
            rng = np.random.default_rng(13)
            hits = 0
            for _ in range(STUDIES // 2):
                one = study(rng, [normal(1.0)] * 4, [n] * 4, [2.6, 0, 0, 0], rounds, spread=spread)
                hits += sum(p.settled for p in one.pairs if "C0" in {p.a, p.b}) / 3
            found.append(hits / (STUDIES // 2))
        print(f"  {spread}{' in rounds' if rounds else ''}: {np.interp(0.8, found, range(3, 9)):.2f}")
    rng, told = np.random.default_rng(14), 0
    for _ in range(STUDIES):
        a, b = np.round(rng.normal(61.5, 0.1, 2)), np.round(rng.normal(61.5, 0.1, 2))
        half = 1.96 / np.sqrt(6)  # as the window has it of a figure in whole degrees
        values = [
            MountValue(candidate=c, mount=f"{c}{i}", value=float(x), half=half)
            for c, xs in (("A", a), ("B", b))
            for i, x in enumerate(xs)
        ]
        told += any(p.settled for p in compare(values).pairs)
    print(f"the same, at the edge of a whole degree, two mounts each: told in {100 * told / STUDIES:.1f} % (aim 5 %)")
    rng, ever = np.random.default_rng(15), 0
    for _ in range(STUDIES):
        control = rng.normal(0, 0.15, DAYS.size)
        y = rng.normal(0, 0.15, (6, DAYS.size)) - (control - control[0])
        ever += any(
            f.aged
            for upto in range(4, DAYS.size + 1)
            for f in ageing(
                {
                    str(i): [
                        AgedReading(days=float(d), value=float(v), u95=0.05)
                        for d, v in zip(DAYS[:upto], y[i], strict=False)
                    ]
                    for i in range(6)
                }
            ).values()
        )
    print(f"ageing ever said of six sound mounts in five rechecks: {100 * ever / STUDIES:.1f} % of studies (aim 5 %)")


if __name__ == "__main__":
    report()
