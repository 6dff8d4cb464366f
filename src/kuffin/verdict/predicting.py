"""What a candidate would do at another power, in another room, with other fans or pump: carried mount by mount from what was measured."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.base.errors import CompareError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import outside
from kuffin.core.bench.outcomes import MEASURED as OUTCOMES
from kuffin.core.heat.normalise import SCHOOLS
from kuffin.core.predict.carrying import (
    BLOCK_BY_FLOW,
    CARRIED,
    ESTIMATED,
    FLOW_BY_PART,
    FLOW_BY_PUMP,
    RADIATOR_BY_FAN,
    RADIATOR_BY_FLOW,
    Answers,
    Foreseen,
    means_apart,
    worst,
)
from kuffin.verdict.carried import (
    ALONG,
    SETTINGS_ASKED,
    Carried,
    MeasuredAt,
    OtherPart,
    WhatIf,
    carry,
    flow_ratio,
    times,
    together,
    with_flow,
)
from kuffin.verdict.study import StudyVerdict

COOLANT_OVER_AIR, DIE_OVER_COOLANT, DIE_OVER_AIR = "coolant over air", "die over coolant", "die over air"
_BY_FLOW = {COOLANT_OVER_AIR: RADIATOR_BY_FLOW, DIE_OVER_COOLANT: BLOCK_BY_FLOW, DIE_OVER_AIR: BLOCK_BY_FLOW}
_NOTABLE = 0.03  # share by which a flow must be another before it is said
_LEAST, _MOST, _POWERS = 0.6, 1.45, 9  # of first guesses of the highest power


@dataclass(frozen=True, kw_only=True)
class FlightAhead:
    """One flight of the staircase: from what down to what, kelvins, and why it is known no better."""

    name: str
    kelvins: Foreseen
    why: tuple[str, ...] = ()


@dataclass(frozen=True, kw_only=True)
class Prediction:
    """What a candidate would do.

    Attributes
    ----------
    device : str or None
        Whose die it is, where that is told.
    asked : WhatIf
        With what was left open filled in as it was measured.
    flights : tuple of FlightAhead
    die, coolant : Foreseen or None
        °C.
    flow : Foreseen or None
        L/h.
    highest_power : Foreseen or None
        W at the limit, where one was asked for.
    beyond : tuple of str
        What of it lies outside what was measured.
    own_scatter : bool
        Whether its interval stands on the scatter of its own mounts alone.
    """

    candidate: str
    device: str | None
    asked: WhatIf
    flights: tuple[FlightAhead, ...]
    die: Foreseen | None
    coolant: Foreseen | None
    flow: Foreseen | None
    highest_power: Foreseen | None
    beyond: tuple[str, ...]
    mounts: int
    own_scatter: bool

    @property
    def first(self) -> Foreseen:
        """What it is first about: the die, else the coolant."""
        found = self.die if self.die is not None else self.coolant
        assert found is not None
        return found


def predict(v: StudyVerdict, candidate: str, asked: WhatIf) -> Prediction:
    """What a candidate would do.

    Raises
    ------
    CompareError
        Where too little was measured to say anything, or what is asked cannot be.
    """
    if candidate not in v.candidates:
        raise CompareError(
            "there is no candidate “{candidate}”; there are {candidates}",
            candidate=candidate,
            candidates=", ".join(v.candidates),
        )
    found = predict_all(v, asked)
    if candidate not in found:
        raise CompareError("{candidate} has no mount that can be read", candidate=candidate)
    return replace(found[candidate], highest_power=highest_powers(v, asked).get(candidate))


def predict_all(v: StudyVerdict, asked: WhatIf) -> dict[str, Prediction]:
    """What every candidate with a mount that can be read would do, by name; without the highest power.

    Raises
    ------
    CompareError
        See `predict`.
    """
    _look_at(asked)
    there = v.measured
    asked = _filled(v, asked, there)
    assert asked.power_w is not None and asked.air_c is not None
    rises, flow = _flights(v, asked, there, asked.power_w)
    watts, whole = _watts(v, asked, rises, asked.power_w), _whole(v, asked, rises, asked.power_w)
    out = {}
    for name in whole.values:
        flights = tuple(
            FlightAhead(name=n, kelvins=_scaled(rise.foreseen(name), watts[n] / v.reference_power_w), why=rise.why)
            for n, rise in rises.items()
        )
        coolant = next((f.kelvins for f in flights if f.name == COOLANT_OVER_AIR), None)
        die = whole.foreseen(name) if set(rises) != {COOLANT_OVER_AIR} else None
        out[name] = Prediction(
            candidate=name,
            device=None if v.evidence.ways is None else v.evidence.ways.cooled.device,
            asked=asked,
            flights=flights,
            die=None if die is None else replace(die, value=die.value + asked.air_c),
            coolant=None if coolant is None else replace(coolant, value=coolant.value + asked.air_c),
            flow=None if flow is None or name not in flow.values else flow.foreseen(name),
            highest_power=None,
            beyond=tuple(dict.fromkeys(b for r in rises.values() for b in r.beyond)),
            mounts=len(whole.values[name]),
            own_scatter=whole.scatters[name].own,
        )
    return out


def differences(v: StudyVerdict, pairs: Sequence[tuple[str, str]], asked: WhatIf) -> list[Foreseen]:
    """How far two candidates of each pair would be apart, a less b, K: their dies, or the coolant where only that was measured.

    Raises
    ------
    CompareError
        Where one of them cannot be read.
    """
    there = v.measured
    asked = _filled(v, asked, there)
    assert asked.power_w is not None
    whole = _whole(v, asked, _flights(v, asked, there, asked.power_w)[0], asked.power_w)
    out = []
    for a, b in pairs:
        for name in (a, b):
            if name not in whole.values:
                raise CompareError("{name} has no mount that can be read", name=name)
        gap = abs(whole.of(a) - whole.of(b))
        scatter, unsure = (whole.scatters[a], whole.scatters[b]), [s * gap for s in whole.shares]
        out.append(means_apart(whole.values[a], whole.values[b], scatter, unsure, whole.label))
    return out


def as_measured(v: StudyVerdict) -> WhatIf:
    """What the study was measured at: the verdict's condition, else the middle of all."""
    return _filled(v, WhatIf(), v.measured)


