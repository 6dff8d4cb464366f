"""What somebody else says, against what was measured."""

from __future__ import annotations


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
