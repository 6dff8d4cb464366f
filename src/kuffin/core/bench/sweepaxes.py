"""What a sweep goes along, and what candidates are read off at: a speed, a flow, a level, a power. One record each."""

from __future__ import annotations

from dataclasses import dataclass

from kuffin.core.base.language import Told


@dataclass(frozen=True, kw_only=True)
class SweepAxis:
    """One of them.

    Attributes
    ----------
    label : str
        As it names an axis.
    equal : str
        What is equal where mounts are read off at one place: ``at equal loudness``.
    way : str
        How an outcome goes along it: by `kuffin.core.compare.along.WAYS`.
    role, setting : str
        The channel whose mean it is, or the setting of a test (`kuffin.core.bench.configuration.OF_TEST`).
    fewer_is_better : bool
        Whether one would rather have less of it.
    matters : float
        The smallest difference along it that matters, in its unit.
    is_cost : bool
        Whether it is what a setting costs, in noise or power, and not the setting itself.
    """

    key: str
    label: Told = Told()
    unit: str
    matters: float
    equal: Told = Told()
    way: str
    role: str = ""
    setting: str = ""
    fewer_is_better: bool = True
    is_cost: bool = False

    @property
    def words(self) -> str:
        """Its label with its unit."""
        return f"{self.label}, {self.unit}"


SWEEP_AXES: dict[str, SweepAxis] = {
    a.key: a
    for a in (
        SweepAxis(key="sound", label="loudness", unit="dBA", matters=0.5, equal="at equal loudness", way="level", role="sound", is_cost=True),
        SweepAxis(key="fan", label="fan speed", unit="rpm", matters=10, equal="at equal fan speed", way="speed", role="fan"),
        SweepAxis(key="fan_percent", label="fan setting", unit="%", matters=1, equal="at equal fan setting", way="speed", setting="fan_percent"),
        SweepAxis(key="flow", label="flow", unit="L/h", matters=2, equal="at equal flow", way="flow", role="flow", fewer_is_better=False),
        SweepAxis(key="pump", label="pump speed", unit="rpm", matters=20, equal="at equal pump speed", way="speed", role="pump"),
        SweepAxis(key="pump_percent", label="pump setting", unit="%", matters=1, equal="at equal pump setting", way="speed", setting="pump_percent"),
        SweepAxis(key="power", label="power", unit="W", matters=1, equal="at equal power", way="power", role="power", is_cost=True),
        SweepAxis(key="power_w", label="load", unit="W", matters=1, equal="under equal load", way="power", setting="power_w"),
    )
}  # fmt: skip
