"""What candidates are compared by: clock, power, numbers that were asked for; parts that a limit held, and tests not finished."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from contextlib import closing
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.bench.limits import Limits
from kuffin.core.bench.outcomes import MEASURED
from kuffin.core.bench.protocol import Step
from kuffin.core.compare.pairwords import pair_said
from kuffin.core.heat.normalise import SCHOOLS
from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook import answering, edits, planedits
from kuffin.notebook.entities import Mark, Run
from kuffin.notebook.store import Notebook
from kuffin.reading.asked import asked_values
from kuffin.reading.runresult import RunResult
from kuffin.said.line import verdict_line
from kuffin.said.sentences import paragraphs
from kuffin.said.working import mount_working
from kuffin.verdict.chosenoutcomes import grid_outcomes, possible_outcomes
from kuffin.verdict.grid import axes_of, cell_result, family_confidence
from kuffin.verdict.study import StudyVerdict, judge
from kuffin.verdict.tradeoffs import grid_said

IDLE_W, LOAD_W, LIMIT_C = 14.0, 200.0, 78.0
K_W = {"Tern": 0.28, "Plover": 0.24, "Knot": 0.22}
FLOW = {"Tern": 150.0, "Plover": 119.0, "Knot": 149.0}


def log(name: str, seed: int, limit_c: float = 999.0) -> LogTable:
    """Half an hour of load on a block; past its limit the part slows down and draws less."""
    rng, t = np.random.default_rng([seed, len(name), ord(name[0])]), np.arange(0, 2400, 2.0)
    on = t > 240
    coolant = 21.8 + 10 * -np.expm1(-np.maximum(t - 240, 0) / 400)
    r = K_W[name] * (1 + 0.006 * rng.normal())
    would = coolant + r * np.where(on, LOAD_W, IDLE_W)
    share = np.where(would > limit_c, (limit_c - coolant) / (would - coolant), 1.0)
    power = np.where(on, LOAD_W, IDLE_W) * share
    clock = np.where(on, 4600.0 * share**0.4 - 4.0 * np.maximum(would * share - 60, 0) * (share == 1), 1400.0)

    def channel(label: str, role: str, values: np.ndarray, unit: str, quantity: str, scatter: float) -> LogChannel:
        noisy = values + rng.normal(0, scatter, t.size)
        return LogChannel(name=label, unit=unit, quantity=quantity, role=role, values=noisy, written_unit=unit)

    channels = [
        channel("Die", "die", coolant + r * power, "degC", "temperature", 0.3),
        channel("Coolant", "coolant", coolant, "degC", "temperature", 0.05),
        channel("Room", "room", np.full(t.size, 21.0), "degC", "temperature", 0.05),
        channel("Power", "power", power, "W", "power", 0.5),
        channel("Clock", "clock", clock, "MHz", "frequency", 5.0),
        channel("Flow", "flow", np.full(t.size, FLOW[name] + rng.normal(0, 0.8)), "L/h", "flow", 0.5),
    ]
    return LogTable(
        file=f"{name} {seed}.csv", encoding="", delimiter="", decimal="", times=t, start=None, channels=channels,
        dropped_rows=0,
    )  # fmt: skip


_MADE: dict[str, bytes] = {}  # each study that was made, read and judged once


def made(path: Path, names: Sequence[str] = tuple(K_W), limits: dict[str, float] | None = None) -> Notebook:
    file, key = path / "n.kuffin", repr((names, limits, K_W, FLOW))
    if key not in _MADE:
        with closing(built(file, names, limits)) as book:
            judge(book, book.study(1))
        _MADE[key] = file.read_bytes()
    file.write_bytes(_MADE[key])
    return Notebook.open(file)


def built(file: Path, names: Sequence[str], limits: dict[str, float] | None = None) -> Notebook:
    book = Notebook.create(file)
    study = edits.add_study(book, "Which block?", "block", list(names), 1.0)
    edits.add_logs(
        book,
        study,
        [
            edits.NewRun(n, log(n, m, (limits or {}).get(n, 999.0)), round=m, together=True)
            for n in names
            for m in (1, 2, 3)
        ],
    )
    return book


@pytest.fixture
def book(tmp_path: Path) -> Iterator[Notebook]:
    with closing(made(tmp_path)) as made_one:
        yield made_one


def score(book: Notebook, values: dict[str, float | None], name: str = "score") -> None:
    """Tell a number of each candidate's mounts, a little more of each round."""
    with book.edit("tell scores") as session:
        for c in book.study(1).live_candidates:
            for m in c.live_mounts:
                value = values.get(c.name)
                if value is not None:
                    session.add(
                        Mark(run_id=m.live_runs[0].id, at_s=2390, kind="value", text=name, value=value + m.round)
                    )


