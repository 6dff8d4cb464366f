"""Values that are only bounds: a part held by its limit would have been hotter still, had it been let.

Such a value enters at its bound. A verdict is said only where the bound works against it ("cooler by at least …"), never in
favour of the one that was held, and never that the two are the same (docs/methods.md, "Outcomes").

Of what is held at a limit, or how long it takes to come to one, it is the other way round: a part that met none would hold
more still, and a verdict is said only in its favour.
"""

from __future__ import annotations

from dataclasses import replace

from kuffin.core.compare.evidence import Comparison, PairResult


def with_bounds(found: Comparison, free: bool) -> Comparison:
    """A comparison in which some candidates have bounds: their true means are no better, or (`free`) no worse."""
    held = frozenset(m.candidate for m in found.mounts if m.held)
    pairs = tuple(_bounded(p, held, found.better, free) for p in found.pairs)
    candidates = tuple(replace(c, bound=c.name in held) for c in found.candidates)
    return replace(found, pairs=pairs, candidates=candidates, free=free)


def _bounded(pair: PairResult, held: frozenset[str], better: str, free: bool) -> PairResult:
    theirs = tuple(n for n in (pair.a, pair.b) if n in held)
    if not theirs:
        return pair
    best, worst = (pair.a, pair.b) if (pair.difference < 0) == (better == "lower") else (pair.b, pair.a)
    stands = pair.verdict in {"a_lower", "b_lower"} and theirs == (best if free else worst,)
    return replace(pair, held=theirs, free=free, verdict=pair.verdict if stands else "unsettled", mounts_needed=None)
