"""Copies of everything that is kept: made, checked, put back; and whether what is kept is whole."""
