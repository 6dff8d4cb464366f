"""What Help says: the keys, and the cautions of the whole bench."""

from __future__ import annotations

from kuffin.app.frame.navigation import BEHIND, DESKS
from kuffin.core.prepare.cautions import ABOUT, CAUTIONS

_KEYS = {
    ", ".join(f"Ctrl+{n}" for n in DESKS.values()): ", ".join(DESKS),
    ", ".join(BEHIND.values()): "the shelf, the bench",
    "Ctrl+PgUp, Ctrl+PgDown": "the page before or after",
    "Alt+Up, Alt+Down": "move a mount earlier or later, in the order",
    "Enter": "tick the step that has the focus, and go to the next; Space ticks it alone",
    "Space, M": "on Run: the one big button; mark the moment (a word may follow)",
    "F6": "to the loom; arrows move over it, Enter opens a mount",
    "F1": "show the working of what has the focus",
    "Esc": "close the working",
    "Shift+F1": "help at the bench: desks, words, methods",
    "Ctrl+K": "find an action, a page, a study, a mount or a part by typing",
    "Ctrl+C": "copy the table or the picture that has the focus (or the right button)",
    "Ctrl+Return": "do the next thing",
    "+ and −": "zoom a trace; Alt+Left and Alt+Right move along it, Home shows all; Ctrl+Left and Ctrl+Right move its cursor",
    "Ctrl+Z, Ctrl+Shift+Z": "undo, redo",
    "Ctrl+L": "add logs",
    "Ctrl+B": "fold the loom",
}
KEYS = (
    '<table cellspacing="6" width="640">'
    + "".join(f"<tr><td>{keys}</td><td>{what}</td></tr>" for keys, what in _KEYS.items())
    + "</table>"
)


def cautions() -> str:
    """All cautions, as rich text."""
    said = f"<p><b>{ABOUT}</b></p>" + "".join(f"<p>{text}</p>" for text in CAUTIONS.values())
    return f'<table width="680"><tr><td>{said}</td></tr></table>'  # wide, so that it fits on a low screen
