"""From energies to levels: the sensitivity that a calibrator gives, levels in dBA, and the background taken off.

Sources: IEC 61672-1:2013 (equivalent level, maximum with the Fast weighting), ISO 1996-2:2017, 10.4 (background, by energy).
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.base.errors import TraceError
from kuffin.core.base.language import tr
from kuffin.core.sound.heard import Heard
from kuffin.core.sound.tones import Tone
from kuffin.core.sound.weighting import P0

_SHORTEST_S = 2.0
_STEADY_DB = 0.5  # by how much a calibrator's tone may waver
_PURE = 0.9  # share of a calibrator's energy that its tone has to have
_FEW_CLIPPED = 5  # samples at full scale that may be chance
_CALIBRATORS = ((1000.0, 30.0), (250.0, 10.0))  # Hz, and how far off one may be
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


def look_at_recording(name: str, found: Heard) -> list[str]:
    """What is to be said of a recording before its levels are.

    Raises
    ------
    TraceError
        Where it is too short, or silent.

    >>> from kuffin.core.sound.heard import heard
    >>> from kuffin.core.sound.spectrum import Energies
    >>> e = Energies(8000)
    >>> e.add(0.1 * np.sin(2 * np.pi * 1000 * np.arange(24_000) / 8000))
    >>> look_at_recording("run.wav", heard(e))
    []
    """
    if found.duration_s < _SHORTEST_S:
        raise TraceError(
            "{name} is {duration_s:.1f} s long; a level needs {shortest_s:.0f} s at least",
            name=name,
            duration_s=found.duration_s,
            shortest_s=_SHORTEST_S,
        )
    if not found.plain > 1e-18:
        raise TraceError("{name} is silent: no microphone was on, or the wrong input was chosen", name=name)
    if found.clipped > _FEW_CLIPPED:
        return [
            tr(
                "{name} is clipped ({clipped} samples at full scale): its level is too low; record it again with less gain",
                name=name,
                clipped=found.clipped,
            )
        ]
    return []


def sensitivity(name: str, found: Heard, level_db: float, gain_db: float) -> float:
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

    >>> from kuffin.core.sound.heard import heard
    >>> from kuffin.core.sound.spectrum import Energies
    >>> e = Energies(8000)
    >>> e.add(0.5 * np.sin(2 * np.pi * 1000 * np.arange(24_000) / 8000))
    >>> round(sensitivity("calibrator.wav", heard(e), 94.0, 0.0), 2)  # 1 Pa is 0.35 of full scale
    2.84
    """
    look_at_recording(name, found)
    if found.clipped > _FEW_CLIPPED:
        raise TraceError(
            "{name} is clipped, so it calibrates nothing; record the calibrator again with less gain, and tell the gain",
            name=name,
        )
    if found.strongest_share < _PURE or found.wavering_db > _STEADY_DB:
        raise TraceError(
            "{name} is no calibrator's steady tone ({strongest_share:.0f} % of it at {strongest_hz:.0f} Hz, wavering by {wavering_db:.1f} dB); give the recording of the calibrator itself",
            name=name,
            strongest_share=100 * found.strongest_share,
            strongest_hz=found.strongest_hz,
            wavering_db=found.wavering_db,
        )
    if all(abs(found.strongest_hz - hz) > within for hz, within in _CALIBRATORS):
        raise TraceError(
            "the tone of {name} is at {strongest_hz:.0f} Hz; calibrators sound at 1000 or 250 Hz",
            name=name,
            strongest_hz=found.strongest_hz,
        )
    rms = np.sqrt(found.plain) / 10 ** (gain_db / 20)
    return float(P0 * 10 ** (level_db / 20) / rms)


def levels(found: Heard, pascals: float | None) -> Levels:
    """The levels of a recording.

    Parameters
    ----------
    pascals : float or None
        For each unit of the recording; None without a calibration.

    >>> from kuffin.core.sound.heard import heard
    >>> from kuffin.core.sound.spectrum import Energies
    >>> e = Energies(8000)
    >>> e.add(0.5 * np.sin(2 * np.pi * 1000 * np.arange(24_000) / 8000))
    >>> round(levels(heard(e), 2.83).laeq, 1), round(levels(heard(e), None).relative_db, 1)
    (94.0, -6.0)
    """
    scale = 2.0 if pascals is None else pascals**2 / P0**2  # a full-scale sine has a mean square of a half

    def db(mean_square: float) -> float:
        return float(10 * np.log10(max(mean_square * scale, 1e-30)))

    told = pascals is not None
    return Levels(
        laeq=db(found.weighted) if told else None,
        la90=db(found.quiet) if told else None,
        lafmax=db(found.loudest) if told else None,
        relative_db=float(10 * np.log10(max(2 * found.weighted, 1e-30))),
        thirds=tuple((mid, db(x)) for mid, x in found.thirds),
        tones=tuple((t, db(t.power)) for t in found.tones),
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
