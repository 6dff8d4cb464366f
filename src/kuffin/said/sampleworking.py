"""The last steps of a working: from a window's mean to its samples, and to the line of each instrument."""

from __future__ import annotations

import numpy as np

from kuffin.core.base.units import shown
from kuffin.core.compare.pairwords import number
from kuffin.core.heat.normalise import School
from kuffin.notebook.entities import Bench, Instrument, Run, Study
from kuffin.notebook.samples import RunData, read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.evaluating import settle_trace
from kuffin.reading.keptresults import run_signals, step_of
from kuffin.reading.runresult import RunResult
from kuffin.said.working import Link, Working

_HEAD, _TAIL = 8, 4


def samples_working(
    notebook: Notebook, study: Study, run: Run, result: RunResult, school: School, bench: Bench | None
) -> Working:
    """A window's samples under a school: what is subtracted and divided, the means, and every sample when copied."""
    own = result.traces.get(school.trace)
    span = own.window_s if own is not None else result.window_s
    title = f"{run.mount.candidate.name}, round {run.mount.round}: the window's samples"
    if span is None:
        return Working(title, "no window")
    data = step_of(read_run(notebook, run.id), result)
    inside = (data.times >= span[0]) & (data.times <= span[1])
    names = _channels(result, school)
    columns = [n for n in names.values() if n in data.values]
    units = {n: shown(data.units.get(n)) for n in columns}
    means = {n: float(np.nanmean(data.values[n][inside])) for n in columns if np.isfinite(data.values[n][inside]).any()}
    out = Working(title, f"{int(inside.sum())} rows from {span[0] / 60:.2f} to {span[1] / 60:.2f} min")
    for n in columns:
        x = data.values[n][inside]
        there = int(np.isfinite(x).sum())
        if n in means:
            out.lines.append(
                (
                    n,
                    f"Σx/n = {number(float(np.nansum(x)), 2)}/{there} = {number(means[n], 3)} {units[n]}"
                    + (f"; {int(inside.sum()) - there} missing" if there < inside.sum() else ""),
                )
            )
    out.lines += _formula(school, names, means, result)
    out.lines += _judged(notebook, run, study, result, school, inside)
    rows = [_row(data, columns, int(i)) for i in np.flatnonzero(inside)]
    head = "time s   " + "   ".join(f"{n} {units[n]}".strip() for n in columns)
    seen = (
        rows
        if len(rows) <= _HEAD + _TAIL
        else [
            *rows[:_HEAD],
            f"… {len(rows) - _HEAD - _TAIL} more rows, all of them in “Copy as text” …",
            *rows[-_TAIL:],
        ]
    )
    out.lines.append(("Samples", "\n".join([head, *seen])))
    out.appendix = "\n".join([head, *rows])
    for n in columns:
        out.lines.append((f"{n}: where it comes from", _origin(run, n, bench)))
    out.links.append(Link("Open the run", "mount", str(run.mount_id)))
    return out


def _channels(result: RunResult, school: School) -> dict[str, str]:
    """The channels that the school uses, by what they serve as; several (cores, intake probes) each by itself."""
    power = "heat" if school.of_coolant and "heat" in result.names else "power"
    wanted = [school.part, *([school.over] if school.over else []), *([power] if school.per_watt else [])]
    out = {}
    for key in wanted:
        for i, name in enumerate(result.names.get(key, "").split(", ")):
            if name:
                out[f"{key} {i}" if i else key] = name
    return out


def _formula(
    school: School, names: dict[str, str], means: dict[str, float], result: RunResult
) -> list[tuple[str, str]]:
    def mean(key: str) -> float | None:
        found = [means[n] for k, n in names.items() if k.split(" ")[0] == key and n in means]
        if not found:
            return None
        return float(np.sum(found) if key == "heat" else np.mean(found))

    part, base = mean(school.part), mean(school.over or "")
    power = mean("heat") if any(k.startswith("heat") for k in names) else mean("power")
    if part is None or (school.over and base is None):
        return []
    if school.over is None:
        return [("As read", f"{number(part, 3)} °C, nothing taken out")]
    assert base is not None
    lines = []
    if school.over == "coolant" and result.warmed_k is not None:
        by = result.names.get("upstream", "")
        warm = base + result.warmed_k
        lines.append(
            (
                f"Coolant at the {result.device}",
                f"{number(base, 3)} + {number(result.warmed_k, 3)} = {number(warm, 3)} °C: {by} / (ρ·c_p·V̇) before it",
            )
        )
        base = warm
    rise = part - base
    lines += [
        (
            f"{school.part.capitalize()} over {school.over}",
            f"{number(part, 3)} − {number(base, 3)} = {number(rise, 3)} K, by the plain means",
        )
    ]
    if school.per_watt and power:
        lines.append(("Per watt", f"{number(rise, 3)} K / {number(power, 2)} W = {number(rise / power, 5)} K/W"))
    return lines


