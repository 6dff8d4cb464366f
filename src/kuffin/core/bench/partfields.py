"""What is kept of a part: its fields, their tolerances, and the kind that has them."""

from __future__ import annotations

from dataclasses import dataclass, replace

MOST_KPA = "max_pressure_kpa"  # what is told of every part that coolant runs through


@dataclass(frozen=True, kw_only=True)
class Field:
    """One field of a kind of part.

    Attributes
    ----------
    kind : str
        ``number``, ``text``, ``choice`` (one of `options`) or ``several`` (some of them).
    toleranced : bool
        Whether its tolerance can be told beside it (`tolerance_key`).
    in_hand : bool
        Whether it is what one finds with the part in the hand: told where it is worth telling, and never missed.
    """

    key: str
    label: str
    kind: str = "number"
    unit: str = ""
    options: tuple[str, ...] = ()
    low: float = 0.0
    high: float = 1e6
    toleranced: bool = False
    in_hand: bool = False


def tolerance_key(key: str) -> str:
    """Where the tolerance of a size is kept: ± so much.

    >>> tolerance_key("height_mm")
    'height_mm_tolerance'
    """
    return f"{key}_tolerance"


def _tolerance(size: Field) -> Field:
    return replace(size, key=tolerance_key(size.key), label=f"{size.label}, ±", low=0.0, toleranced=False, in_hand=True)


@dataclass(frozen=True, kw_only=True)
class PartKind:
    """A kind of part; `slot` is the place that it takes, and `cools` whether it belongs to the cooling that one buys."""

    key: str
    plural: str
    fields: tuple[Field, ...]
    slot: str = ""
    cools: bool = True

    @property
    def kept(self) -> tuple[Field, ...]:
        """All that is kept of a part: its fields, and the tolerances of its sizes."""
        return (*self.fields, *(_tolerance(f) for f in self.fields if f.toleranced))

    @property
    def wet(self) -> bool:
        """Whether coolant runs through it, so that the loop is opened to change it."""
        return self.slot == "coolant" or any(f.key == MOST_KPA for f in self.fields)
