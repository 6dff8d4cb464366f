"""Edits of a plan: what is asked and promised, claims, configurations, the order of mounts, protocols."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from kuffin.core.base.errors import CompareError, NotebookError
from kuffin.core.base.numbers import outside
from kuffin.core.base.saying import say
from kuffin.core.bench.configuration import SETTINGS
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step, check, to_plain
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare.claims import WAYS, Claimed, read_claim
from kuffin.core.plan.order import Slot
from kuffin.notebook.entities import Candidate, Claim, Mount, Part, Protocol, Sample, Study, in_bench_order, now_text
from kuffin.notebook.store import Notebook


def set_plan(notebook: Notebook, study_id: int, label: str, **values: Any) -> None:
    """Change entries of a study's plan (goal, hours, deadline, seed …); None takes one away."""
    with notebook.edit(label) as session:
        study = session.get_one(Study, study_id)
        study.plan = {k: v for k, v in {**study.plan, **values}.items() if v is not None}


def set_same(notebook: Notebook, study_id: int, key: str, same: bool) -> None:
    """Promise that a setting stays the same for all candidates, or take that back."""
    setting = say(SETTINGS[key].spoken)
    promised = say("promise to keep the {setting} the same", setting=setting)
    with notebook.edit(promised if same else say("no longer promise the same {setting}", setting=setting)) as s:
        study = s.get_one(Study, study_id)
        study.same = [k for k in study.same if k != key] + ([key] if same else [])


def answer_difference(notebook: Notebook, study_id: int, key: str, label: str, reason: str | None) -> None:
    """Write down why something that differs between candidates stays so, or (None) take the reason back."""
    if reason is not None and not reason.strip():
        raise NotebookError("what differs stays only with a reason; say in a few words why")
    done = say("give a reason: {label}", label=label) if reason else say("take back the reason: {label}", label=label)
    with notebook.edit(done) as session:
        study = session.get_one(Study, study_id)
        kept = {k: v for k, v in study.fair_because.items() if k != key}
        study.fair_because = {**kept, key: reason.strip()} if reason else kept


def configure(notebook: Notebook, candidate_id: int, key: str, value: object) -> None:
    """Set one thing in a candidate's configuration; None leaves it to the bench again.

    Raises
    ------
    NotebookError
        Where the number is out of range.
    """
    setting = SETTINGS[key]
    if setting.kind == "number" and isinstance(value, (int, float)) and not setting.low <= value <= setting.high:
        said = outside(value, setting.low, setting.high, setting.unit)
        raise NotebookError("{label}: {said}", label=say(setting.spoken), said=said)
    with notebook.edit(say("set the {setting}", setting=say(setting.spoken))) as session:
        candidate = session.get_one(Candidate, candidate_id)
        kept = {k: v for k, v in candidate.configuration.items() if k != key}
        candidate.configuration = kept if value in (None, "") else {**kept, key: value}


def configure_alike(notebook: Notebook, study_id: int, key: str, value: object) -> None:
    """Set one thing alike for all candidates: the way to mend a difference."""
    with notebook.edit(say("the same {setting} for all", setting=say(SETTINGS[key].spoken))) as session:
        for candidate in session.scalars(select(Candidate).where(Candidate.study_id == study_id)):
            kept = {k: v for k, v in candidate.configuration.items() if k != key}
            candidate.configuration = kept if value in (None, "") else {**kept, key: value}


def choose_part(notebook: Notebook, candidate_id: int, part_id: int) -> None:
    """Take another part from the shelf for a candidate; its name becomes the candidate's.

    Where the part is a candidate already, this one is the same part in another way, and keeps a name of its own.

    Raises
    ------
    NotebookError
        Where there is a run already: what was measured stays what it was.
    """
    with notebook.edit("take another part for a candidate") as session:
        candidate = session.scalars(
            select(Candidate)
            .where(Candidate.id == candidate_id)
            .options(selectinload(Candidate.mounts).selectinload(Mount.runs))
        ).one()
        if any(m.live_runs for m in candidate.live_mounts):
            raise NotebookError(
                "{name} has runs already, so it stays the part it is; add another candidate", name=candidate.name
            )
        part = session.get_one(Part, part_id)
        taken = {c.name.casefold() for c in _candidates(session, candidate.study_id) if c.id != candidate.id}
        candidate.part_id, candidate.name = part.id, _free_name(part.name, taken)
        session.flush()
        _share_samples(session, candidate.id)


def _free_name(name: str, taken: Collection[str]) -> str:
    """A name, or where it is taken one for the same part in another way."""
    ways = (name, f"{name} (another way)", *(f"{name} (another way {n})" for n in range(2, 1000)))
    return next(n for n in ways if n.casefold() not in taken)


