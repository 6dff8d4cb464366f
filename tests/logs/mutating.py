"""Logs with anything in them changed: cells, lines, bytes."""

from __future__ import annotations

import random

_PIECES = (
    b",", b";", b"\t", b"\n", b"\n\n", b'"', b"9" * 400, b"0", b"-", b":", b"/", b".", b"e99", b"\xff", b"\x00", b"99999",
    b" ", b"[K]", b"N/A", b"1,5", b"\xc2\xb0C", b"AM", b"12:00:00", b"0000-00-00", b"Time", b"(", b")" * 30, b"a" * 3000,
    b"1e308", b"T", b"Z", b"+99:99",
)  # fmt: skip


def mutated(rng: random.Random, sound: bytes) -> bytes:
    """A log with one to twelve things changed."""
    raw = bytearray(sound)
    for _ in range(rng.randint(1, 12)):
        at, kind = rng.randrange(len(raw) + 1), rng.random()
        if kind < 0.4:
            raw[at : at + rng.randint(0, 12)] = rng.choice(_PIECES)
        elif kind < 0.6:
            raw[at:at] = rng.choice(_PIECES) * rng.randint(1, 20)
        elif kind < 0.7:
            to = rng.randrange(len(raw) + 1)
            raw[at:at] = raw[min(at, to) : min(max(at, to), min(at, to) + 2000)]
        elif kind < 0.8:
            del raw[at : at + rng.randint(1, 500)]
        elif kind < 0.9:
            lines = bytes(raw).split(b"\n")
            if rng.random() < 0.2:
                rng.shuffle(lines)
            else:
                lines.insert(rng.randrange(len(lines) + 1), rng.choice(lines))
            raw = bytearray(b"\n".join(lines))
        else:
            raw[at : at + 4] = rng.randbytes(4)
    return bytes(raw)
