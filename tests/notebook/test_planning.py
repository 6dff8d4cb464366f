"""Edits of plans, shelf and preparation in the notebook: kept, undone, refused; and what a planned order leaves alone."""

from __future__ import annotations

import os
from collections.abc import Callable, Iterator
from pathlib import Path

import pytest
from PIL import Image

from kuffin.core.base.errors import BenchError, NotebookError
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.core.compare.claims import Claimed
from kuffin.core.plan.order import Slot
from kuffin.notebook import edits, photos, planedits, preparationedits, shelf
from kuffin.notebook.store import Notebook
from kuffin.verdict.planbasis import order_of, slots_of
from tests.notebook.test_notebook import log


@pytest.fixture
def study(notebook: Notebook) -> int:
    return edits.add_study(notebook, "Which block?", "block", ["Tern", "Plover", "Dunlin"])


def slots(rounds: int, *names: str) -> list[Slot]:
    return [Slot(n, r) for r in range(1, rounds + 1) for n in names]


def ids(notebook: Notebook, study: int) -> dict[str, int]:
    return {c.name: c.id for c in notebook.study(study).live_candidates}


class TestAnOrder:
    def test_it_makes_the_mounts_and_another_draw_keeps_what_has_a_run_or_was_begun(
        self, notebook: Notebook, study: int
    ) -> None:
        planedits.draw_order(notebook, study, slots(2, "Tern", "Plover", "Dunlin"), 1)
        assert slots_of(notebook.study(study)) == slots(2, "Tern", "Plover", "Dunlin")
        edits.add_log(notebook, study, "Tern", log(), round_number=1)
        second = order_of(notebook.study(study))[1]
        preparationedits.tick(notebook, second.id, "off", "Shut down.", True)
        planedits.draw_order(notebook, study, slots(3, "Dunlin", "Plover", "Tern"), 2)
        found = slots_of(notebook.study(study))
        assert found[:2] == [Slot("Tern", 1), Slot("Plover", 1)]
        assert found[2:] == [Slot("Dunlin", 1), *slots(3, "Dunlin", "Plover", "Tern")[3:]]
        assert notebook.study(study).planned_rounds == 3
        notebook.undo()
        assert slots_of(notebook.study(study)) == slots(2, "Tern", "Plover", "Dunlin")

    def test_a_log_goes_to_the_planned_mount_of_its_round(self, notebook: Notebook, study: int) -> None:
        planedits.draw_order(notebook, study, slots(2, "Tern", "Plover", "Dunlin"), 1)
        edits.add_log(notebook, study, "Plover", log("plover.csv"), round_number=2)
        mounts = order_of(notebook.study(study))
        assert len(mounts) == 6
        assert [(m.candidate.name, m.round) for m in mounts if m.live_runs] == [("Plover", 2)]

    def test_fewer_rounds_put_the_rest_into_the_bin(self, notebook: Notebook, study: int) -> None:
        planedits.draw_order(notebook, study, slots(4, "Tern", "Plover", "Dunlin"), 1)
        planedits.draw_order(notebook, study, slots(2, "Tern", "Plover", "Dunlin"), 2)
        assert len(order_of(notebook.study(study))) == 6

    def test_samples_are_shared_out_in_turn(self, notebook: Notebook, study: int) -> None:
        part = notebook.study(study).live_candidates[0].part_id
        shelf.add_sample(notebook, part, "B", "lent by the maker")
        shelf.add_sample(notebook, part, "C")
        planedits.draw_order(notebook, study, slots(6, "Tern", "Plover"), 1)
        mine = [m.sample.label for m in order_of(notebook.study(study)) if m.candidate.name == "Tern" and m.sample]
        assert mine == ["1", "B", "C", "1", "B", "C"]


class TestRefused:
    """A sentence each, and the notebook as it was."""

    @pytest.fixture(autouse=True)
    def nothing_changes(self, notebook: Notebook, study: int) -> Iterator[None]:
        before = (notebook.undo_label, sorted(ids(notebook, study)), len(shelf.parts(notebook)))
        yield
        assert (notebook.undo_label, sorted(ids(notebook, study)), len(shelf.parts(notebook))) == before

    def refused(self, act: Callable[[], object], says: str) -> None:
        with pytest.raises((NotebookError, BenchError), match=says):
            act()

    def test_claims(self, notebook: Notebook, study: int) -> None:
        by = ids(notebook, study)
        self.refused(
            lambda: planedits.add_claim(notebook, study, by["Tern"], by["Tern"], Claimed(low=1.0)), "two candidates"
        )
        self.refused(
            lambda: planedits.add_claim(notebook, study, by["Tern"], by["Plover"], Claimed(low=0.0)), "above 0"
        )

    def test_configurations_and_reasons(self, notebook: Notebook, study: int) -> None:
        by = ids(notebook, study)
        self.refused(lambda: planedits.configure(notebook, by["Tern"], "fan_percent", 130.0), "fan speed: 130 %")
        self.refused(lambda: planedits.answer_difference(notebook, study, "fans", "fans", "  "), "say in a few words")

    def test_samples_that_do_not_exist(self, notebook: Notebook, study: int) -> None:
        part = notebook.study(study).live_candidates[0]
        self.refused(lambda: shelf.add_sample(notebook, part.part_id, " "), "needs a label")
        self.refused(lambda: shelf.add_sample(notebook, part.part_id, "1"), "has a sample 1 already")

    def test_a_protocol_without_a_name_or_steps(self, notebook: Notebook) -> None:
        self.refused(lambda: planedits.keep_protocol(notebook, " ", [Step(name="load")], Limits()), "needs a name")
        self.refused(lambda: planedits.keep_protocol(notebook, "none", [], Limits()), "step")

    def test_photos_that_are_none(self, notebook: Notebook, tmp_path: Path) -> None:
        fake, cut = tmp_path / "print.jpg", tmp_path / "cut.png"
        fake.write_bytes(b"\xff\xd8\xff\xe0 and then nothing of the kind")
        Image.effect_noise((200, 200), 50).save(cut)
        cut.write_bytes(cut.read_bytes()[:4000])
        for path in (fake, cut):
            self.refused(lambda p=path: photos.add_photo(notebook, p, part_id=1), f"{path.name}: this is no photo")
        self.refused(lambda: photos.add_photo(notebook, tmp_path / "gone.png", part_id=1), "cannot be read")


