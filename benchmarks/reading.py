"""Reading a 100,000 × 60 log, against a bare pandas.read_csv told everything; and the peak of memory."""

from __future__ import annotations

import subprocess
import sys
import tempfile
from pathlib import Path

import numpy as np
import pandas as pd

from benchmarks.timing import in_turn, say
from kuffin.logs.reader import read_log

ROWS, COLUMNS = 100_000, 60


def write(path: Path) -> None:
    """A plain, large log."""
    rng = np.random.default_rng(1)
    values = np.round(30 + rng.normal(0, 3, (ROWS, COLUMNS)), 2)
    frame = pd.DataFrame(values, columns=[f"Probe {i} [°C]" for i in range(COLUMNS)])
    times = pd.date_range("2026-03-02 10:15:00", periods=ROWS, freq="s").strftime("%Y-%m-%d %H:%M:%S")
    frame.insert(0, "Time", times)
    frame.to_csv(path, index=False)


def report() -> None:
    """Print the ratio of times and of memory."""
    with tempfile.TemporaryDirectory() as tmp:
        path = Path(tmp) / "large.csv"
        write(path)
        names = ["time", *[f"c{i}" for i in range(COLUMNS)]]

        def bare() -> pd.DataFrame:
            return pd.read_csv(
                path,
                header=None,
                skiprows=1,
                names=names,
                dtype={c: float for c in names[1:]},
                parse_dates=["time"],
                date_format="%Y-%m-%d %H:%M:%S",
            )

        ours, theirs = in_turn(lambda: read_log(path), bare, 3)
        say(f"reading {ROWS:,} × {COLUMNS}", ours, theirs, "pandas told everything", "≤ 2")
        peak = _peak("from kuffin.logs.reader import read_log; kept = read_log(sys.argv[1])", path)
        idle = _peak("from kuffin.logs.reader import read_log", path)
        numbers = ROWS * (COLUMNS + 1) * 8
        print(
            f"  peak memory above the imports: {(peak - idle) / 1e6:.0f} MB for {numbers / 1e6:.0f} MB of numbers: "
            f"ratio {(peak - idle) / numbers:.2f} (aim ≤ 3)"
        )


def _peak(code: str, path: Path) -> float:
    """Peak resident memory of a process of its own, in bytes."""
    program = (
        f"import sys; {code}; print([l.split()[1] for l in open('/proc/self/status') if l.startswith('VmHWM')][0])"
    )
    done = subprocess.run([sys.executable, "-c", program, str(path)], capture_output=True, text=True, check=True)
    return float(done.stdout.split()[-1]) * 1024
