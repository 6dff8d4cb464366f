"""Restriction and flow: known curves are found again, intervals hold, and what is no restriction is refused by name."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.base.errors import BenchError, CompareError
from kuffin.core.bench.calibration import Within
from kuffin.core.flow.accuracy import Accuracies, common_share, read_accuracy
from kuffin.core.flow.circuit import Branch, circuit_drop, crossing, in_series, words_of
from kuffin.core.flow.measured import Measured, Taken, measured
from kuffin.core.flow.pump import fit_pump
from kuffin.core.flow.restriction import PartCurve, fit_restriction
from kuffin.core.flow.withoutgauge import drop_without_a_gauge, less_flow
from kuffin.simulated.hydraulics import Pump, Restriction, loop_flow

A, B = 0.012, 0.00031
FLOW = np.linspace(60, 260, 9)
GOOD = Accuracies(Within(2.0, 0.0), Within(1.0, 0.1))


def read(rng: np.random.Generator, common: float = 0.0, count: int = 1) -> PartCurve:
    """Readings with errors of their own, and one that all share, each within its instrument's accuracy."""
    own = np.sqrt(1 - common**2)
    flow = FLOW * (1 + 0.01 * (own * rng.normal(size=9) + common * rng.normal()))
    drop = count * (A * FLOW + B * FLOW**2) * (1 + 0.005 * (own * rng.normal(size=9) + common * rng.normal()))
    drop = drop + 0.05 * (own * rng.normal(size=9) + common * rng.normal())
    return fit_restriction("Tern", flow, drop, GOOD, np.full(9, float(count)))


@pytest.mark.parametrize("common", [0.0, 0.7, 1.0])
@pytest.mark.parametrize("count", [1, 3])
def test_intervals_hold_the_truth_whether_errors_are_the_readings_own_or_common(common: float, count: int) -> None:
    """Also where a meter is off by the same share in all of its readings, which no scatter shows."""
    held = 0
    for seed in range(120):
        found = measured({"Tern": read(np.random.default_rng(seed), common, count)}, GOOD)
        held += sum(d.low <= A * q + B * q * q <= d.high for q in (100, 220) for d in [found.drop("Tern", q)])
    assert held >= 0.9 * 240


def test_what_the_scatter_shows_already_is_not_counted_again() -> None:
    rng = np.random.default_rng(3)
    own, common = measured({"Tern": read(rng)}, GOOD), measured({"Tern": read(rng, 1.0)}, GOOD)
    assert common.common["Tern"] > 0.95 > own.common["Tern"]
    narrow, wide = (m.drop("Tern", 150) for m in (own, common))
    assert narrow.high - narrow.low < wide.high - wide.low


def test_what_all_readings_share_cancels_between_parts() -> None:
    rng = np.random.default_rng(4)
    found = measured({"Tern": read(rng, 1.0), "Knot": read(rng, 1.0)}, GOOD)
    apart = found.difference("Tern", "Knot", 150)
    alone = found.drop("Tern", 150)
    assert apart.high - apart.low < 0.7 * (alone.high - alone.low)


HEAD, FREE = 30.0, 500.0


def loop(rng: np.random.Generator) -> Measured:
    """Tern as it was read, and a pump at two speeds."""
    speed = np.repeat([0.6, 1.0], 7)
    flow = np.concatenate([np.linspace(20, 0.9 * FREE * s, 7) for s in (0.6, 1.0)])
    head = HEAD * (speed**2 - (flow / FREE) ** 2) * (1 + 0.005 * rng.normal(size=14))
    return measured({"Tern": read(rng)}, GOOD, fit_pump(speed, flow, head, GOOD), Taken(GOOD))


def test_a_loops_flow_is_that_of_the_simulated_bench() -> None:
    found, pump = loop(np.random.default_rng(6)), Pump(head_kpa=HEAD, free_flow_l_h=FREE)
    two, one = (Branch("Tern", 2),), (Branch("Tern"),)
    truth, alone = (loop_flow(pump, 0.8, [Restriction(A, B)] * n) for n in (2, 1))
    point = found.point((two,), 0.8)
    assert point.flow.low <= truth <= point.flow.high and abs(point.flow.value / truth - 1) < 0.03 and not point.beyond
    assert point.head == pytest.approx(2 * (A * point.flow.value + B * point.flow.value**2), rel=0.03)
    assert found.point((one,), 0.2).beyond == ("Tern",)
    costs = found.change((one,), (two,), 0.8)
    assert costs.low <= truth - alone <= costs.high < 0
    assert costs.half < point.flow.half  # what both have in common cancels
    speed = found.speed((two,), truth)
    assert speed.low <= 0.8 <= speed.high and found.speed((two,), 400.0).low > 1  # too weak for that
    with pytest.raises(CompareError, match="at no speed"):
        found.point((one,), 0.0)


