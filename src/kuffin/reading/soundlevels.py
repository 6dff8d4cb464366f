"""Levels of kept recordings: calibrated by the bench's calibrator of the time, the background taken off, with what both leave open."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.worked import Worked, worked
from kuffin.core.sound.heard import Heard
from kuffin.core.sound.levels import Levels, levels, without_background
from kuffin.notebook.entities import Attachment
from kuffin.notebook.recordings import drift_db, heard_of, pascals_of

_USUAL_CALIBRATOR_DB = 0.3  # half-width of a usual calibrator, where its accuracy is not told
_RECORDER_DB = 0.2  # half-width of what a recorder's linearity and a microphone's response leave open


@dataclass(frozen=True, kw_only=True)
class SoundLevel:
    """A recording with its level.

    Attributes
    ----------
    levels : Levels
    worked : Worked or None
        Its equivalent level, the background taken off; None without a calibration, or too close to the background.
    at_most : float or None
        Where the background is too close.
    why_not : str
        Why there is no level; blank where there is one.
    background : float or None
        dBA.
    how : str
        How the background was taken off; blank without one.
    """

    kept: Attachment
    heard: Heard = field(repr=False)
    levels: Levels = field(repr=False)
    worked: Worked | None = None
    at_most: float | None = None
    why_not: str = ""
    background: float | None = None
    how: str = ""


def beside(kept: Attachment, others: Sequence[Attachment], kind: str) -> Attachment | None:
    """The bench's recording of a kind that goes with one: the last before it, else the first after it."""
    fit = [o for o in others if o.kind == kind]
    before = [o for o in fit if o.added_at <= kept.added_at]
    return before[-1] if before else next(iter(fit), None)


def level_of(kept: Attachment, of_bench: Sequence[Attachment]) -> SoundLevel | None:
    """The level of a recording.

    Parameters
    ----------
    of_bench : sequence of Attachment
        The calibrators and backgrounds of its bench, oldest first.

    Returns
    -------
    SoundLevel or None
        None where what the recording holds was lost.
    """
    found = heard_of(kept)
    if found is None:
        return None
    calibrator = beside(kept, of_bench, "calibrator")
    if calibrator is None:
        why = tr(
            "no calibrator was recorded on this bench: only levels beside one another, made at the same place and gain, say anything"
        )
        return SoundLevel(kept=kept, heard=found, levels=levels(found, None), why_not=why)
    try:
        pascals = pascals_of(calibrator)
    except KuffinError as error:
        return SoundLevel(kept=kept, heard=found, levels=levels(found, None), why_not=str(error))
    told = levels(found, pascals)
    assert told.laeq is not None
    ground = beside(kept, of_bench, "background")
    quiet = None if ground is None else heard_of(ground)
    background = None if quiet is None else levels(quiet, pascals).laeq
    if background is None:
        return SoundLevel(kept=kept, heard=found, levels=told, worked=_plain(told.laeq, calibrator, of_bench))
    corrected, how = without_background(told.laeq, background)
    if corrected is None:
        why = tr(
            "the background ({background:.1f} dBA) is too close: at most {laeq:.1f} dBA",
            background=background,
            laeq=told.laeq,
        )
        return SoundLevel(
            kept=kept, heard=found, levels=told, at_most=told.laeq, why_not=why, background=background, how=how
        )
    plain = _plain(told.laeq, calibrator, of_bench)
    shown = plain if how == "none needed" else _corrected(plain, background)
    return SoundLevel(kept=kept, heard=found, levels=told, worked=shown, background=background, how=how)


def _plain(level: float, calibrator: Attachment, of_bench: Sequence[Attachment]) -> Worked:
    """The level as it was recorded, with what calibrator, its drift and the recorder leave open."""
    accuracy = float(calibrator.about.get("level_accuracy_db", _USUAL_CALIBRATOR_DB))
    drift = drift_db([o for o in of_bench if o.kind == "calibrator"]) or 0.0
    terms = [
        Worked(name=tr("Calibrator's accuracy"), symbol="U_c", value=accuracy, unit="dB", source=tr("told") if "level_accuracy_db" in calibrator.about else tr("usual of calibrators")),
        Worked(name=tr("Drift between calibrations"), symbol="U_d", value=drift, unit="dB", source=tr("from the least to the greatest on this bench")),
        Worked(name=tr("Recorder and microphone"), symbol="U_r", value=_RECORDER_DB, unit="dB", source=tr("usual, not measured here")),
    ]  # fmt: skip
    half = worked(tr("Half-width"), "U", "sqrt(U_c**2 + U_d**2 + U_r**2)", terms, "dB", source="95 %")
    return Worked(
        name=tr("Equivalent level"),
        symbol="L",
        value=level,
        unit="dBA",
        digits=1,
        half=half,
        source=tr("calibrated by {name}", name=calibrator.name),
    )


def _corrected(plain: Worked, background: float) -> Worked:
    ground = Worked(
        name=tr("Background"), symbol="L_b", value=background, unit="dBA", digits=1, source=tr("with all off")
    )
    grown = Worked(
        name=tr("Level with it"),
        symbol="L_w",
        value=plain.value,
        unit="dBA",
        digits=1,
        half=plain.half,
        source=plain.source,
    )
    share = 1 / max(1 - 10 ** ((background - plain.value) / 10), 1e-9)
    more = Worked(name=tr("By which the correction makes it grow"), symbol="g", value=float(share), digits=2)
    assert plain.half is not None
    half = worked(tr("Half-width"), "U", "g*U_w", [more, Worked(name=tr("Half-width with it"), symbol="U_w", value=plain.half.value, unit="dB", terms=plain.half.terms, formula=plain.half.formula)], "dB")  # fmt: skip
    made = worked(tr("Without the background"), "L", "10*log10(power10(L_w/10) - power10(L_b/10))", [grown, ground], "dBA", digits=1, half=half, source=tr("by energy, ISO 1996-2"))  # fmt: skip
    assert np.isfinite(made.value)
    return made


def mean_level(found: Sequence[SoundLevel]) -> float | None:
    """The mean of several recordings of one mount, as the mount is the unit; None without one."""
    values = [s.worked.value for s in found if s.worked is not None]
    return float(np.mean(values)) if values else None
