"""Names, notes and channels that people and files bring are shown as they are: never markup, a formula, or a key."""

from __future__ import annotations

import ast
import csv
import io
from pathlib import Path

import pytest
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QAbstractButton, QLabel, QWidget

import kuffin.app
from kuffin.app.acts.exporting import write_picture, write_table
from kuffin.app.frame.window import MainWindow
from kuffin.app.widgets.paged import PagedDesk
from kuffin.core.base import csvtext
from kuffin.notebook import edits, planedits, preparationedits, shelf
from kuffin.notebook.entities import Run, Study
from tests.app.test_run_desk import AtRest

APP = Path(kuffin.app.__file__).parent
EVIL = '<img src="/dev/zero"><b>&amp; & bold</b>'


def calls(tree: ast.AST, names: set[str]) -> list[ast.Call]:
    return [
        node
        for node in ast.walk(tree)
        if isinstance(node, ast.Call)
        and (node.func.attr if isinstance(node.func, ast.Attribute) else getattr(node.func, "id", "")) in names
    ]


def fixed(node: ast.expr) -> bool:
    """Whether a text is Kuffin's own: written out in the code."""
    if isinstance(node, ast.Call) and getattr(node.func, "id", "") == "tr" and not node.keywords:
        return fixed(node.args[0]) or (isinstance(node.args[0], ast.Attribute) and node.args[0].attr == "effect")
    return isinstance(node, ast.Constant) or (
        isinstance(node, ast.JoinedStr) and all(isinstance(v, ast.Constant) for v in node.values)
    )


@pytest.mark.parametrize("path", sorted(APP.rglob("*.py")), ids=lambda p: str(p.relative_to(APP)))
def test_the_code_makes_labels_boxes_and_tips_in_one_way(path: Path) -> None:
    name = str(path.relative_to(APP))
    tree = ast.parse(path.read_text(encoding="utf-8"))
    if name != "widgets/texts.py":
        assert not calls(tree, {"QLabel", "QFormLayout"}), "use bits.Text, bits.text or bits.Form"
    if name != "widgets/messages.py":
        assert not [c for c in calls(tree, {"QMessageBox", "question", "information", "warning", "critical"})]
    for call in calls(tree, {"setToolTip", "showText"}):
        said = call.args[1 if getattr(call.func, "attr", "") == "showText" else 0]
        own = (
            fixed(said) or isinstance(said, (ast.IfExp, ast.BoolOp)) or name in {"widgets/forms.py", "frame/window.py"}
        )
        wrapped = isinstance(said, ast.Call) and getattr(said.func, "id", "") == "plain_tip"
        words = isinstance(said, ast.Call) and "threshold" in ast.dump(said)
        assert own or wrapped or words, f"{name}: {ast.unparse(call)}"


@pytest.fixture
def evil(demo_window: MainWindow, at_rest: AtRest) -> MainWindow:
    """The demo with markup wherever a person or a file can bring text."""
    window = demo_window
    book, study = window.state.notebook, window.state.study
    assert book is not None and study is not None
    with book.edit("names") as session:
        one = session.get_one(Study, study.id)
        one.question = one.name = EVIL
        one.candidates[0].name = EVIL
        one.candidates[0].part.name = one.candidates[0].part.maker = one.candidates[0].part.note = EVIL
        one.candidates[0].part.claim = one.candidates[0].part.claim_where = EVIL
        for part_sample in one.candidates[0].part.samples:
            part_sample.label = EVIL[:20]
        for mount in one.candidates[0].mounts:
            mount.note = EVIL
            for run in mount.runs:
                run.note = run.source = EVIL
                for channel in run.channels[:3]:
                    channel.name = EVIL + channel.name
        bench = one.bench_id
    mount = window.state.mounts()[0]
    edits.leave_out(book, mount.id, "it", EVIL)
    preparationedits.set_note(book, mount.id, EVIL)
    if bench is not None:
        instrument = shelf.keep_instrument(book, bench, None, name=EVIL)
        shelf.set_probes(book, instrument, [("die", EVIL, EVIL)])
    kept = planedits.keep_protocol(book, EVIL, tuple(window.shelf.steps), planedits.Limits())
    edits.change_study(book, study.id, EVIL, protocol_id=kept)
    at_rest()
    return window


def walk(window: MainWindow, at_rest: AtRest) -> list[QWidget]:
    for desk in ("Plan", "Prepare", "Run", "Inspect", "Compare", "Shelf", "Bench"):
        window.show_desk(desk)
        at_rest()
        for pages in [p for p in window.findChildren(PagedDesk) if p.isVisible()]:
            for key in pages.keys:
                pages.go(key)
                at_rest()
    return window.findChildren(QWidget)


def test_markup_is_text_on_every_desk(evil: MainWindow, at_rest: AtRest, tmp_path: Path) -> None:
    window = evil
    window.open_mount(window.state.mounts()[0].id)
    at_rest()
    seen = 0
    for widget in walk(window, at_rest):
        if isinstance(widget, QLabel):
            assert widget.textFormat() == Qt.TextFormat.PlainText or not widget.text(), widget.text()
            seen += "<img" in widget.text()
        if isinstance(widget, QAbstractButton) and EVIL[:12] in widget.text():
            assert "&&amp; &&" in " ".join(widget.text().split())  # a narrow table breaks it between its figures
        tip = widget.toolTip()
        assert "<img" not in tip, tip
    assert seen >= 5
    assert "&&amp; &&" in window.menus.undo.text() or "&" not in window.menus.undo.text()
    window.explain()
    write_picture(window.state.verdict, "light", tmp_path / "x.svg")
    drawn = (tmp_path / "x.svg").read_text()
    assert "<img" not in drawn and "&lt;img" in drawn


@pytest.mark.parametrize(
    ("value", "written"),
    [
        ("=1+1", "'=1+1"),
        ("@SUM(A1)", "'@SUM(A1)"),
        ("+cmd|' /C calc'!A0", "'+cmd|' /C calc'!A0"),
        ("-2+3", "'-2+3"),
        ("\tx", "'\tx"),
        (" =1", "' =1"),
        ("-3.5", "-3.5"),
        ("+1,5", "+1,5"),
        (-3.5, -3.5),
        ("−0.5", "−0.5"),
        ("plain", "plain"),
        ("it's", "it's"),
        (None, ""),
        (0, 0),
    ],
)
def test_a_cell_is_never_a_formula(value: object, written: object) -> None:
    assert csvtext.cell(value) == written
    if isinstance(value, str):
        assert csvtext.plain(str(written)) == value


def test_exports_carry_no_formulas(evil: MainWindow, at_rest: AtRest, tmp_path: Path) -> None:
    book, study = evil.state.notebook, evil.state.study
    assert book is not None and study is not None
    with book.edit("names") as session:
        one = session.get_one(Study, study.id)
        one.candidates[0].name = "=HYPERLINK(1)"
        session.get_one(Run, one.candidates[0].mounts[0].runs[0].id).source = "@x"
    at_rest()
    for what in ("verdicts", "readings", "findings"):
        target = tmp_path / f"{what}.csv"
        write_table(evil.state.verdict, target, what)
        cells = [c for r in csv.reader(io.StringIO(target.read_text())) for c in r if c]
        assert not [c for c in cells if c[:1] in set("=@\t") or (c[:1] in "+-" and not c[1:2].isdigit())]
        assert what == "findings" or "'=HYPERLINK(1)" in cells
