"""Formulas over named terms: evaluated, written in symbols, and written with figures. Python's notation inside.

A formula is kept once, as an expression such as ``sqrt(u_a**2 + u_b**2)``. Its value and both ways of writing it come from
that one expression, so what is printed is what was computed.
"""

from __future__ import annotations

import ast
import math
from collections.abc import Callable, Mapping
from functools import lru_cache
from types import CodeType

_FUNCTIONS: dict[str, Callable[..., float]] = {
    "sqrt": math.sqrt,
    "hypot": math.hypot,
    "exp": math.exp,
    "log10": math.log10,
    "power10": lambda x: 10.0**x,
    "abs": abs,
    "max": max,
    "min": min,
}
_SUM, _PRODUCT, _SIGN, _POWER, _ATOM = range(5)  # how tightly a part of a formula binds


@lru_cache(maxsize=1024)
def _tree(formula: str) -> ast.expr:
    return ast.parse(formula, mode="eval").body


@lru_cache(maxsize=1024)
def symbols(formula: str) -> tuple[str, ...]:
    """The symbols of a formula, each once, as they come.

    >>> symbols("m - a/3 + sqrt(m)")
    ('m', 'a')
    """
    found = [n for n in ast.walk(_tree(formula)) if isinstance(n, ast.Name) and n.id not in _FUNCTIONS]
    return tuple(dict.fromkeys(n.id for n in sorted(found, key=lambda n: n.col_offset)))


def evaluate(formula: str, values: Mapping[str, float]) -> float:
    """A formula's value; NaN where it has none (a root of what is below nought), infinite where it is too large.

    Parameters
    ----------
    values : mapping of symbol to float

    Raises
    ------
    ValueError
        What is no formula of sums, products, powers, roots, exponentials, absolute values, largest and smallest.
    NameError
        A symbol without a value.

    >>> evaluate("R*P", {"R": 0.06, "P": 250.0})
    15.0
    """
    code = _compiled(formula)
    try:
        return float(eval(code, {"__builtins__": {}, **_FUNCTIONS}, dict(values)))
    except OverflowError:
        return math.inf
    except (ZeroDivisionError, ValueError):
        return math.nan


@lru_cache(maxsize=1024)
def _compiled(formula: str) -> CodeType:
    """The formula's code, of nothing but sums, products, powers and the functions above."""
    tree = _tree(formula)
    for node in ast.walk(tree):
        match node:
            case ast.Name() | ast.Load() | ast.BinOp() | ast.UnaryOp(op=ast.USub()) | ast.USub():
                pass
            case ast.Add() | ast.Sub() | ast.Mult() | ast.Div() | ast.Pow() | ast.Constant(value=int() | float()):
                pass
            case ast.Call(func=ast.Name(id=name), keywords=[]) if name in _FUNCTIONS:
                pass
            case _:
                raise ValueError(f"no formula: {ast.unparse(tree)}")
    return compile(ast.Expression(tree), "<formula>", "eval")


def in_symbols(formula: str) -> str:
    """A formula as one writes it.

    >>> in_symbols("abs(a) + hypot(u/3, v)")
    '|a| + √((u/3)² + v²)'
    """
    return _written(_tree(formula), lambda name: name, "·")[0]


def with_figures(formula: str, figures: Mapping[str, str]) -> str:
    """A formula with figures in place of its symbols; negative ones in brackets.

    >>> with_figures("R*P - x", {"R": "0.06 K/W", "P": "250 W", "x": "−1 K"})
    '0.06 K/W × 250 W − (−1 K)'
    """
    return _written(_tree(formula), lambda name: figures[name], " × ")[0]


def _written(node: ast.expr, told: Callable[[str], str], times: str) -> tuple[str, int]:
    """A part of a formula, and how tightly it binds."""

    def inside(part: ast.expr, least: int) -> str:
        text, binds = _written(part, told, times)
        return text if binds >= least else f"({text})"

    match node:
        case ast.Name(id=name):
            said = told(name)
            return said, _SUM if said.startswith("−") else _POWER if " " in said else _ATOM
        case ast.Constant(value=int() | float() as x):
            return _constant(x), _ATOM
        case ast.UnaryOp(operand=inner):
            return f"−{inside(inner, _POWER)}", _SIGN
        case ast.BinOp(left=left, op=op, right=right):
            match op:
                case ast.Add():
                    return f"{inside(left, _SUM)} + {inside(right, _PRODUCT)}", _SUM
                case ast.Sub():
                    return f"{inside(left, _SUM)} − {inside(right, _PRODUCT)}", _SUM
                case ast.Mult():
                    return f"{inside(left, _PRODUCT)}{times}{inside(right, _PRODUCT)}", _PRODUCT
                case ast.Div():
                    wide = " / " if times != "·" else "/"
                    return f"{inside(left, _PRODUCT)}{wide}{inside(right, _SIGN)}", _PRODUCT
                case ast.Pow():
                    return f"{inside(left, _ATOM)}{_raised(right)}", _POWER
        case ast.Call(func=ast.Name(id=name), args=arguments):
            match name:
                case "sqrt":
                    text, binds = _written(arguments[0], told, times)
                    return f"√{text}" if binds == _ATOM else f"√({text})", _ATOM
                case "abs":
                    return f"|{_written(arguments[0], told, times)[0]}|", _ATOM
                case "hypot":
                    return f"√({' + '.join(inside(x, _ATOM) + '²' for x in arguments)})", _ATOM
                case "exp" | "log10":
                    called = {"exp": "exp", "log10": "log₁₀"}[name]
                    return f"{called}({_written(arguments[0], told, times)[0]})", _ATOM
                case "power10":
                    return f"10^({_written(arguments[0], told, times)[0]})", _POWER
                case _:
                    each = ", ".join(_written(x, told, times)[0] for x in arguments)
                    return f"the {'largest' if name == 'max' else 'smallest'} of ({each})", _ATOM
    raise ValueError(f"no formula: {ast.unparse(node)}")


def _constant(x: float) -> str:
    """A constant, without an e in large ones.

    >>> _constant(3600000.0)
    '(3.6·10⁶)'
    """
    written = f"{x:g}"
    if "e" not in written:
        return written
    mantissa, power = written.split("e")
    return f"({mantissa}·10{_superscript(int(power))})"


def _raised(power: ast.expr) -> str:
    match power:
        case ast.Constant(value=int() as n):
            return _superscript(n)
    raise ValueError(f"no whole power: {ast.unparse(power)}")


def _superscript(n: int) -> str:
    return str(n).translate(str.maketrans("-0123456789", "⁻⁰¹²³⁴⁵⁶⁷⁸⁹"))
