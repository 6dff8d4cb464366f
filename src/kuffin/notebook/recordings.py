"""Recordings of mounts and of the bench, kept as FLAC with what they hold worked out once."""

from __future__ import annotations

import io
from collections.abc import Callable, Mapping
from pathlib import Path
from typing import Any

from sqlalchemy import select

from kuffin.core.base.errors import KuffinError, NotebookError, TraceError
from kuffin.core.base.numbers import outside
from kuffin.core.base.saying import say
from kuffin.core.sound.heard import Heard, heard_from_plain
from kuffin.core.sound.levels import look_at_recording, sensitivity
from kuffin.logs.audio import Recording, as_flac, read_recording, read_sound
from kuffin.notebook.entities import Attachment, Bench, Blob, now_text
from kuffin.notebook.entities.preparing import RECORDINGS
from kuffin.notebook.store import Notebook

LARGEST_RECORDING = 300_000_000  # bytes, as FLAC
HOW = ("distance_m", "position", "level_db", "level_accuracy_db", "gain_db")  # what is asked for once
USUAL = {"level_db": 94.0, "level_accuracy_db": 0.3, "gain_db": 0.0}


def add_recording(
    notebook: Notebook,
    path: Path | str,
    *,
    kind: str = "recording",
    mount_id: int | None = None,
    run_id: int | None = None,
    bench: Bench | None = None,
    condition: str = "",
    added_at: str = "",
    report: Callable[[float], None] = lambda _: None,
    tell: bool = True,
) -> int:
    """Keep a recording of a mount, one of its runs, or (calibrator, background) a bench; returns its id.

    Parameters
    ----------
    bench : Bench, optional
        Where it was made: how recordings are made there is kept with it, so that a later change does not alter it.
    condition : str
        What ran; blank: what the mount's only run did, or not told.
    added_at : str
        When it was made; blank: now.

    Raises
    ------
    LogError, TraceError
        Where it is no recording, too short, silent, or (a calibrator) no calibrator's tone.
    """
    if kind not in RECORDINGS:
        raise NotebookError(
            "“{kind}” is no kind of recording; there are {recordings}", kind=kind, recordings=", ".join(RECORDINGS)
        )
    path = Path(path)
    found = read_recording(path, lambda share: report(0.7 * share))
    look_at_recording(found.name, found.heard)
    sound = dict(bench.sound) if bench is not None else {}
    if kind == "calibrator":
        sensitivity(found.name, found.heard, _number(sound, "level_db"), _number(sound, "gain_db"))
    data = as_flac(str(path), path.name)
    report(0.95)
    if len(data) > LARGEST_RECORDING:
        raise NotebookError("{name} is longer than a notebook keeps; cut it to ten minutes", name=path.name)
    about: dict[str, Any] = {**{k: sound[k] for k in HOW if k in sound}, "heard": found.heard.to_plain()}
    about |= {"channel": float(found.channel)}
    if condition:
        about["load"] = condition
    with notebook.edit(say("add the {kind} {name}", kind=say(kind), name=path.name), tell=tell) as session:
        kept = Attachment(
            mount_id=mount_id,
            run_id=run_id,
            bench_id=bench.id if bench is not None and kind != "recording" else None,
            kind=kind,
            name=path.name,
            about=about,
            added_at=added_at or now_text(),
        )
        session.add(kept)
        session.flush()
        session.add(Blob(attachment_id=kept.id, data=data))
        return kept.id


def _number(sound: Mapping[str, Any], key: str) -> float:
    return float(sound.get(key, USUAL[key]))


def recordings(notebook: Notebook, *, mount_id: int | None = None, bench_id: int | None = None) -> list[Attachment]:
    """The recordings of a mount, or of a bench (its calibrators and backgrounds), oldest first; all of them without either."""
    with notebook.session() as session:
        query = select(Attachment).where(Attachment.binned_at.is_(None), Attachment.kind.in_(RECORDINGS))
        if mount_id is not None:
            query = query.where(Attachment.mount_id == mount_id)
        if bench_id is not None:
            query = query.where(Attachment.bench_id == bench_id)
        return list(session.scalars(query.order_by(Attachment.added_at, Attachment.id)))


def heard_of(kept: Attachment) -> Heard | None:
    """What a kept recording holds; None where that was spoilt."""
    try:
        return heard_from_plain(kept.about["heard"])
    except (KeyError, TypeError, ValueError):
        return None


def sound_data(notebook: Notebook, attachment_id: int) -> bytes:
    """A recording as FLAC.

    Raises
    ------
    NotebookError
        Where it is gone.
    """
    with notebook.session() as session:
        data = session.scalar(select(Blob.data).where(Blob.attachment_id == attachment_id))
    if data is None:
        raise NotebookError("this recording is no longer in the notebook")
    return data


def hear_again(notebook: Notebook, attachment_id: int, report: Callable[[float], None]) -> Recording:
    """A kept recording read again, for its pictures.

    Raises
    ------
    LogError
    """
    return read_sound(io.BytesIO(sound_data(notebook, attachment_id)), "the recording", report)


def bin_recording(notebook: Notebook, attachment_id: int) -> None:
    """Put a recording into the bin."""
    with notebook.edit("put a recording into the bin") as session:
        session.get_one(Attachment, attachment_id).binned_at = now_text()


def change_recording(notebook: Notebook, attachment_id: int, **about: Any) -> None:
    """Change what is told of how a recording was made."""
    with notebook.edit("tell how it was recorded") as session:
        kept = session.get_one(Attachment, attachment_id)
        kept.about = {k: v for k, v in {**kept.about, **about}.items() if v is not None}


def set_sound(notebook: Notebook, bench_id: int, **values: Any) -> None:
    """Say how recordings are made on a bench; None takes it back.

    Raises
    ------
    NotebookError
        Where a number cannot be.
    """
    for key, (low, high, unit) in {
        "distance_m": (0.01, 100.0, "m"),
        "level_db": (20.0, 140.0, "dB"),
        "gain_db": (-120.0, 120.0, "dB"),
    }.items():
        value = values.get(key)
        if value is not None and not low <= value <= high:
            raise NotebookError(outside(value, low, high, unit))
    with notebook.edit("say how recordings are made") as session:
        bench = session.get_one(Bench, bench_id)
        bench.sound = {k: v for k, v in {**bench.sound, **values}.items() if v is not None}


def pascals_of(calibrator: Attachment) -> float:
    """Pascals for each unit of recordings made like a calibrator's.

    Raises
    ------
    KuffinError
        Where it calibrates nothing.
    """
    found = heard_of(calibrator)
    if found is None:
        raise TraceError("{name}: what it holds was lost; add it again", name=calibrator.name)
    return sensitivity(
        calibrator.name, found, _number(calibrator.about, "level_db"), _number(calibrator.about, "gain_db")
    )


def drift_db(calibrators: list[Attachment]) -> float | None:
    """By how many dB the calibrations of a bench differ, from the least to the greatest; None with fewer than two."""
    import math

    found = []
    for kept in calibrators:
        try:
            found.append(20 * math.log10(pascals_of(kept)))
        except KuffinError:
            continue
    return max(found) - min(found) if len(found) > 1 else None
