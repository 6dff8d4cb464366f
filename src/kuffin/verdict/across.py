"""Candidates of different studies in one picture: only through a baseline that they share; and all that is known of a part."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from kuffin.core.base.language import inside, tr
from kuffin.core.base.worked import Worked
from kuffin.core.bench.configuration import SETTINGS
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare.linking import LinkedDifference
from kuffin.core.compare.pairwords import count, joined
from kuffin.core.compare.worked import candidate_mean
from kuffin.notebook.entities import Candidate, Part, Study
from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True)
class Judged:
    """A study with its verdict."""

    study: Study
    verdict: StudyVerdict


@dataclass(frozen=True)
class Linked:
    """A candidate of one of the studies, against the shared baseline.

    Attributes
    ----------
    over_baseline : Difference
        Candidate less baseline, K; negative: cooler.
    """

    study: str
    candidate: str
    part_id: int
    over_baseline: LinkedDifference


@dataclass(frozen=True, kw_only=True)
class LinkedStudies:
    """Studies that were linked, or why they cannot be.

    Attributes
    ----------
    baseline : str
        The shared part's name; blank where there is none.
    remark : str
        What these lines do not hold.
    """

    baseline: str = ""
    rows: tuple[Linked, ...] = ()
    refused: tuple[str, ...] = ()
    power_w: float = 0.0
    remark: str = ""


def shared_parts(a: Study, b: Study) -> list[Part]:
    """Products that are candidates of both studies, as they stand in the first, their baselines first."""
    own = list({c.part_id: c.part for c in a.live_candidates}.values())
    both = [p for p in own if any(p.is_product(c.part) for c in b.live_candidates)]
    return sorted(
        both,
        key=lambda p: -sum(c.id == s.baseline_id for s in (a, b) for c in s.live_candidates if p.is_product(c.part)),
    )


def standing_for(study: Study, part: Part) -> Candidate | None:
    """The candidate that is a product; of several, which are the part in different ways, the baseline; else None."""
    found = [c for c in study.live_candidates if part.is_product(c.part)]
    return found[0] if len(found) == 1 else next((c for c in found if c.id == study.baseline_id), None)


def _why_no_link(a: Study, b: Study, part: Part) -> str:
    """Why a part cannot link two studies; blank where it can."""
    own, other = standing_for(a, part), standing_for(b, part)
    for study, found in ((a, own), (b, other)):
        if found is None:
            return tr(
                "“{study}” has {part} in several ways; choose on Plan which of them is its baseline",
                study=study.name,
                part=part.name,
            )
    assert own is not None and other is not None
    keys = {*own.configuration, *other.configuration}
    unlike = [
        tr(SETTINGS[k].spoken) for k in keys if k in SETTINGS and own.configuration.get(k) != other.configuration.get(k)
    ]
    if unlike:
        return tr(
            "{name} is not used alike in “{a}” and “{b}”: {unlike}",
            name=own.part.name,
            a=a.name,
            b=b.name,
            unlike=joined(sorted(unlike)),
        )
    return ""


def _untold_makers(a: Study, b: Study) -> list[str]:
    """Names that stand in both studies, of which nobody knows whether they are the same product, as a maker is not told."""
    return [
        c.part.name
        for c in a.live_candidates
        for d in b.live_candidates
        if c.part.kind == d.part.kind
        and (c.part.product or c.part.name).casefold() == (d.part.product or d.part.name).casefold()
        and not c.part.is_product(d.part)
        and not (c.part.maker and d.part.maker)
    ]


def why_not(first: Judged, other: Judged) -> str:
    """Why two studies cannot be linked; blank where they can."""
    a, b = first.study, other.study
    if a.under_test != b.under_test:
        return tr(
            "“{b}” compares {b_words}, “{a}” {a_words}",
            b=b.name,
            b_words=tr(kind_under_test(b.under_test).words),
            a=a.name,
            a_words=tr(kind_under_test(a.under_test).words),
        )
    if not shared_parts(a, b):
        untold = _untold_makers(a, b)
        if untold:
            return tr(
                "{untold} stands in “{a}” and “{b}”, but its maker is not told in both; write it on "
                "the Shelf, where it is the same product",
                untold=untold[0],
                a=a.name,
                b=b.name,
            )
        return tr(
            "“{b}” and “{a}” have no candidate in common; mount one of these in the other study, as its baseline",
            b=b.name,
            a=a.name,
        )
    reasons = [_why_no_link(a, b, p) for p in shared_parts(a, b)]
    if all(reasons):
        return reasons[0]
    if first.verdict.school.key != other.verdict.school.key:
        return tr(
            "“{b}” is read as {b_label}, “{a}” as {a_label}; choose the same school in both",
            b=b.name,
            b_label=inside(other.verdict.school.label),
            a=a.name,
            a_label=inside(first.verdict.school.label),
        )
    if not first.verdict.school.per_watt:
        pa, pb = first.verdict.reference_power_w, other.verdict.reference_power_w
        if abs(pa - pb) > 0.03 * pa:
            return tr(
                "“{b}” ran at {pb:g} W, “{a}” at {pa:g} W, and {label} keeps power in",
                b=b.name,
                pb=pb,
                a=a.name,
                pa=pa,
                label=inside(first.verdict.school.label),
            )
    for one in (first, other):
        if one.verdict.temperature.comparison is None:
            return tr(
                "“{name}” has no comparison yet: {why_not}",
                name=one.study.name,
                why_not=one.verdict.temperature.why_not or tr("too few mounts"),
            )
    return ""


def linked(first: Judged, others: Sequence[Judged]) -> LinkedStudies:
    """LinkedStudies studies with the first through the part that it shares with them, each against that part in its own study."""
    refused, taken = [], []
    for other in others:
        why = why_not(first, other)
        if why:
            refused.append(why)
        else:
            taken.append(other)
    common: list[Part] = []
    for other in taken:
        both = shared_parts(first.study, other.study)
        shared = [p for p in both if not _why_no_link(first.study, other.study, p)]
        common = shared if not common else [p for p in common if p in shared]
    if not taken or not common:
        if taken:
            refused.append(tr("these studies share parts pairwise, but no one part is in all of them"))
        return LinkedStudies(refused=tuple(refused))
    part = common[0]
    power = first.verdict.reference_power_w
    rows = []
    for judged in (first, *taken):
        rows += _over_baseline(judged, part, power, refused)
    return LinkedStudies(
        baseline=part.name,
        rows=tuple(sorted(rows, key=lambda r: r.over_baseline.value)),
        refused=tuple(refused),
        power_w=power,
        remark=_own_samples(part, (first, *taken)),
    )


def _own_samples(part: Part, judged: Sequence[Judged]) -> str:
    """What is to be said where each study mounted a sample of its own of the baseline; blank where they shared one."""
    used = []
    for one in judged:
        standing = standing_for(one.study, part)
        used.append({m.sample_id for m in standing.live_mounts if m.live_runs} if standing is not None else set())
    if set.intersection(*used) - {None}:
        return ""
    return tr(
        "Each mounted a sample of {name} of its own: how far samples of it differ is not in these lines.",
        name=part.name,
    )


def _over_baseline(judged: Judged, part: Part, power_w: float, refused: list[str]) -> list[Linked]:
    """Each candidate of a study less the baseline, rescaled to the first study's reference power."""
    v, found = judged.verdict, judged.verdict.temperature.comparison
    assert found is not None
    standing = standing_for(judged.study, part)
    assert standing is not None
    base = standing.name
    scale = power_w / v.reference_power_w if v.school.per_watt else 1.0
    if base not in {c.name for c in found.candidates}:
        refused.append(tr("“{name}”: no mount of {base} counts", name=judged.study.name, base=base))
        return []
    out = []
    for c in judged.study.live_candidates:
        pair = next((p for p in found.pairs if {p.a, p.b} == {c.name, base}), None)
        if pair is None:
            continue
        sign = 1.0 if pair.a == c.name else -1.0
        step = LinkedDifference(sign * pair.difference * scale, pair.se * scale, pair.df)
        out.append(Linked(judged.study.name, c.name, c.part_id, step))
    return out


