"""Student's t, central and noncentral, straight from SciPy's special functions (quick to import and to call)."""

from __future__ import annotations

from scipy import special


def t_quantile(p: float, df: float) -> float:
    """The p-quantile of Student's t with df degrees of freedom.

    >>> round(t_quantile(0.975, 5), 3)
    2.571
    """
    return float(special.stdtrit(df, p))


def t_two_sided_p(t: float, df: float) -> float:
    """P(|T| > |t|).

    >>> round(t_two_sided_p(2.228, 10.0), 3)
    0.05
    """
    return float(2 * special.stdtr(df, -abs(t)))


def noncentral_t_cdf(t: float, df: float, shift: float) -> float:
    """P(T ≤ t) of the noncentral t."""
    return float(special.nctdtr(df, shift, t))
