"""Runs that are hard to read, on plants of their own: coarse sensors, a second slow part, fans that switch, long loops.

Each plant is an ordinary differential equation or a closed form, not the simulated bench; its equilibrium is known.
"""

from __future__ import annotations

import sys
from collections.abc import Callable, Iterator
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import KuffinError
from kuffin.core.settle import Settling, settle

Array = NDArray[np.float64]

IDLE_S = 120.0


@dataclass
class Hard:
    """One run: its channels, and what coolant over air and die over coolant come to."""

    times: Array
    die: Array
    coolant: Array
    air: Array
    power: Array
    coolant_k: float
    die_k: float
    judged: bool = True
    told: dict[str, float] = field(default_factory=dict)


def _course(rng: np.random.Generator, hours: float, second: tuple[float, float] | None = None) -> Hard:
    """A warm-up in closed form; `second`: a slow part's share of the rise, and its time constant over the first one's."""
    t = np.arange(0.0, IDLE_S + 3600 * hours, 2.0)
    tau, rise, over = rng.uniform(250, 700), rng.uniform(6, 14), rng.uniform(12, 40)
    on = np.maximum(t - IDLE_S, 0.0)
    up = 1 - np.exp(-on / tau)
    if second is not None:
        share, ratio = second
        up = (1 - share) * up + share * (1 - np.exp(-on / (ratio * tau)))
    power = np.where(t < IDLE_S, 20.0, 200.0)
    air = 21.0 + 0.1 * np.sin(2 * np.pi * t / rng.uniform(1500, 4000)) + rng.uniform(0, 1)
    felt = np.empty(t.size)  # the coolant feels the room after its own lag
    felt[0] = x = air[0]
    for i, a in enumerate(air[1:], 1):
        x += 2.0 / tau * (a - x)
        felt[i] = x
    coolant = felt + rise * up
    die = coolant + over * (1 - np.exp(-on / 8))
    return Hard(t, die, coolant, air, power, rise, over, told={"tau": tau})


def _noisy(rng: np.random.Generator, h: Hard, die: float = 0.4, probe: float = 0.03) -> Hard:
    n = h.times.size
    h.die, h.coolant = h.die + rng.normal(0, die, n), h.coolant + rng.normal(0, probe, n)
    h.air, h.power = h.air + rng.normal(0, probe, n), h.power + rng.normal(0, 0.8, n)
    return h


def coarse(rng: np.random.Generator) -> Hard:
    """Sensors that tell whole or half degrees, without noise that would blur the step."""
    h = _course(rng, rng.uniform(0.75, 1.5))
    q = float(rng.choice([0.5, 1.0]))
    offset = rng.uniform(0, q, 3)
    h.die, h.coolant, h.air = (
        np.round((x + o) / q) * q - o for x, o in zip((h.die, h.coolant, h.air), offset, strict=True)
    )
    h.power = h.power + rng.normal(0, 0.5, h.times.size)
    return h


def second_part(rng: np.random.Generator) -> Hard:
    """A heavy radiator or a large reservoir: 3 to 10 % of the rise comes 4 to 10 times as slowly."""
    h = _course(rng, rng.uniform(1.0, 2.0), (rng.uniform(0.03, 0.10), rng.uniform(4, 10)))
    return _noisy(rng, h)


def one_part(rng: np.random.Generator) -> Hard:
    """The same without a second part: what allowing for one costs."""
    return _noisy(rng, _course(rng, rng.uniform(1.0, 2.0)))


