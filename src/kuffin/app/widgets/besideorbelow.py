"""A picture with its figures: beside it, or below where there is no room for both."""

from __future__ import annotations

from collections.abc import Callable

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QBoxLayout, QLayout, QScrollArea, QWidget

_LETTERS = 33  # that the figures take at most
_LEAST, _SHARE = 250, 0.42  # px that they take at least, and of the whole width
_SCROLL_BAR, _INNER_BAR = 12, 18  # px that are left for one


class BesideOrBelow(QBoxLayout):
    """The layout of a page with a picture and a column of figures, which scrolls for itself.

    Parameters
    ----------
    page : QWidget
    picture : QLayout
    figures : QWidget
    turned : callable
        Called with whether the figures stand below.
    """

    def __init__(self, page: QWidget, picture: QLayout, figures: QWidget, turned: Callable[[bool], None]) -> None:
        super().__init__(QBoxLayout.Direction.LeftToRight, page)
        self._page, self._picture, self._figures, self._turned = page, picture, figures, turned
        self._scroll = QScrollArea()
        self._scroll.setWidgetResizable(True)
        self._scroll.setWidget(figures)
        self._scroll.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.setContentsMargins(0, 0, 0, 0)
        self.addLayout(picture, 1)
        self.addWidget(self._scroll)

    def fit(self) -> None:
        """Lay both out for the room that the page's parent has."""
        parent, letter = self._page.parentWidget(), self._page.fontMetrics().horizontalAdvance("0")
        whole = 80 * letter if parent is None else parent.width()
        width = min(_LETTERS * letter, max(_LEAST, round(_SHARE * whole)))
        below = self._picture.minimumSize().width() + width > whole
        ways = QBoxLayout.Direction
        self.setDirection(ways.TopToBottom if below else ways.LeftToRight)
        self._turned(below)
        width = whole - _SCROLL_BAR if below else width
        self._scroll.setFixedWidth(width)
        self._figures.setFixedWidth(width - _INNER_BAR)
        self._scroll.setMinimumHeight(self._figures.heightForWidth(width - _INNER_BAR) if below else 0)
