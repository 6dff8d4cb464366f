"""Every formula that is printed is worked out again from its printed figures, as a reader with a calculator would."""

from __future__ import annotations

import math
import re
from collections.abc import Iterable, Iterator
from dataclasses import replace

import numpy as np
import pytest

from kuffin.core.base.worked import Worked
from kuffin.core.compare import Comparison, MountValue, compare
from kuffin.core.compare.linking import LinkedDifference, linked_by_baseline, through_baseline
from kuffin.core.compare.worked import candidate_mean, pair_difference
from kuffin.core.findings.earlycheck import early_check
from kuffin.core.heat.coolant import Mix
from kuffin.core.heat.heatbalance import closure
from kuffin.core.heat.normalise import SCHOOLS
from kuffin.core.settle import Settled, settle
from kuffin.core.settle.reading import final_level, plain_window
from kuffin.core.settle.spots import SpotReading
from kuffin.core.settle.typed import TypedValue, together, typed_rise
from kuffin.notebook import edits, planedits
from kuffin.notebook.shelf import benches, parts
from kuffin.notebook.store import Notebook
from kuffin.reading.furtherfigures import inside
from kuffin.said.equations import Row, equation
from kuffin.said.figurewords import balance_working, budget_working, whole_working
from kuffin.said.roundwords import chance_working, look_working
from kuffin.said.sampleworking import samples_working
from kuffin.said.scatterwords import scatter_working
from kuffin.said.shownworking import Working
from kuffin.said.warmings import warming_working, warmings
from kuffin.said.working import candidate_working, grid_working, mount_working, pair_working, study_working
from kuffin.said.worthwords import noticed_working, worth_working
from kuffin.verdict.budget import budget_of
from kuffin.verdict.evidence import mounts_of
from kuffin.verdict.grid import axes_of, cell_result, family_confidence, where_is
from kuffin.verdict.looks import outlook
from kuffin.verdict.outcomes import OutcomeResult
from kuffin.verdict.runreadings import trace_reading
from kuffin.verdict.scatter import scatter_of
from kuffin.verdict.study import StudyVerdict, judge
from kuffin.verdict.value import noticed, value_of

_UNIT = re.compile(r"(?<=[0-9]) (?:J/\(kg·K\)|EUR a K|[A-Za-z°%][A-Za-z°/·²³]*)")
_SUPER = {"²": "**2", "³": "**3"}


def figures_alone(text: str) -> float:
    """What a row of figures comes to; with a reader's rules, not with the program's."""
    text = _UNIT.sub("", text)
    text = re.sub(r"\|([^|]+)\|", r"abs(\1)", text)
    text = re.sub(r"√([0-9.]+)", r"√(\1)", text)
    text = re.sub(r"the largest of (\(.*\))", r"max\1", text).replace("exp(", "math.exp(")
    text = text.replace("√", "math.sqrt").replace("×", "*").replace("−", "-").replace("·10⁶", "e6")
    for sign, power in _SUPER.items():
        text = text.replace(sign, power)
    return float(eval(text, {"__builtins__": {}, "math": math, "abs": abs, "max": max}))


def holds(w: Worked) -> bool:
    """Whether the printed sum adds up."""
    said = equation(w)
    if not w.formula or not math.isfinite(w.value):
        return False
    *_, figures, result = said.split(" = ")
    if figures == w.terms[0].symbol:
        return w.value == w.terms[0].value
    told = _UNIT.sub("", result.split(" ± ")[0]).replace("−", "-").strip()
    digits = len(told.partition(".")[2])
    assert figures_alone(figures) == pytest.approx(float(told), rel=0, abs=0.51 * 10.0**-digits), said
    return True


def checked(numbers: Iterable[Worked]) -> int:
    """How many formulas were checked, in all that these numbers were made from."""
    return sum(holds(one) for number in numbers for one in number.all())


def told(working: Working) -> int:
    """As `checked`; no formula stands in prose."""
    for entry in working.entries:
        if isinstance(entry, Row):
            assert "=" not in entry.text and "√" not in entry.text, (working.title, entry)
    assert all(r.label for r in working.rows)
    return checked(working.numbers)


def of_a_verdict(v: StudyVerdict, every: bool = True) -> Iterator[Working]:
    """All workings that a study's numbers lead to."""
    yield study_working(v, "So far")
    for under in v.schools.values() if every else [v.main]:
        for r in under.readings:
            yield mount_working(v, r, under.outcome)
        for name in v.candidates:
            yield candidate_working(v, under, name)
        for pair in under.comparison.pairs if under.comparison is not None else ():
            yield pair_working(v, under, pair.a, pair.b)


