"""Recordings in a notebook: kept as FLAC, levelled by the calibrator of the time, the background off, and told when they cannot be."""

from __future__ import annotations

import io
from collections.abc import Iterator
from pathlib import Path

import numpy as np
import pytest
import soundfile

from kuffin.core.base.errors import KuffinError, LogError, TraceError
from kuffin.demo.quiet import NAME, RECORDED_PERCENT
from kuffin.logs.audio import write_sound
from kuffin.notebook import edits, recordings
from kuffin.notebook import shelf as edit_shelf
from kuffin.notebook.entities import Bench
from kuffin.notebook.store import Notebook
from kuffin.reading.soundlevels import level_of
from kuffin.said.soundwords import calibration_words, level_words
from kuffin.simulated.microphone import RATE, Sounding, calibrator, recorded
from kuffin.verdict.recordedsound import recorded_level
from kuffin.verdict.study import judge
from kuffin.verdict.tonesheard import tones_of

LOUD, QUIET = Sounding(fan_rpm=1300.0, pump_speed=0.62, power_w=180.0), Sounding()


class Lab:
    """A notebook with a bench, a mount to record, and a folder."""

    def __init__(self, folder: Path) -> None:
        self.folder, self.rng = folder, np.random.default_rng(5)
        self.notebook = Notebook.create(folder / "sound.kuffin")
        self.bench_id = edit_shelf.add_bench(self.notebook, "booth seven")

    @property
    def bench(self) -> Bench:
        return edit_shelf.benches(self.notebook)[0]

    def keep(self, name: str, samples: np.ndarray, kind: str = "recording", at: str = "", **whose: object) -> int:
        write_sound(self.folder / name, samples, RATE)
        bench = self.bench
        return recordings.add_recording(self.notebook, self.folder / name, kind=kind, bench=bench, added_at=at, **whose)  # type: ignore[arg-type]

    def level(self, at: int = 0):  # type: ignore[no-untyped-def]
        every = recordings.recordings(self.notebook)
        own = [r for r in every if r.kind == "recording"]
        return level_of(own[at], [r for r in every if r.bench_id is not None])


@pytest.fixture
def lab(tmp_path: Path) -> Iterator[Lab]:
    made = Lab(tmp_path)
    yield made
    made.notebook.close()


def test_without_a_calibrator_a_level_is_relative_only(lab: Lab) -> None:
    lab.keep("a.flac", recorded(LOUD, lab.rng))
    lab.keep("b.flac", recorded(Sounding(fan_rpm=900.0, pump_speed=0.62, power_w=180.0), lab.rng))
    a, b = lab.level(0), lab.level(1)
    assert a.worked is None and "no calibrator was recorded" in a.why_not and level_words(a).endswith("dB, relative")
    apart = LOUD.level_dba - Sounding(fan_rpm=900.0, pump_speed=0.62, power_w=180.0).level_dba
    assert a.levels.relative_db - b.levels.relative_db == pytest.approx(apart, abs=0.2)
    assert "levels are relative only" in calibration_words([])


def test_each_recording_goes_by_the_calibrator_before_it_and_drift_widens_what_is_left_open(lab: Lab) -> None:
    lab.keep("cal.flac", calibrator(lab.rng), "calibrator", "2026-02-01T09:00:00")
    lab.keep("a.flac", recorded(LOUD, lab.rng), at="2026-02-01T10:00:00")
    alone = lab.level()
    assert alone.worked.value == pytest.approx(LOUD.level_dba, abs=0.15) and alone.worked.u95 < 0.45
    lab.keep("later.flac", calibrator(lab.rng, 95.0), "calibrator", "2026-02-02T09:00:00")
    lab.keep("b.flac", recorded(LOUD, lab.rng), at="2026-02-02T10:00:00")
    first, second = lab.level(0), lab.level(1)
    assert first.worked.value == pytest.approx(LOUD.level_dba, abs=0.15)
    assert second.worked.value == pytest.approx(LOUD.level_dba - 1.0, abs=0.15)
    assert first.worked.u95 > 1.0 and "they lie within 1.00 dB" in calibration_words(
        recordings.recordings(lab.notebook, bench_id=lab.bench_id)
    )


def test_a_gain_that_differed_is_taken_out_and_a_later_change_does_not_alter_what_is_kept(lab: Lab) -> None:
    recordings.set_sound(lab.notebook, lab.bench_id, gain_db=-10.0)
    lab.keep("cal.flac", calibrator(lab.rng) * 10 ** (-10 / 20), "calibrator")
    lab.keep("a.flac", recorded(LOUD, lab.rng))
    assert lab.level().worked.value == pytest.approx(LOUD.level_dba, abs=0.15)
    recordings.set_sound(lab.notebook, lab.bench_id, gain_db=20.0)
    assert lab.level().worked.value == pytest.approx(LOUD.level_dba, abs=0.15)
    with pytest.raises(KuffinError, match="outside"):
        recordings.set_sound(lab.notebook, lab.bench_id, distance_m=500.0)


def test_the_background_comes_off_with_a_growing_half_width_or_leaves_only_at_most(lab: Lab) -> None:
    lab.keep("cal.flac", calibrator(lab.rng), "calibrator")
    lab.keep("booth.flac", recorded(QUIET, lab.rng), "background")
    soft = Sounding(fan_rpm=500.0)  # 15.9 dBA in a booth of 18
    lab.keep("loud.flac", recorded(LOUD, lab.rng))
    lab.keep("slow.flac", recorded(Sounding(fan_rpm=700.0), lab.rng))
    lab.keep("soft.flac", recorded(soft, lab.rng))
    loud, slow, least = (lab.level(i) for i in range(3))
    assert loud.how == "none needed" and slow.how == "corrected" and least.how == "too close"
    assert slow.worked.value == pytest.approx(31 + 50 * np.log10(0.7), abs=0.35)
    assert slow.worked.u95 > loud.worked.u95
    assert least.worked is None and level_words(least) == f"at most {least.levels.laeq:.1f} dBA"


