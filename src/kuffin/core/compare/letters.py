"""Letters of a compact display: two candidates share one unless they are told apart."""

from __future__ import annotations

import string

import numpy as np
from numpy.typing import NDArray


def tie_letters(apart: NDArray[np.bool_], order: NDArray[np.int64]) -> list[str]:
    """Insert-and-absorb letters.

    Parameters
    ----------
    apart : ndarray of bool, shape (k, k)
        Whether two candidates are told apart.
    order : ndarray of int, shape (k,)
        Candidates from the best to the worst; the best gets the letter a.

    Returns
    -------
    list of str, length k

    References
    ----------
    H.-P. Piepho, "An algorithm for a letter-based representation of all-pairwise comparisons", Journal of
    Computational and Graphical Statistics 13 (2004), 456–466.
    """
    k = apart.shape[0]
    columns: list[frozenset[int]] = [frozenset(range(k))]
    for i in range(k):
        for j in range(i + 1, k):
            if not apart[i, j]:
                continue
            split: list[frozenset[int]] = []
            for column in columns:
                split += [column - {i}, column - {j}] if {i, j} <= column else [column]
            columns = []
            for column in sorted(set(split), key=len, reverse=True):
                if not any(column <= kept for kept in columns):
                    columns.append(column)
    rank = {int(c): r for r, c in enumerate(order)}
    columns.sort(key=lambda column: sorted(rank[c] for c in column))
    alphabet = string.ascii_lowercase + string.ascii_uppercase
    names = [alphabet[i] if i < len(alphabet) else f"({i})" for i in range(len(columns))]
    return ["".join(names[i] for i, column in enumerate(columns) if c in column) for c in range(k)]
