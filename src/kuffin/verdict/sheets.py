"""A mount's sheets, judged: what was typed for the leak test, the bleeding, the contact print."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.prepare.fill import Bleeding, bleeding
from kuffin.core.prepare.leak import USUAL_LIMIT_KPA, LeakTest, judge_leak

USUAL_STEP_KPA = 0.1
USUAL_AIR_ML = 500.0
USUAL_FLOW_SCATTER_PERCENT = 0.6
PRINT_SIDES = {"block": mark("on the block"), "die": mark("on the die")}


def rows_of(sheet: Mapping[str, Any]) -> NDArray[np.float64]:
    """The readings of a sheet as numbers, one row each (seconds, then the values); what is missing is NaN."""
    rows: Sequence[Sequence[float | None]] = sheet.get("readings", [])
    return np.array([[np.nan if v is None else v for v in r] for r in rows], dtype=np.float64)


def leak_test(sheet: Mapping[str, Any]) -> LeakTest:
    """The leak test of a sheet.

    Raises
    ------
    BenchError
        Where its readings cannot be judged.
    """
    data = rows_of(sheet)
    temperature = data[:, 2] if data.ndim == 2 and data.shape[1] > 2 and np.isfinite(data[:, 2]).all() else None
    return judge_leak(
        data[:, 0],
        data[:, 1],
        temperature,
        volume_ml=float(sheet.get("volume_ml", USUAL_AIR_ML)),
        gauge_count_kpa=float(sheet.get("gauge_step_kpa", USUAL_STEP_KPA)),
        limit_kpa=float(sheet.get("limit_kpa", USUAL_LIMIT_KPA)),
    )


def bled(sheet: Mapping[str, Any]) -> Bleeding:
    """How bleeding stands by a sheet.

    Raises
    ------
    BenchError
        Where its readings cannot be judged.
    """
    data = rows_of(sheet)
    return bleeding(data[:, 0], data[:, 1], float(sheet.get("usual_percent", USUAL_FLOW_SCATTER_PERCENT)))


def print_words(side: Mapping[str, Any]) -> str:
    """What a print shows, blank where it was not read."""
    if "share" not in side:
        return ""
    return tr(
        "{share:.0f} % covered ({low:.0f} to {high:.0f} %), {thin:.0f} % of it thinly",
        share=100 * side["share"],
        low=100 * side["low"],
        high=100 * side["high"],
        thin=100 * side["thin"],
    )


def sheet_lines(sheets: Mapping[str, Mapping[str, Any]]) -> list[tuple[str, str]]:
    """What the sheets of a mount say, each as (what, sentence)."""
    lines = []
    for kind, name, judge in (("leak", tr("Leak test"), leak_test), ("bleed", tr("Bleeding"), bled)):
        if len(sheets.get(kind, {}).get("readings", [])) > 1:
            try:
                lines.append((name, judge(sheets[kind]).sentence))
            except KuffinError as error:
                lines.append((name, str(error)))
    for side, where in PRINT_SIDES.items():
        words = print_words(sheets.get("print", {}).get(side, {}))
        if words:
            lines.append((tr("Print {where}", where=tr(where)), words))
    return lines
