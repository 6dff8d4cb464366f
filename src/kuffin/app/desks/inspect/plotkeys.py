"""What the keyboard does to a run's traces."""

from __future__ import annotations

from collections.abc import Callable
from typing import TYPE_CHECKING

if TYPE_CHECKING:
    from kuffin.app.widgets.traceplot import TracePlot


def plot_keys(plot: TracePlot) -> dict[str, Callable[[], None]]:
    """Keys and what each does."""
    return {
        "+": lambda: plot.zoom(0.7),
        "-": lambda: plot.zoom(1.4),
        "Home": plot.show_all,
        "Alt+Left": lambda: plot.pan(-0.2),
        "Alt+Right": lambda: plot.pan(0.2),
        "Ctrl+Left": lambda: plot.step_cursor(-0.01),
        "Ctrl+Right": lambda: plot.step_cursor(0.01),
    }
