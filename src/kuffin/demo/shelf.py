"""The demo's shelf and bench: what booth seven is made of. Everything is invented."""

from __future__ import annotations

from typing import Any

from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step, usual_steps
from kuffin.core.compare.claims import Claimed
from kuffin.core.plan.order import plan_order
from kuffin.notebook import edits, planedits
from kuffin.notebook import shelf as edit_shelf
from kuffin.notebook.entities import Part
from kuffin.notebook.store import Notebook
from kuffin.verdict.planbasis import slots_of

_RADIATORS: dict[str, dict[str, Any]] = {
    "Sedge": {"thickness_mm": 27.0, "volume_ml": 168.0, "screw_depth_mm": 6.5, "weight_g": 760.0, "fins_per_cm": 7.5, "finish": "even, no fin bent", "contents": "eight M3 screws, plugs"},
    "Reed": {"thickness_mm": 27.5, "volume_ml": 172.0, "screw_depth_mm": 6.0, "weight_g": 802.0, "fins_per_cm": 6.0, "finish": "even", "contents": "eight M3 screws, washers, plugs"},
    "Bulrush": {"thickness_mm": 30.0, "volume_ml": 190.0, "screw_depth_mm": 7.0, "weight_g": 848.0, "fins_per_cm": 5.5, "finish": "runs of paint on one side", "contents": "four M3 screws"},
    "Rush": {"thickness_mm": 25.0, "volume_ml": 150.0, "screw_depth_mm": 5.0, "weight_g": 655.0, "fins_per_cm": 5.0, "finish": "some fins bent", "contents": "nothing but plugs", "defects": "flux left in one chamber, rinsed out"},
}  # fmt: skip
_OF_ALL_RADIATORS: dict[str, Any] = {
    "length_mm": 277.0,
    "width_mm": 120.0,
    "thickness_mm_tolerance": 0.5,
    "fan_size_mm": 120.0,
    "fan_count": 2.0,
    "screw_thread": "M3",
    "thread": "G1/4",
    "metals": ["copper", "brass"],
    "max_pressure_kpa": 60.0,
}
_PRICES = {"Sedge": 92.0, "Reed": 71.0, "Bulrush": 58.0, "Rush": 44.0}
_OTHER_PRICES = {
    "Dipper": 88.0,
    "Tarn": 41.0,
    "clear tube": 9.0,
    "Wagtail": 26.0,
    "Rill": 14.0,
    "Brook": 17.0,
    "Chalk": 8.0,
    "Marl": 6.0,
    "Loam": 11.0,
    "Tern": 64.0,
    "Plover": 118.0,
}
_COPPER: dict[str, Any] = {"thread": "G1/4", "metals": ["copper", "nickel plate"], "max_pressure_kpa": 80.0}
_OTHERS: tuple[tuple[str, str, str, dict[str, Any]], ...] = (
    ("processor block", "Tern", "Oxbow Works", {**_COPPER, "volume_ml": 28.0, "screw_pattern": "four", "height_mm": 24.0, "memory_clearance_mm": 44.0, "port_spacing_mm": 26.0, "screw_reach_mm": 5.0}),
    ("processor block", "Plover", "Hollin & Daughter", {**_COPPER, "volume_ml": 34.0, "screw_pattern": "four", "height_mm": 27.0, "memory_clearance_mm": 40.0, "port_spacing_mm": 22.0, "screw_reach_mm": 4.0}),
    ("pump", "Dipper", "Oxbow Works", {"volume_ml": 45.0, "thread": "G1/4", "metals": ["stainless steel"], "max_pressure_kpa": 50.0, "voltage_v": 12.0, "current_a": 1.6, "plug": "4 pins"}),
    ("reservoir", "Tarn", "Hollin & Daughter", {"thread": "G1/4", "max_pressure_kpa": 50.0}),
    ("tube", "clear tube", "", {"inner_mm": 10.0, "outer_mm": 13.0, "max_pressure_kpa": 150.0}),
    ("fan", "Wagtail", "Oxbow Works", {"fan_size_mm": 120.0, "thickness_mm": 25.0, "max_rpm": 1650.0, "blades": 9.0, "current_a": 0.18, "plug": "4 pins"}),
    ("fan", "Pipit", "Hollin & Daughter", {"fan_size_mm": 120.0, "thickness_mm": 15.0, "max_rpm": 2100.0, "blades": 11.0}),
    ("case", "Downs", "Hollin & Daughter", {"radiator_length_mm": 282.0, "radiator_width_mm": 126.0, "radiator_depth_mm": 54.0, "radiator_depth_mm_tolerance": 1.0, "side_clearance_mm": 62.0, "behind_board_mm": 18.0, "card_slots": 3.0}),
    ("board", "Fen", "Oxbow Works", {"fan_header_a": 1.0, "pump_header_a": 2.0, "fan_plug": "4 pins", "pump_plug": "4 pins", "thickness_mm": 1.6}),
    ("memory", "Heath", "Oxbow Works", {"height_mm": 42.0}),
    ("memory", "Moor", "Hollin & Daughter", {"height_mm": 32.0}),
    ("coolant", "Rill", "Hollin & Daughter", {"sort": "concentrate", "share_percent": 20.0, "glycol": "propylene glycol"}),
    ("coolant", "Brook", "Oxbow Works", {"sort": "ready mixed", "glycol": "none"}),
    ("paste", "Chalk", "Oxbow Works", {"sort": "ordinary", "rest_h": 1.0}),
    ("paste", "Marl", "Hollin & Daughter", {"sort": "ordinary"}),
    ("paste", "Loam", "", {"sort": "electrically conductive"}),
)  # fmt: skip


