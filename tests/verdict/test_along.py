"""Sweeps of a study against what is true of the demo's radiators: who leads where, what it takes, what is refused."""

from __future__ import annotations

import shutil
from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.base.errors import CompareError
from kuffin.core.bench.sweepaxes import SWEEP_AXES
from kuffin.core.compare.along import WAYS
from kuffin.demo.quiet import NAME, POWER_W, SWEPT
from kuffin.notebook import edits, planedits
from kuffin.notebook.store import Notebook
from kuffin.said.alongwords import needed_words, quietest_words, ranking_words, there_words
from kuffin.simulated.hydraulics import FAN_DBA, Pump, sound_level
from kuffin.verdict.along import along_range, axes_told, needed_there, read_there, sweep_of
from kuffin.verdict.study import StudyVerdict, judge
from kuffin.verdict.unbeatensettings import settings_of

RADIATORS = {r.name: r for r in SWEPT}


@pytest.fixture(scope="module")
def verdict(demo_master: Path, tmp_path_factory: pytest.TempPathFactory) -> StudyVerdict:
    path = tmp_path_factory.mktemp("along") / "demo.kuffin"
    shutil.copyfile(demo_master, path)
    notebook = Notebook.open(path)
    try:
        return judge(notebook, notebook.study(next(s.id for s in notebook.studies() if s.name == NAME)))
    finally:
        notebook.close()


def true_rise(name: str, rpm: float) -> float:
    """Coolant over air at the study's power, up to what flow does to all alike."""
    return POWER_W * RADIATORS[name].resistance(rpm, 141.0)


def true_level(name: str, rpm: float) -> float:
    return float(sound_level(Pump(), 0.62, rpm, FAN_DBA + RADIATORS[name].sound_db))


def rpm_at(name: str, level: float) -> float:
    speeds = np.linspace(500, 1700, 4000)
    return float(np.interp(level, [true_level(name, s) for s in speeds], speeds))


def test_every_axis_has_a_way_to_go_along_it() -> None:
    assert {a.way for a in SWEEP_AXES.values()} <= set(WAYS)
    assert all(bool(a.role) != bool(a.setting) for a in SWEEP_AXES.values())


def test_the_winner_at_equal_speed_is_not_the_winner_at_equal_loudness(verdict: StudyVerdict) -> None:
    assert [a.key for a in axes_told(verdict)] == ["sound", "fan", "fan_percent"]
    for key, at in (("fan", 1230.0), ("fan", 1500.0), ("sound", 31.0), ("sound", 34.0)):
        there = read_there(verdict, sweep_of(verdict, SWEEP_AXES[key], verdict.outcome), at)
        assert there.comparison is not None and not there.refused
        pair = there.comparison.pair("Sedge", "Reed")
        rpm = {n: at if key == "fan" else rpm_at(n, at) for n in ("Sedge", "Reed")}
        truth = true_rise("Sedge", rpm["Sedge"]) - true_rise("Reed", rpm["Reed"])
        # a curve of one exponent is not quite the truth where a pump is heard too: a tenth of a kelvin
        assert pair.low - 0.1 <= truth <= pair.high + 0.1
        assert pair.verdict == ("a_lower" if key == "fan" else "b_lower")


def test_how_the_ranking_changes_is_said_and_so_is_what_quiet_costs(verdict: StudyVerdict) -> None:
    by_speed = sweep_of(verdict, SWEEP_AXES["fan"], verdict.outcome)
    told = {tuple(w.split(":")[0].split(" and ")): w for w in ranking_words(by_speed, along_range(verdict, by_speed))}
    assert "they are the same for this purpose; above" in told["Sedge", "Reed"] and told["Sedge", "Reed"].endswith(
        "Sedge is cooler."
    )
    by_level = sweep_of(verdict, SWEEP_AXES["sound"], verdict.outcome)
    found = along_range(verdict, by_level)
    assert found.pairs["Sedge", "Reed"][0].better == "Reed" and found.pairs["Sedge", "Reed"][-1].same
    quiet = quietest_words(by_level, read_there(verdict, by_level, by_level.common[0]))
    assert "beside Reed: Sedge costs 1.4 K" in quiet


