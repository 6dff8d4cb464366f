"""The shelf with its parts, and the bench with its loop and instruments."""
