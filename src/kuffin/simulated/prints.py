"""Drawn contact prints whose coverage is known: paste on metal, seen askew, with shadow and glare."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy import ndimage

METALS = ((0.72, 0.71, 0.70), (0.75, 0.47, 0.33), (0.62, 0.62, 0.64), (0.45, 0.44, 0.43))
PASTES = ((0.52, 0.53, 0.55), (0.86, 0.86, 0.85), (0.30, 0.31, 0.33), (0.60, 0.62, 0.68))


@dataclass(frozen=True)
class Drawn:
    """A photo, the die's corners in it, the covered share, and the die's aspect."""

    image: np.ndarray
    corners: list[tuple[float, float]]
    share: float
    aspect: float


def draw_print(rng: np.random.Generator, size: int = 480, aspect: float | None = None) -> Drawn:
    """Draw one. Covered and bare differ at least as much as paste and metal do in a usable photo.

    Parameters
    ----------
    size : int
        Width and height of the photo in pixels.
    aspect : float, optional
        The die's width over its height; drawn at random where it is not given.
    """
    aspect = float(rng.uniform(0.6, 1.7)) if aspect is None else aspect
    while True:
        metal, paste = np.array(METALS[rng.integers(4)]), np.array(PASTES[rng.integers(4)])
        if np.abs(np.log(metal / paste)).max() > 0.25:
            break
    n = 300
    field = ndimage.gaussian_filter(rng.normal(size=(n, n)), rng.uniform(12, 35))
    y, x = np.mgrid[-1 : 1 : n * 1j, -1 : 1 : n * 1j]
    field = field / field.std() - rng.uniform(0.5, 2.5) * (x**2 + y**2)
    wanted = float(rng.uniform(0.35, 0.95))
    level = np.quantile(field, 1 - wanted)
    fill = np.clip(0.5 + (field - level) / (0.25 * field.std()), 0, 1)
    covered = fill > 0.5
    texture = rng.normal(0, 0.02, (n, n)) + 0.02 * np.sin(y * 150)
    die = metal * (1 - fill[..., None]) * (1 + texture[..., None]) + paste * fill[..., None]
    die = die * (1 + rng.normal(0, 0.01, (n, n, 1)))
    # where the die lies in the photo
    w, h = (size * 0.55, size * 0.55 / aspect) if aspect > 1 else (size * 0.55 * aspect, size * 0.55)
    middle = np.array([size / 2, size / 2])
    box = np.array([(-w / 2, -h / 2), (w / 2, -h / 2), (w / 2, h / 2), (-w / 2, h / 2)])
    angle = rng.uniform(-0.5, 0.5)
    turn = np.array([[np.cos(angle), -np.sin(angle)], [np.sin(angle), np.cos(angle)]])
    corners = middle + box @ turn.T + rng.uniform(-0.07, 0.07, (4, 2)) * size
    # project: an exact homography by its eight equations
    unit = [(0, 0), (n, 0), (n, n), (0, n)]
    rows, right = [], []
    for (u, v), (px, py) in zip(unit, corners, strict=True):
        rows += [[px, py, 1, 0, 0, 0, -u * px, -u * py], [0, 0, 0, px, py, 1, -v * px, -v * py]]
        right += [u, v]
    H = np.append(np.linalg.solve(np.array(rows), np.array(right)), 1).reshape(3, 3)
    gy, gx = np.mgrid[0:size, 0:size] + 0.5
    u, v, k = np.einsum("ij,jyx->iyx", H, np.stack([gx, gy, np.ones_like(gx)]))
    u, v = u / k, v / k
    inside = (u >= 0) & (u < n) & (v >= 0) & (v < n)
    photo = np.full((size, size, 3), 0.15) + rng.normal(0, 0.01, (size, size, 3))
    for c in range(3):
        seen = ndimage.map_coordinates(die[..., c], [v.clip(0, n) - 0.5, u.clip(0, n) - 0.5], order=1, mode="nearest")
        photo[..., c] = np.where(inside, seen, photo[..., c])
    along = rng.normal(size=2)
    shadow = 1 + rng.uniform(0, 0.35) * ((gx - size / 2) * along[0] + (gy - size / 2) * along[1]) / (
        size * np.hypot(*along)
    )
    photo = photo * shadow[..., None]
    if rng.random() < 0.5:
        spot = middle + rng.uniform(-0.15, 0.15, 2) * size
        radius = rng.uniform(0.01, 0.035) * size
        photo += 1.2 * np.exp(-((gx - spot[0]) ** 2 + (gy - spot[1]) ** 2) / (2 * radius**2))[..., None]
    photo = ndimage.gaussian_filter(photo, (0.7, 0.7, 0))
    photo = np.clip(photo + rng.normal(0, 0.008, photo.shape), 0, 1)
    marked = corners + rng.normal(0, 0.7, (4, 2))
    return Drawn(
        np.round(photo * 255).astype(np.uint8), [(float(a), float(b)) for a, b in marked], float(covered.mean()), aspect
    )
