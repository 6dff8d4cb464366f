"""How pads sit: by thickness and measured gap, by what their print shows, and where on the board they are."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr

Place = tuple[float, float, float, float]  # middle x, middle y, width, height, mm from the die's middle, y downwards
PRINTS = ("all of it", "part of it", "none of it")  # what of a pad the print shows touched
_SIZES: dict[str, tuple[float, float]] = {"memory": (14.0, 12.0), "regulators": (8.0, 40.0), "coils": (11.0, 40.0)}
_OTHER = (16.0, 8.0)
BOARD_MM = (150.0, 96.0)


@dataclass(frozen=True, kw_only=True)
class Pad:
    """A pad in its place.

    Attributes
    ----------
    gap_mm : float or None
        The gap it fills; None: nobody measured it.
    least_percent, most_percent : float
        How far it may be squeezed.
    printed : str
        What of it the print shows touched, one of `PRINTS`; blank: nobody looked.
    """

    where: str
    thickness_mm: float
    gap_mm: float | None
    least_percent: float = 10.0
    most_percent: float = 40.0
    printed: str = ""


@dataclass(frozen=True, kw_only=True)
class PadFit:
    """How a pad sits.

    Attributes
    ----------
    state : str
        ``right``, ``touches`` (by its print, its squeeze unknown), ``loose`` (squeezed too little), ``in part``, ``tight`` (too
        much), ``no contact``, or ``unknown``.
    lift_mm : float
        By how much it would still have to be squeezed beyond its limit: 0 where it yields enough.
    """

    pad: Pad
    squeeze_percent: float | None
    state: str
    lift_mm: float
    sentence: str


def pads(fitted: Sequence[Pad]) -> tuple[list[PadFit], float, str]:
    """How all pads sit, the die's stand-off in mm, and what that means.

    The squeeze is ``(pad − gap)/pad``. A pad that must be squeezed beyond its limit holds the block off the die; the
    most that any pad does so is the stand-off. What a print shows goes before what a gap says.

    Raises
    ------
    BenchError
        For a gap below zero, no thickness, or limits that cross.

    >>> found, stand_off, _ = pads([Pad(where="memory", thickness_mm=1.0, gap_mm=0.5)])
    >>> found[0].state, round(stand_off, 2)
    ('tight', 0.1)
    """
    out = [_fit(pad) for pad in fitted]
    stand_off = max((p.lift_mm for p in out), default=0.0)
    bare = [p.pad.where for p in out if p.state in {"no contact", "in part"}]
    unknown = [p.pad.where for p in out if p.state in {"unknown", "touches"}]
    if stand_off > 0:
        worst = max(out, key=lambda p: p.lift_mm).pad.where
        said = tr(
            "The die would stand off by {stand_off:.2f} mm, because of {worst}: it loses contact.",
            stand_off=stand_off,
            worst=worst,
        )
    elif bare:
        said = tr("Not cooled as it should be: {fromkeys}.", fromkeys=", ".join(dict.fromkeys(bare)))
    elif unknown:
        said = tr(
            "Whether the die touches the block is not known: the gap under {fromkeys} was not measured.",
            fromkeys=", ".join(dict.fromkeys(unknown)),
        )
    else:
        said = tr("The pads let the die touch the block.") if out else tr("No pads are entered.")
    return out, stand_off, said


def _fit(pad: Pad) -> PadFit:
    """One pad: first by its gap, then by its print."""
    squeeze, state, lift, words = _by_gap(pad)
    if pad.printed == PRINTS[2] and state != "no contact":
        state, by_gap = (
            "no contact",
            tr(", though it should be squeezed by {squeeze:.0f} %", squeeze=squeeze) if squeeze is not None else "",
        )
        words = tr(
            "its print shows no contact{by_gap}: something holds the block off, or the gap is larger", by_gap=by_gap
        )
        lift = 0.0
    elif pad.printed == PRINTS[1]:
        state, words = "in part", tr("its print shows contact in part only: it is loose, or the block sits askew")
    elif pad.printed == PRINTS[0] and squeeze is None:
        state, words = "touches", tr("touches all over by its print; how far it is squeezed is not known")
    elif pad.printed == PRINTS[0] and state == "no contact":
        state, words = (
            "unknown",
            tr("its print shows contact, though the gap says that it {words}: measure it again", words=words),
        )
    return PadFit(pad=pad, squeeze_percent=squeeze, state=state, lift_mm=lift, sentence=f"{pad.where}: {words}.")


def _by_gap(pad: Pad) -> tuple[float | None, str, float, str]:
    """Squeeze in per cent, state, lift in mm, and words."""
    if pad.gap_mm is None:
        return (
            None,
            "unknown",
            0.0,
            tr("the gap is not known: measure it, with putty between the parts, or look at the print"),
        )
    if pad.gap_mm < 0:
        raise BenchError(
            "{where}: a gap of {gap_mm:g} mm cannot be; the parts would be inside each other",
            where=pad.where,
            gap_mm=pad.gap_mm,
        )
    if pad.thickness_mm <= 0:
        raise BenchError("{where}: a pad has a thickness above 0 mm", where=pad.where)
    if not 0 <= pad.least_percent < pad.most_percent < 100:
        raise BenchError(
            "{where}: the squeeze allowed runs from a smaller to a larger share, under 100 %", where=pad.where
        )
    squeeze = 100 * (pad.thickness_mm - pad.gap_mm) / pad.thickness_mm
    lift = max(0.0, pad.thickness_mm * (1 - pad.most_percent / 100) - pad.gap_mm)
    if squeeze <= 0:
        return (
            squeeze,
            "no contact",
            lift,
            tr("leaves {gap_mm:.2f} mm of air: take a thicker pad", gap_mm=pad.gap_mm - pad.thickness_mm),
        )
    if squeeze < pad.least_percent:
        return (
            squeeze,
            "loose",
            lift,
            tr(
                "is squeezed by {squeeze:.0f} %, at least {least_percent:g} % are needed",
                squeeze=squeeze,
                least_percent=pad.least_percent,
            ),
        )
    if lift > 0:
        most = tr("at most {most_percent:g} % are allowed: take a thinner or softer pad", most_percent=pad.most_percent)
        return squeeze, "tight", lift, tr("must be squeezed by {squeeze:.0f} %, {most}", squeeze=squeeze, most=most)
    return squeeze, "right", lift, tr("is squeezed by {squeeze:.0f} %", squeeze=squeeze)


def usual_place(where: str, n: int) -> Place:
    """Where the n-th pad of a kind is drawn until somebody puts it in its place: memory to the right, coils and regulators left.

    >>> usual_place("memory", 0)[:2], usual_place("coils", 0)[2:]
    ((30.0, -36.0), (11.0, 40.0))
    """
    width, height = _SIZES.get(where.strip().lower(), _OTHER)
    first = {"memory": (30.0, -36.0), "regulators": (-30.0, 0.0), "coils": (-53.0, 0.0)}
    x, y = first.get(where.strip().lower(), (0.0, 36.0))
    across, down = divmod(n, 5)
    step = (width + 3.0, height + 4.0)
    if where.strip().lower() in {"regulators", "coils"}:
        return x - (width + 2.0) * n, y, width, height
    return x + across * step[0], min(y + down * step[1], BOARD_MM[1] / 2 - height), width, height
