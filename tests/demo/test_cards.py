"""The demo's fourth study: each block by the card's own power, what devices do to one another, and metals that meet."""

from __future__ import annotations

import pytest

from kuffin.core.prepare.fill import loop_volume_ml, metal_warnings
from kuffin.demo.cards import CARD_BLOCKS, CARD_W, ROUNDS
from kuffin.notebook.shelf import bench_of, parts
from kuffin.notebook.store import Notebook
from kuffin.reading.configurations import built_loop, loop_of, metals_of, pressures_of
from kuffin.said.line import verdict_line
from kuffin.said.warmings import warmings
from kuffin.verdict.study import StudyVerdict, judge


@pytest.fixture
def judged(demo_notebook: Notebook) -> StudyVerdict:
    listed = next(s for s in demo_notebook.studies() if s.name == "Card blocks, spring")
    return judge(demo_notebook, demo_notebook.study(listed.id))


def test_the_better_block_is_told_by_the_cards_own_power(judged: StudyVerdict) -> None:
    assert verdict_line(judged).sentence.startswith("Whimbrel keeps the card’s die")
    comparison = judged.main.comparison
    assert comparison is not None
    (pair,) = comparison.pairs
    true = CARD_W * (CARD_BLOCKS[pair.a] - CARD_BLOCKS[pair.b])
    assert pair.low <= true <= pair.high
    assert len(judged.main.readings) == 2 * ROUNDS and judged.mounts == 2 * ROUNDS
    assert [c.name for c in judged.conditions] == ["processor", "card", "both"] and judged.condition == "card"


def test_what_each_device_does_to_the_other_is_told(demo_notebook: Notebook, judged: StudyVerdict) -> None:
    """Coolant over air is 0.029 K/W of all heat; what comes first in the loop warms the second besides, by P/(ρ·c_p·V̇)."""
    found = {(w.by, w.at): w for w in warmings(judged.evidence)}
    per_watt = {pair: w.k / w.more_w for pair, w in found.items()}
    assert per_watt["card", "processor"] == pytest.approx(0.0305, abs=0.001)
    carried = 142 * 4180 * 0.997 / 3600
    assert per_watt["processor", "card"] == pytest.approx(per_watt["card", "processor"] + 1 / carried, abs=0.001)
    assert all(w.mounts == 2 * ROUNDS and 0 < w.u95 < 0.3 for w in found.values())


def test_every_part_of_a_kind_counts(demo_notebook: Notebook, judged: StudyVerdict) -> None:
    study, shelf = demo_notebook.study(judged.study_id), parts(demo_notebook)
    bench = bench_of(demo_notebook, study.bench_id)
    for candidate in study.live_candidates:
        loop = [part.name for part, place in built_loop(study, candidate, bench, shelf) if place is not None]
        assert [n for n in loop if n in {"Tern", "Sedge", "Papyrus", *CARD_BLOCKS}] == [
            "Tern",
            candidate.name,
            "Sedge",
            "Papyrus",
        ]
        (warning,) = metal_warnings(metals_of(study, candidate, bench, shelf))
        copper = ", ".join(sorted(["Sedge", "Tern", candidate.name]))
        assert f"aluminium (Papyrus) meets copper ({copper})" in warning
        volume, _ = loop_volume_ml(loop_of(study, candidate, bench, shelf))
        two_less = [h for h in loop_of(study, candidate, bench, shelf) if h.name not in {"Tern", "Papyrus"}]
        assert volume == pytest.approx(loop_volume_ml(two_less)[0] + 28.0 + 150.0)
        assert pressures_of(study, candidate, bench, shelf)["Papyrus"] == 60.0
