"""Every driver against the simulated bench's own interfaces: a folder, a serial port, a TCP port; and against trouble."""

from __future__ import annotations

import contextlib
import json
import math
import os
import pty
import socket
import subprocess
import sys
import time
import tty
from collections.abc import Callable, Iterator
from dataclasses import replace
from pathlib import Path

import pytest

from kuffin.core.base.errors import BenchError
from kuffin.core.bench.calibration import Calibration, Within
from kuffin.demo.practice import bench_for
from kuffin.instruments.byhand import HandSource
from kuffin.instruments.command import CommandSource
from kuffin.instruments.configured import ConfiguredInstrument, in_unit, lasting_ports, proposed
from kuffin.instruments.discovery import discover
from kuffin.instruments.hwmon import HwmonSource, ProcessorSource
from kuffin.instruments.meterlines import ToldValue
from kuffin.instruments.ports import NetworkSource, SerialSource
from kuffin.instruments.setup import BenchSetup, ChannelSetting, InstrumentSetting, load_setup, save_setup
from kuffin.instruments.source import ChannelSource
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import SimulatedBench
from kuffin.simulated.served import ServedBench


def until(
    source: ChannelSource, enough: Callable[[dict[str, ToldValue]], bool] = bool, seconds: float = 5.0
) -> dict[str, ToldValue]:
    """Read until something came."""
    end = time.monotonic() + seconds
    while time.monotonic() < end:
        try:
            found = source.read()
        except BenchError:
            found = {}
        if enough(found):
            return found
        time.sleep(0.02)
    raise AssertionError("nothing came")


@pytest.fixture
def bench() -> SimulatedBench:
    return SimulatedBench(bench_for("radiator", "Reed", 1), Pump(), 3)


@pytest.fixture
def served(bench: SimulatedBench, tmp_path: Path) -> Iterator[ServedBench]:
    found = ServedBench(bench, tmp_path / "hwmon", 0.05)
    yield found
    found.close()


def truth(served: ServedBench) -> dict[str, float]:
    return dict(zip((c.name for c in served.bench.channels), served.bench.read(), strict=True))


class TestTheServedBench:
    def test_through_the_kernels_folder(self, served: ServedBench) -> None:
        found = HwmonSource(served.hwmon).read()
        real = truth(served)
        assert set(found) == {"simproc Die", "simproc Hot spot", "simproc Package power", "simboard Pump"}
        assert found["simproc Die"].value == pytest.approx(real["Die"], abs=4)
        assert found["simproc Package power"].value == pytest.approx(real["Package power"], abs=5)
        assert (found["simboard Pump"].unit, found["simproc Die"].quantity) == ("rpm", "temperature")

    def test_through_the_serial_port(self, served: ServedBench) -> None:
        source = SerialSource(served.port, 115200)
        found = until(source)
        assert found["Tin"].value == pytest.approx(truth(served)["Coolant in"], abs=0.5) and found["Tin"].unit == "degC"
        source.close()

    @pytest.mark.parametrize("as_json", [False, True])
    def test_through_the_network(self, bench: SimulatedBench, tmp_path: Path, as_json: bool) -> None:
        served = ServedBench(bench, tmp_path / "hwmon", 0.05, as_json=as_json)
        host, port = served.address.split(":")
        source = NetworkSource(host, int(port))
        found = until(source)
        assert found["Flow"].value == pytest.approx(truth(served)["Flow"], abs=5) and found["Flow"].unit == "L/h"
        served.hang_up()
        end = time.monotonic() + 5
        lost = False
        while not lost and time.monotonic() < end:
            try:
                source.read()
            except BenchError as error:
                lost = "taken up again" in str(error)
        assert lost
        assert until(source)["Flow"].unit == "L/h"  # and it was
        source.close()
        served.close()

    def test_a_meter_that_must_be_asked(self, bench: SimulatedBench, tmp_path: Path) -> None:
        served = ServedBench(bench, tmp_path / "hwmon", 0.05, asked=True)
        source = SerialSource(served.port, 115200, question="?\\n")
        assert source.read()["Tair"].value == pytest.approx(truth(served)["Air in"], abs=0.5)
        deaf = SerialSource(served.port, 115200, question="x\\n")
        with pytest.raises(BenchError, match="does not answer the question “x”"):
            deaf.read()
        source.close()
        deaf.close()
        served.close()


