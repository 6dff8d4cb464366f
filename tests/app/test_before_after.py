"""A repair: the same sample's next state, held beside the one before."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from pathlib import Path

from kuffin.app.frame.window import MainWindow
from kuffin.notebook import edits
from kuffin.notebook.preparationedits import keep_sheet
from kuffin.verdict.beforeafter import changes, states_of
from tests.app.driving import press, shown_words
from tests.verdict.test_outcomes import LOAD_W, log, made

BEFORE_K_W, AFTER_K_W = 0.28, 0.24  # what the logs of Tern and Plover are made with


def test_a_repair_is_planned_run_and_held_beside_what_was(
    window: MainWindow, at_rest: Callable[[], None], tmp_path: Path
) -> None:
    made(tmp_path).close()
    assert window.notebooks.open_path(tmp_path / "n.kuffin")
    at_rest()
    tern = next(c for c in window.state.study.live_candidates if c.name == "Tern")
    window.state.look_at(tern.live_mounts[0].id)
    window.show_desk("Inspect")
    at_rest()
    assert not [b for b in window.inspect.paged.group.buttons() if b.text() == "Before and after" and b.isVisible()]
    box = window.inspect.run_page.answers
    box.mend.click()
    assert "Say in a few words what is repaired" in window.strip.trouble.text()
    box.reason.setText("thinner pads")
    box.mend.click()
    at_rest()
    old, new = states_of(window.state.study, next(m for m in window.state.mounts() if m.id == tern.live_mounts[0].id))
    assert old.left_out == "repaired: thinner pads" and (new.sample_id, new.round) == (old.sample_id, old.round)
    # the repaired block cools as Plover does
    table = log("Plover", 7)
    edits.add_logs(
        window.state.notebook,
        window.state.study.id,
        [edits.NewRun("Tern", replace(table, file="after.csv"), mount_id=new.id)],
    )
    keep_sheet(window.state.notebook, new.id, "print", {"die": {"share": 0.9, "low": 0.88, "high": 0.92, "thin": 0.1}})
    window.state.notebook.changed()
    window.state.refresh()
    at_rest()
    window.state.look_at(new.id)
    window.inspect.paged.go("before")
    at_rest()
    said = shown_words(window.inspect.before)
    assert "What was done: repaired: thinner pads" in said and "90 % covered" in said and "no print was read" in said
    first = changes(window.state.verdict, old, new)[0]
    truth = (AFTER_K_W - BEFORE_K_W) * LOAD_W
    assert abs(first.change.value - truth) < 0.02 * LOAD_W * BEFORE_K_W and "K cooler" in first.words
    assert first.change.value == first.after.value - first.before.value
    press(window.inspect.before, next(b for b in said.split("\n") if b.endswith(" K")))
    assert "y_2 − y_1" in window.working.shown.as_text() or "y_2 - y_1" in window.working.shown.as_text()
    window.state.notebook.undo()
