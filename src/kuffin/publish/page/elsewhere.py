"""The section for a reader's own computer: what the same parts would do at other powers and in other rooms."""

from __future__ import annotations

from collections.abc import Iterator

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.numbers import number
from kuffin.core.predict.carrying import CARRIED, ESTIMATED, MEASURED
from kuffin.publish.page.blocks import Block, Grid, Words
from kuffin.publish.page.material import Material
from kuffin.said.predictionwords import asked_words
from kuffin.verdict.carried import WhatIf
from kuffin.verdict.predicting import Prediction, predict_all

_POWERS, _ROOMS_C = (0.5, 1.0, 1.5), (20.0, 30.0)  # of the study's own power; °C
_MARKS = {MEASURED: "", CARRIED: " *", ESTIMATED: " **"}


def elsewhere(m: Material) -> Iterator[Block]:
    """A small table of predictions, each with its interval and how it is known; nothing where nothing can be carried."""
    v = m.verdict
    asked = [WhatIf(power_w=round(share * v.reference_power_w, -1), air_c=air) for air in _ROOMS_C for share in _POWERS]
    try:
        found = [predict_all(v, a) for a in asked]
    except KuffinError:
        return
    names = [n for n in v.main.ranking() if all(n in f for f in found)]
    if not names:
        return
    first = found[0][names[0]]
    what = "the die" if first.die is not None else "the coolant"
    usual = asked_words(WhatIf(fan=first.asked.fan, pump=first.asked.pump))
    yield Words(
        f"How warm {what} would be, in °C, with the interval for one more mount of each{f', at {usual}' if usual else ''}. It is about this "
        "bench's other parts: with another radiator, block or case the level differs, and the differences less so."
    )
    yield Grid(
        caption="At other powers, and in other rooms",
        head=("candidate", *(f"{a.power_w:.0f} W, {a.air_c:.0f} °C" for a in asked)),
        rows=[(n, *(_told(f[n]) for f in found)) for n in names],
        words=frozenset({0}),
    )
    yield Words("* carried from the powers that were measured; ** estimated, beyond them.", "small")


def _told(p: Prediction) -> str:
    first = p.first
    return f"{number(first.value, 0)} ± {number(first.half, 0 if first.half >= 3 else 1)}{_MARKS[first.label]}"
