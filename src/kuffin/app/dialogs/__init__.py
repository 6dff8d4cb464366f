"""Dialogs and pages that ask something."""
