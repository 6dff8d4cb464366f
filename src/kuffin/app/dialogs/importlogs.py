"""Adding logs: which mount each is a test of, above; what Kuffin made of the chosen one, below."""

from __future__ import annotations

from collections.abc import Callable, Collection, Sequence

from PySide6.QtWidgets import QDialog, QDialogButtonBox, QHBoxLayout, QVBoxLayout, QWidget

from kuffin.app.dialogs.assigntable import AssignTable
from kuffin.app.dialogs.cooledrow import CooledRow
from kuffin.app.dialogs.incoming import Incoming
from kuffin.app.dialogs.logdetails import LogDetails, ReadOne, read_now
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.forms import button
from kuffin.app.widgets.texts import rule, text
from kuffin.core.base.language import counted, tr
from kuffin.core.bench.devices import NOT_TOLD, Cooled
from kuffin.core.compare.pairwords import joined, several
from kuffin.notebook.placing import MountThere


class ImportLogs(QDialog):
    """Nothing is added before the person says so.

    Parameters
    ----------
    there : sequence of MountThere
        The study's mounts.
    cooled : Cooled
        What is known of whose die is asked about, and of what the loop cools.
    lacking : callable, optional
        Says in words what the study's school needs and channels of given roles do not give.
    read : callable, optional
        Reads a log again.
    """

    def __init__(
        self,
        logs: list[Incoming],
        problems: list[str],
        candidates: list[str],
        parent: QWidget | None = None,
        lacking: Callable[[Collection[str | None]], list[str]] | None = None,
        there: Sequence[MountThere] = (),
        cooled: Cooled = NOT_TOLD,
        read: ReadOne = read_now,
    ) -> None:
        super().__init__(parent)
        self._lacking = lacking
        self.logs = logs
        self.setWindowTitle(tr("Add logs"))
        open_at(self, 1180, 730)
        self.table = AssignTable(logs, candidates, there)
        self.table.currentCellChanged.connect(self._show)
        self.table.changed.connect(self._label_all)
        self.details = LogDetails(logs, lacking, read)
        self.details.changed.connect(self._label_all)
        self.cooled = CooledRow(cooled)
        self._asked = text(style="warn")
        self._asking = QWidget()
        asking = QHBoxLayout(self._asking)
        asking.setContentsMargins(0, 0, 0, 0)
        asking.addWidget(self._asked, 1)
        asking.addWidget(button(tr("A mount each"), self.table.a_mount_each))
        asking.addWidget(button(tr("Tests of one mount"), self.table.tests_of_one))
        self._buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Cancel)
        self.add = self._buttons.addButton(tr("Add"), QDialogButtonBox.ButtonRole.AcceptRole)
        self._buttons.accepted.connect(self.accept)
        self._buttons.rejected.connect(self.reject)
        self.missing = text(style="warn")
        layout = QVBoxLayout(self)
        layout.addWidget(self.table)
        layout.addWidget(self._asking)
        if problems:
            layout.addWidget(text(tr("Not read: ") + " · ".join(problems), style="warn"))
        layout.addWidget(rule())
        layout.addWidget(self.cooled)
        layout.addWidget(self.details, 1)
        foot = QHBoxLayout()
        foot.addWidget(self.missing, 1)
        foot.addWidget(self._buttons)
        layout.addLayout(foot)
        self._label_all()
        if logs:
            self.table.setCurrentCell(0, 0)

    def _show(self, now: int, _column: int = 0, before: int = -1, _from: int = 0) -> None:
        if now != before and 0 <= now < len(self.logs):
            self.details.show_log(self.logs[now])

    def _label_all(self) -> None:
        homeless, doubtful = 0, 0
        for at, log in enumerate(self.logs):
            homeless += not log.candidate
            lacks = self._lacking(log.roles.values()) if self._lacking is not None else []
            doubtful += bool(lacks or log.doubts())
            words = (
                tr("! lacks {lacks}", lacks=joined(lacks))
                if lacks
                else tr("! look at its roles")
                if log.doubts()
                else ""
            )
            beside = next((o for o in self.logs if o is not log and o.overlaps(log)), None)
            if beside is not None:
                words = tr(
                    "! recorded while {file} was: one of them may be a further log (Join a log …)",
                    file=beside.table.file,
                )
            self.table.say(at, words)
        open_rows = self.table.open_rows()
        names = list(dict.fromkeys(self.logs[i].candidate for i in open_rows))
        self._asking.setVisible(bool(open_rows))
        self._asked.setText(
            tr(
                "{capitalize} of {names}: neither name nor time says whether each is another mount, "
                "or another test of one that is there.",
                capitalize=several(len(open_rows), "log").capitalize(),
                names=joined(names),
            )
        )
        self.cooled.show_channels([log.channels for log in self.logs])
        parts = [tr("{homeless} still without a candidate", homeless=several(homeless, "log"))] if homeless else []
        if open_rows:
            parts.append(tr("{open_rows} still without a mount", open_rows=several(len(open_rows), "log")))
        if doubtful:
            parts.append(
                tr(
                    "{doubtful} marked “!”: as their roles stand, they cannot be judged or hold readings "
                    "that cannot be",
                    doubtful=doubtful,
                )
            )
        wrong = self.table.problems()
        self.missing.setText(". ".join([*(p[:1].upper() + p[1:] for p in parts), *wrong[:2]]))
        self.add.setText(counted(len(self.logs), "Add {n} log", "Add {n} logs"))
        self.add.setEnabled(
            homeless == 0 and not open_rows and not wrong and bool(self.logs) and not self.details.reading
        )
