"""Easy Tally's core: loads, limits, sizing, maps and verdicts. No Django, no I/O, no clock.

This is its face, and each room's `__init__` is that room's: nobody outside looks further in.
"""

from __future__ import annotations

from .analysis import Analysis, analyse
from .base.errors import (
    BadFile,
    BadInput,
    EasyTallyError,
    NotDecided,
    NotThere,
    Refused,
    WouldRelease,
)
from .publishing import Report, compact, exit_status, report
from .things import Build, SocketRef
from .wiring import Wired

__all__ = [
    "Analysis",
    "BadFile",
    "BadInput",
    "Build",
    "EasyTallyError",
    "NotDecided",
    "NotThere",
    "Refused",
    "Report",
    "SocketRef",
    "Wired",
    "WouldRelease",
    "analyse",
    "compact",
    "exit_status",
    "report",
]