def fill_shelf(notebook: Notebook, study: int) -> None:
    """Put the demo's parts on the shelf, set its bench up, and plan one more round."""
    kept = {p.name: p for p in edit_shelf.parts(notebook)}
    for name, fields in _RADIATORS.items():
        edit_shelf.change_part(
            notebook,
            kept[name].id,
            "fill in",
            fields={**_OF_ALL_RADIATORS, **fields},
            maker="Oxbow Works" if name in {"Sedge", "Rush"} else "Hollin & Daughter",
            price=_PRICES[name],
            currency="EUR",
        )
        edit_shelf.change_sample(notebook, kept[name].samples[0].id, came="bought")
    edit_shelf.change_part(
        notebook, kept["Rush"].id, "fill in", claim="runs at least 1 K cooler than Reed", claim_where="on its box"
    )
    for kind, name, maker, fields in _OTHERS:
        edit_shelf.add_part(
            notebook, kind, name, maker=maker, fields=fields, price=_OTHER_PRICES.get(name), currency="EUR"
        )
    shelf = {p.name: p for p in edit_shelf.parts(notebook)}
    _set_bench_up(notebook, study, shelf)
    found = notebook.study(study)
    ids = {c.name: c.id for c in found.live_candidates}
    planedits.add_claim(notebook, study, ids["Rush"], ids["Reed"], Claimed(low=1.0), "Oxbow Works", "on its box")
    marks = {"finish": (8.0, 7.0, 4.0, 3.0), "ease of fitting": (7.0, 8.0, 5.0, 6.0)}
    given = {
        k: {str(ids[n]): x for n, x in zip(("Sedge", "Reed", "Bulrush", "Rush"), row, strict=True)}
        for k, row in marks.items()
    }
    planedits.set_plan(notebook, study, "give marks", marks=given)
    for key in ("block", "pump", "fans", "coolant", "pump_percent", "fan_percent"):
        planedits.set_same(notebook, study, key, True)
    steps = tuple(
        s
        if s.load == ""
        else Step(
            name=s.name,
            load=s.load,
            power_w=180.0,
            pump_percent=60.0,
            fan_percent=55.0,
            settle=s.settle,
            longest_min=s.longest_min,
            measure_min=s.measure_min,
        )
        for s in usual_steps()
    )
    protocol = planedits.keep_protocol(
        notebook, "booth seven, three steps", steps, Limits(die_c=90.0, coolant_c=50.0, flow_l_h=60.0)
    )
    edits.change_study(notebook, study, "take a protocol", protocol_id=protocol)
    order = plan_order(list(ids), 4, 4, done=slots_of(found))
    planedits.draw_order(notebook, study, order, 1)


def _set_bench_up(notebook: Notebook, study: int, shelf: dict[str, Part]) -> None:
    bench = edit_shelf.add_bench(notebook, "booth seven")
    loop = [
        ("Dipper", 0),
        ("clear tube", 420),
        ("Tern", 0),
        ("clear tube", 380),
        ("Reed", 0),
        ("clear tube", 350),
        ("Tarn", 0),
    ]
    edit_shelf.set_loop(
        notebook, bench, [edit_shelf.LoopPlace(shelf[n].id, {"length_mm": float(x)} if x else {}) for n, x in loop]
    )
    edit_shelf.change_bench(
        notebook,
        bench,
        "say how it is set",
        settings={
            "pump_percent": 60.0,
            "fan_percent": 55.0,
            "fans": shelf["Wagtail"].id,
            "coolant": shelf["Rill"].id,
            "paste": shelf["Chalk"].id,
            "case": shelf["Downs"].id,
            "board": shelf["Fen"].id,
            "memory": shelf["Heath"].id,
            "orientation": "standing, ports down",
            "flow_direction": "as marked",
        },
    )
    for name, unit, values, probes in (
        (
            "probe box",
            "degC",
            {"reading_percent": 0.1, "counts": 1.0, "count_size": 0.1, "calibrated_on": "2026-02-20", "offset": -0.08},
            [("coolant_in", "block inlet", "Coolant in"), ("air_in", "radiator intake", "Air in")],
        ),
        (
            "flow wheel",
            "L/h",
            {"reading_percent": 2.0, "full_scale_percent": 0.5, "full_scale": 400.0},
            [("flow", "after the pump", "Flow")],
        ),
        ("hand gauge", "kPa", {"full_scale_percent": 1.0, "full_scale": 100.0}, [("pressure", "at the reservoir", "")]),
    ):
        kept = edit_shelf.keep_instrument(notebook, bench, None, name=name, unit=unit, **values)
        edit_shelf.set_probes(notebook, kept, probes)
    edits.change_study(notebook, study, "take a bench", bench_id=bench)
