"""How often a study is looked at, what confidence that leaves, and what another round could still change."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import TYPE_CHECKING

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.compare import Comparison
from kuffin.core.compare.looks import all_looks, confidence_at, look_confidences, usual_looks
from kuffin.core.compare.nextround import NextRound, next_round
from kuffin.core.compare.pairwords import best_of, count, several
from kuffin.core.compare.whichisbest import which_is_best
from kuffin.notebook.entities import Study
from kuffin.verdict.evidence import Evidence

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict

ENOUGH = 0.05  # chance that a round changes the verdict, below which it is said to be enough


@dataclass(frozen=True, kw_only=True)
class LooksSoFar:
    """The looks at a study, and where it stands with them.

    Attributes
    ----------
    declared : tuple of int
        After which rounds of the plan it is judged, the plan's end among them.
    all : tuple of (int, float)
        Each look and the confidence in use there: the declared ones, those made past the plan, and the next.
    had : int
        How many have been had.
    rounds_done : int
        Complete rounds: all are in them who were not told apart from the leader before, nor left behind by two who went on.
        The baseline, which comes when the
        order has it, is waited for only where it is one of two.
    confidence : float
        In use now, so that all looks together keep the study's own.
    by_person : bool
        Whether a person declared them; else they are the usual ones of the plan.
    """

    declared: tuple[int, ...]
    all: tuple[tuple[int, float], ...]
    had: int
    rounds_done: int
    planned_rounds: int
    confidence: float
    overall: float
    by_person: bool

    @property
    def next_look(self) -> int:
        """The round after which the next look is."""
        return self.all[self.had][0]

    @property
    def confidence_then(self) -> float:
        """What will be in use after one more round."""
        return self.confidence_after(1)

    def confidence_after(self, more: int) -> float:
        """What will be in use after so many more rounds."""
        upto = self.rounds_done + more
        return confidence_at(look_confidences(self.declared, self.declared[-1], upto, self.overall), upto)


# the comparison that a number of rounds gives at a confidence, None where there is none yet
Judged = Callable[[int, float], Comparison | None]


def looks_so_far(evidence: Evidence, judged: Judged) -> LooksSoFar:
    """Where a study stands with its looks.

    Parameters
    ----------
    judged : callable
        Judges the first rounds only. With it each look is taken anew, in turn: who was told apart from the leader there need
        not be mounted again, and no longer holds up the count of rounds.
    """
    study, mounts = evidence.study, evidence.mounts
    looks = tuple(int(n) for n in study.plan.get("looks") or ())
    planned = max(study.planned_rounds, max(looks, default=0), 2)
    declared = all_looks(looks or usual_looks(planned), planned)
    # a mount that was left out had its turn: it was looked at
    made = {
        c.name: len({m.round for name, m in mounts if name == c.name and m.live_runs}) for c in study.live_candidates
    }
    made = {name: n for name, n in made.items() if n}
    baseline = study.candidate(study.baseline_id)
    if baseline is not None and len(made) > 2:
        made.pop(baseline.name, None)
    most = max(made.values(), default=0)
    confidences = look_confidences(declared, planned, max(most, planned) + 1, study.confidence)
    levels = dict(confidences)
    racing, done = set(made), 0
    for n in range(1, most + 1):
        waiting = {name for name in racing if made[name] < n}
        if waiting and sum(k > n for k in made.values()) >= 2:
            racing, waiting = racing - waiting, set()  # two have gone on to the next round without them
        if waiting or sum(k >= n for k in made.values()) < min(2, len(made)):
            break
        done = n
        if n in levels and n < most:
            racing = _racing(judged(n, levels[n]), racing)
    had = sum(n <= done for n, _ in confidences)
    return LooksSoFar(
        declared=declared,
        all=confidences,
        had=had,
        rounds_done=done,
        planned_rounds=planned,
        confidence=confidence_at(confidences, done),
        overall=study.confidence,
        by_person=bool(looks),
    )


def _racing(found: Comparison | None, racing: set[str]) -> set[str]:
    """Who keeps it open after a look which is best; nobody is waited for where that is answered."""
    if found is None:
        return racing
    told = which_is_best(found)
    return racing & {told.best, *told.open} if told.open else set()


def plans_rounds(study: Study) -> bool:
    """Whether rounds will be taken out as blocks: drawn orders make them so."""
    return study.blocks or not any(m.live_runs for c in study.live_candidates for m in c.live_mounts)


def last_confidence(study: Study, rounds: int) -> float:
    """The confidence in use at the last look of a plan with so many rounds: a plan's power is that of its end."""
    declared = tuple(int(n) for n in study.plan.get("looks") or () if int(n) <= rounds)
    return look_confidences(declared or usual_looks(rounds), rounds, rounds, study.confidence)[-1][1]


