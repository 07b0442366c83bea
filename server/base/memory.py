"""What this process keeps of what it worked out: one memory, bounded in bytes."""

from __future__ import annotations

from easy_tally.base import Memory

memory = Memory(48_000_000)
