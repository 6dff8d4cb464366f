"""Figures printed by `make bench`: ratios measured in one run, and how well the methods do on known truths."""
