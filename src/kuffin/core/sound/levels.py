"""From energies to levels: the sensitivity that a calibrator gives, levels in dBA, and the background taken off.

Sources: IEC 61672-1:2013 (equivalent level, maximum with the Fast weighting), ISO 1996-2:2017, 10.4 (background, by energy).
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.base.errors import TraceError
from kuffin.core.sound.spectrum import Energies
from kuffin.core.sound.tones import Tone, tones
from kuffin.core.sound.weighting import P0

_SHORTEST_S = 2.0
_STEADY_DB = 0.5  # by how much a calibrator's tone may waver
_PURE = 0.9  # share of a calibrator's energy that its tone has to have
_CLEAR_DB, _TOO_CLOSE_DB = 15.0, 3.0
CORRECTIONS = ("none needed", "corrected", "too close")


@dataclass(frozen=True, kw_only=True)
class Levels:
    """What a recording says.

    Attributes
    ----------
    laeq, la90, lafmax : float or None
        dBA; None without a calibration.
    relative_db : float
        A-weighted, over a full-scale sine at 1 kHz.
    thirds : tuple of (mid-band Hz, level dB)
        Relative like `relative_db` without a calibration.
    tones : tuple of (Tone, level dB)
    """

    laeq: float | None
    la90: float | None
    lafmax: float | None
    relative_db: float
    thirds: tuple[tuple[float, float], ...]
    tones: tuple[tuple[Tone, float], ...]

    @property
    def calibrated(self) -> bool:
        """Whether its levels are dBA."""
        return self.laeq is not None


def look_at_recording(name: str, e: Energies) -> list[str]:
    """What is to be said of a recording before its levels are.

    Raises
    ------
    TraceError
        Where it is too short, or silent.
    """
    seconds = e.samples / e.rate
    if seconds < _SHORTEST_S:
        raise TraceError(f"{name} is {seconds:.1f} s long; a level needs {_SHORTEST_S:.0f} s at least")
    if not e.mean_square > 1e-18:
        raise TraceError(f"{name} is silent: no microphone was on, or the wrong input was chosen")
    if e.clipped > 5:
        return [
            f"{name} is clipped ({e.clipped} samples at full scale): its level is too low; record it again with less gain"
        ]
    return []


def sensitivity(name: str, e: Energies, level_db: float, gain_db: float) -> float:
    """Pascals for each unit of a recording, from a calibrator's recording.

    Parameters
    ----------
    level_db : float
        Of the calibrator.
    gain_db : float
        By how many dB it was recorded lower (negative) or higher than the rest.

    Raises
    ------
    TraceError
        Where it is no steady tone.
    """
    look_at_recording(name, e)
    if e.clipped > 5:
        raise TraceError(
            f"{name} is clipped, so it calibrates nothing; record the calibrator again with less gain, and tell the gain"
        )
    hz, lines = e.lines
    at = int(np.argmax(lines))
    share = float(lines[max(at - 3, 0) : at + 4].sum() / max(lines.sum(), 1e-30))
    wavering = 10 * np.log10(np.percentile(e.fast, 95) / max(np.percentile(e.fast, 5), 1e-30)) if e.fast.size else 0.0
    if share < _PURE or wavering > _STEADY_DB:
        raise TraceError(
            f"{name} is no calibrator's steady tone ({100 * share:.0f} % of it at {hz[at]:.0f} Hz, wavering by {wavering:.1f} dB); "
            "give the recording of the calibrator itself"
        )
    if abs(float(hz[at]) - 1000) > 30 and abs(float(hz[at]) - 250) > 10:
        raise TraceError(f"the tone of {name} is at {hz[at]:.0f} Hz; calibrators sound at 1000 or 250 Hz")
    rms = np.sqrt(e.mean_square) / 10 ** (gain_db / 20)
    return float(P0 * 10 ** (level_db / 20) / rms)


def levels(e: Energies, pascals: float | None) -> Levels:
    """The levels of a recording.

    Parameters
    ----------
    pascals : float or None
        For each unit of the recording; None without a calibration.
    """
    scale = 2.0 if pascals is None else pascals**2 / P0**2  # a full-scale sine has a mean square of a half

    def db(mean_square: float) -> float:
        return float(10 * np.log10(max(mean_square * scale, 1e-30)))

    hz, lines = e.lines
    fast = e.fast if e.fast.size else np.array([e.weighted])
    told = pascals is not None
    return Levels(
        laeq=db(e.weighted) if told else None,
        la90=db(float(np.percentile(fast, 10))) if told else None,
        lafmax=db(float(fast.max())) if told else None,
        relative_db=float(10 * np.log10(max(2 * e.weighted, 1e-30))),
        thirds=tuple((mid, db(float(x))) for (mid, _, _), x in zip(e.bands, e.in_bands, strict=True)),
        tones=tuple((t, db(t.power)) for t in tones(hz, lines)),
    )


def without_background(level: float, background: float) -> tuple[float | None, str]:
    """A level with the background taken off by energy, and how: one of `CORRECTIONS`.

    >>> without_background(40.0, 20.0), without_background(34.2, 32.0)[1]
    ((40.0, 'none needed'), 'too close')
    >>> round(without_background(40.0, 34.0)[0], 2)
    38.74
    """
    gap = level - background
    if gap >= _CLEAR_DB:
        return level, "none needed"
    if gap < _TOO_CLOSE_DB:
        return None, "too close"
    return float(10 * np.log10(10 ** (level / 10) - 10 ** (background / 10))), "corrected"
