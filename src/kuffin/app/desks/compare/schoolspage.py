"""The same study under each school: the order side by side, and where a verdict flips and why."""

from __future__ import annotations

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.rankings import Rankings
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.saying import say
from kuffin.notebook import edits
from kuffin.verdict.schoolflips import side_by_side, summary

_PURPOSE = mark(
    "Schools shows what other ways of taking out room, power and flow would have said of the same mounts. It needs two "
    "candidates with a mount each."
)


class SchoolsPage(RenewedPage):
    """A school is taken into use by clicking its column."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.said = text()
        self.rankings = Rankings(theme)
        self.rankings.chosen.connect(self._choose)
        self.flips = FigureTable(tr("Pairs that another school judges otherwise"))
        self._hint = text(tr("Click a school to judge the study by it; undo takes it back."), style="small")
        for widget in (self.said, self.rankings, self._hint, self.flips):
            self.column.addWidget(widget)

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.rankings.set_theme(theme)

    def renew(self) -> None:
        verdict = self.state.verdict
        rows = side_by_side(verdict) if verdict is not None else []
        if verdict is None or len(verdict.temperature.ranking()) < 2:
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        self.said.setText(summary(verdict, rows))
        self.rankings.show_rows(rows, verdict.candidates)
        told = [
            (f"{f.pair[0]} − {f.pair[1]}", f.here, f.there, tr(r.school.label), f.why)
            for r in rows
            if not r.school.rebased
            for f in r.flips
        ]
        self.flips.setVisible(bool(told))
        self.flips.show_rows(
            (tr("pair"), tr("in use"), tr("other school"), tr("which"), tr("what makes the difference")),
            told,
            words=True,
            left={1, 2, 3},
        )

    def _choose(self, key: str) -> None:
        study, notebook, verdict = self.state.study, self.state.notebook, self.state.verdict
        if study is not None and notebook is not None and verdict is not None and key != verdict.school.key:
            self.state.attempt(edits.change_study, notebook, study.id, say("choose another school"), school=key)
