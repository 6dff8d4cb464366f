"""From notebook to verdict, held against the demo's known truth."""

from __future__ import annotations

from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace

import numpy as np
import pytest
from sqlalchemy import delete

from kuffin.core.base.leads import ToReading
from kuffin.core.base.worked import Worked
from kuffin.core.bench.outcomes import COOLER
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare import MountValue, compare
from kuffin.core.compare.pairwords import digits_for, mounts_more, number, pair_sentence
from kuffin.core.heat.heatpath import bottleneck, step
from kuffin.core.heat.normalise import SCHOOLS, as_read_school, default_school, schools_for
from kuffin.demo.scenario import BATCH, RADIATORS, REFERENCE_W, demo_runs, sample_factors
from kuffin.notebook import answering, channels, edits
from kuffin.notebook.entities import Mount, Reading, Run
from kuffin.notebook.store import Notebook
from kuffin.reading import keptresults
from kuffin.said.line import verdict_line
from kuffin.said.working import candidate_working, mount_working, pair_working
from kuffin.verdict.study import StudyVerdict, judge


def verdict(notebook: Notebook, school: str | None = None) -> StudyVerdict:
    if school is not None:
        edits.change_study(notebook, 1, "school", school=school)
    return judge(notebook, notebook.study(1))


def named(v: StudyVerdict, label: str) -> int:
    return next(r.mount_id for r in v.main.readings if r.label == label)


def cleaned(notebook: Notebook) -> StudyVerdict:
    """The demo after a person has dealt with the run with trapped air and the one stopped early."""
    v = verdict(notebook)
    edits.leave_out(notebook, named(v, "Bulrush, round 2"), "Bulrush, round 2", "trapped air")
    answering.accept(notebook, named(v, "Reed, round 3"), "Reed, round 3", ["not settled"], "known well enough")
    return verdict(notebook)


def test_readings_are_the_resistances_of_the_simulated_bench(demo_notebook: Notebook) -> None:
    v = verdict(demo_notebook)
    readings = {(r.candidate, r.round): r for r in v.main.readings}
    held = 0
    for run in demo_runs():
        reading = readings[run.candidate, run.round]
        truth = run.truth.radiator_k_w * REFERENCE_W
        assert reading.value == pytest.approx(truth, abs=0.25)
        held += abs((reading.value or 0) - truth) <= (reading.u95 or 0)
    assert held >= 11  # of 12 intervals of 95 %


def test_as_read_names_the_wrong_winner_and_the_verdict_does_not(demo_notebook: Notebook) -> None:
    v = cleaned(demo_notebook)
    really = {name: radiator.k_w * sample_factors()[name] for name, radiator in RADIATORS.items()}
    truth = sorted(really, key=lambda name: really[name])
    assert truth[0] == "Sedge"
    assert v.as_read is not None
    assert v.as_read.ranking()[0] == "Rush" == truth[-1]
    assert v.main.ranking() == truth
    found = v.main.comparison
    assert found is not None
    for pair in found.pairs:  # nothing is said that is not so
        true = (really[pair.a] - really[pair.b]) * (1000 / 900) ** 0.45 * REFERENCE_W
        if pair.verdict in {"a_lower", "b_lower"}:
            assert (true < 0) == (pair.verdict == "a_lower")
        assert pair.low - 0.1 <= true <= pair.high + 0.1
    assert found.pair("Sedge", "Reed").verdict == "unsettled"
    assert {found.pair("Sedge", "Rush").verdict, found.pair("Reed", "Rush").verdict} == {"a_lower"}


def test_the_two_spoilt_runs_are_noticed_and_no_other(demo_notebook: Notebook) -> None:
    v = verdict(demo_notebook)
    serious = {(m, f.kind) for m, found in v.findings.items() for f in found if f.serious}
    air, early = named(v, "Bulrush, round 2"), named(v, "Reed, round 3")
    assert serious == {(air, "flow off"), (air, "radiator side"), (air, "contact"), (early, "not settled")}
    assert "air in the loop" in verdict_line(v).step.hint
    assert verdict_line(v).step.mount_id == air
    after = cleaned(demo_notebook)
    assert after.open_findings() == []
    assert after.kept(early) and not v.kept(early)
    assert after.without_exclusions is not None
    assert after.without_exclusions.comparison is not None


