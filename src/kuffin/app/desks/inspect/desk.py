"""The Inspect desk: one mount's run, and all that was found in the study."""

from __future__ import annotations

from functools import cached_property
from typing import TYPE_CHECKING

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import QCheckBox, QHBoxLayout, QSizePolicy, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import Settings
from kuffin.app.desks.inspect import runwords
from kuffin.app.desks.inspect.runpage import RunPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.fewlines import FewLines
from kuffin.app.widgets.forms import choice, refill
from kuffin.app.widgets.paged import PagedDesk
from kuffin.app.widgets.texts import link_button, text
from kuffin.core.base.language import tr
from kuffin.notebook import edits
from kuffin.notebook.entities import Study
from kuffin.verdict.ageing import rechecks_of
from kuffin.verdict.beforeafter import states_of

if TYPE_CHECKING:
    from kuffin.app.desks.inspect.beforepage import BeforePage
    from kuffin.app.desks.inspect.clockpage import ClockPage
    from kuffin.app.desks.inspect.figurespage import FiguresPage
    from kuffin.app.desks.inspect.findingspage import FindingsPage
    from kuffin.app.desks.inspect.heatpage import HeatPage
    from kuffin.app.desks.inspect.soundpage import SoundPage


_OF_A_RUN = ("run", "heat", "figures", "clock", "sound")  # pages that have nothing to say without one


