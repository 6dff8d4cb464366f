"""Values that are only bounds: a part held by its limit would have been hotter still, had it been let.

Such a value enters at its bound. A verdict is said only where the bound works against it ("cooler by at least …"), never in
favour of the one that was held, and never that the two are the same (docs/methods.md, "Outcomes").
"""

from __future__ import annotations

from dataclasses import replace

from kuffin.core.compare.evidence import Comparison, PairResult


def with_bounds(found: Comparison) -> Comparison:
    """A comparison in which candidates of which a mount was held have bounds: their true means are no better."""
    held = frozenset(m.candidate for m in found.mounts if m.held)
    pairs = tuple(_bounded(p, held, found.better) for p in found.pairs)
    return replace(found, pairs=pairs, candidates=tuple(replace(c, bound=c.name in held) for c in found.candidates))


def _bounded(pair: PairResult, held: frozenset[str], better: str) -> PairResult:
    theirs = tuple(n for n in (pair.a, pair.b) if n in held)
    if not theirs:
        return pair
    worse = pair.b if (pair.difference < 0) == (better == "lower") else pair.a
    stands = pair.verdict in {"a_lower", "b_lower"} and theirs == (worse,)
    return replace(pair, held=theirs, verdict=pair.verdict if stands else "unsettled", mounts_needed=None)
