"""The study: its question, candidates, claims and protocol."""

from __future__ import annotations

from typing import Any

from sqlalchemy import ForeignKey
from sqlalchemy.orm import Mapped, mapped_column, relationship

from kuffin.notebook.entities.base import Binnable, now_text
from kuffin.notebook.entities.evidence import Mount
from kuffin.notebook.entities.shelf import Part, Sample


class Study(Binnable):
    """A question, its candidates, how it is planned and how it is judged."""

    __tablename__ = "study"
    name: Mapped[str]
    question: Mapped[str]
    under_test: Mapped[str] = mapped_column(default="radiator")
    device: Mapped[str | None]  # whose die is asked about; None: by the parts that are compared, or the only one
    margin_k: Mapped[float] = mapped_column(default=1.0)
    confidence: Mapped[float] = mapped_column(default=0.95)
    reference_power_w: Mapped[float | None]
    reference_air_c: Mapped[float] = mapped_column(default=22.0)
    tolerance_k: Mapped[float] = mapped_column(default=0.2)
    school: Mapped[str | None]
    reference_id: Mapped[int | None]  # the candidate that all others are compared with
    baseline_id: Mapped[int | None]  # the candidate that is mounted again and again to watch the bench
    blocks: Mapped[bool] = mapped_column(default=False)
    planned_rounds: Mapped[int] = mapped_column(default=3)
    bench_id: Mapped[int | None] = mapped_column(ForeignKey("bench.id"))
    protocol_id: Mapped[int | None] = mapped_column(ForeignKey("protocol.id"))
    same: Mapped[list[Any]] = mapped_column(default=list)  # settings that must stay the same
    fair_because: Mapped[dict[str, Any]] = mapped_column(default=dict)  # what differs and stays: the reason, by its key
    plan: Mapped[dict[str, Any]] = mapped_column(default=dict)  # goal, order and hours; see docs/notebook-format.md
    published: Mapped[dict[str, Any]] = mapped_column(default=dict)  # how its page is laid out, with own words
    created_at: Mapped[str] = mapped_column(default=now_text)
    candidates: Mapped[list[Candidate]] = relationship(back_populates="study", order_by="Candidate.position")
    claims: Mapped[list[Claim]] = relationship(back_populates="study", order_by="Claim.id")

    @property
    def live_candidates(self) -> list[Candidate]:
        """Those that are not in the bin."""
        return [c for c in self.candidates if c.binned_at is None]

    @property
    def live_claims(self) -> list[Claim]:
        """Those that are not in the bin."""
        return [c for c in self.claims if c.binned_at is None]

    @property
    def spread(self) -> str:
        """How the mounts' spread is taken: ``moderated``, ``pooled`` or ``separate`` (`kuffin.core.compare.compare`)."""
        kept = str(self.plan.get("spread") or "moderated")
        return "moderated" if kept == "as noticed" else kept  # as it was called in older notebooks

    def candidate(self, candidate_id: int | None) -> Candidate | None:
        """The candidate of an id; None where it is not here or in the bin."""
        return next((c for c in self.live_candidates if c.id == candidate_id), None)


class Candidate(Binnable):
    """One of the things that are compared: a part from the shelf, built in with certain settings."""

    __tablename__ = "candidate"
    study_id: Mapped[int] = mapped_column(ForeignKey("study.id"))
    part_id: Mapped[int] = mapped_column(ForeignKey("part.id"))
    name: Mapped[str]
    position: Mapped[int] = mapped_column(default=0)
    configuration: Mapped[dict[str, Any]] = mapped_column(default=dict)  # where it departs from the bench's settings
    study: Mapped[Study] = relationship(back_populates="candidates")
    part: Mapped[Part] = relationship()
    mounts: Mapped[list[Mount]] = relationship(back_populates="candidate", order_by="Mount.position, Mount.id")

    @property
    def samples(self) -> list[Sample]:
        """The samples of its part."""
        return self.part.live_samples

    @property
    def live_mounts(self) -> list[Mount]:
        """Those that are not in the bin."""
        return [m for m in self.mounts if m.binned_at is None]


class Claim(Binnable):
    """What somebody else says: A is by so much better than B, or has such a value."""

    __tablename__ = "claim"
    study_id: Mapped[int] = mapped_column(ForeignKey("study.id"))
    candidate_id: Mapped[int] = mapped_column(ForeignKey("candidate.id"))
    against_id: Mapped[int | None] = mapped_column(ForeignKey("candidate.id"))  # None: it is about the value itself
    amount: Mapped[float]  # in the unit of the outcome, or in per cent of the other's value
    high: Mapped[float | None]  # the upper end of a range
    way: Mapped[str] = mapped_column(default="at least")  # see kuffin.core.compare.claims.WAYS
    percent: Mapped[bool] = mapped_column(default=False)
    outcome: Mapped[str] = mapped_column(default="")  # see kuffin.core.bench.outcomes; blank: the temperature in use
    said_by: Mapped[str] = mapped_column(default="")
    said_where: Mapped[str] = mapped_column(default="")
    study: Mapped[Study] = relationship(back_populates="claims")


class Protocol(Binnable):
    """What is done in each run: steps, how each settles, limits. Kept apart from the studies to be used again."""

    __tablename__ = "protocol"
    name: Mapped[str]
    steps: Mapped[list[Any]] = mapped_column(default=list)  # see kuffin.core.bench.protocol.Step
    limits: Mapped[dict[str, Any]] = mapped_column(default=dict)
    note: Mapped[str] = mapped_column(default="")
