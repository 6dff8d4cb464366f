"""The bench in words and records: roles, devices, what may be under test, parts, settings, conditions, protocols, limits."""
