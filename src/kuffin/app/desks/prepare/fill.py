"""Fill: what the loop holds, what to mix, what the old coolant leaves behind."""

from __future__ import annotations

from typing import TYPE_CHECKING

from kuffin.app.desks.prepare.page import PreparePage
from kuffin.app.widgets.forms import WritingTable, number, row
from kuffin.app.widgets.texts import Form, text
from kuffin.core.base.errors import KuffinError
from kuffin.core.compare.pairwords import count
from kuffin.core.prepare.fill import carry_over, loop_volume_ml, mix, rinses_needed
from kuffin.reading.configurations import loop_of, parts_of

if TYPE_CHECKING:
    from kuffin.app.desks.prepare.desk import PrepareDesk


class FillPage(PreparePage):
    """The page."""

    kind = "fill"

    def __init__(self, desk: PrepareDesk) -> None:
        super().__init__(desk)
        self.heading("What the loop holds")
        self.table = WritingTable(["part", "holds", ""], "What the loop holds", stretch=2)
        self.column.addWidget(self.table)
        self.total = text()
        self.column.addWidget(self.total)
        self.heading("What to mix")
        self.reserve = number(0, 5000, "mL", 0, 10, "For topping up")
        self.share = number(0, 100, "%", 0, 5, "Concentrate in the mix")
        self.additive = number(0, 500, "mL/L", 1, 1, "Additive")
        self.reserve.valueChanged.connect(lambda v: self.keep(reserve_ml=v))
        self.share.valueChanged.connect(lambda v: self.keep(share_percent=v))
        self.additive.valueChanged.connect(lambda v: self.keep(additive_ml_l=v))
        form = Form()
        form.addRow("for topping up", self.reserve)
        form.addRow("concentrate, additive", row(self.share, self.additive))
        self.column.addLayout(form)
        self.mix = text(style="heading")
        self.column.addWidget(self.mix)
        self.heading("What the old coolant leaves")
        self.left = number(0, 5000, "mL", 0, 10, "Left after draining")
        self.rinses = number(0, 20, "", 0, 1, "Rinses")
        self.left.valueChanged.connect(lambda v: self.keep(left_ml=v))
        self.rinses.valueChanged.connect(lambda v: self.keep(rinses=v))
        self.column.addWidget(
            row(text("left after draining", wrap=False), self.left, text("rinses", wrap=False), self.rinses)
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
                    f"{h.volume_ml:.0f} mL",
                    "estimate: its maker's figure is not on the shelf" if h.guessed else "",
                ]
                for h in held
            ],
            fixed=(0, 1, 2),
        )
        self.table.fit(9)
        kept = self.sheet()
        if not held:
            self.total.setText("No loop is set up yet: build it on the Bench page, and its volume is known here.")
            self.mix.setText("")
            self._carried.setText("")
            return
        self.total.setText(f"Together about {total:.0f} ± {spread:.0f} mL.")
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
            parts = [f"{made.water_ml:.0f} mL distilled water"]
            if made.concentrate_ml:
                parts.insert(0, f"{made.concentrate_ml:.0f} mL concentrate")
            if made.additive_ml:
                parts.append(f"{made.additive_ml:.0f} mL additive")
            self.mix.setText(
                f"Mix {made.total_ml:.0f} mL of {name}: {', '.join(parts)}. "
                f"That is enough even where the loop holds {spread:.0f} mL more."
            )
        except KuffinError as error:
            self.mix.setText(str(error))
        try:
            stays = 100 * carry_over(left, total, rinses)
            enough = rinses_needed(left, total)
            need = "none is needed" if enough == 0 else f"{count(enough)} {'is' if enough == 1 else 'are'} enough"
            self._carried.setText(
                f"After {count(rinses)} rinse{'' if rinses == 1 else 's'} the new filling still holds {stays:.2g} % of the old "
                f"one; to stay under 1 %, {need}."
            )
        except KuffinError as error:
            self._carried.setText(str(error))
