"""The sections on how it was measured: bench, protocol, parts and samples, method, uncertainty, photos and prints, versions."""

from __future__ import annotations

import io
from collections.abc import Iterator, Mapping
from typing import Any

import kuffin
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.numbers import number
from kuffin.core.base.units import shown
from kuffin.core.bench.configuration import SETTINGS, written
from kuffin.core.bench.parts import KINDS
from kuffin.core.bench.protocol import SETTLES, Step, window_words
from kuffin.core.bench.roles import spoken
from kuffin.core.bench.testsettings import settings_words
from kuffin.core.compare.pairwords import joined, several
from kuffin.notebook.entities import SCHEMA_VERSION, Instrument, Part
from kuffin.notebook.photos import open_photo, photo_data
from kuffin.publish.page.blocks import Block, Grid, Items, Photo, Terms, Words
from kuffin.publish.page.material import Material
from kuffin.publish.page.results import pictures
from kuffin.reading.keptresults import METHOD_VERSION
from kuffin.said.equations import equation
from kuffin.verdict.baseline import day_of
from kuffin.verdict.budget import budget_of
from kuffin.verdict.fitting import candidate_fits, cell_words, unlike_and_alike
from kuffin.verdict.inthehand import hand_table, in_the_hand, marks_of
from kuffin.verdict.looks import look_words

_LONGEST_PHOTO = 1000
_MOST_PHOTOS = 24


def bench(m: Material) -> Iterator[Block]:
    """The loop, how it is set, and what measures it."""
    if m.bench is None:
        yield Words("The bench was not written down: only what the logs themselves tell is known of it.")
        return
    names = {p.id: p.name for p in m.shelf}
    loop = [
        (p.part.name if p.part is not None else p.device or "?") + (f" ({p.part.kind})" if p.part is not None else "")
        for p in m.bench.loop
    ]
    rows = [("Loop, in the direction of flow", ", ".join(loop))] if loop else []
    settings = _settings(m.bench.settings, names)
    if settings:
        rows.append(("Set so, where a study does not say otherwise", "; ".join(settings)))
    if rows:
        yield Terms(rows)
    instruments = m.bench.live_instruments
    if instruments:
        yield Grid(
            caption="Instruments",
            head=("instrument", "tells", "accuracy, as its maker states it", "calibrated"),
            rows=[(i.name, _tells(i), accuracy_words(i), i.calibrated_on or "not said") for i in instruments],
            words=frozenset(range(4)),
        )


def _settings(kept: Mapping[str, Any], names: Mapping[int, str]) -> list[str]:
    out = []
    for key, value in kept.items():
        setting = SETTINGS.get(key)
        if setting is not None and value not in (None, ""):
            said = names.get(value, "?") if setting.kind == "part" else written(setting, value)
            out.append(f"{setting.spoken} {said}")
    return out


def _tells(i: Instrument) -> str:
    told = [spoken(p.role) + (f" ({p.where})" if p.where else "") for p in i.live_probes if p.role]
    return ", ".join(told) or "not said"


def accuracy_words(i: Instrument) -> str:
    """An instrument's accuracy as it is written: ``± (0.5 % + 0.1 °C)``."""
    unit = shown(i.unit)
    parts = [f"{i.reading_percent:g} %"] if i.reading_percent else []
    if i.full_scale_percent and i.full_scale:
        parts.append(f"{i.full_scale_percent:g} % of {i.full_scale:g} {unit}")
    if i.counts:
        parts.append(f"{i.counts * i.count_size:g} {unit}")
    if not parts:
        return "not said"
    return f"± {parts[0]}" if len(parts) == 1 else f"± ({' + '.join(parts)})"


