"""A study under one school: each mount's reading, and the comparison they allow."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.pointers import CHANNELS
from kuffin.core.compare import Comparison, MountValue, compare
from kuffin.core.compare.linear import design_matrix
from kuffin.core.heat.normalise import School
from kuffin.notebook.entities import Mount, Study
from kuffin.reading.runresult import RunResult

Mounts = Sequence[tuple[str, Mount]]


@dataclass(frozen=True)
class MountReading:
    """One mount under one school, as shown.

    Attributes
    ----------
    value, u95 : float or None
        None where the mount cannot be read under this school.
    settled : bool
    shift : float
        What was taken off for a bench that moved, where that was asked for.
    """

    mount_id: int
    candidate: str
    round: int
    value: float | None
    u95: float | None
    settled: bool
    left_out: str | None
    problem: str | None = None
    runs: tuple[int, ...] = ()
    shift: float = 0.0

    @property
    def label(self) -> str:
        return f"{self.candidate}, round {self.round}"


@dataclass(frozen=True)
class SchoolResult:
    """A study under one school: its readings and, where there is enough, the comparison.

    Attributes
    ----------
    moved : float or None
        How far the bench moved, where that was fitted and taken out.
    why_kept : str
        Why the bench's move could not be taken out, where that was asked for; blank otherwise.
    """

    school: School
    readings: tuple[MountReading, ...]
    comparison: Comparison | None
    why_not: str | None
    moved: float | None = None
    why_kept: str = ""

    @property
    def scope_words(self) -> str:
        """What it is about: these samples, or the products."""
        return f"it is about {scope(self.comparison)}" if self.comparison is not None else "nothing is compared yet"

    def of(self, candidate: str) -> list[MountReading]:
        return [r for r in self.readings if r.candidate == candidate]

    def ranking(self) -> list[str]:
        """Candidates from the coolest to the warmest; by their mounts' plain means where no comparison is possible."""
        if self.comparison is not None:
            return [c.name for c in sorted(self.comparison.candidates, key=lambda c: c.mean)]
        means: dict[str, list[float]] = {}
        for reading in self.readings:
            if reading.value is not None and reading.left_out is None:
                means.setdefault(reading.candidate, []).append(reading.value)
        return sorted(means, key=lambda name: float(np.mean(means[name])))


def scope(found: Comparison) -> str:
    """What a verdict is about, in words."""
    counts = [c.samples for c in found.candidates]
    if "sample" in dict(found.components):
        few, many = min(counts), max(counts)
        tell = f"{few}" if few == many else f"{few} to {many}"
        return f"these products, as far as {tell} sample{'' if many == 1 else 's'} of each tell"
    if max(counts) == 1:
        return "these samples, one of each; another sample of the same product may differ"
    several = ", ".join(f"{c.samples} of {c.name}" for c in found.candidates if c.samples > 1)
    return (
        f"these samples ({several}, one of each other); another sample of the same product may differ"
        if min(counts) == 1
        else f"these samples ({several}); another sample of the same product may differ"
    )


def scope_of(study: Study, values: Sequence[MountValue]) -> str:
    """What a verdict is about: what was chosen; else the products where every candidate has two samples or more."""
    chosen = study.plan.get("scope")
    if chosen in {"products", "samples"}:
        return str(chosen)
    each: dict[str, set[str]] = {}
    for v in values:
        each.setdefault(v.candidate, set()).add(v.sample or "")
    return "products" if each and min(len(s) for s in each.values()) > 1 else "samples"


def under_school(
    study: Study,
    school: School,
    mounts: Mounts,
    results: Mapping[int, RunResult],
    power: float,
    *,
    heed_exclusions: bool = True,
    condition: str | None = None,
    confidence: float | None = None,
    moved: Mapping[int, float] | None = None,
) -> SchoolResult:
    """Read a study's mounts under a school and compare its candidates.

    Parameters
    ----------
    power : float
        The reference power, W, at which per-watt schools are shown.
    heed_exclusions : bool
        Whether mounts that were left out stay out.
    condition : str, optional
        A load step of the protocol; without it the one that each result is about.
    confidence : float, optional
        The study's own without it.
    moved : mapping, optional
        How much of the bench's move each mount has in it (0 to 1), by its id. How far it moved is then fitted together with
        the candidates, so that what is uncertain about it stands in the intervals.
    """
    readings = readings_under(study, school, mounts, results, power, heed_exclusions, condition)
    by: float | None = None
    if moved is not None:
        by, readings = _without_the_move(study, readings, moved)
    values = [
        MountValue(
            r.candidate,
            str(r.mount_id),
            r.value,
            str(r.round) if study.blocks else None,
            str(m.sample_id) if m.sample_id is not None else None,
            () if moved is None else (moved[r.mount_id],),
        )
        for r, (_, m) in zip(readings, mounts, strict=True)
        if r.value is not None and r.left_out is None
    ]
    order = {c.name: i for i, c in enumerate(study.live_candidates)}
    values.sort(key=lambda v: order.get(v.candidate, 0))
    margin = study.margin_k
    spread = str(study.plan.get("spread") or "as noticed")
    if spread == "separate":  # each candidate's own spread holds what rounds add to it
        values = [replace(v, round=None) for v in values]
    try:
        chosen = study.candidate(study.reference_id)
        reference = chosen.name if chosen is not None and chosen.name in {v.candidate for v in values} else None
        found = compare(
            values,
            reference=reference,
            margin=margin,
            confidence=confidence or study.confidence,
            spread=spread,
            covariate_names=("the bench's move",),
            scope=scope_of(study, values),
        )
        return SchoolResult(school, tuple(readings), found, None, by)
    except KuffinError as error:
        return SchoolResult(school, tuple(readings), None, str(error))