@pytest.mark.parametrize("name", ["Radiators, spring", "Pastes, winter", "Blocks, late winter", "Card blocks, spring"])
def test_in_the_demo(demo_notebook: Notebook, name: str) -> None:
    study = demo_notebook.study(next(s.id for s in demo_notebook.studies() if s.name == name))
    v, mounts = judge(demo_notebook, study), mounts_of(study)
    assert sum(map(told, of_a_verdict(v))) > 200
    axes = axes_of(v)
    confidence, _ = family_confidence(v, axes)
    for cell in axes.cells:
        found: OutcomeResult = cell_result(v, cell, confidence)
        told(grid_working(axes.label(cell), found, where_is(found, cell)))
        if found.comparison is not None:
            assert told(candidate_working(v, found, v.candidates[0], where_is(found, cell))) > 1
    bench = benches(demo_notebook)[0]
    for reading in v.main.readings[:3]:
        result = v.results[reading.runs[0]]
        run = next(r for _, m in mounts for r in m.live_runs if r.id == reading.runs[0])
        budget = budget_of(v, reading, result, bench)
        assert budget is None or told(budget_working(budget, "Budget")) > 3
        seen = inside(demo_notebook, study, run)
        told(balance_working(seen))
        for key, w in seen.whole.items():
            assert told(whole_working(key, w, v.reference_power_w)) > 3
        for under in v.schools.values():
            assert told(samples_working(demo_notebook, study, run, result, under.outcome, bench)) >= 1
    told(warming_working(warmings(v.evidence)))
    scatter = scatter_of(v)
    if scatter is not None:
        assert told(scatter_working(scatter, "K")) > 1
        assert checked(line.mean for line in scatter.samples) > len(scatter.samples)
    value = value_of(v, bench, parts(demo_notebook))
    assert value is not None
    for row in value.rows:
        assert told(worth_working(v, row, value.rows[0], value.currency)) > 1
    assert all(told(noticed_working(n)) > 1 for n in noticed(v))
    for pair in v.main.comparison.pairs if v.main.comparison is not None else ():
        assert told(chance_working(v, pair, outlook(v))) > 2
    assert v.looks is not None and told(look_working(v.looks, 0)) == 1


def test_where_figures_were_typed(demo_notebook: Notebook) -> None:
    """With a time constant, so that something is added; several of a kind; per watt; spots beside a recorded run."""
    study = demo_notebook.study(next(s.id for s in demo_notebook.studies() if s.name == "Pads, spring"))
    v = judge(demo_notebook, study)
    assert sum(r.typed for r in v.main.readings) == 5
    assert sum(map(told, of_a_verdict(v))) > 60
    for outcome in ("power", "regulator_over_coolant_per_watt", "regulator_over_air"):
        under = v.by(outcome)
        assert sum(told(mount_working(v, r, under.outcome)) for r in under.readings) > 5, outcome
    cores = [TypedValue(name=f"Core {i}", value=60.0 + i, unit="°C", resolution=1.0) for i in range(3)]
    coolant = TypedValue(name="Coolant", value=31.5, unit="°C", resolution=0.1)
    for tau_s in (0.0, 500.0, None):
        rise, _ = typed_rise(together("die", "T_p", cores), coolant.worked("T_b"), 20.0, tau_s)
        assert checked([rise]) > 6
    for values in ((20.0, 21.0, 20.5), (20.0, 20.0)):  # the scatter decides, or the last digit
        spots = SpotReading(at_s=tuple(600.0 * i for i in range(len(values))), values=values, step=1.0)
        assert checked([spots.worked("K")]) == 2


def test_where_the_baseline_corrects(demo_notebook: Notebook) -> None:
    study = next(s.id for s in demo_notebook.studies() if s.name == "Blocks, late winter")
    planedits.set_plan(demo_notebook, study, "correct", correct_by_baseline=True)
    edits.change_study(demo_notebook, study, "no blocks", blocks=False)  # or the rounds would have taken the move out
    v = judge(demo_notebook, demo_notebook.study(study))
    assert v.corrected and sum(map(told, of_a_verdict(v))) > 200
    assert any(r.shift for r in v.main.readings)


def drawn(seed: int, end: float = 3000.0, tau: float = 400.0, loops: bool = False) -> tuple[np.ndarray, ...]:
    rng = np.random.default_rng(seed)
    t = np.arange(0.0, end, 2.0)
    power = np.where(t < 60, 20.0, 190.0) + rng.normal(0, 1, t.size)
    if loops:
        power = np.where((t > 60) & ((t - 60) % 90 > 80), 40.0, power)
    rise = np.where(t < 60, 0.0, 11.0 * (1 - np.exp(-(t - 60) / tau)))
    return t, 22 + rise + rng.normal(0, 0.08, t.size), np.full(t.size, 22.0) + rng.normal(0, 0.02, t.size), power


