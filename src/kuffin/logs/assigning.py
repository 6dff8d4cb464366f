"""Which mount, and which test of it, each of several logs is: guessed from their names and times, and shown.

A log is a test of a mount. Where names do not tell mounts apart, and no change-over would have been possible between two
logs, they are tests of one; where neither says so, the person is asked.
"""

from __future__ import annotations

import datetime as dt
import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from kuffin.logs.guess import guess_candidate

_TIME = r"(?:[T_\- ]?\d{2}[-_.h:]?\d{2}(?:[-_.m:]?\d{2})?s?)?"
_DATE = re.compile(
    rf"(?<![A-Za-z0-9])(?:20\d{{2}}[-_.]?\d{{2}}[-_.]?\d{{2}}|\d{{2}}([-.])\d{{2}}\1(?:20)?\d{{2}}){_TIME}(?!\d)"
)
_CLOCK = re.compile(r"(?<![A-Za-z0-9])\d{2}[-_.h:]\d{2}(?:[-_.m:]\d{2})?(?![A-Za-z0-9])")
_ROUND = re.compile(r"(?i)(?<![a-z])(?:round|mount|mnt|remount|pass|rd|run|r|m)[\s_\-#]*0*(\d{1,2})(?![\da-z])")
_SPLIT = re.compile(r"[\s_\-,;.()+]+")
_DULL = frozenset(
    [
        "log",
        "logs",
        "test",
        "tests",
        "the",
        "and",
        "with",
        "data",
        "csv",
        "txt",
        "export",
        "copy",
        "final",
        "run",
        "runs",
        "mount",
        "mounts",
        "round",
        "rounds",
    ]
)
_MOST = 40  # of a mount's number


@dataclass(frozen=True)
class LogNamed:
    """A log as far as its name and its clock go: its file's name without ending, when it began, how long it is."""

    stem: str
    start: str | None = None
    duration_s: float = 0.0


@dataclass(frozen=True)
class There:
    """A mount that is there already: its candidate, round, when its last run ended, and the conditions that it was tested under."""

    candidate: str
    round: int
    ended: str | None = None
    conditions: tuple[str, ...] = ()


@dataclass(frozen=True)
class Assigned:
    """What a log is taken for.

    Attributes
    ----------
    candidate : str
        Blank: its name tells none.
    round : int
        Which mount of the candidate; logs with the same are tests of one.
    condition : str
        What it was tested under, as its name tells; blank for nothing.
    sure : bool
        Whether names or times tell the mounts apart; else it has to be asked.
    """

    candidate: str
    round: int
    condition: str = ""
    sure: bool = True


@dataclass(frozen=True)
class _Read:
    log: LogNamed
    candidate: str
    round: int | None
    words: tuple[str, ...]


def assign(
    logs: Sequence[LogNamed], candidates: Sequence[str], there: Sequence[There] = (), change_over_min: float = 10.0
) -> list[Assigned]:
    """Give each log a candidate, a mount and a condition.

    Parameters
    ----------
    there : sequence of There
        The study's mounts with runs.
    change_over_min : float
        The least time in which one mount can be taken off and the next put on.
    """
    read = [_read(log, candidates) for log in logs]
    read = _numbers_as_rounds(read)
    conditions = _conditions(read)
    order = sorted(range(len(read)), key=lambda i: (read[i].log.start or "", i))
    out: list[Assigned | None] = [None] * len(read)
    for name in dict.fromkeys(r.candidate for r in read):
        own = [i for i in order if read[i].candidate == name]
        taken = {t.round: t for t in there if t.candidate == name}
        for i, (number, sure) in zip(own, _mounts(own, read, conditions, taken, change_over_min), strict=True):
            out[i] = Assigned(name, number, conditions[i], sure)
    return [a for a in out if a is not None]


def proposed_candidates(stems: Sequence[str]) -> list[str]:
    """Candidates that the names of logs suggest: what is left of them without dates, rounds and what they all share.

    Parameters
    ----------
    stems : sequence of str
        File names without ending.

    Returns
    -------
    list of str
        None where fewer than two different ones are left.

    >>> proposed_candidates(["radiator_reed_round1", "radiator_reed_round2", "radiator_rush_round1"])
    ['Reed', 'Rush']
    >>> proposed_candidates(["log1", "log2"])
    []
    """
    read = [_read(LogNamed(stem), ()) for stem in stems]
    shared = set.intersection(*({w.lower() for w in r.words} for r in read)) if read else set()
    left = [" ".join(w for w in r.words if w.lower() not in shared and not w.isdigit()) for r in read]
    names = dict.fromkeys(n[:1].upper() + n[1:] for n in left if n and not re.fullmatch(r"(?i)log\d*", n))
    return list(names) if len(names) > 1 else []