def told(book: Notebook) -> str:
    v = judge(book, book.study(1))
    axes = axes_of(v)
    confidence, _ = family_confidence(v, axes)
    found = grid_said(axes, {c: cell_result(v, c, confidence) for c in axes.cells})
    return "\n".join((*found.first, *found.rest))


def means(v: StudyVerdict, key: str) -> dict[str, float]:
    found = v.by(key).comparison
    assert found is not None
    return {c.name: c.mean for c in found.candidates}


class TestWhatIsCompared:
    def test_each_outcome_reads_what_was_so(self, book: Notebook) -> None:
        v = judge(book, book.study(1))
        possible = {o.key for o in possible_outcomes(v.evidence)}
        assert possible == {
            v.school.key,
            "clock",
            "power",
            "energy",
            "flow",
            "level_exceeded",
            "idle_power",
            "idle_die",
        }
        assert means(v, "flow") == pytest.approx(FLOW, abs=1.5)
        assert means(v, "power") == pytest.approx(dict.fromkeys(K_W, LOAD_W), abs=0.5)
        assert means(v, "idle_power") == pytest.approx(dict.fromkeys(K_W, IDLE_W), abs=0.5)
        assert means(v, "idle_die") == pytest.approx({n: r * IDLE_W for n, r in K_W.items()}, abs=0.1)
        assert means(v, "energy") == pytest.approx(dict.fromkeys(K_W, LOAD_W * 2160 / 3600), rel=0.01)

    def test_the_trade_off_stands_in_the_grid_and_in_words(self, book: Notebook) -> None:
        said = told(book)
        assert "On the die Knot is cooler than every other" in said
        assert "A trade-off: Plover is" in said and "the lowest by flow (" in said
        low, high = (float(x) for x in said.split("lowest by flow (")[1].split(" L/h under")[0].split(" to "))
        assert low < FLOW["Tern"] - FLOW["Plover"] < high

    def test_any_of_them_may_be_the_verdicts(self, book: Notebook) -> None:
        planedits.set_plan(book, 1, "flow", outcome="flow")
        v = judge(book, book.study(1))
        assert v.main.ranking()[-1] == "Plover" and v.temperature.ranking()[0] == "Knot"
        said = verdict_line(v).sentence
        assert said.startswith("By flow, ") and "higher than Plover" in said and "L/h" in said
        assert "cool" not in "".join(words for _, words in paragraphs(v))
        working = mount_working(v, v.main.readings[0]).as_text()
        assert "flow" in working and "Half-width" in working

    def test_what_matters_and_what_is_shown_are_the_studys(self, book: Notebook) -> None:
        assert [o.key for o in grid_outcomes(judge(book, book.study(1)).evidence)][1:] == [
            "clock",
            "power",
            "flow",
            "idle_die",
        ]
        planedits.set_plan(book, 1, "x", outcomes=["flow"], matters={"flow": 60.0})
        v = judge(book, book.study(1))
        assert [o.key for o in grid_outcomes(v.evidence)] == [v.school.key, "flow"]
        found = v.by("flow").comparison
        assert found is not None and found.margin == 60.0 and all(p.verdict == "same" for p in found.pairs)


