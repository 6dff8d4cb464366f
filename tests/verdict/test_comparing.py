"""What Compare says of the demo's blocks, held against the bench's truth; and of studies that go wrong."""

from __future__ import annotations

import shutil
from collections.abc import Iterator
from dataclasses import replace
from pathlib import Path
from typing import Any

import numpy as np
import pytest

from kuffin.core.compare.claims import Claimed
from kuffin.core.compare.linking import through_baseline
from kuffin.core.heat.normalise import School
from kuffin.demo import blocks
from kuffin.demo.blocks import BLOCKS, MOVED_K_W, POWERS_W, SAMPLES
from kuffin.demo.scenario import REFERENCE_W
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Candidate, Mount, Study
from kuffin.notebook.shelf import bench_of, change_part, parts
from kuffin.notebook.store import Notebook
from kuffin.said.line import verdict_line
from kuffin.said.sentences import paragraphs
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, built
from kuffin.verdict.across import Judged, known_of, linked, why_not
from kuffin.verdict.baseline import with_and_without
from kuffin.verdict.chosenoutcomes import grid_outcomes
from kuffin.verdict.evidence import mounts_of
from kuffin.verdict.grid import Cell, axes_of, cell_result, family_confidence, row_label
from kuffin.verdict.looks import look_words, outlook
from kuffin.verdict.scatter import buys_words, scatter_of
from kuffin.verdict.schoolflips import both_ways, side_by_side, summary
from kuffin.verdict.study import StudyVerdict, judge
from kuffin.verdict.tradeoffs import grid_said, less_than_the_verdict
from kuffin.verdict.value import noticed, value_of, worth_sentence


def study_named(notebook: Notebook, part: str) -> Study:
    return notebook.study(next(s.id for s in notebook.studies() if part in s.name))


@pytest.fixture
def study(demo_notebook: Notebook) -> Study:
    return study_named(demo_notebook, "Blocks")


@pytest.fixture
def verdict(demo_notebook: Notebook, study: Study) -> StudyVerdict:
    return judge(demo_notebook, study)


def again(notebook: Notebook) -> tuple[Study, StudyVerdict]:
    study = study_named(notebook, "Blocks")
    return study, judge(notebook, study)


def true_k(name: str, power_w: float) -> float:
    """Die over coolant of a block but for the paste's scatter, K: its paste, its base, and the water's film at its flow."""
    own = float(np.mean(list(SAMPLES.get(name, {"1": 0.0}).values())))
    plan = RunPlan(
        radiator=Radiator(name="Sedge", k_w=0.0566),
        block=Block(name=name, r0_k_w=BLOCKS[name].r0_k_w + own, paste_k_w=0.082),
        load=LoadPlan(name="x", power_w=power_w),
        room=None,  # type: ignore[arg-type]
        start=None,  # type: ignore[arg-type]
    )
    loop, _ = built(plan, Pump(), plan.fan_rpm, plan.pump_speed)
    return power_w * (loop.r_die + loop.r_block)


