"""The computation: pure functions over arrays, no files, no database, no window."""
