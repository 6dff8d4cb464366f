"""The demo notebook, made with the simulated bench."""
