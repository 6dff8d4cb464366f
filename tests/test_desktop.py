"""The desktop's menu: what is put there holds together, works, and goes away again."""

from __future__ import annotations

import configparser
import os
import re
import shutil
import subprocess
import sys
import xml.etree.ElementTree as ET
from importlib.resources import files
from pathlib import Path

import pytest

from kuffin.cli import build_parser
from kuffin.commands.desktop import ICON_SIZES
from kuffin.commands.shellwords import bash_completion, manual_page

ROOT = Path(__file__).parents[1]
KEPT = files("kuffin.commands") / "desktopfiles"


def kuffin(*args: str, home: Path) -> subprocess.CompletedProcess[str]:
    env = {**os.environ, "XDG_DATA_HOME": str(home), "QT_QPA_PLATFORM": "offscreen"}
    return subprocess.run(
        [sys.executable, "-m", "kuffin.cli", "desktop", *args], capture_output=True, text=True, env=env, check=False
    )


def test_it_is_put_there_and_taken_away(tmp_path: Path) -> None:
    home = tmp_path / "a home"
    done = kuffin(home=home)
    assert done.returncode == 0, done.stderr
    entry = configparser.ConfigParser(interpolation=None)
    entry.optionxform = str  # type: ignore[assignment,method-assign]
    entry.read(home / "applications" / "kuffin.desktop")
    run = re.fullmatch(r'"(.+)" %f', entry["Desktop Entry"]["Exec"])
    assert run is not None and Path(run[1]).name == "kuffin"
    for size in ICON_SIZES:
        head = (home / f"icons/hicolor/{size}x{size}/apps/kuffin.png").read_bytes()[:24]
        assert int.from_bytes(head[16:20]) == int.from_bytes(head[20:24]) == size
    mime = ET.parse(home / "mime/packages/kuffin-mime.xml").getroot()
    assert mime[0].get("type") in entry["Desktop Entry"]["MimeType"]
    assert kuffin("--remove", home=home).returncode == 0
    left = [p for p in home.rglob("*") if p.is_file() and "kuffin" in p.name and "x-kuffin" not in p.name]
    assert left == []


def test_a_folder_that_cannot_be_written_is_named(tmp_path: Path) -> None:
    (tmp_path / "home").write_text("")
    done = kuffin(home=tmp_path / "home")
    assert done.returncode == 2 and "home" in done.stderr and "Traceback" not in done.stderr


def test_the_store_s_file_tells_every_release_and_is_valid() -> None:
    told = ET.fromstring((KEPT / "kuffin.metainfo.xml").read_text())
    releases = [(r.get("version"), r.get("date")) for r in told.iter("release")]
    assert releases == re.findall(r"^## (\d\S+), (\S+)$", (ROOT / "CHANGELOG.md").read_text(), re.MULTILINE)
    if shutil.which("appstreamcli"):
        checked = subprocess.run(
            ["appstreamcli", "validate", "--no-net", str(KEPT / "kuffin.metainfo.xml")], capture_output=True, text=True
        )
        assert checked.returncode == 0, checked.stdout


@pytest.mark.skipif(shutil.which("bash") is None, reason="no bash here")
def test_the_shell_completes_commands_options_and_choices() -> None:
    def complete(line: str) -> list[str]:
        words = line.split(" ")
        quoted = " ".join(f"'{w}'" for w in words)
        script = f'{bash_completion(build_parser())}\nCOMP_WORDS=({quoted}); COMP_CWORD={len(words) - 1}; _kuffin; echo "${{COMPREPLY[@]}}"'
        return subprocess.run(["bash", "-c", script], capture_output=True, text=True, check=True).stdout.split()

    assert "compare" in complete("kuffin comp") and "--margin" in complete("kuffin compare --mar")
    assert complete("kuffin compare --better low") == ["lower"]


def test_the_manual_page_tells_each_command_and_option() -> None:
    page = manual_page(build_parser())
    for word in ("compare", "sound", "report", "\\-\\-margin", "safety device"):
        assert word in page
    if shutil.which("groff"):
        made = subprocess.run(["groff", "-man", "-Tutf8", "-ww"], input=page, capture_output=True, text=True)
        assert made.returncode == 0 and made.stderr == ""
