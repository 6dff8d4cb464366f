"""A table of readings becomes a study: figures by their roles, other numbers as they were told."""

from __future__ import annotations

from contextlib import closing
from pathlib import Path

import pytest

from kuffin.core.base.errors import LogError
from kuffin.logs.tidy import read_tidy
from kuffin.notebook.store import Notebook
from kuffin.notebook.tablestudy import TableStudy, add_table_study, table_study
from kuffin.said.line import verdict_line
from kuffin.verdict.study import judge


def read(tmp_path: Path, text: str) -> TableStudy:
    path = tmp_path / "table.csv"
    path.write_text(text, encoding="utf-8")
    return table_study(read_tidy(path))


def test_scores_of_mounts_are_compared(tmp_path: Path) -> None:
    found = read(
        tmp_path,
        "candidate;mount;score;rise [K]\nReed;1;900;11,2\nReed;2;905;11,4\nReed;3;898;11,1\n"
        "Rush;1;880;13,1\nRush;2;884;13,3\nRush;3;879;13,0\n",
    )
    assert found.candidates == ("Reed", "Rush") and found.under_test == "anything"
    assert [(n, less) for n, _, less in found.numbers] == [("score", False), ("rise", True)]
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        study = add_table_study(book, found, "Which one scores?")
        v = judge(book, book.study(study))
        assert v.main.ranking() == ["Reed", "Rush"] and "By score, Reed is" in verdict_line(v).sentence
        rise = v.by("asked: rise")
        assert rise.ranking() == ["Reed", "Rush"] and {
            c.name: round(c.mean, 2) for c in rise.comparison.candidates
        } == {  # type: ignore[union-attr]
            "Reed": 11.23,
            "Rush": 13.13,
        }
        assert all(r.typed for r in v.main.readings)
        label = book.undo_label
        assert label is not None and "table.csv" in label
        book.undo()
        assert book.studies() == []  # one step


def test_figures_of_the_bench_are_read_as_such(tmp_path: Path) -> None:
    rows = "".join(
        f"{n},{m},25,{die + 0.4 * m:.0f},{31.5 + 0.1 * m:.1f},22.1,{200 + m}\n"
        for n, die in (("Tern", 66), ("Plover", 60))
        for m in (1, 2, 3)
    )
    found = read(tmp_path, f"block,mount,minutes,die [°C],coolant [°C],air [°C],power [W]\n{rows}")
    assert found.under_test == "block" and found.numbers == ()
    assert [f.role for f in found.runs[0].figures] == ["die", "coolant", "air_in", "power"]
    assert found.runs[0].minutes == 25 and [f.resolution for f in found.runs[0].figures] == [1.0, 0.1, 0.1, 1.0]
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        v = judge(book, book.study(add_table_study(book, found, "Which block?")))
        assert v.main.ranking() == ["Plover", "Tern"] and not any(r.settled for r in v.main.readings)
        assert "whether 6 of them had settled is not known" in verdict_line(v).sentence


@pytest.mark.parametrize(
    ("text", "says"),
    [
        ("a,b\n1,2\n3,4\n", "no column names the candidates"),
        ("candidate,note\nReed,good\nRush,bad\n", "no column holds numbers"),
        ("candidate,mount,score\nReed,1,5\nReed,1,6\n", "two rows are Reed, mount 1"),
    ],
)
def test_what_is_no_such_table_is_said(tmp_path: Path, text: str, says: str) -> None:
    with pytest.raises(LogError, match=says):
        read(tmp_path, text)
