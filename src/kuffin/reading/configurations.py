"""The configuration that each candidate of a study is tested in: the bench's, with what the candidate changes."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

from kuffin.core.base.numbers import plain
from kuffin.core.bench.configuration import OF_TEST, SETTINGS
from kuffin.core.bench.devices import Cooled, cooled_by, device_in_words, kind_of_device
from kuffin.core.bench.parts import KINDS
from kuffin.core.bench.protocol import Step
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.prepare.builtin import BuiltIn
from kuffin.core.prepare.fill import USUAL_VOLUME_ML, Held, tube_volume_ml
from kuffin.notebook.entities import Bench, Candidate, Mount, Part, Place, Study


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
                found.setdefault(slot_of(place.part), place.part)
        for key, value in bench.settings.items():
            if key in SETTINGS and SETTINGS[key].kind == "part" and value in by_id:
                found[key] = by_id[value]
    for key, value in candidate.configuration.items():
        if key in SETTINGS and SETTINGS[key].kind == "part" and value in by_id:
            found[key] = by_id[value]
    slot = kind_under_test(study.under_test).slot
    if slot:
        found[slot] = candidate.part
    return found


def configuration(study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]) -> dict[str, Any]:
    """Every setting of a candidate, parts by their name."""
    values: dict[str, Any] = {}
    for source in (bench.settings if bench is not None else {}, candidate.configuration):
        values.update({k: v for k, v in source.items() if k in SETTINGS and SETTINGS[k].kind != "part"})
    values.update({slot: part.name for slot, part in parts_of(study, candidate, bench, shelf).items()})
    return values


def told_of_tests(
    study: Study, name: str, bench: Bench | None, shelf: Sequence[Part], steps: Sequence[Step]
) -> dict[str, Any]:
    """What a candidate's tests are run with by its configuration and no step of the protocol sets: firmware, driver …"""
    candidate = next((c for c in study.live_candidates if c.name == name), None)
    set_by_steps = {key for step in steps for key in step.settings}
    told = configuration(study, candidate, bench, shelf) if candidate is not None else {}
    return {k: v for k, v in told.items() if k in OF_TEST and k not in set_by_steps and v not in (None, "")}


def cooled_by_bench(study: Study, bench: Bench | None) -> Cooled:
    """Whose die a study asks about (as it is told, else by its question, else by the parts that it compares), and what the bench's loop cools."""
    kinds = {cooled_by(c.part.kind) for c in study.live_candidates}
    device = study.device or device_in_words(study.question) or (next(iter(kinds)) if len(kinds) == 1 else "")
    return Cooled(device or None, bench.cooled if bench is not None else ())


def places_for(study: Study, bench: Bench | None) -> list[Place]:
    """The places of a bench's loop that a study's candidates could take."""
    kind = kind_under_test(study.under_test)

    def fits(part: Part) -> bool:
        return slot_of(part) == kind.slot if kind.slot else part.kind in kind.part_kinds

    return [p for p in (bench.loop if bench is not None else []) if p.part is not None and fits(p.part)]


def own_places(study: Study, candidate: Candidate, bench: Bench | None) -> list[Place]:
    """The places of the loop that a candidate takes: those that are told; else one, where its device is cooled or its kind stands, or the first."""
    there = places_for(study, bench)
    told = [p for p in there if p.id in (study.plan.get("places") or ())]
    device = cooled_by_bench(study, bench).device

    def fits(place: Place) -> tuple[bool, bool]:
        of_device = bool(device and place.device and (place.device == device or kind_of_device(place.device) == device))
        return of_device, place.part is not None and place.part.kind == candidate.part.kind

    return told or ([max(there, key=fits)] if there else [])


def built_loop(
    study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]
) -> list[tuple[Part, Place | None]]:
    """Every part that a candidate is tested with, the loop's in their order and each of several of a kind; then the others.

    What a candidate brings (a whole set its pump, its radiator …) is not the bench's.
    """
    own, by_id = [p.id for p in own_places(study, candidate, bench)], {p.id: p for p in shelf}
    changed = {k: by_id[v] for k, v in candidate.configuration.items() if k in SETTINGS and v in by_id}
    kind = kind_under_test(study.under_test)
    brought = frozenset() if kind.slot else kind.brings
    out: list[tuple[Part, Place | None]] = []
    for place in bench.loop if bench is not None else []:
        part = candidate.part if place.id in own else place.part
        if part is None or (place.id not in own and slot_of(part) in brought):
            continue
        if place.id not in own and slot_of(part) in changed:
            part = changed.pop(slot_of(part))
        out.append((part, place))
    there = {slot_of(part) for part, _ in out} | brought
    others = parts_of(study, candidate, bench, shelf)
    out += [(part, None) for slot, part in others.items() if slot not in there]
    return out if any(part.id == candidate.part_id for part, _ in out) else [*out, (candidate.part, None)]


def loop_of(study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]) -> list[Held]:
    """What each part of the loop holds, makers' figures or estimates; empty where no loop is known."""
    if "coolant" not in kind_under_test(study.under_test).brings and (bench is None or not bench.loop):
        return []
    out: list[Held] = []
    for part, place in built_loop(study, candidate, bench, shelf):
        out += held_by(place) if place is not None and part is place.part else _held(part)
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
        return [Held(f"{part.name}, {plain(length / 1000)} m", tube_volume_ml(inner, length), guessed)]
    return _held(part)


def _held(part: Part) -> list[Held]:
    known = part.fields.get("volume_ml")
    usual = USUAL_VOLUME_ML.get(part.kind)
    if known is None and usual is None:
        return []
    return [Held(part.name, float(known if known is not None else usual or 0.0), known is None)]


def metals_of(study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]) -> dict[str, list[str]]:
    """The wetted metals in the loop, by part; blank where its maker's figure is not on the shelf."""
    wetted = {k.key for k in KINDS.values() if any(f.key == "metals" for f in k.fields)}
    found = [p for p, _ in built_loop(study, candidate, bench, shelf)]
    return {p.name: list(p.fields.get("metals") or []) for p in found if p.kind in wetted}


def pressures_of(
    study: Study, candidate: Candidate, bench: Bench | None, shelf: Sequence[Part]
) -> dict[str, float | None]:
    """The highest pressure that each part of the loop allows, None where its maker says nothing."""
    found = [p for p, _ in built_loop(study, candidate, bench, shelf)]
    return {
        p.name: p.fields.get("max_pressure_kpa")
        for p in found
        if p.kind in KINDS and KINDS[p.kind].wet and p.kind != "coolant"
    }


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
        "places": len(own_places(study, candidate, bench)),
    }
    label = mount.sample.label if mount.sample is not None else ""
    many = len(candidate.samples) > 1
    return BuiltIn(
        under_test=study.under_test,
        candidate=candidate.name,
        sample=label if many else "",
        parts={slot: p.name for slot, p in parts.items()},
        settings={k: v for k, v in settings.items() if k in SETTINGS and SETTINGS[k].kind != "part"},
        details=details,
    )
