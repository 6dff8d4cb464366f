"""The command line: thin, over the same core as the window."""

from __future__ import annotations

import argparse
import json
import math
import sys
from typing import Any

from kuffin.core.errors import KuffinError


def _clean(value: Any) -> Any:
    """Unknown numbers are null, never NaN."""
    if isinstance(value, float):
        return value if math.isfinite(value) else None
    if isinstance(value, dict):
        return {k: _clean(v) for k, v in value.items()}
    if isinstance(value, (list, tuple)):
        return [_clean(v) for v in value]
    return value


def _print_json(value: Any) -> None:
    print(json.dumps(_clean(value), ensure_ascii=False, allow_nan=False))


def _read(args: argparse.Namespace) -> None:
    import warnings

    import numpy as np

    from kuffin.core.units import shown
    from kuffin.logs.reader import read_log

    warnings.simplefilter("ignore", category=RuntimeWarning)
    table = read_log(args.log)
    channels = [{"name": c.name, "unit": c.unit, "quantity": c.quantity, "role": c.role, "n": c.count,
                 "mean": float(np.nanmean(c.values)), "min": float(np.nanmin(c.values)), "max": float(np.nanmax(c.values))}
                for c in table.channels]
    if args.json:
        _print_json({"file": table.file, "encoding": table.encoding, "delimiter": table.delimiter, "decimal": table.decimal,
                     "rows": table.rows, "dropped_rows": table.dropped_rows, "start": table.start, "duration_s": table.duration_s,
                     "interval_s": table.interval_s, "gaps": [{"at_s": g.at_s, "length_s": g.length_s} for g in table.gaps],
                     "channels": channels, "warnings": table.warnings})
        return
    print(f"{table.file}: {table.rows} rows over {table.duration_s:.0f} s, every {table.interval_s or 0:.3g} s"
          + (f", from {table.start.replace('T', ' ')}" if table.start else ""))
    print(f"encoding {table.encoding}, delimiter {table.delimiter!r}, decimal sign {table.decimal!r}, rows left out: {table.dropped_rows}")
    for gap in table.gaps:
        print(f"gap of {gap.length_s:.0f} s at {gap.at_s:.0f} s")
    for c in channels:
        print(f"  {c['name']:<24} {shown(c['unit']) or '(no unit)':<10} {c['role'] or '-':<12} n {c['n']:<7} "
              f"mean {c['mean']:.3f}  {c['min']:.3f} to {c['max']:.3f}")
    for text in table.warnings:
        print(f"note: {text}", file=sys.stderr)


def build_parser() -> argparse.ArgumentParser:
    """The commands and their options."""
    parser = argparse.ArgumentParser(prog="kuffin", description="A bench notebook for people who test cooling parts.")
    commands = parser.add_subparsers(dest="command")

    read = commands.add_parser("read", help="what a delimited log holds")
    read.add_argument("log")
    read.add_argument("--json", action="store_true")
    read.set_defaults(run=_read)
    return parser


def main(argv: list[str] | None = None) -> int:
    """Run a command, or open the window."""
    args = build_parser().parse_args(argv)
    try:
        args.run(args)
    except KuffinError as error:
        print(" ".join(str(error).split()), file=sys.stderr)
        return 2
    except KeyboardInterrupt:
        return 130
    except BrokenPipeError:
        return 0
    return 0


if __name__ == "__main__":
    sys.exit(main())