class TestConditions:
    def test_each_power_is_judged_by_itself_and_holds_the_truth(self, study: Study, verdict: StudyVerdict) -> None:
        axes = axes_of(verdict)
        assert [label for _, label in axes.conditions] == ["120 W", "180 W", "240 W"]
        assert [row_label(o) for o in axes.outcomes] == [
            *("die", "hot spot", "regulators"),
            *("clock held", "power of the part", "flow", "die over coolant at idle"),
        ]
        confidence, said = family_confidence(verdict, axes)
        assert confidence == pytest.approx(1 - (1 - verdict.looks.confidence) / 19)  # type: ignore[union-attr]
        assert "all 19 comparisons together" in said
        for power in POWERS_W:
            result = cell_result(verdict, Cell(f"load {power:g} W", "die_over_coolant_per_watt"), confidence)
            assert result.comparison is not None
            for pair in result.comparison.pairs:
                assert pair.low <= true_k(pair.a, power) - true_k(pair.b, power) <= pair.high
        regulators = cell_result(verdict, Cell("load 180 W", "regulator_over_coolant_per_watt"), confidence)
        assert regulators.comparison is not None
        pair = regulators.comparison.pair("Dunlin", "Plover")
        truth = 180 * (BLOCKS[pair.a].regulator_k_w - BLOCKS[pair.b].regulator_k_w)
        assert pair.low <= truth <= pair.high

    def test_the_trade_off_is_named(self, study: Study, verdict: StudyVerdict) -> None:
        axes = axes_of(verdict)
        confidence, _ = family_confidence(verdict, axes)
        results = {c: cell_result(verdict, c, confidence) for c in axes.cells}
        said = "\n".join((*grid_said(axes, results).first, *grid_said(axes, results).rest))
        assert "On the regulators Dunlin is cooler than every other in all three conditions" in said
        assert (
            "A trade-off: Plover is among the coolest on the die and hot spot, but among the warmest on the regulators"
            in said
        )

    def test_where_the_grid_tells_less_than_the_verdict_it_says_why(self, demo_notebook: Notebook) -> None:
        every = judge(demo_notebook, demo_notebook.study(1)).evidence.mounts
        (bad,) = (m for name, m in every if (name, m.round) == ("Bulrush", 2))
        edits.leave_out(demo_notebook, bad.id, "Bulrush, round 2", "air in the loop")
        v = judge(demo_notebook, demo_notebook.study(1))  # Sedge is cooler than Rush, by itself
        axes = axes_of(v)
        own = Cell(v.condition, v.outcome.key)
        strict = cell_result(v, own, family_confidence(v, axes)[0])
        said = less_than_the_verdict(v.main, strict)
        assert v.main.comparison is not None and strict.comparison is not None
        assert f"by itself, at {100 * v.main.comparison.confidence:.4g} %" in said
        assert f"is judged at {100 * strict.comparison.confidence:.4g} %" in said
        assert less_than_the_verdict(v.main, cell_result(v, own, v.main.comparison.confidence)) == ""

    @pytest.mark.parametrize("school", ["die_over_coolant_whole", "die_over_air", "die_as_read", "die_rebased"])
    def test_the_grid_stands_under_every_school(self, demo_notebook: Notebook, study: Study, school: str) -> None:
        found, v = again(demo_notebook)
        found.school = school  # as it would be chosen; the runs' results are those that are kept
        outcomes = grid_outcomes(v.evidence)
        assert outcomes[0].key == school and outcomes[-1].key == "idle_die"
        parts = [o.part for o in outcomes if isinstance(o, School)]
        assert parts == (["die"] if school.endswith("whole") else ["die", "hot_spot", "regulator"])

    def test_a_family_of_its_own_for_each_cell_is_said_to_cost(self, demo_notebook: Notebook, study: Study) -> None:
        planedits.set_plan(demo_notebook, study.id, "each", family="each")
        study, v = again(demo_notebook)
        confidence, said = family_confidence(v, axes_of(v))
        assert confidence == v.looks.confidence  # type: ignore[union-attr]
        assert "of twenty such cells one says something wrong" in said

    def test_another_condition_may_be_the_main_one(self, demo_notebook: Notebook, study: Study) -> None:
        plover = next(c for c in study.live_candidates if c.name == "Plover")
        edits.change_candidates(demo_notebook, study.id, [(plover.id, plover.name)])  # one candidate's runs are enough
        planedits.set_plan(demo_notebook, study.id, "120 W", condition="load 120 W")
        _, v = again(demo_notebook)
        result = next(iter(v.results.values()))
        assert result.condition == "load 120 W"
        assert result.mean_of("power") == pytest.approx(120, rel=0.02)
        assert {s.condition for s in result.steps} == {f"load {p:g} W" for p in POWERS_W}

    def test_a_run_without_the_main_step_says_so_and_does_not_count_there(
        self, demo_notebook: Notebook, study: Study
    ) -> None:
        """A run that was ended after its second power."""
        run = next(r for r in blocks.block_runs() if r.candidate == "Knot")
        keep = run.table.times < 2200
        short = replace(
            run.table,
            times=run.table.times[keep],
            channels=[replace(c, values=c.values[keep]) for c in run.table.channels],
        )
        edits.add_log(demo_notebook, study.id, "Knot", short, round_number=5)
        study, v = again(demo_notebook)
        reading = next(r for r in v.main.readings if (r.candidate, r.round) == ("Knot", 5))
        assert reading.value is None and "do not hold “load 240 W”" in (reading.problem or "")
        told = [f for f in v.findings[reading.mount_id] if f.kind == "steps"]
        assert told and told[0].serious and "load 240 W" in told[0].sentence
        assert v.main.comparison is not None and v.main.comparison.candidate("Knot").mounts == 4
        under = cell_result(v, Cell("load 120 W", "die"), 0.95)
        assert under.comparison is not None and under.comparison.candidate("Knot").mounts == 5


