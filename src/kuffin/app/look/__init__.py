"""Theme, fonts, marks."""
