"""The house itself: small modules, docstrings, a light start, links that lead somewhere."""

from __future__ import annotations

import ast
import doctest
import importlib
import re
import subprocess
import sys
import tomllib
from pathlib import Path

import pytest

from kuffin.notebook.entities import SCHEMA_VERSION

ROOT = Path(__file__).resolve().parents[1]
PAGES = ["README.md", "CONTRIBUTING.md", *(str(p.relative_to(ROOT)) for p in sorted((ROOT / "docs").rglob("*.md")))]
MODULES = sorted((ROOT / "src" / "kuffin").rglob("*.py"))


@pytest.mark.parametrize("path", MODULES, ids=lambda p: str(p.relative_to(ROOT / "src")))
def test_a_module_says_what_it_is(path: Path) -> None:
    source = path.read_text(encoding="utf-8")
    tree = ast.parse(source)
    assert ast.get_docstring(tree)
    for node in tree.body:
        if isinstance(node, (ast.FunctionDef, ast.ClassDef)) and not node.name.startswith("_"):
            assert ast.get_docstring(node), f"{path.name}: {node.name} has no docstring"


@pytest.mark.parametrize("room", ["core", "logs", "notebook", "reading", "verdict", "said"])
def test_whoever_calls_something_is_told_what_it_does(room: str) -> None:
    bare = []
    for path in sorted((ROOT / "src" / "kuffin" / room).rglob("*.py")):
        for kind in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if isinstance(kind, ast.ClassDef) and not kind.name.startswith("_"):
                of_it = [n for n in kind.body if isinstance(n, ast.FunctionDef) and not n.name.startswith("_")]
                bare += [f"{kind.name}.{n.name}" for n in of_it if not ast.get_docstring(n)]
    assert bare == []


def test_what_many_call_shows_an_example_that_is_run() -> None:
    """Of each function of the core that several modules call."""
    users: dict[str, set[Path]] = {}
    for path in MODULES:
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if isinstance(node, ast.ImportFrom) and (node.module or "").startswith("kuffin.core"):
                for name in node.names:
                    users.setdefault(name.name, set()).add(path)
    without = [
        node.name
        for path in sorted((ROOT / "src" / "kuffin" / "core").rglob("*.py"))
        for node in ast.parse(path.read_text(encoding="utf-8")).body
        if isinstance(node, ast.FunctionDef) and not node.name.startswith("_") and len(users.get(node.name, ())) > 1
        if ">>>" not in (ast.get_docstring(node) or "")
    ]
    assert without == []


def test_tests_touch_nothing_that_is_a_modules_own() -> None:
    """They read what a person or another module could read; `os._exit` is how Python ends a process at once."""
    touched = []
    for path in sorted((ROOT / "tests").rglob("*.py")):
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            of_itself = isinstance(node, ast.Attribute) and ast.unparse(node.value) in {"self", "cls", "os"}
            if isinstance(node, ast.Attribute) and re.match("_[a-z]", node.attr) and not of_itself:
                touched.append(f"{path.name}: {ast.unparse(node)}")
            if isinstance(node, ast.Call) and ast.unparse(node.func).endswith("setattr"):
                named = [a.value for a in node.args if isinstance(a, ast.Constant)]
                touched += [f"{path.name}: {n}" for n in named if re.match(r"([a-z.]+\.)?_[a-z]", str(n))]
            if isinstance(node, ast.ImportFrom):
                touched += [f"{path.name}: {n.name}" for n in node.names if re.match("_[a-z]", n.name)]
    assert touched == []


def test_no_name_of_a_class_stands_for_two_things() -> None:
    where: dict[str, list[str]] = {}
    for path in MODULES:
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if isinstance(node, ast.ClassDef) and not node.name.startswith("_"):
                where.setdefault(node.name, []).append(path.stem)
    assert {name: found for name, found in where.items() if len(found) > 1} == {}


def test_records_of_more_than_four_fields_take_keywords() -> None:
    """All of them, or all after the first four (`KW_ONLY`)."""
    loose = []
    for path in MODULES:
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if not isinstance(node, ast.ClassDef):
                continue
            how = [ast.unparse(d) for d in node.decorator_list if ast.unparse(d).startswith("dataclass")]
            fields = [ast.unparse(n.annotation) for n in node.body if isinstance(n, ast.AnnAssign)]
            if "KW_ONLY" in fields:
                fields = fields[: fields.index("KW_ONLY")]
            if how and "kw_only=True" not in how[0] and len(fields) > 4:
                loose.append(f"{path.stem}.{node.name}")
    assert loose == []


