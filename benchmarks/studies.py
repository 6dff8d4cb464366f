"""Studies in memory whose mounts have given readings, judged by the function that the window calls."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from itertools import count
from typing import Any

from benchmarks.settledvalues import settled
from kuffin.notebook.entities import Candidate, Mount, Part, Run, Sample, Study
from kuffin.reading.runresult import RunResult
from kuffin.said.line import VerdictLine, verdict_line
from kuffin.verdict.evidence import Evidence, mounts_of
from kuffin.verdict.study import StudyVerdict, verdict_from

POWER_W = 200.0


@dataclass
class Bench:
    """A study that grows mount by mount.

    Attributes
    ----------
    results : dict of RunResult
        By the run's id, as the window keeps them.
    """

    study: Study
    results: dict[int, RunResult] = field(default_factory=dict)
    _ids: Any = field(default_factory=lambda: count(1))

    @classmethod
    def of(cls, names: Sequence[str], rounds: int, **values: Any) -> Bench:
        """A study of blocks with these candidates.

        Parameters
        ----------
        baseline : str, optional
            Among `values`: the name of the candidate that watches the bench.
        """
        baseline = values.pop("baseline", None)
        given: dict[str, Any] = {
            "name": "Study", "question": "Which?", "under_test": "block", "margin_k": 1.0, "confidence": 0.95,
            "reference_power_w": POWER_W, "reference_air_c": 22.0, "tolerance_k": 0.2, "blocks": False, "same": [],
            "fair_because": {}, "plan": {}, **values,
        }  # fmt: skip
        study = Study(id=1, planned_rounds=rounds, **given)
        for i, name in enumerate(names, 1):
            study.candidates.append(
                Candidate(id=i, name=name, position=i, configuration={}, part=Part(id=i, name=name))
            )
            if name == baseline:
                study.baseline_id = i
        return cls(study)

    def mount(
        self, name: str, round_: int, k: float, sample: int | None = None, day: int | None = None, **how: Any
    ) -> None:
        """Put a candidate together and read so many kelvins at 200 W."""
        candidate = next(c for c in self.study.candidates if c.name == name)
        number = next(self._ids)
        mount = Mount(
            id=number, candidate_id=candidate.id, round=round_, position=number, control=bool(how.get("control")),
            sample_id=sample, sample=None if sample is None else Sample(id=sample, label=str(sample)),
        )  # fmt: skip
        started = f"2026-03-{day or round_:02d}T{8 + number % 12:02d}:{number % 60:02d}:00"
        mount.runs.append(Run(id=number, closed=True, started_at=started, rows=1, duration_s=1000.0))
        candidate.mounts.append(mount)
        traces = {"die_over_coolant_per_watt": settled(k / POWER_W), "die_over_coolant": settled(k)}
        self.results[number] = RunResult(
            traces=traces, problems={}, means={"Power": (POWER_W, 0.5), "Die": (30 + k, 0.5)}, window_s=(400.0, 1000.0), names={"die": "Die", "power": "Power"},
            roles={"die": "Die", "power": "Power"},
        )  # fmt: skip

    def judge(self) -> StudyVerdict:
        """Judge as the window does."""
        return verdict_from(Evidence(self.study, mounts_of(self.study), self.results))

    def line(self) -> VerdictLine:
        """The verdict line and its next step, as the window shows them."""
        return verdict_line(self.judge())


def told_apart(v: StudyVerdict, levels: Mapping[str, float]) -> bool:
    """Whether any two candidates that are identical in truth are said to differ."""
    found = v.main.comparison
    return found is not None and any(
        levels[p.a] == levels[p.b] and p.verdict in {"a_lower", "b_lower"} for p in found.pairs
    )