def test_a_sample_of_another_part_is_refused_for_a_mount_and_a_part_may_be_compared_with_itself(
    notebook: Notebook, study: int
) -> None:
    planedits.draw_order(notebook, study, slots(1, "Tern", "Plover", "Dunlin"), 1)
    first, second, _ = order_of(notebook.study(study))
    assert second.sample_id is not None
    with pytest.raises(NotebookError, match="no such sample"):
        planedits.set_sample(notebook, first.id, second.sample_id)
    with pytest.raises(NotebookError, match="no such sample"):
        planedits.set_sample(notebook, first.id, 999)
    plover = next(c for c in notebook.study(study).live_candidates if c.name == "Plover")
    planedits.choose_part(notebook, ids(notebook, study)["Tern"], plover.part_id)
    assert set(ids(notebook, study)) == {"Plover (another way)", "Plover", "Dunlin"}


def test_a_renamed_part_takes_its_candidates_along(notebook: Notebook, study: int) -> None:
    tern = next(c for c in notebook.study(study).live_candidates if c.name == "Tern")
    shelf.change_part(notebook, tern.part_id, "rename a part", name="Knot")
    assert sorted(ids(notebook, study)) == ["Dunlin", "Knot", "Plover"]
    notebook.undo()
    assert sorted(ids(notebook, study)) == ["Dunlin", "Plover", "Tern"]


def test_only_a_few_kinds_of_photo_are_opened_and_never_a_bomb(notebook: Notebook, tmp_path: Path) -> None:
    part = shelf.add_part(notebook, "processor block", "Knot")
    picture = Image.effect_noise((120, 80), 60).convert("RGB")
    for ending, ok in (
        ("jpg", True),
        ("png", True),
        ("webp", True),
        ("bmp", True),
        ("gif", False),
        ("tiff", False),
        ("ppm", False),
    ):
        path = tmp_path / f"a.{ending}"
        picture.save(path)
        path = path.rename(tmp_path / f"{ending}.png")  # what it says it is counts for nothing
        if ok:
            photos.add_photo(notebook, path, part_id=part)
        else:
            with pytest.raises(NotebookError, match="no photo that Kuffin can read"):
                photos.add_photo(notebook, path, part_id=part)
    bomb = tmp_path / "bomb.png"
    Image.new("1", (20_000, 20_000)).save(bomb)
    assert bomb.stat().st_size < 200_000
    with pytest.raises(NotebookError, match="million pixels"):
        photos.add_photo(notebook, bomb, part_id=part)
    os.mkfifo(tmp_path / "pipe.png")
    for odd in (Path("/dev/zero"), tmp_path / "pipe.png"):
        with pytest.raises(NotebookError, match="no ordinary file"):
            photos.add_photo(notebook, odd, part_id=part)
    turned = tmp_path / "turned.jpg"
    exif = Image.Exif()
    exif[0x0112] = 6  # the camera was held upright
    picture.save(turned, exif=exif)
    assert photos.open_photo(turned.read_bytes(), "x").size == (80, 120)
    assert max(photos.open_photo(turned.read_bytes(), "x", 40).size) <= 40


def test_photos_come_back_byte_for_byte_and_the_bin_keeps_them(notebook: Notebook, tmp_path: Path) -> None:
    path = tmp_path / "block.png"
    Image.effect_noise((120, 80), 60).save(path)
    part = shelf.add_part(notebook, "processor block", "Knot")
    photo = photos.add_photo(notebook, path, part_id=part)
    assert photos.photo_data(notebook, photo) == path.read_bytes()
    photos.bin_photo(notebook, photo)
    assert photos.photos(notebook, part_id=part) == []
    notebook.undo()
    assert [p.id for p in photos.photos(notebook, part_id=part)] == [photo]


def test_starting_again_takes_ticks_back_but_not_notes_nor_sheets(notebook: Notebook, study: int) -> None:
    planedits.draw_order(notebook, study, slots(1, "Tern", "Plover", "Dunlin"), 1)
    mount = order_of(notebook.study(study))[0].id
    preparationedits.tick(notebook, mount, "off", "Shut down, pull the plug.", True, 42.0)
    preparationedits.note_step(notebook, mount, "off", "Shut down, pull the plug.", "warm still")
    preparationedits.keep_sheet(notebook, mount, "fill", {"reserve_ml": 80})
    preparationedits.make_ready(notebook, mount)
    preparationedits.start_again(notebook, mount)
    found = preparationedits.prepared(notebook, mount)
    assert (found.ticks["off"].done_at, found.ticks["off"].note) == (None, "warm still")
    assert found.sheets == {"fill": {"reserve_ml": 80}}
    assert order_of(notebook.study(study))[0].begun_at is None
    notebook.undo()
    assert order_of(notebook.study(study))[0].ready_at is not None
