"""Logs given to mounts and conditions by their names and times; never several mounts out of one without asking."""

from __future__ import annotations

import datetime as dt
import random

import pytest

from kuffin.logs.assigning import LogNamed, There, assign

CANDIDATES = ["Tern", "Plover", "Knot", "Dunlin", "Sedge 240", "Rush", "Bulrush"]
CONDITIONS = [
    ["stock", "oc", "240W"],
    ["idle", "bounce", "long mix"],
    ["180W", "240W", "300W"],
    ["Stock", "Overclock", "Undervolt"],
    ["pump40", "pump60", "pump80"],
]


def drawn(seed: int) -> list[tuple[LogNamed, str, int, str]]:
    """Three mounts of one or two candidates, each tested under three conditions, in one of nine ways of naming files."""
    rng = random.Random(seed)
    names, conditions, style = rng.sample(CANDIDATES, rng.randint(1, 2)), rng.choice(CONDITIONS), rng.randrange(9)
    sep, at, logs = rng.choice("_- "), dt.datetime(2026, 4, rng.randint(1, 20), 9), []
    for mount in (1, 2, 3):
        for name in names:
            for condition in conditions:
                n = name.replace(" ", "") if rng.random() < 0.5 else name
                c = condition.replace(" ", sep)
                pieces = (
                    [n, f"r{mount}", c],
                    [n, c, f"round{mount}"],
                    [f"{at:%Y-%m-%d}", n, f"mount{mount}", c],
                    [n, f"m{mount}", c, f"{at:%Y%m%d_%H%M}"],
                    [n, str(mount), c],
                    [c, n, f"run {mount}"],
                    [n, c],
                    [n.lower(), "ABC"[mount - 1], c],
                    [n.upper(), c, f"{at:%d.%m.%Y}"],
                )[style]
                start = at.isoformat() if rng.random() < 0.9 or style in {6, 8} else None
                logs.append((LogNamed(sep.join(pieces), start, 2400.0), name, mount, condition))
                at += dt.timedelta(minutes=40 + rng.choice([1, 2, 5, 8]))
            at += dt.timedelta(minutes=rng.choice([35, 60, 90]))
        if rng.random() < 0.4:
            at = (at + dt.timedelta(days=1)).replace(hour=9)
    rng.shuffle(logs)
    return logs


def test_of_200_imports_mounts_and_conditions_are_right_or_asked_for() -> None:
    right = wrong = 0
    for seed in range(200):
        logs = drawn(seed)
        found = assign([log for log, *_ in logs], CANDIDATES)
        mounts: dict[tuple[str, int], set[tuple[str, int]]] = {}
        conditions: dict[str, set[str]] = {}
        for a, (_, name, mount, condition) in zip(found, logs, strict=True):
            mounts.setdefault((name, mount), set()).add((a.candidate, a.round))
            conditions.setdefault(condition.lower(), set()).add(a.condition.lower())
        one_each = all(len(v) == 1 for v in (*mounts.values(), *conditions.values()))
        apart = len(set().union(*mounts.values())) == len(mounts) and len(set().union(*conditions.values())) == 3
        named = all(a.candidate == name for a, (_, name, *_) in zip(found, logs, strict=True))
        right += one_each and apart and named
        wrong += not (one_each and apart) and all(a.sure for a in found)
    assert right >= 190 and wrong == 0


def named(stem: str, at: str | None = None) -> LogNamed:
    return LogNamed(stem, at, 2400.0)


def test_three_logs_that_differ_in_a_word_are_tests_of_one_mount() -> None:
    found = assign([named("tern stock"), named("tern oc"), named("tern other program")], ["Tern"])
    assert [(a.round, a.condition, a.sure) for a in found] == [
        (1, "stock", True),
        (1, "oc", True),
        (1, "other program", True),
    ]


def test_logs_that_tell_nothing_are_asked_for() -> None:
    found = assign([named("tern"), named("tern (2)"), named("tern copy")], ["Tern"])
    assert not any(a.sure for a in found)


@pytest.mark.parametrize(("at", "round_", "sure"), [("2026-04-14T10:04:00", 1, True), ("2026-04-14T13:00:00", 2, True)])
def test_what_follows_before_anything_could_be_changed_is_the_same_mount(at: str, round_: int, sure: bool) -> None:
    there = [There("Tern", 1, "2026-04-14T10:00:00", ("stock",))]
    (found,) = assign([named("tern oc", at)], ["Tern"], there)
    assert (found.round, found.sure) == (round_, sure)
