"""Contact prints against drawn ones whose coverage is known."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.base.errors import BenchError
from kuffin.core.prepare.contact import both_sides, read_print, straighten, turned_round
from kuffin.simulated.prints import draw_print


def test_coverage_is_within_three_points_and_its_interval_holds() -> None:
    rng = np.random.default_rng(2026)
    errors, held, guessed = [], [], []
    for _ in range(12):
        drawn = draw_print(rng)
        found = read_print(drawn.image, drawn.corners, drawn.aspect)
        turned = turned_round(found)
        assert turned.share == pytest.approx(1 - found.share, abs=1e-3)
        guessed.append(abs(found.share - drawn.share) <= abs(turned.share - drawn.share))
        right = found if guessed[-1] else turned  # the person sees which is which, and turns it round
        held.append(right.low <= drawn.share <= right.high)
        if right.glare_share < 0.15:
            errors.append(abs(right.share - drawn.share))
    assert np.mean(held) >= 0.9
    assert np.mean(np.array(errors) <= 0.03) >= 0.95 and len(errors) > 6
    assert np.mean(guessed) > 0.85


def test_straightening_undoes_the_view_from_the_side() -> None:
    rows, columns = 200, 300
    board = np.zeros((rows, columns, 3))
    board[:, : columns // 2] = (0.8, 0.2, 0.2)
    board[:, columns // 2 :] = (0.2, 0.2, 0.8)
    flat = straighten(board, [(30, 20), (270, 40), (250, 180), (50, 160)], aspect=1.5)
    assert flat.shape == (107, 160, 3)
    assert flat[50, 20, 0] > 0.7 and flat[50, 140, 2] > 0.7
    mirrored = straighten(board, [(270, 40), (30, 20), (50, 160), (250, 180)], aspect=1.5)
    assert mirrored[50, 20, 2] > 0.7


def test_paste_that_stayed_on_one_side_only_counts() -> None:
    drawn = draw_print(np.random.default_rng(1))
    whole = read_print(drawn.image, drawn.corners, drawn.aspect)
    share, either = both_sides(whole, whole, mirrored=True)
    assert share >= whole.share
    assert share == pytest.approx(float((whole.covered | whole.covered[:, ::-1]).mean()))
    assert either.shape == whole.covered.shape


@pytest.mark.parametrize(
    ("corners", "says"),
    [
        ([(10, 10), (90, 10), (90, 90)], "all four"),
        ([(10, 10), (90, 90), (90, 10), (10, 90)], "cross"),
        ([(10, 10), (190, 10), (190, 90), (10, 90)], "outside"),
        ([(10, 10), (20, 10), (20, 20), (10, 20)], "too small"),
        ([(10, 10), (90, 10), (90, 90), (10, 90)], "same"),
    ],
)
def test_what_cannot_be_read_is_said(corners: list[tuple[float, float]], says: str) -> None:
    grey = np.full((100, 100, 3), 0.5) + np.random.default_rng(0).normal(0, 0.01, (100, 100, 3))
    with pytest.raises(BenchError, match=says):
        read_print(grey, corners)
    with pytest.raises(BenchError, match="colour"):
        read_print(grey[..., 0], corners)
