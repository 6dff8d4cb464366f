"""Show working: the panel at the right that says where a number comes from."""

from __future__ import annotations

import html
import re
from collections.abc import Sequence

from PySide6.QtCore import Qt, QUrl, Signal
from PySide6.QtGui import QGuiApplication, QKeyEvent
from PySide6.QtWidgets import QFrame, QHBoxLayout, QPushButton, QTextBrowser, QToolButton, QVBoxLayout

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.texts import Text
from kuffin.core.base.language import tr
from kuffin.core.base.leads import Lead
from kuffin.said.shownworking import Working


def _lines(said: str, symbols: Sequence[str]) -> str:
    """Text with its line ends, and the symbols in it as one writes them: what follows a “_” stands lower."""
    shown = html.escape(said)
    for symbol in sorted((s for s in symbols if "_" in s), key=len, reverse=True):
        stem, _, index = symbol.partition("_")
        lower = f"{stem}<sub>{index.replace('_', ' ')}</sub>"
        shown = re.sub(rf"(?<![\w>]){re.escape(symbol)}(?![A-Za-z0-9_])", lower, shown)
    return shown.replace("\n", "<br>")


@guarded
class WorkingPanel(QFrame):
    """Shows a `Working`; Esc closes it, its links lead on."""

    followed = Signal(object)  # a Lead
    closed = Signal()

    def __init__(self) -> None:
        super().__init__()
        self.setObjectName("working")
        self.setMinimumWidth(290)
        self._leads: list[Lead] = []
        self._working: Working | None = None
        self._history: list[Working] = []
        heading = Text(tr("Show working"))
        heading.setProperty("small", "true")
        self._back = QToolButton()
        self._back.setText(tr("‹ back"))
        self._back.clicked.connect(self.go_back)
        close = QToolButton()
        close.setText(tr("close (Esc)"))
        close.clicked.connect(self.leave)
        row = QHBoxLayout()
        row.addWidget(heading)
        row.addStretch()
        row.addWidget(self._back)
        row.addWidget(close)
        self._title = Text()
        self._title.setWordWrap(True)
        self._title.setProperty("heading", "true")
        self._answer = Text()
        self._answer.setWordWrap(True)
        self._answer.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        self._text = QTextBrowser()
        self._text.setOpenLinks(False)
        self._text.anchorClicked.connect(self._anchor)
        self._text.setAccessibleName(tr("Working"))
        copy = QPushButton(tr("Copy as text"))
        copy.clicked.connect(self._copy)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(16, 12, 12, 12)
        layout.addLayout(row)
        layout.addWidget(self._title)
        layout.addWidget(self._answer)
        layout.addWidget(self._text, 1)
        layout.addWidget(copy, 0, Qt.AlignmentFlag.AlignLeft)

    @property
    def shown(self) -> Working | None:
        """The working on show, or that was last."""
        return self._working

    @property
    def text(self) -> str:
        """What its lines say."""
        return self._text.toPlainText()

    def follow(self, n: int) -> None:
        """Follow the n-th of the leads on show."""
        self.followed.emit(self._leads[n])

    def go_back(self) -> None:
        """Show the working before this one again."""
        if self._history:
            self._set(self._history.pop())

    def show_working(self, working: Working) -> None:
        """Show where a number comes from."""
        if self._working is not None and self.isVisible():
            self._history.append(self._working)
        else:
            self._history.clear()
        self._set(working)
        self.show()

    def _set(self, working: Working) -> None:
        self._working = working
        self._title.setText(working.title)
        self._answer.setText(working.answer)
        muted = self.palette().placeholderText().color().name()
        self._leads = []
        rows = "".join(
            f'<p style="margin:0 0 9px 0"><span style="color:{muted}">{self._leading(row.label, row.lead)}</span><br>'
            f"{_lines(row.text, row.symbols)}</p>"
            for row in working.rows
        )
        rows += "".join(f'<p style="margin:4px 0">{self._leading(k.label, k.to)}</p>' for k in working.links)
        self._text.setHtml(rows)
        self._back.setEnabled(bool(self._history))

    def _leading(self, label: str, lead: Lead | None) -> str:
        """Words that lead on, where they do."""
        if lead is None:
            return html.escape(label)
        self._leads.append(lead)
        return f'<a href="#{len(self._leads) - 1}">{html.escape(label)} ›</a>'

    def _anchor(self, url: QUrl) -> None:
        self.follow(int(url.fragment()))

    def _copy(self) -> None:
        if self._working is not None:
            QGuiApplication.clipboard().setText(self._working.as_text())

    def leave(self) -> None:
        """Close the panel."""
        self._history.clear()
        self.hide()
        self.closed.emit()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() == Qt.Key.Key_Escape:
            self.leave()
        else:
            super().keyPressEvent(event)
