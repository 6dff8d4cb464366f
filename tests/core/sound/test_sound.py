"""Recordings: weighting and bands by the standards' tables, levels and tones in closed form, and what is no recording refused."""

from __future__ import annotations

import json
from itertools import pairwise
from pathlib import Path

import numpy as np
import pytest
import soundfile

from kuffin.cli import main
from kuffin.core.base.errors import KuffinError, LogError, TraceError
from kuffin.core.sound.heard import Heard, heard, heard_from_plain
from kuffin.core.sound.levels import levels, look_at_recording, sensitivity, without_background
from kuffin.core.sound.owners import Turning, owner_words
from kuffin.core.sound.spectrum import Energies
from kuffin.core.sound.tones import Tone, prominent_from
from kuffin.core.sound.weighting import a_weighting, third_octaves
from kuffin.logs.audio import read_recording
from kuffin.simulated.microphone import BLADES, COIL_HZ, FULL_SCALE_PA, RATE, Sounding, calibrator, recorded

# IEC 61672-1:2013, table 3: nominal frequency, A weighting
TABLE = {20: -50.5, 25: -44.7, 31.5: -39.4, 40: -34.6, 50: -30.2, 63: -26.2, 80: -22.5, 100: -19.1, 125: -16.1, 160: -13.4, 200: -10.9, 250: -8.6, 315: -6.6, 400: -4.8, 500: -3.2, 630: -1.9, 800: -0.8, 1000: 0.0, 1250: 0.6, 1600: 1.0, 2000: 1.2, 2500: 1.3, 3150: 1.2, 4000: 1.0, 5000: 0.5, 6300: -0.1, 8000: -1.1, 10000: -2.5, 12500: -4.3, 16000: -6.6, 20000: -9.3}  # fmt: skip


def test_the_weighting_is_that_of_the_standard() -> None:
    for nominal, want in TABLE.items():
        exact = 1000 * 10 ** (round(10 * np.log10(nominal / 1000)) / 10)
        assert abs(float(a_weighting(np.array([exact]))[0]) - want) <= 0.1, nominal


def test_third_octaves_are_the_exact_ones_of_base_ten() -> None:
    bands = third_octaves(24_000)
    assert [round(m, 2) for m, _, _ in bands[6:12]] == [100.0, 125.89, 158.49, 199.53, 251.19, 316.23]
    for (_, _, high), (_, low, _) in pairwise(bands):
        assert high == pytest.approx(low)


def of(x: np.ndarray, rate: int = 48_000) -> Heard:
    e = Energies(rate)
    for i in range(0, x.size, 5 * rate):
        e.add(x[i : i + 5 * rate])
    return heard_from_plain(json.loads(json.dumps(heard(e).to_plain())))  # as a notebook keeps it


def tone(hz: float, level_db: float, rate: int = 48_000, seconds: float = 8.0, full_pa: float = 2.0) -> np.ndarray:
    t = np.arange(int(rate * seconds)) / rate
    return 2e-5 * 10 ** (level_db / 20) * np.sqrt(2) * np.sin(2 * np.pi * hz * t) / full_pa


@pytest.mark.parametrize(("hz", "weight"), [(100.0, -19.1), (1000.0, 0.0), (5011.87, 0.5)])
def test_a_calibrated_tone_has_its_level_and_its_band(hz: float, weight: float) -> None:
    pascals = sensitivity("cal", of(tone(1000, 84, full_pa=2.0)), 94.0, -10.0)  # recorded 10 dB lower
    found = levels(of(tone(hz, 60.0)), pascals)
    assert pascals == pytest.approx(2.0, rel=1e-3)
    assert found.laeq == pytest.approx(60 + weight, abs=0.06)
    assert found.la90 == pytest.approx(found.laeq, abs=0.1) and found.lafmax == pytest.approx(found.laeq, abs=0.1)
    assert max(found.thirds, key=lambda b: b[1]) == (pytest.approx(hz, rel=0.01), pytest.approx(60.0, abs=0.05))


def test_a_background_comes_off_by_energy_or_not_at_all() -> None:
    assert without_background(50.0, 30.0) == (50.0, "none needed")
    assert without_background(43.0103, 40.0)[0] == pytest.approx(40.0, abs=1e-3)
    assert without_background(42.9, 40.0) == (None, "too close")