def protocol(m: Material) -> Iterator[Block]:
    """The steps of every run, and the limits at which its load is stopped."""
    ways, v = m.verdict.evidence.ways, m.verdict
    steps: tuple[Step, ...] = ways.steps if ways is not None else ()
    days = list(dict.fromkeys(day_of(mount) for _, mount in v.evidence.mounts if mount.live_runs))
    counts = {c: sum(bool(mount.live_runs) for name, mount in v.evidence.mounts if name == c) for c in v.candidates}
    yield Words(
        f"Mounts: {joined([f'{c} {n}' for c, n in counts.items()])}, on {several(len(days), 'day')}"
        + (f" from {days[0]} to {days[-1]}" if len(days) > 1 else f" ({days[0]})" if days else "")
        + f". {'Rounds are blocks: what a whole round had in common is taken out.' if v.blocks else 'Rounds are not taken out as blocks.'}"
    )
    if steps:
        yield Grid(
            caption="Steps of a run",
            head=("step", "load", "set", "settles", "at most", "measured for", "window", "asked for"),
            rows=[
                (
                    s.name,
                    s.load or "idle",
                    settings_words({k: x for k, x in s.settings.items() if k != "load"}) or "as it stands",
                    SETTLES[s.settle],
                    f"{s.longest_min:g} min",
                    f"{s.measure_min:g} min",
                    window_words(s),
                    s.ask or "–",
                )
                for s in steps
            ],
            words=frozenset({0, 1, 2, 3, 6, 7}),
        )
    reasons = [
        (f"Differs, and stays: {k.removeprefix('tested ').replace('_', ' ')}", str(x))
        for k, x in m.study.fair_because.items()
    ]
    if reasons:
        yield Terms(reasons)


def parts_and_samples(m: Material) -> Iterator[Block]:
    """What was compared: each candidate's part, and how each of its samples came."""
    rows = []
    mounted: dict[int, int] = {}
    for _, mount in m.verdict.evidence.mounts:
        if mount.sample_id is not None and mount.live_runs:
            mounted[mount.sample_id] = mounted.get(mount.sample_id, 0) + 1
    for c in m.study.live_candidates:
        samples = [s for s in c.part.live_samples if s.id in mounted] or c.part.live_samples[:1]
        for n, s in enumerate(samples, 1):
            own = settings_words({k: x for k, x in c.configuration.items() if not isinstance(x, int) and x})
            rows.append(
                (
                    c.name if n == 1 else "",
                    f"{c.part.maker or 'maker not said'}; {_facts(c.part)}" if n == 1 else "",
                    own if n == 1 else "",
                    f"{n}",
                    str(mounted.get(s.id, 0)),
                    s.came or "not said",
                )
            )
    head = ["candidate", "part", "used so", "sample", "mounts", "how it came, who paid"]
    shown = [i for i in range(len(head)) if i != 2 or any(r[2] for r in rows)]
    yield Grid(
        caption="What was compared, and how each sample came",
        head=[head[i] for i in shown],
        rows=[[r[i] for i in shown] for r in rows],
        words=frozenset(n for n, i in enumerate(shown) if i in {0, 1, 2, 5}),
    )
    if any(r[5] == "not said" for r in rows):
        yield Words("How a sample came and who paid for it was not written down for every sample.", "small")


def in_hand(m: Material) -> Iterator[Block]:
    """What is found with the parts in the hand; a reviewer's marks apart from it."""
    found, marks = in_the_hand(m.study), marks_of(m.study)
    head, rows = hand_table(found)
    if rows:
        yield Grid(caption="In the hand", head=head, rows=rows, words=frozenset(range(len(head))))
    if marks:
        yield Grid(
            caption="The reviewer’s marks, 0 to 10",
            head=["", *(f.name for f in found)],
            rows=[
                [name, *(f"{given[f.candidate_id]:g}" if f.candidate_id in given else "–" for f in found)]
                for name, given in marks.items()
            ],
            words=frozenset({0}),
        )
        yield Words("Marks are the reviewer’s own, not measurements; no verdict here rests on them.", "small")


def fits(m: Material) -> Iterator[Block]:
    """What does not fit, what is tight or not known, and a table of the rest."""
    found = candidate_fits(m.study, m.bench, m.shelf)
    unlike, alike = unlike_and_alike(found)
    if unlike:
        yield Grid(
            caption="How each candidate fits, by sizes as they were told",
            head=["", *unlike.values()],
            rows=[[c.name, *(cell_words(c.of(key)) for key in unlike)] for c in found],
            words=frozenset(range(len(unlike) + 1)),
        )
    if alike:
        yield Words(f"Alike for all: {'; '.join(alike)}.")
    told = [t for c in found for t in c.told]
    if told:
        yield Items(told)


def _facts(part: Part) -> str:
    kind = KINDS.get(part.kind)
    told = []
    for f in kind.fields if kind is not None else ():
        x = None if f.in_hand else part.fields.get(f.key)
        if x not in (None, "", []):
            told.append(
                f"{f.label} {', '.join(map(str, x)) if isinstance(x, list) else f'{x:g} {f.unit}'.rstrip() if isinstance(x, (int, float)) else x}"
            )
    return f"{part.kind}" + (f", {', '.join(told)}" if told else "")


