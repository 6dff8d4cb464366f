"""Leading a run through its protocol: which step is on, whether it has settled, when the next one begins."""

from __future__ import annotations

from collections.abc import Callable, Collection, Sequence
from dataclasses import dataclass, replace

from kuffin.core.base.saying import Saying, say
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.protocol import CHECK_MIN, OWN_FIELDS, Step
from kuffin.core.bench.testsettings import written_or

BY_HAND = say("stopped by hand")  # why a run ended that a person stopped
WAITING, SETTLING, MEASURING = "waiting", "settling", "measuring"

_OVER = {  # why the longest time ends a step
    "detect": say("the longest time is over, not settled"),
    "clock": say("by the clock"),
    "check": say("the mount could not be checked"),
}


@dataclass(frozen=True, kw_only=True)
class Stage:
    """Where a run stands.

    Attributes
    ----------
    phase : str
        ``waiting`` for a person to start or stop the load, ``settling`` or ``measuring``.
    why : str
        Why the phase before ended, blank in the first.
    held : bool
        Whether a person holds it here.
    attempt : int
        1, or more where the step was repeated.
    to_do : tuple of str
        What a person has to set before the step can go on, each as one says it.
    """

    step: Step
    number: int
    phase: str
    begun_s: float
    why: str = ""
    held: bool = False
    attempt: int = 1
    to_do: tuple[str, ...] = ()

    @property
    def words(self) -> Saying:
        """In words."""
        if self.phase == WAITING:
            return say("{step}, waiting for you", step=self.step.name)
        if self.phase == MEASURING:
            return say("{step}, measuring", step=self.step.name)
        if self.step.load:
            return say("{step}, warming up", step=self.step.name)
        return say("{step}, waiting", step=self.step.name)


def step_s(step: Step, usual_s: float | None) -> float:
    """How long a step is expected to take, with what the study's other runs took to settle."""
    settling = 60 * (CHECK_MIN if step.settle == "check" else step.longest_min)
    if step.settle == "detect" and usual_s is not None:
        settling = usual_s
    return min(settling, 60 * step.longest_min) + 60 * step.measure_min


def run_s(steps: Sequence[Step], usual_s: float | None) -> float:
    """How long a whole run is expected to take."""
    return sum(step_s(s, usual_s) for s in steps)


ALL = frozenset(OWN_FIELDS)  # what a bench can set by itself
Sets = Callable[[Step], Collection[str]]


def to_do(step: Step, before: Step | None, sets: Collection[str]) -> tuple[str, ...]:
    """What a person has to set when a step begins, as far as the bench does not do it by itself.

    Parameters
    ----------
    before : Step or None
        The step before; None at the beginning.
    sets : collection of str
        What the bench sets by itself: ``load``, or a setting of the step.
    """
    out = list[str]()
    for key, value in step.settings.items():
        had = None if before is None else before.value_of(key)
        if key not in {"load", "power_w"} and value != had and key not in sets:
            called = say(OF_TEST[key].called) if key in OF_TEST else f"“{key}”"
            out.append(say("set {what} to {value}", what=called, value=written_or(key, value)))
    loaded = before is not None and bool(before.load)
    if "load" not in sets and bool(step.load) != loaded:
        if not step.load:
            out.append(say("stop the load"))
        elif step.power_w:
            out.append(say("start the load “{load}” at {power:g} W", load=step.load, power=step.power_w))
        else:
            out.append(say("start the load “{load}”", load=step.load))
    watts = before.power_w if before is not None and step.load and step.load == before.load else step.power_w
    if step.power_w is not None and step.power_w != watts and "power_w" not in sets:
        out.append(say("set the load to {power:g} W", power=step.power_w))
    return tuple(out)


