"""Simulated instruments: a machine over time, faults to plant in it, the protocol they speak."""

from __future__ import annotations

from .faults import FAULT_KINDS, FAULT_WORDS, Fault, FaultKind, Planted, places, plant
from .lines import lines, read_first, read_line
from .machine import Contacts, Wear, heating_w, lagged, rise_k_per_w, shares, together_mohm
from .running import CONTACT_TAU_S, Running, Scene

__all__ = [
    "CONTACT_TAU_S",
    "FAULT_KINDS",
    "FAULT_WORDS",
    "Contacts",
    "Fault",
    "FaultKind",
    "Planted",
    "Running",
    "Scene",
    "Wear",
    "heating_w",
    "lagged",
    "lines",
    "places",
    "plant",
    "read_first",
    "read_line",
    "rise_k_per_w",
    "shares",
    "together_mohm",
]
