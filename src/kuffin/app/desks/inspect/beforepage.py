"""Before and after a repair: the same sample's two states side by side, figures and prints."""

from __future__ import annotations

from PySide6.QtCore import Signal
from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import QHBoxLayout, QVBoxLayout, QWidget

from kuffin.app.acts.photojobs import map_picture
from kuffin.app.base.guarded import guarded
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import empty, text
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import number
from kuffin.notebook.entities import Mount
from kuffin.notebook.preparationedits import sheets_of
from kuffin.said.shownworking import Working
from kuffin.verdict.beforeafter import StateChange, changes, states_of
from kuffin.verdict.sheets import PRINT_SIDES, print_words


@guarded
class BeforePage(QWidget):
    """The page; there only where a mount was repaired or made again."""

    working = Signal(object)

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state
        self.column = QVBoxLayout(self)
        self.column.setContentsMargins(0, 4, 12, 8)
        self.column.setSpacing(8)
        self.headline = text(style="heading")
        self.why = text(style="muted")
        self.table = FigureTable(tr("Before and after"))
        self.prints = QHBoxLayout()
        self.prints.setSpacing(24)
        for widget in (self.headline, self.why, self.table):
            self.column.addWidget(widget)
        self.column.addWidget(text(tr("Its prints"), style="heading"))
        self.column.addLayout(self.prints)
        self.column.addStretch(1)
        self._changes: list[StateChange] = []
        state.mount_changed.connect(self.renew)
        state.verdict_changed.connect(self.renew)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self.renew()

    def renew(self) -> None:
        """Show the chosen mount's two states as they are now."""
        study, mount, verdict = self._state.study, self._state.mount(), self._state.verdict
        if not self.isVisible() or study is None or mount is None or verdict is None:
            return
        states = states_of(study, mount)
        if states is None:
            return
        before, after = states
        self.headline.setText(
            tr("{name}, round {round}: before and after", name=after.candidate.name, round=after.round)
        )
        self.why.setText(
            tr(
                "The same sample in two states. What was done: {left_out}. One mount of each: what "
                "the change owes to mounting alone is not known.",
                left_out=before.left_out or after.note or tr("not said"),
            )
        )
        self._changes = changes(verdict, before, after) if before.live_runs and after.live_runs else []
        rows = [
            (
                begun(tr(c.outcome.label)),
                f"{number(c.before.value, c.before.digits)} {c.outcome.unit}".rstrip(),
                f"{number(c.after.value, c.after.digits)} {c.outcome.unit}".rstrip(),
                c.words,
            )
            for c in self._changes
        ]
        self.table.show_rows(
            ("", tr("before"), tr("after"), tr("change")),
            rows or [(tr("not run in both states yet"), "–", "–", "")],
            words=True,
            opens={1: lambda i: self._explain(i, 1), 2: lambda i: self._explain(i, 2)} if rows else None,
        )
        empty(self.prints)
        for said, one in ((tr("before"), before), (tr("after"), after)):
            self.prints.addWidget(self._print(said, one))
        self.prints.addStretch(1)

    def _print(self, said: str, mount: Mount) -> QWidget:
        """A state's prints with what they show."""
        box = QWidget()
        column = QVBoxLayout(box)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(text(said.capitalize(), style="small", wrap=False))
        notebook = self._state.notebook
        kept = {} if notebook is None else sheets_of(notebook, [mount.id], "print").get(mount.id, {})
        there = [(k, kept[k]) for k in PRINT_SIDES if "share" in kept.get(k, {})]
        for key, one in there:
            image = text()
            image.setPixmap(map_picture(one.get("map"), 2))
            image.setAccessibleName(tr("Print {where}, {told}", where=tr(PRINT_SIDES[key]), told=said))
            column.addWidget(image)
            column.addWidget(text(f"{tr(PRINT_SIDES[key])}: {print_words(one)}", style="muted"))
        if not there:
            column.addWidget(text(tr("no print was read"), style="muted", wrap=False))
        column.addStretch(1)
        return box

    def _explain(self, row: int, _column: int) -> None:
        c = self._changes[row]
        out = Working(title=tr("{label}: before and after", label=c.outcome.label), answer=c.words)
        out.add(c.change)
        self.working.emit(out)
