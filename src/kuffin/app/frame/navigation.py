"""Where one can be in the window, and the keys that lead there."""

from __future__ import annotations

# desk -> its place in the working order, which fixes its key (Ctrl+1 …)
DESKS = {"Plan": 1, "Prepare": 2, "Run": 3, "Inspect": 4, "Compare": 5, "Publish": 6}
BEHIND = {"Shelf": "Ctrl+Shift+H", "Bench": "Ctrl+Shift+B"}  # what stands behind the desks, with its key
