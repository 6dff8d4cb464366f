"""The kinds of findings: what each is called, its likely causes in order of likelihood, and what to do."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class Kind:
    """A kind of finding. `causes` are in order of likelihood; `spoils` says what it does to the reading."""

    key: str
    title: str
    causes: tuple[str, ...]
    advice: str
    spoils: str = ""


KINDS: dict[str, Kind] = {
    k.key: k
    for k in (
        # settling
        Kind("unreadable", "Cannot be judged", ("a channel has the wrong role", "a channel is missing", "the log is too short"), "Look at the roles under Channels; everything that can still be told is told."),
        Kind("not settled", "Not settled", ("the run was stopped early", "the loop is slower than was thought", "the room moved all the time"), "Run it again for longer, or accept the level it points to with its wider interval.", "the window's mean is short of the level"),
        Kind("drift", "Drift not bounded", ("a coarse or noisy sensor", "a window that is a few minutes too short"), "A few minutes more would have shown that it settled; the level itself is known."),
        Kind("stepped", "Something changed in the run", ("a fan or pump was set otherwise", "air moved in the loop", "paste gave way"), "Look at the marks and at flow, pump and fans at that moment; the reading is from after it."),
        Kind("crept", "Die over coolant creeps", ("paste pumping out from under the die", "a block that settles on its pads", "a sensor that drifts"), "Open it up and look at the print; mount it again, and wait for the same number of warm-ups in each mount.", "no single moment is the reading"),
        Kind("plateau", "Which plateau this is", ("the log begins under load or at rest", "the load was ended and begun again", "fans or pump switch by temperature"), "Look at the trace and at the window; drag it to another plateau where that is the one you mean."),
        Kind("hot start", "Hot start", ("the loop had not cooled down from the run before", "idle was cut short"), "Let it cool for two or three time constants; a settled run is not spoilt by it."),
        Kind("cut cycles", "The window cuts the load's passes", ("the window was set by hand or by the clock", ), "Let the window begin and end at whole passes, or let Kuffin find it.", "dips count more or less than their share"),
        Kind("clock gap", "Gap in the log", ("the logger paused", "the computer slept or was busy", "a cable came loose"), "Look at what happened in the gap before the run counts."),
        Kind("steps", "Load steps missing", ("the run ended before its last step", "a step was too short, or at another level", "the protocol is another one than was run"), "Look at the protocol on the Plan desk, and at the power over time; what is there is judged.", "this mount says nothing under a step that it lacks"),
        # air
        Kind("room drifted", "The room drifted", ("sun, heating or people in the room", "the test itself warms the room"), "Over air the drift is taken out with the loop's own delay; a steadier room gives a narrower interval."),
        Kind("room jumped", "The air jumped", ("a door or window was opened", "an air conditioner came on", "somebody stood beside the probe"), "Wait until two time constants after it, or run it again with the door shut.", "the coolant answers the room only minutes later"),
        Kind("air probes disagree", "Air probes disagree", ("one probe hangs in warm air that comes back from the radiator", "a probe touches something", "a probe's offset"), "Hang them at the intake, away from exhaust and walls; check them side by side at rest."),
        Kind("warm at rest", "Coolant over air is off at rest as much as under load", ("the radiator draws warmer air than the air probe says", "a probe's offset", "the loop was still warm from before"), "Hold a probe into the intake itself; check both probes in one glass at room temperature.", "more heat does not do that: the same kelvins stand on every reading over air"),
        Kind("zero check", "Probes disagree at room temperature", ("a probe's offset", "something was still warm"), "Give the probe its offset on the Bench page, from a glass of water at room temperature."),
        Kind("swapped", "Probes look swapped under load", ("the coolant's probe and the air's are changed round", "a channel has the wrong role", "the air probe hangs in the exhaust"), "Look at the roles under Channels; if a probe hangs wrong, run it again.", "heat does not flow uphill"),
        Kind("dew point", "Near the dew point", ("chilled coolant", "very moist air"), "Water may form on cold parts beside mains and electronics: warm the coolant, or switch off and dry. Ask somebody qualified where you are not sure."),
        # power, pump, heat
        Kind("power off", "Power unlike the other mounts", ("a program in the background", "another load or setting", "leakage of a hotter die"), "Read it per watt, or run it again with the background quiet."),
        Kind("idle off", "Idle power unlike the other mounts", ("a program in the background", "another power setting"), "Look at what runs on the machine; per watt the reading may still stand."),
        Kind("power drifts", "Power drifts in the window", ("the load changes", "boost steps down as it warms", "a background program begins or ends"), "Per watt takes most of it out; a steady load is better."),
        Kind("throttled", "Throttled", ("the part reached its temperature limit", "the mount makes bad contact", "too little flow"), "At the limit the temperature says nothing: compare at a lower power, or compare the clock held.", "the temperature is the limit's, not the cooler's"),
        Kind("wall power", "Power at the wall", ("no channel tells the part's own power",), "Say on the Bench page what the wall's power holds besides (at idle, and the supply's efficiency), or compare over coolant or air at the same load.", "a rise per watt is too small by the share that is not the part's"),
        Kind("flow off", "Flow unlike the other mounts", ("air in the loop", "a kinked tube", "the pump was set otherwise", "dirt in the block"), "Bleed it, look along the tubes, look at the pump's speed; then run it again.", "block and radiator are both worse at less flow"),
        Kind("flow sags", "Flow sags", ("the pump tires or is throttled", "air collects", "a filter or block fills with dirt"), "Look at the pump's speed and supply; run it again when it is steady.", "there is no one state to read"),
        Kind("pump off", "Pump unlike the other mounts", ("the pump was set otherwise", "the pump tires", "another curve is active"), "Set it by hand to the study's speed, and run it again."),
        Kind("pump sags", "Pump slows down", ("the pump tires or overheats", "its supply sags", "a control curve"), "Fix its speed by hand; replace it where it cannot hold it.", "there is no one state to read"),
        Kind("fan off", "Fans unlike the other mounts", ("the fans were set otherwise", "another curve is active", "a fan stands still"), "Set them by hand to the study's speed, and run it again."),
        Kind("heat balance", "Heat balance open", ("the two coolant probes differ by an offset", "the flow meter is off", "heat goes another way than into the coolant", "the power channel is not the part's"), "Check the probes side by side; a pair 0.1 K off closes nothing at a high flow."),
        # sensors
        Kind("stuck", "A sensor is stuck", ("the logger repeats the last value", "a cable came loose", "the sensor is broken"), "Do not use the channel after that moment; look at its cable and run it again.", "a value that stands still is not a measurement"),
        Kind("drops out", "A sensor drops out", ("a loose plug", "a bus that is too busy"), "Look at its plug; what is missing stays missing, and nothing is put in its place."),
        Kind("spikes", "A sensor spikes", ("a loose probe", "disturbance from fans or supplies", "a bus error"), "Marked samples are left out of means; more than a few per cent want a better cable."),
        Kind("coarse", "A coarse sensor", ("it shows whole degrees only",), "Its step goes into the uncertainty; a finer probe would help more than more mounts."),
        Kind("out of range", "A value that cannot be", ("the wrong unit or role", "a broken probe"), "Look at unit and role under Channels."),
        # against the other mounts
        Kind("contact", "Die over coolant unlike the other mounts", ("bad contact: paste, tilt or uneven screws", "pads that hold the block off", "another paste or amount", "low flow"), "Open it up, look at the print, and mount it again: another mount tells more than leaving this one out."),
        Kind("radiator side", "Coolant over air unlike the other mounts", ("air in the radiator", "fans set otherwise or blocked", "warm intake air", "low flow"), "Bleed it, look at the fans and at where the air probe hangs; then run it again."),
        Kind("hot spot", "Hot spot over die unlike the other mounts", ("uneven contact or tilt", "pads too thick on one side", "paste that does not reach a corner"), "Look at the print where the hot spot is; check pad heights and the order of screws."),
        Kind("core spread", "Core spread unlike the other mounts", ("uneven contact or tilt", "a core under more load"), "Look at the print; tighten crosswise."),
        Kind("unlike", "This mount unlike its siblings", ("a bad mount", "something changed on the bench", "chance: one in a hundred looks so"), "Another mount tells more than leaving this one out."),
        # the study
        Kind("differs", "Candidates differ in something that is not under test", ("a setting was changed along with the part",), "Make it the same, or give the reason on the page “Fair?” of the Plan desk."),
        Kind("bench moved", "The bench moved", ("a probe shifted", "the pump or paste ages", "the season"), "Retest the baseline, and look at what changed since."),
        Kind("few mounts", "Few mounts", ("the study is young",), "Mount each candidate at least three times."),
        Kind("one sample", "One sample", ("only one of each was to hand",), "Say “these samples”, or get a second one of each."),
    )
}  # fmt: skip
