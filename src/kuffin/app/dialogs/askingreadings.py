"""A log that can be read in two ways: the person is asked, and it is read so."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

from PySide6.QtWidgets import QInputDialog, QWidget

from kuffin.app.base.jobs import Task
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.texts import plain_tip
from kuffin.core.base.errors import OpenReading
from kuffin.core.base.language import mark, tr
from kuffin.logs.table import ToldOfLog

DATE_WORDS = {"dm": mark("day first"), "md": mark("month first"), "ymd": mark("year first")}
_CHOICES = {
    "decimal": {
        mark("a decimal comma: 31,512 is thirty-one and a half"): ",",
        mark("thousands: 31,512 is over thirty thousand"): ".",
    },
    "dates": {words: order for order, words in DATE_WORDS.items()},
    "time_unit": {mark("milliseconds"): "ms", mark("seconds"): "s", mark("minutes"): "min", mark("hours"): "h"},
}


def ask_how(parent: QWidget, error: OpenReading, told: ToldOfLog) -> ToldOfLog | None:
    """Ask what a log leaves open; None where the person does not say."""
    choices = {tr(words): told for words, told in _CHOICES[error.asks].items()}
    words, ok = QInputDialog.getItem(
        parent, tr("This log can be read in two ways"), plain_tip(f"{error}:"), list(choices), 0, False
    )
    return replace(told, **{error.asks: choices[words]}) if ok else None


def asking_on(
    parent: QWidget, state: State, label: str, read: Callable[[Task, ToldOfLog], object], done: Callable[[object], None]
) -> None:
    """Read a log off the window's thread; what it leaves open is asked, and it is read again."""

    def begin(told: ToldOfLog) -> None:
        def work(task: Task) -> object:
            try:
                return read(task, told)
            except OpenReading as error:
                return error

        def found(value: object) -> None:
            if not isinstance(value, OpenReading):
                done(value)
            elif (answer := ask_how(parent, value, told)) is not None:
                begin(answer)
            else:
                state.trouble.emit(str(value))

        state.jobs.start(label, work, found, state.trouble.emit)

    begin(ToldOfLog())
