"""The menus, and the keys that go with them."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import TYPE_CHECKING

from PySide6.QtGui import QAction, QActionGroup, QKeySequence
from PySide6.QtWidgets import QMenu

from kuffin.app.frame.finder import find
from kuffin.app.frame.helptexts import cautions
from kuffin.app.frame.helptexts import keys as all_keys
from kuffin.app.frame.navigation import BEHIND
from kuffin.app.look.speech import LANGUAGES
from kuffin.app.look.theme import MODES
from kuffin.app.widgets.messages import own_page
from kuffin.app.widgets.texts import no_keys
from kuffin.core.base.language import tr
from kuffin.core.base.saying import told

if TYPE_CHECKING:
    from kuffin.app.frame.window import MainWindow


class Menus:
    """Builds the menu bar of a window."""

    def __init__(self, window: MainWindow) -> None:
        self._window = window
        bar = window.menuBar()
        self.undo: QAction = QAction(tr("Undo"), window)
        self.redo: QAction = QAction(tr("Redo"), window)
        self._notebook_only: list[QAction] = []
        self._verdict_only: list[QAction] = []
        self._file(bar.addMenu(tr("&Notebook")))
        self._edit(bar.addMenu(tr("&Edit")))
        self._study(bar.addMenu(tr("&Study")))
        self._view(bar.addMenu(tr("&View")))
        self._help(bar.addMenu(tr("&Help")))

    def _add(self, menu: QMenu, label: str, act: object, keys: str = "", needs: str = "") -> QAction:
        action = QAction(label, self._window)
        action.triggered.connect(lambda _checked=False: act())  # type: ignore[operator]
        if keys:
            action.setShortcut(QKeySequence(keys))
        if needs == "notebook":
            self._notebook_only.append(action)
        elif needs == "verdict":
            self._verdict_only.append(action)
        menu.addAction(action)
        return action

    def _file(self, menu: QMenu) -> None:
        w = self._window
        self._add(menu, tr("New notebook …"), w.notebooks.new_notebook, "Ctrl+N")
        self._add(menu, tr("Open …"), w.notebooks.ask_open, "Ctrl+O")
        self.recent = menu.addMenu(tr("Open recent"))
        self.recent.aboutToShow.connect(self._fill_recent)
        self._add(menu, tr("Open the demo"), lambda: w.notebooks.open_demo())
        self._add(menu, tr("Practise on the simulated bench"), w.practise)
        self._add(menu, tr("Practise a whole study …"), self._practise_study)
        self._add(menu, tr("Write the demo's logs …"), w.notebooks.ask_demo_logs)
        menu.addSeparator()
        self._add(menu, tr("Save a copy as …"), w.notebooks.save_copy, "Ctrl+Shift+S", "notebook")
        self._add(menu, tr("Bin …"), w.notebooks.show_bin, "", "notebook")
        menu.addSeparator()
        self._add(menu, tr("Quit"), w.close, "Ctrl+Q")

    def _practise_study(self) -> None:
        from kuffin.app.frame.practising import practise_study

        practise_study(self._window)

    def _fill_recent(self) -> None:
        self.recent.clear()
        paths = self._window.settings.recent
        for path in paths:
            self._add(self.recent, no_keys(path), lambda p=path: self._window.notebooks.open_beside(p))
        if not paths:
            self.recent.addAction(tr("none yet")).setEnabled(False)

    def _edit(self, menu: QMenu) -> None:
        for action, keys, act in (
            (self.undo, "Ctrl+Z", self._window.notebooks.undo),
            (self.redo, "Ctrl+Shift+Z", self._window.notebooks.redo),
        ):
            action.setShortcut(QKeySequence(keys))
            action.triggered.connect(act)
            menu.addAction(action)
        menu.addSeparator()
        self._add(menu, tr("Copy"), self._window.copier.copy_focused, "Ctrl+C")
        self._add(menu, tr("Find …"), lambda: find(self._window), "Ctrl+K")

    def _study(self, menu: QMenu) -> None:
        w = self._window
        self._add(menu, tr("Start a study …"), w.studies.new_study, "Ctrl+Shift+N")
        self._add(menu, tr("Change the study …"), w.studies.change_study, "", "notebook")
        self._add(menu, tr("Add logs …"), w.studies.ask_logs, "Ctrl+L")
        self._add(menu, tr("Take in a data package …"), w.packages.ask, "", "notebook")
        self._add(menu, tr("Type readings …"), w.typist.ask, "Ctrl+T", "notebook")
        menu.addSeparator()
        self._add(menu, tr("Tests of this mount …"), w.studies.ask_one_mount, "", "notebook")
        self._add(menu, tr("Put this mount into the bin"), w.studies.bin_mount, "", "notebook")
        self._add(menu, tr("Put this study into the bin"), w.studies.bin_study, "", "notebook")
        menu.addSeparator()
        out = menu.addMenu(tr("Write out"))
        self._add(out, tr("Readings as CSV …"), lambda: w.studies.write_out("readings", ".csv"), "", "verdict")
        self._add(out, tr("Verdicts as CSV …"), lambda: w.studies.write_out("verdicts", ".csv"), "", "verdict")
        self._add(out, tr("Findings as CSV …"), lambda: w.studies.write_out("findings", ".csv"), "", "verdict")
        self._add(out, tr("Preparation as CSV …"), lambda: w.studies.write_out("preparation", ".csv"), "", "notebook")
        self._add(out, tr("Raw data as a package …"), w.packages.send, "", "verdict")
        self._add(out, tr("Tables as a spreadsheet …"), lambda: w.studies.write_out("tables", ".xlsx"), "", "verdict")
        self._add(out, tr("Copy the table, to paste"), w.studies.copy_table, "", "verdict")
        self._add(out, tr("Everything as JSON …"), lambda: w.studies.write_out("everything", ".json"), "", "verdict")
        self._add(out, tr("Picture as SVG …"), lambda: w.studies.write_out("picture", ".svg"), "", "verdict")
        self._add(out, tr("Picture as PDF …"), lambda: w.studies.write_out("picture", ".pdf"), "", "verdict")
        self._add(out, tr("Picture as PNG …"), lambda: w.studies.write_out("picture", ".png"), "", "verdict")

    def _view(self, menu: QMenu) -> None:
        w = self._window
        for label, name in ((tr("The shelf"), "Shelf"), (tr("The bench"), "Bench")):
            self._add(menu, label, lambda n=name: w.show_behind(n), BEHIND[name])
        self._add(menu, tr("Fold the loom"), w.fold_loom, "Ctrl+B")
        self._add(menu, tr("To the loom"), w.focus_loom, "F6")
        self._add(menu, tr("Show working"), w.explain, "F1")
        self._add(menu, tr("Do the next thing"), w.do_next, "Ctrl+Return")
        menu.addSeparator()
        self._choices(menu, "theme", MODES, w.set_mode)
        menu.addSeparator()
        self._choices(menu.addMenu(tr("Language")), "language", LANGUAGES, self._choose_language)
        sound = QAction(tr("Sound when a run settles or needs you"), w)
        sound.setCheckable(True)
        sound.setChecked(w.settings.value("sound", "on", ("on", "off")) == "on")
        sound.toggled.connect(lambda on: w.settings.set_value("sound", "on" if on else "off"))
        menu.addAction(sound)
        self._add(menu, tr("Larger text"), lambda: w.scale_text(1.1), "Ctrl++")
        self._add(menu, tr("Smaller text"), lambda: w.scale_text(1 / 1.1), "Ctrl+-")
        self._add(menu, tr("Usual text"), lambda: w.scale_text(0), "Ctrl+0")

    def _choose_language(self, language: str) -> None:
        self._window.settings.set_value("language", language)
        self._window.state.said.emit(tr("the language changes with the next start"))

    def _choices(self, menu: QMenu, key: str, named: Mapping[str, str], chosen: Callable[[str], object]) -> None:
        """A setting of which one value is ticked."""
        group = QActionGroup(self._window)
        for value, label in named.items():
            action = QAction(tr(label), self._window)
            action.setCheckable(True)
            action.setChecked(self._window.settings.value(key, "desktop", named) == value)
            action.triggered.connect(lambda _checked=False, v=value: chosen(v))
            group.addAction(action)
            menu.addAction(action)

    def _help(self, menu: QMenu) -> None:
        w = self._window
        self._add(menu, tr("Help at the bench …"), w.show_help, "Shift+F1")
        self._add(menu, tr("Two-minute tour"), w.tour.begin)
        self._add(menu, tr("Keys"), lambda: own_page(w, tr("Keys"), all_keys()))
        self._add(menu, tr("Caution at the bench"), lambda: own_page(w, tr("Caution at the bench"), cautions()))
        self._add(menu, tr("About Kuffin"), w.about)

    def renew(self) -> None:
        """Enable what can be done now, and name what Undo and Redo would do."""
        notebook = self._window.state.notebook
        for action in self._notebook_only:
            action.setEnabled(notebook is not None)
        for action in self._verdict_only:
            action.setEnabled(self._window.state.verdict is not None and self._window.state.verdict.mounts > 0)
        undo = notebook.undo_label if notebook is not None and not notebook.read_only else None
        redo = notebook.redo_label if notebook is not None and not notebook.read_only else None
        self.undo.setText(no_keys(tr("Undo: {undo}", undo=told(undo))) if undo else tr("Undo"))
        self.redo.setText(no_keys(tr("Redo: {redo}", redo=told(redo))) if redo else tr("Redo"))
        self.undo.setEnabled(undo is not None)
        self.redo.setEnabled(redo is not None)
