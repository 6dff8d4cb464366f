"""A run that is being recorded: recorder, lead, mount check, forecast, limits and marks, put together. No window in it."""

from __future__ import annotations

import datetime as dt
import threading
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.errors import BenchError
from kuffin.core.base.saying import chained, say
from kuffin.core.bench.leading import BY_HAND, WAITING, Leader, Stage
from kuffin.core.bench.limits import Alarm, Limits
from kuffin.core.bench.protocol import Step
from kuffin.notebook.entities import Mount, Run, Study
from kuffin.notebook.runwriter import NewMark, RunWriter
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.configurations import told_of_tests
from kuffin.reading.failed import FAILED
from kuffin.reading.forecast import Forecast
from kuffin.reading.judgingrules import ways_of
from kuffin.recording.background import Thinker
from kuffin.recording.keeping import Keeping
from kuffin.recording.lookout import Lookout
from kuffin.recording.openbench import OpenBench
from kuffin.recording.recorder import Recorder
from kuffin.recording.seen import Seen, SeenNow
from kuffin.recording.troubles import Troubles
from kuffin.said.mountcheck import MountCheck


@dataclass(frozen=True, kw_only=True)
class Now:
    """How a run stands: all of it, for whoever shows it.

    Attributes
    ----------
    stage : Stage or None
        None before the start and after the end.
    left_s : float or None
        Until this phase ends, seconds of the bench.
    seen : SeenNow
        The rows up to now, the newest values, and the heat path's signals.
    load_trouble : str
        Why the load that the step wants does not run, blank where it does.
    began_load_s : float or None
        When the first step with a load began.
    usual_s : float or None
        How long the study's other runs took to settle.
    """

    elapsed_s: float
    stage: Stage | None
    left_s: float | None
    seen: SeenNow
    forecast: Forecast
    check: MountCheck | None
    alarms: tuple[Alarm, ...]
    troubles: tuple[str, ...]
    rows: int
    running: bool
    over: str = ""
    asked: tuple[str, ...] = ()
    load_on: bool = False
    load_trouble: str = ""
    began_load_s: float | None = None
    usual_s: float | None = None

    @property
    def values(self) -> dict[str, float]:
        """Each channel's newest value."""
        return self.seen.values

    @property
    def by_role(self) -> dict[str, float]:
        """Each role's newest value."""
        return self.seen.by_role