def _judged(
    notebook: Notebook, run: Run, study: Study, result: RunResult, school: School, inside: object
) -> list[tuple[str, str]]:
    """The judged trace over the same rows: the plain means with what settling does to them."""
    trace = result.traces.get(school.trace)
    if trace is None:
        return []
    window = result.window_s if result.by_hand else None
    settling = settle_trace(
        run_signals(notebook, study, run, result), school.trace, study.tolerance_k, window, result.begun_s
    )
    n = settling.trace.size
    rows = np.asarray(inside)[:n] & np.isfinite(settling.trace)
    x = settling.trace[rows]
    unit, digits = ("K/W", 5) if school.per_watt else ("K", 3)
    if not x.size:
        return []
    lines = [
        (
            "Judged trace",
            f"spikes left out{'' if trace.fast else ', air and power passed through the loop’s own lag'}: Σy/n = {number(float(x.sum()), 3)}/{x.size} = "
            f"{number(float(x.mean()), digits)} {unit}, scatter {number(float(x.std(ddof=1)) if x.size > 1 else 0.0, digits)} {unit}",
        )
    ]
    if trace.period_s:
        lines.append(
            ("Whole passes", f"of {trace.period_s:.0f} s; the mean over those is {number(trace.mean, digits)} {unit}")
        )
    lines.append(
        (
            "Half-width of the mean",
            f"|warm-up left {number(trace.left_in_window, digits)}| + √((t·s/√n_eff)² + (tolerance/4)²) with s = {number(trace.sd, digits)}, "
            f"n_eff = {trace.n_eff:.0f}: {number(trace.mean_u95, digits)} {unit}",
        )
    )
    return lines


def _row(data: RunData, columns: list[str], i: int) -> str:
    cells = [f"{x:g}" if np.isfinite(x := data.values[n][i]) else "–" for n in columns]
    return f"{data.times[i]:8.2f}   " + "   ".join(cells)


def _origin(run: Run, name: str, bench: Bench | None) -> str:
    """Which log, which instrument, how good it is."""
    log = next((r for r in (run, *run.mount.joined_to(run.id)) if any(c.name == name for c in r.channels)), run)
    channel = next((c for c in log.channels if c.name == name), None)
    said = f"column “{name}” of {log.source or 'the recording'}"
    if channel is not None and channel.unit:
        said += f", in {shown(channel.unit)}"
    if log.started_at:
        said += f", begun {log.started_at.replace('T', ' ')}"
    if log.joins_id is not None:
        said += f", moved by {log.lag_s:g} s onto the run's clock"
    instrument = _instrument(name, channel.role if channel is not None else None, bench)
    return said + (f". {instrument}" if instrument else ". The bench names no instrument for it")


def _instrument(name: str, role: str | None, bench: Bench | None) -> str:
    found: list[Instrument] = []
    for i in bench.live_instruments if bench is not None else []:
        for probe in i.live_probes:
            if probe.channel == name or (not probe.channel and probe.role == role and role is not None):
                found.append(i)
    if not found:
        return ""
    i = found[0]
    parts = []
    if i.reading_percent:
        parts.append(f"{i.reading_percent:g} % of reading")
    if i.full_scale_percent and i.full_scale:
        parts.append(f"{i.full_scale_percent:g} % of {i.full_scale:g}")
    if i.counts:
        parts.append(f"{i.counts:g} step{'s' if i.counts != 1 else ''} of {i.count_size:g}")
    said = f"Instrument: {i.name}" + (f", ± ({' + '.join(parts)})" if parts else ", accuracy not given")
    if i.calibrated_on:
        said += f", calibrated {i.calibrated_on}"
    if i.offset:
        said += f", offset {number(i.offset, 2)}"
    return said
