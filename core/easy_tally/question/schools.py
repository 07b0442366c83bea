"""Where schools differ: under which of them a verdict would be another."""

from __future__ import annotations

from ..analysis import Analysis, judged_runs
from ..analysis.analyse import sized
from ..base.errors import EasyTallyError
from ..mapping import feeds_all
from ..things.build import Build
from ..things.schools import SCHOOLS, School
from ..wiring import Wired
from .around import Patience
from .outcome import Outcome
from .verdicts import VerdictId


def otherwise(o: Outcome, fails: set[VerdictId], patience: Patience) -> dict[VerdictId, list[str]]:
    """Verdict → what some schools make of it otherwise, in a sentence each. The shipped schools
    are asked, those alone of which a rule differs."""
    told: dict[VerdictId, list[str]] = {"watts": [], "leads": []}
    until = patience.until(Patience.REPAIRS)
    for school in SCHOOLS:
        build = _under(o.build, school)
        if build.house_rules == o.build.house_rules or o.build.supply is None:
            continue
        by = f"By “{school.name}”"
        then = sized(o.analysis, build)
        if _is_too_small(then) != _is_too_small(o.analysis):
            pick = then.sizing.pick_w
            asks = f"the next common size is {pick} W" if pick else "no common size is large enough"
            said = "it is too small" if _is_too_small(then) else "its size does"
            told["watts"].append(f"{by} {said}: {asks}.")
        if "leads" not in fails:
            if _is_refused(o.analysis, build):
                told["leads"].append(f"{by} this map is refused: a cable carries what it may not.")
        elif not until() and _feeds(build):
            told["leads"].append(f"{by} all of it can be fed with what is there.")
    return told


def _under(build: Build, school: School) -> Build:
    return build.model_copy(update={"house_rules": school.of(build.house_rules)})


def _is_too_small(a: Analysis) -> bool:
    return a.supply is not None and a.supply.verdict == "too small"


def _is_refused(a: Analysis, build: Build) -> bool:
    runs = judged_runs(Wired(build, a.wired.memory.aside()), a)
    return any(r.verdict == "over" for r in runs)


def _feeds(build: Build) -> bool:
    try:
        return feeds_all(build)
    except EasyTallyError:
        return False
