"""From a drawing to a file's bytes: the same drawing gives the same bytes."""

from __future__ import annotations

import io
import re
import warnings
from collections.abc import Callable, Iterator, Sequence
from contextlib import contextmanager
from html import escape
from threading import Lock
from typing import Any

import matplotlib
from matplotlib.backends.backend_agg import FigureCanvasAgg
from matplotlib.backends.backend_pdf import FigureCanvasPdf
from matplotlib.backends.backend_svg import FigureCanvasSVG
from matplotlib.figure import Figure

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.plaintext import without_controls
from kuffin.look.colours import TEXT
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import ALL, FORMS, Drawing, Ground, Shown, Size
from kuffin.publish.fonts import font_faces

_SETTINGS: Any = {"svg.fonttype": "none", "pdf.fonttype": 42, "path.simplify": True, "font.family": TEXT}

_ONE_AT_A_TIME = Lock()  # the library's settings are those of the whole program


def rendered(drawing: Drawing, size: Size, ground: Ground, form: str, shown: Shown = ALL) -> bytes:
    """A drawing as SVG (text as text, its fonts inside), PNG or PDF.

    Raises
    ------
    KuffinError
        Where there is no such form.
    """
    return rendered_as(drawing, size, ground, (form,), shown)[form]


def rendered_as(
    drawing: Drawing, size: Size, ground: Ground, forms: Sequence[str], shown: Shown = ALL
) -> dict[str, bytes]:
    """A drawing in several forms, painted once.

    Raises
    ------
    KuffinError
        Where there is no such form.
    """
    unknown = next((f for f in forms if f not in FORMS), None)
    if unknown is not None:
        raise KuffinError("“{unknown}” is no form of pictures; use {forms}", unknown=unknown, forms=", ".join(FORMS))
    with _settings(drawing):
        figure = _painted(drawing, size, ground, shown)
        return {form: _WRITERS[form](figure, drawing) for form in forms}


def svg_of(drawing: Drawing, size: Size, ground: Ground, shown: Shown = ALL) -> str:
    """A drawing as an SVG element that can stand in a page: names of its parts are its own, its words are with it."""
    with _settings(drawing):
        return _svg(_painted(drawing, size, ground, shown), drawing)


@contextmanager
def _settings(drawing: Drawing) -> Iterator[None]:
    told: Any = {**_SETTINGS, "svg.hashsalt": drawing.key}
    with _ONE_AT_A_TIME, matplotlib.rc_context(told), warnings.catch_warnings():
        warnings.filterwarnings("ignore", message="Glyph .* missing")  # a box stands for a letter that no font here has
        yield


def _painted(drawing: Drawing, size: Size, ground: Ground, shown: Shown) -> Figure:
    canvas = Canvas(drawing, size, ground, shown)
    drawing.paint(canvas, shown)
    return canvas.figure


def _png(figure: Figure, drawing: Drawing) -> bytes:
    out = io.BytesIO()
    about = {"Software": None, "Title": drawing.title, "Description": drawing.alt}
    FigureCanvasAgg(figure).print_png(out, metadata=about, pil_kwargs={"compress_level": 4})
    return out.getvalue()


def _pdf(figure: Figure, drawing: Drawing) -> bytes:
    out = io.BytesIO()
    about = {"CreationDate": None, "Creator": None, "Producer": None, "Title": drawing.title, "Subject": drawing.alt}
    FigureCanvasPdf(figure).print_pdf(out, metadata=about)
    return out.getvalue()


def _svg(figure: Figure, drawing: Drawing) -> str:
    out = io.BytesIO()
    FigureCanvasSVG(figure).print_svg(out, metadata={"Date": None, "Creator": None, "Format": None, "Type": None})
    drawn = out.getvalue().decode()
    drawn = drawn[drawn.index("<svg") :]
    drawn = re.sub(r"<metadata>.*?</metadata>", "", drawn, flags=re.DOTALL)
    drawn = re.sub(r'\bid="([^"]+)"', rf'id="{drawing.key}-\1"', drawn)
    drawn = re.sub(r'(url\(#|href="#)', rf"\1{drawing.key}-", drawn)
    opened, rest = drawn.split(">", 1)
    name = f"{drawing.key}-name"
    words = f'<title id="{name}">{escape(drawing.title)}</title><desc id="{name}-more">{escape(drawing.alt)}</desc>'
    return without_controls(f'{opened} role="img" aria-labelledby="{name} {name}-more">{words}{rest}').strip()


_WRITERS: dict[str, Callable[[Figure, Drawing], bytes]] = {
    "svg": lambda figure, drawing: _own_fonts(_svg(figure, drawing)).encode(),
    "png": _png,
    "pdf": _pdf,
}


def _own_fonts(drawn: str) -> str:
    """An SVG with the letters that it uses inside, so that it looks the same everywhere."""
    faces = font_faces(re.sub(r"<[^>]*>", "", drawn))
    return '<?xml version="1.0" encoding="utf-8"?>\n' + drawn.replace("<desc", f"<style>{faces}</style><desc", 1)
