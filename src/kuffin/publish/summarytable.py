"""The table of a study that one shows: each candidate by each outcome, with its half-width; as Markdown and HTML to paste."""

from __future__ import annotations

import html
from collections.abc import Sequence
from typing import Any

from kuffin.core.bench.outcomes import FREE
from kuffin.core.compare.pairwords import number
from kuffin.said.line import verdict_line
from kuffin.verdict.chosenoutcomes import grid_outcomes
from kuffin.verdict.outcomes import OutcomeResult
from kuffin.verdict.study import StudyVerdict

Row = dict[str, Any]


def summary_rows(v: StudyVerdict) -> list[Row]:
    """One row for each outcome and candidate, the best first; a value that is only a bound says so."""
    out: list[Row] = []
    for outcome in grid_outcomes(v.evidence):
        result = v.main if outcome.key == v.outcome.key else v.schools.get(outcome.key) or v.by(outcome.key)
        out += _of_outcome(result)
    return out


def _of_outcome(result: OutcomeResult) -> list[Row]:
    found, outcome = result.comparison, result.outcome
    if found is None:
        return [_row(result, name, None, None, len(result.of(name)), result.why_not or "") for name in result.ranking()]
    rows = []
    for name in result.ranking():
        c = found.candidate(name)
        said = (
            ("at least this: it met no limit" if outcome.bounded == FREE else "held by a limit: only a bound")
            if c.bound
            else ""
        )
        same = (
            [o.name for o in found.candidates if o.name != name and found.pair(name, o.name).verdict == "same"]
            if found.reference is None
            else []
        )
        said = said or (f"the same as {', '.join(same)}" if same else "")
        rows.append(_row(result, name, c.mean, (c.high - c.low) / 2, c.mounts, said))
    return rows


def _row(result: OutcomeResult, name: str, mean: float | None, half: float | None, mounts: int, said: str) -> Row:
    return {
        "outcome": result.outcome.label,
        "unit": result.outcome.unit,
        "candidate": name,
        "mounts": mounts,
        "mean": mean,
        "half-width": half,
        "remark": said,
    }


def title(v: StudyVerdict) -> str:
    """What stands over the table: the question and the short answer."""
    return f"{v.question} {verdict_line(v).sentence}"


def row_cells(row: Row) -> list[str]:
    """A row as it is printed."""
    digits = 2 if row["half-width"] is not None and row["half-width"] < 0.5 else 1
    figures = ["–" if row[k] is None else number(row[k], digits) for k in ("mean", "half-width")]
    return [row["outcome"], row["candidate"], str(row["mounts"]), *figures, row["unit"], row["remark"]]


_HEAD = ("outcome", "candidate", "mounts", "mean", "± half-width", "unit", "")


def as_markdown(v: StudyVerdict, rows: Sequence[Row]) -> str:
    """The table in Markdown; names are text, whatever is in them."""
    lines = [_escaped(title(v)), "", _line(_HEAD), _line(["---", "---", "--:", "--:", "--:", "---", "---"])]
    return "\n".join([*lines, *(_line([_escaped(c) for c in row_cells(r)]) for r in rows)]) + "\n"


def _line(cells: Sequence[str]) -> str:
    return f"| {' | '.join(cells)} |"


def _escaped(said: str) -> str:
    """Text that Markdown leaves as it is."""
    said = " ".join(said.split())
    return "".join(f"\\{c}" if c in "\\`*_[]<>|#~$!" else c for c in said)


def as_html(v: StudyVerdict, rows: Sequence[Row]) -> str:
    """The table in HTML; names are text, whatever is in them."""
    head = "".join(f'<th scope="col">{html.escape(h)}</th>' for h in _HEAD)
    body = "\n".join(f"<tr>{''.join(f'<td>{html.escape(c)}</td>' for c in row_cells(r))}</tr>" for r in rows)
    caption = html.escape(title(v))
    return (
        f"<table>\n<caption>{caption}</caption>\n<thead><tr>{head}</tr></thead>\n<tbody>\n{body}\n</tbody>\n</table>\n"
    )
