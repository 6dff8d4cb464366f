"""How well settling does on simulated warm-ups whose truth is known.

python -m benchmarks.settling [TRIALS] [FIRST SEED]
"""

from __future__ import annotations

import multiprocessing
import statistics
import sys
from typing import Any

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.core.settle import Settling, settle
from kuffin.simulated.trials import PairTruth, Trial, make_trial

TOLERANCE = 0.2
PAIRS = (("coolant_over_air", "Coolant", "Air"), ("die_over_coolant", "Die", "Coolant"))
Row = dict[str, Any]


def _judged(trial: Trial, response: str, over: str, cut: float | None) -> Settling | None:
    keep = trial.times <= (cut if cut is not None else np.inf)
    c = {name: values[keep] for name, values in trial.channels.items()}
    try:
        return settle(trial.times[keep], c[response], over=c[over], load=c["Power"], air=c["Air"], tolerance=TOLERANCE)
    except KuffinError:
        return None


def _one(seed: int) -> list[Row]:
    trial = make_trial(seed)
    rows = []
    for pair, response, over in PAIRS:
        for cut in [None, *([trial.cut_s] if trial.cut_s is not None else [])]:
            found = _judged(trial, response, over, cut)
            rows.append(_row(seed, trial, pair, trial.pairs[pair], cut is not None, found))
    return rows


def _row(seed: int, trial: Trial, pair: str, truth: PairTruth, cut: bool, found: Settling | None) -> Row:
    left = truth.left_at_cut_k if cut else truth.left_at_end_k
    row: Row = {"seed": seed, "kind": trial.kind, "pair": pair, "cut": cut, "answered": found is not None}
    if found is None:
        return row
    looped = trial.period_s is None or trial.end_s - trial.load_start_s >= 4.2 * trial.period_s
    row |= {
        "start": found.load.start_s is not None
        and abs(found.load.start_s - trial.load_start_s) <= max(15, 3 * trial.interval_s),
        "period": None
        if cut or not looped
        else (found.load.period_s is None) == (trial.period_s is None)
        and (trial.period_s is None or abs((found.load.period_s or 0) - trial.period_s) <= 0.05 * trial.period_s),
        "settled": found.settled,
        "false": found.settled
        and (abs(left or 0) > 2 * TOLERANCE or abs(found.window.mean - truth.equilibrium_k) > 2 * TOLERANCE),
        "due": not cut
        and truth.within_tolerance_since_s is not None
        and truth.drift_floor_k is not None
        and trial.end_s - max(truth.within_tolerance_since_s, trial.load_start_s) >= 900
        and truth.drift_floor_k <= TOLERANCE / 2,
        "early": found.settled_at_s is not None
        and (truth.within_twice_since_s is None or found.settled_at_s < truth.within_twice_since_s - 60),
        "mean_covers": abs(found.window.mean - truth.equilibrium_k) <= found.mean_u95 + 0.05,
        "mean_u95": found.mean_u95,
        "final_u95": found.final_u95,
        "error": abs(found.warm_up.final - truth.equilibrium_k),
        "signed": found.warm_up.final - truth.equilibrium_k,
        "covers": abs(found.warm_up.final - truth.equilibrium_k) <= found.final_u95,
        "tau": None if found.warm_up.tau_s is None else abs(found.warm_up.tau_s / trial.tau_s - 1),
        "left_error": abs(found.level.to_go - (left or 0)),
        "step": found.load.step_s,
    }
    return row


def run(trials: int, first: int = 10_000, jobs: int = 2) -> list[Row]:
    """Judge that many random trials."""
    with multiprocessing.Pool(jobs) as pool:
        return [row for rows in pool.imap_unordered(_one, range(first, first + trials), chunksize=4) for row in rows]


def report(rows: list[Row], worst: int = 0) -> None:
    """Print the scores of METHODS, Equilibrium."""
    done = [r for r in rows if r["answered"]]
    coolant = [r for r in done if r["pair"] == "coolant_over_air"]
    die = [r for r in done if r["pair"] == "die_over_coolant"]
    whole = [r for r in done if not r["cut"]]
    settled = [r for r in done if r["settled"]]

    def share(label: str, some: list[Row], key: str, want: bool = True) -> None:
        hits = [r for r in some if bool(r[key]) is want]
        print(f"  {label:48} {100 * len(hits) / max(1, len(some)):5.1f} % of {len(some)}")
        if worst:
            bad = [r for r in some if bool(r[key]) is not want] if len(hits) * 2 > len(some) else hits
            print("      ", [(r["seed"], r["kind"], r["pair"][:3], "cut" if r["cut"] else "") for r in bad[:worst]])

    def median(label: str, some: list[Row], key: str, scale: float = 1.0, unit: str = "K") -> None:
        values = [r[key] * scale for r in some if r[key] is not None]
        print(f"  {label:48} {statistics.median(values) if values else float('nan'):.3f} {unit} of {len(values)}")

    print(f"settling: {len({r['seed'] for r in rows})} simulated runs, {len(rows)} traces")
    share("answered", rows, "answered")
    share("load start right", [r for r in whole if r["pair"] == "coolant_over_air"], "start")
    share("period right", [r for r in whole if r["period"] is not None], "period")
    share("settled falsely (over 0.4 K away)", settled, "false")
    share("missed (flat for 15 min, not called settled)", [r for r in done if r["due"]], "settled", want=False)
    share("coolant settled too early", [r for r in coolant if r["settled"] and not r["cut"]], "early")
    share("mean ± u95 (+0.05 K) holds the truth", [r for r in whole if r["settled"]], "mean_covers")
    share("final ± u95 holds the truth, whole runs", whole, "covers")
    share("final ± u95 holds the truth, cut runs", [r for r in done if r["cut"]], "covers")
    median("median mean_u95 where settled", [r for r in whole if r["settled"]], "mean_u95")
    median("median final_u95 where settled", [r for r in whole if r["settled"]], "final_u95")
    median("coolant: median error of final, whole", [r for r in coolant if not r["cut"]], "error")
    median("coolant: median error of final, cut", [r for r in coolant if r["cut"]], "error")
    median("die: median error of final, whole", [r for r in die if not r["cut"]], "error")
    median(
        "coolant: median error of tau", [r for r in coolant if not r["cut"] and r["kind"] != "short"], "tau", 100, "%"
    )
    median("coolant: median error of still to go", [r for r in coolant if not r["cut"]], "left_error")


if __name__ == "__main__":
    numbers = [int(a) for a in sys.argv[1:] if a.isdigit()]
    report(run(*(numbers[:2] or [200])), worst=6 if "--worst" in sys.argv else 0)
