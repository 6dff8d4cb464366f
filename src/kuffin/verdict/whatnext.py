"""Which mounts next in a study: the choice that tells most for its hours, and when more of them are not worth it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.base.language import tr
from kuffin.core.compare.nextmounts import NearEnough, RoundChoice, near_enough, open_pairs, round_choices
from kuffin.core.plan.order import Slot
from kuffin.notebook.entities import Study
from kuffin.verdict.planbasis import durations, is_done, order_of
from kuffin.verdict.study import StudyVerdict

_USUAL_CHANGE_MIN = 40.0  # until this study's own change-overs tell


@dataclass(frozen=True, kw_only=True)
class WhatNext:
    """What to mount next, and whether it is worth it.

    Attributes
    ----------
    choices : tuple of RoundChoice
        The best for its hours first.
    near : tuple of NearEnough
        What may be said already of the pairs that are open.
    """

    choices: tuple[RoundChoice, ...]
    near: tuple[NearEnough, ...]
    minutes_from: str

    @property
    def hardly(self) -> bool:
        """Whether more mounts are not worth their hours."""
        return not self.choices[0].worth_it


def what_next(v: StudyVerdict, told: MountMinutes | None = None) -> WhatNext | None:
    """What to mount next; None where there is no comparison, or nothing that more mounts could answer.

    Parameters
    ----------
    told : MountMinutes, optional
        What a mount takes, where that is known better than from the study.
    """
    found = v.main.comparison
    if found is None or not open_pairs(found) or found.scatter[0] <= 0:
        return None
    told = told or mount_minutes(v)
    each = told.minutes
    then = None if v.looks is None else v.looks.confidence_after
    minutes = {c.name: each for c in found.candidates}
    return WhatNext(
        choices=tuple(round_choices(found, minutes, then)), near=tuple(near_enough(found)), minutes_from=told.words
    )


@dataclass(frozen=True)
class MountMinutes:
    """What one mount takes, change-over and run, and from what that is known."""

    minutes: float
    words: str


def mount_minutes(v: StudyVerdict) -> MountMinutes:
    """What one more mount of a study takes."""
    steps = v.evidence.ways.steps if v.evidence.ways is not None else ()
    told = durations(v.evidence.study, steps, [v])
    each = told.run_min + (_USUAL_CHANGE_MIN if told.change_min is None else told.change_min)
    change = (
        tr("change-overs as this study's were")
        if told.change_min is not None
        else tr(
            "{USUAL_CHANGE_MIN:.0f} min for a change-over, until some were timed", USUAL_CHANGE_MIN=_USUAL_CHANGE_MIN
        )
    )
    return MountMinutes(
        each,
        tr(
            "{each:.0f} min each: {run_min:.0f} min for a run, {change}", each=each, run_min=told.run_min, change=change
        ),
    )


def margin_to_accept(near: Sequence[NearEnough]) -> float:
    """The round number of kelvins that would have to be small enough, for all open pairs to be the same.

    >>> margin_to_accept([NearEnough("Reed", "Sedge", 0.84)])
    0.9
    """
    widest = max((n.within for n in near), default=0.0)
    step = 0.1 if widest < 1 else 0.5
    return round(math.floor(widest / step + 1) * step, 1)


def round_slots(study: Study, names: Sequence[str]) -> list[Slot]:
    """The order with what is done, and then one round of some candidates."""
    done = [m for m in order_of(study) if is_done(m) or m.begun_at]
    number = 1 + max((m.round for m in done), default=0)
    ordered = [c.name for c in study.live_candidates if c.name in names]
    return [*(Slot(m.candidate.name, m.round, m.control) for m in done), *(Slot(n, number) for n in ordered)]
