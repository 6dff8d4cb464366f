"""Writing a file so that there is the old one or the new one, whole, whatever happens in between."""

from __future__ import annotations

import os
import re
import secrets
import shutil
import time
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from kuffin.core.base.errors import KuffinError


@contextmanager
def written_whole(target: Path | str) -> Iterator[Path]:
    """A place beside a file where its new content is written; at the end it takes the file's name.

    Where anything fails, the file stays as it was and nothing is left behind.

    Parameters
    ----------
    target : Path
        The file's name; a link is followed.

    Yields
    ------
    Path
        An empty file, to be written.

    Raises
    ------
    KuffinError
        Where it cannot be written (no room, no right, no such folder).

    >>> from tempfile import TemporaryDirectory
    >>> with TemporaryDirectory() as folder:
    ...     with written_whole(Path(folder) / "a.txt") as beside:
    ...         _ = beside.write_text("Reed")
    ...     [p.name for p in Path(folder).iterdir()]
    ['a.txt']
    """
    target = Path(target).resolve()
    if target.is_dir():
        raise KuffinError("{name} is a folder; choose another name", name=target.name)
    if target.exists() and not target.is_file():  # a pipe, the screen: nothing stands there that could be lost
        yield target
        return
    partial = target.with_name(f".{secrets.token_hex(6)}.part")
    sweep(target.parent)
    try:
        os.close(os.open(partial, os.O_CREAT | os.O_EXCL | os.O_WRONLY, 0o666))
        if target.exists():
            shutil.copymode(target, partial)
        yield partial
        sync(partial)
        partial.replace(target)
        sync(target.parent)
    except OSError as error:
        why = error.strerror or str(error)
        raise KuffinError(
            "{name} could not be written ({why}); what was there before is as it was. Make room, or choose another folder",
            name=target.name,
            why=why,
        ) from None
    finally:
        partial.unlink(missing_ok=True)


_PARTIAL = re.compile(r"\.[0-9a-f]{12}\.part")
_LEFT_S = 3600.0  # what nobody has written to for so long, nobody will finish


def sweep(folder: Path) -> None:
    """Remove what writing left behind in a folder where it was killed.

    >>> from tempfile import TemporaryDirectory
    >>> with TemporaryDirectory() as folder:
    ...     left = Path(folder) / ".0123456789ab.part"
    ...     left.touch()
    ...     os.utime(left, (0, 0))
    ...     sweep(Path(folder))
    ...     left.exists()
    False
    """
    try:
        with os.scandir(folder) as found:
            for one in found:
                if (
                    _PARTIAL.fullmatch(one.name)
                    and one.is_file(follow_symlinks=False)
                    and time.time() - one.stat(follow_symlinks=False).st_mtime > _LEFT_S
                ):
                    Path(one.path).unlink(missing_ok=True)
    except OSError:
        return


def write_whole(target: Path | str, content: bytes | str) -> None:
    """Write a whole file; text as UTF-8.

    Raises
    ------
    KuffinError

    >>> from tempfile import TemporaryDirectory
    >>> with TemporaryDirectory() as folder:
    ...     write_whole(Path(folder) / "a.txt", "Reed")
    ...     (Path(folder) / "a.txt").read_text()
    'Reed'
    """
    with written_whole(target) as partial:
        partial.write_bytes(content if isinstance(content, bytes) else content.encode("utf-8"))


def sync(path: Path) -> None:
    """Have the disk itself keep a file, or a folder's names; what cannot do so (some network folders) is left."""
    try:
        descriptor = os.open(path, os.O_RDONLY)
    except OSError:
        return
    try:
        os.fsync(descriptor)
    except OSError as error:
        if path.is_file():
            raise error
    finally:
        os.close(descriptor)
