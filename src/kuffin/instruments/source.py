"""A source of live values: what a driver tells, by its own names, before a person has named and calibrated anything."""

from __future__ import annotations

from typing import Protocol

from kuffin.instruments.meterlines import ToldValue


class ChannelSource(Protocol):
    """Something that tells values when it is read.

    It connects by itself and again after it was unplugged.
    """

    def read(self) -> dict[str, ToldValue]:
        """What it tells now, by its own names; empty where nothing new came.

        Raises
        ------
        BenchError
            Where it cannot be read at all.
        """
        ...

    def complaint(self) -> str:
        """What is wrong with what it tells, blank for nothing."""
        ...

    def close(self) -> None:
        """Let it go."""
        ...
