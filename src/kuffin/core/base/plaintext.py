"""Text that goes into files: without the control signs that people's and logs' names may carry, which no format takes."""

from __future__ import annotations

import re

# all of C0 and C1 but tab and line feed, what is no character of XML, and halves of characters
_CONTROLS = re.compile("[\x00-\x08\x0b-\x1f\x7f-\x9f\ud800-\udfff\ufffe\uffff]+")


def without_controls(text: str) -> str:
    """Text with a blank in the place of control signs; line feeds and tabs stay.

    >>> without_controls("Die\\x1b[31m\\r=1")
    'Die [31m =1'
    """
    return _CONTROLS.sub(" ", text)
