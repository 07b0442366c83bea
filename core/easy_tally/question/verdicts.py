"""The six verdicts of a question: every finding of a build belongs to one of the first four."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..analysis import Analysis
from ..analysis.finding import BAD, Finding
from ..supplies.asked import CheckStatus, SupplyCheck
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
_ORDER: tuple[CheckStatus, ...] = ("fail", "unknown", "not checked", "warn", "pass")


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
    """The six verdicts on an outcome, worked out once."""
    if o.judged is None:
        by_id: dict[VerdictId, list[Finding]] = {v: [] for v in VERDICTS}
        for f in o.analysis.findings:
            by_id[of_which(f)].append(f)
        o.judged = tuple(
            Verdict(id=v, status=_worst(_status(v, fs, o), _by_more(v, o)), findings=tuple(fs))
            for v, fs in by_id.items()
        )
    return o.judged


#: Findings that something is not fed: of leads that nobody knows they say nothing.
_UNFED = ("socket.unfed", "part.unfed", "supply.ports")


def _status(id: VerdictId, findings: list[Finding], o: Outcome) -> CheckStatus:
    told = [f for f in findings if not (id == "leads" and f.id in _UNFED and _is_open(o))]
    severities = {f.severity for f in told}
    if severities & {*BAD}:
        return "fail"
    if "unknown" in severities:
        return "unknown"
    return "warn" if severities & {"tight", "warn"} else "pass"


def _is_open(o: Outcome) -> bool:
    """Whether nobody knows what could be fed: by cables that nobody says, or a search that decided
    nothing."""
    if o.mapped is None:
        return False
    return o.mapped.status == "not decided" or has_no_leads(o.analysis)


def _by_more(id: VerdictId, o: Outcome) -> CheckStatus:
    """What no finding says of a verdict: what is missing for it is unknown, never fine."""
    a = o.analysis
    match id:
        case "watts" if a.supply is None or a.sizing.needed is None:
            return "unknown"
        case "leads" if _is_open(o):
            return "unknown"
        case "room" if a.build.case is None:
            return "unknown"
        case "air":
            check = o.airflow
            return "unknown" if check is None else check.status
        case "cost" if year_kwh(a) is None:
            return "unknown"
        case "work" if o.is_stopped:
            return "fail"
    return "pass"


def _worst(*several: CheckStatus) -> CheckStatus:
    return min(several, key=rank)


def has_no_leads(a: Analysis) -> bool:
    """Whether a supply is there of which nobody says any cable: what it feeds is not known."""
    supply = a.build.supply
    return supply is not None and not any(c.family == supply.family for c in a.build.cables)


def year_kwh(a: Analysis) -> float | None:
    """Energy of a year from the wall [kWh]; None where it is not known."""
    checks = a.supply.checks if a.supply else ()
    return next((c.load for c in checks if c.id == "cost"), None)


def rank(status: CheckStatus) -> int:
    """How good a status is; 0 the worst."""
    return _ORDER.index(status)
