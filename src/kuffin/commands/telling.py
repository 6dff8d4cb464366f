"""How a command tells what it found: as data, or in sentences with its warnings beside them."""

from __future__ import annotations

import argparse
import sys
from collections.abc import Callable
from typing import Any

from kuffin.core.base.plaindata import json_text

Told = dict[str, Any]


def tell(args: argparse.Namespace, told: Told, said: Callable[[Told], list[str]]) -> None:
    """Print what was found; its `warnings` stand in it as data, or go to the standard error."""
    if args.json:
        print(json_text(told))
        return
    print("\n".join(said(told)))
    for warning in told["warnings"]:
        print(warning, file=sys.stderr)
