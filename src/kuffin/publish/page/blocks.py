"""What a section of the page is made of; all text in it is data, which the template escapes."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import ClassVar

from kuffin.publish.figures.drawing import Drawing


@dataclass(frozen=True)
class Words:
    """A paragraph; `style` is blank, ``lead``, ``small`` or ``warn``."""

    text: str
    style: str = ""
    kind: ClassVar[str] = "words"


@dataclass(frozen=True)
class Items:
    """Lines of a list."""

    lines: Sequence[str]
    kind: ClassVar[str] = "items"


@dataclass(frozen=True)
class Terms:
    """What, and what is said of it, line by line."""

    rows: Sequence[tuple[str, str]]
    kind: ClassVar[str] = "terms"


@dataclass(frozen=True, kw_only=True)
class Grid:
    """A table.

    Attributes
    ----------
    caption : str
    head : sequence of str
    rows : sequence of rows
        Each with as many cells as the head.
    words : frozenset of int
        The columns that hold words; all others hold figures.
    """

    caption: str
    head: Sequence[str]
    rows: Sequence[Sequence[str]]
    words: frozenset[int] = frozenset({0})
    kind: ClassVar[str] = "grid"


@dataclass(frozen=True)
class Picture:
    """A drawing."""

    drawing: Drawing
    kind: ClassVar[str] = "picture"


@dataclass(frozen=True)
class Photo:
    """A photo: its JPEG, and what is on it."""

    jpeg: bytes
    said: str
    kind: ClassVar[str] = "photo"


Block = Words | Items | Terms | Grid | Picture | Photo


@dataclass(frozen=True, kw_only=True)
class Written:
    """A section as it comes out.

    Attributes
    ----------
    key, title : str
    own : tuple of paragraphs
        A person's own words, with their live fields filled in; they stand before what Kuffin says.
    doubts : tuple of str
        Sentences of these that the evidence does not support, and why.
    blocks : tuple of Block
    """

    key: str
    title: str
    own: tuple[str, ...] = ()
    doubts: tuple[str, ...] = ()
    blocks: tuple[Block, ...] = field(default=())
