"""The Publish desk, driven: the page with its sections and own words, what will be asked, pictures, frames, tables."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

import pytest
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QPushButton

from kuffin.app.desks.publish.desk import PublishDesk
from kuffin.app.frame.window import MainWindow
from tests.app.driving import choose, pump_until, shown_words, with_dialog
from tests.verdict.test_outcomes import made


@pytest.fixture
def publishing(window: MainWindow, at_rest: Callable[[], None], tmp_path: Path) -> MainWindow:
    """Two blocks, on the Publish desk."""
    made(tmp_path, names=("Tern", "Plover")).close()
    assert window.notebooks.open_path(tmp_path / "n.kuffin")
    at_rest()
    QTest.keyClick(window, Qt.Key.Key_6, Qt.KeyboardModifier.ControlModifier)
    at_rest()
    return window


def desk(window: MainWindow) -> PublishDesk:
    shown = window.stack.currentWidget()
    assert isinstance(shown, PublishDesk)
    return shown


def settled(window: MainWindow, at_rest: Callable[[], None]) -> None:
    """Until the edit is judged, gathered and set."""
    at_rest()
    QTest.qWait(30)
    at_rest()


def press(widget: object, label: str) -> None:
    button = next(b for b in widget.findChildren(QPushButton) if b.text() == label)
    button.click()


class TestThePage:
    def test_it_is_shown_as_it_will_be_and_edits_are_seen_and_undone(
        self, publishing: MainWindow, at_rest: Callable[[], None]
    ) -> None:
        page = desk(publishing).page_page
        assert page.preview.images and page.sections.count() > 15
        before = [image.copy() for image in page.preview.images]
        item = next(i for i in range(page.sections.count()) if page.sections.item(i).text() == "Pair by pair")
        page.sections.item(item).setCheckState(Qt.CheckState.Unchecked)
        settled(publishing, at_rest)
        assert publishing.state.study.published["switched"] == {"pairs": False}
        assert page.preview.images != before
        publishing.notebooks.undo()
        settled(publishing, at_rest)
        assert page.sections.item(item).checkState() == Qt.CheckState.Checked
        assert page.preview.images[0] == before[0]

    def test_sections_move_by_keys_and_own_words_are_kept_with_live_fields_and_doubts(
        self, publishing: MainWindow, at_rest: Callable[[], None]
    ) -> None:
        page = desk(publishing).page_page
        page.sections.setCurrentRow(1)
        page.sections.setFocus()
        QTest.keyClick(page.sections, Qt.Key.Key_Up, Qt.KeyboardModifier.AltModifier)
        settled(publishing, at_rest)
        assert publishing.state.study.published["order"][:2] == ["ranking", "answer"]
        page.words.setFocus()
        QTest.keyClicks(page.words, "Tern is cooler than Plover. It rests on ")
        page.insert.menu().aboutToShow.emit()
        labels = [a.text() for a in page.insert.menu().actions()]
        assert any(label.startswith("mounts:  6") for label in labels)
        next(a for a in page.insert.menu().actions() if a.text().startswith("mounts:")).trigger()
        assert page.doubts.text().startswith("“Tern is cooler than Plover.”: Plover is cooler than Tern")
        pump_until(lambda: "words" in publishing.state.study.published)  # kept by itself soon after typing
        assert publishing.state.study.published["words"] == {
            "ranking": "Tern is cooler than Plover. It rests on {mounts}"
        }
        settled(publishing, at_rest)
        assert page.words.toPlainText().endswith("{mounts}")
        # going on typing while all is set anew loses nothing
        QTest.keyClicks(page.words, " mounts")
        page.keep_words()
        QTest.keyClicks(page.words, " of")
        settled(publishing, at_rest)
        assert page.words.toPlainText().endswith("{mounts} mounts of")
        page.sections.setCurrentRow(2)  # and it is kept when one turns to another section
        settled(publishing, at_rest)
        assert publishing.state.study.published["words"]["ranking"].endswith("mounts of")
        assert page.words.toPlainText() == ""

    def test_page_figures_and_tables_are_written_and_a_bad_folder_is_said(
        self, publishing: MainWindow, at_rest: Callable[[], None], tmp_path: Path
    ) -> None:
        page, folder = desk(publishing).page_page, tmp_path / "out"
        folder.mkdir()
        with_dialog(lambda: press(page, "Write it …"), choose(folder))
        settled(publishing, at_rest)
        assert (folder / "page.html").exists() and (folder / "page.pdf").read_bytes()[:5] == b"%PDF-"
        assert "begin with page.html" in publishing.strip.trouble.text()
        (tmp_path / "taken").write_text("")
        page.write(tmp_path / "taken" / "inside")
        settled(publishing, at_rest)
        assert "choose another folder" in publishing.strip.trouble.text()

    def test_it_is_looked_at_on_paper_on_a_screen_and_on_a_phone(
        self, publishing: MainWindow, at_rest: Callable[[], None]
    ) -> None:
        page = desk(publishing).page_page
        shapes = {}
        for i in range(page.way.count()):
            page.way.setCurrentIndex(i)
            page.way.activated.emit(i)
            at_rest()
            first = page.preview.images[0]
            shapes[page.way.currentData()] = first.height() / first.width(), first.width()
        assert abs(shapes["paper"][0] - 2**0.5) < 0.01 and shapes["phone"][0] > 1.9
        assert shapes["phone"][1] < shapes["screen"][1]


def test_what_will_be_asked_is_answered_and_leads_to_where_it_is_mended(
    publishing: MainWindow, at_rest: Callable[[], None]
) -> None:
    pages = desk(publishing)
    pages.go("asked")
    at_rest()
    asked = pages.asked
    assert "How do you know that the bench did not change in between?" in shown_words(asked)
    before = asked.open_count()
    line = asked.answers["no baseline"]
    line.setFocus()
    QTest.keyClicks(line, "It is bolted down.")
    QTest.keyClick(line, Qt.Key.Key_Return)
    settled(publishing, at_rest)
    assert publishing.state.study.published["answers"] == {"no baseline": "It is bolted down."}
    assert asked.open_count() == before - 1
    press(asked, "to Plan ›")
    assert publishing.stack.currentWidget() is publishing.plan


def test_pictures_are_looked_at_copied_written_and_built_up(
    publishing: MainWindow, at_rest: Callable[[], None], tmp_path: Path
) -> None:
    pages = desk(publishing)
    pages.go("pictures")
    at_rest()
    pictures = pages.pictures
    titles = [pictures.list.item(i).text() for i in range(pictures.list.count())]
    assert titles[0].startswith("Die over coolant, per watt") and titles[-1] == "Card with the verdict"
    assert not pictures.picture.pixmap().isNull() and pictures.alt.text().startswith("In words: ")
    QTest.keyClick(pictures, Qt.Key.Key_C, Qt.KeyboardModifier.ControlModifier)
    assert QApplication.clipboard().mimeData().hasImage() and "Plover" in QApplication.clipboard().text()
    press(pictures, "Add the runs' traces")
    at_rest()
    assert pictures.list.count() == len(titles) + 1 + 2 * 6
    pictures.list.setCurrentRow(0)
    folder = tmp_path / "pictures"
    folder.mkdir()
    for form, box in pictures.forms.items():
        box.setChecked(form != "pdf")
    with_dialog(lambda: press(pictures, "Write chosen …"), choose(folder))
    at_rest()
    assert {p.name for p in folder.iterdir()} == {"verdict.svg", "verdict.png"}
    with_dialog(lambda: press(pictures, "Frames for a video …"), choose(folder))
    at_rest()
    assert (folder / "verdict-01.png").exists() and "verdict-01.png" in (folder / "cues.txt").read_text()
    for box in pictures.forms.values():
        box.setChecked(False)
    pictures.write_all(folder)
    assert "at least one of SVG, PNG and PDF" in publishing.strip.trouble.text()


def test_an_empty_study_says_what_the_desk_is_for(
    window: MainWindow, at_rest: Callable[[], None], tmp_path: Path
) -> None:
    book = made(tmp_path, names=("Tern", "Plover"))
    from kuffin.notebook import edits

    edits.add_study(book, "Empty?", "block", ["Tern", "Plover"], 1.0)
    book.close()
    assert window.notebooks.open_path(tmp_path / "n.kuffin")
    at_rest()
    window.show_desk("Publish")
    at_rest()
    assert "there is nothing to publish" in shown_words(desk(window).page_page.preview)
    desk(window).go("data")
    assert not any(b.isEnabled() for b in desk(window).data.findChildren(QPushButton) if "Take in" not in b.text())
