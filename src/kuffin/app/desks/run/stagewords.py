"""What the Run desk says, from how the run stands. No widgets in it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.app.widgets.stageline import Phase
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import begun, typed_number
from kuffin.core.base.saying import told
from kuffin.core.bench.leading import MEASURING, SETTLING, WAITING
from kuffin.core.bench.limits import SILENT
from kuffin.core.compare.pairwords import joined
from kuffin.recording.liverun import Now


def minutes(seconds: float) -> str:
    """A stretch of time, as one says it."""
    if seconds < 90:
        return f"{max(seconds, 0):.0f} s"
    return f"{seconds / 60:.0f} min"


def to_go(now: Now) -> str:
    """The time to go, large."""
    if now.over or now.stage is None:
        return tr("over") if now.over else ""
    if now.stage.held:
        return tr("held")
    if now.stage.phase == WAITING:
        return tr("waiting for you")
    if now.left_s is None:
        return ""
    words = tr("{minutes} to go", minutes=minutes(now.left_s))
    if now.stage.phase == SETTLING and now.stage.step.settle == "detect":
        foreseen = now.forecast.left_s
        if foreseen is None:
            words = tr("at most {minutes}", minutes=minutes(now.left_s))
        elif foreseen <= now.elapsed_s - now.forecast.looked_s:
            words = tr("longer than foreseen, at most {minutes}", minutes=minutes(now.left_s))
    return words


def sentences(now: Now) -> list[str]:
    """What is going on, the most telling first."""
    if now.over and any(a.stop for a in now.alarms):
        return [tr("What was recorded is kept.")]  # the band says the rest
    if now.over:
        return [f"{begun(told(now.over))}."]
    stage = now.stage
    if stage is None:
        return []
    if stage.phase == WAITING:
        if now.load_trouble:
            return [tr("The step waits, and begins anew when the load runs.")]  # the band says why
        said = joined([told(x) for x in stage.to_do]) if stage.to_do else tr("see to the load")
        return [tr("{doing}, then press.", doing=begun(said))]
    out = []
    if not stage.step.load and stage.number > 1:
        out.append(tr("cooling down; what is measured is kept"))
    elif stage.step.settle == "check":
        bad = tr("held before the full load: stop and remount, or carry on")
        out.append(bad if stage.held else tr("a light load, until the mount is checked; the full load comes after it"))
    elif stage.step.load and stage.phase == SETTLING:
        out += now.forecast.sentences()
        if now.forecast.why_not:
            out.append(tr("where it is heading cannot be told: {why_not}", why_not=now.forecast.why_not))
        elif not out:
            out.append(tr("too early to tell where it is heading"))
    elif stage.phase == MEASURING:
        why = {
            "settled": tr("It has settled"),
            "by the clock": tr("By the clock"),
            "skipped": tr("Skipped to here"),
        }.get(stage.why)
        out.append(tr("{why}; what is read now is the result", why=why or begun(told(stage.why))))
    if now.check is not None and now.check.check.state in {"like", "alone", "better"} and stage.step.load:
        out.append(tr("Mount check: {sentence}", sentence=now.check.sentence))
    return [s[:1].upper() + s[1:] + "." for s in out]


@dataclass(frozen=True)
class BigButton:
    """What the one big button does now: a key for the desk and its words; blank key: nothing to do."""

    key: str
    words: str


def big_button(now: Now | None, carried_on: bool) -> BigButton:
    """What the person is wanted for, if at all."""
    if now is None:
        return BigButton("start", tr("Start the run"))
    if now.over:
        return BigButton("inspect", tr("Look at this run"))
    stage = now.stage
    if stage is None:
        return BigButton("", "…")
    if stage.phase == WAITING:
        if now.load_trouble:
            return BigButton("acted", tr("Start the load again"))
        if len(stage.to_do) == 1 and stage.to_do[0].startswith(("start", "stop")):
            return BigButton("acted", tr("The load runs") if stage.step.load else tr("The load is stopped"))
        return BigButton("acted", tr("Done"))
    if stage.held and stage.step.settle != "check":
        return BigButton("go on", tr("Go on"))
    if now.check is not None and now.check.worse and not carried_on:
        return BigButton("remount", tr("Stop and remount"))
    return BigButton("", tr("Nothing to do"))


def calls(now: Now) -> list[tuple[str, str, str]]:
    """What the person is called for: the kind of call, the sentence, and what it is known by, so that it comes once."""
    stage = now.stage
    out = [("alarm" if a.stop else "person", told(a.sentence), f"{a.key} {a.stop}") for a in now.alarms]
    if stage is not None and stage.phase == WAITING:
        said = (
            told(now.load_trouble)
            or f"{stage.step.name}: {joined([told(x) for x in stage.to_do]) or tr('see to the load')}"
        )
        out.append(("person", said, f"waiting {stage.number} {stage.attempt}"))
    if stage is not None and stage.phase == MEASURING and stage.why == "settled":
        out.append(("settled", tr("{name} has settled", name=stage.step.name), f"settled {stage.number}"))
    if now.check is not None and now.check.worse:
        out.append(("person", now.check.sentence, "mount check"))
    if now.over and not any(a.stop for a in now.alarms):
        out.append(("person", tr("the run is over: {over}", over=told(now.over)), "over"))
    return out


def as_number(written: str) -> float | None:
    """What a person typed as a number, with a point or a comma; None where it is none."""
    try:
        return typed_number(written)
    except ValueError:
        return None


def band(now: Now, carried_on: bool) -> tuple[str, str]:
    """What cannot be overlooked: (stop, look or blind, sentence), blank for nothing."""
    stopping = [a for a in now.alarms if a.stop]
    if stopping:
        return "stop", begun(told(now.over))
    if now.check is not None and now.check.worse and not carried_on and not now.over:
        return "look", _said(now.check.sentence)
    if now.alarms:
        return "blind" if now.alarms[0].key.startswith(SILENT) else "look", _said(told(now.alarms[0].sentence))
    if now.load_trouble:
        return "look", _said(told(now.load_trouble))
    if now.troubles:
        return "look", _said(now.troubles[0])
    return "", ""


def _said(sentence: str) -> str:
    """With a capital and a full stop."""
    return sentence[:1].upper() + sentence[1:] + ("" if sentence.endswith(("?", ".")) else ".")


def at_phase(now: Now, found: Sequence[Phase], load_began_s: float | None) -> tuple[int, float]:
    """Which of the line's phases is on, and how far it is."""
    stage = now.stage
    if stage is None:
        return len(found) if now.over else -1, 0.0
    key = MEASURING if stage.phase == MEASURING and stage.step.load else SETTLING
    checking = stage.step.load and stage.phase == SETTLING and load_began_s is not None and now.check is None
    if checking and load_began_s is not None and now.elapsed_s - load_began_s < 150:
        for i, phase in enumerate(found):
            if (phase.number, phase.phase) == (stage.number, "check"):
                return i, (now.elapsed_s - load_began_s) / 130
    for i, phase in enumerate(found):
        if (phase.number, phase.phase) == (stage.number, key):
            since = now.elapsed_s - stage.begun_s
            left = now.left_s if now.left_s is not None else since
            return i, since / max(since + left, 1.0)
    return -1, 0.0
