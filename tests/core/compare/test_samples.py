"""Several samples of a candidate, held against closed forms, R's published fit and simulation."""

from __future__ import annotations

import numpy as np
import pytest
from scipy import stats

from kuffin.core.base.errors import CompareError
from kuffin.core.compare import MountValue, compare
from kuffin.core.compare.sources import next_buys, sources_of_scatter


def nested(
    rng: np.random.Generator, k: int, s: int, m: int, sd_sample: float, sd_mount: float, step: float = 0.0
) -> list[MountValue]:
    return [
        MountValue(candidate=f"C{i}", mount=f"{i}{j}{n}", value=10 + step * i + a + e, sample=str(j))
        for i in range(k)
        for j in range(s)
        for a in [rng.normal(0, sd_sample)]
        for n, e in enumerate(rng.normal(0, sd_mount, m))
    ]


def test_a_balanced_study_is_the_nested_analysis_of_variance() -> None:
    """Its closed form: the pair's error is √(2·MS_between/(S·M)) with K(S − 1) degrees of freedom."""
    k, s, m = 3, 3, 4
    mounts = nested(np.random.default_rng(5), k, s, m, 0.8, 0.3, 1.0)
    y = np.array([v.value for v in mounts]).reshape(k, s, m)
    between = m * y.mean(axis=2).var(axis=1, ddof=1).mean()
    within = y.var(axis=2, ddof=1).mean()
    found = compare(mounts, margin=1.0)
    assert dict(found.components) == pytest.approx(
        {"sample": np.sqrt((between - within) / m), "mount": np.sqrt(within)}, rel=1e-7
    )
    assert found.df is None
    q = stats.studentized_range.ppf(0.95, k, k * (s - 1)) / np.sqrt(2)
    for pair in found.pairs:
        assert pair.df == pytest.approx(k * (s - 1), rel=1e-6)
        assert pair.se == pytest.approx(np.sqrt(2 * between / (s * m)), rel=1e-7)
        assert pair.high - pair.difference == pytest.approx(q * pair.se, rel=1e-4)
    mean = found.candidate("C1")
    half = stats.t.ppf(0.975, k * (s - 1)) * np.sqrt(between / (s * m))
    assert (mean.low, mean.high) == pytest.approx((y[1].mean() - half, y[1].mean() + half), rel=1e-6)


def test_samples_that_do_not_scatter_leave_the_fixed_model_and_say_so() -> None:
    rng = np.random.default_rng(8)
    mounts = [
        MountValue(candidate=c, mount=f"{c}{s}{i}", value=level + e, sample=s)
        for c, level in (("A", 10.0), ("B", 11.0))
        for s in "12"
        for i, e in enumerate(0.3 * np.array([-1.0, 0.1, 0.9]) + rng.normal(0, 1e-3))
    ]
    found = compare(mounts, margin=1.0)
    assert dict(found.components)["sample"] == 0
    assert found.df == 2  # the samples' own: two candidates with two samples each
    assert any("scatter no more" in w for w in found.warnings)


def test_one_mount_of_each_sample_holds_both_scatters_together() -> None:
    mounts = nested(np.random.default_rng(3), 2, 4, 1, 1.0, 0.5)
    found = compare(mounts)
    y = np.array([v.value for v in mounts]).reshape(2, 4)
    assert found.pairs[0].se == pytest.approx(np.sqrt(y.var(axis=1, ddof=1).mean() / 2))
    assert any("one mount" in w for w in found.warnings)


def test_a_sample_for_each_round_is_not_taken_for_a_product() -> None:
    mounts = [
        MountValue(candidate=c, mount=f"{c}{r}", value=v, round=str(r), sample=str(r))
        for c, level in (("A", 10.0), ("B", 10.5))
        for r, v in enumerate(level + np.array([0.1, -0.2, 0.15]), 1)
    ]
    assert "sample" not in dict(compare(mounts).components)


def test_equal_values_and_separate_spreads_are_told_plainly() -> None:
    same = [
        MountValue(candidate=c, mount=f"{c}{s}{i}", value=5.0, sample=s) for c in "AB" for s in "12" for i in range(2)
    ]
    assert any("do not scatter" in w for w in compare(same, margin=1.0).warnings)
    with pytest.raises(CompareError, match="separate spreads"):
        compare(same, spread="separate")


def test_intervals_with_samples_hold_the_truth() -> None:
    """120 studies of three products, three samples of each, three mounts of each sample."""
    rng = np.random.default_rng(11)
    held = 0
    for _ in range(120):
        found = compare(nested(rng, 3, 3, 3, 0.8, 0.4))
        held += all(p.low <= 0 <= p.high for p in found.pairs)
    assert 0.915 < held / 120 < 0.99


def test_scatter_is_split_as_it_was_made() -> None:
    rng = np.random.default_rng(12)
    totals: dict[str, list[float]] = {}
    for _ in range(30):
        rounds, mounts = rng.normal(0, 0.9, 6), []
        for i in range(4):
            for j in range(3):
                sample = rng.normal(0, 0.7)
                for r in range(6):
                    value = 10 + i + sample + rounds[r] + rng.normal(0, np.hypot(0.4, 0.2))
                    mounts.append(
                        MountValue(candidate=f"C{i}", mount=f"{i}{j}{r}", value=value, round=str(r), sample=str(j))
                    )
        split = sources_of_scatter(mounts, {m.mount: 1.96 * 0.2 for m in mounts})
        assert split is not None
        for s in split.sources:
            totals.setdefault(s.key, []).append(s.sd**2)
    root = {k: float(np.sqrt(np.mean(v))) for k, v in totals.items()}
    assert root == pytest.approx({"window": 0.2, "mount": 0.4, "sample": 0.7, "round": 0.9}, rel=0.14)


def test_another_sample_buys_more_where_samples_scatter() -> None:
    assert next_buys(2, 6, 0.8, 0.3, 3, 0.95).sample_is_better
    assert not next_buys(4, 4, 0.05, 1.0, 3, 0.95).sample_is_better


def test_the_fewest_mounts_split_their_scatter_without_a_fault() -> None:
    for n in (2, 3):
        mounts = [MountValue(candidate="A", mount=str(i), value=5.0 + 0.1 * i) for i in range(n)] + [
            MountValue(candidate="B", mount="b", value=6.0)
        ]
        found = sources_of_scatter(mounts, dict.fromkeys(("0", "1", "2", "b"), 0.01))
        assert found is None or all(s.sd >= 0 for s in found.sources)
