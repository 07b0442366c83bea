"""A way to let the supply in place stay, as data."""

from __future__ import annotations

from dataclasses import dataclass

from ..editing import Edit


@dataclass(frozen=True, slots=True, kw_only=True)
class Way:
    """One change with which every check of the supply's size passes: an edit, and its numbers."""

    id: str
    edit: Edit
    part: str = ""
    name: str = ""
    watts: int = 0
    share: float = 1.0
    owned: bool = True
    #: What it costs, in the builder's currency; None: not known.
    cost: float | None = 0.0
