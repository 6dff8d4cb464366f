"""Planning: how many mounts, in which order, on which days."""