def switching_fans(rng: np.random.Generator) -> Hard:
    """Fans that go between two speeds by the coolant's temperature, with a hysteresis."""
    dt, c = 1.0, rng.uniform(6000, 14000)
    low_g, high_g, power = 13.0, rng.uniform(20, 28), 200.0
    air = 21.0
    middle = air + 0.5 * (power / low_g + power / high_g)
    width = rng.uniform(0.5, 2.5)
    n = int(IDLE_S + 3600 * rng.uniform(1.0, 1.6))
    t = np.arange(n) * dt
    x, fast, over = air + 1.0, False, rng.uniform(15, 35)
    out = np.empty(n)
    for i in range(n):
        fast = x > middle + width / 2 or (fast and x > middle - width / 2)
        x += dt / c * ((20.0 if t[i] < IDLE_S else power) - (high_g if fast else low_g) * (x - air))
        out[i] = x
    late = out[t > t[-1] - 1800]
    crossings = np.flatnonzero(np.diff((late > late.mean()).astype(int)) > 0)
    whole = late[crossings[0] : crossings[-1]] if crossings.size > 2 else late
    on = np.maximum(t - IDLE_S, 0.0)
    die = out + over * (1 - np.exp(-on / 8))
    h = Hard(t, die, out, np.full(n, air), np.where(t < IDLE_S, 20.0, power), float(whole.mean()) - air, over)
    return _noisy(rng, h)


def long_loops(rng: np.random.Generator) -> Hard:
    """A load in passes of 300 to 600 s with long pauses, fewer than four of them: nothing to read."""
    period, duty, tau, rise, over = rng.uniform(300, 600), rng.uniform(0.5, 0.8), rng.uniform(250, 600), 10.0, 30.0
    passes = rng.uniform(1.6, 3.8)
    t = np.arange(0.0, IDLE_S + passes * period, 2.0)
    on = (t >= IDLE_S) & (((t - IDLE_S) % period) < duty * period)
    power = np.where(on, 200.0, 25.0)
    coolant, die = np.empty(t.size), np.empty(t.size)
    x, d = 0.0, 0.0
    for i, p in enumerate(power):
        x += 2.0 / tau * (rise * p / 200 - x)
        d += 2.0 / 8 * (over * p / 200 - d)
        coolant[i], die[i] = 21 + x, 21 + x + d
    return _noisy(rng, Hard(t, die, coolant, np.full(t.size, 21.0), power, np.nan, np.nan, judged=False))


KINDS: dict[str, Callable[[np.random.Generator], Hard]] = {
    "coarse sensors": coarse,
    "a second slow part": second_part,
    "one part only": one_part,
    "fans that switch": switching_fans,
    "long loops": long_loops,
}


def readings(kind: str, runs: int, seed: int = 5) -> Iterator[tuple[str, Hard, Settling | None]]:
    """Each run's two traces as they are read; None where Kuffin says that it cannot."""
    for i in range(runs):
        h = KINDS[kind](np.random.default_rng([seed, i]))
        for trace, response, over in (("coolant", h.coolant, h.air), ("die", h.die, h.coolant)):
            try:
                yield trace, h, settle(h.times, response, over=over, load=h.power, air=h.air)
            except KuffinError:
                yield trace, h, None


def report(runs: int = 60) -> None:
    """Print how often intervals hold, steps are imagined, and what cannot be judged is said to be so."""
    print(f"hard runs, {runs} of each kind")
    for kind in KINDS:
        for trace in ("coolant", "die"):
            rows = [(h, f) for name, h, f in readings(kind, runs) if name == trace]
            told = [(h, f) for h, f in rows if f is not None]
            said = f"  {kind:20} {trace:8} read {len(told):3}"
            if told and told[0][0].judged:
                true = np.array([h.coolant_k if trace == "coolant" else h.die_k for h, _ in told])
                settled = np.array([f.settled for _, f in told])
                for name in ("value", "final"):
                    off = np.array([getattr(f, name) for _, f in told]) - true
                    u95 = np.array([f.u95 if name == "value" else f.final_u95 for _, f in told])
                    said += f"; {name}: held {100 * np.mean(np.abs(off) <= u95):5.1f} %, bias {off.mean():+.2f}, ± {np.median(u95):.2f} K"
                said += (
                    f"; settled {100 * settled.mean():3.0f} %; steps {sum(f.load.step_s is not None for _, f in told)}"
                )
            elif told:
                said += f"; farthest {max(abs(f.value - (30 if trace == 'die' else 10)) for _, f in told):.1f} K"
            print(said, flush=True)


if __name__ == "__main__":
    report(*(int(a) for a in sys.argv[1:2]))
