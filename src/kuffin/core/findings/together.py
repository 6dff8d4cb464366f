"""What several findings of one mount mean together: the diagnosis a practitioner would make."""

from __future__ import annotations

from collections.abc import Sequence

from kuffin.core.base.language import tr
from kuffin.core.findings.finding import Finding


def together(found: Sequence[Finding]) -> str:
    """One sentence on what fits all of it, blank where the findings do not point to one thing.

    >>> beside = (("Reed, round 1", 24.0), ("Reed, round 2", 24.2))
    >>> seen = [Finding(kind="contact", seen="26.1 K", figure="die_over_coolant", value=26.1, others=beside)]
    >>> together(seen)
    'Only the step from die to coolant is larger, at the same flow and power: contact.'
    """
    kinds = {f.kind for f in found}
    up = {
        f.kind
        for f in found
        if f.figure and f.value is not None and f.others and f.value > sum(v for _, v in f.others) / len(f.others)
    }
    if "pump sags" in kinds:
        return tr("Pump speed falls, and what else moves follows it: the pump, not the part under test.")
    if "flow off" in kinds and "flow off" not in up and "pump off" not in kinds:
        if "radiator side" in up or "contact" in up:
            return tr(
                "Less flow at the same pump speed, and warmer with it: air in the loop, or something that blocks it."
            )
        return tr("Less flow at the same pump speed: air, a kink or dirt rather than the pump.")
    if "flow off" in kinds and "pump off" in kinds:
        return tr("Flow and pump speed are off together: the pump was set otherwise, or tires.")
    if "contact" in up and ("hot spot" in up or "core spread" in up):
        return tr(
            "Die and the hot spot stand off together: the block does not sit flat, so pads, tilt or screws before paste."
            if "hot spot" in up
            else "Die and the spread across it stand off together: the block does not sit flat, so pads, tilt or screws before paste."
        )
    if "contact" in up:
        return tr("Only the step from die to coolant is larger, at the same flow and power: contact.")
    if "power off" in up and "idle off" in up:
        return tr("As many watts more at idle as under load: another program runs in the background.")
    if "warm at rest" in kinds and "radiator side" in kinds:
        return tr(
            "The same kelvins at idle and under load: warm air at the intake or a probe's offset, not the radiator."
        )
    return ""
