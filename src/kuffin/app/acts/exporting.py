"""Out of the window: readings and verdicts as tables, the interval plot as a picture."""

from __future__ import annotations

import os
from collections.abc import Mapping, Sequence
from pathlib import Path
from typing import Any

from PySide6.QtCore import QBuffer, QRectF, QSize, Qt
from PySide6.QtGui import QImage, QPainter
from PySide6.QtSvg import QSvgGenerator

from kuffin.app.look import theme as looks
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.intervalplot import IntervalPlot
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.wholefile import write_whole
from kuffin.core.base.worked import Worked
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare import Comparison, MountValue
from kuffin.publish.spreadsheet import as_spreadsheet
from kuffin.publish.tables import as_csv, as_json, finding_rows, readings_rows, verdict_rows
from kuffin.said.preparation import Preparation, preparation_rows
from kuffin.verdict.outcomes import MountReading, OutcomeResult
from kuffin.verdict.study import StudyVerdict


def write_table(
    verdict: StudyVerdict,
    path: Path,
    what: str,
    preparations: Sequence[Preparation] = (),
    of_runs: Mapping[str, Sequence[dict[str, Any]]] | None = None,
) -> None:
    """Write ``readings``, ``findings`` or ``verdicts`` as CSV, or everything as JSON, by the file's ending.

    Raises
    ------
    KuffinError
        Where the file cannot be written.
    """
    if path.suffix.lower() == ".xlsx":
        write_whole(path, as_spreadsheet(verdict))
        return
    if path.suffix.lower() == ".json":
        text = as_json(verdict, preparations, of_runs)
    else:
        rows = {"readings": readings_rows, "findings": finding_rows}.get(what, verdict_rows)
        text = as_csv(rows(verdict))
    write_whole(path, text)


def write_preparations(preparations: Sequence[Preparation], path: Path) -> None:
    """Write how the mounts were prepared as CSV.

    Raises
    ------
    KuffinError
        Where nothing was ticked or noted yet, or the file cannot be written.
    """
    if not preparations:
        raise KuffinError("no mount of this study was prepared yet: nothing was ticked, noted or measured")
    write_whole(path, as_csv(preparation_rows(list(preparations))))


def draw_comparison(found: Comparison, unit: str, path: Path) -> None:
    """Draw a comparison of a table as a picture, without a window.

    Raises
    ------
    KuffinError
    """
    os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
    from kuffin.app.look.application import application

    app = application()
    looks.apply(app, looks.LIGHT)
    outcome = Outcome(key="table", label="", unit=unit, higher_is_better=found.better == "higher")
    readings = tuple(_as_it_is(i, m) for i, m in enumerate(found.mounts))
    plot = IntervalPlot(looks.LIGHT)
    plot.resize(900, 300)
    names = [c.name for c in found.candidates]
    plot.show_result(OutcomeResult(outcome=outcome, readings=readings, comparison=found, why_not=None), names)
    write_picture(plot, looks.LIGHT, path)


def _as_it_is(number: int, mount: MountValue) -> MountReading:
    value = Worked(name="Value", symbol="y", value=mount.value, source="as the table says")
    return MountReading(mount_id=number, candidate=mount.candidate, round=1, worked=value, settled=True, left_out=None)


def write_picture(plot: IntervalPlot, theme: Theme, path: Path) -> None:
    """Write the interval plot as SVG or PNG, by the file's ending.

    Raises
    ------
    KuffinError
    """
    size = QSize(max(plot.width(), 760), plot.sizeHint().height())
    if path.suffix.lower() == ".svg":
        drawn = QBuffer()
        generator = QSvgGenerator()
        generator.setOutputDevice(drawn)
        generator.setSize(size)
        generator.setViewBox(QRectF(0, 0, size.width(), size.height()))
        generator.setTitle("Candidates with their mounts, means and intervals")
        painter = QPainter(generator)
        plot.paint(painter, QRectF(0, 0, size.width(), size.height()))
        painter.end()
        write_whole(path, bytes(drawn.data().data()))
        return
    image = QImage(size * 2, QImage.Format.Format_ARGB32)
    image.setDevicePixelRatio(2.0)
    image.fill(Qt.GlobalColor.transparent if path.suffix.lower() != ".png" else theme.color("ground"))
    painter = QPainter(image)
    painter.setFont(plot.font())
    plot.paint(painter, QRectF(0, 0, size.width(), size.height()))
    painter.end()
    drawn = QBuffer()
    drawn.open(QBuffer.OpenModeFlag.WriteOnly)
    if not image.save(drawn, path.suffix.removeprefix(".").upper()):  # type: ignore[call-overload]
        raise KuffinError(f"{path.name} could not be written as a picture; end its name in .png or .svg")
    write_whole(path, bytes(drawn.data().data()))
