"""Groups of roles that tell one thing, the best first: the owner of which channels serve as die, coolant, air and power."""

from __future__ import annotations

DIE = ("die", "hot_spot")
COOLANT = ("coolant_in", "coolant", "coolant_out")
AIR = ("air_in", "room")
POWER = ("power", "wall_power")
