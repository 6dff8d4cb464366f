"""Where one can be in the window, and the keys that lead there."""

from __future__ import annotations

from kuffin.core.base.language import mark

# desk -> its place in the working order, which fixes its key (Ctrl+1 …)
DESKS = {
    mark("Plan"): 1,
    mark("Prepare"): 2,
    mark("Run"): 3,
    mark("Inspect"): 4,
    mark("Compare"): 5,
    mark("Publish"): 6,
}
BEHIND = {mark("Shelf"): "Ctrl+Shift+H", mark("Bench"): "Ctrl+Shift+B"}  # what stands behind the desks, with its key
