"""What was done before a run: steps ticked, sums made, photos taken."""

from __future__ import annotations

from typing import Any

from sqlalchemy import ForeignKey, LargeBinary, UniqueConstraint
from sqlalchemy.orm import Mapped, mapped_column

from kuffin.notebook.entities.base import Base, Binnable, now_text

# kinds of attachments that are sounds: of what is tested, of the calibrator, of the bench at rest
RECORDINGS = ("recording", "calibrator", "background")


class Tick(Base):
    """One step of preparing a mount that was done (or left out with a note), and how long it took."""

    __tablename__ = "tick"
    __table_args__ = (UniqueConstraint("mount_id", "key"),)
    id: Mapped[int] = mapped_column(primary_key=True)
    mount_id: Mapped[int] = mapped_column(ForeignKey("mount.id"), index=True)
    key: Mapped[str]
    text: Mapped[str]
    done_at: Mapped[str | None]
    seconds: Mapped[float | None]
    note: Mapped[str] = mapped_column(default="")


class Sheet(Base):
    """One of the sums of a mount (fill, leak test, bleeding, fit, contact print): what was typed, by kind."""

    __tablename__ = "sheet"
    __table_args__ = (UniqueConstraint("mount_id", "kind"),)
    id: Mapped[int] = mapped_column(primary_key=True)
    mount_id: Mapped[int] = mapped_column(ForeignKey("mount.id"), index=True)
    kind: Mapped[str]
    values: Mapped[dict[str, Any]] = mapped_column(default=dict)


class Attachment(Binnable):
    """A photo of a mount or a part, or a recording of a mount, one of its runs or a bench; its bytes are in Blob."""

    __tablename__ = "attachment"
    mount_id: Mapped[int | None] = mapped_column(ForeignKey("mount.id"), index=True)
    part_id: Mapped[int | None] = mapped_column(ForeignKey("part.id"), index=True)
    bench_id: Mapped[int | None] = mapped_column(ForeignKey("bench.id"), index=True)
    run_id: Mapped[int | None] = mapped_column(ForeignKey("run.id"), index=True)
    about: Mapped[dict[str, Any]] = mapped_column(default=dict)  # how a recording was made
    kind: Mapped[str] = mapped_column(default="photo")
    name: Mapped[str]
    note: Mapped[str] = mapped_column(default="")
    added_at: Mapped[str] = mapped_column(default=now_text)


class Blob(Base):
    """The bytes of an attachment, as the file had them."""

    __tablename__ = "blob"
    id: Mapped[int] = mapped_column(primary_key=True)
    attachment_id: Mapped[int] = mapped_column(ForeignKey("attachment.id"), unique=True)
    data: Mapped[bytes] = mapped_column(LargeBinary)
