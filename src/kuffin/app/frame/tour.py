"""The two-minute tour: a band at the foot of the window that asks for one thing after the other, on the demo; one does rather than reads."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import TYPE_CHECKING

from PySide6.QtCore import QTimer
from PySide6.QtWidgets import QFrame, QHBoxLayout, QPushButton, QVBoxLayout

from kuffin.app.widgets.texts import link_button, text
from kuffin.core.base.language import mark, tr

if TYPE_CHECKING:
    from kuffin.app.frame.window import MainWindow

_LOOK_MS = 150
_FIRST_STUDY = 1  # of the demo: the slim radiators


@dataclass(frozen=True)
class Stop:
    """One thing to do.

    Attributes
    ----------
    sees : str
        What one looks at.
    does : str
        What to do now.
    mark : callable
        What is to become another; the stop is done when it is so.
    into : object
        What it has to become; None where any change will do.
    """

    sees: str
    does: str
    mark: Callable[[MainWindow], object]
    into: object = None


STOPS: tuple[Stop, ...] = (
    Stop(
        mark("The sentence on top is all that may be said so far, and no more."),
        mark("See what it rests on: click “why ›”."),
        lambda w: w.working.isVisible(),
        True,
    ),
    Stop(
        mark("Every number in Kuffin opens its working like this."),
        mark("Close it: Esc."),
        lambda w: w.working.isVisible(),
        False,
    ),
    Stop(
        mark(
            "At the left, each row is a candidate, each column a round, each shape one mount. A question mark is a doubt."
        ),
        mark("Open a mount with a question mark: click it."),
        lambda w: w.desk == mark("Inspect") and w.state.mount_id is not None,
        True,
    ),
    Stop(
        mark("This is its run. Only the shaded window counts: Kuffin put it where all had settled."),
        mark("Drag the left edge of the window a little."),
        lambda w: w.menus.undo.text(),
    ),
    Stop(
        mark("The numbers followed. There is no Save: an edit is kept when made, and can be taken back."),
        mark("Take it back: Ctrl+Z."),
        lambda w: w.menus.redo.isEnabled(),
        True,
    ),
    Stop(
        mark("Compare has every pair, with what may be said of it."),
        mark("Go there: Ctrl+5."),
        lambda w: w.desk == mark("Compare"),
        True,
    ),
    Stop(
        mark("Anything can be found by typing: actions, pages, studies, mounts, parts."),
        mark("Ctrl+K, type “pastes”, and Enter on the study."),
        lambda w: w.state.study is not None and w.state.study.id,
    ),
    Stop(
        mark("The button at the top right is the one next thing to do, and why."),
        mark("Follow it: click it, or Ctrl+Enter."),
        lambda w: w.followed,
    ),
)


class Tour(QFrame):
    """The band: what one sees, what to do, and how far one is."""

    def __init__(self, window: MainWindow) -> None:
        super().__init__()
        self._window = window
        self._at = 0
        self._before: object = None
        self.setObjectName("tour")
        self.setAccessibleName(tr("Tour"))
        self.where = text(style="small", wrap=False)
        self.sees = text(style="muted")
        self.does = text(style="heading")
        self.skip = link_button(tr("skip this"))
        self.skip.clicked.connect(self._go_on)
        self.practise = QPushButton(tr("Practise on a bench"))
        self.practise.clicked.connect(self._practise)
        self.end = QPushButton(tr("End the tour"))
        self.end.clicked.connect(self.leave)
        words = QVBoxLayout()
        words.setSpacing(2)
        words.addWidget(self.sees)
        words.addWidget(self.does)
        row = QHBoxLayout(self)
        row.setContentsMargins(24, 8, 20, 8)
        row.setSpacing(16)
        row.addWidget(self.where)
        row.addLayout(words, 1)
        for button in (self.skip, self.practise, self.end):
            row.addWidget(button)
        self._timer = QTimer(self)
        self._timer.setInterval(_LOOK_MS)
        self._timer.timeout.connect(self._look)
        self.hide()

    def begin(self) -> None:
        """Open the demo and start."""
        self._window.notebooks.open_demo(lambda _path: self._start())

    def leave(self) -> None:
        """Put the band away; what is open stays open."""
        self._timer.stop()
        self.hide()

    def _start(self) -> None:
        self._window.state.choose_study(_FIRST_STUDY)
        self._window.show_desk("Compare")
        self._show(0)
        self._timer.start()

    def _show(self, at: int) -> None:
        self._at = at
        over = at >= len(STOPS)
        self.where.setText(tr("done") if over else tr("{at} of {STOPS}", at=at + 1, STOPS=len(STOPS)))
        if over:
            self._timer.stop()
            self.sees.setText(tr("That is how one moves about. Help at the bench (Shift+F1) has a page for each desk."))
            self.does.setText(tr("Now run a mount yourself, on a simulated bench: one fault is hidden in it."))
        else:
            self._before = STOPS[at].mark(self._window)
            self.sees.setText(tr(STOPS[at].sees))
            self.does.setText(tr(STOPS[at].does))
        self.skip.setVisible(not over)
        self.practise.setVisible(over)
        self.show()

    def _look(self) -> None:
        stop = STOPS[self._at]
        now = stop.mark(self._window)
        if now == stop.into if stop.into is not None else now != self._before:
            self._go_on()

    def _go_on(self) -> None:
        self._show(self._at + 1)

    def _practise(self) -> None:
        self.leave()
        self._window.practise()
