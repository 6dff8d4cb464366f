"""Were a protocol's steps done as they say? What was to be set is held against the channel that would show it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.saying import amount, say
from kuffin.core.bench.conditions import Stretch
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.protocol import Step

Array = NDArray[np.float64]

_MOVED = 0.03  # share by which a speed that was set otherwise moves at least
_NEAR = 0.2  # share by which a power may be off the step's


@dataclass(frozen=True)
class StepDoubt:
    """A step that was not done, or that nothing confirms.

    Attributes
    ----------
    step : str
    said : str
    refuted : bool
        Whether a channel shows that it was not done; else there is no channel that could tell.
    """

    step: str
    said: str
    refuted: bool


def step_doubts(
    times: Array, channels: Mapping[str, Array | None], steps: Sequence[Step], stretches: Sequence[Stretch]
) -> list[StepDoubt]:
    """Which load steps of a run were not done as the protocol says, or cannot be confirmed.

    A speed must move in the direction in which it was set, by 3 % at least; a power must lie within 20 % of the step's.

    Parameters
    ----------
    channels : mapping
        By the role that shows a setting (`core.bench.configuration.OF_TEST`), each of shape (n,) or None.
    stretches : sequence of Stretch
        When each load step was on.
    """
    by_name = {s.name: s for s in steps}
    done = sorted((s for s in stretches if s.name in by_name), key=lambda s: s.begin_s)
    out = []
    for setting in (s for s in OF_TEST.values() if s.shown_by):
        what, unit = say(setting.called), setting.unit
        told = [(s, float(value)) for s in done if (value := by_name[s.name].value_of(setting.key)) is not None]
        if len({value for _, value in told}) < 2:
            continue  # the same in all steps: nothing was to be changed
        channel = channels.get(setting.shown_by)
        for before, (stretch, value) in zip([None, *told], told, strict=False):
            if before is not None and before[1] == value:
                continue
            wanted = say("{what} at {value:g} {unit}", what=what, value=float(value), unit=unit)
            if channel is None:
                out.append(
                    StepDoubt(
                        stretch.name, say("no channel shows {wanted}: it was not confirmed", wanted=wanted), False
                    )
                )
                continue
            level = _level(times, channel, stretch)
            if level is None:
                continue
            if setting.shown_in == unit:
                if value and abs(level / value - 1) > _NEAR:
                    out.append(
                        StepDoubt(
                            stretch.name,
                            say(
                                "it says {wanted}, and {level} {unit} were read",
                                wanted=wanted,
                                level=amount(level, 0 if level >= 10 else 2),
                                unit=unit,
                            ),
                            True,
                        )
                    )
                continue
            had = None if before is None else _level(times, channel, before[0])
            if before is None or had is None or had <= 0:
                continue
            moved = (level / had - 1) * (1 if value > before[1] else -1)
            if moved < _MOVED:
                said = say(
                    "{what} had to go from {before:g} to {value:g} {unit}, and went from {had:.0f} to {level:.0f} {shown_in}",
                    what=what,
                    before=float(before[1]),
                    value=float(value),
                    unit=unit,
                    had=had,
                    level=level,
                    shown_in=setting.shown_in,
                )
                out.append(StepDoubt(stretch.name, said, True))
    return out


def _level(times: Array, x: Array, stretch: Stretch) -> float | None:
    """The median over the later half of a stretch, after what was set has come to rest."""
    middle = (stretch.begin_s + stretch.end_s) / 2
    part = x[(times >= middle) & (times <= stretch.end_s) & np.isfinite(x)]
    return float(np.median(part)) if part.size >= 5 else None
