"""A study under one school: each mount's reading, and the comparison they allow."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.compare import Comparison
from kuffin.core.normalise import School


@dataclass(frozen=True)
class MountReading:
    """One mount under one school, as shown.

    Attributes
    ----------
    value, u95 : float or None
        None where the mount cannot be read under this school.
    settled : bool
    """

    mount_id: int
    candidate: str
    round: int
    value: float | None
    u95: float | None
    settled: bool
    left_out: str | None
    problem: str | None = None
    runs: tuple[int, ...] = ()

    @property
    def label(self) -> str:
        return f"{self.candidate}, round {self.round}"


@dataclass(frozen=True)
class SchoolResult:
    """A study under one school: its readings and, where there is enough, the comparison."""

    school: School
    readings: tuple[MountReading, ...]
    comparison: Comparison | None
    why_not: str | None

    def of(self, candidate: str) -> list[MountReading]:
        return [r for r in self.readings if r.candidate == candidate]

    def ranking(self) -> list[str]:
        """Candidates from the coolest to the warmest; by their mounts' plain means where no comparison is possible."""
        if self.comparison is not None:
            return [c.name for c in sorted(self.comparison.candidates, key=lambda c: c.mean)]
        means: dict[str, list[float]] = {}
        for reading in self.readings:
            if reading.value is not None and reading.left_out is None:
                means.setdefault(reading.candidate, []).append(reading.value)
        return sorted(means, key=lambda name: float(np.mean(means[name])))
