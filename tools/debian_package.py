"""A Debian package of Kuffin with all its libraries, out of the environment that stands here: nothing is downloaded.

    python tools/debian_package.py dist          # dist/kuffin_0.9.0_amd64.deb
    sudo apt install ./dist/kuffin_0.9.0_amd64.deb

It goes into ``/usr/lib/kuffin`` with a command, an entry, icons, the file type, the manual page and completion. It needs the Python that built
it (``python3.11``, say) and the system's libraries that Qt needs, which apt brings.
"""

from __future__ import annotations

import re
import shutil
import subprocess
import sys
from collections.abc import Iterator
from importlib.metadata import Distribution, distribution
from pathlib import Path

from packaging.requirements import Requirement

import kuffin
from kuffin.cli import build_parser
from kuffin.commands.desktop import shared_files

ROOT = Path(__file__).parents[1]
# what Kuffin never loads: others' tests, and the parts of Qt that draw from scripts or design forms
_LEFT_OUT = re.compile(
    r"(^|/)(tests?|__pycache__|qml|designer)/|Qt6?(Quick|Qml|Designer)|^\.\./|^PySide6/(.*\.pyi$|linguist|lupdate|qmlls|qmllint|balsam)"
)
_PYTHON = f"{sys.version_info.major}.{sys.version_info.minor}"
_START = """import sys
sys.path.insert(0, __file__.rpartition("/")[0])
from kuffin.cli import main
sys.exit(main())
"""
_COMMAND = """#!/bin/sh
here=$(dirname "$(readlink -f "$0")")
exec python{version} -I -S "$here/../lib/kuffin/start.py" "$@"
"""
# compiled once, where it is installed: who starts it may not write there, and would have it compiled at each start
_AFTER = """#!/bin/sh
python{version} -m compileall -q -j 0 /usr/lib/kuffin >/dev/null 2>&1 || true
"""
_BEFORE_REMOVAL = """#!/bin/sh
find /usr/lib/kuffin -name __pycache__ -prune -exec rm -rf {{}} + || true
"""
_CONTROL = """Package: kuffin
Version: {version}
Architecture: {architecture}
Maintainer: Kuffin’s developers <kuffin@localhost>
Installed-Size: {size}
Depends: {depends}
Section: science
Priority: optional
Description: bench notebook for people who test cooling parts
 Kuffin plans a test and walks through each mount, finds when each run settled,
 takes the room out, compares candidates with the mount as the unit of
 evidence, and says what may honestly be said. Kuffin is no safety device.
"""


def needed(name: str = "kuffin") -> dict[str, Distribution]:
    """Kuffin's own distribution and all that it needs to run, by name."""
    found: dict[str, Distribution] = {}
    left = [Requirement(name)]
    while left:
        asked = left.pop()
        key = asked.name.lower().replace("_", "-")
        if key in found or (asked.marker is not None and not asked.marker.evaluate({"extra": ""})):
            continue
        found[key] = distribution(asked.name)
        left += [Requirement(r) for r in found[key].requires or []]
        for extra in asked.extras:
            left += [
                r
                for r in map(Requirement, found[key].requires or [])
                if r.marker and r.marker.evaluate({"extra": extra})
            ]
    return found


def _libraries(into: Path) -> None:
    """The files of all that is needed, but for Kuffin's own, which are those of its sources."""
    for name, made in needed().items():
        for file in made.files or []:
            if name == "kuffin" or _LEFT_OUT.search(str(file)):
                continue
            target = into / str(file)
            target.parent.mkdir(parents=True, exist_ok=True)
            shutil.copyfile(made.locate_file(file), target)
    shutil.copytree(Path(kuffin.__file__).parent, into / "kuffin", ignore=shutil.ignore_patterns("__pycache__"))
    (into / "start.py").write_text(_START)


def _depends() -> Iterator[str]:
    yield f"python{_PYTHON}"
    listed = re.search(r"wanted=\((.*?)\)", (ROOT / "tools" / "system-libraries.sh").read_text(), re.DOTALL)
    assert listed is not None
    yield from (name for name in listed[1].split() if name != "xvfb")


def staged(root: Path) -> None:
    """Lay everything out under a folder as it will stand under ``/``."""
    _libraries(root / "usr/lib/kuffin")
    command = root / "usr/bin/kuffin"
    command.parent.mkdir(parents=True)
    command.write_text(_COMMAND.format(version=_PYTHON))
    command.chmod(0o755)
    for path, content in shared_files(build_parser(), "kuffin"):
        target = root / "usr/share" / path
        target.parent.mkdir(parents=True, exist_ok=True)
        target.write_bytes(content)
    papers = root / "usr/share/doc/kuffin"
    papers.mkdir(parents=True)
    shutil.copyfile(ROOT / "LICENSE", papers / "copyright")


def packed(root: Path, into: Path, *how: str) -> Path:
    """Make the package of what was laid out; `how` goes to ``dpkg-deb``, such as ``-Znone``."""
    architecture = subprocess.run(
        ["dpkg", "--print-architecture"], capture_output=True, text=True, check=True
    ).stdout.strip()
    size = sum(f.stat().st_size for f in root.rglob("*") if f.is_file()) // 1024
    (root / "DEBIAN").mkdir()
    (root / "DEBIAN/control").write_text(
        _CONTROL.format(version=kuffin.__version__, architecture=architecture, size=size, depends=", ".join(_depends()))
    )
    for name, script in (("postinst", _AFTER), ("prerm", _BEFORE_REMOVAL)):
        (root / "DEBIAN" / name).write_text(script.format(version=_PYTHON))
        (root / "DEBIAN" / name).chmod(0o755)
    into.mkdir(parents=True, exist_ok=True)
    target = into / f"kuffin_{kuffin.__version__}_{architecture}.deb"
    subprocess.run(
        ["dpkg-deb", "--root-owner-group", *how, "--build", str(root), str(target)], check=True, capture_output=True
    )
    return target


def main(into: str) -> None:
    """Build the package into a folder."""
    import tempfile

    with tempfile.TemporaryDirectory() as place:
        root = Path(place) / "root"
        staged(root)
        made = packed(root, Path(into), "-Zxz", "-z1")
    print(f"{made}: {made.stat().st_size / 1e6:.0f} MB; sudo apt install ./{made}")


if __name__ == "__main__":
    main(*sys.argv[1:])
