"""Tables and pictures for others."""