class TestThisComputer:
    def test_a_label_twice_a_fault_and_a_sensor_that_says_nothing(self, tmp_path: Path) -> None:
        for chip in ("hwmon0", "hwmon1"):
            place = tmp_path / chip
            place.mkdir()
            (place / "name").write_text("nvme\n")
            (place / "temp1_input").write_text("41850\n")
        (tmp_path / "hwmon0" / "temp2_input").write_text("garbage\n")
        (tmp_path / "hwmon0" / "temp3_input").write_text("12000\n")
        (tmp_path / "hwmon0" / "temp3_fault").write_text("1\n")
        (tmp_path / "hwmon1" / "in0_input").write_text("12080\n")
        (tmp_path / "hwmon1" / "curr1_input").write_text("1500\n")
        found = {k: v.value for k, v in HwmonSource(tmp_path).read().items()}
        assert found.pop("nvme temp1") == found.pop("nvme 2 temp1") == 41.85
        assert math.isnan(found.pop("nvme temp2")) and math.isnan(found.pop("nvme temp3"))
        assert found == {"nvme 2 in0": 12.08, "nvme 2 curr1": 1.5}

    def test_no_sensors_are_said(self, tmp_path: Path) -> None:
        with pytest.raises(BenchError, match="no sensors of the kernel"):
            HwmonSource(tmp_path / "none").read()
        with pytest.raises(BenchError, match="neither clocks nor energy"):
            ProcessorSource(tmp_path, tmp_path).read()

    def test_clocks_and_power_with_a_counter_that_starts_again(self, tmp_path: Path) -> None:
        for core, khz in enumerate((4_700_000, 4_500_000)):
            place = tmp_path / "cpu" / f"cpu{core}" / "cpufreq"
            place.mkdir(parents=True)
            (place / "scaling_cur_freq").write_text(f"{khz}\n")
        zone = tmp_path / "cap" / "rapl:0"
        zone.mkdir(parents=True)
        (zone / "name").write_text("package-0\n")
        (zone / "max_energy_range_uj").write_text("262143328850\n")
        now = [100.0]
        source = ProcessorSource(tmp_path / "cpu", tmp_path / "cap", lambda: now[0])
        powers = []
        for second, joules in enumerate((262_000.0, 262_120.0, 96.67115)):  # 120 J, then 120 J over the range's end
            now[0] = 100.0 + second
            (zone / "energy_uj").write_text(f"{joules * 1e6:.0f}\n")
            found = source.read()
            powers.append(found["power of package-0"].value)
        assert found["clock, mean of cores"].value == 4600 and found["clock, fastest core"].value == 4700
        assert math.isnan(powers[0]) and powers[1:] == [pytest.approx(120.0), pytest.approx(120.0)]


