"""The page as it will be: on paper, on a screen, on a phone; set in the background, shown sheet by sheet."""

from __future__ import annotations

from typing import TYPE_CHECKING

from PySide6.QtCore import QRect, QSize, Qt, Signal
from PySide6.QtGui import QImage, QPainter, QPen, QResizeEvent
from PySide6.QtWidgets import QScrollArea, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Job, Jobs, Task
from kuffin.app.widgets.painted import Painted
from kuffin.app.widgets.texts import empty, text
from kuffin.core.base.language import in_english, mark, tr

if TYPE_CHECKING:
    from kuffin.publish.page.layout import PageLayout
    from kuffin.publish.page.material import Material

# how it is looked at: label, and the rules that make a sheet of it
WAYS = (("paper", mark("On paper")), ("screen", mark("On a screen")), ("phone", mark("On a phone")))
_SHEETS = {
    "paper": "",
    "screen": "@page { size: 1000px 1400px; margin: 0; }",
    "phone": "@page { size: 400px 800px; margin: 0; } nav ol { columns: 1; } figure svg { "
    "min-width: 34rem; } table { min-width: 30rem; }",
}


@guarded
class PaperSheet(Painted):
    """One sheet, drawn as wide as it is; only while it is seen."""

    def __init__(self, image: QImage, name: str) -> None:
        super().__init__()
        self.image, self._drawn = image, QImage()
        self.setAccessibleName(name)

    def fit(self, width: int) -> None:
        """Take a width."""
        self.setFixedSize(width, int(width * self.image.height() / max(self.image.width(), 1)))

    def draw(self, painter: QPainter, seen: QRect) -> None:
        ratio = self.devicePixelRatioF()
        dots = int(self.width() * ratio)
        if self._drawn.width() != dots:  # made small well, once for each width
            self._drawn = self.image.scaledToWidth(dots, Qt.TransformationMode.SmoothTransformation)
            self._drawn.setDevicePixelRatio(ratio)
        painter.drawImage(0, 0, self._drawn)
        painter.setPen(QPen(self.palette().mid().color()))
        painter.drawRect(self.rect().adjusted(0, 0, -1, -1))


@guarded
class Preview(QScrollArea):
    """Sheets below each other, as wide as there is room for. `ready` tells when they are there."""

    ready = Signal()
    failed = Signal(str)

    def __init__(self, jobs: Jobs) -> None:
        super().__init__()
        self._jobs = jobs
        self._job: Job | None = None
        self.images: list[QImage] = []
        self._sheets: list[PaperSheet] = []
        self._inside = QWidget()
        self._column = QVBoxLayout(self._inside)
        self._column.setContentsMargins(0, 0, 8, 0)
        self._column.setSpacing(10)
        self.setWidget(self._inside)
        self.setWidgetResizable(True)
        self.setAccessibleName(tr("The page as it will be"))
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)

    def sizeHint(self) -> QSize:
        return QSize(560, 600)

    def show_page(self, m: Material, layout: PageLayout, theme: str, way: str) -> None:
        """Set the page and show it; what was shown stays until then."""
        if self._job is not None:
            self._job.cancel()

        @in_english()
        def work(job: Task) -> list[QImage]:
            import pypdfium2

            from kuffin.publish.page.writing import page_html, page_pdf

            html = page_html(m, layout, theme, extra_style=_SHEETS[way], report=lambda x: job.report(0.4 * x))
            job.report(0.45)
            pdf = pypdfium2.PdfDocument(page_pdf(html, media="print" if way == "paper" else "screen"))
            images = []
            for i in range(len(pdf)):
                job.report(0.8 + 0.2 * i / len(pdf))
                images.append(_image(pdf[i], way))
            pdf.close()
            return images

        def done(images: list[QImage]) -> None:
            self._job = None
            self.show_images(images)
            self.ready.emit()

        def failed(sentence: str) -> None:
            self._job = None
            self.say(sentence)
            self.failed.emit(sentence)

        self._job = self._jobs.start(tr("setting the page"), work, done, failed)

    @property
    def busy(self) -> bool:
        """Whether a page is being set."""
        return self._job is not None

    def say(self, words: str) -> None:
        """Show words instead of a page."""
        if self._job is not None:
            self._job.cancel()
            self._job = None
        self.images = []
        empty(self._column)
        self._sheets = []
        self._column.addWidget(text(words, style="muted"))
        self._column.addStretch()

    def show_images(self, images: list[QImage]) -> None:
        """Show sheets; where one stands stays."""
        at = self.verticalScrollBar().value()
        self.images = images
        empty(self._column)
        self._sheets = []
        for i, image in enumerate(images, 1):
            sheet = PaperSheet(image, tr("Sheet {i} of {images}", i=i, images=len(images)))
            self._column.addWidget(sheet, 0, Qt.AlignmentFlag.AlignHCenter)
            self._sheets.append(sheet)
        self._column.addStretch()
        self._fit()
        self.verticalScrollBar().setValue(at)

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._fit()

    def _fit(self) -> None:
        room = max(self.viewport().width() - 12, 120)
        for sheet in self._sheets:
            sheet.fit(min(room, int(sheet.image.width() / 1.5)))


def _image(sheet: object, way: str) -> QImage:
    """A sheet in half as many dots again as it is shown with."""
    points = 850.0 if way != "phone" else 400.0
    scale = 1.5 * points / float(sheet.get_width())  # type: ignore[attr-defined]
    drawn = sheet.render(scale=scale, rev_byteorder=True, prefer_bgrx=True)  # type: ignore[attr-defined]
    made = QImage(drawn.buffer, drawn.width, drawn.height, drawn.stride, QImage.Format.Format_RGBX8888)
    return made.copy()  # the sheet's own memory ends with it
