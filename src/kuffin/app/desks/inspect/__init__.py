"""The Inspect desk: did anything spoil this run?"""