class TestTrouble:
    def test_a_meter_unplugged_and_plugged_in_again(self, tmp_path: Path) -> None:
        link = tmp_path / "meter"
        first = pty.openpty()
        tty.setraw(first[1])
        link.symlink_to(os.ttyname(first[1]))
        source = SerialSource(str(link))
        with pytest.raises(BenchError, match="is it plugged in"):
            SerialSource(str(tmp_path / "nothing")).read()
        source.read()
        os.write(first[0], b"31.5\n")
        assert until(source)["1"].value == 31.5
        os.close(first[0])
        os.close(first[1])
        with pytest.raises(BenchError):
            for _ in range(20):
                source.read()
        second = pty.openpty()
        tty.setraw(second[1])
        link.unlink()
        link.symlink_to(os.ttyname(second[1]))
        with pytest.raises(AssertionError):
            until(source, seconds=0.1)
        os.write(second[0], b"32.5\n")
        assert until(source)["1"].value == 32.5
        source.close()
        for end in second:
            os.close(end)

    def test_a_flood_over_the_network(self) -> None:
        server = socket.create_server(("127.0.0.1", 0))
        source = NetworkSource("127.0.0.1", server.getsockname()[1])
        source.read()
        caller, _ = server.accept()
        caller.setblocking(False)
        sent = 0
        begin = time.monotonic()
        while time.monotonic() - begin < 1.0:
            with contextlib.suppress(BlockingIOError):
                sent += caller.send(b"T=31.5 C\n" * 1000)
            found = source.read()
        assert sent > 10_000 * 9  # ten thousand lines in a second, or many more
        assert not found or found["T"].value == 31.5
        assert source.lines.bad <= 2 and len(source.lines.rest) < 5000
        source.close()
        caller.close()
        server.close()

    def test_commands(self) -> None:
        python = sys.executable
        assert CommandSource(f"{python} -c \"print('T=31.5 C')\"").read()["T"].value == 31.5
        for command, says in (
            ("/no/such/program", "cannot be started"),
            (f"{python} -c 'raise SystemExit(3)'", "ended with code 3"),
            (f"{python} -c 'import time; time.sleep(9)'", "took longer than 0.5 s"),
        ):
            with pytest.raises(BenchError, match=says):
                CommandSource(command, timeout_s=0.5).read()
        for broken, says in (("", "is empty"), ("say 'x", "quotation marks")):
            with pytest.raises(BenchError, match=says):
                CommandSource(broken)

    def test_a_command_that_prints_without_end_is_bounded(self) -> None:
        with pytest.raises(BenchError, match="printed more than 8 MB and was ended"):
            CommandSource("yes 31.5", timeout_s=9).read()

    def test_a_command_ends_in_time_though_kuffin_is_gone(self, tmp_path: Path) -> None:
        program = (
            "import os, sys, threading, time\n"
            "from kuffin.instruments.command import CommandSource\n"
            "source = CommandSource(f\"sh -c 'echo $$ > {sys.argv[1]}; sleep 50'\", timeout_s=0.5)\n"
            "threading.Thread(target=source.read, daemon=True).start()\n"
            "time.sleep(0.3)\n"
            "os.kill(os.getpid(), 9)\n"
        )
        subprocess.run([sys.executable, "-c", program, str(tmp_path / "pid")], check=False)
        pid = int((tmp_path / "pid").read_text())
        end = time.monotonic() + 5
        while Path(f"/proc/{pid}").exists():
            assert time.monotonic() < end
            time.sleep(0.05)

    def test_a_value_typed_by_hand_is_told_once(self) -> None:
        source = HandSource({"Spot": ("degC", "temperature")})
        source.put("Spot", 51.0)
        assert source.read()["Spot"].value == 51.0
        assert source.read() == {}


class TestDamagedSettings:
    GOOD = InstrumentSetting(
        kind="hand",
        name="typed",
        channels=(ChannelSetting(source="Spot", name="Spot", unit="degC", quantity="temperature"),),
    )

    def written(self, path: Path, **changed: object) -> BenchSetup:
        save_setup(path, BenchSetup((self.GOOD,), {"batch": "true"}, 0.5))
        path.write_text(json.dumps({**json.loads(path.read_text()), **changed}))
        return load_setup(path)

    @pytest.mark.parametrize(
        ("changed", "says"),
        [
            ({"instruments": 7}, "the instruments: they are no list"),
            ({"instruments": [{"kind": "hand"}]}, "instrument 1: object missing required field `name`"),
            ({"instruments": [{"kind": "serial", "name": "meter", "baud": "fast"}]}, "instrument 1 “meter”"),
            ({"instruments": [{"kind": "spell", "name": "meter"}]}, "is no kind of instrument"),
            ({"instruments": [{"kind": "hand", "name": "x", "interval_s": float("nan")}]}, "a number that is none"),
            ({"instruments": [{"kind": "hand", "name": "x", "channels": [{"source": 5, "name": "y"}]}]}, "source"),
            ({"loads": ["a"]}, "the loads: they are no table"),
            ({"loads": {"a": 5}}, "the load “a”"),
            ({"row_s": "often"}, "how often a row is kept"),
            ({"row_s": 1e9}, "how often a row is kept"),
        ],
    )
    def test_damaged_parts_are_named_and_set_aside(self, tmp_path: Path, changed: dict[str, object], says: str) -> None:
        path = tmp_path / "bench.json"
        found = self.written(path, **changed)
        (said,) = found.set_aside
        assert says in said and "bench (damaged).json" in said
        before = path.read_text()
        assert (tmp_path / "bench (damaged).json").read_text() == before
        assert found.instruments == (() if "instruments" in changed else (self.GOOD,))
        assert found.loads == ({} if "loads" in changed else {"batch": "true"})
        assert found.row_s == (1.0 if "row_s" in changed else 0.5)
        save_setup(path, found)
        assert load_setup(path).set_aside == ()  # mended; as it was, it is still there
        assert (tmp_path / "bench (damaged).json").read_text() == before

    @pytest.mark.parametrize("written", [b"", b"{", b"[1]", b"\xff\xfe\x00", b"[" * 100_000, b" " * 3_000_000])
    def test_what_is_no_settings_at_all_is_set_aside_whole(self, tmp_path: Path, written: bytes) -> None:
        path = tmp_path / "bench.json"
        path.write_bytes(written)
        found = load_setup(path)
        assert found.instruments == () and len(found.set_aside) == 1 and "all of it" in found.set_aside[0]


