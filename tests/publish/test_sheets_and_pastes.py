"""Tables for a spreadsheet, a page and a text: the same figures, names as text, the same bytes each time."""

from __future__ import annotations

import html.parser
import io
from collections.abc import Iterator
from contextlib import closing
from pathlib import Path

import pytest
from openpyxl import load_workbook

from kuffin.notebook import shelf as shelfedits
from kuffin.publish.spreadsheet import as_spreadsheet
from kuffin.publish.summarytable import as_html, as_markdown, summary_rows
from kuffin.verdict.study import StudyVerdict, judge
from tests.verdict.test_outcomes import made

WILD = "=1+1|<script>*é😀"


@pytest.fixture
def verdict(tmp_path: Path) -> Iterator[StudyVerdict]:
    with closing(made(tmp_path, limits={"Knot": 68.0})) as book:
        part = next(c for c in book.study(1).live_candidates if c.name == "Plover").part
        shelfedits.change_part(book, part.id, "x", name=WILD)
        yield judge(book, book.study(1))


def test_the_summary_has_the_verdicts_own_figures_and_says_what_is_a_bound(verdict: StudyVerdict) -> None:
    rows = summary_rows(verdict)
    first = [r for r in rows if r["outcome"] == verdict.outcome.label]
    found = verdict.main.comparison
    assert found is not None
    assert [(r["candidate"], r["mean"], r["half-width"]) for r in first] == [
        (n, found.candidate(n).mean, (found.candidate(n).high - found.candidate(n).low) / 2)
        for n in verdict.main.ranking()
    ]
    power = {r["candidate"]: r["remark"] for r in rows if r["outcome"] == "power of the part"}
    assert power["Knot"] == "held by a limit: only a bound" and "bound" not in power["Tern"]


def test_a_spreadsheet_has_numbers_as_numbers_and_names_as_text(verdict: StudyVerdict) -> None:
    data = as_spreadsheet(verdict)
    assert data == as_spreadsheet(verdict)
    book = load_workbook(io.BytesIO(data))
    assert book.sheetnames == ["Summary", "Readings", "Pairs", "Findings"]
    sheet = book["Summary"]
    assert str(sheet["A1"].value).startswith("Which block?")
    head = [c.value for c in sheet[2]]
    assert head == ["outcome", "unit", "candidate", "mounts", "mean", "half-width", "remark"]
    for row, told in zip(sheet.iter_rows(min_row=3), summary_rows(verdict), strict=True):
        cells = dict(zip(head, row, strict=True))
        assert cells["mean"].value == pytest.approx(told["mean"], rel=1e-14) and cells["mean"].data_type == "n"
        assert cells["candidate"].value == told["candidate"] and cells["candidate"].data_type == "s"
    assert not any(c.data_type == "f" for s in book for r in s.iter_rows() for c in r)


def test_pasted_it_is_one_table_and_no_name_becomes_markup(verdict: StudyVerdict) -> None:
    rows = summary_rows(verdict)
    lines = as_markdown(verdict, rows).strip().split("\n")
    assert len(lines) == 4 + len(rows)
    assert {line.replace("\\|", "").count("|") for line in lines[2:]} == {8}
    assert "<script>" not in "\n".join(lines)

    class Seen(html.parser.HTMLParser):
        def __init__(self) -> None:
            super().__init__()
            self.tags: list[str] = []
            self.words: list[str] = []

        def handle_starttag(self, tag: str, attrs: list[tuple[str, str | None]]) -> None:
            self.tags.append(tag)

        def handle_data(self, data: str) -> None:
            self.words.append(data)

    seen = Seen()
    seen.feed(as_html(verdict, rows))
    assert set(seen.tags) == {"table", "caption", "thead", "tbody", "tr", "th", "td"}
    assert seen.tags.count("tr") == 1 + len(rows) and WILD in seen.words
