"""Where something is told: the words by which a sentence points there, so that it can lead there too."""

from __future__ import annotations

from kuffin.core.base.language import mark, tr

CHANNELS, BENCH, QUESTION = mark("under Channels"), mark("on the Bench"), mark("on Plan · question")

# what the sentence asks the person to do there
ASKS = {
    CHANNELS: "say what its channels are",
    BENCH: "say what the loop cools",
    QUESTION: "say whose die is asked about",
}


def points_to(sentence: str) -> str:
    """The place that a sentence points to, one of `ASKS`; blank for none."""
    return next((place for place in ASKS if place in sentence or tr(place) in sentence), "")
