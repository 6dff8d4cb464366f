"""Which mounts next: chances against studies that are really gone on with, and the choice that a person would make."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.compare import Comparison, MountValue, compare
from kuffin.core.compare.nextmounts import chance_of_answer, near_enough, round_choices
from kuffin.core.compare.whichisbest import which_is_best


def study(means: dict[str, float], n: int, sd: float, seed: int = 0, blocks: bool = False) -> list[MountValue]:
    rng = np.random.default_rng(seed)
    day = rng.normal(0, 0.5, n) * blocks
    return [
        MountValue(
            candidate=c, mount=f"{c}{i}", value=m + day[i] + float(rng.normal(0, sd)), round=str(i) if blocks else None
        )
        for c, m in means.items()
        for i in range(n)
    ]


def judged(values: list[MountValue], margin: float | None = 0.5) -> Comparison:
    return compare(values, margin=margin, confidence=0.95)


@pytest.mark.parametrize("blocks", [False, True])
def test_the_chance_is_how_often_studies_that_go_on_are_answered(blocks: bool) -> None:
    """True means and scatter drawn from what is known, mounts from them, and the whole judged by the real comparison."""
    values = study({"Reed": 10.0, "Rush": 10.7, "Sedge": 13.0}, 4, 0.5, seed=5, blocks=blocks)
    found = judged(values)
    assert {p.a for p in found.pairs if not p.settled} == {"Reed"}
    sd, df = found.scatter
    rng = np.random.default_rng(9)
    mean = {c.name: c.mean for c in found.candidates}
    for more in (2, 5):
        answered = 0
        for _ in range(160):
            sigma = sd * np.sqrt(df / rng.chisquare(df))
            true = {n: m + float(rng.normal(0, sigma / np.sqrt(4))) for n, m in mean.items()}
            day = rng.normal(0, 0.5, more) * blocks
            new = [
                MountValue(
                    candidate=c,
                    mount=f"{c} new {i}",
                    value=true[c] + day[i] + float(rng.normal(0, sigma)),
                    round=f"n{i}" if blocks else None,
                )
                for c in ("Reed", "Rush")
                for i in range(more)
            ]
            answered += which_is_best(judged([*values, *new])).answered
        assert chance_of_answer(found, more) == pytest.approx(answered / 160, abs=0.11)


def test_who_is_out_of_it_is_not_mounted_again_and_the_dear_mount_is_worth_less() -> None:
    found = judged(study({"Reed": 10.0, "Rush": 10.6, "Sedge": 14.0}, 4, 0.5, seed=5))
    minutes = dict.fromkeys(("Reed", "Rush", "Sedge"), 60.0)
    first, *rest = round_choices(found, minutes)
    assert "Sedge" not in first.names and {"Reed", "Rush"} >= set(first.names)
    assert next(c for c in rest if "Sedge" in c.names).per_hour < first.per_hour
    dear = round_choices(found, {**minutes, "Rush": 600.0})
    assert dear[0].names == ("Reed",)


def test_where_rounds_are_blocks_no_candidate_is_mounted_alone() -> None:
    found = judged(study({"Reed": 10.0, "Rush": 10.5, "Sedge": 10.4}, 4, 0.5, seed=5, blocks=True))
    choices = round_choices(found, dict.fromkeys(("Reed", "Rush", "Sedge"), 60.0))
    assert choices and all(len(c.names) > 1 for c in choices)


def test_a_settled_question_asks_for_nothing_and_an_open_one_says_how_near_they_are() -> None:
    assert round_choices(judged(study({"Reed": 10.0, "Rush": 15.0}, 4, 0.3)), {"Reed": 60.0, "Rush": 60.0}) == []
    found = judged(study({"Reed": 10.0, "Rush": 10.05}, 4, 0.8, seed=3), margin=0.1)
    (near,) = near_enough(found)
    again = judged(study({"Reed": 10.0, "Rush": 10.05}, 4, 0.8, seed=3), margin=near.within + 0.01)
    assert (
        again.pairs[0].verdict == "same"
        and judged(study({"Reed": 10.0, "Rush": 10.05}, 4, 0.8, seed=3), margin=near.within - 0.01).pairs[0].verdict
        == "unsettled"
    )
    assert chance_of_answer(found, 1) < chance_of_answer(found, 6) < 0.6


@pytest.mark.parametrize(("spread", "scatter", "many"), [(0.3, 0.5, 6), (1.2, 0.7, 5), (0.6, 0.7, 3)])
def test_over_drawn_studies_the_chance_is_the_share_that_is_answered(spread: float, scatter: float, many: int) -> None:
    """Levels drawn, three mounts of each looked at: the mean of the chances told, and how many are answered after five more rounds."""
    rng = np.random.default_rng(12)
    told, answered = [], []
    while len(told) < 100:
        level = {f"C{i}": 30.0 + float(rng.normal(0, spread)) for i in range(many)}
        made = {name: [x + float(rng.normal(0, scatter)) for _ in range(8)] for name, x in level.items()}
        values = [
            MountValue(candidate=n, mount=f"{n} {i}", value=x) for n, xs in made.items() for i, x in enumerate(xs)
        ]
        found = judged([v for v in values if int(v.mount[-1]) < 3], 1.0)
        if not which_is_best(found).answered:
            told.append(chance_of_answer(found, 5))
            answered.append(which_is_best(judged(values, 1.0)).answered)
    assert np.mean(told) == pytest.approx(np.mean(answered), abs=0.1)  # two standard deviations of such a share
