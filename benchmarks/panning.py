"""Panning an hour at 20 Hz × 60 channels, all in their rows: the median frame, beside that of an empty plot."""

from __future__ import annotations

import statistics

import numpy as np

from benchmarks.timing import seconds

_ROLES = (
    "coolant_in",
    "air_in",
    "die",
    "memory",
    "power",
    "flow",
    "pump",
    "clock",
    "sound",
    "pressure",
    "humidity",
    "voltage",
)


def report() -> None:
    """Print both median frame times."""
    import pyqtgraph as pg

    from kuffin.app.look import theme as looks
    from kuffin.app.look.application import application
    from kuffin.app.widgets.traceplot import TracePlot
    from kuffin.core.bench.devices import ChannelRole
    from kuffin.core.settle import settle
    from kuffin.notebook.samples import RunData
    from kuffin.reading.traceview import ROWS, drawn

    app = application()
    looks.apply(app, looks.LIGHT)
    t = np.arange(0, 3600, 0.05)
    rng = np.random.default_rng(1)
    values = {f"probe {i}": 25 + i + 9 * (1 - np.exp(-t / 600)) + rng.normal(0, 0.2, t.size) for i in range(60)}
    channels = tuple(ChannelRole(name, _ROLES[i % len(_ROLES)]) for i, name in enumerate(values))
    data = RunData(times=t, values=values, roles={}, units=dict.fromkeys(values), channels=channels)
    view = drawn(data, settle(t, values["probe 0"]), "probe 0, K")
    ours, empty = TracePlot(looks.LIGHT), pg.PlotWidget()
    for widget in (ours, empty):
        widget.resize(900, 700)
        widget.show()
    ours.show_rows(tuple(key for key, _, _ in ROWS), False)
    drawing = seconds(lambda: ours.show_view(view))
    ours.top.setXRange(10, 30, padding=0)
    frames: list[float] = []
    bare: list[float] = []
    for i in range(40):

        def move(i: int = i) -> None:
            ours.pan(0.01 if i % 2 else -0.008)
            ours.grab()

        def move_empty(i: int = i) -> None:
            empty.setXRange(i * 0.01, 1 + i * 0.01, padding=0)
            empty.grab()

        frames.append(seconds(move))
        bare.append(seconds(move_empty))
    print(
        f"panning an hour at 20 Hz × 60 channels: median frame {1000 * statistics.median(frames[5:]):.1f} ms, "
        f"of an empty plot {1000 * statistics.median(bare[5:]):.1f} ms; drawn anew in {1000 * drawing:.0f} ms"
    )
