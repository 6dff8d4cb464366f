"""The Compare desk: pages for each question that one asks of the evidence."""

from __future__ import annotations

from collections.abc import Callable
from functools import partial
from importlib import import_module
from typing import TYPE_CHECKING

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QApplication, QVBoxLayout, QWidget

from kuffin.app.base.settings import Settings
from kuffin.app.desks.compare.verdictpage import VerdictPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.keywalked import Opening
from kuffin.app.widgets.paged import PagedDesk
from kuffin.core.base.language import mark, tr

if TYPE_CHECKING:
    from kuffin.app.desks.renewedpage import RenewedPage
    from kuffin.app.widgets.intervalplot import IntervalPlot

# key, title, and where the page is: each brings its own imports, off the window's start
_PAGES = (
    ("outcomes", mark("Outcomes"), "outcomespage", "OutcomesPage"),
    ("along", mark("Sweep"), "alongpage", "AlongPage"),
    ("schools", mark("Schools"), "schoolspage", "SchoolsPage"),
    ("claims", mark("Claims"), "claimspage", "ClaimsPage"),
    ("rounds", mark("Rounds"), "roundspage", "RoundsPage"),
    ("scatter", mark("Scatter"), "scatterpage", "ScatterPage"),
    ("baseline", mark("Baseline"), "baselinepage", "BaselinePage"),
    ("left out", mark("Left out"), "leftoutpage", "LeftOutPage"),
    ("value", mark("Value"), "valuepage", "ValuePage"),
    ("what if", mark("What if"), "whatifpage", "WhatIfPage"),
    ("ageing", mark("Ageing"), "ageingpage", "AgeingPage"),
    ("across", mark("Across"), "acrosspage", "AcrossPage"),
    ("words", mark("Words"), "wordspage", "WordsPage"),
)
# pages that answer one question
_TOGETHER = {
    mark("Outcomes"): ("outcomes", "along", "schools"),
    mark("Trust"): ("rounds", "scatter", "baseline", "left out"),
    mark("Elsewhere"): ("what if", "ageing", "across"),
}
PAGES = tuple((key, title) for key, title, _, _ in _PAGES)


class CompareDesk(QWidget):
    """The verdict first; all other pages are made when they are first turned to."""

    working = Signal(object)
    mount_wanted = Signal(int)

    def __init__(self, state: State, theme: Theme, settings: Settings) -> None:
        super().__init__()
        self._state, self._theme = state, theme
        self.verdict = VerdictPage(state, theme)
        self.verdict.working.connect(self.working)
        self.verdict.mount_wanted.connect(self.mount_wanted)
        self._made: dict[str, RenewedPage] = {}
        self.paged = PagedDesk("compare", settings)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(self.paged)
        later: list[tuple[str, str, QWidget | Callable[[], QWidget]]] = [
            (key, tr(title), partial(self.page, key)) for key, title in PAGES
        ]
        self.paged.add_pages(
            [("verdict", tr("Verdict"), self.verdict), *later], {tr(name): keys for name, keys in _TOGETHER.items()}
        )
        self.paged.put_beside("verdict", self.verdict.choices)
        state.verdict_changed.connect(self._count)
        state.study_changed.connect(self._count)

    @property
    def plot(self) -> IntervalPlot:
        """The picture of the verdict."""
        return self.verdict.plot

    def page(self, key: str) -> RenewedPage:
        """A page by its key, made where it is not there yet."""
        if key not in self._made:
            module, name = next((m, n) for k, _, m, n in _PAGES if k == key)
            made: RenewedPage = getattr(import_module(f"kuffin.app.desks.compare.{module}"), name)(
                self._state, self._theme
            )
            made.working.connect(self.working)
            made.mount_wanted.connect(self.mount_wanted)
            self._made[key] = made
        return self._made[key]

    def go(self, key: str) -> None:
        """Turn to a page."""
        self.paged.go(key)

    def known_of(self, part_id: int) -> None:
        """Turn to all that is known of a part."""
        self.go("across")
        page = self.page("across")
        page.look_at(part_id)  # type: ignore[attr-defined]

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.verdict.set_theme(theme)
        for made in self._made.values():
            made.set_theme(theme)

    def renew(self) -> None:
        """Show the verdict as it is now."""
        self.verdict.renew()

    def explain_focus(self) -> None:
        """Show the working of what has the focus (F1)."""
        chosen = QApplication.focusWidget()
        if isinstance(chosen, Opening):
            chosen.open_focused()
        elif self.paged.page == "verdict":
            self.verdict.explain_focus()

    def _count(self) -> None:
        """What waits behind a page, beside its name."""
        study, verdict = self._state.study, self._state.verdict
        claims = len(study.live_claims) if study is not None else 0
        out = sum(bool(r.left_out) for r in verdict.main.readings) if verdict is not None else 0
        moved = verdict is not None and verdict.baseline is not None and verdict.baseline.chart.moved is not None
        self.paged.mark_page("claims", str(claims) if claims else "")
        self.paged.mark_page("left out", str(out) if out else "")
        self.paged.mark_page("baseline", tr("moved") if moved else "")
