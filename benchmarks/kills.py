"""Kills at chosen system calls: at every write, sync, rename and removal that an edit, a recording, a migration, a mending
and the emptying of the bin make. After each the notebook opens, with all that was kept before, and the thing done or not.

It needs `strace`; without it this says so.
"""

from __future__ import annotations

import shutil
import sqlite3
import subprocess
import sys
import tempfile
from pathlib import Path

from tests.hostile import small

from kuffin.demo.shipped import unpack_demo
from kuffin.notebook.store import Notebook

CALLS = ("pwrite64", "write", "fsync", "fdatasync", "rename", "unlink", "link", "ftruncate")
MOST = 40  # kills at each kind of call
FORMAT_1 = Path("tests/notebook/format1.sql")

ACTS = {
    "an edit": "from kuffin.notebook import edits; edits.change_study(book, book.studies()[0].id, 'm', margin_k=0.123)",
    "the bin": "from kuffin.notebook import bin as b; b.empty(book)",
    "a recording": (
        "import numpy as np; from kuffin.notebook.runwriter import RunWriter\n"
        "w = RunWriter(book, book.studies()[0].id, 'Reed', [('Die', 'degC', 'temperature', 'die')], 's', '2026-05-04T12:00:00')\n"
        "w.begin()\n"
        "for i in range(3): w.add(np.array([[float(i), 30.0]]))\n"
        "w.end(tell=False)"
    ),
    "an opening": "pass",
}


def report() -> None:
    """Print how many kills were survived."""
    if shutil.which("strace") is None:
        print("Kills at system calls: strace is not on this computer, so nothing was killed")
        return
    total = survived = 0
    with tempfile.TemporaryDirectory() as name:
        folder = Path(name)
        for label, (master, act) in _cases(folder).items():
            kills, fine = _kill(folder / "desk", master, act)
            print(f"  {label}: {fine} of {kills} survived", flush=True)
            total, survived = total + kills, survived + fine
    print(f"Kills at system calls: {survived} of {total} survived")


def _cases(folder: Path) -> dict[str, tuple[Path, str]]:
    unpack_demo(folder / "demo.kuffin")
    small(folder / "demo.kuffin", folder / "small.kuffin")
    binned, old, damaged = folder / "binned.kuffin", folder / "old.kuffin", folder / "damaged.kuffin"
    shutil.copyfile(folder / "small.kuffin", binned)
    db = sqlite3.connect(binned)
    db.execute("UPDATE mount SET binned_at = '2026-05-04T12:00:00' WHERE id = (SELECT max(id) FROM mount)")
    db.commit()
    db.close()
    db = sqlite3.connect(old)
    db.executescript(FORMAT_1.read_text(encoding="utf-8"))
    db.execute("PRAGMA application_id = 0x4B554646")
    db.execute("PRAGMA user_version = 1")
    db.close()
    shutil.copyfile(folder / "small.kuffin", damaged)
    db = sqlite3.connect(damaged)
    db.execute("UPDATE study SET confidence = 7")
    db.commit()
    db.close()
    sound = folder / "small.kuffin"
    return {
        "an edit": (sound, ACTS["an edit"]),
        "a recording": (sound, ACTS["a recording"]),
        "the bin emptied": (binned, ACTS["the bin"]),
        "a migration": (old, ACTS["an opening"]),
        "a mending": (damaged, ACTS["an opening"]),
    }


def _kill(desk: Path, master: Path, act: str) -> tuple[int, int]:
    program = (
        "import sys; from kuffin.notebook.store import Notebook\n"
        "import kuffin.notebook.edits, kuffin.notebook.bin, kuffin.notebook.runwriter, numpy\n"
        f"book = Notebook.open(sys.argv[1])\n{act}\nbook.close()\n"
    )
    kills = fine = 0
    for call in CALLS:
        for when in range(1, MOST + 1):
            shutil.rmtree(desk, ignore_errors=True)
            desk.mkdir()
            path = desk / "bench.kuffin"
            shutil.copyfile(master, path)
            done = subprocess.run(
                ["strace", "-f", "-qq", "-o", "/dev/null", "-e", f"trace={call}", "-P", str(desk), "-P", str(path),
                 "-P", f"{path}-wal", "-e", f"inject={call}:signal=SIGKILL:when={when}", sys.executable, "-c", program, str(path)],
                check=False, capture_output=True,
            )  # fmt: skip
            if done.returncode == 0:
                break  # there are no more of these calls
            kills += 1
            fine += _sound(path)
    return kills, fine


def _sound(path: Path) -> bool:
    try:
        book = Notebook.open(path)
        try:
            return bool(book.studies() and book.study(book.studies()[0].id).candidates)
        finally:
            book.close()
    except Exception as error:
        print(f"    {error!r}", flush=True)
        return False


if __name__ == "__main__":
    report()
