"""What a run's channels are: roles that can be changed after a log was added."""

from __future__ import annotations

from PySide6.QtWidgets import QCheckBox, QDialog, QDialogButtonBox, QGridLayout, QScrollArea, QVBoxLayout, QWidget

from kuffin.app.dialogs.incoming import device_box, role_box
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.units import shown
from kuffin.core.bench.roles import ROLES
from kuffin.notebook.entities import Run

HOW_ROLES_COUNT = mark(
    "Several dies of one device, and several air probes, count as their mean, and limits watch the hottest; of every other role the "
    "first channel is used. A channel that is the largest or the mean of others needs no role."
)


class Channels(QDialog):
    """A role for each channel of a run."""

    def __init__(self, run: Run, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Channels of {source}", source=run.source or tr("this run")))
        open_at(self, 660, 520)
        self._boxes = {}
        self.device_boxes = {}
        inner = QWidget()
        grid = QGridLayout(inner)
        for row, channel in enumerate(run.channels):
            box = role_box(channel.role)
            box.setAccessibleName(tr("Role of {name}", name=channel.name))
            self._boxes[channel.name] = box
            grid.addWidget(text(channel.name, wrap=False), row, 0)
            grid.addWidget(text(shown(channel.unit) or tr("no unit"), style="muted", wrap=False), row, 1)
            whose = device_box(channel.device, channel.name, [c.device for c in run.channels if c.device])
            box.currentIndexChanged.connect(
                lambda _, b=box, d=whose: d.setVisible(b.currentData() in ROLES and ROLES[b.currentData()].of_device)
            )
            whose.setVisible(channel.role in ROLES and ROLES[channel.role].of_device)
            self.device_boxes[channel.name] = whose
            grid.addWidget(box, row, 2)
            grid.addWidget(whose, row, 3)
        grid.setRowStretch(len(run.channels), 1)
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(inner)
        self.alike = QCheckBox(tr("for all logs of this notebook with these columns, and for those to come"))
        self.alike.setChecked(True)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Ok | QDialogButtonBox.StandardButton.Cancel)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout = QVBoxLayout(self)
        layout.addWidget(text(tr(HOW_ROLES_COUNT), style="small"))
        layout.addWidget(self.alike)
        layout.addWidget(scroll, 1)
        layout.addWidget(buttons)

    def roles(self) -> dict[str, str | None]:
        """The chosen roles by channel."""
        return {name: box.currentData() for name, box in self._boxes.items()}

    def devices(self) -> dict[str, str | None]:
        """Whose each channel is."""
        return {name: " ".join(box.currentText().split()) or None for name, box in self.device_boxes.items()}
