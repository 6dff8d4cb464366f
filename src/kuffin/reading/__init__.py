"""From a run's samples to its results: which channel speaks, settling, windows, whole trace."""
