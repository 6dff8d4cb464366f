"""Guess from a log's file name which candidate and round it belongs to."""

from __future__ import annotations

import re
from collections.abc import Sequence


def guess_candidate(stem: str, candidates: Sequence[str]) -> str | None:
    """The candidate whose name stands in a file's name, the longest if several do; None where none does.

    Examples
    --------
    >>> guess_candidate("bulrush_round2", ["Rush", "Bulrush"])
    'Bulrush'
    """
    plain = re.sub(r"[^a-z0-9]+", "", stem.lower())
    hits = [c for c in candidates if (key := re.sub(r"[^a-z0-9]+", "", c.lower())) and key in plain]
    return max(hits, key=len, default=None)


def guess_round(stem: str) -> int | None:
    """The round that a file's name tells (``round2``, ``r2``, ``mount 2``, ``run_2``), None where it tells none."""
    match = re.search(r"(?:round|mount|run|pass|rd|r|m)[\s_\-]*0*(\d{1,2})(?!\d)", stem.lower())
    return int(match[1]) if match and 1 <= int(match[1]) <= 60 else None
