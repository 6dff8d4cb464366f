"""What has to match: threads of fittings and screws, plugs and headers; and everything that has to fit, together."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from kuffin.core.base.language import mark, tr
from kuffin.core.bench.parts import KINDS
from kuffin.core.prepare.clearance import CLEARANCES, CONFLICT, FITS, NOT_BUILT, STATES, UNKNOWN, Built, Fit, clearance


@dataclass(frozen=True, kw_only=True)
class Match:
    """Two fields that have to be the same. A new one is one more record here.

    Attributes
    ----------
    own, other : (slot, field)
    what : str
        What they are, for what is not told: ``screw threads``.
    said : str
        The conflict in words, with ``{own}`` and ``{other}``.
    also : mapping of (own, other) to str
        What goes together though it is not the same, and what comes of it.
    """

    key: str
    label: str
    own: tuple[str, str]
    other: tuple[str, str]
    what: str
    said: str
    also: Mapping[tuple[str, str], str]


_BY_VOLTAGE = mark("it turns, but its speed is set by voltage only, if the header can")
_PINS = {("3 pins", "4 pins"): _BY_VOLTAGE, ("4 pins", "3 pins"): _BY_VOLTAGE}

MATCHES: tuple[Match, ...] = (
    Match(
        key="screw thread",
        label="fan screws into the radiator",
        own=("fan_screws", "screw_thread"),
        other=("radiator", "screw_thread"),
        what="screw threads",
        said="the screws are {own}, the radiator’s threads {other}: forced in, they cut the threads away",
        also={},
    ),
    Match(
        key="fan plug",
        label="fans on the board’s headers",
        own=("fans", "plug"),
        other=("board", "fan_plug"),
        what="plug",
        said="the fans have {own}, the board’s fan headers take {other}: it takes an adapter made for it",
        also=_PINS,
    ),
    Match(
        key="pump plug",
        label="pump on the board’s header",
        own=("pump", "plug"),
        other=("board", "pump_plug"),
        what="plug",
        said="the pump has {own}, the board’s header takes {other}: feed it from the supply, by a lead made for it",
        also=_PINS,
    ),
)


def threads(built: Mapping[str, Built], shelf: Sequence[Built] = ()) -> list[Fit]:
    """Whether the fitting screws into each part that has threads; an adapter of the shelf mends it.

    >>> block = Built("Tern", "processor block", {"thread": "G3/8"})
    >>> [f.state for f in threads({"block": block, "fitting": Built("Snipe", "fitting", {"thread": "G1/4"})})]
    ['conflict']
    """
    fitting = built.get("fitting")
    if fitting is None:
        return []
    own, out = fitting.fields.get("thread"), []
    for slot, part in built.items():
        if slot in {"fitting", "adapter"} or part.kind not in KINDS:
            continue
        if not any(f.key == "thread" for f in KINDS[part.kind].fields):
            continue
        key, label = tr("thread {slot}", slot=slot), tr("fitting into the {slot}", slot=slot)
        theirs = part.fields.get("thread")
        unknown = tuple(tr("threads of {name}", name=p.name) for p, t in ((fitting, own), (part, theirs)) if not t)
        if unknown:
            said = tr("fits as far as is known; unknown: {unknown}", unknown=", ".join(unknown))
            out.append(Fit(key=key, label=label, state=UNKNOWN, sentence=said, unit="", unknown=unknown))
        elif own == theirs:
            out.append(Fit(key=key, label=label, state=FITS, sentence=tr("both are {own}", own=own), unit=""))
        else:
            out.append(_adapted(key, label, fitting, part, built.get("adapter"), shelf))
    return out


def _adapted(key: str, label: str, fitting: Built, part: Built, taken: Built | None, shelf: Sequence[Built]) -> Fit:
    own, theirs = fitting.fields.get("thread"), part.fields.get("thread")

    def mends(p: Built) -> bool:
        return p.kind == "adapter" and p.fields.get("thread") == theirs and p.fields.get("thread_out") == own

    if taken is not None and mends(taken):
        said = tr("{own} into {theirs}, through {name}", own=own, theirs=theirs, name=taken.name)
        return Fit(key=key, label=label, state=FITS, sentence=said, unit="")
    said = tr("the fitting’s thread is {own}, that of {name} {theirs}", own=own, name=part.name, theirs=theirs)
    able = tuple(tr("with the adapter {name} it fits", name=p.name) for p in shelf if mends(p))
    return Fit(key=key, label=label, state=CONFLICT, sentence=said, unit="", mends=able)


def matching(check: Match, built: Mapping[str, Built]) -> Fit:
    """Whether two things match.

    >>> fans, board = Built("Wagtail", "fan", {"plug": "3 pins"}), Built("Fen", "board", {"fan_plug": "4 pins"})
    >>> matching(MATCHES[1], {"fans": fans, "board": board}).state
    'fits'
    """
    one, two = built.get(check.own[0]), built.get(check.other[0])
    if one is None or two is None:
        return Fit(key=check.key, label=tr(check.label), state=NOT_BUILT, sentence="", unit="")
    own, other = one.fields.get(check.own[1]), two.fields.get(check.other[1])
    unknown = tuple(
        tr("{thread} of {name}", thread=tr(check.what), name=p.name) for p, t in ((one, own), (two, other)) if not t
    )
    if unknown:
        said = tr("fits as far as is known; unknown: {unknown}", unknown=", ".join(unknown))
        return Fit(key=check.key, label=tr(check.label), state=UNKNOWN, sentence=said, unit="", unknown=unknown)
    along = check.also.get((str(own), str(other)))
    if own == other or along:
        said = (
            tr("{own} on {other}: {along}", own=own, other=other, along=tr(along))
            if along
            else tr("both are {own}", own=own)
        )
        return Fit(key=check.key, label=tr(check.label), state=FITS, sentence=said, unit="")
    return Fit(
        key=check.key, label=tr(check.label), state=CONFLICT, sentence=tr(check.said, own=own, other=other), unit=""
    )


def all_fits(built: Mapping[str, Built], shelf: Sequence[Built] = (), keep: str = "") -> list[Fit]:
    """Everything that can be said of what is built in, the worst first; see `clearance`."""
    found = [clearance(c, built, shelf, keep) for c in CLEARANCES]
    found += [*threads(built, shelf), *(matching(m, built) for m in MATCHES)]
    return sorted((f for f in found if f.state != NOT_BUILT), key=lambda f: STATES.index(f.state))