def _look_at(asked: WhatIf) -> None:
    for value, low, high, what in (
        (asked.power_w, 1.0, 5000.0, tr("power, W")),
        (asked.air_c, -20.0, 60.0, tr("air, °C")),
        (asked.fan, 5.0, 120.0, tr("fans, %")),
        (asked.pump, 5.0, 120.0, tr("pump, %")),
        (asked.limit_c, 20.0, 130.0, tr("limit, °C")),
    ):
        if value is not None and not low <= value <= high:
            raise CompareError("{what}: {outside}", what=what, outside=outside(value, low, high))


def _filled(v: StudyVerdict, asked: WhatIf, there: MeasuredAt) -> WhatIf:
    """What was left open, as the verdict's condition has it."""
    main = next((c for c in v.conditions if c.name == v.condition), None)

    def usual(key: str) -> float | None:
        told = None if main is None else main.settings.get(SETTINGS_ASKED[key])
        return float(told) if isinstance(told, (int, float)) else there.usual(key)

    return replace(
        asked,
        power_w=v.reference_power_w if asked.power_w is None else asked.power_w,
        air_c=v.reference_air_c if asked.air_c is None else asked.air_c,
        fan=usual("fan") if asked.fan is None else asked.fan,
        pump=usual("pump") if asked.pump is None else asked.pump,
    )


