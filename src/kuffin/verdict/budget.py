"""The uncertainty budget of a reading: its sources, their sizes, and which of them matter in a comparison."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import number
from kuffin.core.base.student import t_quantile
from kuffin.core.base.uncertainty import Accuracy, Combined, Source, combine, in_a_comparison
from kuffin.core.bench.roles import AIR, COOLANT
from kuffin.core.compare.pairwords import joined
from kuffin.notebook.entities import Bench
from kuffin.reading.judgingrules import accuracies
from kuffin.reading.runresult import RunResult
from kuffin.verdict.outcomes import MountReading
from kuffin.verdict.study import StudyVerdict

_BASE_ROLES = {"air": AIR, "coolant": COOLANT}


@dataclass(frozen=True, kw_only=True)
class Budget:
    """A reading's budget, all in the reading's unit.

    Attributes
    ----------
    sources, compared : tuple of Source
        Of the reading as an absolute value, and of a difference of two readings by the same instruments.
    absolute, difference : Combined
    between_mounts : float or None
        Half-width that the scatter between mounts alone leaves on a difference of two candidates; None: not known yet.
    unknown : tuple of str
        Channels whose instrument's accuracy is not known.
    advice : str
        Which instrument would have to be better to matter.
    """

    unit: str
    value: float
    sources: tuple[Source, ...]
    compared: tuple[Source, ...]
    absolute: Combined
    difference: Combined
    between_mounts: float | None
    unknown: tuple[str, ...]
    advice: str


def budget_of(v: StudyVerdict, reading: MountReading, result: RunResult, bench: Bench | None) -> Budget | None:
    """The budget of a mount's reading under the school in use; None where it has no reading."""
    school = v.school
    trace = result.traces.get(school.trace)
    if trace is None or reading.value is None or school.over is None:
        return None
    power = result.power_for(school.part)
    scale = v.reference_power_w if school.per_watt else 1.0
    value = trace.value * scale
    left = abs(trace.window.left) / 3 * scale if trace.settled and not trace.by_hand else 0.0
    # what has a line of its own is taken out of the half-width
    within = float(np.sqrt(max(trace.u95**2 - (1.96 * trace.rounding_u) ** 2, 0.0))) * scale
    df = max(trace.window.n_eff / 10, 3.0)
    sources = [
        Source(name=tr("scatter within the window"), u=float(np.sqrt(max(within**2 - left**2, 0.0))) / t_quantile(0.975, df), sensitivity=1.0, df=df, cancels="no", evaluated="A", note=tr("honest about autocorrelation; with the tolerance's quarter"))
    ]  # fmt: skip
    if left:
        sources.append(
            Source(
                name=tr("warm-up left in the window"),
                u=left / 1.96,
                sensitivity=1.0,
                note=tr("a third of the correction"),
            )
        )
    if trace.rounding_u:
        sources.append(
            Source(
                name=tr("steps of the coarse sensors"),
                u=trace.rounding_u * scale,
                sensitivity=1.0,
                note=tr("of each whose readings stand on a step, taken as evenly spread"),
            )
        )
    known = accuracies(bench)
    unknown = []
    per_kelvin = scale / power if school.per_watt and power else 1.0
    for roles in (
        (school.part, "hot_spot") if school.part == "die" else _BASE_ROLES.get(school.part, (school.part,)),
        _BASE_ROLES.get(school.over, (school.over,)),
    ):
        role = next((r for r in roles if r in result.roles), None)
        if role is None:
            continue
        channel, accuracy = result.roles[role], known.get(role)
        if accuracy is None:
            unknown.append(channel)
            continue
        sources += _instrument(channel, accuracy, result.means.get(channel, (0.0, 0.0))[0], per_kelvin)
    if school.per_watt and power:
        role = "power" if "power" in result.roles else "wall_power"
        accuracy = known.get(role)
        if accuracy is None:
            unknown.append(result.roles.get(role, "power"))
        else:
            # R = ΔT/P: a per cent of power is a per cent of the reading
            sources += _instrument(result.roles[role], accuracy, power, value / power, of_power=True)
    mounts = [r for r in v.temperature.of(reading.candidate) if r.left_out is None and r.value is not None]
    between = None
    if mounts and v.temperature.comparison is not None:
        spread, df_between = v.temperature.comparison.scatter_of(reading.candidate)
        if df_between:
            between = t_quantile(0.975, df_between) * spread * float(np.sqrt(2 / len(mounts)))
    difference = max(v.margin_k, 0.1)
    compared = in_a_comparison(sources, value, difference)
    own, apart = combine(sources), combine(compared)
    return Budget(
        unit=school.unit if not school.rebased else "K",
        value=value,
        sources=tuple(sources),
        compared=tuple(compared),
        absolute=own,
        difference=apart,
        between_mounts=between,
        unknown=tuple(unknown),
        advice=_advice(sources, compared, apart, between, unknown),
    )


def _instrument(name: str, said: Accuracy, reading: float, per_unit: float, of_power: bool = False) -> list[Source]:
    """An instrument as two sources: what is the same at every reading, and what goes with it."""
    out = []
    if said.offset_part:
        out.append(
            Source(name=tr("{name}: offset", name=name), u=said.offset_part / float(np.sqrt(3)), sensitivity=per_unit, cancels="scales" if of_power else "yes", note=tr("± {offset_part:.3g} as its maker says, taken as evenly spread", offset_part=said.offset_part))
        )  # fmt: skip
    if said.reading_percent:
        half = said.gain_part(reading)
        out.append(
            Source(name=tr("{name}: gain", name=name), u=half / float(np.sqrt(3)), sensitivity=per_unit, cancels="scales", note=tr("{reading_percent:g} % of {reading}, taken as evenly spread", reading_percent=said.reading_percent, reading=number(reading, 1)), of=None if of_power else reading * per_unit)
        )  # fmt: skip
    return out


def _advice(
    sources: list[Source], compared: list[Source], apart: Combined, between: float | None, unknown: list[str]
) -> str:
    instruments = [s for s in compared if ": " in s.name]
    said = ""
    if unknown:
        said = tr("Nothing is known of the accuracy of {unknown}: give it on the Bench page. ", unknown=joined(unknown))
    if between is not None and between > 3 * apart.half_width:
        return said + (
            tr(
                "No better instrument would matter for a comparison: the scatter between mounts "
                "leaves ± {between} K, all of this together ± {half_width} K. More mounts would.",
                between=number(between, 2),
                half_width=number(apart.half_width, 2),
            )
        )
    largest = max(compared, key=lambda s: s.contribution, default=None)
    if largest is None or largest.contribution <= 0:
        return said
    if largest in instruments:
        return said + tr(
            "{split} would have to be better to matter: it is the largest part of a comparison's uncertainty.",
            split=largest.name.split(":")[0],
        )
    absolute = max((s for s in sources if ": " in s.name), key=lambda s: s.contribution, default=None)
    more = tr(" For the value itself it is {split}.", split=absolute.name.split(":")[0]) if absolute is not None else ""
    return said + tr(
        "In a comparison the {name} is the largest part: a longer window would help more "
        "than a better instrument.{more}",
        name=largest.name,
        more=more,
    )
