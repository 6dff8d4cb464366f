"""From a plan to what there is to do: configurations, learnt scatter and durations, the record that comes out."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace

import numpy as np
import pytest

from kuffin.core.base.errors import CompareError
from kuffin.core.compare import MountValue, compare
from kuffin.core.compare.claims import Claimed, guess_claim, judge_claim, read_claim
from kuffin.core.prepare.fill import tube_volume_ml
from kuffin.demo.scenario import demo_runs
from kuffin.notebook import planedits, shelf
from kuffin.notebook.store import Notebook
from kuffin.reading.configurations import configuration, loop_of, metals_of, parts_of, pressures_of
from kuffin.said.preparation import preparation_of, preparation_rows, preparation_working
from kuffin.verdict.fairness import unfair
from kuffin.verdict.nextmount import change_to
from kuffin.verdict.outcomes import scope
from kuffin.verdict.planbasis import (
    durations,
    jobs_of,
    judged_studies,
    laid_plan,
    next_mount,
    order_of,
    scatter_of,
    steps_of,
)
from kuffin.verdict.sheets import leak_test
from kuffin.verdict.study import judge


class Bench:
    """The demo with its shelf and bench."""

    def __init__(self, notebook: Notebook) -> None:
        self.notebook = notebook
        self.study = notebook.study(1)
        self.bench = shelf.benches(notebook)[0]
        self.parts = shelf.parts(notebook)

    def candidate(self, name: str):  # type: ignore[no-untyped-def]
        return next(c for c in self.notebook.study(1).live_candidates if c.name == name)


@pytest.fixture
def demo(demo_notebook: Notebook) -> Bench:
    return Bench(demo_notebook)


def test_a_candidate_stands_in_the_loop_where_its_kind_stands(demo: Bench) -> None:
    held = {h.name: h for h in loop_of(demo.study, demo.candidate("Rush"), demo.bench, demo.parts)}
    assert "Reed" not in held  # the bench's radiator makes room for the one under test
    assert held["Rush"].volume_ml == 150 and not held["Rush"].guessed
    assert held["Tarn"].guessed
    assert held["clear tube, 0.42 m"].volume_ml == pytest.approx(tube_volume_ml(10, 420))
    assert "Rush" in pressures_of(demo.study, demo.candidate("Rush"), demo.bench, demo.parts)
    metals = metals_of(demo.study, demo.candidate("Rush"), demo.bench, demo.parts)
    assert metals["Rush"] == ["copper", "brass"] and metals["Dipper"] == ["stainless steel"]


def test_a_candidates_own_settings_go_before_the_benchs(demo: Bench) -> None:
    marl = next(p for p in demo.parts if p.name == "Marl")
    planedits.configure(demo.notebook, demo.candidate("Sedge").id, "paste", marl.id)
    planedits.configure(demo.notebook, demo.candidate("Sedge").id, "fan_percent", 70.0)
    planedits.configure(demo.notebook, demo.candidate("Sedge").id, "screws", "M3 × 30 with one washer")
    study = demo.notebook.study(1)
    sedge, rush = demo.candidate("Sedge"), demo.candidate("Rush")
    assert parts_of(study, sedge, demo.bench, demo.parts)["paste"].name == "Marl"
    assert parts_of(study, rush, demo.bench, demo.parts)["paste"].name == "Chalk"
    assert configuration(study, sedge, demo.bench, demo.parts)["fan_percent"] == 70
    assert configuration(study, rush, demo.bench, demo.parts)["fan_percent"] == 55
    found = [d.key for d in unfair(study, demo.bench, demo.parts, None)]
    assert {"paste", "fan_percent", "screws"} <= set(found) and "radiator" not in found
    planned = next(m for m in order_of(study) if m.candidate.name == "Sedge" and not m.live_runs)
    fit = next(t for t in change_to(study, planned, demo.bench, demo.parts).tasks if t.key == "put on")
    assert "screws M3 × 30 with one washer" in fit.text


def test_what_the_runs_had_unlike_is_named_but_taken_out(demo: Bench) -> None:
    found = {d.key: d for d in unfair(demo.study, demo.bench, demo.parts, judge(demo.notebook, demo.study).evidence)}
    assert found["measured power"].strength == 0 and "takes that out" in found["measured power"].effect
    assert found["measured air_in"].strength == 0


def test_scatter_is_pooled_over_studies_or_a_guess_that_says_so(demo: Bench) -> None:
    verdicts = judged_studies(demo.notebook)
    found = scatter_of(demo.study, verdicts)
    spreads = [v.main.comparison.scatter for v in verdicts if v.under_test == "radiator" and v.main.comparison]
    assert len(spreads) == 2 and not found.guessed
    df = sum(s[1] for s in spreads)
    pooled = np.sqrt(sum(sd**2 * n for sd, n in spreads) / df)
    assert (found.sd_k, found.df) == pytest.approx((pooled, df))
    twice = scatter_of(demo.study, [*verdicts, *verdicts])
    assert twice.sd_k == pytest.approx(found.sd_k) and twice.df == 2 * found.df
    # a study of two, which keep their own spreads, knows its scatter too
    pair = compare(
        [MountValue(candidate=c, mount=f"{c}{i}", value=v) for c in "AB" for i, v in enumerate((1.0, 2.0, 4.0))]
    )
    first = next(v for v in verdicts if v.under_test == "radiator")
    of_two = replace(first, schools={first.school.key: replace(first.temperature, comparison=pair)})
    assert pair.sd is None
    assert scatter_of(demo.study, [of_two]).sd_k == pytest.approx(np.std([1.0, 2.0, 4.0], ddof=1))
    assert scatter_of(demo.study, [of_two]).df == 4
    guess = scatter_of(demo.study, [])
    assert guess.guessed and guess.sd_k == 0.4 and "guess" in guess.where


def test_durations_are_learnt_from_what_was_done(demo: Bench) -> None:
    steps = steps_of(None)
    takes = durations(demo.study, steps, judged_studies(demo.notebook))
    spans = [
        (dt.datetime.fromisoformat(m.ready_at) - dt.datetime.fromisoformat(m.begun_at)).total_seconds() / 60
        for m in order_of(demo.study)
        if m.begun_at and m.ready_at
    ]
    assert takes.change_min == pytest.approx(float(np.median(spans))) and len(spans) == 3
    truth = float(np.median([run.truth.tau_s for run in demo_runs()]))
    assert takes.tau_s == pytest.approx(truth, rel=0.1)
    unlearnt = durations(demo.study, steps, [])
    assert "until a run tells" in unlearnt.run_from


def test_the_plan_follows_what_happened(demo: Bench) -> None:
    takes = durations(demo.study, steps_of(None), [])
    jobs = jobs_of(demo.study, demo.bench, demo.parts, takes, steps_of(None))
    assert len(jobs) == 4 and all([p for p, _ in j.phases] == ["change over", "run"] for j in jobs)
    monday = dt.datetime(2026, 3, 9, 9, 0)
    whole = laid_plan(demo.study, jobs, monday)
    late = laid_plan(demo.study, jobs, monday + dt.timedelta(hours=5))
    assert whole.end is not None and late.end is not None and late.end > whole.end
    assert whole.laid[0].begin >= monday and late.laid[0].begin >= monday + dt.timedelta(hours=5)
    coming = next_mount(demo.study)
    assert coming is not None and jobs[0].key == coming.id


def test_the_record_of_a_mount_holds_all_that_was_ticked_noted_and_measured(demo: Bench) -> None:
    records = [p for m in order_of(demo.study) if (p := preparation_of(demo.notebook, m)) is not None]
    assert len(records) == 4  # the first of each afternoon, and the hasty one
    careful = records[0]
    assert [s.done_at for s in careful.steps] == sorted(s.done_at for s in careful.steps if s.done_at)
    hold = leak_test(careful.sheets["leak"])
    assert hold.verdict == "pass" and abs(hold.loss_kpa) < hold.smallest_kpa
    words = preparation_working(careful).as_text()
    assert "Leak test" in words and careful.steps[0].text in words
    rows = preparation_rows(records)
    assert len(rows) == sum(len(p.steps) + len(p.sheets) + bool(p.note) for p in records)
    planned = next_mount(demo.study)
    assert planned is not None and preparation_of(demo.notebook, planned) is None


@pytest.mark.parametrize(
    ("said", "amount", "against"),
    [
        ("8 K cooler than Rush", Claimed(low=8.0), "Rush"),
        ("up to 3,5 °C below the old Reed", Claimed(way="up to", low=3.5), "Reed"),
        ("runs about 2 degrees cooler", Claimed(way="about", low=2.0), None),
        ("20 % better than Reed Two", Claimed(low=20.0, percent=True), "Reed Two"),
        ("the coolest there is", None, None),
        ("0 K", None, None),
        ("5 kg lighter than Sedge", None, "Sedge"),
    ],
)
def test_a_makers_words_are_read_as_a_guess(said: str, amount: Claimed | None, against: str | None) -> None:
    assert guess_claim(said, ["Reed", "Rush", "Reed Two", "Sedge"]) == (amount, against)


@pytest.mark.parametrize(
    ("written", "found", "verdict"),
    [
        ("2 K", [(2.1, 3.0)], "borne out"),
        ("at least 2", [(0.2, 1.9)], "refuted"),
        ("≥ 2 K", [(1.0, 3.0)], "open"),
        ("1", [(-2.0, -0.5)], "refuted"),
        ("at most 2", [(2.1, 3.0)], "refuted"),
        ("at most 2", [(1.0, 2.0)], "borne out"),
        ("about 10", [(9.2, 10.8)], "borne out"),
        ("about 10", [(11.1, 12.0)], "refuted"),
        ("~10", [(8.0, 10.0)], "open"),
        ("2 to 4", [(2.2, 3.9)], "borne out"),
        ("2-4 K", [(4.1, 5.0)], "refuted"),
        ("2 to 4", [(1.0, 3.0)], "open"),
        ("up to 8", [(0.0, 1.0), (2.0, 7.9)], "refuted"),
        ("up to 8", [(0.0, 1.0), (6.0, 8.4)], "open"),
        ("up to 8", [(0.0, 1.0), (8.0, 9.0)], "borne out"),
    ],
)
def test_a_claim_is_judged_by_the_whole_interval(written: str, found: list[tuple[float, float]], verdict: str) -> None:
    assert judge_claim(read_claim(written, "K"), found) == verdict


@pytest.mark.parametrize(
    ("written", "says"),
    [("much", "claims nothing"), ("3 L/h", "is not the unit here"), ("4 to 2", "smaller end"), ("0 K", "above 0")],
)
def test_what_claims_nothing_is_said(written: str, says: str) -> None:
    with pytest.raises(CompareError, match=says):
        read_claim(written, "K")


def test_two_samples_are_said_to_be_two(demo: Bench) -> None:
    rush = demo.candidate("Rush")
    second = shelf.add_sample(demo.notebook, rush.part_id, "2")
    assert scope(judge(demo.notebook, demo.notebook.study(1)).main.comparison).startswith("these samples, one of each")  # type: ignore[arg-type]
    planedits.set_sample(demo.notebook, rush.live_mounts[0].id, second)
    said = scope(judge(demo.notebook, demo.notebook.study(1)).main.comparison)  # type: ignore[arg-type]
    assert "these samples (2 of Rush, one of each other)" in said and "may differ" in said