def _without_the_move(
    study: Study, readings: Sequence[MountReading], moved: Mapping[int, float]
) -> tuple[float | None, list[MountReading]]:
    """How far the bench moved, beside candidates (and rounds), and the readings without it; their middle stays."""
    used = [r for r in readings if r.value is not None and r.left_out is None]
    names = list(dict.fromkeys(r.candidate for r in used))
    share = np.array([moved[r.mount_id] for r in used])
    try:
        design = design_matrix(
            np.array([names.index(r.candidate) for r in used]),
            len(names),
            [str(r.round) for r in used] if study.blocks else None,
            share[:, None],
            ("the bench's move",),
        )
    except KuffinError:
        return None, list(readings)
    by = float(np.linalg.lstsq(design, np.array([r.value for r in used]), rcond=None)[0][-1] / share.std())
    middle = float(share.mean())
    return by, [
        r
        if r.value is None
        else replace(r, value=r.value - by * (moved[r.mount_id] - middle), shift=by * (moved[r.mount_id] - middle))
        for r in readings
    ]


def readings_under(
    study: Study,
    school: School,
    mounts: Mounts,
    results: Mapping[int, RunResult],
    power: float,
    heed_exclusions: bool = True,
    condition: str | None = None,
) -> list[MountReading]:
    """Every mount's reading under a school; see `under_school`."""
    return [_reading(study, school, name, m, results, power, heed_exclusions, condition) for name, m in mounts]


def _reading(
    study: Study,
    school: School,
    candidate: str,
    mount: Mount,
    results: Mapping[int, RunResult],
    power: float,
    heed_exclusions: bool,
    condition: str | None,
) -> MountReading:
    left_out = mount.left_out if heed_exclusions else None
    found: list[tuple[float, float, bool]] = []
    runs: list[int] = []
    problem: str | None = None
    for run in mount.live_runs:
        result = results[run.id].at(condition)
        if result is None:
            problem = problem or f"its runs do not hold “{condition}”"
            continue
        runs.append(run.id)
        if school.over is None:
            name = result.names.get(school.part)
            # the channel's plain mean, as one reads it off; its window is the main trace's
            if name in result.means and result.window_s is not None:
                mean, sd = result.means[name]
                found.append((mean, 1.96 * sd / np.sqrt(10), True))
            else:
                problem = f"no channel has the role “{school.part}”; give it one {CHANNELS}"
            continue
        if school.whole:
            fit = result.whole.get(school.trace)
            if fit is None:
                problem = "the whole-trace fit needs both temperatures, power, and six minutes of load"
                continue
            value = school.shown(fit.resistance_k_w, power, study.reference_air_c)
            found.append((value, school.shown_u95(fit.resistance_u95, power), True))
            continue
        trace = result.traces.get(school.trace)
        if trace is None:
            problem = result.problems.get(school.trace, "cannot be judged")
            continue
        found.append(
            (
                school.shown(trace.value, power, study.reference_air_c),
                school.shown_u95(trace.u95, power),
                trace.settled or result.by_hand,
            )
        )
    if not found:
        every = tuple(runs) or tuple(r.id for r in mount.live_runs)
        return MountReading(
            mount.id, candidate, mount.round, None, None, False, left_out, problem or "no run yet", every
        )
    n = len(found)
    value = float(np.mean([f[0] for f in found]))
    u95 = float(np.sqrt(sum(f[1] ** 2 for f in found)) / n)
    return MountReading(
        mount.id, candidate, mount.round, value, u95, all(f[2] for f in found), left_out, None, tuple(runs)
    )


def typical_power(mounts: Mounts, results: Mapping[int, RunResult], part: str, condition: str | None) -> float | None:
    """The median of the powers that make a part's rise under a condition, in whole watts; None where none is known."""
    values = [
        p
        for _, m in mounts
        for r in m.live_runs
        if (one := results[r.id].at(condition)) is not None and (p := one.power_for(part)) is not None
    ]
    return float(round(float(np.median(values)))) if values else None
