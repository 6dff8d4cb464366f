"""What else could be built in: parts that the notebook's other studies measured, and the shelf's coolants, with what they do to the flow."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from kuffin.core.base.errors import CompareError, KuffinError
from kuffin.core.base.language import tr
from kuffin.core.bench.undertest import KINDS, kind_under_test
from kuffin.core.flow.circuit import in_series
from kuffin.core.heat.coolant import Mix, mix_told, properties
from kuffin.core.predict.carrying import FLOW_BY_VISCOSITY, halfway
from kuffin.core.predict.coolantheat import BLOCK_FILM, RADIATOR_FILM, by_coolant
from kuffin.notebook.entities import Part
from kuffin.reading.configurations import parts_of
from kuffin.reading.judgingrules import JudgingRules
from kuffin.reading.shelfcurves import CoolantState, ShelfCurves, shelf_curves, usual_pump
from kuffin.verdict.across import Judged
from kuffin.verdict.carried import OtherCoolant, OtherFlow, OtherPart, WhatIf
from kuffin.verdict.predicting import COOLANT_OVER_AIR, DIE_OVER_COOLANT

_OVER_AIR_K = 10.0  # about how much warmer than the air a coolant is, where its properties are looked up


@dataclass(frozen=True)
class NamedMix:
    """A coolant by its name on the shelf."""

    name: str
    mix: Mix


def _flight_of(kind: str) -> str:
    """The one flight that a kind of part makes; blank where it makes none or both."""
    found = kind_under_test(kind)
    if found.block_side == found.loop_side:
        return ""
    return DIE_OVER_COOLANT if found.block_side else COOLANT_OVER_AIR


def parts_elsewhere(first: Judged, others: Sequence[Judged]) -> tuple[list[OtherPart], list[str]]:
    """The parts of other studies that could take the place of what this study's bench has, and why others cannot."""
    own, ways = _flight_of(first.study.under_test), first.verdict.evidence.ways
    offered: list[OtherPart] = []
    refused: list[str] = []
    for other in others:
        flight, v = _flight_of(other.study.under_test), other.verdict
        if not own or not flight or flight == own:
            continue
        same = first.study.bench_id is not None and first.study.bench_id == other.study.bench_id
        devices = {None if w is None else w.cooled.device for w in (ways, v.evidence.ways)} - {None}
        if flight == DIE_OVER_COOLANT and (not same or len(devices) > 1):
            refused.append(
                tr(
                    "“{name}” has another device under its {label}",
                    name=other.study.name,
                    label=kind_under_test(other.study.under_test).label,
                )
            )
            continue
        kind = kind_under_test(other.study.under_test).label
        counted = {m.candidate for m in v.temperature.readings if m.value is not None and m.left_out is None}
        offered += [
            OtherPart(kind=kind, name=name, study=other.study.name, flight=flight, verdict=v, same_bench=same)
            for name in v.candidates
            if name in counted
        ]
    return offered, refused


def coolants_of(shelf: Sequence[Part]) -> list[NamedMix]:
    """Water, and the shelf's coolants that tell what is in them."""
    told = [NamedMix(p.name, m) for p in shelf if p.kind == "coolant" and (m := mix_told(p.fields)) is not None]
    return [NamedMix("water", Mix()), *told]


def with_parts(
    first: Judged, asked: WhatIf, part: OtherPart | None, elsewhere: Judged | None, coolant: NamedMix | None
) -> WhatIf:
    """What is asked for, with another part and another coolant, and with what both do to the flow.

    Parameters
    ----------
    asked : WhatIf
        With air and pump filled in (see `verdict.predicting.as_measured`).
    elsewhere : Judged or None
        The study that measured the part.

    Raises
    ------
    CompareError
        Where nobody told which coolant the bench has, or its properties are not known.
    """
    ways = first.verdict.evidence.ways
    if ways is None or (part is None and coolant is None):
        return asked
    there = parts_of(first.study, first.study.live_candidates[0], ways.bench, ways.shelf)
    warm = (first.verdict.reference_air_c if asked.air_c is None else asked.air_c) + _OVER_AIR_K
    was = mix_told(there["coolant"].fields) if "coolant" in there else None
    film = None
    if coolant is not None:
        if was is None:
            raise CompareError("which coolant the bench has is not told; add it to the loop, on Bench")
        before, after = properties(warm, was), properties(warm, coolant.mix)
        film = (
            None
            if coolant.mix == was
            else OtherCoolant(
                name=coolant.name,
                flights={
                    DIE_OVER_COOLANT: by_coolant(before, after, BLOCK_FILM),
                    COOLANT_OVER_AIR: by_coolant(before, after, RADIATOR_FILM),
                },
            )
        )
    flow = _other_flow(ways, there, _part_of(elsewhere, part), was, coolant, warm, (asked.pump or 100.0) / 100)
    return replace(asked, part=part, coolant=film, flow=flow)


