"""Edits of the curves of parts on the shelf."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.saying import say
from kuffin.core.flow.accuracy import read_accuracy
from kuffin.core.flow.curvekinds import checked_rows, curve_kind
from kuffin.notebook.entities import Curve, Part, now_text
from kuffin.notebook.store import Notebook


def add_curve(
    notebook: Notebook, part_id: int, kind: str, points: Sequence[Sequence[float | None]] = (), **values: Any
) -> int:
    """Give a part readings of a kind; returns their id.

    Raises
    ------
    BenchError
        Where a row cannot be, or the part is of another kind.
    """
    found = curve_kind(kind)
    rows = checked_rows(found, points)
    _look_at(values)
    with notebook.edit(say("add {label}", label=found.label)) as session:
        part = session.get_one(Part, part_id)
        curve = Curve(part_id=part.id, kind=kind, points=rows, **{"measured_on": now_text()[:10], **values})
        session.add(curve)
        session.flush()
        return curve.id


def change_curve(notebook: Notebook, curve_id: int, label: str, **values: Any) -> None:
    """Change what is told of a curve, or its rows (`points`).

    Raises
    ------
    BenchError
        Where a row, or an accuracy, cannot be.
    """
    _look_at(values)
    with notebook.edit(label) as session:
        curve = session.get_one(Curve, curve_id)
        if "points" in values:
            values["points"] = checked_rows(curve_kind(curve.kind), values["points"])
        for key, value in values.items():
            setattr(curve, key, value)


def bin_curve(notebook: Notebook, curve_id: int) -> None:
    """Put a curve into the bin."""
    with notebook.edit("put a curve into the bin") as session:
        session.get_one(Curve, curve_id).binned_at = now_text()


def _look_at(values: dict[str, Any]) -> None:
    for key, unit in (("flow_accuracy", "L/h"), ("pressure_accuracy", "kPa")):
        if values.get(key):
            read_accuracy(str(values[key]), unit)
    temperature = values.get("temperature_c")
    if temperature is not None and not -20 <= temperature <= 110:
        raise NotebookError("{temperature:g} °C is no temperature of a coolant", temperature=temperature)
