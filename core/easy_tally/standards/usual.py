"""What small things usually draw, where nobody says: watts (low, likely, high). Source:
assumption; of what hangs on USB within USB's grants."""

from __future__ import annotations

from ..base.declared import Figure

#: Of a plain card.
PLAIN_CARD_W: dict[str, tuple[float, float, float]] = {
    "Sound card": (2, 5, 10),
    "Network card": (2, 6, 15),
    "WiFi card": (1, 3, 5),
    "Capture card": (5, 10, 22),
    "Tuner card": (3, 6, 12),
    "Radio card": (3, 6, 12),
    "Storage controller": (6, 12, 22),
    "M.2 adapter": (0, 0.5, 2),
    "USB card": (1, 3, 10),
    "Serial card": (1, 3, 6),
    "Parallel card": (1, 2, 5),
    "Expansion card": (2, 8, 25),
}
#: Of what hangs on USB.
USB_W: dict[str, tuple[float, float, float]] = {
    "USB hub": (0.5, 2.5, 10),
    "USB stick": (0.3, 1, 2.5),
    "External drive": (2, 4.5, 9),
    "USB sound card": (0.5, 1.5, 2.5),
    "USB adapter": (0.3, 1, 2.5),
    "Webcam": (1, 2, 2.5),
    "Camera": (1, 2.5, 4.5),
    "Keyboard": (0.2, 0.5, 2.5),
    "Mouse": (0.2, 0.5, 1),
    "Keyboard and mouse": (0.4, 1, 3.5),
    "Microphone": (0.5, 1.5, 2.5),
    "Headset": (0.5, 1.5, 2.5),
    "Gamepad": (0.5, 1.5, 2.5),
    "USB receiver": (0.1, 0.3, 0.5),
    "Card reader": (0.3, 1, 2.5),
    "Front panel": (0, 2.5, 15),
    "Charger": (2.5, 7.5, 15),
    "USB fan": (1, 2, 2.5),
    "USB light": (1, 2.5, 5),
    "USB load": (0.5, 2.5, 10),
}


def usual(watts: tuple[float, float, float]) -> Figure:
    """What is usual as a figure, marked as assumed."""
    low, likely, high = watts
    return Figure(low=low, likely=likely, high=high, origin="assumed", note="usual for its kind")
