"""Findings: did anything spoil this run? Each check is a function over a run or over the mounts of a study."""

from kuffin.core.findings.checks import check_run
from kuffin.core.findings.figures import figures
from kuffin.core.findings.finding import DOUBT, REMARK, Finding
from kuffin.core.findings.kinds import KINDS, Kind
from kuffin.core.findings.recorded import Recorded
from kuffin.core.findings.siblings import Sibling, against_siblings
from kuffin.core.findings.thresholds import THRESHOLDS, CheckLimits, Threshold
from kuffin.core.findings.together import together

__all__ = [
    "DOUBT",
    "KINDS",
    "REMARK",
    "THRESHOLDS",
    "CheckLimits",
    "Finding",
    "Kind",
    "Recorded",
    "Sibling",
    "Threshold",
    "against_siblings",
    "check_run",
    "figures",
    "together",
]
