"""Does it fit? Each candidate against the room, the headers and the threads of what it is built together with."""

from __future__ import annotations

from kuffin.app.desks.plan.page import Page
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.core.compare.pairwords import joined
from kuffin.core.prepare.clearance import CONFLICT, UNKNOWN
from kuffin.verdict.fitting import CandidateFit, candidate_fits, cell_words, unlike_and_alike

_PURPOSE = mark(
    "Does it fit? sets sizes, currents and threads of parts against each other: radiator and fans against the case, memory under the block, fans on a "
    "header, fittings into ports, fan screws into the radiator. Write sizes down on the Shelf (a case, a board and memory are parts, too), and choose "
    "those parts for the bench under Fair?."
)
_NOTE = mark(
    "Sizes are as told on the Shelf; what is not known is said, and nothing simply fits without it. A sum that looks right is no safeguard: try it with the "
    "parts' own drawings and by hand, never by force, and mind sharp fins. Header currents: the board's manual comes first."
)


class ClearancePage(Page):
    """Nothing is edited here."""

    def __init__(self, state: State, shelf: ShelfState) -> None:
        super().__init__(state, shelf)
        self.empty = text(tr(_PURPOSE), style="muted")
        self.said = text(style="heading")
        self.table = FigureTable(tr("How each candidate fits"))
        self.alike, self.told = text(style="muted"), text()
        self.note = text(tr(_NOTE), style="small")
        for widget in (self.empty, self.said, self.table, self.told, self.alike, self.note):
            self.column.addWidget(widget)
        self.column.addStretch(1)
        self.found: list[CandidateFit] = []

    def renew(self) -> None:
        study = self.state.study
        assert study is not None
        bench = next((b for b in self.shelf.benches if b.id == study.bench_id), None)
        self.found = candidate_fits(study, bench, self.shelf.parts)
        labels = {f.key: tr(f.label) for c in self.found for f in c.fits}
        for widget in (self.said, self.table, self.told, self.alike, self.note):
            widget.setVisible(bool(labels))
        self.empty.setVisible(not labels)
        if not labels:
            return
        self.said.setText(self._sentence())
        unlike, alike = unlike_and_alike(self.found)
        rows = [(c.name, *(cell_words(c.of(key)) for key in unlike)) for c in self.found]
        self.table.setVisible(bool(unlike))
        self.table.show_rows(("", *unlike.values()), rows, left=set(range(1, len(unlike) + 1)))
        self.alike.setText(tr("Alike for all: {alike}.", alike="; ".join(alike)) if alike else "")
        self.alike.setVisible(bool(alike))
        self.told.setText("\n".join(t for c in self.found for t in c.told))

    def _sentence(self) -> str:
        bad = [c.name for c in self.found if any(f.state == CONFLICT for f in c.fits)]
        open_ = [
            c.name for c in self.found if c.name not in bad and (not c.fits or any(f.state == UNKNOWN for f in c.fits))
        ]
        parts = []
        if bad:
            parts.append(
                tr("{bad} does not fit.", bad=joined(bad))
                if len(bad) == 1
                else tr("{bad} do not fit.", bad=joined(bad))
            )
        if open_:
            parts.append(
                tr("{open} fits as far as is known; some sizes are not told.", open=joined(open_))
                if len(open_) == 1
                else tr("{open} fit as far as is known; some sizes are not told.", open=joined(open_))
            )
        rest = [c.name for c in self.found if c.name not in bad and c.name not in open_]
        if rest:
            parts.append(
                tr("{rest} fits by what was written down.", rest=joined(rest))
                if len(rest) == 1
                else tr("{rest} fit by what was written down.", rest=joined(rest))
            )
        return " ".join(parts)
