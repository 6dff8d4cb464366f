"""The Inspect desk: one mount's run, and all that was found in the study."""

from __future__ import annotations

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QHBoxLayout, QVBoxLayout, QWidget

from kuffin.app.desks.inspect import words
from kuffin.app.desks.inspect.clockpage import ClockPage
from kuffin.app.desks.inspect.figurespage import FiguresPage
from kuffin.app.desks.inspect.findingspage import FindingsPage
from kuffin.app.desks.inspect.heatpage import HeatPage
from kuffin.app.desks.inspect.runpage import RunPage
from kuffin.app.look.theme import Theme
from kuffin.app.settings import Settings
from kuffin.app.state import State
from kuffin.app.widgets.bits import text
from kuffin.app.widgets.paged import PagedDesk


class InspectDesk(QWidget):
    """A mount's name above; below it the pages: its run, and what was found."""

    working = Signal(object)
    channels_wanted = Signal(int)  # a run's id
    join_wanted = Signal(int)

    def __init__(self, state: State, theme: Theme, settings: Settings) -> None:
        super().__init__()
        self._state = state
        self._title = text(style="heading", wrap=False)
        self._state_word = text(style="muted")
        self._empty = text(
            "Inspect shows one mount's run: where it settled, what was still to go, and whether it should count. "
            "Choose a mount on the loom.",
            style="muted",
        )
        self.run_page = RunPage(state, theme, settings)
        self.findings = FindingsPage(state, theme)
        self.paged = PagedDesk("inspect", settings)
        self.heat = HeatPage(state, theme, settings)
        self.figures = FiguresPage(state)
        self.clock = ClockPage(state, theme)
        self.paged.add_pages(
            [
                ("run", "The run", self.run_page),
                ("findings", "Findings", self.findings),
                ("heat", "Heat path", self.heat),
                ("figures", "Figures", self.figures),
                ("clock", "Clock and frames", self.clock),
            ]
        )
        head = QHBoxLayout()
        head.addWidget(self._title)
        head.addSpacing(10)
        head.addWidget(self._state_word, 1)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addLayout(head)
        layout.addWidget(self._empty, 0, Qt.AlignmentFlag.AlignTop)
        layout.addWidget(self.paged, 1)
        for page in (self.run_page, self.findings, self.heat, self.figures, self.clock):
            page.working.connect(self.working)
        self.run_page.channels_wanted.connect(self.channels_wanted)
        self.run_page.join_wanted.connect(self.join_wanted)
        self.run_page.finding_wanted.connect(self.show_finding)
        self.findings.run_wanted.connect(self.show_run)
        state.mount_changed.connect(self.renew)
        state.verdict_changed.connect(self.renew)
        state.so_far_changed.connect(self._renew_so_far)
        self.renew()

    def set_theme(self, theme: Theme) -> None:
        self.run_page.set_theme(theme)
        self.findings.set_theme(theme)
        self.heat.set_theme(theme)
        self.clock.set_theme(theme)

    def renew(self) -> None:
        """Show the chosen mount as it is now."""
        mount, verdict, run = self._state.mount(), self._state.verdict, self.run_page.run()
        there = mount is not None and run is not None
        if mount is not None and run is not None:
            self._title.setText(f"{mount.candidate.name}, round {mount.round}")
            self._state_word.setText(
                words.state_words(verdict, mount, verdict.results.get(run.id) if verdict else None)
            )
        self._title.setVisible(there)
        self._state_word.setVisible(there)
        waiting = len(verdict.open_findings()) if verdict is not None else 0
        self.paged.mark_page("findings", f"{waiting} open" if waiting else "")
        so_far = verdict is None and bool(self._state.so_far.findings)
        something = there or so_far or bool(verdict is not None and (verdict.findings or verdict.of_study))
        self._empty.setVisible(not there)
        self.paged.setVisible(something)

    def _renew_so_far(self) -> None:
        if self._state.verdict is None:
            self.renew()

    def show_finding(self, mount_id: int, kind: str) -> None:
        """Turn to a finding."""
        self.paged.go("findings")
        self.findings.choose(mount_id, kind)

    def show_run(self, mount_id: int) -> None:
        """Turn to a mount's run."""
        self._state.look_at(mount_id)
        self.paged.go("run")

    def explain_focus(self) -> None:
        """The working of the reading (F1)."""
        self.run_page.explain_focus()
