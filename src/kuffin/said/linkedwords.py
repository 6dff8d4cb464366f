"""Candidates of different studies, linked through a baseline: the working of their differences."""

from __future__ import annotations

from kuffin.core.base.language import tr
from kuffin.core.compare.linking import linked_by_baseline
from kuffin.core.findings import KINDS
from kuffin.said.shownworking import Working
from kuffin.verdict.across import Linked, LinkedStudies


def linked_working(link: LinkedStudies, chosen: Linked) -> Working:
    """A candidate against the baseline, and against every candidate of another study."""
    over = chosen.over_baseline.worked(
        tr("{candidate} over {baseline}", candidate=chosen.candidate, baseline=link.baseline), "a"
    )
    out = Working.of(f"{chosen.candidate} ({chosen.study})", over)
    out.say(
        tr("How"), tr("candidate less baseline within its own study; two studies differ by the difference of these")
    )
    for r in link.rows:
        if r.study != chosen.study:
            name = tr("{a} and {b} ({study})", a=chosen.candidate, b=r.candidate, study=r.study)
            out.add(linked_by_baseline(name, chosen.over_baseline, r.over_baseline))
    out.say(tr("Mind"), KINDS["bench moved"].advice)
    return out
