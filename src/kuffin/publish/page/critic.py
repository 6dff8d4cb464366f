"""What a critical reader will ask: each with what is to be said to it, and where it can be mended."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass

from kuffin.core.base.language import counted, mark, tr
from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import count, joined, several
from kuffin.publish.page.material import Material
from kuffin.publish.page.ownwords import Doubt

# words by which a sample's coming says that whoever sells the part had a hand in it
_LENT = (
    "lent",
    "loan",
    "gift",
    "given",
    "sent by",
    "provided",
    "sponsor",
    "from the maker",
    "by its maker",
    "for free",
    "free of charge",
    "review sample",
)


@dataclass(frozen=True, kw_only=True)
class Concern:
    """Something that will be asked.

    Attributes
    ----------
    key : str
        By which an answer is kept.
    asked : str
        The question, as a reader would put it.
    said : str
        What Kuffin has to say to it, which is printed.
    mend : str
        What would take it away.
    where : str
        The desk on which that is done.
    """

    key: str
    asked: str
    said: str
    mend: str
    where: str


@dataclass(frozen=True)
class _Question:
    key: str
    look: Callable[[Material], tuple[str, str] | None]  # what is asked and said, None where there is nothing to ask
    mend: str
    where: str


def concerns(m: Material, doubts: tuple[Doubt, ...] = ()) -> list[Concern]:
    """All that a critical reader will ask of a study as it stands.

    Parameters
    ----------
    doubts : tuple of Doubt
        Sentences in a person's own words that the evidence does not support.
    """
    out = []
    for q in _QUESTIONS:
        found = q.look(m)
        if found is not None:
            out.append(Concern(key=q.key, asked=found[0], said=found[1], mend=tr(q.mend), where=q.where))
    for i, doubt in enumerate(doubts, 1):
        out.append(
            Concern(
                key=f"words {doubt.section} {i}",
                asked=tr("You write “{sentence}” Is that so?", sentence=doubt.sentence),
                said=begun(doubt.why),
                mend=tr("Change the sentence, or take it out."),
                where="Publish",
            )
        )
    return out


def _single(m: Material) -> tuple[str, str] | None:
    v = m.verdict
    counts = {name: sum(r.value is not None and r.left_out is None for r in v.main.of(name)) for name in v.candidates}
    one = [n for n, k in counts.items() if k == 1]
    none = [n for n, k in counts.items() if k == 0]
    if not one and not none:
        return None
    said = (
        [
            (
                tr(
                    "{names} has one mount that counts: how far its mounts scatter is taken from the others",
                    names=joined(one),
                )
                if len(one) == 1
                else tr(
                    "{names} have one mount that counts: how far their mounts scatter is taken from the others",
                    names=joined(one),
                )
            )
        ]
        if one
        else []
    )
    said += [counted(len(none), "{names} has none", "{names} have none", names=joined(none))] if none else []
    return tr("How can one mount of {one} say anything?", one=joined(one or none)), f"{begun('; '.join(said))}."


def _no_baseline(m: Material) -> tuple[str, str] | None:
    if m.verdict.baseline is not None:
        return None
    return (
        tr("How do you know that the bench did not change in between?"),
        tr("No baseline was mounted again and again, so a bench that moved would not have been seen."),
    )


def _moved(m: Material) -> tuple[str, str] | None:
    b = m.verdict.baseline
    if b is None or b.chart.moved is None or m.verdict.corrected:
        return None
    return (
        tr("The bench moved while you measured. Did that decide it?"),
        tr(
            "The baseline {name} moved {when}, and this was not taken out{which}.",
            name=b.name,
            when=b.when(),
            which=tr("; rounds are blocks, which takes out what a whole round had in common")
            if m.verdict.blocks
            else "",
        ),
    )


def _doubtful(m: Material) -> tuple[str, str] | None:
    v = m.verdict
    waiting = v.open_findings()
    kept = [r.label for r in v.main.readings if r.left_out is None and v.kept(r.mount_id)]
    if not waiting and not kept:
        return None
    said = (
        [
            (
                tr("One finding is open: {listed}", listed=_listed(list(dict.fromkeys(o.label for o in waiting))))
                if len(waiting) == 1
                else tr(
                    "{n} findings are open: {listed}",
                    n=begun(count(len(waiting))),
                    listed=_listed(list(dict.fromkeys(o.label for o in waiting))),
                )
            )
        ]
        if waiting
        else []
    )
    said += (
        [
            counted(
                len(kept), "{listed} was kept with a reason", "{listed} were kept with a reason", listed=_listed(kept)
            )
        ]
        if kept
        else []
    )
    return tr("Some mounts look doubtful. Why do they count?"), f"{begun('; '.join(said))}."


def _left_out(m: Material) -> tuple[str, str] | None:
    out = [r for r in m.verdict.main.readings if r.left_out]
    if not out:
        return None
    return (
        tr("What did you leave out, and would it have changed the answer?"),
        tr(
            "{out} left out, each with its reason; the verdicts with and without stand in the section on that.",
            out=begun(several(len(out), "mount")),
        ),
    )


def _as_read(m: Material) -> tuple[str, str] | None:
    left = m.verdict.outcome.leaves_in
    if not left:
        return None
    return (
        tr("The room was not the same every time. Is that in your numbers?"),
        tr("Yes: they are compared as read, with {left} still in them.", left=left),
    )


def _unsettled(m: Material) -> tuple[str, str] | None:
    loose = [r.label for r in m.verdict.main.readings if r.value is not None and r.left_out is None and not r.settled]
    if not loose:
        return None
    return (
        tr("Did you wait long enough?"),
        (
            tr(
                "{listed} had not settled; it counts with the level that the fit points to, and a wider interval.",
                listed=_listed(loose),
            )
            if len(loose) == 1
            else tr(
                "{listed} had not settled; they count with the level that the fit points to, and a wider interval.",
                listed=_listed(loose),
            )
        ),
    )


def _claims(m: Material) -> tuple[str, str] | None:
    told = [c.name for c in m.study.live_candidates if c.part.claim.strip()]
    tested = {c.candidate for c in m.verdict.claims}
    untested = [n for n in told if n not in tested]
    if not untested:
        return None
    return tr("The maker of {untested} claims something. Is it true?", untested=joined(untested)), tr(
        "That claim was not tested here."
    )


def _lent(m: Material) -> tuple[str, str] | None:
    lent, unknown = [], []
    used = {mount.sample_id for _, mount in m.verdict.evidence.mounts if mount.live_runs}
    for c in m.study.live_candidates:
        for s in c.part.live_samples:
            if s.id in used or not used:
                came = s.came.casefold()
                lent += [c.name] if any(w in came for w in _LENT) else []
                unknown += [c.name] if not came.strip() else []
    lent, unknown = list(dict.fromkeys(lent)), list(dict.fromkeys(unknown))
    if not lent and not unknown:
        return None
    said = [tr("{lent}: see how it came, under parts and samples", lent=joined(lent))] if lent else []
    said += [tr("how {unknown} came was not written down", unknown=joined(unknown))] if unknown else []
    return tr("Who paid for the samples?"), f"{begun('; '.join(said))}."


def _one_sample(m: Material) -> tuple[str, str] | None:
    found = m.verdict.main.comparison
    if found is None or min(c.samples for c in found.candidates) > 1:
        return None
    return (
        tr("Is that the product, or just your sample of it?"),
        tr("It is about {scope}.", scope=m.verdict.main.scope_words.removeprefix(tr("it is about {scope}", scope=""))),
    )


def _unfair(m: Material) -> tuple[str, str] | None:
    found = [f.seen for f in m.verdict.of_study if f.kind == "differs"]
    if not found:
        return None
    return tr("What else differed between them?"), " ".join(f"{begun(s).rstrip('.')}." for s in found[:4])


def _looked(m: Material) -> tuple[str, str] | None:
    looks = m.verdict.looks
    if looks is None or looks.had == 0 or looks.by_person or looks.had <= len(looks.declared):
        return None
    return (
        tr("Did you go on measuring until you liked the answer?"),
        tr(
            "It went on past the plan of {planned_rounds}; the level of confidence in use allows for every look.",
            planned_rounds=several(looks.planned_rounds, "round"),
        ),
    )


def _flips(m: Material) -> tuple[str, str] | None:
    v = m.verdict
    first = v.temperature.ranking()[:1]
    others = [
        r.outcome.label
        for r in v.schools.values()
        if r.ranking() and r.ranking()[:1] != first and not r.outcome.leaves_in
    ]
    if not others or not v.outcome.temperature:
        return None
    return (
        tr("Does the answer depend on how you take the room out?"),
        tr("By {each} another candidate would be first.", each=joined([o.lower() for o in others])),
    )


def _listed(labels: list[str], most: int = 5) -> str:
    """Mounts by name, which have commas in them."""
    more = len(labels) - most
    return "; ".join(labels[:most]) + (tr("; and {more} more", more=more) if more > 0 else "")


_QUESTIONS = (
    _Question("one mount", _single, mark("Mount it again."), "Plan"),
    _Question(
        "no baseline", _no_baseline, mark("Choose a baseline and mount it at the beginning and the end."), "Plan"
    ),
    _Question("bench moved", _moved, mark("Take the bench's move out, on Compare · Baseline."), "Compare"),
    _Question(
        "doubtful",
        _doubtful,
        mark("Answer the findings: mount again, accept with a reason, or leave out with a reason."),
        "Inspect",
    ),
    _Question("left out", _left_out, mark("Nothing: it is reported."), "Compare"),
    _Question("as read", _as_read, mark("Choose a school that takes the room out."), "Compare"),
    _Question("unsettled", _unsettled, mark("Run them longer."), "Run"),
    _Question("claims", _claims, mark("Write the claim down on Plan · Question, and it is tested."), "Plan"),
    _Question("samples", _lent, mark("Write down how each sample came, on the Shelf."), "Shelf"),
    _Question("one sample", _one_sample, mark("Measure a second sample."), "Plan"),
    _Question("differs", _unfair, mark("Make it the same, or give the reason why it stays, on Plan · Fair?."), "Plan"),
    _Question("past the plan", _looked, mark("Nothing: it is reported."), "Compare"),
    _Question("school", _flips, mark("Say which school is right for this part, and why."), "Compare"),
)


def printed(m: Material, answers: dict[str, str], doubts: tuple[Doubt, ...] = ()) -> Iterator[tuple[str, str]]:
    """Each question with what is said to it, a person's own answer first."""
    for c in concerns(m, doubts):
        if not c.key.startswith("words "):  # a sentence that does not hold is marked where it stands
            own = answers.get(c.key, "").strip()
            yield c.asked, f"{own} {c.said}".strip()
