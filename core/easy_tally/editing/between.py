"""Edits of what stands between a cable and a socket: adapters, extensions, backplanes."""

from __future__ import annotations

from typing import Any, Literal

from ..base.declared import Key
from ..base.errors import NotThere, Refused, WouldRelease
from ..things.adapters import Adapter, Backplane, Extension
from ..things.build import Build
from ..things.individuals import another
from ..wiring import Wired, never_made
from .base import EditBase, Release
from .valid import fresh_key, keys_of, remade, set_fields, settle

Thing = Adapter | Extension | Backplane


class AddBetween(EditBase):
    """Add an adapter, an extension or a backplane, plugged into nothing."""

    type: Literal["add adapter"] = "add adapter"
    thing: Thing

    def apply(self, build: Build) -> Build:
        """With the thing last of its kind."""
        _allowed(self.thing)
        key = fresh_key(self.thing.key, keys_of(build))
        thing = another(self.thing, key=key, connections=())
        name = _list_of(thing)
        return remade(build, key, **{name: (*getattr(build, name), thing)})

    def title(self, build: Build) -> str:
        """Its name."""
        return f"add {self.thing.name}"


class ChangeBetween(EditBase):
    """Set some fields of an adapter, an extension or a backplane."""

    type: Literal["change adapter"] = "change adapter"
    key: Key
    changes: dict[str, Any]
    release: Release = False

    def apply(self, build: Build) -> Build:
        """With the fields set."""
        thing = thing_of(build, self.key)
        changed = set_fields(thing, self.changes, thing.key, fixed=("key", "connections"))
        _allowed(changed)
        name = _list_of(thing)
        several = tuple(changed if t.key == thing.key else t for t in getattr(build, name))
        return settle(build, self.release, thing.key, **{name: several})

    def title(self, build: Build) -> str:
        """Its name."""
        return f"change {_name(build, self.key)}"


class RemoveBetween(EditBase):
    """Take an adapter, an extension or a backplane out."""

    type: Literal["remove adapter"] = "remove adapter"
    key: Key
    release: Release = False

    def apply(self, build: Build) -> Build:
        """Without it; what it was plugged into is unplugged."""
        thing = thing_of(build, self.key)
        wired = Wired(build)
        lost = [
            f"{thing.name} from {wired.words(f.input.ref)}"
            for f in wired.feeds.values()
            if f.cable.key == thing.key
        ]
        if lost and not self.release:
            raise WouldRelease(lost)
        name = _list_of(thing)
        left = tuple(t for t in getattr(build, name) if t.key != thing.key)
        return settle(build, self.release, thing.key, **{name: left})

    def title(self, build: Build) -> str:
        """Its name."""
        return f"remove {_name(build, self.key)}"


def _allowed(thing: Thing) -> None:
    if not isinstance(thing, Backplane) and (reason := never_made(thing)):
        raise Refused(f"{reason}. It is never plugged in, so it has no place in a build.")


def _list_of(thing: Thing) -> str:
    """The field of a build that holds such a thing."""
    match thing:
        case Adapter():
            return "adapters"
        case Extension():
            return "extensions"
        case Backplane():
            return "backplanes"


def thing_of(build: Build, key: str) -> Thing:
    """The adapter, extension or backplane called `key`. Raises NotThere."""
    several: tuple[Thing, ...] = (*build.adapters, *build.extensions, *build.backplanes)
    thing = next((t for t in several if t.key == key), None)
    if thing is None:
        raise NotThere(f"There is no adapter, extension or backplane {key} in this build.")
    return thing


def _name(build: Build, key: str) -> str:
    several: tuple[Thing, ...] = (*build.adapters, *build.extensions, *build.backplanes)
    return next((t.name for t in several if t.key == key), key)
