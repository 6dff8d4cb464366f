"""What a difference is worth: price against temperature, and what a user would notice."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import TYPE_CHECKING

from kuffin.core.base.language import tr
from kuffin.core.bench.parts import kind_of
from kuffin.core.compare import Comparison
from kuffin.core.compare.pairwords import digits_for, joined, number, span
from kuffin.notebook.entities import Bench, Part, Study
from kuffin.reading.configurations import built_loop, own_places
from kuffin.verdict.outcomes import OutcomeResult

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True, kw_only=True)
class Worth:
    """One candidate's price and temperature.

    Attributes
    ----------
    price : float or None
        Of as many pieces as it takes places.
    whole_price : float or None
        Of the whole loop with this candidate in it, where every part has a price in the same currency.
    mean, low, high : float
        Its reading with the plain interval.
    more_money : float or None
        What it costs over the cheapest.
    cooler : (float, float, float) or None
        By how much it is cooler than the cheapest: low, estimate, high.
    per_money : (float, float, float) or None
        Kelvins for each unit of money over the cheapest, likewise.
    """

    name: str
    price: float | None
    whole_price: float | None
    mean: float
    low: float
    high: float
    more_money: float | None = None
    cooler: tuple[float, float, float] | None = None
    per_money: tuple[float, float, float] | None = None
    pieces: int = 1


@dataclass(frozen=True)
class Value:
    """All candidates' worth, cheapest first; the currency; and what is lacking."""

    rows: tuple[Worth, ...]
    currency: str
    lacking: tuple[str, ...]


def value_of(v: StudyVerdict, bench: Bench | None, shelf: Sequence[Part]) -> Value | None:
    """Prices against readings; None without a comparison."""
    study = v.evidence.study
    found = v.temperature.comparison
    if found is None:
        return None
    parts = {c.name: c.part for c in study.live_candidates}
    currencies = {p.currency for p in parts.values() if p.price is not None}
    currency = next(iter(currencies)) if len(currencies) == 1 else ""
    lacking = [tr("{n} has no price", n=n) for n, p in parts.items() if p.price is None]
    if len(currencies) > 1:
        lacking.append(
            tr("prices are in {currencies}; give them in one currency", currencies=joined(sorted(currencies)))
        )
    rows = []
    unpriced: set[str] = set()
    for c in found.candidates:
        part = parts[c.name]
        whole, without = whole_price(study, c.name, bench, shelf, currency)
        unpriced |= set(without)
        candidate = next(one for one in study.live_candidates if one.name == c.name)
        pieces = max(1, len(own_places(study, candidate, bench)))
        price = part.price * pieces if part.price is not None and len(currencies) < 2 else None
        rows.append(
            Worth(name=c.name, price=price, whole_price=whole, mean=c.mean, low=c.low, high=c.high, pieces=pieces)
        )
    if unpriced:
        lacking.append(tr("whole-set prices lack {unpriced}", unpriced=", ".join(sorted(unpriced))))
    priced = [r for r in rows if r.price is not None]
    if len(priced) > 1:
        cheapest = min(priced, key=lambda r: (r.price or 0.0, r.mean))
        rows = [_against(r, cheapest, found) for r in rows]
    return Value(tuple(sorted(rows, key=lambda r: (r.price is None, r.price or 0.0))), currency, tuple(lacking))


def unbeaten(rows: Sequence[Worth]) -> list[Worth]:
    """Those with a price that none as cheap or cheaper beats by its mean, cheapest first."""
    best: list[Worth] = []
    for r in sorted((r for r in rows if r.price is not None), key=lambda r: (r.price or 0.0, r.mean)):
        if not best or r.mean < best[-1].mean:
            best.append(r)
    return best


def _against(row: Worth, cheapest: Worth, found: Comparison) -> Worth:
    if row.name == cheapest.name or row.price is None or cheapest.price is None:
        return row
    pair = next((p for p in found.pairs if {p.a, p.b} == {row.name, cheapest.name}), None)
    if pair is None:
        return row
    sign = -1.0 if pair.a == row.name else 1.0
    low, high = sorted((sign * pair.low, sign * pair.high))
    cooler = (low, sign * pair.difference, high)
    more = row.price - cheapest.price
    per = (low / more, cooler[1] / more, high / more) if more > 0 else None
    return replace(row, more_money=more, cooler=cooler, per_money=per)


def whole_price(
    study: Study, name: str, bench: Bench | None, shelf: Sequence[Part], currency: str
) -> tuple[float | None, list[str]]:
    """The price of the loop with a candidate in it, and which parts have none."""
    candidate = next(c for c in study.live_candidates if c.name == name)
    if bench is None or not bench.loop:
        return None, []
    chosen = [part for part, _ in built_loop(study, candidate, bench, shelf) if kind_of(part.kind).cools]
    without = list(dict.fromkeys(p.name for p in chosen if p.price is None or p.currency != currency))
    if without:
        return None, without
    # a tube is cut from one length; a radiator carries its number of fans
    once = list({p.id: p for p in chosen if p.kind == "tube"}.values()) + [p for p in chosen if p.kind != "tube"]
    fans = sum(int(p.fields.get("fan_count") or 1) for p in chosen if p.kind == "radiator") or 1
    return float(sum((p.price or 0.0) * (fans if p.kind == "fan" else 1) for p in once)), []


def worth_sentence(row: Worth, cheapest: str, currency: str, confidence: float) -> str:
    """What the extra money buys, never more than the interval says."""
    if row.more_money is None or row.cooler is None:
        return ""
    low, _, high = row.cooler
    digits = digits_for(high - low)
    if row.more_money <= 0:
        return tr("costs as much as {cheapest}", cheapest=cheapest)
    money = f"{number(row.more_money, 0)} {currency}".strip()
    if low > 0:
        dearest, best = row.more_money / low, row.more_money / high
        return tr(
            "{money} more than {cheapest} buy {low}: {best} a kelvin",
            money=money,
            cheapest=cheapest,
            low=span(low, high, "K", digits),
            best=span(best, dearest, currency, 0 if best >= 10 else 1),
        )
    if high < 0:
        return tr(
            "{money} more than {cheapest}, and {interval} warmer",
            money=money,
            cheapest=cheapest,
            interval=span(-high, -low, "K", digits),
        )
    return tr(
        "{money} more than {cheapest} buy nothing that was seen: at most {high} K",
        money=money,
        cheapest=cheapest,
        high=number(high, digits),
    )


def noticed(v: StudyVerdict) -> list[OutcomeResult]:
    """What a user would notice beside the temperature (clock, score, loudness, numbers told), where it was recorded."""
    found = [v.by(o.key) for o in v.possible_outcomes if o.noticed and o.key != v.outcome.key]
    return [r for r in found if r.comparison is not None and len({x.value for x in r.comparison.mounts}) > 1]
