"""What is handed on: a source archive, and a wheel made from it that runs away from this folder."""

from __future__ import annotations

import ast
import os
import re
import shutil
import subprocess
import sys
import tarfile
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[1]


def python(*args: str, at: Path, **more: str) -> str:
    done = subprocess.run(
        [sys.executable, *args], cwd=at, capture_output=True, text=True, check=False, env={**os.environ, **more}
    )
    assert done.returncode == 0, done.stderr[-2000:]
    return done.stdout


@pytest.fixture(scope="module")
def installed(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """The wheel of the source archive, in a folder of its own."""
    place = tmp_path_factory.mktemp("dist")
    source = place / "source"  # a copy: building leaves things behind
    shutil.copytree(ROOT / "src", source / "src", ignore=shutil.ignore_patterns("__pycache__", "*.egg-info"))
    for name in ("pyproject.toml", "README.md", "LICENSE"):
        shutil.copy(ROOT / name, source)
    make = "import setuptools.build_meta as b, sys; print(b.build_sdist(sys.argv[1]))"
    archive = place / python("-c", make, str(place), at=source).split()[-1]
    with tarfile.open(archive) as packed:
        packed.extractall(place, filter="data")
    unpacked = place / archive.name.removesuffix(".tar.gz")
    pip = ("-m", "pip", "install", "--quiet", "--disable-pip-version-check", "--no-deps", "--no-build-isolation")
    python(*pip, "--target", str(place / "there"), str(unpacked), at=place)
    return place / "there"


def test_it_runs_away_from_its_sources(installed: Path, tmp_path: Path) -> None:
    where = python("-c", "import kuffin; print(kuffin.__file__)", at=tmp_path, PYTHONPATH=str(installed))
    assert Path(where.strip()).is_relative_to(installed)
    more = {"PYTHONPATH": str(installed), "QT_QPA_PLATFORM": "offscreen", "XDG_DATA_HOME": str(tmp_path / "share")}
    assert python("-m", "kuffin.cli", "--version", at=tmp_path, **more).startswith("kuffin ")
    python("-m", "kuffin.cli", "desktop", at=tmp_path, **more)
    brought = {p.relative_to(ROOT / "src") for p in (ROOT / "src" / "kuffin").rglob("*") if p.is_file()}
    beside = {p for p in brought if p.suffix not in {".pyc", ".ts"}}  # translations come compiled
    assert len(beside) > 600 and not {p for p in beside if not (installed / p).exists()}
    window = (
        "from kuffin.app.look.application import application\nfrom kuffin.app.frame.window import MainWindow\n"
        "from kuffin.app.base.settings import Settings\nfrom pathlib import Path\napp = application()\n"
        "w = MainWindow(Settings(Path('w.ini'))); w.show(); w.show_help('Margin'); print(w.help.page.toPlainText()); w.close()"
    )
    assert "smallest difference" in python("-c", window, at=tmp_path, **more)


def imported(path: Path) -> set[str]:
    """All modules of libraries that a module imports, wherever it does."""
    nodes = list(ast.walk(ast.parse(path.read_text("utf-8"))))
    names = {a.name for n in nodes if isinstance(n, ast.Import) for a in n.names}
    names |= {n.module for n in nodes if isinstance(n, ast.ImportFrom) and n.module and not n.level}
    return {name for name in names if name.split(".")[0] not in sys.stdlib_module_names}


@pytest.mark.skipif(shutil.which("dpkg-deb") is None, reason="no Debian tools here")
def test_the_debian_package_has_all_that_it_needs_and_runs_away_from_the_environment(tmp_path: Path) -> None:
    from tools.debian_package import packed, staged

    root = tmp_path / "root"
    staged(root)
    alone = {
        "PATH": f"{Path(sys.executable).resolve().parent}:/usr/bin:/bin",
        "HOME": str(tmp_path),
        "QT_QPA_PLATFORM": "offscreen",
    }

    def kuffin(*args: str) -> str:
        done = subprocess.run([root / "usr/bin/kuffin", *args], env=alone, capture_output=True, text=True, check=False)
        assert done.returncode == 0, done.stderr[-2000:]
        return done.stdout

    assert kuffin("--version").startswith("kuffin ")
    libraries = sorted({name for p in (ROOT / "src").rglob("*.py") for name in imported(p)})
    assert {"weasyprint", "soundfile", "serial", "skimage.transform", "kuffin.app.frame.window"} <= set(libraries)
    window = (
        f"import sys; sys.path.insert(0, {str(root / 'usr/lib/kuffin')!r})\n"
        "from kuffin.app.look.application import application\nfrom kuffin.app.frame.window import MainWindow\n"
        "from kuffin.app.base.settings import Settings\nfrom pathlib import Path\napp = application()\n"
        "w = MainWindow(Settings(Path('w.ini'))); w.show()\n"
        f"import {', '.join(libraries)}\n"
        "print(w.windowTitle(), *{m.__file__ for m in sys.modules.values()\n"
        "    if 'site-packages' in str(getattr(m, '__file__', ''))}); w.close()"
    )
    base = str(Path(sys.executable).resolve())
    said = subprocess.run(
        [base, "-I", "-S", "-c", window], cwd=tmp_path, env=alone, capture_output=True, text=True, check=True
    )
    assert said.stdout.strip() == "Kuffin"  # and nothing came from any other place
    entry = (root / "usr/share/applications/kuffin.desktop").read_text()
    assert "Exec=kuffin %F" in entry or "Exec=kuffin " in entry
    made = packed(root, tmp_path, "-Znone")
    told = subprocess.run(["dpkg-deb", "--info", made], capture_output=True, text=True, check=True).stdout
    assert f"python3.{sys.version_info.minor}" in told and "libegl1" in told
    assert all(re.search(rf"\* +{script} +#!/bin/sh", told) for script in ("postinst", "prerm"))  # run by dpkg
