"""Calling a person who is not at the screen: a sound, a desktop notification, the taskbar."""

from __future__ import annotations

import html
import shutil
import subprocess
import wave
from pathlib import Path

import numpy as np
from platformdirs import user_cache_dir
from PySide6.QtWidgets import QApplication, QWidget

from kuffin.app.base.settings import Settings

_RATE = 22_050
_PLAYERS = (["pw-play"], ["paplay"], ["aplay", "-q"])
_CALLS = {
    # (frequency in Hz, length in s) one after the other
    "settled": ((523.0, 0.18), (659.0, 0.18), (784.0, 0.3)),
    "person": ((659.0, 0.2), (0.0, 0.1), (659.0, 0.2)),
    "alarm": ((880.0, 0.25), (622.0, 0.25)) * 4,
}


def tones(call: str) -> np.ndarray:
    """A call as samples, shape (n,), 16 bit at 22,050 Hz."""
    parts = []
    for frequency, length in _CALLS[call]:
        t = np.arange(int(length * _RATE)) / _RATE
        edge = np.minimum(1.0, np.minimum(t, length - t) / 0.02)
        parts.append(0.35 * edge * np.sin(2 * np.pi * frequency * t) if frequency else np.zeros(t.size))
    return (32_000 * np.concatenate(parts)).astype("<i2")


class Caller:
    """Calls once for each thing there is to say. Sound can be switched off in the View menu; an alarm's cannot."""

    def __init__(self, window: QWidget, settings: Settings) -> None:
        self._window, self._settings = window, settings
        self.calls: list[tuple[str, str]] = []  # what was called, newest last

    def call(self, kind: str, sentence: str) -> None:
        """Call: ``settled``, ``person`` or ``alarm``."""
        self.calls = [*self.calls[-50:], (kind, sentence)]
        QApplication.alert(self._window)
        self._notify(kind, sentence)
        if kind == "alarm" or self._settings.value("sound", "on") == "on":
            self._sound(kind)

    def _notify(self, kind: str, sentence: str) -> None:
        program = shutil.which("notify-send")
        if program is not None and QApplication.platformName() not in {"offscreen", "minimal"}:
            urgency = "critical" if kind == "alarm" else "normal"
            self._run([program, "--app-name=Kuffin", f"--urgency={urgency}", "--", "Kuffin", html.escape(sentence)])

    def _sound(self, kind: str) -> None:
        player = next((p for p in _PLAYERS if shutil.which(p[0])), None)
        if player is None or QApplication.platformName() in {"offscreen", "minimal"}:
            QApplication.beep()
            return
        path = Path(user_cache_dir("kuffin")) / f"{kind}.wav"
        try:
            path.parent.mkdir(parents=True, exist_ok=True)
            with wave.open(str(path), "wb") as file:
                file.setparams((1, 2, _RATE, 0, "NONE", "not compressed"))
                file.writeframes(tones(kind).tobytes())
        except OSError:
            QApplication.beep()
            return
        self._run([*player, str(path)])

    def _run(self, words: list[str]) -> None:
        try:
            subprocess.Popen(words, stdin=subprocess.DEVNULL, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
        except OSError:
            QApplication.beep()
