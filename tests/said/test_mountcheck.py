"""The mount check of a candidate that has no other mount yet."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
import pytest

from kuffin.notebook.entities import Study
from kuffin.notebook.store import Notebook
from kuffin.said.mountcheck import OtherMount, check_mount, siblings


@pytest.fixture(scope="module")
def blocks(demo_master: object, tmp_path_factory: pytest.TempPathFactory) -> tuple[Study, list[OtherMount]]:
    import shutil

    path = tmp_path_factory.mktemp("first") / "demo.kuffin"
    shutil.copyfile(str(demo_master), path)
    book = Notebook.open(path)
    study = book.study(next(s.id for s in book.studies() if "block" in s.question))
    others = siblings(book, study, None)
    book.close()
    return study, others


def test_a_sound_first_mount_is_not_cried_at_and_bad_contact_is(blocks: tuple[Study, list[OtherMount]]) -> None:
    study, every = blocks
    for one in (o for o in every if o.candidate != "Tern"):
        others = [o for o in every if o.candidate != one.candidate]
        check = check_mount(study, one.candidate, one.signals, one.load_start_s, others, 28)
        assert (
            check is not None and not check.worse and check.sentence.startswith(f"the first mount of {one.candidate}: ")
        )
        s = one.signals
        assert s.power is not None and s.die is not None
        # half of the die has lost contact: the mean rises, and the hot spot twice as much
        more = np.where(s.power > 60, 8.0, 0.0)
        further = {**s.further, "hot_spot": s.further["hot_spot"] + 2 * more}
        spoilt = replace(s, die=s.die + more, further=further)
        found = check_mount(study, one.candidate, spoilt, one.load_start_s, others, 28)
        assert found is not None and found.worse and "remount before going on, and save 28 minutes" in found.sentence
        assert found.what in found.sentence and "Spread of a further mount" in found.working().as_text()


def test_alone_in_the_study_it_says_so(blocks: tuple[Study, list[OtherMount]]) -> None:
    study, every = blocks
    check = check_mount(study, "Knot", every[0].signals, every[0].load_start_s, [], 28)
    assert check is not None and check.check.state == "alone" and "nothing to hold it against yet" in check.sentence
