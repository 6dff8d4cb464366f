"""Contact prints: how much of a die was covered by paste or pad, from a photo with the die's corners marked."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import BenchError

Array = NDArray[np.float64]
Otsu = Callable[[Array], float]
SIDE = 160  # of the straightened picture's longer side, in pixels


@dataclass(frozen=True, kw_only=True)
class Print:
    """A contact print.

    Attributes
    ----------
    share : float
        Of the die that was covered, from 0 to 1.
    low, high : float
        95 % interval, from the threshold's uncertainty, glare, and how exactly corners can be marked.
    covered : ndarray of bool, shape (h, w)
    fill : ndarray, shape (h, w)
        From 0 (bare) to 1 (fully covered): what lies between is thin.
    thin_share : float
        Of the die: covered, but thinly.
    glare_share : float
        Of the die: could not be read.
    straight : ndarray, shape (h, w, 3)
        The die seen from straight above, 0 to 1.
    spread : float
        What marking and glare add to the interval.
    """

    share: float
    low: float
    high: float
    covered: NDArray[np.bool_]
    fill: Array
    thin_share: float
    glare_share: float
    straight: Array
    spread: float = 0.0


def straighten(image: Array, corners: Sequence[tuple[float, float]], aspect: float = 1.0) -> Array:
    """The die seen from straight above.

    Parameters
    ----------
    image : ndarray, shape (rows, columns, 3)
        0 to 1, or 0 to 255.
    corners : four (x, y) in pixels
        Upper left, upper right, lower right, lower left.
    aspect : float
        Width over height of the die.

    Returns
    -------
    ndarray, shape (h, w, 3)
        0 to 1.

    Raises
    ------
    BenchError
        Where the corners make no four-sided figure inside the picture, or the picture has no colours.
    """
    from skimage.transform import ProjectiveTransform, warp

    picture = np.asarray(image, dtype=float)
    if picture.ndim != 3 or picture.shape[2] < 3:
        raise BenchError("the picture has no colours; take a colour photo in daylight")
    picture = picture[..., :3] / (255.0 if picture.max() > 1.5 else 1.0)
    marks = np.asarray(corners, dtype=float)
    if marks.shape != (4, 2):
        raise BenchError("mark all four corners of the die")
    rows, columns = picture.shape[:2]
    if np.any(marks < -1) or np.any(marks[:, 0] > columns) or np.any(marks[:, 1] > rows):
        raise BenchError("a corner lies outside the picture; mark it again")
    ways = np.roll(marks, -1, axis=0) - marks
    turns = ways[:, 0] * np.roll(ways[:, 1], -1) - ways[:, 1] * np.roll(ways[:, 0], -1)
    if not (np.all(turns > 0) or np.all(turns < 0)):
        raise BenchError("the corners cross each other; mark them one after the other around the die")
    area = 0.5 * abs(float(np.sum(marks[:, 0] * np.roll(marks[:, 1], -1) - marks[:, 1] * np.roll(marks[:, 0], -1))))
    if area < 400:
        raise BenchError("the die is too small in this picture; come closer")
    if not 0.1 <= aspect <= 10:
        raise BenchError("the die's width over its height lies between 0.1 and 10")
    w = SIDE if aspect >= 1 else max(16, round(SIDE * aspect))
    h = SIDE if aspect <= 1 else max(16, round(SIDE / aspect))
    target = np.array([(0, 0), (w, 0), (w, h), (0, h)], dtype=float) - 0.5
    transform = ProjectiveTransform.from_estimate(target, marks)
    return np.clip(
        np.asarray(warp(picture, transform, output_shape=(h, w), order=1, mode="edge"), dtype=np.float64), 0, 1
    )


def read_print(image: Array, corners: Sequence[tuple[float, float]], aspect: float = 1.0) -> Print:
    """Read a contact print.

    The straightened picture is described by brightness (with a smooth surface for shadow taken out) and two colour
    ratios, which a shadow leaves alone. Two groups are separated by Otsu's threshold on the direction that separates
    best (Fisher's discriminant, found in a few rounds). Which of them is paste is a guess (the more even one), and
    `turned_round` gives the other answer. The interval comes from moving the threshold through the middle part between
    both groups, with what glare hides, and one pixel of the photo at each side.

    Parameters
    ----------
    image, corners, aspect
        As for `straighten`.

    Raises
    ------
    BenchError
        As `straighten`; and where the picture shows one even surface only.
    """
    from scipy import ndimage
    from skimage.filters import threshold_otsu

    straight = straighten(image, corners, aspect)
    glare = _glare(straight)
    seen = ~glare
    if seen.mean() < 0.3:
        raise BenchError("most of the die is overexposed or too dark; photograph it again in soft light")
    flat, group = _two_groups(straight, seen, threshold_otsu)
    together = ndimage.gaussian_filter(group.astype(float), 3) > 0.5
    if np.mean(together[seen] == group[seen]) < 0.85:
        raise BenchError("covered and bare cannot be told apart in this picture; the surface looks all the same")
    top, foot = np.median(flat[seen & group], axis=0), np.median(flat[seen & ~group], axis=0)
    along = (flat - foot) @ (top - foot) / float((top - foot) @ (top - foot))
    fill = np.clip(ndimage.gaussian_filter(along, 0.7), 0, 1)
    if not _is_the_more_even(straight, seen & (fill > 0.5), seen & (fill <= 0.5)):
        fill = 1 - fill
    nearest = ndimage.distance_transform_edt(glare, return_distances=False, return_indices=True)
    fill = np.where(glare, fill[tuple(nearest)], fill)
    hidden = float(glare.mean())
    edge = 1.5 * _edge_of_marking(corners)
    return _from_fill(fill, float(np.sqrt(edge**2 + 0.01**2)) + 0.25 * hidden, hidden, straight)


def _from_fill(fill: Array, spread: float, hidden: float, straight: Array) -> Print:
    share = float((fill > 0.5).mean())
    low, high = float((fill > 0.6).mean()) - spread, float((fill > 0.4).mean()) + spread
    thin = float(((fill > 0.35) & (fill < 0.8)).mean())
    return Print(
        share=share,
        low=max(0.0, low),
        high=min(1.0, high),
        covered=fill > 0.5,
        fill=fill,
        thin_share=thin,
        glare_share=hidden,
        straight=straight,
        spread=spread,
    )


def turned_round(found: Print) -> Print:
    """The same print where covered and bare are the other way round."""
    return _from_fill(1 - found.fill, found.spread, found.glare_share, found.straight)


def _glare(straight: Array) -> NDArray[np.bool_]:
    """What cannot be read: burnt or black places, with the veil round a burnt one (which is about as wide as it)."""
    from scipy import ndimage

    burnt = straight.min(axis=2) > 0.96
    black = straight.max(axis=2) < 0.02
    hidden = ndimage.binary_dilation(burnt, iterations=2) | black
    labels, count = ndimage.label(burnt)
    for i in range(1, min(count, 50) + 1):
        spot = labels == i
        radius = np.sqrt(spot.sum() / np.pi)
        hidden |= ndimage.distance_transform_edt(~spot) <= 1.3 * radius + 2
    return np.asarray(hidden, dtype=bool)


def _features(straight: Array) -> Array:
    logs = np.log(straight + 0.02)
    bright = logs.mean(axis=2)
    return np.stack([bright, logs[..., 0] - logs[..., 1], logs[..., 2] - logs[..., 1]], axis=-1)


def _surface(h: int, w: int) -> Array:
    y, x = np.mgrid[-1 : 1 : h * 1j, -1 : 1 : w * 1j]
    return np.stack([np.ones((h, w)), x, y, x * y, x**2, y**2], axis=-1)


def _two_groups(straight: Array, seen: NDArray[np.bool_], otsu: Otsu) -> tuple[Array, NDArray[np.bool_]]:
    """The picture with shadow taken out, and the two groups that separate best."""
    features = _features(straight)
    h, w = straight.shape[:2]
    surface = _surface(h, w)
    found = [_separate(features, surface, seen, start, otsu) for start in range(features.shape[-1])]
    usable = [f for f in found if f is not None]
    if not usable:
        raise BenchError("covered and bare cannot be told apart in this picture; the surface looks all the same")
    _, group, shadow = max(usable, key=lambda f: f[0])
    return straight / np.exp(shadow)[..., None], group


def _separate(
    features: Array, surface: Array, seen: NDArray[np.bool_], start: int, otsu: Otsu
) -> tuple[float, NDArray[np.bool_], Array] | None:
    """Two groups, begun from one feature: how well they separate, the one, and the logarithm of the shadow."""
    value = features[..., start]
    found: tuple[float, NDArray[np.bool_], Array] | None = None
    for _ in range(6):
        group = value > otsu(value[seen])
        a, b = seen & group, seen & ~group
        if a.sum() < 20 or b.sum() < 20:
            return None
        # shadow: one smooth surface for both groups, each with its own level
        ones = np.ones((int(seen.sum()), 1))
        design = np.concatenate([surface[seen][:, 1:], group[seen][:, None].astype(float), ones], axis=1)
        coefficients, *_ = np.linalg.lstsq(design, features[..., 0][seen], rcond=None)
        shadow = surface[..., 1:] @ coefficients[: surface.shape[-1] - 1]
        work = features.copy()
        work[..., 0] = features[..., 0] - shadow
        within = np.cov(work[a].T) + np.cov(work[b].T) + 1e-6 * np.eye(work.shape[-1])
        apart = work[a].mean(axis=0) - work[b].mean(axis=0)
        direction = np.linalg.solve(within, apart)
        value = work @ direction
        found = float(apart @ direction), value > otsu(value[seen]), shadow
    return found


def _is_the_more_even(straight: Array, high: NDArray[np.bool_], low: NDArray[np.bool_]) -> bool:
    """A guess at which group is paste: the more even in brightness; metal shows its grain and mirrors."""
    from scipy import ndimage

    bright = straight.mean(axis=2)
    rough = np.abs(bright - ndimage.gaussian_filter(bright, 2.0))

    def inside(mask: NDArray[np.bool_]) -> float:
        kernel = ndimage.binary_erosion(mask, iterations=3)
        return float(np.mean(rough[kernel if kernel.sum() > 50 else mask])) if mask.any() else 1.0

    return inside(high) <= inside(low)


def _edge_of_marking(corners: Sequence[tuple[float, float]]) -> float:
    """What one pixel at each side of the die is of its area."""
    marks = np.asarray(corners, dtype=float)
    sides = np.hypot(*(np.roll(marks, -1, axis=0) - marks).T)
    area = 0.5 * abs(float(np.sum(marks[:, 0] * np.roll(marks[:, 1], -1) - marks[:, 1] * np.roll(marks[:, 0], -1))))
    return float(0.5 * sides.sum() / area)


def both_sides(block: Print, die: Print, mirrored: bool = True) -> tuple[float, NDArray[np.bool_]]:
    """The share that either side shows covered: where a print tore, its paste may stay on one side only.

    Parameters
    ----------
    mirrored : bool
        The block's picture is the die's mirror image (corners marked as they lie in each picture).
    """
    from skimage.transform import resize

    other = block.covered[:, ::-1] if mirrored else block.covered
    if other.shape != die.covered.shape:
        other = np.asarray(resize(other.astype(float), die.covered.shape, order=0)) > 0.5
    either = die.covered | other
    return float(either.mean()), either
