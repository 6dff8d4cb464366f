"""What stands on the simulated bench when a study is recorded from it: known radiators, and others drawn from their name."""

from __future__ import annotations

import datetime as dt
import zlib
from dataclasses import replace

import numpy as np

from kuffin.core.bench.undertest import kind_under_test
from kuffin.demo.scenario import BATCH, BLOCK, MOUNT_SCATTER, RADIATORS
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, Radiator, RunPlan


def bench_for(under_test: str, candidate: str, round_number: int, seed: int = 0) -> RunPlan:
    """The bench with a candidate built in; the same candidate is the same each time, each mount is a little different.

    Parameters
    ----------
    under_test : str
        A kind of core.undertest. A radiator of the demo is the demo's; anything else has a resistance drawn from its name.
    """
    drawn = np.random.default_rng(zlib.crc32(candidate.lower().encode()))
    mount = np.random.default_rng([zlib.crc32(candidate.lower().encode()), round_number, seed])
    radiator, block = RADIATORS["Reed"], BLOCK
    scatter = 1 + float(mount.normal(0, MOUNT_SCATTER))
    kind = kind_under_test(under_test)
    if kind.loop_side:
        radiator = RADIATORS.get(candidate) or Radiator(name=candidate, k_w=0.062 * float(np.exp(drawn.normal(0, 0.1))))
    if kind.sits_on_die:
        block = Block(
            name=candidate, r0_k_w=0.045 * float(np.exp(drawn.normal(0, 0.25))), paste_k_w=BLOCK.paste_k_w * scatter
        )
    elif kind.block_side and kind.on_die:
        block = replace(BLOCK, paste_k_w=BLOCK.paste_k_w * float(np.exp(drawn.normal(0, 0.15))) * scatter)
    return RunPlan(
        radiator=radiator,
        block=block,
        load=BATCH,
        room=Room(start_c=21.0 + float(mount.uniform(0, 3)), drift_k_h=0.4, wander_k=0.1),
        start=dt.datetime(2026, 1, 1),
        mount_factor=scatter if kind.loop_side else 1.0,
    )
