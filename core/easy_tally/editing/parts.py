"""Edits of parts."""

from __future__ import annotations

from typing import Annotated, Any, Literal, get_args

from pydantic import Field

from ..base.declared import Figure, Key
from ..base.errors import BadInput, NotThere
from ..things.build import Build
from ..things.individuals import another
from ..things.parts import PART_KINDS, Part, ties
from .base import EditBase, Release
from .valid import fresh_key, keys_of, remade, set_fields, settle


class AddPart(EditBase):
    """Add a part; its key is made from its name where the one given is taken."""

    type: Literal["add part"] = "add part"
    part: Part

    def apply(self, build: Build) -> Build:
        """With the part last."""
        return _added(build, self.part)

    def title(self, build: Build) -> str:
        """Its name."""
        return f"add {self.part.name}"


class AddParts(EditBase):
    """Add several parts in one step."""

    type: Literal["add parts"] = "add parts"
    parts: Annotated[tuple[Part, ...], Field(min_length=1, max_length=200)]

    def apply(self, build: Build) -> Build:
        """With all of them; a hub of the list that gets a new key takes what hangs on it along."""
        renamed: dict[str, str] = {}
        for part in self.parts:
            on = getattr(part, "on", None)
            moved = part.model_copy(update={"on": renamed[on]}) if on in renamed else part
            build = _added(build, moved)
            renamed[part.key] = build.parts[-1].key
        return build

    def title(self, build: Build) -> str:
        """How many."""
        return f"add {len(self.parts)} parts"


class ChangePart(EditBase):
    """Set some fields of a part."""

    type: Literal["change part"] = "change part"
    part: Key
    changes: dict[str, Any]
    release: Release = False

    def apply(self, build: Build) -> Build:
        """With the fields set."""
        part = _part(build, self.part)
        changed = set_fields(part, self.changes, part.key, fixed=("key", "kind"))
        if self.changes.keys() <= _BY_ITSELF[type(part)]:
            return build.model_copy(update={"parts": _with(build, changed)})
        return _put(build, changed, self.release)

    def title(self, build: Build) -> str:
        """The part's name."""
        return f"change {_name(build, self.part)}"


class TakeEntry(EditBase):
    """Take a catalogue entry's figures over into a part; what ties it to its build stays. Of the
    same name, or another revision of the same entry, it is the same part, better described; else
    another one in its place."""

    type: Literal["take entry"] = "take entry"
    part: Key
    entry: Part
    release: Release = False

    def apply(self, build: Build) -> Build:
        """With the entry's figures in the part."""
        part, entry = _part(build, self.part), self.entry
        if entry.kind != part.kind:
            raise BadInput([(f"{part.key}.kind", part.kind, entry.kind)])
        stays = {n: getattr(part, n) for n in ("key", *ties(part))}
        taken = another(entry, **stays)
        if _slug(entry) == _slug(part) or entry.name == part.name:
            own = {"individual": part.individual, "exchanged": part.exchanged}
            taken = taken.model_copy(update=own)
        return _put(build, taken, self.release)

    def title(self, build: Build) -> str:
        """The part's name."""
        return f"take {_name(build, self.part)}"


class RemovePart(EditBase):
    """Take a part out."""

    type: Literal["remove part"] = "remove part"
    part: Key
    release: Release = False

    def apply(self, build: Build) -> Build:
        """Without the part."""
        part = _part(build, self.part)
        parts = tuple(p for p in build.parts if p.key != part.key)
        return settle(build, self.release, part.key, parts=parts)

    def title(self, build: Build) -> str:
        """The part's name."""
        return f"remove {_name(build, self.part)}"


def _part(build: Build, key: str) -> Part:
    part = build.part(key)
    if part is None:
        raise NotThere(f"There is no part {key} in this build.")
    return part


def _slug(part: Part) -> str:
    """Of which catalogue entry a part is, whatever revision; its own name where of none."""
    return part.catalogue.partition("@")[0] or part.name


def _name(build: Build, key: str) -> str:
    part = build.part(key)
    return part.name if part else key


def _added(build: Build, part: Part) -> Build:
    key = fresh_key(part.key, keys_of(build))
    return remade(build, key, parts=(*build.parts, another(part, key=key)))


def _by_itself(kind: Any) -> frozenset[str]:
    figures = (n for n, f in kind.model_fields.items() if Figure in get_args(f.annotation))
    return frozenset(("name", "note", *figures))


#: Fields of a part on which nothing else of a build stands: its name, its note, and figures. What
#: is plugged where holds whatever they are.
_BY_ITSELF = {kind: _by_itself(kind) for kind in PART_KINDS}


def _with(build: Build, part: Part) -> tuple[Part, ...]:
    return tuple(part if p.key == part.key else p for p in build.parts)


def _put(build: Build, part: Part, release: bool) -> Build:
    return settle(build, release, part.key, parts=_with(build, part))
