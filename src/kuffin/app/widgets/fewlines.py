"""A sentence on so many lines at most: what does not fit is cut with an ellipsis, and the whole of it is a click away."""

from __future__ import annotations

from PySide6.QtCore import QEvent, QPointF, QSize, Qt
from PySide6.QtGui import QFontMetricsF, QPainter, QPaintEvent, QResizeEvent, QTextLayout, QTextOption
from PySide6.QtWidgets import QSizePolicy, QStyle, QStyleOptionFrame

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.texts import Opener, plain_tip
from kuffin.core.base.language import tr

_MORE = "…"


@guarded
class FewLines(Opener):
    """Text that is read whole by `text()`, a tool tip and a screen reader, and shown on a few lines.

    Parameters
    ----------
    lines : int
        At most.
    tail : str
        What stands behind it, in the link's colour, such as ``why ›``.
    opens : bool
        Whether a click opens something.
    """

    def __init__(self, lines: int, tail: str = "", *, opens: bool = False) -> None:
        self._lines, self._tail, self._opens = lines, tail, opens
        super().__init__()
        if not opens:
            self.setFocusPolicy(Qt.FocusPolicy.NoFocus)
            self.unsetCursor()
        wide = QSizePolicy.Policy.Preferred if lines == 1 else QSizePolicy.Policy.Ignored
        self.setSizePolicy(wide, QSizePolicy.Policy.Fixed)

    def setText(self, content: str) -> None:
        super().setText(content)
        self._tell()
        self.updateGeometry()

    def shown(self, width: float | None = None) -> list[str]:
        """The lines as they are shown, the tail left out."""
        metrics, wide = QFontMetricsF(self.font()), width or max(self.contentsRect().width(), 1)
        tail = metrics.horizontalAdvance(f" {self._tail}") if self._tail else 0.0
        rest = self.text()
        out: list[str] = []
        while rest and len(out) < self._lines - 1:
            first = _first_line(rest, self, wide)
            if first == rest and metrics.horizontalAdvance(rest) + tail <= wide:
                break
            out.append(first.rstrip())
            rest = rest[len(first) :]
        if rest or not out:
            out.append(metrics.elidedText(rest, Qt.TextElideMode.ElideRight, max(wide - tail, 1)))
        return out

    def is_cut(self) -> bool:
        """Whether some of the text is not shown."""
        return any(line.endswith(_MORE) for line in self.shown()) and not self.text().endswith(_MORE)

    def sizeHint(self) -> QSize:
        whole = self.fontMetrics().horizontalAdvance(f"{self.text()} {self._tail}") + 8
        return QSize(whole if self._lines == 1 else 200, self.heightForWidth(max(self.width(), 200)))

    def minimumSizeHint(self) -> QSize:
        return QSize(0, self.fontMetrics().height() + 2)

    def hasHeightForWidth(self) -> bool:
        return True

    def heightForWidth(self, width: int) -> int:
        lines = max(len(self.shown(max(width - 2, 1))), 1)
        return int(lines * QFontMetricsF(self.font()).lineSpacing() + 3)

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._tell()
        self.setFixedHeight(self.heightForWidth(event.size().width()))

    def changeEvent(self, event: QEvent) -> None:
        super().changeEvent(event)
        if event.type() in {QEvent.Type.FontChange, QEvent.Type.StyleChange}:
            self._tell()
            self.updateGeometry()

    def _tell(self) -> None:
        more = tr("Click, or F1: show the working") if self._opens else ""
        self.setToolTip(plain_tip(self.text() if self.is_cut() else more))
        if self.width() > 1:
            self.setFixedHeight(self.heightForWidth(self.width()))

    def paintEvent(self, _event: QPaintEvent) -> None:
        painter = QPainter(self)
        option = QStyleOptionFrame()
        self.initStyleOption(option)
        self.style().drawPrimitive(QStyle.PrimitiveElement.PE_Widget, option, painter, self)
        metrics, inside = QFontMetricsF(self.font()), self.contentsRect()
        painter.setFont(self.font())
        right = bool(self.alignment() & Qt.AlignmentFlag.AlignRight)
        lines = self.shown()
        y = inside.top() + (inside.height() - len(lines) * metrics.lineSpacing()) / 2 + metrics.ascent()
        for i, line in enumerate(lines):
            x = inside.right() - metrics.horizontalAdvance(line) if right else float(inside.left())
            painter.setPen(self.palette().windowText().color())
            painter.drawText(QPointF(x, y), line)
            if self._tail and i == len(lines) - 1:
                painter.setPen(self.palette().link().color())
                painter.drawText(QPointF(x + metrics.horizontalAdvance(f"{line} "), y), self._tail)
            y += metrics.lineSpacing()
        painter.end()


def _first_line(content: str, label: FewLines, width: float) -> str:
    """What of a text fits on one line, broken between words."""
    layout = QTextLayout(content, label.font())
    option = QTextOption()
    option.setWrapMode(QTextOption.WrapMode.WordWrap)
    layout.setTextOption(option)
    layout.beginLayout()
    line = layout.createLine()
    line.setLineWidth(width)
    length = line.textLength()
    layout.endLayout()
    return content[: max(length, 1)]
