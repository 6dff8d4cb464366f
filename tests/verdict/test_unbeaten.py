"""A setting beats another where both sides are shown: figures of drawn studies whose truth is known."""

from __future__ import annotations

from types import SimpleNamespace

import numpy as np
import pytest

from kuffin.core.bench.outcomes import MEASURED
from kuffin.core.bench.sweepaxes import SWEEP_AXES
from kuffin.verdict.along import Sweep, SweptPoint
from kuffin.verdict.unbeatensettings import settings_of


def drawn(rng: np.random.Generator, truth: dict[str, tuple[float, float]], n: int) -> Sweep:
    """Two settings of fans: speed scatters by 5 rpm, temperature by 0.3 K."""
    points = [
        SweptPoint(candidate="Reed", condition=name, x=x + float(rng.normal(0, 5)), y=y + float(rng.normal(0, 0.3)))
        for name, (x, y) in truth.items()
        for _ in range(n)
    ]
    return SimpleNamespace(points=points, axis=SWEEP_AXES["fan"], outcome=MEASURED["hottest_core"])  # type: ignore[return-value]


@pytest.mark.parametrize(
    ("truth", "most", "least"),
    [
        # cooler by just what matters, at ten revolutions more: neither beats the other
        ({"slow": (800.0, 50.0), "fast": (810.0, 49.0)}, 0.05, 0.0),
        # far cooler, but not a speed less: it takes 100 rpm for it
        ({"slow": (800.0, 50.0), "fast": (900.0, 46.0)}, 0.02, 0.0),
        # far cooler at the same speed: it is shown
        ({"one": (800.0, 50.0), "two": (800.0, 46.0)}, 1.0, 0.5),
        # the same in both: nothing is shown
        ({"one": (800.0, 50.0), "two": (800.0, 50.0)}, 0.02, 0.0),
    ],
)
def test_beaten_is_said_of_what_is_beaten(truth: dict[str, tuple[float, float]], most: float, least: float) -> None:
    rng = np.random.default_rng(7)
    said = [any(s.beaten_by for s in settings_of(drawn(rng, truth, int(rng.integers(2, 6))), 1.0)) for _ in range(200)]
    assert least <= np.mean(said) <= most


def test_a_single_mount_shows_nothing() -> None:
    found = settings_of(drawn(np.random.default_rng(1), {"one": (900.0, 50.0), "two": (800.0, 40.0)}, 1), 1.0)
    assert [(s.beaten_by, s.maybe_by) for s in found] == [("", ""), ("", "Reed, two")]
