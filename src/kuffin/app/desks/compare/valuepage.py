"""What a difference is worth: price against temperature, and what a user would notice."""

from __future__ import annotations

from kuffin.app.desks.compare.handsection import HandSection
from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import text
from kuffin.app.widgets.worthplot import WorthPlot
from kuffin.core.base.language import mark, tr
from kuffin.core.compare.pairwords import digits_for, number, pair_said
from kuffin.notebook.shelf import bench_of, parts
from kuffin.said.soundwords import heard_words
from kuffin.said.worthwords import noticed_working, worth_working
from kuffin.verdict.tonesheard import tones_of
from kuffin.verdict.value import Value, noticed, value_of, worth_sentence

_PURPOSE = mark(
    "Value sets price against temperature. It needs a comparison, and prices on the parts' pages on the Shelf."
)


class ValuePage(RenewedPage):
    """Only a reviewer's marks are edited here; prices are the parts'."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.plot = WorthPlot(theme)
        self.plot.chosen.connect(self._explain)
        self._found: tuple[Value, str] | None = None
        self.table = FigureTable(tr("Price and temperature"))
        self.lacking = text(style="muted")
        self._noticed_title = text(tr("What a user would notice"), style="heading")
        self.noticed = FigureTable(tr("What a user would notice"))
        self._note = text(
            tr(
                "Clock, score, loudness: means over the mounts under the same load, with the plain interval; “told apart” as in every "
                "comparison here."
            ),
            style="small",
        )
        self._tones_title = text(tr("Tones that are heard"), style="heading")
        self.tones = FigureTable(tr("Tones that are heard"))
        self._priced = (
            self.plot,
            self.table,
            self.lacking,
            self._noticed_title,
            self.noticed,
            self._note,
            self._tones_title,
            self.tones,
        )
        self.hand = HandSection(state)
        for widget in (*self._priced, self.hand):
            self.column.addWidget(widget)

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.plot.set_theme(theme)

    def _explain(self, name: str) -> None:
        verdict = self.state.verdict
        if verdict is not None and self._found is not None:
            found, cheapest = self._found
            rows = {r.name: r for r in found.rows}
            self.working.emit(worth_working(verdict, rows[name], rows.get(cheapest, rows[name]), found.currency))

    def renew(self) -> None:
        verdict, study, notebook = self.state.verdict, self.state.study, self.state.notebook
        if verdict is None or study is None or notebook is None:
            self.show_purpose(tr(_PURPOSE))
            return
        found = value_of(verdict, bench_of(notebook, study.bench_id), parts(notebook))
        self.show_purpose("")
        self.hand.renew()
        if found is None:
            for widget in self._priced:
                widget.setVisible(widget is self.lacking)
            self.lacking.setText(tr(_PURPOSE))
            return
        self.plot.setVisible(True)
        self.table.setVisible(True)
        unit, money = verdict.school.unit, found.currency
        self.plot.show_worth(found.rows, verdict.candidates, money, unit)
        priced = [r for r in found.rows if r.price is not None]
        cheapest = min(priced, key=lambda r: (r.price or 0.0, r.mean)).name if priced else ""
        whole = any(r.whole_price is not None for r in found.rows)
        rows = []
        for r in found.rows:
            price = (
                "–"
                if r.price is None
                else f"{number(r.price, 0)} {money}{f' ({r.pieces} of it)' if r.pieces > 1 else ''}"
            )
            digits = digits_for(r.high - r.low)
            mean = f"{number(r.mean, digits)} ± {number((r.high - r.low) / 2, digits)} {unit}"
            said = worth_sentence(r, cheapest, money, study.confidence)
            said = said or (tr("the cheapest") if r.name == cheapest else "")
            set_price = ["–" if r.whole_price is None else f"{number(r.whole_price, 0)} {money}"] if whole else []
            rows.append((r.name, price, *set_price, mean, said))
        head = (
            tr("candidate"),
            tr("price"),
            *((tr("whole set"),) if whole else ()),
            tr("reading"),
            tr("what the money buys"),
        )
        self._found = found, cheapest
        self.table.show_rows(head, rows, words=True, opens={len(head) - 2: lambda i: self._explain(found.rows[i].name)})
        lacking = "; ".join(found.lacking)
        self.lacking.setText(f"{lacking[:1].upper()}{lacking[1:]}." if lacking else "")
        self.lacking.setVisible(bool(found.lacking))
        told = []
        seen = noticed(verdict)
        for n in seen:
            assert n.comparison is not None
            half = [(c.high - c.low) / 2 for c in n.comparison.candidates]
            digits, unit = 0 if min(half, default=1.0) >= 0.7 else 1, n.outcome.unit
            values = "; ".join(f"{name} {number(n.comparison.candidate(name).mean, digits)}" for name in n.ranking())
            settled = sorted((p for p in n.comparison.pairs if p.settled), key=lambda p: -abs(p.difference))
            said = pair_said(settled[0], n.comparison, n.outcome) if settled else tr("no two are told apart")
            told.append((tr(n.outcome.label), f"{values} {unit}".rstrip(), said))
        for widget in (self._noticed_title, self.noticed, self._note):
            widget.setVisible(bool(told))
        heard = heard_words(tones_of(verdict))
        for widget in (self._tones_title, self.tones):
            widget.setVisible(bool(heard))
        self.tones.show_rows(("", tr("tone"), tr("whose it may be")), heard, words=True, left={1})
        self.noticed.show_rows(
            ("", tr("means"), tr("what may be said")),
            told,
            words=True,
            left={1},
            opens={1: lambda i: self.working.emit(noticed_working(seen[i]))},
        )
