"""Readings without a log: asked for in a dialog, and kept when the person says so."""

from __future__ import annotations

from PySide6.QtCore import QObject
from PySide6.QtWidgets import QWidget

from kuffin.app.state.windowstate import State
from kuffin.core.base.language import tr
from kuffin.core.bench.outcomes import MEASURED
from kuffin.core.bench.roles import SIGNALS
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.heat.normalise import School
from kuffin.notebook.entities import Study
from kuffin.notebook.typedruns import add_typed
from kuffin.reading.evaluating import school_of


def wanted_roles(study: Study) -> list[str]:
    """The roles that a study's school needs, then those that one usually looks at beside it."""
    school: School = school_of(study)
    needed = [school.part, school.over or "", "power" if school.per_watt else "", "air"]
    roles = [SIGNALS[s].roles[0] if s in SIGNALS else s for s in needed if s]
    usual = [MEASURED[k].role for k in kind_under_test(study.under_test).outcomes if MEASURED[k].role]
    return list(dict.fromkeys([*roles, *usual]))


class Typist(QObject):
    """Leads from the menu to kept readings."""

    def __init__(self, state: State, window: QWidget) -> None:
        super().__init__(window)
        self._state, self._window = state, window

    def ask(self) -> None:
        """Ask for readings of the mount that is chosen, or of another one."""
        from kuffin.app.dialogs.typereadings import TypeReadings  # only when it is needed

        study, notebook = self._state.study, self._state.notebook
        if study is None or notebook is None:
            return
        if not study.live_candidates:
            self._state.trouble.emit(tr("this study has no candidates yet; name them on the Plan desk first"))
            return
        verdict = self._state.verdict
        conditions = [c.name for c in verdict.conditions] if verdict is not None else []
        dialog = TypeReadings(study, self._state.mount(), wanted_roles(study), conditions, self._window)
        if dialog.exec():
            self._state.attempt(add_typed, notebook, study.id, [dialog.typed()])
