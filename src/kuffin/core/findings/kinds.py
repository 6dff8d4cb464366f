"""The kinds of findings: what each is called, its likely causes in order of likelihood, and what to do."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, kw_only=True)
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
        Kind(key="unreadable", title="Cannot be judged", causes=("a channel has the wrong role", "a channel is missing", "the log is too short"), advice="Look at the roles under Channels; everything that can still be told is told."),
        Kind(key="not settled", title="Not settled", causes=("the run was stopped early", "the loop is slower than was thought", "the room moved all the time"), advice="Run it again for longer, or accept the level it points to with its wider interval.", spoils="the window's mean is short of the level"),
        Kind(key="drift", title="Drift not bounded", causes=("a coarse or noisy sensor", "a window that is a few minutes too short"), advice="A few minutes more would have shown that it settled; the level itself is known."),
        Kind(key="stepped", title="Something changed in the run", causes=("a fan or pump was set otherwise", "air moved in the loop", "paste gave way"), advice="Look at the marks and at flow, pump and fans at that moment; the reading is from after it."),
        Kind(key="crept", title="Die over coolant creeps", causes=("paste pumping out from under the die", "a block that settles on its pads", "a sensor that drifts"), advice="Open it up and look at the print; mount it again, and wait for the same number of warm-ups in each mount.", spoils="no single moment is the reading"),
        Kind(key="plateau", title="Which plateau this is", causes=("the log begins under load or at rest", "the load was ended and begun again", "fans or pump switch by temperature"), advice="Look at the trace and at the window; drag it to another plateau where that is the one you mean."),
        Kind(key="hot start", title="Hot start", causes=("the loop had not cooled down from the run before", "idle was cut short"), advice="Let it cool for two or three time constants; a settled run is not spoilt by it."),
        Kind(key="cut cycles", title="The window cuts the load's passes", causes=("the window was set by hand or by the clock",), advice="Let the window begin and end at whole passes, or let Kuffin find it.", spoils="dips count more or less than their share"),
        Kind(key="clock gap", title="Gap in the log", causes=("the logger paused", "the computer slept or was busy", "a cable came loose"), advice="Look at what happened in the gap before the run counts."),
        Kind(key="steps", title="Load steps missing", causes=("the run ended before its last step", "a step was too short, or at another level", "the protocol is another one than was run"), advice="Look at the protocol on the Plan desk, and at the power over time; what is there is judged.", spoils="this mount says nothing under a step that it lacks"),
        # air
        Kind(key="room drifted", title="The room drifted", causes=("sun, heating or people in the room", "the test itself warms the room"), advice="Over air the drift is taken out with the loop's own delay; a steadier room gives a narrower interval."),
        Kind(key="room jumped", title="The air jumped", causes=("a door or window was opened", "an air conditioner came on", "somebody stood beside the probe"), advice="Wait until two time constants after it, or run it again with the door shut.", spoils="the coolant answers the room only minutes later"),
        Kind(key="air probes disagree", title="Air probes disagree", causes=("one probe hangs in warm air that comes back from the radiator", "a probe touches something", "a probe's offset"), advice="Hang them at the intake, away from exhaust and walls; check them side by side at rest."),
        Kind(key="warm at rest", title="Coolant over air is off at rest as much as under load", causes=("the radiator draws warmer air than the air probe says", "a probe's offset", "the loop was still warm from before"), advice="Hold a probe into the intake itself; check both probes in one glass at room temperature.", spoils="more heat does not do that: the same kelvins stand on every reading over air"),
        Kind(key="zero check", title="Probes disagree at room temperature", causes=("a probe's offset", "something was still warm"), advice="Give the probe its offset on the Bench page, from a glass of water at room temperature."),
        Kind(key="swapped", title="Probes look swapped under load", causes=("the coolant's probe and the air's are changed round", "a channel has the wrong role", "the air probe hangs in the exhaust"), advice="Look at the roles under Channels; if a probe hangs wrong, run it again.", spoils="heat does not flow uphill"),
        Kind(key="dew point", title="Near the dew point", causes=("chilled coolant", "very moist air"), advice="Water may form on cold parts beside mains and electronics: warm the coolant, or switch off and dry. Ask somebody qualified where you are not sure."),
        # power, pump, heat
        Kind(key="power off", title="Power unlike the other mounts", causes=("a program in the background", "another load or setting", "leakage of a hotter die"), advice="Read it per watt, or run it again with the background quiet."),
        Kind(key="idle off", title="Idle power unlike the other mounts", causes=("a program in the background", "another power setting"), advice="Look at what runs on the machine; per watt the reading may still stand."),
        Kind(key="power drifts", title="Power drifts in the window", causes=("the load changes", "boost steps down as it warms", "a background program begins or ends"), advice="Per watt takes most of it out; a steady load is better."),
        Kind(key="throttled", title="Throttled", causes=("the part reached its temperature limit", "the mount makes bad contact", "too little flow"), advice="At the limit the temperature says nothing: compare at a lower power, or compare the clock held.", spoils="the temperature is the limit's, not the cooler's"),
        Kind(key="wall power", title="Power at the wall", causes=("no channel tells the part's own power",), advice="Say on the Bench page what the wall's power holds besides (at idle, and the supply's efficiency), or compare over coolant or air at the same load.", spoils="a rise per watt is too small by the share that is not the part's"),
        Kind(key="flow off", title="Flow unlike the other mounts", causes=("air in the loop", "a kinked tube", "the pump was set otherwise", "dirt in the block"), advice="Bleed it, look along the tubes, look at the pump's speed; then run it again.", spoils="block and radiator are both worse at less flow"),
        Kind(key="flow sags", title="Flow sags", causes=("the pump tires or is throttled", "air collects", "a filter or block fills with dirt"), advice="Look at the pump's speed and supply; run it again when it is steady.", spoils="there is no one state to read"),
        Kind(key="pump off", title="Pump unlike the other mounts", causes=("the pump was set otherwise", "the pump tires", "another curve is active"), advice="Set it by hand to the study's speed, and run it again."),
        Kind(key="pump sags", title="Pump slows down", causes=("the pump tires or overheats", "its supply sags", "a control curve"), advice="Fix its speed by hand; replace it where it cannot hold it.", spoils="there is no one state to read"),
        Kind(key="fan off", title="Fans unlike the other mounts", causes=("the fans were set otherwise", "another curve is active", "a fan stands still"), advice="Set them by hand to the study's speed, and run it again."),
        Kind(key="heat balance", title="Heat balance open", causes=("the two coolant probes differ by an offset", "the flow meter is off", "heat goes another way than into the coolant", "the power channel is not the part's"), advice="Check the probes side by side; a pair 0.1 K off closes nothing at a high flow."),
        Kind(key="upstream", title="The coolant is warmed before it comes there", causes=("several devices are in one loop", "no channel tells the flow"), advice="Give the loop a flow channel: with it Kuffin takes off what the devices before warm the coolant by."),
        # sensors
        Kind(key="stuck", title="A sensor is stuck", causes=("the logger repeats the last value", "a cable came loose", "the sensor is broken"), advice="Do not use the channel after that moment; look at its cable and run it again.", spoils="a value that stands still is not a measurement"),
        Kind(key="drops out", title="A sensor drops out", causes=("a loose plug", "a bus that is too busy"), advice="Look at its plug; what is missing stays missing, and nothing is put in its place."),
        Kind(key="spikes", title="A sensor spikes", causes=("a loose probe", "disturbance from fans or supplies", "a bus error"), advice="Marked samples are left out of means; more than a few per cent want a better cable."),
        Kind(key="coarse", title="A coarse sensor", causes=("it shows whole degrees only",), advice="Its step goes into the uncertainty; a finer probe would help more than more mounts."),
        Kind(key="out of range", title="A value that cannot be", causes=("the wrong unit or role", "a broken probe"), advice="Look at unit and role under Channels."),
        # against the other mounts
        Kind(key="contact", title="Die over coolant unlike the other mounts", causes=("bad contact: paste, tilt or uneven screws", "pads that hold the block off", "another paste or amount", "low flow"), advice="Open it up, look at the print, and mount it again: another mount tells more than leaving this one out."),
        Kind(key="radiator side", title="Coolant over air unlike the other mounts", causes=("air in the radiator", "fans set otherwise or blocked", "warm intake air", "low flow", "another device at work in the loop"), advice="Bleed it, look at the fans and at where the air probe hangs; then run it again."),
        Kind(key="hot spot", title="Hot spot over die unlike the other mounts", causes=("uneven contact or tilt", "pads too thick on one side", "paste that does not reach a corner"), advice="Look at the print where the hot spot is; check pad heights and the order of screws."),
        Kind(key="core spread", title="Core spread unlike the other mounts", causes=("uneven contact or tilt", "a core under more load"), advice="Look at the print; tighten crosswise."),
        Kind(key="first mount", title="A first mount unlike the other candidates", causes=("bad contact: paste, tilt or uneven screws", "pads that hold the block off", "a candidate that is much worse than the others"), advice="Open it up and look at the print before going on; mount it again."),
        Kind(key="unlike", title="This mount unlike its siblings", causes=("a bad mount", "something changed on the bench", "chance: one in a hundred looks so"), advice="Another mount tells more than leaving this one out."),
        # the study
        Kind(key="differs", title="Candidates differ in something that is not under test", causes=("a setting was changed along with the part",), advice="Make it the same, or give the reason on the page “Fair?” of the Plan desk."),
        Kind(key="bench moved", title="The bench moved", causes=("a probe shifted", "the pump or paste ages", "the season"), advice="Retest the baseline, and look at what changed since."),
        Kind(key="few mounts", title="Few mounts", causes=("the study is young",), advice="Mount each candidate at least three times."),
        Kind(key="one sample", title="One sample", causes=("only one of each was to hand",), advice="Say “these samples”, or get a second one of each."),
    )
}  # fmt: skip