class TestNumbersAskedFor:
    def test_they_are_compared_and_more_is_better_unless_told(self, book: Notebook) -> None:
        score(book, {"Tern": 9000.0, "Plover": 9300.0, "Knot": 9302.0})
        planedits.set_plan(book, 1, "x", outcome="asked: score")
        v = judge(book, book.study(1))
        assert v.main.ranking() == ["Knot", "Plover", "Tern"]
        pair = v.main.comparison.pair("Knot", "Plover")  # type: ignore[union-attr]
        assert pair.verdict == "same"  # 1 % is what matters of a number without a unit
        assert "By score, Knot is" in verdict_line(v).sentence
        planedits.set_plan(book, 1, "x", lower_is_better=["score"])
        v = judge(book, book.study(1))
        assert v.main.ranking() == ["Tern", "Plover", "Knot"] and "lower than" in verdict_line(v).sentence

    def test_what_only_one_candidate_has_is_said(self, book: Notebook) -> None:
        score(book, {"Tern": 9000.0})
        planedits.set_plan(book, 1, "x", outcome="asked: score")
        v = judge(book, book.study(1))
        assert v.main.comparison is None and "only one candidate has a mount that counts" in verdict_line(v).sentence
        assert v.main.readings[-1].problem == "no score was told"

    def test_numbers_told_in_another_unit_are_not_mixed_with_the_others(self, book: Notebook) -> None:
        with book.edit("x") as session:
            for n, run in enumerate(session.query(Run)):
                told = ("ms", 7.0) if n == 0 else ("1/s", 140.0 + n)
                session.add(Mark(run_id=run.id, at_s=2390, kind="value", text="frames", value=told[1], unit=told[0]))
        planedits.set_plan(book, 1, "x", outcome="asked: frames")
        v = judge(book, book.study(1))
        first, *others = v.main.readings
        assert (
            first.value is None
            and first.problem == "frames was told in ms in this run and in 1/s in most; tell it in one unit"
        )
        assert v.main.outcome.unit == "1/s" and all(r.value is not None and r.value > 140 for r in others)

    def test_ties_are_the_same_and_nothing_breaks(self, book: Notebook) -> None:
        with book.edit("x") as session:
            for run in session.query(Run):
                session.add(Mark(run_id=run.id, at_s=2390, kind="value", text="laps", value=7.125))
        planedits.set_plan(book, 1, "x", outcome="asked: laps")
        v = judge(book, book.study(1))
        assert all(p.verdict == "same" for p in v.main.comparison.pairs)  # type: ignore[union-attr]

    def test_a_number_belongs_to_the_step_that_asked_for_it(self) -> None:
        steps = (Step(name="a", load="x", ask="score"), Step(name="b", load="x", ask="score"), Step(name="c", load="x"))
        run = Run(marks=[])
        for at, number in ((0.0, 1), (600.0, 2), (1200.0, 3), (1800.0, 3)):
            run.marks.append(Mark(at_s=at, kind="stage", text="", value=float(number), unit="settling"))
        for at, value in ((640.0, 11.0), (1400.0, 22.0)):
            run.marks.append(Mark(at_s=at, kind="value", text="Score", value=value, unit=""))

        def of(condition: str, begin: float, end: float) -> list[float]:
            result = RunResult(
                traces={}, problems={}, means={}, window_s=None, names={}, condition=condition, stretch_s=(begin, end)
            )
            return [x for _, x in asked_values(run, result, steps, "score")]

        assert (of("a", 0, 600), of("b", 590, 1200), of("c", 1190, 1800)) == ([11.0], [22.0], [])


class TestHeldByALimit:
    def test_a_throttled_temperature_wins_nothing_and_the_clock_is_proposed(self, tmp_path: Path) -> None:
        # Knot would be the coolest, but its firmware holds it at 68 °C, which is below where it would stand
        with closing(made(tmp_path, limits={"Knot": 68.0})) as book:
            edits.change_study(book, 1, "in kelvins", school="die_over_coolant")
            v = judge(book, book.study(1))
            held = [r for r in v.main.readings if r.held]
            assert [r.candidate for r in held] == ["Knot"] * 3 and "MHz while the temperature stood at 68" in held[
                0
            ].held
            assert means(v, "die_over_coolant")["Knot"] < min(
                means(v, "die_over_coolant")[n] for n in ("Tern", "Plover")
            )
            assert v.main.ranking() == ["Plover", "Tern", "Knot"]
            said = verdict_line(v).sentence
            assert "Plover keeps the die" in said and "cooler than Tern" in said
            assert "Knot was held by a limit, so this cannot be told of it; compare clock held" in said
            assert not any(s.startswith("Knot is") for _, words in paragraphs(v) for s in words.split(". "))
            clock = v.by("clock")
            assert clock.ranking()[-1] == "Knot" and not any(r.held for r in clock.readings)
            per_watt = v.schools["die_over_coolant_per_watt"]
            assert per_watt.ranking()[0] == "Knot" and not any(r.held for r in per_watt.readings)
            # that it drew less is no merit either: it was held back
            assert [r.candidate for r in v.by("power").readings if r.held] == ["Knot"] * 3
            # of what was held at the limit those that met none are ahead, by at least so much
            at_limit = v.by("power_at_limit")
            assert at_limit.ranking()[-1] == "Knot" and {r.candidate for r in at_limit.readings if r.held} == {
                "Tern",
                "Plover",
            }
            pair = at_limit.comparison.pair("Tern", "Knot")  # type: ignore[union-attr]
            assert pair.settled and pair.held == ("Tern",)
            assert "by at least" in pair_said(pair, at_limit.comparison, at_limit.outcome)  # type: ignore[arg-type]
            soon = v.by("minutes_to_limit")
            knot = next(r for r in soon.readings if r.candidate == "Knot")
            assert knot.value is not None and knot.value < 8 and soon.ranking()[-1] == "Knot"
            words = told(book)
            assert "On the die Plover is cooler than every other that was compared; Knot was held by a limit" in words
            assert not any(
                "Knot" in s and ("coolest on the die" in s or "lowest by power" in s) for s in words.split("\n")
            )

    def test_the_bound_counts_against_it(self, tmp_path: Path) -> None:
        with closing(made(tmp_path, limits={"Tern": LIMIT_C})) as book:
            edits.change_study(book, 1, "in kelvins", school="die_over_coolant")
            v = judge(book, book.study(1))
            pair = v.main.comparison.pair("Tern", "Knot")  # type: ignore[union-attr]
            least = -pair.high if pair.a == "Knot" else pair.low
            assert pair.held == ("Tern",) and pair.settled and 0 < least <= LOAD_W * (K_W["Tern"] - K_W["Knot"])
            assert "at least" in verdict_line(v).sentence


