"""What a check noticed, and the kinds of things it can notice."""

from __future__ import annotations

from dataclasses import asdict, dataclass, fields
from typing import Any

from kuffin.core.base.numbers import begun
from kuffin.core.base.saying import Saying, from_plain, told
from kuffin.core.findings.kinds import KINDS

REMARK, DOUBT = "remark", "doubt"


@dataclass(frozen=True, kw_only=True)
class Finding:
    """Something that a check noticed about a run, a mount or a study.

    Attributes
    ----------
    kind : str
        One of `kuffin.core.findings.kinds.KINDS`, which has its title, causes and advice.
    seen : str
        What was seen, with its numbers: a clause without a full stop, in English. Made with `say`, it can be told otherwise.
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
    saying : dict, optional
        What `seen` was made of; taken from it.
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
    saying: dict[str, Any] | None = None

    def __post_init__(self) -> None:
        if self.kind not in KINDS:
            raise ValueError(f"there is no kind of finding called {self.kind}")
        if isinstance(self.seen, Saying):
            object.__setattr__(self, "saying", self.seen.to_plain())
            object.__setattr__(self, "seen", str(self.seen))

    @property
    def said(self) -> str:
        """What was seen, as it can be told in the window's language."""
        if self.saying is None:
            return self.seen
        try:
            kept = from_plain(self.saying)
        except (KeyError, TypeError, ValueError, AttributeError):  # another Kuffin's
            return self.seen
        return kept if kept == self.seen else self.seen

    @property
    def serious(self) -> bool:
        """Whether it has to be answered."""
        return self.weight == DOUBT

    @property
    def sentence(self) -> str:
        """What was seen, as a sentence in the window's language."""
        return f"{begun(told(self.said))}."

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
