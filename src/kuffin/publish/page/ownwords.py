"""A person's own words in the page: live fields filled in, and sentences that the evidence does not support, with the reason.

A sentence is looked at for candidates' names with words of comparing. What it says is held against the verdict of the pair; a
sentence that says one is *not* better or worse needs a test of its own: not told apart is not "not worse". Other sentences with a
denial are held only against what has changed since they were written. What is not understood is not judged.
"""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass

from kuffin.core.compare import PairResult
from kuffin.core.compare.pairwords import better_first, digits_for, number, span
from kuffin.core.compare.whichisbest import which_is_best
from kuffin.said.line import verdict_line
from kuffin.verdict.grid import axes_of
from kuffin.verdict.measuredconditions import measured_words
from kuffin.verdict.outcomes import OutcomeResult
from kuffin.verdict.study import StudyVerdict

_FIELD = re.compile(r"\{([^{}\n]{1,300})\}")
_SENTENCE = re.compile(r"[^.!?\n]+(?:[.!?](?!\s|$)[^.!?\n]+)*[.!?]*")
_DENIAL = re.compile(r"\b(not|no|nor|neither|never|cannot|without|unless|if|whether|n[o']t)\b|n[’']t\b", re.IGNORECASE)
_OPEN = re.compile(r"\b(cannot|can't|unless|if|whether|told apart|know|known|shown|say)\b", re.IGNORECASE)
_BETTER = ("better", "beats", "beat", "outperforms", "outperformed", "wins against", "ahead of", "leads")
_WORSE = ("worse", "loses to", "behind")
_BEST = ("best", "winner", "wins", "won", "unbeaten")
_WORST = ("worst", "loser")
_SAME = ("the same", "identical", "equal", "as good as", "no difference", "on par", "a tie", "tied", "alike")
_AMOUNT = re.compile(r"(?<![\w.])(\d+(?:[.,]\d+)?)\s*(K|°C|kelvins?|degrees?)\b")


@dataclass(frozen=True)
class Doubt:
    """A sentence that does not hold, in which section, and why."""

    section: str
    sentence: str
    why: str


def fields_of(v: StudyVerdict) -> dict[str, str]:
    """Every live field: by what stands between the braces, what it says now."""
    found, unit = v.main.comparison, v.outcome.unit
    out = {"answer": verdict_line(v).sentence, "question": v.question, "mounts": str(_counting(v))}
    measured = measured_words(v)
    if measured:
        out["conditions"] = measured
    if v.outcome.temperature:
        out["what matters"] = f"{v.margin_k:g} K"
    if found is None:
        return out
    out["confidence"] = f"{100 * found.confidence:.4g} %"
    for c in found.candidates:
        half = (c.high - c.low) / 2
        digits = digits_for(half)
        plus = "" if c.bound else f" ± {number(half, digits)}"
        out[c.name] = f"{'at least ' if c.bound else ''}{number(c.mean, digits)}{plus} {unit}".rstrip()
    for p in found.pairs:
        for a, b in ((p.a, p.b), (p.b, p.a)):
            out[f"{a}, {b}"] = difference_words(v, p, a)
    return out


def _counting(v: StudyVerdict) -> int:
    return sum(r.value is not None and r.left_out is None for r in v.main.readings)


def difference_words(v: StudyVerdict, p: PairResult, about: str) -> str:
    """How one of a pair stands to the other: ``2.3 K cooler (0.1 to 4.4 K)``."""
    found = v.main.comparison
    assert found is not None
    unit, wording = v.outcome.difference_unit, v.outcome.wording
    digits = digits_for(p.high - p.low)
    first, _, low, high = better_first(p, found.better)
    if not p.settled:
        return f"not told apart ({span(p.low, p.high, unit, digits)})"
    if p.verdict == "same":
        return f"the same within {found.margin:.3g} {unit}".rstrip()
    way = wording.better if first == about else wording.worse
    amount = f"{number(abs(p.difference), digits)} {unit}".rstrip()
    return f"{amount} {way} ({span(low, high, unit, digits)})"


