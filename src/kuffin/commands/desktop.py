"""`kuffin desktop`: the entry, icons, file type, manual page and completion for the person's own account, put there and taken away."""

from __future__ import annotations

import argparse
import os
import shutil
import subprocess
import sys
from collections.abc import Iterator
from importlib.resources import files
from pathlib import Path

from kuffin.core.base.errors import KuffinError

ICON_SIZES = (16, 22, 24, 32, 48, 64, 128, 256, 512)
# what tells the desktop that files came or went: the tool and the folder it is told of
_TOLD = (
    ("update-desktop-database", "applications"),
    ("update-mime-database", "mime"),
    ("gtk-update-icon-cache", "icons/hicolor"),
)


def data_home() -> Path:
    """Where the account keeps such files (XDG base directories)."""
    told = os.environ.get("XDG_DATA_HOME", "")
    return Path(told) if Path(told).is_absolute() else Path.home() / ".local" / "share"


def desktop(args: argparse.Namespace) -> None:
    """Put the files there, or take them away."""
    home = data_home()
    wanted = dict(shared_files(args.parser, _quoted(command())))
    try:
        if args.remove:
            gone = [path for path in wanted if (home / path).exists()]
            for path in gone:
                (home / path).unlink()
            print(f"taken away from {home}: {len(gone)} files")
        else:
            for path, content in wanted.items():
                (home / path).parent.mkdir(parents=True, exist_ok=True)
                (home / path).write_bytes(content)
            print(
                f"Kuffin is in the desktop's menu now ({len(wanted)} files in {home}); kuffin desktop --remove takes it away"
            )
    except OSError as error:
        raise KuffinError(f"{error.filename or home}: {error.strerror}") from error
    _tell(home)


def shared_files(parser: argparse.ArgumentParser, starts: str) -> Iterator[tuple[str, bytes]]:
    """Where each file goes under a folder of shared data, and what is in it.

    Parameters
    ----------
    starts : str
        What the entry starts, as its Exec line has it.
    """
    from kuffin.commands.shellwords import bash_completion, manual_page

    kept = files("kuffin.commands") / "desktopfiles"
    entry = (kept / "kuffin.desktop").read_text()
    yield "applications/kuffin.desktop", entry.replace("Exec=kuffin", f"Exec={starts}").encode()
    yield "metainfo/kuffin.metainfo.xml", (kept / "kuffin.metainfo.xml").read_bytes()
    yield "mime/packages/kuffin-mime.xml", (kept / "kuffin-mime.xml").read_bytes()
    svg = (kept / "kuffin.svg").read_bytes()
    yield "icons/hicolor/scalable/apps/kuffin.svg", svg
    yield "icons/hicolor/symbolic/apps/kuffin-symbolic.svg", (kept / "kuffin-symbolic.svg").read_bytes()
    for size in ICON_SIZES:
        yield f"icons/hicolor/{size}x{size}/apps/kuffin.png", _png(svg, size)
    yield "man/man1/kuffin.1", manual_page(parser).encode()
    yield "bash-completion/completions/kuffin", bash_completion(parser).encode()


def command() -> str:
    """The command that is running, by its whole path: the desktop does not know this environment."""
    beside = Path(sys.executable).parent / "kuffin"
    return str(beside if beside.exists() else shutil.which("kuffin") or "kuffin")


def _quoted(path: str) -> str:
    """A path for an entry's Exec line."""
    for sign in ("\\", '"', "`", "$"):
        path = path.replace(sign, f"\\\\{sign}" if sign != "\\" else "\\\\\\\\")
    return f'"{path}"'.replace("%", "%%")


def _png(svg: bytes, size: int) -> bytes:
    from PySide6.QtCore import QBuffer, QByteArray, QIODevice
    from PySide6.QtGui import QImage, QPainter
    from PySide6.QtSvg import QSvgRenderer

    image = QImage(size, size, QImage.Format.Format_ARGB32)
    image.fill(0)
    painter = QPainter(image)
    QSvgRenderer(QByteArray(svg)).render(painter)
    painter.end()
    kept = QByteArray()
    buffer = QBuffer(kept)
    buffer.open(QIODevice.OpenModeFlag.WriteOnly)
    image.save(buffer, "PNG")  # type: ignore[call-overload]
    return bytes(kept.data())


def _tell(home: Path) -> None:
    """Tell the desktop, where it has the tools for that."""
    for tool, folder in _TOLD:
        if shutil.which(tool) and (home / folder).is_dir():
            asked = [tool, *(["-q", "-t"] if tool.startswith("gtk") else []), str(home / folder)]
            subprocess.run(asked, check=False, capture_output=True, timeout=60)
