"""Photos are added and opened off the window's thread: twenty from a phone take seconds."""

from __future__ import annotations

import base64
from collections.abc import Callable, Sequence
from typing import Any

from PIL.Image import Image
from PySide6.QtCore import Qt
from PySide6.QtGui import QImage, QPixmap

from kuffin.app.base.jobs import Job, Task
from kuffin.app.state.windowstate import State
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.notebook.photos import add_photo, open_photo, photo_data

Added = list[tuple[str, int]]  # the file's path, and the photo's id


def add_photos(
    state: State, paths: Sequence[str], then: Callable[[Added], None] = lambda _: None, **whose: Any
) -> None:
    """Attach photos to a mount or a part; what is no photo is said, the others are kept.

    Parameters
    ----------
    then : callable
        Called with those that were added.
    whose : mount_id, part_id, kind
    """
    notebook = state.notebook
    if notebook is None or not paths:
        return
    added: Added = []

    def work(job: Task) -> str:
        refused = []
        for i, path in enumerate(paths):
            job.report(i / len(paths))
            try:
                added.append((path, add_photo(notebook, path, tell=False, **whose)))
            except KuffinError as error:
                refused.append(str(error))
        return "; ".join(refused)

    def ended() -> None:  # also where it was stopped half-way: what was added is there
        if added and state.notebook is notebook:
            notebook.changed()
            then(added)

    refused: list[str] = []
    job = state.jobs.start(tr("adding photos"), work, refused.append, state.trouble.emit)
    job.ended.connect(ended)
    job.ended.connect(lambda: state.trouble.emit(refused[0]) if refused and refused[0] else None)


def load_photos(
    state: State, photos: Sequence[tuple[int, str]], show: Callable[[int, QImage], None], longest: int | None = None
) -> Job | None:
    """Open photos of the notebook; each is shown as it comes.

    Parameters
    ----------
    photos : sequence of (id, name)
    show : callable
        Gets the id and the picture, in the window's thread; an empty picture where it cannot be opened, which is said.
    longest : int, optional
        Small ones are opened much faster.
    """
    notebook = state.notebook
    if notebook is None or not photos:
        return None

    def work(job: Task) -> str:
        refused = []
        for at, name in photos:
            try:
                job.show((at, to_qt(open_photo(photo_data(notebook, at), name, longest))))
            except KuffinError as error:
                job.show((at, QImage()))
                refused.append(str(error))
        return "; ".join(refused)

    def done(refused: str) -> None:
        if refused:
            state.trouble.emit(refused)

    job = state.jobs.start(tr("opening photos"), work, done, state.trouble.emit)
    job.shown.connect(lambda found: show(*found))
    return job


def to_qt(picture: Image) -> QImage:
    """A picture for the screen; the pixels are its own."""
    width, height = picture.size
    return QImage(picture.tobytes(), width, height, 3 * width, QImage.Format.Format_RGB888).copy()


def map_picture(png: str | None, times: int = 1) -> QPixmap:
    """The small map of a print as it is kept, so many times as large; nothing where there is none."""
    if not png:
        return QPixmap()
    try:
        image = to_qt(open_photo(base64.b64decode(png), tr("a map"), 192))
    except (KuffinError, ValueError, TypeError):
        return QPixmap()
    return QPixmap.fromImage(image.scaledToHeight(96 * times, Qt.TransformationMode.SmoothTransformation))