def test_the_verdict_line_says_what_is_told_apart_and_what_comes_next(demo_notebook: Notebook) -> None:
    line = verdict_line(cleaned(demo_notebook))
    assert line.sentence.startswith("Sedge runs the coolant 2.3 K cooler than Rush (")
    assert "Sedge, Reed and Bulrush are not told apart yet." in line.sentence
    assert "The claim that Rush is at least 1 K cooler than Reed does not hold." in line.sentence
    assert line.sentence.endswith("Judged at 98.8 %, look 2 of 3.")
    assert line.step.label == "fit Sedge, Reed and Bulrush, round 4"
    assert "more mounts of each" in line.step.hint


def test_a_flat_but_noisy_trace_is_no_serious_doubt(demo_notebook: Notebook) -> None:
    """The die of a short run is where it will be; only its drift cannot be bounded, and that is what is said."""
    study = edits.add_study(demo_notebook, "Which block?", "block", ["Tern"])
    table = demo_runs()[0].table
    keep = table.times < 1300
    short = replace(
        table, times=table.times[keep], channels=[replace(c, values=c.values[keep]) for c in table.channels]
    )
    edits.add_log(demo_notebook, study, "Tern", short)
    v = judge(demo_notebook, demo_notebook.study(study))
    found = [f for each in v.findings.values() for f in each]
    assert [(f.kind, f.serious) for f in found] == [("drift", False)]
    assert v.open_findings() == []


def test_an_empty_study_and_one_mount_each_say_so(tmp_path: object, demo_notebook: Notebook) -> None:
    study = edits.add_study(demo_notebook, "Which paste?", "paste", ["Chalk", "Marl"])
    v = judge(demo_notebook, demo_notebook.study(study))
    assert verdict_line(v).sentence == "Nothing yet: no mount has a log."
    assert verdict_line(v).step.action == "add"
    runs = [r for r in demo_runs() if r.round == 1]
    edits.add_log(demo_notebook, study, "Chalk", runs[0].table)
    v = judge(demo_notebook, demo_notebook.study(study))
    assert "only one candidate" in verdict_line(v).sentence
    assert verdict_line(v).step.label == "mount Marl"
    edits.add_log(demo_notebook, study, "Marl", runs[1].table)
    v = judge(demo_notebook, demo_notebook.study(study))
    assert "one mount each" in verdict_line(v).sentence
    assert v.main.comparison is None


def test_all_mounts_left_out_is_said_not_thrown(demo_notebook: Notebook) -> None:
    for reading in verdict(demo_notebook).main.readings:
        edits.leave_out(demo_notebook, reading.mount_id, reading.label, "to see")
    v = verdict(demo_notebook)
    assert verdict_line(v).sentence == "Nothing may be said: no mount counts."
    assert v.main.comparison is None


def test_leaving_a_mount_out_reads_no_samples_again(demo_notebook: Notebook, monkeypatch: pytest.MonkeyPatch) -> None:
    v = verdict(demo_notebook)

    def forbidden(*_: object) -> None:
        raise AssertionError("samples were read again")

    monkeypatch.setattr(keptresults, "read_run", forbidden)
    edits.leave_out(demo_notebook, named(v, "Rush, round 1"), "Rush, round 1", "to see")
    assert verdict(demo_notebook).main.comparison is not None


def test_two_judgements_at_once_do_not_get_in_each_others_way(demo_notebook: Notebook) -> None:
    with demo_notebook.session() as session:
        session.execute(delete(Reading))
        session.commit()
    study = demo_notebook.study(1)
    with ThreadPoolExecutor(2) as pool:
        one, two = pool.map(lambda _: judge(demo_notebook, study), range(2))
    assert [r.value for r in one.main.readings] == [r.value for r in two.main.readings]


