"""The desks, one package room each."""
