"""Why a run has no reading by an outcome."""

from __future__ import annotations


class NoReading(Exception):
    """The reason, as a clause: ``no channel has the role “die”``."""
