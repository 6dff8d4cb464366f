"""How well flow and pressure are measured: what scatters from reading to reading, and what is the same in all of them."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy import stats

from kuffin.core.base.errors import BenchError
from kuffin.core.base.units import parse_unit
from kuffin.core.bench.calibration import Within

Array = NDArray[np.float64]
_COVERS = 1.96  # an accuracy is a half-width of 95 %
_NOT_TOLD = Within()
_CAUTIOUS = 0.65  # how sure the scatter's share has to be


def read_accuracy(written: str, unit: str) -> Within:
    """An accuracy as people write it: ``2 %``, ``1 % + 0.1 kPa``; its fixed part in the canonical unit.

    Raises
    ------
    BenchError
        Where it cannot be read, or its unit is of another quantity.

    >>> read_accuracy("1% + 1 mbar", "kPa").fixed
    0.1
    """
    fixed, bare = 1.0, []
    for piece in written.replace("±", "").split("+"):
        found = re.fullmatch(r"\s*([\d.,]+)\s*([^\d\s%].*)?(%?)\s*", piece)
        told = parse_unit(found[2].strip()) if found and found[2] else None
        if found and found[2] and (told is None or told.canonical != unit):
            raise BenchError(
                "“{written}”: {found} is no unit of {unit}; write it like “1 % + 0.1 {unit}”",
                written=written,
                found=found[2].strip(),
                unit=unit,
            )
        if told is not None:
            fixed = told.scale
        bare.append(f"{found[1]}{found[3]}" if found else piece)
    within = Within.read(" + ".join(bare))
    return Within(within.percent, within.fixed * fixed)


@dataclass(frozen=True)
class Accuracies:
    """Of the flow meter and of the pressure gauge: half-widths of 95 %."""

    flow: Within = _NOT_TOLD
    drop: Within = _NOT_TOLD

    def sigma_flow(self, flow: Array) -> Array:
        """Standard uncertainty of each flow."""
        return _sigma(self.flow, flow)

    def sigma_drop(self, drop: Array) -> Array:
        """Standard uncertainty of each drop."""
        return _sigma(self.drop, drop)


def _sigma(within: Within, values: Array) -> Array:
    return np.asarray((np.abs(values) * within.percent / 100 + within.fixed) / _COVERS, float)


def common_share(chi2: Sequence[float], freedom: Sequence[int]) -> float:
    """How much of the instruments' accuracy is the same in all readings, as a share of its half-width, 0 to 1.

    What readings scatter by about their curves is a part of what their accuracy allows. The rest, 1 − χ²/ν of its square, may be
    common to all of them and does not average out. The scatter's share is taken at its lower end, as few readings tell it badly.

    >>> round(common_share([30.0], [30]), 2), common_share([0.1], [30]) > 0.99
    (0.27, True)
    """
    nu = int(sum(freedom))
    if nu < 1:
        return 1.0
    scatter = float(sum(chi2)) / float(stats.chi2.ppf(_CAUTIOUS, nu))
    return float(np.sqrt(min(max(1.0 - scatter, 0.0), 1.0)))
