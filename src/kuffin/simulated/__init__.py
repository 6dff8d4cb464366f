"""The simulated bench: its thermal and hydraulic model, room, faults and prints, and how it is served as a real one."""
