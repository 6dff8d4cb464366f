"""What the one next thing leads to."""

from __future__ import annotations

from typing import TYPE_CHECKING

from kuffin.core.base.pointers import BENCH, CHANNELS, QUESTION
from kuffin.said.nextstep import NextStep

if TYPE_CHECKING:
    from kuffin.app.frame.window import MainWindow


def take_step(window: MainWindow, step: NextStep) -> None:
    """Go where a step leads: to a desk, a mount, or the place where something has to be told."""
    mount = step.mount_id
    if step.action == "add":
        window.studies.ask_logs()
    elif step.action == "prepare":
        window.prepare_mount(mount)
    elif step.action == "run":
        window.run_mount(mount)
    elif step.action == BENCH:
        window.show_behind("Bench")
    elif step.action in {"plan", QUESTION}:
        window.show_desk("Plan")
        if step.action == QUESTION:
            window.plan.go("question")
    elif step.action in {"inspect", CHANNELS} and mount is not None:
        window.open_mount(mount)
        run = window.state.run()
        if step.action == CHANNELS and run is not None:
            window.studies.ask_channels(run.id)
    else:
        window.show_desk("Compare")
        window.compare.go(step.action if step.action in {"baseline", "rounds", "ageing"} else "verdict")
