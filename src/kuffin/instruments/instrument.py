"""What the recorder needs of an instrument."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Protocol, runtime_checkable


@dataclass(frozen=True, kw_only=True)
class LiveChannel:
    """One channel that an instrument tells, with its canonical unit."""

    name: str
    unit: str | None
    quantity: str
    role: str | None
    device: str | None = None


class LiveInstrument(Protocol):
    """Something that is read again and again, each at its own rate.

    Attributes
    ----------
    interval_s : float
        How often it is read, in seconds of the recorder's clock.
    """

    name: str
    channels: tuple[LiveChannel, ...]
    interval_s: float

    def read(self) -> Sequence[float]:
        """The channels' values now, NaN where one is missing.

        Raises
        ------
        BenchError
            Where it cannot be read at all; the recorder goes on and tries again.
        """
        ...

    def complaint(self) -> str:
        """What is wrong with what it tells, blank for nothing."""
        ...

    def close(self) -> None:
        """Let it go."""
        ...


@runtime_checkable
class RememberingInstrument(LiveInstrument, Protocol):
    """One that can still tell what it read at a moment that has passed: no row is lost, however late it is asked."""

    def read_at(self, moment: float) -> Sequence[float]:
        """The channels' values at a moment of the recorder's clock, not before one that was asked for already."""
        ...
