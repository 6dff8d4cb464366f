"""The open findings of the whole study on one page, and one of them in full."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import (
    QGridLayout,
    QHBoxLayout,
    QListWidget,
    QListWidgetItem,
    QPushButton,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Task
from kuffin.app.desks.inspect.answers import AnswerBox
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.findingpicture import FindingPicture, Piece
from kuffin.app.widgets.numberspin import NumberSpin
from kuffin.app.widgets.texts import empty, link_button, no_keys, plain_tip, rule, text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import counted, inside, mark, tr
from kuffin.core.base.saying import say
from kuffin.core.base.units import shown
from kuffin.core.findings import KINDS, THRESHOLDS, Finding, together
from kuffin.core.findings.thresholds import OF_KIND, checked
from kuffin.notebook import answering
from kuffin.notebook.entities import Mount
from kuffin.notebook.planedits import set_plan
from kuffin.notebook.samples import read_run
from kuffin.reading.judgingrules import limits_of


@dataclass(frozen=True)
class Entry:
    """A line of the list: whose, what, and how it stands (open, accepted, left out, remark, study)."""

    mount_id: int | None
    label: str
    finding: Finding
    state: str


_HEADS = {
    "open": mark("Wait for an answer"),
    "study": mark("About the study"),
    "accepted": mark("Accepted"),
    "left out": mark("Mount left out"),
    "remark": mark("Remarks"),
}


@guarded
class FindingsPage(QWidget):
    """The list at the left, the chosen finding at the right: what was seen, why, and what to do."""

    working = Signal(object)
    run_wanted = Signal(int)  # a mount's id

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__()
        self._state, self._theme = state, theme
        self._entries: list[Entry] = []
        self._at: tuple[int | None, str] | None = None
        self.list = QListWidget()
        self.list.setAccessibleName(tr("Findings"))
        self.list.setWordWrap(True)
        self.list.currentRowChanged.connect(self._chosen)
        self.intro = text(style="muted")
        self._title, self._whose = text(style="heading"), link_button("", tr("Open the run"))
        self._whose.clicked.connect(self._to_run)
        self._seen = text()
        self.picture = FindingPicture(theme)
        self._together = text()
        self._causes, self._advice, self._spoils = text(), text(), text(style="muted")
        self.answers = AnswerBox(state)
        self._reopen = QPushButton(tr("Open it again"))
        self._reopen.clicked.connect(self._withdraw)
        self._accepted = text(style="muted")
        self._limits = QVBoxLayout()
        self._go_on = QPushButton(tr("Go on"))
        self._go_on.clicked.connect(state.judge_again)
        self._lay_out()
        state.so_far_changed.connect(self._renew_so_far)
        state.verdict_changed.connect(self.renew)
        state.mount_changed.connect(self.renew)

    def _lay_out(self) -> None:
        detail = QWidget()
        column = QVBoxLayout(detail)
        column.setContentsMargins(16, 0, 6, 0)
        column.setSpacing(8)
        head = QHBoxLayout()
        head.addWidget(self._title, 1)
        head.addWidget(self._whose)
        column.addLayout(head)
        for widget in (self._seen, self.picture, self._together):
            column.addWidget(widget)
        grid = QGridLayout()
        grid.setHorizontalSpacing(18)
        grid.addWidget(text(tr("Likely, in this order"), style="small"), 0, 0)
        grid.addWidget(text(tr("What to do"), style="small"), 0, 1)
        for i, widget in enumerate((self._causes, self._advice)):
            widget.setAlignment(Qt.AlignmentFlag.AlignTop)
            grid.addWidget(widget, 1, i)
            grid.setColumnStretch(i, 1)
        column.addLayout(grid)
        column.addWidget(self._spoils)
        column.addWidget(self._accepted)
        row = QHBoxLayout()
        row.addWidget(self._reopen)
        row.addStretch()
        column.addLayout(row)
        column.addWidget(self.answers)
        column.addWidget(rule())
        column.addLayout(self._limits)
        column.addStretch()
        self._detail = detail
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(detail)
        scroll.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        left = QVBoxLayout()
        left.addWidget(self.intro)
        left.addWidget(self._go_on, 0, Qt.AlignmentFlag.AlignLeft)
        left.addWidget(self.list, 1)
        layout = QHBoxLayout(self)
        layout.setContentsMargins(0, 4, 0, 0)
        layout.addLayout(left, 2)
        layout.addWidget(scroll, 3)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.picture.set_theme(theme)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self.renew()

    # --- the list --------------------------------------------------------------------------------------------------

    def entries(self) -> list[Entry]:
        """All findings of the study, open ones first."""
        verdict = self._state.verdict
        if verdict is None:
            return self._so_far()
        out = [Entry(None, tr("the study"), f, "study") for f in verdict.of_study]
        for reading in verdict.main.readings:
            waiting = {f.kind for f in verdict.unanswered(reading.mount_id)}
            for f in verdict.findings.get(reading.mount_id, ()):
                state = (
                    "left out"
                    if reading.left_out
                    else "remark"
                    if not f.serious
                    else "open"
                    if f.kind in waiting
                    else "accepted"
                )
                out.append(Entry(reading.mount_id, reading.label, f, state))
        order = list(_HEADS)
        return sorted(out, key=lambda e: order.index(e.state))

    def _so_far(self) -> list[Entry]:
        """What the runs that are done show by themselves, while the study is still being judged."""
        names = {m.id: tr("{name}, round {round}", name=m.candidate.name, round=m.round) for m in self._state.mounts()}
        out = [
            Entry(m, names[m], f, "open" if f.serious else "remark")
            for m, found in self._state.so_far.findings.items()
            for f in found
            if m in names
        ]
        return sorted(out, key=lambda e: e.state != "open")

    def _renew_so_far(self) -> None:
        """A new piece of what is being worked out; nothing to do where all of it is there already."""
        if self._state.verdict is None and self.isVisible():
            self.renew()

    def renew(self) -> None:
        """Show the list as it is now."""
        if not self.isVisible():
            return
        self._entries = self.entries()
        waiting = sum(e.state == "open" for e in self._entries)
        self.intro.setText(
            tr("Nothing was noticed: no check has anything to say.")
            if not self._entries
            else tr("Nothing waits for an answer.")
            if not waiting
            else counted(
                waiting,
                "{n} finding to answer before those mounts should count.",
                "{n} findings to answer before those mounts should count.",
            )
        )
        share = 100 * self._state.so_far.share
        if self._state.verdict is None and self._state.busy:
            self.intro.setText(
                tr(
                    "Being worked out, {share:.0f} % of the runs done. What they show by themselves so far:",
                    share=share,
                )
            )
        elif self._state.verdict is None and share:
            self.intro.setText(
                tr("Stopped after {share:.0f} % of the runs. What they show by themselves:", share=share)
            )
        self._go_on.setVisible(self._state.verdict is None and not self._state.busy and bool(share))
        self.list.blockSignals(True)
        self.list.clear()
        head = ""
        self._row_of: list[int] = []
        for entry in self._entries:
            if entry.state != head:
                head = entry.state
                item = QListWidgetItem(tr(_HEADS[head]))
                item.setFlags(Qt.ItemFlag.NoItemFlags)
                self.list.addItem(item)
            title = tr(KINDS[entry.finding.kind].title)
            whose = "" if entry.mount_id is None else f"{entry.label}: "
            mark = "?  " if entry.state == "open" else "    "
            item = QListWidgetItem(f"{mark}{whose}{inside(title) if whose else title}")
            item.setToolTip(plain_tip(entry.finding.sentence))
            self._row_of.append(self.list.count())
            self.list.addItem(item)
        self.list.blockSignals(False)
        at = next((i for i, e in enumerate(self._entries) if (e.mount_id, e.finding.kind) == self._at), 0)
        self._detail.setVisible(bool(self._entries))
        if self._entries:
            self.list.setCurrentRow(self._row_of[at])
            self._show(self._entries[at])

    def choose(self, mount_id: int | None, kind: str) -> None:
        """Show one finding."""
        self._at = (mount_id, kind)
        self.renew()

    def _chosen(self, row: int) -> None:
        if row in self._row_of:
            self._show(self._entries[self._row_of.index(row)])

    # --- one of them -----------------------------------------------------------------------------------------------

    @property
    def shown(self) -> Entry | None:
        """The finding that is shown."""
        return next((e for e in self._entries if (e.mount_id, e.finding.kind) == self._at), None)

    def _mount(self, entry: Entry) -> Mount | None:
        return next((m for m in self._state.mounts() if m.id == entry.mount_id), None)

    def _show(self, entry: Entry) -> None:
        verdict = self._state.verdict
        self._at = (entry.mount_id, entry.finding.kind)
        kind, mount = KINDS[entry.finding.kind], self._mount(entry)
        self._title.setText(tr(kind.title))
        self._whose.setText(no_keys(f"{entry.label} ›") if mount is not None else "")
        self._whose.setVisible(mount is not None)
        self._seen.setText(entry.finding.sentence)
        self._causes.setText("\n".join(f"{i}.  {tr(c)}" for i, c in enumerate(kind.causes, 1)))
        self._advice.setText(tr(kind.advice))
        self._spoils.setText(tr("Why it matters: {spoils}.", spoils=tr(kind.spoils)) if kind.spoils else "")
        self._spoils.setVisible(bool(kind.spoils))
        found = verdict.findings.get(entry.mount_id or -1, ()) if verdict is not None else ()
        said = together([f for f in found if f.serious])
        self._together.setText(tr("Taken together: {told}", told=inside(said)) if said else "")
        self._together.setVisible(bool(said))
        answers = verdict.answers.get(entry.mount_id or -1, {}) if verdict is not None else {}
        reason = answers.get(entry.finding.kind, "")
        self._accepted.setText(
            tr("Accepted: {reason}", reason=reason)
            if entry.state == "accepted"
            else tr("Left out: {left_out}", left_out=mount.left_out)
            if mount is not None and mount.left_out
            else ""
        )
        self._accepted.setVisible(bool(self._accepted.text()))
        self._reopen.setVisible(entry.state == "accepted")
        self.answers.show_mount(mount, [entry.finding.kind] if entry.state == "open" else [])
        self._fill_limits(entry.finding)
        self._draw(entry, mount)

    def _draw(self, entry: Entry, mount: Mount | None) -> None:
        finding, notebook = entry.finding, self._state.notebook
        self.picture.show_finding(finding, entry.label, [])
        if finding.others or mount is None or notebook is None or not mount.live_runs:
            return
        verdict = self._state.verdict
        run, key = mount.run_under(None if verdict is None else verdict.condition), self._at
        if run is None:
            return
        main = verdict.results[run.id].names if verdict is not None and run.id in verdict.results else {}
        wanted = finding.channels or tuple(n for n in (main.get("coolant"), main.get("die")) if n)

        def work(_job: Task) -> list[Piece]:
            data = read_run(notebook, run.id)
            begin, end = finding.span_s or (float(data.times[0]), float(data.times[-1]))
            room = max(0.8 * (end - begin), 240.0)
            inside = (data.times >= begin - room) & (data.times <= end + room)
            names = [n for n in wanted if n in data.values][:3]
            return [
                Piece(n, shown(data.units.get(n)), data.times[inside], np.asarray(data.values[n][inside]))
                for n in names
            ]

        def done(pieces: object) -> None:
            if self._at == key:
                self.picture.show_finding(finding, entry.label, pieces)  # type: ignore[arg-type]

        self._state.jobs.start(tr("drawing what was found"), work, done, self._state.trouble.emit)

    def _fill_limits(self, finding: Finding) -> None:
        """The thresholds behind this kind, to be seen and set."""
        empty(self._limits)
        study = self._state.study
        keys = OF_KIND.get(finding.kind, ())
        if study is None or not keys:
            return
        limits = limits_of(study)
        self._limits.addWidget(text(tr("What it goes by, in this study"), style="small"))
        for key in keys:
            threshold = THRESHOLDS[key]
            row = QWidget()
            line = QHBoxLayout(row)
            line.setContentsMargins(0, 0, 0, 0)
            box = NumberSpin()
            box.setRange(0.0, 10_000.0)
            box.setDecimals(2 if threshold.value < 1 else 1)
            box.setSuffix(f" {threshold.unit}")
            box.setValue(limits.of(key))
            box.setToolTip(
                tr("usually {value:g} {unit}: {why}", value=threshold.value, unit=threshold.unit, why=tr(threshold.why))
            )
            box.setAccessibleName(tr(threshold.label))
            box.editingFinished.connect(lambda k=key, b=box: self._set_limit(k, b.value()))
            line.addWidget(text(tr(threshold.label)), 1)
            line.addWidget(box)
            self._limits.addWidget(row)

    # --- acting ----------------------------------------------------------------------------------------------------

    def _set_limit(self, key: str, value: float) -> None:
        study, notebook = self._state.study, self._state.notebook
        if study is None or notebook is None or abs(limits_of(study).of(key) - value) < 1e-9:
            return
        kept = dict(study.plan.get("thresholds") or {})
        try:
            kept[key] = checked(key, value)
        except KuffinError as error:
            self._state.trouble.emit(str(error))
            self.renew()
            return
        self._state.attempt(
            set_plan, notebook, study.id, say("set “{label}”", label=say(THRESHOLDS[key].label)), thresholds=kept
        )

    def _withdraw(self) -> None:
        entry = self.shown
        if entry is not None and entry.mount_id is not None and self._state.notebook is not None:
            self._state.attempt(
                answering.withdraw, self._state.notebook, entry.mount_id, entry.label, [entry.finding.kind]
            )

    def _to_run(self) -> None:
        entry = self.shown
        if entry is not None and entry.mount_id is not None:
            self.run_wanted.emit(entry.mount_id)
