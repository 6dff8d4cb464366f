"""What is done from the window: importing, joining, writing out, notebooks, studies."""
