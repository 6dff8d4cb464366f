"""What this computer's instruments tell while one sets them up: each read in a thread of its own."""

from __future__ import annotations

import threading
import time
from collections import deque
from collections.abc import Sequence

import numpy as np
from PySide6.QtCore import QObject, QTimer, Signal

from kuffin.core.base.errors import BenchError
from kuffin.core.base.saying import told
from kuffin.instruments.byhand import HandSource
from kuffin.instruments.configured import open_source
from kuffin.instruments.meterlines import ToldValue
from kuffin.instruments.setup import InstrumentSetting
from kuffin.instruments.source import ChannelSource

_KEEP_S = 12.0


class _Reader:
    """Reads one instrument until it is told to stop."""

    def __init__(self, setting: InstrumentSetting) -> None:
        self.setting = setting
        self.told: dict[str, ToldValue] = {}
        self.trouble = ""
        self.history: dict[str, deque[tuple[float, float]]] = {}
        self._stop = threading.Event()
        self._thread = threading.Thread(target=self._run, daemon=True, name="live reading")
        self._thread.start()

    def _run(self) -> None:
        try:
            source: ChannelSource = open_source(self.setting)
        except BenchError as error:
            self.trouble = str(error)
            return
        if isinstance(source, HandSource):
            return
        while not self._stop.is_set():
            try:
                found = source.read()
                self.trouble = source.complaint()
            except BenchError as error:
                found, self.trouble = {}, str(error)
            now = time.monotonic()
            for name, one in found.items():
                self.told[name] = one
                kept = self.history.setdefault(name, deque(maxlen=400))
                kept.append((now, one.value))
            self._stop.wait(max(min(self.setting.interval_s, 5.0), 0.2))
        source.close()

    def stop(self) -> None:
        self._stop.set()

    def wait(self) -> None:
        self._thread.join(3)


class LiveReading(QObject):
    """Reads a bench's instruments; `told` comes about twice a second while it does."""

    told = Signal()

    def __init__(self, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self._readers: list[_Reader] = []
        self._timer = QTimer(self)
        self._timer.setInterval(500)
        self._timer.timeout.connect(self.told)

    @property
    def active(self) -> bool:
        return bool(self._readers)

    def start(self, instruments: Sequence[InstrumentSetting]) -> None:
        """Read these instruments; where they are the same as before, nothing is opened anew."""
        wanted = [(i.kind, i.where, i.baud, i.question, i.interval_s) for i in instruments]
        have = [
            (r.setting.kind, r.setting.where, r.setting.baud, r.setting.question, r.setting.interval_s)
            for r in self._readers
        ]
        if wanted == have:
            return
        self.stop()
        self._readers = [_Reader(i) for i in instruments]
        self._timer.start()

    def stop(self) -> None:
        """Let all instruments go, so that a run can have them."""
        self._timer.stop()
        for reader in self._readers:
            reader.stop()
        for reader in self._readers:
            reader.wait()
        self._readers = []

    def values(self, at: int) -> dict[str, ToldValue]:
        """What the instrument at a place told last."""
        return dict(self._readers[at].told) if at < len(self._readers) else {}

    def trouble(self, at: int) -> str:
        """What is wrong with the instrument at a place."""
        return told(self._readers[at].trouble) if at < len(self._readers) else ""

    def mean(self, at: int, source: str) -> float:
        """The mean of what a channel told in the last seconds, NaN for nothing."""
        if at >= len(self._readers):
            return float("nan")
        kept = list(self._readers[at].history.get(source, ()))
        now = time.monotonic()
        recent = [v for t, v in kept if now - t < _KEEP_S and np.isfinite(v)]
        return float(np.mean(recent)) if recent else float("nan")
