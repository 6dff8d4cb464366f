"""Calibration of a probe: an offset, two points, or levelling several that are all at one temperature."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.errors import BenchError
from kuffin.core.base.numbers import plain

LARGEST_LEVEL_K = 3.0


@dataclass(frozen=True)
class Calibration:
    """``true = gain · read + offset``; `how` says in words where it comes from."""

    gain: float = 1.0
    offset: float = 0.0
    how: str = ""

    def apply(self, read: float) -> float:
        """The calibrated value."""
        return self.gain * read + self.offset

    @property
    def words(self) -> str:
        """In words."""
        if self.gain == 1.0 and self.offset == 0.0:
            return "as it reads"
        gain = f"× {plain(self.gain, 5)} " if self.gain != 1.0 else ""
        sign = "+" if self.offset >= 0 else "−"
        return f"{gain}{sign} {plain(abs(self.offset), 3)}" + (f", {self.how}" if self.how else "")


@dataclass(frozen=True)
class Within:
    """How close a channel is to the truth: half-widths of about 95 %, a share of the reading and a fixed part, added."""

    percent: float = 0.0
    fixed: float = 0.0

    @property
    def known(self) -> bool:
        """Whether anything is told of how well it measures."""
        return self.percent > 0 or self.fixed > 0

    def half_width(self, value: float) -> float:
        """At a reading, in the reading's unit."""
        return abs(value) * self.percent / 100 + self.fixed

    @property
    def words(self) -> str:
        """As it is written."""
        parts = [f"{plain(self.percent)} %"] if self.percent else []
        return " + ".join([*parts, plain(self.fixed)] if self.fixed else parts)

    @classmethod
    def read(cls, written: str) -> Within:
        """From ``0.2``, ``2 %``, ``2 % + 0.1``; blank for not known.

        Raises
        ------
        BenchError
        """
        percent = fixed = 0.0
        for piece in written.replace("±", "").replace(",", ".").split("+"):
            piece = piece.strip()
            if not piece:
                continue
            number, share = piece.removesuffix("%").strip(), piece.endswith("%")
            try:
                value = float(number.split()[0])
            except (ValueError, IndexError):
                raise BenchError(
                    "“{written}” is no accuracy; write 0.2, or 2 %, or 2 % + 0.1", written=written
                ) from None
            if not 0 <= value < 1000:
                raise BenchError("“{written}”: an accuracy is above 0 and sensible", written=written)
            percent, fixed = (percent + value, fixed) if share else (percent, fixed + value)
        return cls(percent, fixed)


def two_points(read_low: float, true_low: float, read_high: float, true_high: float) -> Calibration:
    """From two points, such as ice water and a reference at 50 °C: the straight line through both.

    Raises
    ------
    BenchError
        Where the points lie too close together, or contradict each other.
    """
    if abs(read_high - read_low) < 1e-9 or abs(true_high - true_low) < 5.0:
        raise BenchError("the two points must lie at least 5 apart; take one cold and one warm")
    gain = (true_high - true_low) / (read_high - read_low)
    if not 0.8 <= gain <= 1.25:
        raise BenchError("the two points give a gain of {gain:.2f}; one of them was read or typed wrongly", gain=gain)
    return Calibration(gain, true_low - gain * read_low, "two points")


def level(readings: Mapping[str, float], reference: float | None = None) -> dict[str, float]:
    """The zero check: everything is at one temperature now, so the probes are levelled.

    Parameters
    ----------
    readings : mapping of probe to its mean reading, °C
        As calibrated so far.
    reference : float, optional
        A trusted thermometer's reading; else the median of the probes.

    Returns
    -------
    dict of probe to what is to be added to its offset, K.

    Raises
    ------
    BenchError
        With fewer than two probes, or one that is far off: it is not at room temperature, or broken.
    """
    known = {k: v for k, v in readings.items() if np.isfinite(v)}
    if len(known) < (1 if reference is not None else 2):
        raise BenchError("at least two probes must tell a temperature for the zero check")
    middle = float(np.median(list(known.values()))) if reference is None else reference
    far = {k: v for k, v in known.items() if abs(v - middle) > LARGEST_LEVEL_K}
    if far:
        named = ", ".join(f"{k} ({v:.1f} °C)" for k, v in far.items())
        raise BenchError(
            "{named} is more than {largest_level_k:g} K from {middle:.1f} °C: it is not at room temperature yet, or broken. Nothing was levelled",
            named=named,
            largest_level_k=LARGEST_LEVEL_K,
            middle=middle,
        )
    return {k: middle - v for k, v in known.items()}
