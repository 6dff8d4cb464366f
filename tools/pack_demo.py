"""Build the demo notebook and pack it into the package: python tools/pack_demo.py (after a change of method or scenario)."""

from __future__ import annotations

import tempfile
from pathlib import Path

import kuffin.demo
from kuffin.demo.scenario import build_demo
from kuffin.demo.shipped import NAME, pack

with tempfile.TemporaryDirectory() as folder:
    built = Path(folder) / "demo.kuffin"
    build_demo(built)
    target = Path(kuffin.demo.__file__).with_name(NAME)
    pack(built, target)
    print(f"{target.name}: {target.stat().st_size / 1024:.0f} KiB")
