"""A report against as many bare figures; and drawn studies that are sent as a package and come to the same verdict."""

from __future__ import annotations

import io
import tempfile
from collections.abc import Callable
from contextlib import closing
from pathlib import Path
from typing import Any

import numpy as np
from matplotlib.backends.backend_agg import FigureCanvasAgg
from matplotlib.backends.backend_pdf import FigureCanvasPdf
from matplotlib.backends.backend_svg import FigureCanvasSVG
from matplotlib.figure import Figure

from benchmarks.timing import in_turn, say
from kuffin.core.bench.protocol import Step
from kuffin.demo.shipped import unpack_demo
from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Mount
from kuffin.notebook.store import Notebook
from kuffin.publish.datapackage import package_study
from kuffin.publish.figures.drawing import FORMS
from kuffin.publish.page.material import Material, gather
from kuffin.publish.report import report_files
from kuffin.publish.unpacking import unpack_study
from kuffin.verdict.study import StudyVerdict, judge


def bare_figures(svgs: int, wide: int) -> None:
    """As many figures as a report has, with the same forms and sizes: a few points with error bars, a title, names."""
    for i in range(svgs + 3 * wide):
        figure = Figure(figsize=(7.2, 4.0) if i < svgs else (12.8, 7.2), dpi=150)
        axes = figure.add_subplot()
        axes.errorbar([1, 2, 3, 4, 5], [3, 1, 4, 1, 5], yerr=0.4, fmt="o")
        axes.set_title("Die over coolant, per watt")
        axes.set_xticks([1, 2, 3, 4, 5], ["Tern", "Plover", "Dunlin", "Knot", "Ruff"])
        form = "svg" if i < svgs else FORMS[i % 3]
        canvas: Any = {"svg": FigureCanvasSVG, "png": FigureCanvasAgg, "pdf": FigureCanvasPdf}[form](figure)
        getattr(canvas, f"print_{form}")(io.BytesIO())


def timed(m: Material) -> None:
    """One line: a report against bare figures."""
    wide = sum(made.name.endswith(".png") for made in report_files(m))
    ours, theirs = in_turn(lambda: list(report_files(m)), lambda: bare_figures(len(m.drawings), wide), 3)
    say(f"report of {m.study.name} ({len(m.drawings)} + 3 × {wide} figures, page, PDF, tables)", ours, theirs, "as many bare figures", "≤ 3")  # fmt: skip


def drawn_study(folder: Path, seed: int) -> Notebook:
    """A study with two to four blocks, one to four mounts each, one to three powers, some left out, some typed over."""
    rng = np.random.default_rng(seed)
    names = list(rng.permutation(["Tern", "Plover", "Dunlin", "Knot"])[: int(rng.integers(2, 5))])
    book = Notebook.create(folder / f"{seed}.kuffin")
    study = edits.add_study(book, "Which block?", "block", names, float(rng.uniform(0.3, 2)))
    powers = sorted(rng.choice([90.0, 130.0, 180.0, 240.0], int(rng.integers(1, 4)), replace=False))
    steps = tuple(Step(name=f"load {p:g} W", load="long mix", power_w=float(p), longest_min=12.0) for p in powers)
    edits.change_study(book, study, "protocol", protocol_id=planedits.keep_protocol(book, "drawn", steps, _no_limits()))
    runs = [
        edits.NewRun(n, _log(rng, n, powers), round=k, together=True)
        for n in names
        for k in range(1, int(rng.integers(2, 5)))
    ]
    edits.add_logs(book, study, runs)
    mounts = [m.id for c in book.study(study).live_candidates for m in c.live_mounts]
    if rng.random() < 0.4:
        edits.leave_out(book, int(rng.choice(mounts)), "a mount", "askew; =1+1")
    if rng.random() < 0.4:
        with book.edit("note") as session:
            session.get_one(Mount, int(rng.choice(mounts))).note = "mine alone"
    edits.change_study(
        book, study, "as it is", reference_power_w=float(rng.choice(powers)), blocks=bool(rng.integers(2))
    )
    return book


def _no_limits() -> Any:
    from kuffin.core.bench.limits import Limits

    return Limits()


def _log(rng: np.random.Generator, name: str, powers: list[float]) -> LogTable:
    t = np.arange(0, 300 + 800 * len(powers), 2.0)
    power, coolant, level = np.full(t.size, 14.0), np.full(t.size, 22.0), 22.0
    for i, p in enumerate(powers):
        on = t >= 300 + 800 * i
        power[on] = p
        rise = 22.0 + 0.055 * p
        coolant[on] = level + (rise - level) * -np.expm1(-(t[on] - t[on][0]) / 150)
        level = float(coolant[-1])
    r = {"Tern": 0.17, "Plover": 0.16, "Dunlin": 0.165, "Knot": 0.172}[name] * (1 + 0.01 * rng.normal())

    def channel(label: str, role: str, values: np.ndarray, unit: str, quantity: str, scatter: float) -> LogChannel:
        return LogChannel(name=label, unit=unit, quantity=quantity, role=role, values=np.round(values + rng.normal(0, scatter, t.size), 3), written_unit=unit)  # fmt: skip

    channels = [
        channel("Die", "die", coolant + r * power, "degC", "temperature", 0.3),
        channel("Coolant", "coolant", coolant, "degC", "temperature", 0.04),
        channel("Room", "room", np.full(t.size, 21.0), "degC", "temperature", 0.04),
        channel("Power", "power", power, "W", "power", 0.5),
    ]
    return LogTable(file=f"{name}.csv", encoding="", delimiter="", decimal="", times=t, start=None, channels=channels, dropped_rows=0)  # fmt: skip


def told(v: StudyVerdict) -> list[Any]:
    """All that a verdict says in numbers and words."""
    found: list[Any] = [(r.candidate, r.round, r.value, r.u95, r.left_out) for r in v.main.readings]
    for school in v.schools.values():
        pairs = school.comparison.pairs if school.comparison is not None else ()
        found += [(school.outcome.key, p.a, p.b, p.difference, p.low, p.high, p.p, p.verdict) for p in pairs]
    return [*found, *[(f.kind, f.seen, f.weight) for m in v.findings.values() for f in m]]


def round_trip(folder: Path, seed: int) -> bool:
    """Whether a drawn study, sent and taken in elsewhere, comes to the same verdict to the last digit."""
    with closing(drawn_study(folder, seed)) as book, closing(Notebook.create(folder / f"{seed} back.kuffin")) as other:
        package_study(book, 1, folder / f"{seed}.zip")
        back = unpack_study(folder / f"{seed}.zip", other)
        return told(judge(book, book.study(1))) == told(judge(other, other.study(back)))


def round_trips(count: int, first: int = 1000, each: Callable[[Path, int], bool] = round_trip) -> int:
    """How many of so many drawn studies come back the same."""
    with tempfile.TemporaryDirectory() as folder:
        return sum(each(Path(folder), first + i) for i in range(count))


def report() -> None:
    """Print the figures."""
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "demo.kuffin"
        unpack_demo(path)
        with closing(Notebook.open(path)) as book:
            verdicts = [judge(book, book.study(s.id)) for s in book.studies()]
            timed(gather(book, max(verdicts, key=lambda v: v.mounts)))
    print(f"drawn studies that come to the same verdict from their package: {round_trips(50)} of 50 (aim 50)")
