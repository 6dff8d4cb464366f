"""The early check of a mount in its study: which others it is held against, and what is said."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import KW_ONLY, dataclass, field, replace

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare.pairwords import count, number
from kuffin.core.findings.earlycheck import FROM_S, TO_S, EarlyCheck, early_check, early_resistance, pooled_scatter
from kuffin.core.findings.firstmount import between, usual_between
from kuffin.core.findings.siblings import FIGURES
from kuffin.core.findings.thresholds import CheckLimits
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.store import Notebook
from kuffin.reading.judgingrules import limits_of, ways_of
from kuffin.reading.keptresults import run_result, run_signals
from kuffin.reading.signals import Signals
from kuffin.said.shownworking import Working
from kuffin.verdict.elsewhere import mounts_elsewhere


@dataclass(frozen=True)
class OtherMount:
    """Another mount, to hold this one against: of the study, or of the same device in another one."""

    candidate: str
    label: str
    signals: Signals = field(repr=False)
    load_start_s: float
    _: KW_ONLY
    elsewhere: bool = False


def siblings(
    notebook: Notebook, study: Study, mount_id: int | None, progress: Callable[[], None] | None = None
) -> list[OtherMount]:
    """The study's other mounts that count and have die, coolant and power.

    Where there are none and the part sits on the device, the same device's mounts in other studies.
    """
    found = []
    for candidate in study.live_candidates:
        for mount in candidate.live_mounts:
            if mount.id == mount_id or mount.left_out or not mount.live_runs:
                continue
            if progress is not None:
                progress()
            sibling = _sibling(notebook, study, mount, candidate.name)
            if sibling is not None:
                found.append(sibling)
    if not found and kind_under_test(study.under_test).on_die:
        for other, _, name, mount in mounts_elsewhere(notebook, study, ways_of(notebook, study)):
            sibling = _sibling(
                notebook, other, mount, tr("{name} in “{study}”", name=name, study=other.name or other.question)
            )
            found += [] if sibling is None else [replace(sibling, elsewhere=True)]
    return found


def _sibling(notebook: Notebook, study: Study, mount: Mount, candidate: str) -> OtherMount | None:
    ways = ways_of(notebook, study)
    run = mount.run_under(ways.condition)
    if run is None:
        return None
    try:
        result = run_result(notebook, study, run, ways)
        result = result.steps[0] if result.steps else result
        begin = next((t.load.start_s for t in result.traces.values() if t.load.start_s is not None), None)
        signals = run_signals(notebook, study, run, result, ways)
    except KuffinError:
        return None
    if begin is None or signals.die is None or signals.inlet is None or signals.power is None:
        return None
    return OtherMount(
        candidate, tr("{candidate}, round {round}", candidate=candidate, round=mount.round), signals, begin
    )


@dataclass(frozen=True, kw_only=True)
class MountCheck:
    """The early check with its words."""

    check: EarlyCheck
    sentence: str
    others: tuple[tuple[str, float], ...]
    whose: str
    what: str = "die over coolant"

    @property
    def worse(self) -> bool:
        """Whether the mount is worse than its siblings."""
        return self.check.state == "worse"

    def working(self) -> Working:
        """How it was found."""
        c = self.check
        out = Working(title=tr("Mount check"), answer=self.sentence)
        begin, end = c.stretch_s
        out.say(
            tr("What is looked at"),
            tr(
                "{what} per watt, {begin:.0f} to {end:.0f} s after the load began; dips left out",
                what=self.what,
                begin=begin,
                end=end,
            ),
        )
        if not c.others:
            out.say(
                tr("This mount"),
                tr(
                    "{resistance_k_w} K/W at {power_w} W",
                    resistance_k_w=number(c.resistance_k_w, 4),
                    power_w=number(c.power_w, 0),
                ),
            )
            return out
        out.add(c.difference)
        out.say(tr("The others"), self.whose)
        out.say_all((tr("Other mount {i}", i=i), label) for i, (label, _) in enumerate(self.others, 1))
        out.say(
            tr("Called unlike"),
            tr("beyond 99 % on one side and at least 0.4 K; so one sound mount in a hundred is doubted"),
        )
        return out


def check_mount(
    study: Study, candidate: str, now: Signals, load_start_s: float, others: list[OtherMount], minutes_left: float
) -> MountCheck | None:
    """Check a mount by its first two minutes under load; None where it cannot be told yet.

    Parameters
    ----------
    minutes_left : float
        How long the run would still take: what a remount now would save.
    """
    if now.die is None or now.inlet is None or now.power is None:
        return None
    end = min(TO_S, float(now.times[-1]) - load_start_s) if now.times.size else 0.0
    if end < FROM_S + 10:
        return None
    found = early_resistance(now.times, now.die, now.inlet, now.power, load_start_s, FROM_S, end)
    if found is None:
        return None
    values: dict[str, list[tuple[str, float]]] = {}
    for other in others:
        s = other.signals
        assert s.die is not None and s.inlet is not None and s.power is not None
        value = early_resistance(s.times, s.die, s.inlet, s.power, other.load_start_s, FROM_S, end)
        if value is not None:
            values.setdefault(other.candidate, []).append((other.label, value[0]))
    scatter, df = pooled_scatter([[v for _, v in group] for group in values.values()])
    own = values.get(candidate, [])
    same_block = not kind_under_test(study.under_test).on_die
    if not own and kind_under_test(study.under_test).on_die and values:
        return _first_mount(candidate, now, load_start_s, others, end, minutes_left, limits_of(study))
    held = own or ([v for group in values.values() for v in group] if same_block else [])
    whose = (
        tr("{candidate}'s other mounts", candidate=candidate)
        if own
        else tr("all mounts of the study: block and paste are the same")
    )
    check = early_check(found[0], found[1], found[2], [v for _, v in held], scatter, df, (FROM_S, end))
    said = _sentence(check, candidate, bool(own), minutes_left)
    return MountCheck(check=check, sentence=said, others=tuple(held), whose=whose)


def _first_mount(
    candidate: str,
    now: Signals,
    load_start_s: float,
    others: list[OtherMount],
    end: float,
    minutes_left: float,
    limits: CheckLimits,
) -> MountCheck | None:
    """A candidate's first mount, against the same device under the other candidates; what looks worst is told."""
    checks = []
    for upper, lower, figure in (("die", "inlet", "die_over_coolant"), ("hot_spot", "die", "hot_spot_over_die")):
        mine = _early(now, upper, lower, load_start_s, end)
        by_candidate: dict[str, list[float]] = {}
        for other in others:
            one = _early(other.signals, upper, lower, other.load_start_s, end)
            if one is not None:
                by_candidate.setdefault(other.candidate, []).append(one[0])
        if mine is None or not by_candidate:
            continue
        means = {n: sum(x) / len(x) for n, x in by_candidate.items()}
        known = next(f for f in FIGURES if f.key == figure)
        middle = sum(means.values()) / len(means)
        scatter, df = between(list(means.values()), usual_between(known, middle, limits))
        check = early_check(mine[0], mine[1], mine[2], list(means.values()), scatter, df, (FROM_S, end))
        checks.append((check, known.label, tuple(means.items())))
    if not checks:
        return None
    check, what, held = max(checks, key=lambda c: (c[0].state == "worse", c[0].difference_k / max(c[0].u95_k, 1e-9)))
    abroad = all(o.elsewhere for o in others)
    who = tr("in the notebook’s other studies of this device") if abroad else tr("with the other candidates")
    size, here = f"{number(check.difference_k, 1)} K", number(check.resistance_k_w * check.power_w, 1)
    if check.state == "worse":
        said = tr(
            "the first mount of {candidate}: {what} {here} K, {size} more than {who}. Likely "
            "contact or pads: remount before going on, and save {minutes_left:.0f} minutes",
            candidate=candidate,
            what=what,
            here=here,
            size=size,
            who=who,
            minutes_left=minutes_left,
        )
    else:
        said = tr(
            "the first mount of {candidate}: {what} {here} K, as far from what it was {who} as candidates are",
            candidate=candidate,
            what=what,
            here=here,
            who=who,
        )
    whose = (
        tr("candidates of the notebook’s other studies, each by the mean of its mounts")
        if abroad
        else tr("the other candidates, each by the mean of its mounts")
    )
    return MountCheck(check=check, sentence=said, others=held, whose=whose, what=what)


