"""Leads: what stands behind a number further down, as a thing to open. Ids are those of the notebook."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class Where:
    """Of which comparison a number is.

    Attributes
    ----------
    school : str
        Blank: the study's own.
    condition : str or None
        None: the verdict's.
    in_grid : bool
        Whether it is a cell of the grid of parts and conditions, which are judged together, or the verdict's own.
    """

    school: str = ""
    condition: str | None = None
    in_grid: bool = False


VERDICT = Where()


@dataclass(frozen=True)
class Lead:
    """Something that can be opened from a number."""


@dataclass(frozen=True)
class ToMount(Lead):
    """A mount, on its own desk."""

    mount: int


@dataclass(frozen=True)
class ToCandidate(Lead):
    """A candidate's mean."""

    name: str
    where: Where = VERDICT


@dataclass(frozen=True)
class ToPair(Lead):
    """What is known of two candidates."""

    a: str
    b: str
    where: Where = VERDICT


@dataclass(frozen=True)
class ToReading(Lead):
    """A mount's reading."""

    mount: int
    where: Where = VERDICT


@dataclass(frozen=True)
class ToSamples(Lead):
    """A run's samples in the window of a school's trace."""

    run: int
    where: Where = VERDICT
