"""Kuffin: a bench notebook for people who test cooling parts."""

__version__ = "0.9.0"
