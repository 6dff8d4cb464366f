"""Comparing, held against R, NIST, SciPy and simulation."""

from __future__ import annotations

import numpy as np
import pytest
from scipy import stats

from kuffin.core.base.errors import CompareError
from kuffin.core.compare import Comparison, MountValue, compare
from kuffin.core.compare.letters import tie_letters
from kuffin.core.compare.linear import fit_linear
from tests.core.compare import published as pub


def agrees(
    found: Comparison, truth: dict[tuple[str, str], tuple[float, float, float, float]], abs_: float, p_abs: float = 2e-4
) -> None:
    for (a, b), (difference, low, high, p) in truth.items():
        pair = found.pair(a, b)
        assert (pair.a, pair.b) == (a, b)
        assert (pair.difference, pair.low, pair.high) == pytest.approx((difference, low, high), abs=abs_)
        assert pair.p == pytest.approx(p, abs=p_abs)


def test_tukey_on_balanced_groups_agrees_with_r() -> None:
    found = compare(pub.mounts(pub.PLANT_GROWTH), better="higher")
    assert "Tukey" in found.method
    assert found.df == 27
    assert found.sd == pytest.approx(0.6233746, abs=1e-6)
    agrees(found, pub.PLANT_GROWTH_TUKEY, 1e-4)
    assert found.candidate("trt1").low == pytest.approx(4.2565, abs=1e-4)
    assert [found.pair(a, b).verdict for a, b in pub.PLANT_GROWTH_TUKEY] == ["unsettled", "unsettled", "a_lower"]
    assert found.pair("ctrl", "trt1").mounts_needed == 33
    assert found.pair("ctrl", "trt2").mounts_needed == 19
    assert found.candidate("trt2").p_best > 0.9


def test_dunnett_against_a_reference_agrees_with_r() -> None:
    found = compare(pub.mounts(pub.PLANT_GROWTH), reference="ctrl")
    assert "Dunnett" in found.method
    agrees(found, pub.PLANT_GROWTH_DUNNETT, 1e-3, 1e-3)
    assert all(c.group is None for c in found.candidates)


def test_tukey_kramer_on_uneven_groups_and_its_letters_agree_with_r() -> None:
    found = compare(pub.mounts(pub.CHICKS), better="higher")
    agrees(found, pub.CHICKS_TUKEY, 0.005)
    share = {
        (a, b): bool(set(x) & set(y)) for a, x in pub.CHICKS_LETTERS.items() for b, y in pub.CHICKS_LETTERS.items()
    }
    for (a, b), together in share.items():
        assert bool(set(found.candidate(a).group or "") & set(found.candidate(b).group or "")) is together


def test_games_howell_agrees_with_r() -> None:
    found = compare(pub.mounts(pub.MORLEY), spread="separate")
    assert "Games-Howell" in found.method
    assert found.sd is None
    agrees(found, pub.MORLEY_GAMES_HOWELL, 0.005)


def test_nists_certified_residual_spread() -> None:
    found = compare(pub.mounts(pub.SIRSTV))
    assert found.sd == pytest.approx(pub.SIRSTV_SD, abs=1e-9)
    assert found.df == 20


def test_two_candidates_are_welch_and_with_rounds_the_paired_t() -> None:
    welch = compare(pub.mounts(pub.SLEEP))
    assert "Welch" in welch.method
    assert welch.candidate("1").group is not None
    assert compare(pub.mounts(pub.SLEEP), reference="2").candidate("1").group is None
    agrees(welch, {("1", "2"): pub.SLEEP_WELCH}, 1e-6)
    paired = compare(pub.mounts(pub.SLEEP, rounds=True))
    agrees(paired, {("1", "2"): pub.SLEEP_PAIRED}, 1e-6)
    assert paired.df == 9


