"""Predictions against what is true of the demo's simulated parts: within what was measured, beyond it, and what is refused."""

from __future__ import annotations

import json
import shutil
from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest
from scipy import stats
from scipy.optimize import brentq

from kuffin.cli import main
from kuffin.core.base.errors import CompareError
from kuffin.core.predict.carrying import (
    ESTIMATED,
    FLOW_BY_PUMP,
    MEASURED,
    Answers,
    means_apart,
    one_more,
    pooled,
    worst,
)
from kuffin.demo.blocks import BLOCKS, LIMIT_C, MOVED_DAY, MOVED_K_W, block_of
from kuffin.demo.quiet import NAME, SWEPT
from kuffin.notebook import planedits
from kuffin.notebook.store import Notebook
from kuffin.said.predictionwords import difference_words, prediction_words, prediction_working
from kuffin.simulated.livebench import FULL_FAN_RPM
from kuffin.simulated.station import Radiator
from kuffin.verdict.carried import WhatIf
from kuffin.verdict.fanneeded import fans_needed
from kuffin.verdict.predicting import differences, predict
from kuffin.verdict.study import StudyVerdict, judge

FLOW = 141.35  # L/h, at the pump's speed of the demo
RADIATORS = {r.name: r for r in SWEPT}


def study_of(path: Path, name: str) -> StudyVerdict:
    book = Notebook.open(path)
    try:
        return judge(book, book.study(next(s.id for s in book.studies() if s.name == name)))
    finally:
        book.close()


@pytest.fixture(scope="module")
def copy(demo_master: Path, tmp_path_factory: pytest.TempPathFactory) -> Path:
    path = tmp_path_factory.mktemp("predict") / "demo.kuffin"
    shutil.copyfile(demo_master, path)
    return path


@pytest.fixture(scope="module")
def blocks(copy: Path) -> StudyVerdict:
    return study_of(copy, "Blocks, late winter")


@pytest.fixture(scope="module")
def quiet(copy: Path) -> StudyVerdict:
    return study_of(copy, NAME)


@pytest.mark.parametrize(("fan", "air"), [(50.0, 18.0), (62.0, 26.0), (90.0, 30.0)])
def test_the_coolant_at_other_fans_and_in_another_room_is_what_the_radiator_would_do(
    quiet: StudyVerdict, fan: float, air: float
) -> None:
    for name, radiator in RADIATORS.items():
        found = predict(quiet, name, WhatIf(fan=fan, air_c=air))
        truth = air + 180.0 * radiator.resistance(FULL_FAN_RPM * fan / 100, FLOW)
        assert found.coolant is not None and found.coolant.low <= truth <= found.coolant.high
        assert found.coolant.label == MEASURED and found.beyond == () and found.die is None


@pytest.mark.parametrize(("power", "beyond"), [(150.0, ()), (210.0, ()), (340.0, ("power",))])
def test_the_die_at_another_power_holds_what_a_block_would_do(
    blocks: StudyVerdict, power: float, beyond: tuple[str, ...]
) -> None:
    for name in ("Tern", "Plover", "Knot"):
        found = predict(blocks, name, WhatIf(power_w=power, air_c=20.0))
        paste = 0.082 + MOVED_K_W * (4 - MOVED_DAY + 1) / 4  # on average over the days
        truth = 20.0 + power * (
            0.0566 * (1000 / 900) ** 0.45 * (150 / FLOW) ** 0.08 + block_of(name).resistance(FLOW) + paste
        )
        assert found.die is not None and found.die.low <= truth <= found.die.high
        assert found.beyond == beyond and (found.die.label == ESTIMATED) == bool(beyond)
    narrow, wide = (predict(blocks, "Tern", WhatIf(power_w=p)).die for p in (240.0, 400.0))
    assert narrow is not None and wide is not None and wide.half > 1.5 * narrow.half * 400 / 240


def test_twice_the_power_is_twice_the_difference_and_its_interval_grows(blocks: StudyVerdict) -> None:
    usual, twice = (differences(blocks, [("Tern", "Plover")], WhatIf(power_w=p))[0] for p in (240.0, 480.0))
    assert twice.value == pytest.approx(2 * usual.value, rel=0.25) and twice.half > usual.half
    truth = 240.0 * (BLOCKS["Tern"].r0_k_w - BLOCKS["Plover"].r0_k_w)
    assert usual.low <= truth <= usual.high
    assert difference_words("Tern", "Plover", usual).startswith("Plover is cooler than Tern by")


