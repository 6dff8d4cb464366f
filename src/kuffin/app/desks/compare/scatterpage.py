"""What the scatter is made of, what the next mount or sample buys, and what a verdict is about."""

from __future__ import annotations

from PySide6.QtCore import Qt

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import choice, flowing, row
from kuffin.app.widgets.scatterbars import ScatterBars
from kuffin.app.widgets.texts import link_button, text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.saying import say
from kuffin.core.compare.pairwords import digits_for, number
from kuffin.notebook import planedits
from kuffin.notebook.shelf import bench_of
from kuffin.said.narrowingwords import purchase_row, purchase_working, spending_words
from kuffin.said.scatterwords import scatter_working
from kuffin.said.shownworking import Working
from kuffin.verdict.narrowing import spending_of
from kuffin.verdict.scatter import StudyScatter, buys_words, scatter_of
from kuffin.verdict.study import StudyVerdict

_PURPOSE = mark(
    "Scatter splits what mounts of one candidate differ by into its sources. It needs a second mount of one candidate."
)


class ScatterPage(RenewedPage):
    """It edits only the verdict's scope and how spreads are taken."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.bars = ScatterBars(theme)
        self.bars.opened.connect(self._explain)
        self._found: tuple[StudyScatter, str] | None = None
        self.said = text()
        self._silent = text(style="small")
        self.scope = choice(
            (
                (tr("as the samples allow"), None),
                (tr("about these samples"), "samples"),
                (tr("about the products"), "products"),
            ),
            tr("What the verdict is about"),
        )
        self.scope.activated.connect(self._scope_chosen)
        self._scope_said = text(style="muted")
        self.spread = choice(
            (
                (tr("each its own, moderated"), None),
                (tr("one for all"), "pooled"),
                (tr("each candidate its own"), "separate"),
            ),
            tr("Spread of the mounts"),
        )
        self.spread.activated.connect(self._spread_chosen)
        self.samples = FigureTable(tr("Samples"))
        self.spend_title = text(tr("What to spend on"), style="heading")
        self.spend_said = text()
        self.spend = FigureTable(tr("What to spend on"))
        self.column.addWidget(
            text(
                tr("standard deviation of each source, all candidates together, under the school in use"), style="small"
            )
        )
        self.column.addWidget(self.bars)
        self._shares = link_button(tr("how it was split ›"), tr("What the scatter is made of; show its working"))
        self._shares.setProperty("working", "true")
        self._shares.clicked.connect(self._explain)
        self.column.addWidget(self._shares, 0, Qt.AlignmentFlag.AlignLeft)
        self.column.addWidget(self._silent)
        self.column.addWidget(self.said)
        self.column.addWidget(
            flowing(
                row(text(tr("the verdict is"), style="muted", wrap=False), self.scope),
                row(text(tr("spread of the mounts"), style="muted", wrap=False), self.spread),
            )
        )
        self.column.addWidget(self._scope_said)
        self.column.addWidget(self.samples)
        for widget in (self.spend_title, self.spend_said, self.spend):
            self.column.addWidget(widget)

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.bars.set_theme(theme)

    def renew(self) -> None:
        verdict, study = self.state.verdict, self.state.study
        found = scatter_of(verdict) if verdict is not None else None
        if found is None or verdict is None or study is None:
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        unit = verdict.outcome.difference_unit
        self._found = found, unit
        self.bars.show_bars(found.bars(unit), unit)
        self._silent.setText(
            tr("Not to be seen apart here: ") + "; ".join(found.scatter.silent) + "." if found.scatter.silent else ""
        )
        self._silent.setVisible(bool(found.scatter.silent))
        self.said.setText(buys_words(found, unit))
        self.scope.setCurrentIndex(max(0, self.scope.findData(study.plan.get("scope"))))
        self.spread.setCurrentIndex(max(0, self.spread.findData(study.plan.get("spread"))))
        words = verdict.main.scope_words
        warnings = verdict.main.comparison.warnings if verdict.main.comparison is not None else ()
        self._scope_said.setText(
            ". ".join([f"{words[:1].upper()}{words[1:]}", *(w[:1].upper() + w[1:] for w in warnings)]) + "."
        )
        rows = []
        for s in found.samples:
            half = s.mean.u95
            digits = digits_for(half or 1.0)
            plus = "" if half is None else f" ± {number(half, digits)}"
            rows.append(
                (
                    s.candidate,
                    tr("sample {label}", label=s.label),
                    str(s.mounts),
                    f"{number(s.mean.value, digits)}{plus} {unit}",
                )
            )
        lines = found.samples
        self.samples.show_rows(
            (tr("candidate"), tr("sample"), tr("mounts"), tr("mean of its mounts")),
            rows,
            opens={
                3: lambda i: self.working.emit(
                    Working.of(
                        tr("{candidate}, sample {label}", candidate=lines[i].candidate, label=lines[i].label),
                        lines[i].mean,
                    )
                )
            },
        )

        self._show_spending(verdict, found, unit)

    def _show_spending(self, verdict: StudyVerdict, found: StudyScatter, unit: str) -> None:
        study, notebook = self.state.study, self.state.notebook
        bench = None if study is None or notebook is None else bench_of(notebook, study.bench_id)
        told = spending_of(verdict, found, bench)
        for widget in (self.spend_title, self.spend_said, self.spend):
            widget.setVisible(told is not None)
        if told is not None:
            self.spend_said.setText(spending_words(told, unit))
            self.spend.show_rows(
                (tr("spent on"), tr("on the bench"), tr("interval then"), ""),
                [purchase_row(p, unit) for p in told.purchases],
                words=True,
                opens={2: lambda i: self.working.emit(purchase_working(told, told.purchases[i], unit))},
            )

    def _explain(self) -> None:
        if self._found is not None:
            self.working.emit(scatter_working(*self._found))

    def _scope_chosen(self) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is not None and notebook is not None:
            chosen = self.scope.currentData()
            self.state.attempt(
                planedits.set_plan, notebook, study.id, say("change what the verdict is about"), scope=chosen
            )

    def _spread_chosen(self) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is not None and notebook is not None:
            chosen = self.spread.currentData()
            self.state.attempt(
                planedits.set_plan, notebook, study.id, say("change how spreads are taken"), spread=chosen
            )
