"""What a study's scatter is made of, and what would narrow its intervals, in words."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING

import numpy as np

from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import begun, plain
from kuffin.core.base.student import t_quantile
from kuffin.core.base.worked import Worked, mean_of, worked
from kuffin.core.compare.evidence import MountValue
from kuffin.core.compare.pairwords import count, digits_for, number, several
from kuffin.core.compare.sources import NextBuys, Scatter, next_buys, sources_of_scatter
from kuffin.core.compare.worked import apart, mean_half
from kuffin.verdict.baseline import day_of
from kuffin.verdict.outcomes import MountReading

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict

FITTED = mark(
    "REML: candidates fixed, all the rest random; the window’s part, which each reading tells of itself, is taken off"
)
LABELS = {
    "window": mark("within a window"),
    "mount": mark("mount to mount"),
    "sample": mark("sample to sample"),
    "round": mark("round to round"),
    "day": mark("day to day"),
}


@dataclass(frozen=True)
class SampleLine:
    """One sample of a candidate: the mean of its mounts, with its plain interval: by the candidate's own scatter where each keeps its own."""

    candidate: str
    label: str
    mean: Worked

    @property
    def mounts(self) -> int:
        """How many mounts the sample had."""
        return len(self.mean.terms)


@dataclass(frozen=True)
class StudyScatter:
    """The sources, the samples, and what the next step buys."""

    scatter: Scatter
    samples: tuple[SampleLine, ...]
    buys: NextBuys | None

    def bars(self, unit: str) -> list[tuple[str, float, str]]:
        """Label, standard deviation, and what is said beside each bar; the largest first."""
        out = []
        total = sum(s.sd**2 for s in self.scatter.sources)
        for s in sorted(self.scatter.sources, key=lambda s: -s.sd):
            share = 100 * s.sd**2 / total if total > 0 else 0.0
            seen = {
                "window": tr("each run"),
                "mount": several(s.levels, "mount"),
                "sample": several(s.levels, "sample"),
                "round": several(s.levels, "round"),
                "day": several(s.levels, "day"),
            }[s.key]
            out.append((f"{tr(LABELS[s.key])} ({seen})", s.sd, f"± {number(s.sd, 2)} {unit}, {share:.0f} %"))
        return out


def scatter_of(v: StudyVerdict) -> StudyScatter | None:
    """Split the scatter of a study; None where no candidate has two mounts that count."""
    study, mounts = v.evidence.study, v.evidence.mounts
    by_id = {m.id: m for _, m in mounts}
    used = [r for r in v.main.readings if r.value is not None and r.left_out is None]
    values = [
        MountValue(
            candidate=r.candidate,
            mount=str(r.mount_id),
            value=r.value or 0.0,
            round=str(r.round),
            sample=str(by_id[r.mount_id].sample_id),
        )
        for r in used
    ]
    if not values:
        return None
    days = {str(r.mount_id): day_of(by_id[r.mount_id]) for r in used}
    found = sources_of_scatter(values, {str(r.mount_id): r.u95 or 0.0 for r in used}, days)
    if found is None:
        return None
    spread = float(np.hypot(found.sd("mount") or 0.0, found.sd("window") or 0.0))
    lines, each, read = [], [], v.main.worked_by_mount()
    for c in study.live_candidates:
        labels = {s.id: s.label for s in c.samples}
        groups: dict[int | None, list[MountReading]] = {}
        for r in used:
            if r.candidate == c.name:
                groups.setdefault(by_id[r.mount_id].sample_id, []).append(r)
        for sample, group in groups.items():
            label = labels.get(sample, "?") if sample is not None else "?"
            own = [read[str(r.mount_id)] for r in group]
            lines.append(SampleLine(c.name, label, _sample_mean(label, own, _sample_half(v, found, c.name, own))))
        if groups:
            each.append((len(groups), sum(len(g) for g in groups.values())))
    buys = None
    sd_sample = found.sd("sample")
    if sd_sample is not None and each:
        samples, made = min(e[0] for e in each), round(float(np.median([e[1] for e in each])))
        buys = next_buys(samples, made, sd_sample, spread, len(each), study.confidence)
    return StudyScatter(found, tuple(lines), buys)


