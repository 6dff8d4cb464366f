"""Configurations: what is built in and how it is set; and what differs between candidates besides what is under test.

The one owner of settings: of a bench, a candidate, a protocol's step, and the test that a log is of.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import KW_ONLY, dataclass

from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import plain
from kuffin.core.bench.undertest import kind_under_test


@dataclass(frozen=True)
class Setting:
    """One thing that can be set, or one part that can be built in.

    Attributes
    ----------
    kind : str
        ``number``, ``choice``, ``text``, or ``part`` (then `part_kinds` says which may stand there).
    effect : str
        What a difference in it does to a comparison, for the person.
    strength : int
        3: it can decide the comparison alone; 2: it can shift it; 1: small, worth a line in the report; 0: it is taken
        out of the numbers.
    of_test : bool
        Whether tests of one mount may differ in it: a step may set it, and a log may be said to be under it.
    shown_by, shown_in : str
        The role of the channel that shows whether it was set, and that channel's unit: the very figure where both units are
        the same, else only that it moved. Blank: no channel does.
    called : str
        What it is called where one is asked to set it: ``the pump``.
    of_use : bool
        Whether it is how the part itself is used, so that whoever fits it has to know.
    """

    key: str
    label: str
    kind: str
    effect: str
    _: KW_ONLY
    strength: int = 2
    unit: str = ""
    options: tuple[str, ...] = ()
    part_kinds: tuple[str, ...] = ()
    low: float = 0.0
    high: float = 1000.0
    of_test: bool = False
    shown_by: str = ""
    shown_in: str = ""
    called: str = ""
    of_use: bool = False

    @property
    def spoken(self) -> str:
        """Its name where it could be taken for the part; a message, as its label is."""
        apart = {
            "pump_percent": mark("pump speed"),
            "fan_percent": mark("fan speed"),
            "pads_where": mark("place and thickness of the pads"),
            "fans_where": mark("number and side of the fans"),
            "turned": mark("angle it is turned by"),
        }
        return apart.get(self.key, self.label)


_S = Setting
SETTINGS: dict[str, Setting] = {
    s.key: s
    for s in (
        _S("block", "block", "part", "The step from die to coolant is the block's: another block decides it.", strength=3, part_kinds=("processor block", "card block")),
        _S("radiator", "radiator", "part", "The step from coolant to air is the radiator's: another radiator decides it.", strength=3, part_kinds=("radiator",)),
        _S("pump", "pump", "part", "Another pump gives another flow; blocks gain with flow, about 1 K for a doubling.", strength=2, part_kinds=("pump",)),
        _S("fans", "fans", "part", "Other fans move another amount of air: several kelvins from coolant to air, and another sound.", strength=3, part_kinds=("fan",)),
        _S("coolant", "coolant", "part", "More glycol carries less heat and flows less: up to about 1 K at the die.", strength=2, part_kinds=("coolant",)),
        _S("paste", "paste", "part", "Another paste shifts the step from die to coolant by up to some kelvins.", strength=3, part_kinds=("paste",)),
        _S("backplate", "backplate", "part", "A backplate spreads the pull, and carries heat from behind: with and without are two things.", strength=2, part_kinds=("backplate",)),
        _S("pads", "pads", "part", "Other pads change memory and regulators, and may lift the block off the die.", strength=2, part_kinds=("pad",)),
        _S("fitting", "fittings", "part", "Narrow fittings and tight bends lower the flow.", strength=1, part_kinds=("fitting",)),
        _S("adapter", "adapter", "part", "An adapter is one more place that can leak, and narrows the way.", strength=1, part_kinds=("adapter",)),
        _S("fan_screws", "fan screws", "part", "Screws that are too long pierce the radiator’s core.", strength=1, part_kinds=("screws",)),
        _S("case", "case", "part", "Another case brings other air to the radiator: several kelvins.", strength=2, part_kinds=("case",)),
        _S("board", "board", "part", "Another board sets other limits and voltages: the processor makes another heat.", strength=2, part_kinds=("board",)),
        _S("memory", "memory", "part", "Other memory is other heat beside the block.", strength=1, part_kinds=("memory",)),
        _S("load", "load", "text", "Another load heats other places of the die.", strength=2, of_test=True),
        _S("power_w", "power", "number", "Rises grow in step with power: 5 % more power is 5 % more rise. “Per watt” takes that out.", strength=2, unit="W", high=5000, of_test=True, shown_by="power", shown_in="W", called="the load"),
        _S("power_limit_w", "power limit", "number", "A higher limit lets the part draw more; where a limit holds it back, its temperature says little of the cooler.", strength=2, unit="W", high=5000, of_test=True, called="the power limit"),
        _S("clock_mhz", "clock", "number", "Another clock makes another power, and another score.", strength=2, unit="MHz", high=20_000, of_test=True, shown_by="clock", shown_in="MHz", called="the clock"),
        _S("clock_limit_mhz", "clock limit", "number", "Another limit of the clock: power, score and temperature differ with it.", strength=2, unit="MHz", high=20_000, of_test=True, called="the clock limit"),
        _S("voltage_v", "voltage", "number", "More voltage makes more heat at the same clock.", strength=2, unit="V", high=60, of_test=True, shown_by="voltage", shown_in="V", called="the voltage"),
        _S("pump_percent", "pump", "number", "Another pump speed gives another flow; compare blocks at the same flow.", strength=2, unit="%", high=100, of_test=True, shown_by="pump", shown_in="rpm", called="the pump"),
        _S("fan_percent", "fans", "number", "Another fan speed changes coolant over air at once: several kelvins.", strength=3, unit="%", high=100, of_test=True, shown_by="fan", shown_in="rpm", called="the fans"),
        _S("firmware", "firmware", "text", "Firmware sets limits, voltages and fan curves: with another one it may be another part.", strength=2, of_test=True, called="the firmware"),
        _S("driver", "driver", "text", "Another driver can load the part otherwise: power and clock move with it.", strength=2, of_test=True, called="the driver"),
        _S("orientation", "orientation", "choice", "A radiator or block the other way up may hold air.", strength=1, options=("lying", "standing, ports up", "standing, ports down", "on its side", "hanging")),
        _S("ports", "ports", "text", "Which ports are used decides how the flow crosses the part.", strength=2, of_use=True),
        _S("turned", "turned by", "number", "A part that is turned lies otherwise over the hot places: commonly some tenths of a kelvin.", strength=2, unit="°", high=360, of_use=True),
        _S("state", "state", "text", "As bought, repaired, cleaned, lapped: by now it may be another part.", strength=2, of_use=True),
        _S("flow_direction", "flow direction", "choice", "Most blocks are made for one direction; the other one can cost some kelvins.", strength=2, options=("as marked", "against the mark", "not marked"), of_use=True),
        _S("tightening", "tightening", "choice", "An uneven pull tilts the block: part of the die loses contact.", strength=2, options=("crosswise, in turns", "one after the other", "springs to the stop")),
        _S("screws", "screws", "text", "Longer screws or other springs pull otherwise: commonly some tenths of a kelvin.", strength=1),
        _S("torque_nm", "torque", "number", "More pull thins the paste: commonly some tenths of a kelvin.", strength=2, unit="N m", high=20),
        _S("paste_amount_g", "paste amount", "number", "Too little leaves bare places; too much costs little.", strength=1, unit="g", high=20),
        _S("spread", "way of spreading", "choice", "The way of spreading decides where air is shut in.", strength=2, options=("dot", "line", "cross", "several dots", "spread flat", "sheet")),
        _S("pads_where", "pads, where and how thick", "text", "Thicker pads can hold the block off the die.", strength=2),
        _S("fans_where", "fans, how many and which side", "text", "One fan more, or pulling instead of pushing, changes the air through the core.", strength=3),
    )
}  # fmt: skip

OF_TEST = {s.key: s for s in SETTINGS.values() if s.of_test}

_PLURAL = {"fans", "pads", "screws"}


@dataclass(frozen=True, kw_only=True)
class Difference:
    """Something that differs between candidates besides what is under test.

    Attributes
    ----------
    key : str
        What it is known by, so that a reason can be written down for it.
    groups : tuple of (value as text, candidates)
    said : str
        The sentence, where “who has what” does not say it.
    counts_as : str
        What it is in a word, where its strength does not say it.
    """

    key: str
    label: str
    groups: tuple[tuple[str, tuple[str, ...]], ...]
    effect: str
    strength: int
    said: str = ""
    counts_as: str = ""

    @property
    def verb(self) -> str:
        """Differs, or differ."""
        return tr("differ") if self.label in {tr(p) for p in _PLURAL} else tr("differs")

    @property
    def sentence(self) -> str:
        """Who has what."""
        if self.said:
            return self.said
        parts = []
        for value, names in self.groups:
            who = ", ".join(names) if len(names) < 4 else tr("{n} candidates", n=len(names))
            parts.append(f"{who}: {value}")
        return f"{self.label[0].upper()}{self.label[1:]} {self.verb}. " + " · ".join(parts)


def written(setting: Setting, value: object) -> str:
    """A setting's value with its unit.

    >>> written(SETTINGS["pump_percent"], 62.0), written(SETTINGS["driver"], "")
    ('62 %', 'not said')
    """
    if value is None or value == "":
        return "not said"
    if isinstance(value, (int, float)):
        return f"{plain(value)} {setting.unit}".rstrip()
    return str(value)


def differences(
    under_test: str, configurations: Mapping[str, Mapping[str, object]], keep_same: Sequence[str] = ()
) -> list[Difference]:
    """Everything in which candidates differ besides what is under test, the strongest first.

    Parameters
    ----------
    under_test : str
        What is compared: radiator, block, paste, pad, coolant or set.
    configurations : mapping of candidate to its settings
        Parts by their name. A setting that only some candidates say differs from those that do not.
    keep_same : sequence of str
        Settings that the study promises to keep the same: a difference there counts as one that can decide.
    """
    free = kind_under_test(under_test).brings
    found = []
    for setting in SETTINGS.values():
        if setting.key not in free:
            said = {name: written(setting, values.get(setting.key)) for name, values in configurations.items()}
            found += difference(setting, said, keep_same)
    return sorted(found, key=lambda d: -d.strength)


def difference(setting: Setting, said: Mapping[str, str], keep_same: Sequence[str] = ()) -> list[Difference]:
    """A setting in which candidates differ; empty where they do not.

    Parameters
    ----------
    said : mapping of candidate to what it says
    """
    groups = grouped(said)
    strength = 3 if setting.key in keep_same else setting.strength
    return (
        [Difference(key=setting.key, label=tr(setting.spoken), groups=groups, effect=setting.effect, strength=strength)]
        if len(groups) > 1
        else []
    )


def grouped(said: Mapping[str, str]) -> tuple[tuple[str, tuple[str, ...]], ...]:
    """Candidates by what they say."""
    groups: dict[str, list[str]] = {}
    for name, value in said.items():
        groups.setdefault(value, []).append(name)
    return tuple((v, tuple(n)) for v, n in groups.items())
