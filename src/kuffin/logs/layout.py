"""How a delimited log is laid out: delimiter, decimal sign, header, where its data begin."""

from __future__ import annotations

import csv
import re
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass, field

from kuffin.core.base.errors import LogError
from kuffin.core.base.saying import say
from kuffin.logs.clock import clock_kind
from kuffin.logs.encoding import LONGEST_LINE
from kuffin.logs.header import fold, is_unit_row
from kuffin.logs.values import is_missing, parse_number

DELIMITERS = (",", ";", "\t", "|", "  ", " ")  # two blanks: columns aligned with blanks, names may hold one
SAMPLE_LINES = 400
MOST_COLUMNS = 5000


@dataclass(kw_only=True)
class Layout:
    """What was worked out about a log's layout. Line numbers count from 0; the decimal sign is decided later, over all rows."""

    delimiter: str
    decimal: str
    fields: int
    header: list[str]
    units: list[str]
    header_lines: tuple[int, ...]
    first_data_line: int
    sample: list[list[str]] = field(default_factory=list)
    warnings: list[str] = field(default_factory=list)


def split_line(line: str, delimiter: str) -> list[str]:
    """The cells of one line, stripped of blanks and quotes."""
    if delimiter == "  ":
        return re.split(r"\s{2,}|\t", line.strip())
    if delimiter == " ":
        return line.split()
    if '"' in line:
        try:
            return [c.strip() for c in next(csv.reader([line], delimiter=delimiter, skipinitialspace=True))]
        except (csv.Error, StopIteration):
            pass
    return [c.strip() for c in line.split(delimiter)]


def is_value(cell: str) -> bool:
    """Whether a cell looks like a number (with its unit) or a clock."""
    if (
        parse_number(cell, ".")[0] == parse_number(cell, ".")[0]
        or parse_number(cell, ",")[0] == parse_number(cell, ",")[0]
    ):
        return True
    return clock_kind([cell]) is not None


def sniff(lines: Sequence[str], name: str) -> Layout:
    """Work out the layout from a log's first lines.

    Raises
    ------
    LogError
        Where no table of numbers is found.
    """
    sample = list(lines[:SAMPLE_LINES])
    long = next((i for i, line in enumerate(sample) if len(line) > LONGEST_LINE), None)
    if long is not None:
        raise LogError(
            "{name}: line {long} is longer than {most} kB; this is no log of columns",
            name=name,
            long=long + 1,
            most=LONGEST_LINE // 1000,
        )
    told = re.match(r"^\s*sep=(.)\s*$", sample[0]) if sample else None
    best: tuple[float, str, int] | None = None
    for delimiter in [told[1]] if told else _may_part(sample):
        score, fields = _score(sample, delimiter)
        if fields >= 2 and score > 0 and (best is None or score > best[0]):
            best = (score, delimiter, fields)
    if best is None or best[0] < 0.3:
        raise LogError(
            "{name}: no table of numbers found in it; Kuffin reads text with columns, a header and a clock", name=name
        )
    _, delimiter, fields = best
    if fields > MOST_COLUMNS:
        raise LogError(
            "{name} has {fields} columns; Kuffin reads up to {most_columns}",
            name=name,
            fields=fields,
            most_columns=MOST_COLUMNS,
        )
    rows = [_without_last_delimiter(split_line(line, delimiter), fields) for line in sample]
    first = _first_data(rows, fields)
    if first is None:
        raise LogError("{name}: no rows of numbers found in it; is it cut off after the header?", name=name)
    header, units, header_lines, warnings = _header(sample, rows, first, fields, delimiter)
    data = [r for r in rows[first:] if len(r) == fields]
    if len(header) == fields - 1:
        if all(not r[-1] for r in data):
            header.append("")
        elif (
            delimiter == " "
            and clock_kind([r[0] for r in data]) in {"date", "date8"}
            and clock_kind([r[1] for r in data]) == "time"
        ):
            header.insert(1, "")
    if len(header) == fields + 1 and not header[-1]:
        header.pop()
    if len(header) != fields:
        if header:
            warnings.append(
                say(
                    "line {line} names {names} columns, the rows have {fields}",
                    line=header_lines[0] + 1,
                    names=len(header),
                    fields=fields,
                )
            )
        header = (header + [f"Column {i + 1}" for i in range(len(header), fields)])[:fields]
    units = (units + [""] * fields)[:fields]
    return Layout(
        delimiter=delimiter,
        decimal=".",
        fields=fields,
        header=header,
        units=units,
        header_lines=header_lines,
        first_data_line=first,
        sample=data,
        warnings=warnings,
    )


