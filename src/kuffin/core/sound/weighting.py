"""The A weighting, and the bands of third octaves.

Sources: IEC 61672-1:2013, annex E, equation E.6 (the weighting in closed form); IEC 61260-1:2014, 5.2 to 5.4 (base ten, exact
mid-band frequencies and edges).
"""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]
P0 = 2e-5  # Pa, the reference of levels
_F1, _F2, _F3, _F4 = 20.598997, 107.65265, 737.86223, 12194.217
_FIRST, _LAST = -16, 13  # 25 Hz to 20 kHz


def a_weighting(hz: Array) -> Array:
    """The A weighting, dB, 0 at 1 kHz.

    >>> np.round(a_weighting(np.array([100.0, 1000.0, 10000.0])), 1).tolist()
    [-19.1, 0.0, -2.5]
    """
    return np.asarray(20 * np.log10(np.maximum(_gain(np.asarray(hz, float)) / _gain(np.array(1000.0)), 1e-30)), float)


def _gain(hz: Array) -> Array:
    f2 = np.maximum(hz, 1e-3) ** 2
    return np.asarray(_F4**2 * f2**2 / ((f2 + _F1**2) * np.sqrt((f2 + _F2**2) * (f2 + _F3**2)) * (f2 + _F4**2)), float)


def third_octaves(most_hz: float) -> list[tuple[float, float, float]]:
    """Third octaves up to a frequency: mid-band, lower and upper edge, Hz.

    >>> [round(mid, 1) for mid, _, _ in third_octaves(50.0)]
    [25.1, 31.6, 39.8]
    """
    mids = [1000.0 * 10 ** (i / 10) for i in range(_FIRST, _LAST + 1)]
    return [(m, m * 10**-0.05, m * 10**0.05) for m in mids if m * 10**0.05 <= most_hz]
