"""When a trace reached equilibrium, and what it settled at.

The steps are those of docs/methods.md, "Equilibrium": clean, find the load, its loops, boxes, slow or fast, steps
within the run, fit, judge.
"""

from kuffin.core.settle.api import settle
from kuffin.core.settle.result import Settled, Settling

__all__ = ["Settled", "Settling", "settle"]