def test_the_highest_power_at_a_limit_is_where_the_part_would_stand_at_it(blocks: StudyVerdict) -> None:
    """Ruff throttles at 240 W in its runs: the demo's processor holds 80 °C."""
    for name, over in (("Ruff", False), ("Plover", True)):
        found = predict(blocks, name, WhatIf(limit_c=LIMIT_C, air_c=23.0)).highest_power
        assert found is not None and found.low < found.value < found.high
        assert (found.value > 240) == over
        again = predict(blocks, name, WhatIf(power_w=found.value, air_c=23.0)).die
        assert again is not None and again.value == pytest.approx(LIMIT_C, abs=0.4)
    assert predict(blocks, "Plover", WhatIf(limit_c=22.0, air_c=25.0)).highest_power is None


def test_the_fans_that_hold_a_limit_are_those_at_which_the_radiator_would_stand_at_it(quiet: StudyVerdict) -> None:
    found = fans_needed(quiet, WhatIf(air_c=24.0, limit_c=36.0))
    for name, radiator in RADIATORS.items():
        told = found[name]
        assert told is not None and told.label == MEASURED

        def warm(fan: float, radiator: Radiator = radiator) -> float:
            return 24.0 + 180.0 * radiator.resistance(FULL_FAN_RPM * fan / 100, FLOW)

        truth = brentq(lambda fan: warm(fan) - 36.0, 15.0, 120.0)
        assert told.low <= truth <= told.high and told.half < 20
    assert set(fans_needed(quiet, WhatIf(air_c=24.0, limit_c=25.0)).values()) == {None}  # nothing holds that
    with pytest.raises(CompareError, match="tell the limit"):
        fans_needed(quiet, WhatIf())


def test_what_was_not_varied_is_estimated_with_all_that_may_be_so(blocks: StudyVerdict) -> None:
    as_measured, slow = (predict(blocks, "Tern", WhatIf(pump=p)) for p in (60.0, 40.0))
    assert as_measured.flow is not None and slow.flow is not None
    assert as_measured.flow.label == MEASURED and slow.flow.label == ESTIMATED and slow.beyond == ("pump",)
    assert slow.flow.value < 0.7 * as_measured.flow.value
    assert slow.die is not None and as_measured.die is not None and slow.die.half > as_measured.die.half
    assert "pump beyond what was measured" in prediction_words(slow)


@pytest.mark.parametrize(
    ("asked", "said"),
    [
        (WhatIf(power_w=-5.0), "power, W: −5 is outside"),
        (WhatIf(air_c=90.0), "air, °C: 90 is outside"),
        (WhatIf(fan=1.0), "fans, %: 1 is outside"),
    ],
)
def test_what_cannot_be_is_refused(quiet: StudyVerdict, asked: WhatIf, said: str) -> None:
    with pytest.raises(CompareError, match=said):
        predict(quiet, "Reed", asked)


def test_one_mount_of_each_says_nothing_of_another(quiet: StudyVerdict) -> None:
    with pytest.raises(CompareError, match="there is no candidate “Heron”"):
        predict(quiet, "Heron", WhatIf())
    first = [next(m for m in quiet.evidence.mounts if m[0] == n) for n in quiet.candidates]
    alone = replace(quiet, evidence=replace(quiet.evidence, mounts=first))
    with pytest.raises(CompareError, match="no candidate has a second mount"):
        predict(alone, "Reed", WhatIf())


