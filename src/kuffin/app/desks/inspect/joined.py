"""The further logs of a run: each with its lag, which can be changed, and a way to take it off again."""

from __future__ import annotations

from PySide6.QtWidgets import QHBoxLayout, QVBoxLayout, QWidget

from kuffin.app.state.windowstate import State
from kuffin.app.widgets.numberspin import NumberSpin
from kuffin.app.widgets.texts import empty, link_button, text
from kuffin.core.base.language import tr
from kuffin.notebook import edits
from kuffin.notebook.entities import Run
from kuffin.notebook.joinedlogs import set_lag


class JoinedLogs(QWidget):
    """A line for each."""

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state
        self._column = QVBoxLayout(self)
        self._column.setContentsMargins(0, 0, 0, 0)
        self._shown: list[tuple[str, int, float]] = []

    def show_logs(self, logs: list[Run]) -> None:
        """Show the logs that are joined to a run."""
        self.setVisible(bool(logs))
        where = "" if self._state.notebook is None else str(self._state.notebook.path)
        shown = [(where, r.id, r.lag_s) for r in logs]
        if shown == self._shown:
            return
        self._shown = shown
        empty(self._column)
        for log in logs:
            row = QWidget()
            line = QHBoxLayout(row)
            line.setContentsMargins(0, 0, 0, 0)
            lag = NumberSpin()
            lag.setRange(-1e7, 1e7)
            lag.setDecimals(1)
            lag.setSuffix(" s")
            lag.setValue(log.lag_s)
            lag.setAccessibleName(tr("Lag of {source}", source=log.source))
            lag.editingFinished.connect(lambda i=log.id, b=lag, was=log.lag_s: self._move(i, was, b.value()))
            off = link_button(tr("take off"), tr("Take {source} off this run", source=log.source))
            off.clicked.connect(lambda _c=False, i=log.id, n=log.source: self._take_off(i, n))
            line.addWidget(text(tr("joined: {source}", source=log.source), style="muted"), 1)
            line.addWidget(lag)
            line.addWidget(off)
            self._column.addWidget(row)

    def _move(self, run_id: int, was: float, lag_s: float) -> None:
        if self._state.notebook is not None and abs(was - lag_s) > 1e-9:
            self._state.attempt(set_lag, self._state.notebook, run_id, lag_s)

    def _take_off(self, run_id: int, name: str) -> None:
        if self._state.notebook is not None:
            self._state.attempt(edits.to_bin, self._state.notebook, Run, run_id, name)