@dataclass(frozen=True, kw_only=True)
class Known:
    """What one study knows of a part."""

    study: str
    under_test: str
    school: str
    mounts: int
    samples: int
    unit: str
    place: str
    said: str
    mean: Worked | None = None


def known_of(part_id: int, judged: Sequence[Judged], sentence_of: Callable[[StudyVerdict], str]) -> list[Known]:
    """All that the notebook's studies know of a part."""
    out = []
    part = next((c.part for one in judged for c in one.study.live_candidates if c.part_id == part_id), None)
    of_part = [
        (one, c) for one in judged for c in one.study.live_candidates if part is not None and part.is_product(c.part)
    ]
    for one, candidate in of_part:
        found = one.verdict.temperature.comparison
        there = found is not None and candidate.name in {c.name for c in found.candidates}
        school = one.verdict.school
        label = school.label + (
            tr(", at {reference_power_w:g} W", reference_power_w=one.verdict.reference_power_w)
            if school.per_watt
            else ""
        )
        mounts = [r for r in one.verdict.temperature.of(candidate.name) if r.value is not None and r.left_out is None]
        ways = sum(c.part_id == candidate.part_id for c in one.study.live_candidates)
        name = one.study.name if ways < 2 else f"{one.study.name}: {candidate.name}"
        if not there or found is None:
            out.append(
                Known(study=name, under_test=one.study.under_test, school=label, mounts=len(mounts), samples=len(candidate.samples), unit=school.unit, place="", said=one.verdict.temperature.why_not or tr("too few mounts"))
            )  # fmt: skip
            continue
        c = found.candidate(candidate.name)
        cooler = sum(1 for p in found.pairs if candidate.name in {p.a, p.b} and _is_cooler(p.verdict, p.a == c.name))
        warmer = sum(1 for p in found.pairs if candidate.name in {p.a, p.b} and _is_cooler(p.verdict, p.b == c.name))
        alike = len(found.candidates) - 1 - cooler - warmer
        told = ((cooler, tr("cooler than")), (warmer, tr("warmer than")), (alike, tr("alike or not told apart from")))
        place = joined(
            [
                (
                    tr("{told} {n} other", told=said, n=count(n))
                    if n == 1
                    else tr("{told} {n} others", told=said, n=count(n))
                )
                for n, said in told
                if n
            ]
        )
        out.append(
            Known(study=name, under_test=one.study.under_test, school=label, mounts=c.mounts, samples=c.samples, unit=school.unit, place=place, said=sentence_of(one.verdict), mean=candidate_mean(found, c.name, school.unit))
        )  # fmt: skip
    return out


def _is_cooler(verdict: str, is_a: bool) -> bool:
    return verdict == ("a_lower" if is_a else "b_lower")
