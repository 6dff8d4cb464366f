"""A bench that is open for recording: its instruments, and what sets load, pump and fans."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field

from kuffin.core.bench.devices import ChannelRole
from kuffin.instruments.byhand import HandSource
from kuffin.instruments.configured import ConfiguredInstrument
from kuffin.instruments.instrument import LiveInstrument
from kuffin.notebook.runwriter import ChannelRow
from kuffin.recording.loads import LoadControl, SimulatedLoad
from kuffin.recording.pace import FollowedPace, Pace
from kuffin.simulated.faults import Fault
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import SimulatedBench
from kuffin.simulated.station import RunPlan

_AHEAD_S = 90.0  # of the bench: the shortest that is worth a look takes longer


@dataclass(frozen=True, kw_only=True)
class OpenBench:
    """What a run is recorded from.

    Attributes
    ----------
    interval_s : float
        The distance of rows, s of the bench.
    speed : float
        1 but for the simulated bench.
    pace : Pace
        The clock that it goes by.
    """

    name: str
    instruments: Sequence[LiveInstrument]
    load: LoadControl
    interval_s: float = 1.0
    speed: float = 1.0
    pace: Pace = field(default_factory=Pace)

    @property
    def channels(self) -> list[ChannelRow]:
        """What all instruments tell, in the order of a row."""
        return [ChannelRow(c.name, c.unit, c.quantity, c.role, c.device) for i in self.instruments for c in i.channels]

    @property
    def typed(self) -> list[str]:
        """The channels whose values a person types."""
        return [c.name for i in self._by_hand() for c in i.setting.channels]

    def type_reading(self, name: str, value: float) -> None:
        """Take a typed value; it is kept at its moment."""
        for instrument in self._by_hand():
            for channel in instrument.setting.channels:
                if channel.name == name and isinstance(instrument.source, HandSource):
                    instrument.source.put(channel.source, value)

    @property
    def patience_s(self) -> dict[str, float]:
        """After how long without a word each channel counts as silent; what is typed never does."""
        typed = set(self.typed)
        return {
            c.name: float("inf") if c.name in typed else max(15.0, 4 * i.interval_s)
            for i in self.instruments
            for c in i.channels
        }

    def _by_hand(self) -> list[ConfiguredInstrument]:
        return [i for i in self.instruments if isinstance(i, ConfiguredInstrument) and isinstance(i.source, HandSource)]

    @property
    def roles(self) -> list[ChannelRole]:
        """The same, as what is judged asks for them."""
        return [ChannelRole(c.name, c.role, c.device) for c in self.channels]


def simulated(plan: RunPlan, seed: int, speed: float, fault: Fault | None = None) -> OpenBench:
    """The bench that ships, with something built in, and a fault where one practises."""
    pace = FollowedPace(_AHEAD_S / speed) if speed > 1 else Pace()
    bench = SimulatedBench(plan, Pump(), seed, speed, pace.now, fault=fault)
    return OpenBench(
        name="simulated bench",
        instruments=[bench],
        load=SimulatedLoad(bench),
        interval_s=bench.interval_s,
        speed=speed,
        pace=pace,
    )