def another_way(notebook: Notebook, candidate_id: int, name: str = "") -> int:
    """Take a candidate's part into the study once more, to be used in another way; returns the new candidate's id.

    Its configuration begins as the other's; its samples are the part's.

    Raises
    ------
    NotebookError
        Where the name is taken.
    """
    with notebook.edit("compare a part with itself") as session:
        candidate = session.get_one(Candidate, candidate_id)
        there = _candidates(session, candidate.study_id)
        taken = {c.name.casefold() for c in there}
        name = " ".join(name.split()) or _free_name(session.get_one(Part, candidate.part_id).name, taken)
        if name.casefold() in taken:
            raise NotebookError("“{name}” is a candidate already; give the other way a name of its own", name=name)
        made = Candidate(
            study_id=candidate.study_id,
            part_id=candidate.part_id,
            name=name,
            position=max(c.position for c in there) + 1,
            configuration=dict(candidate.configuration),
        )
        session.add(made)
        session.flush()
        return made.id


def add_claim(
    notebook: Notebook,
    study_id: int,
    candidate_id: int,
    against_id: int | None,
    amount: Claimed,
    said_by: str = "",
    said_where: str = "",
    outcome: str = "",
) -> int:
    """Take a claim into a study: A is by so much better than B, or (B None) has such a value. Returns its id.

    Raises
    ------
    NotebookError
        Where A and B are the same, or nothing is claimed.
    """
    with notebook.edit("add a claim") as session:
        claim = Claim(
            study_id=study_id,
            candidate_id=candidate_id,
            against_id=against_id,
            said_by=said_by.strip(),
            said_where=said_where.strip(),
            outcome=outcome,
            **_columns_of(amount),
        )
        _sound(claim)
        session.add(claim)
        session.flush()
        return claim.id


def change_claim(notebook: Notebook, claim_id: int, **values: object) -> None:
    """Change entries of a claim, by the names of its columns; of its amount all that `amount_of` gives.

    Raises
    ------
    NotebookError
        Where it says nothing any more.
    """
    with notebook.edit("change a claim") as session:
        claim = session.get_one(Claim, claim_id)
        for key, value in values.items():
            setattr(claim, key, value)
        _sound(claim)


def amount_of(written: str, unit: str) -> dict[str, object]:
    """The columns of a claim's amount, as a person wrote it.

    Raises
    ------
    NotebookError
        What is no amount in that unit.
    """
    try:
        return _columns_of(read_claim(written, unit))
    except CompareError as error:
        raise NotebookError(str(error)) from None


def _columns_of(amount: Claimed) -> dict[str, Any]:
    return {"way": amount.way, "amount": float(amount.low), "high": amount.high, "percent": amount.percent}


def _sound(claim: Claim) -> None:
    """
    Raises
    ------
    NotebookError
        Where a claim says nothing.
    """
    if claim.candidate_id == claim.against_id:
        raise NotebookError("a claim compares two candidates; choose another one to compare with")
    if not claim.amount > 0:
        raise NotebookError("a claim says by how much; give it above 0")
    if claim.way not in WAYS:
        raise NotebookError("“{way}” is no way of claiming; it is one of {ways}", way=claim.way, ways=", ".join(WAYS))


def _lay(session: Session, study_id: int, slots: Sequence[Slot]) -> None:
    """Make the planned mounts those of an order; what was begun or has a run stays, and comes first."""
    candidates = _candidates(session, study_id)
    ids = {c.name: c.id for c in candidates}
    mounts = in_bench_order([m for c in candidates for m in c.live_mounts])
    done = [m for m in mounts if m.live_runs or m.open_run or m.begun_at]
    free = [m for m in mounts if m not in done]
    left = {
        (name, round_): [m for m in done if m.candidate_id == ids[name] and m.round == round_]
        for name, round_ in {(s.candidate, s.round) for s in slots}
    }
    position = 0
    for mount in done:
        mount.position, position = position, position + 1
    for slot in slots:
        if left[slot.candidate, slot.round]:
            left[slot.candidate, slot.round].pop(0)
            continue
        mine = [m for m in free if m.candidate_id == ids[slot.candidate]]
        if mine:
            mount = mine[0]
            free.remove(mount)
        else:
            mount = Mount(candidate_id=ids[slot.candidate])
            session.add(mount)
        mount.round, mount.control, mount.position = slot.round, slot.control, position
        position += 1
    for mount in free:
        mount.binned_at = now_text()
    study = session.get_one(Study, study_id)
    study.planned_rounds = max((s.round for s in slots), default=study.planned_rounds)
    session.flush()
    session.expire_all()
    for candidate in candidates:
        _share_samples(session, candidate.id)


