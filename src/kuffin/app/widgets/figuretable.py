"""A plain table of figures: a name, values to the right, hairlines between groups; no grid of boxes."""

from __future__ import annotations

from collections.abc import Callable, Collection, Mapping, Sequence
from functools import partial

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QGridLayout, QWidget

from kuffin.app.widgets.texts import empty, link_button, rule, text

Row = Sequence[str]


class FigureTable(QWidget):
    """Rows of text under a head. The last column may be words; the others stand to the right."""

    def __init__(self, name: str) -> None:
        super().__init__()
        self.setAccessibleName(name)
        self.cells: list[list[str]] = []  # head and rows, as they are shown
        self._grid = QGridLayout(self)
        self._grid.setContentsMargins(0, 0, 0, 4)
        self._grid.setHorizontalSpacing(16)
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
        empty(self._grid)
        self.cells = [list(head), *(list(row) for row in rows)]
        columns = len(head)
        for i, said in enumerate(head):
            label = text(said, style="small", wrap=False)
            label.setAlignment(self._side(i, columns, words, left))
            self._grid.addWidget(label, 0, i)
        self._grid.addWidget(rule(), 1, 0, 1, columns)
        for r, row in enumerate(rows):
            for i, said in enumerate(row):
                act = None if opens is None else opens.get(i)
                if act is not None and said not in {"", "–"}:
                    button = link_button(said, f"{row[0]}: {said}; show its working")
                    button.clicked.connect(partial(_open, act, r))
                    button.setProperty("working", "true")
                    self._grid.addWidget(button, r + 2, i, self._side(i, columns, words, left))
                    continue
                last = words and i == columns - 1
                label = text(
                    said, style="muted" if i == 0 or last else None, wrap=last or (i in left and len(said) > 34)
                )
                label.setAlignment(self._side(i, columns, words, left))
                self._grid.addWidget(label, r + 2, i)
        for i in range(12):
            self._grid.setColumnStretch(i, 0)
        self._grid.setColumnStretch(columns - 1 if words else columns, 1)
        for i in left:
            if any(len(row[i]) > 34 for row in rows):
                self._grid.setColumnStretch(i, 1)

    @staticmethod
    def _side(i: int, columns: int, words: bool, left: Collection[int]) -> Qt.AlignmentFlag:
        at_left = i == 0 or i in left or (words and i == columns - 1)
        return (Qt.AlignmentFlag.AlignLeft if at_left else Qt.AlignmentFlag.AlignRight) | Qt.AlignmentFlag.AlignTop


def _open(act: Callable[[int], None], row: int, _checked: bool = False) -> None:
    act(row)
