"""The figures by which a mount is held against its siblings."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.findings.recorded import COOLANT, Recorded, mean_of

Array = NDArray[np.float64]
OF_RUN = ("idle_power", "idle_die_over_coolant")  # what a run has once, whatever its conditions
_IDLE = 0.4  # of the load's power


def figures(run: Recorded) -> dict[str, float]:
    """A run's figures in its window; those whose channels are missing are left out.

    Rises are given per watt (K/W), so that mounts at another power can stand beside it: ``R = ΔT/P``
    (docs/methods.md, “Heat path”).

    Returns
    -------
    dict
        ``die_over_coolant``, ``coolant_over_air``, ``hot_spot_over_die`` (K/W); ``core_spread`` (K); ``flow`` (L/h);
        ``pump``, ``fan`` (rpm); ``power``, ``idle_power`` (W); ``rest`` (K, see `at_rest`); ``idle_die_over_coolant`` (K);
        ``hottest_over_coolant``, ``level_over_coolant`` (K/W; the level exceeded 1 % of the time); ``energy`` (Wh).

    >>> from kuffin.core.bench.devices import ChannelRole
    >>> t = np.arange(0.0, 1200.0, 2.0)
    >>> told = {"Die": 60.0, "Coolant": 30.0, "Power": 200.0, "Flow": 150.0}
    >>> roles = [("Die", "die"), ("Coolant", "coolant_in"), ("Power", "power"), ("Flow", "flow")]
    >>> run = Recorded(
    ...     times=t,
    ...     values={name: np.full(t.size, x) for name, x in told.items()},
    ...     roles=tuple(ChannelRole(name, role) for name, role in roles),
    ...     window_s=(600.0, 1200.0),
    ... )
    >>> {k: round(x, 3) for k, x in figures(run).items()}
    {'die_over_coolant': 0.15, 'flow': 150.0, 'power': 200.0, 'level_over_coolant': 0.15}
    """
    inside = run.windowed()
    out: dict[str, float] = {}

    def keep(key: str, value: float | None) -> None:
        if value is not None and np.isfinite(value):
            out[key] = value

    power = mean_of(run.load(), inside)
    heat = mean_of(run.heating(), inside)
    die, coolant, air, hot = run.mean("die"), run.get(*COOLANT), run.air(), run.get("hot_spot")
    if power is not None and power > 1:
        keep("die_over_coolant", _rise(run, "die_over_coolant", die, coolant, inside, power))
        if heat is not None and heat > 1:
            keep("coolant_over_air", _rise(run, "coolant_over_air", coolant, air, inside, heat))
        if hot is not None and die is not None:
            gap = mean_of(hot - die, inside)
            keep("hot_spot_over_die", None if gap is None else gap / power)
    keep("core_spread", core_spread(run))
    for key in ("flow", "pump", "fan"):
        keep(key, mean_of(run.get(key), inside))
    keep("power", power)
    idle = mean_of(run.load(), run.idle())
    if idle is not None and (power is None or idle < _IDLE * power):  # else a lower step of a sweep stood before it
        keep("idle_power", idle)
        if die is not None and coolant is not None:
            keep("idle_die_over_coolant", mean_of(die - coolant, run.idle()))
    if die is not None and coolant is not None:
        cores = [m for n in run.names("die") if (m := mean_of(run.clean(n) - coolant, inside)) is not None]
        if power is not None and power > 1 and len(cores) > 1:
            keep("hottest_over_coolant", max(cores) / power)
        if power is not None and power > 1:
            over = (die - coolant)[inside]
            seen = over[np.isfinite(over)]
            keep("level_over_coolant", float(np.percentile(seen, 99)) / power if seen.size >= 100 else None)
    keep("energy", energy_wh(run))
    keep("rest", at_rest(run))
    return out


def _rise(
    run: Recorded, trace: str, part: Array | None, base: Array | None, inside: NDArray[np.bool_], power: float
) -> float | None:
    settled = run.traces.get(f"{trace}_per_watt")
    if settled is not None:
        return settled.value
    plain = run.traces.get(trace)
    if plain is not None:
        return plain.value / power
    if part is None or base is None:
        return None
    gap = mean_of(part - base, inside)
    return None if gap is None else gap / power


def energy_wh(run: Recorded) -> float | None:
    """What the load drew from its beginning to its end, Wh: ``∫P dt``; None where its beginning was not seen."""
    power, begin = run.load(), run.load_start_s
    if power is None or begin is None:
        return None
    inside = (run.times >= begin) & (run.times <= run.load_end_s) & np.isfinite(power)
    if np.count_nonzero(inside) < 5:
        return None
    return float(np.trapezoid(power[inside], run.times[inside])) / 3600


def core_spread(run: Recorded) -> float | None:
    """Hottest core less coolest in the window, K; None with fewer than two dies."""
    inside = run.windowed()
    means = [m for n in run.names("die") if (m := mean_of(run.clean(n), inside)) is not None]
    return max(means) - min(means) if len(means) > 1 else None


def at_rest(run: Recorded) -> float | None:
    """Coolant over air that no heat explains, K: the intercept of the line through idle and load.

    ``ΔT_idle − R·P_idle`` with ``R`` from idle and load together: a radiator's rise is proportional to its heat, so the
    line of rise against power goes through nothing. What is left is an offset of the probes, or air at the intake that
    is warmer than the air probe says.

    >>> at_rest(Recorded(times=np.arange(60.0), values={}, roles=())) is None  # nothing tells it
    True
    """
    coolant, air, power = run.get(*COOLANT), run.air(), run.heating()
    settled = run.traces.get("coolant_over_air")
    if coolant is None or air is None or power is None:
        return None
    idle, inside = run.idle(), run.windowed()
    rise_idle, p_idle, p_load = mean_of(coolant - air, idle), mean_of(power, idle), mean_of(power, inside)
    rise_load = settled.value if settled is not None else mean_of(coolant - air, inside)
    if (
        rise_idle is None
        or p_idle is None
        or p_load is None
        or rise_load is None
        or p_load < 2 * p_idle
        or p_load <= max(p_idle, 0.0)
    ):
        return None
    return rise_idle - (rise_load - rise_idle) / (p_load - p_idle) * p_idle
