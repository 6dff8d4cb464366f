"""What a test was run with, as people write it."""

from __future__ import annotations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from kuffin.core.base.errors import BenchError
from kuffin.core.bench.conditions import of_steps
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.protocol import Step, from_plain, sweep, to_plain
from kuffin.core.bench.testsettings import read_settings, settings_words


def test_names_units_and_words_of_ones_own_are_read() -> None:
    assert read_settings("Power limit 0,24 kW;driver: 12.4 ; clock = 2.5 GHz\nfan curve: quiet; ") == {
        "power_limit_w": 240.0,
        "driver": "12.4",
        "clock_mhz": 2500.0,
        "fan curve": "quiet",
    }
    assert read_settings("pump speed 60 %; fans 40; program long mix") == {
        "pump_percent": 60.0,
        "fan_percent": 40.0,
        "load": "long mix",
    }
    assert read_settings(" ; ") == {}


@pytest.mark.parametrize(
    ("words", "said"),
    [
        ("power limit 240 W, driver 12.4", "is no number; put a “;”"),
        ("driver 12.4, power limit 240 W", "seems to hold another setting"),
        ("voltage 1.1 W", "is not in V"),
        ("pump 140 %", "outside 0 to 100"),
        ("quiet", "no setting that Kuffin knows"),
        ("driver", "does not say what"),
        ("pump 40; pump speed 50", "told twice: 40 % and 50 %"),
    ],
)
def test_what_cannot_be_taken_is_said(words: str, said: str) -> None:
    with pytest.raises(BenchError, match=said):
        read_settings(words)


_TEXT = st.from_regex(r"[a-z0-9][a-z0-9 .+-]{0,10}[a-z0-9]", fullmatch=True).map(lambda t: " ".join(t.split()))
_KNOWN = st.fixed_dictionaries(
    {},
    optional={
        key: st.integers(int(s.low), int(s.high)).map(float) if s.kind == "number" else _TEXT
        for key, s in OF_TEST.items()
    },
)


@given(_KNOWN, _TEXT)
def test_what_is_shown_is_read_again(known: dict[str, float | str], own: str) -> None:
    settings = {**known, "shelf colour": own}
    assert read_settings(settings_words(settings)) == settings


def test_a_step_keeps_all_it_sets_and_names_its_condition_by_what_varies() -> None:
    base = Step(name="load", load="long mix", power_w=180.0, also={"driver": "12.4"})
    steps = sweep(base, "power_limit_w", [200, 240])
    assert [s.name for s in steps] == ["load, power limit 200 W", "load, power limit 240 W"]
    assert from_plain(to_plain(steps)) == steps
    conditions = of_steps(steps)
    assert [c.label for c in conditions] == ["power limit 200 W", "power limit 240 W"]
    assert conditions[0].settings == {"load": "long mix", "power_w": 180.0, "power_limit_w": 200.0, "driver": "12.4"}
    with pytest.raises(BenchError, match="voltage: 100 V is outside 0 to 60 V"):
        sweep(Step(name="load", load="x"), "voltage_v", [1, 100])
