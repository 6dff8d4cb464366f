"""What follows from doing what Next says: false “cooler” among identical candidates, and power, through the window's functions.

Each study is judged after every round; whoever is named by Next is mounted, until Next says to read the verdict, or for twice
the plan. Counted is what the line says then, and what it ever said at the end of a round.
"""

from __future__ import annotations

import os
import re
import sys
from collections import Counter
from collections.abc import Callable
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass, field
from typing import Any

import numpy as np

from benchmarks.studies import Bench, told_apart
from kuffin.said.line import verdict_line

SD_K = 0.5


@dataclass(frozen=True)
class Design:
    """One kind of study."""

    name: str
    k: int
    rounds: int
    blocks: bool = True
    baseline_every: int = 0
    samples: int = 1
    sample_sd: float = 0.0
    spread: tuple[float, ...] = ()
    apart_k: float = 0.0
    plan: dict[str, Any] = field(default_factory=dict)


DESIGNS = (
    Design("two, no rounds", 2, 3, blocks=False),
    Design("two, rounds", 2, 3),
    Design("three, no rounds", 3, 3, blocks=False),
    Design("four, rounds", 4, 3),
    Design("four, rounds of five", 4, 5),
    Design("six, rounds", 6, 4),
    Design("four and a baseline every second round", 5, 4, baseline_every=2),
    Design("three, two samples of each", 3, 4, samples=2, sample_sd=0.5),
    Design("four, one scatters four times as far", 4, 4, blocks=False, spread=(4.0, 1.0, 1.0, 1.0)),
    Design("four in rounds, one scatters four times as far", 4, 4, spread=(4.0, 1.0, 1.0, 1.0)),
)
POWERED = (
    Design("four, the best 1.5 K ahead of the next", 4, 4, apart_k=1.5),
    Design("the same and a baseline every second round", 5, 4, baseline_every=2, apart_k=1.5),
)


def follow(d: Design, seed: int) -> Counter[str]:
    """One study, followed to its end."""
    rng = np.random.default_rng(seed)
    names = list("ABCDEF"[: d.k])
    bench = Bench.of(
        names, d.rounds, blocks=d.blocks, plan=dict(d.plan), margin_k=0.05 if not d.apart_k else 1.0,
        baseline=names[-1] if d.baseline_every else None,
    )  # fmt: skip
    levels = {n: 10.0 + d.apart_k * (i > 0) for i, n in enumerate(names)}
    own = rng.normal(0, d.sample_sd, (d.k, d.samples))
    room = rng.normal(0, 0.3, 64) * d.blocks
    made: Counter[str] = Counter()

    def put(name: str, round_: int, control: bool = False) -> None:
        i = names.index(name)
        sample = made[name] % d.samples
        made[name] += 1
        sd = SD_K * (d.spread[i] if d.spread else 1.0)
        k = levels[name] + own[i, sample] + room[round_] + float(rng.normal(0, sd))
        bench.mount(name, round_, k, sample=None if d.samples == 1 else 10 * i + sample, control=control)

    tested = names[:-1] if d.baseline_every else names
    out: Counter[str] = Counter()
    for r in range(1, d.rounds + 1):  # the plan
        if d.baseline_every and (r == 1 or r % d.baseline_every == 1):
            put(names[-1], r, control=True)
        for n in rng.permutation(tested):
            put(str(n), r)
        if r > 1:
            v = bench.judge()
            out["ever"] |= told_apart(v, levels)
            if verdict_line(v).step.action == "compare":
                break
    for _ in range(2 * d.rounds * d.k):
        step = verdict_line(v).step
        wanted = re.match(r"(?:mount|fit) (.+), round (\d+)$", step.label)
        if step.action != "add" or wanted is None:
            break
        for name in re.split(", | and ", wanted[1]):
            put(name, int(wanted[2]))
        v = bench.judge()
        out["ever"] |= told_apart(v, levels)
        if int(wanted[2]) >= 2 * d.rounds:
            break
    out["end"] = told_apart(v, levels)
    found = v.main.comparison
    if d.apart_k and found is not None:
        mine = [p for p in found.pairs if "A" in {p.a, p.b}]
        out["right"] = all((p.verdict == "a_lower") if p.a == "A" else (p.verdict == "b_lower") for p in mine)
    out["mounts"] = sum(made.values())
    return out


def _many(job: tuple[Design, int, int]) -> Counter[str]:
    d, first, n = job
    total: Counter[str] = Counter()
    for seed in range(first, first + n):
        total.update({k: int(v) for k, v in follow(d, seed).items()})
    return total


def _each(designs: tuple[Design, ...], studies: int, say: Callable[[Design, Counter[str]], None]) -> None:
    with ProcessPoolExecutor(os.cpu_count()) as pool:
        for at, d in enumerate(designs):
            parts = [(d, 10_000 * (at + 1) + i * 25, 25) for i in range(max(studies // 25, 1))]
            total: Counter[str] = Counter()
            for part in pool.map(_many, parts):
                total.update(part)
            total["studies"] = 25 * len(parts)
            say(d, total)


def report(studies: int = 300) -> None:
    """Run and print."""
    print(f"Next followed, {studies} studies of each design (aim: at most 5 % false “cooler”)")

    def false(d: Design, n: Counter[str]) -> None:
        print(
            f"  {d.name:48} identical ones called cooler: at the end {100 * n['end'] / n['studies']:4.1f} %, ever at a round's "
            f"end {100 * n['ever'] / n['studies']:4.1f} %; {n['mounts'] / n['studies']:.1f} mounts",
            flush=True,
        )

    def power(d: Design, n: Counter[str]) -> None:
        print(
            f"  {d.name:48} the best told from all: {100 * n['right'] / n['studies']:4.1f} %; "
            f"{n['mounts'] / n['studies']:.1f} mounts",
            flush=True,
        )

    _each(DESIGNS, studies, false)
    _each(POWERED, studies, power)


if __name__ == "__main__":
    report(*(int(a) for a in sys.argv[1:2]))
