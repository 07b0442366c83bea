"""What is found about room in the case and the air through it."""

from __future__ import annotations

from collections.abc import Iterator

from ..supplies.case import air, fit
from ..supplies.case.fit import FitCheck, Missing
from ..usual import Fact
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
    """Every check of room and air, at both ends of what nobody measured; none without a case."""
    several = [_checks(x) for x in (a, *a.corners)]
    cautious = [{(c.id, c.part): c for c in checks} for checks in several[1:]]
    return tuple(
        fit.at_both_ends(
            c, [o[at] for o in cautious if (at := (c.id, c.part)) in o], any(facts_behind(a, c))
        )
        for c in several[0]
    )


#: Check → measures of a part, and of the case, that it goes by.
_GOES_BY: dict[str, tuple[tuple[str, ...], tuple[str, ...]]] = {
    "card-length": (("length_mm",), ("card_length_mm",)),
    "card-height": (("height_mm",), ("card_height_mm",)),
    "plug-room front": (("length_mm",), ("card_length_mm",)),
    "plug-room side panel": (("height_mm",), ("card_height_mm",)),
    "slots": (("covers",), ("slots",)),
    "bays-35": ((), ("bays_35",)),
    "bays-25": ((), ("bays_35", "bays_25")),
    "airflow": (("flow_m3h",), ()),
}


def facts_behind(a: Analysis, check: FitCheck) -> Iterator[Fact]:
    """Measures that a check goes by and nobody took."""
    of_part, of_case = _GOES_BY.get(_by_face(check), ((), ()))
    for fact in a.usual:
        if fact.of == "case":
            if fact.field in of_case:
                yield fact
        elif fact.of == "part" and fact.field in of_part and check.part in ("", fact.key):
            yield fact


def _checks(a: Analysis) -> tuple[FitCheck, ...]:
    case = a.wired.build.case
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


def _by_face(check: FitCheck) -> str:
    """A check by name, of a card's plugs with where they stand out to."""
    return f"{check.id} {check.more['face']}" if "face" in check.more else check.id
