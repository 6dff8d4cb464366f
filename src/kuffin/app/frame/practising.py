"""Practising a whole study: how many candidates and hours, then the panel that stays beside the window."""

from __future__ import annotations

import secrets
from functools import partial
from pathlib import Path
from typing import TYPE_CHECKING

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QInputDialog

from kuffin.app.dialogs.practisestudy import PractiseStudy
from kuffin.core.base.language import tr
from kuffin.demo.wholestudy import HOURS, NAMES, build_whole_study

if TYPE_CHECKING:
    from kuffin.app.frame.window import MainWindow

_USUAL_HOURS = 24


def practise_study(window: MainWindow) -> None:
    """Show the panel of the practice study that is open; else ask for the little that a new one needs, and begin it."""
    study = window.state.study
    if study is not None and study.plan.get("practice"):
        show_panel(window)
        return
    candidates, ok = QInputDialog.getInt(window, tr("Practise a whole study"), tr("Candidates:"), 3, 2, len(NAMES))
    if not ok:
        return
    least, most = (int(h) for h in HOURS)
    hours, ok = QInputDialog.getInt(
        window, tr("Practise a whole study"), tr("Hours there are for it:"), _USUAL_HOURS, least, most
    )
    if ok:
        begin(window, secrets.randbelow(2**31), candidates, hours)


def begin(window: MainWindow, seed: int, candidates: int, hours: float) -> None:
    """Open a fresh practice study, with its panel."""
    build = partial(_build, seed=seed, candidates=candidates, hours=hours)

    def ready(_path: object) -> None:
        window.show_desk("Plan")
        show_panel(window)

    window.notebooks.open_practice(ready, build)


def _build(path: Path, seed: int, candidates: int, hours: float) -> None:
    build_whole_study(path, seed, candidates, hours)


def show_panel(window: MainWindow) -> PractiseStudy:
    """The panel; the one that is there already, or a new one."""
    panel = window.findChild(PractiseStudy)
    if panel is None:
        panel = PractiseStudy(window.state, window)
        panel.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
    panel.show()
    panel.raise_()
    return panel
