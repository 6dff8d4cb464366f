"""What cannot be said: pairs that are open, whom and what it is not about, what was not looked at."""

from __future__ import annotations

from collections.abc import Iterator

from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import joined, to_settle
from kuffin.publish.page.blocks import Block, Items
from kuffin.publish.page.material import Material
from kuffin.verdict.looks import outlook


def cannot_be_said(m: Material) -> Iterator[Block]:
    """What the evidence does not carry, in sentences."""
    v = m.verdict
    found, lines = v.main.comparison, []
    for p in found.pairs if found is not None else ():
        if not p.settled and found is not None:
            lines.append(f"Which of {p.a} and {p.b} is {v.outcome.wording.better}: {to_settle(p, found)}.")
    if found is None:
        lines.append(f"How the candidates differ: {v.main.why_not or 'there are too few mounts'}.")
    else:
        lines.append(f"Anything beyond what it is about: {v.main.scope_words.removeprefix('it is about ')}.")
    tested = [c.label for c in v.conditions]
    lines.append(
        f"How it would be under other conditions than {joined(tested)}."
        if tested
        else f"How it would be at another power, flow, fan speed or load than was measured ({v.reference_power_w:g} W): what is carried there is worked out, not tested."
    )
    if not v.claims:
        lines.append("Whether what makers say is true: no claim was tested.")
    if v.baseline is None:
        lines.append("Whether the bench stayed the same over the study: no baseline was mounted again and again.")
    lines += [f"{begun(f.seen).rstrip('.')}." for f in v.of_study]
    waiting = v.open_findings()
    lines += [f"{o.label}: {o.finding.seen.rstrip('.')} (open: neither accepted nor left out)." for o in waiting[:12]]
    if len(waiting) > 12:
        lines.append(f"{len(waiting) - 12} further findings are open.")
    ahead = outlook(v)
    if ahead is not None and not ahead.enough:
        lines.append(ahead.sentence)
    yield Items(lines)
