"""A candidate is a part with its configuration, and takes one place of the loop or several."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import closing
from pathlib import Path

import pytest
from benchmarks.devices import drawn_loop

from kuffin.core.base.errors import NotebookError
from kuffin.core.plan.order import Slot
from kuffin.core.prepare.changeover import change_over
from kuffin.notebook import edits, planedits, shelf
from kuffin.notebook.entities import Candidate, Study
from kuffin.notebook.shelf import LoopPlace, bench_of, parts
from kuffin.notebook.store import Notebook
from kuffin.reading.configurations import built_in, built_loop, loop_of, own_places, pressures_of
from kuffin.verdict.across import Judged, known_of, linked
from kuffin.verdict.fairness import unfair
from kuffin.verdict.study import judge
from kuffin.verdict.value import value_of, whole_price


@pytest.fixture
def book(tmp_path: Path) -> Iterator[Notebook]:
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        yield book


def named(study: Study, name: str) -> Candidate:
    return next(c for c in study.live_candidates if c.name == name)


class TestAPartInTwoWays:
    @pytest.fixture
    def told(self, book: Notebook) -> int:
        """A block as it is and turned; and another one."""
        study = edits.add_study(book, "Does it matter which way the card block is turned?", "block", ["Tern", "Plover"])
        way = planedits.another_way(book, named(book.study(study), "Tern").id, "Tern (turned)")
        bench = shelf.add_bench(book, "booth")
        shelf.set_cooled(book, bench, drawn_loop(1000)[2])
        edits.change_study(book, study, "set up", bench_id=bench, device=drawn_loop(1000)[2][0])
        assert {d.key for d in unfair(book.study(study), None, (), None)} == {
            f"ways of {named(book.study(study), 'Tern').part_id}"
        }
        planedits.configure(book, way, "turned", 90.0)
        return study

    @pytest.fixture
    def measured(self, book: Notebook, told: int) -> int:
        """Two mounts each."""
        for i, name in enumerate(("Tern", "Tern (turned)", "Plover") * 2):
            edits.add_log(book, told, name, drawn_loop(1000 + i)[0])
        return told

    def test_it_is_one_part_with_one_price_and_samples_and_two_candidates(self, book: Notebook, measured: int) -> None:
        study = book.study(measured)
        tern, turned = named(study, "Tern"), named(study, "Tern (turned)")
        assert tern.part_id == turned.part_id and tern.live_mounts[0].sample_id == turned.live_mounts[0].sample_id
        shelf.change_part(book, tern.part_id, "price", price=80.0, currency="EUR")
        verdict = judge(book, book.study(measured))
        assert verdict.main.comparison is not None and len(verdict.main.comparison.pairs) == 3
        found = value_of(verdict, None, ())
        assert found is not None and {r.name: r.price for r in found.rows} == {
            "Tern": 80.0,
            "Tern (turned)": 80.0,
            "Plover": None,
        }
        known = known_of(tern.part_id, [Judged(book.study(measured), verdict)], lambda _: "")
        assert [k.study.rpartition(": ")[2] for k in known] == ["Tern", "Tern (turned)"]

    def test_what_they_differ_in_is_what_is_asked_and_else_is_named(self, book: Notebook, told: int) -> None:
        (asked,) = [d for d in unfair(book.study(told), None, (), None) if d.key == "turned"]
        assert asked.strength == 0 and "what Tern and Tern (turned) compare" in asked.effect
        with pytest.raises(NotebookError, match="a name of its own"):
            planedits.another_way(book, named(book.study(told), "Tern").id, "plover")
        planedits.choose_part(
            book,
            planedits.another_way(book, named(book.study(told), "Plover").id),
            named(book.study(told), "Tern").part_id,
        )
        assert [c.name for c in book.study(told).live_candidates][-1] == "Tern (another way)"

    def test_the_change_over_says_how_it_is_used(self, book: Notebook, told: int) -> None:
        planedits.draw_order(book, told, [Slot("Tern", 1), Slot("Tern (turned)", 1)], 1)
        study = book.study(told)
        before, after = (built_in(study, named(study, n).live_mounts[0], None, ()) for n in ("Tern", "Tern (turned)"))
        assert any("turned by 90 °" in t.text for t in change_over(before, after))

    def test_studies_are_linked_only_by_a_part_that_is_used_alike(self, book: Notebook, measured: int) -> None:
        other = edits.add_study(book, "Which card block?", "block", ["Tern", "Knot"])
        edits.change_study(
            book, other, "set up", bench_id=book.study(measured).bench_id, device=book.study(measured).device
        )
        for i, name in enumerate(("Tern", "Knot") * 2):
            edits.add_log(book, other, name, drawn_loop(1010 + i)[0])

        def link() -> object:
            both = [Judged(book.study(s), judge(book, book.study(s))) for s in (measured, other)]
            return linked(both[0], both[1:])

        assert "in several ways" in link().refused[0]
        edits.change_study(book, measured, "baseline", baseline_id=named(book.study(measured), "Tern (turned)").id)
        assert "not used alike" in link().refused[0] and "turned by" in link().refused[0]
        edits.change_study(book, measured, "baseline", baseline_id=named(book.study(measured), "Tern").id)
        assert link().baseline == "Tern" and {r.candidate for r in link().rows} == {"Tern (turned)", "Plover", "Knot"}


class TestPlaces:
    @pytest.fixture
    def told(self, book: Notebook) -> int:
        """Two radiators in the loop, and Sedge as a candidate for one of them, or both."""
        study = edits.add_study(book, "Which radiator?", "radiator", ["Sedge", "Rush"])
        bench = shelf.add_bench(book, "booth")
        by_name = {"Reed": shelf.add_part(book, "radiator", "Reed"), "Dipper": shelf.add_part(book, "pump", "Dipper")}
        for name in ("Sedge", "Rush"):
            by_name[name] = named(book.study(study), name).part_id
        for name, volume, price, limit in (
            ("Reed", 100, 40, 100),
            ("Dipper", 50, 60, 60),
            ("Sedge", 150, 70, 80),
            ("Rush", 120, 50, 90),
        ):
            fields = {"volume_ml": float(volume), "max_pressure_kpa": float(limit)}
            shelf.change_part(book, by_name[name], "tell", fields=fields, price=float(price), currency="EUR")
        shelf.set_loop(book, bench, [LoopPlace(by_name[n], {}) for n in ("Dipper", "Reed", "Reed")])
        edits.change_study(book, study, "set up", bench_id=bench)
        return study

    def volumes(self, book: Notebook, told: int) -> list[tuple[str, float]]:
        study = book.study(told)
        held = loop_of(study, named(study, "Sedge"), bench_of(book, study.bench_id), parts(book))
        return [(h.name, h.volume_ml) for h in held]

    def test_a_candidate_takes_one_place_or_those_that_are_told_and_each_counts(
        self, book: Notebook, told: int
    ) -> None:
        assert self.volumes(book, told) == [("Dipper", 50), ("Sedge", 150), ("Reed", 100)]
        bench = bench_of(book, book.study(told).bench_id)
        assert bench is not None
        assert whole_price(book.study(told), "Sedge", bench, parts(book), "EUR") == (60 + 70 + 40, [])
        planedits.set_plan(book, told, "both places", places=[p.id for p in bench.loop[1:]])
        study = book.study(told)
        assert self.volumes(book, told) == [("Dipper", 50), ("Sedge", 150), ("Sedge", 150)]
        assert whole_price(study, "Sedge", bench, parts(book), "EUR") == (60 + 70 + 70, [])
        assert len(own_places(study, named(study, "Sedge"), bench)) == 2
        assert pressures_of(study, named(study, "Sedge"), bench, parts(book)) == {"Dipper": 60, "Sedge": 80}

    def test_a_whole_set_does_not_hold_what_it_replaces(self, book: Notebook, told: int) -> None:
        whole = edits.add_study(book, "Which set?", "set", ["Sedge set", "Rush set"])
        edits.change_study(book, whole, "set up", bench_id=book.study(told).bench_id)
        study = book.study(whole)
        found = built_loop(study, named(study, "Sedge set"), bench_of(book, study.bench_id), parts(book))
        assert [part.name for part, _ in found] == ["Sedge set"]
