"""A plain table of figures: a name, values to the right, hairlines between groups; no grid of boxes."""

from __future__ import annotations

from collections.abc import Callable, Collection, Mapping, Sequence
from functools import partial

from PySide6.QtCore import QEvent, QSize, Qt
from PySide6.QtGui import QResizeEvent
from PySide6.QtWidgets import QGridLayout, QLabel, QPushButton, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.texts import empty, link_button, no_keys, rule, text
from kuffin.core.base.language import tr

Row = Sequence[str]
_SPACE, _TIGHT_SPACE = 16, 7
# how much room there is for a table: for all on one line, for words wrapped, or so little that figures wrap as well
_WIDE, _NARROW, _TIGHT = 0, 1, 2


@guarded
class FigureTable(QWidget):
    """Rows of text under a head. The last column may be words; the others stand to the right.

    Words stay on one line where there is room for all columns, and wrap where there is not; figures only where even that is too wide.
    """

    def __init__(self, name: str) -> None:
        super().__init__()
        self.setAccessibleName(name)
        self.cells: list[list[str]] = []  # head and rows, as they are shown
        self._words: set[int] = set()  # columns that wrap where there is too little room
        self._fixed: set[int] = set()  # columns that have buttons, which break between figures only
        self._opens: dict[int, Callable[[int], None]] = {}
        self._shape: object = None  # what the cells were laid out for: they are filled anew where it stays
        self._buttons: list[tuple[QPushButton, int, int]] = []  # with their rows in `cells`, and columns
        self._takes_rest: int | None = None
        self._labels: list[tuple[QLabel, int, int]] = []
        self._measured: dict[
            tuple[str, int, int], int
        ] = {}  # widths, by font, column and room: a layout asks for them over and over
        self._grid = QGridLayout(self)
        self._grid.setContentsMargins(0, 0, 0, 4)
        self._grid.setHorizontalSpacing(_SPACE)
        self._grid.setVerticalSpacing(3)

    def show_rows(
        self,
        head: Row,
        rows: Sequence[Row],
        *,
        words: bool = False,
        left: Collection[int] = (),
        opens: Mapping[int, Callable[[int], None]] | None = None,
    ) -> None:
        """Show rows.

        Parameters
        ----------
        words : bool
            Whether the last column is words that wrap.
        left : collection of int
            Further columns that are words.
        opens : mapping of column to callable, optional
            Columns whose figures open something: called with the row's number.
        """
        self._opens = dict(opens or {})
        open_up = tuple(tuple(i in self._opens and said not in {"", "–"} for i, said in enumerate(row)) for row in rows)
        self.cells = [list(head), *(list(row) for row in rows)]
        self._measured = {}
        shape = len(head), words, frozenset(left), frozenset(self._opens), open_up
        if shape != self._shape:
            self._shape = shape
            self._build(len(head), words, left, open_up)
        self._fill()
        self._share()

    def _build(self, columns: int, words: bool, left: Collection[int], open_up: Sequence[Sequence[bool]]) -> None:
        """Lay the cells out, empty: a label each, or a button where its figure opens something."""
        empty(self._grid)
        self._labels, self._buttons, self._fixed = [], [], set()
        self._words = {i for i in {0, *left} if i not in self._opens}
        self._takes_rest = columns - 1 if words else None
        for i in range(columns):
            label = text(style="small")
            label.setAlignment(self._side(i, columns, words, left))
            self._labels.append((label, 0, i))
            self._grid.addWidget(label, 0, i)
        self._grid.addWidget(rule(), 1, 0, 1, columns)
        for r, row in enumerate(open_up):
            for i, opens in enumerate(row):
                if opens:
                    button = link_button("")
                    button.clicked.connect(partial(self._open, i, r))
                    button.setProperty("working", "true")
                    self._fixed.add(i)
                    self._buttons.append((button, r + 1, i))
                    self._grid.addWidget(button, r + 2, i, self._side(i, columns, words, left))
                    continue
                last = words and i == columns - 1
                label = text(style="muted" if i == 0 or last else None, wrap=last or i in self._words)
                label.setAlignment(self._side(i, columns, words, left))
                self._labels.append((label, r + 1, i))
                self._grid.addWidget(label, r + 2, i)

    def _fill(self) -> None:
        for label, r, i in self._labels:
            label.setText(self.cells[r][i])
        for button, r, i in self._buttons:
            name, said = self.cells[r][0], self.cells[r][i]
            button.setAccessibleName(tr("{row}: {told}; show its working", row=name, told=said))

    def _open(self, column: int, row: int, _checked: bool = False) -> None:
        self._opens[column](row)

    def minimumSizeHint(self) -> QSize:
        """As narrow as it gets with all wrapped that can be."""
        return QSize(self._whole(_TIGHT), super().minimumSizeHint().height())

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._share()

    def changeEvent(self, event: QEvent) -> None:
        super().changeEvent(event)
        if event.type() == QEvent.Type.FontChange:
            self._share()

    def _share(self) -> None:
        """Give each column its width: words all they ask for, or what is left."""
        columns = len(self.cells[0]) if self.cells else 0
        room = next((r for r in (_WIDE, _NARROW) if self._whole(r) <= self.width()), _TIGHT)
        for button, r, i in self._buttons:
            said = self.cells[r][i]
            button.setText(no_keys("\n".join(_broken(said)) if room == _TIGHT else said))
        for label, _, column in self._labels:
            wraps = self._wraps(column, room) or (room != _WIDE and label.property("small") is not None)
            label.setWordWrap(wraps or column == self._takes_rest)
        self._grid.setHorizontalSpacing(_TIGHT_SPACE if room == _TIGHT else _SPACE)
        for i in range(12):
            self._grid.setColumnMinimumWidth(i, self._width(i, room))
            grows = i == self._takes_rest or (room != _WIDE and i > 0 and self._wraps(i, room))
            self._grid.setColumnStretch(i, self._longest(i) if grows else 0)  # who has more to say gets more room
        if self._takes_rest is None and (room == _WIDE or not self._words):
            self._grid.setColumnStretch(columns, 1)

    def _longest(self, column: int) -> int:
        """The longest cell of a column on one line, in tens of px."""
        if not self.cells or column >= len(self.cells[0]):
            return 0
        return 1 + max(self.fontMetrics().horizontalAdvance(row[column]) for row in self.cells) // 10

    def _whole(self, room: int) -> int:
        """What the table takes with so much room, px."""
        columns = len(self.cells[0]) if self.cells else 0
        space = _TIGHT_SPACE if room == _TIGHT else _SPACE
        return sum(self._width(i, room) for i in range(columns)) + space * max(columns - 1, 0)

    def _wraps(self, column: int, room: int) -> bool:
        """Whether the cells of a column wrap."""
        return (room >= _NARROW and column in self._words) or (room == _TIGHT and column not in self._fixed)

    def _width(self, column: int, room: int) -> int:
        """What a column takes, px: its longest cell, or the longest word of what wraps."""
        if not self.cells or column >= len(self.cells[0]):
            return 0
        key = self.font().key(), column, room
        if key not in self._measured:
            self._measured[key] = self._measure(column, room)
        return self._measured[key]

    def _measure(self, column: int, room: int) -> int:
        metrics, rest = self.fontMetrics(), column == self._takes_rest
        head, *cells = (row[column] for row in self.cells)
        pieces = head.split() if room != _WIDE or rest else [head]
        for cell in cells:
            if rest or self._wraps(column, room):
                pieces += cell.split()
            else:
                pieces += _broken(cell) if room == _TIGHT else [cell]
        return max((metrics.horizontalAdvance(p) for p in pieces), default=0) + 2

    @staticmethod
    def _side(i: int, columns: int, words: bool, left: Collection[int]) -> Qt.AlignmentFlag:
        at_left = i == 0 or i in left or (words and i == columns - 1)
        return (Qt.AlignmentFlag.AlignLeft if at_left else Qt.AlignmentFlag.AlignRight) | Qt.AlignmentFlag.AlignTop


def _broken(said: str) -> list[str]:
    """A button's figures in lines, where there is little room: between figures, and before an interval.

    >>> _broken("Reed 40.1; Rush 38.2 K (37.9 to 38.5)")
    ['Reed 40.1;', 'Rush 38.2 K', '(37.9 to 38.5)']
    """
    return said.replace("; ", ";\n").replace(" (", "\n(").split("\n")
