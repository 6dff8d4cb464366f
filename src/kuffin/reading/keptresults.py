"""A run's result, kept by what it was made from."""

from __future__ import annotations

import hashlib
import json
from contextlib import suppress
from dataclasses import asdict

from sqlalchemy import String, select, type_coerce
from sqlalchemy.dialects.sqlite import insert

from kuffin.core.base.errors import KuffinError, NotebookError
from kuffin.core.base.language import in_english
from kuffin.core.base.saying import say
from kuffin.core.bench.leading import WAITING
from kuffin.core.bench.protocol import to_plain
from kuffin.core.bench.undertest import ALL_TRACES
from kuffin.core.findings import DOUBT, CheckLimits, Finding
from kuffin.notebook.entities import Reading, Run, Study
from kuffin.notebook.samples import RunData, read_run, wall_power
from kuffin.notebook.store import Notebook
from kuffin.reading.evaluating import evaluate, own_trace, school_of
from kuffin.reading.framerates import with_frame_rates
from kuffin.reading.judgingrules import JudgingRules, clock_window, ways_of
from kuffin.reading.runresult import RunResult, from_json, to_json
from kuffin.reading.signals import Signals, signals
from kuffin.reading.typedrun import is_typed, typed_result

METHOD_VERSION = 22


def made_from(study: Study, run: Run, ways: JudgingRules, limits: CheckLimits) -> str:
    """A digest of all that a run's result depends on."""
    told = {
        "v": METHOD_VERSION,
        "run": run.id,
        "rows": run.rows,
        "roles": [(c.name, c.role, c.device, c.resolution) for c in run.channels],
        "cooled": asdict(ways.cooled),
        "joined": [
            (r.id, r.lag_s, [(c.name, c.role, c.device) for c in r.channels]) for r in run.mount.joined_to(run.id)
        ],
        "window": [(w.begin_s, w.end_s) for w in run.windows],
        "steps": to_plain(ways.steps) if ways.condition is not None else None,
        "condition": ways.condition,
        "idle": ways.idle,
        "tested": run.condition,
        "traces": [own_trace(study), school_of(study).part],
        "wall": None if ways.bench is None or (wall := wall_power(ways.bench.settings)) is None else asdict(wall),
        "clock": None if (clock := clock_window(ways.steps)) is None else asdict(clock),
        "tolerance": study.tolerance_k,
        "test": study.under_test,
        "limits": asdict(limits),
    }
    return hashlib.sha256(json.dumps(told).encode()).hexdigest()[:32]


@in_english()  # it is kept in the notebook
def run_result(notebook: Notebook, study: Study, run: Run, ways: JudgingRules | None = None) -> RunResult:
    """A run's result: the kept one where nothing it was made from has changed, else worked out anew and kept."""
    ways = ways or ways_of(notebook, study)
    limits = ways.of(study, run.mount.candidate)
    key = made_from(study, run, ways, limits)
    with notebook.session() as session:
        asked = select(type_coerce(Reading.values, String)).where(Reading.run_id == run.id, Reading.made_from == key)
        kept = session.scalars(asked).first()
        if kept is not None and (known := _readable(kept)) is not None:
            return known
    stages = stages_of(run) if ways.condition is not None else []
    try:
        data = read_run(notebook, run.id)
        if is_typed(run):
            found = typed_result(data, run, ways)
        else:
            found = evaluate(data, study, ways, hand_window(run), limits, stages, run.condition)
            found = with_frame_rates(notebook, run, found)
    except Exception as error:  # whatever it is, one bad run never takes the others' verdict away
        return unreadable(error)
    with suppress(NotebookError), notebook.writing() as session:  # without room it is worked out again another time
        # two judgements may come to the same result at once; either serves
        row = insert(Reading).values(run_id=run.id, made_from=key, values=to_json(found))
        session.execute(
            row.on_conflict_do_update(index_elements=["run_id", "made_from"], set_={"values": row.excluded["values"]})
        )
    return found


def _readable(kept: str) -> RunResult | None:
    """A kept result; None where it cannot be read, so that it is worked out again."""
    try:
        return from_json(json.loads(kept))
    except (ValueError, TypeError, RecursionError):  # a PlainError is a ValueError
        return None


def unreadable(error: Exception) -> RunResult:
    """The result of a run that could not be worked out; it is not kept, so that it is tried again."""
    own = isinstance(error, KuffinError)
    said = str(error) if own else f"it cannot be worked out ({type(error).__name__}: {error})"
    problems = dict.fromkeys((*ALL_TRACES, *(f"{t}_whole" for t in ALL_TRACES)), said)
    return RunResult(
        traces={},
        problems=problems,
        means={},
        window_s=None,
        names={},
        findings=(Finding(kind="unreadable", seen=say("cannot be judged: {problem}", problem=said), weight=DOUBT),),
    )


def stages_of(run: Run) -> list[tuple[float, int]]:
    """When each step of the protocol began in a recorded run, and its number; waiting for a load is no part of a step."""
    return [(m.at_s, int(m.value)) for m in run.marks if m.kind == "stage" and m.value and m.unit != WAITING]


def run_signals(
    notebook: Notebook, study: Study, run: Run, result: RunResult | None = None, ways: JudgingRules | None = None
) -> Signals:
    """The heat path's signals of a run; of the load step alone that a result is about, where that is given."""
    ways = ways or ways_of(notebook, study)
    data = read_run(notebook, run.id).about(ways.cooled)
    if result is not None:
        data = step_of(data, result)
    return signals(data, ways.of(study, run.mount.candidate).mix)


def hand_window(run: Run) -> tuple[float, float] | None:
    """The window a person set, None for detection."""
    return (run.windows[-1].begin_s, run.windows[-1].end_s) if run.windows else None


def step_of(data: RunData, result: RunResult) -> RunData:
    """The samples of the load step that a result is about; all where the run has only one."""
    return data if result.stretch_s is None else data.between(*result.stretch_s)
