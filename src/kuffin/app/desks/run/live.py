"""The run as it goes: read from two metres, with one big button."""

from __future__ import annotations

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QGridLayout, QHBoxLayout, QLineEdit, QPushButton, QSizePolicy, QVBoxLayout, QWidget

from kuffin.app.desks.run import stagewords
from kuffin.app.look.theme import Theme, figures_font, text_points
from kuffin.app.widgets.alarmband import AlarmBand
from kuffin.app.widgets.forms import button, flowing, scrolling
from kuffin.app.widgets.livetraces import LiveTraces
from kuffin.app.widgets.stageline import StageLine, phases
from kuffin.app.widgets.staircase import Staircase
from kuffin.app.widgets.texts import Opener, Text, text
from kuffin.core.base.language import tr
from kuffin.core.base.units import canonical_unit
from kuffin.core.bench.leading import BY_HAND, MEASURING
from kuffin.core.bench.roles import FURTHER_PARTS, ROLES, spoken
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare.pairwords import number
from kuffin.reading.evaluating import parse_trace
from kuffin.recording.liverun import LiveRun, Now
from kuffin.said.livewords import LiveFigure, figures, stairs

_FIGURES = 4
_BESIDE = ("flow", "sound", "pump", "fan")  # roles that are shown beside the heat path, as far as there is room


class BigFigure(QWidget):
    """A figure with its label above and its state in words beside it."""

    def __init__(self) -> None:
        super().__init__()
        self.label = text(wrap=False)
        self.value = Text()
        self.state = text(wrap=True)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        column.addWidget(self.label)
        line = QHBoxLayout()
        line.addWidget(self.value)
        line.addSpacing(8)
        line.addWidget(self.state, 1, Qt.AlignmentFlag.AlignVCenter)
        column.addLayout(line)
        self.scale()

    def scale(self) -> None:
        """Take the text size in use."""
        size = text_points()
        self.value.setFont(figures_font(size * 2.3, bold=True))
        self.label.setFont(figures_font(size * 1.2))
        self.state.setFont(figures_font(size * 1.2))

    def show_figure(self, figure: LiveFigure) -> None:
        """Show it."""
        self.label.setText(figure.label)
        shown = "–" if figure.value is None else number(figure.value, figure.digits)
        self.value.setText(f"{shown} {figure.unit}")
        self.state.setText(figure.state)
        self.setAccessibleName(f"{figure.label} {shown} {figure.unit}, {figure.state}")


