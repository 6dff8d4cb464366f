"""How a mount was prepared: steps ticked, timed and noted, what its sheets say, its photos; it comes out with the mount."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from kuffin.core.base.language import tr
from kuffin.notebook.entities import Mount
from kuffin.notebook.photos import photos
from kuffin.notebook.preparationedits import prepared
from kuffin.notebook.store import Notebook
from kuffin.said.shownworking import Working
from kuffin.verdict.sheets import sheet_lines


@dataclass(frozen=True, kw_only=True)
class StepDone:
    """One step: ticked (then `done_at` says when, and `seconds` how long it took) or only noted."""

    key: str
    text: str
    done_at: str | None
    seconds: float | None
    note: str
    photos: tuple[str, ...]


@dataclass(frozen=True, kw_only=True)
class Preparation:
    """All that was done for one mount before its run."""

    mount_id: int
    candidate: str
    sample: str
    round: int
    begun_at: str | None
    ready_at: str | None
    note: str
    steps: tuple[StepDone, ...]
    sheets: dict[str, dict[str, Any]]
    photos: tuple[str, ...]

    @property
    def label(self) -> str:
        """How the mount is called."""
        return tr("{candidate}, round {round}", candidate=self.candidate, round=self.round)


def preparation_of(notebook: Notebook, mount: Mount) -> Preparation | None:
    """How a mount was prepared; None where nothing was ticked, noted, typed or photographed."""
    done = prepared(notebook, mount.id)
    pictures = photos(notebook, mount_id=mount.id)
    steps = tuple(
        StepDone(
            key=t.key,
            text=t.text,
            done_at=t.done_at,
            seconds=t.seconds,
            note=t.note,
            photos=tuple(p.name for p in pictures if p.kind == f"step {t.key}"),
        )
        for t in sorted(done.ticks.values(), key=lambda t: (t.done_at or "9", t.id))
        if t.done_at or t.note
    )
    sheets = {k: v for k, v in done.sheets.items() if k != "cautions"}
    if not (steps or sheets or pictures or mount.note):
        return None
    return Preparation(
        mount_id=mount.id,
        candidate=mount.candidate.name,
        sample=mount.sample.label if mount.sample is not None else "",
        round=mount.round,
        begun_at=mount.begun_at,
        ready_at=mount.ready_at,
        note=mount.note,
        steps=steps,
        sheets=sheets,
        photos=tuple(p.name for p in pictures),
    )


def _took(seconds: float | None) -> str:
    if seconds is None:
        return ""
    return f", {seconds / 60:.0f} min" if seconds >= 90 else f", {seconds:.0f} s"


def preparation_working(p: Preparation) -> Working:
    """The preparation, to be read beside the run."""
    when = (p.ready_at or p.begun_at or "").replace("T", " ")[:16]
    state = (
        tr("ready {when}", when=when)
        if p.ready_at
        else tr("begun {when}, not said to be ready", when=when)
        if p.begun_at
        else tr("not begun")
    )
    out = Working(title=tr("{label}: how it was prepared", label=p.label), answer=state)
    if p.sample:
        out.say(tr("Sample"), p.sample)
    for step in p.steps:
        at = step.done_at[11:16] + _took(step.seconds) if step.done_at else tr("not ticked")
        note = f" “{step.note}”" if step.note else ""
        out.say(at, step.text + note)
    out.say_all(sheet_lines(p.sheets))
    if p.photos:
        out.say(tr("Photos"), ", ".join(p.photos))
    if p.note:
        out.say(tr("Note"), p.note)
    return out


def preparation_rows(preparations: list[Preparation]) -> list[dict[str, Any]]:
    """One row for each step of each mount, and one for what each sheet says."""
    rows = []
    for p in preparations:
        mount = {"candidate": p.candidate, "sample": p.sample, "mount": p.mount_id, "round": p.round}
        for step in p.steps:
            rows.append(
                {
                    **mount,
                    "what": step.text,
                    "done_at": step.done_at or "",
                    "seconds": step.seconds,
                    "note": step.note,
                    "photos": "; ".join(step.photos),
                }
            )
        more = [*sheet_lines(p.sheets), *([(tr("Note"), p.note)] if p.note else [])]
        for what, words in more:
            rows.append({**mount, "what": what, "done_at": "", "seconds": None, "note": words, "photos": ""})
    return rows
