"""What each command does; the command line itself is in `kuffin.cli`."""

from __future__ import annotations

import argparse
import os
import signal
import sys
from collections.abc import Sequence
from pathlib import Path
from typing import TYPE_CHECKING, Any

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.plaindata import json_text

if TYPE_CHECKING:
    from kuffin.logs.table import LogChannel, LogTable, ToldOfLog


def _print_json(value: object) -> None:
    print(json_text(value))


def _told(args: argparse.Namespace) -> ToldOfLog:
    """What is said on the command line of a log that leaves it open."""
    from kuffin.logs.table import ToldOfLog

    return ToldOfLog(args.dates, args.decimal, args.time_unit)


def read(args: argparse.Namespace) -> None:
    """What a delimited log holds."""
    import numpy as np

    from kuffin.core.base.units import shown
    from kuffin.logs.reader import read_log

    table = read_log(args.log, told=_told(args))
    channels = [
        {
            "name": c.name,
            "unit": c.unit,
            "quantity": c.quantity,
            "role": c.role,
            "device": c.device,
            "n": c.count,
            "mean": float(np.nanmean(c.values)),
            "min": float(np.nanmin(c.values)),
            "max": float(np.nanmax(c.values)),
        }
        for c in table.channels
    ]
    if args.json:
        _print_json(
            {
                "file": table.file,
                "encoding": table.encoding,
                "delimiter": table.delimiter,
                "decimal": table.decimal,
                "rows": table.rows,
                "dropped_rows": table.dropped_rows,
                "start": table.start,
                "duration_s": table.duration_s,
                "interval_s": table.interval_s,
                "gaps": [{"at_s": g.at_s, "length_s": g.length_s} for g in table.gaps],
                "channels": channels,
                "warnings": table.warnings,
            }
        )
        return
    print(
        f"{table.file}: {table.rows} rows over {table.duration_s:.0f} s, every {table.interval_s or 0:.3g} s"
        + (f", from {table.start.replace('T', ' ')}" if table.start else "")
    )
    print(
        f"encoding {table.encoding}, delimiter {table.delimiter!r}, decimal sign {table.decimal!r}, rows left out: {table.dropped_rows}"
    )
    for gap in table.gaps:
        print(f"gap of {gap.length_s:.0f} s at {gap.at_s:.0f} s")
    for c in channels:
        print(
            f"  {c['name']:<24} {shown(str(c['unit'] or '')) or '(no unit)':<10} {' '.join(str(x) for x in (c['device'], c['role']) if x) or '-':<22} n {c['n']:<7} "
            f"mean {c['mean']:.3f}  {c['min']:.3f} to {c['max']:.3f}"
        )
    for text in table.warnings:
        print(f"note: {text}", file=sys.stderr)


def _column(table: LogTable, wanted: str) -> LogChannel:
    """The channel named exactly so, or the only one with that part in its name."""
    exact = [c for c in table.channels if c.name == wanted]
    if exact:
        return exact[0]
    part = [c for c in table.channels if wanted.lower() in c.name.lower()]
    if len(part) == 1:
        return part[0]
    have = ", ".join(c.name for c in (part or table.channels))
    if part:
        raise KuffinError(f"{table.file}: “{wanted}” fits several columns ({have}); give the whole name")
    raise KuffinError(f"{table.file}: there is no column “{wanted}”; it has {have}")


def settle_log(args: argparse.Namespace) -> None:
    """When a trace reached equilibrium, and what it settled at."""
    import numpy as np

    from kuffin.core.base.units import shown
    from kuffin.core.bench.roles import AIR
    from kuffin.core.settle import settle
    from kuffin.logs.reader import read_log

    table = read_log(args.log, told=_told(args))
    response = _column(table, args.response)
    over = _column(table, args.over) if args.over else None
    per = _column(table, args.per) if args.per else None
    load = _column(table, args.load) if args.load else next((c for c in table.channels if c.role == "power"), None)
    air = next((c for role in AIR for c in table.channels if c.role == role), None)
    tolerance = args.tolerance
    if tolerance is None:
        # 0.2 K; for a trace per watt, what 0.2 K are at this run's power
        level = float(np.nanpercentile(per.values, 75)) if per is not None else 1.0
        tolerance = 0.2 / level if level > 0 else 0.2
    found = settle(
        table.times,
        response.values,
        over=over.values if over else None,
        per=per.values if per else None,
        load=load.values if load else None,
        air=air.values if air else None,
        tolerance=tolerance,
        over_is_air=over is not None and over.role in AIR,
    )
    for text in found.notes:
        print(f"note: {text}", file=sys.stderr)
    if args.json:
        begun, window, warm_up = found.load, found.window, found.warm_up
        _print_json(
            {
                "load_start_s": begun.start_s,
                "period_s": begun.period_s,
                "tau_s": warm_up.tau_s,
                "settled": found.settled,
                "settled_at_s": found.settled_at_s,
                "window_s": window.span_s,
                "mean": window.mean,
                "mean_u95": found.mean_u95,
                "n_eff": window.n_eff,
                "sd": window.sd,
                "final": warm_up.final,
                "final_u95": found.final_u95,
                "still_to_go": found.level.to_go,
                "drift_per_10min": found.drift.per_10min,
                "drift_u95": found.drift.u95,
                "step_s": begun.step_s,
                "notes": found.notes,
            }
        )
        return
    unit = "K" if over is not None else shown(response.unit)
    unit = f"{unit}/{shown(per.unit)}" if per is not None else unit
    digits = max(2, 2 - int(np.floor(np.log10(tolerance)))) if tolerance < 1 else 2

    def say(x: float) -> str:
        return f"{x:.{digits}f}"

    if found.load.start_s is not None:
        print(
            f"load from {found.load.start_s:.0f} s"
            + (f", in loops of {found.load.period_s:.1f} s" if found.load.period_s else "")
        )
    if found.load.step_s is not None:
        print(f"something changed at {found.load.step_s:.0f} s; what follows is about the last state")
    if found.warm_up.tau_s is not None and not found.fast:
        print(f"time constant {found.warm_up.tau_s:.0f} s")
    print(f"settled at {found.settled_at_s:.0f} s" if found.settled_at_s is not None else "not settled")
    print(
        f"mean of {found.window.span_s[0]:.0f} to {found.window.span_s[1]:.0f} s: {say(found.window.mean)} ± {say(found.mean_u95)} {unit}"
    )
    print(
        f"it points to {say(found.warm_up.final)} ± {say(found.final_u95)} {unit}, still to go {say(found.level.to_go)} {unit}"
    )
    print(f"drift {say(found.drift.per_10min)} ± {say(found.drift.u95)} {unit} per 10 min")


