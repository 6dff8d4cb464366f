"""What a check noticed, and the kinds of things it can notice."""

from __future__ import annotations

from dataclasses import asdict, dataclass, fields
from typing import Any

REMARK, DOUBT = "remark", "doubt"


@dataclass(frozen=True, kw_only=True)
class Finding:
    """Something that a check noticed about a run, a mount or a study.

    Attributes
    ----------
    kind : str
        One of `kuffin.core.findings.kinds.KINDS`, which has its title, causes and advice.
    seen : str
        What was seen, with its numbers: a clause without a full stop.
    weight : str
        ``remark`` (worth knowing) or ``doubt`` (to be answered before the mount counts).
    span_s : (float, float) or None
        Where on the run's clock.
    channels : tuple of str
        Which channels show it.
    value, limit : float or None
        The figure, and the limit that it passed; in `unit`.
    others : tuple of (str, float)
        The same figure of the other mounts, for a picture beside it.
    """

    kind: str
    seen: str
    weight: str = DOUBT
    span_s: tuple[float, float] | None = None
    channels: tuple[str, ...] = ()
    value: float | None = None
    limit: float | None = None
    unit: str = ""
    others: tuple[tuple[str, float], ...] = ()
    figure: str = ""

    @property
    def serious(self) -> bool:
        """Whether it has to be answered."""
        return self.weight == DOUBT

    @property
    def sentence(self) -> str:
        """What was seen, as a sentence."""
        return f"{self.seen[:1].upper()}{self.seen[1:]}."

    def to_plain(self) -> dict[str, Any]:
        """As it is kept in a notebook."""
        return asdict(self)

    @classmethod
    def from_plain(cls, kept: dict[str, Any]) -> Finding:
        """As it was kept; what an older Kuffin did not know takes its default."""
        known = {f.name for f in fields(cls)}
        values = {k: v for k, v in kept.items() if k in known}
        values["span_s"] = None if values.get("span_s") is None else tuple(values["span_s"])
        values["channels"] = tuple(values.get("channels", ()))
        values["others"] = tuple((str(a), float(b)) for a, b in values.get("others", ()))
        return cls(**values)
