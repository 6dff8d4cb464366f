"""From results to what may be said: schools, conditions, claims, baseline, findings, and the plans that rest on them."""
