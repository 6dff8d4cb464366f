"""The claims that a study tests: who says what of which candidate, and how that stands."""

from __future__ import annotations

from collections.abc import Callable
from typing import TYPE_CHECKING

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.forms import WritingTable
from kuffin.core.base.language import mark, tr
from kuffin.core.base.saying import say
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare.claims import Claimed, guess_claim
from kuffin.core.compare.pairwords import digits_for, span
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Claim
from kuffin.notebook.store import Notebook
from kuffin.reading.evaluating import school_of
from kuffin.verdict.chosenoutcomes import outcome_named
from kuffin.verdict.partfacts import fact_named, fact_outcomes

if TYPE_CHECKING:
    from kuffin.app.desks.plan.question import QuestionPage

ITSELF = mark("(its own value)")
TEMPERATURE = mark("temperature")
_HEAD = (
    mark("candidate"),
    mark("claimed"),
    mark("in"),
    mark("better than"),
    mark("who says so"),
    mark("where, at what"),
    mark("so far"),
)
_CANDIDATE, _AMOUNT, _OUTCOME, _AGAINST, _BY, _WHERE, _SO_FAR = range(7)


@guarded
class ClaimsTable(WritingTable):
    """One row a claim; every cell but the last can be written into."""

    def __init__(self, page: QuestionPage) -> None:
        super().__init__([tr(h) for h in _HEAD], tr("Claims"), self._options, stretch=_WHERE)
        self._page = page
        self.written.connect(self._take)

    def renew(self) -> None:
        """Show the study's claims as they are now."""
        study = self._page.state.study
        claims = [] if study is None else study.live_claims
        self.fill([self._row(c) for c in claims], fixed=(_SO_FAR,), data=[c.id for c in claims])
        self.fit(5)
        self.setVisible(bool(claims))

    def _outcome(self, claim: Claim) -> Outcome:
        study, verdict = self._page.state.study, self._page.state.verdict
        assert study is not None
        named = outcome_named(verdict.evidence, claim.outcome) if claim.outcome and verdict is not None else None
        return fact_named(study, claim.outcome) or named or school_of(study)

    def _names(self) -> dict[str, int]:
        study = self._page.state.study
        return {} if study is None else {c.name: c.id for c in study.live_candidates}

    def _row(self, claim: Claim) -> list[str]:
        by_id = {i: n for n, i in self._names().items()}
        outcome = self._outcome(claim)
        unit = outcome.difference_unit if claim.against_id is not None else outcome.unit
        amount = Claimed(way=claim.way, low=claim.amount, high=claim.high, percent=claim.percent)
        return [
            by_id.get(claim.candidate_id, "(taken out)"),
            amount.written(unit),
            tr(outcome.label) if claim.outcome else tr(TEMPERATURE),
            tr(ITSELF) if claim.against_id is None else by_id.get(claim.against_id, "(taken out)"),
            claim.said_by,
            claim.said_where,
            self._so_far(claim),
        ]

    def _so_far(self, claim: Claim) -> str:
        verdict = self._page.state.verdict
        judged = next((j for j in verdict.claims if j.claim_id == claim.id), None) if verdict is not None else None
        if judged is None or judged.found is None:
            return tr("not measured yet")
        low, _, high = judged.found
        return tr(
            "{judged} ({low} measured)", judged=judged.judged, low=span(low, high, judged.unit, digits_for(high - low))
        )

    def _possible(self) -> dict[str, str]:
        """The outcomes that a claim can be about: label to key."""
        verdict = self._page.state.verdict
        others = [] if verdict is None else [o for o in verdict.possible_outcomes if o.key != verdict.school.key]
        study = self._page.state.study
        facts = [] if study is None else fact_outcomes(study)
        return {tr(TEMPERATURE): "", **{tr(o.label): o.key for o in (*others, *facts)}}

    def _options(self, _row: int, column: int) -> list[str] | None:
        choices = {
            _CANDIDATE: list(self._names()),
            _AGAINST: [*self._names(), tr(ITSELF)],
            _OUTCOME: list(self._possible()),
        }
        return choices.get(column)

    def _take(self, at: int, column: int, written: str) -> None:
        claim_id, study = self.data_of(at), self._page.state.study
        claim = next((c for c in study.live_claims if c.id == claim_id), None) if study is not None else None
        if claim is not None:
            outcome = self._outcome(claim)
            unit = outcome.difference_unit if claim.against_id is not None else outcome.unit
            self._page.edit(self._change, claim, column, written, unit)
        self._page.show_now()

    def _change(self, notebook: Notebook, claim: Claim, column: int, written: str, unit: str) -> None:
        names = self._names()
        changes: dict[int, Callable[[], dict[str, object]]] = {
            _CANDIDATE: lambda: {"candidate_id": names[written]},
            _AMOUNT: lambda: planedits.amount_of(written, unit),
            _OUTCOME: lambda: {"outcome": self._possible()[written]},
            _AGAINST: lambda: {"against_id": None if written == tr(ITSELF) else names[written]},
            _BY: lambda: {"said_by": written.strip()},
            _WHERE: lambda: {"said_where": written.strip()},
        }
        planedits.change_claim(notebook, claim.id, **changes[column]())

    def add(self) -> None:
        """Take a claim in: that of a part on the shelf, where one is written down there and not tested yet."""
        state = self._page.state
        study = state.study
        if study is None:
            return
        if len(study.live_candidates) < 2:
            state.trouble.emit(tr("a claim compares two candidates; add another one first"))
            return
        claimed = {c.candidate_id for c in study.live_claims}
        mine = next((c for c in study.live_candidates if c.part.claim and c.id not in claimed), None)
        if mine is None:
            a, b = study.live_candidates[:2]
            self._page.edit(planedits.add_claim, study.id, a.id, b.id, Claimed(low=study.margin_k))
            return
        others = [c for c in study.live_candidates if c.id != mine.id]
        amount, name = guess_claim(mine.part.claim, [c.name for c in others])
        usual = next((c for c in others if c.id in {study.reference_id, study.baseline_id}), others[0])
        against = next((c for c in others if c.name == name), usual)
        where = ", ".join(w for w in (f"“{mine.part.claim}”", mine.part.claim_where) if w)
        amount = amount or Claimed(low=study.margin_k)
        self._page.edit(planedits.add_claim, study.id, mine.id, against.id, amount, mine.part.maker, where)

    def remove(self) -> None:
        """Put the chosen claim into the bin."""
        claim_id = self.data_of(self.currentRow()) if self.currentRow() >= 0 else None
        if isinstance(claim_id, int):
            self._page.edit(edits.to_bin, Claim, claim_id, say("a claim"))
        else:
            self._page.state.trouble.emit(tr("choose a claim in the table first"))
