"""A comparison's numbers with their working: candidates' means, pairs' differences, and the half-widths of both."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import replace

import numpy as np

from kuffin.core.base.language import mark, tr
from kuffin.core.base.leads import VERDICT, ToCandidate, Where
from kuffin.core.base.numbers import plain
from kuffin.core.base.worked import Worked, mean_of, worked
from kuffin.core.compare.evidence import CandidateResult, Comparison, PairResult


def apart(unit: str) -> str:
    """The unit of what two values differ by: two temperatures differ by kelvins.

    >>> apart("°C"), apart("L/h")
    ('K', 'L/h')
    """
    return "K" if unit == "°C" else unit


def candidate_mean(
    found: Comparison, name: str, unit: str, readings: Mapping[str, Worked] | None = None, digits: int = 2
) -> Worked:
    """A candidate's mean with the half-width of its plain interval.

    Parameters
    ----------
    readings : mapping of str to Worked, optional
        Each mount's reading, by the key it has in the comparison; the mounts' bare values without it.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.2), ("Rush", 3.0), ("Rush", 3.2))
    >>> mounts = [MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values]
    >>> candidate_mean(compare(mounts), "Reed", "K").value
    1.1
    """
    c = found.candidate(name)
    used = [(m, w) for m, w in zip(found.mounts, c.weights, strict=True) if abs(w) > 1e-12]
    terms = []
    for i, (m, _) in enumerate(used, 1):
        read = (readings or {}).get(m.mount)
        bare = Worked(
            name=tr("{n}, round {round}", n=m.candidate, round=m.round) if m.round else m.candidate,
            symbol="y",
            value=m.value,
            unit=unit,
        )
        terms.append(replace(bare if read is None else read, symbol=f"y_{i}", digits=digits + 1))
    n = len(used)
    half = mean_half(found, c, apart(unit), digits)
    if np.allclose([w for _, w in used], 1 / n, rtol=0, atol=1e-12):
        return mean_of(tr("Mean of {name}", name=name), "m", terms, unit, digits=digits, half=half)
    weights = [
        Worked(name=tr("Weight of mount {i}", i=i), symbol=f"w_{i}", value=w, digits=4)
        for i, (_, w) in enumerate(used, 1)
    ]
    formula = " + ".join(f"{w.symbol}*{t.symbol}" for w, t in zip(weights, terms, strict=True))
    terms = [x for pair in zip(weights, terms, strict=True) for x in pair]
    said = tr("least squares: each round and each sample counts the same")
    return worked(tr("Mean of {name}", name=name), "m", formula, terms, unit, digits=digits, half=half, source=said)


def standard_error(found: Comparison, c: CandidateResult, unit: str, digits: int = 2) -> Worked:
    """What a candidate's mean leaves open."""
    fine = digits + 1
    if found.floor is not None:
        return worked(tr("Standard error"), "s_m", "u", [readings_leave(found, unit, digits)], unit, digits=fine)
    if found.moderation is not None:
        return _moderated_error(found, c.weights, tr("Standard error"), "s_m", unit, digits)
    if c.sd is not None:
        scatter = Worked(
            name=tr("Scatter of the mounts of {name}", name=c.name), symbol="s", value=c.sd, unit=unit, digits=fine
        )
        n = Worked(name=tr("Its mounts"), symbol="n", value=float(c.mounts), digits=0)
        return worked(tr("Standard error"), "s_m", "s/sqrt(n)", [scatter, n], unit, digits=fine)
    if found.df is None or found.sd is None:
        return Worked(name=tr("Standard error"), symbol="s_m", value=c.se, unit=unit, digits=fine, source=tr(_BY_REML))
    share = Worked(
        name=tr("Sum of the squared weights"), symbol="v", value=float(np.sum(np.square(c.weights))), digits=4
    )
    return worked(
        tr("Standard error"), "s_m", "s*sqrt(v)", [scatter_between(found, unit, digits), share], unit, digits=fine
    )


