"""Recordings in: read block by block, the loudest channel taken."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import numpy as np

from kuffin.core.base.errors import LogError
from kuffin.core.sound.spectrum import Energies

_BLOCK_S = 20.0  # of what is looked at together
_RATES = (8000, 400_000)
Report = Callable[[float], None]  # how far it is; may raise to stop


@dataclass(frozen=True, kw_only=True)
class Recording:
    """A recording that was read: its energies, and what is to be said of it."""

    name: str
    energies: Energies
    channel: int
    duration_s: float
    warnings: tuple[str, ...]


def read_recording(path: Path | str, report: Report = lambda _: None) -> Recording:
    """Read a recording.

    Raises
    ------
    LogError
        Where it is no recording that the library reads, or an odd one.
    """
    import soundfile  # loaded only when it is used

    path = Path(path)
    if not path.is_file():
        raise LogError(f"{path.name} is not there; look at its name")
    try:
        with soundfile.SoundFile(str(path)) as sound:
            rate, channels, frames = int(sound.samplerate), int(sound.channels), int(sound.frames)
            if not _RATES[0] <= rate <= _RATES[1]:
                raise LogError(f"{path.name} has {rate} samples a second; levels need {_RATES[0]} at least")
            if frames < 1:
                raise LogError(f"{path.name} holds no sound")
            loudest = _loudest(sound, channels, rate) if channels > 1 else 0
            sound.seek(0)
            energies, done = Energies(rate), 0
            for block in _blocks(sound, rate):
                energies.add(np.nan_to_num(block[:, loudest]))
                done += len(block)
                report(done / frames)
    except (soundfile.SoundFileError, RuntimeError, TypeError) as error:
        raise LogError(f"{path.name}: this is no recording that Kuffin can read; use WAV or FLAC ({error})") from None
    warnings = (
        [f"{path.name} has {channels} channels; the loudest, channel {loudest + 1}, is taken"] if channels > 1 else []
    )
    return Recording(
        name=path.name, energies=energies, channel=loudest + 1, duration_s=frames / rate, warnings=tuple(warnings)
    )


def _blocks(sound: Any, rate: int) -> Any:
    return sound.blocks(blocksize=int(_BLOCK_S * rate), dtype="float64", always_2d=True)


def _loudest(sound: Any, channels: int, rate: int) -> int:
    """Which channel has the most energy."""
    total = np.zeros(channels)
    for block in _blocks(sound, rate):
        total += (np.nan_to_num(block) ** 2).sum(axis=0)
    return int(np.argmax(total))
