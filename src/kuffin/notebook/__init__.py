"""The document: entities, the SQLite store, undo and bin."""
