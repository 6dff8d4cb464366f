"""What a part has whatever is measured of it, as its shelf tells: price and weight. Claims can be about these too."""

from __future__ import annotations

from dataclasses import replace
from typing import TYPE_CHECKING

from kuffin.core.base.language import tr
from kuffin.core.base.worked import Worked, worked
from kuffin.core.bench.outcomes import FACTS, Outcome
from kuffin.notebook.entities import Part, Study

if TYPE_CHECKING:
    from kuffin.core.compare.claims import Claimed

_SCALE_G = 0.5  # half of the gram that a weight is written in


def fact_outcomes(study: Study) -> list[Outcome]:
    """The facts that some candidate's part has; a price in the currency that its first part is priced in."""
    parts = [c.part for c in study.live_candidates]
    currency = next((p.currency for p in parts if p.price is not None and p.currency), "")
    told = [o for o in FACTS.values() if any(_value(p, o) is not None for p in parts)]
    return [o if o.unit else replace(o, unit=currency) for o in told]


def fact_named(study: Study, key: str) -> Outcome | None:
    """The fact of a key; None where it is none."""
    return next((o for o in fact_outcomes(study) if o.key == key), FACTS.get(key))


def fact_of(study: Study, fact: Outcome, a: str, b: str, amount: Claimed) -> Worked | str:
    """By how much one part is better than another by a fact, or its own value where there is no other; or why that is not known.

    Parameters
    ----------
    a, b : str
        Candidates; `b` blank for the value itself.
    """
    parts = {c.name: c.part for c in study.live_candidates}
    told = []
    for name in (a, b) if b else (a,):
        value = _value(parts[name], fact)
        if value is None:
            return tr("{name} has no {label} on the shelf; fill it in there", name=name, label=fact.label)
        told.append(value)
    currencies = {parts[n].currency for n in ((a, b) if b else (a,))}
    if fact.key == "price" and len(currencies) > 1:
        return tr("{a} and {b} are priced in different currencies; give both in one", a=a, b=b)
    terms = [
        Worked(
            name=tr("{capitalize} of {name}", capitalize=fact.label.capitalize(), name=name),
            symbol=s,
            value=x,
            unit=fact.unit,
            source=tr("from the shelf"),
        )
        for name, s, x in zip((a, b), ("a", "b"), told, strict=False)
    ]
    unsure = _SCALE_G * (2 if b else 1) if fact.key == "weight" else 0.0
    half = Worked(
        name=tr("Half-width"), symbol="U", value=unsure, unit=fact.unit, source=tr("the last digit of what was weighed")
    )
    if not b:
        return replace(terms[0], half=half) if unsure else terms[0]
    if amount.percent:
        if not told[1] > 0:
            return tr("{b}'s {label} is not above 0, so that there is no share of it", b=b, label=fact.label)
        half = replace(half, value=100 * unsure / told[1], unit="%")
        formula, unit = ("100*(a/b - 1)" if fact.higher_is_better else "100*(1 - a/b)"), "%"
    else:
        formula, unit = ("a - b" if fact.higher_is_better else "b - a"), fact.unit
    return worked(fact.wording.better.capitalize(), "d", formula, terms, unit, half=half if unsure else None)


def _value(part: Part, fact: Outcome) -> float | None:
    told = part.price if fact.key == "price" else part.fields.get(fact.fact)
    return float(told) if isinstance(told, (int, float)) else None