def readings_leave(found: Comparison, unit: str, digits: int = 2) -> Worked:
    """What the readings themselves leave open: the scatter is never taken to be less."""
    halves = [m.half for m in found.mounts if m.half is not None]
    mean_square = Worked(
        name=tr("Mean of the squares of the readings’ half-widths"),
        symbol="h",
        value=float(np.mean(np.square(halves))),
        unit=f"{unit}²",
        digits=digits + 2,
    )
    said = tr("the mounts scatter by less than that, and more of them take nothing off it")
    return worked(tr("What the readings leave open"), "u", "sqrt(h)/1.96", [mean_square], unit, digits=digits + 1, source=said)  # fmt: skip


def moderated_scatter(found: Comparison, name: str, symbol: str, unit: str, digits: int = 2) -> Worked:
    """A candidate's own spread, drawn towards that of all."""
    how = found.moderation
    assert how is not None
    i = [c.name for c in found.candidates].index(name)
    fine = digits + 1
    terms = [
        Worked(name=tr("Weight of the usual scatter"), symbol="ν_0", value=how.prior_df[i], digits=2),
        Worked(
            name=tr("Usual scatter: the mean of all candidates’"), symbol="s_0", value=how.usual, unit=unit, digits=fine
        ),
        Worked(name=tr("Degrees of freedom of {name}", name=name), symbol="ν", value=how.own_df[i], digits=2),
        Worked(name=tr("Own scatter of {name}", name=name), symbol="s", value=how.own[i], unit=unit, digits=fine),
    ]
    formula = "sqrt((ν_0*s_0**2 + ν*s**2)/(ν_0 + ν))"
    title = tr("Scatter of the mounts of {name}, moderated", name=name)
    return worked(title, symbol, formula, terms, unit, digits=fine)


def _moderated_error(
    found: Comparison, weights: Sequence[float], title: str, symbol: str, unit: str, digits: int, source: str = ""
) -> Worked:
    """The standard error of a weighted sum of all mounts, each candidate's with its own moderated spread."""
    terms, parts = list[Worked](), list[str]()
    for c in found.candidates:
        own = [w for w, m in zip(weights, found.mounts, strict=True) if m.candidate == c.name]
        share = float(np.sum(np.square(own)))
        if share > 1e-12:
            k = len(parts) + 1
            terms += [
                Worked(name=tr("Squared weights of the mounts of {name}", name=c.name), symbol=f"v_{k}", value=share, digits=4),
                moderated_scatter(found, c.name, f"s_{k}", unit, digits),
            ]  # fmt: skip
            parts.append(f"v_{k}*s_{k}**2")
    return worked(title, symbol, f"sqrt({' + '.join(parts)})", terms, unit, digits=digits + 1, source=source)


def mean_half(found: Comparison, c: CandidateResult, unit: str, digits: int = 2) -> Worked:
    """The half-width of a candidate's mean, taken alone."""
    return _half(c.t, standard_error(found, c, unit, digits), unit, digits)


_BY_REML = mark("samples as a random effect: REML, with Kenward and Roger’s allowance")


def scatter_between(found: Comparison, unit: str, digits: int = 2) -> Worked:
    """How far mounts of one candidate scatter, shared by all candidates."""
    fine = digits + 1
    squares = float(found.residuals @ found.residuals)
    terms = [
        Worked(name=tr("Sum of the squares of what candidates and rounds leave"), symbol="Q", value=squares, unit=f"{unit}²", digits=fine),
        Worked(name=tr("Degrees of freedom"), symbol="ν", value=found.residual_df or 1.0, digits=0),
    ]  # fmt: skip
    return worked(tr("Scatter between mounts"), "s", "sqrt(Q/ν)", terms, unit, digits=fine)


def _half(t: float, error: Worked, unit: str, digits: int) -> Worked:
    student = Worked(name=tr("Student’s t"), symbol="t", value=t, digits=3)
    return worked(tr("Half-width"), "U", "t*s_m", [student, error], unit, digits=digits + 1, source=tr("for this mean alone; pairs are judged by their own intervals"))  # fmt: skip


