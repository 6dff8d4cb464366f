"""Worked values: a number with its unit, its half-width, and the formula and terms that it was made from."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Any

from kuffin.core.base.formula import evaluate, symbols
from kuffin.core.base.leads import Lead


@dataclass(frozen=True, kw_only=True)
class Worked:
    """A number that carries its working.

    Attributes
    ----------
    name : str
        What it is, in words.
    symbol : str
        By which formulas call it.
    value : float
    unit : str
        As shown; blank where it has none.
    digits : int
        Decimals that it is shown with.
    formula : str
        Over the terms' symbols, see `kuffin.core.base.formula`; blank where it was measured, fitted or chosen.
    terms : tuple of Worked
        What the formula is made of.
    half : Worked or None
        The half-width of its 95 % interval, with the working of that.
    source : str
        Where it comes from: who measured or chose it, what was fitted, or whose formula it is.
    leads : Lead or None
        What stands behind it further down.
    """

    name: str
    symbol: str
    value: float
    unit: str = ""
    digits: int = 2
    formula: str = ""
    terms: tuple[Worked, ...] = ()
    half: Worked | None = None
    source: str = ""
    leads: Lead | None = None

    @property
    def u95(self) -> float | None:
        """The half-width's value."""
        return None if self.half is None else self.half.value

    def all(self, *, beyond_leads: bool = True) -> Iterator[Worked]:
        """It, its half-width, and all that they were made from, each once, from the top down.

        Parameters
        ----------
        beyond_leads : bool
            Whether also what stands behind a term that leads on to a working of its own.
        """
        seen: set[int] = set()
        waiting = [self]
        while waiting:
            one = waiting.pop(0)
            if id(one) in seen:
                continue
            seen.add(id(one))
            yield one
            if one.leads is not None and one is not self and not beyond_leads:
                continue
            waiting[:0] = [*one.terms, *([one.half] if one.half is not None else [])]

    def plain(self, *, inner: bool = False) -> dict[str, Any]:
        """As data, for a file; what is blank is left out, and what a term leads on to has a place of its own."""
        told: dict[str, Any] = {"name": self.name, "symbol": self.symbol, "value": self.value}
        told |= {k: v for k in ("unit", "formula", "source") if (v := getattr(self, k))}
        if self.half is not None:
            told["half_width_95"] = self.half.plain(inner=True)
        if self.terms and not (inner and self.leads is not None):
            told["terms"] = [t.plain(inner=True) for t in self.terms]
        return told


def worked(
    name: str,
    symbol: str,
    formula: str,
    terms: Sequence[Worked],
    unit: str = "",
    *,
    digits: int = 2,
    half: Worked | None = None,
    source: str = "",
    leads: Lead | None = None,
) -> Worked:
    """A value worked out from others by a formula.

    Raises
    ------
    ValueError
        Where the formula's symbols are not those of the terms.

    >>> rise = Worked(name="Rise", symbol="ΔT", value=15.0, unit="K")
    >>> power = Worked(name="Power", symbol="P", value=250.0, unit="W")
    >>> worked("Resistance", "R", "ΔT/P", [rise, power], "K/W").value
    0.06
    """
    known = {t.symbol: t.value for t in terms}
    if set(symbols(formula)) != set(known) or len(known) != len(terms):
        raise ValueError(f"“{formula}” and its terms {', '.join(known)} do not go together")
    return Worked(
        name=name,
        symbol=symbol,
        value=evaluate(formula, known),
        unit=unit,
        digits=digits,
        formula=formula,
        terms=tuple(terms),
        half=half,
        source=source,
        leads=leads,
    )


def mean_of(
    name: str,
    symbol: str,
    terms: Sequence[Worked],
    unit: str = "",
    *,
    digits: int = 2,
    half: Worked | None = None,
    source: str = "",
) -> Worked:
    """The plain mean of several values, whose symbols differ.

    >>> mean_of("Mean", "m", [Worked(name=s, symbol=s, value=x) for s, x in (("a", 1.0), ("b", 4.0))]).formula
    '(a + b)/2'
    """
    formula = f"({' + '.join(t.symbol for t in terms)})/{len(terms)}" if len(terms) > 1 else terms[0].symbol
    return worked(name, symbol, formula, terms, unit, digits=digits, half=half, source=source)


def in_quadrature(
    name: str, symbol: str, terms: Sequence[Worked], unit: str = "", *, over: int = 1, digits: int = 3, source: str = ""
) -> Worked:
    """The root of the sum of squares of several values; of a mean of so many, divided by their number.

    >>> in_quadrature("Both", "U", [Worked(name=s, symbol=s, value=x) for s, x in (("a", 3.0), ("b", 4.0))]).value
    5.0
    """
    formula = f"sqrt({' + '.join(f'{t.symbol}**2' for t in terms)})" + (f"/{over}" if over > 1 else "")
    return worked(name, symbol, formula, terms, unit, digits=digits, source=source)
