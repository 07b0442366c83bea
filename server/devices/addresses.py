"""Where the door may stand: this machine's own addresses on a network."""

from __future__ import annotations

import ipaddress
import os
import socket

import psutil


def addresses() -> list[str]:
    """Those of version 4 beyond loopback, of what is up; private ones first. What
    EASY_TALLY_DOOR_ADDRESSES names (with commas) instead of all."""
    named = os.environ.get("EASY_TALLY_DOOR_ADDRESSES", "")
    if named:
        return [a.strip() for a in named.split(",") if a.strip()]
    up = {name for name, state in psutil.net_if_stats().items() if state.isup}
    every = {
        one.address
        for name, several in psutil.net_if_addrs().items()
        for one in several
        if name in up and one.family == socket.AF_INET
    }
    usable = [a for a in map(ipaddress.ip_address, every) if not (a.is_loopback or a.is_link_local)]
    return [str(a) for a in sorted(usable, key=lambda a: (not a.is_private, int(a)))]
