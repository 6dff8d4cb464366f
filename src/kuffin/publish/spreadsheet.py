"""A study as a spreadsheet: a sheet for each table, what it is in its first row, units and half-widths in columns of their own."""

from __future__ import annotations

import datetime as dt
import io
import re
import zipfile
from collections.abc import Sequence
from typing import Any

from kuffin.core.base.plaintext import without_controls
from kuffin.publish.summarytable import summary_rows, title
from kuffin.publish.tables import finding_rows, readings_rows, verdict_rows
from kuffin.verdict.study import StudyVerdict

_MOMENT = (1980, 1, 1, 0, 0, 0)
_WRITTEN_AT = re.compile(rb"(<dcterms:(?:modified|created)[^>]*>)[^<]*")


def as_spreadsheet(v: StudyVerdict) -> bytes:
    """The file's bytes; the same study gives the same ones."""
    from openpyxl import Workbook  # heavy, and needed here only
    from openpyxl.cell import WriteOnlyCell
    from openpyxl.styles import Font

    book = Workbook(write_only=True)
    book.properties.creator = "Kuffin"
    book.properties.created = book.properties.modified = dt.datetime(*_MOMENT)
    sheets: tuple[tuple[str, str, Sequence[dict[str, Any]]], ...] = (
        ("Summary", title(v), summary_rows(v)),
        ("Readings", "Each mount's readings under every school, with 95 % half-widths (u95)", readings_rows(v)),
        ("Pairs", "Each pair's difference with its interval, all pairs together, under every school", verdict_rows(v)),
        ("Findings", "What was found about mounts and the study, and how it was answered", finding_rows(v)),
    )
    for name, said, rows in sheets:
        sheet = book.create_sheet(name)
        sheet.freeze_panes = "A3"

        def text(value: Any, bold: bool = False, sheet: Any = sheet) -> Any:
            made = WriteOnlyCell(sheet, value=without_controls(value) if isinstance(value, str) else value)
            if isinstance(value, str):
                made.data_type = "s"  # text, also where it begins like a formula
            made.font = Font(bold=bold)
            return made

        sheet.append([text(said, bold=True)])
        if rows:
            sheet.append([text(k, bold=True) for k in rows[0]])
        for row in rows:
            sheet.append([text(row.get(k)) for k in rows[0]])
    out = io.BytesIO()
    book.save(out)
    return _at_one_moment(out.getvalue())


def _at_one_moment(data: bytes) -> bytes:
    """The same archive without the moments at which its parts were written."""
    out = io.BytesIO()
    with zipfile.ZipFile(io.BytesIO(data)) as old, zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as new:
        for name in sorted(old.namelist()):
            entry = zipfile.ZipInfo(name, _MOMENT)
            entry.compress_type = zipfile.ZIP_DEFLATED
            new.writestr(entry, _WRITTEN_AT.sub(rb"\g<1>1980-01-01T00:00:00Z", old.read(name)))
    return out.getvalue()
