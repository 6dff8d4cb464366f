"""Numbers one types: decimal comma and point are taken for what they are on every desktop."""

from __future__ import annotations

import re
from pathlib import Path

import pytest
from PySide6.QtCore import QLocale, Qt
from pytestqt.qtbot import QtBot

import kuffin
from kuffin.app.widgets.numberspin import NumberSpin


@pytest.mark.parametrize("language", [QLocale.Language.German, QLocale.Language.English, QLocale.Language.French])
@pytest.mark.parametrize(
    ("typed", "value"), [("1.5", 1.5), ("1,5", 1.5), ("0.05", 0.05), ("-12,25", -12.25), ("7", 7.0)]
)
def test_comma_and_point_are_both_the_decimal_sign(
    qtbot: QtBot, language: QLocale.Language, typed: str, value: float
) -> None:
    spin = NumberSpin()
    qtbot.addWidget(spin)
    spin.setLocale(QLocale(language))
    spin.setRange(-100, 100)
    spin.setSuffix(" K")
    spin.setValue(3.0)
    spin.selectAll()
    qtbot.keyClicks(spin, typed)
    qtbot.keyClick(spin, Qt.Key.Key_Return)
    assert spin.value() == value
    sign = QLocale(language).decimalPoint()
    assert spin.text() == f"{value:.2f} K".replace(".", sign)
    qtbot.keyClick(spin, Qt.Key.Key_Up)
    assert spin.value() == value + 1


def test_what_is_no_number_is_not_taken(qtbot: QtBot) -> None:
    spin = NumberSpin()
    qtbot.addWidget(spin)
    spin.setRange(0.05, 50)
    spin.setValue(1.0)
    spin.selectAll()
    qtbot.keyClicks(spin, "x1,000.5e")  # letters and second signs do not come in
    assert spin.text() == "1,0005"
    spin.selectAll()
    qtbot.keyClicks(spin, "99")
    qtbot.keyClick(spin, Qt.Key.Key_Return)
    assert 0.05 <= spin.value() <= 50


def test_no_other_kind_of_field_for_numbers_is_used() -> None:
    found = {
        str(path)
        for path in (Path(kuffin.__file__).parent / "app").rglob("*.py")
        if path.name != "numberspin.py" and re.search(r"QDoubleSpinBox\(|getDouble", path.read_text())
    }
    assert found == set()
