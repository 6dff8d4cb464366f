"""Material of the demo's studies, gathered once for each worker."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from contextlib import closing
from pathlib import Path

import pytest

from kuffin.notebook.store import Notebook
from kuffin.publish.page.material import Material, gather
from kuffin.verdict.study import judge


@pytest.fixture(scope="session")
def published(demo_master: Path, tmp_path_factory: pytest.TempPathFactory) -> Iterator[Callable[[str], Material]]:
    """By a study's name: all that its page is made from. Nothing in it is to be changed."""
    path = tmp_path_factory.mktemp("published") / "demo.kuffin"
    path.write_bytes(demo_master.read_bytes())
    kept: dict[str, Material] = {}
    with closing(Notebook.open(path)) as book:

        def of(name: str) -> Material:
            if name not in kept:
                study = book.study(next(s.id for s in book.studies() if s.name == name))
                kept[name] = gather(book, judge(book, study))
            return kept[name]

        yield of
