"""The shelf and the bench: parts, their samples, the loop, its instruments and probes."""

from __future__ import annotations

from typing import Any

from sqlalchemy import ForeignKey
from sqlalchemy.orm import Mapped, mapped_column, relationship

from kuffin.notebook.entities.base import Binnable, now_text


class Part(Binnable):
    """Something on the shelf; `fields` holds what its kind needs (see kuffin.core.bench.parts)."""

    __tablename__ = "part"
    kind: Mapped[str]
    name: Mapped[str]
    maker: Mapped[str] = mapped_column(default="")
    product: Mapped[str] = mapped_column(default="")  # what it is called elsewhere, where its name here was taken
    fields: Mapped[dict[str, Any]] = mapped_column(default=dict)
    price: Mapped[float | None]
    currency: Mapped[str] = mapped_column(default="")
    claim: Mapped[str] = mapped_column(default="")
    claim_where: Mapped[str] = mapped_column(default="")
    note: Mapped[str] = mapped_column(default="")
    samples: Mapped[list[Sample]] = relationship(back_populates="part", order_by="Sample.id")
    curves: Mapped[list[Curve]] = relationship(back_populates="part", order_by="Curve.id", foreign_keys="Curve.part_id")

    def is_product(self, other: Part) -> bool:
        """Whether another part is the same product: the same kind, by the same maker, of the same name; where a maker is not told, nobody knows."""
        if self.id == other.id:
            return True
        own, its = ((p.kind, p.maker.casefold(), (p.product or p.name).casefold()) for p in (self, other))
        return bool(self.maker) and own == its

    @property
    def live_samples(self) -> list[Sample]:
        """Those that are not in the bin."""
        return [s for s in self.samples if s.binned_at is None]

    @property
    def live_curves(self) -> list[Curve]:
        """Those that are not in the bin."""
        return [c for c in self.curves if c.binned_at is None]


class Curve(Binnable):
    """Readings of flow and pressure on a part, or a pump's head, as they were taken; what is fitted to them is not kept."""

    __tablename__ = "curve"
    part_id: Mapped[int] = mapped_column(ForeignKey("part.id"), index=True)
    kind: Mapped[str]  # by kuffin.core.flow.curvekinds
    points: Mapped[list[Any]] = mapped_column(default=list)  # [flow L/h, kPa, pieces in series or speed in %]
    measured_on: Mapped[str] = mapped_column(default="")
    source: Mapped[str] = mapped_column(default="measured")
    coolant_id: Mapped[int | None] = mapped_column(ForeignKey("part.id"))
    temperature_c: Mapped[float | None]
    instruments: Mapped[str] = mapped_column(default="")
    flow_accuracy: Mapped[str] = mapped_column(default="")  # as it is written: 2 %, 1 % + 0.1
    pressure_accuracy: Mapped[str] = mapped_column(default="")
    note: Mapped[str] = mapped_column(default="")
    added_at: Mapped[str] = mapped_column(default=now_text)
    part: Mapped[Part] = relationship(back_populates="curves", foreign_keys=[part_id])
    coolant: Mapped[Part | None] = relationship(foreign_keys=[coolant_id])


class Sample(Binnable):
    """One physical specimen of a part, and how it came."""

    __tablename__ = "sample"
    part_id: Mapped[int] = mapped_column(ForeignKey("part.id"))
    label: Mapped[str] = mapped_column(default="1")
    came: Mapped[str] = mapped_column(default="")
    note: Mapped[str] = mapped_column(default="")
    part: Mapped[Part] = relationship(back_populates="samples")


class Bench(Binnable):
    """A bench: a loop in order, its instruments, and what is being cooled."""

    __tablename__ = "bench"
    name: Mapped[str]
    note: Mapped[str] = mapped_column(default="")
    settings: Mapped[dict[str, Any]] = mapped_column(
        default=dict
    )  # the usual configuration, see kuffin.core.bench.configuration
    sound: Mapped[dict[str, Any]] = mapped_column(default=dict)  # how recordings are made here
    places: Mapped[list[Place]] = relationship(back_populates="bench", order_by="Place.position")
    instruments: Mapped[list[Instrument]] = relationship(back_populates="bench", order_by="Instrument.id")

    @property
    def loop(self) -> list[Place]:
        """The places of the loop, without those in the bin."""
        return [p for p in self.places if p.binned_at is None]

    @property
    def cooled(self) -> tuple[str, ...]:
        """The devices in the loop, in the direction of flow."""
        return tuple(dict.fromkeys(p.device for p in self.loop if p.device))

    @property
    def live_instruments(self) -> list[Instrument]:
        """Those that are not in the bin."""
        return [i for i in self.instruments if i.binned_at is None]


class Place(Binnable):
    """One place in the loop, in the direction of flow; the part under test takes the place of its kind."""

    __tablename__ = "place"
    bench_id: Mapped[int] = mapped_column(ForeignKey("bench.id"))
    position: Mapped[int] = mapped_column(default=0)
    part_id: Mapped[int | None] = mapped_column(ForeignKey("part.id"))
    settings: Mapped[dict[str, Any]] = mapped_column(default=dict)  # such as length_mm of a tube
    device: Mapped[str | None]  # what is cooled here (see kuffin.core.bench.devices)
    bench: Mapped[Bench] = relationship(back_populates="places")
    part: Mapped[Part | None] = relationship()


class Instrument(Binnable):
    """A measuring instrument with its accuracy."""

    __tablename__ = "instrument"
    bench_id: Mapped[int] = mapped_column(ForeignKey("bench.id"))
    name: Mapped[str]
    unit: Mapped[str] = mapped_column(default="degC")
    reading_percent: Mapped[float] = mapped_column(default=0.0)
    full_scale_percent: Mapped[float] = mapped_column(default=0.0)
    full_scale: Mapped[float | None]
    counts: Mapped[float] = mapped_column(default=0.0)
    count_size: Mapped[float] = mapped_column(default=0.1)
    calibrated_on: Mapped[str] = mapped_column(default="")
    offset: Mapped[float] = mapped_column(default=0.0)
    note: Mapped[str] = mapped_column(default="")
    bench: Mapped[Bench] = relationship(back_populates="instruments")
    probes: Mapped[list[Probe]] = relationship(back_populates="instrument", order_by="Probe.id")

    @property
    def live_probes(self) -> list[Probe]:
        """Those that are not in the bin."""
        return [p for p in self.probes if p.binned_at is None]


class Probe(Binnable):
    """Where a probe of an instrument sits, and what it tells there."""

    __tablename__ = "probe"
    instrument_id: Mapped[int] = mapped_column(ForeignKey("instrument.id"))
    role: Mapped[str | None]
    where: Mapped[str] = mapped_column(default="")
    channel: Mapped[str] = mapped_column(default="")
    instrument: Mapped[Instrument] = relationship(back_populates="probes")
