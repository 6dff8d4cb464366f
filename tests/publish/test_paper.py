"""Sheets to print: read back from the PDF; and a calendar whose events keep their identity."""

from __future__ import annotations

import datetime as dt
import io

import pypdfium2
from icalendar import Calendar

from kuffin.core.plan.schedule import BenchJob, Hours, lay
from kuffin.core.prepare.cautions import ABOUT, CAUTIONS
from kuffin.core.prepare.changeover import ChangeOverTask
from kuffin.notebook.store import Notebook
from kuffin.publish.calendarfile import to_icalendar
from kuffin.publish.page.writing import page_pdf
from kuffin.publish.paper.sheets import change_over_sheet, plan_sheet
from kuffin.verdict.needed import needed_for

WEEK = Hours({d: (9.0, 18.0) for d in range(5)})
MONDAY = dt.datetime(2026, 12, 7, 9, 0)
JOBS = [
    BenchJob(1, "Reed, round 1", (("change over", 60.0), ("run", 90.0)), "A"),
    BenchJob(2, "<b>Rush & Co</b>, round 1", (("change over", 60.0), ("run", 400.0))),
]


def words_of(html: str) -> str:
    document = pypdfium2.PdfDocument(io.BytesIO(page_pdf(html)))
    said = " ".join(page.get_textpage().get_text_range() for page in document)
    document.close()
    return " ".join(said.split())


def test_a_change_over_tells_each_step_with_its_whole_caution() -> None:
    tasks = [
        ChangeOverTask(key="a", text="Drain the loop.", minutes=8.0, cautions=("mains", "glycol")),
        ChangeOverTask(key="b", text="Fit <Reed> & connect it.", minutes=6.0, cautions=("fins",)),
    ]
    html = change_over_sheet("Reed, round 2", "Sample 1.", tasks, {"a"})
    assert html.count('class="box done"') == 1 and "&lt;Reed&gt; &amp; connect" in html
    said = words_of(html)
    assert said.index("1. Drain the loop.") < said.index("2. Fit <Reed> & connect it.")
    for caution in ("mains", "glycol", "fins"):
        assert CAUTIONS[caution] in said
    assert ABOUT in said and "about 8 min" in said


def test_a_plan_tells_its_days_and_what_is_needed(demo_notebook: Notebook) -> None:
    said = words_of(plan_sheet("Which?", lay(JOBS, WEEK, MONDAY), ["Reed, sample A", "Rill (coolant), 2 times"]))
    assert (
        said.index("Monday 7 December 2026") < said.index("Reed, round 1, sample A") < said.index("09:00 change over")
    )
    assert "Tuesday 8 December 2026" in said and "<b>Rush & Co</b>" in said and "Rill (coolant), 2 times" in said
    study = demo_notebook.study(1)
    needed = needed_for(study, None, [])
    assert needed[:2] == [f"{n}, sample 1" for n in ("Reed", "Sedge")] and not any("paste" in n for n in needed)


def test_a_plan_laid_again_moves_its_events() -> None:
    now = dt.datetime(2026, 12, 1, 8, 0, tzinfo=dt.UTC)

    def events(begin: dt.datetime, identity: str = "1") -> dict[str, tuple[dt.datetime, int, str]]:
        made = to_icalendar(lay(JOBS, WEEK, begin), "Which?", identity, now + (begin - MONDAY))
        return {
            str(e["uid"]): (e.decoded("dtstart"), int(e["sequence"]), str(e["summary"]))
            for e in Calendar.from_ical(made).walk("VEVENT")
        }

    first, again = events(MONDAY), events(MONDAY + dt.timedelta(days=1))
    assert first.keys() == again.keys() and len(first) == 2
    assert all(first[k][0] < again[k][0] and first[k][1] < again[k][1] for k in first)
    assert "Reed, round 1, sample A" in {s for _, _, s in first.values()}
    assert not first.keys() & events(MONDAY, "2").keys()  # another study's
