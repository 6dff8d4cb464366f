"""`kuffin sound`: levels and tones of a recording."""

from __future__ import annotations

import argparse
from typing import Any

from kuffin.commands.telling import tell
from kuffin.core.sound.levels import Levels, levels, look_at_recording, sensitivity, without_background
from kuffin.logs.audio import read_recording


def sound_told(args: argparse.Namespace) -> dict[str, Any]:
    """What the command tells, as data.

    Raises
    ------
    LogError, TraceError
        What is wrong with a recording.
    """
    run = read_recording(args.recording)
    warnings = [*run.warnings, *look_at_recording(run.name, run.heard)]
    pascals = None
    if args.calibration:
        calibrator = read_recording(args.calibration)
        pascals = sensitivity(calibrator.name, calibrator.heard, args.level, args.calibration_gain)
    found = levels(run.heard, pascals)
    background, corrected, how = None, None, None
    if args.background:
        ground = read_recording(args.background)
        warnings += look_at_recording(ground.name, ground.heard)
        quiet = levels(ground.heard, pascals)
        if found.laeq is not None and quiet.laeq is not None:
            background = quiet.laeq
            corrected, how = without_background(found.laeq, background)
    return {
        "file": run.name,
        "rate_hz": run.heard.rate,
        "duration_s": run.heard.duration_s,
        "channel": run.channel,
        "calibrated": found.calibrated,
        "laeq_dba": found.laeq,
        "la90_dba": found.la90,
        "lafmax_dba": found.lafmax,
        "background_dba": background,
        "corrected_dba": corrected,
        "correction": how,
        "relative_db": found.relative_db,
        "thirds": [{"hz": hz, "db": db} for hz, db in found.thirds],
        "tones": _tones(found),
        "warnings": warnings,
    }


def _tones(found: Levels) -> list[dict[str, Any]]:
    return [
        {"hz": t.hz, "db": db, "tnr_db": t.tnr_db, "prominent": t.prominent} for t, db in found.tones if t.tnr_db > 0
    ]


def sound_said(told: dict[str, Any]) -> list[str]:
    """The same in sentences."""
    lines = [f"{told['file']}: {told['duration_s']:.1f} s at {told['rate_hz']} Hz"]
    if told["calibrated"]:
        lines.append(
            f"LAeq {told['laeq_dba']:.1f} dBA, LA90 {told['la90_dba']:.1f} dBA, loudest moment {told['lafmax_dba']:.1f} dBA"
        )
    else:
        lines.append(
            f"{told['relative_db']:.1f} dB over a full-scale sine, A-weighted; without a calibrator nothing is said in dBA"
        )
    if told["correction"] == "too close":
        lines.append(
            f"the background ({told['background_dba']:.1f} dBA) is too close: at most {told['laeq_dba']:.1f} dBA"
        )
    elif told["correction"] is not None:
        lines.append(
            f"background {told['background_dba']:.1f} dBA; without it {told['corrected_dba']:.1f} dBA ({told['correction']})"
        )
    lines += [
        f"a tone at {t['hz']:.0f} Hz, {t['tnr_db']:.0f} dB over its surroundings"
        for t in told["tones"]
        if t["prominent"]
    ]
    return lines


def sound(args: argparse.Namespace) -> None:
    """Levels and tones of a recording."""
    tell(args, sound_told(args), sound_said)
