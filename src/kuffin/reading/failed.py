"""Tests that could not be finished: a shutdown, a limit that was passed. That is a result, and is counted as one."""

from __future__ import annotations

from collections.abc import Sequence

from kuffin.core.base.language import tr
from kuffin.core.base.saying import told
from kuffin.notebook.entities import Run
from kuffin.reading.runresult import RunResult

FAILED = "failed"  # the kind of mark that tells of it


def failed_under(run: Run, result: RunResult, conditions: Sequence[str], condition: str | None) -> str:
    """Why a run could not be finished, where that was under a condition; blank where it could be.

    Parameters
    ----------
    result : RunResult
        Of the whole run.
    conditions : sequence of str
        All that runs of the study have, in the order in which they come.
    condition : str or None
        None where there is only one.
    """
    for mark in (m for m in run.marks if m.kind == FAILED):
        why = told(mark.text) or tr("no reason was given")
        if condition is None or not result.steps:
            own = condition is None or not (run.condition or result.condition) or result.at(condition) is not None
        else:
            within = [
                s for s in result.steps if s.stretch_s is not None and s.stretch_s[0] <= mark.at_s <= s.stretch_s[1] + 1
            ]
            lacking = [c for c in conditions if result.at(c) is None]
            # past all that was found: the next one that should have come
            own = (within[-1].condition if within else lacking[0] if lacking else "") == condition
        if own:
            return why
    return ""
