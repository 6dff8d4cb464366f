"""Writing a sheet for the bench: a PDF, off the window's thread."""

from __future__ import annotations

from pathlib import Path

from PySide6.QtWidgets import QFileDialog, QWidget

from kuffin.app.base.settings import documents
from kuffin.app.state.windowstate import State
from kuffin.core.base.wholefile import write_whole


def ask_sheet(state: State, parent: QWidget, name: str, html: str) -> None:
    """Ask where a sheet goes, and write it."""
    at = documents() / f"{name.replace('/', ' ')}.pdf"
    path, _ = QFileDialog.getSaveFileName(parent, "Sheet to print", str(at), "*.pdf")
    if path:
        write_sheet(state, Path(path if path.endswith(".pdf") else path + ".pdf"), html)


def write_sheet(state: State, path: Path, html: str) -> None:
    """Write a sheet as PDF."""

    def work(_job: object) -> None:
        from kuffin.publish.page.writing import page_pdf

        write_whole(path, page_pdf(html))

    def done(_: object) -> None:
        state.wrote.emit(path.parent, path.name, "")

    state.jobs.start(f"setting {path.name}", work, done, state.trouble.emit)
