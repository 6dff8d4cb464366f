"""What to mount next in a study: said in a sentence, taken with a button, and left where it is not worth its hours."""

from __future__ import annotations

import numpy as np
import pytest
from benchmarks.studies import Bench
from scipy import stats

from kuffin.core.compare import Comparison
from kuffin.core.compare.nextmounts import NearEnough
from kuffin.core.compare.whichisbest import which_is_best
from kuffin.core.plan.order import Slot
from kuffin.notebook import planedits
from kuffin.notebook.store import Notebook
from kuffin.publish.page.ownwords import doubts_of
from kuffin.said.whatnextwords import choice_working, proposal_words
from kuffin.said.working import study_working
from kuffin.verdict.study import judge
from kuffin.verdict.whatnext import margin_to_accept, round_slots, what_next


def bench(values: dict[str, list[float]], **how: object) -> Bench:
    made = Bench.of(list(values), 4, **how)  # type: ignore[arg-type]
    for name, each in values.items():
        for i, k in enumerate(each, 1):
            made.mount(name, i, k)
    return made


def test_those_who_are_still_in_question_are_proposed_and_the_rest_is_out_of_it() -> None:
    v = bench({"Tern": [30.0, 30.4, 29.7], "Knot": [30.9, 30.5, 31.2], "Ruff": [36.0, 36.3, 35.8]}).judge()
    told = what_next(v)
    assert told is not None and not told.hardly and set(told.choices[0].names) <= {"Tern", "Knot"}
    said = proposal_words(v, told)
    assert "tells which is best" in said and said.endswith("Ruff is out of it.")
    working = choice_working(v, told, told.choices[0])
    assert any("min for a change-over" in str(x) for x in vars(working).values())


def test_it_stops_by_itself_where_more_mounts_are_not_worth_it_and_says_what_may_be_said() -> None:
    values = {"Tern": [30.0, 31.5, 29.0, 30.6, 29.4, 31.0], "Knot": [30.7, 29.2, 31.4, 30.4, 31.1, 29.3]}
    values["Ruff"] = [29.9, 31.2, 30.0, 31.3, 29.1, 30.5]
    made = bench(values, margin_k=0.05, plan={"looks": [6]})
    told = what_next(made.judge())
    assert told is not None and told.hardly
    said = proposal_words(made.judge(), told)
    near = max(n.within for n in told.near)
    assert (
        said.startswith("More mounts will hardly settle Tern, Ruff and Knot within 0.05 K")
        and f"are within {near:.1f} K" in said
    )
    assert made.line().step.action == "rounds"
    wide = bench(values, margin_k=margin_to_accept(told.near), plan={"looks": [6]}).judge().main.comparison
    assert wide is not None and {p.verdict for p in wide.pairs if "Tern" in {p.a, p.b}} == {"same"}
    assert margin_to_accept([NearEnough("a", "b", 1.02)]) == 1.5 and margin_to_accept([]) == 0.1


def test_the_proposed_round_takes_the_place_of_what_was_planned_and_undo_brings_that_back(
    demo_notebook: Notebook,
) -> None:
    study = demo_notebook.study(1)
    before = round_slots(study, [])
    assert len(before) == 12  # three rounds of four are done; the fourth is only planned
    slots = round_slots(study, ["Reed", "Sedge"])
    assert slots[-2:] == [Slot("Sedge", 4), Slot("Reed", 4)]
    planedits.plan_round(demo_notebook, 1, slots, "plan Sedge and Reed next")
    planned = [
        (m.candidate.name, m.round)
        for c in demo_notebook.study(1).live_candidates
        for m in c.live_mounts
        if not m.live_runs
    ]
    assert planned == [("Sedge", 4), ("Reed", 4)]
    demo_notebook.undo()
    again = [m for c in demo_notebook.study(1).live_candidates for m in c.live_mounts if not m.live_runs]
    assert len(again) == 4
    assert judge(demo_notebook, demo_notebook.study(1)).main.comparison is not None


