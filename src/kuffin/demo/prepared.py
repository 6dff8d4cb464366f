"""How the demo's mounts were prepared: with care on the first of each afternoon, in haste where air stayed in."""

from __future__ import annotations

import datetime as dt

import numpy as np

from kuffin.core.prepare.changeover import ChangeOverTask
from kuffin.notebook.entities import Mount, Sheet, Tick
from kuffin.notebook.shelf import benches, parts
from kuffin.notebook.store import Notebook
from kuffin.verdict.nextmount import change_to
from kuffin.verdict.planbasis import order_of

_NOTES = {
    (1, "drain"): "tilted twice, about 20 mL stayed in",
    (2, "tighten"): "same driver, same setting",
    (3, "bleed"): "a bubble in the reservoir's corner does not move; left it",
}
_IN_HASTE = ("put on", "fill", "bleed", "start")
_HASTE_NOTE = "two minutes only, it was late; the pump still sounded of air"


def prepare_mounts(notebook: Notebook, study_id: int, hasty: tuple[str, int], seed: int) -> None:
    """Tick the steps before some of the demo's runs, with the times they took, and hold their leak tests."""
    rng = np.random.default_rng(seed)
    study = notebook.study(study_id)
    bench, shelf = benches(notebook)[0], parts(notebook)
    first: set[int] = set()
    with notebook.edit("prepare the demo's mounts") as session:
        for mount in order_of(study):
            if not mount.live_runs or mount.live_runs[0].started_at is None:
                continue
            start = dt.datetime.fromisoformat(mount.live_runs[0].started_at)
            tasks = change_to(study, mount, bench, shelf).tasks
            if (mount.candidate.name, mount.round) == hasty:
                few = [t for t in tasks if t.key in _IN_HASTE]
                rows = _ticks(rng, mount, few, start - dt.timedelta(minutes=1), 0.3)
                rows[_IN_HASTE.index("bleed")].note = _HASTE_NOTE
            elif mount.round not in first:
                first.add(mount.round)
                rows = _ticks(rng, mount, list(tasks), start - dt.timedelta(minutes=3), 1.0)
                session.add(Sheet(mount_id=mount.id, kind="leak", values=_hold(rng, rows)))
                session.get_one(Mount, mount.id).ready_at = rows[-1].done_at
            else:
                continue
            session.add_all(rows)
            begun = dt.datetime.fromisoformat(rows[0].done_at or "") - dt.timedelta(minutes=3)
            session.get_one(Mount, mount.id).begun_at = begun.isoformat()


def _ticks(
    rng: np.random.Generator, mount: Mount, tasks: list[ChangeOverTask], end: dt.datetime, pace: float
) -> list[Tick]:
    """A tick for each task, the last one at `end`."""
    rows: list[Tick] = []
    at = end
    for task in reversed(tasks):
        seconds = round(60 * task.minutes * pace * float(rng.lognormal(0, 0.2)))
        seconds = max(seconds, 28 * 60) if task.key == "leak" else seconds
        note = _NOTES.get((mount.round, task.key), "") if pace == 1.0 else ""
        rows.append(
            Tick(
                mount_id=mount.id,
                key=task.key,
                text=task.text,
                done_at=at.replace(microsecond=0).isoformat(),
                seconds=float(seconds),
                note=note,
            )
        )
        at -= dt.timedelta(seconds=seconds)
    return rows[::-1]


def _hold(rng: np.random.Generator, rows: list[Tick]) -> dict[str, object]:
    """Twenty-five minutes of a tight loop under air, read every minute off a gauge with steps of 0.1 kPa."""
    done = next(r for r in rows if r.key == "leak").done_at or ""
    minutes = np.arange(26.0)
    room = 21.5 + 0.3 * np.sin(minutes / 9 + float(rng.uniform(0, 6)))
    absolute = (101.325 + 40.0) * (room + 273.15) / (room[0] + 273.15)
    gauge = np.round((absolute - 101.325 + rng.normal(0, 0.02, minutes.size)) / 0.1) * 0.1
    readings = [
        [60.0 * m, round(float(p), 1), round(float(t), 1)] for m, p, t in zip(minutes, gauge, room, strict=True)
    ]
    began = dt.datetime.fromisoformat(done) - dt.timedelta(minutes=26)
    return {
        "readings": readings,
        "began": began.isoformat(),
        "volume_ml": 560.0,
        "gauge_step_kpa": 0.1,
        "limit_kpa": 1.0,
    }
