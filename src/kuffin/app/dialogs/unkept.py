"""The last rows of a run wait for room on the disk: said until they are kept, with the way out."""

from __future__ import annotations

from PySide6.QtWidgets import QMessageBox, QWidget

from kuffin.app.state.running import Running
from kuffin.app.widgets.messages import message
from kuffin.core.base.language import tr


class Unkept:
    """Opens a box when a run's end cannot be kept, and closes it by itself once it can."""

    def __init__(self, running: Running, parent: QWidget) -> None:
        self._running, self._parent = running, parent
        self.box: QMessageBox | None = None
        running.unkept.connect(self._heard)

    def _heard(self, words: str) -> None:
        if not words:
            if self.box is not None:
                self.box.done(0)
                self.box = None
            return
        if self.box is None:
            self.box = message(self._parent, tr("The end of the run is not kept yet"), "")
            self.box.setIcon(QMessageBox.Icon.Warning)
            elsewhere = self.box.addButton(tr("Write it elsewhere"), QMessageBox.ButtonRole.ActionRole)
            elsewhere.clicked.connect(self._running.write_elsewhere)
            self.box.setText(tr("What was recorded is safe in memory while this window is open."))
        said = words[:1].upper() + words[1:]
        self.box.setInformativeText(
            tr(
                "{told}. Make room: it is tried again by itself, and this closes. Or have it "
                "written elsewhere as a log.",
                told=said,
            )
        )
        self.box.open()
