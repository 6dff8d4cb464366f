"""Prediction: what measured parts would do at another power, in another room, with other fans or another pump speed."""