def branches() -> Iterator[tuple[str, Settled]]:
    for seed in range(4):
        t, y, air, power = drawn(seed)
        yield "settled", settle(t, y, over=air, load=power)
        yield "per watt", settle(t, y, over=air, per=power, load=power)
        yield "by hand", settle(t, y, over=air, load=power, window=(900.0, 1500.0))
        yield "coarse", settle(t, np.round(y), over=np.round(air), load=power)
        t, y, air, power = drawn(seed, 700.0)
        yield "not settled", settle(t, y, over=air, load=power)
        t, y, air, power = drawn(seed, loops=True)
        yield "in loops", settle(t, y, over=air, load=power)


def test_in_every_branch_of_settling() -> None:
    kinds = set()
    for kind, s in branches():
        assert (s.settled, s.by_hand) == (kind != "not settled", kind == "by hand") or kind == "coarse"
        unit = "K/W" if kind == "per watt" else "K"
        school = SCHOOLS["coolant_over_air" + ("_per_watt" if kind == "per watt" else "")]
        assert (
            checked([school.shown(trace_reading(school, s), 182.0, 22.0), plain_window(s, unit), final_level(s, unit)])
            >= 7
        )
        assert s.value == s.reading(unit).value and s.u95 == s.reading(unit).u95
        kinds.add(kind)
    assert len(kinds) == 6


def comparisons() -> Iterator[Comparison]:
    for seed in range(3):
        rng = np.random.default_rng(seed)

        def mounts(
            names: str, rounds: bool, samples: int, n: int = 3, rng: np.random.Generator = rng
        ) -> list[MountValue]:
            return [
                MountValue(candidate=c, mount=f"{c}{i}", value=10 + k + float(rng.normal(0, 0.3)), round=str(i) if rounds else None, sample=str(i % samples) if samples else None)
                for k, c in enumerate(names)
                for i in range(n)
            ]  # fmt: skip

        yield compare(mounts("AB", False, 0), margin=0.5)
        yield compare(mounts("ABC", False, 0), spread="separate", margin=0.5)
        yield compare(mounts("ABCD", True, 0), margin=0.5)
        yield compare(mounts("ABCD", True, 0)[:-1], margin=0.5)  # one round is not whole
        yield compare(mounts("ABC", False, 0), reference="A", margin=0.5)
        yield compare(mounts("ABC", False, 3, 6), margin=0.5)
        yield compare(mounts("ABC", False, 3, 6), margin=0.5, scope="samples")
        with_sample = [replace(m, value=m.value + float(m.sample or 0) * (0.9 if m.candidate == "B" else -0.7)) for m in mounts("ABC", False, 3, 6)]  # fmt: skip
        yield compare(with_sample, margin=0.5)


def test_in_every_way_of_comparing() -> None:
    methods = set()
    for found in comparisons():
        for c in found.candidates:
            mean = candidate_mean(found, c.name, "K")
            assert mean.value == pytest.approx(c.mean, rel=1e-9)
            assert mean.u95 == pytest.approx((c.high - c.low) / 2, rel=1e-9)
            assert checked([mean]) >= 2
        for pair in found.pairs:
            both = [pair_difference(found, pair, "K", narrow=narrow) for narrow in (False, True)]
            assert both[0].value == pytest.approx(pair.difference, rel=1e-9, abs=1e-12)
            assert both[0].u95 == pytest.approx((pair.high - pair.low) / 2, rel=1e-9)
            assert both[1].u95 == pytest.approx((pair.narrow_high - pair.narrow_low) / 2, rel=1e-9)
            assert checked(both) >= 4
        methods.add(found.method.split(",")[0] + str("sample" in dict(found.components)))
    assert len(methods) >= 5, methods


def test_in_what_stands_beside() -> None:
    rng = np.random.default_rng(3)
    for _ in range(20):
        balance = closure(
            30.0,
            30.0 + float(rng.uniform(0.3, 3)),
            float(rng.uniform(40, 250)),
            190.0,
            mix=Mix("propylene glycol", 20.0),
        )
        assert checked([balance.heat, balance.closure_worked]) >= 6
        check = early_check(
            float(rng.normal(0.17, 0.01)), 1e-4, 180.0, rng.normal(0.17, 0.003, 3).tolist(), 0.003, 2.0, (60, 120)
        )
        assert checked([check.difference]) >= 4
        a, b = (
            LinkedDifference(float(x), float(s), 4.0)
            for x, s in zip(rng.normal(0, 2, 2), rng.uniform(0.1, 0.4, 2), strict=True)
        )
        linked, both = linked_by_baseline("A and B", a, b), through_baseline(a, b)
        low, high = both.interval()
        assert linked.value == both.value and linked.u95 == pytest.approx((high - low) / 2)
        assert checked([linked]) == 3


def test_a_false_sum_is_seen() -> None:
    wrong = Worked(
        name="Sum", symbol="c", value=3.2, unit="K", digits=1, formula="a + b",
        terms=(Worked(name="a", symbol="a", value=1.0), Worked(name="b", symbol="b", value=2.0)),
    )  # fmt: skip
    with pytest.raises(AssertionError):
        holds(wrong)
