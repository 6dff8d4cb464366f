"""What somebody else says, against what was measured."""

from __future__ import annotations

import re
from collections.abc import Sequence

_KELVINS = re.compile(r"(\d+(?:[.,]\d+)?)\s*(?:K\b|°\s*C?\b|degrees?\b|kelvins?\b)", re.IGNORECASE)


def judge_claim(low_k: float, high_k: float, at_least_k: float) -> str:
    """Judge “A is at least c lower than B” by the simultaneous interval of A − B.

    Parameters
    ----------
    low_k, high_k : float
        The interval of A − B; A is lower where it is below zero.
    at_least_k : float
        What is claimed, above zero.

    Returns
    -------
    str
        ``refuted`` where even the best case falls short, ``borne out`` where even the worst case reaches it, else
        ``open``.
    """
    if -low_k < at_least_k:
        return "refuted"
    return "borne out" if -high_k >= at_least_k else "open"


def guess_claim(said: str, others: Sequence[str]) -> tuple[float | None, str | None]:
    """Guess from a maker's words how many kelvins are claimed, and against which of the other candidates.

    Parameters
    ----------
    said : str
        Such as “8 K cooler than Rush”.
    others : sequence of str
        The names that may be meant.

    Returns
    -------
    kelvins : float or None
        The first temperature difference that is named; None where there is none above zero.
    against : str or None
        The longest of the names that occurs in the words.
    """
    found = _KELVINS.search(said)
    kelvins = float(found.group(1).replace(",", ".")) if found else None
    named = [n for n in others if re.search(rf"\b{re.escape(n)}\b", said, re.IGNORECASE)]
    return kelvins or None, max(named, key=len, default=None)
