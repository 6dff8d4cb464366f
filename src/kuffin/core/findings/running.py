"""Power, clock, flow and speeds while it ran: did they stay what they were?"""

from __future__ import annotations

from collections.abc import Sequence

from kuffin.core.base.errors import TraceError
from kuffin.core.base.saying import say
from kuffin.core.findings.finding import DOUBT, REMARK, Finding
from kuffin.core.findings.recorded import COOLANT, POWER, Recorded, mean_of, slope
from kuffin.core.findings.thresholds import CheckLimits
from kuffin.core.heat.boost import Throttling, regulated, throttling
from kuffin.core.heat.heatbalance import HeatBalance, closure, known_u


def power_drifts(run: Recorded, limits: CheckLimits) -> list[Finding]:
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
    said = say(
        "power rose by {share:.1f} % ({by:.0f} W) within the window"
        if share > 0
        else "power fell by {share:.1f} % ({by:.0f} W) within the window",
        share=abs(share),
        by=abs(found[0]) * length,
    )
    weight = DOUBT if abs(share) > 2 * limit else REMARK
    return [
        Finding(
            kind="power drifts",
            seen=said,
            weight=weight,
            span_s=run.window_s,
            channels=tuple(run.names(*POWER)[:1]),
            value=abs(share),
            limit=limit,
            unit="%",
        )
    ]


_RECOVERS_S = 30.0  # after a dip between two passes
THROTTLED = "throttled"  # the finding that the limit was met


def minutes_to_limit(run: Recorded, found: Sequence[Finding]) -> dict[str, float]:
    """How long the load went until it met its limit, min, as a figure; all of the load where it met none.

    Nothing where no clock and die tell whether it did.
    """
    begin = run.state_start_s
    if begin is None or run.get("clock") is None or run.get("die") is None:
        return {}
    met = [f.span_s[0] for f in found if f.kind == THROTTLED and f.span_s is not None]
    return {"minutes_to_limit": max((min(met, default=run.load_end_s) - begin) / 60, 0.0)}


def limit_met(run: Recorded) -> Throttling | None:
    """How the load met its temperature limit, by the hot spot or the die; None where nothing of the kind is seen."""
    clock, coolant, loaded = run.get("clock"), run.get(*COOLANT), run.loaded()
    parts = [x for x in (run.get("hot_spot"), run.die()) if x is not None]
    if clock is None or not parts:
        return None
    seen = [throttling(run.times, parts[0], clock, loaded)]
    if coolant is not None:
        seen += [regulated(run.times, part, clock, coolant, run.loaded(_RECOVERS_S)) for part in parts]
    return max(
        (s for s in seen if s is not None), key=lambda s: (round(s.share, 1), not s.as_coolant_warmed), default=None
    )


def throttled(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """Clock lost while the temperature stands at its limit."""
    found = limit_met(run)
    limit = limits.of("throttled_percent")
    if found is None or 100 * found.share < limit:
        return []
    said = say(
        "the clock gave way as the coolant warmed, from {free:.0f} to {held:.0f} MHz while the temperature stood at {limit:.0f} °C, in {share:.0f} % of the load from {since:.1f} min on"
        if found.as_coolant_warmed
        else "the clock fell from {free:.0f} to {held:.0f} MHz while the temperature stood at {limit:.0f} °C, in {share:.0f} % of the load from {since:.1f} min on",
        free=found.clock_free_mhz,
        held=found.clock_held_mhz,
        limit=found.limit_c,
        share=100 * found.share,
        since=found.since_s / 60,
    )
    channels = tuple(n for n in (run.name("hot_spot", "die"), run.name("clock")) if n)
    return [
        Finding(
            kind=THROTTLED,
            seen=said,
            weight=DOUBT,
            span_s=(found.since_s, run.load_end_s),
            channels=channels,
            value=100 * found.share,
            limit=limit,
            unit="%",
        )
    ]


def sags(run: Recorded, limits: CheckLimits) -> list[Finding]:
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
        said = say(
            "{name} fell from {first:.0f} to {last:.0f} {unit} over the load ({share:.0f} %)",
            name=name.lower(),
            first=first,
            last=last,
            unit=unit,
            share=share,
        )
        out.append(
            Finding(
                kind=kind,
                seen=said,
                weight=DOUBT,
                span_s=(begin, run.load_end_s),
                channels=(name,),
                value=share,
                limit=limit,
                unit="%",
            )
        )
    return out


def at_the_wall(run: Recorded) -> list[Finding]:
    """Power that is read at the wall only: what the supply loses and everything else draws is then in "per watt"."""
    if run.get("power") is not None or run.get("wall_power") is None or run.wall_told:
        return []
    said = say(
        "power is read at the wall: per watt then divides by what the supply loses and all the rest draws too, and differences come out too small"
    )
    return [
        Finding(kind="wall power", seen=said, weight=REMARK, channels=tuple(n for n in (run.name("wall_power"),) if n))
    ]


def heat_balance(run: Recorded, limits: CheckLimits) -> tuple[HeatBalance | None, str]:
    """The heat balance of a run's window; or None, and why there is none."""
    inside = run.windowed()
    roles = {r: mean_of(run.get(r), inside) for r in ("coolant_in", "coolant_out", "flow")}
    roles["power"] = mean_of(run.heating() if run.shared else run.get("power"), inside)
    into, out, flow, power = roles.values()
    if into is None or out is None or flow is None or power is None:
        lacking = [r.replace("_", " ") for r, mean in roles.items() if mean is None]
        return None, f"no {' and no '.join(lacking)} in the window"
    pair, flow_u, power_u = known_u(limits.instruments, into, out, flow, power)
    try:
        return closure(into, out, flow, power, mix=limits.mix, pair_u_k=pair, flow_u=flow_u, power_u=power_u), ""
    except TraceError as error:
        return None, str(error)


def open_balance(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """Heat into the coolant, by flow and two probes, against the electrical power."""
    found, _ = heat_balance(run, limits)
    if found is None or found.power_w <= 1:
        return []
    away = 100 * (abs(found.closure - 1) - found.closure_u95)
    limit = limits.of("closure_percent")
    if away < limit:
        return []
    said = say(
        "{heat:.0f} ± {u95:.0f} W into the coolant by flow and probes, {power:.0f} W electrical: {share:.0f} % of it",
        heat=found.heat_w,
        u95=found.heat_u95,
        power=found.power_w,
        share=100 * found.closure,
    )
    channels = tuple(
        n for n in (run.name("coolant_in"), run.name("coolant_out"), run.name("flow"), run.name("power")) if n
    )
    weight = DOUBT if found.closure > 1 or away > 1.5 * limit else REMARK
    return [
        Finding(
            kind="heat balance",
            seen=said,
            weight=weight,
            span_s=run.window_s,
            channels=channels,
            value=100 * found.closure,
            limit=100 - limit,
            unit="%",
        )
    ]
