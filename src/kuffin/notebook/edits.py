"""The edits a person makes, each one step for Undo."""

from __future__ import annotations

import datetime as dt
from collections.abc import Mapping as MappingType
from collections.abc import Sequence
from dataclasses import KW_ONLY, dataclass, field, replace
from typing import NamedTuple

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.saying import say
from kuffin.core.bench.devices import cooled_by, device_in_words
from kuffin.core.bench.testsettings import Value
from kuffin.core.bench.undertest import kind_under_test
from kuffin.logs.table import LogTable
from kuffin.notebook.channels import Remembered, keep_channels, remember
from kuffin.notebook.entities import Binnable, Candidate, Exclusion, Mount, Part, Run, Sample, Study, Window, now_text
from kuffin.notebook.samples import write_chunks
from kuffin.notebook.store import Notebook
from kuffin.notebook.twins import twin_of

RECHECK_FROM_H = 12.0  # so long after a mount's first run another one is a recheck, where the study plans any


def add_study(
    notebook: Notebook,
    question: str,
    under_test: str,
    candidates: Sequence[str],
    margin_k: float = 1.0,
    *,
    name: str | None = None,
    rounds: int = 3,
) -> int:
    """Start a study; returns its id.

    Raises
    ------
    NotebookError
        Without a question, or with fewer than one candidate, or with two of one name.
    """
    question = question.strip()
    names = [c.strip() for c in candidates if c.strip()]
    if not question:
        raise NotebookError("a study begins with a question, such as “Which slim radiator keeps booth seven cool?”")
    if len({n.lower() for n in names}) != len(names):
        raise NotebookError("two candidates have the same name; give each its own")
    with notebook.edit("start a study") as session:
        study = Study(
            name=name or question, question=question, under_test=under_test, margin_k=margin_k, planned_rounds=rounds
        )
        for position, candidate in enumerate(names):
            part = _part_called(session, under_test, candidate, question)
            study.candidates.append(Candidate(name=candidate, position=position, part=part))
        session.add(study)
        session.flush()
        return study.id


def change_study(notebook: Notebook, study_id: int, label: str, **values: object) -> None:
    """Change a study's question, margin, school and the like."""
    with notebook.edit(label) as session:
        study = session.get_one(Study, study_id)
        for key, value in values.items():
            setattr(study, key, value)


def change_candidates(notebook: Notebook, study_id: int, names: Sequence[tuple[int | None, str]]) -> None:
    """Rename, add and take away candidates; what is taken away goes to the bin with its mounts.

    Parameters
    ----------
    names : sequence of (candidate id or None, name)
        In the order in which they shall stand; None for a new one.

    Raises
    ------
    NotebookError
        Where two have the same name, or one has none.
    """
    cleaned = [(i, name.strip()) for i, name in names]
    if any(not name for _, name in cleaned):
        raise NotebookError("a candidate needs a name")
    if len({name.lower() for _, name in cleaned}) != len(cleaned):
        raise NotebookError("two candidates have the same name; give each its own")
    with notebook.edit("change the candidates") as session:
        study = session.get_one(Study, study_id)
        kept = {i for i, _ in cleaned if i is not None}
        for candidate in session.scalars(
            select(Candidate).where(Candidate.study_id == study_id, Candidate.binned_at.is_(None))
        ):
            if candidate.id not in kept:
                candidate.binned_at = now_text()
        for position, (i, name) in enumerate(cleaned):
            if i is None:
                part = _part_called(session, study.under_test, name, study.question)
                session.add(Candidate(study_id=study_id, name=name, position=position, part=part))
            else:
                found = session.get_one(Candidate, i)
                found.name, found.position = name, position


def find_or_add_part(session: Session, kind: str, name: str) -> Part:
    """The part of this kind and name on the shelf, put there with one sample where it is not there yet."""
    for part in session.scalars(select(Part).where(Part.kind == kind, Part.binned_at.is_(None))):
        if part.name.lower() == name.lower():
            return part
    part = Part(kind=kind, name=name, samples=[Sample(label="1")])
    session.add(part)
    session.flush()
    return part


def _part_called(session: Session, under_test: str, name: str, question: str) -> Part:
    """The part of this name that can be under test; else a new one, of the kind that the question speaks of."""
    kinds = kind_under_test(under_test).part_kinds
    for part in session.scalars(select(Part).where(Part.kind.in_(kinds), Part.binned_at.is_(None)).order_by(Part.id)):
        if part.name.lower() == name.lower():
            return part
    device = device_in_words(question)
    kind = next((k for k in kinds if device and cooled_by(k) == device), kinds[0])
    return find_or_add_part(session, kind, name)


