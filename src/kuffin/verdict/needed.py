"""What has to be at hand for the mounts that are still to be made."""

from __future__ import annotations

from collections.abc import Sequence

from kuffin.core.base.language import tr
from kuffin.core.bench.undertest import kind_under_test
from kuffin.notebook.entities import Bench, Part, Study
from kuffin.reading.configurations import built_in
from kuffin.verdict.planbasis import is_done, order_of

# slots of which a mount takes some: those at the block only where that is taken off
_AT_THE_BLOCK, _IN_THE_LOOP = ("paste", "pads"), ("coolant",)


def needed_for(study: Study, bench: Bench | None, shelf: Sequence[Part]) -> list[str]:
    """Candidates with their samples, and what is used up, each a line; in the order of the plan."""
    left = [m for m in order_of(study) if not is_done(m)]
    lines = [
        m.candidate.name + (tr(", sample {label}", label=m.sample.label) if m.sample is not None else "") for m in left
    ]
    kind = kind_under_test(study.under_test)
    slots = (*(_AT_THE_BLOCK if kind.block_side else ()), *_IN_THE_LOOP)
    for mount in left:
        parts = built_in(study, mount, bench, shelf).parts
        lines += [f"{parts[slot]} ({slot})" for slot in slots if parts.get(slot)]
    return [
        tr("{one}, {n} times", one=one, n=lines.count(one)) if lines.count(one) > 1 else one
        for one in dict.fromkeys(lines)
    ]
