"""Mounts that were swept over a setting, each read off its own curve at one place: equal flow, equal loudness, equal speed.

The curves are y = a_m + b·g(x; c), a of the mount, b of its candidate (of the mount where it has four points or more and that fits
better), one c for the study, by variable projection: linear in a and b, c searched. g is x^(−c) for a speed or a flow (forced
convection, h ∝ v^m: F. P. Incropera et al., *Fundamentals of Heat and Mass Transfer*, chapter 7), 10^(−c·x/50) for a level in dB, as a
level grows with about 50·log₁₀ of the speed, and x^c for a power.

References
----------
G. H. Golub and V. Pereyra, "The differentiation of pseudo-inverses and nonlinear least squares problems whose variables separate",
SIAM Journal on Numerical Analysis 10 (1973), 413–432.
C. M. Hurvich and C.-L. Tsai, "Regression and time series model selection in small samples", Biometrika 76 (1989), 297–307, for AICc.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray
from scipy.optimize import minimize_scalar

from kuffin.core.base.errors import CompareError
from kuffin.core.base.student import t_quantile
from kuffin.core.compare.evidence import MountValue

Array = NDArray[np.float64]
WAYS = ("speed", "flow", "level", "power")  # what a sweep goes along
_REACH, _REACH_DB = 1.10, 3.0  # how far outside a mount's sweep it is still read
_C = (0.1, 2.0)
_FEWEST_OWN = 4  # points from which a mount may have a slope of its own


@dataclass(frozen=True)
class Swept:
    """A mount's points: where it was read, and what it read there."""

    mount: MountValue
    x: Array = field(repr=False)
    y: Array = field(repr=False)


@dataclass(frozen=True, kw_only=True)
class ReadOff:
    """A mount, read off its own curve; `value` is None where the place lies outside its sweep.

    Its curve is fitted + slope·(g(x)/g(at) − 1), also there.
    """

    mount: MountValue
    value: float | None
    u95: float | None
    points: int
    fitted: float = 0.0
    slope: float = 0.0


@dataclass(frozen=True)
class Shape:
    """What all curves of a study have in common: their exponent, and whether mounts have slopes of their own."""

    c: float
    own_slopes: bool


@dataclass(frozen=True, kw_only=True)
class Curves:
    """All mounts' curves, read at one place.

    Attributes
    ----------
    c : float
        The exponent of the study.
    own_slopes : bool
        Whether mounts with enough points have slopes of their own.
    """

    at: float
    way: str
    c: float
    own_slopes: bool
    mounts: tuple[ReadOff, ...]

    @property
    def shape(self) -> Shape:
        """What the curves have in common; given back, it need not be looked for again at another place."""
        return Shape(self.c, self.own_slopes)

    def values(self) -> list[MountValue]:
        """The mounts that can be read there, for the comparison."""
        return [replace(m.mount, value=m.value) for m in self.mounts if m.value is not None]

    def curve(self, mount: ReadOff, x: Array) -> Array:
        """A mount's own curve."""
        return np.asarray(mount.fitted + mount.slope * _bend(x, self.at, self.way, self.c), float)

    def place_of(self, mount: ReadOff, wanted: float) -> float | None:
        """Where a mount's own curve has a value; None where it never does."""
        if mount.slope == 0:
            return None
        ratio = 1 + (wanted - mount.fitted) / mount.slope  # g(x)/g(at)
        if not ratio > 0:
            return None
        if self.way == "level":
            return float(self.at - 50 / self.c * np.log10(ratio))
        return float(self.at * ratio ** (1 / self.c if self.way == "power" else -1 / self.c))


def read_along(
    sweeps: Sequence[Swept], at: float, way: str, shape: Shape | None = None, lacking: bool = False
) -> Curves:
    """Read every mount off its own curve.

    Parameters
    ----------
    at : float
        The place, in the sweep's unit.
    way : str
        One of `WAYS`: what the sweep goes along.
    shape : Shape, optional
        What the curves have in common, where that is known from another place of the same sweeps.
    lacking : bool
        Whether a candidate without a value there is let pass.

    Raises
    ------
    CompareError
        Where a candidate has no mount that was swept as far as that: the sentence names it.

    >>> x = np.array([30.0, 33.0, 36.0, 39.0])
    >>> sweeps = [Swept(MountValue(candidate=n, mount=n + k, value=0.0), x, b + 3 * 10 ** (-x / 50)) for n, b in (("Reed", 9.0), ("Rush", 11.0)) for k in "12"]
    >>> [round(m.value, 2) for m in read_along(sweeps, 35.0, "level").mounts]
    [9.6, 9.6, 11.6, 11.6]
    """
    if way not in WAYS:
        raise CompareError("a sweep goes along {ways}, not “{way}”", ways=", ".join(WAYS), way=way)
    if way != "level" and (not at > 0 or any((s.x <= 0).any() for s in sweeps)):
        raise CompareError(
            "a {way} is above 0; look at the column, and at the place that is asked for ({at:g})", way=way, at=at
        )
    inside = [_reaches(s, at, way) for s in sweeps]
    for name in dict.fromkeys(s.mount.candidate for s in sweeps):
        own = [(s, i) for s, i in zip(sweeps, inside, strict=True) if s.mount.candidate == name]
        if not lacking and not any(i for _, i in own):
            low, high = min(float(s.x.min()) for s, _ in own), max(float(s.x.max()) for s, _ in own)
            raise CompareError(
                "{name} was swept from {low:g} to {high:g} only: nothing is said of it at {at:g}",
                name=name,
                low=low,
                high=high,
                at=at,
            )
    if shape is None:
        fits = {own: _fit(sweeps, at, way, own) for own in (False, True)}
        own_slopes = min(fits, key=lambda own: fits[own].aicc)
        best = fits[own_slopes]
    else:
        own_slopes = shape.own_slopes
        best = _fit(sweeps, at, way, own_slopes, shape.c)
    return Curves(
        at=at,
        way=way,
        c=best.c,
        own_slopes=own_slopes,
        mounts=tuple(
            ReadOff(
                mount=s.mount,
                value=best.values[i] if ok else None,
                u95=best.halves[i] if ok else None,
                points=int(s.x.size),
                fitted=best.values[i],
                slope=best.slopes[i],
            )
            for i, (s, ok) in enumerate(zip(sweeps, inside, strict=True))
        ),
    )


