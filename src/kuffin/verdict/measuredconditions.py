"""What was measured of the conditions: the range of the mounts' own power, air, flow and fans, in words."""

from __future__ import annotations

from collections.abc import Collection
from typing import TYPE_CHECKING

from kuffin.core.base.language import mark, tr
from kuffin.core.bench.roles import AIR
from kuffin.core.compare.pairwords import span

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict

# key, roles (the first that was recorded speaks), what it is called, unit, decimals
_TOLD = (
    ("power", ("power",), "", "W", 0),
    ("air", AIR, mark("air "), "°C", 1),
    ("flow", ("flow",), mark("flow "), "L/h", 0),
    ("fan", ("fan",), mark("fans "), "rpm", 0),
)


def measured_words(v: StudyVerdict, of: Collection[str] = (), without: Collection[str] = ()) -> str:
    """The ranges over all mounts that count, under the verdict's condition; blank where nothing of it was recorded.

    Parameters
    ----------
    of : collection of str
        Only these candidates; all without it.
    without : collection of str
        What is not told, such as ``power`` where several conditions differ in it.
    """
    results = [
        v.results[run].at(v.condition) or v.results[run]
        for r in v.temperature.readings
        if r.left_out is None and (not of or r.candidate in of)
        for run in r.runs
        if run in v.results
    ]
    told = []
    for key, roles, name, unit, digits in _TOLD:
        means = [
            x for r in results if (x := next((m for k in roles if (m := r.mean_of(k)) is not None), None)) is not None
        ]
        if means and key not in without:
            told.append((tr(name) if name else "") + span(min(means), max(means), unit, digits))
    return ", ".join(told)
