"""Worked values as one writes them: the formula in symbols, with figures, and its result, so that the sum adds up."""

from __future__ import annotations

from dataclasses import dataclass
from math import isfinite

from kuffin.core.base.formula import evaluate, in_symbols, with_figures
from kuffin.core.base.leads import Lead
from kuffin.core.base.numbers import number
from kuffin.core.base.worked import Worked

_MOST_DIGITS = 9  # more decimals than a term is shown with at first


@dataclass(frozen=True)
class Row:
    """A line of a working: what it is, what is said of it, and where it leads on."""

    label: str
    text: str
    lead: Lead | None = None
    symbols: tuple[str, ...] = ()  # that stand in the text, as formulas call them


def figure(w: Worked) -> str:
    """A worked value with its half-width and unit: ``15.11 ± 0.11 K``."""
    half = "" if w.half is None else f" ± {number(w.half.value, _digits(w.half, w.digits))}"
    unit = f" {w.unit}" if w.unit else ""
    return f"{number(w.value, _digits(w, w.digits))}{half}{unit}"


def equation(w: Worked) -> str:
    """What a value is, with its formula in symbols and in figures where it has one.

    >>> r = Worked(name="Resistance", symbol="R", value=0.0604, unit="K/W", digits=4)
    >>> p = Worked(name="Power", symbol="P", value=250.0, unit="W", digits=0)
    >>> from kuffin.core.base.worked import worked
    >>> equation(worked("Rise", "ΔT", "R*P", [r, p], "K"))
    'ΔT = R·P = 0.0604 K/W × 250 W = 15.10 K'
    """
    if not w.formula:
        return f"{w.symbol} = {figure(w)}"
    symbols = in_symbols(w.formula)
    if symbols == w.formula == w.terms[0].symbol:  # the value is that of its only term
        return f"{w.symbol} = {symbols} = {figure(w)}"
    return f"{w.symbol} = {symbols} = {with_figures(w.formula, dict(figures_of(w)))} = {figure(w)}"


def figures_of(w: Worked) -> list[tuple[str, str]]:
    """Each term's symbol and figure, with as many decimals as it takes for the printed sum to add up."""
    told = {t.unit for t in w.terms if t.unit}
    mixed = told != {w.unit} and bool(told)
    at = {t.symbol: _digits(t, t.digits) for t in w.terms}
    wanted = round(w.value, _digits(w, w.digits)) if isfinite(w.value) else w.value
    for _ in range(_MOST_DIGITS):
        rounded = {t.symbol: round(t.value, at[t.symbol]) for t in w.terms}
        found = evaluate(w.formula, rounded)
        if isfinite(found) and round(found, _digits(w, w.digits)) == wanted:
            break
        at = {t.symbol: at[t.symbol] if _whole(t) else at[t.symbol] + 1 for t in w.terms}
    return [(t.symbol, number(t.value, at[t.symbol]) + (f" {t.unit}" if mixed and t.unit else "")) for t in w.terms]


def _whole(w: Worked) -> bool:
    return w.digits == 0 and float(w.value).is_integer()


def _digits(w: Worked, least: int) -> int:
    """Decimals to show a value with: more than usual where it would otherwise be shown as nothing."""
    if not isfinite(w.value) or w.value == 0 or (least == 0 and abs(w.value) >= 1):
        return least
    digits = least
    while round(abs(w.value), digits) < 10.0**-digits and digits < 12:
        digits += 1
    return digits + 1 if digits > least else digits


def rows(w: Worked) -> list[Row]:
    """A worked value, then its half-width and all its terms, each once, from the top down; a term that leads on has its line alone."""
    said: dict[tuple[str, str], Row] = {}
    told: set[tuple[str, str]] = set()
    for one in w.all(beyond_leads=False):
        if _in_passing(one) and one is not w:
            continue
        led = one.leads is not None and one is not w
        lines = [f"{one.symbol} = {figure(one)}" if led else equation(one) + (f"; {one.source}" if one.source else "")]
        plain = {(t.symbol, t.name): t for t in one.terms if _in_passing(t) and not led}
        new = [
            f"{t.symbol}: {t.name}" + (f" ({t.source})" if t.source else "")
            for key, t in plain.items()
            if key not in told
        ]
        told |= set(plain)
        if new:
            lines.append("; ".join(new))
        text = "\n".join(lines)
        symbols = (one.symbol, *(t.symbol for t in one.terms))
        said.setdefault((one.name, text), Row(one.name, text, one.leads, symbols))
    return list(said.values())


def _in_passing(w: Worked) -> bool:
    """Whether a term is told with the formula that it stands in, without a line of its own."""
    return not w.formula and w.half is None and w.leads is None
