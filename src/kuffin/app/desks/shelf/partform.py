"""One part: what its kind needs, what it cost, what its maker claims, its samples, its photos."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from typing import Any

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QAction
from PySide6.QtWidgets import (
    QComboBox,
    QFileDialog,
    QLineEdit,
    QMenu,
    QPlainTextEdit,
    QToolButton,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.acts.photojobs import add_photos
from kuffin.app.base.settings import documents
from kuffin.app.desks.photos import PhotoStrip
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.app.widgets.forms import NumberLine, WritingTable, button, choice, row, with_unit
from kuffin.app.widgets.texts import Form, text
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.bench.partfields import Field, tolerance_key
from kuffin.core.bench.parts import CAME, gaps, kind_of
from kuffin.notebook import edits, photos, shelf
from kuffin.notebook.entities import Part, Sample


class Several(QToolButton):
    """Some of a few choices, ticked in a menu."""

    given = Signal(object)

    def __init__(self, options: tuple[str, ...], name: str) -> None:
        super().__init__()
        self.setObjectName("several")
        self.setAccessibleName(name)
        self.setPopupMode(QToolButton.ToolButtonPopupMode.InstantPopup)
        menu = QMenu(self)
        self._actions: list[QAction] = []
        for option in options:
            action = menu.addAction(tr(option))
            action.setData(option)
            action.setCheckable(True)
            action.triggered.connect(lambda _on: self._tell())
            self._actions.append(action)
        self.setMenu(menu)
        self.show_value([])

    def show_value(self, chosen: list[str]) -> None:
        """Show what is chosen."""
        for action in self._actions:
            action.setChecked(action.data() in chosen)
        self.setText((", ".join(tr(c) for c in chosen) or tr("choose …")) + "  ▾")

    def _tell(self) -> None:
        chosen = [str(a.data()) for a in self._actions if a.isChecked()]
        self.show_value(chosen)
        self.given.emit(chosen)


class PartForm(QWidget):
    """The form; it is built anew where another kind is shown."""

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state
        self.part: Part | None = None
        self._kind = ""
        self._filling = False
        self.fields: dict[str, QWidget] = {}
        self._layout = QVBoxLayout(self)
        self._layout.setContentsMargins(0, 0, 6, 0)
        self._layout.setSpacing(8)
        self._body: QWidget | None = None

    def show_part(self, part: Part | None) -> None:
        """Show a part, or nothing."""
        self.part = part
        if part is None:
            self._clear()
            return
        if part.kind != self._kind or self._body is None:
            self._build(part.kind)
        self._filling = True
        self._fill(part)
        self._filling = False

    def _clear(self) -> None:
        if self._body is not None:
            self._body.hide()
            self._body.deleteLater()
            self._body, self._kind = None, ""

    # --- building --------------------------------------------------------------------------------------------------

    def _build(self, kind: str) -> None:
        self._clear()
        self._kind, self.fields = kind, {}
        self._body = QWidget()
        column = QVBoxLayout(self._body)
        column.setContentsMargins(0, 0, 0, 0)
        form = Form()
        form.setLabelAlignment(Qt.AlignmentFlag.AlignLeft)
        form.setHorizontalSpacing(14)
        form.setVerticalSpacing(5)
        self.name = self._line(lambda t: self._change(say("rename a part"), name=t))
        self.maker = self._line(lambda t: self._change(say("change the maker"), maker=t))
        form.addRow(tr("name"), self.name)
        form.addRow(tr("maker"), self.maker)
        for field in kind_of(kind).fields:
            form.addRow(tr(field.label), self._field(field))
        self.price = NumberLine("", tr("Price"), 0, 1e7)
        self.price.given.connect(lambda v: self._change(say("change the price"), price=v))
        self.price.refused.connect(self._state.trouble.emit)
        self.currency = self._line(lambda t: self._change(say("change the currency"), currency=t))
        self.currency.setPlaceholderText(tr("currency"))
        DigitWidths(self.currency, most=12.5)
        form.addRow(tr("price"), row(self.price, self.currency))
        self.claim = self._line(lambda t: self._change(say("change what its maker claims"), claim=t))
        self.claim_where = self._line(lambda t: self._change(say("change where it is claimed"), claim_where=t))
        form.addRow(tr("its maker claims"), self.claim)
        form.addRow(tr("where"), self.claim_where)
        column.addLayout(form)
        self._missing = text(style="small")
        column.addWidget(self._missing)
        column.addWidget(text(tr("Samples"), style="heading"))
        self.samples = WritingTable(
            [tr("label"), tr("how it came"), tr("note")], tr("Samples"), self._sample_options, stretch=2
        )
        self.samples.written.connect(self._sample_written)
        column.addWidget(self.samples)
        column.addWidget(row(button(tr("Add a sample"), self._add_sample), button(tr("Remove it"), self._bin_sample)))
        self.note = QPlainTextEdit()
        self.note.setPlaceholderText(tr("notes"))
        self.note.setAccessibleName(tr("Notes on the part"))
        self.note.setTabChangesFocus(True)
        self.note.setFixedHeight(56)
        self.note.focusOutEvent = self._noted  # type: ignore[method-assign]
        column.addWidget(self.note)
        self.photos = PhotoStrip(self._state)
        self.photos.removed.connect(lambda i: self._edit(photos.bin_photo, i))
        column.addWidget(row(button(tr("Add photos …"), self._ask_photos), self.photos, None))
        column.addStretch(1)
        self._layout.addWidget(self._body)

    def _line(self, take: Callable[[str], None]) -> QLineEdit:
        line = QLineEdit()
        line.editingFinished.connect(lambda: take(line.text().strip()))
        return line

    def _field(self, field: Field) -> QWidget:
        made: QWidget
        label = tr(field.label)
        if field.kind == "number":
            number = self._number(field.key, field.unit, label, field.low, field.high)
            if not field.toleranced:
                return with_unit(number, field.unit)
            around = self._number(
                tolerance_key(field.key), field.unit, tr("Tolerance of {label}", label=label), 0.0, field.high
            )
            DigitWidths(around, most=6.5)
            return row(
                number, text("±", style="muted", wrap=False), around, text(field.unit, style="muted", wrap=False)
            )
        if field.kind == "choice":
            box = choice([("", None), *((tr(o), o) for o in field.options)], label)
            box.activated.connect(lambda _i, b=box, k=field.key: self._set(k, b.currentData()))
            made = box
        elif field.kind == "several":
            several = Several(field.options, label)
            several.given.connect(lambda v, k=field.key: self._set(k, v))
            made = several
        else:
            made = self._line(lambda t, k=field.key: self._set(k, t or None))  # type: ignore[misc]
            made.setAccessibleName(label)
        self.fields[field.key] = made
        return row(made)

    def _number(self, key: str, unit: str, name: str, low: float, high: float) -> NumberLine:
        made = NumberLine(unit, name, low, high)
        made.given.connect(lambda v: self._set(key, v))
        made.refused.connect(self._state.trouble.emit)
        self.fields[key] = made
        return made

    # --- showing ---------------------------------------------------------------------------------------------------

    def _fill(self, part: Part) -> None:
        for line, value in (
            (self.name, part.name),
            (self.maker, part.maker),
            (self.currency, part.currency),
            (self.claim, part.claim),
            (self.claim_where, part.claim_where),
        ):
            if not line.hasFocus():
                line.setText(value)
        self.price.show_value(part.price)
        for key, widget in self.fields.items():
            kept = part.fields.get(key)
            if isinstance(widget, NumberLine):
                widget.show_value(kept)
            elif isinstance(widget, QComboBox):
                widget.setCurrentIndex(max(0, widget.findData(kept)))
            elif isinstance(widget, Several):
                widget.show_value(list(kept or []))
            elif isinstance(widget, QLineEdit) and not widget.hasFocus():
                widget.setText(kept or "")
        missing = gaps(part.kind, part.fields)
        self._missing.setText(
            tr("Still blank: {missing}. What is blank is estimated, and said to be.", missing=", ".join(missing))
            if missing
            else ""
        )
        self.samples.fill(
            [[s.label, s.came, s.note] for s in part.live_samples], data=[s.id for s in part.live_samples]
        )
        self.samples.fit(5)
        if not self.note.hasFocus():
            self.note.setPlainText(part.note)
        if self._state.notebook is not None:
            self.photos.show_photos(photos.photos(self._state.notebook, part_id=part.id))

    # --- writing ---------------------------------------------------------------------------------------------------

    def _edit(self, act: Callable[..., Any], *args: object, **kwargs: object) -> object:
        if self._filling or self._state.notebook is None:
            return None
        return self._state.attempt(act, self._state.notebook, *args, **kwargs)

    def _change(self, label: str, **values: object) -> None:
        part = self.part
        if part is not None and any(getattr(part, k) != v for k, v in values.items()):
            self._edit(shelf.change_part, part.id, label, **values)
            if self.part is not None:
                self.show_part(self.part)

    def _set(self, key: str, value: object) -> None:
        part = self.part
        if part is not None and part.fields.get(key) != value:
            kept = {k: v for k, v in part.fields.items() if k != key}
            label = next(say(f.label) for f in kind_of(part.kind).kept if f.key == key)
            fields = kept if value in (None, []) else {**kept, key: value}
            self._edit(
                shelf.change_part, part.id, say("change {label} of {name}", label=label, name=part.name), fields=fields
            )

    def _noted(self, event: object) -> None:
        QPlainTextEdit.focusOutEvent(self.note, event)  # type: ignore[arg-type]
        self._change(say("note on a part"), note=self.note.toPlainText().strip())

    def _sample_options(self, _at: int, column: int) -> list[str] | None:
        return ["", *CAME] if column == 1 else None

    def _sample_written(self, at: int, column: int, written: str) -> None:
        sample_id = self.samples.data_of(at)
        if isinstance(sample_id, int):
            key = ("label", "came", "note")[column]
            if key == "label" and not written.strip():
                self._state.trouble.emit(tr("a sample needs a label"))
            else:
                self._edit(shelf.change_sample, sample_id, **{key: written.strip()})
        if self.part is not None:
            self.show_part(self.part)

    def _add_sample(self) -> None:
        if self.part is not None:
            taken = {s.label for s in self.part.live_samples}
            label = next(str(n) for n in range(1, len(taken) + 2) if str(n) not in taken)
            self._edit(shelf.add_sample, self.part.id, label)

    def _bin_sample(self) -> None:
        sample_id = self.samples.data_of(self.samples.currentRow()) if self.samples.currentRow() >= 0 else None
        if not isinstance(sample_id, int) or self.part is None:
            self._state.trouble.emit(tr("choose a sample in the table first"))
        elif len(self.part.live_samples) < 2:
            self._state.trouble.emit(tr("a part has at least one sample; put the part into the bin instead"))
        else:
            self._edit(edits.to_bin, Sample, sample_id, say("a sample of {name}", name=self.part.name))

    def _ask_photos(self) -> None:
        paths, _ = QFileDialog.getOpenFileNames(
            self, tr("Add photos"), str(documents()), tr("Photos (*.jpg *.jpeg *.png)")
        )
        self.add_photos(paths)

    def add_photos(self, paths: Sequence[str]) -> None:
        """Attach photos to the part."""
        if self.part is not None:
            add_photos(self._state, paths, part_id=self.part.id)
