"""Does it fit: each candidate with what it would be built together with."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.base.language import mark, tr, written
from kuffin.core.base.numbers import begun
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.prepare.clearance import CONFLICT, FITS, TIGHT, UNKNOWN, Built, Fit
from kuffin.core.prepare.matching import all_fits
from kuffin.notebook.entities import Bench, Candidate, Part, Study
from kuffin.reading.configurations import parts_of

_CELL = {CONFLICT: mark("does not fit"), TIGHT: mark("tight"), UNKNOWN: mark("not known"), FITS: mark("fits")}


@dataclass(frozen=True)
class CandidateFit:
    """A candidate with all that can be said of how it fits, the worst first."""

    name: str
    fits: tuple[Fit, ...]

    def of(self, key: str) -> Fit | None:
        """One of them; None where that cannot be asked of it."""
        return next((f for f in self.fits if f.key == key), None)

    @property
    def told(self) -> tuple[str, ...]:
        """What does not fit, or is not known, each a sentence."""
        out = []
        for f in self.fits:
            if f.state == FITS:
                continue
            mended = f". {begun('; '.join(f.mends))}" if f.mends else ""
            out.append(f"{self.name}, {f.label}: {f.sentence}{mended}.")
        return tuple(out)


def candidate_fits(study: Study, bench: Bench | None, shelf: Sequence[Part]) -> list[CandidateFit]:
    """How each candidate fits."""
    offered, keep = [_built(p) for p in shelf], kind_under_test(study.under_test).slot

    def one(c: Candidate) -> CandidateFit:
        built = {s: _built(p) for s, p in parts_of(study, c, bench, shelf).items()}
        return CandidateFit(c.name, tuple(all_fits(built, offered, keep)))

    return [one(c) for c in study.live_candidates]


def unlike_and_alike(found: Sequence[CandidateFit]) -> tuple[dict[str, str], list[str]]:
    """What is not the same for all candidates, by key with its label; and what is, each in words."""
    labels = {f.key: f.label for c in found for f in c.fits}
    unlike, alike = {}, []
    for key, label in labels.items():
        said = {cell_words(c.of(key)) for c in found}
        if len(said) > 1:
            unlike[key] = label
        else:
            alike.append(f"{label}: {said.pop()}")
    return unlike, alike


def cell_words(fit: Fit | None) -> str:
    """One of them in a table: ``fits, 3 mm to spare``."""
    if fit is None:
        return "–"
    state = tr(_CELL[fit.state])
    if fit.spare is None:
        return state
    if fit.spare < 0:
        return tr("{state}, {over:.3g} {unit} too much", state=state, over=-fit.spare, unit=fit.unit)
    sure = written(f" ± {fit.worst:.2g}") if fit.worst else ""
    return tr("{state}, {spare:.3g}{sure} {unit} to spare", state=state, spare=fit.spare, sure=sure, unit=fit.unit)


def _built(part: Part) -> Built:
    return Built(part.name, part.kind, part.fields)
