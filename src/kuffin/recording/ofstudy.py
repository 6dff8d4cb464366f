"""What a run needs of its study: the next mount, the protocol, and what stands on the simulated bench."""

from __future__ import annotations

from collections.abc import Sequence

from kuffin.core.base.errors import BenchError, KuffinError
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.demo.practice import bench_for
from kuffin.notebook.entities import Candidate, Mount, Protocol, Study
from kuffin.notebook.planedits import protocols
from kuffin.notebook.store import Notebook
from kuffin.recording.openbench import OpenBench, simulated
from kuffin.verdict.planbasis import steps_of


def next_mount_of(candidate: Candidate) -> Mount | None:
    """The candidate's next mount without a run."""
    return next((m for m in candidate.live_mounts if not m.live_runs and m.open_run is None), None)


def open_simulated(study: Study, candidate: Candidate, mount: Mount | None, speed: float) -> OpenBench:
    """The simulated bench with a candidate built in.

    Raises
    ------
    BenchError
        Where the speed makes no sense.
    """
    if not 0.1 <= speed <= 1000:
        raise BenchError("the simulated bench runs at 0.1 to 1000 times life's speed")
    number = mount.round if mount is not None else len(candidate.live_mounts) + 1
    return simulated(bench_for(study.under_test, candidate.name, number), number, speed)


def protocol_of(notebook: Notebook, study: Study) -> Protocol | None:
    """The study's protocol, None for the built-in one."""
    return next((p for p in protocols(notebook) if p.id == study.protocol_id), None)


def steps_and_limits(protocol: Protocol | None) -> tuple[Sequence[Step], Limits]:
    """What is done in a run, and at what it is stopped.

    Raises
    ------
    KuffinError
        Where nothing is under load.
    """
    steps = steps_of(protocol)
    if not any(s.load for s in steps):
        raise KuffinError("the protocol has no step under load; add one on the Plan desk")
    return steps, Limits.from_plain(protocol.limits if protocol is not None else None)
