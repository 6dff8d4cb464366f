"""The contact print: two photos, their dies' corners marked, what was covered; and all mounts' prints side by side."""

from __future__ import annotations

import base64
import io
from collections.abc import Sequence
from typing import TYPE_CHECKING, Any

import numpy as np
from PySide6.QtCore import Signal
from PySide6.QtGui import QDragEnterEvent, QDropEvent, QImage
from PySide6.QtWidgets import QCheckBox, QFileDialog, QGridLayout, QHBoxLayout, QVBoxLayout, QWidget

from kuffin.app.acts.photojobs import Added, add_photos, load_photos, map_picture
from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Task
from kuffin.app.base.settings import documents
from kuffin.app.desks.photos import CornerMarker, local_files
from kuffin.app.desks.prepare.page import PreparePage
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.forms import NumberLine, button, choice, refill, row
from kuffin.app.widgets.texts import empty, text
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number as figure
from kuffin.core.prepare.contact import Print, both_sides, read_print, turned_round
from kuffin.notebook.entities import Mount
from kuffin.notebook.photos import open_photo, photo_data
from kuffin.notebook.preparationedits import sheets_of
from kuffin.verdict.nextmount import change_to
from kuffin.verdict.planbasis import order_of
from kuffin.verdict.sheets import PRINT_SIDES, print_words

if TYPE_CHECKING:
    from kuffin.app.desks.prepare.desk import PrepareDesk


@guarded
class PrintSide(QWidget):
    """One of the two photos: dropped, marked, read."""

    photo_given = Signal(str)
    marked = Signal(list)
    turned = Signal(bool)

    def __init__(self, title: str, theme: Theme) -> None:
        super().__init__()
        self.setAcceptDrops(True)
        self.marker = CornerMarker(theme, tr("Photo of the print {title}", title=title))
        self.marker.marked.connect(self.marked)
        self.turn = QCheckBox(tr("covered and bare are the other way round"))
        self.turn.clicked.connect(self.turned)
        self.said = text(style="muted")
        self.map = text()
        self.map.setAccessibleName(tr("Map of the print {title}", title=title))
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(
            row(text(tr("The print {title}", title=title), style="heading"), None, button(tr("Photo …"), self._ask))
        )
        layout.addWidget(self.marker)
        lower = QHBoxLayout()
        lower.addWidget(self.map)
        words = QVBoxLayout()
        words.addWidget(self.said)
        words.addWidget(self.turn)
        words.addStretch(1)
        lower.addLayout(words, 1)
        layout.addLayout(lower)

    def _ask(self) -> None:
        path, _ = QFileDialog.getOpenFileName(
            self, tr("Photo of a print"), str(documents()), tr("Photos (*.jpg *.jpeg *.png)")
        )
        if path:
            self.photo_given.emit(path)

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        paths = local_files(event)
        if paths:
            self.photo_given.emit(paths[0])


