"""What to spend on: against comparisons that were made with more mounts, and in the demo's studies."""

from __future__ import annotations

import math

import numpy as np
import pytest

from kuffin.core.compare import MountValue, compare
from kuffin.core.compare.narrowing import half_after
from kuffin.notebook.shelf import bench_of
from kuffin.notebook.store import Notebook
from kuffin.said.narrowingwords import purchase_row, spending_words
from kuffin.verdict.narrowing import spending_of
from kuffin.verdict.scatter import scatter_of
from kuffin.verdict.study import judge


@pytest.mark.parametrize(
    ("candidates", "blocks", "first", "more"), [(3, False, 4, 2), (2, False, 5, 3), (3, True, 4, 2)]
)
def test_what_more_rounds_promise_is_what_they_give_on_average(
    candidates: int, blocks: bool, first: int, more: int
) -> None:
    promised, given = [], []
    for seed in range(80):
        rng = np.random.default_rng([5, seed])
        drift = rng.normal(0, 0.5, first + more) if blocks else np.zeros(first + more)
        values = [
            MountValue(candidate=f"c{i}", mount=f"{i} {n}", value=float(rng.normal(drift[n], 0.3)), round=str(n) if blocks else None)
            for n in range(first + more)
            for i in range(candidates)
        ]  # fmt: skip
        # all of them go on, so that the later study is a full one; the promise counts the pair's mounts alone
        now, then = compare(values[: candidates * first]), compare(values)
        promised.append(half_after(now, now.pairs[0], more))
        given.append((then.pairs[0].high - then.pairs[0].low) / 2)
    assert np.mean(promised) == pytest.approx(np.mean(given), rel=0.08)


def test_the_demo_says_what_each_thing_buys_and_what_it_does_not_know(demo_notebook: Notebook) -> None:
    study = demo_notebook.study(1)
    v = judge(demo_notebook, study)
    scatter = scatter_of(v)
    told = spending_of(v, scatter, bench_of(demo_notebook, study.bench_id))
    assert told is not None and scatter is not None and {told.pair.a, told.pair.b} == {"Sedge", "Reed"}
    by = {p.what.split(",")[0]: p for p in told.purchases}
    one, two, four = (by[f"{n} more round{s} of both"] for n, s in (("one", ""), ("two", "s"), ("four", "s")))
    assert (
        one.half and two.half and four.half and told.now.value > one.half.value > two.half.value > four.half.value > 0
    )
    assert four.hours == pytest.approx(4 * (one.hours or 0))
    window, found = scatter.scatter.sd("window") or 0.0, v.main.comparison
    assert found is not None and found.own_spreads  # Bulrush scatters: what this pair's own mounts do is what counts
    whole = math.sqrt(np.mean([(found.candidate(n).sd or 0.0) ** 2 for n in ("Sedge", "Reed")]))
    mount = math.sqrt(whole**2 - min(window, whole) ** 2)
    longer = by["windows twice as long"]
    # half of the window's variance goes, as the mean of twice as many independent samples has it
    assert longer.half is not None and longer.half.value / told.now.value == pytest.approx(
        math.sqrt((whole**2 + mount**2) / 2) / whole
    )
    assert longer.from_the_start and told.best is one
    assert by["a second sample of both"].half is None and "not known" in by["a second sample of both"].because
    assert purchase_row(by["exact probes"], "K")[2] == "–" and "Package power" in by["exact probes"].because
    assert "one more round of both" in spending_words(told, "K")
    assert spending_of(v, None, None) is None