def find_or_add_candidate(session: Session, study_id: int, name: str) -> Candidate:
    """The candidate of this name, made where it is not there yet."""
    found = session.scalars(
        select(Candidate).where(Candidate.study_id == study_id, Candidate.binned_at.is_(None))
    ).all()
    for candidate in found:
        if candidate.name.lower() == name.strip().lower():
            return candidate
    study = session.get_one(Study, study_id)
    part = _part_called(session, study.under_test, name.strip(), study.question)
    candidate = Candidate(study_id=study_id, name=name.strip(), position=len(found), part=part)
    session.add(candidate)
    session.flush()
    return candidate


@dataclass(frozen=True)
class NewRun:
    """A log that is to be kept as a run.

    Attributes
    ----------
    candidate : str
        Whose mount it is; made where there is none of this name.
    roles, devices : mapping of channel name to role, and to device, optional
        What the person said; else the guesses.
    round : int, optional
        Default: the candidate's first round without a mount.
    mount_id : int, optional
        A mount that gets the run, instead of a new one.
    condition : str
        What it was tested under, where it is one of several tests of its mount.
    settings : mapping
        What it was run with, as far as it is told (`core.bench.testsettings`).
    together : bool
        Whether logs of the same candidate and round that are added with it are tests of one mount.
    shape, units : str and mapping, optional
        The log's shape as it was read, and the units that the person changed; remembered with the roles.
    closed : bool
        False for a run that is still being recorded: it does not count yet.
    """

    candidate: str
    table: LogTable
    _: KW_ONLY
    roles: MappingType[str, str | None] | None = None
    round: int | None = None
    mount_id: int | None = None
    shape: str | None = None
    units: MappingType[str, str | None] | None = None
    closed: bool = True
    devices: MappingType[str, str | None] | None = None
    condition: str = ""
    settings: MappingType[str, Value] = field(default_factory=dict)
    together: bool = False


def add_logs(
    notebook: Notebook, study_id: int, runs: Sequence[NewRun], *, tell: bool = True, label: str | None = None
) -> list[int]:
    """Keep logs as runs, all in one edit; returns the runs' ids.

    Parameters
    ----------
    tell : bool
        Whether listeners are told; not from a thread of its own.
    label : str, optional
        How Undo names it.
    """
    for run in runs:
        if not run.candidate.strip() and run.mount_id is None:
            raise NotebookError("{file}: say which candidate this log belongs to", file=run.table.file)
    label = label or (
        say("add {file}", file=runs[0].table.file) if len(runs) == 1 else say("add {n} logs", n=len(runs))
    )
    with notebook.edit(label, tell=tell) as session:
        first = not session.scalar(
            select(Run.id)
            .join(Mount)
            .join(Candidate)
            .where(Candidate.study_id == study_id, Run.binned_at.is_(None))
            .limit(1)
        )
        made: dict[tuple[str, int], int] = {}
        kept = []
        for run in runs:
            key = (run.candidate.strip().lower(), run.round or 0)
            if run.together and run.mount_id is None and key in made:
                run = replace(run, mount_id=made[key])
            run_id = _keep_run(session, study_id, run)
            if run.together and run.round is not None:
                made[key] = session.get_one(Run, run_id).mount_id
            kept.append(run_id)
        if first:
            _plan_follows(session, study_id)
        return kept


def _plan_follows(session: Session, study_id: int) -> None:
    """What came all at once was not judged on the way: a plan that nobody drew has as many rounds as that."""
    study = session.get_one(Study, study_id)
    if "seed" in study.plan or "looks" in study.plan:
        return
    session.flush()
    rounds = session.scalars(
        select(Mount.round)
        .join(Candidate)
        .join(Run)
        .where(Candidate.study_id == study_id, Mount.binned_at.is_(None), Run.binned_at.is_(None))
    )
    study.planned_rounds = max([study.planned_rounds, *rounds])


def add_log(
    notebook: Notebook,
    study_id: int,
    candidate: str,
    table: LogTable,
    roles: MappingType[str, str | None] | None = None,
    round_number: int | None = None,
) -> int:
    """Keep one log as a run of a new mount; returns the run's id."""
    return add_logs(notebook, study_id, [NewRun(candidate=candidate, table=table, roles=roles, round=round_number)])[0]


def _keep_run(session: Session, study_id: int, new: NewRun) -> int:
    table = new.table
    typed = any(c.resolution is not None for c in table.channels)  # few figures may well be the same twice
    twin = twin_of(session, study_id, table) if new.closed and not typed else None
    if twin is not None:
        raise NotebookError(
            "{file} is in this study already, sample by sample, as {twin}: one recording is one mount. Choose another log, or put that one into the bin first",
            file=table.file,
            twin=twin,
        )
    mount_id = new.mount_id if new.mount_id is not None else _mount_for(session, study_id, new)
    run = Run(
        mount_id=mount_id,
        source=table.file,
        started_at=table.start,
        rows=table.rows,
        duration_s=table.duration_s,
        warnings=list(table.warnings),
        closed=new.closed,
        condition=" ".join(new.condition.split()),
        settings=dict(new.settings),
        recheck=_is_recheck(session.get_one(Mount, mount_id), session.get_one(Study, study_id), table.start),
    )
    session.add(run)
    session.flush()
    chosen, whose = dict(new.roles or {}), dict(new.devices or {})
    keep_channels(session, run.id, table, chosen, whose)
    write_chunks(session, run, table.times, [c.values for c in table.channels])
    if new.roles is not None:
        remember(session, new.shape or table.shape_key, Remembered(chosen, dict(new.units or {}), whose))
    return run.id


