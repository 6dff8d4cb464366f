"""Every mount that was left out, with its reason, and what is said with and without them."""

from __future__ import annotations

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.core.compare.pairwords import number
from kuffin.verdict.evidence import mounts_of
from kuffin.verdict.schoolflips import both_ways

_PURPOSE = mark(
    "Left out lists every mount that does not count, and why, with what would be said if it did. Nothing is left out in this "
    "study. A mount is left out on the Inspect desk, with a reason."
)


class LeftOutPage(RenewedPage):
    """Mounts and reasons above, verdicts both ways below."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self._ids: list[int] = []
        self.mounts = FigureTable(tr("Mounts that are left out"))
        self.said = text()
        self.ways = FigureTable(tr("Verdicts without and with them"))
        for widget in (self.mounts, self.said, self.ways):
            self.column.addWidget(widget)

    def renew(self) -> None:
        verdict, study = self.state.verdict, self.state.study
        out = [r for r in verdict.main.readings if r.left_out] if verdict is not None else []
        if verdict is None or study is None or not out:
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        by_id = {m.id: m for _, m in mounts_of(study)}
        unit = verdict.outcome.unit
        self._ids = [r.mount_id for r in out]
        self.mounts.show_rows(
            (tr("mount"), tr("its reading"), tr("left out"), tr("reason")),
            [
                (
                    r.label,
                    "–" if r.value is None else f"{number(r.value, 1)} {unit}",
                    by_id[r.mount_id].exclusions[-1].at[:16].replace("T", " ") if r.mount_id in by_id else "",
                    r.left_out or "",
                )
                for r in out
            ],
            words=True,
            left={2},
            opens={1: lambda i: self.mount_wanted.emit(self._ids[i])},
        )
        rows = both_ways(verdict)
        changed = [r for r in rows if r.differs]
        what = tr("it") if len(out) == 1 else tr("them")
        self.said.setText(
            tr("With {what} counted, every verdict would be the same.", what=what)
            if not changed
            else tr(
                "With {what} counted, {changed} of {rows} pairs would be judged otherwise (marked *).",
                what=what,
                changed=len(changed),
                rows=len(rows),
            )
        )
        self.ways.show_rows(
            (tr("pair"), tr("without {what}", what=what), tr("with {what} counted", what=what)),
            [(r.names + (" *" if r.differs else ""), r.without, r.counted) for r in rows],
            words=True,
            left={1},
        )
