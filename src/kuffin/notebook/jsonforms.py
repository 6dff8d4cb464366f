"""What the JSON in a notebook must look like, column by column: what is sound of it is used, the rest is named."""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable, Mapping
from typing import Annotated, Any, Literal

from msgspec import Meta

from kuffin.core.base.errors import BenchError
from kuffin.core.base.plaindata import PlainError, typed
from kuffin.core.bench.configuration import SETTINGS
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.partfields import Field
from kuffin.core.bench.parts import KINDS
from kuffin.core.bench.protocol import Step, check, from_plain
from kuffin.core.sound.heard import heard_from_plain

Number = Annotated[float, Meta(ge=-1e9, le=1e9)]
Share = Annotated[float, Meta(ge=-1.0, le=2.0)]
Text = Annotated[str, Meta(max_length=20_000)]
Count = Annotated[int, Meta(ge=0, le=10_000)]
Scalar = Number | bool | Text | None
Texts = Annotated[list[Text], Meta(max_length=10_000)]
Readings = Annotated[list[list[Number | None]], Meta(max_length=200_000)]

# the sound part, and the names of what is left out
Sound = tuple[Any, list[str]]
Form = Callable[[Any], Sound]


def _by_key(known: Mapping[str, Any], other: Any = Scalar | Texts) -> Form:
    """A table whose entries have types of their own."""

    def read(value: Any) -> Sound:
        if not isinstance(value, dict):
            return {}, ["all of it"]
        sound, left = {}, []
        for key, one in value.items():
            wanted = known.get(key, other)
            try:
                if isinstance(wanted, _Checked):
                    wanted.check(one)
                else:
                    typed(one, wanted)
                sound[key] = one
            except (PlainError, ValueError, TypeError, KeyError, OverflowError):
                left.append(str(key)[:60])
        return sound, left

    return read


class _Checked:
    """A type, and what must hold besides."""

    def __init__(self, kind: Any, must: Callable[[Any], object]) -> None:
        self._kind, self._must = kind, must

    def check(self, value: Any) -> None:
        typed(value, self._kind)
        if self._must(value) is False:
            raise ValueError


def _list_of(kind: Any) -> Form:
    def read(value: Any) -> Sound:
        if not isinstance(value, list):
            return [], ["all of it"]
        sound = []
        for one in value[:10_000]:
            try:
                typed(one, kind)
                sound.append(one)
            except PlainError:
                continue
        return sound, [f"{len(value) - len(sound)} of {len(value)}"] if len(sound) < len(value) else []

    return read


def _steps(value: Any) -> Sound:
    try:
        typed(value, list[Step])  # a step's name is text, its numbers are numbers
        if value:
            check(from_plain(value))
        return value, []
    except (PlainError, BenchError, TypeError, ValueError, KeyError):
        return [], ["all of it"]


def _moment(value: Any) -> bool:
    return not value or dt.datetime.fromisoformat(value) is not None


def _rechecks(value: dict[str, Any]) -> bool:
    """After which days, how long a rest before, and which mounts stay in place."""
    days, mounts, rest = value.get("days", []), value.get("mounts", []), value.get("rest_h", 0.0)
    return (
        set(value) <= {"days", "mounts", "rest_h"}
        and isinstance(days, list)
        and all(0 < d <= 3660 for d in days)
        and isinstance(mounts, list)
        and all(float(m).is_integer() for m in mounts)
        and isinstance(rest, (int, float))
        and 0 <= rest <= 1000
    )


def _days(value: Any) -> bool:
    return all(dt.date.fromisoformat(day) is not None for day in value)


def _hours(value: Any) -> bool:
    return all(int(day) in range(7) and 0 <= a <= b <= 24 for day, (a, b) in value.items())


def _alike(value: Any) -> bool:
    return len({len(row) for row in value}) <= 1 and all(2 <= len(row) <= 6 and row[0] is not None for row in value)


def _side(value: Any) -> bool:
    return "share" not in value or {"low", "high", "thin", "map"} <= set(value)