def test_what_a_temperature_takes_is_read_off_each_mounts_curve(verdict: StudyVerdict) -> None:
    sweep = sweep_of(verdict, SWEEP_AXES["fan"], verdict.outcome)
    there = needed_there(verdict, sweep, 10.0)
    assert there.comparison is not None
    for c in there.comparison.candidates:
        speeds = np.linspace(500, 1700, 4000)
        truth = float(np.interp(-10.0, [-true_rise(c.name, s) for s in speeds], speeds))
        assert c.low - 25 <= truth <= c.high + 25
    assert needed_words(sweep, there, 10.0)[0].startswith("For 10.0 K: Sedge takes ")
    far = needed_there(verdict, sweep, 8.5)
    assert far.refused == ("Bulrush",) and "Bulrush does not reach 8.5 K" in needed_words(sweep, far, 8.5)[-1]


def test_a_place_beyond_a_candidates_sweep_is_refused_by_name(verdict: StudyVerdict) -> None:
    sweep = sweep_of(verdict, SWEEP_AXES["sound"], verdict.outcome)
    there = read_there(verdict, sweep, 46.0)
    assert there.refused == ("Reed", "Bulrush") and there.comparison is None
    assert "Reed and Bulrush: not swept as far as that" in there_words(sweep, there)[-1]


def test_settings_that_another_beats_are_named(verdict: StudyVerdict) -> None:
    found = settings_of(sweep_of(verdict, SWEEP_AXES["sound"], verdict.outcome), 0.5)
    beaten = {(s.candidate, s.condition): s.beaten_by for s in found}
    assert all(by.startswith("Reed") for (n, _), by in beaten.items() if n == "Bulrush")
    assert not any(by for (n, _), by in beaten.items() if n == "Reed")
    assert beaten["Sedge", "fans 40 %"] == "Reed, fans 40 %" and beaten["Sedge", "fans 100 %"] == ""


def test_typed_levels_serve_as_a_meters_do(verdict: StudyVerdict) -> None:
    """Levels that stand in the results, wherever they come from, are what the sweep goes along."""
    sweep = sweep_of(verdict, SWEEP_AXES["sound"], verdict.outcome)
    louder = {
        i: replace(
            r, steps=tuple(replace(s, means={**s.means, "Sound": (s.means["Sound"][0] + 3.0, 0.0)}) for s in r.steps)
        )
        for i, r in verdict.results.items()
    }
    moved = sweep_of(
        replace(verdict, evidence=replace(verdict.evidence, results=louder)), SWEEP_AXES["sound"], verdict.outcome
    )
    assert moved.span == pytest.approx((sweep.span[0] + 3, sweep.span[1] + 3))


def test_what_was_left_out_or_not_swept_is_not_in_it(demo_notebook: Notebook) -> None:
    study = demo_notebook.study(next(s.id for s in demo_notebook.studies() if s.name == NAME))
    mount = study.live_candidates[0].live_mounts[0]
    edits.leave_out(demo_notebook, mount.id, "Sedge, round 1", "air in it")
    v = judge(demo_notebook, demo_notebook.study(study.id))
    sweep = sweep_of(v, SWEEP_AXES["fan"], v.outcome)
    assert str(mount.id) not in {s.mount.mount for s in sweep.swept} and len(sweep.swept) == 8
    planedits.set_plan(demo_notebook, study.id, "about loudness", outcome="sound")
    v = judge(demo_notebook, demo_notebook.study(study.id))
    there = read_there(v, sweep_of(v, SWEEP_AXES["fan"], v.outcome), 900.0)
    assert there.comparison is not None
    truth = true_level("Sedge", 900.0) - true_level("Reed", 900.0)
    assert there.comparison.pair("Sedge", "Reed").difference == pytest.approx(truth, abs=0.4)
    radiators = judge(demo_notebook, demo_notebook.study(demo_notebook.studies()[0].id))
    assert axes_told(radiators) == []
    with pytest.raises(CompareError, match="fewer than two candidates"):
        sweep_of(radiators, SWEEP_AXES["fan"], radiators.outcome)
