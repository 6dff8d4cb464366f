"""What candidates can be compared by: the one owner of outcomes. A new one is one more record here.

A temperature is an outcome too: each school of `kuffin.core.heat.normalise` is one. Here stand those that are read as they
are: clock, power, flow, loudness, numbers asked for at a step's end.
"""

from __future__ import annotations

from dataclasses import dataclass

from kuffin.core.base.language import Told

HELD, FREE = "held", "free"


@dataclass(frozen=True)
class Wording:
    """How two candidates, and the first and last of several, are spoken of: ``cooler, warmer, coolest, warmest``."""

    better: Told = Told()
    worse: Told = Told()
    best: Told = Told()
    worst: Told = Told()


COOLER = Wording("cooler", "warmer", "coolest", "warmest")
FASTER = Wording("faster", "slower", "fastest", "slowest")
HIGHER = Wording("higher", "lower", "highest", "lowest")
QUIETER = Wording("quieter", "louder", "quietest", "loudest")
LOWER = Wording("lower", "higher", "lowest", "highest")
EVENER = Wording("more even", "less even", "most even", "least even")


@dataclass(frozen=True, kw_only=True)
class Outcome:
    """Something that candidates are compared by.

    Attributes
    ----------
    key : str
        In the notebook.
    label : str
        As it heads a row.
    unit : str
        Of its values, as shown.
    wording : Wording
        How the better one is spoken of.
    higher_is_better : bool
    matters : float or None
        The smallest difference that matters, in the unit of differences; None: the study's own, in kelvins.
    matters_percent : float or None
        The same as a share of the mean over all candidates, where a unit says nothing of what matters.
    role : str
        The role whose mean over the window it is.
    figure : str
        The figure of the run that it is, where it is none of a channel's mean (`kuffin.core.findings.figures`).
    fact : str
        The field of the part on the shelf that it is, where it is none of what is measured.
    asked : str
        The name of the number asked for, that it is.
    per_watt : bool
        Divided by power; shown re-based to the study's reference power.
    normalised : str
        What is taken out of it, for the person.
    noticed : bool
        Whether a user would notice it without an instrument.
    bounded : str
        Whose value is only a bound: that of a part that a limit held back (`HELD`: it would be worse, had it been let), or
        of one that met no limit (`FREE`: it would be better still). Blank: nobody's.
    of_run : bool
        Whether a run has it once, whatever its conditions.
    temperature : bool
        Whether it is told in kelvins, and the study's margin holds for it.
    """

    key: str
    label: Told = Told(unless="asked")
    unit: str = ""
    wording: Wording = COOLER
    higher_is_better: bool = False
    matters: float | None = None
    matters_percent: float | None = None
    role: str = ""
    figure: str = ""
    fact: str = ""
    asked: str = ""
    per_watt: bool = False
    normalised: Told = Told("nothing is taken out: it is compared as it was under the same load")
    noticed: bool = False
    bounded: str = ""
    of_run: bool = False
    temperature: bool = False

    @property
    def difference_unit(self) -> str:
        """The unit of differences: kelvins between temperatures."""
        return "K" if self.unit == "°C" else self.unit

    @property
    def leaves_in(self) -> str:
        """What it leaves in the numbers that a comparison should not rest on; blank where that is nothing."""
        return ""

    @property
    def better(self) -> str:
        """``lower`` or ``higher``."""
        return "higher" if self.higher_is_better else "lower"

    def margin(self, study_k: float, level: float) -> float | None:
        """The smallest difference that matters, in the unit of differences; None where nobody said.

        Parameters
        ----------
        study_k : float
            The study's, K.
        level : float
            The mean over all candidates.

        Examples
        --------
        >>> MEASURED["clock"].margin(1.0, 4500.0), ASKED.margin(1.0, -2000.0)
        (25.0, 20.0)
        """
        if self.matters_percent is not None:
            return abs(level) * self.matters_percent / 100 or None
        return study_k if self.matters is None else self.matters


