"""Figures typed from a screen hold the settled truth as often as they say."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.base.errors import TraceError
from kuffin.core.settle.typed import TypedValue, together, typed_rise


def figure(value: float, resolution: float, name: str = "Die") -> TypedValue:
    return TypedValue(name=name, value=round(value / resolution) * resolution, unit="°C", resolution=resolution)


def test_the_interval_holds_the_settled_truth_in_1000_drawn_readings() -> None:
    """Resolution 1 K, read at 10 to 40 min, with a time constant that is known to a tenth."""
    rng = np.random.default_rng(161)
    held = told = 0
    for _ in range(1000):
        tau, minutes, truth = rng.uniform(180, 840), rng.uniform(10, 40), rng.uniform(6, 45)
        air = rng.uniform(18, 27)
        shown = air + truth * (1 - np.exp(-60 * minutes / tau))
        part = together("coolant", "T_c", [figure(shown, 1.0)])
        base = together("air", "T_a", [figure(air, 0.1, "Air")])
        try:
            rise, settled = typed_rise(part, base, minutes, tau * rng.normal(1, 0.1))
        except TraceError as error:
            assert "more than half of the rise was still to come" in str(error) and minutes < 0.9 * tau / 60
            continue
        told += 1
        assert settled and rise.u95 is not None
        held += abs(rise.value - truth) <= rise.u95
    assert told > 900 and held / told >= 0.93


def test_a_figure_knows_no_more_than_its_last_digit() -> None:
    part, base = figure(64.3, 1.0).worked("T_d"), figure(31.52, 0.1, "Coolant").worked("T_c")
    rise, settled = typed_rise(part, base, 25.0, 0.0)
    assert settled and rise.value == pytest.approx(64 - 31.5)
    assert rise.u95 == pytest.approx(1.96 / np.sqrt(12) * np.hypot(1.0, 0.1))


@pytest.mark.parametrize(
    ("minutes", "tau_s", "why"), [(None, 300.0, "when it was read"), (20.0, None, "no recorded run")]
)
def test_what_nobody_knows_is_not_called_settled(minutes: float | None, tau_s: float | None, why: str) -> None:
    rise, settled = typed_rise(figure(64, 1.0).worked("T_d"), figure(31, 1.0).worked("T_c"), minutes, tau_s)
    assert not settled and why in rise.source


def test_several_cores_count_as_their_mean() -> None:
    cores = together("die", "T_d", [figure(x, 1.0, f"Core {i}") for i, x in enumerate((60, 62, 64, 70), 1)])
    assert cores.value == 64 and cores.u95 == pytest.approx(1.96 / np.sqrt(12) / 2)
