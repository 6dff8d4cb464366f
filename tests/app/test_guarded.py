"""No exception leaves what Qt calls: some ended the program, in Qt's own code."""

from __future__ import annotations

import ast
import importlib
import inspect
import pkgutil
import sys
from pathlib import Path

import pytest
from PySide6.QtCore import QObject, QSize
from PySide6.QtWidgets import QLayout, QWidget

import kuffin.app
from kuffin.app.base.guarded import called_by_qt, guarded


def test_every_class_that_qt_calls_is_guarded() -> None:
    found = 0
    for module in pkgutil.walk_packages(kuffin.app.__path__, "kuffin.app."):
        for _, cls in inspect.getmembers(importlib.import_module(module.name), inspect.isclass):
            if cls.__module__ != module.name or not issubclass(cls, (QObject, QLayout)):
                continue
            for name, method in vars(cls).items():
                if called_by_qt(name) and inspect.isfunction(method):
                    found += 1
                    assert getattr(method, "guarded", False), (
                        f"{cls.__module__}.{cls.__name__}.{name}: @guarded is missing"
                    )
    assert found > 60


def test_a_fault_in_what_qt_calls_is_told_and_qt_goes_on(qapp: object, monkeypatch: pytest.MonkeyPatch) -> None:
    told: list[str] = []
    monkeypatch.setattr(sys, "excepthook", lambda kind, error, where: told.append(str(error)))

    @guarded
    class Broken(QWidget):
        def showEvent(self, event: object) -> None:
            raise ValueError("at showing")

        def sizeHint(self) -> QSize:
            raise ValueError("of size")

    outer = QWidget()
    inner = Broken(outer)
    outer.show()  # from Python through Qt back into Python: that ended the program
    assert inner.sizeHint() == QSize(200, 100)
    assert "at showing" in told and "of size" in told


def test_what_is_done_later_goes_with_who_asked_for_it() -> None:
    """A page that was gone by then was called all the same: a single shot names what it belongs to."""
    shots = [
        (path.name, node.lineno, len(node.args))
        for path in Path(kuffin.app.__file__).parent.rglob("*.py")
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8")))
        if isinstance(node, ast.Call) and isinstance(node.func, ast.Attribute) and node.func.attr == "singleShot"
    ]
    assert len(shots) > 5 and [s for s in shots if s[2] < 3] == []
