"""Recordings in words: levels, what was taken off, tones and whose they may be, how they were made."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

from kuffin.core.base.language import counted, tr
from kuffin.core.base.numbers import number
from kuffin.core.compare.pairwords import joined
from kuffin.core.sound.owners import Turning, owner_words
from kuffin.notebook.entities import Attachment
from kuffin.notebook.recordings import USUAL, drift_db
from kuffin.reading.soundlevels import SoundLevel
from kuffin.said.shownworking import Working
from kuffin.verdict.tonesheard import ToneHeard

_HEARD_FROM = 3.0  # dB over its surroundings, from which a tone that is not prominent is listed


def level_words(sound: SoundLevel) -> str:
    """The level of a recording with its interval; relative, or at most, where that is all there is."""
    if sound.worked is not None:
        half = "" if sound.worked.u95 is None else f" ± {number(sound.worked.u95, 1)}"
        return tr("{value}{half} dBA", value=number(sound.worked.value, 1), half=half)
    if sound.at_most is not None:
        return tr("at most {at_most} dBA", at_most=number(sound.at_most, 1))
    return tr("{relative_db} dB, relative", relative_db=number(sound.levels.relative_db, 1))


def background_words(sound: SoundLevel) -> str:
    """What the background did to it."""
    if sound.background is None:
        return tr("no background recorded")
    told = tr("{background} dBA", background=number(sound.background, 1))
    return {
        "none needed": tr("{told}, far below", told=told),
        "corrected": tr("{told}, taken off", told=told),
        "too close": tr("{told}, too close", told=told),
    }[sound.how]


def tone_rows(sound: SoundLevel, turning: Sequence[Turning]) -> list[tuple[str, str, str, str]]:
    """A row for each tone that stands out: frequency, level, over its surroundings, whose it may be."""
    unit = "dBA" if sound.levels.calibrated else "dB"
    rows = []
    for tone, db in sound.levels.tones:
        if tone.tnr_db < _HEARD_FROM:
            continue
        over = f"{number(tone.tnr_db, 0)} dB" + (tr(", prominent") if tone.prominent else "")
        rows.append(
            (
                tr("{hz:.0f} Hz", hz=tone.hz),
                f"{number(db, 1)} {unit.removesuffix('A')}",
                over,
                owner_words(tone, turning),
            )
        )
    return rows


def set_up_words(sound: Mapping[str, Any]) -> str:
    """How recordings are made on a bench; what is not told is named."""
    distance, position = sound.get("distance_m"), sound.get("position")
    told = [tr("{distance:g} m off", distance=distance) if distance else "", str(position or "")]
    said = ", ".join(x for x in told if x) or tr("distance and position are not told")
    gain = float(sound.get("gain_db", USUAL["gain_db"]))
    louder = (
        (
            tr(", recorded {gain:g} dB louder than the rest", gain=gain)
            if gain > 0
            else tr(", recorded {gain:g} dB lower than the rest", gain=-gain)
        )
        if gain
        else ""
    )
    return tr(
        "Microphone: {told}. Calibrator: {sound:g} dB{louder}.",
        told=said,
        sound=float(sound.get("level_db", USUAL["level_db"])),
        louder=louder,
    )


def calibration_words(of_bench: Sequence[Attachment]) -> str:
    """Which calibrator and background a bench has, and how far the calibrations drifted."""
    calibrators = [o for o in of_bench if o.kind == "calibrator"]
    grounds = [o for o in of_bench if o.kind == "background"]
    if not calibrators:
        return tr(
            "No calibrator was recorded: levels are relative only, which says something of "
            "recordings made at the same place and gain."
        )
    drift = drift_db(calibrators)
    drifted = "" if drift is None else tr("; they lie within {drift} dB", drift=number(drift, 2))
    ground = (
        tr("background: {name}", name=grounds[-1].name)
        if grounds
        else tr("no background was recorded, so none is taken off")
    )
    which = tr(", each recording by the last before it") if len(calibrators) > 1 else ""
    return tr(
        "Calibrated by {each}{which}{drifted}; {ground}.",
        each=joined([c.name for c in calibrators[-2:]]),
        which=which,
        drifted=drifted,
        ground=ground,
    )


def heard_words(tones: Sequence[ToneHeard]) -> list[tuple[str, str, str]]:
    """A row for each candidate's tone: who, which, whose it may be."""
    return [
        (
            t.candidate + (f", {t.condition}" if t.condition else ""),
            counted(
                t.of,
                "{hz:.0f} Hz, {over_db} dB over its surroundings, in {mounts} of {n} mount",
                "{hz:.0f} Hz, {over_db} dB over its surroundings, in {mounts} of {n} mounts",
                hz=t.hz,
                over_db=number(t.over_db, 0),
                mounts=t.mounts,
            ),
            t.owner,
        )
        for t in tones
    ]


def sound_working(sound: SoundLevel) -> Working:
    """How a recording's level came about."""
    if sound.worked is None:
        out = Working(title=sound.kept.name, answer=level_words(sound))
        out.say(tr("Why no level"), sound.why_not)
        return out
    out = Working.of(tr("{name}: loudness", name=sound.kept.name), sound.worked)
    told = sound.levels
    if told.la90 is not None and told.lafmax is not None:
        out.say(tr("Exceeded 90 % of the time"), tr("{la90} dBA (LA90)", la90=number(told.la90, 1)))
        out.say(tr("Loudest moment"), tr("{lafmax} dBA (Fast weighting)", lafmax=number(told.lafmax, 1)))
    prominent = [tr("{hz:.0f} Hz", hz=t.hz) for t, _ in told.tones if t.prominent]
    if prominent:
        out.say(tr("Prominent tones"), joined(prominent))
    out.say(tr("Weighting"), tr("A, IEC 61672-1; equivalent level over the whole recording"))
    return out
