"""The Compare desk: what may honestly be said."""
