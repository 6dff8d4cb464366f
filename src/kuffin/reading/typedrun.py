"""From figures that a person typed to a run's result: no trace, no window, but the figures and what they can be trusted to."""

from __future__ import annotations

import numpy as np

from kuffin.core.base.units import shown
from kuffin.notebook.entities import Run
from kuffin.notebook.samples import RunData
from kuffin.reading.judgingrules import JudgingRules
from kuffin.reading.runresult import RunResult, TypedReadings
from kuffin.reading.signals import signals

_NOT_RECORDED = "it was typed, not recorded"


def is_typed(run: Run) -> bool:
    """Whether a person typed a run's figures."""
    return any(c.resolution is not None for c in run.channels) or not run.channels


def typed_result(data: RunData, run: Run, ways: JudgingRules) -> RunResult:
    """The result of figures that were typed: the last of each channel, where there are several."""
    data = data.about(ways.cooled)
    s = signals(data, ways.limits.mix)
    last = {n: float(x[np.isfinite(x)][-1]) for n, x in data.values.items() if np.isfinite(x).any()}
    at = float(data.times[-1])

    def level(x: np.ndarray | None) -> float | None:
        known = x[np.isfinite(x)] if x is not None else np.empty(0)
        return float(known[-1]) if known.size else None

    return RunResult(
        traces={},
        problems={},
        means={n: (value, 0.0) for n, value in last.items()},
        window_s=(at, at),
        names=s.names,
        by_hand=True,
        roles=dict(data.roles),
        window_by="typed",
        condition=run.condition,
        device=data.whose.device if data.whose is not None else None,
        power_w=level(s.power),
        heat_w=level(s.heat),
        whose=s.problems,
        typed=TypedReadings(
            minutes=at / 60 if at > 0 else None,
            resolutions={c.name: c.resolution for c in run.channels if c.resolution is not None},
            units={c.name: shown(c.unit) for c in run.channels},
        ),
    )
