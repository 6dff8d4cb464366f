"""`kuffin flow`: restriction of parts, and the flow of a loop on a pump."""

from __future__ import annotations

import argparse
import itertools
from typing import Any

from kuffin.commands.telling import tell
from kuffin.core.base.errors import CompareError
from kuffin.core.flow.accuracy import Accuracies, read_accuracy
from kuffin.core.flow.circuit import in_series
from kuffin.core.flow.measured import Measured, Taken, measured
from kuffin.core.flow.pump import PumpCurve, fit_pump
from kuffin.core.flow.restriction import fit_restriction
from kuffin.logs.flowtable import points_by_part, pump_points
from kuffin.logs.tidy import read_tidy


def flow_told(args: argparse.Namespace) -> dict[str, Any]:
    """What the command tells, as data.

    Raises
    ------
    CompareError, BenchError, LogError
        What is wrong with the input, and where.
    """
    accuracies = Accuracies(
        flow=read_accuracy(args.flow_accuracy, "L/h"), drop=read_accuracy(args.drop_accuracy, "kPa")
    )
    points, warnings = points_by_part(read_tidy(args.table), args.part, args.flow, args.drop, args.count)
    fits = {name: fit_restriction(name, p.flow, p.drop, accuracies, p.count) for name, p in points.items()}
    for name, fit in fits.items():
        if fit.standing_off:
            at = ", ".join(f"{fit.flow[i]:.0f} L/h" for i in fit.standing_off[:5])
            warnings.append(f"{name}: the point{'s' if len(fit.standing_off) > 1 else ''} at {at} stand off the curve")
    pump = _pump(args, accuracies) if args.loop else None
    found = measured(fits, accuracies, pump, Taken(accuracies))
    places = _flows(args.at)
    pairs = list(itertools.combinations(fits, 2))
    told: dict[str, Any] = {
        "parts": [
            {
                "name": name,
                "a": fit.a,
                "b": fit.b,
                "points": int(fit.flow.size),
                "measured_l_h": list(fit.measured),
                "drop_at": [_drop(found, name, q) for q in places],
            }
            for name, fit in fits.items()
        ],
        "pairs": [_pair(found, a, b, q, len(pairs)) for q in places for a, b in pairs],
        "loop": None,
        "warnings": warnings,
    }
    if args.loop:
        told["loop"] = _loop(args, found)
    return told


def _flows(written: str | None) -> list[float]:
    try:
        flows = [float(q) for q in (written or "").split(",") if q.strip()]
    except ValueError:
        raise CompareError(f"“{written}” is no list of flows; write it like 100,150,200") from None
    if any(not 0 < q < 1e5 for q in flows):
        raise CompareError(f"“{written}”: a flow is above 0 L/h and sensible")
    return flows


def _pump(args: argparse.Namespace, accuracies: Accuracies) -> PumpCurve | None:
    return None if args.pump is None else fit_pump(*pump_points(read_tidy(args.pump)), accuracies)


def _drop(found: Measured, name: str, flow: float) -> dict[str, Any]:
    drop = found.drop(name, flow)
    return {"flow_l_h": flow, "drop_kpa": drop.value, "low": drop.low, "high": drop.high, "beyond": drop.beyond}


def _pair(found: Measured, a: str, b: str, flow: float, pairs: int) -> dict[str, Any]:
    d = found.difference(a, b, flow, pairs)
    verdict = "a_lower" if d.high < 0 else "b_lower" if d.low > 0 else "unsettled"
    return {
        "a": a,
        "b": b,
        "flow_l_h": flow,
        "difference_kpa": d.value,
        "low": d.low,
        "high": d.high,
        "verdict": verdict,
    }


def _loop(args: argparse.Namespace, found: Measured) -> dict[str, Any]:
    names = [n.strip() for n in args.loop.split(",") if n.strip()]
    unknown = next((n for n in names if n not in found.parts), None)
    if unknown is not None:
        raise CompareError(f"the loop names “{unknown}”, which has no points; there are {', '.join(found.parts)}")
    if found.pump is None:
        return {"parts": names, "flow_l_h": None, "low": None, "high": None, "head_kpa": None, "beyond": False}
    if not 2.0 < args.pump_speed <= 200.0:
        raise CompareError(f"--pump-speed {args.pump_speed:g} is per cent of full speed; write 100 for full speed")
    point = found.point(in_series(names), args.pump_speed / 100)
    return {
        "parts": names,
        "flow_l_h": point.flow.value,
        "low": point.flow.low,
        "high": point.flow.high,
        "head_kpa": point.head,
        "beyond": bool(point.beyond),
    }


def flow_said(told: dict[str, Any]) -> list[str]:
    """The same in sentences."""
    lines = []
    for p in told["parts"]:
        low, high = p["measured_l_h"]
        lines.append(
            f"{p['name']}: drop = {p['a']:.4g}·q + {p['b']:.4g}·q² kPa, from {p['points']} points at {low:.0f} to {high:.0f} L/h"
        )
        for d in p["drop_at"]:
            beyond = ", beyond what was measured" if d["beyond"] else ""
            lines.append(
                f"  at {d['flow_l_h']:g} L/h: {d['drop_kpa']:.2f} kPa ({d['low']:.2f} to {d['high']:.2f}){beyond}"
            )
    for p in told["pairs"]:
        words = {
            "a_lower": f"{p['a']} restricts less than {p['b']}",
            "b_lower": f"{p['b']} restricts less than {p['a']}",
            "unsettled": f"{p['a']} and {p['b']} are not told apart",
        }[p["verdict"]]
        lines.append(
            f"At {p['flow_l_h']:g} L/h {words}: {p['difference_kpa']:.2f} kPa ({p['low']:.2f} to {p['high']:.2f})"
        )
    loop = told["loop"]
    if loop is not None and loop["flow_l_h"] is not None:
        beyond = ", beyond what was measured" if loop["beyond"] else ""
        lines.append(
            f"{' + '.join(loop['parts'])}: {loop['flow_l_h']:.0f} L/h ({loop['low']:.0f} to {loop['high']:.0f}) at {loop['head_kpa']:.1f} kPa{beyond}"
        )
    return lines


def flow(args: argparse.Namespace) -> None:
    """Restriction of parts, and the flow of a loop."""
    tell(args, flow_told(args), flow_said)