def test_a_window_by_hand_and_a_changed_role_are_heeded(demo_notebook: Notebook) -> None:
    v = verdict(demo_notebook)
    mount = named(v, "Sedge, round 1")
    run = next(r.runs[0] for r in v.main.readings if r.mount_id == mount)
    edits.set_window(demo_notebook, run, (1620.0, 1800.0))
    by_hand = next(r for r in verdict(demo_notebook).main.readings if r.mount_id == mount)
    before = next(r for r in v.main.readings if r.mount_id == mount)
    assert by_hand.value != before.value
    assert (by_hand.u95 or 0) > (before.u95 or 0)
    channels.set_roles(demo_notebook, run, {"Coolant in": None})
    channels.set_roles(demo_notebook, run, {"Coolant out": None})
    lost = next(r for r in verdict(demo_notebook).main.readings if r.mount_id == mount)
    assert lost.value is None
    assert "role “coolant”" in (lost.problem or "")


def test_swapped_probes_are_noticed(demo_notebook: Notebook) -> None:
    v = verdict(demo_notebook)
    run = v.main.readings[0].runs[0]
    channels.set_roles(demo_notebook, run, {"Air in": "coolant_in"})
    channels.set_roles(demo_notebook, run, {"Room": None})
    channels.set_roles(demo_notebook, run, {"Coolant in": "air_in"})
    found = verdict(demo_notebook).findings[v.main.readings[0].mount_id]
    assert any(f.kind == "swapped" and "that cannot be" in f.seen for f in found)


def test_each_trace_takes_the_coolant_at_the_blocks_inlet(demo_notebook: Notebook) -> None:
    with demo_notebook.session() as session:
        run = session.get_one(Run, 1)
        signals = keptresults.run_signals(demo_notebook, run.mount.candidate.study, run)
    assert {n: signals.names[n] for n in ("die", "coolant", "air", "power")} == {
        "die": "Die",
        "coolant": "Coolant in",
        "air": "Air in",
        "power": "Package power",
    }


@pytest.mark.parametrize(
    ("under_test", "default", "as_read"),
    [
        ("radiator", "coolant_over_air_per_watt", "coolant_as_read"),
        ("block", "die_over_coolant_per_watt", "die_as_read"),
        ("paste", "die_over_coolant_per_watt", "die_as_read"),
        ("coolant", "die_over_air_per_watt", "die_as_read"),
        ("set", "die_over_air_per_watt", "die_as_read"),
    ],
)
def test_the_usual_school_follows_from_what_is_under_test(under_test: str, default: str, as_read: str) -> None:
    assert default_school(under_test).key == default
    assert as_read_school(under_test).key == as_read
    assert default in [s.key for s in schools_for(under_test)]
    assert set(kind_under_test(under_test).traces) >= {
        s.trace for s in schools_for(under_test) if s.over and not s.whole
    }


def test_schools_show_their_values_as_people_read_them() -> None:
    def shown(key: str, symbol: str, value: float) -> float:
        return SCHOOLS[key].shown(Worked(name="Reading", symbol=symbol, value=value), 182.0, 22.0).value

    assert shown("coolant_rebased", "ΔT", 11.0) == 33.0
    assert shown("coolant_over_air_per_watt", "R", 0.06) == pytest.approx(10.92)
    assert shown("coolant_over_air", "ΔT", 11.0) == 11.0


def test_hand_worked_heat_path() -> None:
    """12 K at 200 W are 0.06 K/W; ±0.24 K and ±2 W are ±2 % and ±1 %, together ±2.24 %."""
    s = step("air", "coolant", 12.0, 0.24, 200.0, 2.0)
    assert s.resistance_k_w == pytest.approx(0.06)
    assert s.resistance_u95 == pytest.approx(0.06 * np.hypot(0.02, 0.01))
    die = step("coolant", "die", 25.0, 0.3, None)
    assert die.resistance_k_w is None
    assert bottleneck([s, die]) is die
    assert bottleneck([]) is None


