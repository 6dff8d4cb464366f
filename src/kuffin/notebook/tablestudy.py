"""A table of readings without logs (candidate, mount, values): what its columns are taken for, and the study made of it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.errors import LogError
from kuffin.core.base.saying import say
from kuffin.core.base.units import canonical_unit, parse_unit
from kuffin.core.bench.outcomes import asked_outcome
from kuffin.core.bench.roles import AIR, COOLANT, DIE, ROLES
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.bench.writtenfigures import read_figure
from kuffin.logs.channelguess import guess_role
from kuffin.logs.header import split_names
from kuffin.logs.tidy import TidyTable
from kuffin.logs.values import is_missing, parse_number
from kuffin.notebook import edits, planedits
from kuffin.notebook.store import Notebook
from kuffin.notebook.typedruns import TypedFigure, TypedRun, add_typed

_CANDIDATE = {
    "candidate",
    "part",
    "name",
    "block",
    "radiator",
    "cooler",
    "paste",
    "pad",
    "coolant",
    "fan",
    "configuration",
}
_MOUNT = {"mount", "unit", "round", "nr", "no"}
_LESS = {"temperature", "power", "sound_level", "time"}  # quantities of which less is better
_LESS_WORDS = {"rise", "temperature", "noise", "loudness", "level", "time", "price", "power", "drop", "delta", "temp"}


@dataclass(frozen=True, kw_only=True)
class TableStudy:
    """What a table holds.

    Attributes
    ----------
    under_test : str
        Guessed from the figures.
    runs : tuple of TypedRun
    figures : tuple of str
        Columns that are taken for figures of a role, with it: ``Die: die``.
    numbers : tuple of (name, unit, whether less is better)
        All other columns of numbers; each is an outcome of its own.
    """

    file: str
    under_test: str
    runs: tuple[TypedRun, ...]
    figures: tuple[str, ...]
    numbers: tuple[tuple[str, str, bool], ...]

    @property
    def candidates(self) -> tuple[str, ...]:
        """In the order of their first rows."""
        return tuple(dict.fromkeys(r.candidate for r in self.runs))


def table_study(table: TidyTable) -> TableStudy:
    """What a tidy table of readings holds.

    Raises
    ------
    LogError
        Where no column names candidates, or none holds numbers.
    """
    names = split_names(table.columns)
    lower = [n.name.strip().lower() for n in names]
    by = next((i for i, n in enumerate(lower) if n in _CANDIDATE), None)
    if by is None:
        raise LogError("{file}: no column names the candidates; call it “candidate”", file=table.file)
    mount = next((i for i, n in enumerate(lower) if n in _MOUNT), None)
    minutes = next((i for i, n in enumerate(lower) if n.startswith("min")), None)
    figures: dict[int, str] = {}
    numbers: dict[int, tuple[str, str, bool]] = {}
    for i, n in enumerate(names):
        cells = [row[i] for row in table.rows if not is_missing(row[i])]
        if (
            i in {by, mount, minutes}
            or not cells
            or not all(np.isfinite(parse_number(c, table.decimal)[0]) for c in cells)
        ):
            continue
        unit = parse_unit(n.unit) if n.unit else None
        role = guess_role(n.name, unit.quantity, unit.canonical) if unit is not None else None
        if role in ROLES and unit is not None and ROLES[role].quantity == unit.quantity and unit.canonical != "K":
            figures[i] = role
        else:
            less = (unit is not None and unit.quantity in _LESS) or bool(set(lower[i].split()) & _LESS_WORDS)
            numbers[i] = (n.name, n.unit or "", less or (n.unit or "").startswith("dB"))
    if not figures and not numbers:
        raise LogError("{file}: no column holds numbers", file=table.file)
    runs: dict[tuple[str, str], TypedRun] = {}
    for number, row in enumerate(table.rows):
        if not row[by]:
            continue
        key = (row[by], row[mount] if mount is not None else str(number))
        if key in runs:
            raise LogError(
                "{file}: two rows are {row}, mount {key}; one row for each mount, please",
                file=table.file,
                row=row[by],
                key=key[1],
            )
        rounds = 1 + sum(c == row[by] for c, _ in runs)
        read = parse_number(row[minutes], table.decimal)[0] if minutes is not None else float("nan")
        runs[key] = TypedRun(
            candidate=row[by],
            round=rounds,
            minutes=float(read) if np.isfinite(read) else None,
            figures=[_figure(row[i], names[i].unit, role) for i, role in figures.items() if not is_missing(row[i])],
            numbers=[
                (name, float(parse_number(row[i], table.decimal)[0]), unit)
                for i, (name, unit, _) in numbers.items()
                if not is_missing(row[i])
            ],
        )
    return TableStudy(
        file=table.file,
        under_test=_under_test(set(figures.values())),
        runs=tuple(runs.values()),
        figures=tuple(f"{names[i].name}: {ROLES[r].label}" for i, r in figures.items()),
        numbers=tuple(numbers.values()),
    )


def _figure(cell: str, unit: str | None, role: str) -> TypedFigure:
    found = read_figure(f"{cell} {unit or canonical_unit(ROLES[role].quantity)}", ROLES[role].quantity)
    return TypedFigure(role=role, value=found.value, resolution=found.resolution)


def _under_test(roles: set[str]) -> str:
    if roles & set(DIE) and roles & set(COOLANT):
        return "block"
    return "radiator" if roles & set(COOLANT) and roles & set(AIR) else "anything"


def add_table_study(notebook: Notebook, found: TableStudy, question: str) -> int:
    """Make a study of a table, in one step; returns its id."""
    with notebook.one_step(say("make a study of {file}", file=found.file)):
        rounds = max(r.round or 1 for r in found.runs)
        study = edits.add_study(notebook, question, found.under_test, list(found.candidates), rounds=rounds)
        add_typed(notebook, study, found.runs)
        less = [name for name, _, lower in found.numbers if lower]
        plan: dict[str, object] = {"lower_is_better": less or None}
        if found.numbers and kind_under_test(found.under_test).any_temperature:
            plan["outcome"] = asked_outcome(found.numbers[0][0], found.numbers[0][1]).key
        planedits.set_plan(notebook, study, "say which way is better", **plan)
    return study


def words_of(found: TableStudy) -> Sequence[str]:
    """What it was taken for, a line each."""
    each = [f"{len(found.runs)} readings of {len(found.candidates)} candidates, and no log"]
    if found.figures:
        each.append("figures of the bench: " + "; ".join(found.figures))
    if found.numbers:
        told = [f"{name} ({'less' if lower else 'more'} is better)" for name, _, lower in found.numbers]
        each.append("numbers to compare: " + "; ".join(told))
    return each
