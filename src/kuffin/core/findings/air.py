"""The air: did the room stay what it was, and do the probes tell the truth about it?"""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.boxes import box_means
from kuffin.core.base.saying import say
from kuffin.core.findings.figures import at_rest
from kuffin.core.findings.finding import DOUBT, REMARK, Finding
from kuffin.core.findings.recorded import AIR, COOLANT, POWER, Recorded, mean_of, slope
from kuffin.core.findings.thresholds import CheckLimits
from kuffin.core.prepare.fill import dew_point_c

Array = NDArray[np.float64]


def drifted(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """The air's drift over the window."""
    air = run.air()
    if air is None or run.window_s is None:
        return []
    found = slope(run.times, air, run.windowed(), 8)
    if found is None:
        return []
    length = run.window_s[1] - run.window_s[0]
    change, limit = found[0] * length, limits.of("room_k")
    if abs(change) < 0.5 * limit:
        return []
    said = say(
        "the air rose by {by:.1f} K within the window of {length:.0f} min"
        if change > 0
        else "the air fell by {by:.1f} K within the window of {length:.0f} min",
        by=abs(change),
        length=length / 60,
    )
    weight = DOUBT if abs(change) > limit else REMARK
    return [
        Finding(
            kind="room drifted",
            seen=said,
            weight=weight,
            span_s=run.window_s,
            channels=tuple(run.names(*AIR)[:1]),
            value=abs(change),
            limit=limit,
            unit="K",
        )
    ]


def jumped(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """The largest change of the air within two minutes under load.

    Half-minute means either side of each moment; the swing that the rest of the run shows in the same time is taken off
    by asking for three times its usual size too.
    """
    air, begin = run.air(), run.load_start_s
    if air is None:
        return []
    start = float(run.times[0]) if begin is None else begin
    starts = np.arange(start, run.load_end_s - 30.0, 30.0)
    if starts.size < 12:
        return []
    means = box_means(run.times, air, 30.0, starts)
    change = means[4:] - means[:-4]
    if not np.isfinite(change).any():
        return []
    usual = 1.4826 * float(np.nanmedian(np.abs(change - np.nanmedian(change))))
    at = int(np.nanargmax(np.abs(change)))
    size, limit = float(abs(change[at])), limits.of("jump_k")
    if size < limit or size < 3 * usual:
        return []
    moment = float(starts[at + 2])
    late = run.window_s is not None and moment > run.window_s[0]
    said = say(
        "the air rose by {by:.1f} K within two minutes at {at:.1f} min"
        if change[at] > 0
        else "the air fell by {by:.1f} K within two minutes at {at:.1f} min",
        by=size,
        at=moment / 60,
    )
    where = say("{seen}, within the window" if late else "{seen}; the window lies after it", seen=said)
    return [
        Finding(
            kind="room jumped",
            seen=where,
            weight=DOUBT,
            span_s=(moment - 240, moment + 600),
            channels=tuple(run.names(*AIR)),
            value=size,
            limit=limit,
            unit="K",
        )
    ]


def probes_apart(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """Probes at the intake that differ in the window."""
    inside = run.windowed()
    means = {n: m for n in run.names("air_in") if (m := mean_of(run.clean(n), inside)) is not None}
    if len(means) < 2:
        return []
    low, high = min(means, key=lambda n: means[n]), max(means, key=lambda n: means[n])
    apart, limit = means[high] - means[low], limits.of("probes_k")
    if apart < 0.5 * limit:
        return []
    said = say("{high} reads {by:.1f} K more than {low} in the window", high=high, by=apart, low=low)
    weight = DOUBT if apart > limit else REMARK
    return [
        Finding(
            kind="air probes disagree",
            seen=said,
            weight=weight,
            span_s=run.window_s,
            channels=(low, high),
            value=apart,
            limit=limit,
            unit="K",
        )
    ]


def uphill(run: Recorded) -> list[Finding]:
    """Coolant below air under load, or die below coolant: heat does not flow uphill."""
    out, loaded = [], run.loaded()
    coolant, air, die = run.get(*COOLANT), run.air(), run.die()
    for lower, upper, low_name, high_name in (
        (air, coolant, run.name(*AIR), run.name(*COOLANT)),
        (coolant, die, run.name(*COOLANT), run.name("die", "hot_spot")),
    ):
        if lower is None or upper is None or low_name is None or high_name is None:
            continue
        # the last third: what warms up may start anywhere
        late = loaded & (run.times > run.load_end_s - max((run.load_end_s - (run.load_start_s or 0.0)) / 3, 300.0))
        gap = mean_of(upper - lower, late)
        if gap is not None and gap < -0.3:
            said = say(
                "{high} stands {by:.1f} K below {low} under load: that cannot be", high=high_name, by=-gap, low=low_name
            )
            out.append(
                Finding(
                    kind="swapped",
                    seen=said,
                    weight=DOUBT,
                    span_s=run.window_s,
                    channels=(low_name, high_name),
                    value=gap,
                    limit=0.0,
                    unit="K",
                )
            )
    return out


def warm_at_rest(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """Coolant over air at idle that no heat explains; see `figures.at_rest`."""
    rest = at_rest(run)
    limit = limits.of("rest_k")
    coolant, air = run.get(*COOLANT), run.air()
    if rest is None or abs(rest) < limit or coolant is None or air is None:
        return []
    found = slope(run.times, coolant - air, run.idle(300.0), 6)
    if found is not None and found[0] * 600 < -0.6 and -found[0] > 3 * found[1]:
        return []  # still cooling from before: a hot start
    said = say(
        "coolant over air is {by:.1f} K more at idle than its heat explains, and as much under load"
        if rest > 0
        else "coolant over air is {by:.1f} K less at idle than its heat explains, and as much under load",
        by=abs(rest),
    )
    channels = tuple(n for n in (run.name(*COOLANT), run.name(*AIR)) if n)
    span = (float(run.times[0]), run.load_start_s or float(run.times[0]))
    return [
        Finding(
            kind="warm at rest",
            seen=said,
            weight=DOUBT,
            span_s=span,
            channels=channels,
            value=rest,
            limit=limit,
            unit="K",
        )
    ]


def zero_check(run: Recorded) -> list[Finding]:
    """Probes that differ where everything is at room temperature: before any power, and standing still."""
    power, begin = run.get(*POWER), run.load_start_s
    if power is None or begin is None or begin - run.times[0] < 120:
        return []
    first = (run.times < begin - 30) & (run.times <= run.times[0] + 300)
    level = mean_of(power, first)
    names = run.names(*COOLANT, "air_in", "die")
    means = {n: m for n in names if (m := mean_of(run.clean(n), first)) is not None}
    if level is None or level > 3 or len(means) < 3:
        return []
    for name in means:
        moving = slope(run.times, run.clean(name), first, 6)
        if moving is not None and abs(moving[0]) * 600 > 0.5 and abs(moving[0]) > 3 * moving[1]:
            return []
    middle = float(np.median(list(means.values())))
    worst = max(means, key=lambda n: abs(means[n] - middle))
    away = means[worst] - middle
    if abs(away) < 0.5:
        return []
    said = say(
        "at rest {probe} reads {by:.1f} K more than the other probes"
        if away > 0
        else "at rest {probe} reads {by:.1f} K less than the other probes",
        probe=worst,
        by=abs(away),
    )
    span = (float(run.times[0]), begin)
    return [
        Finding(
            kind="zero check",
            seen=said,
            weight=DOUBT if abs(away) > 1 else REMARK,
            span_s=span,
            channels=tuple(means),
            value=away,
            limit=0.5,
            unit="K",
        )
    ]


def moist(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """Coolant near the dew point of the room's air (Magnus)."""
    humidity, air = run.get("humidity"), run.get("room") if run.name("room") else run.air()
    coolant = run.get(*COOLANT)
    if humidity is None or air is None or coolant is None:
        return []
    loaded = run.loaded()
    h, a = mean_of(humidity, loaded), mean_of(air, loaded)
    part = coolant[np.isfinite(coolant)]
    if h is None or a is None or not 1 < h <= 100 or not part.size:
        return []
    dew = dew_point_c(a, h)
    coldest = float(np.percentile(part, 1))
    if coldest - dew > limits.of("dew_k"):
        return []
    said = say(
        "the coolant came to {coldest:.1f} °C; the air's dew point is {dew:.1f} °C at {humidity:.0f} % humidity",
        coldest=coldest,
        dew=dew,
        humidity=h,
    )
    return [
        Finding(
            kind="dew point",
            seen=said,
            weight=DOUBT,
            span_s=None,
            channels=tuple(run.names(*COOLANT)[:1]),
            value=coldest - dew,
            limit=limits.of("dew_k"),
            unit="K",
        )
    ]
