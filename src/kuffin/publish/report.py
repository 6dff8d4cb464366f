"""A study's report as a folder: the page, its figures, its tables. The same notebook gives the same bytes."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.plaindata import json_text
from kuffin.core.base.wholefile import write_whole
from kuffin.notebook.entities import Study
from kuffin.notebook.store import Notebook
from kuffin.publish.figures.drawing import FORMS, GROUNDS, SIZES, Drawing, Ground, Size
from kuffin.publish.figures.rendering import rendered_as
from kuffin.publish.packagetables import OPEN_MARKS
from kuffin.publish.page.layout import PageLayout
from kuffin.publish.page.material import Material, gather
from kuffin.publish.page.writing import page_html, page_pdf
from kuffin.publish.spreadsheet import as_spreadsheet
from kuffin.publish.summarytable import as_html, as_markdown, summary_rows
from kuffin.publish.tables import as_csv, as_json, finding_rows, readings_rows, verdict_rows
from kuffin.said.runmarks import rows_of_runs
from kuffin.verdict.study import judge

Report = Callable[[float], None]  # how far it is; may raise to stop


@dataclass(frozen=True)
class Made:
    """A file of the report: its place in the folder, and what is in it."""

    name: str
    data: bytes


def write_report(
    notebook: Notebook, study: Study, folder: Path, theme: str = "light", report: Report = lambda _: None
) -> list[str]:
    """Write page, figures and tables of a study into a folder; returns the files' places in it.

    What else is in the folder stays as it is.

    Raises
    ------
    KuffinError
        Where the study has nothing to say yet, the theme is none, or the folder cannot be written.
    """
    m = gather(notebook, judge(notebook, study), lambda x: report(0.1 * x))
    written = []
    for made in report_files(m, theme, lambda x: report(0.1 + 0.9 * x)):
        put(folder, made)
        written.append(made.name)
    return written


def put(folder: Path, made: Made) -> None:
    """Write one file into a folder, which is made where it is not there.

    Raises
    ------
    KuffinError
    """
    target = folder / made.name
    try:
        target.parent.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        raise KuffinError(
            "{parent} cannot be made ({strerror}); choose another folder", parent=target.parent, strerror=error.strerror
        ) from None
    write_whole(target, made.data)


def report_files(m: Material, theme: str = "light", report: Report = lambda _: None) -> Iterator[Made]:
    """All files of a report, one after the other."""
    html = page_html(m, PageLayout.of(m.study.published), theme, report=lambda x: report(0.2 * x))
    yield Made("page.html", html.encode())
    yield Made("page.pdf", page_pdf(html))
    report(0.5)
    yield from table_files(m)
    pictures = m.slides
    for i, drawing in enumerate(pictures):
        report(0.55 + 0.45 * i / len(pictures))
        yield from figure_files(drawing, SIZES["wide"], GROUNDS[theme], FORMS)
    yield Made("figures/figures.json", json_text([_told(d) for d in pictures], indent=1).encode() + b"\n")


def _told(d: Drawing) -> dict[str, object]:
    return {"file": d.key, "title": d.title, "basis": list(d.basis), "alternative_text": d.alt}


def figure_files(
    d: Drawing, size: Size, ground: Ground, forms: tuple[str, ...], into: str = "figures/"
) -> Iterator[Made]:
    """A drawing in several forms."""
    for form, data in rendered_as(d, size, ground, forms).items():
        yield Made(f"{into}{d.key}.{form}", data)


def table_files(m: Material) -> Iterator[Made]:
    """Every table of a study: CSV, JSON, spreadsheet, and one to paste as Markdown and HTML."""
    v = m.verdict
    rows = summary_rows(v)
    for name, table in (
        ("readings", readings_rows(v)),
        ("verdicts", verdict_rows(v)),
        ("findings", finding_rows(v)),
        ("summary", rows),
    ):
        yield Made(f"tables/{name}.csv", as_csv(table).encode())
    yield Made("tables/study.json", as_json(v, (), _open_rows(m.study)).encode())
    yield Made("tables/study.xlsx", as_spreadsheet(v))
    yield Made("tables/summary.md", as_markdown(v, rows).encode())
    yield Made("tables/summary.html", as_html(v, rows).encode())


def _open_rows(study: Study) -> dict[str, list[dict[str, Any]]]:
    """What the runs were tested under and what happened in them, without where logs lay and without a person's own marks."""
    rows = rows_of_runs(study)
    return {
        "tests": [{k: x for k, x in r.items() if k != "log"} for r in rows["tests"]],
        "happened": [r for r in rows["happened"] if r["kind"] in OPEN_MARKS],
    }
