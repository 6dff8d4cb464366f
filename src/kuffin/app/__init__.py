"""The window (Qt Widgets)."""
