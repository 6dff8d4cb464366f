"""Did it settle, and did it stay what it was?"""

from __future__ import annotations

import numpy as np

from kuffin.core.base.language import mark
from kuffin.core.base.saying import chained, say
from kuffin.core.base.student import t_quantile
from kuffin.core.findings.finding import DOUBT, REMARK, Finding
from kuffin.core.findings.recorded import COOLANT, POWER, Recorded, mean_of, slope
from kuffin.core.findings.thresholds import CheckLimits
from kuffin.core.settle import Settled

_EARLY_S = 600.0  # die over coolant stands still long before


def settled(run: Recorded, main: Settled | None, problem: str) -> list[Finding]:
    """Whether the main trace can be judged, and whether it settled."""
    if main is None:
        return [Finding(kind="unreadable", seen=say("cannot be judged: {problem}", problem=problem), weight=DOUBT)]
    if main.settled or run.by_hand:
        return []
    end = main.load.end_s
    span = (max(end - 900.0, main.window.span_s[0]), end)
    if main.level_known:
        # it is where it will be; only the sensor's noise keeps the drift from being bounded
        said = say(
            "flat as far as one can see, but its drift is known to ± {u95:.1f} K in 10 min only", u95=main.drift.u95
        )
        return [
            Finding(
                kind="drift",
                seen=said,
                weight=REMARK,
                span_s=span,
                value=main.drift.u95,
                limit=main.tolerance,
                unit="K in 10 min",
            )
        ]
    said = say(
        "not settled: {left:.1f} ± {u95:.1f} K still to go at the end",
        left=abs(main.level.to_go),
        u95=main.level.to_go_u95,
    )
    if main.load.start_s is not None:
        said = say("{seen}, {after:.0f} min after it began", seen=said, after=(end - main.load.start_s) / 60)
    if main.warm_up.tau_s:
        said = say("{seen} (time constant {tau:.0f} min)", seen=said, tau=main.warm_up.tau_s / 60)
    limit = 1.5 * main.tolerance
    return [
        Finding(
            kind="not settled", seen=said, weight=DOUBT, span_s=span, value=abs(main.level.to_go), limit=limit, unit="K"
        )
    ]


def which_plateau(main: Settled | None) -> list[Finding]:
    """Which level is judged, where that is not plainly the one that a warm-up leads to."""
    if main is None or not main.notes:
        return []
    return [Finding(kind="plateau", seen=chained(main.notes, "; "), weight=REMARK, span_s=main.window.span_s)]


def stepped(run: Recorded) -> list[Finding]:
    """A change of state that settling found within the run."""
    for key, said in (
        ("coolant_over_air", mark("coolant over air changed its state at {at:.1f} min; the reading is from after it")),
        ("die_over_coolant", mark("die over coolant changed its state at {at:.1f} min; the reading is from after it")),
    ):
        trace = run.traces.get(key)
        if trace is not None and trace.load.step_s is not None:
            at = trace.load.step_s
            return [Finding(kind="stepped", seen=say(said, at=at / 60), weight=REMARK, span_s=(at - 300, at + 300))]
    return []


def crept(run: Recorded, limits: CheckLimits) -> list[Finding]:
    """Whether die over coolant per watt goes on changing after it should stand still.

    A straight line through box means from ten minutes after load to the end; the creep is its slope times that time,
    in kelvins at the run's power, against the limit and its own 95 % interval.
    """
    die, coolant, power, begin = run.die(), run.get(*COOLANT), run.get(*POWER), run.load_start_s
    if die is None or coolant is None or power is None or begin is None:
        return []
    end = run.load_end_s
    inside = run.loaded(25.0) & (run.times >= begin + _EARLY_S) & (run.times <= end)
    if end - begin < _EARLY_S + 600 or inside.sum() < 60:
        return []
    level = mean_of(power, inside)
    if level is None or level <= 1:
        return []
    found = slope(run.times, (die - coolant) / np.where(power > 0.2 * level, power, np.nan), inside)
    if found is None:
        return []
    length = end - begin - _EARLY_S
    creep, u95 = found[0] * length * level, t_quantile(0.975, 10) * found[1] * length * level
    limit = limits.of("creep_k")
    if abs(creep) < limit or abs(creep) < 1.5 * u95:
        return []
    said = say(
        "die over coolant went up by {by:.1f} ± {u95:.1f} K in {long:.0f} min at the same power, long after it should stand still"
        if creep > 0
        else "die over coolant went down by {by:.1f} ± {u95:.1f} K in {long:.0f} min at the same power, long after it should stand still",
        by=abs(creep),
        u95=u95,
        long=length / 60,
    )
    channels = tuple(n for n in (run.name("die"), run.name(*COOLANT)) if n)
    return [
        Finding(
            kind="crept",
            seen=said,
            weight=DOUBT,
            span_s=(begin + _EARLY_S, end),
            channels=channels,
            value=abs(creep),
            limit=limit,
            unit="K",
        )
    ]


def hot_start(run: Recorded, main: Settled | None) -> list[Finding]:
    """Whether the loop was still cooling when the load began, or the log begins under load."""
    coolant, air, begin = run.get(*COOLANT), run.air(), run.load_start_s
    if coolant is None or air is None or begin is None or begin - run.times[0] < 90:
        return []
    idle = run.idle(300.0)
    found = slope(run.times, coolant - air, idle, 6)
    if found is None:
        return []
    per_10 = 600 * found[0]
    if per_10 > -0.6 or abs(per_10) < 3 * 600 * found[1]:
        return []
    said = say("coolant over air was still falling by {by:.1f} K in 10 min when the load began", by=-per_10)
    weight = DOUBT if main is not None and not main.settled and not main.level_known else REMARK
    return [
        Finding(
            kind="hot start",
            seen=said,
            weight=weight,
            span_s=(float(run.times[0]), begin),
            channels=tuple(run.names(*COOLANT)[:1]),
            value=-per_10,
            limit=0.6,
            unit="K in 10 min",
        )
    ]


def cut_cycles(run: Recorded) -> list[Finding]:
    """Whether a window set by hand or clock holds a broken number of a looped load's passes, and what that costs."""
    period = run.period_s
    if not run.by_hand or not period or run.window_s is None:
        return []
    begin, end = run.window_s
    passes = (end - begin) / period
    away = abs(passes - round(passes))
    if away < 0.03:
        return []
    said = say(
        "the window holds {passes:.1f} passes of {period:.0f} s; whole ones weigh dips as they come",
        passes=passes,
        period=period,
    )
    # by the protocol's clock all mounts are cut alike: that is worth knowing, and no mount's own trouble
    weight = DOUBT if passes < 3 and not run.by_clock else REMARK
    return [Finding(kind="cut cycles", seen=said, weight=weight, span_s=(begin, end), value=passes)]