@pytest.mark.parametrize(
    ("what", "kind", "said"),
    [
        ("silent", "recording", "is silent"),
        ("short", "recording", "a level needs 2 s"),
        ("noise", "calibrator", "no calibrator's steady tone"),
        ("wrong tone", "calibrator", "calibrators sound at 1000 or 250 Hz"),
        ("text", "recording", "no recording that Kuffin can read"),
    ],
)
def test_what_says_nothing_is_refused_and_nothing_is_kept(lab: Lab, what: str, kind: str, said: str) -> None:
    t = np.arange(5 * RATE) / RATE
    samples = {
        "silent": np.zeros(5 * RATE),
        "short": recorded(LOUD, lab.rng, 1.0),
        "noise": recorded(LOUD, lab.rng),
        "wrong tone": 0.3 * np.sin(2 * np.pi * 440 * t),
    }.get(what)
    if samples is None:
        (lab.folder / "a.flac").write_text("not a sound")
        with pytest.raises(LogError, match=said):
            recordings.add_recording(lab.notebook, lab.folder / "a.flac", bench=lab.bench)
    else:
        with pytest.raises(TraceError, match=said):
            lab.keep("a.flac", samples, kind)
    assert recordings.recordings(lab.notebook) == []


@pytest.mark.parametrize(("subtype", "channels", "rate"), [("PCM_U8", 1, 16_000), ("FLOAT", 5, 48_000), ("PCM_24", 1, 192_000), ("PCM_16", 12, 16_000)])  # fmt: skip
def test_all_formats_are_kept_as_flac_that_says_the_same(lab: Lab, subtype: str, channels: int, rate: int) -> None:
    lab.keep("cal.flac", calibrator(lab.rng), "calibrator")
    sound = recorded(Sounding(fan_rpm=1600.0), lab.rng, 3.0, rate) * 40  # loud enough for eight bits
    each = np.column_stack([sound if i == channels - 1 else 0.05 * sound for i in range(channels)])
    path = lab.folder / "a.wav"
    soundfile.write(path, each, rate, subtype=subtype)
    kept = recordings.add_recording(lab.notebook, path, bench=lab.bench)
    before = lab.level().levels.laeq
    again = recordings.hear_again(lab.notebook, kept, lambda _: None)
    assert 10 * np.log10(again.heard.weighted / lab.level().heard.weighted) == pytest.approx(0.0, abs=0.02)
    assert before == pytest.approx(31 + 50 * np.log10(1.6) + 20 * np.log10(40), abs=0.4)
    packed = soundfile.info(io.BytesIO(recordings.sound_data(lab.notebook, kept)))
    assert packed.format == "FLAC" and packed.channels == (channels if channels <= 8 else 1)


def test_the_demos_levels_are_true_and_its_tones_are_heard_with_their_owners(demo_notebook: Notebook) -> None:
    study = demo_notebook.study(next(s.id for s in demo_notebook.studies() if s.name == NAME))
    v = judge(demo_notebook, study)
    assert {len(r) for r in v.evidence.sounds.values()} == {len(RECORDED_PERCENT)} and len(v.evidence.sounds) == 9
    condition = next(c.name for c in v.conditions if "75" in c.label)
    for name, mount in v.evidence.mounts:
        level = recorded_level(v.evidence.sounds, mount.id, condition)
        metered = next(r for r in v.by("sound").readings if r.mount_id == mount.id)
        assert level.u95 is not None and metered.value is not None
        truth = 31 + 50 * np.log10(1227 / 1000) + (5 if name == "Sedge" else 0)
        assert level.value == pytest.approx(truth, abs=level.u95 + 0.3)
    heard = {(t.candidate, round(t.hz, -1)): t for t in tones_of(v)}
    whistle = next(t for (n, hz), t in heard.items() if n == "Sedge" and hz < 1000)
    assert whistle.owner.startswith("fans: 4 times its 9 blades") and (whistle.mounts, whistle.of) == (3, 3)
    coils = [t for (_, hz), t in heard.items() if hz == 5230]
    assert len(coils) == 3 and all("coils" in t.owner and "40" in t.condition for t in coils)


def test_a_recorded_level_is_an_outcome_where_no_meter_was_read(demo_notebook: Notebook) -> None:
    """Without the meter's channel the recordings speak: the mount is the unit, and a sweep goes along them too."""
    study = demo_notebook.study(next(s.id for s in demo_notebook.studies() if s.name == NAME))
    with demo_notebook.edit("no meter") as session:
        for candidate in study.live_candidates:
            for mount in candidate.live_mounts:
                for channel in session.get_one(type(mount.live_runs[0]), mount.live_runs[0].id).channels:
                    if channel.role == "sound":
                        channel.role = None
    condition = next(s for s in ("sweep, fans 75 %", "sweep, fans 40 %"))
    edits.change_study(demo_notebook, study.id, "plan", plan={**study.plan, "condition": condition, "outcome": "sound"})
    v = judge(demo_notebook, demo_notebook.study(study.id))
    assert v.outcome.key == "sound" and v.main.comparison is not None
    pair = v.main.comparison.pair("Sedge", "Reed")
    assert abs(pair.difference) == pytest.approx(4.8, abs=0.3) and pair.settled
    bulrush = v.main.of("Bulrush")[0]
    assert bulrush.worked is not None and "recorded" in bulrush.worked.name.lower()
