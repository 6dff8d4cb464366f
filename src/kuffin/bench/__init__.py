"""The bench: instruments and the simulated bench."""
