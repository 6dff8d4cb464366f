"""Intervals one below the other, each with what it is held against; as the window and the page draw them."""

from __future__ import annotations

from dataclasses import dataclass

from kuffin.core.base.language import inside, tr
from kuffin.core.compare.pairwords import digits_for, span
from kuffin.verdict.claims import TITLES, JudgedClaim


@dataclass(frozen=True, kw_only=True)
class IntervalLine:
    """One interval.

    Attributes
    ----------
    label, note : str
        On the left; and smaller, below it.
    low, middle, high : float or None
        None: there is none, and `said` tells why.
    said : str
        On the right.
    target : float or None
        What it is held against: a line across this row, with `target_label`.
    beyond : str
        ``right`` where the target is met to the right of it; blank where it is only a line.
    position : int
        Which candidate's colour and shape it has; -1: ink.
    loud : bool
        Whether what is said is a warning.
    """

    label: str
    low: float | None
    middle: float | None
    high: float | None
    said: str
    note: str = ""
    target: float | None = None
    target_label: str = ""
    beyond: str = ""
    position: int = -1
    loud: bool = False


def claim_line(j: JudgedClaim, position: int) -> IntervalLine:
    """A claim as an interval held against what was claimed; `position` is the candidate's place in the study."""
    low, middle, high = (None, None, None) if j.found is None else j.found
    if j.found is None or low is None or high is None:
        return IntervalLine(
            label=j.claimed,
            low=None,
            middle=None,
            high=None,
            said=f"{tr(TITLES[j.judged])}: {j.why_not}",
            target=j.amount.low,
            loud=True,
        )
    amount = j.amount.written(j.unit)
    return IntervalLine(
        label=tr("{candidate} over {against}", candidate=j.candidate, against=j.against)
        if j.against
        else f"{j.candidate}, {inside(j.outcome.label)}",
        low=low,
        middle=middle,
        high=high,
        said=tr(
            "{judged}: {low} measured", judged=tr(TITLES[j.judged]), low=span(low, high, j.unit, digits_for(high - low))
        ),
        note=f"{j.said_by or 'claimed'}: {amount}",
        target=j.amount.low,
        target_label=tr("claimed {amount}", amount=amount),
        beyond="right" if j.amount.way in {"at least", "up to"} else "",
        position=position,
        loud=j.judged == "refuted",
    )
