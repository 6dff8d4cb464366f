"""The bench of this computer, as the person has set it up."""

from __future__ import annotations

from pathlib import Path

from kuffin.core.errors import BenchError
from kuffin.recording.openbench import OpenBench


def open_this_bench(settings: Path | None = None) -> OpenBench:
    """Open the instruments that are set up on this computer.

    Raises
    ------
    BenchError
        Where there are none.
    """
    raise BenchError("no instruments are set up on this computer")


def set_up_words(settings: Path) -> tuple[str, bool]:
    """What is set up on this computer, in words, and whether one can record from it."""
    return "No instruments are set up on this computer yet: find them on the Bench page.", False
