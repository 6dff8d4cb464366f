"""Distributions and planning, held against SciPy's own, R's values and simulation."""

from __future__ import annotations

import numpy as np
import pytest
from scipy import stats

from kuffin.core.base.errors import CompareError
from kuffin.core.base.ranges import (
    dunnett_critical,
    dunnett_p,
    even_correlation,
    many_to_one_cdf,
    studentized_range_cdf,
    tukey_critical,
    tukey_p,
)
from kuffin.core.plan.design import plan_mounts, planned_power


@pytest.mark.parametrize("k", [3, 6, 12])
@pytest.mark.parametrize("df", [1, 3, 8, 40, 1e5])
@pytest.mark.parametrize("q", [1.5, 4.0, 9.0])
def test_the_studentized_range_is_scipys(k: int, df: float, q: float) -> None:
    assert studentized_range_cdf(q, k, df) == pytest.approx(float(stats.studentized_range.cdf(q, k, df)), abs=2e-6)


# qtukey(p, k, df) / sqrt(2) and qDunnett from published tables (R 4.2; C. W. Dunnett 1964)
@pytest.mark.parametrize(
    ("confidence", "k", "df", "q"),
    [(0.95, 3, 10, 3.877676), (0.95, 4, 20, 3.958293), (0.99, 5, 12, 5.835), (0.90, 3, 6, 3.558)],
)
def test_tukeys_quantiles_are_those_of_the_tables(confidence: float, k: int, df: float, q: float) -> None:
    assert tukey_critical(confidence, k, df) * np.sqrt(2) == pytest.approx(q, abs=2e-3)


@pytest.mark.parametrize(
    ("comparisons", "df", "critical"), [(2, 10, 2.57), (3, 10, 2.76), (4, 20, 2.65), (5, 60, 2.58), (9, 30, 2.86)]
)
def test_dunnetts_quantiles_are_those_of_his_tables(comparisons: int, df: int, critical: float) -> None:
    assert dunnett_critical(0.95, even_correlation(comparisons), df) == pytest.approx(critical, abs=0.006)


def test_an_uneven_correlation_agrees_with_its_even_neighbour_and_with_scipy() -> None:
    correlation = np.array([[1.0, 0.5, 0.31], [0.5, 1.0, 0.52], [0.31, 0.52, 1.0]])  # of no one-factor form
    mine = many_to_one_cdf(2.4, correlation, 12)
    bound = np.full(3, 2.4)
    truth = float(
        stats.multivariate_t(np.zeros(3), correlation, df=12, seed=1).cdf(bound, lower_limit=-bound, maxpts=400_000)
    )
    assert mine == pytest.approx(truth, abs=2e-3)
    assert dunnett_p(2.4, correlation, 12) == pytest.approx(1 - truth, abs=2e-3)


def test_two_candidates_need_no_special_distribution() -> None:
    assert tukey_critical(0.95, 2, 9) == pytest.approx(float(stats.t.ppf(0.975, 9)))
    assert tukey_p(2.0, 2, 9) == pytest.approx(float(2 * stats.t.sf(2.0, 9)))


# R 4.2: noncentral t with qtukey(.95, K, df) / sqrt(2), or Dunnett's by mvtnorm
@pytest.mark.parametrize(
    ("args", "mounts", "power", "half_width"),
    [
        ({"candidates": 3, "sd": 0.4, "difference": 1.0}, 5, 0.880634, 0.674922),
        ({"candidates": 5, "sd": 0.6, "difference": 1.0, "power": 0.9}, 13, 0.919673, 0.661882),
        ({"candidates": 4, "sd": 0.5, "difference": 0.8, "reference": True}, 9, 0.817558, 0.581140),
    ],
)
def test_plans_agree_with_r(args: dict[str, float], mounts: int, power: float, half_width: float) -> None:
    found = plan_mounts(**args)  # type: ignore[arg-type]
    assert found.mounts == mounts
    assert found.power == pytest.approx(power, abs=1e-3)
    assert found.half_width == pytest.approx(half_width, abs=1e-3)


def test_the_planned_power_is_what_simulated_studies_find() -> None:
    rng = np.random.default_rng(4)
    n, k, sd = 5, 3, 0.5
    plan = planned_power(n, k, sd, 1.0)
    values = rng.normal(0, sd, (4000, k, n))
    values[:, 1] += 1.0
    means, pooled = values.mean(axis=2), np.sqrt(values.var(axis=2, ddof=1).mean(axis=1))
    t = np.abs(means[:, 0] - means[:, 1]) / (pooled * np.sqrt(2 / n))
    assert float(np.mean(t > tukey_critical(0.95, k, k * (n - 1)))) == pytest.approx(plan.power, abs=0.025)


@pytest.mark.parametrize(
    ("change", "says"),
    [
        ({"candidates": 1}, "at least two"),
        ({"sd": 0.0}, "above 0 K"),
        ({"sd": float("nan")}, "above 0 K"),
        ({"difference": 0.0}, "must not be 0"),
        ({"power": 1.0}, "between 0 and 1"),
        ({"confidence": 0.4}, "between 0.5 and 1"),
        ({"difference": 0.001}, "more than 1000 mounts"),
    ],
)
def test_impossible_plans_are_refused_in_a_sentence(change: dict[str, float], says: str) -> None:
    with pytest.raises(CompareError, match=says):
        plan_mounts(**({"candidates": 3, "sd": 0.5, "difference": 1.0} | change))  # type: ignore[arg-type]
