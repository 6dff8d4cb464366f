"""What differs between a study's candidates besides what is under test: as built in, as their tests were run, and as measured."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.base.language import mark, tr
from kuffin.core.bench.configuration import (
    OF_TEST,
    SETTINGS,
    Difference,
    Setting,
    difference,
    differences,
    grouped,
    written,
)
from kuffin.core.bench.testsettings import settings_words
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare.pairwords import joined, number
from kuffin.notebook.entities import Bench, Candidate, Part, Run, Study
from kuffin.reading.configurations import configuration
from kuffin.reading.evaluating import school_of
from kuffin.reading.judgingrules import tested_under
from kuffin.verdict.evidence import Evidence


def unfair(study: Study, bench: Bench | None, shelf: Sequence[Part], evidence: Evidence | None) -> list[Difference]:
    """Everything that differs between the candidates besides what is under test, the strongest first."""
    configurations = {c.name: configuration(study, c, bench, shelf) for c in study.live_candidates}
    tested = _tested(study, configurations, evidence.condition if evidence is not None else None)
    told = {d.key.removeprefix("tested ") for d in tested}
    found = [d for d in differences(study.under_test, configurations, study.same) if d.key not in told]
    asked, alike = _ways_of_one_part(study, configurations)
    found = [
        replace(d, strength=0, effect=asked[d.key], counts_as=tr("what is compared")) if d.key in asked else d
        for d in found
    ] + alike
    found += tested + _unlike_tests(study) + _samples(study) + _mounts(study)
    if evidence is not None:
        found += _measured(study, evidence)
    return sorted(found, key=lambda d: -d.strength)


def _ways_of_one_part(
    study: Study, configurations: Mapping[str, Mapping[str, object]]
) -> tuple[dict[str, str], list[Difference]]:
    """Settings in which candidates that are one part differ: that is what they compare; and those that differ in nothing."""
    asked: dict[str, str] = {}
    alike: list[Difference] = []
    for part in dict.fromkeys(c.part_id for c in study.live_candidates):
        ways = [c.name for c in study.live_candidates if c.part_id == part]
        if len(ways) < 2:
            continue
        told = {key: {written(s, configurations[n].get(key)) for n in ways} for key, s in SETTINGS.items()}
        names = joined(ways)
        asked |= {
            key: tr("It is what {names} compare: one part, used in two ways.", names=names)
            for key, v in told.items()
            if len(v) > 1
        }
        if not any(len(v) > 1 for v in told.values()):
            said = tr("{names} are one part, used in the same way.", names=names)
            effect = tr("So far only its scatter would be compared: say in the table below how they differ.")
            alike.append(
                Difference(
                    key=f"ways of {part}", label=tr("way of use"), groups=(), effect=effect, strength=3, said=said
                )
            )
    return asked, alike


_OWN = mark("Tests that differ in it may differ in more than the cooler; what it does is not known to Kuffin.")


def _counted(study: Study, candidate: Candidate, condition: str | None) -> list[Run]:
    """A candidate's runs that count under a condition."""
    there = [r for m in candidate.live_mounts if not m.left_out for r in m.live_runs]
    return [r for r in there if not r.condition or (condition or "").casefold() in {"", r.condition.casefold()}]


def _tested(
    study: Study, configurations: Mapping[str, Mapping[str, object]], condition: str | None
) -> list[Difference]:
    """What the candidates' tests were not run alike with, as far as it is told of them: the verdict's condition, then others."""
    out = _tested_under(study, configurations, condition)
    main = (condition or "").casefold()
    others = {t.name.casefold(): t.name for t in tested_under(study) if t.name.casefold() != main}
    for name in others.values():
        for d in _tested_under(study, configurations, name):
            out.append(
                replace(
                    d,
                    key=f"{d.key} under {name}",
                    label=tr("{label} under “{condition}”", label=d.label, condition=name),
                    strength=1,
                )
            )
    return out


def _tested_under(
    study: Study, configurations: Mapping[str, Mapping[str, object]], condition: str | None
) -> list[Difference]:
    runs = {c.name: _counted(study, c, condition) for c in study.live_candidates}
    runs = {name: found for name, found in runs.items() if found}
    keys = dict.fromkeys(k for found in runs.values() for r in found for k in r.settings)
    out: list[Difference] = []
    for key in keys:
        setting = OF_TEST.get(key) or Setting(key=key, label=key, kind="text", effect=_OWN, strength=1)
        said = {
            name: joined(sorted({written(setting, r.settings.get(key, configurations[name].get(key))) for r in found}))
            for name, found in runs.items()
        }
        out += [replace(d, key=f"tested {key}") for d in difference(setting, said, study.same)]
    return out


def _unlike_tests(study: Study) -> list[Difference]:
    """Logs of one mount that go by one condition, are averaged, and say that they were not run alike."""
    out = []
    for candidate in study.live_candidates:
        for mount in candidate.live_mounts:
            by_name: dict[str, list[Run]] = {}
            for run in mount.live_runs if not mount.left_out else []:
                by_name.setdefault(run.condition.casefold(), []).append(run)
            for runs in by_name.values():
                keys = dict.fromkeys(k for r in runs for k in r.settings)
                unlike = [k for k in keys if len({str(r.settings.get(k, "")) for r in runs}) > 1]
                if unlike:
                    where = tr("{name}, round {round}", name=candidate.name, round=mount.round)
                    groups = tuple(
                        (settings_words(r.settings) or tr("nothing said"), (r.source or tr("a run"),)) for r in runs
                    )
                    effect = tr(
                        "They go by one condition, so that they are averaged, though they were not run alike: give each its own "
                        "under “Tests of this mount …” on Inspect."
                    )
                    out.append(
                        Difference(
                            key=f"tests of {mount.id}",
                            label=tr("what {where} was tested with", where=where),
                            groups=groups,
                            effect=effect,
                            strength=2,
                        )
                    )
    return out


