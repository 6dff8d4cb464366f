"""Fair? What differs between the candidates besides what is under test: mended, or kept with a reason."""

from __future__ import annotations

from PySide6.QtWidgets import QFrame, QHBoxLayout, QLineEdit, QVBoxLayout, QWidget

from kuffin.app.desks.plan.page import Page
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import WritingTable, button
from kuffin.app.widgets.texts import empty, text
from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import begun
from kuffin.core.base.saying import say
from kuffin.core.bench.configuration import SETTINGS, Difference, written
from kuffin.core.bench.partfields import Field
from kuffin.core.bench.parts import read_field
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare.pairwords import count
from kuffin.notebook import planedits
from kuffin.notebook.shelf import change_bench
from kuffin.reading.configurations import configuration
from kuffin.verdict.fairness import unfair

_AS_BENCH = mark("as the bench")
_STRENGTH = {
    3: mark("can decide the comparison alone"),
    2: mark("can shift the comparison"),
    1: mark("small"),
    0: mark("taken out"),
}


class FairPage(Page):
    """The page: a list of differences over a table of configurations."""

    def __init__(self, state: State, shelf: ShelfState) -> None:
        super().__init__(state, shelf)
        self.said = text(style="heading")
        self.column.addWidget(self.said)
        self._list = QVBoxLayout()
        self._list.setSpacing(8)
        self.column.addLayout(self._list)
        self.answers: dict[str, QLineEdit] = {}
        self.shown: list[tuple[Difference, str | None]] = []
        self.heading(tr("Configurations"))
        self.column.addWidget(
            text(
                tr(
                    "Each candidate is as the bench, except where a cell says otherwise. Double-click or "
                    "type to change one."
                ),
                style="muted",
            )
        )
        self.table = WritingTable(["", tr("bench")], tr("Configurations"), self._options)
        self.table.written.connect(self._written)
        self.column.addWidget(self.table)
        self.column.addStretch(1)

    def renew(self) -> None:
        study = self.state.study
        assert study is not None
        now = self._differences()
        found = [d for d, _ in now]
        if now != self.shown:
            self.shown = now
            self._list_differences(now)
        under = {kind_under_test(study.under_test).slot}
        open_ = [d for d, reason in now if reason is None and d.strength > 0]
        known = any(
            configuration(study, c, self.shelf.bench, self.shelf.parts).keys() - under for c in study.live_candidates
        )
        if not found and not known:
            self.said.setText(
                tr(
                    "Nothing is said yet of how the candidates are built in: set up a bench, or fill in "
                    "what matters below."
                )
            )
        elif not found:
            self.said.setText(tr("Fair, as far as is known: nothing differs besides what is under test."))
        elif not any(d.strength for d in found):
            self.said.setText(tr("Fair, as far as is known: what differs is taken out of the numbers."))
        elif open_:
            self.said.setText(
                tr("One thing differs besides what is under test. Mend it, or write down why it stays.")
                if len(open_) == 1
                else tr(
                    "{n} things differ besides what is under test. Mend it, or write down why it stays.",
                    n=begun(count(len(open_))),
                )
            )
        else:
            self.said.setText(tr("All that differs stays for a reason; the reasons come out with the result."))
        self._fill_table()

    def _differences(self) -> list[tuple[Difference, str | None]]:
        """Everything that differs, with the reason why it stays."""
        study = self.state.study
        if study is None:
            return []
        found = unfair(
            study,
            self.shelf.bench,
            self.shelf.parts,
            self.state.verdict.evidence if self.state.verdict is not None else None,
        )
        return [(d, study.fair_because.get(d.key)) for d in found]

    def open_count(self) -> int:
        """How many differences have no answer yet."""
        return sum(1 for d, reason in self._differences() if reason is None and d.strength > 0)

    # --- the list --------------------------------------------------------------------------------------------------

    def _list_differences(self, shown: list[tuple[Difference, str | None]]) -> None:
        empty(self._list)
        self.answers = {}
        for difference, reason in shown:
            self._list.addWidget(self._card(difference, reason))

    def _card(self, difference: Difference, reason: str | None) -> QWidget:
        card = QFrame()
        card.setObjectName("card")
        box = QVBoxLayout(card)
        box.setContentsMargins(12, 6, 10, 8)
        box.setSpacing(3)
        top = QHBoxLayout()
        label = text(difference.sentence)
        top.addWidget(label, 1)
        top.addWidget(
            text(
                difference.counts_as or tr(_STRENGTH[difference.strength]),
                style="small" if reason or difference.strength < 3 else "warn",
                wrap=False,
            )
        )
        box.addLayout(top)
        box.addWidget(text(tr(difference.effect), style="muted"))
        if difference.strength == 0:
            return card
        answer = QLineEdit(reason or "")
        answer.setPlaceholderText(tr("it stays because …"))
        answer.setAccessibleName(tr("Why the {label} {verb}", label=difference.label, verb=difference.verb))
        answer.editingFinished.connect(lambda: self._answer(difference, answer.text()))
        self.answers[difference.key] = answer
        mend = None
        if difference.key in SETTINGS:
            most = max(difference.groups, key=lambda g: (g[0] != "not said", len(g[1])))[0]
            mend = (
                button(tr("Make it {most} for all", most=most), lambda: self._alike(difference, most))
                if most != "not said"
                else None
            )
        line = QHBoxLayout()
        line.addWidget(answer, 1)
        if mend is not None:
            line.addWidget(mend)
        box.addLayout(line)
        return card

    def _answer(self, difference: Difference, written_text: str) -> None:
        study = self.state.study
        if study is None or (study.fair_because.get(difference.key) or "") == written_text.strip():
            return
        self.edit(planedits.answer_difference, study.id, difference.key, difference.label, written_text.strip() or None)

    def _alike(self, difference: Difference, value: str) -> None:
        study = self.state.study
        if study is None:
            return
        for candidate in study.live_candidates:
            found = configuration(study, candidate, self.shelf.bench, self.shelf.parts).get(difference.key)
            if written(SETTINGS[difference.key], found) == value:
                kept = candidate.configuration.get(difference.key)
                if kept is None and self.shelf.bench is not None:
                    kept = self.shelf.bench.settings.get(difference.key)
                self.edit(planedits.configure_alike, study.id, difference.key, kept)
                return

    # --- the table -------------------------------------------------------------------------------------------------

    def _rows(self) -> list[str]:
        return planedits.free_settings(self.state.study.under_test) if self.state.study is not None else []

    def _kept(self, key: str, value: object) -> str:
        setting = SETTINGS[key]
        if setting.kind == "part":
            part = self.shelf.part(value) if isinstance(value, int) else None
            return part.name if part is not None else ""
        return "" if value in (None, "") else written(setting, value)

    def _fill_table(self) -> None:
        study, bench = self.state.study, self.shelf.bench
        assert study is not None
        self.table.setColumnCount(2 + len(study.live_candidates))
        self.table.setHorizontalHeaderLabels(
            ["", bench.name if bench is not None else tr("bench"), *(c.name for c in study.live_candidates)]
        )
        rows = []
        for key in self._rows():
            setting = SETTINGS[key]
            label = tr(setting.spoken)
            usual = self._kept(key, bench.settings.get(key)) if bench is not None else ""
            if not usual and bench is not None and setting.kind == "part":
                usual = next((p.part.name for p in bench.loop if p.part and p.part.kind in setting.part_kinds), "")
            own = [self._kept(key, c.configuration.get(key)) for c in study.live_candidates]
            rows.append([label, usual, *(o or "·" for o in own)])
        self.table.fill(rows, fixed=(0,), data=self._rows())
        self.table.fit(self.table.rowCount())

    def _options(self, at: int, column: int) -> list[str] | None:
        key = self._rows()[at]
        setting = SETTINGS[key]
        first = "" if column == 1 else tr(_AS_BENCH)
        if setting.kind == "part":
            return [first, *(p.name for p in self.shelf.of_kind(*setting.part_kinds))]
        return [first, *setting.options] if setting.kind == "choice" else None

    def _written(self, at: int, column: int, content: str) -> None:
        study, bench, key = self.state.study, self.shelf.bench, self._rows()[at]
        setting = SETTINGS[key]
        content = content.strip()
        value: object = None if content in {"", "·", tr(_AS_BENCH)} else content
        try:
            if value is not None and setting.kind == "number":
                value = read_field(
                    Field(
                        key=key,
                        label=tr(setting.spoken),
                        kind="number",
                        unit=setting.unit,
                        options=(),
                        low=setting.low,
                        high=setting.high,
                    ),
                    content,
                )
            elif value is not None and setting.kind == "part":
                part = next((p for p in self.shelf.of_kind(*setting.part_kinds) if p.name == content), None)
                value = part.id if part is not None else None
        except BenchError as error:
            self.state.trouble.emit(str(error))
            self.show_now()
            return
        if column == 1:
            if bench is None:
                self.state.trouble.emit(tr("there is no bench yet; set one up on the Bench page"))
            else:
                settings = {k: v for k, v in bench.settings.items() if k != key}
                self.edit(
                    change_bench,
                    bench.id,
                    say("set the bench's {label}", label=say(setting.label)),
                    settings=settings if value is None else {**settings, key: value},
                )
        elif study is not None:
            self.edit(planedits.configure, study.live_candidates[column - 2].id, key, value)
        self.show_now()
