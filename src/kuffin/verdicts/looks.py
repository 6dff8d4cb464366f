"""How often a study is looked at, what confidence that leaves, and what another round could still change."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING

from kuffin.core.compare.nextround import NextRound, next_round
from kuffin.core.looks import confidence_at
from kuffin.notebook.entities import Study
from kuffin.verdicts.schools import Mounts
from kuffin.verdicts.words import count, several

if TYPE_CHECKING:
    from kuffin.verdicts.study import StudyVerdict

ENOUGH = 0.05  # chance that a round changes the verdict, below which it is said to be enough


@dataclass(frozen=True)
class LooksSoFar:
    """The declared looks, and where the study stands.

    Attributes
    ----------
    declared : tuple of int
        After which rounds it is judged, the plan's end among them.
    had : int
        How many have been had.
    rounds_done : int
        Rounds that every candidate has.
    confidence : float
        In use now, so that all looks together keep the study's own.
    """

    declared: tuple[int, ...]
    had: int
    rounds_done: int
    planned_rounds: int
    confidence: float
    overall: float

    @property
    def next_look(self) -> int | None:
        """The round after which the next look is, None where all have been had."""
        return self.declared[self.had] if self.had < len(self.declared) else None


def looks_so_far(study: Study, mounts: Mounts, heed_exclusions: bool = True) -> LooksSoFar | None:
    """Where a study stands with its looks; None where none were declared."""
    looks = tuple(int(n) for n in study.plan.get("looks") or ())
    planned = max(study.planned_rounds, max(looks, default=0))
    if not looks or planned < 2:
        return None
    each = {
        c.id: len(
            {
                m.round
                for _, m in mounts
                if m.candidate_id == c.id and m.live_runs and not (heed_exclusions and m.left_out)
            }
        )
        for c in study.live_candidates
    }
    done = min(each.values(), default=0)
    confidence, had = confidence_at(looks, planned, done, study.confidence)
    declared = looks if looks[-1] >= planned else (*looks, planned)
    return LooksSoFar(declared, had, done, planned, confidence, study.confidence)


def look_words(looks: LooksSoFar) -> str:
    """Where the looks stand, in a sentence or two."""
    overall = f"{100 * looks.overall:g} %"
    if looks.had == 0:
        return (
            f"The first declared look is after round {looks.declared[0]}; {several(looks.rounds_done, 'round')} "
            f"{'is' if looks.rounds_done == 1 else 'are'} complete. Until then intervals are those of that look "
            f"({100 * looks.confidence:.2f} %), and nothing is decided."
        )
    said = (
        f"Look {looks.had} of {len(looks.declared)}, after round {looks.declared[looks.had - 1]}: judged at "
        f"{100 * looks.confidence:.2f} %, so that {_all(len(looks.declared))} together keep {overall}."
    )
    if looks.next_look is not None:
        said += f" The next one is after round {looks.next_look}."
    elif looks.rounds_done > looks.planned_rounds:
        said += " More rounds were made than planned; they narrow the intervals, and every further look costs."
    else:
        said += " It is the last: no further look has anything left to spend."
    return said


def _all(n: int) -> str:
    return "both looks" if n == 2 else f"all {count(n)} looks" if n > 2 else "it"


@dataclass(frozen=True)
class Outlook:
    """What the next round could still change about the leader's pairs, and whether it is enough."""

    chances: NextRound
    most: float
    enough: bool
    sentence: str


def outlook(v: StudyVerdict) -> Outlook | None:
    """What one more mount of each could change; None where there is no comparison yet."""
    found = v.main.comparison
    if found is None or found.sd == 0:
        return None
    confidence = None
    if v.looks is not None and v.looks.had < len(v.looks.declared):
        confidence = v.looks.confidence
    chances = next_round(found, confidence)
    best = min(found.candidates, key=lambda c: c.mean).name
    about = {pair: p for pair, p in chances.changes.items() if best in pair} or dict(chances.changes)
    most = max(about.values(), default=0.0)
    worst = max(about, key=lambda pair: about[pair])
    settled = all(found.pair(*pair).settled for pair in about)
    enough = settled and most < ENOUGH
    percent = "less than 1 %" if most < 0.01 else f"about {100 * most:.0f} %"
    if enough:
        said = f"Enough: one more round would change what is said of {best} in {percent} of cases."
    elif settled:
        said = (
            f"Every pair with {best} is settled, but one more round could still change one: {worst[0]} and {worst[1]}, "
            f"in {percent} of cases."
        )
    else:
        share = chances.becomes[worst]
        gain = sum(p for verdict, p in share.items() if verdict != "unsettled")
        said = (
            f"Not enough yet: one more round would settle {worst[0]} and {worst[1]} in about {100 * gain:.0f} % of cases."
            if not found.pair(*worst).settled
            else f"Not enough yet: one more round would change {worst[0]} and {worst[1]} in {percent} of cases."
        )
    if chances.leader >= 0.01:
        said += f" Another candidate would lead in {100 * chances.leader:.0f} %."
    return Outlook(chances, most, enough, said)
