"""What the window is about: the open notebook and its study, the shelf, the run that is recorded."""
