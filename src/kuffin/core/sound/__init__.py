"""Recordings: levels, third octaves and tones."""
