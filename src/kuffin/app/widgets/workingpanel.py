"""Show working: the panel at the right that says where a number comes from."""

from __future__ import annotations

import html

from PySide6.QtCore import Qt, QUrl, Signal
from PySide6.QtGui import QGuiApplication, QKeyEvent
from PySide6.QtWidgets import QFrame, QHBoxLayout, QPushButton, QTextBrowser, QToolButton, QVBoxLayout

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.texts import Text
from kuffin.said.working import Link, Working


def _lines(said: str) -> str:
    return html.escape(said).replace("\n", "<br>")


@guarded
class WorkingPanel(QFrame):
    """Shows a `Working`; Esc closes it, its links lead on."""

    followed = Signal(object)  # a Link
    closed = Signal()

    def __init__(self) -> None:
        super().__init__()
        self.setObjectName("working")
        self.setMinimumWidth(290)
        self._links: list[Link] = []
        self._working: Working | None = None
        self._history: list[Working] = []
        heading = Text("Show working")
        heading.setProperty("small", "true")
        self._back = QToolButton()
        self._back.setText("‹ back")
        self._back.clicked.connect(self._go_back)
        close = QToolButton()
        close.setText("close (Esc)")
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
        self._text.setAccessibleName("Working")
        copy = QPushButton("Copy as text")
        copy.clicked.connect(self._copy)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(16, 12, 12, 12)
        layout.addLayout(row)
        layout.addWidget(self._title)
        layout.addWidget(self._answer)
        layout.addWidget(self._text, 1)
        layout.addWidget(copy, 0, Qt.AlignmentFlag.AlignLeft)

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
        rows = "".join(
            f'<p style="margin:0 0 9px 0"><span style="color:{muted}">{html.escape(a)}</span><br>{_lines(b)}</p>'
            for a, b in working.lines
        )
        self._links = working.links
        rows += "".join(
            f'<p style="margin:4px 0"><a href="#{i}">{html.escape(link.label)} ›</a></p>'
            for i, link in enumerate(working.links)
        )
        self._text.setHtml(rows)
        self._back.setEnabled(bool(self._history))

    def _anchor(self, url: QUrl) -> None:
        self.followed.emit(self._links[int(url.fragment())])

    def _go_back(self) -> None:
        if self._history:
            self._set(self._history.pop())

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
