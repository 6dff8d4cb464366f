"""Ageing: mounts that stay in place and are tested again after days, weeks and months, against the baseline."""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence

import numpy as np
from PySide6.QtWidgets import QCheckBox, QLineEdit, QVBoxLayout, QWidget

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.curveplot import CurvePlot, DrawnCurve
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import flowing, number, row
from kuffin.app.widgets.texts import empty, no_keys, text
from kuffin.core.base.days import day_words
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import number as written
from kuffin.core.base.saying import say
from kuffin.core.compare.ageing import STEP, Ageing, log_time
from kuffin.core.compare.pairwords import digits_for
from kuffin.core.plan.rechecks import USUAL_DAYS, Rechecks, days_written
from kuffin.notebook import planedits
from kuffin.notebook.entities import Mount
from kuffin.said.ageingwords import aged_words, ageing_working, due_words
from kuffin.verdict.ageing import AgedMount, StudyAgeing, ageing_of, due_rechecks, rechecks_of

_PURPOSE = mark(
    "Ageing follows mounts that stay in place: each is tested again after days, weeks and months, and told against the baseline, so that a bench "
    "that moved is not taken for a part that aged. Mount and read something first."
)
_HOW = mark(
    "Tick what stays in place, the baseline too, and say when it is tested again. A run on such a mount half a day or more after its "
    "first one is a recheck: it comes up under Next when it is due, and what the mount was like when it was new stays what the comparison goes by."
)


