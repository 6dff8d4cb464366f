"""Header cells that hold line breaks within quotes, brought to one line each."""

from __future__ import annotations

_HEAD_LINES = 60


def one_line_each(data: bytes) -> bytes:
    """Bring header cells that hold line breaks within quotes to one line; the lines that this frees stay, empty, so that line
    numbers are those of the file.

    A quote counts where a cell begins with it and it is closed within a few lines; a lone inch mark breaks nothing.
    """
    end = 0
    for _ in range(_HEAD_LINES):
        end = data.find(b"\n", end) + 1
        if not end:
            end = len(data)
            break
    head = data[:end]
    if b'"' not in head:
        return data

    out: list[bytes] = []
    lines = head.split(b"\n")
    i = 0
    while i < len(lines):
        line, more = lines[i], 0
        while _open_quote(line) and more < 8 and i + more + 1 < len(lines):
            more += 1
            line = line + b" " + lines[i + more].strip()
        if more and _open_quote(line):  # never closed: it is no quote
            line, more = lines[i], 0
        out += [line, *([b""] * more)]
        i += more + 1
    return b"\n".join(out) + data[end:]


def _open_quote(line: bytes) -> bool:
    """Whether a line ends within a quoted cell; a doubled quote within one is a quote."""
    inside, fresh, at = False, True, 0
    while at < len(line):
        sign = line[at]
        if sign == 34 and inside:
            if line[at + 1 : at + 2] == b'"':
                at += 1
            else:
                inside = False
        elif sign == 34 and fresh:
            inside = True
        if not inside:
            fresh = sign in b",;\t|" or (fresh and sign == 32)
        at += 1
    return inside
