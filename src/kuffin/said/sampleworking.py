"""The last steps of a working: from a window's mean to its samples, and to the line of each instrument."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import tr
from kuffin.core.base.leads import ToMount
from kuffin.core.base.units import shown
from kuffin.core.base.worked import Worked, worked
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.bench.roles import spoken
from kuffin.core.compare.pairwords import number
from kuffin.core.heat.normalise import School
from kuffin.core.settle.reading import plain_window
from kuffin.notebook.entities import Bench, Instrument, Run, Study
from kuffin.notebook.samples import RunData, read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.keptresults import step_of
from kuffin.reading.runresult import RunResult
from kuffin.said.shownworking import Link, Working

_HEAD, _TAIL = 8, 4


def samples_working(
    notebook: Notebook, study: Study, run: Run, result: RunResult, outcome: Outcome, bench: Bench | None
) -> Working:
    """A window's samples by an outcome: what is subtracted and divided, the means, and every sample when copied."""
    school = outcome if isinstance(outcome, School) else None
    own = result.traces.get(school.trace) if school is not None else None
    span = own.window.span_s if own is not None else result.window_s
    title = tr("{name}, round {round}: the window's samples", name=run.mount.candidate.name, round=run.mount.round)
    if span is None:
        return Working(title=title, answer=tr("no window"))
    data = step_of(read_run(notebook, run.id), result)
    inside = (data.times >= span[0]) & (data.times <= span[1])
    names = _channels(result, school) if school is not None else _of_role(result, outcome.role)
    columns = [n for n in names.values() if n in data.values]
    out = Working(
        title=title,
        answer=tr(
            "{rows} rows from {begin:.2f} to {end:.2f} min",
            rows=int(inside.sum()),
            begin=span[0] / 60,
            end=span[1] / 60,
        ),
    )
    means = {
        key: _channel_mean(key, n, data, inside)
        for key, n in names.items()
        if n in data.values and np.isfinite(data.values[n][inside]).any()
    }
    plain = _by_plain_means(school, means, result) if school is not None else None
    if plain is not None:
        out.add(plain)
    else:
        out.add(*means.values())
    out.say_all(
        (n, tr("{missing} of {sum} rows are missing", missing=missing, sum=int(inside.sum())))
        for n in columns
        if (missing := int((~np.isfinite(data.values[n][inside])).sum()))
    )
    if own is not None and school is not None:
        late = "" if own.fast else tr(", air and power passed through the loop’s own lag")
        out.say(
            tr("Judged trace"),
            tr(
                "the same over the same rows, spikes left out{late}; its mean is what the reading is made from",
                late=late,
            ),
        )
        out.add(plain_window(own, school.trace_unit, school.trace_digits, "y"))
    units = {n: shown(data.units.get(n)) for n in columns}
    rows = [_row(data, columns, int(i)) for i in np.flatnonzero(inside)]
    head = "time s   " + "   ".join(f"{n} {units[n]}".strip() for n in columns)
    seen = (
        rows
        if len(rows) <= _HEAD + _TAIL
        else [
            *rows[:_HEAD],
            tr("… {rows} more rows, all of them in “Copy as text” …", rows=len(rows) - _HEAD - _TAIL),
            *rows[-_TAIL:],
        ]
    )
    out.say(tr("Samples"), "\n".join([head, *seen]))
    out.appendix = "\n".join([head, *rows])
    for n in columns:
        out.say(tr("{n}: where it comes from", n=n), _origin(run, n, bench))
    out.links.append(Link(tr("Open the run"), ToMount(run.mount_id)))
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


def _of_role(result: RunResult, role: str) -> dict[str, str]:
    name = result.names.get("power") if role == "power" else result.roles.get(role)
    return {role: name} if name else {}


def _channel_mean(key: str, name: str, data: RunData, inside: NDArray[np.bool_]) -> Worked:
    """A channel's plain mean over the window, from its sum."""
    x = data.values[name][inside]
    there, unit = x[np.isfinite(x)], shown(data.units.get(name))
    terms = [
        Worked(name=tr("Sum of the samples of {name}", name=name), symbol="Σx", value=float(there.sum()), unit=unit),
        Worked(name=tr("Samples"), symbol="n", value=float(there.size), digits=0),
    ]
    served, *rest = key.split(" ")
    symbol = {"power": "P", "heat": "P"}.get(served, "T") + "_" + "_".join([served, *rest])
    return worked(name, symbol, "Σx/n", terms, unit, digits=3)


