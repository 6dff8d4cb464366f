"""What differs between a study's candidates besides what is under test: in how they are built in, and as measured."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import TYPE_CHECKING

import numpy as np

from kuffin.core.configuration import Difference, differences
from kuffin.core.undertest import kind_under_test
from kuffin.notebook.entities import Bench, Part, Study
from kuffin.verdicts.configurations import configuration
from kuffin.verdicts.words import number

if TYPE_CHECKING:
    from kuffin.verdicts.study import StudyVerdict


def unfair(study: Study, bench: Bench | None, shelf: Sequence[Part], verdict: StudyVerdict | None) -> list[Difference]:
    """Everything that differs between the candidates besides what is under test, the strongest first."""
    configurations = {c.name: configuration(study, c, bench, shelf) for c in study.live_candidates}
    found = differences(study.under_test, configurations, study.same)
    found += _samples(study) + _mounts(study)
    if verdict is not None:
        found += _measured(study, verdict)
    return sorted(found, key=lambda d: -d.strength)


def _groups(values: dict[str, str]) -> tuple[tuple[str, tuple[str, ...]], ...]:
    groups: dict[str, list[str]] = {}
    for name, value in values.items():
        groups.setdefault(value, []).append(name)
    return tuple((v, tuple(n)) for v, n in groups.items())


def _samples(study: Study) -> list[Difference]:
    came = _groups(
        {c.name: ", ".join(sorted({s.came for s in c.samples if s.came})) or "not said" for c in study.live_candidates}
    )
    if len(came) < 2:
        return []
    chosen = any("maker" in value or "pre-production" in value for value, _ in came)
    effect = (
        "A sample that a maker chose may be a better one than those in the shops."
        if chosen
        else "A used sample may be worn, or run in."
    )
    return [Difference("samples came", "origin of the samples", came, effect, 2 if chosen else 1)]


def _mounts(study: Study) -> list[Difference]:
    numbers = {
        c.name: f"{sum(not m.left_out for m in c.live_mounts)} mounts"
        for c in study.live_candidates
        if c.id != study.baseline_id
    }
    groups = _groups(numbers)
    if len(groups) < 2:
        return []
    effect = "A candidate with fewer mounts has a wider interval, and its luck counts for more."
    return [Difference("mounts", "the number of mounts", groups, effect, 1)]


@dataclass(frozen=True)
class _Condition:
    """A condition that channels show: its role, name, unit, decimals, and from which share and amount a difference counts.

    ``effect`` is filled in with the candidates that had most (`more`) and least (`less`), and by how much (`by`, `percent`).
    """

    role: str
    label: str
    unit: str
    decimals: int
    least_share: float
    least: float
    effect: str
    strength: int = 2
    brought_by: str = ""  # the setting with which a part under test may bring it


_CONDITIONS = (
    _Condition("power", "the power measured", "W", 1, 0.01, 0.3, "{more} was given {percent} % more than {less}, and its rise grows as much."),
    _Condition("air_in", "the room's air", "°C", 1, 0.0, 0.3, "{more} was tested in air {by} K warmer than {less}: its temperature as read is higher by about as much."),
    _Condition("clock", "the clock measured", "MHz", 0, 0.02, 0.0, "{more} ran {percent} % faster than {less}: another limit, or one of them held back; heat and score differ with it.", 1),
    _Condition("voltage", "the voltage measured", "V", 2, 0.01, 0.0, "{more} had {percent} % more voltage than {less}: it makes more heat at the same clock.", 1),
    _Condition("pump", "the pump speed measured", "rpm", 0, 0.03, 0.0, "{more}'s pump ran {percent} % faster than {less}'s: another flow; compare at the same flow.", 2, "pump"),
    _Condition("fan", "the fan speed measured", "rpm", 0, 0.03, 0.0, "{more}'s fans ran {percent} % faster than {less}'s: coolant over air changes at once.", 2, "fans"),
)  # fmt: skip


def _measured(study: Study, verdict: StudyVerdict) -> list[Difference]:
    """What the runs so far had unlike, under the condition that the verdict is about: power, the room, clock, speeds."""
    out = []
    school, brings = verdict.school, kind_under_test(study.under_test).brings
    for asked in _CONDITIONS:
        means = _means(study, verdict, asked.role) if asked.brought_by not in brings else {}
        if len(means) < 2:
            continue
        spread = max(means.values()) - min(means.values())
        usual = abs(float(np.mean(list(means.values()))))
        if spread < max(asked.least_share * usual, asked.least) or not spread:
            continue
        more, less = max(means, key=lambda n: means[n]), min(means, key=lambda n: means[n])
        groups = tuple((f"{number(v, asked.decimals)} {asked.unit}", (n,)) for n, v in means.items())
        percent = number(100 * spread / means[less], 1) if means[less] else ""
        effect = asked.effect.format(more=more, less=less, by=number(spread, 1), percent=percent)
        taken_out = {"power": school.per_watt, "air_in": school.over is not None}.get(asked.role, False)
        if taken_out:
            effect += f" “{school.label}” takes that out."
        out.append(
            Difference(f"measured {asked.role}", asked.label, groups, effect, 0 if taken_out else asked.strength)
        )
    return out


def _means(study: Study, verdict: StudyVerdict, role: str) -> dict[str, float]:
    """Each candidate's mean of a role over its mounts that count."""
    means: dict[str, float] = {}
    for c in study.live_candidates:
        values = [
            v
            for m in c.live_mounts
            if not m.left_out
            for r in m.live_runs
            if r.id in verdict.results
            and (one := verdict.results[r.id].at(verdict.condition)) is not None
            and (v := one.power_for(verdict.school.part) if role == "power" else one.mean_of(role)) is not None
        ]
        if values:
            means[c.name] = float(np.mean(values))
    return means
