"""The register of checks: what each is called, what it needs, what it finds, or not built yet.

The strip, the verdict on the whole, what is to mend, the list of what is not checked, a supply's
ticket and the command's exit status derive from it. A check that breaks down reads unknown.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from typing import Literal

from ..ratings.runs import MAP_CHECKS
from ..supplies.checks import SUPPLY_CHECKS
from . import of_board, of_fit, of_map, of_parts, of_rules, of_runs, of_signals, of_supply
from .facts import Analysis
from .finding import Finding, Severity, Subject

Family = Literal["parts", "supply", "map", "board", "fit"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Check:
    """One check: `needs` what it can't do without; `find` None: not built yet. What a part of a
    wider check finds (`within`) comes with that one."""

    id: str
    family: Family
    words: str
    needs: str
    find: Callable[[Analysis], Iterable[Finding]] | None = None
    within: str = ""

    @property
    def built(self) -> bool:
        """Whether it is done at all."""
        return self.find is not None or bool(self.within)


CHECKS: tuple[Check, ...] = (
    Check(
        id="part.figures",
        family="parts",
        words="figures that have no honest default",
        needs="parts",
        find=of_parts.figures,
    ),
    Check(
        id="part.contradiction",
        family="parts",
        words="figures that contradict each other",
        needs="parts",
        find=of_parts.contradicting,
    ),
    Check(
        id="part.way-in",
        family="parts",
        words="a way in for every load",
        needs="loads",
        find=of_parts.without_way_in,
    ),
    Check(
        id="part.ignored",
        family="parts",
        words="figures that do not count",
        needs="parts",
        find=of_parts.ignored,
    ),
    Check(
        id="part.lanes",
        family="parts",
        words="cards in slots of fewer lanes",
        needs="board",
        find=of_parts.few_lanes,
    ),
    Check(
        id="signal.ports",
        family="parts",
        words="signal ports: SATA data, M.2 slots, internal USB, front leads",
        needs="board",
        find=of_signals.ports,
    ),
    Check(
        id="signal.speeds",
        family="parts",
        words="fans whose speed is seen",
        needs="board",
        find=of_signals.speeds,
    ),
    Check(
        id="supply.label",
        family="supply",
        words="the supply's label",
        needs="supply",
        find=of_supply.label,
    ),
    *(
        Check(
            id=f"supply.{c.id}",
            family="supply",
            words=c.words,
            needs="supply",
            within="supply.label" if c.find else "",
        )
        for c in SUPPLY_CHECKS
    ),
    Check(
        id="fit.room",
        family="fit",
        words="room in the case and air through it",
        needs="case",
        find=of_fit.room,
    ),
    Check(
        id="map.runs",
        family="map",
        words="every run within its rating",
        needs="map",
        find=of_runs.runs,
    ),
    *(
        Check(
            id=f"run.{c.id}",
            family="map",
            words=c.words,
            needs="map",
            within="map.runs" if c.find or c.in_group else "",
        )
        for c in MAP_CHECKS
    ),
    Check(
        id="map.kept-off",
        family="map",
        words="drives that power disable keeps off",
        needs="map",
        find=of_map.kept_off_drives,
    ),
    Check(
        id="map.group-limit",
        family="map",
        words="limits of port groups",
        needs="map",
        find=of_map.unlimited_groups,
    ),
    Check(
        id="map.rules",
        family="map",
        words="house rules for adapters, port groups and fans",
        needs="map",
        find=of_rules.told,
    ),
    Check(
        id="board.through",
        family="board",
        words="what comes through the board",
        needs="board",
        find=of_board.through,
    ),
    Check(
        id="socket.unfed",
        family="map",
        words="sockets that have to be fed",
        needs="supply",
        find=of_map.unfed,
    ),
)

_ORDER: tuple[Severity, ...] = (
    "over",
    "refused",
    "failed",
    "unfed",
    "unknown",
    "tight",
    "warn",
    "note",
)


def findings(a: Analysis) -> tuple[Finding, ...]:
    """What every check finds, worst first, in the order of the register."""
    several = [f for check in CHECKS for f in _find(check, a)]
    return tuple(sorted(several, key=lambda f: _ORDER.index(f.severity)))


def _find(check: Check, a: Analysis) -> list[Finding]:
    if check.find is None:
        return []
    try:
        return list(check.find(a))
    except Exception:  # noqa: BLE001 - a check that breaks down is unknown, whatever broke
        return [
            Finding(
                id="check.broke-down",
                severity="unknown",
                subject=Subject(of="build"),
                cause=check.words,
            )
        ]


def not_built(family: Family | None = None) -> tuple[Check, ...]:
    """Checks that are not built yet, of one family or of all."""
    return tuple(c for c in CHECKS if not c.built and family in (None, c.family))
