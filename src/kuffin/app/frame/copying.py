"""Copying what one sees: a table as text and HTML, a picture as PNG or SVG, a sentence; by Ctrl+C or a right click."""

from __future__ import annotations

import html
from collections.abc import Callable, Sequence
from functools import partial
from pathlib import Path

from PySide6.QtCore import QBuffer, QByteArray, QMimeData, QPoint, QSize
from PySide6.QtGui import QImage, QPainter
from PySide6.QtWidgets import QApplication, QFileDialog, QLabel, QMenu, QPushButton, QTableWidget, QWidget

from kuffin.app.base.settings import documents
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.painted import Painted
from kuffin.core.base.csvtext import cell
from kuffin.core.base.language import speaks_english, tr

_SHARPER = 2.0  # pixels of a copied picture for each of the screen's
Cells = Sequence[Sequence[str]]


def cells_of(widget: QWidget) -> list[list[str]] | None:
    """A table's head and rows as text; None where it is none."""
    if isinstance(widget, FigureTable):
        return widget.cells
    if not isinstance(widget, QTableWidget):
        return None
    columns = [c for c in range(widget.columnCount()) if not widget.isColumnHidden(c)]

    def head(column: int) -> str:
        item = widget.horizontalHeaderItem(column)
        return "" if item is None else item.text()

    def told(row: int, column: int) -> str:
        item, inside = widget.item(row, column), widget.cellWidget(row, column)
        if item is not None:
            return item.text()
        return inside.text() if isinstance(inside, (QLabel, QPushButton)) else ""

    rows = [r for r in range(widget.rowCount()) if not widget.isRowHidden(r)]
    return [[head(c) for c in columns], *([told(r, c) for c in columns] for r in rows)]


def table_data(cells: Cells) -> QMimeData:
    """A table for the clipboard: HTML, and text with tabs between its cells; what is in them stays text.

    >>> table_data([["name", "K"], ["=Reed", "1.2"]]).text()
    "name\\tK\\n'=Reed\\t1.2"
    """
    data = QMimeData()
    head, *rows = [[html.escape(c) for c in row] for row in cells]
    body = "".join(f"<tr>{''.join(f'<td>{c}</td>' for c in row)}</tr>" for row in rows)
    heads = "".join(f"<th>{c}</th>" for c in head)
    data.setHtml(f"<table><thead><tr>{heads}</tr></thead><tbody>{body}</tbody></table>")
    data.setText("\n".join("\t".join(_as_text(c) for c in row) for row in cells))
    return data


def _as_text(said: str) -> str:
    """A cell on one line that a spreadsheet takes for no formula; an interval's own minus is none."""
    flat = " ".join(said.split())
    return flat if flat.startswith("−") else str(cell(flat))


def picture_of(widget: QWidget) -> QImage:
    """A picture as it is shown, twice as sharp."""
    image = QImage(widget.size() * _SHARPER, QImage.Format.Format_ARGB32)
    image.setDevicePixelRatio(_SHARPER)
    image.fill(widget.palette().window().color())
    widget.render(image)
    return image


def svg_of(widget: QWidget) -> bytes:
    """A picture as SVG, as it is shown."""
    from PySide6.QtSvg import QSvgGenerator

    kept = QByteArray()
    buffer = QBuffer(kept)
    made = QSvgGenerator()
    made.setOutputDevice(buffer)
    made.setSize(QSize(widget.size()))
    made.setViewBox(widget.rect())
    made.setTitle(widget.accessibleName())
    painter = QPainter(made)
    widget.render(painter, QPoint(0, 0))
    painter.end()
    return bytes(kept.data())


def is_picture(widget: QWidget) -> bool:
    """Whether a widget is a picture: one that is painted, or a plot."""
    return isinstance(widget, Painted) or hasattr(widget, "show_view")


class Copier:
    """What of a window can be copied, and how.

    Parameters
    ----------
    state : State
        Tells the person what was done.
    explain : callable
        Shows what a word means.
    """

    def __init__(self, window: QWidget, state: State, explain: Callable[[str], object]) -> None:
        self._window, self._state, self._explain = window, state, explain

    def copy_focused(self) -> None:
        """Copy what has the keyboard: its table, its picture, or its sentence."""
        widget = QApplication.focusWidget()
        acts = self.acts_for(widget)
        if acts:
            acts[0][1]()
        else:
            self._state.said.emit(
                tr("nothing here can be copied: click into a table or a picture first, or use the right button")
            )

    def show_menu(self, widget: QWidget | None, at: QPoint) -> None:
        """Offer what can be done with what is under the pointer."""
        acts = self.acts_for(widget)
        if not acts:
            return
        menu = QMenu(self._window)
        for label, act in acts:
            menu.addAction(label).triggered.connect(lambda _on=False, a=act: a())
        menu.exec(at)

    def acts_for(self, widget: QWidget | None) -> list[tuple[str, Callable[[], None]]]:
        """What can be copied of a widget or of what it stands in, the nearest first."""
        acts: list[tuple[str, Callable[[], None]]] = []
        one = widget
        while one is not None and one is not self._window:
            cells = cells_of(one)
            if cells:
                acts.append((tr("Copy the table"), partial(self._copy_table, cells)))
                break
            if is_picture(one):
                acts += [
                    (tr("Copy the picture"), partial(self._copy_picture, one)),
                    (tr("Picture as PNG …"), partial(self._write, one, ".png")),
                    (tr("Picture as SVG …"), partial(self._write, one, ".svg")),
                ]
                break
            one = one.parentWidget()
        if isinstance(widget, (QLabel, QPushButton)) and widget.text().strip():
            said = widget.text().replace("&&", "&") if isinstance(widget, QPushButton) else widget.text()
            acts.append((tr("Copy these words"), partial(self._copy_words, said)))
            from kuffin.app.help.helpwindow import terms_in

            for word in terms_in(said)[:4]:
                called = word.lower() if speaks_english() else tr(word)
                acts.append((tr("What does “{w}” mean?", w=called), partial(self._asked, word)))
        return acts

    def _asked(self, word: str) -> None:
        self._explain(word)

    def _copy_table(self, cells: Cells) -> None:
        QApplication.clipboard().setMimeData(table_data(cells))
        self._state.said.emit(tr("the table is copied, {cells} rows", cells=len(cells) - 1))

    def _copy_words(self, said: str) -> None:
        QApplication.clipboard().setText(said)
        self._state.said.emit(tr("the words are copied"))

    def _copy_picture(self, widget: QWidget) -> None:
        QApplication.clipboard().setImage(picture_of(widget))
        self._state.said.emit(tr("the picture is copied"))

    def _write(self, widget: QWidget, ending: str) -> None:
        name = f"{widget.accessibleName() or 'picture'}{ending}".replace("/", " ")
        asked, _ = QFileDialog.getSaveFileName(self._window, tr("Write out"), str(documents() / name), f"*{ending}")
        if not asked:
            return
        path = Path(asked if asked.endswith(ending) else asked + ending)
        try:
            if ending == ".svg":
                path.write_bytes(svg_of(widget))
            elif not picture_of(widget).save(str(path)):
                raise OSError(tr("the folder cannot be written"))
        except OSError as error:
            self._state.trouble.emit(
                tr("{name} could not be written: {strerror}", name=path.name, strerror=error.strerror or error)
            )
            return
        self._state.wrote.emit(path.parent, path.name, "")
