"""A mount that was repaired or made again: what it read before and after, outcome by outcome."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING

from kuffin.core.base.language import tr
from kuffin.core.base.worked import Worked, in_quadrature, worked
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare.pairwords import number
from kuffin.notebook.entities import Mount, Study
from kuffin.verdict.chosenoutcomes import grid_outcomes
from kuffin.verdict.outcomes import readings_under

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True, kw_only=True)
class StateChange:
    """One outcome before and after.

    Attributes
    ----------
    change : Worked
        After less before, with its half-width where both have one.
    """

    outcome: Outcome
    before: Worked
    after: Worked
    change: Worked

    @property
    def words(self) -> str:
        """By how much it is better or worse, or that it may be the same; one run of each tells no more."""
        u, digits = self.change.u95, self.change.digits
        size = f"{number(abs(self.change.value), digits)}"
        if u is None:
            return tr("no half-width, so that nothing is said of it")
        told = f"{size} ± {number(u, digits)} {self.outcome.difference_unit}".rstrip()
        if abs(self.change.value) <= u:
            return tr("within what the readings leave open ({told})", told=told)
        better = (self.change.value < 0) != self.outcome.higher_is_better
        return f"{told} {self.outcome.wording.better if better else self.outcome.wording.worse}"


def states_of(study: Study, mount: Mount) -> tuple[Mount, Mount] | None:
    """The state before and after that a mount is one of, the last pair where there are several; None where it was never changed."""
    mounts = {m.id: m for c in study.live_candidates for m in c.live_mounts}
    after = (
        mount if mount.follows_id in mounts else next((m for m in mounts.values() if m.follows_id == mount.id), None)
    )
    if after is None or after.follows_id not in mounts:
        return None
    return mounts[after.follows_id], after


def changes(v: StudyVerdict, before: Mount, after: Mount) -> list[StateChange]:
    """What both states tell, by the outcomes of the study's grid."""
    out = []
    for outcome in grid_outcomes(v.evidence):
        found = {
            r.mount_id: r.worked
            for r in readings_under(v.evidence, outcome, v.reference_power_w, False, v.evidence.condition)
        }
        first, then = found.get(before.id), found.get(after.id)
        if first is not None and then is not None:
            out.append(StateChange(outcome=outcome, before=first, after=then, change=_change(outcome, first, then)))
    return out


def _change(outcome: Outcome, before: Worked, after: Worked) -> Worked:
    half = None
    if before.half is not None and after.half is not None:
        terms = [
            replace(before.half, name=tr("Half-width before"), symbol="U_1"),
            replace(after.half, name=tr("Half-width after"), symbol="U_2"),
        ]
        half = in_quadrature(tr("Half-width"), "U", terms, outcome.difference_unit)
    pair = [
        replace(after, name="After", symbol="y_2", half=None),
        replace(before, name="Before", symbol="y_1", half=None),
    ]
    return worked(tr("Change"), "d", "y_2 - y_1", pair, outcome.difference_unit, digits=before.digits, half=half)
