"""Write the table of coolant properties that ships, from CoolProp's equations: `python tools/coolant_table.py`."""

from __future__ import annotations

from pathlib import Path

from CoolProp.CoolProp import PropsSI

TEMPERATURES_C = (5, 15, 25, 35, 45, 55, 65, 75)
SHARES_PERCENT = (0, 10, 20, 30, 40, 50)
_FLUIDS = {"propylene glycol": "MPG", "ethylene glycol": "MEG"}
_HEAD = '''"""Density, heat capacity, viscosity and conductivity of coolants; written by tools/coolant_table.py, and kept true by a test.

Source: I. H. Bell et al., "Pure and pseudo-pure fluid thermophysical property evaluation and the open-source thermophysical
property library CoolProp", Ind. Eng. Chem. Res. 53 (2014); glycol shares by mass, at 101.325 kPa.
"""

'''


def properties(glycol: str, share_percent: float, temperature_c: float) -> tuple[float, float, float, float]:
    """Density in kg/m³, heat capacity in J/(kg·K), viscosity in mPa·s, conductivity in W/(m·K)."""
    if share_percent == 0:
        fluid = "Water"
    else:
        fluid = f"INCOMP::{_FLUIDS[glycol]}[{share_percent / 100:g}]"
    state = ("T", temperature_c + 273.15, "P", 101325.0, fluid)
    density, capacity, viscosity, conductivity = (float(PropsSI(p, *state)) for p in "DCVL")
    return density, capacity, 1e3 * viscosity, conductivity


def main() -> None:
    """Write the table."""
    text = _HEAD + f"TEMPERATURES_C = {TEMPERATURES_C}\nSHARES_PERCENT = {SHARES_PERCENT}\n\n"
    text += "# by glycol: for each share a row over the temperatures of\n"
    text += "# (density in kg/m³, heat capacity in J/(kg·K), viscosity in mPa·s, conductivity in W/(m·K))\n"
    text += "TABLE: dict[str, tuple[tuple[tuple[float, float, float, float], ...], ...]] = {\n"
    for glycol in _FLUIDS:
        text += f'    "{glycol}": (\n'
        for share in SHARES_PERCENT:
            cells = [properties(glycol, share, t) for t in TEMPERATURES_C]
            text += "        (" + ", ".join(f"({d:.1f}, {c:.0f}, {v:.4g}, {k:.4f})" for d, c, v, k in cells) + "),\n"
        text += "    ),\n"
    text += "}  # fmt: skip\n"
    Path(__file__).parent.parent.joinpath("src/kuffin/core/heat/coolanttable.py").write_text(text, encoding="utf-8")


if __name__ == "__main__":
    main()
