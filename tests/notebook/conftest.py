"""An empty notebook."""

from __future__ import annotations

from collections.abc import Iterator
from pathlib import Path

import pytest

from kuffin.notebook.store import Notebook


@pytest.fixture
def notebook(tmp_path: Path) -> Iterator[Notebook]:
    book = Notebook.create(tmp_path / "bench.kuffin")
    yield book
    book.close()
