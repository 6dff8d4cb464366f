"""The page of a study: one template for the screen and for paper, its sections, and a person's own words in it."""
