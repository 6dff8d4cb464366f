"""What one finds with a candidate in the hand, and a reviewer's marks: read, written, undone, published, in no verdict."""

from __future__ import annotations

from collections.abc import Callable

from PySide6.QtWidgets import QLabel, QPushButton

from kuffin.app.frame.window import MainWindow
from kuffin.publish.page.material import gather
from kuffin.publish.page.setting import in_hand
from kuffin.verdict.inthehand import InTheHand, in_the_hand, marks_of
from tests.app.test_compare_pages import open_study, page

Wait = Callable[[], None]


def write(hand: object, row: int, column: int, content: str) -> None:
    hand.marks.item(row, column).setText(content)  # type: ignore[attr-defined]


def test_it_is_read_off_the_shelf_and_marks_are_kept_apart(demo_window: MainWindow, at_rest: Wait) -> None:
    window, state = demo_window, demo_window.state
    open_study(window, "Radiators, spring", at_rest)
    hand = page(window, "value", at_rest).hand
    said = " ".join(w.text() for w in hand.table.findChildren(QLabel))
    assert "802 g" in said and "7.5 /cm" in said and "flux left in one chamber" in said and "time to fit" in said
    before = (state.verdict.main.ranking(), state.verdict.mounts)
    next(b for b in hand.findChildren(QPushButton) if b.text() == "Add a mark").click()
    at_rest()
    assert hand.marks.rowCount() == 3 and hand.marks.item(2, 0).text() == "what is in the box"
    write(hand, 2, 2, "6,5")
    at_rest()
    reed = next(c.id for c in state.study.live_candidates if c.name == "Reed")
    assert marks_of(state.study)["what is in the box"] == {reed: 6.5}
    write(hand, 2, 2, "eleven")
    assert "“eleven” is no mark; write 0 to 10" in window.strip.trouble.text() and hand.marks.item(2, 2).text() == "6.5"
    write(hand, 2, 0, "finish")
    assert "a name of its own" in window.strip.trouble.text()
    hand.marks.setCurrentCell(2, 0)
    next(b for b in hand.findChildren(QPushButton) if b.text() == "Remove it").click()
    at_rest()
    assert list(marks_of(state.study)) == ["finish", "ease of fitting"]
    window.notebooks.undo()
    at_rest()
    assert len(marks_of(state.study)) == 3 and (state.verdict.main.ranking(), state.verdict.mounts) == before
    published = "\n".join(str(b) for b in in_hand(gather(state.notebook, state.verdict)))
    assert "flux left" in published and "not measurements" in published and "6.5" in published


def test_a_study_without_prices_has_it_too_and_nothing_is_missed_on_the_shelf(
    demo_window: MainWindow, at_rest: Wait
) -> None:
    open_study(demo_window, "Pastes, half a year", at_rest)
    value = page(demo_window, "value", at_rest)
    assert value.hand.isVisible() and not value.plot.isVisible() and "needs a comparison" in value.lacking.text()
    demo_window.show_behind("Shelf")
    at_rest()
    shown = " ".join(w.text() for w in demo_window.shelf_desk.findChildren(QLabel) if w.isVisible())
    assert "finish, as found" in shown
    assert "Still blank" not in shown or "defects" not in shown.split("Still blank", 1)[1].split(".")[0]


def test_the_time_to_fit_is_the_middle_of_the_mounts_clocks(demo_window: MainWindow, at_rest: Wait) -> None:
    open_study(demo_window, "Radiators, spring", at_rest)
    found = {f.name: f for f in in_the_hand(demo_window.state.study)}
    took = found["Rush"].took_min
    assert len(took) == 3 and found["Rush"].took_words.startswith(f"{sorted(took)[1]:.0f} min (")
    assert InTheHand(name="a", candidate_id=1, told={}, took_min=(18.2,)).took_words == "18 min (one mount)"
    assert InTheHand(name="a", candidate_id=1, told={}, took_min=()).took_words == ""