def _sample_half(v: StudyVerdict, found: Scatter, candidate: str, readings: list[Worked]) -> Worked | None:
    """The half-width of a sample's mean: by its candidate's own spread where each keeps its own, else by how far all mounts and windows scatter."""
    unit, judged = apart(readings[0].unit), v.main.comparison
    if judged is not None and judged.own_spreads:
        return mean_half(judged, judged.candidate(candidate), unit)
    scatter = found.sd("mount") or 0.0, found.sd("window") or 0.0
    if not any(scatter) or found.df < 1:
        return None
    confidence = v.evidence.study.confidence if judged is None else judged.confidence
    t = t_quantile(0.5 + confidence / 2, found.df)
    terms = [
        Worked(name=tr("Student’s t"), symbol="t", value=t, digits=3, source=tr("{df:g} degrees of freedom", df=found.df)),
        Worked(name=tr("Mount to mount"), symbol="s_m", value=scatter[0], unit=unit, digits=3, source=tr(FITTED)),
        Worked(name=tr("Within a window"), symbol="s_w", value=scatter[1], unit=unit, digits=3),
    ]  # fmt: skip
    return worked(
        tr("Half-width"),
        "U",
        f"t*hypot(s_m, s_w)/sqrt({len(readings)})",
        terms,
        unit,
        digits=3,
        source=tr("{level} %, for this mean alone", level=plain(100 * confidence)),
    )


def _sample_mean(label: str, readings: list[Worked], half: Worked | None) -> Worked:
    terms = [replace(r, symbol=f"y_{i}", half=None) for i, r in enumerate(readings, 1)]
    return mean_of(tr("Mean of sample {label}", label=label), "m", terms, readings[0].unit, half=half)


def buys_words(found: StudyScatter, unit: str = "K") -> str:
    """What one more sample buys against three more mounts, in words."""
    sample, mount = (
        found.scatter.sd("sample"),
        float(np.hypot(found.scatter.sd("mount") or 0.0, found.scatter.sd("window") or 0.0)),
    )
    b = found.buys
    if b is None or sample is None:
        return tr(
            "Each candidate has one sample, so scatter between samples of a product is not known here. A second sample of one "
            "of them would show it."
        )
    if b.samples < 2:
        said = tr(
            "Samples of one product scatter by about {sample} {unit}, mounts of one sample by "
            "{mount} {unit}. With one sample of some candidates no number of mounts makes this a "
            "verdict about products: one more sample of each buys more than three more mounts.",
            sample=number(sample, 2),
            unit=unit,
            mount=number(mount, 2),
        )
        return said if sample > 0 else _none_seen(mount, unit)
    if sample == 0:
        return _none_seen(mount, unit)
    digits = digits_for(b.now)
    better, worse = (
        ((tr("one more sample of each, mounted once") if b.mounts_each == 1 else tr("one more sample of each, mounted {n} times", n=count(b.mounts_each))), tr("three more mounts of each")),
        (tr("three more mounts of each"), tr("one more sample of each")),
    )[0 if b.sample_is_better else 1]  # fmt: skip
    high, low = (b.with_sample, b.with_mounts) if b.sample_is_better else (b.with_mounts, b.with_sample)
    return tr(
        "As products, a pair's interval is about ± {now} {unit} wide now. {better} would "
        "make it ± {high} {unit}, {worse} ± {low} {unit}: {which}.",
        now=number(b.now, digits),
        unit=unit,
        better=begun(better),
        high=number(high, digits),
        worse=worse,
        low=number(low, digits),
        which=tr("one more sample buys more than three more mounts")
        if b.sample_is_better
        else tr("more mounts buy more than another sample"),
    )


def _none_seen(mount: float, unit: str) -> str:
    return tr(
        "Samples scatter no more than mounts of one sample do (± {mount} {unit}). Few "
        "samples cannot prove that they are alike, but more mounts are the better buy now.",
        mount=number(mount, 2),
        unit=unit,
    )