def test_noise_alone_names_no_tone() -> None:
    named = 0
    for seed in range(60):
        rng = np.random.default_rng(seed)
        n, rate = 48_000 * 5, 48_000
        hz = np.fft.rfftfreq(n, 1 / rate)
        shape = (np.maximum(hz, 20) / 1000) ** (-rng.choice([0.0, 0.5, 0.9]))
        x = np.fft.irfft(shape * (rng.normal(size=hz.size) + 1j * rng.normal(size=hz.size)), n)
        named += any(t.prominent for t in of(0.1 * x / np.abs(x).max()).tones)
    assert named <= 1


def test_a_tone_over_noise_has_the_ratio_it_was_made_with() -> None:
    rng = np.random.default_rng(2)
    rate, n = 48_000, 48_000 * 20
    x = rng.normal(0, 0.01, n)
    density = 2 * 0.01**2 / rate  # of one side, per hertz
    band = 162.2  # at 1 kHz
    power = density * band * 10 ** (10 / 10)
    x = x + np.sqrt(2 * power) * np.sin(2 * np.pi * 1000.3 * np.arange(n) / rate)
    (found,) = [t for t in of(x).tones if t.tnr_db > 3]
    assert found.hz == pytest.approx(1000.3, abs=0.5) and found.tnr_db == pytest.approx(10.0, abs=0.5)
    assert found.prominent and prominent_from(100.0) > 16


def test_the_simulated_microphone_sounds_as_loud_as_the_meter_reads_and_its_tones_have_their_owners() -> None:
    rng = np.random.default_rng(11)
    pascals = sensitivity("cal", of(calibrator(rng), RATE), 94.0, 0.0)
    assert pascals == pytest.approx(FULL_SCALE_PA, rel=0.003)
    what = Sounding(fan_rpm=650.0, pump_speed=0.62, power_w=180.0)
    found = levels(of(recorded(what, rng), RATE), pascals)
    assert found.laeq == pytest.approx(what.level_dba, abs=0.15)
    turning = [Turning("pump", 4800 * 0.62), Turning("fans", 650.0, BLADES)]
    owners = {round(t.hz): owner_words(t, turning) for t, _ in found.tones if t.tnr_db > 3}
    assert owners[298].startswith("pump: 6 times its 49.6 turns a second")
    assert owners[round(COIL_HZ)].startswith("neither pump nor fans nor mains: coils")
    coils = next(t for t, _ in found.tones if abs(t.hz - COIL_HZ) < 5)
    assert coils.prominent  # where the fans are slow
    loud = levels(of(recorded(Sounding(fan_rpm=1600.0, pump_speed=0.62, power_w=180.0), rng), RATE), pascals)
    assert not any(t.prominent and abs(t.hz - COIL_HZ) < 5 for t, _ in loud.tones)
    idle = levels(of(recorded(Sounding(fan_rpm=650.0, pump_speed=0.62, power_w=24.0), rng), RATE), pascals)
    assert not any(abs(t.hz - COIL_HZ) < 20 for t, _ in idle.tones if t.tnr_db > 3)


@pytest.mark.parametrize(
    ("hz", "said"),
    [(135.0, "fans: its 9 blades at 15.0 turns a second"), (100.0, "pump: 2 times its 49.6 turns a second or hum of 50 Hz mains, 2 times"), (540.0, "fans: 4 times its 9 blades at 15.0 turns a second"), (120.3, "hum of 60 Hz mains, 2 times"), (412.0, "neither pump nor fans nor mains: not known")],
)  # fmt: skip
def test_a_tones_owner_is_guessed_from_what_turns(hz: float, said: str) -> None:
    turning = [Turning("pump", 2976.0), Turning("fans", 900.0, BLADES)]
    assert owner_words(Tone(hz=hz, power=1e-9, tnr_db=10.0), turning) == said


