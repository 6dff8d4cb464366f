"""The tones that are heard of a study's candidates: in how many of their mounts, and whose they may be."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.bench.conditions import Condition
from kuffin.core.sound.owners import Turning, owner_words, speeds_of
from kuffin.core.sound.tones import Tone
from kuffin.notebook.entities import Mount
from kuffin.reading.configurations import parts_of
from kuffin.reading.runresult import RunResult
from kuffin.verdict.recordedsound import heard_under
from kuffin.verdict.study import StudyVerdict

_SAME_TONE = 0.03  # of the frequency, within which tones of several mounts are one


def turning_in(result: RunResult | None, blades: Mapping[str, int]) -> list[Turning]:
    """What turned in a run, from its own channels."""
    if result is None:
        return []
    means = {role: result.means[name][0] for role, name in result.roles.items() if name in result.means}
    return speeds_of(means, blades)


@dataclass(frozen=True, kw_only=True)
class ToneHeard:
    """A tone of a candidate, over its mounts.

    Attributes
    ----------
    hz, over_db : float
        Means over the mounts in which it is heard.
    mounts, of : int
        In how many of how many mounts that were recorded.
    owner : str
        Whose it may be.
    condition : str
    """

    candidate: str
    hz: float
    over_db: float
    mounts: int
    of: int
    owner: str
    condition: str


@dataclass(frozen=True)
class _Heard:
    mount_id: int
    tone: Tone
    owner: str


def tones_of(v: StudyVerdict) -> list[ToneHeard]:
    """The prominent tones of each candidate, condition by condition."""
    out = []
    conditions = v.conditions or (Condition("", "", {}),)
    for candidate in v.candidates:
        mounts = [m for n, m in v.evidence.mounts if n == candidate and m.left_out is None]
        blades = blades_of(v, candidate)
        for condition in conditions:
            recorded = {m.id: heard_under(v.evidence.sounds, m.id, condition.name or None) for m in mounts}
            there = [m for m in mounts if recorded[m.id]]
            heard = [
                _Heard(m.id, tone, owner_words(tone, turning_in(_result(v, m, condition.name), blades)))
                for m in there
                for r in recorded[m.id]
                for tone, _ in r.sound.levels.tones
                if tone.prominent
            ]
            out += [_together(candidate, group, len(there), condition.label) for group in _grouped(heard)]
    return out


def blades_of(v: StudyVerdict, candidate: str) -> dict[str, int]:
    """How many blades a candidate's fans have, where the shelf tells it."""
    ways, study = v.evidence.ways, v.evidence.study
    own = next((c for c in study.live_candidates if c.name == candidate), None)
    if ways is None or own is None:
        return {}
    fans = parts_of(study, own, ways.bench, ways.shelf).get("fans")
    told = None if fans is None else fans.fields.get("blades")
    return {"fan": int(told)} if told else {}


def _result(v: StudyVerdict, mount: Mount, condition: str) -> RunResult | None:
    found = (v.results[r.id].at(condition or None) for r in mount.live_runs)
    return next((r for r in found if r is not None), None)


def _grouped(heard: Sequence[_Heard]) -> list[list[_Heard]]:
    groups: list[list[_Heard]] = []
    for one in sorted(heard, key=lambda h: h.tone.hz):
        if groups and one.tone.hz - groups[-1][0].tone.hz <= _SAME_TONE * groups[-1][0].tone.hz:
            groups[-1].append(one)
        else:
            groups.append([one])
    return groups


def _together(candidate: str, group: Sequence[_Heard], of: int, condition: str) -> ToneHeard:
    owners = [h.owner for h in group]
    return ToneHeard(
        candidate=candidate,
        hz=float(np.mean([h.tone.hz for h in group])),
        over_db=float(np.mean([h.tone.tnr_db for h in group])),
        mounts=len({h.mount_id for h in group}),
        of=of,
        owner=max(set(owners), key=owners.count),
        condition=condition,
    )
