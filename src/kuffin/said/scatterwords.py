"""What a study's scatter is made of, with its working."""

from __future__ import annotations

from dataclasses import replace

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import begun
from kuffin.core.base.worked import Worked, in_quadrature, worked
from kuffin.core.compare.pairwords import number
from kuffin.said.shownworking import Working
from kuffin.verdict.scatter import FITTED, LABELS, StudyScatter


def scatter_working(found: StudyScatter, unit: str) -> Working:
    """Each source's share of the whole scatter."""
    sources = sorted(found.scatter.sources, key=lambda s: -s.sd)
    terms = [
        Worked(name=begun(tr(LABELS[s.key])), symbol=f"s_{s.key}", value=s.sd, unit=unit, digits=3) for s in sources
    ]
    total = in_quadrature(tr("All together"), "s_all", terms, unit, source=tr(FITTED))
    out = Working(
        title=tr("What the scatter is made of"),
        answer=tr("± {value} {unit} all together", value=number(total.value, 2), unit=unit),
    )
    out.add(total)
    whole = replace(total, formula="", terms=(), source="")
    for t in terms:
        if total.value > 0:
            out.add(
                worked(
                    tr("Share of {name}", name=t.name.lower()),
                    f"h_{t.symbol[2:]}",
                    f"({t.symbol}/s_all)**2",
                    [t, whole],
                )
            )
    return out
