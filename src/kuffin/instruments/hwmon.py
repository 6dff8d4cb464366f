"""The sensors of the computer itself, as the kernel tells them: hwmon, clocks, and energy counters.

Source: the Linux kernel's documentation, *hwmon sysfs interface*, *cpufreq* and *powercap*.
"""

from __future__ import annotations

import math
import re
import time
from collections.abc import Callable
from pathlib import Path

from kuffin.core.base.errors import BenchError
from kuffin.core.base.saying import say
from kuffin.instruments.meterlines import ToldValue

HWMON = Path("/sys/class/hwmon")
CPU = Path("/sys/devices/system/cpu")
POWERCAP = Path("/sys/class/powercap")

# kind of file -> (canonical unit, quantity, scale)
_KINDS = {
    "temp": ("degC", "temperature", 1e-3),
    "fan": ("rpm", "rotational_speed", 1.0),
    "power": ("W", "power", 1e-6),
    "in": ("V", "voltage", 1e-3),
    "curr": ("A", "current", 1e-3),
    "freq": ("MHz", "frequency", 1e-6),
    "humidity": ("%", "share", 1e-3),
}
_FILE = re.compile(r"^(temp|fan|power|in|curr|freq|humidity)(\d+)_(input|average)$")


def _text(path: Path) -> str | None:
    try:
        return path.read_text(encoding="utf-8", errors="replace").strip()
    except OSError:
        return None


class HwmonSource:
    """Every sensor under an hwmon folder, named by chip and label."""

    def __init__(self, root: Path | str = HWMON) -> None:
        self._root = Path(root)
        self._files: dict[str, tuple[Path, str]] = {}
        self._silent = 0

    def _find(self) -> None:
        try:
            chips = sorted(self._root.iterdir(), key=lambda p: (len(p.name), p.name))
        except OSError:
            raise BenchError("{root}: there are no sensors of the kernel's here (hwmon)", root=self._root) from None
        seen: dict[str, int] = {}
        for chip in chips:
            name = _text(chip / "name") or chip.name
            seen[name] = seen.get(name, 0) + 1
            shown = name if seen[name] == 1 else f"{name} {seen[name]}"
            try:
                files = sorted(f.name for f in chip.iterdir())
            except OSError:
                continue
            for file in files:
                match = _FILE.match(file)
                if match is None or (match[3] == "average" and f"{match[1]}{match[2]}_input" in files):
                    continue
                label = _text(chip / f"{match[1]}{match[2]}_label") or f"{match[1]}{match[2]}"
                key = f"{shown} {label}"
                if key in self._files:
                    key = f"{key} ({match[1]}{match[2]})"
                self._files[key] = (chip / file, match[1])

    def read(self) -> dict[str, ToldValue]:
        if not self._files:
            self._find()
        out = {}
        self._silent = 0
        for key, (path, kind) in self._files.items():
            unit, quantity, scale = _KINDS[kind]
            written = _text(path)
            fault = kind == "temp" and _text(path.with_name(path.name.replace("_input", "_fault"))) == "1"
            try:
                value = math.nan if written is None or fault else float(written) * scale
            except ValueError:
                value = math.nan
            self._silent += math.isnan(value)
            out[key] = ToldValue(value, unit, quantity)
        if out and self._silent == len(out):
            self._files = {}  # chips may have been numbered anew
            raise BenchError("{root}: none of the sensors answers", root=self._root)
        return out

    def complaint(self) -> str:
        return ""

    def close(self) -> None:
        self._files = {}


class ProcessorSource:
    """The processor's clocks, and its power from energy counters where they may be read."""

    def __init__(
        self, root: Path | str = CPU, powercap: Path | str = POWERCAP, clock: Callable[[], float] = time.monotonic
    ) -> None:
        self._root, self._powercap, self._clock = Path(root), Path(powercap), clock
        self._before: dict[Path, tuple[float, float]] = {}
        self._locked = ""

    def read(self) -> dict[str, ToldValue]:
        out = self._clocks()
        for zone in sorted(self._powercap.glob("*:*")) if self._powercap.is_dir() else []:
            told = self._power(zone)
            if told is not None:
                name = _text(zone / "name") or zone.name
                key = f"power of {name}"
                out[key if key not in out else f"{key} ({zone.name})"] = told
        if not out:
            raise BenchError("{root}: neither clocks nor energy counters can be read here", root=self._root)
        return out

    def _clocks(self) -> dict[str, ToldValue]:
        clocks = []
        for path in sorted(self._root.glob("cpu[0-9]*/cpufreq/scaling_cur_freq")):
            written = _text(path)
            if written and written.isdigit():
                clocks.append(int(written) / 1000.0)
        if not clocks:
            return {}
        return {
            "clock, mean of cores": ToldValue(sum(clocks) / len(clocks), "MHz", "frequency"),
            "clock, fastest core": ToldValue(max(clocks), "MHz", "frequency"),
        }

    def _power(self, zone: Path) -> ToldValue | None:
        """Power from the energy counted since the reading before; the counter starts again at its range's end."""
        counter = zone / "energy_uj"
        if not counter.exists():
            return None
        written = _text(counter)
        if written is None or not written.isdigit():
            self._locked = say("{counter} may be read by the administrator only", counter=str(counter))
            return ToldValue(math.nan, "W", "power")
        now, energy = self._clock(), float(written)
        before = self._before.get(zone)
        self._before[zone] = (now, energy)
        if before is None or now <= before[0]:
            return ToldValue(math.nan, "W", "power")
        used = energy - before[1]
        if used < 0:
            most = _text(zone / "max_energy_range_uj")
            used += float(most) if most and most.isdigit() else math.nan
        return ToldValue(used * 1e-6 / (now - before[0]), "W", "power")

    def complaint(self) -> str:
        return self._locked

    def close(self) -> None:
        self._before = {}