class TestSamplesAndScatter:
    def test_a_samples_mean_is_as_sure_as_the_verdict_has_its_candidate(self, demo_notebook: Notebook) -> None:
        """Where each candidate keeps its own spread, and where one is shared: by Student's t, as three mounts are few."""
        for number in (1, 5):
            v = judge(demo_notebook, demo_notebook.study(number))
            found, scatter = v.main.comparison, scatter_of(v)
            assert found is not None and found.own_spreads and scatter is not None
            for line in scatter.samples:
                c = found.candidate(line.candidate)
                assert line.mean.u95 == pytest.approx(c.t * c.se)
        v = judge(demo_notebook, demo_notebook.study(6))
        found, scatter = v.main.comparison, scatter_of(v)
        assert found is not None and found.moderation is not None and scatter is not None
        for line in scatter.samples:
            c = found.candidate(line.candidate)
            assert line.mean.u95 == pytest.approx(c.t * c.se, rel=0.25)  # by REML there, with days and rounds taken out

    def test_one_sample_of_most_keeps_the_verdict_to_these_samples(
        self, demo_notebook: Notebook, study: Study, verdict: StudyVerdict
    ) -> None:
        assert "about these samples (2 of Plover" in verdict.main.scope_words
        found = scatter_of(verdict)
        assert found is not None
        assert "one more sample of each buys more than three more mounts" in buys_words(found)
        assert {s.label for s in found.samples if s.candidate == "Plover"} == {"1", "2"}
        assert (found.scatter.sd("round") or 0) > (found.scatter.sd("mount") or 0)  # the bench moved
        planedits.set_plan(demo_notebook, study.id, "products", scope="products")
        _, v = again(demo_notebook)
        narrow, wide = verdict.main.comparison, v.main.comparison
        assert narrow is not None and wide is not None
        assert "sample" in dict(wide.components) and "these products" in v.main.scope_words
        # one degree of freedom between samples: as products nothing is told apart
        assert all(p.verdict == "unsettled" for p in wide.pairs)

    def test_products_with_two_samples_each_are_judged_as_products(self, demo_notebook: Notebook, study: Study) -> None:
        rng = np.random.default_rng(3)
        with demo_notebook.edit("spread the samples") as session:
            from kuffin.notebook.entities import Sample

            for c in session.query(Candidate).filter(Candidate.study_id == study.id):
                if len(c.part.live_samples) < 2:
                    session.add(Sample(part_id=c.part_id, label="2"))
            session.flush()
            for c in session.query(Candidate).filter(Candidate.study_id == study.id):
                session.refresh(c.part)
                for i, m in enumerate(c.mounts):
                    m.sample_id = c.part.live_samples[i % 2].id
        del rng
        _, v = again(demo_notebook)
        assert "these products, as far as 2 samples of each tell" in v.main.scope_words


