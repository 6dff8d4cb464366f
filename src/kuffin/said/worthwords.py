"""What a difference is worth, and what a user would notice, with their working."""

from __future__ import annotations

from kuffin.core.base.language import tr
from kuffin.core.base.leads import ToPair
from kuffin.core.base.worked import Worked, worked
from kuffin.core.compare.worked import apart, candidate_mean
from kuffin.said.shownworking import Working
from kuffin.verdict.outcomes import OutcomeResult
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.value import Worth


def worth_working(v: StudyVerdict, row: Worth, cheapest: Worth, currency: str) -> Working:
    """A candidate's reading, and what its price over the cheapest buys."""
    found = v.temperature.comparison
    assert found is not None
    unit = v.school.unit
    mean = candidate_mean(found, row.name, unit, v.temperature.worked_by_mount())
    out = Working.of(tr("{name}: price and reading", name=row.name), mean)
    if row.price is None or cheapest.price is None or row.cooler is None:
        return out
    prices = [
        Worked(name=tr("Price of {name}", name=name), symbol=symbol, value=price, unit=currency, digits=0, source=tr("the part’s, on the Shelf"))
        for name, symbol, price in ((row.name, "p", row.price), (cheapest.name, "p_0", cheapest.price))
    ]  # fmt: skip
    more = worked(tr("Dearer by"), "M", "p - p_0", prices, currency, digits=0)
    low, middle, high = row.cooler
    cooler = Worked(
        name=tr("Cooler than {name} by", name=cheapest.name),
        symbol="d",
        value=middle,
        unit=apart(unit),
        half=Worked(name=tr("Half-width"), symbol="U", value=(high - low) / 2, unit=apart(unit), source=tr("over all pairs together")),
        leads=ToPair(row.name, cheapest.name),
    )  # fmt: skip
    out.add(more)
    if low > 0 and more.value > 0:
        out.add(worked(tr("What a kelvin costs"), "k", "M/d", [more, cooler], f"{currency} a K", digits=1))
        ends = [Worked(name=tr("{which} end of the interval", which=which), symbol=s, value=x, unit=apart(unit)) for which, s, x in (("lower", "d_1", low), ("upper", "d_2", high))]  # fmt: skip
        out.add(*(worked(tr("With the {name}", name=end.name), "k", f"M/{end.symbol}", [more, end], f"{currency} a K", digits=1) for end in ends))  # fmt: skip
    else:
        out.add(cooler)
    return out


def noticed_working(n: OutcomeResult) -> Working:
    """The means of something a user would notice."""
    label, unit = n.outcome.label, n.outcome.unit
    told = tr("means over the mounts, {unit}", unit=unit).rstrip(", ")
    out = Working(title=label[:1].upper() + label[1:], answer=told)
    found = n.comparison
    for c in found.candidates if found is not None else ():
        assert found is not None
        out.add(candidate_mean(found, c.name, unit, n.worked_by_mount(), digits=1))
    return out
