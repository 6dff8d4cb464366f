"""What goes wrong on the bench while a run is recorded, written down once each, with its moment."""

from __future__ import annotations

import time
from collections.abc import Callable

from kuffin.core.base.saying import say
from kuffin.instruments.steadyclock import steady
from kuffin.notebook.runwriter import NewMark
from kuffin.recording.recorder import Recorder

_CLOCK_S = 2.0  # a step of the system clock that is told


class Troubles:
    """Gaps, a changed clock, and what instruments complain of.

    Parameters
    ----------
    mark : callable
        Keeps a mark.
    """

    def __init__(self, recorder: Recorder, mark: Callable[[NewMark], None]) -> None:
        self._recorder, self._mark = recorder, mark
        self._said: set[str] = set()
        self._gaps = 0
        self._wall = time.time() - steady()

    def note(self, now_s: float) -> None:
        """Write down what is new."""
        recorder = self._recorder
        for begin, end in recorder.gaps[self._gaps :]:
            self._gaps += 1
            text = say(
                "nothing was recorded for {gap:.0f} s: the computer was suspended, or held up", gap=float(end - begin)
            )
            self._mark(NewMark(at_s=begin, kind="trouble", text=text, value=end - begin, unit="s"))
        wall = time.time() - steady()
        if abs(wall - self._wall) > _CLOCK_S:
            change = wall - self._wall
            text = (
                say("the computer's clock was set on by {by:.0f} s; the run's own times are not touched", by=change)
                if change > 0
                else say(
                    "the computer's clock was set back by {by:.0f} s; the run's own times are not touched", by=-change
                )
            )
            self._mark(NewMark(at_s=now_s, kind="trouble", text=text, value=change, unit="s"))
            self._wall = wall
        for trouble in recorder.troubles():
            if trouble.key not in self._said:
                self._said.add(trouble.key)
                self._mark(NewMark(at_s=now_s, kind="trouble", text=trouble.text))

    def note_counts(self, now_s: float) -> None:
        """At the end: how much of what came could not be read."""
        for trouble in self._recorder.troubles():
            if trouble.counted:
                self._mark(NewMark(at_s=now_s, kind="trouble", text=say("in the end: {trouble}", trouble=trouble.text)))
