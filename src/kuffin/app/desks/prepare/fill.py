"""Fill: what the loop holds, what to mix, what the old coolant leaves behind."""

from __future__ import annotations

from typing import TYPE_CHECKING

from kuffin.app.desks.prepare.page import PreparePage
from kuffin.app.widgets.forms import WritingTable, number, row
from kuffin.app.widgets.texts import Form, text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import count, several
from kuffin.core.prepare.fill import carry_over, loop_volume_ml, mix, rinses_needed
from kuffin.reading.configurations import loop_of, parts_of

if TYPE_CHECKING:
    from kuffin.app.desks.prepare.desk import PrepareDesk


class FillPage(PreparePage):
    """The page."""

    kind = "fill"

    def __init__(self, desk: PrepareDesk) -> None:
        super().__init__(desk)
        self.heading(tr("What the loop holds"))
        self.table = WritingTable([tr("part"), tr("holds"), ""], tr("What the loop holds"), stretch=2)
        self.column.addWidget(self.table)
        self.total = text()
        self.column.addWidget(self.total)
        self.heading(tr("What to mix"))
        self.reserve = number(0, 5000, "mL", 0, 10, tr("For topping up"))
        self.share = number(0, 100, "%", 0, 5, tr("Concentrate in the mix"))
        self.additive = number(0, 500, "mL/L", 1, 1, tr("Additive"))
        self.reserve.valueChanged.connect(lambda v: self.keep(reserve_ml=v))
        self.share.valueChanged.connect(lambda v: self.keep(share_percent=v))
        self.additive.valueChanged.connect(lambda v: self.keep(additive_ml_l=v))
        form = Form()
        form.addRow(tr("for topping up"), self.reserve)
        form.addRow(tr("concentrate, additive"), row(self.share, self.additive))
        self.column.addLayout(form)
        self.mix = text(style="heading")
        self.column.addWidget(self.mix)
        self.heading(tr("What the old coolant leaves"))
        self.left = number(0, 5000, "mL", 0, 10, tr("Left after draining"))
        self.rinses = number(0, 20, "", 0, 1, tr("Rinses"))
        self.left.valueChanged.connect(lambda v: self.keep(left_ml=v))
        self.rinses.valueChanged.connect(lambda v: self.keep(rinses=v))
        self.column.addWidget(
            row(text(tr("left after draining"), wrap=False), self.left, text(tr("rinses"), wrap=False), self.rinses)
        )
        self._carried = text()
        self.column.addWidget(self._carried)
        self.column.addWidget(self.cautions("jumper", "dry", "mains", "glycol", "biocide"))
        self.column.addStretch(1)

    def renew(self) -> None:
        held = loop_of(self.study, self.candidate, self.shelf.bench, self.shelf.parts)
        total, spread = loop_volume_ml(held)
        self.table.fill(
            [
                [
                    h.name,
                    tr("{volume_ml:.0f} mL", volume_ml=h.volume_ml),
                    tr("estimate: its maker's figure is not on the shelf") if h.guessed else "",
                ]
                for h in held
            ],
            fixed=(0, 1, 2),
        )
        self.table.fit(9)
        kept = self.sheet()
        if not held:
            self.total.setText(tr("No loop is set up yet: build it on the Bench page, and its volume is known here."))
            self.mix.setText("")
            self._carried.setText("")
            return
        self.total.setText(tr("Together about {total:.0f} ± {spread:.0f} mL.", total=total, spread=spread))
        reserve = float(kept.get("reserve_ml", round(0.15 * total, -1)))
        coolant = parts_of(self.study, self.candidate, self.shelf.bench, self.shelf.parts).get("coolant")
        of_coolant = coolant.fields.get("share_percent") if coolant is not None else None
        share = float(kept.get("share_percent", of_coolant if of_coolant is not None else 0.0))
        left = float(kept.get("left_ml", round(0.12 * total, -1)))
        rinses = int(kept.get("rinses", 0))
        additive = float(kept.get("additive_ml_l", 0.0))
        for box, value in (
            (self.reserve, reserve),
            (self.share, share),
            (self.additive, additive),
            (self.left, left),
            (self.rinses, rinses),
        ):
            box.setValue(value)
        name = coolant.name if coolant is not None else "coolant"
        try:
            made = mix(total + spread + reserve, share, additive)
            parts = [tr("{water_ml:.0f} mL distilled water", water_ml=made.water_ml)]
            if made.concentrate_ml:
                parts.insert(0, tr("{concentrate_ml:.0f} mL concentrate", concentrate_ml=made.concentrate_ml))
            if made.additive_ml:
                parts.append(tr("{additive_ml:.0f} mL additive", additive_ml=made.additive_ml))
            self.mix.setText(
                tr(
                    "Mix {total_ml:.0f} mL of {name}: {parts}. That is enough even where the loop holds "
                    "{spread:.0f} mL more.",
                    total_ml=made.total_ml,
                    name=name,
                    parts=", ".join(parts),
                    spread=spread,
                )
            )
        except KuffinError as error:
            self.mix.setText(str(error))
        try:
            stays = 100 * carry_over(left, total, rinses)
            enough = rinses_needed(left, total)
            need = (
                tr("none is needed")
                if enough == 0
                else tr("one is enough")
                if enough == 1
                else tr("{n} are enough", n=count(enough))
            )
            self._carried.setText(
                tr(
                    "After {rinses} the new filling still holds {stays:.2g} % of the old one; to stay "
                    "under 1 %, {need}.",
                    rinses=several(rinses, "rinse"),
                    stays=stays,
                    need=need,
                )
            )
        except KuffinError as error:
            self._carried.setText(str(error))