def _may_part(sample: Sequence[str]) -> Sequence[str]:
    """What may stand between cells: blanks only where no tabs do, for they would swallow the empty cells of a tab-separated log."""
    lines = [line for line in sample if line.strip()]
    tabbed = sum("\t" in line.strip(" ") for line in lines)
    return DELIMITERS if 2 * tabbed < len(lines) else [d for d in DELIMITERS if d.strip(" ")]


def _without_last_delimiter(row: list[str], fields: int) -> list[str]:
    """A row that ends in one delimiter too many says nothing by it."""
    return row[:-1] if len(row) == fields + 1 and not row[-1] else row


def _score(sample: Sequence[str], delimiter: str) -> tuple[float, int]:
    rows = [split_line(line, delimiter) for line in sample if line.strip()]
    tail = rows[len(rows) // 3 :] if len(rows) > 12 else rows
    counts = Counter(len(r) for r in tail if len(r) >= 2)
    if not counts:
        return 0.0, 0
    fields, hits = counts.most_common(1)[0]
    if fields > MOST_COLUMNS:
        return float(hits > 0.5 * len(tail)), fields
    typical = [r for r in tail if len(r) == fields][:60]
    filled = [c for r in typical for c in r if not is_missing(c)]
    if not filled:
        return 0.0, fields
    good = sum(map(is_value, filled)) / len(filled)
    # blanks part date and time as well, and units from names: that is no sign for them
    each = {" ": 0.015 * (fields - 1), "  ": 0.015 * fields}.get(delimiter, 0.02 * fields)
    bonus = 1.0 + min(each, 0.8)
    return hits / len(tail) * good * bonus, fields


def _is_data(row: Sequence[str], fields: int) -> bool:
    if len(row) != fields:
        return False
    filled = [c for c in row if not is_missing(c)]
    return bool(filled) and sum(map(is_value, filled)) >= 0.5 * len(filled)


def _first_data(rows: Sequence[Sequence[str]], fields: int) -> int | None:
    for i, row in enumerate(rows):
        if _is_data(row, fields):
            following = rows[i + 1 : i + 4]
            if not following or sum(_is_data(r, fields) for r in following) >= min(2, len(following)) - 1:
                return i
    return None


def _header(
    sample: Sequence[str], rows: Sequence[list[str]], first: int, fields: int, delimiter: str
) -> tuple[list[str], list[str], tuple[int, ...], list[str]]:
    above: list[tuple[int, list[str]]] = []
    for i in range(first - 1, -1, -1):
        text = sample[i].strip()
        if not re.search(r"\w", text) or re.match(r"^sep=.$", text):
            continue
        cells = rows[i]
        bare = re.sub(r"^\s*(?:#+|//|%|;)\s*", "", sample[i])
        if (text[0] in "#%" or text.startswith("//")) and not (len(cells) == fields and is_unit_row(cells)):
            cells = split_line(bare, delimiter)
        if (abs(len(cells) - fields) <= 1 and len(cells) >= 2) or (not above and len(cells) > 2):
            above.append((i, [fold(c) for c in cells]))
            if len(above) == 3:
                break
        elif above:
            break
    if not above:
        return [], [], (), [say("the log has no header: its columns are called Column 1, Column 2 and so on")]
    last_i, last = above[0]
    if len(above) > 1:
        before_i, before = above[1]
        if is_unit_row(last) and not is_unit_row(before):
            return before, last, (before_i, last_i), []
        if is_unit_row(before) and not is_unit_row(last):
            return last, before, (last_i, before_i), []
    return last, [], (last_i,), []