def _flights(
    v: StudyVerdict, asked: WhatIf, there: MeasuredAt, power_w: float
) -> tuple[dict[str, Carried], Carried | None]:
    """Each flight's rise at the study's reference power, carried to what is asked; and the flow."""
    rises, flow = _own_flights(v, asked, there, power_w)
    made_elsewhere = "" if asked.part is None else asked.part.flight
    if asked.part is not None:
        rises = _with_part(v, rises, asked.part, asked, power_w, flow)
    if asked.flow is not None:
        factor, share, why = asked.flow.factor, asked.flow.share, asked.flow.why
        flow = None if flow is None else times(flow, factor, share, ESTIMATED, why, "flow")
        for name in rises:
            by, unsure = _BY_FLOW[name].factor(factor)
            if abs(factor - 1) > _NOTABLE:
                rises[name] = times(rises[name], by, unsure, ESTIMATED, why, "")
    elif made_elsewhere:
        why = tr("what {part} does to the flow is not known", part=asked.part.name if asked.part else "")
        for name in set(rises) - {made_elsewhere}:
            unsure = _BY_FLOW[name].factor(FLOW_BY_PART)[1]
            rises[name] = times(rises[name], 1.0, unsure, ESTIMATED, why, "")
    if asked.coolant is not None:
        for name in rises:
            if name not in asked.coolant.flights:
                raise CompareError(
                    "what another coolant does can be said of die over coolant and coolant over air only"
                )
            by, unsure = asked.coolant.flights[name]
            said = tr("{name}’s film instead of the coolant’s", name=asked.coolant.name)
            rises[name] = times(rises[name], by, unsure, ESTIMATED, said, "coolant")
    return rises, flow


def _with_part(
    v: StudyVerdict, rises: dict[str, Carried], part: OtherPart, asked: WhatIf, power_w: float, flow: Carried | None
) -> dict[str, Carried]:
    """The flights with one that another study measured in the place of the bench's."""
    if DIE_OVER_AIR in rises:
        raise CompareError(
            "die over air was measured as one here: nothing tells which part of it {name} would take", name=part.name
        )
    alone = replace(asked, part=None, flow=None, coolant=None)
    theirs, their_flow = _own_flights(part.verdict, alone, part.verdict.measured, power_w)
    if part.flight not in theirs or part.name not in theirs[part.flight].values:
        raise CompareError("{name} has no {flight} that can be read", name=part.name, flight=part.flight)
    own = theirs[part.flight]
    if flow is not None and their_flow is not None and part.name in their_flow.values:
        ratio = float(np.mean([x for xs in flow.values.values() for x in xs])) / their_flow.of(part.name)
        if abs(ratio - 1) > _NOTABLE:
            by, unsure = _BY_FLOW[part.flight].factor(ratio)
            own = times(
                own,
                by,
                unsure,
                ESTIMATED,
                tr("{ratio:.0f} % of the flow that it was measured at", ratio=100 * ratio),
                "",
            )
    one = _scaled(own.foreseen(part.name), v.reference_power_w / part.verdict.reference_power_w)
    mounts = len(own.values[part.name])
    where = tr("{name}, {mounts} mounts in “{study}”", name=part.name, mounts=mounts, study=part.study) + (
        "" if part.same_bench else tr(", on another bench")
    )
    like = next(iter(rises.values()))
    taken = Carried(
        values={n: [one.value] * len(xs) for n, xs in like.values.items()},
        readings_half=one.half,
        label=worst([one.label, CARRIED if part.same_bench else ESTIMATED]),
        beyond=(*own.beyond, *(() if part.same_bench else ("bench",))),
        why=(where, *own.why),
    )
    return {n: taken if n == part.flight else r for n, r in {**rises, part.flight: taken}.items()}


