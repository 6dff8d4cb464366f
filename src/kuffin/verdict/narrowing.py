"""What to spend on in a study: more rounds, longer windows, better probes, another sample; what each would buy and take."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import begun
from kuffin.core.base.worked import Worked, worked
from kuffin.core.compare.evidence import PairResult
from kuffin.core.compare.narrowing import half_after
from kuffin.core.compare.nextmounts import open_pairs
from kuffin.core.compare.pairwords import best_of, joined, several
from kuffin.notebook.entities import Bench
from kuffin.verdict.budget import budget_of
from kuffin.verdict.outcomes import MountReading
from kuffin.verdict.scatter import FITTED, LABELS, StudyScatter
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.whatnext import mount_minutes

_ROUNDS = (1, 2, 4)
_LONGER = 2.0


@dataclass(frozen=True, kw_only=True)
class Purchase:
    """One thing to spend on.

    Attributes
    ----------
    hours : float or None
        On the bench; None where it takes none there.
    half : Worked or None
        Half-width of the pair's interval with it; None where that is not known, or as it is.
    because : str
        What it rests on.
    from_the_start : bool
        Whether only a study that begins with it has it: mounts that were made keep what they have.
    """

    what: str
    hours: float | None
    half: Worked | None
    because: str
    from_the_start: bool = False


@dataclass(frozen=True, kw_only=True)
class Spending:
    """A pair, the half-width of its interval now, and what would narrow it."""

    pair: PairResult
    now: Worked
    purchases: tuple[Purchase, ...]

    @property
    def best(self) -> Purchase | None:
        """What narrows it most for each hour on the bench; None where nothing does by a twentieth."""
        can = [p for p in self.purchases if p.hours and not p.from_the_start]
        now = self.now.value
        worth = {
            p.what: (now - p.half.value) / p.hours for p in can if p.half and p.hours and p.half.value < 0.95 * now
        }
        return max((p for p in can if p.what in worth), key=lambda p: worth[p.what], default=None)


def spending_of(v: StudyVerdict, scatter: StudyScatter | None, bench: Bench | None) -> Spending | None:
    """What to spend on, for the leader's pair that is hardest to tell apart; None without a scatter.

    Parameters
    ----------
    scatter : StudyScatter or None
        What the scatter is made of; None where no candidate has two mounts.
    bench : Bench or None
        Whose instruments' accuracy is asked for.
    """
    found = v.main.comparison
    if found is None or scatter is None or found.scatter[0] <= 0:
        return None
    best = best_of(found)
    pairs = open_pairs(found) or [p for p in found.pairs if best in {p.a, p.b} and not p.held]
    if not pairs:
        return None
    pair = min(pairs, key=lambda p: abs(p.difference))
    unit = v.outcome.difference_unit
    half = (pair.high - pair.low) / 2
    now = Worked(
        name=tr("Half-width now"), symbol="U", value=half, unit=unit, digits=3, source=tr("of the pair's interval")
    )
    used = [
        r for r in v.main.readings if r.candidate in {pair.a, pair.b} and r.value is not None and r.left_out is None
    ]
    minutes = mount_minutes(v).minutes
    out = [
        Purchase(
            what=tr("{m} of both", m=several(m, "more round")),
            hours=2 * m * minutes / 60,
            half=_after_rounds(now, half_after(found, pair, m) / half),
            because=tr("with the scatter as it is"),
        )
        for m in _ROUNDS
    ]
    out += [
        p for p in (_window(v, scatter, pair, used, now), _probes(v, used, bench), _sample(scatter, minutes, unit)) if p
    ]
    return Spending(pair=pair, now=now, purchases=tuple(out))


def _window(
    v: StudyVerdict, scatter: StudyScatter, pair: PairResult, used: Sequence[MountReading], now: Worked
) -> Purchase | None:
    within, mount, how = scatter.scatter.sd("window"), scatter.scatter.sd("mount"), tr(FITTED)
    judged = v.main.comparison
    if within is not None and judged is not None and judged.own_spreads:
        # what the mounts of these two do, not all together
        whole, how = judged.scatter_of(pair.a, pair.b)[0], tr("of the mounts of these two")
        within = min(within, whole)
        mount = float(np.sqrt(whole**2 - within**2))
    spans = [
        t.window.span_s for r in used for run in r.runs if (t := v.results[run].traces.get(v.school.trace)) is not None
    ]
    if within is None or mount is None or not spans or not within + mount:
        return None
    two = [
        Worked(name=begun(tr(LABELS[key])), symbol=symbol, value=sd, unit=now.unit, digits=3, source=how)
        for key, symbol, sd in (("window", "s_w", within), ("mount", "s_m", mount))
    ]
    share = worked(tr("The window’s share of the variance"), "h", "s_w**2/(s_w**2 + s_m**2)", two)
    seconds = float(np.sum([end - begin for begin, end in spans]))
    return Purchase(
        what=tr("windows twice as long"),
        hours=(_LONGER - 1) * seconds / 3600,
        half=worked(
            tr("Half-width then"),
            "U'",
            f"U*sqrt(1 - h*(1 - 1/{_LONGER:g}))",
            [now, share],
            now.unit,
            digits=3,
            source=tr("a mean over twice as many independent samples has half the variance"),
        ),
        because=tr(
            "from the first mount on; what scatters within a window is {value:.0f} % of the mounts’ variance",
            value=100 * share.value,
        ),
        from_the_start=True,
    )


def _probes(v: StudyVerdict, used: Sequence[MountReading], bench: Bench | None) -> Purchase | None:
    reading = next((r for r in used if r.runs), None)
    if reading is None or not v.outcome.temperature:
        return None
    result = v.results[reading.runs[0]].at(v.condition) or v.results[reading.runs[0]]
    budget = budget_of(v, reading, result, bench)
    if budget is None:
        return None
    if budget.unknown:
        names = joined(list(budget.unknown))
        because = tr("nothing is known of the accuracy of {names}: give it on the Bench page", names=names)
        return Purchase(what=tr("exact probes"), hours=None, half=None, because=because)
    of_probes = float(np.sqrt(sum(s.contribution**2 for s in budget.compared if ": " in s.name)))
    return Purchase(
        what=tr("exact probes"),
        hours=None,
        half=None,
        because=tr(
            "leave this interval as it is: what they are off by is the same in all mounts; of a "
            "difference ± {of_probes:.2g} {difference_unit} is left beside it",
            of_probes=1.96 * of_probes,
            difference_unit=v.outcome.difference_unit,
        ),
    )


def _sample(scatter: StudyScatter, minutes: float, unit: str) -> Purchase:
    if scatter.buys is None:
        because = tr(
            "each candidate has one sample, so how much samples differ is not known; this "
            "interval is about these samples alone"
        )
        return Purchase(what=tr("a second sample of both"), hours=2 * minutes / 60, half=None, because=because)
    b = scatter.buys
    return Purchase(
        what=tr("one more sample of both"),
        hours=2 * b.mounts_each * minutes / 60,
        half=None,
        because=tr(
            "as products ± {with_sample:.2g} {unit}, where that is ± {now:.2g} now; three more "
            "mounts of each make it ± {with_mounts:.2g}",
            with_sample=b.with_sample,
            unit=unit,
            now=b.now,
            with_mounts=b.with_mounts,
        ),
    )


def _after_rounds(now: Worked, ratio: float) -> Worked:
    narrowed = Worked(
        name=tr("Narrowed by"), symbol="f", value=ratio, digits=3, source=tr("critical value times √(1/n_a + 1/n_b) then, over the same now; each its own spread "
"where that is how it is judged")
    )  # fmt: skip
    return worked(tr("Half-width then"), "U'", "U*f", [now, narrowed], now.unit, digits=3)
