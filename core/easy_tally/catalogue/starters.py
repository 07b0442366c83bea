"""Machines to start from, as lists of lines that a builder edits before they go in."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Starter:
    """A machine to start from: its name, what it is for, and its parts, one a line."""

    id: str
    words: str
    text: str
    lines: tuple[str, ...]


#: Figures are such as their pages state for parts of that size; whoever starts from one writes
#: their own over them.
STARTERS: tuple[Starter, ...] = (
    Starter(
        "desk",
        "A desk machine",
        "Letters, maps and the station's books; no card.",
        (
            "board 8pin headers:4",
            "processor 65w",
            "ddr5 x2",
            "m.2",
            'fan 120mm 0.2a "Air cooler"',
            "fan 120mm 0.15a x2",
            "keyboard and mouse",
        ),
    ),
    Starter(
        "workstation",
        "A workstation",
        "One large card, much memory, a liquid cooler.",
        (
            "board 2x8 slots:x16,x4 headers:6",
            "processor 125w short 180w",
            "ddr5 x4",
            "card 320w 16pin",
            "m.2 x2",
            "cooler sata fans:3",
            "fan 140mm 0.2a x4",
            'usb 5w "Keyboard, mouse, audio"',
        ),
    ),
    Starter(
        "archive",
        "An archive box",
        "Eight disks that spin up together, a fan for each row.",
        (
            "board 8pin headers:4",
            "processor 65w",
            "ddr4 x2",
            "m.2",
            "disk 12v:0.6a 5v:0.7a start:1.9a x8",
            'fan 120mm 0.2a "Air cooler"',
            "fan 120mm 0.25a x4",
            'usb 2w "Console"',
        ),
    ),
    Starter(
        "small",
        "A small case",
        "One short card beside the board, two fans.",
        (
            "board 8pin headers:3",
            "processor 65w",
            "ddr5 x2",
            "card 200w 8pin+6pin",
            "m.2",
            'fan 120mm 0.2a "Air cooler"',
            "fan 120mm 0.15a x2",
            "keyboard and mouse",
        ),
    ),
)