def look_words(looks: LooksSoFar) -> str:
    """Where the looks stand, in a sentence or two."""
    overall = f"{plain(100 * looks.overall)} %"
    if looks.had == 0:
        return tr(
            "The first look is after round {declared}; so far {done}. Until then intervals are "
            "those of that look ({confidence:.2f} %), and nothing is decided.",
            declared=looks.declared[0],
            done=several(looks.rounds_done, "round"),
            confidence=100 * looks.confidence,
        )
    number = looks.all[looks.had - 1][0]
    if looks.had > len(looks.declared):
        return tr(
            "Round {number} is past the plan of {planned_rounds}: judged at {confidence:.2f} %, "
            "out of what was kept back, so that all looks together still keep {overall}. The "
            "next look is after round {next_look}.",
            number=number,
            planned_rounds=looks.planned_rounds,
            confidence=100 * looks.confidence,
            overall=overall,
            next_look=looks.next_look,
        )
    said = tr(
        "Look {had} of {declared}, after round {number}: judged at {confidence:.2f} %, so "
        "that {all}, and rounds past the plan, together keep {overall}.",
        had=looks.had,
        declared=len(looks.declared),
        number=number,
        confidence=100 * looks.confidence,
        all=_all(len(looks.declared)),
        overall=overall,
    )
    if looks.had < len(looks.declared):
        return said + tr(" The next one is after round {next_look}.", next_look=looks.next_look)
    return said + tr(" It is the plan's last; for rounds past it a fifth of the chance of a false find is kept back.")


def look_tag(looks: LooksSoFar) -> str:
    """The same in a few words, for the verdict line."""
    if looks.had == 0:
        return tr("No look yet (the first is after round {declared}).", declared=looks.declared[0])
    if looks.had > len(looks.declared):
        return tr(
            "Judged at {confidence:.1f} %, round {all} of {planned_rounds} planned.",
            confidence=100 * looks.confidence,
            all=looks.all[looks.had - 1][0],
            planned_rounds=looks.planned_rounds,
        )
    return tr(
        "Judged at {confidence:.1f} %, look {had} of {declared}.",
        confidence=100 * looks.confidence,
        had=looks.had,
        declared=len(looks.declared),
    )


def _all(n: int) -> str:
    return tr("both looks") if n == 2 else tr("all {n} looks", n=count(n)) if n > 2 else "it"


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
    chances = next_round(found, None if v.looks is None else v.looks.confidence_then)
    best = best_of(found)
    about = {pair: p for pair, p in chances.changes.items() if best in pair} or dict(chances.changes)
    if which_is_best(found).answered:  # what is left open does not ask for more rounds
        about = {pair: p for pair, p in about.items() if found.pair(*pair).settled} or about
    most = max(about.values(), default=0.0)
    worst = max(about, key=lambda pair: about[pair])
    settled = all(found.pair(*pair).settled for pair in about)
    enough = settled and most < ENOUGH
    percent = tr("less than 1 %") if most < 0.01 else tr("about {most:.0f} %", most=100 * most)
    if enough:
        said = tr(
            "Enough: one more round would change what is said of {best} in {percent} of cases.",
            best=best,
            percent=percent,
        )
    elif settled:
        said = tr(
            "Every pair with {best} is settled, but one more round could still change one: {a} "
            "and {b}, in {percent} of cases.",
            best=best,
            a=worst[0],
            b=worst[1],
            percent=percent,
        )
    else:
        share = chances.becomes[worst]
        gain = sum(p for verdict, p in share.items() if verdict != "unsettled")
        said = (
            tr(
                "{a} and {b} stay open: one more round would settle them in less than 1 % of cases.",
                a=worst[0],
                b=worst[1],
            )
            if not found.pair(*worst).settled and gain < 0.01
            else tr(
                "{a} and {b} are settled, and one more round would hardly change that; others are still open.",
                a=worst[0],
                b=worst[1],
            )
            if most < 0.01
            else tr(
                "Not enough yet: one more round would settle {a} and {b} in about {gain:.0f} % of cases.",
                a=worst[0],
                b=worst[1],
                gain=100 * gain,
            )
            if not found.pair(*worst).settled
            else tr(
                "Not enough yet: one more round would change {a} and {b} in {percent} of cases.",
                a=worst[0],
                b=worst[1],
                percent=percent,
            )
        )
    if chances.leader >= 0.01:
        said += tr(" Another candidate would lead in {leader:.0f} %.", leader=100 * chances.leader)
    return Outlook(chances, most, enough, said)
