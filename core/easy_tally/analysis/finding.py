"""A finding: something that a check has to say of a build, as data. Wording is apart."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from ..editing import Edit

#: Worst first. Those up to `unknown` stand in what is to mend; `tight` and `warn` are allowed;
#: a `note` is worth knowing.
Severity = Literal["over", "refused", "failed", "unfed", "unknown", "tight", "warn", "note"]
TO_MEND: tuple[Severity, ...] = ("over", "refused", "failed", "unfed", "unknown")
#: What is wrong; what is only unknown is to be found out.
BAD: tuple[Severity, ...] = TO_MEND[:-1]

SEVERITY_WORDS: dict[Severity, str] = {
    "over": "over",
    "refused": "refused",
    "failed": "failed",
    "unfed": "not fed",
    "unknown": "unknown",
    "tight": "tight",
    "warn": "worth a look",
    "note": "worth knowing",
}

#: What kind of thing a subject is; the web turns it into a place.
Of = Literal["build", "part", "socket", "cable", "group", "supply", "case"]
Number = float | int | str | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Subject:
    """What a finding is about: a thing of the build by its key, and its field where one is it."""

    of: Of
    key: str = ""
    field: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class Remedy:
    """A way to mend: an edit that can be made, or a fact to find out, or a thing to choose."""

    id: str
    edit: Edit | None = None
    find: Subject | None = None
    names: tuple[str, ...] = ()
    #: What is to be found out, for its wording, where names do not say it.
    cause: object = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Finding:
    """What a check found. `id` is stable; `cause` is what was judged, for its wording."""

    id: str
    severity: Severity
    subject: Subject
    numbers: Mapping[str, Number] = field(default_factory=dict)
    cause: object = None
    remedies: tuple[Remedy, ...] = ()
