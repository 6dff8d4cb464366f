"""What stands there while Kuffin wakes up: the question and the verdict as they were last kept, in the window's own place."""

from __future__ import annotations

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QLabel, QVBoxLayout, QWidget

from kuffin.app.base.settings import Settings
from kuffin.app.look import theme as looks
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.fewlines import FewLines
from kuffin.app.widgets.texts import rule, text
from kuffin.core.base.language import tr

_KEPT = ("path", "question", "verdict")
_MOST = 2000  # letters of each


def keep_for_start(settings: Settings, path: str, question: str, verdict: str) -> None:
    """Keep what the next start shows at once; blanks where nothing is open."""
    for key, said in zip(_KEPT, (path, question, verdict), strict=True):
        settings.set_value(f"kept/{key}", said[:_MOST])


class EarlyWindow(QWidget):
    """It needs none of what takes its time to load, is gone when the window is there, and takes no input."""

    def __init__(self, settings: Settings, theme: Theme, scale: float, path: str | None) -> None:
        super().__init__()
        kept = {key: settings.value(f"kept/{key}", "") for key in _KEPT}
        known = bool(kept["path"]) and kept["path"] == path
        self.setWindowTitle("Kuffin")
        self.setStyleSheet(looks.sheet(theme, scale))
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self.resize(1280, 800)
        self.question = FewLines(1)
        self.question.setObjectName("question")
        self.question.setText(kept["question"] if known else "")
        self.verdict = FewLines(2)
        self.verdict.setObjectName("verdict")
        self.verdict.setText(kept["verdict"] if known else "")
        self.state: QLabel = text(tr("as last kept; opening …") if known else tr("opening …"), style="muted")
        layout = QVBoxLayout(self)
        layout.setContentsMargins(24, 28, 20, 6)
        layout.setSpacing(5)
        for widget in (self.question, self.verdict, rule(), self.state):
            layout.addWidget(widget)
        layout.addStretch(1)
        geometry = settings.layout("geometry")
        if geometry is not None:
            self.restoreGeometry(geometry)
