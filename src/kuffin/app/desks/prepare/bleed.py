"""Bleeding: whether air still comes out, from the flow."""

from __future__ import annotations

from typing import TYPE_CHECKING, Any

from kuffin.app.desks.prepare.page import PreparePage
from kuffin.app.desks.prepare.watch import WatchedTable
from kuffin.app.widgets.forms import number, row
from kuffin.app.widgets.sketch import Series, Sketch
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.prepare.fill import Bleeding
from kuffin.verdict.sheets import USUAL_FLOW_SCATTER_PERCENT, bled, rows_of

if TYPE_CHECKING:
    from kuffin.app.desks.prepare.desk import PrepareDesk


class BleedPage(PreparePage):
    """The page."""

    kind = "bleed"

    def __init__(self, desk: PrepareDesk) -> None:
        super().__init__(desk)
        self.said = text(style="heading")
        self.column.addWidget(self.said)
        self.usual = number(0.05, 20, "%", 2, 0.1, tr("The flow sensor's own scatter"))
        self.usual.valueChanged.connect(lambda v: self.keep(usual_percent=v))
        self.column.addWidget(
            row(text(tr("the flow sensor's own scatter, of its reading"), style="muted", wrap=False), self.usual)
        )
        self.plot = Sketch(desk.theme, tr("Flow"), 190)
        self.column.addWidget(self.plot)
        self.watched = WatchedTable(self, [(tr("flow"), "L/h")], [("flow",)])
        self.watched.changed.connect(lambda rows: self.keep(readings=rows, began=self.watched.began))
        self.column.addWidget(self.watched)
        self.column.addWidget(self.cautions("dry", "jumper"))
        self.column.addStretch(1)
        self.result: Bleeding | None = None

    def renew(self) -> None:
        kept = self.sheet()
        self.usual.setValue(float(kept.get("usual_percent", USUAL_FLOW_SCATTER_PERCENT)))
        rows: list[list[Any]] = kept.get("readings", [])
        self.watched.show_rows(rows, kept.get("began"))
        self.result = None
        self.plot.setVisible(len(rows) > 1)
        if not rows:
            self.said.setText(
                tr("Let the pump run, tilt and tap, and read the flow every quarter of a minute; or take a log of it.")
            )
            return
        data = rows_of(kept)
        self.plot.show_series(
            [Series(xs=list(data[:, 0] / 60), ys=list(data[:, 1]), style="both" if len(rows) < 60 else "line")],
            "min",
            "L/h",
        )
        try:
            self.result = bled(kept)
            sentence = self.result.sentence
        except KuffinError as error:
            sentence = str(error)
        self.said.setText(sentence[0].upper() + sentence[1:] + ".")
