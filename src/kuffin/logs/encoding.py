"""From the bytes of a log to UTF-8 text with plain line ends, piece by piece, so that a long one is never held whole."""

from __future__ import annotations

import codecs
import os
import re
import stat
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import BinaryIO

from kuffin.core.base.errors import LogError
from kuffin.core.base.saying import say

LARGEST = 400_000_000  # bytes
LONGEST_LINE = 400_000  # signs
_PIECE = 4_000_000
_BLANK = b"\x00 \t\r\n\x1a"

_BOMS = [
    (codecs.BOM_UTF8, "utf-8"),
    (codecs.BOM_UTF32_LE, "utf-32"),
    (codecs.BOM_UTF32_BE, "utf-32"),
    (codecs.BOM_UTF16_LE, "utf-16"),
    (codecs.BOM_UTF16_BE, "utf-16"),
]
_MULTIBYTE = re.compile(rb"[\xc2-\xdf][\x80-\xbf]|[\xe0-\xef][\x80-\xbf]{2}|[\xf0-\xf4][\x80-\xbf]{3}")


class LogText:
    r"""A log's text as UTF-8 bytes with ``\n`` line ends.

    UTF-8 and UTF-16 are recognised by their mark or by their pattern; text that is no valid UTF-8 is taken for
    Windows-1252 unless most of its multi-byte sequences are sound, in which case it is damaged UTF-8.

    Parameters
    ----------
    source : binary file
        Stays in use as long as the text is read.
    name : str
        What to call it in messages.

    Attributes
    ----------
    encoding : str
        The encoding that it was written in.
    quotes : bool
        Whether there may be quotes in it.
    warnings : tuple of str

    Raises
    ------
    LogError
        Where it is empty, or no text.
    """

    def __init__(self, source: BinaryIO, name: str = "log") -> None:
        self._source, self._name = source, name
        self._size = source.seek(0, os.SEEK_END)
        first = self._first()
        self._begin, self._codec = 0, ""
        for bom, known in _BOMS:
            if first.startswith(bom):
                self._codec, self._begin = known, len(bom) if known == "utf-8" else 0
                break
        self._codec = self._codec or _two_byte_pattern(first)
        self.quotes = False
        ascii_only, valid = self._look_through()
        if not self._codec:
            self._codec = "utf-8" if valid else _of_damaged(first, name)
        self._as_is = self._codec == "utf-8" and (ascii_only or valid)
        self.encoding = "utf-16" if self._codec.startswith("utf-16") else self._codec
        self.warnings = self._damage()
        sample = self.head()[:20000]
        controls = sum(sample.count(bytes([c])) for c in (*range(1, 9), *range(14, 27), 28, 29, 30, 31, 127))
        if controls > 0.02 * len(sample) + 1:
            raise LogError("{name}: this is no text; export the log as CSV or text first", name=name)

    def _first(self) -> bytes:
        self._source.seek(0)
        return self._source.read(2_000_000)

    def _chunks(self) -> Iterator[bytes]:
        self._source.seek(self._begin)
        left = self._size - self._begin
        while left > 0 and (chunk := self._source.read(min(_PIECE, left))):
            left -= len(chunk)
            yield chunk
            self._source.seek(self._size - left)  # another reader may have been here

    def _look_through(self) -> tuple[bool, bool]:
        """Whether every byte is ASCII, and whether all of it is sound UTF-8."""
        decoder = codecs.getincrementaldecoder("utf-8")()
        ascii_only = valid = True
        noughts = body_noughts = body = at = 0
        for chunk in self._chunks():
            filled = len(chunk.rstrip(_BLANK))
            if filled:
                body, body_noughts = at + filled, noughts + chunk[:filled].count(0)
            at, noughts = at + len(chunk), noughts + chunk.count(0)
            self.quotes = self.quotes or b'"' in chunk
            plain = chunk.isascii()
            ascii_only &= plain
            if valid and not (plain and decoder.getstate()[0] == b""):
                try:
                    decoder.decode(chunk)
                except UnicodeDecodeError:
                    valid = False
        if not body:
            raise LogError("{name}: the file is empty; record it again or choose another", name=self._name)
        # a log cut off by a power loss may end in padding; noughts elsewhere mean that this is no text
        if not self._codec and body_noughts > 0.01 * body:
            raise LogError("{name}: this is no text; export the log as CSV or text first", name=self._name)
        return ascii_only, valid and decoder.getstate()[0] == b""

    def _damage(self) -> tuple[str, ...]:
        if self._as_is:
            return ()
        odd = self._codec.startswith("utf-16") and (self._size - self._begin) % 2 == 1
        if odd:
            self._size -= 1
        damaged = any("\ufffd".encode() in piece for piece in self._utf8())
        if self._codec == "utf-8":
            return (say("some characters are damaged and show as \ufffd"),)
        return (say("some characters are damaged, perhaps because the file is cut off"),) if odd or damaged else ()

    def _utf8(self) -> Iterator[bytes]:
        if self._as_is:
            yield from self._chunks()
            return
        decoder = codecs.getincrementaldecoder(self._codec)("replace")
        first = True
        for chunk in self._chunks():
            text = decoder.decode(chunk)
            yield (text.removeprefix("\ufeff") if first else text).encode("utf-8", "replace")
            first = first and not text
        yield decoder.decode(b"", final=True).encode("utf-8", "replace")

    def _unbroken(self) -> Iterator[bytes]:
        """With plain line ends and without noughts."""
        held = b""  # a carriage return whose line feed may come with the next chunk
        for chunk in self._utf8():
            if b"\x00" in chunk:
                chunk = chunk.replace(b"\x00", b"")
            chunk = held + chunk
            held = b""
            if b"\r" in chunk:
                if chunk.endswith(b"\r"):
                    chunk, held = chunk[:-1], b"\r"
                chunk = chunk.replace(b"\r\n", b"\n").replace(b"\r", b"\n")
            if chunk:
                yield chunk
        if held:
            yield b"\n"

    def pieces(self) -> Iterator[tuple[bytes, float]]:
        """The text in pieces of whole lines, each with the share that has been read, 0 to 1.

        Raises
        ------
        LogError
            Where a line is so long that this is no log.
        """
        rest: list[bytes] = []
        begun = line = done = 0
        for chunk in self._unbroken():
            done += len(chunk)
            end = chunk.rfind(b"\n") + 1
            if end:
                piece = b"".join([*rest, chunk[:end]])
                line += piece.count(b"\n")
                yield piece, min(1.0, done / max(1, self._size))
                rest, begun = [], 0
            rest.append(chunk[end:])
            begun += len(chunk) - end
            if begun > _PIECE + LONGEST_LINE:
                raise LogError(
                    "{name}: line {line} is longer than {most} kB; this is no log of columns",
                    name=self._name,
                    line=line + 1,
                    most=LONGEST_LINE // 1000,
                )
        last = b"".join(rest).removesuffix(b"\x1a")
        if last:
            yield last, 1.0

    def head(self) -> bytes:
        """Its first piece."""
        return next((piece for piece, _ in self.pieces()), b"")

    def whole(self) -> bytes:
        """All of it."""
        return b"".join(piece for piece, _ in self.pieces())