def drawn(levels: dict[str, float], scatter: float, seed: int, margin_k: float) -> Bench:
    """A study of four mounts each, its readings drawn about levels."""
    rng = np.random.default_rng(seed)
    values = {name: [level + float(rng.normal(0, scatter)) for _ in range(4)] for name, level in levels.items()}
    return bench(values, margin_k=margin_k, plan={"looks": [4]})


def test_the_line_names_the_best_before_every_pair_with_it_is_settled() -> None:
    levels = {"Tern": 30.0, "Plover": 30.9, "Dunlin": 31.1, "Knot": 33.0, "Ruff": 33.3}
    found = [drawn(levels, 0.4, seed, 0.4) for seed in range(40)]
    made = next(
        b
        for b in found
        if (t := which_is_best(compared(b))).alone and t.ahead is not None and not b.judge().open_findings()
    )
    told, line = which_is_best(compared(made)), made.line()
    (open_,) = [
        p.b if p.a == told.best else p.a for p in compared(made).pairs if told.best in {p.a, p.b} and not p.settled
    ]
    assert line.sentence.startswith(f"{told.best} keeps the die coolest, by at least ")
    assert f"How far it is ahead of {open_} is still open." in line.sentence
    assert any(r.label == "The answer" for r in study_working(made.judge(), line.sentence).rows)
    assert line.step.label == "read the verdict" and f"{told.best} – {open_}" in line.step.hint
    assert what_next(made.judge()) is None  # the question asks for no more mounts


def test_the_line_calls_those_alike_that_are_near_the_best() -> None:
    levels = {"Tern": 30.0, "Plover": 30.1, "Dunlin": 30.1, "Knot": 33.0}
    found = [drawn(levels, 0.5, seed, 1.0) for seed in range(40)]
    made = next(b for b in found if len((t := which_is_best(compared(b))).alike) == 2 and t.alone)
    told, said = which_is_best(compared(made)), made.line().sentence
    assert f"{told.alike[0]} and {told.alike[1]} are within 1 K of {told.best}: the same for this purpose." in said
    assert "not told apart" not in said


def compared(made: Bench) -> Comparison:
    found = made.judge().main.comparison
    assert found is not None
    return found


def test_own_words_may_say_what_the_line_says() -> None:
    levels = {"Tern": 30.0, "Plover": 30.9, "Dunlin": 31.1, "Knot": 33.0, "Ruff": 33.3}
    made = next(
        b
        for b in (drawn(levels, 0.4, seed, 0.4) for seed in range(40))
        if (t := which_is_best(compared(b))).alone and t.ahead is not None
    )
    best, v = which_is_best(compared(made)).best, made.judge()
    assert doubts_of(v, "answer", f"{best} is the coolest of all.", {}) == []
    (other,) = [p.b if p.a == best else p.a for p in compared(made).pairs if best in {p.a, p.b} and not p.settled]
    assert doubts_of(v, "answer", f"{best} is cooler than {other}.", {})  # that is a sentence on the pair
    assert doubts_of(v, "answer", f"{other} is the coolest.", {})


def test_what_stays_open_still_says_that_no_other_is_better_by_what_matters() -> None:
    values = {"Tern": [30.0, 31.5, 29.0, 30.6, 29.4, 31.0], "Knot": [30.7, 29.2, 31.4, 30.4, 31.1, 30.3]}
    made = bench(values, margin_k=1.0, plan={"looks": [6]})
    told, line = which_is_best(compared(made)), made.line()
    assert told.best == "Tern" and told.open == ("Knot",) and told.behind is not None
    (pair,) = compared(made).pairs
    bound = stats.t.ppf(compared(made).confidence, pair.df) * pair.se - abs(pair.difference)
    assert told.behind == pytest.approx(bound)
    most = np.ceil(10 * bound) / 10
    assert f"No other is more than {most:.1f} K cooler than Tern, less than the 1 K that matter." in line.sentence
    assert any(r.label == "As good as any" for r in study_working(made.judge(), line.sentence).rows)
    narrow = bench(values, margin_k=0.02, plan={"looks": [6]})
    assert which_is_best(compared(narrow)).behind is None and "No other" not in narrow.line().sentence
