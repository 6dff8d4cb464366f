"""The Run desk: the bench, live."""
