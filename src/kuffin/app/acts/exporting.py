"""Out of the window: readings and verdicts as tables, the verdict as a picture."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from pathlib import Path
from typing import Any

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.wholefile import write_whole
from kuffin.publish.spreadsheet import as_spreadsheet
from kuffin.publish.tables import as_csv, as_json, finding_rows, readings_rows, verdict_rows
from kuffin.said.preparation import Preparation, preparation_rows
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
        raise KuffinError(tr("no mount of this study was prepared yet: nothing was ticked, noted or measured"))
    write_whole(path, as_csv(preparation_rows(list(preparations))))


def write_picture(verdict: StudyVerdict, theme: str, path: Path) -> None:
    """Write the verdict's picture as SVG, PNG or PDF, by the file's ending; it takes a second.

    Raises
    ------
    KuffinError
        Where the file cannot be written, or no mount can be read.
    """
    from kuffin.publish.figures.candidates import candidates_drawing  # brings the drawing library
    from kuffin.publish.figures.drawing import GROUNDS, SIZES
    from kuffin.publish.figures.rendering import rendered

    drawing = candidates_drawing(verdict, verdict.main)
    if drawing is None:
        raise KuffinError(tr("no mount of this study can be read yet, so there is nothing to draw"))
    write_whole(path, rendered(drawing, SIZES["wide"], GROUNDS[theme], path.suffix.removeprefix(".").lower()))