class AgeingPage(RenewedPage):
    """It edits what the study plans of rechecks."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.days = QLineEdit()
        self.days.setPlaceholderText(tr("such as ") + ", ".join(f"{d:g}" for d in USUAL_DAYS))
        self.days.setAccessibleName(tr("Days after the first reading"))
        self.days.setMinimumWidth(200)
        self.days.editingFinished.connect(self._days_given)
        self.rest = number(0, 1000, "h", 0, 12, tr("Rest before the first reading"))
        self.rest.setKeyboardTracking(False)
        self.rest.valueChanged.connect(lambda v: self._plan(say("change the rest"), rest_h=v))

        def label(words: str) -> QWidget:
            return text(words, style="muted", wrap=False)

        self.heading = text(style="heading")
        self.plot = CurvePlot(theme, tr("Change since the first reading, less the baseline’s"), 300)
        self.plot.moved.connect(lambda _at: None)
        self.plot.opened.connect(lambda mount, _i: self._explain(mount))
        self.table = FigureTable(tr("Mounts that stay in place"))
        self.column.addWidget(self.heading)
        self.column.addWidget(self.plot)
        self.column.addWidget(self.table)
        self.column.addWidget(
            flowing(
                row(label(tr("tested again after")), self.days, label(tr("days"))),
                row(label(tr("rest before the first reading")), self.rest),
            )
        )
        self.ticks = QWidget()
        self._ticks = QVBoxLayout(self.ticks)
        self._ticks.setContentsMargins(0, 0, 0, 0)
        self.column.addWidget(self.ticks)
        self.column.addWidget(text(tr(_HOW), style="small"))
        self.boxes: dict[int, QCheckBox] = {}
        self.found: StudyAgeing | None = None

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.plot.set_theme(theme)

    def renew(self) -> None:
        v, study = self.state.verdict, self.state.study
        if v is None or study is None or v.mounts == 0:
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        plan = rechecks_of(study)
        if not self.days.hasFocus():
            self.days.setText(", ".join(f"{d:g}" for d in plan.days))
        self.rest.blockSignals(True)
        self.rest.setValue(plan.rest_h)
        self.rest.blockSignals(False)
        self._offer([m for _, m in v.evidence.mounts if m.left_out is None and m.first_read], plan)
        self.found = ageing_of(v)
        self._show(self.found)

    def _offer(self, mounts: Sequence[Mount], plan: Rechecks) -> None:
        """A tick for each mount that can stay in place."""
        if list(self.boxes) != [m.id for m in mounts]:
            empty(self._ticks)
            self.boxes = {}
            for m in mounts:
                box = QCheckBox(no_keys(_name(m)))
                box.toggled.connect(lambda on, mount_id=m.id: self._stays(mount_id, on))
                self.boxes[m.id] = box
            self._ticks.addWidget(text(tr("stays in place"), style="muted", wrap=False))
            self._ticks.addWidget(flowing(*self.boxes.values()))
        for mount_id, box in self.boxes.items():
            box.blockSignals(True)
            box.setChecked(mount_id in plan.mounts)
            box.blockSignals(False)

    def _show(self, found: StudyAgeing) -> None:
        study = self.state.study
        assert study is not None
        now = dt.datetime.now()
        due = {d.mount.id: due_words(d, now) for d in due_rechecks(study)}
        told = [m for m in found.mounts if m.found is not None]
        base = found.baseline
        if found.mounts:
            self.heading.setText("\n".join(aged_words(m, base) for m in found.mounts))
        elif due:
            self.heading.setText(tr("No recheck yet: nothing may be said of ageing."))
        else:
            self.heading.setText(tr("No recheck is planned."))
        self.plot.setVisible(bool(told) and bool(base))
        if told and base:
            self._draw(told, base)
        shown = {m.mount_id: m for m in (*found.base_mounts, *found.mounts)}
        mounts = {m.id: m for m in self.state.mounts()}
        ids = [i for i in mounts if i in shown or i in due]
        rows: list[tuple[str, ...]] = []
        for i in ids:
            m, first = shown.get(i), mounts[i].first_read
            begun = "–" if first is None else day_words(dt.datetime.fromisoformat(first))
            mark = " (baseline)" if m in found.base_mounts else ""
            rows.append((_name(mounts[i]) + mark, _readings(m), _change(m, base), begun, due.get(i, "")))
        self.table.setVisible(bool(rows))

        head = (tr("mount"), tr("as read, K"), tr("change"), tr("first read"), tr("next recheck"))
        self.table.show_rows(
            head, rows, words=True, left={1, 3}, opens={2: lambda at: self._explain(shown.get(ids[at]))}
        )

    def _explain(self, mount: AgedMount | None) -> None:
        if mount is not None and mount.found is not None and self.found is not None:
            self.working.emit(ageing_working(mount, self.found))

    def _draw(self, told: Sequence[AgedMount], base: str) -> None:
        curves = []
        alone = [c for c in (m.candidate for m in told) if sum(m.candidate == c for m in told) == 1]
        for m in told:
            assert m.found is not None
            days = 10.0 ** np.linspace(0.0, float(log_time(m.found.days)), 60) - 1.0
            ys = np.array([m.found.at(float(d)) for d in days])
            start = float(np.mean([r.value - m.found.at(r.days) for r in m.rows]))
            half = _half_along(m.found, days)
            curves.append(
                DrawnCurve(
                    name=m.candidate if m.candidate in alone else m.label,
                    place=self.state.position(m.candidate),
                    xs=list(days),
                    ys=list(ys),
                    low=list(ys - half),
                    high=list(ys + half),
                    points=[(r.days, r.value - start) for r in m.rows],
                    behind=m,
                )
            )
        self.plot.show_curves(
            curves,
            tr("days since the first reading"),
            tr("change less {base}’s, K", base=base),
            spoken=self.heading.text(),
        )

    # --- writing ---------------------------------------------------------------------------------------------------

    def _days_given(self) -> None:
        study = self.state.study
        try:
            days = days_written(self.days.text())
        except KuffinError as error:
            self.state.trouble.emit(str(error))
            return
        if study is not None and days != rechecks_of(study).days:
            self._plan(say("change the days of rechecks"), days=list(days))

    def _stays(self, mount_id: int, on: bool) -> None:
        study = self.state.study
        if study is None:
            return
        kept = rechecks_of(study)
        mounts = [*(m for m in kept.mounts if m != mount_id), *([mount_id] if on else [])]
        days = list(kept.days or USUAL_DAYS)
        self._plan(
            say("say that a mount stays in place") if on else say("take a mount out of its place"),
            mounts=mounts,
            days=days,
        )

    def _plan(self, label: str, **changed: object) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is None or notebook is None:
            return
        kept = {**(study.plan.get("rechecks") or {}), **changed}
        self.state.attempt(planedits.set_plan, notebook, study.id, label, rechecks=kept if any(kept.values()) else None)


def _name(mount: Mount) -> str:
    return tr("{name}, round {round}", name=mount.candidate.name, round=mount.round)


def _readings(m: AgedMount | None) -> str:
    if m is None:
        return "–"
    each = [
        tr("day {days:.0f}: {value}", days=r.days, value=written(r.read.value, 2))
        if r.read is not None
        else tr("day {days:.0f}: not read", days=r.days)
        for r in m.readings
    ]
    return ", ".join(each)


def _change(m: AgedMount | None, base: str) -> str:
    if m is None or m.found is None or not base:
        return "–"
    return f"{written(m.found.change, digits_for(2 * m.found.half))} ± {written(m.found.half, digits_for(2 * m.found.half))} K"


def _half_along(found: Ageing, days: np.ndarray) -> np.ndarray:
    """How wide the band is: none at the start, the change's own at the end."""
    if found.way == STEP and found.step_after is not None:
        return np.where(days > found.step_after, found.half, 0.0)
    return np.asarray(found.half * log_time(days) / max(float(log_time(found.days)), 1e-9))
