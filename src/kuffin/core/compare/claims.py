"""What somebody else says, against what was measured."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.base.errors import CompareError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.saying import say

Interval = tuple[float, float]


@dataclass(frozen=True)
class WayOfClaiming:
    """How something is claimed: its key, how it is written, and what such words are worth to a reader."""

    key: str
    written: str
    worth: str = ""


WAYS = {
    w.key: w
    for w in (
        WayOfClaiming("at least", mark("at least {low:g}")),
        WayOfClaiming("at most", mark("at most {low:g}")),
        WayOfClaiming(
            "up to",
            mark("up to {low:g}"),
            mark(
                "“Up to” promises nothing: any smaller gain agrees with it, and none at all. It is refuted only where nothing that was tested reaches it."
            ),
        ),
        WayOfClaiming("about", mark("about {low:g}"), mark("“About” is taken as within a tenth of it.")),
        WayOfClaiming("between", mark("{low:g} to {high:g}")),
    )
}
_NUMBER = r"\d+(?:[.,]\d+)?"
_SIGNS = {"~": "about", "≥": "at least", ">=": "at least", "≤": "at most", "<=": "at most"}
_KELVINS = re.compile(
    rf"(?P<way>at least|up to|about|~)?\s*(?P<low>{_NUMBER})\s*(?:K\b|°\s*C?\b|degrees?\b|kelvins?\b)", re.IGNORECASE
)
_SHARE = re.compile(rf"(?P<way>at least|up to|about|~)?\s*(?P<low>{_NUMBER})\s*(?:%|per ?cent\b)", re.IGNORECASE)
_ABOUT = 0.1


@dataclass(frozen=True, kw_only=True)
class Claimed:
    """How much is claimed.

    Attributes
    ----------
    way : str
        A key of `WAYS`.
    low, high : float
        The figure; of a range its two ends.
    percent : bool
        Whether it is a share of the other's value.
    """

    way: str = "at least"
    low: float
    high: float | None = None
    percent: bool = False

    def written(self, unit: str) -> str:
        """As it is written: ``up to 8 K``, ``2 to 4 %``."""
        told = "%" if self.percent else unit
        return f"{tr(WAYS[self.way].written, low=self.low, high=self.high)} {told}".rstrip()

    @property
    def ends(self) -> Interval:
        """What “about” and a range say that it lies within."""
        if self.way == "about":
            return self.low * (1 - _ABOUT), self.low * (1 + _ABOUT)
        return self.low, self.low if self.high is None else self.high


def _words(pattern: str) -> tuple[str, str]:
    """What stands before a way's number, and what between its two, in the window's language."""
    first, _, rest = tr(pattern).partition("{low:g}")
    return first.strip().lower(), rest.partition("{high:g}")[0].strip().lower()


def _taken_apart(written: str) -> tuple[str, str, str | None, str] | None:
    """A way's key (or nothing), one number or two, and a unit, as they are written in English or the window's language."""
    told = {_words(w.written)[0]: w.key for w in WAYS.values()}
    ways = {w.key: w.key for w in WAYS.values()} | _SIGNS | {said: key for said, key in told.items() if said}
    between = ["to", "–", "-", "and", _words(WAYS["between"].written)[1]]
    way, to = ("|".join(map(re.escape, words)) for words in (sorted(ways, key=len, reverse=True), between))
    found = re.match(
        rf"^\s*(?P<way>{way})?\s*(?P<low>{_NUMBER})\s*(?:(?:{to})\s*(?P<high>{_NUMBER}))?\s*(?P<unit>\S.*?)?\s*$",
        written,
        re.IGNORECASE,
    )
    if found is None:
        return None
    said = (found["way"] or "").lower()
    return ways.get(said, ""), found["low"], found["high"], found["unit"] or ""


def read_claim(written: str, unit: str) -> Claimed:
    """A claim as a person wrote it; without a word it is “at least”.

    Parameters
    ----------
    unit : str
        Of the outcome that it is about; what is written has that unit, none, or per cent.

    Raises
    ------
    CompareError
        What is no claim, or has another unit.

    >>> read_claim("up to 8", "K"), read_claim("2 to 4 %", "K").percent
    (Claimed(way='up to', low=8.0, high=None, percent=False), True)
    """
    found = _taken_apart(written)
    if found is None:
        raise CompareError(
            "“{written}” claims nothing; write “at least 3 {unit}”, “up to 8”, “about 5”, “2 to 4” or “20 %”",
            written=written,
            unit=unit,
        )
    said, least, most, told = found
    if told not in {"", unit, "%"}:
        raise CompareError(
            "“{told}” is not the unit here; write it in {what} or in %", told=told, what=unit or say("plain numbers")
        )
    low, high = (None if x is None else float(x.replace(",", ".")) for x in (least, most))
    way = "between" if high is not None else said or "at least"
    assert low is not None
    if not low > 0 or (high is not None and not high > low):
        raise CompareError("a claim says by how much; give it above 0, the smaller end of a range first")
    return Claimed(way=way, low=low, high=high, percent=told == "%")


def judge_claim(claimed: Claimed, found: Sequence[Interval]) -> str:
    """Judge a claim by the intervals of what it is about.

    Parameters
    ----------
    found : sequence of (low, high)
        By how much it is better, or the value itself. One; for “up to” that of every condition that was tested.

    Returns
    -------
    str
        ``refuted`` where even the best case does not agree with it, ``borne out`` where even the worst one does, else
        ``open``. “Up to” is refuted where no condition can reach it, and borne out where one does for certain.
    """
    if claimed.way == "up to":
        if all(high < claimed.low for _, high in found):
            return "refuted"
        return "borne out" if any(low >= claimed.low for low, _ in found) else "open"
    ((low, high),) = found
    if claimed.way == "at least":
        return "refuted" if high < claimed.low else "borne out" if low >= claimed.low else "open"
    if claimed.way == "at most":
        return "refuted" if low > claimed.low else "borne out" if high <= claimed.low else "open"
    least, most = claimed.ends
    if high < least or low > most:
        return "refuted"
    return "borne out" if low >= least and high <= most else "open"


def guess_claim(said: str, others: Sequence[str]) -> tuple[Claimed | None, str | None]:
    """Guess from a maker's words how many kelvins (or per cent) are claimed, and against which of the other candidates.

    Parameters
    ----------
    said : str
        Such as “up to 8 K cooler than Rush”.
    others : sequence of str
        The names that may be meant.

    Returns
    -------
    claimed : Claimed or None
        By the first temperature difference that is named; None where there is none above zero.
    against : str or None
        The longest of the names that occurs in the words.
    """
    found = _KELVINS.search(said) or _SHARE.search(said)
    low = float(found["low"].replace(",", ".")) if found else 0.0
    way = (found["way"] or "at least").lower() if found else ""
    named = [n for n in others if re.search(rf"\b{re.escape(n)}\b", said, re.IGNORECASE)]
    percent = found is not None and found.re is _SHARE
    amount = Claimed(way=_SIGNS.get(way, way), low=low, percent=percent) if low > 0 else None
    return amount, max(named, key=len, default=None)
