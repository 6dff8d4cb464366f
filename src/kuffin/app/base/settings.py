"""What is remembered between starts: recent notebooks, the window's layout, theme and text size."""

from __future__ import annotations

import math
from collections.abc import Collection
from contextlib import suppress
from pathlib import Path

from platformdirs import user_cache_dir, user_config_dir, user_documents_dir
from PySide6.QtCore import QByteArray, QSettings

from kuffin.core.base.language import tr

_MOST_RECENT = 8


class Settings:
    """The person's settings, kept in an INI file under their configuration folder."""

    def __init__(self, path: Path | None = None) -> None:
        path = path or Path(user_config_dir("kuffin")) / "window.ini"
        with suppress(OSError):  # then nothing is remembered, and the window opens all the same
            path.parent.mkdir(parents=True, exist_ok=True)
        self.bench_path = path.with_name("bench.json")  # this computer's instruments and loads
        self.channels_path = path.with_name("channels.json")  # what was chosen for the columns of logs
        self.set_aside: list[str] = []  # settings that could not be used, in words
        self.store = QSettings(str(path), QSettings.Format.IniFormat)
        if self.store.status() == QSettings.Status.FormatError:
            self._set_aside(tr("{name} is damaged", name=path.name))

    @property
    def recent(self) -> list[str]:
        """Notebooks opened before that are still there, newest first."""
        value = self.store.value("recent", [])
        paths = [value] if isinstance(value, str) else value if isinstance(value, list) else []
        return [p for p in paths if isinstance(p, str) and _is_there(p)]

    def remember(self, path: Path) -> None:
        """Put a notebook on top of the recent ones."""
        paths = [str(path.resolve()), *[p for p in self.recent if p != str(path.resolve())]]
        self.store.setValue("recent", paths[:_MOST_RECENT])

    def value(self, key: str, default: str, among: Collection[str] | None = None) -> str:
        """A setting; the default where it is none of those that there are."""
        found = self.store.value(key, default)
        if isinstance(found, str) and (among is None or found in among):
            return found
        self._set_aside(tr("“{key}” is “{found}”", key=key, found=str(found)[:40]))
        return default

    def _set_aside(self, what: str) -> None:
        if what not in self.set_aside:
            self.set_aside.append(what)

    def number(self, key: str, default: float, low: float, high: float) -> float:
        """A setting that is a number; the default where it is none, or out of its range."""
        text = self.value(key, "")
        if not text:
            return default
        try:
            found = float(text)
        except ValueError:
            found = math.nan
        if low <= found <= high:
            return found
        self._set_aside(tr("“{key}” is “{text}”", key=key, text=text[:40]))
        return default

    def set_value(self, key: str, value: str) -> None:
        self.store.setValue(key, value)

    def flush(self) -> None:
        """Write what is set to the disk, now."""
        self.store.sync()

    def layout(self, key: str) -> QByteArray | None:
        value = self.store.value(key)
        return value if isinstance(value, QByteArray) else None

    def set_layout(self, key: str, value: QByteArray) -> None:
        self.store.setValue(key, value)


def _is_there(path: str) -> bool:
    try:
        return Path(path).is_file()
    except (OSError, ValueError):  # no name that a file can have
        return False


def documents() -> Path:
    """Where new notebooks are put unless the person says otherwise."""
    return Path(user_documents_dir())


def demo_cache() -> Path:
    """Where the demo notebook is kept ready."""
    return Path(user_cache_dir("kuffin"))