def test_beside_one_another_flows_add_and_after_one_another_drops() -> None:
    """Against closed forms: two alike in parallel drop what one does at half the flow; a laminar one beside a turbulent one by hand."""
    of = {"lam": (np.array([0.02]), np.array([0.0])), "turb": (np.array([0.0]), np.array([0.0004])), "Tern": (np.array([A]), np.array([B]))}  # fmt: skip

    def drop(*stages: tuple[Branch, ...], at: float = 200.0) -> float:
        return float(circuit_drop(stages, of, at)[0])

    tern = Branch("Tern")
    assert drop((tern, tern)) == pytest.approx(A * 100 + B * 100**2, rel=1e-9)
    # 0.02·q1 = 0.0004·q2² = 2.56 kPa at q1 = 128, q2 = 80: together 208 L/h
    assert drop((Branch("lam"), Branch("turb")), at=208.0) == pytest.approx(2.56, rel=1e-9)
    assert drop((Branch("lam"), Branch("turb")), (tern,), at=208.0) == pytest.approx(2.56 + A * 208 + B * 208**2)
    assert (
        drop((Branch("Tern", 3),)) == pytest.approx(drop(*in_series(["Tern"] * 3))) == pytest.approx(3 * drop((tern,)))
    )
    assert words_of(((tern, Branch("Reed")), (Branch("Knot", 2),))) == "(Tern beside Reed) + 2 × Knot"
    found = loop(np.random.default_rng(7))
    beside, series = found.point(((tern, tern),), 0.5), found.point(((Branch("Tern", 2),),), 0.5)
    truth = loop_flow(Pump(head_kpa=HEAD, free_flow_l_h=FREE), 0.5, [Restriction(A / 2, B / 4)])
    assert beside.flow.low <= truth <= beside.flow.high and beside.flow.low > series.flow.high


def test_a_coolant_carries_a_by_viscosity_and_b_by_density() -> None:
    part = fit_restriction("Tern", FLOW, A * FLOW + B * FLOW**2, GOOD).carried(3.0, 1.04)
    assert (part.a, part.b) == pytest.approx((3 * A, 1.04 * B), rel=1e-6)
    assert part.covariance[0, 1] == pytest.approx(
        3.12 * fit_restriction("Tern", FLOW, A * FLOW + B * FLOW**2, GOOD).covariance[0, 1]
    )


def test_the_flow_with_and_without_a_part_tells_its_share_and_with_the_pumps_curve_its_drop() -> None:
    pump, rest, tern = Pump(head_kpa=HEAD, free_flow_l_h=FREE), Restriction(0.01, 4e-4), Restriction(A, B)
    held = share_held = 0
    for seed in range(1000):
        rng = np.random.default_rng([11, seed])
        without, within = loop_flow(pump, 0.7, [rest]), loop_flow(pump, 0.7, [rest, tern])
        gain = 1 + 0.01 * rng.normal()  # of the meter, the same in all readings
        read_w, read_t = (q * gain * (1 + 0.003 * rng.normal(size=4)) for q in (without, within))
        told = less_flow(read_w, read_t, GOOD)
        share_held += told.low <= 100 * (1 - within / without) <= told.high
        if seed < 40:
            estimate = drop_without_a_gauge(read_w, read_t, 0.7, loop(rng), GOOD)
            held += estimate.low <= tern.drop(within) <= estimate.high
    assert 0.93 * 1000 <= share_held <= 0.97 * 1000 and held >= 0.9 * 40
    with pytest.raises(CompareError, match="more flow with the part"):
        less_flow(np.array([100.0]), np.array([130.0]), GOOD)


def test_parts_in_series_add_their_drops() -> None:
    one = fit_restriction("Tern", FLOW, A * FLOW + B * FLOW**2, Accuracies())
    assert (one.a, one.b) == pytest.approx((A, B), rel=1e-6)
    three = fit_restriction("Tern", FLOW, 3 * (A * FLOW + B * FLOW**2), Accuracies(), np.full(9, 3.0))
    assert (three.a, three.b) == pytest.approx((A, B), rel=1e-6)
    assert float(crossing(A, B, one.at(150.0), 0.0, 1.0)) == pytest.approx(150.0)


@pytest.mark.parametrize(
    ("flow", "drop", "said"),
    [
        ([100.0], [4.0], "Tern has 1 at 1"),
        ([100.0, 100.0, 100.0, 101.0], [4.0, 4.1, 4.0, 4.2], "has 4 at 2"),
        ([50, 100, 150, 200], [9, 7, 5, 3], "the drop of Tern falls"),
        ([-50, 100, 150, 200], [1, 3, 5, 9], "negative flow"),
        ([50, 100, 150, 200], [-1, 3, 5, 9], "negative drop"),
    ],
)
def test_what_is_no_restriction_is_refused_by_name(flow: list[float], drop: list[float], said: str) -> None:
    with pytest.raises(CompareError, match=said):
        fit_restriction("Tern", np.array(flow), np.array(drop), GOOD)


def test_a_point_that_stands_off_is_named() -> None:
    drop = A * FLOW + B * FLOW**2
    drop[4] *= 1.4
    assert fit_restriction("Tern", FLOW, drop, GOOD).standing_off == [4]


def test_a_pump_whose_head_rises_is_refused() -> None:
    with pytest.raises(CompareError, match="does not fall"):
        fit_pump(np.ones(4), np.array([50.0, 100, 200, 300]), np.array([5.0, 8, 15, 30]), GOOD)
    with pytest.raises(CompareError, match="this one has 2"):
        fit_pump(np.ones(2), np.array([50.0, 100]), np.array([30.0, 28]), GOOD)


@pytest.mark.parametrize(
    ("written", "unit", "percent", "fixed"),
    [("2%", "L/h", 2, 0), ("1% + 0.1 kPa", "kPa", 1, 0.1), ("10 mbar", "kPa", 0, 1.0), ("± 0.5 % + 0.2", "kPa", 0.5, 0.2)],
)  # fmt: skip
def test_accuracies_are_read_as_people_write_them(written: str, unit: str, percent: float, fixed: float) -> None:
    read_it = read_accuracy(written, unit)
    assert (read_it.percent, read_it.fixed) == pytest.approx((percent, fixed))


def test_an_accuracy_in_another_quantity_is_refused() -> None:
    with pytest.raises(BenchError, match="no unit of kPa"):
        read_accuracy("1 % + 2 L/h", "kPa")
    assert common_share([], []) == 1.0  # nothing tells how much is common: all of it
