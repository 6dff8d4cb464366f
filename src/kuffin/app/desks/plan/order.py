"""In which order: the mounts in a list that can be dragged, and what the order is worth."""

from __future__ import annotations

from PySide6.QtCore import QPointF, QSize, Qt
from PySide6.QtGui import QColor, QDropEvent, QIcon, QKeyEvent, QPainter, QPixmap
from PySide6.QtWidgets import QAbstractItemView, QListWidget, QListWidgetItem

from kuffin.app.base.guarded import guarded
from kuffin.app.desks.plan.page import Page
from kuffin.app.look.marks import draw, mark
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.app.widgets.forms import button, choice, number, refill, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.bench.configuration import SETTINGS, written
from kuffin.core.plan.order import Slot, change_over_minutes, fairness, moved, out_of_step, plan_order
from kuffin.core.prepare.changeover import change_over, minutes
from kuffin.notebook import planedits
from kuffin.reading.configurations import built_in, configuration
from kuffin.verdict.planbasis import is_done, order_of, slots_of


@guarded
class OrderList(QListWidget):
    """The mounts in order; dragging one, or Alt+Up and Alt+Down, moves it."""

    def __init__(self, page: OrderPage) -> None:
        super().__init__()
        self._page = page
        self.setAccessibleName(tr("Mounts in bench order"))
        self.setDragDropMode(QAbstractItemView.DragDropMode.InternalMove)
        self.setDefaultDropAction(Qt.DropAction.MoveAction)
        self.setIconSize(QSize(18, 18))
        self.setSpacing(0)
        self.setUniformItemSizes(True)

    def dropEvent(self, event: QDropEvent) -> None:
        source = self.currentRow()
        target = self.indexAt(event.position().toPoint()).row()
        if target < 0:
            target = self.count()
        below = self.dropIndicatorPosition() == QAbstractItemView.DropIndicatorPosition.BelowItem
        event.setDropAction(Qt.DropAction.IgnoreAction)
        event.accept()
        place = target + (1 if below else 0)
        self._page.move_mount(source, place - 1 if place > source else place)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        step = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1}.get(Qt.Key(event.key()))
        if step is not None and event.modifiers() & Qt.KeyboardModifier.AltModifier:
            self._page.move_mount(self.currentRow(), self.currentRow() + step)
        else:
            super().keyPressEvent(event)


