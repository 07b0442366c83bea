"""Easy Tally's core: loads, limits, sizing, maps and verdicts. No Django, no I/O, no clock."""
