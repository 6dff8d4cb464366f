"""What a run tells from the inside, in words and workings."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from kuffin.core.base.extremes import Extremes
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import number, plain
from kuffin.core.base.uncertainty import Combined, Source
from kuffin.core.base.worked import Worked, in_quadrature, worked
from kuffin.core.heat.wholetrace import WholeTrace
from kuffin.reading.furtherfigures import Inside
from kuffin.said.shownworking import Working
from kuffin.verdict.budget import Budget

_FULL = {"coolant_over_air": "coolant over air", "die_over_coolant": "die over coolant"}


def balance_sentence(x: Inside) -> str:
    """Heat into the coolant beside the electrical power."""
    b = x.balance
    if b is None:
        return tr("Heat into the coolant is not known: {balance_problem}.", balance_problem=x.balance_problem)
    return tr(
        "Into the coolant by flow and probes: {heat_w} ± {heat_u95} W; electrical {power_w} "
        "W. The balance closes to {closure} ± {closure_u95} % ›",
        heat_w=number(b.heat_w, 0),
        heat_u95=number(b.heat_u95, 0),
        power_w=number(b.power_w, 0),
        closure=number(100 * b.closure, 0),
        closure_u95=number(100 * b.closure_u95, 0),
    )


def balance_working(x: Inside) -> Working:
    """How the heat balance came about."""
    b = x.balance
    out = Working(title=tr("Heat into the coolant"), answer=balance_sentence(x).removesuffix(" ›"))
    if b is None:
        return out
    out.add(b.heat, b.closure_worked)
    parts = ", ".join(f"{name} {number(100 * share, 0)} %" for name, share in b.shares)
    out.say(tr("Where its uncertainty comes from"), parts)
    out.say(
        tr("Instruments"),
        tr("as the bench says; where it says nothing, probes good to 0.1 K each, flow to 3 %, power to 2 %"),
    )
    return out


def whole_sentence(w: WholeTrace, power_w: float) -> str:
    """The whole-trace fit as a value."""
    return f"{number(w.resistance_k_w * power_w, 2)} ± {number(w.resistance_u95 * power_w, 2)} K"


def whole_working(key: str, w: WholeTrace, power_w: float) -> Working:
    """How the whole-trace fit came about."""
    begin, end = (s / 60 for s in w.span_s)
    out = Working(
        title=tr("Whole-trace fit: {FULL}", FULL=_FULL[key]),
        answer=tr(
            "{whole_sentence} at {power_w} W", whole_sentence=whole_sentence(w, power_w), power_w=number(power_w, 0)
        ),
    )
    out.add(w.at(power_w))
    if w.capacity is not None:
        out.add(w.capacity)
    out.say(
        tr("Stretch"),
        tr("{begin} to {end} min: from a minute after the load began", begin=number(begin, 1), end=number(end, 1)),
    )
    out.say(
        tr("What it leaves"),
        tr("{rms_k} K (root mean square of {size} boxes)", rms_k=number(w.rms_k, 3), size=w.residuals.size),
    )
    if w.bent:
        out.say(
            tr("Mind"),
            tr("what the fit leaves is bent: a second, slower part is warming, and R is off by about its share"),
        )
    out.say(tr("When to use it"), tr("where the room drifted, power moved, or the run was stopped early; else it should "
"agree with the window"))  # fmt: skip
    return out


def maximum_words(name: str, x: Extremes, unit: str) -> str:
    """Why a maximum is a poor thing to rank by, with this channel's figures."""
    return tr(
        "{name}: of {samples} samples with a scatter of {scatter} K the highest lies about "
        "{by_chance} K above the mean by chance alone, and {twice_as_long} K higher in a "
        "window twice as long. It grows with the length of the run, one spike decides it, "
        "and it cannot be averaged; rank by the mean.",
        name=name,
        samples=x.samples,
        scatter=number(x.scatter, 1),
        by_chance=number(x.by_chance, 1),
        twice_as_long=number(x.twice_as_long, 1),
    )


def budget_working(b: Budget, title: str) -> Working:
    """The budget as a working."""
    out = Working(
        title=title,
        answer=tr(
            "{value} ± {half_width} {unit}, instruments and window",
            value=number(b.value, 2),
            half_width=number(b.absolute.half_width, 2),
            unit=b.unit,
        ),
    )
    cancels = {
        "yes": tr("cancels in a comparison"),
        "scales": tr("goes with the difference"),
        "no": tr("counts on both sides"),
    }
    for source in b.sources:
        out.say(source.name, f"{source.note or tr('from the data')}; {cancels[source.cancels]}")
    said = tr("GUM (JCGM 100:2008), 5.2.2 and G.4.1; specifications as uniform distributions, 4.3.7")
    value = Worked(name=tr("Reading"), symbol="y", value=b.value, unit=b.unit)
    out.add(replace(value, half=_combined(b.sources, b.absolute, b.unit, said)))
    out.add(
        replace(
            _combined(b.compared, b.difference, b.unit, tr("for a difference as large as the margin")),
            name=tr("In a comparison"),
        )
    )
    out.say(tr("So"), b.advice)
    return out


def _combined(sources: Sequence[Source], combined: Combined, unit: str, said: str) -> Worked:
    """The half-width of a reading, from its sources."""
    parts = [
        Worked(name=s.name, symbol=f"u_{i}", value=s.contribution, unit=unit, digits=3)
        for i, s in enumerate(sources, 1)
    ]
    df = (
        ""
        if combined.df == float("inf")
        else tr("{df:.0f} degrees of freedom, by Welch and Satterthwaite", df=combined.df)
    )
    u = in_quadrature(tr("Combined"), "u", parts, unit, source=df)
    k = combined.half_width / combined.u if combined.u else 0.0
    cover = Worked(
        name=tr("Coverage factor"), symbol="k", value=k, digits=3, source=f"{plain(100 * combined.confidence)} %"
    )
    return worked(tr("Half-width"), "U95", "k*u", [cover, u], unit, digits=2, source=said)
