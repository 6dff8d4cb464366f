"""A run's last rows: kept in the notebook as soon as there is room, or written as an ordinary log where there is some."""

from __future__ import annotations

import csv
import datetime as dt
import io
from collections.abc import Sequence
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.csvtext import cell
from kuffin.core.base.errors import KuffinError, NotebookError
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.base.units import shown
from kuffin.core.base.wholefile import write_whole
from kuffin.notebook.rescue import elsewhere, free_name
from kuffin.notebook.runwriter import ChannelRow, RunWriter
from kuffin.recording.recorder import Recorder

Array = NDArray[np.float64]


class Keeping:
    """Brings a run that has ended into its notebook, or as much of it as the notebook does not take to another place.

    Attributes
    ----------
    unkept : str
        What could not be kept yet, in words; blank: nothing.
    """

    def __init__(self, recorder: Recorder, writer: RunWriter, name: str) -> None:
        self._recorder, self._writer, self._name = recorder, writer, name
        self.unkept = ""
        recorder.spill = self.write_elsewhere

    def keep(self, resumable: bool = False) -> bool:
        """Keep what still waits and end the run, from when on it counts; False where there is no room for it yet.

        Parameters
        ----------
        resumable : bool
            Whether it stays open, to be gone on with.
        """
        if not self._recorder.hand_on():
            self.unkept = self._recorder.trouble
            return False
        try:
            self._writer.end(tell=False, closed=not resumable)
        except NotebookError as error:
            self.unkept = say("all rows are kept, but the run cannot be closed yet: {error}", error=error)
            return False
        self.unkept = ""
        return True

    def rescue(self) -> str:
        """Write what still waits where there is room, let the notebook go, and say where it is.

        Raises
        ------
        NotebookError
            Where there is no room anywhere; it waits on.
        """
        block = self._recorder.take_waiting()
        said = ""
        if block.size:
            try:
                said = self.write_elsewhere(block)
            except NotebookError:
                self._recorder.wait_with(block)
                raise
        self._writer.let_go()
        self.unkept = ""
        if self._writer.run_id is None:
            return tr("{said} Drop it on the study when there is room", said=said)
        if said:
            return tr(
                "{said} In the notebook the run stands as one that was cut off: close it there, and join that log to it",
                said=said,
            )
        return tr("In the notebook the run stands as one that was cut off: close it there")

    def write_elsewhere(self, block: Array) -> str:
        """Write rows as a log where there is room, and say where.

        Raises
        ------
        NotebookError
        """
        place = write_rows(block, self._writer.channels, self._writer.started_at, self._name)
        return tr(
            "{n} rows that the notebook could not take are in “{file}” in {folder}.",
            n=block.shape[0],
            file=place.name,
            folder=place.parent,
        )


def as_log(block: Array, channels: Sequence[ChannelRow], started_at: str) -> str:
    """Rows as a log that Kuffin reads, shape (rows, 1 + channels), with all their digits."""
    out = io.StringIO()
    write = csv.writer(out, lineterminator="\n")
    write.writerow(["Time", *(cell(f"{name} [{shown(unit)}]" if unit else name) for name, unit, *_ in channels)])
    start = dt.datetime.fromisoformat(started_at)
    for seconds, *values in block.tolist():
        stamp = (start + dt.timedelta(seconds=seconds)).isoformat(sep=" ", timespec="milliseconds")
        write.writerow([stamp, *("" if v != v else repr(v) for v in values)])
    return out.getvalue()


def write_rows(
    block: Array, channels: Sequence[ChannelRow], started_at: str, name: str, places: Sequence[Path] | None = None
) -> Path:
    """Write rows into the first place that takes them.

    Raises
    ------
    NotebookError
        Where none does.
    """
    content = as_log(block, channels, started_at)
    why: str = say("there is no place for them")
    for place in elsewhere() if places is None else places:
        try:
            target = free_name(place, name.replace("/", "-"), ".csv")
            write_whole(target, content)
            return target
        except (KuffinError, OSError) as error:
            why = str(error)
    raise NotebookError("{n} rows could be kept nowhere: {why}", n=block.shape[0], why=why)