def _is_recheck(mount: Mount, study: Study, started: str | None) -> bool:
    """Whether a run is one of the later ones that the study plans: half a day or more after its mount's first."""
    if not study.plan.get("rechecks") or not started or not mount.first_read:
        return False
    later = dt.datetime.fromisoformat(started) - dt.datetime.fromisoformat(mount.first_read)
    return later >= dt.timedelta(hours=RECHECK_FROM_H)


def call_recheck(notebook: Notebook, run_id: int, on: bool) -> None:
    """Say that a run is a recheck of its mount, or one of its first."""
    with notebook.edit("say that a run is a recheck" if on else "say that a run is no recheck") as session:
        session.get_one(Run, run_id).recheck = on


def _mount_for(session: Session, study_id: int, new: NewRun) -> int:
    """The planned mount that this log belongs to, or a new one."""
    owner = find_or_add_candidate(session, study_id, new.candidate)
    there = session.scalars(
        select(Mount)
        .where(Mount.candidate_id == owner.id, Mount.binned_at.is_(None))
        .options(selectinload(Mount.runs))
        .order_by(Mount.position, Mount.id)
    ).all()
    for mount in there:
        if not mount.live_runs and mount.open_run is None and new.round in {None, mount.round}:
            return mount.id
    taken = {m.round for m in there}
    number = new.round if new.round is not None else next(r for r in range(1, len(taken) + 2) if r not in taken)
    sample = session.scalars(
        select(Sample.id).where(Sample.part_id == owner.part_id, Sample.binned_at.is_(None))
    ).first()
    mount = Mount(candidate_id=owner.id, sample_id=sample, round=number, position=number * 100 + owner.position)
    session.add(mount)
    session.flush()
    return mount.id


def leave_out(notebook: Notebook, mount_id: int, label: str, reason: str) -> None:
    """Leave a mount out of the comparison; a reason is needed.

    Raises
    ------
    NotebookError
    """
    reason = reason.strip()
    if not reason:
        raise NotebookError("a mount is left out only with a reason; say in a few words what spoilt it")
    with notebook.edit(say("leave out {label}", label=label)) as session:
        session.add(Exclusion(mount_id=mount_id, reason=reason))


def take_back_in(notebook: Notebook, mount_id: int, label: str) -> None:
    """Let a mount count again."""
    with notebook.edit(say("take {label} back in", label=label)) as session:
        for exclusion in session.scalars(select(Exclusion).where(Exclusion.mount_id == mount_id)):
            session.delete(exclusion)


def set_window(notebook: Notebook, run_id: int, span: tuple[float, float] | None) -> None:
    """Set a run's window by hand, or (None) leave it to detection again."""
    with notebook.edit("move the window" if span else "let Kuffin find the window") as session:
        for window in session.scalars(select(Window).where(Window.run_id == run_id)):
            session.delete(window)
        if span is not None:
            session.add(Window(run_id=run_id, begin_s=float(span[0]), end_s=float(span[1])))


class ToldCondition(NamedTuple):
    """What a run was tested under: the condition's name, and what it was run with as far as it is told."""

    name: str
    settings: MappingType[str, Value] = {}


def one_mount(notebook: Notebook, mount_id: int, tests: MappingType[int, ToldCondition]) -> None:
    """Say which runs are tests of one mount, and what each was tested under.

    They go to it, and mounts that are left without a run go to the bin.

    Parameters
    ----------
    tests : mapping of run id to ToldCondition
    """
    with notebook.edit("say what a mount was tested under") as session:
        left = set()
        for run_id, told in tests.items():
            run = session.get_one(Run, run_id)
            run.condition, run.settings = " ".join(told.name.split()), dict(told.settings)
            if run.mount_id != mount_id:
                left.add(run.mount_id)
                for joined in session.scalars(select(Run).where(Run.joins_id == run_id)):
                    joined.mount_id = mount_id
                run.mount_id = mount_id
        session.flush()
        session.expire_all()
        for other in left:
            emptied = session.get_one(Mount, other)
            if not emptied.live_runs and emptied.open_run is None:
                emptied.binned_at = now_text()


def to_bin(notebook: Notebook, kind: type[Binnable], item_id: int, label: str) -> None:
    """Put something into the bin."""
    with notebook.edit(say("put {label} into the bin", label=label)) as session:
        session.get_one(kind, item_id).binned_at = now_text()
