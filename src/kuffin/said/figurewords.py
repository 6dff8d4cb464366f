"""What a run tells from the inside, in words and workings."""

from __future__ import annotations

from kuffin.core.base.extremes import Extremes
from kuffin.core.base.numbers import number
from kuffin.core.heat.wholetrace import WholeTrace
from kuffin.reading.furtherfigures import Inside
from kuffin.said.working import Working
from kuffin.verdict.budget import Budget

_FULL = {"coolant_over_air": "coolant over air", "die_over_coolant": "die over coolant"}


def balance_sentence(x: Inside) -> str:
    """Heat into the coolant beside the electrical power."""
    b = x.balance
    if b is None:
        return f"Heat into the coolant is not known: {x.balance_problem}."
    return (
        f"Into the coolant by flow and probes: {number(b.heat_w, 0)} ± {number(b.heat_u95, 0)} W; electrical {number(b.power_w, 0)} W. "
        f"The balance closes to {number(100 * b.closure, 0)} ± {number(100 * b.closure_u95, 0)} % ›"
    )


def balance_working(x: Inside) -> Working:
    """How the heat balance came about."""
    b = x.balance
    out = Working("Heat into the coolant", balance_sentence(x).removesuffix(" ›"))
    if b is None:
        return out
    out.lines += [
        ("Rise of the coolant", f"T_out − T_in = {number(b.rise_k, 2)} K in the window"),
        ("Coolant", f"ρ = {number(b.density_kg_m3, 1)} kg/m³, c_p = {number(b.heat_capacity_j_kg_k, 0)} J/(kg·K) at its mean temperature, for {b.coolant}"),
        ("Heat", f"Q = ρ·c_p·V̇·(T_out − T_in) = {number(b.density_kg_m3, 1)} × {number(b.heat_capacity_j_kg_k, 0)} × {number(b.flow_l_h, 1)}/3.6e6 × {number(b.rise_k, 2)} = {number(b.heat_w, 1)} W"),
        ("Closure", f"Q/P = {number(b.heat_w, 1)}/{number(b.power_w, 1)} = {number(b.closure, 3)} ± {number(b.closure_u95, 3)}"),
        ("Where its uncertainty comes from", ", ".join(f"{name} {number(100 * share, 0)} %" for name, share in b.shares)),
        ("Instruments", "as the bench says; where it says nothing, probes good to 0.1 K each, flow to 3 %, power to 2 %"),
    ]  # fmt: skip
    return out


def whole_sentence(w: WholeTrace, power_w: float) -> str:
    """The whole-trace fit as a value."""
    return f"{number(w.resistance_k_w * power_w, 2)} ± {number(w.resistance_u95 * power_w, 2)} K"


def whole_working(key: str, w: WholeTrace, power_w: float) -> Working:
    """How the whole-trace fit came about."""
    begin, end = (s / 60 for s in w.span_s)
    out = Working(f"Whole-trace fit: {_FULL[key]}", f"{whole_sentence(w, power_w)} at {number(power_w, 0)} W")
    if w.tau_s is not None and w.tau_u95 is not None and w.capacity_j_k is not None:
        out.lines += [
            ("Model", "C·dT/dt = P(t) − (T − T_air(t))/R, with power and air as they were measured; R, C and the first level fitted"),
            ("Stretch", f"{number(begin, 1)} to {number(end, 1)} min: from a minute after the load began"),
            ("Resistance", f"R = {number(w.resistance_k_w, 4)} ± {number(w.resistance_u95, 4)} K/W"),
            ("Time constant", f"τ = {number(w.tau_s / 60, 1)} ± {number(w.tau_u95 / 60, 1)} min, so C = τ/R = {number(w.capacity_j_k / 1000, 1)} kJ/K"),
        ]  # fmt: skip
    else:
        out.lines += [
            ("Model", "ΔT = R·P over passes or half minutes: the die answers within seconds"),
            ("Stretch", f"{number(begin, 1)} to {number(end, 1)} min: from a minute after the load began"),
            ("Resistance", f"R = Σ(ΔT·P)/ΣP² = {number(w.resistance_k_w, 4)} ± {number(w.resistance_u95, 4)} K/W"),
        ]
    out.lines.append(("What it leaves", f"{number(w.rms_k, 3)} K (root mean square of {w.residuals.size} boxes)"))
    if w.bent:
        out.lines.append(
            ("Mind", "what the fit leaves is bent: a second, slower part is warming, and R is off by about its share")
        )
    out.lines += [
        ("Interval", "twice Student's t times the fit's own error with its autocorrelation, and 0.6 % for what one capacity is too few for"),
        ("When to use it", "where the room drifted, power moved, or the run was stopped early; else it should agree with the window"),
    ]  # fmt: skip
    return out


def maximum_words(name: str, x: Extremes, unit: str) -> str:
    """Why a maximum is a poor thing to rank by, with this channel's figures."""
    return (
        f"{name}: of {x.samples} samples with a scatter of {number(x.scatter, 1)} K the highest lies about {number(x.by_chance, 1)} K above the "
        f"mean by chance alone, and {number(x.twice_as_long, 1)} K higher in a window twice as long. It grows with the length of the "
        f"run, one spike decides it, and it cannot be averaged; rank by the mean."
    )


def budget_working(b: Budget, title: str) -> Working:
    """The budget as a working."""
    out = Working(title, f"{number(b.value, 2)} ± {number(b.absolute.half_width, 2)} {b.unit}, instruments and window")
    for s, c in zip(b.sources, b.compared, strict=True):
        cancels = {
            "yes": "cancels in a comparison",
            "scales": "goes with the difference",
            "no": "counts on both sides",
        }[s.cancels]
        out.lines.append(
            (
                s.name,
                f"u = {number(s.contribution, 3)} {b.unit}; {s.note or 'from the data'}; {cancels}: {number(c.contribution, 3)} {b.unit}",
            )
        )
    df = "" if b.absolute.df == float("inf") else f", {b.absolute.df:.0f} degrees of freedom (Welch–Satterthwaite)"
    out.lines += [
        ("Combined", f"u = √Σ(c·u)² = {number(b.absolute.u, 3)} {b.unit}{df}; U95 = {number(b.absolute.half_width, 2)} {b.unit}"),
        ("In a comparison", f"u = {number(b.difference.u, 3)} {b.unit}; U95 = {number(b.difference.half_width, 2)} {b.unit} for a difference as large as the margin"),
        ("Formula", "GUM (JCGM 100:2008), 5.2.2 and G.4.1; specifications as uniform distributions, 4.3.7"),
        ("So", b.advice),
    ]  # fmt: skip
    return out