def places_for(sweeps: Sequence[Swept], wanted: float, way: str) -> Curves:
    """Where each mount's own curve has a wanted value: the speed, or the level, that it takes; `at` is that value.

    A mount whose curve has it only outside its sweep has no place.
    """
    middle = float(np.median(np.concatenate([s.x for s in sweeps])))
    found = read_along(sweeps, middle, way, lacking=True)
    out = []
    for s, m in zip(sweeps, found.mounts, strict=True):
        place, half = found.place_of(m, wanted), None
        reached = place is not None and _reaches(s, place, way)
        if place is not None and reached:
            own = read_along(sweeps, place, way, found.shape, lacking=True).mounts[found.mounts.index(m)]
            step = 1e-3 * max(abs(place), 1.0)
            steep = float(np.diff(found.curve(m, np.array([place - step, place + step])))[0]) / (2 * step)
            half = None if own.u95 is None or steep == 0 else abs(own.u95 / steep)
        out.append(replace(m, value=place if reached else None, u95=half))
    return Curves(at=wanted, way=way, c=found.c, own_slopes=found.own_slopes, mounts=tuple(out))


def _reaches(s: Swept, at: float, way: str) -> bool:
    low, high = float(s.x.min()), float(s.x.max())
    if way == "level":
        return low - _REACH_DB <= at <= high + _REACH_DB
    return low / _REACH <= at <= high * _REACH


@dataclass(frozen=True, kw_only=True)
class _Fit:
    c: float
    values: list[float]
    halves: list[float | None]
    aicc: float
    slopes: list[float]


def _bend(x: Array, at: float, way: str, c: float) -> Array:
    """g(x)/g(at) − 1: nothing at the place itself, so that a mount's own term is its value there."""
    if way == "level":
        return np.asarray(10 ** (-c * (x - at) / 50) - 1, float)
    return np.asarray((x / at) ** (c if way == "power" else -c) - 1, float)


def _fit(sweeps: Sequence[Swept], at: float, way: str, own: bool, known_c: float | None = None) -> _Fit:
    x, y = (np.concatenate([getattr(s, k) for s in sweeps]) for k in ("x", "y"))
    which = np.repeat(np.arange(len(sweeps)), [s.x.size for s in sweeps])
    names = list(dict.fromkeys(s.mount.candidate for s in sweeps))
    # whose slope each mount has: its candidate's, or its own
    slope = [names.index(s.mount.candidate) for s in sweeps]
    more = len(names)
    for i, s in enumerate(sweeps):
        if own and s.x.size >= _FEWEST_OWN:
            slope[i], more = more, more + 1
    used = sorted(set(slope))
    slopes = np.array([used.index(k) for k in slope])[which]
    mounts = np.eye(len(sweeps))[which]

    def design(c: float) -> Array:
        return np.hstack((mounts, np.eye(len(used))[slopes] * _bend(x, at, way, c)[:, None]))

    def rss(c: float) -> float:
        d = design(c)
        left = y - d @ np.linalg.lstsq(d, y, rcond=None)[0]
        return float(left @ left)

    c = _least(rss) if known_c is None else known_c
    d = design(c)
    beta = np.linalg.lstsq(d, y, rcond=None)[0]
    step = 1e-4
    by_c = (design(c + step) @ beta - design(c - step) @ beta) / (2 * step)
    jacobian = np.column_stack((d, by_c))
    freedom = y.size - np.linalg.matrix_rank(jacobian)
    left = float(rss(c))
    halves: list[float | None] = [None] * len(sweeps)
    if freedom > 0:
        cov = np.linalg.pinv(jacobian.T @ jacobian) * left / freedom
        t = t_quantile(0.975, float(freedom))
        halves = [float(t * np.sqrt(max(cov[i, i], 0.0))) for i in range(len(sweeps))]
    k, n = jacobian.shape[1] + 1, y.size
    aicc = n * np.log(max(left, 1e-12) / n) + 2 * k + (2 * k * (k + 1) / (n - k - 1) if n - k - 1 > 0 else np.inf)
    bent = [float(beta[len(sweeps) + used.index(k)]) for k in slope]
    return _Fit(c=c, values=[float(v) for v in beta[: len(sweeps)]], halves=halves, aicc=float(aicc), slopes=bent)


def _least(rss: Callable[[float], float]) -> float:
    """The exponent that leaves least: over a grid, then between its neighbours."""
    grid = np.linspace(*_C, 20)
    start = int(np.argmin([rss(c) for c in grid]))
    ends = float(grid[max(start - 1, 0)]), float(grid[min(start + 1, grid.size - 1)])
    return float(minimize_scalar(rss, bounds=ends, method="bounded", options={"xatol": 1e-5}).x)
