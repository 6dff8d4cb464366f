"""Published pictures: honest when torn out, readable by all, the same everywhere, and no name in them is more than a name."""

from __future__ import annotations

import io
import re
from collections.abc import Callable
from contextlib import closing
from dataclasses import replace
from pathlib import Path
from xml.etree import ElementTree

import numpy as np
import pypdfium2
import pytest
from PIL import Image

from kuffin.core.base.errors import KuffinError
from kuffin.core.compare.pairwords import number
from kuffin.look import colours
from kuffin.notebook import edits
from kuffin.publish.figures.candidates import candidates_drawing
from kuffin.publish.figures.canvas import cut, wrapped
from kuffin.publish.figures.drawing import FORMS, GROUNDS, PAGE, SIZES, Drawing
from kuffin.publish.figures.ofstudy import run_drawings
from kuffin.publish.figures.rendering import rendered, svg_of
from kuffin.publish.page.material import Material
from kuffin.publish.video import card, cue_sheet, frames
from kuffin.verdict.study import judge
from tests.verdict.test_outcomes import made

SVG = "{http://www.w3.org/2000/svg}"
STUDIES = (
    "Radiators, spring",
    "Pastes, winter",
    "Blocks, late winter",
    "Card blocks, spring",
    "Pads, spring",
    "Radiators, how quiet",
)


def words_of(svg: str) -> list[str]:
    return ["".join(t.itertext()) for t in ElementTree.fromstring(svg).iter(f"{SVG}text")]


def luminance(colour: str) -> float:
    parts = [int(colour[i : i + 2], 16) / 255 for i in (1, 3, 5)]
    linear = [c / 12.92 if c <= 0.04045 else ((c + 0.055) / 1.055) ** 2.4 for c in parts]
    return 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2]


def contrast(a: str, b: str) -> float:
    light, dark = sorted((luminance(a), luminance(b)), reverse=True)
    return (light + 0.05) / (dark + 0.05)


def pictures(m: Material) -> list[Drawing]:
    return [*m.drawings.values(), card(m.verdict)]


@pytest.mark.parametrize("name", STUDIES)
def test_each_picture_carries_what_it_rests_on_and_words_for_those_who_cannot_see(
    published: Callable[[str], Material], name: str
) -> None:
    for d in pictures(published(name)):
        svg = svg_of(d, PAGE, GROUNDS["light"])
        root = ElementTree.fromstring(svg)
        assert root.get("role") == "img" and root.find(f"{SVG}title").text == d.title
        assert root.find(f"{SVG}desc").text == d.alt and len(d.alt) > 25
        said = " ".join(words_of(svg)).replace("\u00a0", " ")
        for line in (d.title, *d.basis):
            assert line.replace("\u00a0", " ") in said, (d.key, line)
        assert re.search(r"mount|candidate", " ".join(d.basis)), (d.key, d.basis)
        assert "nan" not in svg.lower().replace("nand", "")


@pytest.mark.parametrize("theme", ["light", "dark"])
def test_text_in_pictures_has_the_contrast_that_wcag_asks_for(published: Callable[[str], Material], theme: str) -> None:
    ground = GROUNDS[theme]
    colours = set()
    for d in pictures(published("Blocks, late winter")):
        for t in ElementTree.fromstring(svg_of(d, PAGE, ground)).iter(f"{SVG}text"):
            fill = re.search(r"fill: (#[0-9a-f]{6})", t.get("style", ""))
            colours.add(fill.group(1) if fill else "#000000")
    grounds = (ground.colours.ground, *ground.colours.levels) if theme == "light" else (ground.colours.ground,)
    ink = {c for c in colours if c == ground.colours.ink}
    assert ink and all(contrast(c, ground.colours.ground) >= 4.5 for c in colours)
    assert all(contrast(c, g) >= 4.5 for c in ink for g in grounds)