class TestClaimsAndWords:
    def test_the_claim_is_refuted_and_its_interval_holds_the_truth(self, verdict: StudyVerdict) -> None:
        (claim,) = verdict.claims
        truth = true_k("Tern", 240) - true_k("Plover", 240)
        assert claim.judged == "refuted"
        assert claim.found is not None and claim.found[0] <= truth <= claim.found[2] < claim.amount.low
        assert "241 to 242 W" in claim.tested and claim.made == "on its box, at 250 W"
        said = dict(paragraphs(verdict))[f"Claim: {claim.claimed}"]
        assert said.startswith("Oxbow Works says (on its box, at 250 W) that Plover is at least 3 K cooler than Tern.")
        assert "even the best case falls short of 3 K" in said

    @pytest.mark.parametrize(("kelvins", "judged"), [(0.4, "borne out"), (1.7, "open"), (5.0, "refuted")])
    def test_claims_follow_the_interval(
        self, demo_notebook: Notebook, study: Study, kelvins: float, judged: str
    ) -> None:
        planedits.change_claim(demo_notebook, study.live_claims[0].id, amount=kelvins)
        _, v = again(demo_notebook)
        assert v.claims[0].judged == judged

    @pytest.mark.parametrize(
        ("outcome", "against", "claimed", "judged", "said"),
        [
            ("price", "Plover", Claimed(low=60.0), "borne out", "We found it 66.0 EUR cheaper"),
            ("price", "Plover", Claimed(low=50.0, percent=True), "borne out", "We found it 55.9 % cheaper"),
            ("price", "", Claimed(way="at most", low=50.0), "refuted", "We found 52.0 EUR"),
            ("weight", "Plover", Claimed(low=150.0), "open", "We found it 149.0 to 151.0 g lighter"),
            ("weight", "Tern", Claimed(low=1.0), "gone", "Tern has no weight on the shelf; fill it in there"),
        ],
    )
    def test_claims_of_price_and_weight_are_held_against_the_shelf(
        self,
        demo_notebook: Notebook,
        study: Study,
        outcome: str,
        against: str,
        claimed: Claimed,
        judged: str,
        said: str,
    ) -> None:
        ids = {c.name: c.id for c in study.live_candidates}
        part = {c.name: c.part_id for c in study.live_candidates}
        for name, grams in (("Knot", 310.0), ("Plover", 460.0)):
            change_part(demo_notebook, part[name], "weigh", fields={"weight_g": grams})
        planedits.add_claim(demo_notebook, study.id, ids["Knot"], ids.get(against), claimed, outcome=outcome)
        _, v = again(demo_notebook)
        found = v.claims[-1]
        words = dict(paragraphs(v))[f"Claim: {found.claimed}"]
        assert found.judged == judged and said in words, words
        assert "Tested at" not in words

    def test_a_claim_about_a_candidate_that_is_gone_says_so(self, demo_notebook: Notebook, study: Study) -> None:
        gone = next(c for c in study.live_candidates if c.name == "Plover")
        edits.to_bin(demo_notebook, Candidate, gone.id, "Plover")
        _, v = again(demo_notebook)
        assert [(c.judged, "no longer in this study" in c.why_not) for c in v.claims] in ([("gone", True)], [])
        assert verdict_line(v).sentence

    def test_the_line_says_winner_tie_claim_and_bench(self, verdict: StudyVerdict) -> None:
        line = verdict_line(verdict)
        assert line.sentence.startswith("Plover keeps the die cooler than Dunlin (")
        assert "Dunlin, Knot and Tern are the same within 1 K." in line.sentence
        assert "The claim that Plover is at least 3 K cooler than Tern does not hold." in line.sentence
        assert "between day 2 and day 3 (taken out with the rounds)." in line.sentence
        assert "it is enough" in line.step.hint
        for a, b in (("Dunlin", "Knot"), ("Knot", "Tern")):
            assert abs(true_k(a, 240) - true_k(b, 240)) < 1.0

    def test_paragraphs_never_say_more_than_the_interval(self, verdict: StudyVerdict) -> None:
        found = verdict.main.comparison
        assert found is not None
        told = dict(paragraphs(verdict))
        for pair in found.pairs:
            said = told[f"{pair.a} and {pair.b}"]
            assert said.count(". ") <= 3
            if pair.verdict == "same":
                assert "cool alike" in said and "cooler than" not in said
            else:
                low, high = sorted((abs(pair.low), abs(pair.high)))
                assert f"{low:.1f} to {high:.1f} K cooler than" in said
            assert "another sample of the same product may differ" in said


