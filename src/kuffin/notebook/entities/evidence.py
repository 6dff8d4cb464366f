"""The evidence: mounts, runs, channels, windows, readings, exclusions; and the history of edits."""

from __future__ import annotations

from collections.abc import Sequence
from typing import TYPE_CHECKING, Any

from sqlalchemy import ForeignKey, LargeBinary, UniqueConstraint
from sqlalchemy.orm import Mapped, mapped_column, relationship

from kuffin.notebook.entities.base import Base, Binnable, Sentence, now_text
from kuffin.notebook.entities.shelf import Sample

if TYPE_CHECKING:
    from kuffin.notebook.entities.study import Candidate


class Mount(Binnable):
    """One candidate, one sample, put together once: the unit of evidence."""

    __tablename__ = "mount"
    candidate_id: Mapped[int] = mapped_column(ForeignKey("candidate.id"))
    sample_id: Mapped[int | None] = mapped_column(ForeignKey("sample.id"))
    round: Mapped[int] = mapped_column(default=1)
    position: Mapped[int] = mapped_column(default=0)
    note: Mapped[str] = mapped_column(default="")
    follows_id: Mapped[int | None]  # the mount of the same sample that it is the next state of: repaired, or made again
    control: Mapped[bool] = mapped_column(default=False)  # a retest of the baseline
    begun_at: Mapped[str | None]  # when preparing it began
    ready_at: Mapped[str | None]  # when it was ready to run
    candidate: Mapped[Candidate] = relationship(back_populates="mounts")
    runs: Mapped[list[Run]] = relationship(back_populates="mount", order_by="Run.id")
    exclusions: Mapped[list[Exclusion]] = relationship(back_populates="mount", order_by="Exclusion.id")
    answers: Mapped[list[Answer]] = relationship(back_populates="mount", order_by="Answer.id")
    sample: Mapped[Sample | None] = relationship()

    @property
    def _told(self) -> list[Run]:
        """Runs that are neither in the bin, nor still being recorded, nor a second log of another."""
        return [r for r in self.runs if r.binned_at is None and r.closed and r.joins_id is None]

    @property
    def live_runs(self) -> list[Run]:
        """Runs that count: those that tell what the mount was like when it was new."""
        return [r for r in self._told if not r.recheck]

    @property
    def rechecks(self) -> list[Run]:
        """Runs of later, when it had been left in place, by their begin."""
        return sorted((r for r in self._told if r.recheck), key=lambda r: (r.started_at or "", r.id))

    @property
    def read_runs(self) -> list[Run]:
        """All runs that can be looked at: the first ones, then the rechecks."""
        return [*self.live_runs, *self.rechecks]

    @property
    def first_read(self) -> str | None:
        """When its first run began; None where no clock tells."""
        return min((r.started_at for r in self.live_runs if r.started_at), default=None)

    def run_under(self, condition: str | None) -> Run | None:
        """The last run under a condition, or the last one where none tells that it was; None without a run."""
        runs = self.live_runs
        held = [r for r in runs if not r.condition or (condition or "").casefold() in {"", r.condition.casefold()}]
        return (held or runs)[-1] if runs else None

    @property
    def open_run(self) -> Run | None:
        """The run that is being recorded, or was cut off while it was."""
        return next((r for r in self.runs if r.binned_at is None and not r.closed), None)

    @property
    def left_out(self) -> str | None:
        """The reason why the mount does not count, None where it does."""
        return self.exclusions[-1].reason if self.exclusions else None

    @property
    def kept_because(self) -> str | None:
        """The reason of the last finding that was accepted, None where none was."""
        return self.answers[-1].reason if self.answers else None

    def joined_to(self, run_id: int) -> list[Run]:
        """Further logs of a run, joined to it by their lag."""
        return [r for r in self.runs if r.binned_at is None and r.joins_id == run_id]


def in_bench_order(mounts: Sequence[Mount]) -> list[Mount]:
    """Mounts in the order in which they were, or will be, on the bench: those with a run by its start, then the plan."""

    def key(mount: Mount) -> tuple[int, str, int, int]:
        starts = [r.started_at for r in mount.live_runs if r.started_at]
        begun = 0 if mount.live_runs else 1 if mount.begun_at else 2
        return begun, min(starts, default=""), mount.position, mount.id

    return sorted(mounts, key=key)


class Exclusion(Base):
    """A mount left out, with the reason."""

    __tablename__ = "exclusion"
    id: Mapped[int] = mapped_column(primary_key=True)
    mount_id: Mapped[int] = mapped_column(ForeignKey("mount.id"))
    reason: Mapped[str]
    at: Mapped[str] = mapped_column(default=now_text)
    mount: Mapped[Mount] = relationship(back_populates="exclusions")


class Answer(Base):
    """A finding that a person accepted, and why; `kind` is the finding's, or ``*`` for all there were."""

    __tablename__ = "answer"
    id: Mapped[int] = mapped_column(primary_key=True)
    mount_id: Mapped[int] = mapped_column(ForeignKey("mount.id"), index=True)
    kind: Mapped[str]
    reason: Mapped[str]
    at: Mapped[str] = mapped_column(default=now_text)
    mount: Mapped[Mount] = relationship(back_populates="answers")


