"""Verdicts in words: never more than the interval says."""

from __future__ import annotations

from collections.abc import Sequence

from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import number as number
from kuffin.core.bench.outcomes import Outcome, Wording
from kuffin.core.compare import Comparison, PairResult

_MOST_DIGITS = 4
_COUNTED = (
    mark("no"),
    mark("one"),
    mark("two"),
    mark("three"),
    mark("four"),
    mark("five"),
    mark("six"),
    mark("seven"),
    mark("eight"),
    mark("nine"),
    mark("ten"),
    mark("eleven"),
    mark("twelve"),
)


def digits_for(spread: float) -> int:
    """Decimals that a number of this spread deserves.

    >>> [digits_for(x) for x in (2.0, 0.1, 0.01)]
    [1, 2, 3]
    """
    if not spread > 0:
        return 1
    return 1 if spread >= 0.15 else 2 if spread >= 0.015 else 3


def beside_nothing(x: float, digits: int) -> str:
    """An interval's end with these decimals, or so many more that an end beside 0 is not written as 0.

    >>> beside_nothing(1.26, 1), beside_nothing(0.04, 1), beside_nothing(-0.003, 1), beside_nothing(0.0, 1)
    ('1.3', '0.04', '−0.003', '0.0')
    """
    while digits < _MOST_DIGITS and x and not round(x, digits):
        digits += 1
    return number(x, digits)


def span(low: float, high: float, unit: str, digits: int = 1) -> str:
    """An interval in words: ``1.2 to 2.6 K``.

    >>> span(1.2, 2.64, "K"), span(0.04, 2.64, "K")
    ('1.2 to 2.6 K', '0.04 to 2.6 K')
    """
    low_said, high_said = beside_nothing(low, digits), beside_nothing(high, digits)  # once where both read the same
    told = tr("{low} to {high}", low=low_said, high=high_said)
    return (told if low_said != high_said else low_said) + (f" {unit}" if unit else "")


def joined(parts: Sequence[str]) -> str:
    """A list in words: ``Reed, Rush and Sedge``.

    >>> joined(["Reed", "Rush", "Sedge"])
    'Reed, Rush and Sedge'
    """
    if len(parts) < 2:
        return "".join(parts)
    return tr("{most} and {last}", most=", ".join(parts[:-1]), last=parts[-1])


def mounts_more(now: int, needed: int | None) -> str:
    """What an open pair would take."""
    if needed is None:
        return tr("more than 99 mounts of each would be needed if it stays like this")
    more = max(needed - now, 1)
    return (
        tr("about one more mount of each would settle it (50 % chance)")
        if more == 1
        else tr("about {n} more mounts of each would settle it (50 % chance)", n=count(more))
    )


def was_held(names: Sequence[str], free: bool = False) -> str:
    """Why the values of candidates are only bounds, in words: they were held by a limit, or (`free`) met none.

    >>> was_held(["Knot"]), was_held(["Knot", "Tern"]), was_held(["Knot"], free=True)
    ('Knot was held by a limit', 'Knot and Tern were held by a limit', 'Knot met no limit')
    """
    if free:
        return tr("{names} met no limit", names=joined(list(names)))
    return (
        tr("{names} was held by a limit", names=joined(list(names)))
        if len(names) == 1
        else tr("{names} were held by a limit", names=joined(list(names)))
    )


def to_settle(pair: PairResult, found: Comparison) -> str:
    """What an open pair would take: mounts, or another sample where the samples themselves stand in the way; where one was
    held by a limit, no number of mounts does.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.2), ("Rush", 3.0), ("Rush", 3.2))
    >>> mounts = [MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values]
    >>> found = compare(mounts[:1] + mounts[2:], margin=0.5)
    >>> to_settle(found.pairs[0], found)
    'about one more mount of each would settle it (50 % chance)'
    """
    if pair.held:
        instead = "" if pair.free else tr("; compare the clock that was held, or a score, instead")
        bound = tr("its value is only a bound") if len(pair.held) == 1 else tr("their values are only bounds")
        return tr(
            "{was_held}, so that {bound}{instead}",
            was_held=was_held(pair.held, pair.free),
            bound=bound,
            instead=instead,
        )
    if pair.mounts_needed is None and dict(found.components).get("sample", 0.0) > 0:
        return tr("more mounts of these samples will hardly settle it, another sample of each would do more")
    return mounts_more(min(found.candidate(pair.a).mounts, found.candidate(pair.b).mounts), pair.mounts_needed)


def count(n: int) -> str:
    """Small numbers as words.

    >>> count(3), count(13)
    ('three', '13')
    """
    return tr(_COUNTED[n]) if n < len(_COUNTED) else str(n)