def test_spots_of_a_part_stand_in_the_grid_marked_as_typed(tmp_path: Path) -> None:
    """Regulators read three times with an infrared meter while the run was recorded."""
    true = {"Tern": 0.105, "Plover": 0.125}
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        study = edits.add_study(book, "Which block?", "block", list(true), 1.0)
        runs = []
        for name in true:
            for m in (1, 2, 3):
                table = log(name, m)
                by_name = {c.name: c.values for c in table.channels}
                spots = np.full(table.times.size, np.nan)
                at = np.searchsorted(table.times, [900.0, 1500.0, 2200.0])
                spots[at] = np.round(by_name["Coolant"][at] + true[name] * (1 + 0.01 * m) * by_name["Power"][at])
                told = LogChannel(
                    name="Regulators", unit="degC", quantity="temperature", role="regulator", values=spots
                )
                table.channels.append(told)
                runs.append(edits.NewRun(name, table, round=m, together=True))
        edits.add_logs(book, study, runs)
        v = judge(book, book.study(study))
        found = v.by("regulator_over_coolant_per_watt")
        assert all(r.typed and r.worked is not None for r in found.readings)
        assert {c.name: c.mean for c in found.comparison.candidates} == pytest.approx(  # type: ignore[union-attr]
            {n: 1.02 * k * LOAD_W for n, k in true.items()}, abs=0.6
        )
        assert not any(r.typed for r in v.main.readings)  # the die was recorded
        assert "Mean of the spots" in mount_working(v, found.readings[0], found.outcome).as_text()


class TestNotFinished:
    def test_it_is_a_result_that_is_counted_and_said(self, book: Notebook) -> None:
        mounts = [m for c in book.study(1).live_candidates if c.name == "Tern" for m in c.live_mounts]
        for m in mounts[:2]:
            answering.could_not_finish(book, m.id, "Tern", "shut down at 105 °C")
        v = judge(book, book.study(1))
        assert "Tern could not finish two mounts: shut down at 105 °C" in verdict_line(v).sentence
        assert [r.value is None for r in v.main.readings if r.candidate == "Tern"] == [True, True, False]
        assert "Tern could not finish (2 of three mounts: shut down at 105 °C)." in told(book)
        answering.did_finish(book, mounts[0].id, "Tern")
        assert sum(bool(r.failed) for r in judge(book, book.study(1)).main.readings) == 1

    def test_in_a_run_of_several_powers_it_is_the_one_that_did_not_come(self, demo_notebook: Notebook) -> None:
        study = next(s for s in demo_notebook.studies() if "block" in s.question)
        knot = next(c for c in demo_notebook.study(study.id).live_candidates if c.name == "Knot")
        planedits.set_plan(demo_notebook, study.id, "x", outcomes=[])
        answering.could_not_finish(demo_notebook, knot.live_mounts[0].id, "Knot", "past 95 °C")
        v = judge(demo_notebook, demo_notebook.study(study.id))
        axes = axes_of(v)
        said = grid_said(axes, {c: cell_result(v, c, 0.99) for c in axes.cells}).first
        assert said[0] == "Knot could not finish 240 W (1 of four mounts: past 95 °C)."


def test_every_outcome_has_a_key_of_its_own_and_a_way_to_be_read() -> None:
    assert not set(MEASURED) & set(SCHOOLS)
    assert all(
        bool(o.role) + bool(o.figure) == 1 and (o.matters or o.matters_percent or o.temperature)
        for o in MEASURED.values()
    )
    assert Limits().die_c == 95.0  # past it a run is stopped, and counts as not finished