def test_least_squares_means_weigh_rounds_alike_though_cells_are_empty() -> None:
    """Two empty cells: the adjusted means are those of the complete table that fits without residual."""
    effect, rounds = {"A": 10.0, "B": 11.0, "C": 12.5}, {"1": -0.4, "2": 0.1, "3": 0.3}
    cells = [(c, r) for c in effect for r in rounds if (c, r) not in {("A", "3"), ("C", "1")}]
    rng = np.random.default_rng(1)
    found = compare(
        [
            MountValue(candidate=c, mount=f"{c}{r}", value=effect[c] + rounds[r] + rng.normal(0, 1e-6), round=r)
            for c, r in cells
        ]
    )
    for name, value in effect.items():
        assert found.candidate(name).mean == pytest.approx(value, abs=1e-4)


def test_a_covariate_is_taken_out_at_its_mean() -> None:
    rng = np.random.default_rng(2)
    mounts = []
    for name, level, air in (("A", 10.0, 21.0), ("B", 10.0, 25.0)):
        for i in range(8):
            x = air + rng.uniform(-1.5, 1.5)
            mounts.append(
                MountValue(
                    candidate=name, mount=str(i), value=level + 0.5 * (x - 23) + rng.normal(0, 0.05), covariates=(x,)
                )
            )
    plain = compare([MountValue(candidate=m.candidate, mount=m.mount, value=m.value) for m in mounts])
    adjusted = compare(mounts, covariate_names=("air",))
    assert plain.pairs[0].verdict == "a_lower"
    assert adjusted.pairs[0].difference == pytest.approx(0, abs=0.2)
    assert adjusted.pairs[0].verdict == "unsettled"


@pytest.mark.parametrize(
    ("spread", "difference", "verdict"),
    [(0.1, 0.3, "same"), (0.1, 2.0, "a_lower"), (0.1, -2.0, "b_lower"), (1.2, 0.6, "unsettled")],
)
def test_verdicts_follow_the_margin(spread: float, difference: float, verdict: str) -> None:
    pattern = np.array([-1.0, 0.0, 1.0, -0.5, 0.5]) * spread
    mounts = [MountValue(candidate="A", mount=str(i), value=10 + v) for i, v in enumerate(pattern)]
    mounts += [MountValue(candidate="B", mount=str(i), value=10 + difference + v) for i, v in enumerate(pattern)]
    pair = compare(mounts, margin=1.0).pairs[0]
    assert pair.verdict == verdict
    assert (pair.mounts_needed is None) is (verdict != "unsettled")


def test_a_small_real_difference_is_the_same_though_its_letters_differ() -> None:
    mounts = [
        MountValue(candidate=c, mount=str(i), value=level + 0.02 * (i % 3))
        for c, level in (("A", 10.0), ("B", 10.3), ("C", 14.0))
        for i in range(4)
    ]
    found = compare(mounts, margin=1.0)
    assert found.pair("A", "B").verdict == "same"
    assert not set(found.candidate("A").group or "") & set(found.candidate("B").group or "")


def test_the_chance_of_being_best_is_that_of_the_joint_t() -> None:
    mounts = [
        MountValue(candidate=c, mount=str(i), value=v)
        for c, vs in (("A", [9.8, 10.2, 10.0]), ("B", [10.1, 10.5, 10.3]))
        for i, v in enumerate(vs)
    ]
    found = compare([*mounts, *[MountValue(candidate="C", mount=str(i), value=99.0 + 0.2 * i) for i in range(3)]])
    se = found.pair("A", "B").se
    truth = stats.t.cdf(0.3 / se, found.df)
    assert found.candidate("A").p_best == pytest.approx(truth, abs=0.015)
    assert found.candidate("C").p_best == 0


