"""Recordings are added, made, listened to and read again off the window's thread."""

from __future__ import annotations

import io
import tempfile
from collections.abc import Callable, Sequence
from functools import partial
from pathlib import Path
from typing import Any

from PySide6.QtWidgets import QWidget

from kuffin.app.base.jobs import Job, Task
from kuffin.app.state.windowstate import State
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.instruments.soundcard import SoundCard
from kuffin.logs.audio import SOUNDS, samples_of, write_sound
from kuffin.notebook import recordings
from kuffin.notebook.entities import Bench
from kuffin.notebook.shelf import bench_of

SOUND_FILTER = f"Recordings ({' '.join(f'*{end}' for end in SOUNDS)})"


def sounds_among(paths: Sequence[str]) -> list[str]:
    """The recordings among some files, by their endings."""
    return [p for p in paths if Path(p).suffix.lower() in SOUNDS]


def study_bench(state: State) -> Bench | None:
    """The bench that the study's recordings were made on, as it stands in the notebook."""
    if state.notebook is None or state.study is None:
        return None
    return bench_of(state.notebook, state.study.bench_id)


def add_recordings(
    state: State, paths: Sequence[str], then: Callable[[list[int]], None] = lambda _: None, **whose: Any
) -> None:
    """Keep recordings; what is none is said, the others are kept.

    Parameters
    ----------
    whose : mount_id, run_id, bench, kind, condition
    """
    notebook = state.notebook
    if notebook is None or not paths:
        return
    added: list[int] = []
    refused: list[str] = []

    def work(job: Task) -> None:
        for i, path in enumerate(paths):
            try:
                report = partial(_report_part, job, i, len(paths))
                added.append(recordings.add_recording(notebook, path, report=report, tell=False, **whose))
            except KuffinError as error:
                refused.append(str(error))

    def ended() -> None:  # also where it was stopped half-way: what was added is there
        if added and state.notebook is notebook:
            notebook.changed()
            then(added)
        if refused:
            state.trouble.emit("; ".join(refused))

    job = state.jobs.start(tr("listening to the recordings"), work, lambda _: None, state.trouble.emit)
    job.ended.connect(ended)


def _report_part(job: Task, done: int, of: int, share: float) -> None:
    job.report((done + share) / of)


def record_now(
    state: State, card: SoundCard, seconds: float, name: str, then: Callable[[list[int]], None], **whose: Any
) -> Job:
    """Record from a microphone, and keep what came."""
    folder = tempfile.TemporaryDirectory()

    def work(_job: Task) -> str:
        samples, rate = card.record(seconds)
        path = Path(folder.name) / name
        write_sound(path, samples, rate)
        return str(path)

    def done(path: str) -> None:
        def kept(ids: list[int]) -> None:
            folder.cleanup()
            then(ids)

        add_recordings(state, [path], kept, **whose)

    return state.jobs.start(tr("recording sound"), work, done, state.trouble.emit)


def listen(state: State, card: SoundCard, attachment_id: int, channel: int, from_s: float = 0.0) -> None:
    """Play a kept recording from some moment on."""
    notebook = state.notebook
    if notebook is None:
        return

    def work(_job: Task) -> None:
        samples, rate = samples_of(io.BytesIO(recordings.sound_data(notebook, attachment_id)), channel)
        samples = samples[int(from_s * rate) :]
        peak = float(abs(samples).max()) if samples.size else 0.0
        card.play(samples * (0.5 / peak if peak > 0 else 1.0), rate)  # quiet things are made loud enough to hear

    state.jobs.start(tr("playing the recording"), work, lambda _: None, state.trouble.emit)


def ask_recordings(parent: QWidget) -> list[str]:
    """Ask for recordings."""
    from PySide6.QtWidgets import QFileDialog

    from kuffin.app.base.settings import documents

    paths, _ = QFileDialog.getOpenFileNames(parent, tr("Add recordings"), str(documents()), SOUND_FILTER)
    return list(paths)
