"""All that the page is made from, gathered once."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

from kuffin.core.base.errors import KuffinError
from kuffin.notebook.entities import Attachment, Bench, Mount, Part, Protocol, Study
from kuffin.notebook.photos import photos
from kuffin.notebook.shelf import bench_of, parts
from kuffin.notebook.store import Notebook
from kuffin.publish.figures.drawing import Drawing
from kuffin.publish.figures.ofstudy import GridResults, as_slides, grid_of, verdict_drawings
from kuffin.publish.video import card
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.value import Value, value_of

Report = Callable[[float], None]
_PAGE_LINES = 40.0  # of a picture that stays on one sheet of paper


@dataclass(frozen=True, kw_only=True)
class Material:
    """A study with all that stands around it.

    Attributes
    ----------
    drawings : dict
        Those of the page, by their key.
    slides : tuple of Drawing
        Those for a screen, the card with the verdict among them.
    photos : tuple of (Mount, Attachment)
    """

    notebook: Notebook
    verdict: StudyVerdict
    study: Study
    bench: Bench | None
    shelf: tuple[Part, ...]
    protocol: Protocol | None
    grid: GridResults
    value: Value | None
    drawings: dict[str, Drawing]
    slides: tuple[Drawing, ...]
    photos: tuple[tuple[Mount, Attachment], ...]

    def pictures(self, key: str) -> list[Drawing]:
        """The drawing of a key, and those that go on with it."""
        return [d for k, d in self.drawings.items() if k == key or k.startswith(f"{key}-")]


def gather(notebook: Notebook, v: StudyVerdict, report: Report = lambda _: None) -> Material:
    """Gather what a study's page is made from.

    Parameters
    ----------
    report : callable, optional
        Called with how far it is, 0 to 1; may raise to stop.

    Raises
    ------
    KuffinError
        Where the study has nothing to say yet.
    """
    study = v.evidence.study
    if not any(r.value is not None for r in v.main.readings):
        raise KuffinError(
            "“{name}” has no mount that can be read yet, so there is nothing to publish; add logs or run a mount first",
            name=study.name,
        )
    grid = grid_of(v, report)
    shelf = tuple(parts(notebook))
    bench = bench_of(notebook, study.bench_id)
    with notebook.session() as session:
        protocol = None if study.protocol_id is None else session.get(Protocol, study.protocol_id)
    pictures = tuple((m, p) for _, m in v.evidence.mounts for p in photos(notebook, mount_id=m.id))
    on_paper = max(1, int(_PAGE_LINES / (1.25 * len(v.candidates) + 3.4)))
    drawings = verdict_drawings(notebook, v, grid, together=on_paper)
    return Material(
        notebook=notebook,
        verdict=v,
        study=study,
        bench=bench,
        shelf=shelf,
        protocol=protocol,
        grid=grid,
        value=value_of(v, bench, shelf),
        drawings={d.key: d for d in drawings},
        slides=(*as_slides(v, drawings, grid), card(v)),
        photos=pictures,
    )
