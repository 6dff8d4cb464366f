"""What is run next, and from which bench it is recorded."""

from __future__ import annotations

import datetime as dt
import re

from kuffin.app.base.settings import Settings, demo_cache
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.demo.practising import Practice
from kuffin.instruments.setup import load_setup
from kuffin.notebook.entities import Candidate, Mount
from kuffin.recording.ofstudy import open_simulated
from kuffin.recording.openbench import OpenBench, simulated
from kuffin.recording.thisbench import open_this_bench, set_up_words
from kuffin.said.ageingwords import due_words
from kuffin.simulated.livebench import SimulatedBench
from kuffin.verdict.ageing import due_rechecks
from kuffin.verdict.planbasis import next_mount, order_of

SPEEDS = (1, 10, 60, 300)
_USUAL = "simulated 60"
THIS = "this"


class Choosing:
    """The choice on the Run desk; a mount's id, or ``new 3`` for another mount of candidate 3.

    Attributes
    ----------
    practice : Practice or None
        A fault that is hidden in the next run of this notebook.
    """

    def __init__(self, state: State, shelf: ShelfState, settings: Settings) -> None:
        self._state, self._shelf, self._settings = state, shelf, settings
        self.chosen: object = None
        self.practice: Practice | None = None

    @property
    def bench(self) -> str:
        """The bench in use: the simulated one at first in the demo, the person's own in their own notebooks."""
        usual = _USUAL if self.made_up else THIS
        found = self._settings.value(self._key, usual)
        return found if found == THIS or re.fullmatch(r"simulated [1-9]\d{0,2}", found) else usual

    @property
    def made_up(self) -> bool:
        """Whether the notebook is the demo's or a practice one, where made-up runs do no harm."""
        notebook = self._state.notebook
        return notebook is not None and notebook.path.resolve().parent == demo_cache().resolve()

    @property
    def _key(self) -> str:
        return "demo bench" if self.made_up else "bench"

    def take_bench(self, bench: object) -> None:
        """Take another bench, and remember it."""
        self._settings.set_value(self._key, str(bench))

    @property
    def speed(self) -> float:
        """How fast the bench runs."""
        if self.bench == THIS:
            return 60.0 if self.practice is not None else 1.0
        return float(self.bench.split()[1])

    def mounts(self) -> list[tuple[str, object]]:
        """What can be run, with what it is known by; the choice is brought into line with it."""
        study = self._state.study
        if study is None:
            return []
        planned = [m for m in order_of(study) if not m.live_runs and m.open_run is None]
        listed: list[tuple[str, object]] = [
            (
                tr("{name}, round {round}", name=m.candidate.name, round=m.round)
                + (tr(" · ready to run") if m.ready_at else ""),
                m.id,
            )
            for m in planned
        ]
        now = dt.datetime.now()
        listed += [
            (tr("{label} · recheck, {due}", label=d.label, due=due_words(d, now)), d.mount.id)
            for d in due_rechecks(study)
        ]
        listed += [(tr("{name}, another mount", name=c.name), tr("new {id}", id=c.id)) for c in study.live_candidates]
        known = [key for _, key in listed]
        coming = next_mount(study)
        if self.chosen not in known:
            self.chosen = coming.id if coming is not None and coming.id in known else (known or [None])[0]
        return listed

    def benches(self) -> list[tuple[str, object]]:
        """The benches there are."""
        listed: list[tuple[str, object]] = [
            (
                tr("the simulated bench, {s}× life", s=s) if s != 1 else tr("the simulated bench"),
                tr("simulated {s}", s=s),
            )
            for s in SPEEDS
        ]
        return [*listed, (tr("this computer's instruments"), THIS)]

    def bench_words(self) -> tuple[str, bool]:
        """What the bench is, and whether one can record from it."""
        if self.practice is not None:
            return (
                tr(
                    "Practice: one fault is hidden in this run. Watch it, decide what you would do, and "
                    "say afterwards what was wrong."
                ),
                True,
            )
        if self.bench == THIS:
            return set_up_words(self._shelf.steps, self._settings.bench_path)
        words = tr(
            "A made-up machine with its loop, to learn on: what it records is no measurement, "
            "and says so in the run's source."
        )
        if not self.made_up:
            words += tr(" In a study of your own, leave such a run out afterwards: it would count as evidence.")
        return words, True

    def roles(self) -> set[str | None]:
        """What the channels of the bench in use tell."""
        if self.bench == THIS and self.practice is None:
            try:
                return {c.role for c in load_setup(self._settings.bench_path).channels}
            except BenchError:
                return set()
        return {c.role for c in SimulatedBench.channels}

    def what(self) -> tuple[Candidate | None, Mount | None]:
        """The candidate and the mount that are chosen; no mount: a new one is made."""
        study = self._state.study
        if study is None or self.chosen is None:
            return None, None
        if isinstance(self.chosen, str):
            return study.candidate(int(self.chosen.split()[1])), None
        mount = next((m for m in self._state.mounts() if m.id == self.chosen), None)
        return (mount.candidate if mount is not None else None), mount

    def title(self) -> str:
        """What is run next, in words; blank where there is nothing."""
        candidate, mount = self.what()
        if candidate is None:
            return ""
        again = tr(", recheck") if mount is not None and mount.live_runs else ""
        return (
            tr("{name}, round {round}{again}", name=candidate.name, round=mount.round, again=again)
            if mount
            else tr("{name}, another mount", name=candidate.name)
        )

    def open_bench(self, candidate: Candidate, mount: Mount | None) -> OpenBench:
        """Open the bench that is chosen.

        Raises
        ------
        BenchError
        """
        study = self._state.study
        assert study is not None
        if self.practice is not None:
            number = mount.round if mount is not None else len(candidate.live_mounts) + 1
            plan, fault = self.practice.plan(candidate.name, number)
            return simulated(plan, self.practice.seed, self.speed, fault)
        if self.bench == THIS:
            return open_this_bench(self._shelf.steps, self._settings.bench_path)
        return open_simulated(study, candidate, mount, self.speed)
