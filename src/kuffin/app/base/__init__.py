"""What every part of the window stands on: jobs, settings, faults that are told."""
