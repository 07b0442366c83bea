"""What is found about room in the case and the air through it."""

from __future__ import annotations

from collections.abc import Iterator

from ..supplies.case import air, fit
from ..supplies.case.fit import FitCheck, Missing
from .facts import Analysis
from .finding import Finding, Of, Remedy, Severity, Subject

_OF: dict[str, Of] = {"part": "part", "case": "case", "supply": "supply", "place": "case"}
_SEVERITY: dict[str, Severity] = {"fail": "failed", "warn": "warn"}
_MENDS: dict[str, str] = {
    "card-length": "other-card-or-case",
    "card-height": "other-card-or-case",
    "plug-room": "straight-less",
    "slots": "other-card-or-case",
    "radiator": "other-radiator",
    "bays-35": "fewer-drives",
    "bays-25": "fewer-drives",
}
#: Checks of room, in the order in which they are told.
CHECKS = (
    fit.card_length,
    fit.card_height,
    fit.plugs,
    fit.slots,
    fit.beside_hot,
    fit.support,
    fit.radiators,
    fit.bays,
    fit.supply_fan,
)


def fit_checks(a: Analysis) -> tuple[FitCheck, ...]:
    """Every check of room and air; none without a case."""
    case = a.build.case
    if case is None:
        return ()
    room = (checked for check in CHECKS for checked in check(a.wired, case))
    return (*room, *air.airflow(a.wired, a.tally, case))


def subject(missing: Missing) -> Subject:
    """Where a missing measure is entered."""
    return Subject(of=_OF[missing.of], key=missing.key, field=missing.field)


def room(a: Analysis) -> Iterator[Finding]:
    """What has no room; what is not known for want of measures is one finding."""
    checks = fit_checks(a)
    for check in checks:
        severity = _SEVERITY.get(check.status)
        if severity is None:
            continue
        at = Subject(of="part", key=check.part) if check.part else Subject(of="case")
        mends = (Remedy(id=_MENDS[check.id], find=at),) if severity == "failed" else ()
        yield Finding(
            id=f"fit.{check.id}",
            severity=severity,
            subject=at,
            cause=check,
            numbers={"load": check.load, "limit": check.limit, "unit": check.unit},
            remedies=mends,
        )
    unknown = tuple(c for c in checks if c.status == "unknown" and c.missing)
    facts = tuple(dict.fromkeys(m for c in unknown for m in c.missing))
    if facts:
        yield Finding(
            id="fit.unknown",
            severity="unknown",
            subject=subject(facts[0]),
            cause=unknown,
            remedies=(Remedy(id="measure", find=subject(facts[0]), cause=facts),),
        )