def test_the_picture_says_the_numbers_of_the_comparison(published: Callable[[str], Material]) -> None:
    m = published("Radiators, spring")
    found = m.verdict.main.comparison
    said = words_of(svg_of(m.drawings["verdict"], PAGE, GROUNDS["light"]))
    for c in found.candidates:
        assert f"{number(c.mean, 1)} ± {number((c.high - c.low) / 2, 1)} K" in said
    assert said.index("Sedge") < said.index("Rush")  # the best on top


def test_marks_stand_where_their_values_are(published: Callable[[str], Material]) -> None:
    """The drawn places of the means, read back from the picture over its ticks, are the means."""
    m = published("Radiators, spring")
    root = ElementTree.fromstring(svg_of(m.drawings["verdict"], PAGE, GROUNDS["light"]))
    texts = [("".join(t.itertext()), float(t.get("x", "nan"))) for t in root.iter(f"{SVG}text") if t.get("x")]
    ticks = [(float(s.removesuffix(" K")), x) for s, x in texts if re.fullmatch(r"\d+( K)?", s)]
    assert len(ticks) >= 3
    slope, base = np.polyfit([x for _, x in ticks], [v for v, _ in ticks], 1)
    uses = [float(u.get("x")) for u in root.iter(f"{SVG}use") if u.get("x")]
    read = np.array([slope * x + base for x in uses])
    for c in m.verdict.main.comparison.candidates:
        assert np.abs(read - c.mean).min() < 0.02, c.name
    for r in m.verdict.main.readings:
        if r.value is not None:
            assert np.abs(read - r.value).min() < 0.02, r.label


def test_forms_and_sizes_are_what_they_say(published: Callable[[str], Material]) -> None:
    d = published("Radiators, spring").drawings["verdict"]
    for key, pixels in (("wide", (1920, 1080)), ("upright", (1080, 1350))):
        image = Image.open(io.BytesIO(rendered(d, SIZES[key], GROUNDS["clear"], "png")))
        assert image.size == pixels and image.mode == "RGBA" and image.getpixel((2, 2))[3] == 0
    solid = Image.open(io.BytesIO(rendered(d, SIZES["wide"], GROUNDS["light"], "png")))
    assert solid.getpixel((2, 2))[:3] == (0xF6, 0xF1, 0xE7)
    pdf = pypdfium2.PdfDocument(rendered(d, SIZES["print"], GROUNDS["light"], "pdf"))
    assert abs(pdf[0].get_width() / 72 * 25.4 - 170) < 1  # millimetres
    text = pdf[0].get_textpage().get_text_range()
    assert "Sedge" in text and "11.0 ± 2.1 K" in text  # text as text
    assert not any(o.type == pypdfium2.raw.FPDF_PAGEOBJ_IMAGE for o in pdf[0].get_objects())  # lines, not pixels
    svg = rendered(d, SIZES["wide"], GROUNDS["light"], "svg").decode()
    assert svg.count("@font-face") == 2 and "data:font/otf;base64," in svg
    with pytest.raises(KuffinError, match="no form of pictures"):
        rendered(d, SIZES["wide"], GROUNDS["light"], "gif")


def test_the_same_picture_gives_the_same_bytes(published: Callable[[str], Material]) -> None:
    m = published("Blocks, late winter")
    for d in (m.drawings["verdict"], m.drawings["outcomes"]):
        for form in FORMS:
            assert rendered(d, SIZES["wide"], GROUNDS["dark"], form) == rendered(
                d, SIZES["wide"], GROUNDS["dark"], form
            )


NASTY = ("<script>alert(1)</script>", "$\\frac{x}{y}$ & co", "سدج 😀", "W" * 120)


@pytest.mark.parametrize("name", NASTY)
def test_a_name_in_a_picture_is_only_a_name(tmp_path: Path, name: str) -> None:
    with closing(made(tmp_path, names=("Tern", "Plover"))) as book:
        study = book.study(1)
        first, second = study.live_candidates
        edits.change_candidates(book, 1, [(first.id, name), (second.id, second.name)])
        v = judge(book, book.study(1))
        d = candidates_drawing(v, v.main)
        for form in FORMS:
            data = rendered(d, SIZES["upright"], GROUNDS["light"], form)
        svg = svg_of(d, SIZES["upright"], GROUNDS["light"])
        assert not list(ElementTree.fromstring(svg).iter(f"{SVG}script")) and data
        shown = next(w for w in words_of(svg) if w[:6] == name[:6])
        assert shown == name or (shown.endswith("…") and name.startswith(shown[:-1]))


