"""Recordings of a mount: levels, third octaves, tones with their likely owner; listened to, made here, or dropped."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np
from PySide6.QtCore import Signal
from PySide6.QtGui import QDragEnterEvent, QDropEvent, QShowEvent
from PySide6.QtWidgets import QHBoxLayout, QVBoxLayout, QWidget

from kuffin.app.acts.soundjobs import add_recordings, ask_recordings, listen, record_now, sounds_among, study_bench
from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Job, Task
from kuffin.app.desks.photos import local_files
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import button, choice, flowing, number, refill
from kuffin.app.widgets.soundpictures import ThirdOctaves, Waterfall
from kuffin.app.widgets.texts import link_button, text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import number as figure
from kuffin.instruments.soundcard import SoundCard, ThisComputersSound
from kuffin.logs.audio import Recording
from kuffin.notebook import recordings
from kuffin.said.soundwords import (
    background_words,
    calibration_words,
    level_words,
    set_up_words,
    sound_working,
    tone_rows,
)
from kuffin.simulated.benchsound import SimulatedSound
from kuffin.verdict.recordedsound import MountRecording
from kuffin.verdict.tonesheard import blades_of, turning_in

_PURPOSE = mark(
    "Recordings (WAV, FLAC) of this mount go here: drop them, add them, or record now. With a calibrator's recording on the Bench page "
    "they tell dBA; without one they tell which of two is louder."
)


@guarded
class SoundPage(QWidget):
    """Drop recordings on it; `bench_wanted` leads to how they are made."""

    working = Signal(object)
    bench_wanted = Signal()

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__()
        self._state = state
        self._theme = theme
        self.setAcceptDrops(True)
        self._chosen: int | None = None
        self._pictures: dict[int, Recording] = {}
        self._job: Job | None = None
        self.cards: dict[str, Callable[[], SoundCard]] = {
            ThisComputersSound.name: ThisComputersSound,
            SimulatedSound.name: lambda: SimulatedSound(self._sounding()),
        }
        self._card: SoundCard | None = None
        self.source = choice([(tr(name), name) for name in self.cards], tr("Microphone"))
        self.seconds = number(3, 600, "s", 0, 5, tr("How long is recorded"))
        self.seconds.setValue(20)
        self.record = button(tr("Record"), self.record_now)
        self.condition = choice([], tr("What ran meanwhile"))
        self.condition.activated.connect(lambda _i: self._tell_condition())
        self.empty = text(tr(_PURPOSE), style="muted")
        self.set_up = text(style="small")
        self.bench = link_button(tr("How recordings are made …"))
        self.bench.clicked.connect(self.bench_wanted)
        self.table = FigureTable(tr("Recordings of this mount"))
        self.heading = text(style="heading")
        self.thirds = ThirdOctaves(theme)
        self.fall = Waterfall(theme)
        self.fall.chosen.connect(self._listen)
        self.tones = FigureTable(tr("Tones of the recording"))
        self.no_tones = text(tr("No tone stands out of its surroundings."), style="muted")
        self.note = text(
            tr(
                "Tones: tone-to-noise ratio, ECMA-418-1; prominent from 8 dB at 1 kHz and above, more below. Whose a tone is is a guess by "
                "frequency alone. LA90 and the loudest moment have the background in them."
            ),
            style="small",
        )
        self.buttons = flowing(
            button(tr("Listen"), self._listen, tr("As loud as is comfortable: not at its true level")),
            button(tr("Stop"), self._stop),
            text(tr("what ran"), style="muted", wrap=False),
            self.condition,
            button(tr("Bin it"), self._bin),
        )
        pictures = QHBoxLayout()
        pictures.addWidget(self.thirds, 3)
        pictures.addWidget(self.fall, 2)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 4, 8, 8)
        column.setSpacing(8)
        column.addWidget(
            flowing(
                button(tr("Add recordings …"), self._ask),
                self.record,
                self.source,
                text(tr("for"), style="muted", wrap=False),
                self.seconds,
                self.bench,
            )
        )
        for widget in (self.empty, self.set_up, self.table, self.heading):
            column.addWidget(widget)
        column.addLayout(pictures)
        column.addWidget(self.tones)
        column.addWidget(self.no_tones)
        column.addWidget(self.buttons)
        column.addWidget(self.note)
        column.addStretch(1)
        state.mount_changed.connect(self.renew)
        state.verdict_changed.connect(self.renew)
        state.notebook_changed.connect(self._pictures.clear)

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        self._theme = theme
        self.thirds.set_theme(theme)
        self.fall.set_theme(theme)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self.renew()

    # --- showing ---------------------------------------------------------------------------------------------------

    def recordings_shown(self) -> list[MountRecording]:
        """The recordings of the mount that is looked at."""
        v, mount = self._state.verdict, self._state.mount()
        return [] if v is None or mount is None else list(v.evidence.sounds.get(mount.id, ()))

    def chosen(self) -> MountRecording | None:
        """The recording that is looked at."""
        every = self.recordings_shown()
        return next((r for r in every if r.kept.id == self._chosen), every[0] if every else None)

    def renew(self) -> None:
        """Show the mount's recordings as they are now."""
        if not self.isVisible():
            return
        every, notebook = self.recordings_shown(), self._state.notebook
        bench = study_bench(self._state)
        self.empty.setVisible(not every)
        if bench is not None and notebook is not None:
            of_bench = recordings.recordings(notebook, bench_id=bench.id)
            self.set_up.setText(f"{set_up_words(bench.sound)} {calibration_words(of_bench)}")
        else:
            self.set_up.setText(
                tr("The study has no bench: choose one on the Plan desk, and say there how recordings are made.")
            )
        rows = []
        for r in every:
            told = r.sound.levels
            loudest = "–" if told.lafmax is None else tr("{figure} dBA", figure=figure(told.lafmax, 1))
            quiet = "–" if told.la90 is None else tr("{figure} dBA", figure=figure(told.la90, 1))
            n = sum(t.prominent for t, _ in told.tones)
            rows.append(
                (
                    r.kept.name,
                    level_words(r.sound),
                    quiet,
                    loudest,
                    tr("none") if not n else str(n),
                    f"{r.condition or 'not told what ran'}; {background_words(r.sound)}",
                )
            )
        self.table.setVisible(bool(rows))
        self.table.show_rows(
            (tr("recording"), tr("level"), tr("LA90"), tr("loudest"), tr("tones"), tr("what ran; background")),
            rows,
            words=True,
            opens={1: lambda i: self._open(every[i])},
        )
        self._show_chosen()

    def _open(self, r: MountRecording) -> None:
        self._chosen = r.kept.id
        self._show_chosen()
        self.working.emit(sound_working(r.sound))

    def _show_chosen(self) -> None:
        r = self.chosen()
        for widget in (self.heading, self.thirds, self.tones, self.buttons, self.note):
            widget.setVisible(r is not None)
        if r is None:
            self.fall.hide()
            self.no_tones.hide()
            return
        v = self._state.verdict
        assert v is not None
        heard, unit = r.sound, "dB" if r.sound.levels.calibrated else tr("dB, relative")
        self.heading.setText(
            f"{r.kept.name}: {level_words(heard)}"
            + (f". {heard.why_not[:1].upper()}{heard.why_not[1:]}." if heard.why_not else "")
        )
        self.thirds.show_levels(
            heard.levels.thirds, [(t.hz, db, t.prominent) for t, db in heard.levels.tones if t.tnr_db > 3], unit
        )
        mount = self._state.mount()
        run = (
            None
            if mount is None
            else next((x for x in mount.live_runs if x.id == r.kept.run_id), mount.run_under(r.condition or None))
        )
        result = None if run is None else v.results[run.id].at(r.condition or None)
        rows = tone_rows(heard, turning_in(result, blades_of(v, mount.candidate.name if mount is not None else "")))
        self.tones.setVisible(bool(rows))
        self.no_tones.setVisible(not rows)
        self.tones.show_rows(
            (tr("tone"), tr("level"), tr("over its surroundings"), tr("whose it may be")), rows, words=True
        )
        refill(self.condition, [(tr("not told"), ""), *((c.label, c.name) for c in v.conditions)], r.condition)
        self._draw_waterfall(r.kept.id)

    def _draw_waterfall(self, recording_id: int) -> None:
        """The picture over time is worked out when it is looked at, off the window's thread."""
        known, notebook = self._pictures.get(recording_id), self._state.notebook
        if known is not None:
            times, picture = known.energies.waterfall()
            self.fall.show_sound(times, known.energies.picture_hz, picture)
            self._draw_spectrum(known, picture)
            return
        self.fall.hide()
        if notebook is None or self._job is not None:
            return

        def work(job: Task) -> Recording:
            return recordings.hear_again(notebook, recording_id, job.report)

        def done(found: Recording) -> None:
            self._pictures[recording_id] = found
            chosen = self.chosen()
            if chosen is not None:
                self._job = None
                self._draw_waterfall(chosen.kept.id)

        def ended() -> None:
            self._job = None

        self._job = self._state.jobs.start(tr("drawing the recording"), work, done, self._state.trouble.emit)
        self._job.ended.connect(ended)

    def _draw_spectrum(self, known: Recording, picture: np.ndarray) -> None:
        """The finer spectrum, in the same levels as the bars."""
        r = self.chosen()
        if r is None or not picture.size or not r.sound.heard.plain > 0:
            return
        (_, first), (_, db) = r.sound.heard.thirds[-1], r.sound.levels.thirds[-1]
        shift = db - 10 * np.log10(max(first, 1e-30))
        self.thirds.show_spectrum(
            known.energies.picture_hz, 10 * np.log10(np.maximum(picture.mean(axis=0), 1e-30)) + shift
        )

    # --- acting ----------------------------------------------------------------------------------------------------

    def _ask(self) -> None:
        self.add(ask_recordings(self))

    def add(self, paths: list[str]) -> None:
        """Keep recordings of the mount that is looked at, under the test that is looked at."""
        mount, run = self._state.mount(), self._state.run()
        if mount is None:
            self._state.trouble.emit(tr("choose a mount on the loom first: a recording belongs to one"))
            return
        whose = {
            "mount_id": mount.id,
            "run_id": run.id if run is not None else None,
            "condition": self._only_condition(),
        }
        add_recordings(self._state, paths, self._look_at, bench=study_bench(self._state), **whose)

    def _only_condition(self) -> str:
        """What ran, where there is nothing to choose between; what was chosen last else."""
        v = self._state.verdict
        if v is None or not v.conditions:
            return ""
        return str(self.condition.currentData() or v.condition or "")

    def _look_at(self, ids: list[int]) -> None:
        self._chosen = ids[-1] if ids else self._chosen

    def record_now(self) -> None:
        """Record from the chosen microphone; the same button ends it early."""
        if self._card is not None:
            self._card.stop()
            return
        mount, run = self._state.mount(), self._state.run()
        if mount is None:
            self._state.trouble.emit(tr("choose a mount on the loom first: a recording belongs to one"))
            return
        self._card = self.cards[self.source.currentData()]()
        self.record.setText(tr("Stop recording"))
        name = f"{mount.candidate.name}, round {mount.round}, {len(self.recordings_shown()) + 1}.flac".replace("/", "-")
        whose = {
            "mount_id": mount.id,
            "run_id": run.id if run is not None else None,
            "condition": self._only_condition(),
        }
        job = record_now(
            self._state, self._card, self.seconds.value(), name, self._look_at, bench=study_bench(self._state), **whose
        )
        job.ended.connect(self._recorded)

    def _recorded(self) -> None:
        self._card = None
        self.record.setText(tr("Record"))

    def _sounding(self) -> tuple[float, float, float]:
        """The fans' speed, the pump's and the power of the run that is looked at, for the simulated microphone."""
        v, run = self._state.verdict, self._state.run()
        result = None if v is None or run is None else v.results[run.id].at(self._only_condition() or None)
        told = {t.name: t.rpm for t in turning_in(result, {})}
        power = 0.0
        if result is not None and (name := result.names.get("power")) in result.means:
            power = result.means[name][0]
        return told.get("fans", 900.0), told.get("pump", 2976.0), power

    def _listen(self, from_s: float = 0.0) -> None:
        r = self.chosen()
        if r is not None:
            card = self.cards[ThisComputersSound.name]()
            listen(self._state, card, r.kept.id, int(r.kept.about.get("channel", 1)), from_s)

    def _stop(self) -> None:
        self.cards[ThisComputersSound.name]().stop()

    def _tell_condition(self) -> None:
        r, notebook = self.chosen(), self._state.notebook
        if r is not None and notebook is not None:
            told = self.condition.currentData() or None
            self._state.attempt(recordings.change_recording, notebook, r.kept.id, load=told)

    def _bin(self) -> None:
        r, notebook = self.chosen(), self._state.notebook
        if r is not None and notebook is not None:
            self._state.attempt(recordings.bin_recording, notebook, r.kept.id)

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        dropped = local_files(event)
        found = sounds_among(dropped)
        if found:
            self.add(found)
        if len(found) < len(dropped):
            self._state.trouble.emit(tr("only recordings (WAV, FLAC) are taken here; drop logs on the loom"))
