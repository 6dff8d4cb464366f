"""A working as it is shown: a title, the number, worked values and remarks in their order, and where they lead on."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, field
from typing import Any

from kuffin.core.base.leads import Lead
from kuffin.core.base.worked import Worked
from kuffin.said.equations import Row, figure, rows


@dataclass(frozen=True)
class Link:
    """A way onwards, in words."""

    label: str
    to: Lead


@dataclass(kw_only=True)
class Working:
    """A number's working.

    Attributes
    ----------
    title, answer : str
    entries : list
        Worked values, which are written with their formulas, and remarks in words, which hold none.
    links : list of Link
    appendix : str
        Only in the copied text: what is too long to show.
    """

    title: str
    answer: str
    entries: list[Row | Worked] = field(default_factory=list)
    links: list[Link] = field(default_factory=list)
    appendix: str = ""

    @classmethod
    def of(cls, title: str, number: Worked) -> Working:
        """A number's working, the number itself as its answer."""
        return cls(title=title, answer=figure(number), entries=[number])

    def say(self, what: str, text: str, lead: Lead | None = None) -> None:
        """A remark in words."""
        self.entries.append(Row(what, text, lead))

    def say_all(self, remarks: Iterable[tuple[str, str]]) -> None:
        """Several remarks."""
        for what, text in remarks:
            self.say(what, text)

    def add(self, *numbers: Worked) -> None:
        """Worked values."""
        self.entries += numbers

    @property
    def numbers(self) -> list[Worked]:
        """The worked values."""
        return [e for e in self.entries if isinstance(e, Worked)]

    @property
    def rows(self) -> list[Row]:
        """All of it, line by line; what two numbers share stands there once."""
        told: dict[tuple[str, str], Row] = {}
        for entry in self.entries:
            for row in rows(entry) if isinstance(entry, Worked) else [entry]:
                told.setdefault((row.label, row.text), row)
        return list(told.values())

    def as_text(self) -> str:
        """Plain text for copying."""
        lines = [f"{r.label}: {r.text}" if r.label else r.text for r in self.rows]
        told = "\n".join([self.title, self.answer, "", *lines])
        return f"{told}\n\n{self.appendix}" if self.appendix else told

    def plain(self) -> dict[str, Any]:
        """As data, for a file."""
        return {
            "title": self.title,
            "answer": self.answer,
            "numbers": [n.plain() for n in self.numbers],
            "remarks": [{"about": e.label, "said": e.text} for e in self.entries if isinstance(e, Row)],
        }