def test_the_interval_of_one_more_mount_is_that_of_the_textbook() -> None:
    """Mean 10.2, s 0.2 from three, t(0.975, 2) = 4.303: ± 4.303·0.2·√(4/3) = 0.994."""
    scatter = pooled({"Reed": [10.0, 10.2, 10.4]})
    assert one_more([10.0, 10.2, 10.4], scatter, [], MEASURED).half == pytest.approx(0.994, abs=1e-3)
    assert one_more([10.0, 10.2, 10.4], scatter, [0.994], MEASURED).half == pytest.approx(0.994 * np.sqrt(2), abs=1e-3)
    both = pooled({"a": [10.0, 10.4], "b": [8.0, 8.4]})
    gap = means_apart([10.0, 10.4], [8.0, 8.4], (both, both), [], MEASURED)
    assert gap.value == pytest.approx(2.0) and gap.half == pytest.approx(4.303 * 0.2828, abs=1e-3)
    factor, half = Answers(least=-1.0, most=-1.0).factor(2.0)
    assert (factor, half) == pytest.approx((0.5, 0.0)) and FLOW_BY_PUMP.factor(1.0) == pytest.approx((1.0, 0.0))
    assert worst([MEASURED, ESTIMATED]) == ESTIMATED


def test_where_candidates_scatter_unlike_each_is_foreseen_by_its_own(copy: Path, tmp_path: Path) -> None:
    """Bulrush scatters 2.6 times as far as the others: its next mount may be farther off than theirs."""
    v = study_of(copy, "Radiators, spring")
    found = v.main.comparison
    assert found is not None and found.moderation is not None
    halves = {n: predict(v, n, WhatIf()).coolant.half for n in ("Bulrush", "Reed", "Sedge")}  # type: ignore[union-attr]
    assert halves["Bulrush"] > 1.5 * max(halves["Reed"], halves["Sedge"])
    own = tmp_path / "separate.kuffin"
    shutil.copy(copy, own)
    book = Notebook.open(own)
    planedits.set_plan(book, v.evidence.study.id, "x", spread="separate")
    book.close()
    v = study_of(own, "Radiators, spring")
    found = v.main.comparison
    assert found is not None
    for name, x in ((n, predict(v, n, WhatIf()).coolant) for n in ("Bulrush", "Reed", "Sedge")):
        c = found.candidate(name)
        assert x is not None and x.half == pytest.approx(
            stats.t.ppf(0.975, 2) * (c.sd or 0.0) * np.sqrt(4 / 3), rel=0.15
        )
    # a difference by Welch, as SciPy has it of the same mounts
    a, b = ([r.value or 0.0 for r in v.main.of(n)] for n in ("Bulrush", "Reed"))
    interval = stats.ttest_ind(a, b, equal_var=False).confidence_interval(0.95)
    apart = differences(v, [("Bulrush", "Reed")], WhatIf())[0]
    assert (apart.low, apart.high) == pytest.approx((interval.low, interval.high), rel=0.15)
    assert "their own scatter" in str(prediction_working(predict(v, "Bulrush", WhatIf())))


def test_the_command_tells_the_same(copy: Path, blocks: StudyVerdict, capsys: pytest.CaptureFixture[str]) -> None:
    asked = [
        "predict",
        str(copy),
        "--study",
        "Blocks, late winter",
        "--candidate",
        "Plover",
        "--power",
        "200",
        "--air",
        "28",
        "--limit",
        "80",
    ]
    assert main([*asked, "--json"]) == 0
    told = json.loads(capsys.readouterr().out)
    found = predict(blocks, "Plover", WhatIf(power_w=200.0, air_c=28.0, limit_c=80.0))
    assert found.die is not None and found.coolant is not None and found.highest_power is not None
    assert told["die"][0]["c"] == found.die.value and told["die"][0]["low"] == found.die.low
    assert told["coolant_c"] == found.coolant.value and told["highest_power_w"] == found.highest_power.value
    assert told["beyond"] == []
    assert main(asked) == 0 and "the die under Plover: 72" in capsys.readouterr().out
    assert main([*asked, "--part", "Rush", "--coolant", "water"]) == 0
    assert "with Rush, water as coolant" in capsys.readouterr().out
    for wrong, said in (
        (["--candidate", "Heron"], "no candidate “Heron”"),
        (["--power", "much"], "is no power"),
        (["--study", "Owls"], "has no study"),
        (["--part", "Heron"], "no other study offers “Heron”"),
        (["--coolant", "ink"], "no coolant “ink”"),
    ):
        assert main([*asked, *wrong]) == 2
        assert said in capsys.readouterr().err
