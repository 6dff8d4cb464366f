"""The simulated bench, live: the same model as its recorded runs, read as time goes by, as fast as one likes."""

from __future__ import annotations

import threading
from collections import deque
from collections.abc import Callable
from dataclasses import replace

import numpy as np

from kuffin.instruments.instrument import LiveChannel
from kuffin.instruments.steadyclock import steady
from kuffin.simulated.faults import Fault, misread, worn
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.station import INSTRUMENTS, STEP_S, RunPlan, built, truths
from kuffin.simulated.thermal import simulate

_REMEMBERED_S = 900.0
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
        self._fan_rpm, self._pump_speed = plan.fan_rpm * self._fault.fan_share, plan.pump_speed
        self.load, self._load_begin = replace(plan.load, power_w=plan.load.idle_w, period_s=None), 0.0
        self._loop, self._flow = built(plan, pump, self._fan_rpm, self._pump_speed)
        self._state = self._loop.at_rest(plan.load.idle_w, float(self._air[0]) + self._fault.warm_intake_k)
        self._began, self._now = clock(), 0.0
        self._past: deque[tuple[float, dict[str, np.ndarray]]] = deque()  # each stretch with its begin, s
        self._run(1)
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
                self._fan_rpm = FULL_FAN_RPM * max(fan_percent, 5.0) / 100 * self._fault.fan_share
            self._loop, self._flow = built(self.plan, self._pump, self._fan_rpm, self._pump_speed)

    # --- reading ---------------------------------------------------------------------------------------------------

    def read(self) -> list[float]:
        """The channels' values now."""
        with self._lock:
            self._advance()
            return self._read(self._now)

    def read_at(self, moment: float) -> list[float]:
        """The channels' values at a moment of the clock, of the last quarter of an hour."""
        with self._lock:
            self._advance()
            return self._read((moment - self._began) * self._speed)

    def _read(self, at_s: float) -> list[float]:
        begin, values = next((p for p in reversed(self._past) if p[0] <= at_s), self._past[0])
        n = min(max(int((at_s - begin) / STEP_S + 1e-6), 0), values["Die"].size - 1)
        read = {
            c.name: float(INSTRUMENTS[c.name][3].read(values[c.name][n : n + 1], self._rng)[0]) for c in self.channels
        }
        return list(self._faulty(read, begin + n * STEP_S).values())

    def _faulty(self, read: dict[str, float], at_s: float) -> dict[str, float]:
        fault = self._fault
        at = np.array([at_s])
        read = {
            name: float(x[0]) for name, x in misread(fault, at, {n: np.array([v]) for n, v in read.items()}).items()
        }
        if fault.stuck is not None and at_s >= fault.stuck[1]:
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

    def _advance(self) -> None:
        """Let the model run up to now."""
        self._wear()
        steps = int(((self._clock() - self._began) * self._speed - self._now) / STEP_S)
        if steps > 0:
            self._run(steps)

    def _run(self, steps: int) -> None:
        times = np.asarray(self._now + STEP_S * np.arange(steps + 1), float)
        air = np.interp(times, self._grid, self._air)
        demand = self.load.demand(times, self._load_begin)
        warmed = air + self._fault.warms_air(demand, self._loop.r_radiator)
        course = simulate(self._loop, times, demand, warmed, start=self._state)
        began, self._now = self._now, float(times[-1])
        self._state = np.array([course.die[-1], course.block[-1], course.coolant[-1]])
        speed = self._pump_speed if self._worn is None else self._worn
        sound = self.plan.radiator.sound_db
        truth = truths(self._pump, self._loop, self._flow, self._fan_rpm, speed, air, demand, course, sound)
        self._past.append((began, truth))
        while len(self._past) > 1 and self._past[1][0] < self._now - _REMEMBERED_S:
            self._past.popleft()
