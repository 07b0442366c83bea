"""What each position of a house rule would make of this build, before it is chosen."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from ..analysis.analyse import tried
from ..analysis.facts import Analysis
from ..analysis.finding import Finding
from ..analysis.of_fit import fit_checks
from ..editing import ChangeBuild
from ..supplies.case.fit import FitCheck
from ..supplies.checks import SupplyVerdict
from ..things.rules import RULES


@dataclass(frozen=True, slots=True, kw_only=True)
class Effect:
    """One position of a rule: what the rules then ask for [W], the next common size, how the
    supply then reads, how many runs are refused or over, what then has no room in the case or is
    worth a look there."""

    rule: str
    value: str
    needed_w: float | None
    pick_w: int | None
    verdict: SupplyVerdict | None
    bad_runs: int
    room: tuple[FitCheck, ...]
    #: What it would tell of, beside a verdict.
    told: tuple[Finding, ...] = ()


def effects(a: Analysis, after: int = 0) -> Iterator[Effect]:
    """Every position of every rule, behind the first so many, each judged on the whole build."""
    every = [(rule, p.value) for rule, rule_row in RULES.items() for p in rule_row.positions]
    for rule, value in every[after:]:
        now = getattr(a.build.house_rules, rule) == value
        edit = ChangeBuild(house_rules={rule: value})
        then = a if now else tried(a, edit.apply(a.build))
        yield Effect(
            rule=rule,
            value=value,
            pick_w=then.sizing.pick_w,
            needed_w=then.sizing.needed.likely if then.sizing.needed else None,
            verdict=then.supply.verdict if then.supply else None,
            bad_runs=sum(r.verdict == "over" for r in then.runs),
            room=tuple(c for c in fit_checks(then) if c.id in RULES[rule].room),
            told=tuple(f for f in then.findings if f.id == f"rule.{rule}"),
        )
