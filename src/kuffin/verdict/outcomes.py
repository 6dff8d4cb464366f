"""A study by one outcome: each mount's reading, and the comparison they allow."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.leads import VERDICT, ToReading, ToSamples, Where
from kuffin.core.base.traces import decimal_step
from kuffin.core.base.worked import Worked, in_quadrature, mean_of, worked
from kuffin.core.bench.outcomes import FREE, Outcome
from kuffin.core.compare import Comparison, MountValue, compare
from kuffin.core.compare.linear import design_matrix
from kuffin.core.heat.normalise import School
from kuffin.notebook.entities import Mount, Study
from kuffin.reading.failed import failed_under
from kuffin.reading.runresult import RunResult
from kuffin.verdict.evidence import Evidence
from kuffin.verdict.noreading import NoReading
from kuffin.verdict.runreadings import held_by, run_reading, trace_reading


@dataclass(frozen=True, kw_only=True)
class MountReading:
    """One mount by one outcome, as shown.

    Attributes
    ----------
    worked : Worked or None
        None where the mount cannot be read by this outcome.
    settled : bool
    held : str
        Why its value is only a bound: the limit it was held by, or that it met none; blank where it is a value.
    typed : bool
        Whether it rests on figures that a person typed.
    failed : str
        Why a test of it could not be finished; blank where none failed.
    step_half : float or None
        What the steps of its figures leave open, 95 %: whole degrees, or the last digit of what was typed. It is common to
        all mounts, so no number of them takes it away. None: no steps are seen.
    shift : float
        What was taken off for a bench that moved, where that was asked for.
    """

    mount_id: int
    candidate: str
    round: int
    worked: Worked | None
    settled: bool
    left_out: str | None
    problem: str | None = None
    runs: tuple[int, ...] = ()
    shift: float = 0.0
    held: str = ""
    failed: str = ""
    typed: bool = False
    step_half: float | None = None

    @property
    def value(self) -> float | None:
        """The reading, in the outcome's unit; None where there is none."""
        return None if self.worked is None else self.worked.value

    @property
    def u95(self) -> float | None:
        """The half-width of that; None where there is no reading."""
        return None if self.worked is None else self.worked.u95

    @property
    def label(self) -> str:
        """How the mount is called."""
        return tr("{candidate}, round {round}", candidate=self.candidate, round=self.round)


@dataclass(frozen=True, kw_only=True)
class OutcomeResult:
    """A study by one outcome: its readings and, where there is enough, the comparison.

    Attributes
    ----------
    moved : float or None
        How far the bench moved, where that was fitted and taken out.
    why_kept : str
        Why the bench's move could not be taken out, where that was asked for; blank otherwise.
    """

    outcome: Outcome
    readings: tuple[MountReading, ...]
    comparison: Comparison | None
    why_not: str | None
    moved: float | None = None
    why_kept: str = ""

    def worked_by_mount(self, where: Where = VERDICT) -> dict[str, Worked]:
        """Each mount's reading, by the key that comparisons know it by; it leads on to its own working."""
        return {
            str(r.mount_id): replace(r.worked, name=r.label, leads=ToReading(r.mount_id, where))
            for r in self.readings
            if r.worked is not None
        }

    @property
    def scope_words(self) -> str:
        """What it is about: these samples, or the products."""
        return (
            tr("it is about {scope}", scope=scope(self.comparison))
            if self.comparison is not None
            else tr("nothing is compared yet")
        )

    def failed(self) -> dict[str, list[MountReading]]:
        """The mounts whose test could not be finished, by candidate."""
        out: dict[str, list[MountReading]] = {}
        for r in self.readings:
            if r.failed and r.left_out is None:
                out.setdefault(r.candidate, []).append(r)
        return out

    def of(self, candidate: str) -> list[MountReading]:
        """The readings of a candidate, by name."""
        return [r for r in self.readings if r.candidate == candidate]

    def ranking(self) -> list[str]:
        """Candidates from the best to the worst, those held by a limit last (or those that met none first), as theirs is only a bound; by their mounts' plain means where no comparison is possible."""
        sign = -1.0 if self.outcome.higher_is_better else 1.0
        if self.comparison is not None:
            free = self.comparison.free
            return [c.name for c in sorted(self.comparison.candidates, key=lambda c: (c.bound != free, sign * c.mean))]
        means: dict[str, list[float]] = {}
        for reading in self.readings:
            if reading.value is not None and reading.left_out is None:
                means.setdefault(reading.candidate, []).append(reading.value)
        return sorted(means, key=lambda name: sign * float(np.mean(means[name])))


