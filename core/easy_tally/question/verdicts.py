"""The six verdicts of a question: every finding of a build belongs to one of the first four."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..analysis import Analysis
from ..analysis.finding import BAD, Finding
from ..analysis.of_fit import fit_checks
from ..supplies.asked import CheckStatus, SupplyCheck
from ..supplies.case.fit import FitCheck
from .outcome import Outcome

VerdictId = Literal["watts", "leads", "room", "air", "cost", "work"]
VERDICTS: tuple[VerdictId, ...] = ("watts", "leads", "room", "air", "cost", "work")
#: Checks of a supply that are of its leads, of room, of the air; the others are of watts.
_LEADS = ("supply.ports", "supply.reach", "supply.none")
_ROOM = ("supply.form", "supply.length", "card.few-lanes")
#: Families of findings that are of the leads, and of room; the others are of watts.
_FAMILIES: dict[str, VerdictId] = {
    "run": "leads",
    "map": "leads",
    "rule": "leads",
    "group": "leads",
    "drive": "leads",
    "board": "leads",
    "socket": "leads",
    "signal": "room",
    "fit": "room",
}
#: Worst first.
_ORDER: tuple[CheckStatus, ...] = ("fail", "unknown", "warn", "pass")


@dataclass(frozen=True, slots=True, kw_only=True)
class Verdict:
    """One verdict: what its findings come to, and these, worst first."""

    id: VerdictId
    status: CheckStatus
    findings: tuple[Finding, ...] = ()


def of_which(finding: Finding) -> VerdictId:
    """The verdict that a finding belongs to."""
    if finding.id in _LEADS or finding.id in ("part.no-way-in", "part.unfed"):
        return "leads"
    if finding.id in _ROOM:
        return "room"
    if finding.id == "fit.airflow":
        return "air"
    if finding.id == "supply.unknown" and all(f"supply.{c.id}" in _ROOM for c in _causes(finding)):
        return "room"
    return _FAMILIES.get(finding.id.partition(".")[0], "watts")


def _causes(finding: Finding) -> tuple[SupplyCheck, ...]:
    return finding.cause if isinstance(finding.cause, tuple) else ()


def verdicts(o: Outcome) -> tuple[Verdict, ...]:
    """The six verdicts on an outcome."""
    a = o.analysis
    by_id: dict[VerdictId, list[Finding]] = {v: [] for v in VERDICTS}
    for f in a.findings:
        by_id[of_which(f)].append(f)
    several = [Verdict(id=v, status=_status(fs), findings=tuple(fs)) for v, fs in by_id.items()]
    return tuple(_by_more(v, o) for v in several)


def _status(findings: list[Finding]) -> CheckStatus:
    severities = {f.severity for f in findings}
    if severities & {*BAD}:
        return "fail"
    if "unknown" in severities:
        return "unknown"
    return "warn" if severities & {"tight", "warn"} else "pass"


def _by_more(v: Verdict, o: Outcome) -> Verdict:
    """A verdict with what no finding says."""
    status, a = v.status, o.analysis
    if v.id == "watts" and status != "fail" and (a.supply is None or a.sizing.needed is None):
        status = "unknown"
    elif v.id == "leads":
        if o.mapped is not None and o.mapped.status == "not decided":
            status = "unknown"
        if o.mapped is not None and has_no_leads(a):
            status = "unknown"
    elif v.id in ("room", "air") and a.build.case is None:
        status = "unknown"
    elif v.id == "air":
        check = airflow(a)
        status = _ORDER[min(_ORDER.index(status), _ORDER.index(check.status))] if check else status
    elif v.id == "cost":
        status = "pass" if year_kwh(a) is not None else "unknown"
    elif v.id == "work" and o.is_stopped:
        status = "fail"
    return v if status == v.status else Verdict(id=v.id, status=status, findings=v.findings)


def has_no_leads(a: Analysis) -> bool:
    """Whether a supply is there of which nobody says any cable: what it feeds is not known."""
    supply = a.build.supply
    return supply is not None and not any(c.family == supply.family for c in a.build.cables)


def airflow(a: Analysis) -> FitCheck | None:
    """The check of the air through the case, if it has one."""
    return next((c for c in fit_checks(a) if c.id == "airflow"), None)


def year_kwh(a: Analysis) -> float | None:
    """Energy of a year from the wall [kWh]; None where it is not known."""
    checks = a.supply.checks if a.supply else ()
    return next((c.load for c in checks if c.id == "cost"), None)


def rank(status: CheckStatus) -> int:
    """How good a status is; 0 the worst."""
    return _ORDER.index(status)
