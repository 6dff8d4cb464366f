"""The question: what is under test, the candidates, what matters, what is claimed, what must stay the same."""

from __future__ import annotations

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QCheckBox, QInputDialog, QLineEdit, QWidget

from kuffin.app.desks.plan.claimstable import ClaimsTable
from kuffin.app.desks.plan.page import Page
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.flowrow import FlowRow
from kuffin.app.widgets.forms import WritingTable, button, choice, number, refill, row
from kuffin.app.widgets.pairchoice import PairChoice
from kuffin.app.widgets.texts import Form, empty, no_keys, plain_tip, text
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.bench.configuration import SETTINGS
from kuffin.core.bench.parts import CAME
from kuffin.core.bench.roles import DIE
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.heat.normalise import default_school
from kuffin.notebook import edits, planedits
from kuffin.notebook import shelf as shelfedits
from kuffin.notebook.entities import Candidate, Study
from kuffin.reading.configurations import cooled_by_bench, own_places, places_for


class QuestionPage(Page):
    """The page; `way_added` tells that a part is to be compared with itself, and where it differs has to be said."""

    way_added = Signal()

    def __init__(self, state: State, shelf: ShelfState) -> None:
        super().__init__(state, shelf)
        self.question = QLineEdit()
        self.question.setAccessibleName(tr("The question"))
        self.question.editingFinished.connect(self._asked)
        self._under = text(style="muted")
        self.margin = number(0.05, 50, "K", 2, 0.1, tr("Smallest difference that matters"))
        self.margin.valueChanged.connect(lambda v: self.change(say("change the margin"), margin_k=round(v, 3)))
        self.power = number(1, 5000, "W", 0, 5, tr("Reference power"))
        self.power.setSpecialValueText(tr("as measured"))
        self.power.valueChanged.connect(
            lambda v: self.change(say("change the reference power"), reference_power_w=v if v > 1 else None)
        )
        self.reference = choice([], tr("Compare with"))
        self.reference.activated.connect(
            lambda: self.change(say("compare with one reference"), reference_id=self.reference.currentData())
        )
        self.baseline = choice([], tr("Baseline"))
        self.baseline.activated.connect(
            lambda: self.change(say("choose the baseline"), baseline_id=self.baseline.currentData())
        )
        form = Form()
        form.setLabelAlignment(Qt.AlignmentFlag.AlignLeft)
        form.setVerticalSpacing(6)
        form.setHorizontalSpacing(16)
        form.addRow(tr("The question"), self.question)
        form.addRow(tr("Under test"), self._under)
        self.pair = PairChoice()
        self.pair.changed.connect(
            lambda: self.change(say("ask about another temperature"), under_test=self.pair.key(), school=None)
        )
        form.addRow(tr("What is read"), self.pair)
        self.device = choice([], tr("Whose die is asked about"))
        self.device.activated.connect(
            lambda: self.change(say("say whose die is asked about"), device=self.device.currentData())
        )
        self._places = row()
        self.device_said = text(style="muted", wrap=False)
        self.asked_about = row(self.device, self.device_said)
        self._form = form
        form.addRow(tr("The die of"), self.asked_about)
        form.addRow(tr("They take the place of"), self._places)
        form.addRow(
            tr("A difference matters from"),
            row(self.margin, text(tr("read at"), style="muted", wrap=False), self.power),
        )
        form.addRow(
            tr("Compared with"),
            row(
                self.reference, text(tr("baseline, mounted again and again"), style="muted", wrap=False), self.baseline
            ),
        )
        self.column.addLayout(form)
        self.heading(tr("Candidates"))
        self.candidates = WritingTable(
            [tr("name"), tr("part on the shelf"), tr("samples"), tr("mounts planned and done")],
            tr("Candidates"),
            self._options,
            stretch=3,
        )
        self.candidates.written.connect(self._candidate_written)
        self.column.addWidget(self.candidates)
        self.column.addWidget(
            row(
                button(tr("Add a candidate"), self._add_candidate),
                button(
                    tr("The same, another way …"),
                    self._add_way,
                    tr("The chosen candidate once more: other ports, turned, after a repair …"),
                ),
                button(tr("Add a sample of it"), self._add_sample, tr("Another specimen of the chosen candidate")),
                button(tr("Take it out"), self._remove_candidate, tr("Into the bin, with its mounts")),
            )
        )
        self.heading(tr("Claims to test"))
        self.claims = ClaimsTable(self)
        self._no_claims = text(
            tr("Nobody's claim is tested yet: “8 K cooler than …”, say, from a box or a review."), style="muted"
        )
        self.column.addWidget(self._no_claims)
        self.column.addWidget(self.claims)
        self.column.addWidget(
            row(button(tr("Add a claim"), self.claims.add), button(tr("Remove it"), self.claims.remove))
        )
        self.heading(tr("What must stay the same"))
        self._same: dict[str, QCheckBox] = {}
        self._grid_holder = QWidget()
        self._grid = FlowRow(self._grid_holder, 18)
        self._grid.setContentsMargins(0, 0, 0, 0)
        for setting in SETTINGS.values():
            label = tr(setting.spoken)
            box = QCheckBox(label, self._grid_holder)
            box.setToolTip(tr(setting.effect))
            box.toggled.connect(lambda on, k=setting.key: self._same_toggled(k, on))
            self._same[setting.key] = box
        self.column.addWidget(self._grid_holder)
        self.column.addStretch(1)

    # --- showing ---------------------------------------------------------------------------------------------------

    def _show_device(self, study: Study) -> None:
        """Ask whose die is meant, where the bench or the logs know several."""
        bench = self.shelf.bench
        runs = [r for c in study.live_candidates for m in c.live_mounts for r in m.live_runs]
        known = [d for r in runs for c in r.channels if c.role in DIE and (d := c.device)]
        devices = list(dict.fromkeys([*(bench.cooled if bench is not None else ()), *known]))
        guess = cooled_by_bench(study, bench).device if study.device is None else None
        refill(
            self.device,
            [
                (tr("the {guess}, as it seems", guess=guess) if guess else tr("not said"), None),
                *[(tr("the {d}", d=d), d) for d in devices],
            ],
            study.device,
        )
        loop = bench.cooled if bench is not None else ()
        self.device_said.setText(
            tr("the loop cools {loop}", loop=tr(", then ").join(loop))
            if loop
            else tr("what the loop cools is said on the Bench")
        )
        self._form.setRowVisible(self.asked_about, len(devices) > 1 or study.device is not None)

    def _show_places(self, study: Study) -> None:
        """Ask which places of the loop a candidate takes, where it could take several."""
        there = places_for(study, self.shelf.bench)
        first = study.live_candidates[0] if study.live_candidates else None
        taken = [p.id for p in own_places(study, first, self.shelf.bench)] if first is not None else []
        layout = self._places.layout()
        assert layout is not None
        empty(layout)
        for place in there if len(there) > 1 else []:
            name = place.part.name if place.part is not None else "?"
            box = QCheckBox(
                no_keys(
                    tr("{name}, at the {device}", name=name, device=place.device)
                    if place.device
                    else tr("{name}, place {position}", name=name, position=place.position + 1)
                )
            )
            box.setChecked(place.id in taken)
            box.clicked.connect(lambda on, i=place.id: self._take_place(i, on, taken))
            layout.addWidget(box)
        self._form.setRowVisible(self._places, len(there) > 1)

    def _take_place(self, place: int, on: bool, taken: list[int]) -> None:
        now = [*taken, place] if on else [p for p in taken if p != place]
        if not now:
            self.state.trouble.emit(tr("a candidate takes at least one place of the loop"))
            self.show_now()
            return
        self.change_plan(say("say which places the candidates take"), places=now)

    def renew(self) -> None:
        study = self.state.study
        assert study is not None
        if not self.question.hasFocus():
            self.question.setText(study.question)
        school, kind = default_school(study.under_test), kind_under_test(study.under_test)
        self._under.setText(
            tr(
                "{label}; each is {made}, and judged by {school} unless Compare says otherwise",
                label=tr(kind.label),
                made=tr(kind.made),
                school=tr(school.label),
            )
        )
        self._form.setRowVisible(self.pair, kind.any_temperature)
        if kind.any_temperature:
            self.pair.show_pair(kind.part, kind.over)
        self._show_device(study)
        self._show_places(study)
        self.margin.setValue(study.margin_k)
        self.power.setValue(study.reference_power_w or 1)
        names: list[tuple[str, object]] = [(c.name, c.id) for c in study.live_candidates]
        refill(self.reference, [(tr("every other one"), None), *names], study.reference_id)
        refill(self.baseline, [(tr("none"), None), *names], study.baseline_id)
        self.candidates.fill(
            [[c.name, c.part.name, self._samples(c), self._mounts(c)] for c in study.live_candidates],
            fixed=(2, 3),
            data=[c.id for c in study.live_candidates],
        )
        self.candidates.fit(8)
        self.claims.renew()
        self._no_claims.setVisible(not study.live_claims)
        free = set(planedits.free_settings(study.under_test))
        for key, box in self._same.items():
            self._grid.removeWidget(box)
            box.setVisible(key in free)
            box.setChecked(key in study.same)
        for box in (box for key, box in self._same.items() if key in free):
            self._grid.addWidget(box)

    def _samples(self, candidate: Candidate) -> str:
        return ", ".join(s.label + (f" ({s.came})" if s.came else "") for s in candidate.samples) or tr(
            "none on the shelf"
        )

    def _mounts(self, candidate: Candidate) -> str:
        done = sum(1 for m in candidate.live_mounts if m.live_runs)
        return tr("{live_mounts}, {done} done", live_mounts=len(candidate.live_mounts), done=done)

    def _name(self, candidate_id: int) -> str:
        found = self.state.study.candidate(candidate_id) if self.state.study is not None else None
        return found.name if found is not None else tr("(taken out)")

    # --- writing ---------------------------------------------------------------------------------------------------

    def _asked(self) -> None:
        study = self.state.study
        written = self.question.text().strip()
        if study is None or self.filling or written == study.question:
            return
        if written:
            name = {"name": written} if study.name == study.question else {}
            self.change(say("change the question"), question=written, **name)
        else:
            self.question.setText(study.question)

    def _part_names(self) -> list[str]:
        study = self.state.study
        return (
            [] if study is None else [p.name for p in self.shelf.of_kind(*kind_under_test(study.under_test).part_kinds)]
        )

    def _options(self, _row: int, column: int) -> list[str] | None:
        return self._part_names() if column == 1 else None

    def _listed(self) -> list[tuple[int | None, str]]:
        return [(c.id, c.name) for c in self.state.study.live_candidates] if self.state.study is not None else []

    def _candidate_written(self, at: int, column: int, written: str) -> None:
        study = self.state.study
        candidate_id = self.candidates.data_of(at)
        if study is None or not isinstance(candidate_id, int):
            return
        if column == 0:
            listed = [(i, written if i == candidate_id else name) for i, name in self._listed()]
            self.edit(edits.change_candidates, study.id, listed)
        elif column == 1:
            part = next(
                (p for p in self.shelf.of_kind(*kind_under_test(study.under_test).part_kinds) if p.name == written),
                None,
            )
            if part is not None:
                self.edit(planedits.choose_part, candidate_id, part.id)
        self.show_now()

    def _add_candidate(self) -> None:
        study = self.state.study
        if study is None:
            return
        taken = {c.name.lower() for c in study.live_candidates}
        offered = [n for n in self._part_names() if n.lower() not in taken]
        name, ok = QInputDialog.getItem(
            self, tr("Add a candidate"), tr("From the shelf, or a new name:"), offered, 0, True
        )
        if ok and name.strip():
            self.edit(edits.change_candidates, study.id, [*self._listed(), (None, name)])

    def _chosen_candidate(self) -> Candidate | None:
        study, at = self.state.study, self.candidates.currentRow()
        if study is None or not 0 <= at < len(study.live_candidates):
            self.state.trouble.emit(tr("choose a candidate in the table first"))
            return None
        return study.live_candidates[at]

    def _add_sample(self) -> None:
        candidate = self._chosen_candidate()
        study = self.state.study
        if candidate is None or study is None:
            return
        label, ok = QInputDialog.getText(
            self,
            tr("Add a sample"),
            plain_tip(tr("A label for another {name}, to write on it:", name=candidate.name)),
            text=str(len(candidate.samples) + 1),
        )
        if ok:
            came, ok = QInputDialog.getItem(self, tr("Add a sample"), tr("How it came:"), ["", *CAME], 0, False)
        if ok:
            self.add_sample(candidate, label, came)

    def add_sample(self, candidate: Candidate, label: str, came: str) -> None:
        """Add a sample of a candidate and share the planned mounts out among all of them."""
        made = self.edit(shelfedits.add_sample, candidate.part_id, label, came)
        if made is not None and self.state.study is not None:
            self.edit(planedits.share_samples, self.state.study.id)
            self.state.refresh()

    def _add_way(self) -> None:
        candidate = self._chosen_candidate()
        if candidate is None:
            return
        name, ok = QInputDialog.getText(
            self,
            tr("The same, another way"),
            plain_tip(tr("What {name} is called when it is used the other way:", name=candidate.part.name)),
            text=tr("{name} (turned)", name=candidate.part.name),
        )
        if ok and self.edit(planedits.another_way, candidate.id, name) is not None:
            self.way_added.emit()

    def _remove_candidate(self) -> None:
        candidate = self._chosen_candidate()
        if candidate is not None and self.state.study is not None:
            left = [(i, n) for i, n in self._listed() if i != candidate.id]
            self.edit(edits.change_candidates, self.state.study.id, left)

    def _same_toggled(self, key: str, on: bool) -> None:
        if self.state.study is not None:
            self.edit(planedits.set_same, self.state.study.id, key, on)