def _read(log: LogNamed, candidates: Sequence[str]) -> _Read:
    stem = _DATE.sub(" ", log.stem)
    stem = _CLOCK.sub(" ", stem)
    candidate = guess_candidate(stem, candidates) or ""
    if candidate:
        pattern = r"[^a-z0-9]*".join(re.escape(c) for c in re.sub(r"[^A-Za-z0-9]+", "", candidate).lower())
        stem = re.sub(rf"(?i){pattern}", " ", stem, count=1)
    match = _ROUND.search(stem)
    number = int(match[1]) if match and 1 <= int(match[1]) <= _MOST else None
    if match and number is not None:
        stem = stem[: match.start()] + " " + stem[match.end() :]
    words = tuple(w for w in _SPLIT.split(stem) if w and w.lower() not in _DULL)
    return _Read(log, candidate, number, words)


def _numbers_as_rounds(read: Sequence[_Read]) -> list[_Read]:
    """A bare number, or letter, that all logs have and that tells logs with the same words apart, counts their mounts."""
    if any(r.round is not None for r in read):
        return list(read)

    def counted(word: str) -> int | None:
        if re.fullmatch(r"0*\d{1,2}", word) and 1 <= int(word) <= _MOST:
            return int(word)
        return ord(word.lower()) - ord("a") + 1 if re.fullmatch(r"[A-Ha-h]", word) else None

    found = []
    for r in read:
        at = next((i for i, w in enumerate(r.words) if counted(w) is not None), None)
        if at is None:
            return list(read)
        found.append(replace(r, round=counted(r.words[at]), words=r.words[:at] + r.words[at + 1 :]))
    return found


def _conditions(read: Sequence[_Read]) -> list[str]:
    """What is left of each name that not all have: what they were tested under; blank for all where they do not differ."""
    if len(read) < 2:
        return [""] * len(read)
    lowered = [[w.lower() for w in r.words] for r in read]
    common = set(lowered[0]).intersection(*map(set, lowered[1:]))
    found = [" ".join(w for w in r.words if w.lower() not in common) for r in read]
    if len({f.lower() for f in found}) < 2:
        return [""] * len(read)
    first: dict[str, str] = {}
    return [first.setdefault(f.lower(), f) for f in found]


def _mounts(
    own: Sequence[int],
    read: Sequence[_Read],
    conditions: Sequence[str],
    taken: Mapping[int, There],
    change_over_min: float,
) -> list[tuple[int, bool]]:
    """The mount of each of a candidate's logs, in their order in time, and whether that is sure."""
    numbers = [read[i].round for i in own]
    if all(n is not None for n in numbers):
        return [(int(n or 1), True) for n in numbers]
    out: list[tuple[int, bool]] = []
    now, held = _free(taken, []), set[str]()
    before: dt.datetime | None = None
    last = max(taken.values(), key=lambda t: t.ended or "", default=None)
    for i in own:
        begin, end = _span(read[i].log)
        condition = conditions[i].lower()
        gap = None if before is None or begin is None else (begin - before).total_seconds() / 60
        if not out and last is not None and last.ended and begin is not None:
            since = (begin - dt.datetime.fromisoformat(last.ended)).total_seconds() / 60
            if -1 <= since < change_over_min:  # nothing could be changed since that mount's last run
                now, held, gap = last.round, {c.lower() for c in last.conditions}, since
        if not out:
            sure = len(own) == 1 or gap is not None
        elif gap is not None and gap < change_over_min:
            sure = out[-1][1] or len(out) == 1
        elif condition and condition not in held:
            sure = gap is None or gap < 24 * 60  # another test of the same, as the names say
        elif condition:
            now, held, sure = _free(taken, [n for n, _ in out]), set(), True  # the same again: the next mount
        else:
            now, held, sure = _free(taken, [n for n, _ in out]), set(), False
            out = [(n, False) for n, _ in out]
        held.add(condition)
        out.append((now, sure))
        before = end or before
    if any(conditions[i] for i in own) and all(s for _, s in out[1:]):
        out = [(n, True) for n, _ in out]
    return out


def _free(taken: Mapping[int, There], used: Sequence[int]) -> int:
    return next(n for n in range(1, 10_000) if n not in taken and n not in used)


def _span(log: LogNamed) -> tuple[dt.datetime | None, dt.datetime | None]:
    if not log.start:
        return None, None
    begin = dt.datetime.fromisoformat(log.start)
    return begin, begin + dt.timedelta(seconds=log.duration_s)
