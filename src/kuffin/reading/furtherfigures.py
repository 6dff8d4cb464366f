"""A run from the inside: what its samples tell beyond the reading. Worked out when it is looked at, and not kept."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.base.extremes import Extremes, extremes
from kuffin.core.base.frametimes import FrameRates
from kuffin.core.findings import Recorded
from kuffin.core.findings.figures import at_rest, core_spread
from kuffin.core.findings.recorded import mean_of
from kuffin.core.findings.running import heat_balance, limit_met
from kuffin.core.heat.boost import Boost, Throttling, boost
from kuffin.core.heat.heatbalance import HeatBalance
from kuffin.core.heat.wholetrace import WholeTrace
from kuffin.notebook.entities import Run, Study
from kuffin.notebook.samples import RunData, read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.framerates import run_frame_rates
from kuffin.reading.judgingrules import ways_of
from kuffin.reading.keptresults import run_result, step_of
from kuffin.reading.signals import signals
from kuffin.reading.wholefits import whole_fits


@dataclass(frozen=True)
class Idle:
    """A channel before the load: its name, mean, unit and scatter."""

    name: str
    mean: float
    scatter: float
    unit: str | None


@dataclass(frozen=True, kw_only=True)
class Inside:
    """What a run's samples tell.

    Attributes
    ----------
    whole, whole_problem : dict
        The whole-trace fit of ``coolant_over_air`` and ``die_over_coolant``, or why there is none.
    idle : tuple of Idle
    rest_k, spread_k : float or None
        Coolant over air that no heat explains; hottest core less coolest.
    extremes : dict of Extremes
        By channel, of dies, hot spots, memory and regulators.
    balance, balance_problem : HeatBalance or None, str
    boost, throttling : or None
    frames : dict of FrameRates
        By log.
    scores : tuple of (label, value, unit)
        Numbers asked for in the run.
    """

    whole: dict[str, WholeTrace]
    whole_problem: dict[str, str]
    idle: tuple[Idle, ...]
    rest_k: float | None
    spread_k: float | None
    extremes: dict[str, Extremes]
    balance: HeatBalance | None
    balance_problem: str
    boost: Boost | None
    throttling: Throttling | None
    frames: dict[str, FrameRates]
    scores: tuple[tuple[str, float, str], ...]
    frame_problem: str = ""


def inside(notebook: Notebook, study: Study, run: Run) -> Inside:
    """Work a run out from its samples."""
    ways = ways_of(notebook, study)
    result = run_result(notebook, study, run, ways)
    limits = ways.of(study, run.mount.candidate)
    data = step_of(read_run(notebook, run.id).about(ways.cooled), result)
    s = signals(data, limits.mix)
    seen = Recorded(
        times=data.times,
        values=data.values,
        roles=data.channels,
        traces=result.traces,
        window_s=result.window_s,
        by_hand=result.by_hand,
        heat=s.heat,
        shared=s.shared,
    )
    whole, problems = whole_fits(s, seen)
    balance, why = heat_balance(seen, limits)
    frames, frame_problem = run_frame_rates(notebook, run, (seen.load_start_s, seen.load_end_s))
    loaded, window = seen.loaded(), seen.windowed()
    die, clock = seen.die(), seen.get("clock")
    parts = seen.names("die", "hot_spot", "memory", "regulator")
    found = {n: x for n in parts if (x := extremes(data.values[n][window])) is not None}
    return Inside(
        whole=whole,
        whole_problem=problems,
        idle=_idle(data, seen),
        rest_k=at_rest(seen),
        spread_k=core_spread(seen),
        extremes=found,
        balance=balance,
        balance_problem=why,
        boost=None if die is None or clock is None else boost(die, clock, loaded, window),
        throttling=limit_met(seen),
        frames=frames,
        scores=tuple((m.text, m.value, m.unit) for m in run.marks if m.kind == "value" and m.value is not None),
        frame_problem=frame_problem,
    )


def _idle(data: RunData, seen: Recorded) -> tuple[Idle, ...]:
    inside = seen.idle(180.0)
    out = []
    for name, role, _ in data.channels:
        if role is None:
            continue
        x = seen.clean(name)
        mean = mean_of(x, inside)
        if mean is not None:
            out.append(Idle(name, mean, float(np.nanstd(x[inside])), data.units.get(name)))
    return tuple(out)
