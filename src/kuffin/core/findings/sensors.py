"""Do the sensors themselves behave?"""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.saying import say
from kuffin.core.base.traces import quantum
from kuffin.core.bench.roles import ROLES, cannot_be, needed
from kuffin.core.findings.finding import DOUBT, REMARK, Finding
from kuffin.core.findings.recorded import COOLANT, Recorded, mean_of
from kuffin.core.findings.thresholds import CheckLimits

Array = NDArray[np.float64]


def stuck(run: Recorded) -> list[Finding]:
    """Channels that stand still to the last digit while they used to flicker, or through the whole run.

    Before the stretch the reading goes up and comes back at some rate (its noise); a stretch in which that many
    flickers are missing that chance would do it once in a million runs is no chance.
    """
    out = []
    for name, role, _ in run.roles:
        x = run.values[name]
        ok = np.flatnonzero(np.isfinite(x))
        if role not in ROLES or not ROLES[role].flickers or ok.size < 60:
            continue
        value, times = x[ok], run.times[ok]
        begin, length = _longest_still(value)
        span = (float(times[begin]), float(times[begin + length - 1]))
        if length == value.size:
            if run.load_start_s is not None:
                out.append(
                    Finding(
                        kind="stuck",
                        seen=say("{name} reads {value:g} in every sample of the run", name=name, value=value[0]),
                        weight=DOUBT,
                        span_s=span,
                        channels=(name,),
                    )
                )
            continue
        change = np.diff(value)
        flicker = (change[:-1] * change[1:] < 0).astype(float)
        outside = np.ones(flicker.size, bool)
        outside[max(begin - 1, 0) : begin + length - 1] = False
        if outside.sum() < 30:
            continue
        # the rate before the stretch, or of all the rest, whichever is the smaller
        rate = float(flicker[outside].mean())
        if span[1] - span[0] < 120 or rate * length < 14:
            continue
        weight = DOUBT if needed(role) else REMARK
        said = say(
            "{name} stands at {value:g} to the last digit from {since:.1f} min to {until:.1f} min, and flickered before",
            name=name,
            value=value[begin],
            since=span[0] / 60,
            until=span[1] / 60,
        )
        out.append(
            Finding(
                kind="stuck",
                seen=said,
                weight=weight,
                span_s=span,
                channels=(name,),
                value=(span[1] - span[0]) / 60,
                limit=2.0,
                unit="min",
            )
        )
    return out


def _longest_still(value: Array) -> tuple[int, int]:
    edges = np.flatnonzero(np.diff(value) != 0) + 1
    bounds = np.concatenate(([0], edges, [value.size]))
    lengths = np.diff(bounds)
    longest = int(np.argmax(lengths))
    return int(bounds[longest]), int(lengths[longest])


def drops_out(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """Channels with missing samples under load."""
    loaded = run.loaded()
    out: list[Finding] = []
    if loaded.sum() < 20:
        return out
    for name, role, _ in run.roles:
        if role is None:
            continue
        share = 100 * float(1 - np.isfinite(run.values[name][loaded]).mean())
        # a slower log joined to this one is no dropout; it says how often it reads
        if share < 2 or share > 99.5:
            continue
        weight = DOUBT if needed(role) and share > limits.of("missing_percent") else REMARK
        said = say("{name} is missing in {share:.0f} % of the samples under load", name=name, share=share)
        out.append(
            Finding(
                kind="drops out",
                seen=said,
                weight=weight,
                span_s=None,
                channels=(name,),
                value=share,
                limit=limits.of("missing_percent"),
                unit="%",
            )
        )
    return out


def spikes(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """Channels with more than 1 % of their samples marked as spikes."""
    out = []
    for name, role, _ in run.roles:
        if not needed(role):
            continue
        # a step of the load is no spike, though the coolant's outlet jumps with it
        begin = run.load_start_s
        calm = np.ones(run.times.size, bool) if begin is None else np.abs(run.times - begin - 20.0) > 60.0
        raw = np.isfinite(run.values[name]) & calm
        marked = raw & ~np.isfinite(run.clean(name))
        n = int(raw.sum())
        share = 100 * float(marked.sum()) / max(n, 1)
        if share <= 1 or n < 60:
            continue
        limit = limits.of("spikes_percent")
        said = say(
            "{spikes} of {n} samples of {name} are spikes; they are left out of means",
            spikes=int(marked.sum()),
            n=n,
            name=name,
        )
        out.append(
            Finding(
                kind="spikes",
                seen=said,
                weight=DOUBT if share > limit else REMARK,
                span_s=None,
                channels=(name,),
                value=share,
                limit=limit,
                unit="%",
            )
        )
    return out


def coarse(run: Recorded) -> list[Finding]:
    """Coolant or air probes whose step is half a kelvin or more."""
    out = []
    for name in run.names(*COOLANT, "air_in", "room"):
        step = quantum(run.values[name])
        if step >= 0.5:
            worth = step / np.sqrt(12)
            said = say(
                "{name} reads in steps of {step:g} K: alone worth ± {worth:.2f} K",
                name=name,
                step=step,
                worth=1.96 * worth,
            )
            out.append(
                Finding(
                    kind="coarse",
                    seen=said,
                    weight=REMARK,
                    span_s=None,
                    channels=(name,),
                    value=step,
                    limit=0.5,
                    unit="K",
                )
            )
    return out


def out_of_range(run: Recorded) -> list[Finding]:
    """Channels whose mean under load cannot be."""
    out, loaded = [], run.loaded()
    for name, role, _ in run.roles:
        level = mean_of(run.clean(name), loaded)
        if role is not None and level is not None and cannot_be(role, level):
            low, high = ROLES[role].can_be
            said = say(
                "{name} reads {level:.1f} on average under load; as {role} it cannot be below {low:g} or above {high:g}",
                name=name,
                level=level,
                role=say(ROLES[role].label),
                low=low,
                high=high,
            )
            out.append(
                Finding(
                    kind="out of range",
                    seen=said,
                    weight=DOUBT,
                    span_s=None,
                    channels=(name,),
                    value=level,
                    limit=high if level > high else low,
                )
            )
    return out


def clock_gaps(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """Gaps in the log under load: steps over five usual ones."""
    if run.times.size < 10:
        return []
    steps = np.diff(run.times)
    long = np.flatnonzero(steps > max(5 * float(np.median(steps)), 3.0))
    if not long.size:
        return []
    worst = int(long[np.argmax(steps[long])])
    begin, end = float(run.times[worst]), float(run.times[worst + 1])
    start = run.load_start_s if run.load_start_s is not None else float(run.times[0])
    if end < start or begin > run.load_end_s:
        return []
    inside = run.window_s is not None and end > run.window_s[0] and begin < run.window_s[1]
    said = say("{lost:.0f} s are missing at {at:.1f} min", lost=end - begin, at=begin / 60)
    if inside:
        said = say("{seen}, within the window", seen=said)
    if long.size > 1:
        said = say("{seen}; {n} gaps in all", seen=said, n=int(long.size))
    limit = limits.of("gap_s")
    weight = DOUBT if inside and end - begin > limit else REMARK
    return [
        Finding(
            kind="clock gap",
            seen=said,
            weight=weight,
            span_s=(begin, end),
            channels=(),
            value=end - begin,
            limit=limit,
            unit="s",
        )
    ]
