"""What the traces show of a run: roles as rows, with dips, passes, spikes and marks; no widgets here."""

from __future__ import annotations

from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import number
from kuffin.core.base.saying import told
from kuffin.core.base.units import shown
from kuffin.core.bench.roles import ROLES, spoken
from kuffin.core.findings import Recorded
from kuffin.core.heat.normalise import SCHOOLS
from kuffin.core.settle import Settled, Settling
from kuffin.notebook.entities import Mark, Run, Study
from kuffin.notebook.samples import RunData, read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.evaluating import parse_trace, settle_trace
from kuffin.reading.judgingrules import JudgingRules, ways_of
from kuffin.reading.keptresults import step_of
from kuffin.reading.runresult import RunResult
from kuffin.reading.signals import signals

Array = NDArray[np.float64]

# the rows, from top to bottom
_TITLES = {
    "coolant": "coolant and air",
    "die": "die",
    "power": "power",
    "flow": "flow",
    "speed": "pump and fans",
    "clock": "clock",
    "sound": "sound",
    "pressure": "pressure",
    "share": "humidity and load",
    "electric": "voltage and current",
    "score": "score",
    "other": "without a role",
}
# key, title, roles
ROWS: tuple[tuple[str, str, tuple[str, ...]], ...] = tuple(
    (key, title, tuple(r.key for r in ROLES.values() if r.row == key)) for key, title in _TITLES.items()
)
USUAL_ROWS = ("coolant", "die", "power", "flow")


@dataclass(frozen=True)
class Line:
    """One channel: values with its spikes missing, and where spikes were."""

    name: str
    times: Array
    values: Array
    spikes: Array = field(default_factory=lambda: np.empty(0))


@dataclass(frozen=True)
class TraceRow:
    """Channels that share an axis."""

    key: str
    title: str
    unit: str
    lines: tuple[Line, ...]


@dataclass(frozen=True, kw_only=True)
class TraceView:
    """All that is drawn of a run."""

    times: Array
    settling: Settling | None
    label: str
    rows: tuple[TraceRow, ...]
    dips: tuple[tuple[float, float], ...] = ()
    passes: Array = field(default_factory=lambda: np.empty(0))
    marks: tuple[tuple[float, str, str], ...] = ()  # at, kind, text
    problem: str = ""
    power_w: float | None = None  # at which a rise per watt is told in kelvins

    @property
    def samples(self) -> int:
        """How many samples it holds."""
        return sum(line.times.size for row in self.rows for line in row.lines)

    @property
    def heading_for(self) -> str:
        """The level that the trace is heading for, as people think of it: ``11.37 K at 182 W``."""
        if self.settling is None:
            return ""
        level = self.settling.warm_up.final
        if self.power_w is not None:
            return tr("{level} K at {power:g} W", level=number(level * self.power_w, 2), power=self.power_w)
        return f"{number(level, 2 if abs(level) > 1 else 4)} {self.label.rsplit(', ', 1)[-1]}"

    @property
    def load_start_s(self) -> float:
        """When the load began; the first row where that is not known."""
        start = None if self.settling is None else self.settling.load.start_s
        return float(self.times[0]) if start is None and self.times.size else start or 0.0

    def at(self, seconds: float) -> list[tuple[str, float, str]]:
        """Every channel's reading nearest a moment: name, value, unit."""
        out = []
        for row in self.rows:
            for line in row.lines:
                i = int(np.clip(np.searchsorted(line.times, seconds), 1, max(line.times.size - 1, 1)))
                i -= int(seconds - line.times[i - 1] < line.times[i] - seconds)
                out.append((line.name, float(line.values[i]), row.unit))
        return out


def view_of(
    notebook: Notebook,
    study: Study,
    run: Run,
    trace: str,
    label: str,
    window: tuple[float, float] | None,
    result: RunResult | None = None,
    ways: JudgingRules | None = None,
) -> TraceView:
    """Read a run, or the load step of it that a result is about, and settle one of its traces for drawing."""
    ways = ways or ways_of(notebook, study)
    data = read_run(notebook, run.id)
    data = data if result is None else step_of(data, result)
    s = signals(data.about(ways.cooled), ways.of(study, run.mount.candidate).mix)
    settling, problem = None, ""
    try:
        settling = settle_trace(s, trace, study.tolerance_k, window, None if result is None else result.begun_s)
    except KuffinError as error:
        problem = str(error)
    per_watt = any(school.per_watt and school.trace == trace for school in SCHOOLS.values())
    return replace(
        drawn(data, settling, label, problem, run.marks), power_w=study.reference_power_w if per_watt else None
    )


def drawn(
    data: RunData, settling: Settling | None, label: str, problem: str = "", marks: list[Mark] | None = None
) -> TraceView:
    """What is drawn of samples and a settled trace."""
    traces: dict[str, Settled] = {} if settling is None else {"judged": settling}
    seen = Recorded(times=data.times, values=data.values, roles=data.channels, traces=traces)
    return TraceView(
        times=data.times,
        settling=settling,
        label=label,
        rows=_rows(data, seen),
        dips=_dips(seen) if settling is not None else (),
        passes=_passes(settling),
        marks=tuple((m.at_s, m.kind, told(m.text)) for m in marks or ()),
        problem=problem,
    )


def _rows(data: RunData, seen: Recorded) -> tuple[TraceRow, ...]:
    out = []
    for key, title, roles in ROWS:
        names = (
            [c.name for c in data.channels if c.role not in ROLES or ROLES[c.role].row == key]
            if key == "other"
            else seen.names(*roles)
        )
        by_unit: dict[str, list[Line]] = {}
        for name in names:
            clean = seen.clean(name)
            spikes = data.times[np.isfinite(data.values[name]) & ~np.isfinite(clean)]
            by_unit.setdefault(shown(data.units.get(name)), []).append(Line(name, data.times, clean, spikes))
        for i, (unit, lines) in enumerate(by_unit.items()):
            out.append(TraceRow(key if i == 0 else f"{key} {i}", title, unit, tuple(lines)))
    return tuple(out)


def _dips(seen: Recorded) -> tuple[tuple[float, float], ...]:
    """Stretches under load in which the load let go."""
    begin = seen.load_start_s
    if begin is None:
        return ()
    inside = (seen.times >= begin) & (seen.times <= seen.load_end_s)
    low = inside & ~seen.loaded()
    edges = np.flatnonzero(np.diff(np.concatenate(([0], low.astype(np.int8), [0]))))
    found = [(float(seen.times[a]), float(seen.times[b - 1])) for a, b in zip(edges[::2], edges[1::2], strict=True)]
    return tuple(found[:2000])


def _passes(settling: Settling | None) -> Array:
    """Where the passes of a looped load begin."""
    if settling is None or settling.load.period_s is None or settling.load.start_s is None:
        return np.empty(0)
    return np.arange(settling.load.start_s, settling.load.end_s + 1e-6, settling.load.period_s)


def axis_label(trace: str) -> str:
    """The axis of the judged trace."""
    return f"{trace_label(trace).replace(', per watt', '')}, {'K/W' if trace.endswith('per_watt') else 'K'}"


def trace_label(trace: str) -> str:
    """A trace's name: ``Die over coolant, per watt``."""
    part, base, per_watt = parse_trace(trace)
    return f"{spoken(part).capitalize()} over {spoken(base)}" + (", per watt" if per_watt else "")
