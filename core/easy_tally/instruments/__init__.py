"""Simulated instruments as a process of their own: `python -m easy_tally.instruments FILE`."""

from __future__ import annotations

from .serving import serve

__all__ = ["serve"]
