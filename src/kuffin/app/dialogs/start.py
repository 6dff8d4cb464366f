"""The first page, without a notebook: open the demo, start a study, or drop logs."""

from __future__ import annotations

from pathlib import Path

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QHBoxLayout, QPushButton, QVBoxLayout, QWidget

from kuffin.app.widgets.texts import empty, link_button, plain_tip, text
from kuffin.core.base.language import tr


class StartPage(QWidget):
    """What one can do first."""

    tour_wanted = Signal()
    demo_wanted = Signal()
    practice_wanted = Signal()
    study_wanted = Signal()
    logs_wanted = Signal()
    open_wanted = Signal()
    shelf_wanted = Signal()
    recent_wanted = Signal(str)

    def __init__(self) -> None:
        super().__init__()
        self._recent = QVBoxLayout()
        column = QVBoxLayout()
        column.setSpacing(12)
        column.addWidget(text(tr("A bench notebook for cooling tests"), style="big"))
        column.addWidget(
            text(
                tr(
                    "Kuffin plans a test and walks through each mount, finds when each run settled, takes the room out, compares candidates with the mount as the unit of "
                    "evidence, and says what may honestly be said."
                ),
                style="muted",
            )
        )
        column.addSpacing(14)
        for label, hint, signal in (
            (tr("Take the tour"), tr("two minutes on the demo, by doing"), self.tour_wanted),
            (tr("Open the demo"), tr("four slim radiators, three afternoons, a truth that is known"), self.demo_wanted),
            (
                tr("Practise"),
                tr("run a mount on the simulated bench: one fault is hidden in it, and you find it"),
                self.practice_wanted,
            ),
            (
                tr("Start a study"),
                tr("what is compared, the candidates, how small a difference matters"),
                self.study_wanted,
            ),
            (tr("Add logs"), tr("or drop log files anywhere on this window"), self.logs_wanted),
        ):
            button = QPushButton(label)
            button.setObjectName("next")
            button.setFixedWidth(210)
            button.clicked.connect(signal)
            row = QHBoxLayout()
            row.addWidget(button)
            row.addSpacing(8)
            row.addWidget(text(hint, style="muted", wrap=False), 1)
            column.addLayout(row)
        column.addSpacing(10)
        opener = link_button(tr("Open a notebook …"))
        opener.clicked.connect(self.open_wanted)
        column.addWidget(opener, 0, Qt.AlignmentFlag.AlignLeft)
        shelf = link_button(tr("Fill the shelf first: parts, samples, the bench …"))
        shelf.clicked.connect(self.shelf_wanted)
        column.addWidget(shelf, 0, Qt.AlignmentFlag.AlignLeft)
        column.addLayout(self._recent)
        column.addStretch()
        column.addWidget(
            text(
                tr(
                    "Kuffin is no safety device. Keep water away from mains, heed the parts' manuals and local rules, and leave mains work to "
                    "qualified people. More under Help."
                ),
                style="small",
            )
        )
        outer = QHBoxLayout(self)
        outer.setContentsMargins(60, 46, 60, 24)
        outer.addLayout(column, 3)
        outer.addStretch(1)

    def show_recent(self, paths: list[str]) -> None:
        """List notebooks that were open before."""
        empty(self._recent)
        for path in paths[:5]:
            button = link_button(Path(path).name)
            button.setToolTip(plain_tip(path))
            button.clicked.connect(lambda _=False, p=path: self.recent_wanted.emit(p))
            self._recent.addWidget(button, 0, Qt.AlignmentFlag.AlignLeft)
