"""What every table of a notebook shares."""

from __future__ import annotations

import datetime as dt
import json
from typing import Annotated, Any

from sqlalchemy import JSON, Dialect, String, TypeDecorator
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column

from kuffin.core.base.saying import Saying, from_plain

SCHEMA_VERSION = 11
APPLICATION_ID = 0x4B554646  # "KUFF"


_KEPT = '{"message"'  # how a sentence begins that is kept with its places


class _KeptSentence(TypeDecorator[str]):
    """A sentence with its places, so that a window of another language can tell it, too; one without them as it stands."""

    impl = String
    cache_ok = True

    def process_bind_param(self, value: str | None, dialect: Dialect) -> str | None:
        if value is not None and not isinstance(value, Saying) and value.startswith(_KEPT):
            value = Saying("{said}", {"said": value})  # a person's words are never taken for a sentence of ours
        return json.dumps(value.to_plain(), ensure_ascii=False) if isinstance(value, Saying) else value

    def process_result_value(self, value: str | None, dialect: Dialect) -> str | None:
        if value is None or not value.startswith(_KEPT):
            return value
        try:
            return from_plain(json.loads(value))
        except (KeyError, TypeError, ValueError, AttributeError, RecursionError):
            return value


Sentence = Annotated[str, mapped_column(_KeptSentence())]


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