class OrderPage(Page):
    """The page."""

    def __init__(self, state: State, shelf: ShelfState, theme: Theme) -> None:
        super().__init__(state, shelf)
        self.theme = theme
        self.rounds = number(1, 60, "", 0, 1, tr("Rounds"))
        self.rounds.valueChanged.connect(lambda v: self.change(say("plan the number of mounts"), planned_rounds=int(v)))
        self.every = number(1, 20, "", 0, 1, tr("Baseline again after so many rounds"))
        self.every.valueChanged.connect(
            lambda v: self.change_plan(say("change how often the baseline comes"), control_every=int(v))
        )
        for box in (self.rounds, self.every):
            DigitWidths(box, most=7.5)
        self.plots = choice([(tr("nothing"), None)], tr("Keep together"))
        self.plots.activated.connect(
            lambda: self.change_plan(say("change what stays together"), plot_by=self.plots.currentData() or None)
        )
        self._every_words = text(tr("rounds the baseline comes again"), style="muted", wrap=False)
        self._outside = text(style="muted")
        self.column.addWidget(
            row(
                text(tr("Rounds"), wrap=False),
                self.rounds,
                text(tr("· after every"), style="muted", wrap=False),
                self.every,
                self._every_words,
            )
        )
        self.column.addWidget(self._outside)
        self.column.addWidget(
            row(
                text(tr("Keep together within a round, because it is costly to change:"), style="muted", wrap=False),
                self.plots,
            )
        )
        self._draw = button(
            tr("Draw the order"), self.draw, tr("At random within each round, then the evenest of sixty draws")
        )
        self.said = text()
        self.cost_of_change = text(style="warn")
        self._minutes = text(style="muted")
        self.column.addWidget(row(self._draw))
        self.column.addWidget(self.said)
        self.column.addWidget(self.cost_of_change)
        self.list = OrderList(self)
        self.list.setMinimumHeight(220)
        self.column.addWidget(self.list, 1)
        self.column.addWidget(self._minutes)
        self._before: list[Slot] | None = None

    def renew(self) -> None:
        study = self.state.study
        assert study is not None
        self.rounds.setValue(study.planned_rounds)
        self.every.setValue(int(study.plan.get("control_every", 2)))
        self.every.setEnabled(study.baseline_id is not None)
        base = study.candidate(study.baseline_id)
        self._every_words.setText(
            tr("rounds the baseline comes again (none is chosen)")
            if base is None
            else tr("rounds the baseline comes again")
        )
        self._outside.setVisible(base is not None)
        if base is not None:
            self._outside.setText(tr("{name} stands outside the rounds: first, between and last.", name=base.name))
        keys = ["coolant", "pump_percent", "fan_percent", "fans", "paste"]
        free = [k for k in planedits.free_settings(study.under_test) if k in keys]
        refill(
            self.plots,
            [(tr("nothing"), None), *((tr("the {spoken}", spoken=tr(SETTINGS[k].spoken)), k) for k in free)],
            study.plan.get("plot_by"),
        )
        slots, mounts = slots_of(study), order_of(study)
        planned = [m for m in mounts if not is_done(m)]
        self._draw.setText(tr("Draw the order again") if planned else tr("Draw the order"))
        self._fill(slots)
        self._say(slots)

    def _fill(self, slots: list[Slot]) -> None:
        study = self.state.study
        assert study is not None
        at = self.list.currentRow()
        self.list.clear()
        places = {c.name: i for i, c in enumerate(study.live_candidates)}
        for place, (slot, mount) in enumerate(zip(slots, order_of(study), strict=True), 1):
            many = len(mount.candidate.samples) > 1
            sample = tr(", sample {label}", label=mount.sample.label) if mount.sample is not None and many else ""
            state = (
                tr("done")
                if is_done(mount)
                else tr("ready to run")
                if mount.ready_at
                else tr("begun")
                if mount.begun_at
                else ""
            )
            words = tr(
                "{place:>2}   {candidate}{sample}   ·   round {round}",
                place=place,
                candidate=slot.candidate,
                sample=sample,
                round=slot.round,
            )
            words += tr("   ·   baseline") if slot.control else ""
            item = QListWidgetItem(
                self._icon(places.get(slot.candidate, 0), is_done(mount)), words + (f"   ·   {state}" if state else "")
            )
            flags = Qt.ItemFlag.ItemIsEnabled | Qt.ItemFlag.ItemIsSelectable
            item.setFlags(flags if state else flags | Qt.ItemFlag.ItemIsDragEnabled)
            if state:
                item.setForeground(QColor(self.theme.muted))
            self.list.addItem(item)
        coming = next((i for i, m in enumerate(order_of(study)) if not is_done(m)), 0)
        self.list.setCurrentRow(min(at if at >= 0 else coming, self.list.count() - 1))
        if at < 0:
            self.list.scrollToItem(self.list.currentItem(), QAbstractItemView.ScrollHint.PositionAtCenter)

    def _icon(self, place: int, filled: bool) -> QIcon:
        picture = QPixmap(36, 36)
        picture.fill(Qt.GlobalColor.transparent)
        painter = QPainter(picture)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        draw(painter, mark(place), self.theme, QPointF(18, 18), 12, filled=filled)
        painter.end()
        return QIcon(picture)

    def _say(self, slots: list[Slot]) -> None:
        study = self.state.study
        assert study is not None
        if not slots:
            self.said.setText(tr("No mount is planned yet. Draw an order; it can be dragged afterwards."))
            self.cost_of_change.setText("")
            self._minutes.setText("")
            return
        now = fairness(slots)
        base = study.candidate(study.baseline_id)
        lacks = out_of_step(
            slots,
            [c.name for c in study.live_candidates],
            study.planned_rounds,
            base.name if base is not None else None,
        )
        said = now.sentence()[0].upper() + now.sentence()[1:]
        if lacks:
            said = tr(
                "The plan was changed since the order was drawn: {lacks}. Draw it again; what is done or begun stays.",
                lacks="; ".join(lacks),
            )
        self.said.setText(said)
        cost = ""
        if (
            self._before is not None and sorted(map(str, self._before)) != sorted(map(str, slots))
        ) or self._before not in (None, slots):
            was = fairness(self._before or [])
            if (
                now.worst_gap > was.worst_gap + 0.01
                or len(now.uneven_rounds) > len(was.uneven_rounds)
                or now.repeats > was.repeats
            ):
                cost = tr(
                    "That change costs fairness: the share of a drift that lands in a difference goes "
                    "from {was:.2f} to {now:.2f}. Ctrl+Z takes it back.",
                    was=was.worst_gap,
                    now=now.worst_gap,
                )
        self.cost_of_change.setText(cost)
        self.cost_of_change.setVisible(bool(cost))
        total = change_over_minutes(slots, self._between())
        gain = tr(
            "Each round holds every candidate once, so what a round has in common (an afternoon, "
            "a fill) can be taken out."
        )
        self._minutes.setText(tr("Change-overs take about {total:.1f} h in all. {gain}", total=total / 60, gain=gain))

    def _between(self) -> dict[tuple[str, str], float]:
        """Minutes of each change-over between two candidates."""
        study, bench, parts = self.state.study, self.shelf.bench, self.shelf.parts
        assert study is not None
        built = {m.candidate.name: built_in(study, m, bench, parts) for m in order_of(study)}
        return {(a, b): minutes(change_over(built[a], built[b])) for a in built for b in built}

    # --- acting ----------------------------------------------------------------------------------------------------

    def draw(self) -> None:
        """Draw an order, another one each time."""
        study = self.state.study
        if study is None:
            return
        seed = int(study.plan.get("seed", 0)) + 1
        key = study.plan.get("plot_by")
        plots = None
        if key:
            plots = {
                c.name: written(SETTINGS[key], configuration(study, c, self.shelf.bench, self.shelf.parts).get(key))
                for c in study.live_candidates
            }
        base = study.candidate(study.baseline_id)
        try:
            slots = plan_order(
                [c.name for c in study.live_candidates],
                study.planned_rounds,
                1000 * study.id + seed,
                baseline=base.name if base is not None else None,
                control_every=int(study.plan.get("control_every", 2)),
                plots=plots,
                minutes=self._between(),
                done=[Slot(m.candidate.name, m.round, m.control) for m in order_of(study) if is_done(m) or m.begun_at],
            )
        except KuffinError as error:
            self.state.trouble.emit(str(error))
            return
        self._before = None
        self.edit(planedits.draw_order, study.id, slots, seed)

    def move_mount(self, source: int, target: int) -> None:
        """Move a mount to another place."""
        study = self.state.study
        if study is None:
            return
        slots, mounts = slots_of(study), order_of(study)
        if not (0 <= source < len(slots) and 0 <= target < len(slots)) or source == target:
            return
        fixed = [i for i, m in enumerate(mounts) if is_done(m) or m.begun_at]
        if source in fixed or any(target <= i for i in fixed):
            self.state.trouble.emit(tr("what is done or begun stays where it is; move one that is still to do"))
            return
        self._before = slots
        new = moved(slots, source, target)
        self.edit(planedits.move_mount, study.id, mounts[source].id, target, new[target].round)
        self.list.setCurrentRow(target)