def draw_order(notebook: Notebook, study_id: int, slots: Sequence[Slot], seed: int) -> None:
    """Make the planned mounts those of a drawn order and remember its seed; from now on rounds count as blocks.

    Parameters
    ----------
    slots : sequence of Slot
        The whole order, with what is done already. What was begun or has a run stays, and comes first.
    """
    with notebook.edit("draw the order") as session:
        _lay(session, study_id, slots)
        study = session.get_one(Study, study_id)
        study.plan = {**study.plan, "seed": seed}
        study.blocks = True


def plan_round(notebook: Notebook, study_id: int, slots: Sequence[Slot], label: str) -> None:
    """Lay the planned mounts anew: what is done, and then the round that is proposed."""
    with notebook.edit(label) as session:
        _lay(session, study_id, slots)


def move_mount(notebook: Notebook, study_id: int, mount_id: int, target: int, round_number: int) -> None:
    """Move a mount to another place in the order, and into the round of where it lands."""
    with notebook.edit("move a mount in the order") as session:
        mounts = in_bench_order([m for c in _candidates(session, study_id) for m in c.live_mounts])
        mine = next(m for m in mounts if m.id == mount_id)
        mounts.remove(mine)
        mounts.insert(target, mine)
        mine.round = round_number
        for position, mount in enumerate(mounts):
            mount.position = position


def _candidates(session: Session, study_id: int) -> list[Candidate]:
    return list(
        session.scalars(
            select(Candidate)
            .where(Candidate.study_id == study_id, Candidate.binned_at.is_(None))
            .order_by(Candidate.position)
            .options(selectinload(Candidate.mounts).selectinload(Mount.runs))
        )
    )


def _share_samples(session: Session, candidate_id: int) -> None:
    """Give the planned mounts of a candidate its samples in turn, continuing from what was done."""
    candidate = session.get_one(Candidate, candidate_id)
    samples = list(
        session.scalars(
            select(Sample.id).where(Sample.part_id == candidate.part_id, Sample.binned_at.is_(None)).order_by(Sample.id)
        )
    )
    mounts = list(
        session.scalars(
            select(Mount)
            .where(Mount.candidate_id == candidate_id, Mount.binned_at.is_(None))
            .order_by(Mount.position, Mount.id)
            .options(selectinload(Mount.runs))
        )
    )
    used = {s: 0 for s in samples}
    for mount in mounts:
        if mount.live_runs or mount.open_run or mount.begun_at:
            if mount.sample_id in used:
                used[mount.sample_id] += 1
            continue
        mount.sample_id = min(samples, key=lambda s: (used[s], s)) if samples else None
        if mount.sample_id is not None:
            used[mount.sample_id] += 1


def share_samples(notebook: Notebook, study_id: int) -> None:
    """Give the planned mounts of all candidates their samples in turn (after a sample was added)."""
    with notebook.edit("share the samples out", tell=False) as session:
        for candidate in _candidates(session, study_id):
            _share_samples(session, candidate.id)


def set_sample(notebook: Notebook, mount_id: int, sample_id: int) -> None:
    """Say which sample a mount takes.

    Raises
    ------
    NotebookError
        Where the sample is not one of the candidate's part.
    """
    with notebook.edit("take another sample") as session:
        mount = session.get_one(Mount, mount_id)
        candidate = session.get_one(Candidate, mount.candidate_id)
        sample = session.get(Sample, sample_id)
        if sample is None or sample.part_id != candidate.part_id or sample.binned_at is not None:
            raise NotebookError("{name} has no such sample on the shelf; add it there first", name=candidate.name)
        mount.sample_id = sample_id


def keep_protocol(
    notebook: Notebook, name: str, steps: Sequence[Step], limits: Limits, protocol_id: int | None = None
) -> int:
    """Keep a protocol under a name, new or changed; returns its id.

    Raises
    ------
    NotebookError, BenchError
    """
    if not name.strip():
        raise NotebookError("a protocol needs a name, such as “the usual three steps”")
    check(steps)
    with notebook.edit(say("keep the protocol {name}", name=name.strip())) as session:
        protocol = session.get(Protocol, protocol_id) if protocol_id is not None else None
        if protocol is None:
            protocol = Protocol(name=name.strip())
            session.add(protocol)
        protocol.name, protocol.steps = name.strip(), to_plain(steps)
        protocol.limits = limits.to_plain()
        session.flush()
        return protocol.id


def protocols(notebook: Notebook) -> list[Protocol]:
    """The protocols that are kept, by name."""
    with notebook.session() as session:
        return list(session.scalars(select(Protocol).where(Protocol.binned_at.is_(None)).order_by(Protocol.name)))


def free_settings(under_test: str) -> list[str]:
    """The settings that may be promised or configured for what is under test: all but that itself."""
    return [k for k in SETTINGS if k not in kind_under_test(under_test).brings]