def scope(found: Comparison) -> str:
    """What a verdict is about, in words."""
    counts = [c.samples for c in found.candidates]
    if "sample" in dict(found.components):
        few, many = min(counts), max(counts)
        tell = f"{few}" if few == many else tr("{few} to {many}", few=few, many=many)
        return (
            tr("these products, as far as one sample of each tells")
            if many == 1
            else tr("these products, as far as {n} samples of each tell", n=tell)
        )
    if max(counts) == 1:
        return tr("these samples, one of each; another sample of the same product may differ")
    several = ", ".join(tr("{n} of {name}", n=c.samples, name=c.name) for c in found.candidates if c.samples > 1)
    return (
        tr(
            "these samples ({several}, one of each other); another sample of the same product may differ",
            several=several,
        )
        if min(counts) == 1
        else tr("these samples ({several}); another sample of the same product may differ", several=several)
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


def under_outcome(
    evidence: Evidence,
    outcome: Outcome,
    power: float,
    *,
    heed_exclusions: bool = True,
    condition: str | None = None,
    confidence: float | None = None,
    moved: Mapping[int, float] | None = None,
) -> OutcomeResult:
    """Read a study's mounts by an outcome and compare its candidates.

    Parameters
    ----------
    power : float
        The reference power, W, at which what is taken per watt is shown.
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
    readings = readings_under(evidence, outcome, power, heed_exclusions, condition)
    by: float | None = None
    if moved is not None:
        by, readings = _without_the_move(evidence, readings, moved)
    values = [
        MountValue(
            candidate=r.candidate,
            mount=str(r.mount_id),
            value=r.value,
            round=str(r.round) if evidence.blocks else None,
            sample=str(m.sample_id) if m.sample_id is not None else None,
            covariates=() if moved is None else (moved[r.mount_id],),
            held=bool(r.held),
            half=r.step_half,
        )
        for r, (_, m) in zip(readings, evidence.mounts, strict=True)
        if r.value is not None and r.left_out is None
    ]
    try:
        found = compared(evidence, outcome, values, confidence)
        return OutcomeResult(outcome=outcome, readings=tuple(readings), comparison=found, why_not=None, moved=by)
    except KuffinError as error:
        return OutcomeResult(outcome=outcome, readings=tuple(readings), comparison=None, why_not=str(error))


def compared(
    evidence: Evidence, outcome: Outcome, values: Sequence[MountValue], confidence: float | None = None
) -> Comparison:
    """Compare mounts' values as the study is judged: its reference, margin, spread and confidence, candidates in its order.

    Raises
    ------
    KuffinError
        Why they cannot be compared.
    """
    study = evidence.study
    order = {c.name: i for i, c in enumerate(study.live_candidates)}
    values = sorted(values, key=lambda v: order.get(v.candidate, 0))
    level = float(np.mean([v.value for v in values])) if values else 0.0
    if study.spread == "separate":  # each candidate's own spread holds what rounds add to it
        values = [replace(v, round=None) for v in values]
    chosen = study.candidate(study.reference_id)
    return compare(
        values,
        reference=chosen.name if chosen is not None and chosen.name in {v.candidate for v in values} else None,
        margin=evidence.margin_of(outcome, level),
        better=outcome.better,
        confidence=confidence or study.confidence,
        spread=study.spread,
        covariate_names=("the bench's move",),
        scope=scope_of(study, values),
        free=outcome.bounded == FREE,
    )


def _without_the_move(
    evidence: Evidence, readings: Sequence[MountReading], moved: Mapping[int, float]
) -> tuple[float | None, list[MountReading]]:
    """How far the bench moved, beside candidates (and rounds), and the readings without it; their middle stays."""
    used = [r for r in readings if r.value is not None and r.left_out is None]
    names = list(dict.fromkeys(r.candidate for r in used))
    share = np.array([moved[r.mount_id] for r in used])
    try:
        design = design_matrix(
            np.array([names.index(r.candidate) for r in used]),
            len(names),
            [str(r.round) for r in used] if evidence.blocks else None,
            share[:, None],
            ("the bench's move",),
        )
    except KuffinError:
        return None, list(readings)
    by = float(np.linalg.lstsq(design, np.array([r.value for r in used]), rcond=None)[0][-1] / share.std())
    middle = float(share.mean())
    return by, [r if r.worked is None else _moved_back(r, r.worked, by, moved[r.mount_id], middle) for r in readings]


def _moved_back(r: MountReading, read: Worked, by: float, share: float, middle: float) -> MountReading:
    """A reading without its share of the bench's move."""
    terms = [
        replace(read, symbol="y", half=None),
        Worked(name=tr("How far the bench moved"), symbol="b", value=by, unit=read.unit, digits=3, source=tr("least squares, beside candidates and rounds")),
        Worked(name=tr("Share of the move in this mount"), symbol="z", value=share),
        Worked(name=tr("Mean of all mounts’ shares"), symbol="z_m", value=middle),
    ]  # fmt: skip
    without = worked(tr("Without the bench’s move"), read.symbol, "y - b*(z - z_m)", terms, read.unit, digits=read.digits, half=read.half)  # fmt: skip
    return replace(r, worked=without, shift=by * (share - middle))


def readings_under(
    evidence: Evidence, outcome: Outcome, power: float, heed_exclusions: bool = True, condition: str | None = None
) -> list[MountReading]:
    """Every mount's reading by an outcome; see `under_outcome`."""
    return [_reading(evidence, outcome, name, m, power, heed_exclusions, condition) for name, m in evidence.mounts]


def _reading(
    evidence: Evidence,
    outcome: Outcome,
    candidate: str,
    mount: Mount,
    power: float,
    heed_exclusions: bool,
    condition: str | None,
) -> MountReading:
    left_out = mount.left_out if heed_exclusions else None
    found: list[tuple[Worked, bool]] = []
    steps: list[float] = []
    runs: list[int] = []
    problem: str | None = None
    held, failed = "", ""
    for run in mount.live_runs:
        result = evidence.results[run.id].at(condition)
        names = [c.name for c in evidence.conditions]
        failed = failed_under(run, evidence.results[run.id], names, condition)
        if failed:
            problem = tr("could not be finished: {failed}", failed=failed)
            runs.append(run.id)
            continue
        if result is None:
            problem = problem or tr("its runs do not hold “{condition}”", condition=condition)
            continue
        runs.append(run.id)
        try:
            read, settled = run_reading(outcome, evidence, run, result, power)
        except NoReading as why:
            problem = str(why)
            continue
        held = held or held_by(outcome, result)
        steps += _step_half(outcome, result, read)
        found.append((replace(read, leads=ToSamples(run.id, Where(outcome.key, condition))), settled))
    every = tuple(runs) if found or runs else tuple(r.id for r in mount.live_runs)
    return MountReading(
        mount_id=mount.id,
        candidate=candidate,
        round=mount.round,
        worked=_over_runs([read for read, _ in found]),
        settled=bool(found) and all(settled for _, settled in found),
        left_out=left_out,
        problem=None if found else problem or tr("no run yet"),
        runs=every,
        held=held,
        failed=failed if not found else "",
        typed=any(_typed(evidence.results[i], outcome, condition) for i in runs),
        step_half=float(np.mean(steps)) if steps and len(steps) == len(found) else None,
    )


def _step_half(outcome: Outcome, result: RunResult, read: Worked) -> list[float]:
    """What the steps of a run's figures leave open of its reading; empty where none are seen.

    One figure with steps counts as two: readings on both sides of a step's edge may be of the same value, so that figures one
    step apart, however often they come out so, prove nothing.
    """
    half = read.half.value if read.half is not None else None
    two = float(np.sqrt(2))
    if result.typed is not None:
        over = isinstance(outcome, School) and outcome.over is not None
        return [half if over else two * half] if half else []
    if outcome.asked and read.value is not None:
        return [two * 1.96 * decimal_step(read.value) / float(np.sqrt(12))]
    if not isinstance(outcome, School) or not half:
        return []
    trace = result.traces.get(outcome.trace)
    if trace is None:
        return [half] if outcome.trace in result.spots else []
    own = trace_reading(outcome, trace).half
    return (
        [two * 1.96 * trace.rounding_u * half / own.value] if trace.rounding_u and own is not None and own.value else []
    )


def _typed(whole: RunResult, outcome: Outcome, condition: str | None) -> bool:
    """Whether what a run tells of an outcome was typed by a person."""
    one = whole.at(condition)
    return whole.typed is not None or (isinstance(outcome, School) and one is not None and outcome.trace in one.spots)


def _over_runs(found: Sequence[Worked]) -> Worked | None:
    """The mean of a mount's runs; the mount is the unit of evidence."""
    if len(found) < 2:
        return found[0] if found else None
    first, n = found[0], len(found)
    runs = [replace(r, name=tr("Run {i}", i=i), symbol=f"y_{i}") for i, r in enumerate(found, 1)]
    halves = [
        replace(r.half, name=tr("Half-width of run {i}", i=i), symbol=f"U_{i}")
        for i, r in enumerate(found, 1)
        if r.half is not None
    ]
    kelvins = first.half.unit if first.half else ""
    half = in_quadrature(tr("Half-width"), "U", halves, kelvins, over=n)
    return mean_of(tr("Mean of the runs"), first.symbol, runs, first.unit, digits=first.digits, half=half)
