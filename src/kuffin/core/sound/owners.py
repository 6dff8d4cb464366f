"""Whose a tone may be: a multiple of the pump's or the fans' speed, mains hum, or neither, as coils sing.

A guess by frequency alone: two things may sound at the same one, and it is told so.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from kuffin.core.base.language import tr
from kuffin.core.sound.tones import Tone

_WITHIN = 0.006  # of the frequency: what a speed wanders by while it is recorded
_LINE_HZ = 2.0  # and what lines lie apart
_MOST_MULTIPLE = 12  # of a speed without a number of blades
_MOST_OF_BLADES = 6  # times their passing
_MAINS = (50.0, 60.0)
_HUM = (1, 2, 4, 6, 8, 10, 12)  # multiples of the mains at which iron and supplies hum
_COILS_FROM = 900.0


@dataclass(frozen=True)
class Turning:
    """Something that turns: its name, its speed, and how many blades it has; 0: not told."""

    name: str
    rpm: float
    blades: int = 0

    @property
    def hz(self) -> float:
        """Turns a second."""
        return self.rpm / 60


def owner_words(tone: Tone, turning: Sequence[Turning], mains_hz: float | None = None) -> str:
    """Whose a tone is likely to be, in words, all that fit; never blank.

    Parameters
    ----------
    mains_hz : float, optional
        50 or 60; both are tried without it.

    >>> pump = Turning("pump", 2976.0)
    >>> owner_words(Tone(hz=297.6, power=1e-8, tnr_db=12.0), [pump])
    'pump: 6 times its 49.6 turns a second'
    >>> owner_words(Tone(hz=5230.0, power=1e-8, tnr_db=12.0), [pump])
    'neither pump nor mains: coils, if it comes and goes with the load'
    """
    told = [said for t in turning if (said := _of_turning(tone.hz, t))]
    mains = [mains_hz] if mains_hz is not None else list(_MAINS)
    told += [said for hz in mains if (said := _of_mains(tone.hz, hz))]
    if told:
        return tr(" or ").join(dict.fromkeys(told))
    names = [t.name for t in turning]
    others = tr(" nor ").join([*names, tr("mains")])
    neither = tr("neither {others}", others=others) if names else tr("not mains")
    if tone.hz >= _COILS_FROM:
        return tr("{neither}: coils, if it comes and goes with the load", neither=neither)
    return tr("{neither}: not known", neither=neither)


def _near(hz: float, wanted: float) -> bool:
    return abs(hz - wanted) <= max(_WITHIN * wanted, _LINE_HZ)


def _of_turning(hz: float, t: Turning) -> str:
    if not t.hz > 0:
        return ""
    if t.blades:
        for n in range(1, _MOST_OF_BLADES + 1):
            if _near(hz, n * t.blades * t.hz):
                return tr(
                    "{name}: {n} times its {blades} blades at {hz:.1f} turns a second"
                    if n > 1
                    else "{name}: its {blades} blades at {hz:.1f} turns a second",
                    name=t.name,
                    n=n,
                    blades=t.blades,
                    hz=t.hz,
                )
    n, most = round(hz / t.hz), 2 if t.blades else _MOST_MULTIPLE
    if 1 <= n <= most and _near(hz, n * t.hz) and _told_apart(t.hz, hz):
        return tr(
            "{name}: {n} times its {hz:.1f} turns a second" if n > 1 else "{name}: its {hz:.1f} turns a second",
            name=t.name,
            n=n,
            hz=t.hz,
        )
    return ""


def _told_apart(turns: float, hz: float) -> bool:
    """Whether neighbouring multiples of a speed are further apart than what is taken for the same."""
    return turns > 4 * max(_WITHIN * hz, _LINE_HZ)


def _of_mains(hz: float, mains: float) -> str:
    n = round(hz / mains)
    if n in _HUM and abs(hz - n * mains) <= 1.0:
        return f"hum of {mains:.0f} Hz mains" + (f", {n} times" if n > 1 else "")
    return ""


def speeds_of(means: Mapping[str, float], blades: Mapping[str, int]) -> list[Turning]:
    """What turned in a run, from the means of its channels by role."""
    names = {"pump": "pump", "fan": "fans"}
    return [Turning(names[r], means[r], blades.get(r, 0)) for r in names if means.get(r, 0.0) > 0]
