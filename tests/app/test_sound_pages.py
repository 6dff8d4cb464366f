"""Inspect · Sound and the Bench page's section on sound, driven: dropped, recorded with the simulated microphone, listened to, refused."""

from __future__ import annotations

import sys
from collections.abc import Callable
from pathlib import Path

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QPushButton

from kuffin.app.frame.window import MainWindow
from kuffin.demo.quiet import NAME
from kuffin.logs.audio import write_sound
from kuffin.simulated.benchsound import SimulatedSound
from kuffin.simulated.microphone import RATE, Sounding, calibrator, recorded
from tests.app.driving import action, drop, give, press, pump_until, shown_words

Wait = Callable[[], None]


@pytest.fixture
def swept(demo_window: MainWindow, at_rest: Wait) -> MainWindow:
    w = demo_window
    w.state.choose_study(next(s.id for s in w.state.notebook.studies() if s.name == NAME))
    at_rest()
    w.open_mount(next(m.id for m in w.state.mounts() if (m.candidate.name, m.round) == ("Sedge", 1)))
    w.inspect.paged.go("sound")
    at_rest()
    pump_until(lambda: not w.jobs.running)
    return w


def sound_file(folder: Path, name: str = "quick.wav", rpm: float = 900.0) -> Path:
    path = folder / name
    write_sound(
        path.with_suffix(".flac"), recorded(Sounding(fan_rpm=rpm, pump_speed=0.62), np.random.default_rng(1), 4.0), RATE
    )
    return path.with_suffix(".flac")


def test_levels_tones_and_pictures_are_there_and_a_level_shows_its_working(swept: MainWindow, at_rest: Wait) -> None:
    page = swept.inspect.sound
    said = shown_words(page)
    assert "sedge_1_fans75.flac" in said and "fans: 4 times its 9 blades at 20.4 turns a second" in said
    assert "0.5 m off, at ear height, front" in page.set_up.text()
    pump_until(page.fall.isVisible)
    assert not page.thirds.grab().toImage().isNull() and not page.fall.grab().toImage().isNull()
    buttons = [b for b in page.table.findChildren(QPushButton) if "dBA" in b.text()]
    buttons[1].click()
    at_rest()
    assert swept.working.shown.title == "sedge_1_fans40.flac: loudness"
    names = [n.name for top in swept.working.shown.numbers for n in top.all()]
    assert "Background" in names and "Calibrator's accuracy" in names
    assert "5230 Hz" in shown_words(page) and "coils" in shown_words(page)


def test_a_recording_is_dropped_on_a_mount_told_what_ran_binned_and_brought_back(
    swept: MainWindow, at_rest: Wait, tmp_path: Path
) -> None:
    page, before = swept.inspect.sound, len(swept.inspect.sound.recordings_shown())
    swept.side.loom.files_dropped.emit([str(sound_file(tmp_path))], "Reed", 2)
    pump_until(lambda: not swept.jobs.running)
    at_rest()
    assert swept.inspect.title.text() == "Reed, round 2" and len(page.recordings_shown()) == before + 1
    assert page.heading.text().startswith("quick.flac: ")
    page.condition.setCurrentIndex(page.condition.findText("fans 100 %"))
    page.condition.activated.emit(page.condition.currentIndex())
    at_rest()
    assert page.chosen().condition == "sweep, fans 100 %"
    press(page, "Bin it")
    at_rest()
    assert len(page.recordings_shown()) == before
    action(swept, swept.menus.undo.text())()
    at_rest()
    assert len(page.recordings_shown()) == before + 1
    text = tmp_path / "notes.txt"
    text.write_text("x")
    drop(page, text)
    assert "Only recordings" in swept.strip.trouble.text()
    (tmp_path / "broken.wav").write_bytes(b"RIFFxxxx")
    drop(page, tmp_path / "broken.wav")
    pump_until(lambda: not swept.jobs.running)
    assert "no recording that Kuffin can read" in swept.strip.trouble.text()


def test_the_simulated_microphone_records_what_the_run_did_and_listening_plays_it(
    swept: MainWindow, at_rest: Wait
) -> None:
    page, before = swept.inspect.sound, len(swept.inspect.sound.recordings_shown())
    page.source.setCurrentIndex(page.source.findText("simulated microphone"))
    page.seconds.setValue(5)
    press(page, "Record")
    pump_until(lambda: not swept.jobs.running and page.record.text() == "Record")
    at_rest()
    assert len(page.recordings_shown()) == before + 1
    made = page.chosen()
    assert made.kept.name.startswith("Sedge, round 1, 3") and made.sound.worked is not None
    assert made.sound.worked.value < 40  # the simulated microphone knows nothing of Sedge's fins
    card = SimulatedSound()
    page.cards["this computer's microphone"] = lambda: card
    press(page, "Listen")
    pump_until(lambda: card.played)
    assert card.played == [(5 * RATE, RATE)]
    pump_until(page.fall.isVisible)
    QTest.mouseClick(page.fall, Qt.MouseButton.LeftButton, pos=QPoint(page.fall.width() // 2, 80))  # from its middle on
    pump_until(lambda: len(card.played) == 2)
    assert 0.3 * 5 * RATE < card.played[1][0] < 0.7 * 5 * RATE


def test_where_there_is_no_sound_the_page_says_so_and_works_on(
    swept: MainWindow, at_rest: Wait, monkeypatch: pytest.MonkeyPatch
) -> None:
    page = swept.inspect.sound
    monkeypatch.setitem(sys.modules, "sounddevice", None)
    press(page, "Listen")
    pump_until(lambda: "sound cannot be used" in swept.strip.trouble.text())
    page.source.setCurrentIndex(0)
    press(page, "Record")
    pump_until(lambda: page.record.text() == "Record" and not swept.jobs.running)
    assert "recordings can still be dropped" in swept.strip.trouble.text()


def test_the_bench_remembers_how_recordings_are_made(swept: MainWindow, at_rest: Wait, tmp_path: Path) -> None:
    press(swept.inspect.sound, "How recordings are made …")
    at_rest()
    section = swept.bench_page.sound
    assert swept.stack.currentWidget() is swept.desks["Bench"]() and "calibrator, evening.flac" in shown_words(section)
    give(section.numbers["distance_m"], "1,0")
    at_rest()
    give(section.position, "behind the chair")
    at_rest()
    told = swept.shelf.benches[0].sound
    assert (told["distance_m"], told["position"]) == (1.0, "behind the chair")
    path = tmp_path / "new.flac"
    write_sound(path, calibrator(np.random.default_rng(2), 94.0), RATE)
    section.add([str(path)], "calibrator")
    pump_until(lambda: not swept.jobs.running)
    at_rest()
    assert "new.flac" in shown_words(section)
    section.add([str(sound_file(tmp_path))], "calibrator")
    pump_until(lambda: "no calibrator's steady tone" in swept.strip.trouble.text())
    section.source.setCurrentIndex(section.source.findText("simulated microphone"))
    press(section, "Record the bench at rest")
    pump_until(lambda: not swept.jobs.running and "background 5.flac" in shown_words(section))
    for button in [b for b in section.table.findChildren(QPushButton) if b.text() == "put into the bin"][:1]:
        button.click()
    at_rest()
    assert "calibrator.flac" not in shown_words(section).split("\n")
