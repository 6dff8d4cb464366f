"""A mount's change-over and the plan of the days, as pages of paper."""

from __future__ import annotations

import re
from collections.abc import Collection, Sequence
from dataclasses import dataclass
from functools import lru_cache
from itertools import groupby

from jinja2 import Environment, PackageLoader, StrictUndefined

from kuffin.core.base.days import day_words
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import several
from kuffin.core.plan.schedule import DAYS, Plan
from kuffin.core.prepare.cautions import ABOUT, CAUTIONS
from kuffin.core.prepare.changeover import ChangeOverTask
from kuffin.publish.fonts import font_faces


@dataclass(frozen=True, kw_only=True)
class SheetLine:
    """Something to tick."""

    what: str
    time: str = ""
    words: str = ""
    cautions: tuple[str, ...] = ()
    done: bool = False


@dataclass(frozen=True, kw_only=True)
class SheetPart:
    """Some lines under a title; `notes` leaves room to write below each."""

    title: str
    lines: tuple[SheetLine, ...]
    notes: bool = False


def change_over_sheet(coming: str, below: str, tasks: Sequence[ChangeOverTask], done: Collection[str] = ()) -> str:
    """A mount's change-over as HTML for paper: large boxes, every caution whole, room for notes.

    Parameters
    ----------
    coming : str
        The mount that is prepared.
    below : str
        What stands under it: the sample, from which mount on.
    done : collection of str
        Keys of tasks that are ticked already.
    """
    lines = tuple(
        SheetLine(
            what=f"{number}.  {task.text}",
            time=tr("about {minutes:.0f} min", minutes=task.minutes),
            cautions=tuple(tr("Caution: {caution}", caution=tr(CAUTIONS[c])) for c in task.cautions if c in CAUTIONS),
            done=task.key in done,
        )
        for number, task in enumerate(tasks, 1)
    )
    part = SheetPart(title="", lines=lines, notes=True)
    return _sheet(tr("Change-over: {coming}", coming=coming), below, [part], (tr("begun"), tr("done"), tr("by")))


def plan_sheet(question: str, plan: Plan, needed: Sequence[str], coming: Sequence[SheetLine] = ()) -> str:
    """The plan as HTML for paper: day by day, and what is needed.

    Parameters
    ----------
    needed : sequence of str
        What has to be at hand, each a line.
    coming : sequence of SheetLine
        Tests of what stays in place, later.
    """
    parts = []
    for day, laid in groupby(plan.laid, key=lambda x: x.begin.date()):
        lines = tuple(
            SheetLine(
                what=one.job.named,
                time=tr("{begin:%H:%M} to {end:%H:%M}", begin=one.begin, end=one.end),
                words="; ".join(f"{begin:%H:%M} {tr(name)}" for name, begin, _ in one.phases()),
            )
            for one in laid
        )
        parts.append(SheetPart(title=f"{tr(DAYS[day.weekday()])} {day_words(day)}", lines=lines))
    if coming:
        parts.append(SheetPart(title=tr("Later, left in place"), lines=tuple(coming)))
    if needed:
        parts.append(SheetPart(title=tr("What is needed"), lines=tuple(SheetLine(what=n) for n in needed)))
    late = tr(" {mounts} end after the deadline.", mounts=begun(several(plan.late, "mount"))) if plan.late else ""
    todo = tr("{mounts} to do, in this order.", mounts=begun(several(len(plan.laid), "mount")))
    return _sheet(question, f"{todo}{late}", parts)


def _sheet(title: str, below: str, parts: Sequence[SheetPart], blanks: tuple[str, ...] = ()) -> str:
    told = {"title": title, "below": below, "parts": parts, "blanks": blanks, "about": tr(ABOUT), "footer": "Kuffin"}
    bare = _templates().get_template("sheet.html.j2").render(**told, fonts="")
    letters = re.sub(r"<[^>]*>", "", bare) + "0123456789/"
    return _templates().get_template("sheet.html.j2").render(**told, fonts=font_faces(letters))


@lru_cache(maxsize=1)
def _templates() -> Environment:
    return Environment(
        loader=PackageLoader("kuffin.publish.paper", "."), autoescape=True, undefined=StrictUndefined, trim_blocks=True
    )