def several(n: int, thing: str) -> str:
    """A number of things, in words: one day, two days.

    >>> several(1, "mount"), several(3, "mount"), several(13, "mount")
    ('one mount', 'three mounts', '13 mounts')
    """
    return tr(f"one {thing}") if n == 1 else tr(f"{{n}} {thing}s", n=count(n))


def best_of(found: Comparison) -> str:
    """The candidate that is best by its mean; one that a limit held wins nothing, and one that met none is ahead.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.2), ("Rush", 3.0), ("Rush", 3.2))
    >>> mounts = [MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values]
    >>> found = compare(mounts)
    >>> best_of(found)
    'Reed'
    """
    first = [c for c in found.candidates if c.bound == found.free] or found.candidates
    return (min if found.better == "lower" else max)(first, key=lambda c: c.mean).name


def better_first(pair: PairResult, better: str) -> tuple[str, str, float, float]:
    """The better one of two by their means, the other, and by how much it is better: the interval's two ends.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.2), ("Rush", 3.0), ("Rush", 3.2))
    >>> mounts = [MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values]
    >>> found = compare(mounts)
    >>> better_first(found.pairs[0], "lower")[:2]
    ('Reed', 'Rush')
    """
    if (pair.difference < 0) == (better == "lower"):
        first, second, ends = pair.a, pair.b, (pair.low, pair.high)
    else:
        first, second, ends = pair.b, pair.a, (-pair.high, -pair.low)
    return (first, second, -ends[1], -ends[0]) if better == "lower" else (first, second, *ends)


def pair_said(pair: PairResult, found: Comparison, outcome: Outcome) -> str:
    """One sentence on one pair by an outcome, with what that leaves in the numbers.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.2), ("Rush", 3.0), ("Rush", 3.2))
    >>> mounts = [MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values]
    >>> found = compare(mounts)
    >>> from kuffin.core.bench.outcomes import MEASURED
    >>> pair_said(found.pairs[0], found, MEASURED["hottest_core"])
    'Reed is cooler than Rush by 1.4 to 2.6 K.'
    """
    return pair_sentence(pair, found, outcome.difference_unit, outcome.wording, outcome.leaves_in)


def pair_sentence(
    pair: PairResult, found: Comparison, unit: str, wording: Wording | None = None, left_in: str = ""
) -> str:
    """One sentence on one pair, in the response's unit; without a wording the lower one is spoken of as lower.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.2), ("Rush", 3.0), ("Rush", 3.2))
    >>> mounts = [MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values]
    >>> found = compare(mounts)
    >>> pair_sentence(found.pairs[0], found, "K")
    'Reed is lower than Rush by 1.4 to 2.6 K.'
    """
    caveat = tr(", with {left_in} still in it", left_in=left_in) if left_in else ""
    digits = digits_for(pair.high - pair.low)
    u = f" {unit}" if unit else ""
    first, second, low, high = better_first(pair, "lower" if wording is None else found.better)
    said = "lower" if wording is None else wording.better
    if pair.verdict == "same":
        limit = (
            tr("within {margin:g}{u} of each other", margin=found.margin, u=u)
            if found.margin is not None
            else tr("the same")
        )
        if low > 0:
            by = number(abs(pair.difference), digits)
            return tr(
                "{first} and {second} are {limit}; {first} is {better} by a real but small {by}{u}{caveat}.",
                first=first,
                second=second,
                limit=limit,
                better=said,
                by=by,
                u=u,
                caveat=caveat,
            )
        return tr(
            "{a} and {b} are {limit}{caveat}: the same for this purpose.",
            a=pair.a,
            b=pair.b,
            limit=limit,
            caveat=caveat,
        )
    if pair.settled and pair.held:
        least = beside_nothing(low, digits)
        return tr(
            "{first} is {better} than {second} by at least {least}{u}: {was_held}{caveat}.",
            first=first,
            better=said,
            second=second,
            least=least,
            u=u,
            was_held=was_held(pair.held, pair.free),
            caveat=caveat,
        )
    if pair.settled:
        more = found.margin is not None and low > found.margin
        tail = tr(", more than the {margin:g}{u} that matter", margin=found.margin, u=u) if more else ""
        return tr(
            "{first} is {better} than {second} by {low}{tail}{caveat}.",
            first=first,
            better=said,
            second=second,
            low=span(low, high, unit, digits),
            tail=tail,
            caveat=caveat,
        )
    if pair.held:
        return tr(
            "{a} and {b} cannot be compared by this: {to_settle}.", a=pair.a, b=pair.b, to_settle=to_settle(pair, found)
        )
    return tr(
        "{a} and {b} are not told apart ({low} between them): {to_settle}.",
        a=pair.a,
        b=pair.b,
        low=span(pair.low, pair.high, unit, digits),
        to_settle=to_settle(pair, found),
    )