@guarded
class InspectDesk(QWidget):
    """The pages, and beside their names that of the mount. All but the run itself are made when they are first turned to."""

    working = Signal(object)
    channels_wanted = Signal(int)  # a run's id
    join_wanted = Signal(int)
    one_mount_wanted = Signal()
    bench_wanted = Signal()

    def __init__(self, state: State, theme: Theme, settings: Settings) -> None:
        super().__init__()
        self._state, self._theme, self._settings = state, theme, settings
        self.title = text(style="heading", wrap=False)
        self.state_word = FewLines(1)
        self.state_word.setProperty("muted", "true")
        self.state_word.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Fixed)
        self.state_word.setMinimumWidth(84)
        self._empty = text(
            tr(
                "Inspect shows one mount's run: where it settled, what was still to go, and whether it should count. "
                "Choose a mount on the loom."
            ),
            style="muted",
        )
        self.run_page = RunPage(state, theme, settings)
        self.run_page.working.connect(self.working)
        self.run_page.channels_wanted.connect(self.channels_wanted)
        self.run_page.join_wanted.connect(self.join_wanted)
        self.run_page.finding_wanted.connect(self.show_finding)
        self.paged = PagedDesk("inspect", settings)
        self._taken: int | None = None  # the study for which one was taken
        self.tests = choice([], tr("Test of this mount"))
        self.tests.activated.connect(lambda _i: state.look_at_run(self.tests.currentData()))
        head = QHBoxLayout()
        head.addWidget(self.title)
        head.addSpacing(10)
        head.addWidget(self.tests)
        self.recheck = QCheckBox(tr("recheck"))
        self.recheck.setToolTip(
            tr(
                "The mount was left in place and tested again later: it tells of ageing, and is not "
                "part of the comparison"
            )
        )
        self.recheck.toggled.connect(self._call_recheck)
        head.addWidget(self.recheck)
        head.addSpacing(10)
        head.addWidget(self.state_word, 1)
        self.mender = link_button(
            tr("Tests of this mount …"),
            tr("Say what its logs were tested under and run with, or that other mounts' logs are tests of it"),
        )
        self.mender.clicked.connect(self.one_mount_wanted)
        head.addWidget(self.mender)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        self.paged.put_at_end(head)
        layout.addWidget(self._empty, 0, Qt.AlignmentFlag.AlignTop)
        layout.addWidget(self.paged, 1)
        self.paged.add_pages(
            [
                ("run", tr("The run"), self.run_page),
                ("findings", tr("Findings"), lambda: self.findings),
                ("heat", tr("Heat path"), lambda: self.heat),
                ("figures", tr("Figures"), lambda: self.figures),
                ("clock", tr("Clock and frames"), lambda: self.clock),
                ("sound", tr("Sound"), lambda: self.sound),
                ("before", tr("Before and after"), lambda: self.before),
            ]
        )
        state.mount_changed.connect(self.renew)
        state.verdict_changed.connect(self.renew)
        state.so_far_changed.connect(self._renew_so_far)
        self.renew()

    @cached_property
    def findings(self) -> FindingsPage:
        """What was found in the study."""
        from kuffin.app.desks.inspect.findingspage import FindingsPage

        page = FindingsPage(self._state, self._theme)
        page.working.connect(self.working)
        page.run_wanted.connect(self.show_run)
        return page

    @cached_property
    def heat(self) -> HeatPage:
        """The staircases."""
        from kuffin.app.desks.inspect.heatpage import HeatPage

        page = HeatPage(self._state, self._theme, self._settings)
        page.working.connect(self.working)
        return page

    @cached_property
    def figures(self) -> FiguresPage:
        """The run's figures."""
        from kuffin.app.desks.inspect.figurespage import FiguresPage

        page = FiguresPage(self._state)
        page.working.connect(self.working)
        return page

    @cached_property
    def clock(self) -> ClockPage:
        """Clock and frames."""
        from kuffin.app.desks.inspect.clockpage import ClockPage

        page = ClockPage(self._state, self._theme)
        page.working.connect(self.working)
        return page

    @cached_property
    def sound(self) -> SoundPage:
        """Recordings."""
        from kuffin.app.desks.inspect.soundpage import SoundPage

        page = SoundPage(self._state, self._theme)
        page.working.connect(self.working)
        page.bench_wanted.connect(self.bench_wanted)
        return page

    @cached_property
    def before(self) -> BeforePage:
        """A repaired mount's two states."""
        from kuffin.app.desks.inspect.beforepage import BeforePage

        page = BeforePage(self._state)
        page.working.connect(self.working)
        return page

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.run_page.set_theme(theme)
        for made in ("findings", "heat", "clock", "sound"):
            if made in self.__dict__:
                getattr(self, made).set_theme(theme)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self._taken = None
        self._take_one()

    def _take_one(self) -> None:
        """Nobody chose a mount yet: what waits to be looked at, else the first that has a run."""
        verdict = self._state.verdict
        if not self.isVisible() or verdict is None or self._taken == verdict.study_id:
            return
        self._taken = verdict.study_id
        if self._state.mount() is not None:
            return
        waiting = [o.mount_id for o in verdict.open_findings()]
        there = [m.id for m in self._state.mounts() if m.live_runs]
        self._state.look_at(next(iter([*waiting, *there]), None))

    def renew(self) -> None:
        """Show the chosen mount as it is now."""
        self._take_one()
        mount, verdict, run = self._state.mount(), self._state.verdict, self.run_page.run()
        there = mount is not None and run is not None
        if mount is not None and run is not None:
            result = verdict.results.get(run.id) if verdict else None
            self.title.setText(tr("{name}, round {round}", name=mount.candidate.name, round=mount.round))
            self.state_word.setText(runwords.state_words(verdict, mount, result))
            refill(self.tests, [(runwords.test_words(r), r.id) for r in mount.read_runs], run.id)
            self.recheck.blockSignals(True)
            self.recheck.setChecked(run.recheck)
            self.recheck.blockSignals(False)
        several_runs = mount is not None and len(mount.read_runs) > 1
        self.tests.setVisible(several_runs)
        self.recheck.setVisible(several_runs and run is not None and (run.recheck or _is_planned(self._state.study)))
        self.mender.setVisible(there)
        self.title.setVisible(there)
        self.state_word.setVisible(there)
        waiting = len(verdict.open_findings()) if verdict is not None else 0
        self.paged.mark_page("findings", tr("{n} open", n=waiting) if waiting else "")
        so_far = verdict is None and bool(self._state.so_far.findings)
        of_study = so_far or bool(verdict is not None and (verdict.findings or verdict.of_study))
        self._empty.setVisible(not there)
        self.paged.setVisible(there or of_study)
        study = self._state.study
        changed = study is not None and mount is not None and states_of(study, mount) is not None
        away = () if changed else ("before",)
        self.paged.show_pages(there or of_study, (*away, *_OF_A_RUN) if of_study and not there else away)

    def _call_recheck(self, on: bool) -> None:
        run, notebook = self.run_page.run(), self._state.notebook
        if run is not None and notebook is not None:
            self._state.attempt(edits.call_recheck, notebook, run.id, on)

    def _renew_so_far(self) -> None:
        if self._state.verdict is None:
            self.renew()

    def show_finding(self, mount_id: int, kind: str) -> None:
        """Turn to a finding."""
        self.paged.go("findings")
        self.findings.choose(mount_id, kind)

    def add_sounds(self, paths: list[str], mount_id: int | None = None) -> None:
        """Keep recordings of a mount, or of the one that is looked at, and turn to them."""
        if mount_id is not None:
            self._state.look_at(mount_id)
        self.sound.add(paths)
        self.paged.go("sound")

    def show_run(self, mount_id: int) -> None:
        """Turn to a mount's run."""
        self._state.look_at(mount_id)
        self.paged.go("run")

    def explain_focus(self) -> None:
        """The working of the reading (F1)."""
        self.run_page.explain_focus()


def _is_planned(study: Study | None) -> bool:
    """Whether a study plans rechecks."""
    return study is not None and bool(rechecks_of(study).days)