class TestSettingUp:
    def test_names_units_roles_and_calibration(self) -> None:
        told = {"1": ToldValue(5.0), "T": ToldValue(31.0, "degC", "temperature")}
        taken: set[str] = set()
        first = in_unit(proposed("1", told["1"], taken), "L/min")
        coolant = replace(proposed("coolant", told["T"], taken), source="T", calibration=Calibration(1.0, -0.2))
        assert coolant.role == "coolant" and (first.role, first.unit) == ("flow", "L/h")
        instrument = ConfiguredInstrument(
            InstrumentSetting(kind="hand", name="x", channels=(first, coolant)),
            FixedSource({**told, "other": ToldValue(1.0)}),
        )
        assert list(instrument.read()) == [300.0, 30.8]
        assert [c.name for c in instrument.channels] == ["value 1", "coolant"]

    def test_another_unit_than_was_set_up_is_missing_not_guessed(self) -> None:
        channel = ChannelSetting(source="T", name="T", unit="degC", quantity="temperature")
        instrument = ConfiguredInstrument(
            InstrumentSetting(kind="hand", name="x", channels=(channel,)),
            FixedSource({"T": ToldValue(1.5, "kPa", "pressure")}),
        )
        assert math.isnan(instrument.read()[0])

    def test_settings_come_back_as_they_were(self, tmp_path: Path) -> None:
        channel = ChannelSetting(
            source="Tin",
            name="Coolant in",
            unit="degC",
            quantity="temperature",
            role="coolant_in",
            calibration=Calibration(1.01, -0.1, "two points"),
            accuracy=Within(1.0, 0.2),
        )
        setup = BenchSetup(
            (
                InstrumentSetting(
                    kind="serial",
                    name="probe box",
                    where="/dev/ttyUSB0",
                    interval_s=0.5,
                    baud=115200,
                    question="?",
                    channels=(channel,),
                ),
            ),
            {"bounce": "true"},
            0.5,
        )
        path = tmp_path / "deep" / "bench.json"
        save_setup(path, setup)
        assert load_setup(path) == setup
        assert load_setup(tmp_path / "none.json") == BenchSetup()

    def test_all_that_is_there_is_found_with_its_values(self, served: ServedBench, tmp_path: Path) -> None:
        dev = tmp_path / "dev"
        dev.mkdir()
        (dev / "ttyUSB0").symlink_to(served.port)
        silent = pty.openpty()
        (dev / "ttyACM0").symlink_to(os.ttyname(silent[1]))
        told: list[float] = []
        found = {f.setting.name: f for f in discover(told.append, served.hwmon, tmp_path / "cpu", dev, 0.4)}
        assert set(found) == {"this computer's sensors", "ttyUSB0", "ttyACM0"}
        assert set(found["ttyUSB0"].told) == {"Tin", "Tout", "Tair"} and found["ttyUSB0"].trouble == ""
        assert len(found["this computer's sensors"].told) == 4
        assert "may have to be asked" in found["ttyACM0"].trouble
        assert told[-1] == 1.0 and told == sorted(told)
        for end in silent:
            os.close(end)

    def test_ports_by_their_lasting_names(self, tmp_path: Path) -> None:
        (tmp_path / "ttyUSB0").touch()
        (tmp_path / "ttyACM0").touch()
        (tmp_path / "serial" / "by-id").mkdir(parents=True)
        (tmp_path / "serial" / "by-id" / "usb-meter").symlink_to(tmp_path / "ttyUSB0")
        assert lasting_ports(tmp_path) == [str(tmp_path / "serial/by-id/usb-meter"), str(tmp_path / "ttyACM0")]


class FixedSource:
    def __init__(self, told: dict[str, ToldValue]) -> None:
        self.told = told

    def read(self) -> dict[str, ToldValue]:
        return self.told

    def complaint(self) -> str:
        return ""

    def close(self) -> None:
        """Nothing."""
