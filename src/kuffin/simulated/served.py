"""The simulated bench through the interfaces a real one has: an hwmon-like folder, a serial port, a TCP port."""

from __future__ import annotations

import contextlib
import json
import os
import pty
import select
import socket
import threading
import tty
from pathlib import Path

from kuffin.core.bench.calibration import Within
from kuffin.instruments.setup import ChannelSetting, InstrumentSetting
from kuffin.simulated.livebench import SimulatedBench

_SERIAL = {"Coolant in": "Tin", "Coolant out": "Tout", "Air in": "Tair"}
_NETWORK = ("Flow", "Sound", "Fan", "Room")


class ServedBench:
    """Serves a simulated bench until it is closed.

    Die, hot spot, power and pump stand in the hwmon folder; the probes come as lines from the serial port (or as answers
    to ``?`` where `asked`); flow, sound and the room come from the TCP port as lines, or as JSON.

    Parameters
    ----------
    folder : Path
        Where the hwmon tree is written.
    """

    def __init__(
        self, bench: SimulatedBench, folder: Path, every_s: float = 0.25, asked: bool = False, as_json: bool = False
    ) -> None:
        self.bench, self.hwmon, self._every_s, self._asked, self._json = bench, folder, every_s, asked, as_json
        self._stop = threading.Event()
        self._lock = threading.Lock()
        self._values: dict[str, float] = {}
        self._master, slave = pty.openpty()
        tty.setraw(slave)
        self.port = os.ttyname(slave)
        self._slave = slave
        self._listening = socket.create_server(("127.0.0.1", 0))
        self._listening.settimeout(0.2)
        self.address = f"127.0.0.1:{self._listening.getsockname()[1]}"
        self._callers: list[socket.socket] = []
        self._make_tree()
        self._read()
        self._threads = [
            threading.Thread(target=work, daemon=True, name="served bench")
            for work in (self._tell, self._answer, self._accept)
        ]
        for thread in self._threads:
            thread.start()

    def _make_tree(self) -> None:
        for chip, name, labels in (
            ("hwmon0", "simproc", {"temp1": "Die", "temp2": "Hot spot", "power1": "Package power"}),
            ("hwmon1", "simboard", {"fan1": "Pump"}),
        ):
            place = self.hwmon / chip
            place.mkdir(parents=True, exist_ok=True)
            (place / "name").write_text(name + "\n")
            for file, label in labels.items():
                (place / f"{file}_label").write_text(label + "\n")

    def _read(self) -> None:
        values = dict(zip((c.name for c in self.bench.channels), self.bench.read(), strict=True))
        with self._lock:
            self._values = values
        for file, name, scale in (
            ("hwmon0/temp1_input", "Die", 1e3),
            ("hwmon0/temp2_input", "Hot spot", 1e3),
            ("hwmon0/power1_input", "Package power", 1e6),
            ("hwmon1/fan1_input", "Pump", 1.0),
        ):
            path = self.hwmon / file
            partial = path.with_suffix(".part")
            partial.write_text(f"{round(values[name] * scale)}\n")
            partial.replace(path)  # a reader never sees half a number

    def settings(self) -> list[InstrumentSetting]:
        """How these interfaces are set up as instruments, with the roles of their channels."""

        def channel(
            source: str, name: str, unit: str, quantity: str, role: str, percent: float = 0.0, fixed: float = 0.0
        ) -> ChannelSetting:
            return ChannelSetting(
                source=source, name=name, unit=unit, quantity=quantity, role=role, accuracy=Within(percent, fixed)
            )

        return [
            InstrumentSetting(
                kind="hwmon",
                name="simulated sensors",
                where=str(self.hwmon),
                interval_s=1.0,
                channels=(
                    channel("simproc Die", "Die", "degC", "temperature", "die"),
                    channel("simproc Hot spot", "Hot spot", "degC", "temperature", "hot_spot"),
                    channel("simproc Package power", "Package power", "W", "power", "power"),
                    channel("simboard Pump", "Pump", "rpm", "rotational_speed", "pump"),
                ),
            ),
            InstrumentSetting(
                kind="serial",
                name="simulated probe box",
                where=self.port,
                interval_s=0.5,
                baud=115_200,
                question="?" if self._asked else "",
                channels=(
                    channel("Tin", "Coolant in", "degC", "temperature", "coolant_in", fixed=0.1),
                    channel("Tout", "Coolant out", "degC", "temperature", "coolant_out", fixed=0.1),
                    channel("Tair", "Air in", "degC", "temperature", "air_in", fixed=0.1),
                ),
            ),
            InstrumentSetting(
                kind="network",
                name="simulated flow box",
                where=self.address,
                interval_s=1.0,
                channels=(
                    channel("Flow", "Flow", "L/h", "flow", "flow", 2.0),
                    channel("Sound", "Sound", "dBA", "sound_level", "sound"),
                    channel("Fan", "Fans", "rpm", "rotational_speed", "fan"),
                    channel("Room", "Room", "degC", "temperature", "room"),
                ),
            ),
        ]

    def line(self) -> bytes:
        """What the serial meter says now."""
        with self._lock:
            return (
                ", ".join(f"{short}={self._values[name]:.2f} C" for name, short in _SERIAL.items()) + "\r\n"
            ).encode()

    def _network_line(self) -> bytes:
        with self._lock:
            told = {name: self._values[name] for name in _NETWORK}
        units = {"Flow": "L/h", "Sound": "dBA", "Fan": "rpm", "Room": "°C"}
        if self._json:
            return (json.dumps({n: {"value": round(v, 2), "unit": units[n]} for n, v in told.items()}) + "\n").encode()
        return ("; ".join(f"{n}: {v:.2f} {units[n]}" for n, v in told.items()) + "\n").encode()

    def _tell(self) -> None:
        while not self._stop.wait(self._every_s):
            self._read()
            if not self._asked:
                self._write(self.line())
            line = self._network_line()
            for caller in list(self._callers):
                try:
                    caller.sendall(line)
                except OSError:
                    self._callers.remove(caller)
                    caller.close()

    def _write(self, data: bytes) -> None:
        # where nobody reads, the port fills up; what does not fit is lost, as on a real cable
        if select.select([], [self._master], [], 0)[1]:
            with contextlib.suppress(OSError):
                os.write(self._master, data)

    def _answer(self) -> None:
        while not self._stop.is_set():
            if not select.select([self._master], [], [], 0.2)[0]:
                continue
            try:
                asked = os.read(self._master, 1024)
            except OSError:
                return
            if self._asked and b"?" in asked:
                self._write(self.line())

    def _accept(self) -> None:
        while not self._stop.is_set():
            with contextlib.suppress(OSError):
                caller, _ = self._listening.accept()
                self._callers.append(caller)

    def hang_up(self) -> None:
        """Cut all network connections, as an unplugged cable does."""
        for caller in self._callers:
            caller.close()
        self._callers = []

    def close(self) -> None:
        """Serve no more."""
        self._stop.set()
        for thread in self._threads:
            thread.join(2)
        self.hang_up()
        self._listening.close()
        for end in (self._master, self._slave):
            with contextlib.suppress(OSError):
                os.close(end)
