"""First doubts about mounts: what a person should look at before a mount counts."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.settle import Settled
from kuffin.core.student import t_quantile
from kuffin.notebook.entities import Mount, Study
from kuffin.verdicts.results import RunResult, main_trace
from kuffin.verdicts.schools import SchoolResult


@dataclass(frozen=True)
class Doubt:
    """Something that was noticed about a mount, with its numbers and what it usually means."""

    kind: str
    text: str
    likely: str
    serious: bool = True


def doubts_of(
    study: Study, mounts: list[tuple[str, Mount]], results: dict[int, RunResult], main: SchoolResult
) -> dict[int, tuple[Doubt, ...]]:
    """The doubts about each mount, by mount id."""
    found: dict[int, list[Doubt]] = {}
    for _, mount in mounts:
        own = found.setdefault(mount.id, [])
        for run in mount.live_runs:
            own += _of_run(study, results[run.id])
    _off_siblings(study, mounts, results, main, found)
    return {m: tuple(d) for m, d in found.items() if d}


def _of_run(study: Study, result: RunResult) -> list[Doubt]:
    out = []
    trace = result.traces.get(main_trace(study.under_test))
    if trace is None:
        why = result.problems.get(main_trace(study.under_test), "its channels do not allow it")
        return [
            Doubt("unreadable", f"cannot be judged: {why}", "a channel has the wrong role, or the log is too short")
        ]
    if not trace.settled and not result.by_hand:
        out.append(_not_settled(trace))
    if trace.mean < 0:
        out.append(
            Doubt(
                "swapped",
                f"a rise of {trace.mean:.1f} K: the lower level is warmer than the upper one",
                "two probes are swapped, or a channel has the wrong role",
            )
        )
    if trace.step_s is not None:
        out.append(
            Doubt(
                "step",
                f"something changed at {trace.step_s / 60:.0f} min; the reading is from after it",
                "a fan or pump was set otherwise, air moved, or paste pumped out",
                serious=False,
            )
        )
    if trace.samples and trace.spikes > 0.01 * trace.samples:
        out.append(
            Doubt(
                "spikes",
                f"{trace.spikes} of {trace.samples} samples were spikes and left out of means",
                "a loose probe or a disturbed sensor",
                serious=False,
            )
        )
    return out


def _not_settled(t: Settled) -> Doubt:
    if t.level_known:
        # it is where it will be; only the sensor's noise keeps the drift from being bounded
        return Doubt(
            "drift",
            f"flat as far as one can see, but its drift is known to ± {t.drift_u95:.1f} K in 10 min only",
            "a coarse or noisy sensor; a few minutes more would have shown that it settled",
            serious=False,
        )
    return Doubt(
        "not settled",
        f"not settled: {abs(t.still_to_go):.1f} ± {t.still_to_go_u95:.1f} K still to go at the end",
        "the run was stopped early; what counts is the level it points to, with its wider interval",
    )


def _off_siblings(
    study: Study,
    mounts: list[tuple[str, Mount]],
    results: dict[int, RunResult],
    main: SchoolResult,
    found: dict[int, list[Doubt]],
) -> None:
    flows: dict[int, float] = {}
    for _, mount in mounts:
        values = [f for r in mount.live_runs if (f := results[r.id].mean_of("flow")) is not None]
        if values:
            flows[mount.id] = float(np.mean(values))
    names = {m.id: name for name, m in mounts}
    for mount_id, flow in flows.items():
        others = [f for m, f in flows.items() if m != mount_id and names[m] == names[mount_id]] or [
            f for m, f in flows.items() if m != mount_id
        ]
        if len(others) >= 2 and flow < 0.92 * float(np.median(others)):
            usual = float(np.median(others))
            found[mount_id].append(
                Doubt(
                    "flow",
                    f"flow {flow:.0f} L/h, {100 * (1 - flow / usual):.0f} % below the other mounts ({usual:.0f} L/h)",
                    "air in the loop, a kinked tube, or the pump set lower",
                )
            )
    comparison = main.comparison
    if comparison is None or comparison.studentized.size < 6:
        return
    n = comparison.studentized.size
    df = (comparison.df or n - len(comparison.candidates)) - 1
    if df < 2:
        return
    limit = t_quantile(1 - 0.05 / 2 / n, df)
    for value, t in zip(comparison.mounts, comparison.studentized, strict=True):
        if np.isfinite(t) and abs(t) > limit:
            mount_id = int(value.mount)
            own = comparison.candidate(value.candidate)
            others = [v.value for v in comparison.mounts if v.candidate == value.candidate and v is not value]
            away = value.value - float(np.mean(others)) if others else value.value - own.mean
            found[mount_id].append(
                Doubt(
                    "stands apart",
                    f"{abs(away):.1f} K {'above' if away > 0 else 'below'} this candidate's other mounts, "
                    "more than their scatter explains",
                    "a bad mount, trapped air, or a changed bench; mount it once more",
                )
            )
