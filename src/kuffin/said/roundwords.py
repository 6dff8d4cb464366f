"""What the next round could change, and what each look costs, with their working."""

from __future__ import annotations

from kuffin.core.base.language import tr
from kuffin.core.base.worked import Worked, worked
from kuffin.core.compare.evidence import PairResult
from kuffin.said.shownworking import Working
from kuffin.said.working import pair_working
from kuffin.verdict.looks import LooksSoFar, Outlook
from kuffin.verdict.schoolflips import verdict_words
from kuffin.verdict.study import StudyVerdict


def chance_working(v: StudyVerdict, pair: PairResult, out: Outlook | None) -> Working:
    """A pair as it stands, and what another round would make of it."""
    working = pair_working(v, v.main, pair.a, pair.b)
    if out is not None:
        becomes = out.chances.becomes[(pair.a, pair.b)]
        told = [f"{verdict_words(pair.a, pair.b, verdict)}: {100 * share:.0f} %" for verdict, share in becomes.items()]
        working.say(tr("After another round"), "; ".join(told))
        working.say(
            tr("Drawn from"),
            tr("what is known now: the scatter, the means, and one more mount of each candidate, judged as then"),
        )
    return working


def look_working(looks: LooksSoFar, i: int) -> Working:
    """What a look leaves of the confidence."""
    rounds, confidence = looks.all[i]
    spent = Worked(
        name=tr("Chance of a false difference at this look"),
        symbol="α",
        value=1 - confidence,
        digits=4,
        source=tr(
            "all looks together keep to the study’s own level: each spends a part of it, by the rounds that are done"
        ),
    )
    level = worked(tr("Confidence at this look"), "C", "1 - α", [spent], digits=4)
    return Working.of(tr("The look after round {rounds}", rounds=rounds), level)
