"""What makers claim, against the intervals that were measured."""

from __future__ import annotations

from dataclasses import replace
from functools import partial

from PySide6.QtWidgets import QVBoxLayout

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.intervallines import IntervalLines
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.said.intervalline import claim_line
from kuffin.said.working import candidate_working, fact_working, pair_working
from kuffin.verdict.claims import JudgedClaim, claim_sentences
from kuffin.verdict.grid import claims_by_condition
from kuffin.verdict.study import StudyVerdict

_PURPOSE = mark(
    "Claims holds what makers say against what was measured: refuted, borne out, or open. This study has no claim yet; "
    "add one on the Plan desk's question page, or write it on a part's page on the Shelf."
)


class ClaimsPage(RenewedPage):
    """A line for each claim; the shaded side is where the claim would be true."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.claims: list[JudgedClaim] = []
        self.lines = IntervalLines(theme, tr("Claims against what was measured"), zero=tr("no difference"))
        self.lines.chosen.connect(partial(self._explain_in, 0))
        self.further: list[IntervalLines] = []
        self._rows: list[list[int]] = [[]]
        self.said = text()
        self.conditions = FigureTable(tr("Conditions of claims and tests"))
        self.column.addWidget(
            text(tr("better than the other: measured interval, and from where the claim would hold"), style="small")
        )
        self._pictures = QVBoxLayout()
        self._pictures.addWidget(self.lines)
        self.column.addLayout(self._pictures)
        self.column.addWidget(self.said)
        self.column.addWidget(self.conditions)
        self._under_title = text(tr("Under each condition"), style="heading")
        self.under = IntervalLines(theme, tr("Claims under each condition"), zero=tr("no difference"))
        self.column.addWidget(self._under_title)
        self.column.addWidget(self.under)

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        for picture in (self.lines, self.under, *self.further):
            picture.set_theme(theme)

    def renew(self) -> None:
        verdict, study = self.state.verdict, self.state.study
        if verdict is None or study is None or not study.live_claims:
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        self.claims = list(verdict.claims)
        self._show_pictures()
        self.said.setText("\n\n".join(claim_sentences(verdict, j) for j in self.claims))
        rows = [(j.gist, j.made, j.tested) for j in self.claims]
        self.conditions.show_rows((tr("claim"), tr("made"), tr("tested at")), rows, words=True, left={1})
        many = len(verdict.conditions) > 1
        self._under_title.setVisible(many)
        self.under.setVisible(many)
        self.under.show_lines([])
        if many:
            self.state.jobs.start(
                tr("judging the claims under each condition"),
                lambda _job: (verdict, claims_by_condition(verdict)),
                self._show_under,
                self.state.trouble.emit,
            )

    def _show_pictures(self) -> None:
        """A picture for each unit that is claimed in: kelvins and litres an hour have no axis in common."""
        by_unit: dict[str, list[int]] = {}
        for i, j in enumerate(self.claims):
            by_unit.setdefault(j.unit, []).append(i)
        groups = list(by_unit.items())
        while len(self._rows) < len(groups):
            more = IntervalLines(self.theme, tr("Claims in another unit"), zero=tr("no difference"))
            more.chosen.connect(partial(self._explain_in, len(self._rows)))
            self._pictures.addWidget(more)
            self.further.append(more)
            self._rows.append([])
        for n, picture in enumerate((self.lines, *self.further)):
            unit, self._rows[n] = groups[n] if n < len(groups) else ("", [])
            of_values = any(not self.claims[i].against for i in self._rows[n])
            picture.show_lines(
                [claim_line(self.claims[i], self.state.position(self.claims[i].candidate)) for i in self._rows[n]],
                unit,
                differences=not of_values,
            )
            picture.setVisible(bool(self._rows[n]))

    def _explain_in(self, picture: int, row: int) -> None:
        self._explain(self._rows[picture][row])

    def _show_under(self, told: tuple[StudyVerdict, list[tuple[str, list[JudgedClaim]]]]) -> None:
        verdict, found = told
        if verdict is not self.state.verdict:
            return
        lines = [
            replace(claim_line(j, self.state.position(j.candidate)), label=f"{j.candidate} over {j.against}, {label}")
            for label, claims in found
            for j in claims
            if j.against and j.unit == self.claims[0].unit
        ]
        self.under.show_lines(lines, self.claims[0].unit)

    def _explain(self, row: int) -> None:
        j, verdict = self.claims[row], self.state.verdict
        if verdict is not None and j.found is not None:
            if j.outcome.fact:
                self.working.emit(fact_working(verdict, j.outcome, j.candidate, j.against, j.amount))
                return
            under = verdict.schools.get(j.outcome.key) or verdict.by(j.outcome.key)
            if j.against:
                self.working.emit(pair_working(verdict, under, j.candidate, j.against))
            else:
                self.working.emit(candidate_working(verdict, under, j.candidate))