@contextmanager
def open_text(path: Path) -> Iterator[LogText]:
    """A log's text, as long as its file is open.

    Raises
    ------
    LogError
        Where the file is missing, no ordinary file, too large, empty or no text.
    """
    try:
        about = path.stat()
        if stat.S_ISDIR(about.st_mode):
            raise LogError("{name}: this is a folder; choose a log file in it", name=path.name)
        if not stat.S_ISREG(about.st_mode):
            raise LogError("{name}: this is no ordinary file; choose a log file", name=path.name)
        if about.st_size > LARGEST:
            raise LogError(
                "{name} is larger than {largest} MB, the most that Kuffin reads at once; record every second and only the channels you need, or split it",
                name=path.name,
                largest=LARGEST // 1_000_000,
            )
        with path.open("rb") as file:
            yield LogText(file, path.name)
    except FileNotFoundError:
        raise LogError("{path}: there is no such file; check the name", path=path) from None
    except OSError as error:
        raise LogError(
            "{name}: cannot be read ({strerror}); check its permissions", name=path.name, strerror=error.strerror
        ) from None


def _two_byte_pattern(first: bytes) -> str:
    head = first[:4000]
    if len(head) >= 4:
        even, odd = head[0::2].count(0), head[1::2].count(0)
        half = len(head) / 2
        if odd > 0.6 * half and even < 0.1 * half:
            return "utf-16-le"
        if even > 0.6 * half and odd < 0.1 * half:
            return "utf-16-be"
    return ""


def _of_damaged(first: bytes, name: str) -> str:
    """The encoding of what is no sound UTF-8."""
    high = sum(1 for b in first if b >= 0x80)
    sound = sum(len(m) for m in _MULTIBYTE.findall(first))
    if sound > 0.5 * high:
        return "utf-8"
    if high > 0.3 * len(first):
        raise LogError("{name}: this is no text that Kuffin can read; export the log as CSV or text first", name=name)
    return "cp1252"
