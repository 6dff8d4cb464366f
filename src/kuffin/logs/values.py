"""Single cells of a log: numbers with their thousands signs and units, missing marks, words."""

from __future__ import annotations

import math
import re

from kuffin.core.base.units import parse_unit

MISSING = (
    "",
    "-",
    "--",
    "---",
    "----",
    "—",
    "–",
    "?",
    "*",
    "n/a",
    "N/A",
    "NA",
    "na",
    "n.a.",
    "N.A.",
    "nan",
    "NaN",
    "NAN",
    "-nan",
    "null",
    "NULL",
    "Null",
    "none",
    "None",
    "NONE",
    "#N/A",
    "#NA",
    "<NA>",
    ".",
    "..",
    "...",
)
_MISSING_SET = {m.lower() for m in MISSING}
_NUMBER = re.compile(
    r"""^[~≈]?\s*(?P<sign>[+\-−]?)\s*
        (?P<body>(?:\d[\d.,'’\u00a0\u202f ]*\d|\d)[.,]?|[.,]\d+)
        (?P<exp>[eE][+\-]?\d{1,3})?
        \s*(?P<unit>[^\d\s.,;:+\-][^\s]*(?:\s[^\d\s]+)?)?$""",
    re.VERBOSE,
)
LONGEST = 64  # signs of a cell that holds a number
_GROUPS = {
    sep: re.compile(rf"^[1-9]\d{{0,2}}(?:{re.escape(sep)}\d{{3}})+$")
    for sep in (",", ".", "'", "’", " ", "\u00a0", "\u202f")
}


def is_missing(cell: str) -> bool:
    """Whether a cell says that there is no value."""
    return cell.strip().lower() in _MISSING_SET


def parse_number(cell: str, decimal: str = ".") -> tuple[float, str | None]:
    """Read a cell as a number and, where it carries one, its unit.

    Parameters
    ----------
    cell : str
        For instance ``41.5 °C``, ``2,480``, ``1.830,5``, ``-``.
    decimal : {'.', ','}
        The decimal sign of the log.

    Returns
    -------
    value : float
        NaN where the cell holds no number.
    unit : str or None
        The unit as written.
    """
    text = cell.strip().strip('"').strip()
    if len(text) > LONGEST or text.lower() in _MISSING_SET:
        return math.nan, None
    match = _NUMBER.match(text)
    if match is None or ((unit := match["unit"]) and parse_unit(unit) is None and not _is_word(unit)):
        return math.nan, None
    body = _plain(match["body"], decimal)
    if body is None:
        return math.nan, None
    value = float(body + (match["exp"] or ""))
    if not math.isfinite(value):
        return math.nan, None
    return (-value if match["sign"] in {"-", "−"} else value), match["unit"]


def _is_word(unit: str) -> bool:
    """A unit that Kuffin does not know is a short word; ``1/2``, ``0x1F``, ``10^3``, ``41½``, ``31±2`` are no numbers with units."""
    parts = re.split(r"[/ .]", unit)
    return len(parts) <= 2 and all(part.isalpha() and len(part) <= 12 for part in parts)


def _plain(body: str, decimal: str) -> str | None:
    """The digits with a point as decimal sign and without thousands signs; None where they make no number."""
    whole, sign, fraction = body.partition(decimal)
    if sign and not fraction.isdigit() and fraction:
        # more than one decimal sign: thousands written with it ("1,234,567" in a file with decimal commas)
        return body.replace(decimal, "") if _GROUPS[decimal].match(body) else None
    if whole and not whole.isdigit():
        if not any(group.match(whole) for sep, group in _GROUPS.items() if sep != decimal):
            # a lone "3.5" in a file of decimal commas is still three and a half
            other = "." if decimal == "," else ","
            if not sign and re.fullmatch(rf"\d+{re.escape(other)}\d+", whole):
                return whole.replace(",", ".")
            return None
        whole = re.sub(r"\D", "", whole)
    return f"{whole or '0'}.{fraction or '0'}"
