"""Looks and stopping: after which rounds the study is judged, and what the next round could still change."""

from __future__ import annotations

from PySide6.QtWidgets import QLineEdit

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import row
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.compare.looks import read_looks
from kuffin.notebook import planedits
from kuffin.notebook.entities import Study
from kuffin.said.roundwords import chance_working, look_working
from kuffin.verdict.looks import look_words, outlook
from kuffin.verdict.schoolflips import verdict_words

_PURPOSE = (
    "Rounds says whether it is enough, and what the next round could still change. It needs two candidates with mounts."
)
_USUAL = (
    "These are the plan's usual looks; write your own, such as “2, 4”. Whoever judges again and again and stops when it pleases "
    "finds differences that are not there: so each look is paid for, and rounds past the plan too."
)


class RoundsPage(RenewedPage):
    """It edits only the declared looks."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, _PURPOSE)
        self.enough = text(style="heading")
        self.looks = QLineEdit()
        self.looks.setMaximumWidth(160)
        self.looks.setPlaceholderText("such as 2, 4")
        self.looks.setAccessibleName("Looks: after which rounds the study is judged")
        self.looks.editingFinished.connect(self._looks_written)
        self.said = text()
        self.spent = FigureTable("Looks and what each costs")
        self.chances = FigureTable("What the next round could change")
        self._note = text(
            "Chances are drawn from what is known now: the scatter, the means, and one more mount of each candidate.",
            style="small",
        )
        self.column.addWidget(self.enough)
        self.column.addWidget(self.chances)
        self.column.addWidget(self._note)
        self.column.addWidget(row(text("judged after rounds", style="muted", wrap=False), self.looks, None))
        self.column.addWidget(self.said)
        self.column.addWidget(self.spent)

    def renew(self) -> None:
        verdict, study = self.state.verdict, self.state.study
        if verdict is None or study is None or verdict.main.comparison is None:
            self.show_purpose(_PURPOSE)
            return
        self.show_purpose("")
        found = verdict.main.comparison
        out = outlook(verdict)
        self.enough.setText("" if out is None else out.sentence.replace(" %", "\u00a0%"))
        rows, pairs = [], []
        if out is not None:
            for p in found.pairs:
                becomes = out.chances.becomes[(p.a, p.b)]
                likely = sorted(((s, v) for v, s in becomes.items() if v != p.verdict and s >= 0.01), reverse=True)
                then = ", ".join(f"{verdict_words(p.a, p.b, v)} {100 * s:.0f} %" for s, v in likely)
                chance = out.chances.changes[(p.a, p.b)]
                pairs.append(p)
                rows.append(
                    (
                        f"{p.a} − {p.b}",
                        verdict_words(p.a, p.b, p.verdict),
                        f"{100 * chance:.0f} %" if chance >= 0.01 else "under 1 %",
                        then or "–",
                    )
                )
            order = sorted(range(len(rows)), key=lambda i: -out.chances.changes[(pairs[i].a, pairs[i].b)])
            rows, pairs = [rows[i] for i in order], [pairs[i] for i in order]
        self.chances.show_rows(
            ("pair", "now", "chance of another verdict", "it would be"),
            rows,
            words=True,
            left={1},
            opens={2: lambda i: self.working.emit(chance_working(verdict, pairs[i], out))},
        )
        looks = verdict.looks
        assert looks is not None
        self.looks.setText(_written(study))
        self.looks.setPlaceholderText(", ".join(map(str, looks.declared)))
        self.said.setText(look_words(looks) + ("" if looks.by_person else f" {_USUAL}"))
        table = []
        for i, (n, confidence) in enumerate(looks.all):
            state = "had" if i + 1 < looks.had else "in use" if i + 1 == max(looks.had, 1) else "to come"
            past = ", past the plan" if n > looks.planned_rounds else ""
            table.append((f"after round {n}{past}", f"{100 * confidence:.2f} %", state))
        self.spent.show_rows(
            ("look", "confidence", ""), table, opens={1: lambda i: self.working.emit(look_working(looks, i))}
        )

    def _looks_written(self) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is None or notebook is None:
            return
        try:
            looks = read_looks(self.looks.text(), study.planned_rounds)
        except KuffinError as error:
            self.state.trouble.emit(str(error))
            self.looks.setText(_written(study))
            return
        if list(looks) != list(study.plan.get("looks") or ()):
            label = "declare the looks" if looks else "take the usual looks"
            self.state.attempt(planedits.set_plan, notebook, study.id, label, looks=list(looks) or None)


def _written(study: Study) -> str:
    """The looks as a person declared them; blank for the usual ones."""
    return ", ".join(str(n) for n in study.plan.get("looks") or ())
