"""Where candidates and bench stand, as the verdict line and the next step need it."""

from __future__ import annotations

from kuffin.core.base.language import tr
from kuffin.core.compare import Comparison, PairResult
from kuffin.core.compare.pairwords import number
from kuffin.verdict.study import StudyVerdict


def relations(found: Comparison, best: str, others: list[str]) -> tuple[list[tuple[str, PairResult]], ...]:
    """The others by how they stand to the best one: told apart from it, the same, still open; each with its pair."""
    apart: list[tuple[str, PairResult]] = []
    same: list[tuple[str, PairResult]] = []
    open_: list[tuple[str, PairResult]] = []
    for name in others:
        pair = next((p for p in found.pairs if {p.a, p.b} == {best, name}), None)
        if pair is None:
            continue
        place = same if pair.verdict == "same" else open_ if pair.verdict == "unsettled" else apart
        place.append((name, pair))
    return apart, same, open_


def bench_words(v: StudyVerdict) -> list[str]:
    """That the bench moved, where it did, and that a round's mounts share no day."""
    return [*_days_apart(v), *_moved_words(v)]


def _days_apart(v: StudyVerdict) -> list[str]:
    apart = v.evidence.round_apart
    if apart is None or not v.evidence.study.blocks:
        return []
    number, days = apart
    return [
        tr(
            "Mounts of round {round} were tested {days} days apart: rounds are not taken out, and what the bench did meanwhile is in the difference.",
            round=number,
            days=days,
        )
    ]


def _moved_words(v: StudyVerdict) -> list[str]:
    moved = v.baseline.chart.moved if v.baseline is not None else None
    if v.baseline is None or moved is None:
        return []
    how = (
        tr("corrected by the baseline")
        if v.corrected
        else tr("taken out with the rounds")
        if v.blocks
        else tr("not taken out")
    )
    return [
        tr("The bench moved by {by} K {when} ({how}).", by=number(abs(moved.by), 1), when=v.baseline.when(), how=how)
    ]
