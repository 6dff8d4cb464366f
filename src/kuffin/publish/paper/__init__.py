"""Sheets for the bench, to be printed: a mount's change-over to tick with wet hands, and the plan of the days."""
