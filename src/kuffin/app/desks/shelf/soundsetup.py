"""How recordings are made on a bench: distance, place, the calibrator and its recordings, the bench at rest. Asked for once."""

from __future__ import annotations

from collections.abc import Callable

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QLineEdit, QVBoxLayout, QWidget

from kuffin.app.acts.soundjobs import add_recordings, ask_recordings, record_now
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import NumberLine, button, choice, flowing
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import number
from kuffin.instruments.soundcard import SoundCard, ThisComputersSound
from kuffin.notebook import recordings
from kuffin.notebook.entities import Attachment, Bench
from kuffin.reading.soundlevels import level_of
from kuffin.said.soundwords import calibration_words, level_words
from kuffin.simulated.benchsound import SimulatedSound

_SECONDS = 10.0


class SoundSetup(QWidget):
    """The section on the Bench page; `edit` makes an edit on the notebook."""

    refused = Signal(str)

    def __init__(self, state: State, edit: Callable[..., object]) -> None:
        super().__init__()
        self._state, self._edit = state, edit
        self._bench: Bench | None = None
        self.numbers = {
            "distance_m": NumberLine("m", tr("Distance of the microphone"), 0.01, 100),
            "level_db": NumberLine("dB", tr("Level of the calibrator"), 20, 140),
            "level_accuracy_db": NumberLine("dB", tr("Accuracy of the calibrator"), 0, 10),
            "gain_db": NumberLine("dB", tr("By how much the calibrator is recorded louder than the rest"), -120, 120),
        }
        for key, line in self.numbers.items():
            line.given.connect(lambda v, k=key: self._tell(**{k: v}))
            line.refused.connect(self.refused)
        self.position = QLineEdit()
        self.position.setPlaceholderText(tr("at ear height, front"))
        self.position.setAccessibleName(tr("Position of the microphone"))
        DigitWidths(self.position, most=24.5)
        self.position.editingFinished.connect(lambda: self._tell(position=self.position.text().strip() or None))
        self.cards: dict[str, Callable[[str], SoundCard]] = {
            ThisComputersSound.name: lambda _kind: ThisComputersSound(),
            SimulatedSound.name: lambda kind: SimulatedSound(calibrates=kind == "calibrator"),
        }
        self.source = choice([(tr(n), n) for n in self.cards], tr("Microphone"))
        self.said = text()
        self.table = FigureTable(tr("Calibrations and backgrounds"))
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)

        def label(words: str) -> QWidget:
            return text(words, style="muted", wrap=False)

        n = self.numbers
        column.addWidget(flowing(label(tr("microphone")), n["distance_m"], label(tr("m off,")), self.position))
        column.addWidget(
            flowing(
                label(tr("calibrator")),
                n["level_db"],
                label("dB ±"),
                n["level_accuracy_db"],
                label(tr("dB, recorded")),
                n["gain_db"],
                label(tr("dB louder than the rest (lower: below 0)")),
            )
        )
        column.addWidget(
            flowing(
                button(tr("Add a calibrator's recording …"), lambda: self._ask("calibrator")),
                button(
                    tr("Add the bench at rest …"),
                    lambda: self._ask("background"),
                    tr("With all off that is tested: it is taken off by energy"),
                ),
                button(tr("Record the calibrator"), lambda: self.record("calibrator")),
                button(tr("Record the bench at rest"), lambda: self.record("background")),
                self.source,
            )
        )
        column.addWidget(self.said)
        column.addWidget(self.table)
        self._kept: list[Attachment] = []

    def show_bench(self, bench: Bench | None) -> None:
        """Show how recordings are made on a bench."""
        self._bench = bench
        self.setVisible(bench is not None)
        notebook = self._state.notebook
        if bench is None or notebook is None:
            return
        for key, line in self.numbers.items():
            line.show_value(bench.sound.get(key, recordings.USUAL.get(key)))
        if not self.position.hasFocus():
            self.position.setText(str(bench.sound.get("position") or ""))
        self._kept = recordings.recordings(notebook, bench_id=bench.id)
        self.said.setText(calibration_words(self._kept))
        rows = [
            (k.name, tr(k.kind), k.added_at.replace("T", " ")[:16], self._told(k), tr("put into the bin"))
            for k in self._kept
        ]
        self.table.setVisible(bool(rows))
        self.table.show_rows(
            (tr("recording"), tr("of"), tr("on"), tr("it says"), ""), rows, left={1, 2, 3}, opens={4: self._bin}
        )

    def _told(self, kept: Attachment) -> str:
        if kept.kind == "calibrator":
            try:
                return tr("1 Pa is {pascals} of full scale", pascals=number(1 / recordings.pascals_of(kept), 4))
            except KuffinError as error:
                return str(error)
        only = [k for k in self._kept if k.kind == "calibrator"]
        found = level_of(kept, only)
        return "–" if found is None else level_words(found)

    def _tell(self, **values: object) -> None:
        bench = self._bench
        if bench is not None and any(bench.sound.get(k) != v for k, v in values.items()):
            self._edit(recordings.set_sound, bench.id, **values)

    def _ask(self, kind: str) -> None:
        self.add(ask_recordings(self), kind)

    def add(self, paths: list[str], kind: str) -> None:
        """Keep recordings of the calibrator, or of the bench at rest."""
        if self._bench is not None:
            add_recordings(self._state, paths, kind=kind, bench=self._bench)

    def record(self, kind: str) -> None:
        """Record the calibrator, or the bench at rest, for ten seconds."""
        if self._bench is not None:
            card = self.cards[self.source.currentData()](kind)
            name = tr("{kind} {kept}.flac", kind=kind, kept=len(self._kept) + 1)
            record_now(self._state, card, _SECONDS, name, lambda _: None, kind=kind, bench=self._bench)

    def _bin(self, at: int) -> None:
        self._edit(recordings.bin_recording, self._kept[at].id)
