"""What the demo's shelf knows of flow: two blocks read one, two and three in series, a radiator, and a pump's curve.

One evening in February the studio put a gauge across Tern and Ruff, then read Reed, and took the pump's curve at three speeds
with a valve. The same wheel and the same gauge were used throughout; both are a little off by the same share in all readings, as
instruments are. Plover was read without a gauge only, with and without it in the loop.
"""

from __future__ import annotations

import numpy as np

from kuffin.demo.blocks import block_of
from kuffin.notebook import curveedits
from kuffin.notebook import shelf as edit_shelf
from kuffin.notebook.store import Notebook
from kuffin.simulated.hydraulics import Pump, Restriction, loop_flow
from kuffin.simulated.station import REST_OF_LOOP, Radiator

SEED = 1804
BLOCKS_READ = ("Tern", "Ruff")
RADIATOR = "Reed"
SPEEDS = (0.4, 0.7, 1.0)
LESS_FLOW = "Plover"
LESS_AT = 0.7
_WHEEL, _GAUGE = 1.008, 0.995  # what each is off by
_TOLD = {
    "measured_on": "2026-02-14",
    "temperature_c": 25.0,
    "instruments": "flow wheel, hand gauge",
    "flow_accuracy": "2 %",
    "pressure_accuracy": "1 % + 0.1 kPa",
}


def truth_of(name: str) -> Restriction:
    """A part's true restriction."""
    return Radiator(name=name, k_w=0.06).restriction if name == RADIATOR else block_of(name).restriction


def add_restrictions(notebook: Notebook) -> None:
    """Put the readings on the shelf, where the parts are."""
    rng = np.random.default_rng(SEED)
    shelf = {p.name: p for p in edit_shelf.parts(notebook)}
    told = {**_TOLD, "coolant_id": shelf["Brook"].id}
    for name in (*BLOCKS_READ, RADIATOR):
        most = 270.0 if name == BLOCKS_READ[0] else 330.0
        rows = []
        for count in (1, 2, 3) if name in BLOCKS_READ else (1,):
            for flow in np.linspace(60.0, most / count**0.4, 7 if count == 1 else 4):
                drop = count * truth_of(name).drop(float(flow))
                rows.append([_wheel(float(flow), rng), _gauge(drop, rng), float(count)])
        curveedits.add_curve(notebook, shelf[name].id, "restriction", rows, **told)
    pump, rows = Pump(), []
    for speed in SPEEDS:
        for flow in np.linspace(40.0, 0.8 * pump.free_flow_l_h * speed, 6):
            rows.append([_wheel(float(flow), rng), _gauge(pump.head(float(flow), speed), rng), 100 * speed])
    curveedits.add_curve(notebook, shelf["Dipper"].id, "pump", rows, **told)
    rest = [truth_of(RADIATOR), REST_OF_LOOP]
    without, within = (loop_flow(pump, LESS_AT, parts) for parts in (rest, [*rest, truth_of(LESS_FLOW)]))
    pairs = [[_wheel(without, rng), _wheel(within, rng), 100 * LESS_AT] for _ in range(4)]
    curveedits.add_curve(notebook, shelf[LESS_FLOW].id, "with and without", pairs, **told)


def _wheel(flow: float, rng: np.random.Generator) -> float:
    return round(flow * _WHEEL * (1 + 0.004 * float(rng.normal())), 1)


def _gauge(drop: float, rng: np.random.Generator) -> float:
    return round(drop * _GAUGE * (1 + 0.002 * float(rng.normal())) + 0.02 * float(rng.normal()), 2)
