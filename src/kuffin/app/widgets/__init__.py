"""Widgets that draw."""
