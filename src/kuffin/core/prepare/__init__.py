"""Preparing a mount: the change-over with its cautions, and its sums: fill, leak, fit, contact."""
