"""Where an open notebook is kept when its file is taken away, and what is said of it."""

from __future__ import annotations

import datetime as dt
import os
import tempfile
from pathlib import Path

from platformdirs import user_documents_dir

from kuffin.core.base.saying import Saying, say


def rescue_place(path: Path) -> Path:
    """A free name for what is rescued: beside the file, else among the person's documents, at home or in the temporary folder."""
    stem = f"{path.stem} (rescued {dt.datetime.now():%Y-%m-%d %H.%M})"
    for folder in (path.parent, *elsewhere()):
        if os.access(folder, os.W_OK | os.X_OK):
            return free_name(folder, stem, path.suffix)
    return free_name(path.parent, stem, path.suffix)


def elsewhere() -> list[Path]:
    """Folders where things can be kept that have lost their place."""
    return [Path(user_documents_dir()), Path.home(), Path(tempfile.gettempdir())]


def free_name(folder: Path, stem: str, suffix: str) -> Path:
    """A name in a folder that nothing has yet."""
    n, place = 1, folder / f"{stem}{suffix}"
    while os.path.lexists(place):
        n += 1
        place = folder / f"{stem}, {n}{suffix}"
    return place


def moved_words(before: Path, there: Path) -> Saying:
    """What is said of a notebook that has another place now."""
    return say(
        "“{name}” was moved or renamed while it was open here; Kuffin goes on in {there}",
        name=before.name,
        there=str(there),
    )


def rescued_words(before: Path, rescue: Path, replaced: bool) -> Saying:
    """What is said of a rescue."""
    there = {"name": before.name, "rescue": rescue.name, "folder": str(rescue.parent)}
    if replaced:
        return say(
            "“{name}” was replaced by another file while it was open here. All of it, the last edit included, is kept in “{rescue}” in {folder}, and Kuffin goes on in that. The other file was not touched.",
            **there,
        )
    return say(
        "“{name}” was deleted while it was open here. All of it, the last edit included, is kept in “{rescue}” in {folder}, and Kuffin goes on in that.",
        **there,
    )
