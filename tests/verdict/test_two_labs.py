"""Two labs on the same products: side by side, each on its own bench, linked where both mounted the same; never pooled."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import closing
from pathlib import Path

import pytest

from kuffin.notebook import edits, shelf
from kuffin.notebook.store import Notebook
from kuffin.publish.datapackage import package_study
from kuffin.publish.unpacking import unpack_study
from kuffin.verdict.across import Judged, known_of, linked, why_not
from kuffin.verdict.sidebyside import SharedPair, side_by_side
from kuffin.verdict.study import judge
from tests.verdict import test_outcomes as bench


def lab(
    folder: Path, levels: dict[str, float], monkeypatch: pytest.MonkeyPatch, maker: str = "Oxbow Works"
) -> Notebook:
    """A lab's study of blocks of these resistances, K/W."""
    folder.mkdir()
    monkeypatch.setattr(bench, "K_W", levels)
    monkeypatch.setattr(bench, "FLOW", dict.fromkeys(levels, 150.0))
    book = bench.made(folder, names=tuple(levels))
    for c in book.study(1).live_candidates:
        shelf.change_part(book, c.part_id, "who made it", maker=maker)
    return book


@pytest.fixture
def ours(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> Iterator[Notebook]:
    with closing(lab(tmp_path / "ours", {"Tern": 0.28, "Plover": 0.24}, monkeypatch)) as book:
        yield book


def taken_in(ours: Notebook, tmp_path: Path, theirs: Notebook) -> tuple[Judged, Judged]:
    with closing(theirs):
        package_study(theirs, 1, tmp_path / "theirs.zip")
    other = unpack_study(tmp_path / "theirs.zip", ours)
    first, second = (Judged(s, judge(ours, s)) for s in (ours.study(1), ours.study(other)))
    return first, second


def compared(first: Judged, second: Judged) -> SharedPair:
    (pair,) = side_by_side(first, [second])
    return pair


def test_labs_that_measured_the_same_agree_and_nothing_is_pooled(
    ours: Notebook, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    theirs = lab(tmp_path / "theirs", {"Tern": 0.28, "Plover": 0.24, "Knot": 0.22}, monkeypatch)
    first, second = taken_in(ours, tmp_path, theirs)
    assert second.study.name == f"{first.study.name} (2)"
    assert [c.part.name for c in second.study.live_candidates] == ["Tern (2)", "Plover (2)", "Knot"]
    pair = compared(first, second)
    truth = {study: step.interval(0.95) for study, step, _ in pair.rows}
    assert all(low < 200 * (0.28 - 0.24) < high for low, high in truth.values())
    own = first.verdict.temperature.comparison.pair("Tern", "Plover")
    assert pair.rows[0][1].value == own.difference and pair.rows[0][1].se == own.se  # each lab's own, untouched
    assert "agree, as far as they can tell" in pair.agreement
    # what only one of them had stands on one scale through what both had, and that each had its own sample is said
    link = linked(first, [second])
    assert {r.candidate for r in link.rows} == {"Plover", "Knot"} and "a sample of Tern of its own" in link.remark
    knot = next(r for r in link.rows if r.candidate == "Knot")
    low, high = knot.over_baseline.interval(0.95)
    assert low < 200 * (0.22 - 0.28) < high
    known = known_of(first.study.live_candidates[0].part_id, [first, second], lambda _: "")
    assert [k.study for k in known] == [first.study.name, second.study.name]


def test_labs_that_differ_are_told_to(ours: Notebook, tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    first, second = taken_in(ours, tmp_path, lab(tmp_path / "theirs", {"Tern": 0.28, "Plover": 0.26}, monkeypatch))
    assert "do not agree" in compared(first, second).agreement


def test_a_maker_that_is_not_told_links_nothing(
    ours: Notebook, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    theirs = lab(tmp_path / "theirs", {"Tern": 0.28, "Plover": 0.24}, monkeypatch, maker="")
    first, second = taken_in(ours, tmp_path, theirs)
    assert not side_by_side(first, [second]) and "its maker is not told" in why_not(first, second)
    for c in second.study.live_candidates:
        shelf.change_part(ours, c.part_id, "who made it", maker="oxbow works")
    again = Judged(ours.study(second.study.id), second.verdict)
    assert compared(first, again).rows


def test_another_makers_part_of_the_same_name_is_another_product(
    ours: Notebook, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    theirs = lab(tmp_path / "theirs", {"Tern": 0.28, "Plover": 0.24}, monkeypatch, maker="Hollin & Daughter")
    first, second = taken_in(ours, tmp_path, theirs)
    assert not side_by_side(first, [second]) and "no candidate in common" in why_not(first, second)
    edits.to_bin(ours, type(second.study), second.study.id, "theirs")
