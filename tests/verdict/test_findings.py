"""What is found in a study, answered, and told: on the demo's two studies, whose truth is known."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
import pytest

from kuffin.core.base.leads import ToSamples
from kuffin.core.findings import KINDS
from kuffin.demo.pastes import ASKEW, HEATER_W, LOOSE_PROBE, PASTES, paste_runs
from kuffin.demo.scenario import RADIATORS, REFERENCE_W, demo_runs, sample_factors
from kuffin.notebook import answering, edits, planedits
from kuffin.notebook.entities import Run
from kuffin.notebook.shelf import benches
from kuffin.notebook.store import Notebook
from kuffin.reading.furtherfigures import inside
from kuffin.said.figurewords import balance_working, budget_working, maximum_words, whole_working
from kuffin.said.line import verdict_line
from kuffin.said.sampleworking import samples_working
from kuffin.said.stairs import candidate_flights, flight_of
from kuffin.said.working import mount_working
from kuffin.verdict.budget import budget_of
from kuffin.verdict.study import StudyVerdict, judge

PASTE_STUDY = 2


def judged(notebook: Notebook, study: int = PASTE_STUDY) -> StudyVerdict:
    return judge(notebook, notebook.study(study))


def named(v: StudyVerdict, label: tuple[str, int]) -> int:
    return next(r.mount_id for r in v.main.readings if (r.candidate, r.round) == label)


def test_the_hidden_faults_of_the_paste_study_are_found_and_no_other(demo_notebook: Notebook) -> None:
    v = judged(demo_notebook)
    serious = {(o.mount_id, o.finding.kind) for o in v.open_findings()}
    askew, loose = named(v, ASKEW), named(v, LOOSE_PROBE)
    assert serious == {(askew, "contact"), (askew, "core spread"), (loose, "stuck")}
    stuck = next(f for f in v.findings[loose] if f.kind == "stuck")
    assert stuck.span_s is not None and stuck.span_s[0] == pytest.approx(1310, abs=3)
    contact = next(f for f in v.findings[askew] if f.kind == "contact")
    extra = 0.22 * PASTES["Marl"] * HEATER_W  # what the tilt did to the paste
    assert (contact.value or 0) - np.mean([x for _, x in contact.others]) == pytest.approx(extra, abs=0.9)
    assert "does not sit flat" in verdict_line(v).step.hint


def test_answers_are_kept_by_kind_and_what_comes_later_is_open_again(demo_notebook: Notebook) -> None:
    v = judged(demo_notebook)
    askew, loose = named(v, ASKEW), named(v, LOOSE_PROBE)
    answering.accept(demo_notebook, askew, "Marl, round 2", ["contact"], "seen on the print; kept to show it")
    v = judged(demo_notebook)
    assert [f.kind for f in v.unanswered(askew)] == ["core spread"] and not v.kept(askew)
    answering.accept(demo_notebook, askew, "Marl, round 2", ["core spread"], "the same")
    assert judged(demo_notebook).kept(askew)
    answering.withdraw(demo_notebook, askew, "Marl, round 2", ["contact"])
    assert [f.kind for f in judged(demo_notebook).unanswered(askew)] == ["contact"]
    new = answering.remount(demo_notebook, loose, "Loam, round 3", "the probe had come loose")
    v = judged(demo_notebook)
    mounts = {m.id: m for c in demo_notebook.study(PASTE_STUDY).live_candidates for m in c.live_mounts}
    assert mounts[new].round == LOOSE_PROBE[1] and mounts[new].candidate.name == LOOSE_PROBE[0]
    assert mounts[loose].left_out == "mounted again: the probe had come loose"
    assert {f.kind for f in v.findings[loose]} >= {"stuck"}  # the reason stays to be seen
    demo_notebook.undo()
    assert judged(demo_notebook).open_findings()


def test_left_out_and_answered_the_pastes_come_out_as_they_are(demo_notebook: Notebook) -> None:
    v = judged(demo_notebook)
    for label in (ASKEW, LOOSE_PROBE):
        edits.leave_out(demo_notebook, named(v, label), label[0], "spoilt")
    v = judged(demo_notebook)
    assert v.open_findings() == []
    assert v.main.ranking() == sorted(PASTES, key=lambda n: PASTES[n])
    found = v.main.comparison
    assert found is not None
    for pair in found.pairs:
        true = (PASTES[pair.a] - PASTES[pair.b]) * HEATER_W
        assert pair.low - 0.2 <= true <= pair.high + 0.2


def test_thresholds_can_be_set_and_are_heeded(demo_notebook: Notebook) -> None:
    planedits.set_plan(demo_notebook, PASTE_STUDY, "set a limit", thresholds={"spread_k": 9.0})
    v = judged(demo_notebook)
    assert {f.kind for f in v.findings[named(v, ASKEW)] if f.serious} == {"contact"}


def test_the_study_itself_is_looked_at_too(demo_notebook: Notebook) -> None:
    v = judged(demo_notebook, 1)
    assert {f.kind for f in v.of_study} == {"one sample"}
    study = edits.add_study(demo_notebook, "Which again?", "radiator", ["Reed", "Rush"])
    tables = {(r.candidate, r.round): r.table for r in demo_runs()}
    for name, number in (("Reed", 1), ("Rush", 1)):
        edits.add_log(demo_notebook, study, name, tables[name, number])
    kinds = {f.kind for f in judged(demo_notebook, study).of_study}
    assert {"few mounts", "one sample"} <= kinds <= set(KINDS)


def test_a_bench_that_moves_shows_in_its_baseline(demo_notebook: Notebook) -> None:
    study = edits.add_study(demo_notebook, "Does the bench stand?", "radiator", ["Reed", "Rush"], rounds=5)
    table = next(r.table for r in demo_runs() if r.candidate == "Reed" and r.round == 1)
    for i in range(5):
        warmer = [
            replace(c, values=c.values + 0.7 * i) if c.role in {"coolant_in", "coolant_out", "die", "hot_spot"} else c
            for c in table.channels
        ]
        moved = replace(table, start=f"2026-03-{4 + i:02d}T13:00:00", channels=warmer)
        edits.add_log(demo_notebook, study, "Reed", moved, round_number=i + 1)
    found = demo_notebook.study(study)
    edits.change_study(demo_notebook, study, "watch the bench", baseline_id=found.live_candidates[0].id)
    moved_finding = next(f for f in judged(demo_notebook, study).of_study if f.kind == "bench moved")
    assert moved_finding.value == pytest.approx(2.8, abs=0.3) and moved_finding.serious


def test_a_window_by_the_clock_is_taken_with_what_would_have_been_found_beside_it(demo_notebook: Notebook) -> None:
    study = demo_notebook.study(1)
    with demo_notebook.edit("a window by the clock") as session:
        from kuffin.notebook.entities import Protocol

        protocol = session.get_one(Protocol, study.protocol_id)
        protocol.steps = [
            {**s, "window_from_min": 27.0, "window_to_min": 30.0} if s["load"] else s for s in protocol.steps
        ]
    v = judged(demo_notebook, 1)
    run = demo_notebook.study(1).live_candidates[0].live_mounts[0].live_runs[0]
    result = v.results[run.id]
    assert result.window_by == "clock"
    detected = result.detected["coolant_over_air"]
    assert result.window_s == pytest.approx((240 + 27 * 60, 240 + 30 * 60), abs=3)
    assert detected.settled and detected.window.span_s != result.window_s
    assert [f.kind for f in result.findings] == ["cut cycles"]  # 1.9 passes, in every mount alike
    assert not result.findings[0].serious
    edits.set_window(demo_notebook, run.id, (1500.0, 1900.0))  # a person's own goes before it
    assert judged(demo_notebook, 1).results[run.id].window_by == "hand"


# --- from the inside -------------------------------------------------------------------------------------------------


def of(notebook: Notebook, label: tuple[str, int], study: int = 1) -> Run:
    return next(
        m.live_runs[0]
        for c in notebook.study(study).live_candidates
        for m in c.live_mounts
        if (c.name, m.round) == label
    )


def test_the_run_stopped_early_has_a_whole_trace_reading_near_its_truth(demo_notebook: Notebook) -> None:
    run = of(demo_notebook, ("Reed", 3))
    fit = inside(demo_notebook, demo_notebook.study(1), run).whole["coolant_over_air"]
    truth = next(r.truth.radiator_k_w for r in demo_runs() if (r.candidate, r.round) == ("Reed", 3))
    assert abs(fit.resistance_k_w - truth) <= fit.resistance_u95
    text = whole_working("coolant_over_air", fit, REFERENCE_W).as_text()
    assert f"{fit.resistance_k_w:.4f}" in text and "C·dT/dt" in text


def test_the_whole_trace_is_a_school_of_its_own(demo_notebook: Notebook) -> None:
    v = judged(demo_notebook, 1)
    under = v.schools["coolant_over_air_whole"]
    truth = {(r.candidate, r.round): r.truth.radiator_k_w * REFERENCE_W for r in demo_runs()}
    held = [abs((r.value or 0) - truth[r.candidate, r.round]) <= (r.u95 or 0) for r in under.readings]
    assert sum(held) >= 11  # of 12 intervals of 95 %
    early = next(r for r in under.readings if (r.candidate, r.round) == ("Reed", 3))
    assert early.settled and under.comparison is not None
    text = mount_working(v, early, under.outcome).as_text()
    assert "C·dT/dt" in text and "no window and no waiting" in text
    pastes = judged(demo_notebook)
    assert {"die_over_coolant_whole", "die_over_air_whole"} <= set(pastes.schools)


def test_heat_balance_extremes_and_boost_of_a_sound_run(demo_notebook: Notebook) -> None:
    seen = inside(demo_notebook, demo_notebook.study(1), of(demo_notebook, ("Sedge", 1)))
    assert seen.balance is not None
    assert abs(seen.balance.closure - 1) < seen.balance.closure_u95
    text = balance_working(seen).as_text()
    assert "of 20.6 % propylene glycol by mass" in text and "ρ·c_p·V̇" in text and f"{seen.balance.closure:.3f}" in text
    assert seen.rest_k == pytest.approx(0, abs=0.2)
    assert seen.boost is not None and seen.boost.steps[0].to_mhz == 4675  # the bench loses 5 MHz a kelvin above 58 °C
    assert seen.throttling is None
    die = seen.extremes["Die"]
    assert die.highest > die.one_percent > die.mean
    assert "rank by the mean" in maximum_words("Die", die, "°C")
    assert {i.name for i in seen.idle} >= {"Air in", "Coolant in", "Package power"}


def test_the_budget_says_what_cancels_and_which_instrument_would_matter(demo_notebook: Notebook) -> None:
    v = judged(demo_notebook, 1)
    reading = next(r for r in v.main.readings if (r.candidate, r.round) == ("Sedge", 1))
    budget = budget_of(v, reading, v.results[reading.runs[0]], benches(demo_notebook)[0])
    assert budget is not None
    by_name = {s.name: s for s in budget.sources}
    offset = by_name["Coolant in: offset"]
    # one step of 0.1 K over √3, carried to the study's power
    power = v.results[reading.runs[0]].mean_of("power") or 1.0
    assert offset.contribution == pytest.approx(0.1 / np.sqrt(3) * REFERENCE_W / power, rel=1e-6)
    assert next(s for s in budget.compared if s.name == offset.name).contribution == 0
    assert budget.absolute.u == pytest.approx(np.sqrt(sum(s.contribution**2 for s in budget.sources)))
    assert "Package power" in budget.unknown and "More mounts would" in budget.advice
    assert "Welch" in budget_working(budget, "x").as_text()


def test_a_reading_is_followed_down_to_its_samples_and_instruments(demo_notebook: Notebook) -> None:
    v = judged(demo_notebook, 1)
    reading = next(r for r in v.main.readings if (r.candidate, r.round) == ("Sedge", 1))
    first = mount_working(v, reading)
    lead = next(x.to for x in first.links if isinstance(x.to, ToSamples))
    run = of(demo_notebook, ("Sedge", 1))
    assert lead.run == run.id
    study, result = demo_notebook.study(1), v.results[run.id]
    found = samples_working(demo_notebook, study, run, result, v.school, benches(demo_notebook)[0])
    rows = [[float(x) for x in row.split()] for row in found.appendix.splitlines()[1:]]
    trace = result.traces[v.school.trace]
    assert rows[0][0] >= trace.window.span_s[0] and rows[-1][0] <= trace.window.span_s[1]
    means = np.mean(rows, axis=0)
    text = found.as_text()
    assert f"{means[1]:.3f} °C − {means[2]:.3f} °C = {means[1] - means[2]:.3f} K" in text
    assert "Instrument: probe box, ± (0.1 % of reading + 1 step of 0.1), calibrated 2026-02-20" in text
    assert "column “Coolant in” of sedge_round1.csv" in text


def test_staircases_of_a_run_and_of_the_candidates(demo_notebook: Notebook) -> None:
    v = judged(demo_notebook, 1)
    run = of(demo_notebook, ("Rush", 1))
    in_k, per_watt = (flight_of(v.results[run.id], "Rush, round 1", w) for w in (False, True))
    assert in_k is not None and per_watt is not None
    truth = next(r.truth for r in demo_runs() if (r.candidate, r.round) == ("Rush", 1))
    assert per_watt.steps[0].height == pytest.approx(truth.radiator_k_w, abs=0.002)
    assert [s.name for s in in_k.side] == ["hot spot"] and in_k.side[0].height > in_k.treads[-1].height
    side_by_side = candidate_flights(v, True)
    assert [f.label for f in side_by_side] == list(v.candidates)
    really = {n: r.k_w * sample_factors()[n] * (1000 / 900) ** 0.45 for n, r in RADIATORS.items()}
    for f in side_by_side:
        assert abs(f.steps[0].height - really[f.label]) <= 1.5 * f.steps[0].u95 + 0.001
    assert flight_of(None, "", True) is None


def test_four_faces_of_a_heater_count_as_their_mean(demo_notebook: Notebook) -> None:
    name, number, table = paste_runs()[0]
    v = judged(demo_notebook)
    run = of(demo_notebook, (name, number), PASTE_STUDY)
    assert v.results[run.id].names["die"] == "Face 1, Face 2, Face 3, Face 4"
    assert v.results[run.id].figures["core_spread"] == pytest.approx(0.008 * HEATER_W, abs=0.5)
    assert sum(c.role == "die" for c in table.channels) == 4
