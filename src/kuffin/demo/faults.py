"""The hidden faults of the practice bench: what each does to the truth, and by which figures it could have been seen."""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np

from kuffin.simulated.faults import Fault
from kuffin.simulated.station import RunPlan


@dataclass(frozen=True)
class HiddenFault:
    """One fault.

    Attributes
    ----------
    told : str
        What was wrong, told afterwards.
    seen_by : str
        By which figures it could have been seen.
    """

    key: str
    name: str
    told: str
    seen_by: str


FAULTS = {
    f.key: f
    for f in (
        HiddenFault("contact", "bad contact", "The block sat askew: the paste's resistance was far too high.", "Die over coolant was kelvins above the other mounts after two minutes, at the same power and flow; coolant over air was as always."),
        HiddenFault("pads", "pads too thick", "Pads held the block off the die: die and hot spot both lost contact.", "Die over coolant was above the other mounts, and the hot spot stood further over the die than in theirs."),
        HiddenFault("air", "trapped air", "Air was left in the radiator and the loop.", "The flow was a quarter below the other mounts, and coolant over air was above them."),
        HiddenFault("pump", "a tired pump", "The pump lost speed and flow all through the run.", "Pump speed and flow sagged from the first minute to the last, and the levels crept up with them."),
        HiddenFault("swapped", "swapped probes", "The coolant's probe and the air's were changed round.", "Under load the coolant read below the air: that cannot be."),
        HiddenFault("stuck", "a stuck sensor", "The coolant's probe stuck at one value some minutes into the run.", "The coolant stood still to the last digit while die and power went on moving."),
        HiddenFault("pumping out", "paste pumping out", "The paste was pushed out from under the die bit by bit.", "Die over coolant crept up long after it should have been steady, with power and flow unchanged."),
        HiddenFault("warm intake", "a warm intake", "The radiator drew in air that something else had warmed; the air probe hung beside it.", "Coolant over air stood above the other mounts by about as much at idle as under load: more heat cannot do that, warm air can."),
        HiddenFault("door", "an opened door", "A door was opened during the run and the room's air fell at once.", "The air fell by a kelvin or two within a minute, and coolant over air jumped and came back over minutes."),
        HiddenFault("background", "a background load", "Another program took power all through the run.", "Power at idle, and under load, was well above the other mounts; per watt the mount was like them."),
        HiddenFault("second device", "a second device at work", "The card in the same loop worked along with the processor, and warmed the coolant.", "Coolant over air was above the other mounts under load, though not at idle, at the same power, flow and fans; die over coolant was as always."),
        HiddenFault("slow fans", "fans slower than set", "The fans turned slower than the test said.", "The fans' speed read below the other mounts, and coolant over air was above them."),
    )
}  # fmt: skip


def with_fault(plan: RunPlan, key: str, rng: np.random.Generator, size: float | None = None) -> tuple[RunPlan, Fault]:
    """A run's plan with a fault in it, and what the fault does while the run goes on; drawn, or of a given size."""
    size = float(rng.uniform(0.8, 1.3)) if size is None else size
    if key == "contact":
        return replace(plan, block=replace(plan.block, paste_k_w=plan.block.paste_k_w * (1 + 0.28 * size))), Fault()
    if key == "pads":
        block = replace(plan.block, paste_k_w=plan.block.paste_k_w * (1 + 0.2 * size))
        return replace(plan, block=block), Fault(hot_spot_k_w=0.025 * size)
    if key == "air":
        return replace(plan, trapped_air=0.27 * size), Fault()
    if key == "pump":
        return plan, Fault(pump_sag_per_h=0.22 * size)
    if key == "swapped":
        return plan, Fault(swapped=("Coolant in", "Air in"))
    if key == "stuck":
        return plan, Fault(stuck=("Coolant in", float(rng.uniform(520, 700))))
    if key == "pumping out":
        return plan, Fault(paste_growth_per_h=0.45 * size)
    if key == "warm intake":
        return plan, Fault(warm_intake_k=2.2 * size)
    if key == "door":
        room = replace(plan.room, door_s=float(rng.uniform(580, 900)), door_k=1.6 * size)
        return replace(plan, room=room), Fault()
    if key == "second device":
        return plan, Fault(loop_heat_w=45.0 * size)
    if key == "slow fans":
        return plan, Fault(fan_share=1 - 0.28 * size)
    load = replace(plan.load, power_w=plan.load.power_w + 25 * size, idle_w=plan.load.idle_w + 25 * size)
    return replace(plan, load=load), Fault(extra_w=25 * size)
