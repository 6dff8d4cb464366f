"""Restriction and flow: what parts cost in pressure, what a pump gives, and where the two meet."""
