"""The verdict line: what the evidence supports so far, and the one next thing to do."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass

from kuffin.core.base.language import speaks_english, tr, written
from kuffin.core.base.numbers import begun
from kuffin.core.bench.outcomes import HELD, Outcome
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare import Comparison, PairResult
from kuffin.core.compare.pairwords import beside_nothing, count, digits_for, joined, number, several, span, was_held
from kuffin.core.compare.whichisbest import which_is_best
from kuffin.core.heat.normalise import School
from kuffin.notebook.entities import Mount
from kuffin.said.ageingwords import aged_words
from kuffin.said.nextstep import NextStep, next_step
from kuffin.said.standing import bench_words, relations
from kuffin.said.whatnextwords import as_good_words
from kuffin.verdict.ageing import ageing_of
from kuffin.verdict.chosenoutcomes import instead_of
from kuffin.verdict.claims import JudgedClaim
from kuffin.verdict.looks import look_tag
from kuffin.verdict.runreadings import limit_seen
from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True)
class VerdictLine:
    """A sentence and a next step."""

    sentence: str
    step: NextStep


def continued(sentence: str) -> str:
    """A sentence behind a colon: what begins with a way of judging begins small."""
    begins_small = speaks_english() and sentence.startswith(("By ", "As read, "))
    return sentence[0].lower() + sentence[1:] if begins_small else sentence


def verdict_line(v: StudyVerdict, planned: Mount | None = None, now: dt.datetime | None = None) -> VerdictLine:
    """What may be said so far, and what to do next.

    Parameters
    ----------
    planned : Mount, optional
        The mount that the plan has next.
    now : datetime, optional
        What is due is told by it; without it nothing is.
    """
    step = next_step(v, planned, now)
    return VerdictLine(_with_ageing(v, _sentence(v)), step)


def _with_ageing(v: StudyVerdict, sentence: str) -> str:
    """What aged behind what was compared; all of it where nothing could be compared."""
    if not any(m.rechecks for _, m in v.evidence.mounts):
        return sentence
    found = ageing_of(v)
    if v.main.comparison is None:
        return " ".join(aged_words(m, found.baseline) for m in found.mounts) or sentence
    aged = [m for m in found.mounts if m.found is not None and m.found.aged and found.baseline]
    return " ".join([sentence, *(aged_words(m, found.baseline) for m in aged)])


def _asked(v: StudyVerdict) -> str:
    """What has to be told of the bench before any mount can be read; blank for nothing."""
    asked = {why for r in v.results.values() for why in r.whose.values()}
    problems = {r.problem for r in v.main.readings if r.problem}
    return next((p for p in problems if p in asked), "") if len(problems) == 1 else ""


def _sentence(v: StudyVerdict) -> str:
    found = v.main.comparison
    if v.mounts == 0:
        return tr("Nothing yet: no mount has a log.")
    if found is None:
        counting = [r for r in v.main.readings if r.left_out is None and r.value is not None]
        if not counting:
            asked = _asked(v)
            if asked:
                return tr("Nothing may be said yet: {asked}.", asked=asked)
            return tr("Nothing may be said: no mount counts.") if v.main.readings else tr("Nothing yet.")
        if len({r.candidate for r in counting}) < 2:
            return tr("Nothing may be said yet: only one candidate has a mount that counts.")
        return tr("Nothing may be said yet: with one mount each, the scatter between mounts is unknown.")
    outcome = v.outcome
    best, *others = v.main.ranking()
    cautions = _cautions(v)
    apart, same, open_ = relations(found, best, others)
    told = which_is_best(found)
    limit = written(f"{found.margin or 0:.3g} {outcome.difference_unit}".rstrip())
    if told.alone and told.alike:
        same, open_ = [(n, found.pair(best, n)) for n in told.alike], []
    parts = []
    if told.alone and told.ahead is not None:
        parts.append(_named(v, best, told.ahead, apart, [n for n, _ in open_]))
        open_ = []
    elif len(apart) == 1:
        name, pair = apart[0]
        digits, by = digits_for(pair.high - pair.low), _by(pair, outcome)
        gap = f"{number(abs(pair.difference), digits)} {outcome.difference_unit}".rstrip()
        so = (
            tr("{by} {better} than {name}", by=by, better=outcome.wording.better, name=name)
            if pair.held
            else tr("{gap} {better} than {name} ({by})", gap=gap, better=outcome.wording.better, name=name, by=by)
        )
        parts.append(f"{best} {_verb(v)} {so}.")
    elif apart:
        texts = [f"{name} ({_by(pair, outcome)})" for name, pair in apart[:3]]
        if len(apart) > 3:
            texts.append(tr("{apart} more", apart=count(len(apart) - 3)))
        parts.append(
            tr(
                "{best} {verb} {better} than {texts}.",
                best=best,
                verb=_verb(v),
                better=outcome.wording.better,
                texts=joined(texts),
            )
        )
    if len(same) == 1:
        parts.append(
            tr(
                "{best} and {same} are within {limit}: the same for this purpose.",
                best=best,
                same=same[0][0],
                limit=limit,
            )
        )
    elif same:
        parts.append(
            tr(
                "{each} are within {limit} of {best}: the same for this purpose.",
                each=joined([n for n, _ in same]),
                limit=limit,
                best=best,
            )
        )
    held = list(dict.fromkeys(n for _, p in open_ for n in p.held))
    if held and found.free:
        parts.append(tr("{was_held}: by this they are not told apart.", was_held=was_held(held, free=True)))
    elif held:
        what = " or ".join(o.label for o in instead_of(v)) or tr("what was held")
        parts.append(
            tr("{held}, so this cannot be told of it; compare {instead}.", held=begun(was_held(held)), instead=what)
        )
    open_ = [(n, p) for n, p in open_ if not p.held]
    if open_:
        names = [n for n, _ in open_]
        if not apart and not same:
            parts.append(
                tr("{best} is ahead so far, but not told apart from {names} yet.", best=best, names=joined(names))
                if len(names) < 4
                else tr("{best} is ahead so far, but no candidate is told apart from it yet.", best=best)
            )
        else:
            parts.append(tr("{each} are not told apart yet.", each=joined([best, *names])))
        if told.behind is not None:
            parts.append(f"{as_good_words(v, told)}.")
    alike = _alike(found, [n for n, _ in apart])
    if len(alike) > 1 and not same:
        parts.append(tr("{alike} are the same within {limit}.", alike=joined(alike), limit=limit))
    if parts and outcome.leaves_in:  # in the same sentence, so that it cannot be told without it
        parts[0] = tr("As read, with {leaves_in} still in it, {parts}", leaves_in=outcome.leaves_in, parts=parts[0])
    elif parts and not isinstance(outcome, School):
        parts[0] = tr("By {label}, {parts}", label=outcome.label, parts=parts[0])
    parts += [_claim(c) for c in v.claims if c.judged in {"refuted", "borne out"}][:2]
    return " ".join([*parts, *cautions, *bench_words(v), *([look_tag(v.looks)] if v.looks is not None else [])])


def _named(v: StudyVerdict, best: str, ahead: float, apart: list[tuple[str, PairResult]], open_: list[str]) -> str:
    """One that is the best though not every pair with it is settled: ``Reed runs the coolant coolest, by at least 0.2 K``."""
    outcome = v.outcome
    least = f"{beside_nothing(ahead, 1)} {outcome.difference_unit}".rstrip()
    texts = [tr("{name} by {by}", name=name, by=_by(pair, outcome)) for name, pair in apart[:3]]
    pairs = tr(" ahead of {texts}", texts=joined(texts)) if texts else ""
    return tr(
        "{best} {verb} {best_2}, by at least {least}{which}. How far it is ahead of {open} is still open.",
        best=best,
        verb=_verb(v),
        best_2=outcome.wording.best,
        least=least,
        which=f";{pairs}" if pairs else "",
        open=joined(open_),
    )


def _verb(v: StudyVerdict) -> str:
    """How the better candidate is spoken of: ``runs the coolant``; of what is no temperature just ``is``."""
    if not isinstance(v.outcome, School):
        return tr("is")
    kind = kind_under_test(v.under_test)
    shared = {r.device for r in v.results.values() if r.device and r.devices}
    if len(shared) == 1 and kind.part == "die":  # of several devices on the bench it is said whose die it is
        return tr("keeps the {device}’s die", device=shared.pop())
    return kind.keeps


def _by(pair: PairResult, outcome: Outcome) -> str:
    low, high = sorted((abs(pair.low), abs(pair.high)))
    if pair.held:
        least = beside_nothing(low, digits_for(pair.high - pair.low))
        return tr("at least {least}", least=f"{least} {outcome.difference_unit}".rstrip())
    return span(low, high, outcome.difference_unit, digits_for(pair.high - pair.low))


def _cautions(v: StudyVerdict) -> list[str]:
    """What else is to be known of the comparison."""
    out = []
    typed = [r for r in v.main.readings if r.typed and r.value is not None and r.left_out is None]
    if typed:
        unsure = sum(not r.settled for r in typed)
        also = tr("; whether {unsure} of them had settled is not known", unsure=unsure) if unsure else ""
        out.append(
            tr("One mount rests on typed figures{also}.", also=also)
            if len(typed) == 1
            else tr("{n} mounts rest on typed figures{also}.", n=begun(count(len(typed))), also=also)
        )
    for name, mounts in v.main.failed().items():
        out.append(
            tr(
                "{name} could not finish {mounts}: {failed}.",
                name=name,
                mounts=several(len(mounts), "mount"),
                failed=mounts[0].failed,
            )
        )
    if v.outcome.bounded != HELD:  # where it is, the comparison itself tells
        out += _throttled(v)
    return out


def _throttled(v: StudyVerdict) -> list[str]:
    """The candidates of which mounts were held by their limit."""
    told: dict[str, list[bool]] = {}
    for r in v.main.readings:
        if r.left_out is None and r.value is not None:
            under = [v.results[i].at(v.evidence.condition) for i in r.runs]
            told.setdefault(r.candidate, []).append(any(limit_seen(one) for one in under if one is not None))
    each = [(n, sum(met), len(met)) for n, met in told.items() if any(met)]
    return [
        (
            tr("{n} throttled in all of its {of}.", n=n, of=several(of, "mount"))
            if k == of
            else tr("{n} throttled in {k} of its {of}.", n=n, k=k, of=several(of, "mount"))
        )
        for n, k, of in each
    ]


def _alike(found: Comparison, names: list[str]) -> list[str]:
    """The most candidates, from the coolest on, that are all proven the same as each other."""
    same = {frozenset((p.a, p.b)) for p in found.pairs if p.verdict == "same"}
    best: list[str] = []
    for i in range(len(names)):
        group: list[str] = []
        for name in names[i:]:
            if all(frozenset((name, other)) in same for other in group):
                group.append(name)
        best = group if len(group) > len(best) else best
    return best


def _claim(c: JudgedClaim) -> str:
    held = tr("does not hold") if c.judged == "refuted" else "holds"
    return tr("The claim that {gist} {held}.", gist=c.gist, held=held)
