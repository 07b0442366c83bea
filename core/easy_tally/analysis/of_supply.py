"""What is found about the supply: every check of its label that does not pass."""

from __future__ import annotations

from collections.abc import Iterator

from ..supplies.asked import CheckStatus, SupplyCheck
from ..supplies.checks import OF_SIZE
from ..things.labels import label_problems
from .facts import Analysis
from .finding import Finding, Remedy, Severity, Subject

_SEVERITY: dict[CheckStatus, Severity] = {"fail": "failed", "unknown": "unknown", "warn": "warn"}


def label(a: Analysis) -> Iterator[Finding]:
    """Without a supply nothing can be fed: that is one thing to mend, not one a socket."""
    at = Subject(of="supply")
    if a.supply is None:
        if a.build.parts:
            unfed = len(a.needed - a.wired.live)
            yield Finding(
                id="supply.none",
                severity="unfed",
                subject=at,
                numbers={"sockets": unfed},
                remedies=(Remedy(id="take-supply", find=at),),
            )
        return
    for name, required, got in label_problems(a.build.supply) if a.build.supply else ():
        field = Subject(of="supply", field=name)
        yield Finding(
            id="supply.contradiction",
            severity="unknown",
            subject=field,
            numbers={"required": required, "got": got},
            remedies=(Remedy(id="set-right", find=field),),
        )
    for check in a.supply.checks:
        severity = _SEVERITY.get(check.status)
        if severity is None or (severity == "unknown" and _told_elsewhere(check)):
            continue
        field = Subject(of="supply", field=_lacks(check) or check.id)
        yield Finding(
            id=f"supply.{check.id}",
            severity=severity,
            subject=field,
            cause=check,
            numbers={
                "load": check.load,
                "limit": check.limit,
                "unit": check.unit,
                "rail": check.rail,
                "state": check.state,
                "window": check.window,
            },
            remedies=() if severity == "warn" else (_remedy(check, field),),
        )
    unknown = tuple(
        c for c in a.supply.checks if c.status == "unknown" and c.id not in OF_SIZE and c.missing
    )
    if unknown:
        facts = dict.fromkeys(m for c in unknown for m in c.missing)
        yield Finding(
            id="supply.unknown",
            severity="unknown",
            cause=unknown,
            subject=Subject(of="supply", field=next(iter(facts))),
            remedies=(
                Remedy(
                    id="find-out-supply",
                    names=tuple(facts),
                    find=Subject(of="supply", field=next(iter(facts))),
                ),
            ),
        )


def _lacks(check: SupplyCheck) -> str:
    """The field of the label that a check of its size lacks; empty where it lacks none."""
    if check.status != "unknown" or check.limit is not None:
        return ""
    if check.id == "rail":
        return f"{check.rail}_a"
    return _FIELDS.get(check.id, "")


#: Check of its size → the field of the label that it is held against.
_FIELDS = {"watts": "rated_w", "rating": "rated_w", "spikes": "rated_w", "combined": "combined_w"}


def _told_elsewhere(check: SupplyCheck) -> bool:
    """Whether what a check lacks is told with that of others, or at the part whose figure is
    missing. One that broke down has neither and is told by itself."""
    is_ours = check.id in OF_SIZE or "uncoded" in check.more
    return not is_ours and bool(check.missing or check.more)


#: Check that fails → what mends it, where it is not a larger supply.
_MENDS: dict[str, str] = {
    "spikes": "take-other-design",
    "ports": "take-with-leads",
    "form": "take-other-form",
    "length": "take-shorter",
    "reach": "take-longer-cable",
    "mains": "ask-electrician",
    "hold-up": "take-longer-hold-up",
}


def _remedy(check: SupplyCheck, at: Subject) -> Remedy:
    if check.status == "unknown" and "uncoded" in check.more:
        return Remedy(id="enter-code", find=at, names=tuple(check.more["uncoded"][:1]))
    if check.status != "fail":
        return Remedy(id="enter-label", find=at)
    return Remedy(id=_MENDS.get(check.id, "take-larger"), find=at)