class LivePage(QWidget):
    """Shows a run; what the person does is told by signals."""

    pressed = Signal(str)  # what the big button does now
    noted = Signal(str, str)  # what a line was typed for, and what
    small = Signal(str)  # hold, repeat, stop, carry on
    working = Signal()

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._for = ""
        self.line = StageLine(theme)
        self.togo = Text()
        self.what = Opener()
        self.what.opened.connect(self.working)
        self.band = AlarmBand(theme)
        self.staircase = Staircase(theme, enlarged=1.75)
        self.staircase.setMinimumHeight(150)
        self.figures = [BigFigure() for _ in range(_FIGURES)]
        self.traces = LiveTraces(theme)
        for shrinks in (self.staircase, self.traces):  # before the page scrolls
            shrinks.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Ignored)
        self.big = QPushButton()
        self.big.setObjectName("big")
        self.big.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.big.setMinimumHeight(56)
        self.doing = stagewords.BigButton("", "")
        self.big.clicked.connect(lambda: self.pressed.emit(self.doing.key))
        self.marker = button(tr("Mark (M)"), lambda: self.small.emit("mark"), tr("Mark this moment; a word may follow"))
        self.holder = button(
            tr("Hold"), lambda: self.small.emit("hold"), tr("Stay in this phase until you let it go on")
        )
        self.repeater = button(tr("Repeat the step"), lambda: self.small.emit("repeat"))
        self.skipper = button(tr("Skip …"), lambda: self.ask("skip", tr("Why skip to the next phase?")))
        self.stopper = button(
            tr("Stop the run"),
            lambda: self.ask("stop", tr("Stop the run? Enter stops it; Esc lets it go on. What was recorded is kept:")),
            tr("Ends it here; what was recorded is kept, and it can go on later"),
        )
        self.type_reading = button(
            tr("Type a reading"), lambda: self.small.emit("type"), tr("A value read off by hand")
        )
        self.commenter = button(tr("Comment …"), lambda: self.ask("comment", tr("A comment on this run:")))
        self.goer = button(
            tr("Go on with it"),
            lambda: self.small.emit("go on run"),
            tr("The same run goes on, with a gap for the time between"),
        )
        self.carrier = button(tr("Carry on"), lambda: self.small.emit("carry on"))
        self.question = text(wrap=False)
        self.answer = QLineEdit()
        self.answer.returnPressed.connect(self._answered)
        column, whole = scrolling(self)
        column.setContentsMargins(0, 6, 0, 0)
        column.setSpacing(6)
        column.addWidget(self.line)
        head = QHBoxLayout()
        head.addWidget(self.togo)
        head.addSpacing(16)
        head.addWidget(self.what, 1)
        column.addLayout(head)
        column.addWidget(self.band)
        middle = QHBoxLayout()
        middle.addWidget(self.staircase, 5)
        middle.addSpacing(12)
        grid = QGridLayout()
        grid.setVerticalSpacing(4)
        for i, figure in enumerate(self.figures):
            grid.addWidget(figure, i, 0)
        middle.addLayout(grid, 4)
        column.addLayout(middle, 5)
        column.addWidget(self.traces, 3)
        self._line = QWidget()
        line = QHBoxLayout(self._line)
        line.setContentsMargins(0, 0, 0, 0)
        line.addWidget(self.question)
        line.addWidget(self.answer, 1)
        whole.addWidget(self._line)
        self._line.hide()
        row = QHBoxLayout()
        row.addWidget(self.big, 1)
        small = flowing(
            self.carrier,
            self.type_reading,
            self.goer,
            self.commenter,
            self.marker,
            self.holder,
            self.repeater,
            self.skipper,
            self.stopper,
            spacing=6,
        )
        row.addWidget(small, 2)
        for widget in (self.carrier, self.type_reading, self.goer, self.commenter):
            widget.hide()  # until a run has a use for it: together they would make the desk wider than the window
        whole.addLayout(row)
        self._scale()

    def _scale(self) -> None:
        size = text_points()
        self.togo.setFont(figures_font(size * 2.2, bold=True))
        self.what.setFont(figures_font(size * 1.25))
        self.big.setFont(figures_font(size * 1.8, bold=True))
        for figure in self.figures:
            figure.scale()

    def set_theme(self, theme: Theme) -> None:
        for widget in (self.line, self.band, self.staircase, self.traces):
            widget.set_theme(theme)
        self._scale()

    # --- showing ---------------------------------------------------------------------------------------------------

    def show_now(self, live: LiveRun, now: Now, carried_on: bool, full: bool = True) -> None:
        """Show how the run stands; `full` draws the traces too."""
        found = phases(live.steps)
        self.line.show_phases(found, *stagewords.at_phase(now, found, now.began_load_s))
        self.togo.setText(stagewords.to_go(now))
        self.what.setText(" ".join(stagewords.sentences(now)))
        self.band.say(*stagewords.band(now, carried_on))
        self.doing = stagewords.big_button(now, carried_on)
        self.big.setText(self.doing.words)
        quiet = not self.doing.key  # it keeps the keyboard, so that Space never falls to another button
        if self.big.property("quiet") != quiet:
            self.big.setProperty("quiet", quiet)
            self.big.style().unpolish(self.big)
            self.big.style().polish(self.big)
        for widget in (self.marker, self.holder, self.repeater, self.skipper, self.stopper):
            widget.setVisible(not now.over)
        self.type_reading.setVisible(bool(live.bench.typed) and not now.over)
        self.commenter.setVisible(bool(now.over))
        self.goer.setVisible(now.over.startswith(BY_HAND))
        self.carrier.setVisible(self.doing.key == "remount")
        self.holder.setText(tr("Hold") if now.stage is None or not now.stage.held else tr("Held"))
        seen = now.seen
        s, roles = seen.recent, seen.recent_by_role
        if s is None:
            return
        others = [(tr(spoken(r)), roles[r]) for r in FURTHER_PARTS if r in roles]
        self.staircase.show_steps(*stairs(s, others[:1], seen.device, seen.others))
        extra = [(tr(spoken(r)), canonical_unit(ROLES[r].quantity), roles[r]) for r in _BESIDE if r in roles]
        on = None if now.over else now.load_on
        shown = figures(s, extra, on, seen.device, seen.others, _asked(live))[: _FIGURES - (not self.band.isHidden())]
        for place, figure in zip(self.figures, shown, strict=False):
            place.show_figure(figure)
        for i, place in enumerate(self.figures):
            place.setVisible(i < len(shown))
        if full:
            self._draw(live, now)

    def _draw(self, live: LiveRun, now: Now) -> None:
        whole = now.seen.so_far
        if whole is None:
            return
        part, over = _asked(live)
        response, base = whole.get(part), whole.base(part, over)
        if response is not None and base is not None:
            stage = now.stage
            window = None
            if stage is not None and stage.phase == MEASURING and stage.step.load:
                window = (stage.begun_s, now.elapsed_s)
            self.traces.show_trace(
                whole.times,
                response - base,
                tr("{part} over {other}, K, by minutes", part=tr(spoken(part)), other=tr(spoken(over))),
                now.forecast.settling,
                window,
            )
        self.traces.show_levels(
            whole.times, [(tr("air"), whole.air), (tr("coolant"), whole.coolant), (tr("die"), whole.die)]
        )

    # --- a line to type --------------------------------------------------------------------------------------------

    def ask(self, what: str, question: str, take_keys: bool = True) -> None:
        """Ask for a word or a number, without holding anything up; the keyboard may stay with the big button."""
        self._for = what
        self.question.setText(question)
        self.answer.setAccessibleName(question)
        self.answer.clear()
        self._line.show()
        if take_keys:
            self.answer.setFocus()

    @property
    def asking(self) -> str:
        """What a line is being typed for, blank for nothing."""
        return self._for if not self._line.isHidden() else ""

    def ask_no_more(self) -> None:
        """Close the line."""
        self._line.hide()
        self._for = ""
        self.big.setFocus()

    def _answered(self) -> None:
        what, written = self._for, self.answer.text().strip()
        self.ask_no_more()
        self.noted.emit(what, written)


def _asked(live: LiveRun) -> tuple[str, str]:
    """What the study is judged by: a part, and what its rise is taken over."""
    part, over, _ = parse_trace(kind_under_test(live.study.under_test).main_trace)
    return part, over