def pair_difference(
    found: Comparison, pair: PairResult, unit: str, digits: int = 2, *, narrow: bool = False, where: Where = VERDICT
) -> Worked:
    """A pair's difference with the half-width of its interval over all pairs together.

    Parameters
    ----------
    narrow : bool
        With the interval at 2C − 1, by which two are called the same.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.2), ("Rush", 3.0), ("Rush", 3.2))
    >>> found = compare([MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values])
    >>> round(pair_difference(found, found.pairs[0], "K").value, 3)
    -2.0
    """
    fine = digits + 1
    a, b = found.candidate(pair.a), found.candidate(pair.b)
    means = [
        Worked(
            name=tr("Mean of {name}", name=c.name),
            symbol=symbol,
            value=c.mean,
            unit=unit,
            digits=fine,
            leads=ToCandidate(c.name, where),
        )
        for c, symbol in ((a, "m_a"), (b, "m_b"))
    ]
    level = 2 * found.confidence - 1 if narrow else found.confidence
    said = f"{plain(100 * level, 4)} %, {found.method}" + (
        tr(", over all {n} pairs together", n=len(found.pairs)) if len(found.pairs) > 1 else ""
    )
    critical = Worked(
        name=tr("Critical value"), symbol="q", value=pair.q_narrow if narrow else pair.q, digits=3, source=said
    )
    half = worked(
        tr("Half-width"),
        "U",
        "q*s_d",
        [critical, pair_error(found, pair, apart(unit), digits)],
        apart(unit),
        digits=fine,
    )
    return worked(tr("Difference"), "d", "m_a - m_b", means, apart(unit), digits=digits, half=half)


def pair_error(found: Comparison, pair: PairResult, unit: str, digits: int = 2) -> Worked:
    """The standard error of a pair's difference."""
    fine = digits + 1
    a, b = found.candidate(pair.a), found.candidate(pair.b)
    freedom = tr("{df} degrees of freedom", df=plain(pair.df, 3))
    if found.floor is not None:
        u = readings_leave(found, unit, digits)
        return worked(tr("Standard error"), "s_d", "u*sqrt(2)", [u], unit, digits=fine, source=freedom)
    if found.moderation is not None:
        between = np.subtract(a.weights, b.weights).tolist()
        return _moderated_error(found, between, tr("Standard error"), "s_d", unit, digits, freedom)
    if a.sd is not None and b.sd is not None:
        terms = []
        for c, k in ((a, "a"), (b, "b")):
            terms += [
                Worked(name=tr("Scatter of the mounts of {name}", name=c.name), symbol=f"s_{k}", value=c.sd or 0.0, unit=unit, digits=fine),
                Worked(name=tr("Mounts of {name}", name=c.name), symbol=f"n_{k}", value=float(c.mounts), digits=0),
            ]  # fmt: skip
        return worked(
            tr("Standard error"), "s_d", "sqrt(s_a**2/n_a + s_b**2/n_b)", terms, unit, digits=fine, source=freedom
        )
    if found.df is None or found.sd is None:
        return Worked(name=tr("Standard error"), symbol="s_d", value=pair.se, unit=unit, digits=fine, source=f"{tr(_BY_REML)}; {freedom}")  # fmt: skip
    share = float(np.sum(np.square(np.subtract(a.weights, b.weights))))
    scatter = scatter_between(found, unit, digits)
    if np.isclose(share, 1 / a.mounts + 1 / b.mounts, rtol=1e-9, atol=0):
        counts = [
            Worked(name=tr("Mounts of {name}", name=c.name), symbol=symbol, value=float(c.mounts), digits=0)
            for c, symbol in ((a, "n_a"), (b, "n_b"))
        ]
        return worked(tr("Standard error"), "s_d", "s*sqrt(1/n_a + 1/n_b)", [scatter, *counts], unit, digits=fine, source=freedom)  # fmt: skip
    weights = Worked(name=tr("Sum of the squared differences of the weights"), symbol="v", value=share, digits=4)
    return worked(tr("Standard error"), "s_d", "s*sqrt(v)", [scatter, weights], unit, digits=fine, source=freedom)
