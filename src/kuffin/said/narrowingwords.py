"""What to spend on, in words."""

from __future__ import annotations

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import begun, number
from kuffin.said.shownworking import Working
from kuffin.verdict.narrowing import Purchase, Spending


def spending_words(told: Spending, unit: str) -> str:
    """What narrows a pair's interval most for its hours."""
    now = tr(
        "The difference of {a} and {b} is known to {half}.",
        a=told.pair.a,
        b=told.pair.b,
        half=_half(told.now.value, unit),
    )
    best = told.best
    if best is None or best.half is None or best.hours is None:
        return tr("{now} Nothing here would narrow that by much.", now=now)
    return tr(
        "{now} For its hours this narrows it most: {purchase}, to {half} in {hours} h.",
        now=now,
        purchase=best.what,
        half=_half(best.half.value, unit),
        hours=number(best.hours, 1),
    )


def purchase_row(p: Purchase, unit: str) -> tuple[str, ...]:
    """A purchase as a row: what, hours on the bench, half-width, why."""
    half = "–" if p.half is None else _half(p.half.value, unit)
    return begun(p.what), "–" if p.hours is None else f"{number(p.hours, 1)} h", half, p.because


def purchase_working(told: Spending, p: Purchase, unit: str) -> Working:
    """How the half-width after a purchase is come to, and what the purchase takes."""
    assert p.half is not None
    out = Working(
        title=tr("{a} and {b}: {purchase}", a=told.pair.a, b=told.pair.b, purchase=p.what),
        answer=_half(p.half.value, unit),
    )
    out.add(p.half)
    if p.hours is not None:
        out.say(tr("Takes"), tr("{hours} h on the bench", hours=number(p.hours, 1)))
    out.say(tr("Rests on"), p.because)
    return out


def _half(half: float, unit: str) -> str:
    return f"±\u00a0{number(half, 2 if half < 1 else 1)}\u00a0{unit}"
