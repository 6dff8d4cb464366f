"""The text font for what is published, with only the letters that are used, to be carried inside a file."""

from __future__ import annotations

import base64
import io
from collections.abc import Iterable

from fontTools import subset
from fontTools.ttLib import TTFont

from kuffin.look.colours import FONTS, TEXT


def font_faces(used: Iterable[str]) -> str:
    """Style rules that carry the text font, regular and bold, with the letters that are used."""
    letters = {ord(c) for c in used}
    faces = []
    for weight, file in (("normal", f"{TEXT}-Regular.otf"), ("bold", f"{TEXT}-Bold.otf")):
        font = TTFont(FONTS / file, recalcTimestamp=False)
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
