"""Tones that stand out of their surroundings: the tone-to-noise ratio.

Source: ECMA-418-1:2022, clause 11 (tone-to-noise ratio method): the tone's own lines against the noise in the critical band round it.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]
_LOBE = 3  # lines on either side of a tone's own that a Hann window spreads it over
_PEAK = 4.0  # how far a line stands over the middle of its surroundings to be looked at, as a ratio
_LEAST_HZ, _MOST_HZ = 60.0, 11_200.0


@dataclass(frozen=True, kw_only=True)
class Tone:
    """A tone.

    Attributes
    ----------
    hz : float
    power : float
        Its mean square, in squared units of the recording.
    tnr_db : float
        Over the noise in its critical band.
    """

    hz: float
    power: float
    tnr_db: float

    @property
    def prominent(self) -> bool:
        """Whether it stands out to the ear."""
        return self.tnr_db >= prominent_from(self.hz)


def critical_band(hz: float) -> float:
    """Width of the critical band round a frequency, Hz (E. Zwicker and H. Fastl, *Psychoacoustics*, section 6.2).

    >>> round(critical_band(1000.0))
    162
    """
    return float(25 + 75 * (1 + 1.4 * (hz / 1000) ** 2) ** 0.69)


def prominent_from(hz: float) -> float:
    """The tone-to-noise ratio from which a tone is prominent, dB.

    >>> prominent_from(2000.0), round(prominent_from(100.0), 2)
    (8.0, 16.33)
    """
    return 8.0 if hz >= 1000 else float(8.0 + 8.33 * np.log10(1000 / hz))


def tones(hz: Array, lines: Array) -> list[Tone]:
    """The tones of a spectrum, from the lowest up.

    Parameters
    ----------
    hz, lines : ndarray, shape (n,)
        Frequencies, evenly spaced, and the mean square of each line, from Hann windows.
    """
    step = float(hz[1] - hz[0])
    peaks = [
        i
        for i in range(_LOBE + 1, hz.size - _LOBE - 1)
        if _LEAST_HZ <= hz[i] <= _MOST_HZ
        and lines[i] >= lines[i - 1]
        and lines[i] > lines[i + 1]
        and _stands_out(hz, lines, i, step)
    ]
    own = np.zeros(hz.size, bool)
    for i in peaks:
        own[i - _LOBE : i + _LOBE + 1] = True
    out = []
    for i in peaks:
        half = critical_band(float(hz[i])) / 2
        band = np.abs(hz - hz[i]) <= half
        noise_lines = lines[band & ~own]
        if noise_lines.size < 3:
            continue
        noise = float(noise_lines.mean())
        lobe = slice(i - _LOBE, i + _LOBE + 1)
        power = float(lines[lobe].sum()) - noise * (2 * _LOBE + 1)
        if power <= 0:
            continue
        place = float(hz[lobe] @ np.maximum(lines[lobe] - noise, 0.0) / np.maximum(lines[lobe] - noise, 0.0).sum())
        ratio = 10 * np.log10(power / (noise * 2 * half / step))
        out.append(Tone(hz=place, power=power, tnr_db=float(ratio)))
    return _loudest_of_each(out, step)


def _stands_out(hz: Array, lines: Array, i: int, step: float) -> bool:
    half = max(int(critical_band(float(hz[i])) / 2 / step), 2 * _LOBE)
    around = lines[max(i - half, 0) : i + half + 1]
    return bool(lines[i] > _PEAK * np.median(around))


def _loudest_of_each(found: list[Tone], step: float) -> list[Tone]:
    """Of peaks that share a lobe only the loudest."""
    out: list[Tone] = []
    for tone in found:
        if out and tone.hz - out[-1].hz < (_LOBE + 1) * step:
            if tone.power > out[-1].power:
                out[-1] = tone
        else:
            out.append(tone)
    return out