def _own_flights(
    v: StudyVerdict, asked: WhatIf, there: MeasuredAt, power_w: float
) -> tuple[dict[str, Carried], Carried | None]:
    flow = carry(v, OUTCOMES["flow"], asked, there, None, {"pump": FLOW_BY_PUMP}, along=("pump",))
    ratio = 1.0 if flow is None else flow_ratio(v, flow)

    def rise(
        key: str, answers: Mapping[str, Answers], by_flow: Answers, along: Sequence[str] = ALONG
    ) -> Carried | None:
        found = carry(v, SCHOOLS[key], asked, there, power_w, answers, along)
        return None if found is None else with_flow(found, ratio, by_flow, asked, there)

    coolant = rise("coolant_over_air_per_watt", {"fan": RADIATOR_BY_FAN}, RADIATOR_BY_FLOW)
    die = rise("die_over_coolant_per_watt", {}, BLOCK_BY_FLOW, along=("pump", "power"))
    if coolant is not None and die is not None:
        return {COOLANT_OVER_AIR: coolant, DIE_OVER_COOLANT: die}, flow
    whole = rise("die_over_air_per_watt", {"fan": RADIATOR_BY_FAN}, BLOCK_BY_FLOW)
    if whole is not None:
        return {DIE_OVER_AIR: whole}, flow
    if coolant is not None:
        return {COOLANT_OVER_AIR: coolant}, flow
    raise CompareError("no temperature was measured over air and per watt: a die or coolant, air and power are needed")


def _watts(v: StudyVerdict, asked: WhatIf, rises: Mapping[str, Carried], power_w: float) -> dict[str, float]:
    """The power that makes each rise: the coolant is heated by all devices."""
    whole, own = (v.evidence.typical_power(p, v.condition) for p in ("coolant", "die"))
    others = max((whole or 0.0) - (own or 0.0), 0.0) if asked.others_w is None else asked.others_w
    return {name: power_w + (others if name == COOLANT_OVER_AIR else 0.0) for name in rises}


def _whole(v: StudyVerdict, asked: WhatIf, rises: Mapping[str, Carried], power_w: float) -> Carried:
    """All flights together, mount by mount."""
    watts = _watts(v, asked, rises, power_w)
    return together(list(rises.values()), [watts[n] for n in rises], v.reference_power_w)


def _scaled(x: Foreseen, factor: float) -> Foreseen:
    return replace(x, value=x.value * factor, half=x.half * factor)


def highest_powers(v: StudyVerdict, asked: WhatIf) -> dict[str, Foreseen | None]:
    """The power at which each candidate stands at the limit: where the rise of one more mount crosses what is left for it.

    None for those of whom it cannot be said; without a limit nothing is said of any.

    Raises
    ------
    CompareError
        See `predict`.
    """
    there = v.measured
    asked = _filled(v, asked, there)
    assert asked.air_c is not None
    room = 0.0 if asked.limit_c is None else asked.limit_c - asked.air_c
    if room <= 0:
        return {}

    def rises(power_w: float) -> Carried:
        return _whole(v, asked, _flights(v, asked, there, power_w)[0], power_w)

    usual = rises(v.reference_power_w)
    first = [v.reference_power_w * room / max(usual.of(n), 1e-6) for n in usual.values]
    powers = np.geomspace(_LEAST * min(first), _MOST * max(first), _POWERS)
    found = [rises(float(p)) for p in powers]
    return {n: _crossing(powers, [whole.foreseen(n) for whole in found], room) for n in usual.values}


def _crossing(powers: np.ndarray, found: Sequence[Foreseen], room: float) -> Foreseen | None:
    """Where a rise that grows with power takes all the room there is."""

    def crossing(side: float) -> float:
        kelvins = np.array([x.value + side * x.half for x in found])
        return float(np.interp(room, kelvins, powers))

    least, middle, most = (crossing(side) for side in (1.0, 0.0, -1.0))
    if not powers[0] < middle < powers[-1]:
        return None
    nearest = int(np.argmin(np.abs(powers - middle)))
    return Foreseen(value=middle, half=max(most - middle, middle - least), label=found[nearest].label)
