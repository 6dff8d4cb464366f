"""The text font for what is published, with the letters that are used, to be carried inside a file."""

from __future__ import annotations

import base64
import io
from collections.abc import Iterable
from functools import lru_cache

from fontTools import subset
from fontTools.ttLib import TTFont

from kuffin.look.colours import TEXT, shipped_font

_USUAL = frozenset(range(0x20, 0x7F)) | frozenset(map(ord, "°±·×÷–—−…“”‘’≥≤ΔτΣσ²³√→Ω£€µ\u00a0"))


def font_faces(used: Iterable[str]) -> str:
    """Style rules that carry the text font, regular and bold, with the usual letters and those that are used besides."""
    shipped = frozenset(map(ord, used)) & _shipped()  # others come from elsewhere
    return _faces(shipped | _USUAL)


@lru_cache(maxsize=16)
def _faces(letters: frozenset[int]) -> str:
    faces = []
    for weight, file in (("normal", f"{TEXT}-Regular.otf"), ("bold", f"{TEXT}-Bold.otf")):
        font = TTFont(shipped_font(file), recalcTimestamp=False)
        options = subset.Options()
        options.notdef_outline = True
        cutter = subset.Subsetter(options)
        cutter.populate(unicodes=letters)
        cutter.subset(font)
        kept = io.BytesIO()
        font.save(kept)
        data = base64.b64encode(kept.getvalue()).decode()
        faces.append(f'@font-face{{font-family:"{TEXT}";font-weight:{weight};src:url(data:font/otf;base64,{data})}}')
    return "\n".join(faces)


@lru_cache(maxsize=1)
def _shipped() -> frozenset[int]:
    return frozenset(TTFont(shipped_font(f"{TEXT}-Regular.otf")).getBestCmap())
