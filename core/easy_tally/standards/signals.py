"""Signal ports: what carries data or speed, counted like sockets; no rating stands on them.

Source: the field's usual connectors. A 9-pin header has two USB 2 ports; a lead with a 9-pin plug
takes the whole header.
"""

from __future__ import annotations

from typing import Literal

SignalKind = Literal["sata", "m2", "usb2", "usb3", "usb-c", "audio"]
#: Kind → one of it, and several, in words.
SIGNAL_WORDS: dict[SignalKind, tuple[str, str]] = {
    "sata": ("SATA data port", "SATA data ports"),
    "m2": ("M.2 slot", "M.2 slots"),
    "usb2": ("internal USB 2 header", "internal USB 2 headers"),
    "usb3": ("internal USB 3 header", "internal USB 3 headers"),
    "usb-c": ("internal USB-C header", "internal USB-C headers"),
    "audio": ("front audio header", "front audio headers"),
}
#: Kind → the field of a board or a card that holds how many there are.
SIGNAL_FIELDS: dict[SignalKind, str] = {
    "sata": "sata_ports",
    "m2": "m2_slots",
    "usb2": "usb2_headers",
    "usb3": "usb3_headers",
    "usb-c": "usbc_headers",
    "audio": "audio_headers",
}
#: Kind → the field of a case that holds how many of its front leads need one.
FRONT_FIELDS: dict[SignalKind, str] = {
    "usb2": "front_usb2",
    "usb3": "front_usb3",
    "usb-c": "front_usbc",
    "audio": "front_audio",
}
#: Ports that a board has at the least, where nobody says, and leads that a case's front has at the
#: most. Source: assumption, of the usual boards and cases.
BOARD_GIVES: dict[SignalKind, int] = {
    "sata": 4,
    "m2": 1,
    "usb2": 2,
    "usb3": 1,
    "usb-c": 1,
    "audio": 1,
}
FRONT_NEEDS = 1
#: SATA data ports that M.2 slots in use switch off at the most, where nobody says: assumption.
M2_SWITCHES_OFF = 2
#: Whether the speed of what hangs on a header is seen, where nobody says: a board reads each of
#: its fan headers, a hub passes on the speed of one fan. Source: assumption.
BOARD_SEES_SPEED = True
HUB_SPEEDS = 1
