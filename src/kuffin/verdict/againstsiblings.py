"""A mount against its siblings, figure by figure: what one looks at to see whether it is sound."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.bench.roles import AIR, COOLANT, POWER
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.samples import RunData, read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.judgingrules import ways_of

_FIGURES = (
    # label, unit, digits, role(s), role(s) taken off it
    ("die over coolant", "K", 1, ("die",), COOLANT),
    ("coolant over air", "K", 1, COOLANT, AIR),
    ("hot spot over die", "K", 1, ("hot_spot",), ("die",)),
    ("power", "W", 0, POWER, ()),
    ("flow", "L/h", 0, ("flow",), ()),
    ("pump", "rpm", 0, ("pump",), ()),
    ("air", "°C", 1, AIR, ()),
    ("air, its range under load", "K", 1, (), ()),
)


@dataclass(frozen=True, kw_only=True)
class Compared:
    """One figure in three stretches: this mount, and the others' mean and scatter; NaN where it is not known."""

    label: str
    unit: str
    digits: int
    this: tuple[float, float, float]
    others: tuple[float, float, float]
    scatter: tuple[float, float, float]


def against_siblings(notebook: Notebook, study: Study, mount: Mount) -> list[Compared]:
    """The figures at idle, two to five minutes into the load, and over the load's last five minutes."""
    ways = ways_of(notebook, study)

    def of(one: Mount) -> dict[str, tuple[float, float, float]]:
        run = one.run_under(ways.condition)
        return {} if run is None else figures_of(read_run(notebook, run.id).about(ways.cooled))

    mine = of(mount)
    theirs = [
        of(m)
        for c in study.live_candidates
        if c.id == mount.candidate_id
        for m in c.live_mounts
        if m.id != mount.id and m.live_runs and not m.left_out
    ]
    out = []
    for label, unit, digits, *_ in _FIGURES:
        if label not in mine:
            continue
        others = np.array([t[label] for t in theirs if label in t]).reshape(-1, 3)
        nan = (float("nan"),) * 3
        mean = tuple(float(x) for x in others.mean(axis=0)) if len(others) else nan
        scatter = tuple(float(x) for x in others.std(axis=0, ddof=1)) if len(others) > 1 else nan
        out.append(
            Compared(
                label=label,
                unit=unit,
                digits=digits,
                this=mine[label],
                others=(mean[0], mean[1], mean[2]),
                scatter=(scatter[0], scatter[1], scatter[2]),
            )
        )
    return out


def figures_of(data: RunData) -> dict[str, tuple[float, float, float]]:
    """What a run shows at idle, early in its load and at its end, of each thing that is compared; empty without a load."""
    power = data.role(*POWER)
    if power is None:
        return {}
    # a load, not the idle before it, nor what cools down after
    loaded = power > 0.5 * float(np.nanpercentile(power, 90))
    where = np.flatnonzero(loaded)
    if not where.size:
        return {}
    t, begin, end = data.times, data.times[where[0]], data.times[where[-1]]
    stretches = (
        (t > begin - 180) & (t < begin - 5),
        (t > begin + 120) & (t < begin + 300) & loaded,
        (t > end - 300) & (t <= end) & loaded,
    )
    out = {}
    for label, _, _, first, off in _FIGURES:
        if not first:
            continue
        values = data.role(*first)
        base = data.role(*off) if off else None
        if values is None or (off and base is None):
            continue
        if base is not None:
            values = values - base
        found = []
        for inside in stretches:
            part = values[inside & np.isfinite(values)]
            found.append(float(np.mean(part)) if part.size else float("nan"))
        out[label] = (found[0], found[1], found[2])
    air = data.role(*AIR)
    if air is not None:
        minutes = [air[loaded & (t >= at) & (t < at + 60)] for at in np.arange(begin, end - 30, 60.0)]
        means = [float(np.nanmean(m)) for m in minutes if np.isfinite(m).any()]
        nan = float("nan")
        out["air, its range under load"] = (nan, nan, max(means) - min(means) if means else nan)
    return out