class Leader:
    """Goes through a protocol's steps; asked about once a second, it says where the run stands.

    Parameters
    ----------
    steps : sequence of Step
    sets : callable
        What the bench sets by itself for a step; all else a person does, and confirms.
    first : int
        The step to begin with, counted from 1.
    """

    def __init__(self, steps: Sequence[Step], sets: Sets = lambda _: ALL, first: int = 1, now_s: float = 0.0) -> None:
        self._steps, self._sets = steps, sets
        self.stage: Stage | None = None
        self._begin(first, now_s, "")

    def at(self, now_s: float, settled: bool, looks_bad: bool | None = None) -> Stage | None:
        """The stage at some time of the run, None where it is over.

        Parameters
        ----------
        settled : bool
            Whether the trace that matters has settled in this step.
        looks_bad : bool or None
            What the mount check says, None before it is made. A step that waits for it is held where it looks bad.
        """
        stage = self.stage
        if stage is None or stage.phase == WAITING or stage.held:
            return stage
        since = now_s - stage.begun_s
        if stage.phase == SETTLING:
            why = ""
            if since >= 60 * stage.step.longest_min:
                why = _OVER[stage.step.settle]
            elif stage.step.settle == "detect" and settled:
                why = say("settled")
            elif stage.step.settle == "check" and looks_bad is not None:
                why = say("the mount looks right")
                if looks_bad:
                    self.hold(True, now_s)
                    return self.stage
            if why and stage.step.measure_min > 0:
                self.stage = replace(stage, phase=MEASURING, begun_s=now_s, why=why)
            elif why:
                self._begin(stage.number + 1, now_s, why)
        elif since >= 60 * stage.step.measure_min:
            self._begin(stage.number + 1, now_s, say("measured"))
        return self.stage

    def left_s(self, now_s: float, expected_s: float | None = None) -> float | None:
        """Seconds until this phase ends; `expected_s` is when a step that settles by detection is expected to."""
        stage = self.stage
        if stage is None or stage.phase == WAITING or stage.held:
            return None
        most = 60 * (stage.step.measure_min if stage.phase == MEASURING else stage.step.longest_min)
        left = max(0.0, stage.begun_s + most - now_s)
        if stage.phase == SETTLING and stage.step.settle == "detect" and expected_s is not None:
            return min(left, max(expected_s, 0.0))
        return left

    def wait(self, now_s: float, why: str) -> None:
        """Wait for the load, which does not run; the step begins anew when it does."""
        stage = self.stage
        if stage is not None and stage.phase != WAITING:
            self.stage = replace(
                stage, phase=WAITING, begun_s=now_s, why=why, held=False, attempt=stage.attempt + 1, to_do=()
            )

    def acted(self, now_s: float) -> None:
        """The person has done what was waited for."""
        if self.stage is not None and self.stage.phase == WAITING:
            self.stage = replace(self.stage, phase=SETTLING, begun_s=now_s)

    def hold(self, on: bool, now_s: float) -> None:
        """Stay in this phase until it is let go; a phase by the clock begins anew then."""
        if self.stage is not None and self.stage.step.settle == "check" and not on and self.stage.held:
            self._begin(self.stage.number + 1, now_s, say("carried on"))
        elif self.stage is not None and self.stage.held != on:
            begun = self.stage.begun_s if on or self.stage.phase == SETTLING else now_s
            self.stage = replace(self.stage, held=on, begun_s=begun)

    def skip(self, now_s: float) -> None:
        """On to the next phase, now."""
        stage = self.stage
        if stage is None:
            return
        if stage.phase == SETTLING and stage.step.measure_min > 0:
            self.stage = replace(stage, phase=MEASURING, begun_s=now_s, why=say("skipped"), held=False)
        else:
            self._begin(stage.number + 1, now_s, say("skipped"))

    def repeat(self, now_s: float) -> None:
        """The step again, from its beginning."""
        if self.stage is not None:
            self.stage = replace(
                self.stage,
                phase=SETTLING,
                begun_s=now_s,
                why=say("repeated"),
                held=False,
                attempt=self.stage.attempt + 1,
            )

    def stop(self) -> None:
        """Over, now."""
        self.stage = None

    def _begin(self, number: int, now_s: float, why: str) -> None:
        if number > len(self._steps):
            self.stage = None
            return
        step = self._steps[number - 1]
        before = self._steps[number - 2] if number > 1 else None
        wanted = to_do(step, before, self._sets(step))
        self.stage = Stage(
            step=step, number=number, phase=WAITING if wanted else SETTLING, begun_s=now_s, why=why, to_do=wanted
        )
