"""The colours of paper by day and of a true dark by night, and the fonts that ship."""

from __future__ import annotations

from dataclasses import dataclass
from pathlib import Path

from kuffin.core.base.errors import KuffinError

FONTS = Path(__file__).with_name("fonts")
TEXT, FIGURES = "B612", "B612 Mono"


def shipped_font(name: str) -> Path:
    """The file of a font that ships, such as ``B612-Regular.otf``.

    Raises
    ------
    KuffinError
        Where it is gone.
    """
    path = FONTS / name
    if not path.is_file():
        raise KuffinError(
            "the font {name} that ships with Kuffin is gone from {fonts}; install Kuffin anew", name=name, fonts=FONTS
        )
    return path


@dataclass(frozen=True, kw_only=True)
class Colours:
    """The colours of one theme, as ``#rrggbb``."""

    name: str
    ground: str
    raised: str
    ink: str
    muted: str
    hairline: str
    accent: str
    accent_ground: str
    warn: str
    levels: tuple[str, str, str, str]  # the staircase: shades of one neutral hue


LIGHT = Colours(
    name="light",
    ground="#f6f1e7",
    raised="#fbf8f1",
    ink="#22252b",
    muted="#655f54",
    hairline="#d8d0bf",
    accent="#7a3414",
    accent_ground="#f1e2d2",
    warn="#9a3412",
    levels=("#ece5d6", "#ddd4c1", "#cbbfa7", "#b5a68a"),
)
DARK = Colours(
    name="dark",
    ground="#1b1a18",
    raised="#242320",
    ink="#ece6da",
    muted="#a89f90",
    hairline="#3d3933",
    accent="#e8a47c",
    accent_ground="#38291f",
    warn="#f0a070",
    levels=("#2b2925", "#38352f", "#48443c", "#5b554b"),
)
