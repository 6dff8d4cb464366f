"""The frame of the window: header, loom side, strip, menus, keys, dress."""
