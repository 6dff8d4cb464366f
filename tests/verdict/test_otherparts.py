"""Another block, radiator or coolant in predictions: against what the demo's simulated parts would do together, and what is refused."""

from __future__ import annotations

import shutil
from dataclasses import replace
from pathlib import Path

import pytest

from kuffin.core.base.errors import CompareError
from kuffin.core.heat.coolant import Mix, properties
from kuffin.core.predict.carrying import CARRIED, ESTIMATED
from kuffin.core.predict.coolantheat import BLOCK_FILM, RADIATOR_FILM, by_coolant
from kuffin.demo.blocks import MOVED_DAY, MOVED_K_W, block_of
from kuffin.demo.scenario import RADIATORS, sample_factors
from kuffin.notebook.store import Notebook
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import FULL_FAN_RPM
from kuffin.simulated.station import REST_OF_LOOP, loop_flow
from kuffin.verdict.across import Judged
from kuffin.verdict.carried import OtherPart
from kuffin.verdict.otherparts import NamedMix, coolants_of, parts_elsewhere, with_parts
from kuffin.verdict.predicting import Prediction, as_measured, predict
from kuffin.verdict.study import judge

AIR_C = 21.0


@pytest.fixture(scope="module")
def judged(demo_master: Path, tmp_path_factory: pytest.TempPathFactory) -> dict[str, Judged]:
    path = tmp_path_factory.mktemp("parts") / "demo.kuffin"
    shutil.copyfile(demo_master, path)
    book = Notebook.open(path)
    studies = [book.study(s.id) for s in book.studies()]
    found = {s.name: Judged(s, judge(book, s)) for s in studies}
    book.close()
    return found


def offered(judged: dict[str, Judged], study: str) -> list[OtherPart]:
    return parts_elsewhere(judged[study], [j for n, j in judged.items() if n != study])[0]


def foreseen(
    judged: dict[str, Judged], study: str, candidate: str, part: str | None = None, coolant: NamedMix | None = None
) -> Prediction:
    first = judged[study]
    taken = next((p for p in offered(judged, study) if p.name == part), None)
    asked = replace(as_measured(first.verdict), power_w=180.0, air_c=AIR_C)
    source = None if taken is None else judged[taken.study]
    return predict(first.verdict, candidate, with_parts(first, asked, taken, source, coolant))


def truth(radiator: str, block: str) -> float:
    """The die over days, on the demo's bench, at the same fans and pump."""
    own, over = RADIATORS[radiator], block_of(block)
    flow = loop_flow(Pump(), 0.60, [own.restriction, over.restriction, REST_OF_LOOP])
    paste = 0.082 + MOVED_K_W * (4 - MOVED_DAY + 1) / 4
    radiating = own.resistance(0.55 * FULL_FAN_RPM, flow) * sample_factors()[radiator]
    return AIR_C + 180.0 * (radiating + over.resistance(flow) + paste)


def test_a_block_of_another_study_on_a_radiator_of_this_one_is_as_warm_as_the_two_would_be(
    judged: dict[str, Judged],
) -> None:
    held = 0
    for radiator in ("Reed", "Sedge", "Rush"):
        for block in ("Tern", "Plover", "Knot", "Ruff"):
            found = foreseen(judged, "Radiators, spring", radiator, block)
            assert found.die is not None and found.die.label in {CARRIED, ESTIMATED}
            held += found.die.low <= truth(radiator, block) <= found.die.high
    assert held >= 11  # of 12
    assert foreseen(judged, "Radiators, spring", "Reed").die is None  # alone it says nothing of the die


def test_a_radiator_of_another_study_takes_the_place_of_the_benchs_own(judged: dict[str, Judged]) -> None:
    usual, other = (foreseen(judged, "Blocks, late winter", "Tern", part) for part in (None, "Rush"))
    assert usual.coolant is not None and other.coolant is not None and usual.die is not None and other.die is not None
    gap = 180.0 * (RADIATORS["Rush"].k_w - RADIATORS["Reed"].k_w)  # Reed is on the bench
    assert other.coolant.low - usual.coolant.value <= gap <= other.coolant.high - usual.coolant.value
    assert other.die.value - usual.die.value == pytest.approx(other.coolant.value - usual.coolant.value, abs=0.3)
    assert any("“Radiators, spring”" in w for f in other.flights for w in f.why)


def test_what_stands_on_another_die_is_not_offered_and_another_bench_is_named(judged: dict[str, Judged]) -> None:
    names = {p.study for p in offered(judged, "Radiators, spring")}
    assert names == {"Blocks, late winter"}
    found = foreseen(judged, "Card blocks, spring", judged["Card blocks, spring"].verdict.candidates[0], "Sedge")
    assert "bench" in found.beyond and found.coolant is not None and found.coolant.label == ESTIMATED


def test_a_thicker_coolant_is_warmer_by_what_nobody_measured(judged: dict[str, Judged]) -> None:
    shelf = judged["Blocks, late winter"].verdict.evidence.ways.shelf  # type: ignore[union-attr]
    named = {m.name: m for m in coolants_of(shelf)}
    half = NamedMix("half glycol", Mix("propylene glycol", 50.0))
    usual, same, thick = (foreseen(judged, "Blocks, late winter", "Tern", None, c) for c in (None, named["Rill"], half))
    assert same.die == usual.die  # Rill is in the loop
    assert thick.die is not None and usual.die is not None
    assert thick.die.value > usual.die.value + 2 and thick.die.half > 2 * usual.die.half
    assert thick.die.label == ESTIMATED and "coolant" in thick.beyond
    assert thick.flow is not None and usual.flow is not None and thick.flow.value < usual.flow.value


def test_a_bench_that_does_not_tell_its_coolant_is_asked_for_it(judged: dict[str, Judged]) -> None:
    first = judged["Pastes, winter"]
    with pytest.raises(CompareError, match="which coolant the bench has is not told"):
        with_parts(first, as_measured(first.verdict), None, None, NamedMix("water", Mix()))


def test_a_film_goes_with_the_coolant_as_the_textbook_has_it() -> None:
    """All film and developed laminar flow: 1/k; nothing of it film: nothing changes."""
    water, mix = properties(30.0), properties(30.0, Mix("ethylene glycol", 40.0))
    assert by_coolant(water, water, BLOCK_FILM) == (1.0, 0.0)
    block, radiator = (by_coolant(water, mix, f) for f in (BLOCK_FILM, RADIATOR_FILM))
    assert 1 < radiator[0] < block[0]
    laminar = 1 + 0.7 * (water.conductivity_w_m_k / mix.conductivity_w_m_k - 1)
    assert block[0] * (1 - block[1]) < laminar < block[0] * (1 + block[1])
