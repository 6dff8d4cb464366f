"""Answering what was found about a mount: accept, remount, leave out, each with a reason."""

from __future__ import annotations

from PySide6.QtWidgets import QLineEdit, QPushButton, QVBoxLayout, QWidget

from kuffin.app.state.windowstate import State
from kuffin.app.widgets.flowrow import FlowRow
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.notebook import answering, edits
from kuffin.notebook.entities import Mount
from kuffin.reading.failed import FAILED


class AnswerBox(QWidget):
    """A reason and what follows from it. Return leaves the mount out."""

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state
        self._mount: Mount | None = None
        self._kinds: list[str] = []
        self.reason = QLineEdit()
        self.reason.setPlaceholderText(tr("reason, in a few words"))
        self.reason.setAccessibleName(tr("Reason for leaving the mount out, making it again, or keeping it"))
        self.reason.returnPressed.connect(self._leave_out)
        self.leave = QPushButton(tr("Leave out"))
        self.leave.clicked.connect(self._leave_out)
        self.again = QPushButton(tr("Remount"))
        self.again.setToolTip(tr("Leave this mount out and plan it once more in the same round"))
        self.again.clicked.connect(self._remount)
        self.mend = QPushButton(tr("Repair"))
        self.mend.setToolTip(
            tr("Other pads, screws tightened again: the same sample's next state, held beside this one")
        )
        self.mend.clicked.connect(lambda: self._answer(answering.repair))
        self.keep = QPushButton(tr("Accept"))
        self.keep.setToolTip(tr("It counts in spite of what was found"))
        self.keep.clicked.connect(self._accept)
        self.fail = QPushButton(tr("Could not be finished"))
        self.fail.setToolTip(tr("It was shut down or stopped at a limit: that is a result, and is counted as one"))
        self.fail.clicked.connect(self._fail)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(self.reason)
        row = FlowRow()
        for button in (self.leave, self.again, self.mend, self.keep, self.fail):
            row.addWidget(button)
        column.addLayout(row)

    def show_mount(self, mount: Mount | None, kinds: list[str]) -> None:
        """Show what can be done about a mount; `kinds` are the findings that wait for an answer."""
        self._mount, self._kinds = mount, kinds
        out = mount is not None and mount.left_out is not None
        self.setVisible(mount is not None)
        self.reason.setVisible(not out)
        self.leave.setText(tr("Take it back in") if out else tr("Leave out"))
        self.again.setVisible(not out)
        self.mend.setVisible(not out)
        self.keep.setVisible(not out and bool(kinds))
        self.fail.setVisible(not out and mount is not None and bool(mount.live_runs))
        self.fail.setText(tr("It was finished") if self._failed() else tr("Could not be finished"))

    def _label(self) -> str:
        return (
            say("{name}, round {round}", name=self._mount.candidate.name, round=self._mount.round)
            if self._mount is not None
            else ""
        )

    def _answer(self, act: object, *args: object) -> None:
        """Answer with the reason in the box; without one, ask for it."""
        if self._mount is None or self._state.notebook is None:
            return
        if not self.reason.text().strip():
            self.reason.setFocus()
        mount_id, label, reason = self._mount.id, self._label(), self.reason.text()
        self._state.attempt(act, self._state.notebook, mount_id, label, *args, reason)
        if reason.strip():
            self.reason.clear()

    def _leave_out(self) -> None:
        if self._mount is not None and self._mount.left_out is not None and self._state.notebook is not None:
            self._state.attempt(edits.take_back_in, self._state.notebook, self._mount.id, self._label())
            return
        self._answer(edits.leave_out)

    def _failed(self) -> bool:
        runs = self._mount.live_runs if self._mount is not None else []
        return any(m.kind == FAILED for r in runs for m in r.marks)

    def _fail(self) -> None:
        if self._failed() and self._mount is not None and self._state.notebook is not None:
            self._state.attempt(answering.did_finish, self._state.notebook, self._mount.id, self._label())
            return
        self._answer(answering.could_not_finish)

    def _remount(self) -> None:
        self._answer(answering.remount)

    def _accept(self) -> None:
        self._answer(answering.accept, self._kinds)
