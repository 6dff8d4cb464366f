"""In words: two or three sentences for each pair and claim, to be printed as they are."""

from __future__ import annotations

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QApplication, QVBoxLayout, QWidget

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import button, row
from kuffin.app.widgets.texts import empty, text
from kuffin.core.base.language import mark, tr
from kuffin.said.sentences import paragraphs

_PURPOSE = mark("Words writes what may be said of each pair and claim, to be printed as it is. It ")
"needs a comparison first."
MOST = 60


class WordsPage(RenewedPage):
    """Paragraphs that can be selected, and copied one by one or all together."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.paragraphs: list[tuple[str, str]] = []
        self._said = text("", style="small")
        self.column.addWidget(
            row(button(tr("Copy all"), self.copy_all, tr("All sentences as plain text")), self._said, None)
        )
        self._inside = QWidget()
        self.column.addWidget(self._inside)
        self._lines = QVBoxLayout(self._inside)
        self._lines.setContentsMargins(0, 0, 0, 0)
        self._lines.setSpacing(4)

    def renew(self) -> None:
        verdict = self.state.verdict
        self.paragraphs = paragraphs(verdict) if verdict is not None else []
        if not self.paragraphs:
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        empty(self._lines)
        for title, said in self.paragraphs[:MOST]:
            head = text(title, style="heading")
            body = text(said)
            body.setTextInteractionFlags(
                Qt.TextInteractionFlag.TextSelectableByMouse | Qt.TextInteractionFlag.TextSelectableByKeyboard
            )
            self._lines.addWidget(head)
            self._lines.addWidget(body)
            self._lines.addSpacing(8)
        more = len(self.paragraphs) - MOST
        self._said.setText(tr("{more} further pairs are in the copied text.", more=more) if more > 0 else "")

    def copy_all(self) -> None:
        """Put all sentences on the clipboard."""
        QApplication.clipboard().setText("\n\n".join(f"{title}\n{said}" for title, said in self.paragraphs))
        self._said.setText(tr("Copied."))
