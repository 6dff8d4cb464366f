"""What every table of a notebook shares."""

from __future__ import annotations

import datetime as dt
from typing import Any

from sqlalchemy import JSON
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column

SCHEMA_VERSION = 11
APPLICATION_ID = 0x4B554646  # "KUFF"


class Base(DeclarativeBase):
    """All tables of a notebook."""

    type_annotation_map = {dict[str, Any]: JSON, list[Any]: JSON}  # noqa: RUF012


class Binnable(Base):
    """What goes to the bin instead of being deleted."""

    __abstract__ = True
    id: Mapped[int] = mapped_column(primary_key=True)
    binned_at: Mapped[str | None]


def now_text() -> str:
    """The present moment as ISO text to the second."""
    return dt.datetime.now().isoformat(timespec="seconds")
