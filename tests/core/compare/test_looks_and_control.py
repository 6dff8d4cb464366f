"""Looks, the next round, the control chart and the bridge between studies, against published and simulated truth."""

from __future__ import annotations

import numpy as np
import pytest
from scipy import stats

from kuffin.core.base.errors import CompareError
from kuffin.core.compare import MountValue, compare
from kuffin.core.compare.control import control_chart
from kuffin.core.compare.linking import LinkedDifference, through_baseline
from kuffin.core.compare.looks import alpha_spent, confidence_at, look_alphas, look_confidences, read_looks, usual_looks
from kuffin.core.compare.nextround import next_round


@pytest.mark.parametrize(
    ("looks", "bounds"),
    [
        (2, (2.9626, 1.9686)),
        (3, (3.7103, 2.5114, 1.9930)),
        (4, (4.3326, 2.9631, 2.3590, 2.0141)),
        (5, (4.8769, 3.3569, 2.6803, 2.2898, 2.0310)),
    ],
)
def test_bounds_are_the_published_ones(looks: int, bounds: tuple[float, ...]) -> None:
    """Lan and DeMets' boundaries with O'Brien–Fleming spending, equal steps, two-sided 5 %."""
    found = look_alphas(tuple((i + 1) / looks for i in range(looks)), 0.05)
    assert stats.norm.isf(np.array(found) / 2) == pytest.approx(bounds, abs=2e-3)


def test_many_looks_spend_no_more_than_is_allowed() -> None:
    rng = np.random.default_rng(4)
    steps = np.cumsum(rng.normal(size=(40_000, 4)), axis=1) / np.sqrt(np.arange(1, 5))
    bounds = stats.norm.isf(np.array(look_alphas((0.25, 0.5, 0.75, 1.0), 0.05)) / 2)
    assert np.mean((np.abs(steps) > bounds).any(axis=1)) == pytest.approx(0.05, abs=0.004)
    assert np.mean((np.abs(steps) > 1.96).any(axis=1)) > 0.11  # what looking as one likes would do
    assert alpha_spent(1.0, 0.05) == pytest.approx(0.05)


def test_each_look_in_the_plan_and_past_it_has_its_confidence() -> None:
    looks = look_confidences((2, 4), 4, 7, 0.95)
    assert [n for n, _ in looks] == [2, 4, 6, 9]
    first, last, past, further = (c for _, c in looks)
    assert 0.95 < last < first < 1
    assert last < past < further
    assert look_confidences((2,), 4, 4, 0.95) == looks[:2]  # the plan's end is a look, written or not


@pytest.mark.parametrize("planned", [2, 3, 5])
def test_however_long_it_goes_on_the_looks_keep_the_studys_own(planned: int) -> None:
    """Three times the plan and more: no more than 5 % of nothing is found, and most of it is used; nor much more by one who looks
    after every round."""
    rng = np.random.default_rng(14)
    looks = look_confidences(usual_looks(planned), planned, 3 * planned, 0.95)
    upto = looks[-1][0]
    assert upto >= 3 * planned
    steps = np.cumsum(rng.normal(size=(40_000, upto)), axis=1) / np.sqrt(np.arange(1, upto + 1))
    bounds = {n: stats.norm.isf((1 - c) / 2) for n, c in looks}
    beyond = np.array([np.abs(steps[:, n - 1]) > bound for n, bound in bounds.items()])
    assert 0.038 < np.mean(beyond.any(axis=0)) < 0.047
    each = range(looks[0][0], upto + 1)
    peeked = np.array([np.abs(steps[:, n - 1]) > stats.norm.isf((1 - confidence_at(looks, n)) / 2) for n in each])
    assert np.mean(peeked.any(axis=0)) < 0.052


def test_looks_are_read_as_written_and_refused_plainly() -> None:
    assert read_looks("2, 4", 4) == (2, 4)
    assert read_looks("", 4) == ()
    for wrong in ("two", "4, 2", "1, 3", "2, 9"):
        with pytest.raises(CompareError):
            read_looks(wrong, 4)


