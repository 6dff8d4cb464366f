"""What is told of a bench and goes into the numbers: power at the wall, glycol by volume and by mass, gains, coarse steps."""

from __future__ import annotations

from contextlib import closing
from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.base.errors import TraceError
from kuffin.core.base.uncertainty import Source, in_a_comparison
from kuffin.core.heat.coolant import Mix, mass_percent, properties
from kuffin.demo.scenario import demo_runs
from kuffin.notebook import edits, shelf
from kuffin.notebook.store import Notebook
from kuffin.verdict.budget import budget_of
from kuffin.verdict.study import StudyVerdict, judge


class TestPowerAtTheWall:
    """The part's power plus 60 W of the rest, through a supply of 90 %."""

    def judged(self, path: Path, told: dict[str, float]) -> StudyVerdict:
        with closing(Notebook.create(path)) as book:
            bench = shelf.add_bench(book, "booth")
            shelf.change_bench(book, bench, "tell", settings=told)
            study = edits.add_study(book, "Which?", "radiator", ["Sedge"])
            edits.change_study(book, study, "set up", bench_id=bench, reference_power_w=182.0)
            run = next(r for r in demo_runs() if (r.candidate, r.round) == ("Sedge", 1))
            wall = [
                replace(c, name="Wall", role="wall_power", values=c.values / 0.9 + 60) if c.role == "power" else c
                for c in run.table.channels
            ]
            edits.add_log(book, study, "Sedge", replace(run.table, channels=wall))
            return judge(book, book.study(study))

    def test_it_is_cautioned_and_what_is_told_is_taken_off(self, tmp_path: Path, demo_notebook: Notebook) -> None:
        true = next(
            r.value for r in judge(demo_notebook, demo_notebook.study(1)).main.readings if r.label == "Sedge, round 1"
        )
        plain = self.judged(tmp_path / "plain.kuffin", {})
        assert [f.kind for f in plain.findings[1] if f.kind == "wall power"] == ["wall power"]
        told = self.judged(tmp_path / "told.kuffin", {"wall_idle_w": 60.0, "wall_efficiency_percent": 90.0})
        assert not any(f.kind == "wall power" for f in told.findings.get(1, ()))
        assert true is not None and plain.main.readings[0].value is not None
        assert plain.main.readings[0].value < 0.75 * true  # too small by the share that is not the part's
        assert told.main.readings[0].value == pytest.approx(true, rel=0.01)


class TestGlycol:
    def test_a_share_by_volume_is_brought_to_mass(self) -> None:
        """Half a litre of ethylene glycol (1113 g/L at 20 °C) in a litre: 556.5 of 1055.5 g, as handbooks have it."""
        assert mass_percent("ethylene glycol", 50) == pytest.approx(52.7, abs=0.1)
        assert mass_percent("propylene glycol", 20) == pytest.approx(20.6, abs=0.1)
        assert mass_percent("ethylene glycol", 0) == 0

    def test_more_than_the_table_knows_is_refused_not_clamped(self) -> None:
        with pytest.raises(TraceError, match=r"62\.6 % ethylene glycol by mass; known are 0 to 50 %"):
            properties(30.0, Mix("ethylene glycol", mass_percent("ethylene glycol", 60)))


class TestTheBudget:
    def test_a_probes_gain_goes_with_the_difference_as_a_share_of_its_own_reading(self) -> None:
        """1 % of a die at 60 °C: two dies 1 K apart are off by 0.01 K between them, whatever stands on the coolant."""
        gain = Source(name="die: gain", u=0.6, sensitivity=1.0, cancels="scales", of=60.0)
        (found,) = in_a_comparison([gain], 12.0, 1.0)
        assert found.contribution == pytest.approx(0.01)

    def test_the_steps_of_coarse_sensors_are_in_it_once(self, tmp_path: Path) -> None:
        with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
            study = edits.add_study(book, "Which?", "radiator", ["Sedge"])
            edits.change_study(book, study, "set up", school="coolant_over_air")
            run = next(r for r in demo_runs() if (r.candidate, r.round) == ("Sedge", 1))
            whole = [
                replace(c, values=np.round(c.values)) if c.role in {"coolant_in", "air_in"} else c
                for c in run.table.channels
            ]
            edits.add_log(book, study, "Sedge", replace(run.table, channels=whole))
            v = judge(book, book.study(study))
            reading = v.main.readings[0]
            trace = next(iter(v.results.values())).traces["coolant_over_air"]
            assert trace.rounding_u == pytest.approx(np.sqrt(2 / 12))
            found = budget_of(v, reading, next(iter(v.results.values())), None)
            assert found is not None and reading.u95 is not None
            assert sum("coarse" in s.name for s in found.sources) == 1
            assert found.absolute.half_width == pytest.approx(
                reading.u95, rel=0.2
            )  # counted twice it would be 1.4 times it
