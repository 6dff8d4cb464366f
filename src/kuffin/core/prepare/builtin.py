"""A configuration as it stands on the bench: what it is called, how it is used, and which cautions it asks for."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any

from kuffin.core.base.language import tr
from kuffin.core.bench.configuration import SETTINGS, written
from kuffin.core.bench.undertest import kind_under_test


@dataclass(frozen=True, kw_only=True)
class BuiltIn:
    """A configuration as it stands, or shall stand, on the bench.

    Attributes
    ----------
    under_test : str
        A kind of ``core.bench.undertest``.
    candidate, sample : str
    parts : mapping of slot (block, radiator, fans, coolant, paste, pads, pump) to the part's name
    settings : mapping of setting to value
    details : mapping
        What is known of the parts: ``screws`` (such as "M3 × 30 with one washer"), ``volume_ml``, ``glycol``,
        ``paste_sort``, ``screw_pattern``.
    """

    under_test: str
    candidate: str
    sample: str = "1"
    parts: Mapping[str, str] = field(default_factory=dict)
    settings: Mapping[str, Any] = field(default_factory=dict)
    details: Mapping[str, Any] = field(default_factory=dict)

    def own(self, slot: str) -> str:
        """What takes a slot: the candidate itself where that is what is under test; blank for nothing."""
        return self.candidate if kind_under_test(self.under_test).slot == slot else self.parts.get(slot, "")

    @property
    def name(self) -> str:
        """The candidate with how many of it, and its sample where it is not the first."""
        pieces = int(self.details.get("places") or 1)
        several = tr(", {pieces} of it", pieces=pieces) if pieces > 1 else ""
        sample = tr(", sample {sample}", sample=self.sample) if self.sample not in {"", "1"} else ""
        return self.candidate + several + sample

    @property
    def use(self) -> str:
        """How the part is used, where that is told: its ports, by how much it is turned."""
        said = [
            f"{tr(s.label)} {tr(written(s, v)) if v in s.options else written(s, v)}"
            for k, s in SETTINGS.items()
            if s.of_use and (v := self.settings.get(k))
        ]
        return f" ({', '.join(said)})" if said else ""

    @property
    def glycol_cautions(self) -> tuple[str, ...]:
        """Of what is drained or filled in."""
        return ("glycol",) if self.details.get("glycol") not in {None, "", "none"} else ()

    @property
    def fin_cautions(self) -> tuple[str, ...]:
        """Of fins that cut."""
        return ("fins",) if kind_under_test(self.under_test).fins else ()

    @property
    def paste_cautions(self) -> tuple[str, ...]:
        """Of a paste that conducts electricity."""
        sort = self.details.get("paste_sort")
        return {"liquid metal": ("liquid metal",), "electrically conductive": ("paste",)}.get(str(sort), ())