def filled(words: str, fields: Mapping[str, str]) -> list[str]:
    """The paragraphs of a text with its live fields filled in; a field that there is none of stays as it was typed."""
    text = _FIELD.sub(lambda hit: fields.get(hit.group(1).strip(), hit.group(0)), words)
    return [" ".join(p.split()) for p in re.split(r"\n\s*\n", text) if p.strip()]


def pair_states(v: StudyVerdict, words: str) -> dict[str, str]:
    """What is said now of each pair that a text names, to be kept with it: by ``Reed | Rush``."""
    found = v.main.comparison
    if found is None:
        return {}
    names = set(_names(v, words))
    return {f"{p.a} | {p.b}": p.verdict for p in found.pairs if p.a in names and p.b in names}


def doubts_of(v: StudyVerdict, section: str, words: str, since: Mapping[str, str]) -> list[Doubt]:
    """Sentences of a text that the evidence does not support.

    Parameters
    ----------
    since : mapping
        What was said of each pair when it was written (`pair_states`).
    """
    fields = fields_of(v)
    out = []
    for sentence in (s.strip() for s in _SENTENCE.findall(words)):
        unknown = [f for f in _FIELD.findall(sentence) if f.strip() not in fields]
        if unknown:
            out.append(Doubt(section, sentence, f"there is no live field {{{unknown[0]}}} now"))
            continue
        bare = _FIELD.sub(" ", sentence)
        why = next(_reasons(v, bare, since), "")
        if why:
            out.append(Doubt(section, sentence, why))
    return out


def _reasons(v: StudyVerdict, sentence: str, since: Mapping[str, str]) -> Iterator[str]:
    names = _names(v, sentence)
    if not names:
        return
    if not _DENIAL.search(sentence):
        for result in _asked_about(v, sentence):
            yield from _against(result, sentence, names)
        yield from _amounts(v, sentence, names)
    elif not _OPEN.search(sentence):
        for result in _asked_about(v, sentence):
            yield from _denied(result, sentence, names)
    found = v.main.comparison
    for p in found.pairs if found is not None else ():
        before = since.get(f"{p.a} | {p.b}")
        if before is not None and before != p.verdict and p.a in names and p.b in names:
            yield f"when it was written, {_state(v.main, p, before)}; now {_state(v.main, p, p.verdict)}"


def _names(v: StudyVerdict, text: str) -> list[str]:
    """The candidates that a text names, in its order; a name inside a longer one is not meant."""
    hits: list[tuple[int, int, str]] = []
    for name in sorted(v.candidates, key=len, reverse=True):
        for hit in re.finditer(rf"(?<!\w){re.escape(name)}(?!\w)", text, re.IGNORECASE):
            if not any(a <= hit.start() < b for a, b, _ in hits):
                hits.append((hit.start(), hit.end(), name))
    return list(dict.fromkeys(name for _, _, name in sorted(hits)))


def _has(sentence: str, words: Sequence[str]) -> str:
    return next((w for w in words if re.search(rf"(?<!\w){re.escape(w)}(?!\w)", sentence, re.IGNORECASE)), "")


def _asked_about(v: StudyVerdict, sentence: str) -> list[OutcomeResult]:
    """The results that a sentence speaks of, by its comparing words; the verdict's own where these are general."""
    said = v.outcome.wording
    own = (said.better, said.worse, said.best, said.worst, *_BETTER, *_WORSE, *_BEST, *_WORST, *_SAME)
    if _has(sentence, own):
        return [v.main]
    for outcome in axes_of(v).outcomes:
        w = outcome.wording
        if outcome.key != v.outcome.key and _has(sentence, (w.better, w.worse, w.best, w.worst)):
            return [v.by(outcome.key)]
    return []


