"""The studentized range at few degrees of freedom, and Dunnett where cells are missing: against SciPy."""

from __future__ import annotations

import numpy as np
import pytest
from scipy import stats

from kuffin.core.base.ranges import dunnett_critical, studentized_range_cdf, tukey_critical
from kuffin.core.compare import MountValue, compare


@pytest.mark.parametrize("df", [1, 2, 3, 4.5, 7])
@pytest.mark.parametrize("k", [3, 8])
def test_the_range_holds_at_one_degree_of_freedom(k: int, df: float) -> None:
    for confidence in (0.9, 0.95, 0.999):
        q = tukey_critical(confidence, k, df) * np.sqrt(2)
        assert stats.studentized_range.cdf(q, k, df) == pytest.approx(confidence, abs=2e-5)
        assert studentized_range_cdf(q, k, df) == pytest.approx(confidence, abs=1e-7)


def test_dunnett_with_missing_cells_is_as_sharp_as_scipys() -> None:
    """Its correlation has no product form there; it took five to nine seconds a comparison."""
    correlation = np.array([[1, 0.5, 0.3, 0.4], [0.5, 1, 0.45, 0.35], [0.3, 0.45, 1, 0.5], [0.4, 0.35, 0.5, 1]])
    for df in (3, 10, 50):
        c = dunnett_critical(0.95, correlation, df)
        own = stats.multivariate_t(np.zeros(4), correlation, df=df, seed=1)
        bound = np.full(4, c)
        assert own.cdf(bound, lower_limit=-bound, maxpts=400_000, random_state=1) == pytest.approx(0.95, abs=2e-4)


def test_such_a_comparison_is_made() -> None:
    rng = np.random.default_rng(1)
    mounts = [
        MountValue(candidate=c, mount=f"{c}{r}", value=10 + i + float(rng.normal(0, 0.2)), round=str(r))
        for i, c in enumerate(("Base", "Reed", "Rush", "Sedge"))
        for r in range(5)
        if (c, r) not in {("Reed", 0), ("Rush", 3), ("Base", 2)}
    ]
    found = compare(mounts, reference="Base")
    assert [p.verdict for p in found.pairs] == ["a_lower"] * 3
