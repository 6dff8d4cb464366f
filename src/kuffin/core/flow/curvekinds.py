"""The kinds of readings that tell a part's restriction or a pump's strength: what each row of them holds, and whose they can be."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.base.errors import BenchError
from kuffin.core.base.numbers import outside
from kuffin.core.base.saying import say
from kuffin.core.bench.partfields import PartKind
from kuffin.core.bench.parts import KINDS as PART_KINDS

SOURCES = ("measured", "its maker's sheet")


@dataclass(frozen=True, kw_only=True)
class CurveColumn:
    """A number of each row; `usual` where it may be left out."""

    name: str
    quantity: str = ""
    unit: str = ""
    low: float = 0.0
    high: float = 1e4
    usual: float | None = None


@dataclass(frozen=True, kw_only=True)
class CurveKind:
    """A kind of readings.

    Attributes
    ----------
    label : str
        What they tell: ``restriction``.
    fewest : int
        Rows that it takes to say anything.
    """

    key: str
    label: str
    columns: tuple[CurveColumn, CurveColumn, CurveColumn]
    fewest: int = 3
    of_pump: bool = False

    @property
    def second(self) -> str:
        """What the second column is."""
        return self.columns[1].name

    @property
    def by_pressure(self) -> bool:
        """Whether a gauge reads it beside the flow, so that it is drawn, fitted and can be read live or from a log."""
        return self.columns[1].quantity == "pressure"

    def fits(self, part: PartKind) -> bool:
        """Whether a kind of part can have such readings: what coolant runs through, and only a pump has a head."""
        return part.wet and part.slot != "coolant" and (part.slot == "pump") == self.of_pump


_FLOW = CurveColumn(name="flow", quantity="flow", unit="L/h")
_SPEED = CurveColumn(name="pump speed", quantity="share", unit="%", low=1.0, high=150.0, usual=100.0)

CURVE_KINDS: dict[str, CurveKind] = {
    k.key: k
    for k in (
        CurveKind(
            key="restriction",
            label="restriction",
            columns=(
                _FLOW,
                CurveColumn(name="drop", quantity="pressure", unit="kPa", high=2000),
                CurveColumn(name="in series", low=1, high=20, usual=1.0),
            ),
        ),
        CurveKind(
            key="pump",
            label="pump curve",
            columns=(_FLOW, CurveColumn(name="head", quantity="pressure", unit="kPa", high=2000), _SPEED),
            of_pump=True,
        ),
        CurveKind(
            key="with and without",
            label="flow with and without it",
            columns=(
                CurveColumn(name="flow without it", quantity="flow", unit="L/h"),
                CurveColumn(name="flow with it", quantity="flow", unit="L/h"),
                _SPEED,
            ),
            fewest=1,
        ),
    )
}


def curve_kind(key: str) -> CurveKind:
    """A kind by its key.

    Raises
    ------
    BenchError
        For one that Kuffin does not know.

    >>> curve_kind("pump").second
    'head'
    """
    found = CURVE_KINDS.get(key)
    if found is None:
        raise BenchError("“{key}” is no kind of curve; there are {kinds}", key=key, kinds=", ".join(CURVE_KINDS))
    return found


def kinds_for(part_kind: str) -> list[CurveKind]:
    """What can be read of a kind of part.

    >>> [k.key for k in kinds_for("pump")], kinds_for("paste")
    (['pump'], [])
    """
    return [k for k in CURVE_KINDS.values() if part_kind in PART_KINDS and k.fits(PART_KINDS[part_kind])]


def checked_rows(kind: CurveKind, rows: Sequence[Sequence[float | None]]) -> list[list[float]]:
    """Rows with what was left out filled in.

    Raises
    ------
    BenchError
        Where a number is missing or cannot be: the sentence says which row.

    >>> checked_rows(CURVE_KINDS["restriction"], [[100.0, 4.2]])
    [[100.0, 4.2, 1.0]]
    """
    out = []
    for n, row in enumerate(rows, 1):
        told = [*row, None, None, None][:3]
        filled = []
        for value, column in zip(told, kind.columns, strict=True):
            found = column.usual if value is None else float(value)
            if found is None:
                raise BenchError("row {n} has no {name}", n=n, name=say(column.name))
            if not column.low <= found <= column.high:
                said = outside(found, column.low, column.high, column.unit)
                raise BenchError(
                    "row {n}, {name}: {said}; look at its sign and its unit", n=n, name=say(column.name), said=said
                )
            filled.append(found)
        out.append(filled)
    return out
