"""Photos of mounts and parts, kept in the notebook; whoever brought them, they are opened with care."""

from __future__ import annotations

import io
import stat
from collections import Counter
from pathlib import Path
from typing import TYPE_CHECKING

from sqlalchemy import func, select

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.saying import say
from kuffin.notebook.entities import Attachment, Blob, now_text
from kuffin.notebook.entities.preparing import RECORDINGS
from kuffin.notebook.store import Notebook

if TYPE_CHECKING:
    from PIL.Image import Image

LARGEST_PHOTO = 40_000_000  # bytes
MOST_PIXELS = 130_000_000  # of the largest phone cameras
_FORMATS = ("JPEG", "PNG", "WEBP", "BMP")  # no others are tried, whatever a file says it is


def open_photo(data: bytes, name: str, longest: int | None = None) -> Image:
    """A photo's pixels, upright, as RGB.

    Parameters
    ----------
    longest : int, optional
        It is made so small that neither side is longer; a JPEG is then decoded small, which is many times as fast.

    Raises
    ------
    NotebookError
        Where it is none of the formats, too large, or damaged.
    """
    from PIL import Image, ImageOps

    if len(data) > LARGEST_PHOTO:
        raise NotebookError(
            "{name} is larger than {largest_photo} MB; make it smaller first",
            name=name,
            largest_photo=LARGEST_PHOTO // 1_000_000,
        )
    try:
        with Image.open(io.BytesIO(data), formats=_FORMATS) as opened:
            pixels = opened.width * opened.height
            if pixels <= MOST_PIXELS:
                if longest is not None:
                    opened.draft("RGB", (longest, longest))
                found = ImageOps.exif_transpose(opened).convert("RGB")
                if longest is not None:
                    found.thumbnail((longest, longest))
                return found
    except (OSError, SyntaxError, ValueError, TypeError, KeyError, OverflowError, MemoryError) as error:
        raise NotebookError(
            "{name}: this is no photo that Kuffin can read; use JPEG or PNG ({error})", name=name, error=error
        ) from None
    except Image.DecompressionBombError:
        pixels = MOST_PIXELS + 1
    raise NotebookError(
        "{name} has more than {most_pixels} million pixels; make it smaller first",
        name=name,
        most_pixels=MOST_PIXELS // 1_000_000,
    )


def add_photo(
    notebook: Notebook,
    path: Path | str,
    *,
    mount_id: int | None = None,
    part_id: int | None = None,
    kind: str = "photo",
    tell: bool = True,
) -> int:
    """Attach a photo to a mount or a part; returns its id.

    Raises
    ------
    NotebookError
        Where the file is no photo, cannot be read, or is very large.
    """
    path = Path(path)
    try:
        about = path.stat()
        if not stat.S_ISREG(about.st_mode):
            raise NotebookError("{name}: this is no ordinary file", name=path.name)
        if about.st_size > LARGEST_PHOTO:
            raise NotebookError(
                "{name} is larger than {largest_photo} MB; make it smaller first",
                name=path.name,
                largest_photo=LARGEST_PHOTO // 1_000_000,
            )
        data = path.read_bytes()
    except OSError as error:
        raise NotebookError("{name}: cannot be read ({strerror})", name=path.name, strerror=error.strerror) from None
    open_photo(data, path.name, 256)
    with notebook.edit(say("add the photo {name}", name=path.name), tell=tell) as session:
        attachment = Attachment(mount_id=mount_id, part_id=part_id, kind=kind, name=path.name)
        session.add(attachment)
        session.flush()
        session.add(Blob(attachment_id=attachment.id, data=data))
        return attachment.id


def photos(notebook: Notebook, *, mount_id: int | None = None, part_id: int | None = None) -> list[Attachment]:
    """The photos of a mount or a part, oldest first."""
    with notebook.session() as session:
        query = select(Attachment).where(Attachment.binned_at.is_(None), Attachment.kind.not_in(RECORDINGS))
        query = query.order_by(Attachment.id)
        if mount_id is not None:
            query = query.where(Attachment.mount_id == mount_id)
        if part_id is not None:
            query = query.where(Attachment.part_id == part_id)
        return list(session.scalars(query))


def photos_by_part(notebook: Notebook) -> dict[int, int]:
    """How many photos each part has, by its id."""
    with notebook.session() as session:
        query = select(Attachment.part_id).where(Attachment.binned_at.is_(None), Attachment.kind.not_in(RECORDINGS))
        return dict(Counter(p for p in session.scalars(query) if p is not None))


def photo_data(notebook: Notebook, attachment_id: int) -> bytes:
    """The bytes of a photo."""
    with notebook.session() as session:
        size = session.scalar(select(func.length(Blob.data)).where(Blob.attachment_id == attachment_id))
        if size is not None and size > LARGEST_PHOTO:
            raise NotebookError("this photo is too large to be opened")
        data = session.scalar(select(Blob.data).where(Blob.attachment_id == attachment_id))
        if data is None:
            raise NotebookError("this photo is no longer in the notebook")
        return data


def bin_photo(notebook: Notebook, attachment_id: int) -> None:
    """Put a photo into the bin."""
    with notebook.edit("put a photo into the bin") as session:
        session.get_one(Attachment, attachment_id).binned_at = now_text()
