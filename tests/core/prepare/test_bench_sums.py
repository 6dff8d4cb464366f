"""Sums of the bench, worked by hand or from published tables."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.base.errors import BenchError
from kuffin.core.bench.parts import KINDS, kind_of, read_field, show_field
from kuffin.core.prepare.fill import (
    Held,
    bleeding,
    carry_over,
    dew_point_c,
    loop_volume_ml,
    metal_warnings,
    mix,
    rinses_needed,
    tube_volume_ml,
)
from kuffin.core.prepare.fit import screw, tightening
from kuffin.core.prepare.padfit import PRINTS, Pad, pads, usual_place


def test_volumes() -> None:
    assert tube_volume_ml(10, 1000) == pytest.approx(78.54, abs=0.01)  # π/4 · 1 cm² · 100 cm
    total, spread = loop_volume_ml([Held("Reed", 200, False), Held("pump", 50, True)])
    assert total == 250 and spread == pytest.approx(np.hypot(10, 20))


def test_a_mix_adds_up_and_leaves_room_for_the_additive() -> None:
    found = mix(1000, 20, 15)
    assert (found.concentrate_ml, found.water_ml, found.additive_ml) == pytest.approx((200, 785, 15))
    assert found.total_ml == pytest.approx(1000)
    with pytest.raises(BenchError, match="more than"):
        mix(1000, 99, 50)


def test_carry_over_against_filling_and_draining_step_by_step() -> None:
    left, loop = 60.0, 500.0
    for rinses in range(5):
        old, water = loop, 0.0
        for _ in range(rinses + 1):  # each rinse, then the new coolant: drain to what is left, fill up
            share = old / (old + water)
            old, water = left * share, left * (1 - share) + loop - left
        assert carry_over(left, loop, rinses) == pytest.approx(old / loop)
    assert rinses_needed(left, loop) == 2  # 0.12³ = 0.17 %, 0.12² = 1.4 %
    with pytest.raises(BenchError):
        carry_over(600, 500, 1)


@pytest.mark.parametrize(
    ("air", "humidity", "dew"), [(20, 50, 9.3), (25, 60, 16.7), (30, 80, 26.2), (10, 100, 10.0), (22, 40, 7.8)]
)
def test_dew_points_of_published_tables(air: float, humidity: float, dew: float) -> None:
    assert dew_point_c(air, humidity) == pytest.approx(dew, abs=0.1)


def test_metals_that_should_not_meet() -> None:
    warnings = metal_warnings({"Reed": ["aluminium"], "Tern": ["copper", "nickel plate"], "plug": ["silver"]})
    assert len(warnings) == 2
    assert "aluminium (Reed)" in warnings[0] and "copper (Tern)" in warnings[0]
    assert "silver (plug)" in warnings[1]
    assert metal_warnings({"Reed": ["copper", "brass"], "Tern": ["copper", "nickel plate"]}) == []


class TestBleeding:
    def flow(self, rise: float, scatter: float) -> tuple[np.ndarray, np.ndarray]:
        rng = np.random.default_rng(4)
        t = np.arange(0, 600, 2.0)
        level = 200 * (1 - rise * np.exp(-t / 150))
        return t, level + rng.normal(0, scatter, t.size)

    def test_goes_on_while_the_flow_rises(self) -> None:
        t, y = self.flow(0.4, 1.0)
        found = bleeding(t[:150], y[:150])
        assert not found.done and "still rises" in found.sentence
        t, y = self.flow(0.001, 1.0)
        assert bleeding(t, y).done

    def test_goes_on_while_bubbles_pass_and_stops_when_only_the_sensor_scatters(self) -> None:
        t, y = self.flow(0.0, 5.0)
        found = bleeding(t, y)
        assert not found.done and "bubbles" in found.sentence
        assert found.scatter_l_h == pytest.approx(5.0, rel=0.3)

    def test_no_flow_and_too_little_to_judge_are_said(self) -> None:
        t, y = self.flow(0.0, 0.0)
        assert "run dry" in bleeding(t, y * 0).sentence
        with pytest.raises(BenchError, match="four minutes"):
            bleeding(t[:50], y[:50])


class TestScrews:
    def test_right(self) -> None:
        found = screw(30, 25, 7)
        assert found.state == "right" and found.reach_mm == 5

    def test_one_that_would_pierce_the_core_is_mended_with_washers_or_a_shorter_one(self) -> None:
        found = screw(35, 25, 7)
        assert found.state == "too long" and "pierce the core" in found.sentence
        assert found.washers == 7 and found.better_mm == 28.0
        assert screw(35, 25, 7, washers=7).state == "right"
        assert screw(28, 25, 7).state == "right"

    def test_too_short(self) -> None:
        found = screw(26, 25, 7)
        assert found.state == "too short" and found.better_mm == 28.0
        with pytest.raises(BenchError, match="at least 27"):
            screw(25, 25, 7)
        with pytest.raises(BenchError):
            screw(30, -1, 7)


class TestPads:
    def test_squeeze_and_stand_off_by_hand(self) -> None:
        found, stand_off, said = pads(
            [
                Pad(where="memory", thickness_mm=1.0, gap_mm=0.8),
                Pad(where="regulators", thickness_mm=2.0, gap_mm=1.0, least_percent=10, most_percent=30),
            ]
        )
        assert [p.state for p in found] == ["right", "tight"]
        assert found[0].squeeze_percent == pytest.approx(20)
        assert stand_off == pytest.approx(0.4)  # 2 · 0.7 = 1.4 mm at its limit, 1.0 mm of room
        assert "0.40 mm" in said and "regulators" in said

    def test_gaps(self) -> None:
        found, stand_off, _ = pads(
            [Pad(where="memory", thickness_mm=1.0, gap_mm=1.2), Pad(where="coil", thickness_mm=1.0, gap_mm=0.95)]
        )
        assert [p.state for p in found] == ["no contact", "loose"] and stand_off == 0
        with pytest.raises(BenchError, match="cannot be"):
            pads([Pad(where="memory", thickness_mm=1.0, gap_mm=-0.1)])

    @pytest.mark.parametrize(
        ("gap", "printed", "state", "words"),
        [
            (None, PRINTS[0], "touches", "how far it is squeezed is not known"),
            (None, PRINTS[1], "in part", "loose, or the block sits askew"),
            (None, PRINTS[2], "no contact", "its print shows no contact"),
            (0.8, PRINTS[0], "right", "is squeezed by 20 %"),
            (0.8, PRINTS[2], "no contact", "though it should be squeezed by 20 %"),
            (1.2, PRINTS[0], "unknown", "measure it again"),
            (1.2, PRINTS[2], "no contact", "0.20 mm of air"),
        ],
    )
    def test_what_its_print_shows_goes_before_what_a_gap_says(
        self, gap: float | None, printed: str, state: str, words: str
    ) -> None:
        (found,), _, said = pads([Pad(where="memory", thickness_mm=1.0, gap_mm=gap, printed=printed)])
        assert found.state == state and words in found.sentence
        assert (said == "The pads let the die touch the block.") == (state == "right")

    def test_places_before_anybody_put_them_right_do_not_lie_on_one_another(self) -> None:
        places = [usual_place(kind, n) for kind in ("memory", "regulators", "coils") for n in range(2)]
        for i, (x, y, w, h) in enumerate(places):
            for x2, y2, w2, h2 in places[:i]:
                assert abs(x - x2) >= (w + w2) / 2 or abs(y - y2) >= (h + h2) / 2


@pytest.mark.parametrize("pattern", ["two", "four", "four in a cross", "six", "eight"])
def test_tightening_goes_across_each_time_and_takes_every_screw_once(pattern: str) -> None:
    points, order = tightening(pattern)
    assert sorted(order) == list(range(len(points)))
    for a, b in zip(order[::2], order[1::2], strict=True):
        assert np.hypot(points[a][0] + points[b][0], points[a][1] + points[b][1]) < 1e-9


def test_fields_are_read_as_written_and_shown_again() -> None:
    fields = {f.key: f for f in kind_of("radiator").fields}
    assert read_field(fields["thickness_mm"], "27,5 mm") == 27.5
    assert read_field(fields["metals"], "Copper; brass") == ["copper", "brass"]
    for kind in KINDS.values():
        for field in kind.fields:
            value = read_field(field, {"number": "2", "text": "x"}.get(field.kind, (field.options or ("",))[0]))
            assert read_field(field, show_field(field, value)) == value
    for key, written in (("thickness_mm", "thick"), ("thickness_mm", "-3"), ("metals", "cheese"), ("thread", "M99")):
        with pytest.raises(BenchError):
            read_field(fields[key], written)
    with pytest.raises(BenchError, match="no kind of part"):
        kind_of("teapot")
