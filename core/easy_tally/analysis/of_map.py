"""What is found on the map beside its runs: drives that stay off, sockets that nothing feeds."""

from __future__ import annotations

from collections.abc import Iterator

from ..editing import Connect
from ..ratings.runs import kept_off
from ..wiring import Input, Offer, first_offer
from .facts import Analysis
from .finding import Finding, Remedy, Subject


def kept_off_drives(a: Analysis) -> Iterator[Finding]:
    """Drives that power disable keeps off where they are plugged in."""
    for feed in a.wired.feeds.values():
        if kept_off(feed):
            at = Subject(of="socket", key=feed.input.ref)
            yield Finding(
                id="drive.kept-off",
                severity="failed",
                subject=at,
                cause=feed,
                remedies=(Remedy(id="feed-without-3v3", find=at),),
            )


def unlimited_groups(a: Analysis) -> Iterator[Finding]:
    """Port groups in use whose limit is not known: worth knowing, since few makers state it."""
    for key in dict.fromkeys(k for r in a.runs if r.wired.feeds for k in r.unlimited):
        yield Finding(id="group.no-limit", severity="note", subject=Subject(of="group", key=key))


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
                id="socket.unfed",
                severity="unfed",
                subject=Subject(of="socket", key=ref),
                cause=into,
                remedies=(plug_in(into, offers[like]),),
            )


def plug_in(into: Input, offer: Offer | None) -> Remedy:
    """Plugging the plug of an offer in; or finding one, where there is none."""
    at = Subject(of="socket", key=into.ref)
    if offer is None:
        return Remedy(id="no-plug", find=at)
    edit = Connect(cable=offer.cable, plug=offer.plug, half=offer.half, socket=into.at)
    return Remedy(id="plug-in", edit=edit, find=at, names=(offer.text,))
