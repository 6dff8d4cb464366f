"""`kuffin compare`: candidates of a tidy table, each mount as it is or read off its own curve."""

from __future__ import annotations

import argparse
import sys
from dataclasses import replace
from pathlib import Path
from typing import TYPE_CHECKING, Any

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.plaindata import json_text

if TYPE_CHECKING:
    from collections.abc import Sequence

    import numpy as np
    from numpy.typing import NDArray

    from kuffin.core.compare import MountValue


def compare(args: argparse.Namespace) -> None:
    """What may be said of each pair of candidates in a tidy table."""
    from kuffin.core.base.wholefile import write_whole
    from kuffin.core.compare import compare as compared
    from kuffin.core.compare.pairwords import pair_sentence
    from kuffin.logs.header import split_names
    from kuffin.logs.tidy import mount_values, read_tidy, rows_by_mount
    from kuffin.publish.tables import as_csv, comparison_rows

    adjust = [a.strip() for a in (args.adjust or "").split(",") if a.strip()]
    table = read_tidy(args.table)
    beside = _beside(args, adjust)
    rows, warnings, response = rows_by_mount(table, args.response, args.by, args.unit, args.sample, args.round, beside)
    along: dict[str, Any] | None = None
    if args.along:
        mounts, outside, along = _read_off(args, table.columns[table.find(args.along)], rows)
        if outside:
            warnings.append(f"not swept as far as {args.at:g}: {', '.join(outside[:6])}")
    else:
        mounts = mount_values(rows)
    if args.half_width:
        mounts = [replace(m, half=m.covariates[-1], covariates=m.covariates[:-1]) for m in mounts]
    if args.reference is not None and args.reference not in {m.candidate for m in mounts}:
        near = [c for c in dict.fromkeys(m.candidate for m in mounts) if args.reference.lower() in c.lower()]
        args.reference = near[0] if len(near) == 1 else args.reference
    found = compared(
        mounts,
        reference=args.reference,
        margin=args.margin,
        confidence=args.confidence,
        better=args.better,
        spread="moderated" if args.spread == "noticed" else args.spread,
        covariate_names=adjust,
    )
    notes = [*warnings, *found.warnings]
    unit = split_names([response])[0].unit or ""
    if args.csv:
        write_whole(args.csv, as_csv(comparison_rows(found, unit)))
    if args.picture:
        from kuffin.publish.figures.candidates import table_drawing
        from kuffin.publish.figures.drawing import GROUNDS, SIZES
        from kuffin.publish.figures.rendering import rendered

        target = Path(args.picture)
        drawn = table_drawing(found, f"{split_names([response])[0].name} by {args.by}", unit)
        write_whole(target, rendered(drawn, SIZES["wide"], GROUNDS["light"], target.suffix.removeprefix(".").lower()))
    if args.json:
        print(
            json_text(
                {
                    "response": response,
                    "method": found.method,
                    "confidence": found.confidence,
                    "margin": found.margin,
                    "sd": found.sd,
                    "df": found.df,
                    "candidates": [
                        {
                            k: getattr(c, k)
                            for k in ("name", "mounts", "samples", "mean", "low", "high", "group", "p_best")
                        }
                        for c in found.candidates
                    ],
                    "pairs": [
                        {
                            k: getattr(p, k)
                            for k in ("a", "b", "difference", "low", "high", "p", "verdict", "mounts_needed")
                        }
                        for p in found.pairs
                    ],
                    "components": [{"source": s, "sd": v} for s, v in found.components],
                    "warnings": notes,
                    **({"along": along} if along is not None else {}),
                }
            )
        )
        return
    if along is not None:
        print(f"each mount read off its own curve at {along['column']} = {along['at']:g} (c = {along['c']:.2f})")
    print(
        f"{response}: {found.method}, {100 * found.confidence:g} % over {len(found.pairs)} "
        + ("pair" if len(found.pairs) == 1 else "pairs")
    )
    for c in found.candidates:
        print(
            f"  {c.name:<16} {c.mean:10.4g}  {c.low:.4g} to {c.high:.4g}   {c.mounts} mounts  {c.group or '':<4} "
            f"best in {100 * c.p_best:.0f} %"
        )
    for p in found.pairs:
        print("  " + pair_sentence(p, found, unit))
    for text in notes:
        print(f"note: {text}", file=sys.stderr)


def _beside(args: argparse.Namespace, adjust: list[str]) -> list[str]:
    """The columns that are read beside the response: the sweep's, or those that are taken out; the half-widths last."""
    if not args.along:
        return [*adjust, args.half_width] if args.half_width else adjust
    if args.half_width:
        raise KuffinError("--along has half-widths of its own, from each mount's curve; leave --half-width out")
    if args.at is None or args.unit is None:
        raise KuffinError("--along needs --at X, the place where mounts are read, and --unit, the column of the mounts")
    if adjust:
        raise KuffinError("--along takes the sweep's own curve out; --adjust does not go with it")
    return [args.along]


def _read_off(
    args: argparse.Namespace, column: str, rows: Sequence[tuple[MountValue, NDArray[np.float64]]]
) -> tuple[list[MountValue], list[str], dict[str, Any]]:
    """Every mount's value off its own curve at the place asked for, those not swept so far, and what is told of the curves."""
    from kuffin.core.compare.along import Swept, read_along

    curves = read_along([Swept(m, v[:, 1], v[:, 0]) for m, v in rows], args.at, args.along_is)
    told = {
        "column": column,
        "at": args.at,
        "c": curves.c,
        "mounts": [
            {"unit": m.mount.mount, "value": m.value, "u95": m.u95, "points": m.points}
            for m in curves.mounts
            if m.value is not None
        ],
    }
    return curves.values(), [m.mount.mount for m in curves.mounts if m.value is None], told
