"""Power, clock, flow and speeds while it ran: did they stay what they were?"""

from __future__ import annotations

from kuffin.core.boost import throttling
from kuffin.core.findings.finding import DOUBT, REMARK, Finding
from kuffin.core.findings.recorded import COOLANT, POWER, Recorded, mean_of, slope
from kuffin.core.findings.thresholds import Limits
from kuffin.core.heatbalance import closure, known_u
from kuffin.core.words import minutes, number


def power_drifts(run: Recorded, limits: Limits) -> list[Finding]:
    """Power's drift over the window."""
    power = run.get(*POWER)
    inside = run.windowed()
    level = mean_of(power, inside)
    if power is None or level is None or level <= 1 or run.window_s is None:
        return []
    found = slope(run.times, power, inside & run.loaded(), 8)
    if found is None:
        return []
    length = run.window_s[1] - run.window_s[0]
    share, limit = 100 * found[0] * length / level, limits.of("power_drift_percent")
    if abs(share) < limit or abs(found[0]) < 3 * found[1]:
        return []
    said = f"power {'rose' if share > 0 else 'fell'} by {number(abs(share), 1)} % ({number(abs(found[0]) * length, 0)} W) within the window"
    weight = DOUBT if abs(share) > 2 * limit else REMARK
    return [Finding("power drifts", said, weight, run.window_s, tuple(run.names(*POWER)[:1]), abs(share), limit, "%")]


def throttled(run: Recorded, limits: Limits) -> list[Finding]:
    """Clock lost while the temperature stands at its limit."""
    clock, die = run.get("clock"), run.get("hot_spot") if run.name("hot_spot") else run.get("die")
    if clock is None or die is None:
        return []
    found = throttling(run.times, die, clock, run.loaded())
    limit = limits.of("throttled_percent")
    if found is None or 100 * found.share < limit:
        return []
    said = (
        f"the clock fell from {number(found.clock_free_mhz, 0)} to {number(found.clock_held_mhz, 0)} MHz while the temperature stood at "
        f"{number(found.limit_c, 0)} °C, in {number(100 * found.share, 0)} % of the load from {minutes(found.since_s)} on"
    )
    channels = tuple(n for n in (run.name("hot_spot", "die"), run.name("clock")) if n)
    return [Finding("throttled", said, DOUBT, (found.since_s, run.load_end_s), channels, 100 * found.share, limit, "%")]


def sags(run: Recorded, limits: Limits) -> list[Finding]:
    """Flow or pump speed that falls over the load."""
    out: list[Finding] = []
    begin = run.state_start_s
    if begin is None or run.load_end_s - begin < 300:
        return out
    inside = (run.times >= begin + 60) & (run.times <= run.load_end_s)
    for role, kind, unit in (("pump", "pump sags", "rpm"), ("flow", "flow sags", "L/h")):
        x = run.get(role)
        level = mean_of(x, inside)
        if x is None or level is None or level <= 0:
            continue
        found = slope(run.times, x, inside)
        if found is None:
            continue
        length = run.load_end_s - begin - 60
        share, limit = -100 * found[0] * length / level, limits.of("sag_percent")
        if share < limit or -found[0] < 4 * found[1]:
            continue
        middle = (begin + 60 + run.load_end_s) / 2
        first, last = (level + found[0] * (at - middle) for at in (begin + 60, run.load_end_s))
        name = run.name(role) or role
        said = f"{name.lower()} fell from {number(first, 0)} to {number(last, 0)} {unit} over the load ({number(share, 0)} %)"
        out.append(Finding(kind, said, DOUBT, (begin, run.load_end_s), (name,), share, limit, "%"))
    return out


def open_balance(run: Recorded, limits: Limits) -> list[Finding]:
    """Heat into the coolant, by flow and two probes, against the electrical power."""
    cold, hot, flow, power = run.get("coolant_in"), run.get("coolant_out"), run.get("flow"), run.get("power")
    if cold is None or hot is None or flow is None or power is None:
        return []
    inside = run.windowed()
    t_in, t_out, v, p = (mean_of(x, inside) for x in (cold, hot, flow, power))
    if t_in is None or t_out is None or v is None or p is None or p <= 1 or v <= 0:
        return []
    pair, flow_u, power_u = known_u(limits.instruments, t_in, t_out, v, p)
    found = closure(
        t_in,
        t_out,
        v,
        p,
        glycol=limits.mix.glycol,
        share_percent=limits.mix.share_percent,
        pair_u_k=pair,
        flow_u=flow_u,
        power_u=power_u,
    )
    away = 100 * (abs(found.closure - 1) - found.closure_u95)
    limit = limits.of("closure_percent")
    if away < limit:
        return []
    said = (
        f"{number(found.heat_w, 0)} ± {number(found.heat_u95, 0)} W into the coolant by flow and probes, {number(p, 0)} W electrical: "
        f"{number(100 * found.closure, 0)} % of it"
    )
    channels = tuple(
        n for n in (run.name("coolant_in"), run.name("coolant_out"), run.name("flow"), run.name("power")) if n
    )
    weight = DOUBT if found.closure > 1 or away > 1.5 * limit else REMARK
    return [Finding("heat balance", said, weight, run.window_s, channels, 100 * found.closure, 100 - limit, "%")]


__all__ = ["COOLANT", "open_balance", "power_drifts", "sags", "throttled"]