def _early(s: Signals, upper: str, lower: str, begin_s: float, end: float) -> tuple[float, float, float] | None:
    high, low = s.get(upper), s.inlet if lower == "inlet" else s.get(lower)
    if high is None or low is None or s.power is None:
        return None
    return early_resistance(s.times, high, low, s.power, begin_s, FROM_S, end)


def _sentence(c: EarlyCheck, candidate: str, own: bool, minutes_left: float) -> str:
    if c.state == "alone":
        return tr("the first mount of {candidate}: nothing to hold it against yet", candidate=candidate)
    many = len(c.others) > 1
    if own:
        mine = (
            tr("{candidate}'s other mount", candidate=candidate),
            tr("{candidate}'s other mounts", candidate=candidate),
        )
        who = mine[many]
    else:
        who = tr("the study's {n} mounts", n=count(len(c.others))) if many else tr("the study's one mount")
    size = f"{number(abs(c.difference_k), 1)} K"
    if c.state == "like":
        return tr("looks like {who} (within {size}, scatter ± {u95_k} K)", who=who, size=size, u95_k=number(c.u95_k, 1))
    if c.state == "better":
        return tr(
            "{size} better than {who}: likely another paste or a probe that moved; look before you believe it",
            size=size,
            who=who,
        )
    return tr(
        "{size} worse than {who}: likely contact. Remount now and save {minutes_left:.0f} minutes",
        size=size,
        who=who,
        minutes_left=minutes_left,
    )
