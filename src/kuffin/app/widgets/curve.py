"""A channel as it is drawn."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]


@dataclass(frozen=True)
class Curve:
    """A channel to draw: name, times in s, values, and whether it belongs to the temperatures or the power."""

    name: str
    times: Array
    values: Array
