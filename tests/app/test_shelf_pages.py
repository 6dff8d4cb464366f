"""The shelf and the bench, driven: parts, samples, lists in and out, the loop, instruments and probes."""

from __future__ import annotations

import json
from collections.abc import Callable
from pathlib import Path

import pytest
from PIL import Image
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QLabel, QTreeWidgetItemIterator

from kuffin.app.frame.window import MainWindow
from kuffin.app.widgets.forms import NumberLine
from tests.app.driving import action, choose, drop, give, press, type_in, with_dialog, write_cell

Wait = Callable[[], None]


def listed(window: MainWindow) -> list[str]:
    found, walk = [], QTreeWidgetItemIterator(window.shelf_page.tree)
    while walk.value():
        found.append(walk.value().text(0))
        walk += 1
    return found


class TestTheShelf:
    def test_it_is_reached_from_the_first_page_and_fills_before_any_study(
        self, window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        with_dialog(window.start.shelf_wanted.emit, choose(tmp_path / "shelf.kuffin"))
        at_rest()
        assert window.pages.currentIndex() == 1 and window.stack.currentWidget() is window.shelf_desk
        page = window.shelf_page
        with_dialog(lambda: page.ask_part("processor block"), type_in("Tern"))
        at_rest()
        assert listed(window) == ["processor blocks", "Tern"]
        volume = page.form.fields["volume_ml"]
        assert isinstance(volume, NumberLine)
        give(volume, "28,5")
        at_rest()
        give(page.form.claim, "8 K cooler than Knot")
        at_rest()
        press(page.form, "Add a sample")
        at_rest()
        write_cell(page.form.samples, 1, 1, "pre-production")
        at_rest()
        (part,) = window.shelf.parts
        assert part.fields == {"volume_ml": 28.5} and part.claim == "8 K cooler than Knot"
        assert [(s.label, s.came) for s in part.live_samples] == [("1", ""), ("2", "pre-production")]
        assert listed(window) == ["processor blocks", "Tern  ·  2 samples"]
        for _ in range(3):
            action(window, window.menus.undo.text())()
            at_rest()
        (part,) = window.shelf.parts
        assert len(part.live_samples) == 1 and part.claim == ""

    def test_what_cannot_be_is_said_and_nothing_changes(self, demo_window: MainWindow, at_rest: Wait) -> None:
        page = demo_window.shelf_page
        demo_window.show_behind("Shelf")
        page.add("radiator", "reed")
        assert "there is a radiator reed on the shelf already" in demo_window.strip.trouble.text().lower()
        page.add("radiator", "  ")
        assert "needs a name" in demo_window.strip.trouble.text()
        page.look_at(next(p.id for p in demo_window.shelf.parts if p.name == "Reed"))
        press(page, "Bin it")
        assert "is a candidate of a study" in demo_window.strip.trouble.text()
        page.look_at(next(p.id for p in demo_window.shelf.parts if p.name == "Dipper"))
        press(page, "Bin it")
        assert "built into a bench" in demo_window.strip.trouble.text()
        pressure = page.form.fields["max_pressure_kpa"]
        assert isinstance(pressure, NumberLine)
        give(pressure, "a lot")
        assert "“a lot” is no number" in demo_window.strip.trouble.text()
        assert pressure.text() == "50"
        at_rest()
        press(page.form, "Remove it")
        assert "choose a sample" in demo_window.strip.trouble.text().lower()
        page.look_at(next(p.id for p in demo_window.shelf.parts if p.name == "Brook"))
        press(page, "Bin it")
        at_rest()
        assert "Brook" not in listed(demo_window)

    @pytest.mark.parametrize("ending", [".csv", ".json"])
    def test_a_list_goes_out_and_comes_into_another_notebook_as_it_was(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path, ending: str
    ) -> None:
        page, path = demo_window.shelf_page, tmp_path / f"parts{ending}"

        def told() -> list[tuple[object, ...]]:
            return [
                (p.kind, p.name, p.maker, p.price, p.currency, p.claim, p.claim_where, p.fields,
                 [(s.label, s.came) for s in p.live_samples])
                for p in demo_window.shelf.parts
            ]  # fmt: skip

        before = told()
        page.write(path)
        assert demo_window.notebooks.create(tmp_path / "other.kuffin")
        at_rest()
        demo_window.show_behind("Shelf")
        drop(page, path)
        at_rest()
        assert told() == before
        assert any(f"{len(before)} added" in label.text() for label in demo_window.strip.findChildren(QLabel))
        drop(page, path)
        at_rest()
        assert told() == before  # read twice, nothing is doubled

    @pytest.mark.parametrize(
        ("content", "says"),
        [
            ("name,price\nTern,3\n", "must name the columns"),
            ("kind,name\nengine,Tern\n", "line 2"),
            ("kind,name,price\npaste,Chalk,cheap\n", "“cheap” is no number"),
            ("kind,name,volume_ml\npump,Dipper,-4\n", "line 2"),
            ('{"parts": 7}', "a list of parts is wanted"),
            ('{"parts": [', "this is no JSON"),
        ],
    )
    def test_a_list_that_makes_no_sense_adds_nothing(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path, content: str, says: str
    ) -> None:
        before = len(demo_window.shelf.parts)
        path = tmp_path / "list.csv"
        path.write_text(content, encoding="utf-8")
        demo_window.shelf_page.read(str(path))
        at_rest()
        assert says in demo_window.strip.trouble.text()
        assert len(demo_window.shelf.parts) == before

    def test_a_photo_is_dropped_on_a_part(self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path) -> None:
        page, photo = demo_window.shelf_page, tmp_path / "fins.png"
        Image.effect_noise((90, 60), 30).save(photo)
        demo_window.show_behind("Shelf")
        page.look_at(next(p.id for p in demo_window.shelf.parts if p.name == "Reed"))
        drop(page, photo)
        at_rest()
        assert len(page.form.photos.shown) == 1
        page.look_at(next(p.id for p in demo_window.shelf.parts if p.name == "Rush"))
        assert page.form.photos.shown == []

    def test_finding_narrows_the_list(self, demo_window: MainWindow) -> None:
        QTest.keyClicks(demo_window.shelf_page.search, "hollin")
        assert "Reed" in listed(demo_window) and "Sedge" not in listed(demo_window)


class TestTheBench:
    def test_a_loop_is_built_in_order_and_its_volume_follows(self, demo_window: MainWindow, at_rest: Wait) -> None:
        page = demo_window.bench_page
        demo_window.show_behind("Bench")
        with_dialog(lambda: press(page, "Set up a bench …"), type_in("the table"))
        at_rest()
        assert page.bench is not None and page.bench.name == "the table"
        for name in ("Dipper", "Tern", "clear tube"):
            with_dialog(lambda: press(page, "Add to the loop"), type_in(name))
            at_rest()
        write_cell(page.loop, 2, 2, "500")
        at_rest()
        # π/4 · 10² mm² · 500 mm = 39.3 mL, with 45 and 28 mL of the makers' figures
        assert "about 112 " in page.sums.text()
        page.loop.setCurrentCell(2, 0)
        press(page, "Up")
        at_rest()
        assert [p.part.name for p in page.bench.loop if p.part] == ["Dipper", "clear tube", "Tern"]
        write_cell(page.loop, 1, 2, "long")
        at_rest()
        assert "“long” is no length" in demo_window.strip.trouble.text()
        demo_window.notebooks.undo()
        at_rest()
        assert [p.part.name for p in page.bench.loop if p.part] == ["Dipper", "Tern", "clear tube"]

    def test_an_instrument_says_what_it_can_be_trusted_to(self, demo_window: MainWindow, at_rest: Wait) -> None:
        page = demo_window.bench_page
        demo_window.show_behind("Bench")
        press(page, "Add an instrument")
        at_rest()
        at = page.measuring.instruments.rowCount() - 1
        assert page.measuring.instruments.item(at, 9).text() == "not said"
        for column, written in ((0, "wall plug meter"), (1, "W"), (2, "1"), (5, "2"), (6, "0.5")):
            write_cell(page.measuring.instruments, at, column, written)
            at_rest()
        # 1 % of 200 W and two counts of 0.5 W
        shown = page.measuring.instruments.item(at, 9).text()
        assert shown.endswith("W at 200 W") and 2.2 <= float(shown.split()[0]) <= 3.0
        page.measuring.instruments.setCurrentCell(at, 0)
        press(page, "Add a probe")
        at_rest()
        write_cell(page.measuring.probes, 0, 0, "power")
        at_rest()
        write_cell(page.measuring.probes, 0, 1, "at the wall")
        at_rest()
        bench = page.bench
        assert bench is not None
        assert [(p.role, p.where) for p in bench.live_instruments[-1].live_probes] == [("power", "at the wall")]
        write_cell(page.measuring.instruments, at, 2, "much")
        assert "“much” is no number" in demo_window.strip.trouble.text()

    def test_metals_that_eat_each_other_are_said_where_the_loop_is_built(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        path = tmp_path / "one.json"
        cheap = {"kind": "reservoir", "name": "Fen", "fields": {"metals": "aluminium"}}
        path.write_text(json.dumps([cheap]), encoding="utf-8")
        demo_window.shelf_page.read(str(path))
        at_rest()
        demo_window.show_behind("Bench")
        demo_window.bench_page.add_place("Fen")
        at_rest()
        assert "aluminium" in demo_window.bench_page.sums.text()
