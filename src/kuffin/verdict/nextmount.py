"""Preparing a mount: what is on the bench now, what comes next, what to do in between."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.prepare.builtin import BuiltIn
from kuffin.core.prepare.changeover import ChangeOverTask, change_over
from kuffin.notebook.entities import Bench, Mount, Part, Study
from kuffin.reading.configurations import built_in
from kuffin.verdict.planbasis import order_of


@dataclass(frozen=True)
class Change:
    """From one mount to the next."""

    before: Mount | None
    after: Mount
    tasks: tuple[ChangeOverTask, ...]
    built: BuiltIn


def change_to(study: Study, mount: Mount, bench: Bench | None, shelf: Sequence[Part]) -> Change:
    """What to do to have a mount on the bench, coming from the one before it in bench order."""
    before: Mount | None = None
    for other in order_of(study):
        if other.id == mount.id:
            break
        if other.live_runs or other.ready_at or other.begun_at:
            before = other
    built = built_in(study, mount, bench, shelf)
    was = built_in(study, before, bench, shelf) if before is not None else None
    return Change(before, mount, tuple(change_over(was, built)), built)
