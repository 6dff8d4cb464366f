"""The Prepare desk: the change-over ticked off, and the sums that belong to it."""