class PrintPage(PreparePage):
    """The page."""

    kind = "print"

    def __init__(self, desk: PrepareDesk) -> None:
        super().__init__(desk)
        self._of: int | None = None  # the mount that the person chose
        self.which = choice([], tr("The mount whose print it is"))
        self.which.activated.connect(lambda: self.choose(self.which.currentData()))
        self.headline = text(style="heading")
        self.die_width = NumberLine("mm", tr("Width of the die"), 1, 200)
        self.die_height = NumberLine("mm", tr("Height of the die"), 1, 200)
        for box, key in ((self.die_width, "width_mm"), (self.die_height, "height_mm")):
            box.given.connect(lambda v, k=key: self._measured(k, v))
            box.refused.connect(self.state.trouble.emit)
        self.column.addWidget(
            row(
                text(tr("The print of"), wrap=False),
                self.which,
                text(tr("the die is"), style="muted", wrap=False),
                self.die_width,
                text(tr("mm wide and"), style="muted", wrap=False),
                self.die_height,
                text(tr("mm high"), style="muted", wrap=False),
            )
        )
        self.column.addWidget(self.headline)
        self.sides = {key: PrintSide(tr(title), desk.theme) for key, title in PRINT_SIDES.items()}
        both = QHBoxLayout()
        for key, side in self.sides.items():
            side.photo_given.connect(lambda path, k=key: self.take_photo(k, path))
            side.marked.connect(lambda corners, k=key: self.mark(k, corners))
            side.turned.connect(lambda on, k=key: self._turn(k, on))
            both.addWidget(side, 1)
        self.column.addLayout(both)
        self.column.addWidget(
            text(
                tr(
                    "Click the die's four corners in each photo, one after the other around it (Space "
                    "and the arrow keys do it too)."
                ),
                style="muted",
            )
        )
        self.heading(tr("All mounts"))
        self._gallery = QGridLayout()
        self._gallery.setHorizontalSpacing(14)
        self.column.addLayout(self._gallery)
        self.column.addStretch(1)
        self.prints: dict[str, Print] = {}
        self._shown: dict[str, object] = {}
        self._gallery_shown: object = None

    # --- whose print -----------------------------------------------------------------------------------------------

    @property
    def mount(self) -> Mount:
        """The mount whose print it is: the chosen one, else the one that comes off the bench, else the desk's own."""
        mounts = order_of(self.study)
        chosen = next((m for m in mounts if m.id == self._of), None)
        if chosen is not None:
            return chosen
        mine = super().mount
        before = change_to(self.study, mine, self.shelf.bench, self.shelf.parts).before
        return mine if mine.live_runs or before is None else before

    def choose(self, mount_id: object) -> None:
        """Show the print of another mount."""
        self._of = mount_id if isinstance(mount_id, int) else None
        self.prints = {}
        self.show_now()

    def sheet(self) -> dict[str, Any]:
        notebook = self.state.notebook
        return {} if notebook is None else sheets_of(notebook, [self.mount.id], "print").get(self.mount.id, {})

    # --- showing ---------------------------------------------------------------------------------------------------

    def renew(self) -> None:
        kept = self.sheet()
        refill(
            self.which,
            [(tr("{name}, round {round}", name=m.candidate.name, round=m.round), m.id) for m in order_of(self.study)],
            self.mount.id,
        )
        self.die_width.show_value(kept.get("width_mm"))
        self.die_height.show_value(kept.get("height_mm"))
        for key, side in self.sides.items():
            one: dict[str, Any] = kept.get(key, {})
            shows = (self.mount.id, one.get("photo"), tuple(map(tuple, one.get("corners", []))))
            if self._shown.get(key) != shows:
                self._shown[key] = shows
                self._open_photo(side, key, shows, one)
            side.turn.setVisible("share" in one)
            side.turn.setChecked(bool(one.get("turned")))
            side.said.setText(self._words(one))
            side.map.setPixmap(map_picture(one.get("map")))
        self.headline.setText(self._headline(kept))
        self._show_gallery()

    def _open_photo(self, side: PrintSide, key: str, shows: object, one: dict[str, Any]) -> None:
        corners = one.get("corners", [])
        photo = one.get("photo")
        side.marker.show_photo(QImage(), corners, tr("opening the photo …") if photo else tr("drop a photo here"))

        def show(_photo: int, image: QImage) -> None:
            if self._shown.get(key) == shows:  # another one is not looked at meanwhile
                side.marker.show_photo(image, corners)

        if isinstance(photo, int):
            load_photos(self.state, [(photo, tr("the print {where}", where=tr(PRINT_SIDES[key])))], show)

    def _words(self, one: dict[str, Any]) -> str:
        if "problem" in one:
            return str(one["problem"])
        if "share" not in one:
            return tr("mark the four corners of the die") if one.get("photo") else ""
        glare = one.get("glare", 0.0)
        return tr("{print} (light on the map)", print=print_words(one)) + (
            tr(". Glare hides {glare:.0f} %: photograph it again in soft light", glare=100 * glare)
            if glare > 0.15
            else ""
        )

    def _headline(self, kept: dict[str, Any]) -> str:
        read = [kept[k] for k in PRINT_SIDES if "share" in kept.get(k, {})]
        if not read:
            return tr(
                "After taking the block off, photograph the print on it and on the die, straight "
                "from above and without flash."
            )
        best = max(read, key=lambda o: o["share"])
        if "both" in kept and len(read) == 2:
            return tr(
                "{both:.0f} % of the die had paste on one side or the other; on the better print "
                "{low:.0f} to {high:.0f} %.",
                both=100 * kept["both"],
                low=100 * best["low"],
                high=100 * best["high"],
            )
        return tr(
            "{share:.0f} % of the die was covered ({low:.0f} to {high:.0f} %).",
            share=100 * best["share"],
            low=100 * best["low"],
            high=100 * best["high"],
        )

    def _show_gallery(self) -> None:
        notebook = self.state.notebook
        if notebook is None:
            return
        mounts = [m for c in self.study.live_candidates for m in c.live_mounts]
        found = sheets_of(notebook, [m.id for m in mounts], "print")
        rows = []
        for m in mounts:
            kept = found.get(m.id, {})
            one = max(
                (kept[k] for k in PRINT_SIDES if "share" in kept.get(k, {})), key=lambda o: o["share"], default=None
            )
            if one is not None:
                reading = self.state.reading(m.id)
                value = (
                    f"{figure(reading.value, 2)} K"
                    if reading is not None and reading.value is not None
                    else tr("no reading yet")
                )
                rows.append(
                    (
                        tr("{name}, round {round}", name=m.candidate.name, round=m.round),
                        one["map"],
                        f"{100 * one['share']:.0f} %",
                        value,
                    )
                )
        if rows == self._gallery_shown:
            return
        self._gallery_shown = rows
        empty(self._gallery)
        if not rows:
            self._gallery.addWidget(
                text(tr("The prints of all mounts come here, beside their readings."), style="muted"), 0, 0
            )
        for i, (label, picture, share, value) in enumerate(rows):
            image = text()
            image.setPixmap(map_picture(picture))
            image.setAccessibleName(tr("Print of {label}", label=label))
            at = 4 * (i // 6), i % 6
            for j, widget in enumerate(
                (
                    image,
                    text(label, style="small"),
                    text(tr("{share} covered", share=share)),
                    text(value, style="muted"),
                )
            ):
                self._gallery.addWidget(widget, at[0] + j, at[1])
        self._gallery.setColumnStretch(6, 1)

    # --- doing -----------------------------------------------------------------------------------------------------

    def take_photo(self, side: str, path: str) -> None:
        """Take a photo for one side."""
        mount_id = self.mount.id

        def added(photos: Added) -> None:
            if self.desk.mount is not None and self.mount.id == mount_id:
                self.keep(**{side: {"photo": photos[-1][1]}}, both=None)

        add_photos(self.state, [path], added, mount_id=mount_id, kind=f"print {side}")

    def mark(self, side: str, corners: Sequence[tuple[float, float]]) -> None:
        """Take the four corners and read the print."""
        one = dict(self.sheet().get(side, {}))
        one["corners"] = [[round(x, 1), round(y, 1)] for x, y in corners]
        self._read(side, one)

    def _turn(self, side: str, on: bool) -> None:
        self._read(side, {**self.sheet().get(side, {}), "turned": on})

    def _measured(self, key: str, value: float | None) -> None:
        self.keep(**{key: value})
        for side in PRINT_SIDES:
            if len(self.sheet().get(side, {}).get("corners", [])) == 4:
                self._read(side, dict(self.sheet()[side]))

    def _read(self, side: str, one: dict[str, Any]) -> None:
        notebook, mount_id = self.state.notebook, self.mount.id
        if notebook is None or not one.get("photo"):
            return
        width, height = self.sheet().get("width_mm"), self.sheet().get("height_mm")
        aspect = width / height if width and height else 1.0
        photo, corners, turned = one["photo"], one["corners"], bool(one.get("turned"))

        def work(_task: Task) -> tuple[Print, str]:
            image = np.asarray(open_photo(photo_data(notebook, photo), tr("the print")))
            found = read_print(image, corners, aspect)
            found = turned_round(found) if turned else found
            return found, _map_png(found)

        def done(result: tuple[Print, str]) -> None:
            if self.desk.mount is None or self.mount.id != mount_id:
                return
            found, png = result
            self.prints[side] = found
            numbers = {
                "share": found.share,
                "low": found.low,
                "high": found.high,
                "thin": found.thin_share,
                "glare": found.glare_share,
            }
            kept = {k: v for k, v in one.items() if k != "problem"}
            values: dict[str, Any] = {side: {**kept, **{k: round(v, 4) for k, v in numbers.items()}, "map": png}}
            values["both"] = (
                round(both_sides(self.prints["block"], self.prints["die"])[0], 4) if len(self.prints) == 2 else None
            )
            self.keep(**values)

        def failed(sentence: str) -> None:
            self.keep(**{side: {"photo": photo, "corners": corners, "problem": sentence}})

        self.state.jobs.start(tr("reading the print"), work, done, failed)

    def forget(self) -> None:
        """Another mount is on the desk."""
        self.prints, self._of = {}, None


def _map_png(found: Print, side: int = 96) -> str:
    """A small picture of how thickly a print is covered: dark is full, light is thin, white is bare."""
    from PIL import Image

    levels = np.where(found.covered, 255 - 175 * np.clip(found.fill, 0, 1), 250).astype(np.uint8)
    image = Image.fromarray(levels, "L")
    image.thumbnail((side, side))
    out = io.BytesIO()
    image.save(out, "PNG")
    return base64.b64encode(out.getvalue()).decode("ascii")
