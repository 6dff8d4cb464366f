"""The simulated bench, live: the same model as its recorded runs, read as time goes by, as fast as one likes."""

from __future__ import annotations

import threading
from collections.abc import Callable
from dataclasses import replace

import numpy as np

from kuffin.instruments.instrument import LiveChannel
from kuffin.instruments.steadyclock import steady
from kuffin.simulated.faults import Fault, misread, worn
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.station import INSTRUMENTS, STEP_S, RunPlan, built, truths
from kuffin.simulated.thermal import simulate

_LONGEST_S = 12 * 3600.0  # the room is laid out for so long
FULL_FAN_RPM = 1636.0


class SimulatedBench:
    """A workstation with its loop, whose load, pump and fans can be set while it runs.

    Parameters
    ----------
    plan : RunPlan
        What is built in, and its room; its idle and load times are not used.
    pump : Pump
    seed : int
        Of the room and the sensors.
    speed : float
        How many seconds pass on the bench in one of the clock's.
    clock : callable
        Seconds, steady.

    Attributes
    ----------
    load : Load
        What it runs now.
    """

    name = "simulated bench"
    channels = tuple(
        LiveChannel(name=n, unit=unit, quantity=quantity, role=role)
        for n, (unit, quantity, role, _) in INSTRUMENTS.items()
    )

    def __init__(
        self,
        plan: RunPlan,
        pump: Pump,
        seed: int,
        speed: float = 1.0,
        clock: Callable[[], float] = steady,
        interval_s: float = 2.0,
        fault: Fault | None = None,
    ) -> None:
        self.plan, self._pump, self._speed, self._clock = plan, pump, speed, clock
        self.interval_s = interval_s
        self._fault = fault or Fault()
        self._stuck_at: float | None = None
        self._worn: float | None = None  # the pump's share of full speed, where it sags
        self._rng = np.random.default_rng(seed)
        self._grid = np.arange(0.0, _LONGEST_S, 10.0)
        self._air = plan.room.air(self._grid, self._rng)
        self._fan_rpm, self._pump_speed = plan.fan_rpm, plan.pump_speed
        self.load, self._load_begin = replace(plan.load, power_w=plan.load.idle_w, period_s=None), 0.0
        self._loop, self._flow = built(plan, pump, self._fan_rpm, self._pump_speed)
        self._state = self._loop.at_rest(plan.load.idle_w, float(self._air[0]) + self._fault.warm_intake_k)
        self._began, self._now = clock(), 0.0
        self._truths = self._run(1)
        self._lock = threading.Lock()

    @property
    def usual_load_w(self) -> float:
        """The load of its plan, W."""
        return self.plan.load.power_w

    # --- controls --------------------------------------------------------------------------------------------------

    def set_load(self, power_w: float | None) -> None:
        """Start the load at some power, or (None) leave the machine idle."""
        with self._lock:
            self._advance()
            idle = self.plan.load.idle_w
            self._load_begin = self._now
            self.load = (
                replace(self.plan.load, power_w=idle, period_s=None)
                if power_w is None
                else replace(self.plan.load, power_w=power_w + self._fault.extra_w)
            )

    def set_speeds(self, pump_percent: float | None = None, fan_percent: float | None = None) -> None:
        """Set pump and fans, in per cent; None leaves them."""
        with self._lock:
            self._advance()
            if pump_percent is not None:
                self._pump_speed = max(pump_percent, 5.0) / 100
            if fan_percent is not None:
                self._fan_rpm = FULL_FAN_RPM * max(fan_percent, 5.0) / 100
            self._loop, self._flow = built(self.plan, self._pump, self._fan_rpm, self._pump_speed)

    # --- reading ---------------------------------------------------------------------------------------------------

    def read(self) -> list[float]:
        """The channels' values now."""
        with self._lock:
            values = self._advance()
            read = {
                c.name: float(INSTRUMENTS[c.name][3].read(values[c.name][-1:], self._rng)[0]) for c in self.channels
            }
            return list(self._faulty(read).values())

    def _faulty(self, read: dict[str, float]) -> dict[str, float]:
        fault = self._fault
        at = np.array([self._now])
        read = {
            name: float(x[0]) for name, x in misread(fault, at, {n: np.array([v]) for n, v in read.items()}).items()
        }
        if fault.stuck is not None and self._now >= fault.stuck[1]:
            if self._stuck_at is None:
                self._stuck_at = read[fault.stuck[0]]
            read[fault.stuck[0]] = self._stuck_at
        return read

    def _wear(self) -> None:
        """Pump and paste change as the run goes on."""
        if self._fault.wears:
            plan, self._worn = worn(self._fault, self.plan, self._pump_speed, self._now)
            self._loop, self._flow = built(plan, self._pump, self._fan_rpm, self._worn)

    def complaint(self) -> str:
        """Never anything."""
        return ""

    def close(self) -> None:
        """Nothing to let go of."""

    def _advance(self) -> dict[str, np.ndarray]:
        """Let the model run up to now; the truth on the way there, its last moment now."""
        self._wear()
        steps = int(((self._clock() - self._began) * self._speed - self._now) / STEP_S)
        if steps > 0:
            self._truths = self._run(steps)
        return self._truths

    def _run(self, steps: int) -> dict[str, np.ndarray]:
        times = np.asarray(self._now + STEP_S * np.arange(steps + 1), float)
        air = np.interp(times, self._grid, self._air)
        demand = self.load.demand(times, self._load_begin)
        course = simulate(self._loop, times, demand, air + self._fault.warm_intake_k, start=self._state)
        self._now = float(times[-1])
        self._state = np.array([course.die[-1], course.block[-1], course.coolant[-1]])
        speed = self._pump_speed if self._worn is None else self._worn
        return truths(
            self._pump, self._loop, self._flow, self._fan_rpm, speed, air, demand, course, self.plan.radiator.sound_db
        )
