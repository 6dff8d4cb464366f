"""A settled trace of a given value, as if a run had been worked out."""

from __future__ import annotations

from kuffin.core.settle import Settled
from kuffin.core.settle.result import Drift, Level, Load, ReadingWindow, WarmUpFit


def settled(value: float, share: float = 0.002) -> Settled:
    """A settled trace of a value, whose half-width is a share of it."""
    u95 = abs(value) * share
    return Settled(
        load=Load(start_s=100.0, end_s=1000.0, period_s=None, step_s=None),
        warm_up=WarmUpFit(tau_s=300.0, final=value, final_se=u95, t95=1.0, widen=1.0, size=0.0),
        window=ReadingWindow(
            span_s=(400.0, 1000.0),
            total=value,
            count=1,
            sd=abs(value) * 0.01,
            batches=1,
            batch_sd=u95,
            inflation=1.0,
            t95=1.0,
            left=0.0,
            second_part=0.0,
        ),
        level=Level(0.0, u95),
        drift=Drift(0.0, abs(value) * 0.004),
        settled=True,
        settled_at_s=400.0,
        tolerance=1e-6 * abs(value) or 1e-6,
        by_hand=False,
        fast=True,
        spikes=0,
        samples=600,
        rounding_u=0.0,
    )
