"""Gather what the window says into Qt's translation files, and compile them: `python tools/messages.py`.

Every `tr("…")`, `say("…")`, `mark("…")`, `counted(n, "…", "…")` and `several(n, "…")` in the source is a message, and so are errors, the names of edits and the labels in the
core's tables that the window shows, and each page of help but for the methods. Those without a translation yet are written as unfinished; Qt Linguist opens the files. What is no longer said is left out.
"""

from __future__ import annotations

import ast
import subprocess
import sys
from collections.abc import Iterable, Iterator
from pathlib import Path
from types import ModuleType
from xml.etree import ElementTree as Tree

from kuffin.app.help import helpwindow
from kuffin.core.base import errors
from kuffin.core.bench import configuration, limits, outcomes, parts, protocol, roles, sweepaxes, undertest
from kuffin.core.findings import kinds, thresholds
from kuffin.core.flow import curvekinds
from kuffin.core.heat import normalise
from kuffin.core.plan import schedule
from kuffin.core.prepare import cautions, clearance, matching
from kuffin.instruments import setup
from kuffin.publish.figures import drawing

HERE = Path(__file__).resolve().parent.parent
SOURCE = HERE / "src" / "kuffin"
SPEECH = SOURCE / "app" / "speech"
CONTEXT = "kuffin"
EDITS = {"edit", "one_step"}  # whose first argument names an edit
ERRORS = {
    name for name, kind in vars(errors).items() if isinstance(kind, type) and issubclass(kind, errors.KuffinError)
}


def literals(node: ast.expr) -> Iterator[str]:
    """The messages that a call's argument may be: one, or one of two."""
    if isinstance(node, ast.Constant) and isinstance(node.value, str):
        yield node.value
    elif isinstance(node, ast.IfExp):
        yield from literals(node.body)
        yield from literals(node.orelse)


def said_in(source: str) -> Iterator[str]:
    """Each message of a module."""
    for node in ast.walk(ast.parse(source)):
        if not isinstance(node, ast.Call) or not node.args:
            continue
        name = node.func.id if isinstance(node.func, ast.Name) else ""
        if isinstance(node.func, ast.Attribute) and node.func.attr in EDITS:
            name = "say"
        if name in ERRORS:
            yield from literals(node.args[0])
        arguments = {
            "tr": node.args[:1],
            "say": node.args[:1],
            "mark": node.args[:1],
            "counted": node.args[1:3],
            "several": node.args[1:2],
        }
        for argument in arguments.get(name, []):
            for message in literals(argument):
                yield from (f"one {message}", f"{{n}} {message}s") if name == "several" else (message,)


def in_tables() -> Iterator[tuple[ModuleType, str]]:
    """What the window shows of the core's tables, and the module of each."""
    fields = [f for kind in parts.KINDS.values() for f in kind.fields]
    columns = [c for kind in curvekinds.CURVE_KINDS.values() for c in kind.columns]
    records: tuple[tuple[ModuleType, Iterable[object], tuple[str, ...]], ...] = (
        (roles, roles.ROLES.values(), ("label", "spoken")),
        (configuration, configuration.SETTINGS.values(), ("label", "spoken", "called", "effect", "options")),
        (outcomes, outcomes.MEASURED.values(), ("label", "normalised")),
        (outcomes, [o.wording for o in outcomes.MEASURED.values()], ("better", "worse", "best", "worst")),
        (sweepaxes, sweepaxes.SWEEP_AXES.values(), ("label", "equal")),
        (normalise, normalise.SCHOOLS.values(), ("label", "normalised", "takes_out", "right_when")),
        (undertest, undertest.KINDS.values(), ("label", "made", "make", "keeps")),
        (parts, parts.KINDS.values(), ("key", "plural")),
        (parts, fields, ("label", "options")),
        (kinds, kinds.KINDS.values(), ("title", "causes", "advice", "spoils")),
        (thresholds, thresholds.THRESHOLDS.values(), ("label", "why")),
        (curvekinds, curvekinds.CURVE_KINDS.values(), ("label",)),
        (curvekinds, columns, ("name",)),
        (clearance, clearance.CLEARANCES, ("label", "said")),
        (matching, matching.MATCHES, ("label", "what", "said")),
        (drawing, drawing.GROUNDS.values(), ("label",)),
        (drawing, drawing.SIZES.values(), ("label",)),
    )
    for module, table, names in records:
        for record in table:
            for name in names:
                found = getattr(record, name)
                yield from ((module, x) for x in ([found] if isinstance(found, str) else found))
    for module, words in (
        (cautions, [cautions.ABOUT, *cautions.CAUTIONS, *cautions.CAUTIONS.values()]),
        (limits, [limits.NO_SAFETY_DEVICE]),
        (protocol, protocol.SETTLES.values()),
        (schedule, schedule.DAYS),
        (curvekinds, curvekinds.SOURCES),
        (setup, setup.KINDS.values()),
        (helpwindow, [x for t in helpwindow.topics() if t.shelf != helpwindow.METHODS for x in (t.title, t.text)]),
    ):
        yield from ((module, x) for x in words)


def all_said() -> dict[str, list[str]]:
    """Each message, and the modules that say it."""
    found: dict[str, list[str]] = {}
    for path in sorted(SOURCE.rglob("*.py")):
        where = path.relative_to(HERE).as_posix()
        for message in said_in(path.read_text("utf-8")):
            found.setdefault(message, []).append(where)
    for module, message in in_tables():
        if message:
            found.setdefault(message, []).append(f"src/{module.__name__.replace('.', '/')}.py")
    return {message: sorted(set(places)) for message, places in found.items()}


def kept(path: Path) -> dict[str, str]:
    """What is translated already."""
    if not path.exists():
        return {}
    messages = Tree.parse(path).getroot().iter("message")
    each = {m.findtext("source", ""): m.find("translation") for m in messages}
    return {s: t.text for s, t in each.items() if t is not None and t.text and t.get("type") != "unfinished"}


def write(path: Path, language: str, translated: dict[str, str]) -> int:
    """Write a translation file; gives how many messages wait for their translation."""
    root = Tree.Element("TS", version="2.1", language=language, sourcelanguage="en")
    context = Tree.SubElement(root, "context")
    Tree.SubElement(context, "name").text = CONTEXT
    waiting = 0
    for message, places in all_said().items():
        entry = Tree.SubElement(context, "message")
        for place in places:
            Tree.SubElement(entry, "location", filename=f"../../../../{place}")
        Tree.SubElement(entry, "source").text = message
        if message in translated:
            Tree.SubElement(entry, "translation").text = translated[message]
        else:
            waiting += 1
            Tree.SubElement(entry, "translation", type="unfinished")
    Tree.indent(root, "    ")
    text = Tree.tostring(root, encoding="unicode")
    path.write_text(f'<?xml version="1.0" encoding="utf-8"?>\n<!DOCTYPE TS>\n{text}\n', "utf-8")
    return waiting


def main() -> int:
    """Renew each language's file and compile it."""
    for path in sorted(SPEECH.glob("kuffin_*.ts")):
        waiting = write(path, path.stem.removeprefix("kuffin_"), kept(path))
        release = Path(sys.executable).with_name("pyside6-lrelease")
        subprocess.run([release, "-silent", path, "-qm", path.with_suffix(".qm")], check=True)
        print(f"{path.name}: {waiting} of {len(all_said())} messages wait for their translation")
    return 0


if __name__ == "__main__":
    sys.exit(main())