class LiveRun:
    """One run from its start to its end.

    `tick` is called a few times a second by whoever shows it, always from the same thread. What takes long is worked out
    in a thread of its own. It may be stopped at any time; what was recorded is kept.

    Parameters
    ----------
    mount : Mount or None
        Which mount it belongs to; None: the candidate's next one.
    """

    def __init__(
        self,
        notebook: Notebook,
        study: Study,
        candidate: str,
        mount: Mount | None,
        bench: OpenBench,
        steps: Sequence[Step],
        limits: Limits,
        go_on: Run | None = None,
    ) -> None:
        self.notebook, self.study, self.candidate, self.mount, self.bench = notebook, study, candidate, mount, bench
        self.steps, self.limits = tuple(steps), limits
        ways = ways_of(notebook, study)
        self.seen = Seen(bench, ways, study, mount)
        started = dt.datetime.now()
        first, from_s = 1, 0.0
        self._writer = RunWriter(
            notebook,
            study.id,
            candidate,
            bench.channels,
            bench.name,
            started.isoformat(timespec="seconds"),
            mount.id if mount is not None else None,
            told_of_tests(study, candidate, ways.bench, ways.shelf, self.steps),
        )
        self._first_marks: list[NewMark] = []
        if go_on is not None:
            first, from_s = self._take_up(go_on, started)
        self.lookout = Lookout(
            bench, limits, lambda: self.load_on, lambda: self.recorder.elapsed_s, self._passed, self._noticed
        )
        self.recorder = Recorder(
            bench.instruments,
            self._writer.add,
            bench.interval_s,
            bench.speed,
            bench.pace,
            self.seen.add,
            from_s,
            self.lookout.hear,
            self._writer.keep_marks,
        )
        self.keeping = Keeping(self.recorder, self._writer, f"{candidate} {started:%Y-%m-%d %H.%M}")
        self.leader = Leader(self.steps, bench.load.sets, first, from_s)
        self.over = ""
        self.asked: list[str] = []
        self.began_load_s: float | None = None
        self._before: Stage | None = None
        self._troubles = Troubles(self.recorder, self._writer.mark)
        self._stop = threading.Event()
        self._ending = threading.Lock()
        self._off = False  # from now on no load is started
        self._thinker = Thinker(self)

    def _take_up(self, run: Run, now: dt.datetime) -> tuple[int, float]:
        """Go on with a run that was cut off: its step again, after the gap.

        Raises
        ------
        BenchError
            Where the bench has other channels now.
        """
        had, have = [c.name for c in run.channels], [c.name for c in self.bench.roles]
        if had != have:
            raise BenchError(
                "the run that was cut off has other channels ({had} …) than this bench ({have} …); choose the bench it was recorded from, or close it as it is",
                had=", ".join(had[:4]),
                have=", ".join(have[:4]),
            )
        self._writer.go_on_with(run.id)
        last = run.duration_s
        gap = 1.0
        if run.started_at:
            gap = max(1.0, (now - dt.datetime.fromisoformat(run.started_at)).total_seconds() * self.bench.speed - last)
        done = read_run(self.notebook, run.id)
        self.seen.tape.add_block(
            np.column_stack([done.times, *(done.values[n] for n, *_ in self.bench.roles if n in done.values)])
        )
        numbers = [m.value for m in run.marks if m.kind == "stage" and m.value]
        self._first_marks.append(
            NewMark(
                at_s=last,
                kind="trouble",
                text=say("the recording was cut off here and went on after {gap:.0f} s", gap=float(gap)),
                value=gap,
                unit="s",
            )
        )
        return int(numbers[-1]) if numbers else 1, last + gap

    # --- from outside ----------------------------------------------------------------------------------------------

    def start(self) -> None:
        """Begin to record."""
        self._writer.begin()
        for mark in self._first_marks:
            self._writer.mark(mark)
        self.bench.pace.looked("lead")
        self.recorder.start()
        self.lookout.start()
        self._thinker.start()

    @property
    def run_id(self) -> int | None:
        """The run's id in the notebook; None until its first row is kept."""
        return self._writer.run_id

    @property
    def running(self) -> bool:
        """Whether it goes on."""
        return not self._stop.is_set()

    @property
    def check(self) -> MountCheck | None:
        """The mount check, once it could be made."""
        return self._thinker.check

    @property
    def forecast(self) -> Forecast:
        """Where the step that is on is heading."""
        return self._thinker.forecast

    @property
    def usual_s(self) -> float | None:
        """How long the study's other runs took to settle."""
        return self._thinker.usual_s

    def wait(self, seconds: float) -> bool:
        """Wait; True where the run has ended meanwhile."""
        return self._stop.wait(seconds)

    def seen_now(self) -> SeenNow:
        """What was seen up to now; from any thread."""
        return self.seen.now(self.recorder.last[0] if self.recorder.last else 0.0)

    def tick(self) -> Now:
        """Go on as far as the time says, and tell how things stand."""
        self.bench.pace.looked("lead")
        now = self.recorder.elapsed_s
        seen = self.seen_now()
        if self.running:
            settled = self.forecast.settled and self.forecast.looked_s > self._step_began(now)
            stage = self.leader.at(now, settled, self._thinker.looks_bad)
            if stage is None:
                self._finish(say("the protocol is through"))
            elif stage != self._before:
                self._enter(stage, now)
            if self.load_on and (trouble := self.bench.load.trouble()):
                self._writer.mark(NewMark(at_s=now, kind="trouble", text=trouble))
                self.leader.wait(now, trouble)
            self._troubles.note(now)
        stage = self.leader.stage if self.running else None
        expected = self.forecast.left_s
        if expected is not None:
            expected -= now - self.forecast.looked_s
            expected = expected if expected > 0 else None  # it takes longer than was foreseen
        troubles = [t.text for t in self.recorder.troubles()] if self.running else []
        return Now(
            elapsed_s=now,
            stage=stage,
            left_s=self.leader.left_s(now, expected) if stage is not None else None,
            seen=seen,
            forecast=self.forecast,
            check=self.check,
            alarms=self.lookout.alarms,
            troubles=tuple(troubles),
            rows=self.recorder.rows,
            running=self.running,
            over=self.over,
            asked=tuple(self.asked),
            load_on=self.load_on,
            load_trouble=self.bench.load.trouble() if self.running else "",
            began_load_s=self.began_load_s,
            usual_s=self.usual_s,
        )

    @property
    def load_on(self) -> bool:
        """Whether the step's load runs now."""
        stage = self.leader.stage
        return self.running and stage is not None and bool(stage.step.load) and self._loaded(stage)

    def _loaded(self, stage: Stage) -> bool:
        """Whether the load runs in a stage; until a person has done what is waited for, it is as it was in the step before."""
        if stage.phase != WAITING:
            return bool(stage.step.load)
        return bool(stage.to_do) and stage.number > 1 and bool(self.steps[stage.number - 2].load)

    def acted(self) -> None:
        """The person did what was asked: the load runs, or is stopped. One that is started by a command is started again."""
        stage = self.leader.stage
        if stage is not None and stage.phase == WAITING:
            self._put_on(stage.step)
            if not self.bench.load.trouble():
                self.leader.acted(self.recorder.elapsed_s)

    def hold(self, on: bool) -> None:
        """Hold the run in its phase, or let it go on."""
        now = self.recorder.elapsed_s
        self.leader.hold(on, now)
        self._writer.mark(NewMark(at_s=now, kind="stage", text=say("held") if on else say("goes on"), value=None))

    def carry_on(self) -> None:
        """Go on in spite of a mount check that looks bad."""
        self.mark(say("carried on in spite of the mount check"))
        if self.leader.stage is not None and self.leader.stage.step.settle == "check":
            self.hold(False)

    def skip(self, reason: str) -> None:
        """On to the next phase, with the reason."""
        now, stage = self.recorder.elapsed_s, self.leader.stage
        what = stage.words if stage is not None else say("a step")
        why = reason.strip() or say("no reason given")
        self._writer.mark(NewMark(at_s=now, kind="skip", text=say("{what} skipped: {why}", what=what, why=why)))
        self.leader.skip(now)

    def repeat(self) -> None:
        """The step again."""
        now = self.recorder.elapsed_s
        self.leader.repeat(now)
        self._writer.mark(NewMark(at_s=now, kind="stage", text=say("the step is repeated"), value=None))

    def mark(self, word: str = "", at_s: float | None = None, kind: str = "mark") -> None:
        """Mark a moment."""
        self._writer.mark(NewMark(at_s=self.recorder.elapsed_s if at_s is None else at_s, kind=kind, text=word))

    def answer(self, name: str, value: float, unit: str = "") -> None:
        """Keep a number that was asked for."""
        self._writer.mark(NewMark(at_s=self.recorder.elapsed_s, kind="value", text=name, value=value, unit=unit))
        if name in self.asked:
            self.asked.remove(name)

    def stop(self, why: str = BY_HAND) -> None:
        """End the run now, keep it, and stop the load."""
        if self.running:
            self._finish(why)

    def close(self, resumable: bool = False) -> bool:
        """Let the instruments go and end the run in its notebook; nobody is told: that is for the window's thread.

        Parameters
        ----------
        resumable : bool
            Whether it stays open in the notebook, to be gone on with or closed at the next start.

        Returns
        -------
        bool
            Whether all of it is kept; where not, `keeping` tries again, or writes it elsewhere.
        """
        self.stop()
        self._stop.set()
        self._thinker.wait()
        self.recorder.stop()
        return self.keeping.keep(resumable)

    # --- inside ----------------------------------------------------------------------------------------------------

    def _put_on(self, step: Step) -> None:
        """Bring the load to what a step wants, unless the run is ending."""
        if not self._off:
            self.bench.load.apply(step)
            if self._off:  # a limit was passed meanwhile
                self.bench.load.stop()

    def _finish(self, why: str) -> None:
        """End the run, the load first; where only a person can stop it, that is what is said. From any thread, once."""
        self._off = True
        stopped = self.bench.load.stop()
        with self._ending:
            if self._stop.is_set():
                return
            stage = self._before
            loaded = stage is not None and self._loaded(stage) and (stage.number > 1 or bool(stage.step.load))
            self.over = why
            if loaded:
                self.over = chained(
                    [why, say("The load is stopped" if stopped else "STOP THE LOAD NOW: only you can")], ". "
                )
            self._stop.set()
        self.lookout.end()
        self.bench.pace.left("lead")
        self._troubles.note_counts(self.recorder.elapsed_s)
        self._writer.mark(
            NewMark(at_s=self.recorder.elapsed_s, kind="stage", text=say("ended: {over}", over=self.over))
        )

    def _step_began(self, now: float) -> float:
        stage = self.leader.stage
        return now if stage is None else stage.begun_s

    def _enter(self, stage: Stage, now: float) -> None:
        before, self._before = self._before, stage
        new_step = before is None or before.number != stage.number or before.attempt != stage.attempt
        if new_step and before is not None and before.step.ask and before.number != stage.number:
            self.asked += [a.strip() for a in before.step.ask.split(",") if a.strip()]
        if new_step:
            if stage.step.load:  # while it cools down, what was found stays to be seen
                self._thinker.forget()
            if stage.phase != WAITING:
                self._put_on(stage.step)
        loaded = bool(stage.step.load) and self._loaded(stage)
        if loaded and self.began_load_s is None:
            self.began_load_s = now
        if before is None or (stage.number, stage.phase, stage.attempt) != (
            before.number,
            before.phase,
            before.attempt,
        ):
            self._writer.mark(
                NewMark(at_s=now, kind="stage", text=stage.words, value=float(stage.number), unit=stage.phase)
            )

    def _passed(self, alarm: Alarm) -> None:
        """A limit was passed: the load is stopped before anything is written."""
        self._finish(alarm.sentence)
        if alarm.limit == "die_c":
            self._writer.mark(NewMark(at_s=self.recorder.elapsed_s, kind=FAILED, text=alarm.sentence))

    def _noticed(self, alarm: Alarm) -> None:
        self._writer.mark(NewMark(at_s=self.recorder.elapsed_s, kind="alarm", text=alarm.sentence))
