"""Listening to a recording, and recording from a microphone; the sound library is loaded only when it is used."""

from __future__ import annotations

import threading
from typing import Any, Protocol

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import mark

Array = NDArray[np.float64]
LONGEST_S = 600.0


class SoundCard(Protocol):
    """Something that plays and records."""

    name: str

    def play(self, samples: Array, rate: int) -> None:
        """Begin to play; returns at once."""

    def stop(self) -> None:
        """Stop playing, and end a recording early."""

    def record(self, seconds: float) -> tuple[Array, int]:
        """Record from the microphone: samples in shares of full scale, shape (n,), and how many there are in a second."""


class ThisComputersSound:
    """The computer's own sound card."""

    name = mark("this computer's microphone")
    rate = 48_000

    def __init__(self) -> None:
        self._ended = threading.Event()

    def play(self, samples: Array, rate: int) -> None:
        """Begin to play.

        Raises
        ------
        BenchError
            Where this computer has no sound.
        """
        library = _library()
        try:
            library.play(samples, rate)
        except Exception as error:  # the library raises what its drivers do
            raise BenchError(
                "this computer plays no sound ({error}); copy the recording out and listen elsewhere", error=error
            ) from None

    def stop(self) -> None:
        """Stop playing, and end a recording early."""
        self._ended.set()
        try:
            _library().stop()
        except BenchError:
            return

    def record(self, seconds: float) -> tuple[Array, int]:
        """Record from the microphone.

        Raises
        ------
        BenchError
            Where there is none.
        """
        library = _library()
        self._ended.clear()
        blocks: list[Array] = []

        def take(data: Any, _frames: int, _time: object, _status: object) -> None:
            blocks.append(np.asarray(data[:, 0], float).copy())

        try:
            with library.InputStream(samplerate=self.rate, channels=1, callback=take):
                self._ended.wait(min(seconds, LONGEST_S))
        except Exception as error:
            raise BenchError(
                "no microphone can be read here ({error}); record elsewhere and drop the file on the page", error=error
            ) from None
        if not blocks:
            raise BenchError("the microphone gave nothing; look at whether it is muted")
        return np.concatenate(blocks), self.rate


def _library() -> Any:
    try:
        import sounddevice
    except (ImportError, OSError) as error:
        raise BenchError(
            "this computer's sound cannot be used ({error}); recordings can still be dropped on the page", error=error
        ) from None
    return sounddevice