def _by_plain_means(school: School, means: dict[str, Worked], result: RunResult) -> Worked | None:
    """The rise, and that per watt, by the channels' plain means; None where one is missing."""
    part, base = _served(means, school.part), _served(means, school.over or "")
    if part is None or (school.over and base is None):
        return None
    if school.over is None or base is None:
        return part
    if school.over == "coolant" and result.warmed_k is not None:
        by = tr("{names} / (ρ·c_p·V̇) before it", names=result.names.get("upstream", ""))
        warmed = Worked(
            name=tr("Warmed by other devices"), symbol="ΔT_w", value=result.warmed_k, unit="K", digits=3, source=by
        )
        base = worked(
            tr("Coolant at the {device}", device=result.device),
            "T_at",
            f"{base.symbol} + ΔT_w",
            [base, warmed],
            "°C",
            digits=3,
        )
    name = tr(
        "{capitalize} over {spoken}, by the plain means",
        capitalize=tr(spoken(school.part)).capitalize(),
        spoken=tr(spoken(school.over)),
    )
    rise = worked(name, "ΔT", f"{part.symbol} - {base.symbol}", [part, base], "K", digits=3)
    power = _served(means, "heat") or _served(means, "power")
    if not school.per_watt or power is None or power.value == 0:
        return rise
    return worked(tr("Per watt"), "R", f"ΔT/{power.symbol}", [rise, power], "K/W", digits=5)


def _served(means: dict[str, Worked], key: str) -> Worked | None:
    """What serves as something: one channel, the mean of several, or of heats the sum."""
    found = [m for k, m in means.items() if k.split(" ")[0] == key]
    if len(found) < 2:
        return found[0] if found else None
    together = " + ".join(m.symbol for m in found)
    first = found[0]
    symbol = f"{first.symbol}_all"
    if key == "heat":
        return worked(tr("All that heats the coolant"), symbol, together, found, first.unit, digits=2)
    return worked(
        tr("Mean of {found} channels", found=len(found)),
        symbol,
        f"({together})/{len(found)}",
        found,
        first.unit,
        digits=3,
    )


def _row(data: RunData, columns: list[str], i: int) -> str:
    cells = [f"{x:g}" if np.isfinite(x := data.values[n][i]) else "–" for n in columns]
    return f"{data.times[i]:8.2f}   " + "   ".join(cells)


def _origin(run: Run, name: str, bench: Bench | None) -> str:
    """Which log, which instrument, how good it is."""
    log = next((r for r in (run, *run.mount.joined_to(run.id)) if any(c.name == name for c in r.channels)), run)
    channel = next((c for c in log.channels if c.name == name), None)
    said = tr("column “{name}” of {source}", name=name, source=log.source or tr("the recording"))
    if channel is not None and channel.unit:
        said += tr(", in {shown}", shown=shown(channel.unit))
    if log.started_at:
        said += tr(", begun {started_at}", started_at=log.started_at.replace("T", " "))
    if log.joins_id is not None:
        said += tr(", moved by {lag_s:g} s onto the run's clock", lag_s=log.lag_s)
    instrument = _instrument(name, channel.role if channel is not None else None, bench)
    return said + (f". {instrument}" if instrument else tr(". The bench names no instrument for it"))


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
        parts.append(tr("{reading_percent:g} % of reading", reading_percent=i.reading_percent))
    if i.full_scale_percent and i.full_scale:
        parts.append(
            tr(
                "{full_scale_percent:g} % of {full_scale:g}",
                full_scale_percent=i.full_scale_percent,
                full_scale=i.full_scale,
            )
        )
    if i.counts:
        parts.append(
            tr("{counts:g} step of {size:g}", counts=i.counts, size=i.count_size)
            if i.counts == 1
            else tr("{counts:g} steps of {size:g}", counts=i.counts, size=i.count_size)
        )
    said = tr("Instrument: {name}", name=i.name) + (
        f", ± ({' + '.join(parts)})" if parts else tr(", accuracy not given")
    )
    if i.calibrated_on:
        said += tr(", calibrated {calibrated_on}", calibrated_on=i.calibrated_on)
    if i.offset:
        said += tr(", offset {offset}", offset=number(i.offset, 2))
    return said
