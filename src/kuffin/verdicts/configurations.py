"""The configuration that each candidate of a study is tested in: the bench's, with what the candidate changes."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

from kuffin.core.changeover import BuiltIn
from kuffin.core.configuration import SETTINGS
from kuffin.core.loop import USUAL_VOLUME_ML, Held, tube_volume_ml
from kuffin.core.parts import KINDS
from kuffin.notebook.entities import Bench, Candidate, Mount, Part, Place, Study

SLOT_OF_TEST = {"radiator": "radiator", "block": "block", "paste": "paste", "pad": "pads", "coolant": "coolant"}


def slot_of(part: Part) -> str:
    """The place of a loop or a mount that a part takes, blank for none."""
    return KINDS[part.kind].slot if part.kind in KINDS else ""


def parts_of(study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]) -> dict[str, Part]:
    """The parts by slot: the bench's loop, the bench's usual ones, what the candidate changes, what is under test."""
    by_id = {p.id: p for p in shelf}
    found: dict[str, Part] = {}
    if bench is not None:
        for place in bench.loop:
            if place.part is not None and slot_of(place.part) in SETTINGS:
                found[slot_of(place.part)] = place.part
        for key, value in bench.settings.items():
            if key in SETTINGS and SETTINGS[key].kind == "part" and value in by_id:
                found[key] = by_id[value]
    for key, value in candidate.configuration.items():
        if key in SETTINGS and SETTINGS[key].kind == "part" and value in by_id:
            found[key] = by_id[value]
    slot = SLOT_OF_TEST.get(study.under_test)
    if slot is not None:
        found[slot] = candidate.part
    return found


def configuration(study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]) -> dict[str, Any]:
    """Every setting of a candidate, parts by their name."""
    values: dict[str, Any] = {}
    for source in (bench.settings if bench is not None else {}, candidate.configuration):
        values.update({k: v for k, v in source.items() if k in SETTINGS and SETTINGS[k].kind != "part"})
    values.update({slot: part.name for slot, part in parts_of(study, candidate, bench, shelf).items()})
    return values


def loop_of(study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]) -> list[Held]:
    """What each part of the loop holds, makers' figures or estimates; empty where no loop is known."""
    if study.under_test != "set" and (bench is None or not bench.loop):
        return []
    out: list[Held] = []
    replaced = parts_of(study, candidate, bench, shelf)
    seen: set[str] = set()
    for place in bench.loop if bench is not None else []:
        part = place.part
        if part is None:
            continue
        slot = slot_of(part)
        if slot in replaced:
            seen.add(slot)
            part = replaced[slot]
            out += _held(part)
        else:
            out += held_by(place)
    for slot, part in replaced.items():
        if slot not in seen:
            out += _held(part)
    if study.under_test == "set":
        out += _held(candidate.part)
    return out


def held_by(place: Place) -> list[Held]:
    """What a place of the loop holds: a tube by its length, all else by its part."""
    part = place.part
    if part is None:
        return []
    if part.kind == "tube":
        inner = float(part.fields.get("inner_mm") or 10.0)
        length = float(place.settings.get("length_mm") or 1000.0)
        guessed = not (part.fields.get("inner_mm") and place.settings.get("length_mm"))
        return [Held(f"{part.name}, {length / 1000:g} m", tube_volume_ml(inner, length), guessed)]
    return _held(part)


def _held(part: Part) -> list[Held]:
    known = part.fields.get("volume_ml")
    usual = USUAL_VOLUME_ML.get(part.kind)
    if known is None and usual is None:
        return []
    return [Held(part.name, float(known if known is not None else usual or 0.0), known is None)]


def metals_of(study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]) -> dict[str, list[str]]:
    """The wetted metals in the loop, by part; blank where its maker's figure is not on the shelf."""
    found = {p.name: p for p in parts_of(study, candidate, bench, shelf).values()}
    for place in bench.loop if bench is not None else []:
        if place.part is not None and slot_of(place.part) not in {slot_of(p) for p in found.values()}:
            found[place.part.name] = place.part
    wetted = {k.key for k in KINDS.values() if any(f.key == "metals" for f in k.fields)}
    return {name: list(p.fields.get("metals") or []) for name, p in found.items() if p.kind in wetted}


def pressures_of(
    study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]
) -> dict[str, float | None]:
    """The highest pressure that each part of the loop allows, None where its maker says nothing."""
    wet = {"block", "radiator", "pump", "reservoir", "tube", "fitting", "set"}
    found = {p.name: p for s, p in parts_of(study, candidate, bench, shelf).items() if s in wet}
    for place in bench.loop if bench is not None else []:
        if (
            place.part is not None
            and slot_of(place.part) in wet
            and slot_of(place.part) not in {slot_of(p) for p in found.values()}
        ):
            found[place.part.name] = place.part
    return {name: p.fields.get("max_pressure_kpa") for name, p in found.items()}


def built_in(study: Study, mount: Mount, bench: Bench | None, shelf: Sequence[Part]) -> BuiltIn:
    """What a mount puts on the bench."""
    candidate = mount.candidate
    parts = parts_of(study, candidate, bench, shelf)
    settings = configuration(study, candidate, bench, shelf)
    volume = sum(h.volume_ml for h in loop_of(study, candidate, bench, shelf))
    details: Mapping[str, Any] = {
        "volume_ml": volume or None,
        "glycol": parts["coolant"].fields.get("glycol") if "coolant" in parts else None,
        "paste_sort": parts["paste"].fields.get("sort") if "paste" in parts else None,
        "screws": settings.get("screws"),
    }
    label = mount.sample.label if mount.sample is not None else ""
    many = len(candidate.samples) > 1
    return BuiltIn(
        study.under_test,
        candidate.name,
        label if many else "",
        {slot: p.name for slot, p in parts.items()},
        {k: v for k, v in settings.items() if k in SETTINGS and SETTINGS[k].kind != "part"},
        details,
    )
