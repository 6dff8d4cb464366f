"""What a notebook holds: studies, candidates, samples, mounts, runs, channels, windows, readings, exclusions.

The schema is described for others in docs/notebook-format.md.
"""

from __future__ import annotations

import datetime as dt
from typing import Any

from sqlalchemy import JSON, ForeignKey, LargeBinary, UniqueConstraint
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column, relationship

SCHEMA_VERSION = 1
APPLICATION_ID = 0x4B554646  # "KUFF"

UNDER_TEST = {
    # what is compared: (word for what is done to it, default school)
    "radiator": ("fitted", "coolant_over_air_per_watt"),
    "block": ("mounted", "die_over_coolant_per_watt"),
    "paste": ("mounted", "die_over_coolant_per_watt"),
    "pad": ("mounted", "die_over_coolant_per_watt"),
    "coolant": ("filled", "die_over_air_per_watt"),
    "set": ("mounted", "die_over_air_per_watt"),
}


class Base(DeclarativeBase):
    """All tables of a notebook."""

    type_annotation_map = {dict[str, Any]: JSON, list[Any]: JSON}  # noqa: RUF012


class Binnable(Base):
    """What goes to the bin instead of being deleted."""

    __abstract__ = True
    id: Mapped[int] = mapped_column(primary_key=True)
    binned_at: Mapped[str | None]


def now_text() -> str:
    """The present moment as ISO text to the second."""
    return dt.datetime.now().isoformat(timespec="seconds")


class Study(Binnable):
    """A question, its candidates, and how it is judged."""

    __tablename__ = "study"
    name: Mapped[str]
    question: Mapped[str]
    under_test: Mapped[str] = mapped_column(default="radiator")
    margin_k: Mapped[float] = mapped_column(default=1.0)
    confidence: Mapped[float] = mapped_column(default=0.95)
    reference_power_w: Mapped[float | None]
    reference_air_c: Mapped[float] = mapped_column(default=22.0)
    tolerance_k: Mapped[float] = mapped_column(default=0.2)
    school: Mapped[str | None]
    reference_candidate: Mapped[str | None]
    blocks: Mapped[bool] = mapped_column(default=False)
    planned_rounds: Mapped[int] = mapped_column(default=3)
    created_at: Mapped[str] = mapped_column(default=now_text)
    candidates: Mapped[list[Candidate]] = relationship(back_populates="study", order_by="Candidate.position")

    @property
    def live_candidates(self) -> list[Candidate]:
        return [c for c in self.candidates if c.binned_at is None]


class Candidate(Binnable):
    """One of the things that are compared."""

    __tablename__ = "candidate"
    study_id: Mapped[int] = mapped_column(ForeignKey("study.id"))
    name: Mapped[str]
    position: Mapped[int] = mapped_column(default=0)
    study: Mapped[Study] = relationship(back_populates="candidates")
    samples: Mapped[list[Sample]] = relationship(back_populates="candidate")
    mounts: Mapped[list[Mount]] = relationship(back_populates="candidate", order_by="Mount.position")

    @property
    def live_mounts(self) -> list[Mount]:
        return [m for m in self.mounts if m.binned_at is None]


class Sample(Binnable):
    """One physical specimen of a candidate."""

    __tablename__ = "sample"
    candidate_id: Mapped[int] = mapped_column(ForeignKey("candidate.id"))
    label: Mapped[str] = mapped_column(default="1")
    candidate: Mapped[Candidate] = relationship(back_populates="samples")


class Mount(Binnable):
    """One candidate, one sample, put together once: the unit of evidence."""

    __tablename__ = "mount"
    candidate_id: Mapped[int] = mapped_column(ForeignKey("candidate.id"))
    sample_id: Mapped[int | None] = mapped_column(ForeignKey("sample.id"))
    round: Mapped[int] = mapped_column(default=1)
    position: Mapped[int] = mapped_column(default=0)
    note: Mapped[str] = mapped_column(default="")
    kept_because: Mapped[str | None]
    candidate: Mapped[Candidate] = relationship(back_populates="mounts")
    runs: Mapped[list[Run]] = relationship(back_populates="mount", order_by="Run.id")
    exclusions: Mapped[list[Exclusion]] = relationship(back_populates="mount", order_by="Exclusion.id")

    @property
    def live_runs(self) -> list[Run]:
        return [r for r in self.runs if r.binned_at is None]

    @property
    def left_out(self) -> str | None:
        """The reason why the mount does not count, None where it does."""
        return self.exclusions[-1].reason if self.exclusions else None


class Exclusion(Base):
    """A mount left out, with the reason."""

    __tablename__ = "exclusion"
    id: Mapped[int] = mapped_column(primary_key=True)
    mount_id: Mapped[int] = mapped_column(ForeignKey("mount.id"))
    reason: Mapped[str]
    at: Mapped[str] = mapped_column(default=now_text)
    mount: Mapped[Mount] = relationship(back_populates="exclusions")


class Run(Binnable):
    """One recording on one mount."""

    __tablename__ = "run"
    mount_id: Mapped[int] = mapped_column(ForeignKey("mount.id"))
    source: Mapped[str] = mapped_column(default="")
    started_at: Mapped[str | None]
    rows: Mapped[int] = mapped_column(default=0)
    duration_s: Mapped[float] = mapped_column(default=0.0)
    warnings: Mapped[list[Any]] = mapped_column(default=list)
    added_at: Mapped[str] = mapped_column(default=now_text)
    mount: Mapped[Mount] = relationship(back_populates="runs")
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


class Reading(Base):
    """A result kept by what it was made from, so that nothing is worked out twice."""

    __tablename__ = "reading"
    __table_args__ = (UniqueConstraint("run_id", "made_from"),)
    id: Mapped[int] = mapped_column(primary_key=True)
    run_id: Mapped[int] = mapped_column(ForeignKey("run.id"), index=True)
    made_from: Mapped[str]
    values: Mapped[dict[str, Any]]


class Mapping(Base):
    """Roles, units and names that a person chose for logs of one shape."""

    __tablename__ = "mapping"
    id: Mapped[int] = mapped_column(primary_key=True)
    shape: Mapped[str] = mapped_column(unique=True)
    roles: Mapped[dict[str, Any]]
    units: Mapped[dict[str, Any]] = mapped_column(default=dict)


class Edit(Base):
    """One edit, with what it changed, for undo and redo."""

    __tablename__ = "edit"
    id: Mapped[int] = mapped_column(primary_key=True)
    label: Mapped[str]
    at: Mapped[str] = mapped_column(default=now_text)
    changes: Mapped[list[Any]]
    undone: Mapped[bool] = mapped_column(default=False)
