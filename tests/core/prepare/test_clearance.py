"""Does it fit: sums that are worked by hand, what is not known, what mends a conflict."""

from __future__ import annotations

from dataclasses import replace

import pytest

from kuffin.core.prepare.clearance import CLEARANCES, CONFLICT, FITS, TIGHT, UNKNOWN, Built, Clearance, clearance
from kuffin.core.prepare.matching import MATCHES, all_fits, matching, threads

DEPTH = next(c for c in CLEARANCES if c.key == "radiator depth")
MEMORY = next(c for c in CLEARANCES if c.key == "memory")
HEADER = next(c for c in CLEARANCES if c.key == "fan header")
CASE = Built("Downs", "case", {"radiator_depth_mm": 55.0, "radiator_depth_mm_tolerance": 1.0})
REED = Built("Reed", "radiator", {"thickness_mm": 27.0, "thickness_mm_tolerance": 0.6, "fan_count": 2.0})
FANS = Built("Wagtail", "fan", {"thickness_mm": 25.0, "thickness_mm_tolerance": 0.5, "current_a": 0.3})


def test_sizes_add_up_with_their_tolerances_at_worst_and_by_squares() -> None:
    """55 − 27 − 25 = 3 mm; at worst 1 + 0.6 + 0.5 = 2.1; √(1 + 0.36 + 0.25) = 1.27."""
    found = clearance(DEPTH, {"case": CASE, "radiator": REED, "fans": FANS})
    assert (found.state, found.spare, found.worst) == (FITS, 3.0, pytest.approx(2.1))
    assert found.likely == pytest.approx(1.2689, abs=1e-4)
    thick = replace(REED, fields={**REED.fields, "thickness_mm": 28.5})
    tight = clearance(DEPTH, {"case": CASE, "radiator": thick, "fans": FANS})
    assert tight.state == TIGHT and "may lack 0.6 mm" in tight.sentence
    assert clearance(DEPTH, {"case": CASE, "radiator": REED}).spare == 28.0  # without fans


def test_a_conflict_names_what_is_too_much_and_what_would_mend_it() -> None:
    thick = replace(REED, name="Bulrush", fields={"thickness_mm": 32.0})
    thin, other = Built("Pipit", "fan", {"thickness_mm": 15.0}), Built("Dotterel", "fan", {"thickness_mm": 24.5})
    found = clearance(DEPTH, {"case": CASE, "radiator": thick, "fans": FANS}, [thin, other, REED], keep="radiator")
    assert found.state == CONFLICT and found.spare == -2.0
    assert "57 mm deep, and the case has 55 mm: 2 mm too much" in found.sentence
    assert found.mends == ("with Pipit instead of Wagtail it fits",)  # the radiator is what is compared


def test_memory_is_told_by_the_height_that_is_cleared() -> None:
    block, memory = (
        Built("Tern", "processor block", {"memory_clearance_mm": 44.0}),
        Built("Heath", "memory", {"height_mm": 46.0}),
    )
    assert "does not clear memory over 44 mm" in clearance(MEMORY, {"block": block, "memory": memory}).sentence


def test_what_is_not_known_never_fits_and_may_still_be_too_much() -> None:
    bare = Built("Reed", "radiator", {})
    found = clearance(DEPTH, {"case": CASE, "radiator": bare, "fans": FANS})
    assert found.state == UNKNOWN and found.sentence == "fits as far as is known; unknown: “thickness” of Reed"
    thick = replace(FANS, fields={"thickness_mm": 60.0})
    assert clearance(DEPTH, {"case": CASE, "radiator": bare, "fans": thick}).state == CONFLICT
    assert not any(f.state == FITS for f in all_fits({"case": Built("Downs", "case", {}), "radiator": REED}))
    assert all_fits({"radiator": REED, "fans": FANS}) == []  # nothing it is to fit into


def test_fans_on_a_header_are_counted() -> None:
    board = Built("Fen", "board", {"fan_header_a": 0.5})
    found = clearance(HEADER, {"board": board, "radiator": REED, "fans": FANS})
    assert found.state == CONFLICT and "0.6 A together" in found.sentence
    uncounted = clearance(HEADER, {"board": board, "radiator": replace(REED, fields={}), "fans": FANS})
    assert "how many fans" in uncounted.sentence and uncounted.state == UNKNOWN


