"""Fit: screws into the radiator, pads under the block, metals in the loop, the order of tightening, the dew point."""

from __future__ import annotations

from typing import TYPE_CHECKING, Any

from PySide6.QtWidgets import QHBoxLayout, QVBoxLayout

from kuffin.app.desks.prepare.page import PreparePage
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.app.widgets.forms import NumberLine, WritingTable, button, choice, refill, row
from kuffin.app.widgets.padmap import PadMap
from kuffin.app.widgets.screws import ScrewPicture
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import plain, typed_number
from kuffin.core.bench.parts import kind_of
from kuffin.core.compare.pairwords import number as figure
from kuffin.core.prepare.fill import dew_point_c, metal_warnings
from kuffin.core.prepare.fit import screw
from kuffin.core.prepare.padfit import PRINTS, Pad, PadFit, Place, pads, usual_place
from kuffin.reading.configurations import metals_of, parts_of

if TYPE_CHECKING:
    from kuffin.app.desks.prepare.desk import PrepareDesk

_PRINT, _SITS, _PLACE = 5, 6, 6  # columns of the table; and where a kept pad has its place
_NOT_LOOKED = mark("not looked")
_PATTERNS = next(f.options for f in kind_of("processor block").fields if f.key == "screw_pattern")


class FitPage(PreparePage):
    """The page."""

    kind = "fit"

    def __init__(self, desk: PrepareDesk) -> None:
        super().__init__(desk)
        self._drawn: list[tuple[PadFit, Place]] = []
        self.heading(tr("Screws into the radiator"))
        self.boxes: dict[str, NumberLine] = {}
        self.column.addWidget(
            row(
                *self._numbers(
                    ("length_mm", tr("screw")),
                    ("fan_mm", tr("fan")),
                    ("depth_mm", tr("depth to the core")),
                    ("washers", tr("washers")),
                    ("washer_mm", tr("each")),
                    ("grille_mm", tr("grille")),
                )
            )
        )
        self.screws = text()
        self.column.addWidget(self.screws)
        self.heading(tr("Pads"))
        self.table = WritingTable(
            [
                tr("where"),
                tr("pad, mm"),
                tr("gap (measured), mm"),
                tr("squeeze at least, %"),
                tr("at most, %"),
                tr("its print shows"),
                tr("how it sits"),
            ],
            tr("Pads"),
            lambda _row, column: [*PRINTS, tr(_NOT_LOOKED)] if column == _PRINT else None,
            stretch=_SITS,
        )
        self.table.written.connect(self._pad_written)
        self.table.currentCellChanged.connect(lambda at, *_: self._draw_pads(at))
        self.column.addWidget(self.table)
        self.map = PadMap(desk.theme)
        self.map.chosen.connect(lambda at: self.table.setCurrentCell(at, 0))
        self.map.placed.connect(self._pad_placed)
        self.column.addWidget(self.map)
        self.map_words = text(
            tr(
                "From above, the die in the middle: drag each pad to the component that it cools, its lower right corner to its size "
                "(arrows move, Shift and arrows size, Page up and down choose). Filled: its print shows contact all over; half: in "
                "part; crossed: none; hatched: nobody looked yet."
            ),
            style="muted",
        )
        self.column.addWidget(self.map_words)
        self.column.addWidget(row(button(tr("Add a pad"), self._add_pad), button(tr("Remove it"), self._remove_pad)))
        self.pads = text()
        self.column.addWidget(self.pads)
        self.heading(tr("Metals in the loop"))
        self.metals = text()
        self.column.addWidget(self.metals)
        lower = QHBoxLayout()
        lower.setSpacing(16)
        left, right = QVBoxLayout(), QVBoxLayout()
        left.addWidget(text(tr("Tightening"), style="heading"))
        self.pattern = choice([(tr(p), p) for p in _PATTERNS], tr("Screw pattern"))
        self.pattern.activated.connect(lambda: self.keep(pattern=self.pattern.currentData()))
        left.addWidget(row(self.pattern, text(tr("screws, across each time"), style="muted", wrap=False)))
        self.picture = ScrewPicture(desk.theme)
        left.addWidget(self.picture)
        left.addWidget(
            text(tr("Two turns each, then round again until they stop or the torque is reached."), style="muted")
        )
        right.addWidget(text(tr("Dew point"), style="heading"))
        right.addWidget(
            row(
                *self._numbers(
                    ("air_c", tr("air")), ("humidity", tr("humidity")), ("coldest_c", tr("coldest wet surface"))
                )
            )
        )
        self.dew = text()
        right.addWidget(self.dew)
        right.addStretch(1)
        lower.addLayout(left, 1)
        lower.addLayout(right, 1)
        self.column.addLayout(lower)
        self.column.addWidget(self.cautions("fins"))
        self.column.addStretch(1)

    _UNITS = {"washers": "", "humidity": "%", "air_c": "°C", "coldest_c": "°C"}  # noqa: RUF012

    def _numbers(self, *named: tuple[str, str]) -> list[Any]:
        out: list[Any] = []
        for key, label in named:
            unit = self._UNITS.get(key, "mm")
            box = NumberLine(unit, label)
            DigitWidths(box, most=7.5)
            box.given.connect(lambda v, k=key: self.keep(**{k: v}))
            box.refused.connect(self.state.trouble.emit)
            self.boxes[key] = box
            out += [text(label, style="muted", wrap=False), box]
            if unit:
                out.append(text(unit, style="muted", wrap=False))
        return out

    def renew(self) -> None:
        kept = self.sheet()
        parts = parts_of(self.study, self.candidate, self.shelf.bench, self.shelf.parts)
        radiator, fans, block = parts.get("radiator"), parts.get("fans"), parts.get("block")
        known = {
            "fan_mm": fans.fields.get("thickness_mm") if fans is not None else None,
            "depth_mm": radiator.fields.get("screw_depth_mm") if radiator is not None else None,
            "washer_mm": 0.5,
            "washers": 0,
        }
        values = {k: kept.get(k, known.get(k)) for k in self.boxes}
        for key, box in self.boxes.items():
            box.show_value(values[key])
        self._say_screws(values)
        self._say_pads(kept.get("pads", []))
        metals = metals_of(self.study, self.candidate, self.shelf.bench, self.shelf.parts)
        silent = [name for name, found in metals.items() if not found]
        warnings = metal_warnings(metals)
        said = (
            " ".join(warnings)
            if warnings
            else tr("No two metals meet that should not.")
            if any(metals.values())
            else ""
        )
        unknown = tr(" Nothing is known of {silent}.", silent=", ".join(silent)) if silent else ""
        self.metals.setText((said + unknown).strip() or tr("No part of the loop is known yet."))
        pattern = kept.get("pattern") or (block.fields.get("screw_pattern") if block is not None else None) or "four"
        refill(self.pattern, [(tr(p), p) for p in _PATTERNS], pattern)
        self.picture.show_pattern(pattern)
        self._say_dew(values)

    def _say_screws(self, v: dict[str, Any]) -> None:
        if v["length_mm"] is None or v["fan_mm"] is None or v["depth_mm"] is None:
            self.screws.setText(
                tr(
                    "Type the screw's length, the fan's thickness, and the depth from the radiator's "
                    "flange to its core."
                )
            )
            return
        try:
            found = screw(
                v["length_mm"],
                v["fan_mm"],
                v["depth_mm"],
                washers=int(v["washers"] or 0),
                washer_mm=v["washer_mm"] or 0.0,
                grille_mm=v["grille_mm"] or 0.0,
            )
            self.screws.setText(found.sentence)
        except KuffinError as error:
            self.screws.setText(str(error)[0].upper() + str(error)[1:] + ".")

    def _say_pads(self, kept: list[list[Any]]) -> None:
        try:
            numbers = ("thickness_mm", "gap_mm", "least_percent", "most_percent")
            typed = [dict(zip(numbers, p[1:5], strict=False)) for p in kept]
            found, _, said = pads(
                [Pad(where=str(p[0]), printed=_printed(p), **told) for p, told in zip(kept, typed, strict=True)]
            )
            states = [f.sentence.split(": ", 1)[1] for f in found]
        except KuffinError as error:
            found, states, said = [], [""] * len(kept), str(error)[0].upper() + str(error)[1:] + "."
        self._drawn = list(zip(found, _places(kept), strict=bool(found)))
        self._draw_pads(self.table.currentRow())
        self.table.fill(
            [
                [str(p[0]), *("" if x is None else plain(float(x)) for x in p[1:5]), _printed(p) or tr(_NOT_LOOKED), s]
                for p, s in zip(kept, states, strict=True)
            ],
            fixed=(_SITS,),
        )
        self.table.fit(6)
        for widget in (self.table, self.map, self.map_words):
            widget.setVisible(bool(kept))
        self.pads.setText(said)

    def _say_dew(self, v: dict[str, Any]) -> None:
        if v["air_c"] is None or v["humidity"] is None:
            self.dew.setText(tr("With the air and its humidity, Kuffin says from when on a cold surface sweats."))
            return
        try:
            dew = dew_point_c(v["air_c"], v["humidity"])
        except KuffinError as error:
            self.dew.setText(str(error))
            return
        said = tr("Dew point {figure} °C.", figure=figure(dew, 1))
        if v["coldest_c"] is not None:
            room = v["coldest_c"] - dew
            if room < 0:
                said += tr(
                    " The coldest surface is {figure} K below it: it will sweat, and water will run to "
                    "the board. Do not run it like this.",
                    figure=figure(-room, 1),
                )
            elif room < 2:
                said += tr(" Only {figure} K above it: too close, a draught is enough.", figure=figure(room, 1))
            else:
                said += tr(" {figure} K of room.", figure=figure(room, 1))
        self.dew.setText(said)

    # --- pads ------------------------------------------------------------------------------------------------------

    def _add_pad(self) -> None:
        used = parts_of(self.study, self.candidate, self.shelf.bench, self.shelf.parts).get("pads")
        fields = used.fields if used is not None else {}
        thickness = float(fields.get("thickness_mm") or 1.0)
        pad = [
            "memory",
            thickness,
            None,  # nobody has measured it yet
            float(fields.get("least_percent") or 10),
            float(fields.get("most_percent") or 40),
        ]
        self.keep(pads=[*self.sheet().get("pads", []), pad])

    def _pad_written(self, at: int, column: int, content: str) -> None:
        kept = [list(p) for p in self.sheet().get("pads", [])]
        try:
            written = content.strip()
            if column == _PRINT:
                kept[at] = _whole(kept[at])
                kept[at][_PRINT] = "" if written == tr(_NOT_LOOKED) else written
            else:
                blank = column == 2 and not written
                kept[at][column] = written if column == 0 else None if blank else typed_number(written)
        except ValueError:
            self.state.trouble.emit(tr("“{content}” is no number", content=content))
            self.show_now()
            return
        self.keep(pads=kept)

    def _pad_placed(self, at: int, place: list[float]) -> None:
        kept = [list(p) for p in self.sheet().get("pads", [])]
        if 0 <= at < len(kept):
            kept[at] = _whole(kept[at])
            kept[at][_PLACE] = place
            self.keep(pads=kept)

    def _draw_pads(self, at: int) -> None:
        self.map.show_pads(self._drawn, at)

    def _remove_pad(self) -> None:
        kept, at = self.sheet().get("pads", []), self.table.currentRow()
        if 0 <= at < len(kept):
            self.keep(pads=kept[:at] + kept[at + 1 :])
        else:
            self.state.trouble.emit(tr("choose a pad in the table first"))


def _whole(pad: list[Any]) -> list[Any]:
    """A kept pad with room for its print and its place; one from before has neither."""
    return [*pad, *["", None][len(pad) - _PRINT :]] if len(pad) < _PLACE + 1 else pad


def _printed(pad: list[Any]) -> str:
    told = str(pad[_PRINT] or "") if len(pad) > _PRINT else ""
    return told if told in PRINTS else ""


def _places(kept: list[list[Any]]) -> list[Place]:
    """Where each is drawn: in its place, else in the usual one of its kind."""
    out: list[Place] = []
    seen: dict[str, int] = {}
    for pad in kept:
        kind = str(pad[0]).strip().lower()
        seen[kind] = seen.get(kind, -1) + 1
        own = pad[_PLACE] if len(pad) > _PLACE else None
        x, y, width, height = own if isinstance(own, list) and len(own) == 4 else usual_place(kind, seen[kind])
        out.append((float(x), float(y), float(width), float(height)))
    return out
