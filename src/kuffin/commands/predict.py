"""`kuffin predict`: what a candidate would do elsewhere."""

from __future__ import annotations

import argparse
from contextlib import closing
from dataclasses import replace
from pathlib import Path
from typing import Any

from kuffin.commands.telling import tell
from kuffin.core.base.errors import CompareError
from kuffin.core.predict.carrying import Foreseen
from kuffin.notebook.named import study_named
from kuffin.notebook.store import Notebook
from kuffin.said.predictionwords import prediction_words
from kuffin.verdict.across import Judged
from kuffin.verdict.carried import WhatIf
from kuffin.verdict.otherparts import coolants_of, parts_elsewhere, with_parts
from kuffin.verdict.predicting import Prediction, as_measured
from kuffin.verdict.predicting import predict as foresee
from kuffin.verdict.study import judge


def predicted(args: argparse.Namespace) -> Prediction:
    """What the command is about.

    Raises
    ------
    KuffinError
        What is wrong with the input.
    """
    powers = _powers(args.power)
    asked = WhatIf(
        power_w=powers[0] if powers else None,
        others_w=sum(powers[1:]) if len(powers) > 1 else None,
        air_c=args.air,
        fan=args.fan,
        pump=args.pump,
        limit_c=args.limit,
    )
    with closing(Notebook.open(Path(args.notebook))) as notebook:
        study = study_named(notebook, args.study)
        first = Judged(study, judge(notebook, study))
        if args.part or args.coolant:
            asked = _with_others(notebook, first, asked, args.part, args.coolant)
        return foresee(first.verdict, args.candidate, asked)


def _with_others(notebook: Notebook, first: Judged, asked: WhatIf, part: str | None, coolant: str | None) -> WhatIf:
    """What is asked for with another study's part, and one of the shelf's coolants, by their names."""
    others = [
        Judged(study, judge(notebook, study))
        for study in (notebook.study(s.id) for s in notebook.studies() if s.id != first.study.id)
        if part
    ]
    offered, refused = parts_elsewhere(first, others)
    ways = first.verdict.evidence.ways
    mixes = coolants_of(() if ways is None else ways.shelf)
    swapped = next((p for p in offered if p.name.casefold() == (part or "").casefold()), None)
    mix = next((m for m in mixes if m.name.casefold() == (coolant or "").casefold()), None)
    if part and swapped is None:
        names = ", ".join(dict.fromkeys(p.name for p in offered)) or "none"
        raise CompareError(
            f"no other study offers “{part}” for this one; there are: {names}. {'; '.join(refused)}".strip()
        )
    if coolant and mix is None:
        raise CompareError(
            f"the shelf has no coolant “{coolant}” that tells what is in it; there are {', '.join(m.name for m in mixes)}"
        )
    source = next((j for j in others if swapped is not None and j.verdict is swapped.verdict), None)
    usual = as_measured(first.verdict)
    filled = replace(
        asked,
        air_c=usual.air_c if asked.air_c is None else asked.air_c,
        pump=usual.pump if asked.pump is None else asked.pump,
    )
    return with_parts(first, filled, swapped, source, mix)


def _powers(written: str | None) -> list[float]:
    try:
        return [float(p) for p in (written or "").split(",") if p.strip()]
    except ValueError:
        raise CompareError(f"“{written}” is no power; write it like 250, or 250,180 for two devices") from None


def _told(found: Prediction) -> dict[str, Any]:
    def span(x: Foreseen | None, key: str) -> dict[str, Any]:
        return {key: None if x is None else x.value, **({} if x is None else {"low": x.low, "high": x.high})}

    die = [] if found.die is None else [{"device": found.device, **span(found.die, "c"), "how": found.die.label}]
    return {
        "die": die,
        "coolant_c": None if found.coolant is None else found.coolant.value,
        "coolant": None if found.coolant is None else {**span(found.coolant, "c"), "how": found.coolant.label},
        "flow_l_h": None if found.flow is None else found.flow.value,
        "highest_power_w": None if found.highest_power is None else found.highest_power.value,
        "highest_power": None
        if found.highest_power is None
        else {**span(found.highest_power, "w"), "how": found.highest_power.label},
        "beyond": list(found.beyond),
        "mounts": found.mounts,
        "warnings": [],
    }


def predict(args: argparse.Namespace) -> None:
    """What the measured parts would do elsewhere."""
    found = predicted(args)
    tell(args, _told(found), lambda _told: [prediction_words(found)])