class Run(Binnable):
    """One recording on one mount, or a second log of one: then it joins a run, its clock `lag_s` behind."""

    __tablename__ = "run"
    mount_id: Mapped[int] = mapped_column(ForeignKey("mount.id"))
    source: Mapped[str] = mapped_column(default="")
    started_at: Mapped[str | None]
    rows: Mapped[int] = mapped_column(default=0)
    duration_s: Mapped[float] = mapped_column(default=0.0)
    warnings: Mapped[list[Any]] = mapped_column(default=list)
    added_at: Mapped[str] = mapped_column(default=now_text)
    closed: Mapped[bool] = mapped_column(default=True)  # False while it is recorded, and after a kill
    note: Mapped[str] = mapped_column(default="")
    joins_id: Mapped[int | None] = mapped_column(ForeignKey("run.id"))
    recheck: Mapped[bool] = mapped_column(default=False)  # the mount was left in place, and tested again later
    condition: Mapped[str] = mapped_column(
        default=""
    )  # what it was tested under, where a log holds one test; blank: not told
    # what it was run with, by `core.bench.configuration.OF_TEST` or a name of the person's own
    settings: Mapped[dict[str, Any]] = mapped_column(default=dict)
    lag_s: Mapped[float] = mapped_column(default=0.0)  # what is added to its times to stand on the other run's clock
    mount: Mapped[Mount] = relationship(back_populates="runs")
    marks: Mapped[list[Mark]] = relationship(back_populates="run", order_by="Mark.at_s, Mark.id")
    channels: Mapped[list[Channel]] = relationship(back_populates="run", order_by="Channel.position")
    windows: Mapped[list[Window]] = relationship(back_populates="run", order_by="Window.id")


class Channel(Base):
    """One column of a run."""

    __tablename__ = "channel"
    id: Mapped[int] = mapped_column(primary_key=True)
    run_id: Mapped[int] = mapped_column(ForeignKey("run.id"))
    position: Mapped[int]
    name: Mapped[str]
    unit: Mapped[str | None]
    quantity: Mapped[str] = mapped_column(default="unknown")
    role: Mapped[str | None]
    device: Mapped[str | None]  # whose it is; None: the bench's, or not told
    resolution: Mapped[float | None]  # the step of its last digit, where a person typed it; None: it was recorded
    run: Mapped[Run] = relationship(back_populates="channels")


class Chunk(Base):
    """A block of samples: float64, little-endian, rows × (1 + channels), time in the first column."""

    __tablename__ = "chunk"
    __table_args__ = (UniqueConstraint("run_id", "sequence"),)
    id: Mapped[int] = mapped_column(primary_key=True)
    run_id: Mapped[int] = mapped_column(ForeignKey("run.id"), index=True)
    sequence: Mapped[int]
    rows: Mapped[int]
    columns: Mapped[int]
    data: Mapped[bytes] = mapped_column(LargeBinary)


class Window(Base):
    """The stretch of a run that its readings are taken from, where a person has set it by hand."""

    __tablename__ = "window"
    id: Mapped[int] = mapped_column(primary_key=True)
    run_id: Mapped[int] = mapped_column(ForeignKey("run.id"))
    begin_s: Mapped[float]
    end_s: Mapped[float]
    run: Mapped[Run] = relationship(back_populates="windows")


class Mark(Base):
    """Something that happened in a run: a person's mark, a stage, a number asked for, a trouble.

    `kind` is one of mark, stage, value, trouble, alarm, skip, photo.
    """

    __tablename__ = "mark"
    id: Mapped[int] = mapped_column(primary_key=True)
    run_id: Mapped[int] = mapped_column(ForeignKey("run.id"), index=True)
    at_s: Mapped[float]
    kind: Mapped[str] = mapped_column(default="mark")
    text: Mapped[Sentence] = mapped_column(default="")
    value: Mapped[float | None]
    unit: Mapped[str] = mapped_column(default="")
    run: Mapped[Run] = relationship(back_populates="marks")


class Reading(Base):
    """A result kept by what it was made from, so that nothing is worked out twice."""

    __tablename__ = "reading"
    __table_args__ = (UniqueConstraint("run_id", "made_from"),)
    id: Mapped[int] = mapped_column(primary_key=True)
    run_id: Mapped[int] = mapped_column(ForeignKey("run.id"), index=True)
    made_from: Mapped[str]
    values: Mapped[dict[str, Any]]


class Mapping(Base):
    """Roles, units and devices that a person chose for logs of one shape."""

    __tablename__ = "mapping"
    id: Mapped[int] = mapped_column(primary_key=True)
    shape: Mapped[str] = mapped_column(unique=True)
    roles: Mapped[dict[str, Any]]
    units: Mapped[dict[str, Any]] = mapped_column(default=dict)
    devices: Mapped[dict[str, Any]] = mapped_column(default=dict)


class Edit(Base):
    """One edit, with what it changed, for undo and redo."""

    __tablename__ = "edit"
    id: Mapped[int] = mapped_column(primary_key=True)
    label: Mapped[Sentence]
    at: Mapped[str] = mapped_column(default=now_text)
    changes: Mapped[list[Any]]
    undone: Mapped[bool] = mapped_column(default=False)
