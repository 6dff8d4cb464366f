"""Recordings in: read block by block, the loudest channel taken."""

from __future__ import annotations

import io
from collections.abc import Callable
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any, BinaryIO

import numpy as np

from kuffin.core.base.errors import LogError
from kuffin.core.base.saying import say
from kuffin.core.sound.heard import Heard, heard
from kuffin.core.sound.spectrum import Energies

_BLOCK_S = 20.0  # of what is looked at together
_RATES = (8000, 400_000)
_SHALLOW = {"PCM_16", "PCM_S8", "PCM_U8", "ULAW", "ALAW"}  # kept in 16 bits, all others in 24
_MOST_CHANNELS = 8  # of FLAC
SOUNDS = (".wav", ".flac", ".ogg", ".aiff", ".aif", ".mp3")
Report = Callable[[float], None]  # how far it is; may raise to stop


@dataclass(frozen=True, kw_only=True)
class Recording:
    """A recording that was read: what it holds, and what is to be said of it."""

    name: str
    heard: Heard
    channel: int
    warnings: tuple[str, ...]
    energies: Energies = field(repr=False)


def read_recording(path: Path | str, report: Report = lambda _: None) -> Recording:
    """Read a recording from a file.

    Raises
    ------
    LogError
        Where it is no recording that the library reads, or an odd one.
    """
    path = Path(path)
    if not path.is_file():
        raise LogError("{name} is not there; look at its name", name=path.name)
    return read_sound(str(path), path.name, report)


def read_sound(source: str | BinaryIO, name: str, report: Report = lambda _: None) -> Recording:
    """Read a recording from a file's path, or from bytes; see `read_recording`."""
    import soundfile  # loaded only when it is used

    try:
        with soundfile.SoundFile(source) as sound:
            rate, channels, frames = int(sound.samplerate), int(sound.channels), int(sound.frames)
            if not _RATES[0] <= rate <= _RATES[1]:
                raise LogError(
                    "{name} has {rate} samples a second; levels need {least} at least",
                    name=name,
                    rate=rate,
                    least=_RATES[0],
                )
            if frames < 1:
                raise LogError("{name} holds no sound", name=name)
            loudest = _loudest(sound, channels, rate) if channels > 1 else 0
            sound.seek(0)
            energies, done = Energies(rate), 0
            for block in _blocks(sound, rate):
                energies.add(np.nan_to_num(block[:, loudest]))
                done += len(block)
                report(done / frames)
    except (soundfile.SoundFileError, RuntimeError, TypeError) as error:
        raise LogError(
            "{name}: this is no recording that Kuffin can read; use WAV or FLAC ({error})", name=name, error=error
        ) from None
    warnings = (
        [
            say(
                "{name} has {n} channels; the loudest, channel {channel}, is taken",
                name=name,
                n=channels,
                channel=loudest + 1,
            )
        ]
        if channels > 1
        else []
    )
    return Recording(name=name, heard=heard(energies), energies=energies, channel=loudest + 1, warnings=tuple(warnings))


def as_flac(source: str, name: str) -> bytes:
    """A recording as FLAC, which loses nothing that 16 bits, or else 24, hold: all channels (of more than eight the loudest alone).

    Raises
    ------
    LogError
        Where it cannot be read.
    """
    import soundfile

    out = io.BytesIO()
    try:
        with soundfile.SoundFile(source) as sound:
            rate, channels = int(sound.samplerate), int(sound.channels)
            one = _loudest(sound, channels, rate) if channels > _MOST_CHANNELS else None
            sound.seek(0)
            kept = 1 if one is not None else channels
            with soundfile.SoundFile(out, "w", rate, kept, "PCM_24", format="FLAC") as packed:
                for block in _blocks(sound, rate):
                    packed.write(np.clip(np.nan_to_num(block if one is None else block[:, [one]]), -1.0, 1.0))
    except (soundfile.SoundFileError, RuntimeError, TypeError) as error:
        raise LogError(
            "{name}: this is no recording that Kuffin can read; use WAV or FLAC ({error})", name=name, error=error
        ) from None
    return out.getvalue()


def _blocks(sound: Any, rate: int) -> Any:
    return sound.blocks(blocksize=int(_BLOCK_S * rate), dtype="float64", always_2d=True)


def _loudest(sound: Any, channels: int, rate: int) -> int:
    """Which channel has the most energy."""
    total = np.zeros(channels)
    for block in _blocks(sound, rate):
        total += (np.nan_to_num(block) ** 2).sum(axis=0)
    return int(np.argmax(total))


def write_sound(path: Path, samples: np.ndarray, rate: int, bits: int = 24) -> None:
    """Write a recording as FLAC, in 16 or 24 bits: `samples` in shares of full scale."""
    import soundfile

    soundfile.write(str(path), np.clip(samples, -1.0, 1.0), rate, subtype=f"PCM_{bits}", format="FLAC")


def samples_of(source: BinaryIO, channel: int) -> tuple[np.ndarray, int]:
    """One channel of a recording (the first is 1) as samples, and how many there are in a second."""
    import soundfile

    with soundfile.SoundFile(source) as sound:
        every = sound.read(dtype="float64", always_2d=True)
        return np.asarray(every[:, min(channel, every.shape[1]) - 1], float), int(sound.samplerate)