def test_words_never_say_more_than_the_interval() -> None:
    found = compare(
        [
            MountValue(candidate=c, mount=str(i), value=level + 0.1 * (i % 3 - 1))
            for c, level in (("A", 10.0), ("B", 11.0), ("C", 13.4))
            for i in range(3)
        ],
        margin=0.5,
    )
    sentence = pair_sentence(found.pair("A", "B"), found, "K", COOLER)
    pair = found.pair("A", "B")
    assert (
        sentence
        == f"A is cooler than B by {number(-pair.high)} to {number(-pair.low)} K, more than the 0.5 K that matter."
    )
    real = replace(pair, verdict="same", difference=-0.3, se=0.05, q=2.0)
    assert "real but small 0.3 K" in pair_sentence(real, found, "K", COOLER)
    open_ = replace(pair, verdict="unsettled", difference=-0.1, se=0.15, q=2.0, mounts_needed=5)
    assert "not told apart" in pair_sentence(open_, found, "K")
    assert "two more mounts" in pair_sentence(open_, found, "K")


@pytest.mark.parametrize(("x", "digits", "text"), [(-0.25, 1, "−0.2"), (1.0, 2, "1.00")])
def test_numbers_have_a_true_minus(x: float, digits: int, text: str) -> None:
    assert number(x, digits) == text
    assert (digits_for(1.0), digits_for(0.05), digits_for(0.002)) == (1, 2, 3)
    assert mounts_more(3, None).startswith("more than 99")
    assert mounts_more(3, 4) == "about one more mount of each would settle it (50 % chance)"


def test_workings_hold_the_figures_they_explain(demo_notebook: Notebook) -> None:
    v = cleaned(demo_notebook)
    first = v.main.readings[0]
    text = mount_working(v, first).as_text()
    assert f"{number(first.value or 0, 2)} ± {number(first.u95 or 0, 2)} K" in text
    for expected in ("in loops of 96 s", "× 182 W", "Coolant in less Air in", "whole passes of 96 s"):
        assert expected in text
    found = v.main.comparison
    assert found is not None
    pair = found.pair("Sedge", "Reed")
    text = pair_working(v, v.main, "Sedge", "Reed").as_text()
    assert f"{number(pair.se, 3)} K" in text
    assert "For a chance of 80 %" in text
    working = candidate_working(v, v.main, "Bulrush")
    assert "trapped air" in working.as_text()
    assert {type(row.lead) for row in working.rows if row.lead is not None} == {ToReading}
    assert mount_working(v, replace(first, worked=None, problem="no run yet")).answer == "no reading"


def test_the_load_of_the_demo_is_found_as_a_loop(demo_notebook: Notebook) -> None:
    v = verdict(demo_notebook)
    for result in v.results.values():
        assert result.traces["coolant_over_air"].load.period_s == pytest.approx(BATCH.period_s, rel=0.01)


def test_a_candidate_that_is_added_months_later_joins_no_round(demo_notebook: Notebook) -> None:
    """Rounds are days as they were run: by their number alone, September's mounts took May's bench out of the difference."""
    v = cleaned(demo_notebook)
    late = [m for name, m in v.evidence.mounts if name == "Rush"]
    with demo_notebook.edit("x") as session:
        for mount in late:
            for run in session.get_one(Mount, mount.id).runs:
                run.started_at = f"2026-09{run.started_at[7:]}"
    v = verdict(demo_notebook)
    found = v.main.comparison
    assert found is not None and not v.blocks and found.rounds == 1
    assert v.evidence.round_apart is not None and v.evidence.round_apart[1] > 100
    assert "days apart: rounds are not taken out" in verdict_line(v).sentence
