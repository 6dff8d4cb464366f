"""What a study's scatter is made of, and what would narrow its intervals, in words."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING

import numpy as np

from kuffin.core.compare.evidence import MountValue
from kuffin.core.compare.pairwords import count, digits_for, number, several
from kuffin.core.compare.sources import NextBuys, Scatter, next_buys, sources_of_scatter
from kuffin.notebook.entities import Study
from kuffin.verdict.baseline import day_of
from kuffin.verdict.schools import Mounts

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict

LABELS = {
    "window": "within a window",
    "mount": "mount to mount",
    "sample": "sample to sample",
    "round": "round to round",
    "day": "day to day",
}


@dataclass(frozen=True)
class SampleLine:
    """One sample of a candidate: its mounts and their mean, with the plain interval from the study's scatter."""

    candidate: str
    label: str
    mounts: int
    mean: float
    half: float | None


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
                "window": "each run",
                "mount": several(s.levels, "mount"),
                "sample": several(s.levels, "sample"),
                "round": several(s.levels, "round"),
                "day": several(s.levels, "day"),
            }[s.key]
            out.append((f"{LABELS[s.key]} ({seen})", s.sd, f"± {number(s.sd, 2)} {unit}, {share:.0f} %"))
        return out


def scatter_of(v: StudyVerdict, study: Study, mounts: Mounts) -> StudyScatter | None:
    """Split the scatter of a study; None where no candidate has two mounts that count."""
    by_id = {m.id: m for _, m in mounts}
    used = [r for r in v.main.readings if r.value is not None and r.left_out is None]
    values = [
        MountValue(r.candidate, str(r.mount_id), r.value or 0.0, str(r.round), str(by_id[r.mount_id].sample_id))
        for r in used
    ]
    if not values:
        return None
    days = {str(r.mount_id): day_of(by_id[r.mount_id]) for r in used}
    found = sources_of_scatter(values, {str(r.mount_id): r.u95 or 0.0 for r in used}, days)
    if found is None:
        return None
    own = (found.sd("mount") or 0.0, found.sd("window") or 0.0)
    spread = float(np.hypot(*own))
    lines, each = [], []
    for c in study.live_candidates:
        labels = {s.id: s.label for s in c.samples}
        groups: dict[int | None, list[float]] = {}
        for r in used:
            if r.candidate == c.name:
                groups.setdefault(by_id[r.mount_id].sample_id, []).append(r.value or 0.0)
        for sample, group in groups.items():
            half = 1.96 * spread / np.sqrt(len(group)) if spread > 0 else None
            label = labels.get(sample, "?") if sample is not None else "?"
            lines.append(
                SampleLine(c.name, label, len(group), float(np.mean(group)), None if half is None else float(half))
            )
        if groups:
            each.append((len(groups), sum(len(g) for g in groups.values())))
    buys = None
    sd_sample = found.sd("sample")
    if sd_sample is not None and each:
        samples, made = min(e[0] for e in each), round(float(np.median([e[1] for e in each])))
        buys = next_buys(samples, made, sd_sample, spread, len(each), study.confidence)
    return StudyScatter(found, tuple(lines), buys)


def buys_words(found: StudyScatter, unit: str = "K") -> str:
    """What one more sample buys against three more mounts, in words."""
    sample, mount = (
        found.scatter.sd("sample"),
        float(np.hypot(found.scatter.sd("mount") or 0.0, found.scatter.sd("window") or 0.0)),
    )
    b = found.buys
    if b is None or sample is None:
        return (
            "Each candidate has one sample, so scatter between samples of a product is not known here. A second sample of one "
            "of them would show it."
        )
    if b.samples < 2:
        said = (
            f"Samples of one product scatter by about {number(sample, 2)} {unit}, mounts of one sample by {number(mount, 2)} {unit}. "
            "With one sample of some candidates no number of mounts makes this a verdict about products: "
            "one more sample of each buys more than three more mounts."
        )
        return said if sample > 0 else _none_seen(mount, unit)
    if sample == 0:
        return _none_seen(mount, unit)
    digits = digits_for(b.now)
    better, worse = (
        (f"one more sample of each, mounted {'once' if b.mounts_each == 1 else count(b.mounts_each) + ' times'}", "three more mounts of each"),
        ("three more mounts of each", "one more sample of each"),
    )[0 if b.sample_is_better else 1]  # fmt: skip
    high, low = (b.with_sample, b.with_mounts) if b.sample_is_better else (b.with_mounts, b.with_sample)
    return (
        f"As products, a pair's interval is about ± {number(b.now, digits)} {unit} wide now. "
        f"{better[:1].upper()}{better[1:]} would make it ± {number(high, digits)} {unit}, {worse} ± {number(low, digits)} {unit}: "
        f"{'one more sample buys more than three more mounts' if b.sample_is_better else 'more mounts buy more than another sample'}."
    )


def _none_seen(mount: float, unit: str) -> str:
    return (
        f"Samples scatter no more than mounts of one sample do (± {number(mount, 2)} {unit}). Few samples cannot prove that they "
        "are alike, but more mounts are the better buy now."
    )
