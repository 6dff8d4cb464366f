"""Whatever a person does in whatever order: the plan stays sound, and undoing all of it brings the beginning back."""

from __future__ import annotations

import random
import sqlite3
from collections.abc import Callable
from pathlib import Path

import pytest

from kuffin.core.base.errors import KuffinError
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.core.compare.claims import Claimed
from kuffin.core.plan.order import Slot, moved, plan_order
from kuffin.notebook import edits, planedits, preparationedits, shelf
from kuffin.notebook.entities import Claim, Mount, Sample
from kuffin.notebook.store import Notebook
from kuffin.verdict.planbasis import is_done, order_of, slots_of
from tests.notebook.test_notebook import log

NAMES = ("Tern", "Plover", "Dunlin", "Knot", "Ruff")
_KEPT = ("part", "sample", "bench", "place", "instrument", "probe", "study", "candidate", "claim", "protocol", "mount",
         "tick", "sheet", "exclusion")  # fmt: skip


def everything(notebook: Notebook) -> dict[str, list[tuple[object, ...]]]:
    """All rows that count, as the file has them; what was never made or lies in the bin counts as not there."""
    found: dict[str, list[tuple[object, ...]]] = {}
    with sqlite3.connect(f"file:{notebook.path}?mode=ro", uri=True) as db:
        for table in _KEPT:
            rows = db.execute(f'SELECT * FROM "{table}" ORDER BY id')
            columns = [c[0] for c in rows.description]
            binned = columns.index("binned_at") if "binned_at" in columns else None
            found[table] = [r for r in rows if binned is None or r[binned] is None]
    return found


