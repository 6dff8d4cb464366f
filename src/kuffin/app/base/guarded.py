"""What Qt calls back into Kuffin: an exception must not leave it, for Qt may end the program there. It is told, and Qt goes on."""

from __future__ import annotations

import functools
import sys
from collections.abc import Callable
from typing import Any, TypeVar

from PySide6.QtCore import QRectF, QSize, Qt

C = TypeVar("C", bound=type)

# what Qt is told where the answer could not be worked out
_ANSWERS: dict[str, Callable[[], Any]] = {
    "event": lambda: False,
    "eventFilter": lambda: False,
    "viewportEvent": lambda: False,
    "sizeHint": lambda: QSize(200, 100),
    "minimumSizeHint": lambda: QSize(0, 0),
    "minimumSize": lambda: QSize(0, 0),
    "heightForWidth": lambda: 100,
    "hasHeightForWidth": lambda: False,
    "boundingRect": QRectF,
    "expandingDirections": lambda: Qt.Orientation(0),
    "count": lambda: 0,
    "rowCount": lambda: 0,
    "columnCount": lambda: 0,
    "data": lambda: None,
    "itemAt": lambda: None,
    "takeAt": lambda: None,
    "addItem": lambda: None,
    "setGeometry": lambda: None,
    "paint": lambda: None,
}


def called_by_qt(name: str) -> bool:
    """Whether Qt calls a method of this name by itself."""
    return name in _ANSWERS or name.endswith("Event")


def guarded(cls: C) -> C:
    """Guard all that Qt calls of a class; a test finds any class that lacks it."""
    for name, method in list(vars(cls).items()):
        if called_by_qt(name) and callable(method):
            setattr(cls, name, _guard(name, method))
    return cls


def _guard(name: str, method: Callable[..., Any]) -> Callable[..., Any]:
    @functools.wraps(method)
    def safely(*args: Any) -> Any:
        try:
            return method(*args)
        except Exception as error:
            sys.excepthook(type(error), error, error.__traceback__)
            return _ANSWERS.get(name, lambda: None)()

    safely.guarded = True  # type: ignore[attr-defined]
    return safely