def test_the_examples_in_docstrings_are_true() -> None:
    """Of the core and the words, which need no window and no file."""
    finder, runner = doctest.DocTestFinder(), doctest.DocTestRunner()
    for path in MODULES:
        if ">>>" in path.read_text(encoding="utf-8"):
            name = ".".join(path.relative_to(ROOT / "src").with_suffix("").parts)
            for test in finder.find(importlib.import_module(name)):
                if test.examples:  # to run one without takes as long
                    assert runner.run(test).failed == 0, test.name
    assert runner.tries > 10


def test_the_start_is_not_held_up_by_heavy_imports() -> None:
    heavy = ("pandas", "scipy.stats", "scipy.signal", "scipy.optimize", "pyqtgraph", "matplotlib", "statsmodels")
    program = f"import sys, kuffin.app.main; print([m for m in {heavy!r} if m in sys.modules])"
    done = subprocess.run([sys.executable, "-c", program], capture_output=True, text=True, check=True)
    assert done.stdout.strip() == "[]"


def test_the_core_is_free_of_files_and_windows() -> None:
    program = "import sys, kuffin.core.settle, kuffin.core.compare, kuffin.core.plan.design; print([m for m in sys.modules if m.startswith(('PySide6', 'sqlalchemy'))])"
    done = subprocess.run([sys.executable, "-c", program], capture_output=True, text=True, check=True)
    assert done.stdout.strip() == "[]"


@pytest.mark.parametrize("name", [*PAGES, "CHANGELOG.md"])
def test_every_link_leads_to_a_file(name: str) -> None:
    page = ROOT / name
    for target in re.findall(r"\]\(([^)#]+)\)", page.read_text(encoding="utf-8")):
        if not target.startswith("http"):
            assert (page.parent / target).exists(), f"{name} links to {target}"


def names_in(page: str) -> set[str]:
    """Modules and folders of the package that a page names in code: ``said/line.verdict_line``, ``kuffin.core.bench.parts``."""
    text = (ROOT / page).read_text(encoding="utf-8")
    found = set(
        re.findall(
            r"`(?:src/kuffin/)?((?:core|logs|instruments|simulated|notebook|reading|verdict|said|publish|demo|recording|app)/[\w/]+)",
            text,
        )
    )
    dotted = re.findall(r"`kuffin\.([\w.]+)", text)
    return found | {"/".join(d.split(".")) for d in dotted}


@pytest.mark.parametrize("page", PAGES)
def test_every_module_that_a_page_names_is_there(page: str) -> None:
    package = ROOT / "src" / "kuffin"
    for name in names_in(page):
        parts = name.split("/")
        ways = ["/".join(parts[:n]) for n in range(len(parts), 0, -1)]
        assert any(
            (package / f"{w}.py").exists() or (n <= 1 and (package / w / "__init__.py").exists())
            for n, w in enumerate(ways)
        ), f"{page}: {name}"


def test_the_pages_name_the_notebooks_format() -> None:
    page = (ROOT / "docs" / "notebook-format.md").read_text(encoding="utf-8")
    assert f"version, now {SCHEMA_VERSION}." in page


def test_there_are_few_pictures_and_all_are_shown() -> None:
    pictures = {p.name for p in (ROOT / "docs" / "screenshots").glob("*.png")}
    assert 0 < len(pictures) < 20
    readme = (ROOT / "README.md").read_text(encoding="utf-8")
    assert all(name in readme for name in pictures)


def test_the_lock_names_every_dependency() -> None:
    project = tomllib.loads((ROOT / "pyproject.toml").read_text(encoding="utf-8"))["project"]
    wanted = [*project["dependencies"], *project["optional-dependencies"]["dev"]]
    names = {re.split(r"[<>=!~\s]", w)[0].lower().replace("_", "-") for w in wanted}
    locked = {
        line.split("==")[0].lower().replace("_", "-")
        for line in (ROOT / "requirements.lock").read_text().splitlines()
        if "==" in line
    }
    assert names <= locked


def test_fonts_and_icons_come_with_their_licences() -> None:
    kuffin = ROOT / "src" / "kuffin"
    assert "SIL OPEN FONT LICENSE" in (kuffin / "look" / "fonts" / "OFL.txt").read_text(encoding="utf-8").upper()
    assert (kuffin / "app" / "look" / "icons" / "README.md").exists()