class Person:
    """Does something at random, as the window would let them."""

    def __init__(self, notebook: Notebook, study: int, seed: int) -> None:
        self.notebook, self.study_id, self.rng = notebook, study, random.Random(seed)
        self.does: list[Callable[[], object]] = [
            self.draw, self.draw, self.move, self.move, self.tick, self.tick, self.note, self.ready, self.run,
            self.leave_out, self.sample, self.candidates, self.claim, self.configure, self.answer, self.promise,
            self.plan, self.bench, self.protocol, self.part, self.to_bin, self.sheet, self.baseline, self.again,
        ]  # fmt: skip

    @property
    def study(self):  # type: ignore[no-untyped-def]
        return self.notebook.study(self.study_id)

    def any(self, of: list):  # type: ignore[no-untyped-def, type-arg]
        if not of:
            raise KuffinError("nothing to choose from")
        return self.rng.choice(of)

    def mount(self) -> Mount:
        return self.any(order_of(self.study))

    def act(self) -> None:
        try:
            self.rng.choice(self.does)()
        except KuffinError as error:
            assert str(error)  # refused with a sentence: that is an answer, too

    def draw(self) -> None:
        study = self.study
        base = study.candidate(study.baseline_id)
        done = [Slot(m.candidate.name, m.round, m.control) for m in order_of(study) if is_done(m) or m.begun_at]
        names = [c.name for c in study.live_candidates]
        seed = self.rng.randrange(1000)
        slots = plan_order(names, self.rng.randint(1, 4), seed, baseline=base.name if base else None, done=done)
        planedits.draw_order(self.notebook, self.study_id, slots, seed)

    def move(self) -> None:
        study = self.study
        free = [i for i, m in enumerate(order_of(study)) if not is_done(m) and not m.begun_at]
        source, target = self.any(free), self.any(free)
        new = moved(slots_of(study), source, target)
        planedits.move_mount(self.notebook, study.id, order_of(study)[source].id, target, new[target].round)

    def tick(self) -> None:
        key = self.any(["off", "drain", "leak", "fill"])
        preparationedits.tick(self.notebook, self.mount().id, key, f"{key}.", self.rng.random() < 0.7, 30.0)

    def note(self) -> None:
        preparationedits.note_step(self.notebook, self.mount().id, "drain", "Drain.", f"note {self.rng.random():.3f}")

    def ready(self) -> None:
        preparationedits.make_ready(self.notebook, self.mount().id, self.rng.random() < 0.7)

    def again(self) -> None:
        preparationedits.start_again(self.notebook, self.mount().id)

    def run(self) -> None:
        mount = self.mount()
        edits.add_log(self.notebook, self.study_id, mount.candidate.name, log(rows=12), round_number=mount.round)

    def leave_out(self) -> None:
        mount = self.mount()
        if mount.left_out is None:
            edits.leave_out(self.notebook, mount.id, "a mount", "it looked odd")
        else:
            edits.take_back_in(self.notebook, mount.id, "a mount")

    def sample(self) -> None:
        part = self.any(list(self.study.live_candidates)).part_id
        shelf.add_sample(self.notebook, part, self.any(["2", "3", "B"]), self.any(["", "bought", "used"]))

    def candidates(self) -> None:
        now = [(c.id, c.name) for c in self.study.live_candidates]
        if self.rng.random() < 0.5 and len(now) > 2:
            now.pop(self.rng.randrange(len(now)))
        else:
            now.append((None, self.any([n for n in NAMES if n not in {x for _, x in now}])))  # type: ignore[arg-type]
        edits.change_candidates(self.notebook, self.study_id, now)

    def claim(self) -> None:
        a, b = self.any(list(self.study.live_candidates)), self.any(list(self.study.live_candidates))
        planedits.add_claim(self.notebook, self.study_id, a.id, b.id, Claimed(low=self.rng.choice([0.0, 1.0, 2.5])))

    def configure(self) -> None:
        candidate = self.any(list(self.study.live_candidates))
        planedits.configure(self.notebook, candidate.id, "fan_percent", self.any([None, 40.0, 70.0, 140.0]))

    def answer(self) -> None:
        planedits.answer_difference(self.notebook, self.study_id, "fan_percent", "fans", self.any([None, " ", "so"]))

    def promise(self) -> None:
        planedits.set_same(self.notebook, self.study_id, self.any(["fans", "coolant"]), self.rng.random() < 0.5)

    def plan(self) -> None:
        planedits.set_plan(self.notebook, self.study_id, "plan", power=self.any([None, 0.8, 0.9]))

    def bench(self) -> None:
        benches = shelf.benches(self.notebook)
        bench = benches[0].id if benches else shelf.add_bench(self.notebook, "the table")
        parts = [p.id for p in shelf.parts(self.notebook)]
        shelf.set_loop(
            self.notebook, bench, [shelf.LoopPlace(p, {}) for p in self.rng.sample(parts, min(2, len(parts)))]
        )
        shelf.keep_instrument(self.notebook, bench, None, name="meter", unit="W", counts=1.0)

    def protocol(self) -> None:
        planedits.keep_protocol(
            self.notebook, "three steps", [Step(name="load", power_w=self.any([150, 180]))], Limits()
        )

    def part(self) -> None:
        part = self.any(shelf.parts(self.notebook))
        shelf.change_part(self.notebook, part.id, "fill in", fields={"volume_ml": self.rng.randint(20, 40)})

    def to_bin(self) -> None:
        kind = self.any([Mount, Claim, Sample])
        there = {
            Mount: [m.id for m in order_of(self.study)],
            Claim: [c.id for c in self.study.live_claims],
            Sample: [s.id for c in self.study.live_candidates for s in c.samples[1:]],
        }[kind]
        edits.to_bin(self.notebook, kind, self.any(there), "something")

    def sheet(self) -> None:
        preparationedits.keep_sheet(self.notebook, self.mount().id, "fill", {"reserve_ml": self.rng.randint(0, 90)})

    def baseline(self) -> None:
        chosen = self.any([None, *(c.id for c in self.study.live_candidates)])
        edits.change_study(self.notebook, self.study_id, "choose the baseline", baseline_id=chosen)


def sound(person: Person) -> None:
    """What always holds of a plan."""
    study = person.study
    mounts = order_of(study)
    assert len({m.id for m in mounts}) == len(mounts)
    states = [0 if m.live_runs else 1 if m.begun_at else 2 for m in mounts]
    assert states == sorted(states), "what is done comes first, then what was begun"
    for mount in mounts:
        assert mount.candidate.id in {c.id for c in study.live_candidates}
        assert mount.round >= 1
        if mount.sample is not None:
            assert mount.sample.part_id == mount.candidate.part_id


@pytest.mark.parametrize("seed", range(3))
def test_any_order_of_edits_leaves_a_sound_plan_and_all_of_it_can_be_undone(tmp_path: Path, seed: int) -> None:
    notebook = Notebook.create(tmp_path / "bench.kuffin")
    study = edits.add_study(notebook, "Which block?", "block", list(NAMES[:3]))
    person = Person(notebook, study, seed)
    before = everything(notebook)
    count = 0
    for _ in range(60):
        label = notebook.undo_label
        person.act()
        sound(person)
        if person.rng.random() < 0.1 and notebook.undo_label != label:
            notebook.undo()
            notebook.redo()
    after = everything(notebook)
    while notebook.undo_label and notebook.undo_label != "start a study" and everything(notebook) != before:
        notebook.undo()
        count += 1
        assert count < 500
    assert everything(notebook) == before and count > 25, count
    while notebook.redo_label:
        notebook.redo()
    assert everything(notebook) == after
    notebook.close()
