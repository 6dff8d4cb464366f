"""Instruments: the sensors of this computer, meters on a line, commands, and values that a person reads off."""
