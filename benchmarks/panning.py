"""Panning an hour at 50 Hz × 8 channels: the median frame, beside that of an empty plot."""

from __future__ import annotations

import statistics

import numpy as np

from benchmarks.timing import seconds


def report() -> None:
    """Print both median frame times."""
    import pyqtgraph as pg

    from kuffin.app.look import theme as looks
    from kuffin.app.main import application
    from kuffin.app.widgets.curve import Curve
    from kuffin.app.widgets.traceplot import TracePlot

    app = application()
    looks.apply(app, looks.LIGHT)
    t = np.arange(0, 3600, 0.02)
    rng = np.random.default_rng(1)
    curves = [Curve(f"probe {i}", t, 25 + 5 * i + np.sin(t / (40 + i)) + rng.normal(0, 0.2, t.size)) for i in range(8)]
    ours, empty = TracePlot(looks.LIGHT), pg.PlotWidget()
    ours.show_run(None, curves, "K")
    for widget in (ours, empty):
        widget.resize(900, 560)
        widget.show()
    ours.top.setXRange(10, 30, padding=0)
    frames: list[float] = []
    bare: list[float] = []
    for i in range(60):

        def move(i: int = i) -> None:
            ours.pan(0.01 if i % 2 else -0.008)
            ours.grab()

        def move_empty(i: int = i) -> None:
            empty.setXRange(i * 0.01, 1 + i * 0.01, padding=0)
            empty.grab()

        frames.append(seconds(move))
        bare.append(seconds(move_empty))
    print(
        f"panning an hour at 50 Hz × 8 channels: median frame {1000 * statistics.median(frames[5:]):.1f} ms, "
        f"of an empty plot {1000 * statistics.median(bare[5:]):.1f} ms"
    )
