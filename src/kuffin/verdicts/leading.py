"""Leading a run through its protocol: which step is on, whether it has settled, when the next one begins."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from kuffin.core.errors import KuffinError
from kuffin.core.protocol import Step
from kuffin.verdicts.results import settle_trace
from kuffin.verdicts.signals import Signals

_LOOK_EVERY_S = 60.0
_FIRST_LOOK_S = 420.0


@dataclass(frozen=True)
class Stage:
    """Where a run stands.

    Attributes
    ----------
    phase : str
        ``settling`` or ``measuring``.
    why : str
        Why the phase before ended, blank in the first.
    """

    step: Step
    number: int
    phase: str
    begun_s: float
    why: str = ""

    @property
    def words(self) -> str:
        """In words."""
        return f"{self.step.name}, {self.phase}"


class Leader:
    """Goes through a protocol's steps; asked about once a second, it says where the run stands.

    Parameters
    ----------
    steps : sequence of Step
    trace : str
        The trace that must settle, such as ``coolant_over_air``.
    tolerance_k : float
    signals : callable
        The run's signals so far.
    """

    def __init__(
        self, steps: Sequence[Step], trace: str, tolerance_k: float, signals: Callable[[], Signals | None]
    ) -> None:
        self._steps, self._trace, self._tolerance_k, self._signals = steps, trace, tolerance_k, signals
        self._looked_s = 0.0
        self.stage: Stage | None = Stage(steps[0], 1, "settling", 0.0)

    def at(self, now_s: float) -> Stage | None:
        """The stage at some time of the run, None where it is over."""
        stage = self.stage
        if stage is None:
            return None
        since = now_s - stage.begun_s
        if stage.phase == "settling":
            why = self._settled(stage, since, now_s)
            if why:
                self.stage = Stage(stage.step, stage.number, "measuring", now_s, why)
        elif since >= 60 * stage.step.measure_min:
            self._next(now_s)
        return self.stage

    def _next(self, now_s: float) -> None:
        number = self.stage.number if self.stage is not None else 0
        self.stage = Stage(self._steps[number], number + 1, "settling", now_s) if number < len(self._steps) else None
        self._looked_s = now_s

    def _settled(self, stage: Stage, since: float, now_s: float) -> str:
        """Why settling is over, blank where it goes on."""
        if since >= 60 * stage.step.longest_min:
            return "by the clock" if stage.step.settle == "clock" else "the longest time is over, not settled"
        if stage.step.settle == "clock" or since < _FIRST_LOOK_S or now_s - self._looked_s < _LOOK_EVERY_S:
            return ""
        self._looked_s = now_s
        signals = self._signals()
        if signals is None:
            return ""
        try:
            return "settled" if settle_trace(signals, self._trace, self._tolerance_k).settled else ""
        except KuffinError:
            return ""