class TestBaseline:
    def test_the_bench_moved_on_the_third_day(self, verdict: StudyVerdict) -> None:
        assert verdict.baseline is not None
        moved = verdict.baseline.chart.moved
        assert moved is not None and moved.way == "step"
        assert verdict.baseline.when() == "between day 2 and day 3"
        assert abs(moved.by - 240 * MOVED_K_W) <= moved.u95
        assert any(f.kind == "bench moved" for f in verdict.of_study)

    def test_correcting_is_offered_and_said(self, demo_notebook: Notebook, study: Study) -> None:
        """Without rounds as blocks the move is in the scatter; correcting takes it out, and nothing does so silently."""
        edits.change_study(demo_notebook, study.id, "no blocks", blocks=False)
        study, plain = again(demo_notebook)
        assert verdict_line(plain).step.action == "baseline"
        assert "(not taken out)" in verdict_line(plain).sentence
        both = with_and_without(plain)
        assert both is not None
        raw, better = both[0].comparison, both[1].comparison
        assert raw is not None and better is not None
        assert (better.sd or 9) < 0.6 * (raw.sd or 0)
        planedits.set_plan(demo_notebook, study.id, "correct", correct_by_baseline=True)
        study, corrected = again(demo_notebook)
        assert corrected.corrected and corrected.main.comparison is not None
        assert corrected.main.comparison.sd == pytest.approx(better.sd)
        assert "corrected by the baseline" in verdict_line(corrected).sentence
        assert all(
            "corrected by the baseline Tern" in said for title, said in paragraphs(corrected) if "Claim" not in title
        )
        assert sum(r.shift for r in corrected.main.readings) == pytest.approx(0, abs=1e-9)
        # how far it moved is fitted, and costs a degree of freedom
        assert raw.df is not None and better.df == raw.df - 1
        # the chart goes on showing what was read
        assert corrected.baseline is not None and plain.baseline is not None
        assert corrected.baseline.chart.values == pytest.approx(plain.baseline.chart.values)


class TestLooks:
    def test_the_declared_looks_are_paid_for(
        self, demo_notebook: Notebook, study: Study, verdict: StudyVerdict
    ) -> None:
        looks = verdict.looks
        assert looks is not None and (looks.had, looks.rounds_done) == (2, 4)
        assert 0.964 < looks.confidence < 0.966  # a fifth of the 5 % is kept back for rounds past the plan
        assert "both looks, and rounds past the plan, together keep 95 %" in look_words(looks)
        planedits.set_plan(demo_notebook, study.id, "usual", looks=None)
        _, usual = again(demo_notebook)
        assert usual.looks is not None and not usual.looks.by_person and usual.looks.declared == (2, 3, 4)
        a, b = verdict.main.comparison, usual.main.comparison
        assert a is not None and b is not None
        assert a.pairs[0].high - a.pairs[0].low < b.pairs[0].high - b.pairs[0].low  # a look more is paid for

    def test_before_the_first_look_nothing_is_decided(self, demo_notebook: Notebook, study: Study) -> None:
        for _, m in mounts_of(study):
            if m.round > 1:
                edits.to_bin(demo_notebook, Mount, m.id, "a mount")
        planedits.set_plan(demo_notebook, study.id, "looks", looks=[3])
        _, v = again(demo_notebook)
        assert v.looks is not None and v.looks.had == 0
        assert "nothing is decided" in look_words(v.looks)

    def test_enough_is_said_when_it_is(self, demo_notebook: Notebook, verdict: StudyVerdict) -> None:
        found = outlook(verdict)
        assert found is not None and found.enough and found.sentence.startswith("Enough")
        radiators = judge(demo_notebook, study_named(demo_notebook, "Radiators"))
        early = outlook(radiators)
        assert early is not None and not early.enough and "Not enough yet" in early.sentence


