"""Logs of three mounts under three conditions, as files dropped on a study: are mounts and conditions proposed right, or asked for?"""

from __future__ import annotations

import datetime as dt
import tempfile
from collections import Counter
from contextlib import closing
from pathlib import Path

from tests.logs.test_assigning import CANDIDATES, drawn

from kuffin.logs.assigning import LogNamed
from kuffin.logs.reader import read_log
from kuffin.notebook import edits
from kuffin.notebook.placing import MountChoice, places
from kuffin.notebook.store import Notebook

DRAWN = 200


def outcome(seed: int) -> str:
    """What becomes of one drawn import, through files, reader and notebook: right, asked for, or wrong without asking."""
    logs = drawn(seed)
    with tempfile.TemporaryDirectory() as name, closing(Notebook.create(Path(name) / "imports.kuffin")) as notebook:
        study = notebook.study(edits.add_study(notebook, "Which?", "block", CANDIDATES))
        tables = [read_log(_written(Path(name), log, at)) for at, (log, *_) in enumerate(logs)]
        found = places(study, tables)
    mounts: dict[tuple[str, int], set[tuple[str, MountChoice | None]]] = {}
    conditions: dict[str, set[str]] = {}
    for place, (_, candidate, mount, condition) in zip(found, logs, strict=True):
        mounts.setdefault((candidate, mount), set()).add((place.candidate, place.mount))
        conditions.setdefault(condition.lower(), set()).add(place.condition.lower())
    one_each = all(len(v) == 1 for v in (*mounts.values(), *conditions.values()))
    apart = len(set().union(*mounts.values())) == len(mounts) and len(set().union(*conditions.values())) == 3
    named = all(p.candidate == candidate for p, (_, candidate, *_) in zip(found, logs, strict=True))
    if one_each and apart and named and all(p.mount is not None for p in found):
        return "right"
    return "asked for" if any(p.mount is None or not p.candidate for p in found) else "wrong"


def _written(folder: Path, log: LogNamed, at: int) -> Path:
    """A log as a file, a row a minute; without a date where it tells no start."""
    place = folder / str(at)
    place.mkdir()
    start = dt.datetime.fromisoformat(log.start) if log.start else None
    rows = ["Time,CPU die [°C],Coolant [°C],CPU power [W]"]
    for minute in range(int(log.duration_s // 60) + 1):
        stamp = str(60 * minute) if start is None else f"{start + dt.timedelta(minutes=minute):%Y-%m-%d %H:%M:%S}"
        rows.append(f"{stamp},{50 + minute % 7},{30 + minute % 3},{150 + minute % 5}")
    file = place / f"{log.stem}.csv"
    file.write_text("\n".join(rows) + "\n", encoding="utf-8")
    return file


def report() -> None:
    """Prints what becomes of the drawn imports."""
    found = Counter(outcome(seed) for seed in range(DRAWN))
    said = ", ".join(f"{kind} {count}" for kind, count in found.most_common())
    print(
        f"Imports of three mounts under three conditions, {DRAWN} drawn, as files: {said}; wrong without asking: {found['wrong']}"
    )
