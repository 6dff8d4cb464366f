"""Strangers' files: a thousand hostile notebooks through a window, twenty thousand changed logs through the reader."""

from __future__ import annotations

import json
import os
import random
import subprocess
import sys
import tempfile
import time
from pathlib import Path

import numpy as np
from tests.hostile import small
from tests.logs.mutating import mutated
from tests.logs.test_reader import KINDS

from kuffin.core.base.errors import LogError
from kuffin.demo.shipped import unpack_demo
from kuffin.logs.reader import read_log

NOTEBOOKS, LOGS, AT_ONCE = 1000, 20_000, 50


def notebooks(first: int = 0, count: int = NOTEBOOKS) -> dict[str, float]:
    """What became of hostile notebooks; a window that ends is begun anew behind the one at which it ended."""
    told: list[dict[str, object]] = []
    ended = hung = 0
    with tempfile.TemporaryDirectory() as name:
        folder = Path(name)
        unpack_demo(folder / "demo.kuffin")
        small(folder / "demo.kuffin", folder / "small.kuffin")
        at = first
        while at < first + count:
            some = min(AT_ONCE, first + count - at)
            lines, code = _window(folder, at, some)
            told += [line for line in lines if "longest_s" in line]
            for line in lines:
                if line.get("faults"):
                    print(f"  seed {line['seed']}: {line['faults']}", flush=True)
            if code == 0:
                at += some
                continue
            last = lines[-1] if lines else {"seed": at}
            print(f"  ended at {last}: {code}", flush=True)
            ended, hung = ended + (code != "hung"), hung + (code == "hung")
            at = int(str(last["seed"])) + 1
    return {
        "notebooks": len(told) + ended + hung,
        "refused": sum(not t["opened"] for t in told),
        "ended the program": ended,
        "hung": hung + sum(float(str(t["longest_s"])) > 5 for t in told),
        "uncaught": sum(bool(t["faults"]) for t in told),
        "longest without an answer, s": max((float(str(t["longest_s"])) for t in told), default=0.0),
        "memory, MB": max((float(str(t["memory_mb"])) for t in told), default=0.0),
    }


def _window(folder: Path, at: int, count: int) -> tuple[list[dict[str, object]], int | str]:
    command = [
        sys.executable,
        "-m",
        "tests.hostile_window",
        str(folder / "small.kuffin"),
        str(folder),
        str(at),
        str(count),
    ]
    window = subprocess.Popen(
        command,
        stdout=subprocess.PIPE,
        stderr=subprocess.DEVNULL,
        text=True,
        env={**os.environ, "QT_QPA_PLATFORM": "offscreen"},
    )
    try:
        said, _ = window.communicate(timeout=60 * count)
        code: int | str = window.returncode
    except subprocess.TimeoutExpired:
        window.kill()
        said, _ = window.communicate()
        code = "hung"
    return [json.loads(line) for line in said.splitlines() if line.endswith("}")], code


def logs(first: int = 0, count: int = LOGS) -> dict[str, float]:
    """What became of changed logs."""
    rng, sound = random.Random(first), [recipe.write() for recipe in KINDS.values()]
    refused = faults = 0
    longest = 0.0
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "log.csv"
        for _ in range(count):
            path.write_bytes(mutated(rng, rng.choice(sound)))
            begun = time.monotonic()
            try:
                with np.errstate(all="ignore"):
                    table = read_log(path)
                faults += not (np.isfinite(table.times).all() and np.all(np.diff(table.times) >= 0))
            except LogError:
                refused += 1
            except Exception as error:
                faults += 1
                print(f"  {error!r}", flush=True)
            longest = max(longest, time.monotonic() - begun)
    return {"logs": count, "refused": refused, "faults": faults, "longest, s": longest}


def report() -> None:
    """Print both."""
    print("Strangers' notebooks:", {k: round(v, 2) for k, v in notebooks().items()})
    print("Changed logs:", {k: round(v, 2) for k, v in logs().items()})


if __name__ == "__main__":
    report()
