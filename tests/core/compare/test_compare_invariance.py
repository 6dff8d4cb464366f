"""What must not change a verdict: the origin, the unit's scale, the order of mounts; and what must mirror it."""

from __future__ import annotations

import numpy as np
import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from kuffin.core.base.errors import CompareError
from kuffin.core.compare import Comparison, MountValue, compare

VALUES = st.lists(st.lists(st.floats(5, 60, width=32), min_size=2, max_size=5), min_size=2, max_size=5)


def as_mounts(groups: list[list[float]], scale: float = 1.0, shift: float = 0.0) -> list[MountValue]:
    return [
        MountValue(candidate=chr(65 + g), mount=f"{g}-{i}", value=scale * v + shift)
        for g, values in enumerate(groups)
        for i, v in enumerate(values)
    ]


def judged(groups: list[list[float]], **more: object) -> Comparison:
    found = compare(as_mounts(groups), **more)  # type: ignore[arg-type]
    assume((found.sd or 1.0) > 1e-3)
    assume(all(p.se > 1e-3 for p in found.pairs))
    return found


@settings(max_examples=60, deadline=None)
@given(VALUES, st.floats(0.1, 20), st.floats(-50, 50))
def test_scale_and_origin_carry_through(groups: list[list[float]], scale: float, shift: float) -> None:
    one = judged(groups, margin=1.0)
    two = compare(as_mounts(groups, scale, shift), margin=scale)
    for a, b in zip(one.pairs, two.pairs, strict=True):
        assert (b.difference, b.low, b.high) == pytest.approx(
            (scale * a.difference, scale * a.low, scale * a.high), rel=1e-5, abs=1e-5 * scale
        )
        assert b.p == pytest.approx(a.p, abs=1e-6)


@settings(max_examples=60, deadline=None)
@given(VALUES, st.randoms())
def test_the_order_of_mounts_does_not_matter(groups: list[list[float]], random: object) -> None:
    found = judged(groups)
    mounts = as_mounts(groups)
    random.shuffle(mounts)  # type: ignore[attr-defined]
    again = compare(mounts)
    for pair in found.pairs:
        other = again.pair(pair.a, pair.b)
        sign = 1 if other.a == pair.a else -1
        assert sign * other.difference == pytest.approx(pair.difference, abs=1e-9)
        assert other.p == pytest.approx(pair.p, abs=1e-9)


@settings(max_examples=80, deadline=None)
@given(VALUES, st.floats(0.1, 5), st.booleans())
def test_verdicts_letters_and_intervals_agree_with_each_other(
    groups: list[list[float]], margin: float, separate: bool
) -> None:
    found = judged(groups, margin=margin, spread="separate" if separate else "pooled")
    for pair in found.pairs:
        assert pair.low <= pair.narrow_low <= pair.difference <= pair.narrow_high <= pair.high
        if abs(pair.p - 0.05) > 1e-6:
            assert (pair.p < 0.05) == (pair.low > 0 or pair.high < 0)
            together = bool(set(found.candidate(pair.a).group or "") & set(found.candidate(pair.b).group or ""))
            assert together == (pair.p >= 0.05)
        if pair.verdict == "same":
            assert max(abs(pair.narrow_low), abs(pair.narrow_high)) < margin
        if pair.verdict == "unsettled":
            assert pair.low <= 0 <= pair.high
            assert pair.mounts_needed is None or 2 <= pair.mounts_needed <= 99
    assert sum(c.p_best for c in found.candidates) == pytest.approx(1.0)


@settings(max_examples=40, deadline=None)
@given(VALUES)
def test_higher_is_lower_mirrored(groups: list[list[float]]) -> None:
    low = judged(groups)
    high = compare(as_mounts(groups, scale=-1.0), better="higher")
    for c in low.candidates:
        assert high.candidate(c.name).p_best == pytest.approx(c.p_best, abs=0.03)


def test_a_reference_needs_fewer_comparisons_and_so_a_smaller_critical_value() -> None:
    rng = np.random.default_rng(1)
    mounts = [MountValue(candidate=c, mount=str(i), value=rng.normal(10, 0.5)) for c in "ABCDE" for i in range(4)]
    all_pairs, against = compare(mounts), compare(mounts, reference="C")
    assert len(all_pairs.pairs) == 10
    assert [(p.a, p.b) for p in against.pairs] == [("A", "C"), ("B", "C"), ("C", "D"), ("C", "E")]
    for pair in against.pairs:
        assert pair.high - pair.low < all_pairs.pair(pair.a, pair.b).high - all_pairs.pair(pair.a, pair.b).low


def test_rounds_take_out_what_a_whole_round_had_in_common() -> None:
    rng = np.random.default_rng(2)
    day = {"1": 0.0, "2": 1.4, "3": -1.1}
    mounts = [
        MountValue(candidate=c, mount=f"{c}{r}", value=level + shift + rng.normal(0, 0.1), round=r)
        for r, shift in day.items()
        for c, level in (("A", 10.0), ("B", 10.8))
    ]
    blocked = compare(mounts).pairs[0]
    plain = compare([MountValue(candidate=m.candidate, mount=m.mount, value=m.value) for m in mounts]).pairs[0]
    assert blocked.verdict == "a_lower"
    assert plain.verdict == "unsettled"


@settings(max_examples=60, deadline=None)
@given(st.lists(st.tuples(st.sampled_from("ABC"), st.sampled_from("123"), st.floats(-5, 5)), min_size=0, max_size=12))
def test_any_table_is_compared_or_refused(rows: list[tuple[str, str, float]]) -> None:
    mounts = [MountValue(candidate=c, mount=str(i), value=v, round=r) for i, (c, r, v) in enumerate(rows)]
    try:
        found = compare(mounts, margin=0.5)
    except CompareError as error:
        assert str(error)
        return
    for pair in found.pairs:
        assert np.isfinite([pair.difference, pair.low, pair.high, pair.p]).all()
        assert 0 <= pair.p <= 1
