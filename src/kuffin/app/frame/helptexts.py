"""What Help says: the keys, the cautions of the whole bench, and what Kuffin is."""

from __future__ import annotations

from kuffin import __version__
from kuffin.app.frame.navigation import BEHIND, DESKS
from kuffin.core.base.language import mark, tr
from kuffin.core.prepare.cautions import ABOUT, CAUTIONS

_KEYS = {
    ", ".join(BEHIND.values()): mark("the shelf, the bench"),
    "Ctrl+PgUp, Ctrl+PgDown": mark("the page before or after"),
    "Alt+Up, Alt+Down": mark("move a mount earlier or later, in the order"),
    "Enter": mark("tick the step that has the focus, and go to the next; Space ticks it alone"),
    "Space, M": mark("on Run: the one big button; mark the moment (a word may follow)"),
    "F6": mark("to the loom; arrows move over it, Enter opens a mount"),
    "F1": mark("show the working of what has the focus"),
    "Esc": mark("close the working"),
    "Shift+F1": mark("help at the bench: desks, words, methods"),
    "Ctrl+K": mark("find an action, a page, a study, a mount or a part by typing"),
    "Ctrl+C": mark("copy the table or the picture that has the focus (or the right button)"),
    "Ctrl+Return": mark("do the next thing"),
    "+ and −": mark(
        "zoom a trace; Alt+Left and Alt+Right move along it, Home shows all; Ctrl+Left and Ctrl+Right move its cursor"
    ),
    "Ctrl+Z, Ctrl+Shift+Z": mark("undo, redo"),
    "Ctrl+L": mark("add logs"),
    "Ctrl+B": mark("fold the loom"),
}


def keys() -> str:
    """All keys, as rich text."""
    told = {", ".join(f"Ctrl+{n}" for n in DESKS.values()): ", ".join(tr(d) for d in DESKS)}
    told |= {keys: tr(what) for keys, what in _KEYS.items()}
    rows = "".join(f"<tr><td>{keys}</td><td>{what}</td></tr>" for keys, what in told.items())
    return f'<table cellspacing="6">{rows}</table>'


def cautions() -> str:
    """All cautions, as rich text."""
    return f"<p><b>{tr(ABOUT)}</b></p>" + "".join(f"<p>{tr(text)}</p>" for text in CAUTIONS.values())


def about() -> str:
    """What Kuffin is."""
    return tr(
        "Kuffin {version}\nA bench notebook for people who test cooling parts.\n\nMIT licence. "
        "The B612 fonts are under the SIL Open Font License.\n\nKuffin is no safety device.",
        version=__version__,
    )
