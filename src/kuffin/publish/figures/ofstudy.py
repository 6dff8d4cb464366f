"""All pictures of a study, in the order in which one shows them."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass
from typing import Any

from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import number
from kuffin.notebook.preparationedits import prepared
from kuffin.notebook.shelf import bench_of, parts
from kuffin.notebook.store import Notebook
from kuffin.publish.figures.alongdrawing import along_drawings
from kuffin.publish.figures.baselinedrawing import baseline_drawing
from kuffin.publish.figures.basis import conditions_words
from kuffin.publish.figures.candidates import candidates_drawing
from kuffin.publish.figures.drawing import Drawing
from kuffin.publish.figures.griddrawing import GRID, Results, grid_drawings
from kuffin.publish.figures.linesdrawing import claims_drawings
from kuffin.publish.figures.printsdrawing import PrintMap, prints_drawing
from kuffin.publish.figures.scatterdrawing import scatter_drawing
from kuffin.publish.figures.schoolsdrawing import schools_drawing
from kuffin.publish.figures.stairsdrawing import candidates_stairs, run_stairs
from kuffin.publish.figures.tracesdrawing import run_traces, several_traces
from kuffin.publish.figures.worthdrawing import worth_drawing
from kuffin.reading.traceview import TraceView, axis_label, view_of
from kuffin.verdict.grid import Axes, axes_of, cell_result, family_confidence
from kuffin.verdict.outcomes import MountReading
from kuffin.verdict.sheets import PRINT_SIDES, print_words
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.value import value_of

Report = Callable[[float], None]  # how far it is; may raise to stop


@dataclass(frozen=True, kw_only=True)
class GridResults:
    """The grid of a study with all its comparisons."""

    axes: Axes
    results: Results


def grid_of(v: StudyVerdict, report: Report = lambda _: None) -> GridResults:
    """Compare every cell of the grid."""
    axes = axes_of(v)
    confidence = family_confidence(v, axes)[0]
    results = {}
    for i, cell in enumerate(axes.cells):
        results[cell] = cell_result(v, cell, confidence)
        report((i + 1) / len(axes.cells))
    return GridResults(axes=axes, results=results)


def verdict_drawings(notebook: Notebook, v: StudyVerdict, grid: GridResults, together: int) -> list[Drawing]:
    """Every picture that is made from the verdict; what there is nothing for is left out."""
    study = v.evidence.study
    shown = [
        candidates_drawing(v, v.main),
        candidates_stairs(v),
        *grid_drawings(v, grid.axes, grid.results, together),
        *along_drawings(v),
        *claims_drawings(v),
        worth_drawing(v, value_of(v, bench_of(notebook, study.bench_id), parts(notebook))),
        schools_drawing(v),
        baseline_drawing(v),
        scatter_drawing(v),
        prints_drawing(prints_of(notebook, v)),
    ]
    return [d for d in shown if d is not None]


def as_slides(v: StudyVerdict, drawings: Iterable[Drawing], grid: GridResults) -> list[Drawing]:
    """The same pictures for a screen, where the grid of outcomes takes several."""
    out: list[Drawing] = []
    for d in drawings:
        if not d.key.startswith(GRID):
            out.append(d)
        elif d.key == GRID:
            out += grid_drawings(v, grid.axes, grid.results)
    return out


def run_drawings(notebook: Notebook, v: StudyVerdict, report: Report = lambda _: None) -> Iterator[Drawing]:
    """The traces of all mounts together, then each mount's own traces and staircase; reads the samples."""
    study, trace = v.evidence.study, v.school.trace
    views: list[tuple[str, int, TraceView]] = []
    each: list[tuple[MountReading, TraceView]] = []
    conditions = conditions_words(v, v.temperature.outcome)
    readings = [r for r in v.temperature.readings if r.runs]
    for i, r in enumerate(readings):
        report(i / max(len(readings), 1))
        mount = next(m for _, m in v.evidence.mounts if m.id == r.mount_id)
        run = next(run for run in mount.live_runs if run.id == r.runs[-1])
        result = v.results[run.id].at(v.condition) or v.results[run.id]
        if result.typed is not None:
            continue  # a few typed figures have no trace
        view = view_of(notebook, study, run, trace, axis_label(trace), None, result, v.evidence.ways)
        each.append((r, view))
        if r.left_out is None:
            views.append((r.label, v.candidates.index(r.candidate), view))
    together = several_traces(views, conditions)
    if together is not None:
        yield together
    for r, view in each:
        yield run_traces(view, r.label, conditions, f"run-{r.mount_id}")
        result = v.results[r.runs[-1]].at(v.condition) or v.results[r.runs[-1]]
        stairs = run_stairs(result, r.label, f"run-{r.mount_id}-staircase")
        if stairs is not None:
            yield stairs


def prints_of(notebook: Notebook, v: StudyVerdict) -> list[PrintMap]:
    """The contact prints that were read, mount by mount."""
    out = []
    for r in v.main.readings:
        sheet: dict[str, Any] = prepared(notebook, r.mount_id).sheets.get("print", {})
        read = "" if r.value is None else f"{number(r.value, 1)} {v.outcome.unit}"
        for side, where in PRINT_SIDES.items():
            one = sheet.get(side, {})
            if isinstance(one, dict) and one.get("map") and print_words(one):
                share, low, high = (100 * one[k] for k in ("share", "low", "high"))
                out.append(
                    PrintMap(
                        label=r.label,
                        where=begun(where),
                        said=f"{share:.0f} % ({low:.0f} to {high:.0f} %)",
                        reading=read,
                        png=str(one["map"]),
                    )
                )
    return out
