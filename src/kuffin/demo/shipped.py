"""The demo notebook as it ships: built beforehand by `build_demo`, with its readings, packed; it opens at once.

`tools/pack_demo.py` packs it anew; a test builds a fresh one and holds both against each other.
"""

from __future__ import annotations

import lzma
from importlib.resources import files
from pathlib import Path

from kuffin.core.base.errors import KuffinError, NotebookError
from kuffin.core.base.wholefile import write_whole
from kuffin.notebook.heldfile import is_open

NAME = "booth-seven.kuffin.xz"


def unpack_demo(path: Path) -> None:
    """Write the demo notebook to a file, in place of what may be there.

    Raises
    ------
    NotebookError
        Where it cannot be written, or what is there is open in a window.
    """
    if is_open(path):
        raise NotebookError(f"{path.name} is open in a Kuffin window; close it first, or choose another name")
    data = lzma.decompress(files("kuffin.demo").joinpath(NAME).read_bytes())
    try:
        path.parent.mkdir(parents=True, exist_ok=True)
        for extra in ("-wal", "-shm"):
            path.with_name(path.name + extra).unlink(missing_ok=True)
        write_whole(path, data)
    except KuffinError as error:
        raise NotebookError(str(error)) from None
    except OSError as error:
        raise NotebookError(f"{path} could not be written ({error.strerror}); choose another place") from None


def pack(notebook: Path, target: Path) -> None:
    """Pack a notebook."""
    target.write_bytes(lzma.compress(notebook.read_bytes(), preset=9))
