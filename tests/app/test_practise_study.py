"""A whole study to practise on, from its first mount to what was true; and what is hidden, against itself."""

from __future__ import annotations

from collections.abc import Callable

import pytest

from kuffin.app.frame.practising import begin, show_panel
from kuffin.app.frame.window import MainWindow
from kuffin.core.base.errors import BenchError
from kuffin.demo.wholestudy import MARGIN_K, MOUNT_H, by_the_plan, hidden, is_right, told
from tests.app.driving import pump_until

Wait = Callable[[], None]
SEED = 12345  # Dunlin is the best, by 0.3 K before Tern


def test_one_mounts_judges_says_and_is_told(demo_window: MainWindow, at_rest: Wait) -> None:
    window = demo_window
    begin(window, SEED, 3, 12.0)
    pump_until(lambda: window.state.study is not None and window.state.study.name == "Practice study")
    at_rest()
    panel = show_panel(window)
    assert panel.used.text() == "0.0 of 12 h used, 0 mounts; 8 more can be made" and not panel.say.isEnabled()
    for number in range(8):
        panel.which.setCurrentIndex(number % 3)
        panel.mount.click()
        at_rest()
    assert len(window.state.mounts()) == 8 and "no time for another one" in panel.used.text()
    assert not panel.mount.isEnabled() and "after eight mounts" in window.header.verdict.text()
    hid = hidden(SEED, 3, 12.0)
    assert all(name not in panel.told.text() for name in hid.over_k)  # nothing is told before one has said something
    panel.answer.setCurrentIndex(panel.answer.findData("Plover"))
    panel.say.click()
    at_rest()
    assert "You said that Plover is the best. That is not so. It took 8 mounts and 11.2 of 12 h." in panel.told.text()
    assert "Rounds as proposed" in panel.told.text() and not panel.say.isEnabled()
    level = {c.name: c.mean for c in window.state.verdict.main.comparison.candidates}
    assert level["Plover"] > level["Dunlin"]  # by 2 K, whatever its mounts did
    window.notebooks.undo()  # said by mistake
    at_rest()
    assert panel.say.isEnabled() and panel.told.text() == ""


def test_another_study_has_no_panel(demo_window: MainWindow, at_rest: Wait) -> None:
    panel = show_panel(demo_window)
    assert panel.used.text() == "No practice study is open." and not panel.mount.isEnabled()
    assert show_panel(demo_window) is panel


def test_what_is_hidden_is_the_same_each_time_and_bounded() -> None:
    assert hidden(7, 4, 20.0) == hidden(7, 4, 20.0)
    for wrong in ((5, 20.0), (1, 20.0), (3, 1.0)):
        with pytest.raises(BenchError):
            hidden(7, *wrong)
    drawn = [hidden(s, 2 + s % 3, 24.0) for s in range(200)]
    assert all(min(h.over_k.values()) == 0.0 and max(h.over_k.values()) < 3.6 for h in drawn)
    bad = [bool(h.plan(next(iter(h.over_k)), m)[2]) for h in drawn for m in (1, 2, 3)]
    assert 0.06 < sum(bad) / len(bad) < 0.15


def test_rounds_as_proposed_are_seldom_wrong_and_keep_to_the_hours() -> None:
    studies = [hidden(s, 2 + s % 3, 18.0 + 6 * (s % 3)) for s in range(120)]
    found = [(h, by_the_plan(h)) for h in studies]
    assert all(p.hours <= h.hours and p.mounts * MOUNT_H == p.hours for h, p in found)
    judged = [is_right(h, p.said) for h, p in found]
    assert judged.count(False) <= 6 and judged.count(True) >= 60


def test_what_is_said_is_held_against_the_truth() -> None:
    study = hidden(SEED, 3, 12.0)
    assert study.over_k["Dunlin"] == 0.0 and study.over_k["Tern"] < MARGIN_K < study.over_k["Plover"]
    assert is_right(study, "Dunlin") and is_right(study, "Dunlin+Tern") and is_right(study, "") is None
    assert not is_right(study, "Tern") and not is_right(study, "Dunlin+Plover")
    assert "Nothing was claimed" in " ".join(told(study, "", 3.0, []))
