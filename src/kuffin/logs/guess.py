"""Guess from a log's file name which candidate it belongs to."""

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
