"""The fields of a kind of part as it declares them: what forms draw, lines say, columns hold."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from types import NoneType
from typing import Any, Literal, get_args, get_origin

from pydantic import BaseModel
from pydantic.fields import FieldInfo

from .traits import Traits

Shape = Literal["figure", "choice", "tick", "whole", "number"]


@dataclass(frozen=True, slots=True)
class DeclaredField:
    """A field that is drawn by its declaration alone.

    `choices` are values with their words, where it is chosen; `said`: the word that names it in a
    line, and `said_as` what stands there for each value; `only`: a field, and the value of it at
    which this one means nothing; `minimum` and `maximum` in `unit`.
    """

    name: str
    label: str
    text: str
    unit: str
    shape: Shape
    choices: tuple[tuple[Any, str], ...] = ()
    minimum: float | None = None
    maximum: float | None = None
    may_miss: bool = False
    group: str = ""
    only: tuple[str, str] | None = None
    said: str = ""
    said_as: tuple[tuple[str, str], ...] | None = None
    #: How the value is told back, `{}` in its place.
    told: str = ""
    #: Names of the assumptions, one of which stands in where the figure is missing.
    default_from: tuple[str, ...] = ()
    needed: bool = False
    #: What a catalogue's page is said to leave out, where it leaves this figure out.
    missed: str = ""


@dataclass(frozen=True, slots=True)
class KindOfPart:
    """A kind of part: its traits, its fields, how it may be fed."""

    traits: Traits
    fields: tuple[DeclaredField, ...]
    has_sockets: bool
    #: Whether it may hang on a header.
    hangs: bool

    @property
    def figures(self) -> tuple[DeclaredField, ...]:
        """The fields that are figures, with bounds and an origin."""
        return tuple(f for f in self.fields if f.shape == "figure")


def kind_of(part: type[BaseModel], traits: Traits) -> KindOfPart:
    """A kind off the class that declares its parts."""
    return KindOfPart(
        traits=traits,
        fields=tuple(_declared_fields(part)),
        has_sockets="sockets" in part.model_fields,
        hangs="on" in part.model_fields,
    )


def _declared_fields(kind: type[BaseModel]) -> Iterator[DeclaredField]:
    """Its figures and its plain fields, in their order; what has a form by hand is not among
    them: sockets, headers, slots, what it hangs on."""
    for name, field in kind.model_fields.items():
        extra: dict[str, Any] = dict(field.json_schema_extra or {})  # type: ignore[arg-type]
        if "default_from" in extra:
            yield DeclaredField(
                name=name,
                label=field.description or name,
                text=field.description or name,
                unit=extra["unit"],
                shape="figure",
                maximum=extra["maximum"],
                may_miss=True,
                said=extra["said"],
                default_from=tuple(extra["default_from"]),
                needed=extra["needed"],
                missed=extra["missed"],
            )
        elif "shown" in extra:
            yield _plain(name, field, extra["shown"], extra.get("unit", ""))


def _plain(name: str, field: FieldInfo, shown: dict[str, Any], unit: str) -> DeclaredField:
    types = set(get_args(field.annotation)) or {field.annotation}
    words, said_as = shown.get("words", []), shown.get("said_as")
    return DeclaredField(
        name=name,
        label=field.title or name,
        text=field.description or "",
        unit=unit,
        shape=_shape(field, types, bool(words)),
        choices=tuple((value, word) for value, word in words),
        minimum=_limit(field, "ge"),
        maximum=_limit(field, "le"),
        may_miss=NoneType in types,
        group=shown.get("group", ""),
        only=shown.get("only"),
        said=shown.get("said", ""),
        said_as=tuple(said_as.items()) if said_as else None,
        told=shown.get("told") or f"{shown.get('said')} {{}}",
    )


def _shape(field: FieldInfo, types: set[Any], has_words: bool) -> Shape:
    if has_words or get_origin(field.annotation) is Literal:
        return "choice"
    if bool in types:
        return "tick"
    return "whole" if int in types else "number"


def _limit(field: FieldInfo, which: Literal["ge", "le"]) -> float | None:
    return next((getattr(m, which) for m in field.metadata if hasattr(m, which)), None)
