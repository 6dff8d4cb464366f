"""What the scatter of a study is made of, and what would narrow it: another mount, or another sample."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import mark, tr
from kuffin.core.base.student import t_quantile
from kuffin.core.compare.evidence import MountValue
from kuffin.core.compare.mixed import sample_levels
from kuffin.core.compare.reml import fit_reml

Array = NDArray[np.float64]

_NOT_KNOWN = {"round": mark("rounds: not known of all mounts"), "day": mark("days: not known of all mounts")}
_ONLY_ONE = {"round": mark("rounds: only one"), "day": mark("days: only one")}
_WITH_THE_REST = {
    "sample": mark("samples: they changed together with the rest"),
    "round": mark("rounds: they changed together with the rest"),
    "day": mark("days: they changed together with the rest"),
}
_TOO_FEW = {
    "sample": mark("samples: too few mounts to tell them from the mounts themselves"),
    "round": mark("rounds: too few mounts to tell them from the mounts themselves"),
    "day": mark("days: too few mounts to tell them from the mounts themselves"),
}


@dataclass(frozen=True)
class ScatterSource:
    """One source of scatter, as a standard deviation in the readings' unit.

    Attributes
    ----------
    key : str
        ``window``, ``mount``, ``sample``, ``round`` or ``day``.
    levels : int
        How many samples, rounds, days it was seen over.
    """

    key: str
    sd: float
    levels: int


@dataclass(frozen=True)
class Scatter:
    """The sources of scatter, and which others could not be told apart, with the reason.

    Attributes
    ----------
    df : float
        Degrees of freedom of mount and window together: of what is left beside candidates and the other sources.
    """

    sources: tuple[ScatterSource, ...]
    silent: tuple[str, ...]
    df: float

    def sd(self, key: str) -> float | None:
        """A source's standard deviation, None where it could not be seen."""
        return next((s.sd for s in self.sources if s.key == key), None)


def sources_of_scatter(
    mounts: Sequence[MountValue], window_u95: Mapping[str, float], day: Mapping[str, str] | None = None
) -> Scatter | None:
    """Split the scatter of the mounts' readings into window, mount, sample, round and day.

    Parameters
    ----------
    mounts : sequence of MountValue
    window_u95 : mapping
        Each mount's half-width from within its window, by the mount's name.
    day : mapping, optional
        The day each was made on.

    Returns
    -------
    Scatter or None
        None where no candidate has two mounts.

    Notes
    -----
    Candidates are fixed, all the rest random; by REML. What is left is mount and window together; the window's part is
    the mean square of its standard uncertainties and is taken off.
    """
    names = list(dict.fromkeys(m.candidate for m in mounts))
    y = np.array([m.value for m in mounts], float)
    x = np.eye(len(names))[[names.index(m.candidate) for m in mounts]]
    if y.size <= len(names) or float(np.ptp(y)) == 0:
        return None
    asked: list[tuple[str, NDArray[np.int64]]] = []
    silent = []
    samples = sample_levels(mounts)
    if np.unique(samples).size > len(names):
        asked.append(("sample", samples))
    else:
        silent.append(tr("samples: one of each"))
    for key, labels in (("round", [m.round for m in mounts]), ("day", [(day or {}).get(m.mount) for m in mounts])):
        if any(label is None for label in labels) or len(set(labels)) < 2:
            unknown = any(label is None for label in labels)
            silent.append(tr(_NOT_KNOWN[key] if unknown else _ONLY_ONE[key]))
            continue
        order = {label: i for i, label in enumerate(dict.fromkeys(labels))}
        asked.append((key, np.array([order[label] for label in labels], np.int64)))
    kept: list[tuple[str, NDArray[np.int64]]] = []
    columns, rank = x, len(names)
    for key, levels in asked:
        wider = np.hstack([columns, (levels[:, None] == np.unique(levels)[None, :]).astype(float)])
        new = int(np.linalg.matrix_rank(wider))
        if new == rank:
            with_rounds = key == "day" and any(k == "round" for k, _ in kept)
            silent.append(tr("days: they changed together with rounds") if with_rounds else tr(_WITH_THE_REST[key]))
        elif new >= y.size:
            silent.append(tr(_TOO_FEW[key]))
        else:
            kept.append((key, levels))
            columns, rank = wider, new
    fit = fit_reml(y, x, [levels for _, levels in kept])
    within = float(np.sqrt(np.mean([(window_u95.get(m.mount, 0.0) / 1.96) ** 2 for m in mounts])))
    rest = fit.sds[-1]
    out = [
        ScatterSource("window", min(within, rest), y.size),
        ScatterSource("mount", float(np.sqrt(max(rest**2 - within**2, 0.0))), y.size),
    ]
    out += [
        ScatterSource(key, sd, int(np.unique(levels).size))
        for (key, levels), sd in zip(kept, fit.sds[:-1], strict=True)
    ]
    return Scatter(tuple(out), tuple(silent), float(y.size - rank))


@dataclass(frozen=True, kw_only=True)
class NextBuys:
    """The half-width of a pair's plain interval now, with one more sample of each, and with three more mounts of each."""

    now: float
    with_sample: float
    with_mounts: float
    samples: int
    mounts_each: int

    @property
    def sample_is_better(self) -> bool:
        """Whether one more sample narrows it more than three more mounts."""
        return self.with_sample < self.with_mounts


def next_buys(
    samples: int, mounts: int, sd_sample: float, sd_mount: float, candidates: int, confidence: float
) -> NextBuys:
    """What one more sample buys, against three more mounts of the samples there are.

    Parameters
    ----------
    samples, mounts : int
        Of each candidate; a new sample is mounted as often as each of the others.

    Notes
    -----
    A mean scatters with ``√(σs²/S + σm²/M)`` and the pair's with √2 times that, at the between-sample degrees of freedom
    ``K·(S − 1)``.
    """
    each = max(round(mounts / samples), 1)

    def half(s: int, m: int) -> float:
        df = max(candidates * (s - 1), 1)
        return float(t_quantile(0.5 + confidence / 2, df) * np.sqrt(2 * (sd_sample**2 / s + sd_mount**2 / m)))

    return NextBuys(
        now=half(samples, mounts),
        with_sample=half(samples + 1, mounts + each),
        with_mounts=half(samples, mounts + 3),
        samples=samples,
        mounts_each=each,
    )
