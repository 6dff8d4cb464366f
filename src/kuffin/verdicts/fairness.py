"""What differs between a study's candidates besides what is under test: in how they are built in, and as measured."""

from __future__ import annotations

from collections.abc import Sequence
from typing import TYPE_CHECKING

import numpy as np

from kuffin.core.configuration import Difference, differences
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


def _measured(study: Study, verdict: StudyVerdict) -> list[Difference]:
    """What the runs so far had unlike: power, and the room."""
    out = []
    for role, label, unit, least in (
        ("power", "the power measured", "W", 0.01),
        ("air_in", "the room's air", "°C", 0.0),
    ):
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
        if len(means) < 2:
            continue
        spread = max(means.values()) - min(means.values())
        if spread < max(least * abs(float(np.mean(list(means.values())))), 0.3):
            continue
        warm, cool = max(means, key=lambda n: means[n]), min(means, key=lambda n: means[n])
        groups = tuple((f"{number(v, 1)} {unit}", (n,)) for n, v in means.items())
        school = verdict.school
        taken_out = school.per_watt if role == "power" else school.over is not None
        if role == "power":
            share = spread / means[cool]
            effect = f"{warm} was given {number(100 * share, 1)} % more than {cool}, and its rise grows as much."
        else:
            effect = (
                f"{warm} was tested in air {number(spread, 1)} K warmer than {cool}: its temperature as read is higher by "
                "about as much."
            )
        if taken_out:
            effect += f" “{school.label}” takes that out."
        out.append(Difference(f"measured {role}", label, groups, effect, 0 if taken_out else 2))
    return out
