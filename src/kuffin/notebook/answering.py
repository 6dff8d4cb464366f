"""Answers to findings: accepted with a reason, or the mount made again."""

from __future__ import annotations

from collections.abc import Sequence

from sqlalchemy import select

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.saying import say
from kuffin.notebook.entities import Answer, Exclusion, Mark, Mount, Run
from kuffin.notebook.store import Notebook


def accept(notebook: Notebook, mount_id: int, label: str, kinds: Sequence[str], reason: str) -> None:
    """Let a mount count in spite of findings of these kinds, with the reason why.

    Raises
    ------
    NotebookError
        Without a reason.
    """
    reason = _reason(reason, "a finding is accepted only with a reason; say in a few words why the mount counts")
    with notebook.edit(say("accept what was found about {label}", label=label)) as session:
        for kind in kinds:
            for old in session.scalars(select(Answer).where(Answer.mount_id == mount_id, Answer.kind == kind)):
                session.delete(old)
            session.add(Answer(mount_id=mount_id, kind=kind, reason=reason))


def withdraw(notebook: Notebook, mount_id: int, label: str, kinds: Sequence[str]) -> None:
    """Open findings of these kinds again."""
    with notebook.edit(say("open what was found about {label} again", label=label)) as session:
        for old in session.scalars(select(Answer).where(Answer.mount_id == mount_id)):
            if old.kind in kinds or old.kind == "*":
                session.delete(old)


def remount(notebook: Notebook, mount_id: int, label: str, reason: str) -> int:
    """Leave a mount out, with the reason, and plan it once more in the same round; returns the new mount's id.

    Raises
    ------
    NotebookError
        Without a reason.
    """
    reason = _reason(reason, "a mount is made again only with a reason; say in a few words what spoilt this one")
    return _next_state(notebook, mount_id, say("remount {label}", label=label), f"mounted again: {reason}")


def repair(notebook: Notebook, mount_id: int, label: str, done: str) -> int:
    """Plan the same sample's next state: other pads, screws tightened again. What was before is left out, and stays to be seen.

    Raises
    ------
    NotebookError
        Where it is not said what is done.
    """
    done = _reason(done, "say in a few words what is repaired: thicker pads, screws tightened again")
    return _next_state(notebook, mount_id, say("repair {label}", label=label), f"repaired: {done}")


def _next_state(notebook: Notebook, mount_id: int, what: str, reason: str) -> int:
    with notebook.edit(what) as session:
        old = session.get_one(Mount, mount_id)
        session.add(Exclusion(mount_id=mount_id, reason=reason))
        new = Mount(
            candidate_id=old.candidate_id,
            sample_id=old.sample_id,
            round=old.round,
            position=old.position + 1,
            follows_id=mount_id,
        )
        session.add(new)
        session.flush()
        return new.id


def could_not_finish(notebook: Notebook, mount_id: int, label: str, reason: str) -> None:
    """Note that a mount's last run could not be finished, and why: that is a result.

    Raises
    ------
    NotebookError
        Without a reason.
    """
    reason = _reason(reason, "what could not be finished needs a word on why: shut down, past its limit")
    with notebook.edit(say("note that {label} could not be finished", label=label)) as session:
        run = _last_run(session.get_one(Mount, mount_id))
        session.add(Mark(run_id=run.id, at_s=run.duration_s, kind="failed", text=reason))


def did_finish(notebook: Notebook, mount_id: int, label: str) -> None:
    """Take back that a mount's runs could not be finished."""
    with notebook.edit(say("note that {label} was finished", label=label)) as session:
        for run in session.get_one(Mount, mount_id).live_runs:
            for mark in run.marks:
                if mark.kind == "failed":
                    session.delete(mark)


def _last_run(mount: Mount) -> Run:
    if not mount.live_runs:
        raise NotebookError("this mount has no run yet that could have failed")
    return mount.live_runs[-1]


def _reason(reason: str, otherwise: str) -> str:
    if not reason.strip():
        raise NotebookError(otherwise)
    return reason.strip()
