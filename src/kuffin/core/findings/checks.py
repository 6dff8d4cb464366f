"""All checks of one run, in the order in which one would look."""

from __future__ import annotations

from kuffin.core.findings import air, running, sensors, settling
from kuffin.core.findings.finding import Finding
from kuffin.core.findings.recorded import Recorded
from kuffin.core.findings.thresholds import CheckLimits
from kuffin.core.settle import Settled


def check_run(run: Recorded, main: Settled | None, problem: str, limits: CheckLimits) -> list[Finding]:
    """What a run shows by itself, without its siblings.

    Parameters
    ----------
    main : Settled or None
        The trace that the study is about; None where it could not be judged, with the reason in `problem`.

    >>> import numpy as np
    >>> from kuffin.core.findings.thresholds import CheckLimits
    >>> nothing = Recorded(times=np.arange(60.0), values={}, roles=())
    >>> [f.kind for f in check_run(nothing, None, "no channel has a role", CheckLimits())]
    ['unreadable']
    """
    found = [
        *settling.settled(run, main, problem),
        *settling.which_plateau(main),
        *air.uphill(run),
        *sensors.stuck(run),
        *sensors.out_of_range(run),
        *sensors.drops_out(run, limits),
        *sensors.spikes(run, limits),
        *sensors.clock_gaps(run, limits),
        *sensors.coarse(run),
        *settling.stepped(run),
        *settling.hot_start(run, main),
        *settling.cut_cycles(run),
        *air.jumped(run, limits),
        *air.drifted(run, limits),
        *air.probes_apart(run, limits),
        *air.zero_check(run),
        *air.moist(run, limits),
        *running.throttled(run, limits),
        *running.power_drifts(run, limits),
        *running.sags(run, limits),
        *running.at_the_wall(run),
    ]
    stuck = {n for f in found if f.kind == "stuck" for n in f.channels}
    upside_down = any(f.kind == "swapped" for f in found)
    # what a stuck or wrong channel makes of other checks is no news
    if stuck:
        echoes = {"spikes", "stepped", "drift", "coarse"}
        found = [f for f in found if f.kind not in echoes or (f.channels and not set(f.channels) & stuck)]
    if not stuck and not upside_down:
        found += [*settling.crept(run, limits), *air.warm_at_rest(run, limits), *running.open_balance(run, limits)]
    return found
