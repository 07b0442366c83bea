"""A build of an earlier version of the file made into today's, as parsed JSON; a part of one, as a
history keeps it, alike."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

_WIRED = {"cables": "cable", "adapters": "adapter", "extensions": "extension"}


def upgraded(file: dict[str, Any], to: int) -> dict[str, Any]:
    """A parsed file of any version that there was."""
    for version in range(file["version"], to):
        file = UPGRADES[version](file)
    return file


def upgraded_image(kind: str, image: dict[str, Any], version: int, to: int) -> dict[str, Any]:
    """One thing of a file of a `version`: a `cable`, or the `build` without its lists."""
    for before in range(version, to):
        image = _IMAGES[before](kind, image)
    return image


def _to_2(file: dict[str, Any]) -> dict[str, Any]:
    """Of version 1 conductors, and pins of a supply end, of none at all were those that nobody had
    said: they are left out."""
    of_2 = {**file, "version": 2}
    for name, kind in _WIRED.items():
        things = file.get(name)
        if isinstance(things, list):
            of_2[name] = [_image_to_2(kind, t) if isinstance(t, dict) else t for t in things]
    return of_2


def _image_to_2(kind: str, image: dict[str, Any]) -> dict[str, Any]:
    if kind == "build":
        return {**image, "version": 2} if image.get("version") == 1 else image
    if kind not in _WIRED.values():
        return image
    left = dict(image)
    if _is_blank(image.get("conductors")):
        del left["conductors"]
    end = image.get("supply_end")
    if image.get("needs") and isinstance(end, dict) and _is_blank(end.get("pins", {})):
        del left["supply_end"]
    return left


def _is_blank(pins: Any) -> bool:
    return isinstance(pins, dict) and not any(pins.values())


#: Pure upgrades, n → n + 1, by n: of a file, and of one thing of it. Version 1 is the first.
UPGRADES: dict[int, Callable[[dict[str, Any]], dict[str, Any]]] = {1: _to_2}
_IMAGES: dict[int, Callable[[str, dict[str, Any]], dict[str, Any]]] = {1: _image_to_2}
