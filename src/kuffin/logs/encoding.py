"""From the bytes of a log to UTF-8 text with plain line ends."""

from __future__ import annotations

import codecs
import re
import stat
from dataclasses import dataclass
from pathlib import Path

from kuffin.core.errors import LogError

LARGEST = 100_000_000  # bytes

_BOMS = [
    (codecs.BOM_UTF8, "utf-8"),
    (codecs.BOM_UTF32_LE, "utf-32"),
    (codecs.BOM_UTF32_BE, "utf-32"),
    (codecs.BOM_UTF16_LE, "utf-16"),
    (codecs.BOM_UTF16_BE, "utf-16"),
]
_MULTIBYTE = re.compile(rb"[\xc2-\xdf][\x80-\xbf]|[\xe0-\xef][\x80-\xbf]{2}|[\xf0-\xf4][\x80-\xbf]{3}")


@dataclass(frozen=True)
class DecodedText:
    """A log's text as UTF-8 bytes with ``\\n`` line ends, and the encoding it was written in."""

    data: bytes
    encoding: str
    warnings: tuple[str, ...] = ()


def load_text(path: Path) -> DecodedText:
    """Read a log's bytes and bring them to UTF-8.

    Raises
    ------
    LogError
        Where the file is missing, empty or no text.
    """
    try:
        about = path.stat()
        if stat.S_ISDIR(about.st_mode):
            raise LogError(f"{path.name}: this is a folder; choose a log file in it")
        if not stat.S_ISREG(about.st_mode):
            raise LogError(f"{path.name}: this is no ordinary file; choose a log file")
        if about.st_size > LARGEST:
            raise LogError(
                f"{path.name} is larger than {LARGEST // 1_000_000} MB, the most that Kuffin reads at once; record every "
                "second and only the channels you need, or split it"
            )
        raw = path.read_bytes()
    except FileNotFoundError:
        raise LogError(f"{path}: there is no such file; check the name") from None
    except OSError as error:
        raise LogError(f"{path.name}: cannot be read ({error.strerror}); check its permissions") from None
    blank = b"\x00 \t\r\n\x1a"
    if not raw[:65536].strip(blank) and not raw.strip(blank):
        raise LogError(f"{path.name}: the file is empty; record it again or choose another")
    return decode(raw, path.name)


def decode(raw: bytes, name: str = "log") -> DecodedText:
    """Work out the encoding of a log's bytes.

    UTF-8 and UTF-16 are recognised by their mark or by their pattern; text that is no valid UTF-8 is taken for
    Windows-1252 unless most of its multi-byte sequences are sound, in which case it is damaged UTF-8.
    """
    warnings: list[str] = []
    encoding = ""
    body = raw
    for bom, known in _BOMS:
        if raw.startswith(bom):
            encoding = known
            body = raw[len(bom) :] if known == "utf-8" else raw
            break
    sound = False
    if not encoding:
        encoding, sound = _guess(raw, name)
    if encoding == "utf-8":
        data = body
        try:
            if not sound and not data.isascii():
                codecs.lookup("utf-8").decode(data)
        except UnicodeDecodeError:
            data = data.decode("utf-8", "replace").encode("utf-8")
            warnings.append("some characters are damaged and show as \ufffd")
    else:
        codec = encoding
        odd = len(body) % 2 == 1 and encoding.startswith("utf-16")
        if odd:
            body = body[:-1]
        text = body.decode(codec, "replace")
        if text.startswith("\ufeff"):
            text = text[1:]
        if odd or "\ufffd" in text:
            warnings.append("some characters are damaged, perhaps because the file is cut off")
        data = text.encode("utf-8", "replace")
    if b"\x00" in data:
        data = data.replace(b"\x00", b"")
    if b"\r" in data:
        data = data.replace(b"\r\n", b"\n").replace(b"\r", b"\n")
    if data.endswith(b"\x1a"):
        data = data[:-1]
    sample = data[:20000]
    controls = sum(sample.count(bytes([c])) for c in (*range(1, 9), *range(14, 27), 28, 29, 30, 31, 127))
    if controls > 0.02 * len(sample) + 1:
        raise LogError(f"{name}: this is no text; export the log as CSV or text first")
    label = "utf-16" if encoding.startswith("utf-16") else encoding
    return DecodedText(data, label, tuple(warnings))


def _guess(raw: bytes, name: str) -> tuple[str, bool]:
    """The encoding, and whether every byte has been found to fit it."""
    head = raw[:4000]
    if len(head) >= 4:
        even, odd = head[0::2].count(0), head[1::2].count(0)
        half = len(head) / 2
        if odd > 0.6 * half and even < 0.1 * half:
            return "utf-16-le", False
        if even > 0.6 * half and odd < 0.1 * half:
            return "utf-16-be", False
    # a log cut off by a power loss may end in padding; noughts elsewhere mean that this is no text
    if b"\x00" in raw and (body := raw.rstrip(b"\x00\r\n \t")).count(b"\x00") > 0.01 * len(body):
        raise LogError(f"{name}: this is no text; export the log as CSV or text first")
    if raw.isascii():
        return "utf-8", True
    try:
        codecs.lookup("utf-8").decode(raw)
        return "utf-8", True
    except UnicodeDecodeError:
        pass
    high = sum(1 for b in raw[:2_000_000] if b >= 0x80)
    sound = sum(len(m) for m in _MULTIBYTE.findall(raw[:2_000_000]))
    if sound > 0.5 * high:
        return "utf-8", False
    if high > 0.3 * min(len(raw), 2_000_000):
        raise LogError(f"{name}: this is no text that Kuffin can read; export the log as CSV or text first")
    return "cp1252", False
