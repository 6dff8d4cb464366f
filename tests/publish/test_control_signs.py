"""Names with control signs, as a log's columns may bring them: each file is read back by its own parser."""

from __future__ import annotations

import csv
import io
from xml.etree import ElementTree

import openpyxl
import pytest

from kuffin.core.base.csvtext import cell
from kuffin.core.findings import Finding
from kuffin.core.findings.kinds import KINDS
from kuffin.notebook.store import Notebook
from kuffin.publish.figures.candidates import candidates_drawing
from kuffin.publish.figures.drawing import GROUNDS, SIZES
from kuffin.publish.figures.rendering import rendered
from kuffin.publish.spreadsheet import as_spreadsheet
from kuffin.verdict.study import judge

EVIL = "Sedge\x1b[31m\r=cmd()\x00\ufffe"


def test_each_format_is_read_back(demo_notebook: Notebook) -> None:
    with demo_notebook.edit("x") as session:
        study = session.merge(demo_notebook.study(1))
        next(c for c in study.candidates if c.name == "Sedge").name = EVIL
    v = judge(demo_notebook, demo_notebook.study(1))
    book = openpyxl.load_workbook(io.BytesIO(as_spreadsheet(v)))
    assert any("Sedge" in str(c.value) for row in book["Readings"].iter_rows() for c in row)
    drawn = candidates_drawing(v, v.main)
    assert drawn is not None
    svg = rendered(drawn, SIZES["wide"], GROUNDS["light"], "svg")
    assert "Sedge" in "".join(ElementTree.fromstring(svg).itertext())
    out = io.StringIO()
    csv.writer(out, lineterminator="\n").writerow([cell(EVIL), "next"])
    (row,) = csv.reader(io.StringIO(out.getvalue()))
    assert len(row) == 2 and not any(line.startswith("=") for line in out.getvalue().splitlines())


def test_a_finding_of_a_kind_that_does_not_exist_is_not_made() -> None:
    with pytest.raises(ValueError, match="no kind of finding"):
        Finding(kind="no such kind", seen="x")
    assert Finding(kind="upstream", seen="x").kind in KINDS
