"""What a log holds once it has been read."""

from __future__ import annotations

import hashlib
from collections.abc import Sequence
from dataclasses import dataclass, field
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.units import parse_unit, to_canonical
from kuffin.logs.channelguess import Named, guess_all


@dataclass(kw_only=True)
class LogChannel:
    """One column of numbers, in its canonical unit.

    ``values`` has one entry for each row of the log; missing is NaN. ``device`` says whose it is, None for the bench's;
    ``resolution`` is the step of its last digit, where a person typed it.
    """

    name: str
    unit: str | None
    quantity: str
    role: str | None
    values: NDArray[np.float64]
    written_unit: str | None = None
    device: str | None = None
    resolution: float | None = None

    @property
    def named(self) -> Named:
        """What its name and readings tell."""
        some = self.values[:: 1 + self.values.size // 20_000]
        some = some[np.isfinite(some)]
        return Named(self.name, self.quantity, self.unit, float(np.median(some)) if some.size else None)

    @property
    def count(self) -> int:
        """How many rows have a value."""
        return int(np.count_nonzero(np.isfinite(self.values)))

    def written_in(self, text: str | None) -> LogChannel:
        """The same column with the person's word for the unit it was written in (None or blank: no unit)."""
        values = self.values
        before = parse_unit(self.written_unit) if self.written_unit else None
        if before is not None:
            values = (
                values + 273.15
                if before.canonical == "K" and self.unit == "degC"
                else (values - before.offset) / before.scale
            )
        text = (text or "").strip() or None
        after = parse_unit(text) if text else None
        if after is None:
            return LogChannel(
                name=self.name, unit=text, quantity="unknown", role=None, values=values, written_unit=text
            )
        values, unit = to_canonical(values, after)
        return LogChannel(
            name=self.name, unit=unit, quantity=after.quantity, role=None, values=values, written_unit=text
        )


def take_guesses(channels: Sequence[LogChannel]) -> None:
    """Give channels the roles and devices that they are taken for, decided over all of them together."""
    for channel, guess in zip(channels, guess_all([c.named for c in channels]), strict=True):
        channel.role, channel.device = guess.role, guess.device


@dataclass(frozen=True)
class Gap:
    """A step longer than five median steps."""

    at_s: float
    length_s: float


@dataclass(frozen=True)
class ToldOfLog:
    """What a person says of a log that leaves it open; None: it is worked out.

    Attributes
    ----------
    dates : {'dm', 'md', 'ymd'} or None
        Which way round ``03/04/26`` goes.
    decimal : {'.', ','} or None
    time_unit : str or None
        The unit of a clock that counts and names none.
    """

    dates: str | None = None
    decimal: str | None = None
    time_unit: str | None = None


@dataclass(kw_only=True)
class LogTable:
    """A log: times from its first row, channels, and what was odd about it."""

    file: str
    encoding: str
    delimiter: str
    decimal: str
    times: NDArray[np.float64]
    start: str | None
    channels: list[LogChannel]
    dropped_rows: int
    warnings: list[str] = field(default_factory=list)
    preview: list[list[str]] = field(default_factory=list)
    dates: str | None = None  # how dates were read (dm, md, ymd) where the file leaves it open
    dates_open: tuple[str, ...] = ()  # the ways they can be read
    path: Path | None = None
    told: ToldOfLog = ToldOfLog()

    @property
    def rows(self) -> int:
        """How many rows there are."""
        return int(self.times.size)

    @property
    def duration_s(self) -> float:
        """From the first row to the last, s."""
        return float(self.times[-1]) if self.rows else 0.0

    @property
    def interval_s(self) -> float | None:
        """The usual distance of two rows, s; None where there is one row."""
        return float(np.median(np.diff(self.times))) if self.rows > 1 else None

    @property
    def gaps(self) -> list[Gap]:
        """Where more than five rows' time passes without a row."""
        step = np.diff(self.times)
        if not step.size:
            return []
        typical = float(np.median(step[step > 0])) if np.any(step > 0) else 0.0
        return [Gap(float(self.times[i]), float(step[i])) for i in np.flatnonzero(step > 5 * max(typical, 1e-9))]

    @property
    def shape_key(self) -> str:
        """The same for logs with the same columns: what a remembered mapping is filed under."""
        text = "\x1f".join(f"{c.name}\x1e{c.written_unit or ''}" for c in self.channels)
        return hashlib.sha256(text.encode()).hexdigest()[:24]

    def channel(self, name: str) -> LogChannel | None:
        """The channel of a name; None where there is none."""
        return next((c for c in self.channels if c.name == name), None)
