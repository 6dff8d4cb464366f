"""From notebook to verdict."""