def _against(result: OutcomeResult, sentence: str, names: list[str]) -> Iterator[str]:
    """What of a sentence's comparing does not hold by a result."""
    found, w = result.comparison, result.outcome.wording
    if found is None:
        yield "there is no comparison yet"
        return
    names = [n for n in names if any(c.name == n for c in found.candidates)]
    if not names:
        return
    told = which_is_best(found)
    if len(names) > 1 and _has(sentence, _SAME):
        near = {frozenset((told.best, n)) for n in told.alike}
        for p in found.pairs:
            if {p.a, p.b} <= set(names) and p.verdict != "same" and frozenset((p.a, p.b)) not in near:
                yield _state(result, p, p.verdict) + (", which is not the same as alike" if not p.settled else "")
    elif _has(sentence, (w.best, w.worst, *_BEST, *_WORST)) and len(names) == 1:
        best = bool(_has(sentence, (w.best, *_BEST)))
        if best and names[0] == told.best and told.alone and told.ahead is not None:
            return  # it is named the best, though not every pair with it is settled
        for p in sorted(found.pairs, key=lambda p: p.p):  # what speaks loudest against it is said first
            if names[0] in {p.a, p.b}:
                other = p.b if p.a == names[0] else p.a
                yield from _not_better(result, p, *((names[0], other) if best else (other, names[0])))
    elif len(names) > 1 and _has(sentence, (w.better, w.worse, *_BETTER, *_WORSE)):
        better = bool(_has(sentence, (w.better, *_BETTER)))
        for other in names[1:]:
            each = (names[0], other) if better else (other, names[0])
            yield from (w for p in found.pairs if {p.a, p.b} == set(each) for w in _not_better(result, p, *each))


def _denied(result: OutcomeResult, sentence: str, names: list[str]) -> Iterator[str]:
    """What of “A is not cooler than B” was not shown: A's lead over B has to lie under what matters, over all pairs together."""
    found, w = result.comparison, result.outcome.wording
    better = bool(found is not None and _has(sentence, (w.better, *_BETTER)))
    if found is None or len(names) < 2 or not (better or _has(sentence, (w.worse, *_WORSE))):
        return
    for other in names[1:]:
        first, second = (names[0], other) if better else (other, names[0])
        for p in (p for p in found.pairs if {p.a, p.b} == {first, second}):
            ends = (p.narrow_low, p.narrow_high) if p.a == first else (-p.narrow_high, -p.narrow_low)
            lead = -ends[0] if found.better == "lower" else ends[1]
            if p.held or found.margin is None or lead >= found.margin:
                u = result.outcome.difference_unit
                yield f"that {first} is not {w.better} than {second} was not shown: it may be by {number(lead, digits_for(p.high - p.low))} {u}".rstrip()


def _not_better(result: OutcomeResult, p: PairResult, better: str, worse: str) -> Iterator[str]:
    found = result.comparison
    assert found is not None
    first, _, _, high = better_first(p, found.better)
    if p.verdict not in {"a_lower", "b_lower"} or first != better:
        yield _state(result, p, p.verdict)
    elif found.margin is not None and high < found.margin:
        unit = result.outcome.difference_unit
        yield f"{better} and {worse} differ by at most {number(high, digits_for(p.high - p.low))} {unit}, less than the {found.margin:.3g} {unit} that matter here"


def _amounts(v: StudyVerdict, sentence: str, names: list[str]) -> Iterator[str]:
    """Typed numbers of kelvins between two candidates that lie outside what was measured."""
    found = v.main.comparison
    if found is None or len(names) != 2 or v.outcome.difference_unit != "K":
        return
    p = next((p for p in found.pairs if {p.a, p.b} == set(names)), None)
    if p is None or p.held:
        return
    low, high = sorted((p.low, p.high))
    reach = max(abs(low), abs(high))
    least = 0.0 if low <= 0 <= high else min(abs(low), abs(high))
    for typed, _ in _AMOUNT.findall(sentence):
        amount = float(typed.replace(",", "."))
        half_digit = 0.5 * 10.0 ** -len(typed.partition(".")[2] or typed.partition(",")[2])
        if not least - half_digit <= amount <= reach + half_digit:
            yield f"between {p.a} and {p.b} {span(low, high, 'K', digits_for(high - low))} were measured, not {typed} K"


def _state(result: OutcomeResult, p: PairResult, verdict: str) -> str:
    found = result.comparison
    assert found is not None
    if verdict == "same":
        return f"{p.a} and {p.b} are the same within {found.margin or 0:.3g} {result.outcome.difference_unit}".rstrip()
    if verdict in {"a_lower", "b_lower"}:
        lower, other = (p.a, p.b) if verdict == "a_lower" else (p.b, p.a)
        first, second = (lower, other) if found.better == "lower" else (other, lower)
        return f"{first} is {result.outcome.wording.better} than {second}"
    return f"{p.a} and {p.b} are not told apart"
