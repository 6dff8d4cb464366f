"""Before a run: which mount, from which bench, what will be done, at what it is stopped; and runs that were cut off."""

from __future__ import annotations

from functools import partial

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QHBoxLayout, QPushButton, QVBoxLayout, QWidget

from kuffin.app.look.theme import Theme, figures_font, text_points
from kuffin.app.widgets.forms import button, choice, refill, row, scrolling
from kuffin.app.widgets.stageline import StageLine, phases
from kuffin.app.widgets.texts import empty, text
from kuffin.core.base.language import tr
from kuffin.core.bench.limits import NO_SAFETY_DEVICE, Limits, watchable
from kuffin.core.bench.protocol import Step, run_minutes
from kuffin.core.prepare.cautions import CAUTIONS
from kuffin.notebook.entities import Mount, Run


class ReadyPage(QWidget):
    """Chooses; what is chosen is read by the desk."""

    start_wanted = Signal()
    chosen = Signal()
    go_on_wanted = Signal(int)  # a run's id
    close_wanted = Signal(int)
    protocol_wanted = Signal()
    instruments_wanted = Signal()

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self.title = text(wrap=True)
        self.which = choice([], tr("The mount that is run"))
        self.bench = choice([], tr("The bench it is recorded from"))
        self.which.activated.connect(lambda _i: self.chosen.emit())
        self.bench.activated.connect(lambda _i: self.chosen.emit())
        self.line = StageLine(theme)
        self.plan = text()
        self.bench_words = text(style="muted")
        self.limits = text()
        self.start = QPushButton(tr("Start the run"))
        self.start.setObjectName("big")
        self.start.setMinimumHeight(64)
        self.start.clicked.connect(self.start_wanted)
        self._cut = QVBoxLayout()
        column, whole = scrolling(self)
        column.setContentsMargins(0, 14, 0, 0)
        column.setSpacing(10)
        column.addWidget(self.title)
        column.addLayout(self._cut)
        column.addWidget(
            row(text(tr("Mount"), wrap=False), self.which, text(tr("   recorded from"), wrap=False), self.bench)
        )
        column.addWidget(self.bench_words)
        column.addSpacing(6)
        column.addWidget(self.line)
        column.addWidget(self.plan)
        column.addWidget(self.limits)
        column.addWidget(
            row(
                button(tr("Change the protocol"), self.protocol_wanted.emit),
                button(tr("The bench's instruments"), self.instruments_wanted.emit),
            )
        )
        column.addStretch(1)
        column.addWidget(
            text(" ".join(tr(c) for c in (NO_SAFETY_DEVICE, CAUTIONS["mains"], CAUTIONS["hot"])), style="small")
        )
        whole.addWidget(self.start)  # always in sight
        self._scale()

    def _scale(self) -> None:
        size = text_points()
        self.title.setFont(figures_font(size * 2.0, bold=True))
        self.start.setFont(figures_font(size * 1.8, bold=True))
        self.plan.setFont(figures_font(size * 1.15))

    def set_theme(self, theme: Theme) -> None:
        self.line.set_theme(theme)
        self._scale()

    def show_choice(
        self,
        mounts: list[tuple[str, object]],
        chosen: object,
        benches: list[tuple[str, object]],
        bench: object,
        bench_words: str,
        able: bool,
    ) -> None:
        """Show what can be chosen."""
        refill(self.which, mounts, chosen)
        refill(self.bench, benches, bench)
        self.bench_words.setText(bench_words)
        self.start.setEnabled(able)

    def show_plan(
        self,
        steps: tuple[Step, ...],
        limits: Limits,
        roles: set[str | None],
        speed: float,
        tau_s: float,
        tolerance_k: float,
    ) -> None:
        """Show what will be done."""
        self.line.show_phases(phases(steps), -1, 0.0)
        total = run_minutes(steps, tau_s, tolerance_k=tolerance_k)
        fast = tr(", {total:.0f} min at {speed:g} times life", total=total / speed, speed=speed) if speed != 1 else ""
        self.plan.setText(
            tr("About {total:.0f} min{fast}. Kuffin leads, and calls you when it needs you.", total=total, fast=fast)
        )
        watched, without = watchable(limits, roles)
        said = watched.sentence()
        parts = [said[:1].upper() + said[1:] + "."] if watched.any or not without else []
        if without:
            parts.append(
                tr("Not watched, as no channel tells it: {without}.", without=", ".join(tr(w) for w in without))
            )
        self.limits.setText(" ".join(parts))

    def show_cut_off(self, runs: list[tuple[Run, Mount]]) -> None:
        """Offer to go on with runs that were cut off, or to close them."""
        empty(self._cut)
        for run, mount in runs:
            words = text(
                tr(
                    "The run on {name}, round {round} was cut off after {duration_s:.1f} min; {rows} "
                    "rows of it are kept.",
                    name=mount.candidate.name,
                    round=mount.round,
                    duration_s=run.duration_s / 60,
                    rows=run.rows,
                ),
                style="warn",
            )
            holder = QWidget()
            line = QHBoxLayout(holder)
            line.setContentsMargins(0, 0, 0, 0)
            line.addWidget(words, 1)
            line.addWidget(button(tr("Go on with it"), partial(self.go_on_wanted.emit, run.id)))
            line.addWidget(button(tr("Close it as it is"), partial(self.close_wanted.emit, run.id)))
            self._cut.addWidget(holder)