def plan(args: argparse.Namespace) -> None:
    """How many mounts a question takes."""
    from kuffin.core.plan.design import plan_mounts

    found = plan_mounts(
        args.candidates, args.sd, args.difference, args.power, args.confidence, args.reference, args.rounds
    )
    if args.json:
        _print_json({"mounts": found.mounts, "power": found.power, "half_width": found.half_width})
        return
    print(
        f"{found.mounts} mounts of each candidate find a difference of {abs(args.difference):g} with a chance of "
        f"{100 * found.power:.0f} %; the interval of a pair is then about ± {found.half_width:.3g}"
    )


def record(args: argparse.Namespace) -> None:
    """Record a study's next run without a window, led by the study's protocol."""
    from kuffin.recording.headless import record_run

    for one in (signal.SIGTERM, signal.SIGHUP):
        if signal.getsignal(one) is not signal.SIG_IGN:  # nohup asks for that
            signal.signal(one, signal.default_int_handler)  # as Ctrl+C: it ends in order

    def tell(line: dict[str, Any]) -> None:
        if args.json:
            _print_json(line)
            sys.stdout.flush()
        elif line.get("said"):
            print(line["said"], flush=True)

    record_run(Path(args.notebook), args.study, args.candidate, args.bench, args.speed, tell)


def report(args: argparse.Namespace) -> None:
    """Write a study's page, figures and tables."""
    from kuffin.notebook.named import study_named
    from kuffin.notebook.store import Notebook
    from kuffin.publish.report import write_report

    notebook, folder = Notebook.open(args.notebook), Path(args.out)
    try:
        study = study_named(notebook, args.study)
        files = write_report(notebook, study, folder, args.theme)
    finally:
        notebook.close()
    if args.json:
        _print_json({"study": study.name, "folder": str(folder), "files": files})
        return
    print(f"“{study.name}”: {len(files)} files are written to {folder}; begin with {folder / 'page.html'}")


def package(args: argparse.Namespace) -> None:
    """Write a study as a data package."""
    from kuffin.notebook.named import study_named
    from kuffin.notebook.store import Notebook
    from kuffin.publish.datapackage import package_study

    notebook, target = Notebook.open(args.notebook), Path(args.out)
    try:
        study = study_named(notebook, args.study)
        runs = package_study(notebook, study.id, target, everything=args.everything)
    finally:
        notebook.close()
    print(f"“{study.name}” with {runs} runs is written to {target}")


def unpack(args: argparse.Namespace) -> None:
    """Put a data package's study into a notebook, which is made where it is not there."""
    from kuffin.notebook.store import Notebook
    from kuffin.publish.unpacking import unpack_study
    from kuffin.said.line import verdict_line
    from kuffin.verdict.study import judge

    path = Path(args.notebook)
    made = not path.exists()
    notebook = Notebook.create(path) if made else Notebook.open(path)
    try:
        study = unpack_study(Path(args.package), notebook)
        sentence = verdict_line(judge(notebook, notebook.study(study))).sentence
    except KuffinError:
        notebook.close()
        if made:
            path.unlink(missing_ok=True)
        raise
    name = notebook.study(study).name
    notebook.close()
    print(f"“{name}” is in {path}: {sentence}")


def demo(args: argparse.Namespace) -> int:
    """Open a fresh copy of the demo notebook, or write it to a file."""
    if args.write:
        from kuffin.demo.shipped import unpack_demo

        target = Path(args.write)
        if target.exists():
            raise KuffinError(f"{target} is there already; choose another name")
        unpack_demo(target)
        print(f"the demo notebook is written to {target}")
        return 0
    _need_a_screen()
    from kuffin.app.main import run

    return run(demo=True)


def open_window(files: Sequence[str] = ()) -> int:
    """Open the window on a notebook, or on the last one, with what else is named waiting.

    Raises
    ------
    KuffinError
        Where there is no such file, or more than one notebook.
    """
    missing = [f for f in files if not Path(f).is_file()]
    if missing:
        raise KuffinError(f"there is no file {' and no file '.join(missing)}; see kuffin --help for the commands")
    from kuffin.notebook.store import SUFFIX

    notebooks = [f for f in files if f.endswith(SUFFIX)]
    if len(notebooks) > 1:
        raise KuffinError(f"one notebook at a time, please: {' and '.join(notebooks)}")
    _need_a_screen()
    from kuffin.app.main import run

    return run(notebooks[0] if notebooks else None, files=[f for f in files if f not in notebooks])


def _need_a_screen() -> None:
    if sys.platform.startswith("linux") and not any(
        os.environ.get(name) for name in ("DISPLAY", "WAYLAND_DISPLAY", "QT_QPA_PLATFORM")
    ):
        raise KuffinError(
            "there is no screen to open a window on; the commands read, settle, compare and plan need none"
        )
