"""Shared by all tests: a place for settings and caches that is not the person's own, and the demo, made once."""

from __future__ import annotations

import os
import shutil
import time
from collections.abc import Iterator
from pathlib import Path

import pytest
from hypothesis import HealthCheck, settings

# how quickly inputs are drawn says how busy the machine is, not whether Kuffin is right
settings.register_profile("kuffin", deadline=None, suppress_health_check=[HealthCheck.too_slow])
settings.load_profile("kuffin")

os.environ.setdefault("OMP_NUM_THREADS", "1")
os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")


@pytest.fixture(autouse=True)
def own_home(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    """Nothing of the person's own configuration is read or written."""
    for name in ("XDG_CONFIG_HOME", "XDG_CACHE_HOME", "XDG_DATA_HOME"):
        monkeypatch.setenv(name, str(tmp_path / name.lower()))


@pytest.fixture(scope="session")
def demo_master(tmp_path_factory: pytest.TempPathFactory, worker_id: str) -> Path:
    """The demo notebook; where tests run side by side, the first makes it and the others wait."""
    from kuffin.demo.scenario import build_demo

    if worker_id == "master":
        path = tmp_path_factory.mktemp("demo") / "demo.kuffin"
        build_demo(path)
        return path
    path = tmp_path_factory.getbasetemp().parent / "demo.kuffin"
    try:
        os.close(os.open(path.with_suffix(".making"), os.O_CREAT | os.O_EXCL))
    except FileExistsError:
        end = time.monotonic() + 300
        while not path.exists() and time.monotonic() < end:
            time.sleep(0.2)
        return path
    build_demo(path.with_suffix(".part"))
    path.with_suffix(".part").rename(path)
    return path


@pytest.fixture
def demo(demo_master: Path, tmp_path: Path) -> Path:
    """A fresh copy of the demo notebook."""
    target = tmp_path / "booth seven.kuffin"
    shutil.copyfile(demo_master, target)
    return target


@pytest.fixture
def demo_notebook(demo: Path) -> Iterator[object]:
    """The demo, open."""
    from kuffin.notebook.store import Notebook

    notebook = Notebook.open(demo)
    yield notebook
    notebook.close()
