"""What is found on the map: runs, drives that stay off, sockets that nothing feeds."""

from __future__ import annotations

from collections.abc import Iterator

from ..editing import Connect
from ..ratings.runs import RunResult, kept_off
from ..wiring import Input, Offer, first_offer
from ..wiring.offers import free_ports_for
from .facts import Analysis
from .finding import Finding, Remedy, Severity, Subject


def runs(a: Analysis) -> Iterator[Finding]:
    """The governing element of every run that is not within."""
    for run in a.runs:
        e = run.governing
        if e is None or run.verdict == "within":
            continue
        j = e.judged
        severity: Severity = "refused" if run.verdict == "over" and e.refused else run.verdict
        remedies = () if severity == "tight" else (_remedy(a, run),)
        yield Finding(
            id=f"run.{e.kind.replace(' ', '-')}", severity=severity, cause=(run, e),
            subject=Subject(of="cable", key=run.wired.cable.key), remedies=remedies,
            numbers={
                "load": j.load, "limit": j.limit, "share": j.share, "unit": e.unit,
                "line": e.line, "state": j.state, "at": e.at,
            },
        )  # fmt: skip


def _remedy(a: Analysis, run: RunResult) -> Remedy:
    at = Subject(of="cable", key=run.wired.cable.key)
    if run.verdict == "unknown":
        return Remedy(id="enter-missing", find=at)
    feeds = run.wired.feeds
    if len(feeds) < 2:
        return Remedy(id="rated-for-more", find=at)
    spare = _spare_for(a, run)
    if spare is None:
        return Remedy(id="no-spare", find=at)
    return spare


def _spare_for(a: Analysis, run: RunResult) -> Remedy | None:
    """Moving the last plug of a run to a cable that is not in use, with a free port for it."""
    last = run.wired.feeds[-1]
    for cable in sorted(a.build.cables, key=lambda c: len(c.plugs)):
        if a.build.run(cable.key) is not None:
            continue
        plug = next((p for p in cable.plugs if p.kind == last.plug.kind), None)
        ports = None if plug is None else free_ports_for(a.wired, cable)
        if plug is not None and ports is not None and cable.family == run.wired.cable.family:
            edit = Connect(cable=cable.key, plug=plug.key, socket=last.input.at, half=last.half)
            where = " and ".join(p.label for p in ports) or "the supply"
            return Remedy(
                id="move-to-spare", edit=edit,
                names=(a.wired.words(last.input.ref), cable.name, where),
            )  # fmt: skip
    return None


def kept_off_drives(a: Analysis) -> Iterator[Finding]:
    """Drives that power disable keeps off where they are plugged in."""
    for feed in a.wired.feeds.values():
        if kept_off(feed):
            at = Subject(of="socket", key=feed.input.ref)
            yield Finding(
                id="drive.kept-off", severity="failed", subject=at, cause=feed,
                remedies=(Remedy(id="feed-without-3v3", find=at),),
            )  # fmt: skip


def unlimited_groups(a: Analysis) -> Iterator[Finding]:
    """Port groups in use whose limit is not known: worth knowing, since few makers state it."""
    for key in dict.fromkeys(k for r in a.runs if r.wired.feeds for k in r.unlimited):
        yield Finding(
            id="group.no-limit", severity="note", subject=Subject(of="group", key=key)
        )  # fmt: skip


def unfed(a: Analysis) -> Iterator[Finding]:
    """Sockets that have to be fed and are not; without a supply that is one thing, said there."""
    if a.build.supply is None:
        return
    needed = a.needed
    offers: dict[tuple[str, ...], Offer | None] = {}
    for ref, into in a.wired.inputs.items():
        if ref in needed and ref not in a.wired.live:
            like = (into.socket.kind, into.socket.version)
            if like not in offers:
                offers[like] = first_offer(a.wired, into)
            yield Finding(
                id="socket.unfed", severity="unfed", subject=Subject(of="socket", key=ref),
                cause=into, remedies=(plug_in(into, offers[like]),),
            )  # fmt: skip


def plug_in(into: Input, offer: Offer | None) -> Remedy:
    """Plugging the plug of an offer in; or finding one, where there is none."""
    at = Subject(of="socket", key=into.ref)
    if offer is None:
        return Remedy(id="no-plug", find=at)
    edit = Connect(cable=offer.cable, plug=offer.plug, half=offer.half, socket=into.at)
    return Remedy(id="plug-in", edit=edit, find=at, names=(offer.text,))
