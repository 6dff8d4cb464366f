"""Heat: the path from the die to the air, the schools of normalising, the balance, the whole trace, the clock."""
