"""The Plan desk: the question, whether it is fair, how many mounts, in which order, what is done in each, and when."""