_ALL = (
    Outcome(key="clock", label="clock held", unit="MHz", wording=FASTER, higher_is_better=True, matters=25.0, role="clock", noticed=True),
    Outcome(key="power", label="power of the part", unit="W", wording=LOWER, matters=3.0, role="power", bounded=HELD),
    Outcome(key="wall_power", label="power at the wall", unit="W", wording=LOWER, matters=5.0, role="wall_power", bounded=HELD),
    Outcome(key="energy", label="energy of the load", unit="Wh", wording=LOWER, matters_percent=2.0, figure="energy", bounded=HELD),
    Outcome(key="flow", label="flow", unit="L/h", wording=HIGHER, higher_is_better=True, matters=5.0, role="flow"),
    Outcome(key="sound", label="loudness", unit="dBA", wording=QUIETER, matters=1.0, role="sound", noticed=True),
    Outcome(key="fan", label="fan speed", unit="rpm", wording=Wording("slower", "faster", "slowest", "fastest"), matters=50.0, role="fan", noticed=True),
    Outcome(key="score", label="score", wording=HIGHER, higher_is_better=True, matters_percent=1.0, role="score", noticed=True),
    Outcome(key="hot_spot_step", label="hot spot over die", unit="K", matters=1.0, figure="hot_spot_over_die", per_watt=True, temperature=True, normalised="room, coolant and power are taken out"),
    Outcome(key="hottest_core", label="hottest core over coolant", unit="K", figure="hottest_over_coolant", per_watt=True, temperature=True, normalised="room, radiator, fans and power are taken out"),
    Outcome(key="core_spread", label="hottest core over coolest", unit="K", wording=EVENER, figure="core_spread", temperature=True, bounded=HELD, normalised="room and coolant are taken out, power is not"),
    Outcome(key="level_exceeded", label="die over coolant, exceeded 1 % of the time", unit="K", figure="level_over_coolant", per_watt=True, temperature=True, normalised="room, radiator, fans and power are taken out"),
    Outcome(key="power_at_limit", label="power held at the limit", unit="W", wording=HIGHER, higher_is_better=True, matters=5.0, role="power", bounded=FREE, noticed=True),
    Outcome(key="minutes_to_limit", label="time until the limit", unit="min", wording=Wording("longer", "shorter", "longest", "shortest"), higher_is_better=True, matters=1.0, figure="minutes_to_limit", bounded=FREE),
    Outcome(key="idle_power", label="power at idle", unit="W", wording=LOWER, matters=2.0, figure="idle_power", of_run=True),
    Outcome(key="idle_die", label="die over coolant at idle", unit="K", figure="idle_die_over_coolant", of_run=True, temperature=True, normalised="room and radiator are taken out, power is not"),
    Outcome(key="frames_average", label="frame rate, average", unit="1/s", wording=HIGHER, higher_is_better=True, matters_percent=2.0, figure="frames_average", noticed=True),
    Outcome(key="frames_low_percentile", label="1 % low: rate at the 99th percentile of frame times", unit="1/s", wording=HIGHER, higher_is_better=True, matters_percent=3.0, figure="frames_low_percentile"),
    Outcome(key="frames_low_average", label="1 % low: average rate of the slowest 1 % of frames", unit="1/s", wording=HIGHER, higher_is_better=True, matters_percent=3.0, figure="frames_low_average"),
)  # fmt: skip
MEASURED: dict[str, Outcome] = {o.key: o for o in _ALL}
FACTS: dict[str, Outcome] = {
    o.key: o
    for o in (
        Outcome(key="price", label="price", wording=Wording("cheaper", "dearer", "cheapest", "dearest"), fact="price"),
        Outcome(key="weight", label="weight", unit="g", wording=Wording("lighter", "heavier", "lightest", "heaviest"), fact="weight_g"),
    )
}  # fmt: skip
ASKED = Outcome(key="asked", label="number asked for", wording=HIGHER, higher_is_better=True, matters_percent=1.0)
_ASKED = "asked: "


def asked_outcome(name: str, unit: str, lower_is_better: bool = False) -> Outcome:
    """The outcome of a number that is asked for at a step's end; more of it is better unless a study says otherwise.

    >>> asked_outcome("score", "").key
    'asked: score'
    """
    wording = LOWER if lower_is_better else HIGHER
    return Outcome(
        key=f"{_ASKED}{name}",
        label=name,
        unit=unit,
        wording=wording,
        higher_is_better=not lower_is_better,
        matters_percent=1.0,
        asked=name,
        noticed=True,
        normalised="nothing is taken out: it is compared as it was told",
    )


def asked_name(key: str) -> str:
    """The name of the number that an outcome's key asks for; blank where it is no such key."""
    return key.removeprefix(_ASKED) if key.startswith(_ASKED) else ""
