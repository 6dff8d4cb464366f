"""The database's errors as sentences."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from sqlalchemy.exc import DBAPIError

from kuffin.core.base.errors import NoRoomError, NotebookError


@contextmanager
def plain_errors(path: Path) -> Iterator[None]:
    """Turn the database's errors into sentences."""
    try:
        yield
    except DBAPIError as error:
        text = str(error.orig)
        if "full" in text:
            raise NoRoomError(
                "the disk is full, so the last edit was not kept in {name}; make room and do it again", name=path.name
            ) from None
        if "interrupted" in text:
            raise NotebookError(
                "{name}: this took far too long and was ended; the file may be damaged", name=path.name
            ) from None
        if "locked" in text:
            raise NotebookError("{name} is in use by another program; try again in a moment", name=path.name) from None
        if "readonly" in text or "read-only" in text:
            raise NotebookError(
                "{name} can no longer be written; check its permissions or save a copy", name=path.name
            ) from None
        if "malformed" in text or "not a database" in text:
            raise NotebookError("{name} is damaged; open a copy of it from before", name=path.name) from None
        raise NotebookError("{name}: {text}", name=path.name, text=text) from None
