"""The wiring: what is plugged into what, worked out once, and what could be."""

from __future__ import annotations

from .between import Between
from .never import never_allowed, never_made, nobody_says, unsaid
from .offers import Offer, Offers, first_offer, offers_for_plug, offers_for_socket
from .wired import Carrier, Feed, Input, Stretch, Wired, WiredRun

__all__ = [
    "Between",
    "Carrier",
    "Feed",
    "Input",
    "Offer",
    "Offers",
    "Stretch",
    "Wired",
    "WiredRun",
    "first_offer",
    "never_allowed",
    "never_made",
    "nobody_says",
    "offers_for_plug",
    "offers_for_socket",
    "unsaid",
]
