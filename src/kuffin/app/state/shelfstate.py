"""What stands behind a study: the shelf, its bench, its protocol, and what the notebook's studies have taught."""

from __future__ import annotations

from PySide6.QtCore import QObject, Signal

from kuffin.app.base.jobs import Task
from kuffin.app.state.windowstate import State
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.bench.protocol import Step
from kuffin.notebook.entities import Bench, Part, Protocol
from kuffin.notebook.planedits import protocols
from kuffin.notebook.shelf import benches, parts
from kuffin.verdict.planbasis import AssumedScatter, Durations, durations, judged_studies, scatter_of, steps_of
from kuffin.verdict.study import StudyVerdict


class ShelfState(QObject):
    """Read anew after every edit; desks listen to `changed`."""

    changed = Signal()

    def __init__(self, state: State) -> None:
        super().__init__(state)
        self._state = state
        self.parts: list[Part] = []
        self.benches: list[Bench] = []
        self.protocols: list[Protocol] = []
        self._others: list[StudyVerdict] = []
        self._asked_of: object = None
        state.notebook_changed.connect(self._forget)
        state.study_changed.connect(self.renew)
        state.verdict_changed.connect(self.changed)

    def _forget(self) -> None:
        self._others, self._asked_of = [], None

    def renew(self) -> None:
        """Read the shelf again."""
        notebook = self._state.notebook
        if notebook is None:
            self.parts, self.benches, self.protocols = [], [], []
        else:
            try:
                self.parts, self.benches, self.protocols = parts(notebook), benches(notebook), protocols(notebook)
            except KuffinError as error:
                self._state.trouble.emit(str(error))
        self.changed.emit()

    def _learn(self) -> None:
        """Judge the notebook's other studies once, off the window's thread, where something first rests on them."""
        notebook = self._state.notebook
        if notebook is None or self._state.verdict is None or self._asked_of is notebook:
            return
        self._asked_of = notebook

        def work(_task: Task) -> list[StudyVerdict]:
            return judged_studies(notebook)

        def done(found: list[StudyVerdict]) -> None:
            if self._asked_of is self._state.notebook:
                self._others = found
                self.changed.emit()

        self._state.jobs.start(tr("looking at earlier studies"), work, done)

    # --- of the study ----------------------------------------------------------------------------------------------

    @property
    def bench(self) -> Bench | None:
        """The study's bench, else the notebook's first."""
        study = self._state.study
        chosen = next((b for b in self.benches if study is not None and b.id == study.bench_id), None)
        return chosen or (self.benches[0] if self.benches else None)

    @property
    def protocol(self) -> Protocol | None:
        """The study's protocol, None where it takes the usual steps."""
        study = self._state.study
        return next((p for p in self.protocols if study is not None and p.id == study.protocol_id), None)

    @property
    def steps(self) -> tuple[Step, ...]:
        return steps_of(self.protocol)

    def judged(self) -> list[StudyVerdict]:
        """All that is judged: this study as it is now, the others as they were; these are looked at where first asked for."""
        self._learn()
        now = self._state.verdict
        if now is None:
            return self._others
        return [now, *(v for v in self._others if v.study_id != now.study_id)]

    def scatter(self) -> AssumedScatter | None:
        """The scatter a plan assumes."""
        return None if self._state.study is None else scatter_of(self._state.study, self.judged())

    def durations(self) -> Durations | None:
        """How long things take."""
        return None if self._state.study is None else durations(self._state.study, self.steps, self.judged())

    def of_kind(self, *kinds: str) -> list[Part]:
        """The parts of some kinds."""
        return [p for p in self.parts if p.kind in kinds]

    def part(self, part_id: int | None) -> Part | None:
        return next((p for p in self.parts if p.id == part_id), None)