def studies(rng: np.random.Generator, means: list[float], mounts: int) -> list[MountValue]:
    return [
        MountValue(candidate=f"C{i}", mount=f"{i}{j}", value=m + rng.normal(0, 0.5))
        for i, m in enumerate(means)
        for j in range(mounts)
    ]


def test_the_chance_of_another_verdict_is_what_comes_about() -> None:
    """Over 400 studies, the verdicts that change after one more round, against what was said beforehand."""
    rng = np.random.default_rng(9)
    said, came = [], []
    for _ in range(400):
        means = list(10 + rng.normal(0, 0.6, 3))
        values = studies(rng, means, 3)
        now = compare(values, margin=0.8)
        then = compare(
            [
                *values,
                *(
                    MountValue(candidate=f"C{i}", mount=f"{i}x", value=m + rng.normal(0, 0.5))
                    for i, m in enumerate(means)
                ),
            ],
            margin=0.8,
        )
        chances = next_round(now).changes
        for pair in now.pairs:
            said.append(chances[(pair.a, pair.b)])
            came.append(then.pair(pair.a, pair.b).verdict != pair.verdict)
    assert np.mean(said) == pytest.approx(np.mean(came), abs=0.04)
    high = np.array(said) > 0.4
    assert np.mean(np.array(came)[high]) > 2 * np.mean(np.array(came)[~high])


def test_a_bench_that_moves_on_the_third_day_is_seen() -> None:
    days = ["1", "1", "2", "2", "3", "3", "4", "4"]
    chart = control_chart([10.0, 10.2, 9.9, 10.1, 10.9, 11.1, 11.0, 10.8], days, 0.15, 12)
    assert chart.moved is not None
    assert (chart.moved.way, chart.moved.at) == ("step", 4)
    assert chart.moved.by == pytest.approx(0.9)
    assert chart.moved.u95 == pytest.approx(stats.t.ppf(0.975, 12) * 0.15 * np.sqrt(0.5))
    assert list(chart.levels) == pytest.approx([10.05] * 4 + [10.95] * 4)


def test_a_bench_that_stands_is_doubted_no_more_often_than_said() -> None:
    rng = np.random.default_rng(6)
    days = ["1", "1", "2", "2", "3", "3"]
    own = [control_chart(rng.normal(10, 0.3, 6), days).moved is not None for _ in range(1500)]
    known = [
        control_chart(rng.normal(10, 0.3, 6), days, 0.3 * np.sqrt(rng.chisquare(8) / 8), 8).moved is not None
        for _ in range(1500)
    ]
    assert np.mean(own) <= 0.06
    assert 0.01 < np.mean(known) <= 0.06


def test_a_steady_trend_and_few_readings() -> None:
    steady = control_chart([10.0, 10.5, 11.1, 11.4, 12.1, 12.5, 13.0, 13.4], [str(i) for i in range(8)], 0.1, 9)
    assert steady.moved is not None
    assert steady.moved.way == "trend"
    assert control_chart([10.0], ["1"]).moved is None
    assert control_chart([10.0, 11.0], ["1", "2"]).moved is None


def test_through_a_baseline_the_scatter_comes_in_twice() -> None:
    """600 pairs of studies: the linked interval holds the truth as often as it says."""
    rng = np.random.default_rng(10)
    held = 0
    for _ in range(600):
        steps = []
        for bench, level in ((0.0, 9.0), (3.0, 8.0)):
            a, base = rng.normal(level + bench, 0.4, 4), rng.normal(10.0 + bench, 0.4, 4)
            s = np.sqrt((a.var(ddof=1) + base.var(ddof=1)) / 2)
            steps.append(LinkedDifference(float(a.mean() - base.mean()), float(s * np.sqrt(0.5)), 6.0))
        linked = through_baseline(*steps)
        low, high = linked.interval()
        held += low <= 1.0 <= high
        assert linked.se > max(s.se for s in steps)
    assert 0.93 <= held / 600 <= 0.98
