"""What the Run desk says while a run goes on, and once it is over."""

from __future__ import annotations

import threading
from contextlib import closing
from dataclasses import replace
from pathlib import Path
from typing import Any, cast

import numpy as np
import pytest
from pytestqt.qtbot import QtBot

from kuffin.app.desks.run.live import LivePage
from kuffin.app.desks.run.stagewords import band, big_button, sentences, to_go
from kuffin.app.look import theme as looks
from kuffin.core.bench.leading import SETTLING, WAITING, Leader, Stage, to_do
from kuffin.core.bench.limits import Alarm, Limits, Watch
from kuffin.core.bench.protocol import Step, asked_for
from kuffin.notebook import edits
from kuffin.notebook.runwriter import ChannelRow, NewMark, RunWriter
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.forecast import Forecast
from kuffin.recording.liverun import Now
from kuffin.said.livewords import load_words

STEP = Step(name="load", load="long mix", power_w=180.0)


def now(elapsed_s: float, forecast: Forecast) -> Now:
    leader = Leader([STEP])
    leader.stage = Stage(step=STEP, number=1, phase=SETTLING, begun_s=0.0)
    expected = None if forecast.left_s is None else forecast.left_s - (elapsed_s - forecast.looked_s)
    left = leader.left_s(elapsed_s, expected if expected is not None and expected > 0 else None)
    return Now(
        elapsed_s=elapsed_s,
        stage=leader.stage,
        left_s=left,
        seen=cast(Any, None),  # the words are about what leads the run
        forecast=forecast,
        check=None,
        alarms=(),
        troubles=(),
        rows=0,
        running=True,
    )


def test_what_takes_longer_than_foreseen_is_not_nought_seconds() -> None:
    """It said “0 s to go” for half an hour."""
    foreseen = Forecast(left_s=600.0, settling=None, whence="fit", room_k_10min=0.0, looked_s=900.0)
    assert to_go(now(1000.0, foreseen)) == "8 min to go"
    late = to_go(now(1800.0, foreseen))
    assert late.startswith("longer than foreseen, at most ") and "0 s" not in late


@pytest.mark.parametrize(("loaded", "says"), [(True, "under load"), (False, "idle"), (None, "the run is over")])
def test_the_load_is_over_with_the_run(loaded: bool | None, says: str) -> None:
    t = np.arange(0.0, 600.0, 1.0)
    assert load_words(t, np.full(t.size, 180.0), loaded) == says


def test_a_run_of_a_few_rows_is_over_too() -> None:
    """It said “silent”, of a meter that spoke."""
    t = np.arange(3.0)
    assert load_words(t, np.full(3, 180.0), None) == "the run is over"
    assert load_words(t, np.full(3, 180.0), True) == ""
    assert load_words(t, np.full(3, np.nan), True) == "silent"


def test_a_number_that_is_asked_for_has_its_unit() -> None:
    assert asked_for("score [points], laps") == [("score", "points"), ("laps", "")]
    assert asked_for(" , ") == []


def test_what_is_not_watched_has_a_sign_of_its_own() -> None:
    watch = Watch(limits=Limits(die_c=90.0, flow_l_h=60.0))
    for t in (0.0, 60.0):
        alarms = watch.look(t, [("Die", "die", 60.0), ("Flow", "flow", 120.0 if t == 0 else float("nan"))], True)
    told = replace(now(60.0, Forecast()), alarms=tuple(alarms))
    assert band(told, False) == ("blind", "The flow (Flow) has said nothing for 60 s: its limit is not watched.")
    hot = Alarm("die", False, "the die is at 89 °C, close to its limit of 90 °C")
    assert band(replace(told, alarms=(hot,)), False)[0] == "look"


def test_rows_and_marks_come_from_two_threads(tmp_path: Path) -> None:
    """The recorder's thread writes rows, the window's marks: neither loses anything."""
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        study = edits.add_study(book, "Which?", "block", ["Tern"])
        writer = RunWriter(
            book, study, "Tern", [ChannelRow("Die", "degC", "temperature", "die")], "here", "2026-03-03T10:00:00"
        )
        writer.add(np.array([[0.0, 20.0], [1.0, 20.1]]))
        failed: list[Exception] = []

        def rows() -> None:
            try:
                for i in range(1, 40):
                    writer.add(np.array([[2.0 * i, 20.0 + i], [2.0 * i + 1, 20.5 + i]]))
            except Exception as error:
                failed.append(error)

        thread = threading.Thread(target=rows)
        thread.start()
        for i in range(40):
            writer.mark(NewMark(at_s=float(i), kind="mark", text=f"word {i}"))
        thread.join()
        writer.end()
        assert not failed
        data = read_run(book, writer.run_id or 0)
        assert data.times.tolist() == list(range(80))
        run = book.study(study).live_candidates[0].live_mounts[0].live_runs[0]
        assert [m.text for m in run.marks] == [f"word {i}" for i in range(40)]


def test_the_small_buttons_say_the_same_to_the_desk_in_every_language(german: None, qtbot: QtBot) -> None:
    page, heard = LivePage(looks.LIGHT), []
    qtbot.addWidget(page)
    page.small.connect(heard.append)
    for button in (page.marker, page.holder, page.repeater, page.type_reading, page.goer, page.carrier):
        button.click()
    assert heard == ["mark", "hold", "repeat", "type", "go on run", "carry on"]


def test_the_big_button_does_the_same_in_every_language(german: None) -> None:
    """In German it said “Weiter” for a held run, and did nothing."""
    stage = Stage(step=STEP, number=1, phase=SETTLING, begun_s=0.0, held=True)
    held = replace(now(60.0, Forecast()), stage=stage)
    assert (big_button(held, False).key, big_button(held, False).words) == ("go on", "Weiter")
    waiting = replace(held, stage=replace(stage, phase=WAITING, held=False, to_do=to_do(STEP, None, ())))
    assert (big_button(waiting, False).key, big_button(waiting, False).words) == ("acted", "Die Last läuft")
    assert sentences(waiting) == ["Die Last „long mix“ bei 180 W starten, dann drücken."]
    assert big_button(replace(held, over="von Hand"), False).key == "inspect" and big_button(None, False).key == "start"
