"""Cells of a CSV file that a spreadsheet would take for formulas are written as text."""

from __future__ import annotations

import re
from typing import Any

from kuffin.core.base.plaintext import without_controls

# a sign before something that is no number; a tab or a return before anything
_FORMULA = re.compile(r"^(?:[=@\t\r]|[+\-−](?!\s*[\d.,]+(?:[eE][+\-]?\d+)?\s*$))")


def cell(value: Any) -> Any:
    """A value for a CSV cell: text that would be a formula gets an apostrophe before it; unknown is blank.

    Numbers, also as text, stay as they are.

    >>> cell("=1+1"), cell("Reed"), cell(4.5)
    ("'=1+1", 'Reed', 4.5)
    """
    if value is None:
        return ""
    if not isinstance(value, str):
        return value
    text = without_controls(value)  # a lone return would begin a row of its own
    return "'" + text if _FORMULA.match(text.lstrip(" ")) else text


def plain(written: str) -> str:
    """A cell read back: without the apostrophe that `cell` has set.

    >>> plain("'=1+1"), plain("Reed"), plain("'t Zand")
    ('=1+1', 'Reed', "'t Zand")
    """
    return written[1:] if written.startswith("'") and _FORMULA.match(written[1:].lstrip(" ")) else written
