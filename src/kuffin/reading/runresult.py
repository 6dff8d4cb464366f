"""What a run tells: the shape of its result, and how it is kept."""

from __future__ import annotations

from dataclasses import asdict, dataclass, field
from typing import Any

from kuffin.core.base.plaindata import PlainError, typed
from kuffin.core.bench.roles import COOLANT
from kuffin.core.findings import KINDS, Finding
from kuffin.core.settle import Settled
from kuffin.core.settle.spots import SpotReading
from kuffin.reading.wholefits import WholeReading


@dataclass(frozen=True)
class DeviceResult:
    """What a run tells of another device.

    Attributes
    ----------
    over_coolant : Settled or None
        Its die over the coolant where it enters, K.
    power_w : float or None
    warmed_k : float or None
        By what other devices warm the coolant before it comes to this one, K.
    problem : str
        Why something is not known.
    """

    over_coolant: Settled | None
    power_w: float | None
    warmed_k: float | None = None
    problem: str = ""


@dataclass(frozen=True, kw_only=True)
class TypedReadings:
    """Figures that a person typed, by channel; their values are the run's means.

    Attributes
    ----------
    minutes : float or None
        Since the load began; None: not told.
    resolutions : dict of float
        The step of each channel's last digit.
    units : dict of str
    """

    minutes: float | None
    resolutions: dict[str, float]
    units: dict[str, str]


@dataclass(frozen=True, kw_only=True)
class RunResult:
    """All that is kept of a run's evaluation.

    Attributes
    ----------
    traces : dict of Settled
    problems : dict of str
        Why a trace could not be judged.
    means : dict
        Window means of the plain channels by name, as (mean, scatter).
    window_s : tuple or None
        Of the main trace.
    names : dict
        Which channels serve as die, coolant, air, power.
    by_hand : bool
        Whether the window was set by a person, or by the protocol's clock.
    window_by : str
        ``hand``, ``clock`` or ``found``.
    detected : dict of Settled
        Where the window was set: what would have been found, by trace.
    figures : dict
        What the mount is held against its siblings by; see `kuffin.core.findings.figures`.
    whole : dict of WholeReading
        The whole-trace fits, by the trace of their school.
    findings : tuple of Finding
        What the run shows by itself.
    condition : str
        The protocol's load step that this is about; blank where the run has only one.
    stretch_s : tuple or None
        From when to when its samples were looked at.
    begun_s : float or None
        When the step began, where that was known beforehand.
    device : str or None
        Whose die was asked about, where it has a name.
    power_w, heat_w : float or None
        Window means of that device's power, and of all that heats the coolant.
    warmed_k : float or None
        By what other devices warm the coolant before it comes to that device, K.
    devices : dict of DeviceResult
        The other devices of the bench that have a die.
    whose : dict
        Why no die, power or heat may speak.
    steps : tuple of RunResult
        One for each load step, this one's among them; empty where the run has only one.
    spots : dict of SpotReading
        Traces of parts that were read a few times only, typed while the run was recorded.
    typed : TypedReadings or None
        Where its figures were typed by a person.
    """

    traces: dict[str, Settled]
    problems: dict[str, str]
    means: dict[str, tuple[float, float]]
    window_s: tuple[float, float] | None
    names: dict[str, str]
    by_hand: bool = False
    roles: dict[str, str] = field(default_factory=dict)
    window_by: str = "found"
    detected: dict[str, Settled] = field(default_factory=dict)
    figures: dict[str, float] = field(default_factory=dict)
    whole: dict[str, WholeReading] = field(default_factory=dict)
    findings: tuple[Finding, ...] = ()
    condition: str = ""
    stretch_s: tuple[float, float] | None = None
    begun_s: float | None = None
    device: str | None = None
    power_w: float | None = None
    heat_w: float | None = None
    warmed_k: float | None = None
    devices: dict[str, DeviceResult] = field(default_factory=dict)
    whose: dict[str, str] = field(default_factory=dict)
    steps: tuple[RunResult, ...] = ()
    typed: TypedReadings | None = None
    spots: dict[str, SpotReading] = field(default_factory=dict)

    def power_for(self, part: str) -> float | None:
        """The power that makes a part's rise, W: the device's own, or of the coolant all that heats it."""
        return self.heat_w if part in COOLANT else self.power_w

    def at(self, condition: str | None) -> RunResult | None:
        """The result under a condition, None where the run does not hold it; all of it where no condition is asked for."""
        if condition is None or condition.casefold() == self.condition.casefold():
            return self
        return next((s for s in self.steps if s.condition == condition), None)

    def mean_of(self, role: str) -> float | None:
        """Window mean of the channel with a role."""
        name = self.roles.get(role)
        return self.means[name][0] if name in self.means else None


def to_json(found: RunResult) -> dict[str, Any]:
    """A result as it is kept in a notebook."""
    return asdict(found)


def from_json(values: dict[str, Any]) -> RunResult:
    """A result from a notebook.

    Raises
    ------
    PlainError
        Where it is no result of this Kuffin's.
    """
    found = typed(values, RunResult, finite=False)
    for result in (found, *found.steps):
        if any(f.kind not in KINDS for f in result.findings):
            raise PlainError("a finding of a kind that there is not")
    return found
