"""The loom: candidates across, rounds down the warp; each crossing is a mount with its state as a shape."""

from __future__ import annotations

from PySide6.QtCore import QEvent, QPointF, QRect, QRectF, QSize, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QFont, QKeyEvent, QMouseEvent, QPainter, QPen
from PySide6.QtWidgets import QToolTip

from kuffin.app.base.guarded import guarded
from kuffin.app.frame.mountstates import mount_state
from kuffin.app.look.marks import draw, mark, tint
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.painted import Painted
from kuffin.app.widgets.texts import plain_tip
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number
from kuffin.notebook.entities import Mount, Study

_ROW, _HEAD, _LABEL, _CELL, _NARROW = 62.0, 34.0, 84.0, 56.0, 26.0


@guarded
class Loom(Painted):
    """The woven grid. Arrow keys move over it, Enter opens a mount, files may be dropped on a crossing."""

    chosen = Signal(int)  # a mount's id
    place_chosen = Signal(str, int)  # an empty crossing: candidate and round
    files_dropped = Signal(list, str, int)  # paths, candidate, round

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__()
        self._state, self._theme = state, theme
        self._at: tuple[int, int] = (0, 0)
        self._running: tuple[int | None, float] = (None, 0.0)
        self._speak = QTimer(self, singleShot=True, interval=0)  # after what is seen, and once for several changes
        self._speak.timeout.connect(lambda: self.setAccessibleDescription(self.spoken()))
        self._drop: tuple[int, int] | None = None
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMouseTracking(True)
        self.setAcceptDrops(True)
        self.setAccessibleName(tr("The loom: candidates and rounds"))
        self._indexed: Study | None = None
        self._places: dict[tuple[int, int], list[Mount]] = {}
        self._round_count = 0
        for signal in (state.study_changed, state.verdict_changed, state.mount_changed):
            signal.connect(self._renew)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    # --- what is where ---------------------------------------------------------------------------------------------

    def _candidates(self) -> list[str]:
        return [] if self._state.study is None else [c.name for c in self._state.study.live_candidates]

    def rounds(self) -> int:
        """How many rounds it has a column for: planned, or mounted."""
        self._index()
        return self._round_count

    def _mounts_at(self, row: int, column: int) -> list[Mount]:
        self._index()
        return self._places.get((row, column), [])

    def _index(self) -> None:
        """Which mounts are where; worked out once for each state of the study."""
        study = self._state.study
        if study is self._indexed:
            return
        self._indexed, self._places, self._round_count = study, {}, 0
        if study is None:
            return
        self._round_count = study.planned_rounds + 1
        for row, candidate in enumerate(study.live_candidates):
            for mount in candidate.live_mounts:
                self._places.setdefault((row, mount.round - 1), []).append(mount)
                self._round_count = max(self._round_count, mount.round + 1)

    def _cell(self) -> float:
        columns = max(self.rounds(), 1)
        return max(_NARROW, min(_CELL, (self.width() - _LABEL - 6) / columns))

    def centre(self, row: int, column: int) -> QPointF:
        """Where the middle of a place is."""
        return QPointF(_LABEL + self._cell() * (column + 0.42), _HEAD + _ROW * (row + 0.5))

    def _hit(self, point: QPointF) -> tuple[int, int] | None:
        row, column = int((point.y() - _HEAD) // _ROW), int((point.x() - _LABEL) // self._cell())
        if 0 <= row < len(self._candidates()) and 0 <= column < self.rounds():
            return row, column
        return None

    def _scale(self) -> tuple[float, float] | None:
        verdict = self._state.verdict
        values = [] if verdict is None else [r.value for r in verdict.main.readings if r.value is not None]
        if not values:
            return None
        low, high = min(values), max(values)
        room = max(0.08 * (high - low), 0.2)
        return low - room, high + room

    def _foot(self) -> float:
        """How much room the rails' ends take below: two lines of small text."""
        return max(40.0, 2.0 * self.fontMetrics().height() + 6)

    def sizeHint(self) -> QSize:
        return QSize(
            int(_LABEL + _CELL * max(3, self.rounds())),
            int(_HEAD + _ROW * max(1, len(self._candidates())) + self._foot()),
        )

    def minimumSizeHint(self) -> QSize:
        return QSize(
            int(_LABEL + _NARROW * max(4, self.rounds()) + 6),
            int(_HEAD + _ROW * max(1, len(self._candidates())) + self._foot()),
        )

    def _renew(self) -> None:
        self._indexed = None
        mount = self._state.mount()
        if mount is not None:
            names = self._candidates()
            if mount.candidate.name in names:
                self._at = (names.index(mount.candidate.name), mount.round - 1)
        self._speak.start()
        self.updateGeometry()
        self.update()

    def state_of(self, mount: Mount) -> str:
        """A mount's state in a word (`mount_state`)."""
        return mount_state(self._state, mount, self._running[0])

    def show_running(self, mount_id: int | None, share: float) -> None:
        """Show which mount is being recorded, filling up as its run goes; None for none."""
        if (mount_id, share) != self._running:
            self._running = (mount_id, share)
            self.update()

    def spoken(self) -> str:
        """The loom in words, for screen readers."""
        parts = []
        for mount in self._state.mounts():
            reading = self._state.reading(mount.id)
            value = (
                f", {number(reading.value, 1)} {self._unit()}"
                if reading is not None and reading.value is not None
                else ""
            )
            parts.append(
                tr(
                    "{name} round {round}: {state}{value}",
                    name=mount.candidate.name,
                    round=mount.round,
                    state=tr(self.state_of(mount)),
                    value=value,
                )
            )
        return "; ".join(parts) or tr("no mounts yet")

    def _unit(self) -> str:
        return "" if self._state.verdict is None else self._state.verdict.outcome.unit

    # --- painting --------------------------------------------------------------------------------------------------

    def draw(self, painter: QPainter, seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        names, rounds, cell = self._candidates(), self.rounds(), self._cell()
        if not names:
            painter.setPen(t.color("muted"))
            painter.drawText(
                self.rect().adjusted(8, 8, -8, -8),
                Qt.TextFlag.TextWordWrap,
                tr("The loom shows each mount of a study. Start a study, or drop logs here."),
            )
            return
        small = QFont(self.font())
        small.setPointSizeF(self.font().pointSizeF() * 0.86)
        hair = QPen(t.color("hairline"), 1.0)
        bottom, right = _HEAD + _ROW * len(names), _LABEL + cell * rounds
        painter.setFont(small)
        painter.setPen(t.color("muted"))
        painter.drawText(
            QRectF(0, 4, _LABEL - 10, 20), Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter, tr("round")
        )
        for column in range(rounds):
            x = self.centre(0, column).x()
            painter.setPen(hair)
            painter.drawLine(QPointF(x, _HEAD), QPointF(x, bottom - 8))
            painter.setPen(t.color("muted"))
            painter.drawText(QRectF(x - 15, 4, 30, 20), Qt.AlignmentFlag.AlignCenter, str(column + 1))
        scale = self._scale()
        for row, name in enumerate(names):
            m, y = mark(row), self.centre(row, 0).y()
            if y + _ROW < seen.top() or y - _ROW > seen.bottom():
                continue
            painter.setPen(hair)
            painter.drawLine(QPointF(_LABEL - 6, y), QPointF(right, y))
            bold = QFont(self.font())
            bold.setBold(True)
            painter.setFont(bold)
            painter.setPen(tint(m, t))
            text = painter.fontMetrics().elidedText(name, Qt.TextElideMode.ElideRight, int(_LABEL - 12))
            painter.drawText(
                QRectF(0, y - 12, _LABEL - 8, 24), Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter, text
            )
            for column in range(rounds):
                self._paint_crossing(painter, row, column, scale)
        if scale is not None:
            painter.setFont(small)
            painter.setPen(t.color("muted"))
            foot, top = (f"{number(x, 1)} {self._unit()}".rstrip() for x in scale)
            painter.drawText(
                QRectF(0, bottom + 2, self.width() - 4, self._foot() - 4),
                Qt.TextFlag.TextWordWrap,
                tr("rails: {foot} at the foot, {top} at the top", foot=foot, top=top),
            )

    def _paint_crossing(self, painter: QPainter, row: int, column: int, scale: tuple[float, float] | None) -> None:
        t, centre = self._theme, self.centre(row, column)
        mounts = self._mounts_at(row, column)
        if self._drop == (row, column):
            painter.setPen(QPen(t.color("accent"), 1.5, Qt.PenStyle.DashLine))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawRect(QRectF(centre.x() - 16, centre.y() - 22, 44, 44))
        if not mounts:
            painter.setPen(QPen(t.color("muted"), 1.2))
            painter.setBrush(t.color("ground"))
            painter.drawEllipse(centre, 3.2, 3.2)
        for i, mount in enumerate(mounts):
            at = QPointF(centre.x() + 7 * i, centre.y())
            self._paint_mount(painter, mount, row, at, scale, rail=i == len(mounts) - 1)
        if any(m.id == self._state.mount_id for m in mounts):
            painter.setPen(QPen(t.color("accent"), 1.6))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawEllipse(centre, 16, 16)
        if self.hasFocus() and self._at == (row, column):
            painter.setPen(QPen(t.color("ink"), 1.0, Qt.PenStyle.DotLine))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawRect(QRectF(centre.x() - 18, centre.y() - 24, 46, 48))

    def _paint_mount(
        self, painter: QPainter, mount: Mount, row: int, at: QPointF, scale: tuple[float, float] | None, rail: bool
    ) -> None:
        t, state = self._theme, self.state_of(mount)
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(t.color("ground"))
        painter.drawEllipse(at, 10, 10)
        if state in {"to do", "next", "on the bench", "ready to run", "recording", "cut off"}:
            self._paint_coming(painter, state, row, at)
            return
        draw(
            painter,
            mark(row),
            t,
            at,
            7.5,
            filled=state in {"settled", "typed", "level known", "kept"},
            struck=state == "left out",
        )
        if state == "doubtful":
            painter.setPen(t.color("warn"))
            font = QFont(self.font())
            font.setBold(True)
            painter.setFont(font)
            painter.drawText(QRectF(at.x() - 22, at.y() - 24, 14, 18), Qt.AlignmentFlag.AlignCenter, "?")
        reading = self._state.reading(mount.id)
        if scale is None or reading is None or reading.value is None or not rail:
            return
        x, top, foot = at.x() + 19, at.y() - 19, at.y() + 19
        painter.setPen(QPen(t.color("hairline"), 1.4))
        painter.drawLine(QPointF(x, top), QPointF(x, foot))
        for end in (top, foot):
            painter.drawLine(QPointF(x - 2.5, end), QPointF(x + 2.5, end))
        y = foot - (reading.value - scale[0]) / (scale[1] - scale[0]) * (foot - top)
        ink = QColor(t.color("muted" if state == "left out" else "ink"))
        painter.setPen(QPen(ink, 2.4))
        painter.drawLine(QPointF(x - 4.5, y), QPointF(x + 4.5, y))

    def _paint_coming(self, painter: QPainter, state: str, row: int, at: QPointF) -> None:
        """What has no run yet: small; with a dot where it is next, half filled where it is on the bench."""
        t = self._theme
        if state == "recording":
            draw(painter, mark(row), t, at, 7.5, filled=False)
            painter.save()
            height = 17.0 * self._running[1]
            painter.setClipRect(QRectF(at.x() - 10, at.y() + 8.5 - height, 20, height))
            draw(painter, mark(row), t, at, 7.5)
            painter.restore()
            return
        draw(painter, mark(row), t, at, 5.0, filled=False)
        if state == "cut off":
            painter.setPen(QPen(t.color("warn"), 1.6))
            painter.drawLine(QPointF(at.x() - 9, at.y() + 4), QPointF(at.x() + 9, at.y() - 4))
        elif state == "next":
            painter.setPen(Qt.PenStyle.NoPen)
            painter.setBrush(tint(mark(row), t))
            painter.drawEllipse(at, 2.2, 2.2)
        elif state != "to do":
            painter.save()
            painter.setClipRect(QRectF(at.x() - 10, at.y(), 20, 12))
            draw(painter, mark(row), t, at, 5.0)
            painter.restore()
        if state == "ready to run":
            painter.setPen(QPen(t.color("ink"), 1.4))
            painter.drawLine(QPointF(at.x() - 8, at.y() + 10), QPointF(at.x() + 8, at.y() + 10))

    # --- acting ----------------------------------------------------------------------------------------------------

    def mousePressEvent(self, event: QMouseEvent) -> None:
        hit = self._hit(event.position())
        if hit is not None:
            self._at = hit
            self.setFocus(Qt.FocusReason.MouseFocusReason)
            self._open(hit)
            self.update()

    def _open(self, at: tuple[int, int]) -> None:
        mounts = self._mounts_at(*at)
        if mounts:
            self.chosen.emit(mounts[0].id)
        elif self._candidates():
            self.place_chosen.emit(self._candidates()[at[0]], at[1] + 1)

    def focused_mount(self) -> int | None:
        """The mount under the keyboard's mark, None where there is none or the loom has no focus."""
        mounts = self._mounts_at(*self._at) if self.hasFocus() else []
        return mounts[0].id if mounts else None

    def keyPressEvent(self, event: QKeyEvent) -> None:
        moves = {Qt.Key.Key_Left: (0, -1), Qt.Key.Key_Right: (0, 1), Qt.Key.Key_Up: (-1, 0), Qt.Key.Key_Down: (1, 0)}
        key = Qt.Key(event.key())
        if key in moves:
            d = moves[key]
            self._at = (
                min(max(self._at[0] + d[0], 0), max(len(self._candidates()) - 1, 0)),
                min(max(self._at[1] + d[1], 0), max(self.rounds() - 1, 0)),
            )
            self.update()
        elif key in {Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_Space}:
            self._open(self._at)
        else:
            super().keyPressEvent(event)

    def event(self, event: QEvent) -> bool:
        if event.type() == QEvent.Type.ToolTip:
            hit = self._hit(QPointF(event.pos()))  # type: ignore[attr-defined]
            mounts = self._mounts_at(*hit) if hit else []
            text = "\n".join(self._tip(m) for m in mounts) or (tr("no mount yet: drop a log here") if hit else "")
            QToolTip.showText(event.globalPos(), plain_tip(text), self)  # type: ignore[attr-defined]
            return True
        return super().event(event)

    def _tip(self, mount: Mount) -> str:
        reading = self._state.reading(mount.id)
        value = (
            f": {number(reading.value, 2)} ± {number(reading.u95 or 0, 2)} {self._unit()}"
            if reading and reading.value is not None
            else ""
        )
        return tr(
            "{name}, round {round}{value} ({state})",
            name=mount.candidate.name,
            round=mount.round,
            value=value,
            state=tr(self.state_of(mount)),
        )

    def dragEnterEvent(self, event: object) -> None:
        if event.mimeData().hasUrls():  # type: ignore[attr-defined]
            event.acceptProposedAction()  # type: ignore[attr-defined]

    def dragMoveEvent(self, event: object) -> None:
        self._drop = self._hit(event.position())  # type: ignore[attr-defined]
        self.update()
        event.acceptProposedAction()  # type: ignore[attr-defined]

    def dragLeaveEvent(self, _event: object) -> None:
        self._drop = None
        self.update()

    def dropEvent(self, event: object) -> None:
        paths = [u.toLocalFile() for u in event.mimeData().urls() if u.isLocalFile()]  # type: ignore[attr-defined]
        hit, self._drop = self._hit(event.position()), None  # type: ignore[attr-defined]
        self.update()
        candidate = self._candidates()[hit[0]] if hit and self._candidates() else ""
        self.files_dropped.emit(paths, candidate, hit[1] + 1 if hit else 0)
