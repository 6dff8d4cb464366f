"""Tidy tables: one row for each reading, columns with names."""

from __future__ import annotations

import csv
import io
from collections.abc import Sequence
from dataclasses import dataclass, replace
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError, LogError
from kuffin.core.base.saying import say
from kuffin.core.compare import MountValue
from kuffin.logs.encoding import open_text
from kuffin.logs.values import is_missing, parse_number


@dataclass(frozen=True)
class TidyTable:
    """A table of text cells."""

    file: str
    columns: tuple[str, ...]
    rows: tuple[tuple[str, ...], ...]
    decimal: str

    def find(self, wanted: str) -> int:
        """The column named exactly so, or the only one with that part in its name."""
        if wanted in self.columns:
            return self.columns.index(wanted)
        part = [c for c in self.columns if wanted.lower() in c.lower()]
        if len(part) == 1:
            return self.columns.index(part[0])
        if part:
            raise CompareError(
                "{file}: “{wanted}” fits several columns ({part}); give the whole name",
                file=self.file,
                wanted=wanted,
                part=", ".join(part),
            )
        raise CompareError(
            "{file}: there is no column “{wanted}”; it has {columns}",
            file=self.file,
            wanted=wanted,
            columns=", ".join(self.columns),
        )


def read_tidy(path: Path | str) -> TidyTable:
    """Read a tidy table (CSV with comma, semicolon or tab).

    Raises
    ------
    LogError
    """
    path = Path(path)
    with open_text(path) as table:
        return tidy_text(table.whole().decode("utf-8", "replace"), path.name)


def tidy_text(text: str, name: str) -> TidyTable:
    """A tidy table from text, such as was pasted; see `read_tidy`.

    Raises
    ------
    LogError
    """
    lines = [line for line in text.split("\n") if line.strip() and not line.lstrip().startswith("#")]
    if len(lines) < 2:
        raise LogError("{name}: a header and at least one row are needed", name=name)
    delimiter = _delimiter(lines)
    rows = list(csv.reader(io.StringIO("\n".join(lines)), delimiter=delimiter, skipinitialspace=True))
    header = tuple(c.strip() for c in rows[0])
    body = []
    for number, row in enumerate(rows[1:], 2):
        if len(row) != len(header):
            raise LogError(
                "{name}: line {number} has {n} of {head} fields; mend or remove it",
                name=name,
                number=number,
                n=len(row),
                head=len(header),
            )
        body.append(tuple(c.strip() for c in row))
    commas = delimiter != "," and any(
        "," in c and "." not in c and parse_number(c, ",")[0] == parse_number(c, ",")[0] for r in body for c in r
    )
    return TidyTable(name, header, tuple(body), "," if commas else ".")


def _delimiter(lines: Sequence[str]) -> str:
    """What parts the head as often as the rows, where there is such a thing; else what parts the head most."""

    def fits(sign: str) -> tuple[bool, int]:
        often = lines[0].count(sign)
        return often > 0 and all(line.count(sign) == often for line in lines[1:20]), often

    return max((",", ";", "\t", "|"), key=fits)


def blanks_left_out(rows: int) -> list[str]:
    """What is said of so many rows that were left out for a blank in them; nothing of none."""
    if rows == 1:
        return [say("1 row with a blank was left out")]
    return [say("{n} rows with blanks were left out", n=rows)] if rows else []


def rows_by_mount(
    table: TidyTable,
    response: str,
    by: str,
    unit: str | None = None,
    sample: str | None = None,
    rounds: str | None = None,
    adjust: Sequence[str] = (),
) -> tuple[list[tuple[MountValue, NDArray[np.float64]]], list[str], str]:
    """A tidy table's rows, mount by mount.

    Returns
    -------
    rows : list of (MountValue, ndarray)
        In the order of first appearance; each array of shape (rows, 1 + adjust), the response first.
    warnings : list of str
    response : str
        The response's full column name.

    Raises
    ------
    CompareError
        Where a column is missing, or a cell is no number.
    """
    y_at, by_at = table.find(response), table.find(by)
    unit_at = None if unit is None else table.find(unit)
    sample_at = None if sample is None else table.find(sample)
    round_at = None if rounds is None else table.find(rounds)
    adjust_at = [table.find(a) for a in adjust]
    blank, groups = 0, {}  # type: ignore[var-annotated]
    for number, row in enumerate(table.rows, 2):
        # “none”, “NA” and “-” stand for no number; as names of things they are names
        names = [row[j] for j in (by_at, unit_at, sample_at, round_at) if j is not None]
        if any(is_missing(row[j]) for j in (y_at, *adjust_at)) or not all(names):
            blank += 1
            continue
        numbers = []
        for j in (y_at, *adjust_at):
            value, _ = parse_number(row[j], table.decimal)
            if not np.isfinite(value):
                raise CompareError(
                    "{file}: line {number}, column “{columns}”: “{row}” is no number; mend or blank it",
                    file=table.file,
                    number=number,
                    columns=table.columns[j],
                    row=row[j],
                )
            numbers.append(value)
        key = (
            row[by_at],
            None if sample_at is None else row[sample_at],
            row[unit_at] if unit_at is not None else f"row {number}",
            None if round_at is None else row[round_at],
        )
        groups.setdefault(key, []).append(numbers)
    warnings = blanks_left_out(blank)
    if round_at is not None and unit_at is not None:
        seen: dict[tuple[str, str | None, str], int] = {}
        for candidate, s, m, _ in groups:
            seen[candidate, s, m] = seen.get((candidate, s, m), 0) + 1
        twice = [k for k, c in seen.items() if c > 1]
        if twice:
            warnings.append(
                say(
                    "mount {mount} of {candidate} stands in several rounds; each is taken for a mount of its own",
                    mount=twice[0][2],
                    candidate=twice[0][0],
                )
            )
    found = [
        (MountValue(candidate=candidate, mount=m, value=float("nan"), round=r, sample=s), np.asarray(numbers, float))
        for (candidate, s, m, r), numbers in groups.items()
    ]
    return found, warnings, table.columns[y_at]


def mount_values(rows: Sequence[tuple[MountValue, NDArray[np.float64]]]) -> list[MountValue]:
    """One value for each mount: the mean of its rows as `rows_by_mount` gives them, in their order."""
    means = [v.mean(axis=0) for _, v in rows]
    return [
        replace(m, value=float(mean[0]), covariates=tuple(map(float, mean[1:])))
        for (m, _), mean in zip(rows, means, strict=True)
    ]
