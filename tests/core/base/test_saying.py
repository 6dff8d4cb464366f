"""Sentences that are kept in English and told otherwise: what a file brings reaches no further than its own sentence."""

from __future__ import annotations

import copy
import pickle
from typing import Any

import numpy as np
import pytest

from kuffin.core.base.language import speak
from kuffin.core.base.saying import Saying, amount, from_plain, say, told
from kuffin.core.findings import Finding

GERMAN = {"{name} stands {by:.1f} K below {other}": "{name} steht {by:.1f} K unter {other}", "air": "Luft"}


def seen() -> Saying:
    return say("{name} stands {by:.1f} K below {other}", name="air", by=np.float64(-1.25), other=say("air"))


def test_it_is_english_kept_and_told_with_the_names_of_people_left_alone() -> None:
    try:
        speak(lambda message: GERMAN.get(message, message), ",")
        assert seen() == "air stands −1.2 K below air"
        for kept in (seen(), copy.deepcopy(seen()), pickle.loads(pickle.dumps(seen())), from_plain(seen().to_plain())):
            assert told(kept) == "air steht −1,2 K unter Luft"
        found = Finding(kind="swapped", seen=seen())
        assert type(found.seen) is str and found.sentence == "Air steht −1,2 K unter Luft."
        assert Finding.from_plain(found.to_plain()).sentence == found.sentence
        assert told(amount(1.25, 2)) == "1,25"
    finally:
        speak(None)


@pytest.mark.parametrize(
    "kept",
    [
        {"message": "{a.__class__}", "places": {"a": "x"}},
        {"message": "{a:>999999999}", "places": {"a": "x"}},
        {"message": "{a!r}", "places": {"a": "x"}},
        {"message": "{a}", "places": {}},
        {"message": 5, "places": {}},
        {"places": {}},
    ],
)
def test_what_a_strangers_notebook_brings_is_never_formatted_by(kept: dict[str, Any]) -> None:
    found = Finding(kind="swapped", seen="as it was seen", saying=kept)
    assert found.sentence == "As it was seen."


def test_a_sentence_that_was_changed_is_told_as_it_stands() -> None:
    assert Finding(kind="swapped", seen="mine", saying=seen().to_plain()).sentence == "Mine."
