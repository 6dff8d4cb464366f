"""Compare candidates with the mount as the unit of evidence, and say what may be said of each pair.

Methods: docs/methods.md, "Comparing". Welch for two candidates; least squares with Tukey–Kramer for all pairs or
Dunnett against a reference; Games–Howell where each candidate keeps its own spread; several samples of a candidate are a
random effect (REML, Kenward–Roger).
"""

from kuffin.core.compare.api import compare
from kuffin.core.compare.evidence import CandidateResult, Comparison, MountValue, PairResult

__all__ = ["CandidateResult", "Comparison", "MountValue", "PairResult", "compare"]