_PLAN = {
    "goal": Literal["find", "same"],
    "difference_k": Annotated[float, Meta(gt=0, le=1000)] | None,
    "power": Annotated[float, Meta(ge=0.05, le=0.999)] | None,
    "spread_k": Annotated[float, Meta(ge=0, le=1000)] | None,
    "sample_spread_k": Annotated[float, Meta(ge=0, le=1000)] | None,
    "seed": Annotated[int, Meta(ge=0, le=2**31)],
    "control_every": Annotated[int, Meta(ge=0, le=100)],
    "plot_by": Text | None,
    "begin": _Checked(Text | None, _moment),
    "deadline": _Checked(Text | None, _moment),
    "hours": _Checked(dict[str, list[Number]], _hours),
    "days_off": _Checked(list[Text], _days),
    "pause_min": Annotated[float, Meta(ge=0, le=1440)],
    "looks": Annotated[list[Annotated[int, Meta(ge=1, le=1000)]], Meta(max_length=100)] | None,
    "spread": Literal["moderated", "as noticed", "pooled", "separate"] | None,
    "scope": Text | None,
    "condition": Text | None,
    "idle": bool | None,
    "outcome": Text | None,
    "outcomes": Texts | None,
    "matters": dict[str, Annotated[float, Meta(gt=0, le=1e6)]],
    "lower_is_better": Texts | None,
    "places": Annotated[list[int], Meta(max_length=100)] | None,
    "family": Text | None,
    "correct_by_baseline": bool | None,
    "thresholds": dict[str, Number],
    "marks": dict[Text, dict[str, Annotated[float, Meta(ge=0, le=10)]]],
    "practice": _Checked(dict[str, Number | Text], lambda v: set(v) <= {"seed", "candidates", "hours", "said"}),
    "rechecks": _Checked(dict[str, Number | list[Number]], _rechecks),
}
_PUBLISHED = {
    "order": Annotated[list[Text], Meta(max_length=200)],
    "switched": dict[Text, bool],
    "titles": dict[Text, Text],
    "words": dict[Text, Text],
    "since": dict[Text, dict[Text, Text]],
    "answers": dict[Text, Text],
}
_PRINT_SIDE = _Checked(
    dict[str, Annotated[str, Meta(max_length=400_000)] | Number | bool | list[list[Number]] | None], _side
)
_READINGS = {"readings": _Checked(Readings, _alike), "began": Text | None}
_SHEETS: dict[str, Mapping[str, Any]] = {
    "leak": _READINGS,
    "bleed": _READINGS,
    "print": {"block": _PRINT_SIDE, "die": _PRINT_SIDE, "width_mm": Number | None, "height_mm": Number | None},
    "fit": {"pads": _Checked(list[list[Number | Text | None]], lambda v: all(len(p) >= 5 and all(isinstance(x, (int, float)) or (x is None and i == 2) for i, x in enumerate(p[1:5], 1)) for p in v))},
}  # fmt: skip


def _between(low: float, high: float) -> Any:
    return Annotated[float, Meta(ge=low, le=high)] | None


def _field(field: Field) -> Any:
    return {"number": _between(field.low, field.high), "several": Texts | None}.get(field.kind, Text | None)


def part_fields(kind: str) -> Form:
    """The fields of a kind of part."""
    found = KINDS.get(kind)
    return _by_key({f.key: _field(f) for f in found.kept} if found is not None else {})


def sheet_values(kind: str) -> Form:
    """What a sheet of some kind holds."""
    form = _SHEETS.get(kind)
    return _by_key(form if form is not None else {}, Scalar | Texts)


_SETTINGS = {
    key: {"number": _between(s.low, s.high), "part": int | Text | None}.get(s.kind, Text | None)
    for key, s in SETTINGS.items()
}
_RECORDED = {
    "distance_m": _between(0.01, 100),
    "position": Text | None,
    "level_db": _between(20, 140),
    "level_accuracy_db": _between(0, 10),
    "gain_db": _between(-120, 120),
    "load": Text | None,
    "channel": _between(1, 1000),
    "heard": _Checked(dict[str, Any], lambda told: heard_from_plain(told) is not None),
}
_WALL = {"wall_idle_w": _between(0, 5000), "wall_efficiency_percent": _between(1, 100)}
_LIMITS = {f: bool if f == "leak" else _between(-50, 100_000) for f in Limits.__dataclass_fields__}

FORMS: dict[tuple[str, str], Form] = {
    ("curve", "points"): _list_of(Annotated[list[Number], Meta(min_length=3, max_length=3)]),
    ("attachment", "about"): _by_key(_RECORDED),
    ("bench", "sound"): _by_key(_RECORDED),
    ("study", "same"): _list_of(Text),
    ("study", "fair_because"): _by_key({}, Text),
    ("study", "plan"): _by_key(_PLAN),
    ("study", "published"): _by_key(_PUBLISHED),
    ("candidate", "configuration"): _by_key(_SETTINGS),
    ("bench", "settings"): _by_key({**_SETTINGS, **_WALL}),
    ("place", "settings"): _by_key({"length_mm": _between(0, 100_000)}),
    ("protocol", "steps"): _steps,
    ("protocol", "limits"): _by_key(_LIMITS),
    ("run", "warnings"): _list_of(Text),
    ("run", "settings"): _by_key({k: v for k, v in _SETTINGS.items() if SETTINGS[k].of_test}, Number | Text),
    ("mapping", "roles"): _by_key({}, Text | None),
    ("mapping", "units"): _by_key({}, Text | None),
    ("mapping", "devices"): _by_key({}, Text | None),
}
