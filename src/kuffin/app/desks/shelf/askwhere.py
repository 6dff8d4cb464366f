"""Asks where a new instrument is: its folder, port, address or command."""

from __future__ import annotations

from PySide6.QtWidgets import QInputDialog, QWidget

from kuffin.core.base.language import tr
from kuffin.instruments.setup import KINDS


def ask_where(parent: QWidget, kind: str) -> tuple[str, bool]:
    """What was written, and whether it was meant."""
    questions = {
        "serial": (tr("Its port, such as /dev/ttyUSB0:"), "/dev/ttyUSB0"),
        "network": (tr("Its address, as host:port:"), "192.168.0.20:5000"),
        "command": (tr("The command; its output's lines hold the numbers:"), ""),
        "hand": (
            tr("What is typed, with its unit in brackets, such as: infrared spot [°C], score"),
            tr("infrared spot [°C]"),
        ),
        "hwmon": (tr("The folder of the kernel's sensors:"), "/sys/class/hwmon"),
    }
    question, usual = questions[kind]
    return QInputDialog.getText(parent, tr("Add: {kind}", kind=tr(KINDS[kind])), question, text=usual)