def test_runs_come_as_traces_and_staircases(published: Callable[[str], Material]) -> None:
    m = published("Pads, spring")
    drawn = {d.key: d for d in run_drawings(m.notebook, m.verdict)}
    runs = [k for k in drawn if re.fullmatch(r"run-\d+", k)]
    recorded = [r for r in m.verdict.main.readings if r.runs and not r.typed]
    assert len(runs) == len(recorded)
    for key in runs:
        assert ElementTree.fromstring(svg_of(drawn[key], PAGE, GROUNDS["light"])) is not None
    radiators = published("Radiators, spring")
    together = next(d for d in run_drawings(radiators.notebook, radiators.verdict))
    assert together.key == "traces" and "heading for" in together.alt


class TestFrames:
    def test_a_figure_is_built_up_as_one_talks_and_ends_with_the_sentence(
        self, published: Callable[[str], Material]
    ) -> None:
        m = published("Radiators, spring")
        d = m.drawings["verdict"]
        made_up = list(frames(d, GROUNDS["clear"]))
        ink = []
        for f in made_up:
            image = np.asarray(Image.open(io.BytesIO(f.png)))
            assert image.shape[:2] == (1080, 1920) and image[2, 2, 3] == 0
            ink.append(int((image[:, :, 3] > 0).sum()))
        assert ink == sorted(ink) and len(set(ink)) == len(ink)  # each frame adds to the one before
        assert [f.cue.split(":")[0] for f in made_up[1:5]] == ["Rush", "Bulrush", "Reed", "Sedge"]
        assert made_up[-1].cue.startswith("Sedge is ahead so far")
        assert Image.open(io.BytesIO(next(frames(d, GROUNDS["dark"], 2160)).png)).size == (3840, 2160)
        with pytest.raises(KuffinError, match="1080 or 2160"):
            next(frames(d, GROUNDS["dark"], 720))

    def test_nothing_jumps_while_it_is_built_up(self, published: Callable[[str], Material]) -> None:
        d = published("Radiators, spring").drawings["verdict"]
        places = []
        for stage in d.stages:
            root = ElementTree.fromstring(svg_of(d, SIZES["wide"], GROUNDS["clear"], stage.shown))
            places.append({"".join(t.itertext()): t.get("y") for t in root.iter(f"{SVG}text") if t.get("y")})
        for name in ("Rush", "10", d.basis[-1]):
            assert len({p[name] for p in places if name in p}) == 1

    def test_the_sheet_of_cues_names_every_frame(self, published: Callable[[str], Material]) -> None:
        m = published("Radiators, spring")
        sheet = cue_sheet(m.verdict, [("Ranking", [("verdict-01.png", "What it shows."), ("verdict-02.png", "Rush.")])])
        assert sheet.splitlines()[0] == m.verdict.question and "verdict-02.png" in sheet and "calm pace" in sheet


def test_lines_are_broken_where_there_is_room() -> None:
    assert wrapped("Sedge and Reed at 182 W", 7.0)[-1].endswith("182\u00a0W")
    assert cut("Bulrush", 2.0).endswith("…") and cut("Reed", 20.0) == "Reed"


def test_an_unreadable_outcome_draws_nothing(published: Callable[[str], Material]) -> None:
    m = published("Radiators, spring")
    bare = replace(
        m.verdict.main, readings=tuple(replace(r, worked=None) for r in m.verdict.main.readings), comparison=None
    )
    assert candidates_drawing(m.verdict, bare) is None


def test_a_font_that_is_gone_is_said_in_a_sentence(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(colours, "FONTS", tmp_path)
    with pytest.raises(KuffinError, match="install Kuffin anew"):
        colours.shipped_font("B612-Regular.otf")
