"""What a build does every day, as duties by kind: mixes to start from, each to be changed.

Source: assumption of Easy Tally, every one.
"""

from __future__ import annotations

#: Preset → duty by kind, from idle (0) to full (1); the kinds are those of `Assumptions`.
PRESETS: dict[str, dict[str, float]] = {
    "mixed": {
        "board": 0.7,
        "processor": 0.35,
        "card": 0.4,
        "memory": 0.5,
        "m2": 0.3,
        "drive": 0.5,
        "fan": 0.5,
        "lights": 1.0,
        "other": 0.5,
    },
    "desk work": {
        "board": 0.5,
        "processor": 0.12,
        "card": 0.05,
        "memory": 0.3,
        "m2": 0.1,
        "drive": 0.3,
        "fan": 0.3,
        "lights": 1.0,
        "other": 0.3,
    },
    "rendering": {
        "board": 0.9,
        "processor": 0.8,
        "card": 0.9,
        "memory": 0.8,
        "m2": 0.3,
        "drive": 0.5,
        "fan": 0.8,
        "lights": 1.0,
        "other": 0.5,
    },
    "recording": {
        "board": 0.7,
        "processor": 0.3,
        "card": 0.1,
        "memory": 0.5,
        "m2": 0.6,
        "drive": 0.8,
        "fan": 0.4,
        "lights": 0.5,
        "other": 0.9,
    },
    "archive": {
        "board": 0.6,
        "processor": 0.1,
        "card": 0.0,
        "memory": 0.4,
        "m2": 0.2,
        "drive": 0.9,
        "fan": 0.5,
        "lights": 0.2,
        "other": 0.3,
    },
}
