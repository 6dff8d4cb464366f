"""Sheets for the bench: as a PDF where one asks, or opened at once to be printed; set off the window's thread."""

from __future__ import annotations

import tempfile
from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import QUrl
from PySide6.QtGui import QDesktopServices
from PySide6.QtWidgets import QFileDialog, QPushButton, QWidget

from kuffin.app.base.settings import documents
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import button
from kuffin.core.base.language import tr
from kuffin.core.base.wholefile import write_whole

Sheet = tuple[str, str]  # its name and its HTML


def sheet_buttons(state: State, parent: QWidget, sheet: Callable[[], Sheet | None]) -> tuple[QPushButton, QPushButton]:
    """Print and Sheet as PDF, of a sheet that is made when it is asked for; None: there is none, which has been said."""
    return (
        button(
            tr("Print …"),
            lambda: _with(sheet, lambda s: open_sheet(state, *s)),
            tr("Opens the sheet, to be printed there"),
        ),
        button(tr("Sheet as PDF …"), lambda: _with(sheet, lambda s: _ask_sheet(state, parent, *s))),
    )


def _with(sheet: Callable[[], Sheet | None], act: Callable[[Sheet], None]) -> None:
    made = sheet()
    if made is not None:
        act(made)


def _file_name(name: str) -> str:
    return f"{name.replace('/', ' ')}.pdf"


def _ask_sheet(state: State, parent: QWidget, name: str, html: str) -> None:
    path, _ = QFileDialog.getSaveFileName(parent, tr("Sheet as PDF"), str(documents() / _file_name(name)), "*.pdf")
    if path:
        target = Path(path if path.endswith(".pdf") else path + ".pdf")
        _set(state, target, html, lambda: state.wrote.emit(target.parent, target.name, ""))


def open_sheet(state: State, name: str, html: str) -> None:
    """Open a sheet with the program that the desktop has for PDF, from where it is printed."""
    path = Path(tempfile.mkdtemp(prefix="kuffin-")) / _file_name(name)

    def opened() -> None:
        if QDesktopServices.openUrl(QUrl.fromLocalFile(str(path))):
            state.said.emit(tr("{name} is open: print it there", name=path.name))
        else:
            state.trouble.emit(tr("the desktop has no program that opens PDF; the sheet is {path}", path=path))

    _set(state, path, html, opened)


def _set(state: State, path: Path, html: str, done: Callable[[], None]) -> None:
    def work(_job: object) -> None:
        from kuffin.publish.page.writing import page_pdf

        write_whole(path, page_pdf(html))

    state.jobs.start(tr("setting {name}", name=path.name), work, lambda _: done(), state.trouble.emit)
