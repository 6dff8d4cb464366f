"""What is typed may be in the window's language, and always in English; what is shown is read again."""

from __future__ import annotations

from collections.abc import Iterator

import pytest
from tools import messages

from kuffin.core.base.language import speak
from kuffin.core.bench.protocol import Step, read_window, window_words
from kuffin.core.bench.testsettings import read_settings
from kuffin.core.compare.claims import Claimed, read_claim


@pytest.fixture(autouse=True)
def german() -> Iterator[None]:
    told = messages.kept(messages.SPEECH / "kuffin_de.ts")
    speak(lambda message: told.get(message, message), ",")
    yield
    speak(None)


@pytest.mark.parametrize("way", ["at least", "at most", "up to", "about", "between"])
def test_a_claim_is_read_as_it_is_shown_and_in_english(way: str) -> None:
    claimed = Claimed(way=way, low=2.5, high=4.0 if way == "between" else None)
    shown = claimed.written("K")
    assert "2,5" in shown and read_claim(shown, "K") == claimed
    assert read_claim({"between": "2.5 to 4"}.get(way, f"{way} 2.5"), "K") == claimed
    assert read_claim("2,5", "K").way == "at least"


@pytest.mark.parametrize("window", [(None, None), (None, 3.0), (27.0, None), (2.5, 30.0)])
def test_a_window_is_read_as_it_is_shown(window: tuple[float | None, float | None]) -> None:
    shown = window_words(Step(name="load", window_from_min=window[0], window_to_min=window[1]))
    assert read_window(shown) == window and "found" not in shown and "last" not in shown


def test_settings_go_by_either_name() -> None:
    assert read_settings("Leistungsgrenze 240 W; driver 12.4") == {"power_limit_w": 240.0, "driver": "12.4"}
