"""What a study's recordings say: each mount's level under a condition."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace

from kuffin.core.base.language import tr
from kuffin.core.base.worked import Worked, in_quadrature, mean_of
from kuffin.notebook.entities import Attachment, Study
from kuffin.notebook.recordings import recordings
from kuffin.notebook.store import Notebook
from kuffin.reading.soundlevels import SoundLevel, level_of
from kuffin.verdict.noreading import NoReading


@dataclass(frozen=True)
class MountRecording:
    """A recording of a mount, and what ran: a condition's name; blank where that is not told."""

    sound: SoundLevel
    condition: str

    @property
    def kept(self) -> Attachment:
        """Where it lies."""
        return self.sound.kept


Sounds = Mapping[int, tuple[MountRecording, ...]]  # by the mount's id


def sounds_of(notebook: Notebook, study: Study) -> Sounds:
    """All recordings of a study's mounts with their levels."""
    mounts = {m.id: m for c in study.live_candidates for m in c.live_mounts}
    every = recordings(notebook)
    of_bench = [r for r in every if r.bench_id is not None and r.bench_id == study.bench_id]
    out: dict[int, list[MountRecording]] = {}
    for kept in every:
        mount = mounts.get(kept.mount_id or -1)
        found = None if mount is None else level_of(kept, of_bench)
        if mount is not None and found is not None:
            run = next((r for r in mount.live_runs if r.id == kept.run_id), None)
            told = str(kept.about.get("load") or (run.condition if run is not None else ""))
            out.setdefault(mount.id, []).append(MountRecording(found, told))
    return {k: tuple(v) for k, v in out.items()}


def heard_under(sounds: Sounds, mount_id: int, condition: str | None) -> list[MountRecording]:
    """A mount's recordings under a condition; what ran in one that does not tell is taken to be the only condition there is."""
    return [r for r in sounds.get(mount_id, ()) if condition is None or r.condition.casefold() == condition.casefold()]


def recorded_level(sounds: Sounds, mount_id: int, condition: str | None) -> Worked:
    """A mount's level under a condition: the mean of its recordings.

    Raises
    ------
    NoReading
        Why there is none.
    """
    found = heard_under(sounds, mount_id, condition)
    levels = [r.sound.worked for r in found if r.sound.worked is not None]
    if not levels:
        raise NoReading(found[0].sound.why_not if found else tr("no sound was measured, nor recorded, under this"))
    if len(levels) == 1:
        return replace(levels[0], name=tr("Loudness, recorded"), symbol="y")
    terms = [replace(x, name=tr("Recording {i}", i=i), symbol=f"y_{i}") for i, x in enumerate(levels, 1)]
    halves = [
        replace(x.half, name=tr("Half-width of recording {i}", i=i), symbol=f"U_{i}")
        for i, x in enumerate(levels, 1)
        if x.half is not None
    ]
    half = in_quadrature(tr("Half-width"), "U", halves, "dB", over=len(levels))
    return mean_of(tr("Mean of the recordings"), "y", terms, "dBA", digits=1, half=half)