def _samples(study: Study) -> list[Difference]:
    came = grouped(
        {
            c.name: ", ".join(sorted({s.came for s in c.samples if s.came})) or tr("not said")
            for c in study.live_candidates
        }
    )
    if len(came) < 2:
        return []
    chosen = any("maker" in value or "pre-production" in value for value, _ in came)
    effect = (
        tr("A sample that a maker chose may be a better one than those in the shops.")
        if chosen
        else tr("A used sample may be worn, or run in.")
    )
    return [
        Difference(
            key="samples came",
            label=tr("origin of the samples"),
            groups=came,
            effect=effect,
            strength=2 if chosen else 1,
        )
    ]


def _mounts(study: Study) -> list[Difference]:
    numbers = {
        c.name: tr("{sum} mounts", sum=sum(not m.left_out for m in c.live_mounts))
        for c in study.live_candidates
        if c.id != study.baseline_id
    }
    groups = grouped(numbers)
    if len(groups) < 2:
        return []
    effect = tr("A candidate with fewer mounts has a wider interval, and its luck counts for more.")
    return [Difference(key="mounts", label=tr("the number of mounts"), groups=groups, effect=effect, strength=1)]


@dataclass(frozen=True, kw_only=True)
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
    _Condition(role="power", label=mark("the power measured"), unit="W", decimals=1, least_share=0.01, least=0.3, effect=mark("{more} was given {percent} % more than {less}, and its rise grows as much.")),
    _Condition(role="air_in", label=mark("the room's air"), unit="°C", decimals=1, least_share=0.0, least=0.3, effect=mark("{more} was tested in air {by} K warmer than {less}: its temperature as read is higher by about as much.")),
    _Condition(role="clock", label=mark("the clock measured"), unit="MHz", decimals=0, least_share=0.02, least=0.0, effect=mark("{more} ran {percent} % faster than {less}: another limit, or one of them held back; heat and score differ with it."), strength=1),
    _Condition(role="voltage", label=mark("the voltage measured"), unit="V", decimals=2, least_share=0.01, least=0.0, effect=mark("{more} had {percent} % more voltage than {less}: it makes more heat at the same clock."), strength=1),
    _Condition(role="pump", label=mark("the pump speed measured"), unit="rpm", decimals=0, least_share=0.03, least=0.0, effect=mark("{more}'s pump ran {percent} % faster than {less}'s: another flow; compare at the same flow."), strength=2, brought_by="pump"),
    _Condition(role="fan", label=mark("the fan speed measured"), unit="rpm", decimals=0, least_share=0.03, least=0.0, effect=mark("{more}'s fans ran {percent} % faster than {less}'s: coolant over air changes at once."), strength=2, brought_by="fans"),
)  # fmt: skip


def _measured(study: Study, evidence: Evidence) -> list[Difference]:
    """What the runs so far had unlike, under the condition that the verdict is about: power, the room, clock, speeds."""
    out = []
    school, brings = school_of(study), kind_under_test(study.under_test).brings
    for asked in _CONDITIONS:
        means = _means(study, evidence, school.part, asked.role) if asked.brought_by not in brings else {}
        if len(means) < 2:
            continue
        spread = max(means.values()) - min(means.values())
        usual = abs(float(np.mean(list(means.values()))))
        if spread < max(asked.least_share * usual, asked.least) or not spread:
            continue
        more, less = max(means, key=lambda n: means[n]), min(means, key=lambda n: means[n])
        groups = tuple((f"{number(v, asked.decimals)} {asked.unit}", (n,)) for n, v in means.items())
        percent = number(100 * spread / means[less], 1) if means[less] else ""
        effect = tr(asked.effect, more=more, less=less, by=number(spread, 1), percent=percent)
        taken_out = {"power": school.per_watt, "air_in": school.over is not None}.get(asked.role, False)
        if taken_out:
            effect += tr(" “{label}” takes that out.", label=tr(school.label))
        out.append(
            Difference(
                key=f"measured {asked.role}",
                label=tr(asked.label),
                groups=groups,
                effect=effect,
                strength=0 if taken_out else asked.strength,
            )
        )
    return out


def _means(study: Study, evidence: Evidence, part: str, role: str) -> dict[str, float]:
    """Each candidate's mean of a role over its mounts that count."""
    means: dict[str, float] = {}
    for c in study.live_candidates:
        values = [
            v
            for m in c.live_mounts
            if not m.left_out
            for r in m.live_runs
            if r.id in evidence.results
            and (one := evidence.results[r.id].at(evidence.condition)) is not None
            and (v := one.power_for(part) if role == "power" else one.mean_of(role)) is not None
        ]
        if values:
            means[c.name] = float(np.mean(values))
    return means
