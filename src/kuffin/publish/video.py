"""Pictures for a video: a figure built up step by step as one talks, with a sheet of cues; and a card with the verdict."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from functools import partial

from kuffin.core.base.errors import KuffinError
from kuffin.publish.figures.basis import basis_of
from kuffin.publish.figures.canvas import Canvas, wrapped
from kuffin.publish.figures.drawing import ALL, LINES, SIZES, Drawing, Ground, Shown, Size
from kuffin.publish.figures.rendering import rendered
from kuffin.said.line import verdict_line
from kuffin.verdict.study import StudyVerdict

_WORDS_A_SECOND = 2.5  # how fast one talks to a camera
_LEAST_S = 2.0


@dataclass(frozen=True)
class Frame:
    """One picture of a sequence: its file's name, what to say with it, and its PNG."""

    name: str
    cue: str
    png: bytes


def frames(drawing: Drawing, ground: Ground, lines: int = 1080) -> Iterator[Frame]:
    """A figure built up in the order in which one talks; a figure that is not built up is one frame.

    Raises
    ------
    KuffinError
        Where there is no such height.
    """
    size = screen(lines)
    if not drawing.stages:
        yield Frame(f"{drawing.key}-01.png", drawing.alt, rendered(drawing, size, ground, "png", ALL))
    for i, stage in enumerate(drawing.stages, 1):
        yield Frame(f"{drawing.key}-{i:02d}.png", stage.cue, rendered(drawing, size, ground, "png", stage.shown))


def screen(lines: int) -> Size:
    """The wide size with so many lines.

    Raises
    ------
    KuffinError
    """
    if lines not in LINES:
        raise KuffinError("frames have {known} lines, not {lines}", known=" or ".join(map(str, LINES)), lines=lines)
    wide = SIZES["wide"]
    return replace(wide, dots=round(lines / wide.height_in))


def seconds_for(cue: str) -> float:
    """About how long a cue takes to say.

    >>> seconds_for("Sedge is cooler than Rush.")
    2.0
    """
    return max(_LEAST_S, round(len(cue.split()) / _WORDS_A_SECOND, 1))


def cue_sheet(v: StudyVerdict, parts: Sequence[tuple[str, Sequence[tuple[str, str]]]]) -> str:
    """What to say with each frame, as plain text.

    Parameters
    ----------
    parts : sequence of (title, frames)
        Each frame as its file's name and its cue.
    """
    out, at = [v.question, ""], 0.0
    for title, shown in parts:
        out += [title, "-" * len(title)]
        for name, cue in shown:
            out.append(f"{int(at // 60)}:{int(at % 60):02d}  {name}")
            out.append(f"      {cue}")
            at += seconds_for(cue)
        out.append("")
    out.append(f"About {int(at // 60)}:{int(at % 60):02d} min at a calm pace.")
    return "\n".join(out) + "\n"


def card(v: StudyVerdict) -> Drawing:
    """A card with the verdict in one sentence, and what it rests on."""
    sentence = verdict_line(v).sentence
    return Drawing(
        key="card",
        title=v.question,
        basis=basis_of(v, v.main)[:3],
        alt=sentence,
        lines=12.0,
        paint=partial(_paint_card, sentence),
    )


def _paint_card(sentence: str, canvas: Canvas, shown: Shown) -> None:
    first, _, rest = sentence.partition(". ")
    said = ((first + ("." if rest else ""), 1.0), (rest, 0.55))  # the gist large, its cautions smaller
    size, sizes = 2.2, list[tuple[list[str], float]]()
    while size >= 0.8:
        sizes = [(wrapped(words, canvas.width / (part * size * canvas.em)), part * size) for words, part in said]
        if sum(len(lines) * 1.35 * s * canvas.em for lines, s in sizes) <= canvas.height - 1.5 * canvas.em:
            break
        size -= 0.1
    y = max((canvas.height - sum(len(lines) * 1.35 * s * canvas.em for lines, s in sizes)) / 3, 0.0)
    for lines, s in sizes:
        for line in lines:
            y += 1.35 * s * canvas.em
            canvas.say(0, y - 0.67 * s * canvas.em, line, size=s)
        y += 0.6 * canvas.em