def test_threads_need_the_same_or_an_adapter_that_is_taken() -> None:
    block, fitting = Built("Tern", "processor block", {"thread": "G3/8"}), Built("Snipe", "fitting", {"thread": "G1/4"})
    adapter = Built("Sluice", "adapter", {"thread": "G3/8", "thread_out": "G1/4"})
    (found,) = threads({"block": block, "fitting": fitting}, [adapter])
    assert found.state == CONFLICT and found.mends == ("with the adapter Sluice it fits",)
    assert threads({"block": block, "fitting": fitting, "adapter": adapter})[0].state == FITS
    assert threads({"block": replace(block, fields={}), "fitting": fitting})[0].state == UNKNOWN


SCREWS, FAN_PLUG, PUMP_PLUG = MATCHES


def test_metric_and_inch_screws_are_not_mixed() -> None:
    radiator = replace(REED, fields={"screw_thread": "M3"})
    inch, metric = (Built("long", "screws", {"screw_thread": t}) for t in ("UNC 6-32", "M3"))
    found = matching(SCREWS, {"radiator": radiator, "fan_screws": inch})
    assert found.state == CONFLICT and "cut the threads away" in found.sentence
    assert matching(SCREWS, {"radiator": radiator, "fan_screws": metric}).state == FITS


def test_plugs_go_into_headers_that_take_them() -> None:
    board = Built("Fen", "board", {"fan_plug": "4 pins", "pump_plug": "4 pins"})
    fans, pump = replace(FANS, fields={"plug": "3 pins"}), Built("Dipper", "pump", {"plug": "drive plug"})
    by_voltage = matching(FAN_PLUG, {"fans": fans, "board": board})
    assert by_voltage.state == FITS and "by voltage only" in by_voltage.sentence
    assert "from the supply" in matching(PUMP_PLUG, {"pump": pump, "board": board}).sentence
    assert matching(PUMP_PLUG, {"pump": replace(pump, fields={}), "board": board}).unknown == ("plug of Dipper",)


def check(key: str) -> Clearance:
    return next(c for c in CLEARANCES if c.key == key)


def test_heads_of_screws_count_where_they_are_told() -> None:
    """55 − 27 − 25 − 1.8 = 1.2 mm."""
    built = {"case": CASE, "radiator": REED, "fans": FANS, "fan_screws": Built("long", "screws", {"head_mm": 1.8})}
    assert clearance(DEPTH, built).spare == pytest.approx(1.2)
    assert clearance(DEPTH, {**built, "fan_screws": Built("long", "screws", {})}).spare == 3.0


def test_stacks_ports_and_slots_add_up() -> None:
    board, plate = Built("Fen", "board", {"thickness_mm": 1.6}), Built("Flat", "backplate", {"thickness_mm": 3.0})
    block = Built("Tern", "processor block", {"screw_reach_mm": 4.5, "port_spacing_mm": 24.0})
    stack = clearance(check("stack"), {"board": board, "backplate": plate, "block": block})
    assert stack.state == CONFLICT and "4.6 mm thick" in stack.sentence and stack.spare == pytest.approx(-0.1)
    assert clearance(check("stack"), {"board": board, "block": block}).state == "not built in"
    wide = Built("Snipe", "fitting", {"diameter_mm": 24.5})
    assert "are 24 mm apart" in clearance(check("ports"), {"fitting": wide, "block": block}).sentence
    cage = Built("Downs", "case", {"ports_blocked_mm": 14.0})
    end = {"fitting": wide, "radiator": Built("Reed", "radiator", {"port_from_end_mm": 24.0}), "case": cage}
    ports = clearance(check("radiator ports' place"), end)  # 14 + 24.5 / 2 = 26.25 mm
    assert ports.state == CONFLICT and ports.spare == pytest.approx(-2.25) and "24 mm from its end" in ports.sentence
    slim = {**end, "fitting": Built("Stint", "fitting", {"diameter_mm": 19.0})}
    assert clearance(check("radiator ports' place"), slim).spare == pytest.approx(0.5)
    mends = clearance(check("radiator ports' place"), end, [slim["fitting"]]).mends
    assert mends == ("with Stint instead of Snipe it fits",)
    card = Built("Knot", "card block", {"slots": 2.0})
    slots = clearance(check("card slots"), {"block": card, "case": Built("Downs", "case", {"card_slots": 1.0})})
    assert slots.state == CONFLICT and "takes 2 slots" in slots.sentence
    assert clearance(check("card slots"), {"block": block, "case": CASE}).state == "not built in"  # takes no slot
    behind = {"backplate": plate, "case": Built("Downs", "case", {"behind_board_mm": 18.0})}
    assert clearance(check("behind the board"), behind).spare == 15.0
