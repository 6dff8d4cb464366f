"""What a recording holds, in a record that is kept: energies, tones, the calibrator's tone; without samples, and without a level yet.

All energies are mean squares in squared units of full scale, so that a calibration that comes later, or is mended, needs no samples.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import asdict, dataclass, field
from typing import Any

import numpy as np

from kuffin.core.sound.spectrum import Energies
from kuffin.core.sound.tones import Tone, tones


@dataclass(frozen=True, kw_only=True)
class Heard:
    """A recording.

    Attributes
    ----------
    plain, weighted : float
        Mean squares of all of it, as it is and A-weighted.
    quiet, loudest : float
        A-weighted with the Fast weighting: exceeded 90 % of the time, and the maximum.
    thirds : tuple of (mid-band Hz, mean square)
    tones : tuple of Tone
    strongest_hz, strongest_share : float
        The strongest line, and its share of all there is.
    wavering_db : float
        From its quiet moments to its loud ones, with the Fast weighting.
    """

    rate: int
    duration_s: float
    peak: float
    clipped: int
    plain: float
    weighted: float
    quiet: float
    loudest: float
    thirds: tuple[tuple[float, float], ...] = field(repr=False)
    tones: tuple[Tone, ...] = field(repr=False)
    strongest_hz: float
    strongest_share: float
    wavering_db: float

    def to_plain(self) -> dict[str, Any]:
        """As it is kept in a notebook."""
        return asdict(self)


def heard(e: Energies) -> Heard:
    """What energies say."""
    hz, lines = e.lines
    fast = e.fast if e.fast.size else np.array([e.weighted])
    at = int(np.argmax(lines))
    wavering = 10 * np.log10(np.percentile(fast, 95) / max(np.percentile(fast, 5), 1e-30)) if fast.max() > 0 else 0.0
    return Heard(
        rate=e.rate,
        duration_s=e.samples / e.rate,
        peak=e.peak,
        clipped=e.clipped,
        plain=e.mean_square,
        weighted=e.weighted,
        quiet=float(np.percentile(fast, 10)),
        loudest=float(fast.max()),
        thirds=tuple((mid, float(x)) for (mid, _, _), x in zip(e.bands, e.in_bands, strict=True)),
        tones=tuple(tones(hz, lines)),
        strongest_hz=float(hz[at]),
        strongest_share=float(lines[max(at - 3, 0) : at + 4].sum() / max(lines.sum(), 1e-30)),
        wavering_db=float(wavering),
    )


def heard_from_plain(kept: Mapping[str, Any]) -> Heard:
    """A recording as it was kept.

    Raises
    ------
    KeyError, TypeError, ValueError
        Where that is none.

    >>> e = Energies(8000)
    >>> e.add(0.1 * np.sin(2 * np.pi * 1000 * np.arange(24_000) / 8000))
    >>> heard_from_plain(heard(e).to_plain()) == heard(e)
    True
    """
    told = dict(kept)
    thirds = tuple((float(a), float(b)) for a, b in told.pop("thirds"))
    found = tuple(
        Tone(hz=float(t["hz"]), power=float(t["power"]), tnr_db=float(t["tnr_db"])) for t in told.pop("tones")
    )
    rate, clipped = int(told.pop("rate")), int(told.pop("clipped"))
    rest = {k: float(v) for k, v in told.items()}
    return Heard(rate=rate, clipped=clipped, thirds=thirds, tones=found, **rest)
