"""How fast the fans have to be set, so that a candidate stays under a limit at some power: where its curve over the fans meets it."""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from kuffin.core.base.errors import CompareError
from kuffin.core.predict.carrying import Foreseen, worst
from kuffin.verdict.carried import WhatIf
from kuffin.verdict.predicting import predict_all
from kuffin.verdict.study import StudyVerdict

_FANS = np.array([20.0, 30.0, 40.0, 50.0, 60.0, 70.0, 80.0, 90.0, 100.0])


def fans_needed(v: StudyVerdict, asked: WhatIf) -> dict[str, Foreseen | None]:
    """The fans' setting in per cent at which each candidate stands at the limit, one more mount of it; None where none does.

    Parameters
    ----------
    asked : WhatIf
        With a limit: of the die, or of the coolant where only that was measured.

    Raises
    ------
    CompareError
        Without a limit, or where nothing can be foreseen.
    """
    if asked.limit_c is None:
        raise CompareError("tell the limit that is to be held")
    at = [predict_all(v, replace(asked, fan=float(f), limit_c=None)) for f in _FANS]
    return {name: _crossing([p[name].first for p in at], asked.limit_c) for name in at[0]}


def _crossing(warm: list[Foreseen], limit_c: float) -> Foreseen | None:
    def meets(side: float) -> float | None:
        temperatures = np.array([x.value + side * x.half for x in warm])
        if not temperatures[-1] <= limit_c <= temperatures[0] or np.any(np.diff(temperatures) >= 0):
            return None
        return float(np.interp(-limit_c, -temperatures, _FANS))

    middle, most, least = (meets(side) for side in (0.0, 1.0, -1.0))
    if middle is None:
        return None
    half = max((most if most is not None else 2 * middle) - middle, middle - (least if least is not None else 0.0))
    near = int(np.argmin(np.abs(_FANS - middle)))
    return Foreseen(value=middle, half=half, label=worst([warm[near].label]))
