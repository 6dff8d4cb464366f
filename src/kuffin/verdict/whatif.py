"""A What if question answered whole: every candidate, how far they are apart, and what holds a limit."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from itertools import combinations

from kuffin.core.predict.carrying import Foreseen
from kuffin.verdict.carried import WhatIf
from kuffin.verdict.fanneeded import fans_needed
from kuffin.verdict.predicting import Prediction, differences, highest_powers, predict_all
from kuffin.verdict.study import StudyVerdict

_MOST_PAIRS = 6


@dataclass(frozen=True, kw_only=True)
class WhatIfAnswer:
    """What a question comes to.

    Attributes
    ----------
    predictions : sequence of Prediction
        The coolest first.
    fans : mapping
        By candidate, the fans' setting that holds the limit, %; None where none does, empty without a limit.
    pairs : sequence of (name, name, Foreseen)
        How far the first few pairs would be apart, K.
    """

    asked: WhatIf
    predictions: Sequence[Prediction]
    fans: Mapping[str, Foreseen | None]
    pairs: Sequence[tuple[str, str, Foreseen]]


def answer(v: StudyVerdict, asked: WhatIf) -> WhatIfAnswer:
    """Foresee all that is asked for.

    Raises
    ------
    CompareError
        Where too little was measured to say anything, or what is asked cannot be.
    """
    highest = highest_powers(v, asked)
    found = [replace(p, highest_power=highest.get(p.candidate)) for p in predict_all(v, asked).values()]
    found.sort(key=lambda p: p.first.value)
    named = list(combinations([p.candidate for p in found], 2))[:_MOST_PAIRS]
    apart = differences(v, named, asked)
    return WhatIfAnswer(
        asked=asked,
        predictions=found,
        fans=fans_needed(v, asked) if asked.limit_c is not None else {},
        pairs=[(a, b, x) for (a, b), x in zip(named, apart, strict=True)],
    )
