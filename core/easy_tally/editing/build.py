"""Edits of the build itself: its name, note and case, its rules and assumptions."""

from __future__ import annotations

from typing import Any, Literal

from ..base.errors import BadInput
from ..things.build import Build
from ..things.individuals import NEW
from .base import EditBase
from .valid import remade, set_fields

_HEADER = ("name", "note", "spin_up_at_once", "none_here", "case", "place", "bracket")


class ChangeBuild(EditBase):
    """Set name, note, case, place, staggering, or single house rules and assumptions."""

    type: Literal["change build"] = "change build"
    changes: dict[str, Any] = {}
    house_rules: dict[str, Any] = {}
    assumptions: dict[str, Any] = {}

    def apply(self, build: Build) -> Build:
        """With the fields set."""
        for name in self.changes:
            if name not in _HEADER:
                raise BadInput([(f"build.{name}", f"one of {', '.join(_HEADER)}", name)])
        _bracket_fits(build, self.changes.get("bracket"))
        rules = set_fields(build.house_rules, self.house_rules, "house_rules", ())
        assume = set_fields(build.assumptions, self.assumptions, "assumptions", ())
        changed = remade(build, "build", **self.changes, house_rules=rules, assumptions=assume)
        single = {
            n: _individual(getattr(build, n), getattr(changed, n)) for n in ("case", "bracket")
        }
        return changed.model_copy(update=single)

    def title(self, build: Build) -> str:
        """The same for all of these."""
        return "change build"


def _individual(was: Any, now: Any) -> Any:
    """A case or a bracket: described otherwise it is the same, called otherwise and of another
    entry of the catalogue it is another one."""
    if was is None or now is None or now is was:
        return now
    same = now.name == was.name or getattr(now, "slug", "") == getattr(was, "slug", None)
    return now.model_copy(update={"individual": was.individual if same else NEW})


def _bracket_fits(build: Build, bracket: Any) -> None:
    """A bracket holds a supply of its own form. Raises BadInput."""
    form = build.supply.form if build.supply else None
    own = bracket.get("form") if isinstance(bracket, dict) else getattr(bracket, "form", None)
    if form is not None and own is not None and own != form:
        need = f"a bracket that holds {form}, as this supply is"
        raise BadInput([("bracket", need, f"one for {own}")])
