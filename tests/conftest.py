"""Shared by all tests: a place for settings and caches that is not the person's own, and the demo, made once."""

from __future__ import annotations

import os
import shutil
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
def demo_master(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """The demo notebook as it ships; `tests/demo/test_shipped.py` holds it against a fresh one."""
    from kuffin.demo.shipped import unpack_demo

    path = tmp_path_factory.mktemp("demo") / "demo.kuffin"
    unpack_demo(path)
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
