"""Candidates of other studies, through a shared baseline; and all that the notebook knows of a part."""

from __future__ import annotations

from kuffin.app.desks.compare.otherstudies import OtherStudies
from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import choice, refill, row
from kuffin.app.widgets.intervallines import IntervalLines
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.saying import told
from kuffin.core.compare.pairwords import digits_for, number, several, span
from kuffin.said.intervalline import IntervalLine
from kuffin.said.line import verdict_line
from kuffin.said.linkedwords import linked_working
from kuffin.said.shownworking import Working
from kuffin.verdict.across import Judged, Known, LinkedStudies, known_of, linked
from kuffin.verdict.sidebyside import SharedPair, side_by_side

_PURPOSE = mark(
    "Across studies sets candidates of different studies side by side, through a baseline that both have mounted. "
    "This notebook has one study."
)


class AcrossPage(RenewedPage):
    """Nothing is edited here."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self._others = OtherStudies(state)
        self._judged: list[Judged] = []
        self._wanted: int | None = None
        self.link = LinkedStudies()
        self.said = text()
        self.lines = IntervalLines(theme, tr("Candidates of several studies over the shared baseline"))
        self.lines.chosen.connect(self._explain)
        self.refused = text(style="muted")
        self._pairs_title = text(tr("The same pair, each on its own bench; nothing is pooled"), style="heading")
        self.pairs = IntervalLines(theme, tr("Pairs that several studies have"), zero=tr("no difference"))
        self.pairs.chosen.connect(self._explain_pair)
        self._agree = text()
        self.shared: list[SharedPair] = []
        self.part = choice((), tr("Part"))
        self.part.activated.connect(self._show_part)
        self.known = FigureTable(tr("What the notebook knows of a part"))
        self.column.addWidget(self.said)
        self.column.addWidget(self.lines)
        self.column.addWidget(self.refused)
        for widget in (self._pairs_title, self.pairs, self._agree):
            self.column.addWidget(widget)
        self.column.addWidget(row(text(tr("all that is known of"), style="muted", wrap=False), self.part, None))
        self.column.addWidget(self.known)

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.lines.set_theme(theme)
        self.pairs.set_theme(theme)

    def renew(self) -> None:
        verdict, study = self.state.verdict, self.state.study
        if verdict is None or study is None or self.state.notebook is None:
            self._others.forget()
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        self.said.setText(tr("Reading the other studies …"))
        first = Judged(study, verdict)
        self._others.read(lambda found: self._judge_with([first, *found]))

    def _judge_with(self, judged: list[Judged]) -> None:
        self._judged = judged
        self._show()

    def _show(self) -> None:
        first, others = self._judged[0], self._judged[1:]
        self.link = linked(first, others)
        rows = self.link.rows
        self.lines.setVisible(bool(rows))
        if rows:
            lines = []
            for r in rows:
                low, high = r.over_baseline.interval(first.study.confidence)
                digits = digits_for(high - low)
                position = self.state.position(r.candidate) if r.study == first.study.name else -1
                said = f"{number(r.over_baseline.value, digits)} K ({span(low, high, 'K', digits)})"
                lines.append(
                    IntervalLine(
                        label=r.candidate,
                        low=low,
                        middle=r.over_baseline.value,
                        high=high,
                        said=said,
                        note=r.study,
                        position=position,
                    )
                )
            self.lines.show_lines(lines, "K", tr("{baseline}, in each study", baseline=self.link.baseline))
            self.said.setText(
                tr(
                    "Kelvins over {baseline}, which each of these studies mounted, as at {power_w:g} W; "
                    "plain {confidence:g} % intervals. Candidates of different studies stand apart by "
                    "more than either line shows, as the baseline's scatter comes in twice: click one "
                    "for its differences. ",
                    baseline=self.link.baseline,
                    power_w=self.link.power_w,
                    confidence=100 * first.study.confidence,
                )
                + self.link.remark
            )
        else:
            self.said.setText(
                tr("Nothing can be linked with this study.") if others else tr("This notebook has one study.")
            )
        self.refused.setText("\n".join(tr("Not linked: {why}.", why=told(why)) for why in self.link.refused))
        self.refused.setVisible(bool(self.link.refused))
        self._show_pairs(first, others)
        listed = {c.part_id: (c.name, c.part.kind) for j in self._judged for c in j.study.live_candidates}
        names = [name for name, _ in listed.values()]
        parts = {i: name if names.count(name) < 2 else f"{name} ({kind})" for i, (name, kind) in listed.items()}
        chosen = self.part.currentData() if self._wanted is None else self._wanted
        if self._wanted is not None and self._wanted not in parts:
            self.state.trouble.emit(tr("no study of this notebook has this part as a candidate yet"))
        self._wanted = None
        if chosen not in parts:
            ranking = first.verdict.temperature.ranking()
            chosen = next((c.part_id for c in first.study.live_candidates if ranking and c.name == ranking[0]), None)
        refill(self.part, [(name, part) for part, name in sorted(parts.items(), key=lambda x: x[1])], chosen)
        self._show_part()

    def _show_pairs(self, first: Judged, others: list[Judged]) -> None:
        """Each pair that another study has too, a line for each study."""
        self.shared = side_by_side(first, others)
        lines = []
        for pair in self.shared:
            for study, step, _ in pair.rows:
                low, high = step.interval(first.study.confidence)
                digits = digits_for(high - low)
                said = f"{number(step.value, digits)} K ({span(low, high, 'K', digits)})"
                position = self.state.position(pair.a) if study == first.study.name else -1
                lines.append(
                    IntervalLine(
                        label=f"{pair.a} − {pair.b}", low=low, middle=step.value, high=high, said=said, note=study,
                        position=position,
                    )
                )  # fmt: skip
        for widget in (self._pairs_title, self.pairs, self._agree):
            widget.setVisible(bool(lines))
        if lines:
            self.pairs.show_lines(lines, "K", tr("no difference"))
        self._agree.setText(
            "\n".join(tr("{a} and {b}: {agreement}", a=p.a, b=p.b, agreement=p.agreement) for p in self.shared)
        )

    def _explain_pair(self, i: int) -> None:
        flat = [(p, row) for p in self.shared for row in p.rows]
        pair, (study, step, said) = flat[i]
        working = Working.of(
            tr("{a} and {b} ({study})", a=pair.a, b=pair.b, study=study),
            step.worked(tr("{a} less {b}", a=pair.a, b=pair.b), "d"),
        )
        working.say(tr("There"), said)
        working.say(tr("Together"), pair.agreement)
        self.working.emit(working)

    def look_at(self, part_id: int) -> None:
        """Show what is known of a part; once the studies are read."""
        self._wanted = part_id
        if self._judged and not self._others.reading:
            self._show()

    def _show_part(self) -> None:
        part = self.part.currentData()
        if part is None:
            return
        found = known_of(part, self._judged, lambda v: verdict_line(v).sentence)
        rows = []
        for k in found:
            half = None if k.mean is None else k.mean.u95
            digits = digits_for(2 * (half or 0.0))
            mean = (
                "–"
                if k.mean is None or half is None
                else f"{number(k.mean.value, digits)} ± {number(half, digits)} {k.unit}"
            )
            rows.append(
                (
                    k.study,
                    mean,
                    f"{several(k.mounts, 'mount')}, {several(k.samples, 'sample')}",
                    k.school,
                    k.place or k.said,
                )
            )
        self.known.show_rows(
            (tr("study"), tr("reading"), tr("mounts"), tr("under"), tr("where it stands")),
            rows,
            words=True,
            left={2, 3},
            opens={1: lambda i: self._explain_known(found[i])},
        )

    def _explain_known(self, k: Known) -> None:
        if k.mean is not None:
            self.working.emit(Working.of(f"{k.study}: {k.school.lower()}", k.mean))

    def _explain(self, i: int) -> None:
        self.working.emit(linked_working(self.link, self.link.rows[i]))
