"""From a study's material to its page: one HTML file with everything inside, and a tagged PDF from the same template."""

from __future__ import annotations

import base64
import re
from collections.abc import Callable
from functools import lru_cache, partial
from typing import Any

from jinja2 import Environment, PackageLoader, StrictUndefined
from markupsafe import Markup

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import several
from kuffin.publish.figures.drawing import GROUNDS, PAGE, Drawing
from kuffin.publish.figures.rendering import svg_of
from kuffin.publish.fonts import font_faces
from kuffin.publish.page.blocks import Picture, Words, Written
from kuffin.publish.page.layout import PageLayout
from kuffin.publish.page.material import Material
from kuffin.publish.page.ownwords import Doubt, doubts_of, fields_of, filled

Report = Callable[[float], None]
_NUMBER = re.compile(r"(\d) (?=[%°KWL])")


def written_sections(m: Material, layout: PageLayout, report: Report = lambda _: None) -> list[Written]:
    """The sections that are on, in their order, each with what it says now."""
    fields = fields_of(m.verdict)
    doubts = doubts_in(m, layout)
    chosen = [s for s in layout.sections if layout.on(s)]
    out = []
    for i, section in enumerate(chosen):
        report(i / max(len(chosen), 1))
        blocks = tuple(section.build(m))
        own = tuple(filled(layout.words.get(section.key, ""), fields))
        if not blocks and section.without:
            blocks = (Words(section.without),)
        if blocks or own:
            mine = tuple(
                f"The evidence does not support “{d.sentence}”: {d.why}." for d in doubts if d.section == section.key
            )
            out.append(Written(key=section.key, title=layout.title(section), own=own, doubts=mine, blocks=blocks))
    return out


def doubts_in(m: Material, layout: PageLayout) -> tuple[Doubt, ...]:
    """Sentences in a person's own words that the evidence does not support, in the page's order."""
    out: list[Doubt] = []
    for section in layout.sections:
        words = layout.words.get(section.key, "")
        if words and layout.on(section):
            out += doubts_of(m.verdict, section.key, words, layout.since.get(section.key, {}))
    return tuple(out)


def _with_units(value: Any) -> Any:
    """Text in which a number and its unit stay on one line; what is markup already is left alone."""
    return value if isinstance(value, Markup) or not isinstance(value, str) else _NUMBER.sub("\\1\u00a0", value)


@lru_cache(maxsize=1)
def _templates() -> Environment:
    made = Environment(
        loader=PackageLoader("kuffin.publish.page", "."),
        autoescape=True,
        undefined=StrictUndefined,
        finalize=_with_units,
        trim_blocks=True,
        lstrip_blocks=True,
    )
    made.filters["anchor"] = lambda key: re.sub(r"[^a-z0-9]+", "-", key)
    made.filters["base64"] = lambda data: base64.b64encode(data).decode()
    return made


def page_html(
    m: Material, layout: PageLayout, theme: str = "light", *, extra_style: str = "", report: Report = lambda _: None
) -> str:
    """The page as one HTML file: styles, fonts and figures inside, nothing fetched.

    Parameters
    ----------
    theme : str
        ``light`` or ``dark``.
    extra_style : str
        Rules behind the page's own, for previews.

    Raises
    ------
    KuffinError
        Where there is no such theme.
    """
    if theme not in {"light", "dark"}:
        raise KuffinError("“{theme}” is no theme; use light or dark", theme=theme)
    ground, templates = GROUNDS[theme], _templates()
    written = written_sections(m, layout, lambda x: report(0.3 * x))
    drawings = {b.drawing.key: b.drawing for s in written for b in s.blocks if isinstance(b, Picture)}
    drawn: dict[str, str] = {}
    for i, (key, drawing) in enumerate(drawings.items()):
        report(0.3 + 0.7 * i / len(drawings))
        drawn[key] = svg_of(drawing, PAGE, ground)
    own = templates.overlay()
    own.filters = {**templates.filters, "svg": partial(_drawn, drawn)}
    v = m.verdict
    runs = sum(len(mount.live_runs) for _, mount in v.evidence.mounts)
    byline = f"{begun(several(len(v.candidates), 'candidate'))}, {several(v.mounts, 'mount')}, {several(runs, 'run')}. Worked out by Kuffin from its own recordings."
    told = {"title": v.question or m.study.name, "byline": byline, "written": written, "colours": ground.colours}
    body = own.get_template("page.html.j2")
    style = own.get_template("page.css.j2").render(c=ground.colours, extra=extra_style)
    bare = body.render(**told, fonts="", style="")
    return body.render(**told, fonts=font_faces(re.sub(r"<[^>]*>", "", bare) + "0123456789/"), style=style)


def _drawn(drawn: dict[str, str], drawing: Drawing) -> str:
    return drawn[drawing.key]


def page_pdf(html: str, *, media: str = "print") -> bytes:
    """The page on paper: text that can be selected, figures of lines, tagged.

    Raises
    ------
    KuffinError
        Where the libraries that set text on paper are not there.
    """
    from PIL import ImageFile

    try:
        import weasyprint
    except OSError as error:
        raise KuffinError(
            "no PDF can be made: a system library is missing ({error}). Install Pango (on Debian: libpango-1.0-0, libpangoft2-1.0-0, libharfbuzz-subset0) and try again; the page itself needs none of them",
            error=error,
        ) from None
    ImageFile.LOAD_TRUNCATED_IMAGES = (
        False  # which that library asks for all of the program: a torn photo would be taken
    )
    inside = weasyprint.urls.URLFetcher(allowed_protocols=("data",))  # nothing is fetched for a page
    made: bytes = weasyprint.HTML(string=html, url_fetcher=inside, media_type=media).write_pdf(pdf_variant="pdf/ua-1")
    return made
