"""What is found about the supply: every check of its label that does not pass."""

from __future__ import annotations

from collections.abc import Iterator

from ..supplies.checks import CheckStatus
from .facts import Analysis
from .finding import Finding, Remedy, Severity, Subject

_SEVERITY: dict[CheckStatus, Severity] = {"fail": "failed", "unknown": "unknown", "warn": "warn"}


def label(a: Analysis) -> Iterator[Finding]:
    """Without a supply nothing can be fed: that is one thing to mend, not one a socket."""
    at = Subject(of="supply")
    if a.supply is None:
        if a.build.parts:
            unfed = len(a.needed - a.wired.feeds.keys())
            yield Finding(
                id="supply.none", severity="unfed", subject=at, numbers={"sockets": unfed},
                remedies=(Remedy(id="take-supply", find=at),),
            )  # fmt: skip
        return
    for check in a.supply.checks:
        severity = _SEVERITY.get(check.status)
        if severity is None:
            continue
        field = Subject(of="supply", field=check.id)
        failed = "take-other-design" if check.id == "spikes" else "take-larger"
        remedy = Remedy(id=failed if check.status == "fail" else "enter-label", find=field)
        yield Finding(
            id=f"supply.{check.id}", severity=severity, subject=field, cause=check,
            numbers={
                "load": check.load, "limit": check.limit, "unit": check.unit, "rail": check.rail,
                "state": check.state, "window": check.window,
            },
            remedies=() if severity == "warn" else (remedy,),
        )  # fmt: skip