def method(m: Material) -> Iterator[Block]:
    """How a number comes about, in plain words and with its formulas."""
    v = m.verdict
    found, school = v.main.comparison, v.school
    yield Items(
        [
            "One mount is one observation: a thousand readings of one mount are one. Intervals come from how far mounts differ.",
            f"A run is read once it has settled: its trace drifts by less than {m.study.tolerance_k:g} K in 10 minutes, interval "
            "included, and what the fitted warm-up still has to go is as small. The reading is the mean of that window, less what "
            "the fit still sees in it.",
            f"What is compared is {school.label.lower()}: {school.normalised}.",
            *(
                [
                    f"Candidates are compared by {found.method}: {100 * found.confidence:.4g} % over {several(len(found.pairs), 'pair')} together, so that a wrong one among them all is no likelier than in a single one."
                ]
                if found is not None
                else []
            ),
            *([look_words(v.looks)] if v.looks is not None else []),
            "“Better” is said where the whole interval lies on one side of nothing; “the same” where it lies within what matters; "
            "else the two are not told apart.",
        ]
    )
    first = next((r for r in v.temperature.readings if r.worked is not None and r.left_out is None), None)
    if first is not None and first.worked is not None:
        lines = [equation(w) for w in first.worked.all() if w.formula][:8]
        if lines:
            yield Words(f"As an example, {first.label}:")
            yield Items(lines)


def uncertainty(m: Material) -> Iterator[Block]:
    """What is uncertain about a reading, source by source, and how much of that matters in a comparison."""
    v = m.verdict
    reading = next((r for r in v.temperature.readings if r.value is not None and r.left_out is None and r.runs), None)
    if reading is None:
        return
    result = v.results[reading.runs[0]].at(v.condition) or v.results[reading.runs[0]]
    budget = budget_of(v, reading, result, m.bench)
    if budget is None:
        return
    cancels = {"yes": "cancels", "scales": "goes with the difference", "no": "counts on both sides"}
    rows = [
        (s.name, f"{number(1.96 * s.contribution, 3)} {budget.unit}", cancels[s.cancels], s.note)
        for s in budget.sources
    ]
    yield Grid(
        caption=f"{reading.label}: {number(budget.value, 2)} ± {number(budget.absolute.half_width, 2)} {budget.unit}",
        head=("source", "half-width", "in a comparison", "from"),
        rows=rows,
        words=frozenset({0, 2, 3}),
    )
    between = (
        "The scatter between mounts is not known yet."
        if budget.between_mounts is None
        else f"The scatter between mounts alone leaves ± {number(budget.between_mounts, 2)} {budget.unit} on a difference of two candidates."
    )
    yield Words(
        f"A difference of two readings by the same instruments is known to ± {number(budget.difference.half_width, 2)} {budget.unit}. {between} {budget.advice}"
    )


def prints(m: Material) -> Iterator[Block]:
    """The contact prints."""
    yield from pictures(m, "prints")


def photos(m: Material) -> Iterator[Block]:
    """The photos of the mounts, made small and without what a camera writes into them."""
    for mount, photo in m.photos[:_MOST_PHOTOS]:
        try:
            image = open_photo(photo_data(m.notebook, photo.id), photo.name, _LONGEST_PHOTO)
        except KuffinError:
            continue
        out = io.BytesIO()
        image.save(out, "JPEG", quality=82)
        what = photo.kind.removeprefix("step ").replace("_", " ")
        yield Photo(out.getvalue(), f"{mount.candidate.name}, round {mount.round}: {what}")
    if len(m.photos) > _MOST_PHOTOS:
        yield Words(f"{len(m.photos) - _MOST_PHOTOS} further photos are in the notebook.", "small")


def versions(m: Material) -> Iterator[Block]:
    """What worked this out, and from what."""
    runs = [r for _, mount in m.verdict.evidence.mounts for r in mount.live_runs]
    last = max((r.started_at or r.added_at for r in runs), default="")
    yield Terms(
        [
            (
                "Worked out by",
                f"Kuffin {kuffin.__version__}, method {METHOD_VERSION}, notebook format {SCHEMA_VERSION}",
            ),
            ("From", f"{several(len(runs), 'run')}" + (f"; the last of them began on {last[:10]}" if last else "")),
            ("Raw data", "can be sent as a data package that comes to the same verdict to the last digit"),
        ]
    )
    yield Words("Kuffin is no safety device. Work on cooling loops by the parts' own manuals and local rules.", "small")
