"""The left side: the loom, its key, and a few words on the mount that is looked at, or that is to be looked at next."""

from __future__ import annotations

from PySide6.QtCore import QTimer, Signal
from PySide6.QtGui import QResizeEvent
from PySide6.QtWidgets import QScrollArea, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import Settings
from kuffin.app.desks.inspect.runwords import staircase
from kuffin.app.frame.loom import Loom
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.staircase import Staircase
from kuffin.app.widgets.texts import link_button, rule, text
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number
from kuffin.core.findings import KINDS
from kuffin.notebook.entities import Mount
from kuffin.said.equations import figure
from kuffin.said.nextstep import NextStep

_STAIRS, _MOST_STAIRS = 150, 230  # px that it takes


@guarded
class LoomSide(QWidget):
    """The loom and what belongs to it."""

    mount_wanted = Signal(int)

    def __init__(self, state: State, theme: Theme, settings: Settings) -> None:
        super().__init__()
        self._state, self._settings = state, settings
        self.loom = Loom(state, theme)
        self._legend = text(
            tr(
                "filled: counts · open with ?: doubtful · struck: left out · small: planned, dotted: next, half: on the bench, "
                "underlined: ready · dot: no mount yet (click it or drop a log) · "
                "ring: on the desk"
            ),
            style="small",
        )
        self._legend_link = link_button("")
        self._legend_link.clicked.connect(lambda: self._show_legend(self._legend.isHidden()))
        self._legend_wanted = settings.value("loom/legend", "shown", ("shown", "folded")) == "shown"
        self._legend_asked_for = False
        self.name = text(style="heading")
        self.words = text(style="muted")
        self.stairs = Staircase(theme)
        self.stairs.hide()
        self.stairs.chosen.connect(self._open_mount)
        self._stairs_wanted = True
        self._next: int | None = None  # the mount to be looked at next
        self._has_stairs = False
        self._tells = False  # whether there is a mount to tell of
        self._inner = inner = QWidget()
        column = QVBoxLayout(inner)
        column.setContentsMargins(24, 12, 10, 8)
        column.setSpacing(8)
        column.addWidget(self.loom)
        column.addWidget(self._legend_link)
        column.addWidget(self._legend)
        column.addSpacing(6)
        self._line = rule()
        column.addWidget(self._line)
        column.addWidget(self.name)
        column.addWidget(self.words)
        column.addWidget(self.stairs)
        column.addStretch()
        self._scroll = scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(inner)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(scroll)
        self.setMinimumWidth(264)
        for signal in (state.mount_changed, state.verdict_changed, state.study_changed):
            signal.connect(self._renew)
        self._renew()

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._fit()

    def _fit(self) -> None:
        """What stands below the loom where there is room, never behind a scroll bar, the first first: the legend, what is told of the
        mount to be looked at next, its staircase. The mount that is looked at is told of, and a legend asked for shown, in any case.
        """
        layout, wide = self._inner.layout(), self._inner.width()
        assert layout is not None
        margins, apart = layout.contentsMargins(), layout.spacing()
        told = (self._line, self.name, self.words)

        def takes(*widgets: QWidget) -> int:
            inside = wide - margins.left() - margins.right()
            each = (w.heightForWidth(inside) if w.hasHeightForWidth() else w.sizeHint().height() for w in widgets)
            return sum(each) + apart * len(widgets)

        room = self._scroll.viewport().height() - layout.heightForWidth(wide)
        room += sum(takes(w) for w in (self._legend, *told) if not w.isHidden())
        room += self.stairs.height() + apart if not self.stairs.isHidden() else 0
        chosen = self._state.mount() is not None
        if self._tells and chosen:
            room -= takes(*told)
        unfolded = self._legend_wanted and (self._legend_asked_for or takes(self._legend) <= room)
        room -= takes(self._legend) if unfolded else 0
        tells = self._tells and (chosen or takes(*told) <= room)
        room -= takes(*told) if tells and not chosen else 0
        self._legend.setVisible(unfolded)
        self._legend_link.setText(tr("the shapes  ▴") if unfolded else tr("the shapes  ▾"))
        for widget in told:
            widget.setVisible(tells)
        room -= apart + 2
        self.stairs.setFixedHeight(min(max(room, _STAIRS), _MOST_STAIRS))
        self.stairs.setVisible(tells and self._has_stairs and self._stairs_wanted and room >= _STAIRS)

    def _show_legend(self, on: bool) -> None:
        """What the shapes mean, until one knows them."""
        self._legend_wanted = self._legend_asked_for = on
        self._settings.set_value("loom/legend", "shown" if on else "folded")
        self._fit()
        QTimer.singleShot(0, self, self._fit)  # once the bar at the side has come or gone

    def show_next(self, step: NextStep) -> None:
        """Show the mount that one is asked to look at, as long as none is looked at."""
        self._next = step.mount_id if step.action == "inspect" else None
        self._renew()

    def _mount(self) -> Mount | None:
        """The mount that is told of."""
        return self._state.mount() or next((m for m in self._state.mounts() if m.id == self._next), None)

    def _open_mount(self, _step: str) -> None:
        mount = self._mount()
        if mount is not None:
            self.mount_wanted.emit(mount.id)

    def show_stairs(self, on: bool) -> None:
        """Whether the mount's staircase stands here; not beside a desk that has it already."""
        self._stairs_wanted = on
        self._renew()

    def set_theme(self, theme: Theme) -> None:
        self.loom.set_theme(theme)
        self.stairs.set_theme(theme)

    def _renew(self) -> None:
        mount, verdict = self._mount(), self._state.verdict
        self._tells = mount is not None and verdict is not None
        run = self._state.run()
        if run is None and mount is not None and verdict is not None:
            run = mount.run_under(verdict.condition)
        levels, steps = staircase(verdict.results.get(run.id) if verdict is not None and run is not None else None)
        self.stairs.show_steps(levels, steps)
        self._has_stairs = self._tells and len(levels) > 1
        if mount is None or verdict is None:
            self._fit()
            return
        name = tr("{name}, round {round}", name=mount.candidate.name, round=mount.round)
        self.name.setText(name if self._state.mount() is not None else tr("Next: {label}", label=name))
        reading = self._state.reading(mount.id)
        lines = []
        if reading is not None and reading.worked is not None and reading.value is not None:
            mean = [
                r.value
                for r in verdict.main.of(mount.candidate.name)
                if r.mount_id != mount.id and r.value is not None and r.left_out is None
            ]
            lines.append(f"{figure(reading.worked)}, {tr(self.loom.state_of(mount))}")
            if mean:
                away = reading.value - sum(mean) / len(mean)
                lines.append(
                    tr(
                        "{away} {unit} above the mean of its siblings",
                        away=number(away, 2),
                        unit=verdict.outcome.difference_unit,
                    )
                    if away > 0
                    else tr(
                        "{away} {unit} below the mean of its siblings",
                        away=number(-away, 2),
                        unit=verdict.outcome.difference_unit,
                    )
                )
        if mount.left_out:
            lines.append(tr("left out: {left_out}", left_out=mount.left_out))
        if mount.kept_because:
            lines.append(tr("kept: {kept_because}", kept_because=mount.kept_because))
        lines += [
            f"{tr(KINDS[f.kind].title).lower()}{'' if f.kind not in verdict.answers.get(mount.id, {}) else tr(' (accepted)')}"
            for f in verdict.findings.get(mount.id, ())
            if f.serious
        ]
        self.words.setText("\n".join(lines))
        self._fit()
