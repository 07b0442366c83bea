"""Instruments on a local socket: whoever connects hears the lines of the protocol, one reader at a
time, as fast as the machine would give them or faster."""

from __future__ import annotations

import socket
import time
from collections.abc import Callable

from ..readings import Readings
from ..simulate import lines

#: Only this machine can reach them.
LOOPBACK = "127.0.0.1"
#: Seconds that they wait for somebody to connect.
WAIT_S = 60.0


def serve(r: Readings, port: int, speed: float, ready: Callable[[int], None]) -> None:
    """Serve readings once, `speed` times as fast as they were taken (0: as fast as may be), and
    return. `ready` hears the port. Raises OSError where the port is taken."""
    with socket.create_server((LOOPBACK, port)) as listening:
        ready(listening.getsockname()[1])
        listening.settimeout(WAIT_S)
        reader, _ = listening.accept()
        with reader:
            begun = time.monotonic()
            first, *rest = lines(r)
            reader.sendall(f"{first}\n".encode())
            for t, line in zip(r.times.tolist(), rest, strict=True):
                wait = t / speed - (time.monotonic() - begun) if speed else 0.0
                if wait > 0:
                    time.sleep(wait)
                reader.sendall(f"{line}\n".encode())