def _part_of(elsewhere: Judged | None, part: OtherPart | None) -> tuple[str, Part] | None:
    """The slot that another part takes, and the part."""
    if elsewhere is None or part is None:
        return None
    slot = kind_under_test(elsewhere.study.under_test).slot
    found = next((c.part for c in elsewhere.study.live_candidates if c.name == part.name), None)
    return (slot, found) if slot and found is not None else None


def _other_flow(
    ways: JudgingRules,
    there: dict[str, Part],
    swap: tuple[str, Part] | None,
    was: Mix | None,
    coolant: NamedMix | None,
    warm: float,
    speed: float,
) -> OtherFlow | None:
    """By the shelf's curves, where they tell both loops; else by what viscosity usually does; None where nobody knows."""
    pumps = [c for c in usual_pump(ways.shelf) if c.part_id == getattr(there.get("pump"), "id", None)]
    after = dict(there) if swap is None else {**there, swap[0]: swap[1]}
    if pumps and was is not None:
        try:
            ratio, whole = _by_curves(ways, there, after, was, was if coolant is None else coolant.mix, warm, speed)
        except KuffinError:
            ratio, whole = 0.0, False
        if ratio > 0:
            middle, share = (ratio, 0.03) if whole else halfway(*sorted((ratio, 1.0)))
            known = (
                tr("by the shelf’s curves") if whole else tr("by the shelf’s curves, which do not tell the whole loop")
            )
            return OtherFlow(
                factor=middle,
                share=share,
                why=tr("{middle:.0f} % of the flow, {known}", middle=100 * middle, known=known),
            )
    if swap is not None or coolant is None or was is None:
        return None
    thick = properties(warm, coolant.mix).viscosity_mpa_s / properties(warm, was).viscosity_mpa_s
    middle, share = FLOW_BY_VISCOSITY.factor(thick)
    return OtherFlow(
        factor=middle,
        share=share,
        why=tr(
            "{middle:.0f} % of the flow, as {name} is {thick:.1f} times as thick",
            middle=100 * middle,
            name=coolant.name,
            thick=thick,
        ),
    )


def _by_curves(
    ways: JudgingRules, there: dict[str, Part], after: dict[str, Part], was: Mix, now: Mix, warm: float, speed: float
) -> tuple[float, bool]:
    """The flow of the loop after over that before, and whether all its parts have curves; 0 where too few have."""
    pump = next(c for c in usual_pump(ways.shelf) if c.part_id == there["pump"].id)

    def flow(parts: dict[str, Part], mix: Mix) -> tuple[float, set[str]]:
        found = shelf_curves(ways.shelf, CoolantState(mix, warm), pump)
        named = _named(found)
        told = {slot for slot, p in parts.items() if p.id in named}
        if not told:
            return 0.0, told
        return found.measured.point(in_series([named[parts[s].id] for s in sorted(told)]), speed).flow.value, told

    before, slots = flow(there, was)
    later, later_slots = flow(after, now)
    if before <= 0 or slots != later_slots or any(there[s].id != after[s].id and s not in slots for s in there):
        return 0.0, False
    wet = {k.slot for k in KINDS.values() if k.wet and k.slot in there and there[k.slot].kind != "coolant"}
    return later / before, wet <= slots


def _named(found: ShelfCurves) -> dict[int, str]:
    return {c.part_id: name for name, c in found.curves.items() if name in found.measured.parts}
