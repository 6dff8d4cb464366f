"""What a person chose for the columns of logs, kept in their own settings: for logs of the same shape in any notebook."""

from __future__ import annotations

import json
from contextlib import suppress
from dataclasses import asdict
from pathlib import Path

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.plaindata import PlainError, typed
from kuffin.core.base.wholefile import write_whole
from kuffin.notebook.channels import Remembered

_MOST_SHAPES, _MOST_BYTES = 300, 5_000_000


class OwnChannels:
    """The choices by the logs' shapes, in ``channels.json``; a damaged file counts as empty, a damaged entry as not there."""

    def __init__(self, path: Path) -> None:
        self._path = path

    def remembered(self, shape: str) -> Remembered | None:
        """What was chosen for logs of this shape, None where nothing was."""
        found = self._read().get(shape)
        try:
            return None if found is None else typed(found, Remembered)
        except PlainError:
            return None

    def remember(self, shape: str, told: Remembered) -> None:
        """Keep what was chosen; the oldest shapes go. Where it cannot be written, it is only not remembered."""
        kept = {k: v for k, v in self._read().items() if k != shape}
        kept[shape] = asdict(told)
        newest = dict(list(kept.items())[-_MOST_SHAPES:])
        with suppress(OSError, KuffinError):
            self._path.parent.mkdir(parents=True, exist_ok=True)
            write_whole(self._path, json.dumps(newest, ensure_ascii=False))

    def _read(self) -> dict[str, object]:
        try:
            if self._path.stat().st_size > _MOST_BYTES:
                return {}
            found = json.loads(self._path.read_text(encoding="utf-8"))
        except (OSError, ValueError, RecursionError):
            return {}
        return found if isinstance(found, dict) else {}
