"""The states that a mount goes through, each in a word."""

from __future__ import annotations

from kuffin.app.state.windowstate import State
from kuffin.core.base.language import mark
from kuffin.notebook.entities import Mount
from kuffin.verdict.planbasis import next_mount


def mount_state(state: State, mount: Mount, running_id: int | None) -> str:
    """A mount's state in a word; `running_id` is the mount that is being recorded."""
    if mount.left_out:
        return mark("left out")
    if mount.id == running_id:
        return mark("recording")
    if mount.open_run is not None:
        return mark("cut off")
    if not mount.live_runs:
        if mount.ready_at or mount.begun_at:
            return mark("ready to run") if mount.ready_at else mark("on the bench")
        coming = None if state.study is None else next_mount(state.study)
        return mark("next") if coming is not None and coming.id == mount.id else mark("to do")
    verdict = state.verdict
    reading = state.reading(mount.id)
    if verdict is None or reading is None:
        return mark("waiting")
    if reading.failed:
        return mark("not finished")
    if reading.value is None or verdict.unanswered(mount.id):
        return mark("doubtful")
    return (
        mark("kept")
        if verdict.kept(mount.id)
        else mark("typed")
        if reading.typed and reading.settled
        else mark("settled")
        if reading.settled
        else mark("level known")
    )
