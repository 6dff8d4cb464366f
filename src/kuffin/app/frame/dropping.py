"""What is dropped on the window: packages, recordings, and all else as logs."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path
from typing import TYPE_CHECKING

from PySide6.QtGui import QDragEnterEvent, QDropEvent

from kuffin.app.acts.packages import PACKAGES
from kuffin.app.acts.soundjobs import sounds_among
from kuffin.app.base.guarded import guarded
from kuffin.app.desks.photos import local_files

if TYPE_CHECKING:
    from kuffin.app.acts.packages import Packages
    from kuffin.app.acts.studies import Studies
    from kuffin.app.desks.inspect.desk import InspectDesk
    from kuffin.app.state.windowstate import State


@guarded
class Dropping:
    """What the main window has of drops; the window gives what takes them."""

    state: State
    inspect: InspectDesk
    packages: Packages
    studies: Studies
    show_desk: Callable[[str], None]

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        self.take_all(local_files(event))

    def take_all(self, files: list[str]) -> None:
        """Take files of any kind, dropped or named when Kuffin was started."""
        for path in (f for f in files if f.lower().endswith(PACKAGES)):
            self.packages.take_in(Path(path))
        self.take_files([f for f in files if not f.lower().endswith(PACKAGES)])

    def take_files(self, files: list[str], candidate: str = "", round_number: int = 0) -> None:
        """Take files: recordings go to the mount they were dropped on, or that is looked at; all else are logs."""
        sounds = sounds_among(files)
        if sounds:
            there = [m.id for m in self.state.mounts() if (m.candidate.name, m.round) == (candidate, round_number)]
            self.show_desk("Inspect")
            self.inspect.add_sounds(sounds, there[0] if there else None)
        if logs := [f for f in files if f not in sounds]:
            self.studies.add_logs(logs, candidate, round_number)