class TestSchoolsAndExclusions:
    def test_the_radiators_flip_with_the_room(self, demo_notebook: Notebook) -> None:
        v = judge(demo_notebook, study_named(demo_notebook, "Radiators"))
        rows = side_by_side(v)
        assert rows[0].in_use and rows[0].school.key == v.school.key
        as_read = next(r for r in rows if r.school.over is None)
        assert as_read.first_differs
        assert "Coolant as read puts Rush first".lower() in summary(v, rows).lower()
        reasons = " ".join(f.why for r in rows for f in r.flips)
        assert not as_read.flips or "the room" in reasons

    def test_with_and_without_stand_side_by_side(self, demo_notebook: Notebook) -> None:
        study = study_named(demo_notebook, "Radiators")
        bad = next(m for n, m in mounts_of(study) if (n, m.round) == ("Bulrush", 2))
        edits.leave_out(demo_notebook, bad.id, "Bulrush, round 2", "trapped air")
        v = judge(demo_notebook, demo_notebook.study(study.id))
        rows = both_ways(v)
        assert len(rows) == 6
        assert any(r.differs for r in rows)
        assert all(r.without != "" and r.counted != "" for r in rows)


class TestValue:
    def test_money_and_kelvins_are_the_intervals_own(
        self, demo_notebook: Notebook, study: Study, verdict: StudyVerdict
    ) -> None:
        found = value_of(verdict, bench_of(demo_notebook, study.bench_id), parts(demo_notebook))
        assert found is not None and found.currency == "EUR" and found.lacking == ()
        rows = {r.name: r for r in found.rows}
        assert [r.name for r in found.rows] == sorted(rows, key=lambda n: BLOCKS[n].price)
        comparison = verdict.main.comparison
        assert comparison is not None
        pair = comparison.pair("Plover", "Ruff")
        low, high = sorted((abs(pair.low), abs(pair.high)))
        per = rows["Plover"].per_money
        assert per is not None and per[0] == pytest.approx(low / 89) and per[2] == pytest.approx(high / 89)
        # the loop: pump, tube, radiator with two fans, reservoir, coolant and paste with the block
        whole = BLOCKS["Knot"].price + 88 + 9 + 71 + 2 * 26 + 41 + 14 + 8
        assert rows["Knot"].whole_price == pytest.approx(whole)
        assert "50 EUR more than Ruff buy" in worth_sentence(rows["Dunlin"], "Ruff", "EUR", 0.95)
        no_cooler = replace(rows["Dunlin"], cooler=(-0.5, 0.2, 0.9))
        assert "buy nothing that was seen" in worth_sentence(no_cooler, "Ruff", "EUR", 0.95)

    def test_what_a_user_would_notice(self, study: Study, verdict: StudyVerdict) -> None:
        told = {n.outcome.label: n.comparison for n in noticed(verdict)}
        clock = told["clock held"].pair("Plover", "Tern")
        sign = 1 if clock.a == "Plover" else -1
        assert 0 < sign * clock.difference < 40  # 5 MHz a kelvin, in steps of 25
        assert told["loudness"].pair("Plover", "Tern").verdict == "same"  # within the 1 dB that matters

    def test_mixed_currencies_are_not_set_against_each_other(
        self, demo_notebook: Notebook, study: Study, verdict: StudyVerdict
    ) -> None:
        study.live_candidates[0].part.currency = "SEK"
        found = value_of(verdict, None, [])
        assert found is not None
        assert all(r.per_money is None for r in found.rows)
        assert any("one currency" in said for said in found.lacking)


