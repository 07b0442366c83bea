"""What limits a run: elements, their limits, verdicts, and the profile along a cable."""
