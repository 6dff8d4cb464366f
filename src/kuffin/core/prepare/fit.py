"""Does it fit: screws into a radiator, and the order of tightening."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import counted, tr
from kuffin.core.base.numbers import begun

LENGTHS_MM = (4, 5, 6, 8, 10, 12, 16, 18, 20, 25, 28, 30, 32, 35, 40, 45, 50, 55, 60, 65, 70)
LEAST_THREAD_MM = 2.0  # four turns of M3
MARGIN_MM = 0.5  # kept from the core


@dataclass(frozen=True, kw_only=True)
class ScrewFit:
    """How a screw reaches into a radiator.

    Attributes
    ----------
    state : str
        ``right``, ``too short`` or ``too long``.
    washers : int or None
        How many washers in all make it right; None where none do.
    better_mm : float or None
        A usual length that is right without more washers.
    """

    reach_mm: float
    state: str
    washers: int | None
    better_mm: float | None
    sentence: str


def screw(
    length_mm: float,
    fan_mm: float,
    depth_mm: float,
    *,
    washers: int = 0,
    washer_mm: float = 0.5,
    grille_mm: float = 0.0,
) -> ScrewFit:
    """Whether a screw through a fan holds in a radiator without piercing its core.

    Parameters
    ----------
    length_mm, fan_mm, grille_mm, washer_mm : float
        Of the screw under its head, of the fan's frame, of a grille or shroud, of one washer.
    depth_mm : float
        From the radiator's flange to the core's tubes.

    Raises
    ------
    BenchError
        For sizes below zero, or a screw shorter than what it goes through.
    """
    for name, value in (
        ("screw", length_mm),
        ("fan", fan_mm),
        ("depth", depth_mm),
        ("washer", washer_mm),
        ("grille", grille_mm),
    ):
        if value < 0 or not np.isfinite(value):
            raise BenchError("the {name} cannot be {value:g} mm; measure it again", name=name, value=value)
    if washers < 0:
        raise BenchError("washers are counted from 0")
    stack = fan_mm + grille_mm + washers * washer_mm
    if length_mm <= stack:
        raise BenchError(
            "a screw of {length_mm:g} mm is shorter than what it goes through ({stack:g} mm); it needs at least {least:g} mm",
            length_mm=length_mm,
            stack=stack,
            least=stack + LEAST_THREAD_MM,
        )
    most = depth_mm - MARGIN_MM

    def fits(n: int) -> bool:
        return LEAST_THREAD_MM <= length_mm - fan_mm - grille_mm - n * washer_mm <= most

    reach = length_mm - stack
    mended = next((n for n in range(0, 9) if fits(n)), None) if washer_mm > 0 else None
    better = next((float(x) for x in LENGTHS_MM if LEAST_THREAD_MM <= x - stack <= most), None)
    if reach > depth_mm:
        state, words = (
            "too long",
            tr(
                "would pierce the core: it reaches {reach:.1f} mm in, the core begins at {depth_mm:.1f} mm",
                reach=reach,
                depth_mm=depth_mm,
            ),
        )
    elif reach > most:
        state, words = "too long", tr("ends {depth_mm:.1f} mm before the core, too close", depth_mm=depth_mm - reach)
    elif reach < LEAST_THREAD_MM:
        state, words = (
            "too short",
            tr(
                "holds by {reach:.1f} mm only, less than {LEAST_THREAD_MM:g} mm",
                reach=reach,
                LEAST_THREAD_MM=LEAST_THREAD_MM,
            ),
        )
    else:
        return ScrewFit(
            reach_mm=reach,
            state="right",
            washers=washers,
            better_mm=length_mm,
            sentence=tr(
                "Right: it reaches {reach:.1f} mm in, {depth_mm:.1f} mm before the core.",
                reach=reach,
                depth_mm=depth_mm - reach,
            ),
        )
    mend = []
    if mended is not None and mended != washers:
        mend.append(
            counted(
                mended,
                "take {n} washer of {washer_mm:g} mm",
                "take {n} washers of {washer_mm:g} mm",
                washer_mm=washer_mm,
            )
        )
    if better is not None:
        mend.append(tr("use a screw of {better:g} mm", better=better))
    advice = " or ".join(mend) if mend else tr("no usual length fits: another thread or a spacer is needed")
    return ScrewFit(
        reach_mm=reach,
        state=state,
        washers=mended,
        better_mm=better,
        sentence=tr("{state}: it {words}; {advice}.", state=begun(tr(state)), words=words, advice=advice),
    )


def tightening(pattern: str) -> tuple[list[tuple[float, float]], list[int]]:
    """Where the screws of a pattern are, from −1 to 1, and in which order to turn them (indices, across each time).

    Raises
    ------
    BenchError
    """
    if pattern == "two":
        return [(-0.8, 0.0), (0.8, 0.0)], [0, 1]
    if pattern == "four":
        return [(-0.8, -0.8), (0.8, -0.8), (0.8, 0.8), (-0.8, 0.8)], [0, 2, 1, 3]
    if pattern == "four in a cross":
        return [(0.0, -0.9), (0.9, 0.0), (0.0, 0.9), (-0.9, 0.0)], [0, 2, 1, 3]
    if pattern in {"six", "eight"}:
        n = 6 if pattern == "six" else 8
        angles = [2 * np.pi * (k + 0.5) / n for k in range(n)]
        points = [(float(0.9 * np.sin(a)), float(-0.9 * np.cos(a))) for a in angles]
        half = n // 2
        order = [i for k in ([0, 2, 1] if n == 6 else [0, 2, 1, 3]) for i in (k, k + half)]
        return points, order
    raise BenchError("the screw pattern “{pattern}” is not known", pattern=pattern)
