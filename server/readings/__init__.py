"""Readings: taken, kept, held against their build; the trainer."""