def test_intervals_hold_the_truth_as_often_as_they_say() -> None:
    """1,000 simulated studies of four candidates, two of them identical."""
    rng = np.random.default_rng(3)
    truth = {"A": 10.0, "B": 10.0, "C": 11.0, "D": 13.0}
    held = false = 0
    for _ in range(1000):
        mounts = [
            MountValue(candidate=c, mount=str(i), value=level + rng.normal(0, 0.6))
            for c, level in truth.items()
            for i in range(3)
        ]
        found = compare(mounts)
        held += all(p.low <= truth[p.a] - truth[p.b] <= p.high for p in found.pairs)
        false += found.pair("A", "B").verdict != "unsettled"
    assert 0.93 <= held / 1000 <= 0.97
    assert false / 1000 <= 0.05


def test_studentized_residuals_are_those_of_leaving_the_mount_out() -> None:
    y = np.array([10.0, 10.4, 9.9, 11.0, 11.2, 13.0])
    candidate = np.array([0, 0, 0, 1, 1, 1])
    fit = fit_linear(y, candidate, 2)
    keep = np.arange(6) != 5
    without = fit_linear(y[keep], candidate[keep], 2)
    expected = (y[5] - without.means[1]) / (without.sd * np.sqrt(1 + without.unscaled[1, 1]))
    assert fit.studentized[5] == pytest.approx(expected)


@pytest.mark.parametrize("seed", range(6))
def test_letters_are_shared_exactly_where_nothing_tells_apart(seed: int) -> None:
    rng = np.random.default_rng(seed)
    apart = np.triu(rng.random((7, 7)) < 0.4, 1)
    apart |= apart.T
    letters = tie_letters(apart, np.arange(7))
    for i in range(7):
        assert letters[i]
        for j in range(i):
            assert bool(set(letters[i]) & set(letters[j])) is not bool(apart[i, j])


def _alike(n: int) -> list[MountValue]:
    return [MountValue(candidate=c, mount=str(i), value=10.0 + i) for c in "AB" for i in range(n)]


@pytest.mark.parametrize(
    ("mounts", "options", "says"),
    [
        ([], {}, "no mounts"),
        (_alike(3)[:3], {}, "only one candidate"),
        (
            [MountValue(candidate="A", mount="1", value=1.0), MountValue(candidate="B", mount="1", value=2.0)],
            {},
            "nothing to judge the scatter by",
        ),
        (_alike(3), {"confidence": 1.2}, "between 0.5 and 1"),
        (_alike(3), {"margin": -1.0}, "above 0"),
        (_alike(3), {"reference": "Z"}, "is one of A, B"),
        ([MountValue(candidate="A", mount="1", value=1.0), *_alike(3)[3:]], {"spread": "separate"}, "one mount only"),
        (_alike(3), {"spread": "separate", "reference": "A"}, "not with a reference"),
        (
            [
                MountValue(candidate=c, mount=str(i), value=1.0 * i, round=r)
                for c, r in (("A", "1"), ("B", "2"))
                for i in range(3)
            ],
            {},
            "cannot be told apart",
        ),
        (
            [MountValue(candidate=c, mount=str(i), value=1.0 * i, covariates=(21.0,)) for c in "AB" for i in range(3)],
            {"covariate_names": ("air",)},
            "“air” is the same",
        ),
    ],
)
def test_what_cannot_be_compared_is_refused_in_a_sentence(
    mounts: list[MountValue], options: dict[str, object], says: str
) -> None:
    with pytest.raises(CompareError, match=says):
        compare(mounts, **options)  # type: ignore[arg-type]


def test_equal_values_everywhere_are_said_to_be_odd() -> None:
    found = compare([MountValue(candidate=c, mount=str(i), value=5.0) for c in "ABC" for i in range(3)], margin=1.0)
    assert any("do not scatter" in w for w in found.warnings)
    assert all(p.verdict == "same" and np.isfinite(p.p) for p in found.pairs)


def test_one_mount_beside_many_still_compares() -> None:
    found = compare(
        [
            MountValue(candidate="A", mount="1", value=9.0),
            *[MountValue(candidate="B", mount=str(i), value=11.0 + 0.1 * i) for i in range(4)],
        ]
    )
    assert found.pairs[0].verdict == "a_lower"
    assert found.warnings
