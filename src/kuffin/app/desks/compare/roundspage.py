"""Looks and stopping: after which rounds the study is judged, and what the next round could still change."""

from __future__ import annotations

from PySide6.QtWidgets import QLineEdit

from kuffin.app.base.jobs import Task
from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import button, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import number
from kuffin.core.base.saying import say
from kuffin.core.compare.looks import read_looks
from kuffin.core.compare.pairwords import joined, several
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Study
from kuffin.said.roundwords import chance_working, look_working
from kuffin.said.whatnextwords import choice_working, proposal_words
from kuffin.verdict.looks import look_words, outlook
from kuffin.verdict.schoolflips import verdict_words
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.whatnext import WhatNext, margin_to_accept, round_slots

_PURPOSE = mark(
    "Rounds says whether it is enough, and what the next round could still change. It needs two candidates with mounts."
)
_USUAL = mark(
    "These are the plan's usual looks; write your own, such as “2, 4”. Whoever judges again and again and stops when it pleases "
    "finds differences that are not there: so each look is paid for, and rounds past the plan too."
)


class RoundsPage(RenewedPage):
    """It edits only the declared looks."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.enough = text(style="heading")
        self._next: WhatNext | None = None
        self.looks = QLineEdit()
        DigitWidths(self.looks, most=17.5)
        self.looks.setPlaceholderText(tr("such as 2, 4"))
        self.looks.setAccessibleName(tr("Looks: after which rounds the study is judged"))
        self.looks.editingFinished.connect(self._looks_written)
        self.said = text()
        self.spent = FigureTable(tr("Looks and what each costs"))
        self.chances = FigureTable(tr("What the next round could change"))
        self._note = text(
            tr(
                "Chances are drawn from what is known now: the scatter, the means, and one more "
                "mount of each candidate."
            ),
            style="small",
        )
        self.next_title = text(tr("What to mount next"), style="heading")
        self.next_said = text()
        self.choices = FigureTable(tr("What to mount next"))
        self.plan_it = button(
            tr("Plan this round"),
            self._plan_round,
            tr("What was planned and not begun goes to the bin; Ctrl+Z brings it back"),
        )
        self.accept = button("", self._accept)
        self.column.addWidget(self.enough)
        for widget in (self.next_title, self.next_said, self.choices):
            self.column.addWidget(widget)
        self.column.addWidget(row(self.plan_it, self.accept, None))
        self.column.addWidget(self.chances)
        self.column.addWidget(self._note)
        self.column.addWidget(row(text(tr("judged after rounds"), style="muted", wrap=False), self.looks, None))
        self.column.addWidget(self.said)
        self.column.addWidget(self.spent)

    def renew(self) -> None:
        verdict, study = self.state.verdict, self.state.study
        if verdict is None or study is None or verdict.main.comparison is None:
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        found = verdict.main.comparison
        out = outlook(verdict)
        self.enough.setText("" if out is None else out.sentence.replace(" %", "\u00a0%"))
        self._show_next(verdict)
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
                        f"{100 * chance:.0f} %" if chance >= 0.01 else tr("under 1 %"),
                        then or "–",
                    )
                )
            order = sorted(range(len(rows)), key=lambda i: -out.chances.changes[(pairs[i].a, pairs[i].b)])
            rows, pairs = [rows[i] for i in order], [pairs[i] for i in order]
        self.chances.show_rows(
            (tr("pair"), tr("now"), tr("chance of another verdict"), tr("it would be")),
            rows,
            words=True,
            left={1},
            opens={2: lambda i: self.working.emit(chance_working(verdict, pairs[i], out))},
        )
        looks = verdict.looks
        assert looks is not None
        self.looks.setText(_written(study))
        self.looks.setPlaceholderText(", ".join(map(str, looks.declared)))
        self.said.setText(look_words(looks) + ("" if looks.by_person else f" {tr(_USUAL)}"))
        table = []
        for i, (n, confidence) in enumerate(looks.all):
            state = tr("had") if i + 1 < looks.had else tr("in use") if i + 1 == max(looks.had, 1) else tr("to come")
            past = tr(", past the plan") if n > looks.planned_rounds else ""
            table.append((tr("after round {n}{past}", n=n, past=past), f"{number(100 * confidence, 2)} %", state))
        self.spent.show_rows(
            (tr("look"), tr("confidence"), ""), table, opens={1: lambda i: self.working.emit(look_working(looks, i))}
        )

    def _show_next(self, verdict: StudyVerdict) -> None:
        """What is proposed, and what else could be mounted; it is drawn off the window's thread."""

        def work(_job: Task) -> WhatNext | None:
            return verdict.next_mounts

        def done(told: object) -> None:
            if self.state.verdict is verdict:
                self._show_choices(verdict, told if isinstance(told, WhatNext) else None)

        if self._next is None:
            self._show_choices(verdict, None)
        self.state.jobs.start(tr("weighing what to mount next"), work, done, self.state.trouble.emit)

    def _show_choices(self, verdict: StudyVerdict, told: WhatNext | None) -> None:
        self._next = told
        for widget in (self.next_title, self.next_said, self.choices):
            widget.setVisible(told is not None)
        self.plan_it.setVisible(told is not None and not told.hardly)
        self.accept.setVisible(told is not None and told.hardly and verdict.outcome.temperature)
        if told is None:
            return
        self.next_said.setText(proposal_words(verdict, told))
        self.accept.setText(
            tr("Accept {margin_to_accept:g} K as what matters", margin_to_accept=margin_to_accept(told.near))
        )
        rows = [
            (
                joined(list(c.names)),
                several(c.rounds, "round"),
                f"{number(c.hours, 0)} h",
                f"{100 * c.chance:.0f} %",
                f"{number(c.hours_for_answer, 0)} h" if c.chance else "–",
            )
            for c in told.choices
        ]
        self.choices.show_rows(
            (tr("mounted again"), tr("for"), tr("takes"), tr("tells which is best"), tr("an answer takes")),
            rows,
            left={1},
            opens={3: lambda i: self.working.emit(choice_working(verdict, told, told.choices[i]))},
        )

    def _plan_round(self) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is not None and notebook is not None and self._next is not None:
            names = self._next.choices[0].names
            label = say("plan {names} next", names=joined(list(names)))
            self.state.attempt(planedits.plan_round, notebook, study.id, round_slots(study, names), label)

    def _accept(self) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is not None and notebook is not None and self._next is not None:
            margin = margin_to_accept(self._next.near)
            label = say("accept {margin:g} K as what matters", margin=margin)
            self.state.attempt(edits.change_study, notebook, study.id, label, margin_k=margin)

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
            label = say("declare the looks") if looks else say("take the usual looks")
            self.state.attempt(planedits.set_plan, notebook, study.id, label, looks=list(looks) or None)


def _written(study: Study) -> str:
    """The looks as a person declared them; blank for the usual ones."""
    return ", ".join(str(n) for n in study.plan.get("looks") or ())
