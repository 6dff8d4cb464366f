"""When: the plan over days and hours, what fits before the deadline, and the calendar file."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import QDateTime
from PySide6.QtWidgets import QCheckBox, QDateTimeEdit, QFileDialog, QGridLayout, QLineEdit, QWidget

from kuffin.app.acts.paper import Sheet, sheet_buttons
from kuffin.app.base.settings import documents
from kuffin.app.desks.plan.page import Page
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.daysheet import DaySheet
from kuffin.app.widgets.forms import button, number, row
from kuffin.app.widgets.numberspin import NumberSpin
from kuffin.app.widgets.texts import text
from kuffin.core.base.days import day_words, short_day
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import in_english, tr
from kuffin.core.base.saying import say
from kuffin.core.compare.pairwords import count, several
from kuffin.core.plan.schedule import DAYS, BenchJob, Laid, Plan
from kuffin.publish.calendarfile import write_icalendar
from kuffin.publish.paper.sheets import SheetLine, plan_sheet
from kuffin.said.ageingwords import due_words
from kuffin.verdict.ageing import planned_rechecks
from kuffin.verdict.needed import needed_for
from kuffin.verdict.planbasis import Durations, hours_of, jobs_of, laid_plan

_MOST_RECHECKS = 6


def _moment(edit: QDateTimeEdit) -> dt.datetime:
    found = edit.dateTime().toPython()
    assert isinstance(found, dt.datetime)
    return found.replace(second=0, microsecond=0)


class WhenPage(Page):
    """The page."""

    def __init__(self, state: State, shelf: ShelfState, theme: Theme) -> None:
        super().__init__(state, shelf)
        self.plan: Plan | None = None
        self._dated: tuple[Laid, ...] = ()  # rechecks, each at its time
        self.begin, self.deadline = QDateTimeEdit(), QDateTimeEdit()
        for box, name in ((self.begin, tr("First mount not before")), (self.deadline, tr("Deadline"))):
            box.setDisplayFormat("ddd d MMM yyyy  HH:mm")
            box.setCalendarPopup(True)
            box.setMinimumWidth(208)
            box.setKeyboardTracking(False)
            box.setAccessibleName(name)
        self.begin.dateTimeChanged.connect(
            lambda _d: self.change_plan(say("change when it begins"), begin=_moment(self.begin).isoformat())
        )
        self.has_deadline = QCheckBox(tr("deadline"))
        self.has_deadline.toggled.connect(self._deadline_changed)
        self.deadline.dateTimeChanged.connect(self._deadline_changed)
        self.pause = number(0, 240, "min", 0, 5, tr("Pause between mounts"))
        self.pause.valueChanged.connect(lambda v: self.change_plan(say("change the pause"), pause_min=v))
        self.column.addWidget(
            row(
                text(tr("Not before"), wrap=False),
                self.begin,
                self.has_deadline,
                self.deadline,
                text(tr("pause between mounts"), style="muted", wrap=False),
                self.pause,
            )
        )
        holder = QWidget()
        grid = QGridLayout(holder)
        grid.setContentsMargins(0, 0, 0, 0)
        grid.setHorizontalSpacing(8)
        self.days: list[tuple[QCheckBox, NumberSpin, NumberSpin]] = []
        for d, name in enumerate(tr(n) for n in DAYS):
            on = QCheckBox(name[:3])
            on.setAccessibleName(tr("At the bench on {name}s", name=name))
            spans = []
            for called in (tr("{day} from, hours", day=name), tr("{day} to, hours", day=name)):
                hour = number(0, 24, "", 1, 0.5, called)
                hour.setMaximumWidth(66)  # seven of them stand in a row
                hour.valueChanged.connect(self._hours_changed)
                spans.append(hour)
            on.toggled.connect(self._hours_changed)
            self.days.append((on, spans[0], spans[1]))
            for i, widget in enumerate((on, *spans)):
                grid.addWidget(widget, i, d + 1)
        for i, words in enumerate((tr("at the bench"), tr("from, h"), tr("to, h"))):
            grid.addWidget(text(words, style="muted", wrap=False), i, 0)
        grid.setColumnStretch(8, 1)
        self.column.addWidget(holder)
        self.off = QLineEdit()
        self.off.setPlaceholderText(tr("such as 2026-12-08, 2026-12-24"))
        self.off.setAccessibleName(tr("Days off"))
        self.off.editingFinished.connect(self._off_changed)
        self.off.setMinimumWidth(260)
        out = (button(tr("Write iCalendar …"), self._ask_file), *sheet_buttons(self.state, self, self.to_print))
        self.column.addWidget(row(text(tr("Days off"), wrap=False), self.off, *out))
        self.said = text(style="heading")
        self.column.addWidget(self.said)
        self.sheet = DaySheet(theme)
        self.column.addWidget(self.sheet)
        self.rechecks = text()
        self.column.addWidget(self.rechecks)
        self._rests = text(style="muted")
        self.column.addWidget(self._rests)
        self.column.addStretch(1)

    def renew(self) -> None:
        study, takes = self.state.study, self.shelf.durations()
        assert study is not None and takes is not None
        now = dt.datetime.now().replace(second=0, microsecond=0)
        begin = dt.datetime.fromisoformat(study.plan["begin"]) if study.plan.get("begin") else now
        self.begin.setDateTime(QDateTime(begin))  # type: ignore[call-overload]
        has = bool(study.plan.get("deadline"))
        self.has_deadline.setChecked(has)
        self.deadline.setEnabled(has)
        end = dt.datetime.fromisoformat(study.plan["deadline"]) if has else begin + dt.timedelta(days=14)
        self.deadline.setDateTime(QDateTime(end))  # type: ignore[call-overload]
        self.pause.setValue(float(study.plan.get("pause_min", 5.0)))
        hours = hours_of(study)
        for d, (on, start, stop) in enumerate(self.days):
            span = hours.week.get(d)
            on.setChecked(span is not None)
            start.setEnabled(span is not None)
            stop.setEnabled(span is not None)
            if span is not None:
                start.setValue(span[0])
                stop.setValue(span[1])
        if not self.off.hasFocus():
            self.off.setText(", ".join(sorted(d.isoformat() for d in hours.days_off)))
        coming = planned_rechecks(study)
        told = [f"{d.label}: {due_words(d, now)}" for d in coming[:_MOST_RECHECKS]]
        more = len(coming) - len(told)
        words = "; ".join([*told, *([tr("{n} more", n=count(more))] if more > 0 else [])])
        self.rechecks.setText(
            tr("Rechecks of what stays in place: {words}. They go into the calendar file, too.", words=words)
        )
        self.rechecks.setVisible(bool(coming))
        self._dated = self._rechecks(takes)
        places = {c.name: i for i, c in enumerate(study.live_candidates)}
        try:
            jobs = self._jobs(takes)
            self.plan = laid_plan(study, jobs, now) if jobs else None
            self.said.setText(self._sentence(len(jobs)))
            self.said.setProperty("warn", None)
        except KuffinError as error:
            self.plan = None
            sentence = str(error)
            self.said.setText(sentence[0].upper() + sentence[1:] + ".")
        self.sheet.show_plan(self.plan, hours, places)
        self._rests.setText(
            tr(
                "A run: {run_min:.0f} min, {run_from}. Change-overs: {change_from}. The plan is laid "
                "anew whenever something is done, later or earlier.",
                run_min=takes.run_min,
                run_from=takes.run_from,
                change_from=takes.change_from,
            )
        )

    def _jobs(self, takes: Durations) -> list[BenchJob]:
        assert self.state.study is not None
        return jobs_of(self.state.study, self.shelf.bench, self.shelf.parts, takes, self.shelf.steps)

    def _rechecks(self, takes: Durations) -> tuple[Laid, ...]:
        """The coming rechecks, each at its time."""
        assert self.state.study is not None
        return tuple(
            Laid(
                BenchJob(
                    d.mount.id,
                    tr("recheck {label} (day {days:g})", label=d.label, days=d.days),
                    (("run", takes.run_min),),
                ),
                d.at,
                d.at + dt.timedelta(minutes=takes.run_min),
            )
            for d in planned_rechecks(self.state.study)
        )

    def _sentence(self, jobs: int) -> str:
        study, plan = self.state.study, self.plan
        assert study is not None
        if plan is None or plan.end is None:
            done = any(c.live_mounts for c in study.live_candidates)
            if done and self._dated:
                return tr("All mounts are made; what stays in place is tested again, below.")
            return tr("Everything planned is done.") if done else tr("No mount is planned yet: draw an order first.")
        end = f"{DAYS[plan.end.weekday()]} {short_day(plan.end)}, {plan.end:%H:%M}"
        what = tr(
            "{capitalize} to do; the last one ends on {end}.", capitalize=several(jobs, "mount").capitalize(), end=end
        )
        if plan.deadline is None:
            return what
        if plan.late:
            fit = jobs - plan.late
            return (
                tr(
                    "{plan} Only one of them fits before the deadline: add hours, shorten the protocol, "
                    "or plan fewer rounds.",
                    plan=what,
                )
                if fit == 1
                else tr(
                    "{plan} Only {fit} of them fit before the deadline: add hours, shorten the protocol, "
                    "or plan fewer rounds.",
                    plan=what,
                    fit=count(fit),
                )
            )
        spare = plan.deadline - plan.end
        left = tr(
            "{days} and {seconds}", days=several(spare.days, "day"), seconds=several(spare.seconds // 3600, "hour")
        )
        return tr("{plan} All fit before the deadline, with {left} to spare.", plan=what, left=left)

    # --- writing ---------------------------------------------------------------------------------------------------

    def _deadline_changed(self) -> None:
        value = _moment(self.deadline).isoformat() if self.has_deadline.isChecked() else None
        self.change_plan(say("change the deadline"), deadline=value)

    def _hours_changed(self) -> None:
        week = {str(d): [a.value(), b.value()] for d, (on, a, b) in enumerate(self.days) if on.isChecked()}
        for d, (on, a, b) in enumerate(self.days):
            if on.isChecked() and b.value() <= a.value():
                week[str(d)] = [9.0, 18.0] if not a.isEnabled() else [a.value(), min(a.value() + 1, 24.0)]
        self.change_plan(say("change the hours at the bench"), hours=week)

    def _off_changed(self) -> None:
        written = [w.strip() for w in self.off.text().replace(";", ",").split(",") if w.strip()]
        try:
            days = sorted({dt.date.fromisoformat(w).isoformat() for w in written})
        except ValueError:
            self.state.trouble.emit(tr("write days off as year-month-day, such as 2026-12-24, with commas between"))
            return
        if self.state.study is not None and days != self.state.study.plan.get("days_off", []):
            self.change_plan(say("change the days off"), days_off=days or None)

    def _ask_file(self) -> None:
        if self.plan is None and not self._dated:
            self.state.trouble.emit(tr("nothing is laid yet, so there is nothing to write; draw an order first"))
            return
        path, _ = QFileDialog.getSaveFileName(self, tr("Write iCalendar"), str(documents() / "plan.ics"), "*.ics")
        if path:
            self.write_calendar(Path(path if path.endswith(".ics") else path + ".ics"))

    def to_print(self) -> Sheet | None:
        """The plan as a sheet; None, with a word, where nothing is laid."""
        study = self.state.study
        if study is None or (self.plan is None and not self._dated):
            self.state.trouble.emit(tr("nothing is laid yet, so there is nothing to print; draw an order first"))
            return None
        coming = [SheetLine(what=x.job.label, time=day_words(x.begin)) for x in self._dated]
        needed = needed_for(study, self.shelf.bench, self.shelf.parts)
        html = plan_sheet(study.question or study.name, self.plan or Plan((), 0, None), needed, coming)
        return tr("plan of {name}", name=study.name), html

    def write_calendar(self, path: Path) -> None:
        """Write the plan as iCalendar."""
        study = self.state.study
        plan = self.plan if self.plan is not None else Plan((), 0, None)
        takes = self.shelf.durations()
        if study is not None and takes is not None and (plan.laid or self._dated):
            with in_english():  # in a file the jobs are called as in every file
                named = {j.key: j for j in self._jobs(takes)}
                laid = [replace(x, job=named.get(x.job.key, x.job)) for x in plan.laid]
                whole = replace(plan, laid=(*laid, *self._rechecks(takes)))
            self.state.write_out(path, write_icalendar, whole, study.question, path, f"{study.id} {study.created_at}")
