"""How Kuffin looks, on screen and in print: colours, fonts, the candidates' marks."""
