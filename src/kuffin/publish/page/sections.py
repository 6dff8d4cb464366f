"""The sections of the page: the one owner. A new section is one more record here."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass

from kuffin.publish.page import results, setting
from kuffin.publish.page.blocks import Block, Terms
from kuffin.publish.page.critic import printed
from kuffin.publish.page.elsewhere import elsewhere
from kuffin.publish.page.limitsofit import cannot_be_said
from kuffin.publish.page.material import Material


@dataclass(frozen=True, kw_only=True)
class Section:
    """A section.

    Attributes
    ----------
    build : callable
        Its blocks; none where there is nothing to say.
    without : str
        What is said where there is nothing; blank: the section is left out then.
    usual : bool
        Whether it stands in the page unless it is switched off.
    private : str
        What of it may be private; blank for nothing.
    """

    key: str
    title: str
    build: Callable[[Material], Iterator[Block]]
    without: str = ""
    usual: bool = True
    private: str = ""


def _questions(m: Material) -> Iterator[Block]:
    told = list(printed(m, dict(m.study.published.get("answers") or {})))
    if told:
        yield Terms(told)


SECTIONS: tuple[Section, ...] = (
    Section(key="answer", title="The short answer", build=results.answer),
    Section(key="ranking", title="The ranking", build=results.ranking),
    Section(key="pairs", title="Pair by pair", build=results.pairs),
    Section(key="staircase", title="Where the kelvins are", build=results.staircase),
    Section(key="outcomes", title="Conditions and outcomes", build=results.outcomes),
    Section(key="along", title="Along the sweep", build=results.along),
    Section(key="sound", title="How it sounds", build=results.sound),
    Section(key="claims", title="What is claimed", build=results.claims, without="No claim was tested."),
    Section(key="elsewhere", title="In a reader's own computer", build=elsewhere),
    Section(key="value", title="What it costs", build=results.worth, without="No prices were compared."),
    Section(key="schools", title="Does it depend on how the room is taken out?", build=results.schools),
    Section(key="baseline", title="Did the bench stay the same?", build=lambda m: results.pictures(m, "baseline"), without="No baseline was mounted again and again: whether the bench moved is not known."),
    Section(key="scatter", title="How far mounts differ", build=results.scatter, without="No candidate has a second mount: how far mounts differ is not known."),
    Section(key="left out", title="What was left out, and why", build=results.left_out, without="Nothing was left out."),
    Section(key="cannot", title="What cannot be said", build=cannot_be_said),
    Section(key="questions", title="What a critical reader will ask", build=_questions, without="Nothing stands open that a list of usual questions asks."),
    Section(key="parts", title="What was compared", build=setting.parts_and_samples),
    Section(key="hand", title="In the hand", build=setting.in_hand, without="What is found with the parts in the hand was not written down."),
    Section(key="fit", title="Does it fit?", build=setting.fits, without="No sizes were set against a case or a board."),
    Section(key="bench", title="The bench", build=setting.bench),
    Section(key="protocol", title="How it was run", build=setting.protocol),
    Section(key="method", title="How the numbers are made", build=setting.method),
    Section(key="uncertainty", title="What is uncertain about a reading", build=setting.uncertainty),
    Section(key="prints", title="Contact prints", build=setting.prints),
    Section(key="photos", title="Photos", build=setting.photos, usual=False, private="photos may show more than the part"),
    Section(key="versions", title="Versions", build=setting.versions),
)  # fmt: skip
