"""Pictures of a study for print and screen: each carries its title, conditions, mounts and interval, so that it stays honest torn out."""
