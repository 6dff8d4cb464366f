"""What the rest of the core stands on: errors, units, traces, distributions, numbers in sentences."""
