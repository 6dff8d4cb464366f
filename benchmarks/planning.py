"""A plan of 12 candidates × 6 rounds over 4 weeks: drawn, and laid over the days, beside a bare sort of its mounts."""

from __future__ import annotations

import datetime as dt
import random

from benchmarks.timing import in_turn
from kuffin.core.plan.order import plan_order
from kuffin.core.plan.schedule import BenchJob, Hours, lay

_AIM = "aim: at once, that is under 0.1 s"


def report() -> None:
    """Print both times."""
    names = [f"Candidate {n}" for n in range(12)]
    slots = plan_order(names, 6, 1)
    jobs = [BenchJob(i, s.candidate, (("change over", 45.0), ("run", 60.0))) for i, s in enumerate(slots)]
    hours = Hours({day: (9.0, 17.0) for day in range(5)})
    begin = dt.datetime(2026, 3, 2, 9, 0)
    shuffled = list(range(72))
    random.Random(1).shuffle(shuffled)
    sort = lambda: sorted(shuffled)  # noqa: E731
    for what, work in (
        ("drawing the order of 12 × 6 mounts, the evenest of sixty draws", lambda: plan_order(names, 6, 2)),
        ("laying 72 mounts over the days", lambda: lay(jobs, hours, begin, begin + dt.timedelta(days=28))),
    ):
        ours, bare = in_turn(work, sort, 20)
        print(f"{what}: {1000 * ours:.2f} ms beside {1000 * bare:.4f} ms for a bare sort of them ({_AIM})")
