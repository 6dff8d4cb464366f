"""What one finds with a candidate in the hand: weight, fins, finish, what is in the box, defects, how long it takes to fit; and a reviewer's marks.

None of it is a measurement of cooling, and it is kept apart from those.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.bench.parts import KINDS, show_field
from kuffin.notebook.entities import Candidate, Study
from kuffin.verdict.planbasis import change_over_took

_WEIGHT = "weight_g"


@dataclass(frozen=True, kw_only=True)
class InTheHand:
    """One candidate.

    Attributes
    ----------
    told : dict of label to text
        What its part's fields tell, with units.
    took_min : tuple of float
        How long each of its mounts took to be made ready, min, by the change-over's clock.
    photos : int
        Of its part.
    """

    name: str
    candidate_id: int
    told: dict[str, str]
    took_min: tuple[float, ...]
    photos: int = 0

    @property
    def took_words(self) -> str:
        """``18 min (12 to 25, four mounts)``; blank where no clock tells."""
        if not self.took_min:
            return ""
        middle, low, high = float(np.median(self.took_min)), min(self.took_min), max(self.took_min)
        n = len(self.took_min)
        return f"{middle:.0f} min" + (
            tr(" ({low:.0f} to {high:.0f}, {n} mounts)", low=low, high=high, n=n) if n > 1 else tr(" (one mount)")
        )


def in_the_hand(study: Study, photos: dict[int, int] | None = None) -> list[InTheHand]:
    """All candidates.

    Parameters
    ----------
    photos : dict of part id to number, optional
    """
    return [_one(c, (photos or {}).get(c.part_id, 0)) for c in study.live_candidates]


def _one(c: Candidate, photos: int) -> InTheHand:
    kind = KINDS.get(c.part.kind)
    told = {}
    for f in kind.fields if kind is not None else ():
        value = c.part.fields.get(f.key)
        if (f.in_hand or f.key == _WEIGHT) and value not in (None, "", []):
            told[tr(f.label).split(",")[0]] = (
                f"{plain(value) if isinstance(value, (int, float)) else show_field(f, value)} {f.unit}".strip()
            )
    took = tuple(t for m in c.live_mounts if (t := change_over_took(m)) is not None)
    return InTheHand(name=c.name, candidate_id=c.id, told=told, took_min=took, photos=photos)


def hand_table(found: Sequence[InTheHand]) -> tuple[list[str], list[list[str]]]:
    """A table of what is told: its head, and a row for each candidate; without a column that nobody fills."""
    labels = list(dict.fromkeys(label for f in found for label in f.told))
    took = any(f.took_min for f in found)
    photos = any(f.photos for f in found)
    head = [tr("candidate"), *labels, *([tr("time to fit")] if took else []), *([tr("photos")] if photos else [])]
    rows = [
        [
            f.name,
            *(f.told.get(label, "–") for label in labels),
            *([f.took_words or "–"] if took else []),
            *([str(f.photos) if f.photos else "–"] if photos else []),
        ]
        for f in found
    ]
    return (head, rows) if len(head) > 1 else ([], [])


def marks_of(study: Study) -> dict[str, dict[int, float]]:
    """A reviewer's marks: by what, then by candidate's id."""
    return {str(k): {int(c): float(x) for c, x in row.items()} for k, row in study.plan.get("marks", {}).items()}