@pytest.fixture(scope="module")
def two(demo_master: Path, tmp_path_factory: pytest.TempPathFactory) -> Iterator[tuple[Judged, Judged, Judged]]:
    """The blocks; a second study of blocks that has Tern as well, and Plover in another place; and the radiators."""
    path = tmp_path_factory.mktemp("two") / "two.kuffin"
    shutil.copyfile(demo_master, path)
    demo_notebook = Notebook.open(path)
    other = edits.add_study(demo_notebook, "Older blocks?", "block", ["Tern", "Plover"], 1.0, name="Older blocks")
    runs = [r for r in blocks.block_runs() if r.candidate in {"Tern", "Plover"} and not r.control]
    protocol = study_named(demo_notebook, "Blocks").protocol_id
    edits.change_study(
        demo_notebook, other, "as the first", protocol_id=protocol, reference_power_w=180.0, tolerance_k=0.5
    )
    edits.add_logs(demo_notebook, other, [edits.NewRun(r.candidate, r.table, round=r.round) for r in runs])
    found = []
    for name in ("Blocks", "Older", "Radiators"):
        s = study_named(demo_notebook, name)
        found.append(Judged(s, judge(demo_notebook, s)))
    yield found[0], found[1], found[2]
    demo_notebook.close()


class TestAcross:
    def test_a_shared_baseline_links_with_its_own_uncertainty(self, two: tuple[Judged, Judged, Judged]) -> None:
        first, other, radiators = two
        link = linked(first, [other, radiators])
        assert link.baseline == "Tern"
        assert len(link.refused) == 1 and "compares radiators" in link.refused[0]
        rows = {(r.study, r.candidate): r for r in link.rows}
        far, near = rows[(other.study.name, "Plover")], rows[(first.study.name, "Dunlin")]
        # per watt, so 180 W is brought to the first study's 240 W
        comparison = other.verdict.main.comparison
        assert comparison is not None
        pair = comparison.pair("Plover", "Tern")
        sign = 1 if pair.a == "Plover" else -1
        assert far.over_baseline.value == pytest.approx(sign * pair.difference * 240 / 180)
        d = through_baseline(far.over_baseline, near.over_baseline)
        assert d.se == pytest.approx(np.hypot(far.over_baseline.se, near.over_baseline.se))
        low, high = d.interval()
        assert low <= true_k("Plover", 240) - true_k("Dunlin", 240) <= high

    def test_other_studies_are_refused_with_the_reason(self, two: tuple[Judged, Judged, Judged]) -> None:
        first, other, radiators = two
        assert "compares radiators" in why_not(first, radiators)
        stranger = replace(other, study=radiators.study)
        assert why_not(first, stranger)
        assert linked(first, []).baseline == ""

    def test_a_parts_page_gathers_all_that_is_known(self, two: tuple[Judged, Judged, Judged]) -> None:
        first, other, _ = two
        part = next(c.part_id for c in first.study.live_candidates if c.name == "Plover")
        known = known_of(part, two, lambda v: verdict_line(v).sentence)
        assert [k.study for k in known] == [first.study.name, other.study.name]
        assert known[0].mounts == 4 and "cooler than four others" in known[0].place


def test_forty_candidates_one_mount_each_and_equal_values_are_told_plainly(tmp_path: Path) -> None:
    """The worst studies still give a sentence, never a fault."""
    from kuffin.core.base.errors import CompareError
    from kuffin.core.compare import MountValue, compare

    with pytest.raises(CompareError, match="nothing to judge the scatter by"):
        compare([MountValue(candidate=f"C{i}", mount=str(i), value=10.0 + i) for i in range(40)])
    rng = np.random.default_rng(0)
    many: list[Any] = [
        MountValue(candidate=f"C{i}", mount=f"{i}{j}", value=10 + 0.05 * i + rng.normal(0, 0.3))
        for i in range(40)
        for j in range(6)
    ]
    found = compare(many, margin=1.0)
    assert len(found.pairs) == 780
    assert REFERENCE_W > 0
    alike = compare([MountValue(candidate=c, mount=f"{c}{i}", value=5.0) for c in "ABC" for i in range(3)], margin=1.0)
    assert any("do not scatter" in w for w in alike.warnings)
