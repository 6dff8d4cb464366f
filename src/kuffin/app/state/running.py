"""The run that is being recorded, as the window sees it: it goes on whatever desk one looks at."""

from __future__ import annotations

from typing import TYPE_CHECKING

from PySide6.QtCore import QObject, QTimer, Signal

from kuffin.app.state.windowstate import State
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say, told
from kuffin.core.bench.leading import step_s
from kuffin.core.compare.pairwords import number
from kuffin.notebook.entities import Mount, Run

if TYPE_CHECKING:
    from kuffin.recording.liverun import LiveRun, Now
    from kuffin.recording.openbench import OpenBench

_TICK_MS = 200
_RETRY_MS = 2000


class Running(QObject):
    """Starts, leads and ends a run. `ticked` comes a few times a second, with how it stands."""

    started = Signal()
    ticked = Signal(object)  # a Now
    ended = Signal(int, str)  # the run's id (0 for none), why it ended
    unkept = Signal(str)  # what waits for room after the end; blank: nothing any more

    def __init__(self, state: State, parent: QObject) -> None:
        super().__init__(parent)
        self._state = state
        self.live: LiveRun | None = None
        self.now: Now | None = None
        self._closing = False
        self._retry = QTimer(self)
        self._retry.setSingleShot(True)
        self._retry.setInterval(_RETRY_MS)
        self._retry.timeout.connect(self._keep)
        self._timer = QTimer(self)
        self._timer.setInterval(_TICK_MS)
        self._timer.timeout.connect(self._tick)

    @property
    def active(self) -> bool:
        return self.live is not None

    @property
    def mount_id(self) -> int | None:
        """The mount that is on the bench."""
        return self.live.mount.id if self.live is not None and self.live.mount is not None else None

    def start(self, candidate: str, mount: Mount | None, bench: OpenBench, go_on: Run | None = None) -> bool:
        """Begin a run; what goes wrong is said."""
        from kuffin.recording.liverun import LiveRun  # settling is a heavy import: not at the start
        from kuffin.recording.ofstudy import protocol_of, steps_and_limits

        state = self._state
        if self.live is not None or state.notebook is None or state.study is None:
            state.trouble.emit(tr("a run is being recorded already"))
            return False
        if state.notebook.read_only:
            state.trouble.emit(
                tr("{name} is read-only; save a copy and record into that", name=state.notebook.path.name)
            )
            return False
        try:
            steps, limits = steps_and_limits(protocol_of(state.notebook, state.study))
            self.live = LiveRun(state.notebook, state.study, candidate, mount, bench, steps, limits, go_on)
            self.live.start()
        except KuffinError as error:
            self.live = None
            state.trouble.emit(str(error))
            return False
        self._closing, self.now = False, None
        self._timer.start()
        self.started.emit()
        self._tick()
        return True

    def _tick(self) -> None:
        if self.live is None or self._closing:
            return
        before, self.now = self.now, self.live.tick()
        self._complain(before.troubles if before is not None else (), self.now)
        self.ticked.emit(self.now)
        if not self.now.running:
            self._close()

    def _complain(self, had: tuple[str, ...], now: Now) -> None:
        """Say in the strip what went wrong, whatever page one looks at."""
        if len(now.troubles) > len(had):
            self._state.trouble.emit(told(now.troubles[-1]))

    def stop(self, why: str = "") -> None:
        """End the run in order; what was recorded is kept."""
        if self.live is not None:
            self.live.stop(*([why] if why else []))
            self._tick()

    def _close(self) -> None:
        """Let the instruments go, off the window's thread: a dead one can take its time."""
        live = self.live
        if live is None or self._closing:
            return
        self._closing = True
        self._timer.stop()
        self._state.jobs.start(tr("closing the run"), lambda _task: live.close(), self._kept, self._state.trouble.emit)

    def _keep(self) -> None:
        """Try again to keep what waits for room."""
        if self.live is not None:
            keeping = self.live.keeping
            self._state.jobs.start(
                tr("keeping the run"), lambda _task: keeping.keep(), self._kept, self._state.trouble.emit
            )

    def _kept(self, whole: object) -> None:
        live = self.live
        if live is None:
            return  # written elsewhere meanwhile
        if whole:
            self._closed()
        else:
            self.unkept.emit(told(live.keeping.unkept))
            self._retry.start()

    def write_elsewhere(self) -> None:
        """Write what waits for room as a log in another place, and say where."""
        if self.live is None:
            return
        try:
            said = self.live.keeping.rescue()
        except KuffinError as error:
            self._state.trouble.emit(str(error))
            return
        self._closed()
        self._state.trouble.emit(said)  # after the notebook told of its change: it stays to be read

    def _closed(self) -> None:
        live = self.live
        if live is None:
            return
        run_id, over = live.run_id or 0, live.over
        passed = any(a.stop for a in live.lookout.alarms)
        self._retry.stop()
        self.live = None
        self._closing = False
        self.unkept.emit("")
        if self._state.notebook is not None:
            self._state.notebook.changed()
        if passed:
            self._state.trouble.emit(told(over))  # after the notebook told of its change: it stays to be read
        self.ended.emit(run_id, over)

    def stop_now(self) -> str:
        """End at once and wait for it: the window is closing. The run stays open, to be gone on with at the next start.

        What the notebook cannot take is written elsewhere.

        Returns
        -------
        str
            What has to be said of it, blank for nothing.

        Raises
        ------
        NotebookError
            Where there is no room anywhere; it waits on.
        """
        said = ""
        if self.live is not None:
            self._timer.stop()
            self._retry.stop()
            self._closing = True
            self.live.stop(say("the window was closed"))
            if not self.live.close(resumable=True):
                said = self.live.keeping.rescue()
            self.live = None
        return said

    def share(self) -> float:
        """How far the run is, 0 to 1, by what its steps are expected to take."""
        live, now = self.live, self.now
        if live is None or now is None or now.stage is None:
            return 0.0
        done, total = 0.0, 0.0
        for i, step in enumerate(live.steps, 1):
            length = step_s(step, now.usual_s)
            total += length
            if i < now.stage.number:
                done += length
            elif i == now.stage.number:
                left = now.left_s if now.left_s is not None else length / 2
                rest = left + (60 * step.measure_min if now.stage.phase != "measuring" else 0.0)
                done += max(0.0, length - rest)
        return min(done / max(total, 1.0), 1.0)

    def strip_words(self) -> str:
        """The bench in a line: air, coolant, power, sound, how long it records."""
        now = self.now
        if self.live is None or now is None:
            return ""
        parts = []
        for role, label, unit, digits in (
            ("air", tr("air"), "", 1),
            ("coolant", tr("coolant"), "", 1),
            ("power", "", " W", 0),
            ("sound", "", " dBA", 0),
        ):
            if role in now.by_role:
                parts.append(f"{label} {number(now.by_role[role], digits)}{unit}".strip())
        seconds = int(now.elapsed_s)
        clock = f"{seconds // 3600:02d}:{seconds // 60 % 60:02d}:{seconds % 60:02d}"
        fast = tr(" at {speed:g}×", speed=self.live.bench.speed) if self.live.bench.speed != 1 else ""
        return " · ".join([*parts, tr("recording {clock}{fast}", clock=clock, fast=fast)])