def test_a_waterfall_shows_when_a_tone_came() -> None:
    rng = np.random.default_rng(1)
    x = 1e-3 * rng.normal(size=10 * RATE)
    x[5 * RATE :] += 0.1 * np.sin(2 * np.pi * 2000 * np.arange(5 * RATE) / RATE)
    e = Energies(RATE)
    for part in np.array_split(x, 4):
        e.add(part)
    moments, picture = e.waterfall(20)
    band = int(np.argmin(np.abs(e.picture_hz - 2000)))
    assert picture.shape == (moments.size, e.picture_hz.size) and moments.size <= 20
    late = moments > 5.4
    assert picture[late, band].min() > 100 * picture[moments < 4.6, band].max()


class TestFiles:
    @pytest.mark.parametrize(
        ("subtype", "rate", "channels"),
        [("PCM_U8", 44_100, 1), ("PCM_24", 96_000, 2), ("FLOAT", 192_000, 1), ("PCM_16", 48_000, 5)],
    )
    def test_other_sample_formats_rates_and_channels_say_the_same(
        self, tmp_path: Path, subtype: str, rate: int, channels: int
    ) -> None:
        loud = tone(1000, 80, rate)
        x = np.column_stack([loud if i == channels - 1 else 0.1 * loud for i in range(channels)])
        soundfile.write(tmp_path / "a.wav", x, rate, subtype=subtype)
        read = read_recording(tmp_path / "a.wav")
        assert read.channel == channels and bool(read.warnings) == (channels > 1)
        assert levels(read.heard, 2.0).laeq == pytest.approx(80.0, abs=0.1)

    def test_flac_is_read(self, tmp_path: Path) -> None:
        soundfile.write(tmp_path / "a.flac", tone(1000, 80), 48_000)
        assert levels(read_recording(tmp_path / "a.flac").heard, 2.0).laeq == pytest.approx(80.0, abs=0.1)

    @pytest.mark.parametrize("what", ["text", "empty", "gone", "folder"])
    def test_what_is_no_recording_is_refused(self, tmp_path: Path, what: str) -> None:
        path = tmp_path / "a.wav"
        if what == "folder":
            path.mkdir()
        elif what != "gone":
            path.write_text("no sound at all" if what == "text" else "")
        with pytest.raises(LogError, match=r"no recording that Kuffin can read|is not there"):
            read_recording(path)

    @pytest.mark.parametrize(
        ("x", "said"), [(tone(1000, 60, seconds=1.0), "1.0 s long"), (np.zeros(48_000 * 4), "is silent")]
    )
    def test_a_recording_that_says_nothing_is_refused(self, x: np.ndarray, said: str) -> None:
        with pytest.raises(TraceError, match=said):
            look_at_recording("a.wav", of(x))

    def test_a_clipped_one_is_told_of(self) -> None:
        (said,) = look_at_recording("a.wav", of(np.clip(3 * tone(1000, 94), -1, 1)))
        assert "is clipped" in said

    @pytest.mark.parametrize(
        ("x", "said"),
        [
            (np.random.default_rng(1).normal(0, 0.1, 48_000 * 4), "no calibrator's steady tone"),
            (tone(440, 94, full_pa=4.0), "calibrators sound at 1000 or 250 Hz"),
            (tone(1000, 90) * np.repeat([0.3, 1.0], 48_000 * 4), "no calibrator's steady tone"),
            (np.clip(9 * tone(1000, 94), -1, 1), "is clipped, so it calibrates nothing"),
        ],
    )
    def test_what_is_no_calibrator_is_refused(self, x: np.ndarray, said: str) -> None:
        with pytest.raises(KuffinError, match=said):
            sensitivity("cal.wav", of(x), 94.0, 0.0)

    def test_the_command_says_no_dba_without_a_calibrator(
        self, tmp_path: Path, capsys: pytest.CaptureFixture[str]
    ) -> None:
        rng = np.random.default_rng(3)
        soundfile.write(tmp_path / "run.wav", 0.02 * rng.normal(size=48_000 * 4), 48_000)
        assert main(["sound", str(tmp_path / "run.wav"), "--json"]) == 0
        told = json.loads(capsys.readouterr().out)
        assert told["calibrated"] is False and told["laeq_dba"] is None and told["relative_db"] < -25
        assert main(["sound", str(tmp_path / "run.wav")]) == 0
        assert "nothing is said in dBA" in capsys.readouterr().out
        assert main(["sound", str(tmp_path / "none.wav")]) == 2
        assert "is not there" in capsys.readouterr().err
