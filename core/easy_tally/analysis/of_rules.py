"""What house rules tell of that limit nothing: adapters, port groups, where fans hang."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from ..mapping.goals import group_rule
from ..standards.connectors import PLUGS, is_coded, is_of
from ..things.adapters import Adapter
from ..things.parts import Board, Fan
from ..wiring import Feed, Wired
from ..wiring.offers import free_ports_for
from ..wiring.wired import Owner
from .facts import Analysis
from .finding import Finding, Subject


def told(a: Analysis) -> Iterator[Finding]:
    """What stands against a house rule of the build."""
    yield from _adapters(a)
    yield from _leads(a)
    yield from _groups(a)
    yield from _fans(a)


def _adapters(a: Analysis) -> Iterator[Finding]:
    """Adapters in 16-pin sockets, where a cable made for them is free."""
    if a.build.house_rules.adapter_16pin != "native first":
        return
    wired = a.wired
    for feed in wired.feeds.values():
        if not is_coded(feed.mated) or feed.cable.key not in wired.betweens:
            continue
        native = next(
            (
                c
                for c in wired.cables.values()
                if wired.build.run(c.key) is None
                and any(is_coded(PLUGS[p.kind].whole) for p in c.plugs)
                and c.family == _family(wired)
                and free_ports_for(wired, c) is not None
            ),
            None,
        )
        if native is not None:
            yield Finding(
                id="rule.adapter_16pin",
                severity="note",
                subject=Subject(of="socket", key=feed.input.ref),
                cause=(feed.cable.name, native.name),
            )


def _leads(a: Analysis) -> Iterator[Finding]:
    """Adapters in use of which leads hang, where the rule would have all plugged in."""
    if a.build.house_rules.adapter_leads != "all":
        return
    for b in a.wired.betweens.values():
        used = [s.key for s in b.sockets if f"{b.key}#1/{s.key}" in a.wired.live]
        if isinstance(b.of, Adapter) and b.connections and 0 < len(used) < len(b.sockets):
            yield Finding(
                id="rule.adapter_leads",
                severity="note",
                subject=Subject(of="socket", key=str(b.connections[0].socket)),
                cause=(b.name, len(used), len(b.sockets)),
            )


def _family(wired: Wired) -> str:
    return wired.build.supply.family if wired.build.supply else ""


def _groups(a: Analysis) -> Iterator[Finding]:
    """Devices whose cables stand in port groups otherwise than the rule says."""
    rule = group_rule(a.build)
    for device, groups in device_groups(a.wired).items():
        several = len(dict.fromkeys(groups)) > 1
        if (rule == "keep together" and several) or (
            rule == "spread" and len(groups) > 1 and not several and _others(a.wired)
        ):
            yield Finding(
                id="rule.port_groups",
                severity="note",
                subject=Subject(of="part", key=device[0]),
                cause=(device, len(dict.fromkeys(groups)), rule),
            )


def device_groups(wired: Wired) -> dict[tuple[str, int, str], list[str]]:
    """(part, instance, path) → the port groups of the cables that feed it, one for each port; the
    board's main plug and its processor sockets are two devices."""
    groups_of: dict[tuple[str, int, str], list[str]] = {}
    for run in wired.runs:
        groups = [p.group for p in run.ports if p.group is not None]
        devices = dict.fromkeys(_devices(wired, run.feeds))
        for device in devices:
            groups_of.setdefault(device, []).extend(groups)
    return groups_of


def _devices(wired: Wired, feeds: Sequence[Feed]) -> Iterator[tuple[str, int, str]]:
    for feed in feeds:
        into = feed.input
        if into.between is not None:
            yield from _devices(wired, wired.onward(into))
        else:
            yield into.at.part, into.at.instance, _path(into.part, into.socket.kind)


def _path(part: Owner, kind: str) -> str:
    return "processor" if isinstance(part, Board) and is_of(kind, "processor") else ""


def _others(wired: Wired) -> bool:
    return len({p.group for p in wired.ports.values() if p.group is not None}) > 1


def _fans(a: Analysis) -> Iterator[Finding]:
    """Fans on the board's headers, where the rule would have them on a hub."""
    if a.build.house_rules.fans != "on a hub":
        return
    hanging = [
        p
        for p in a.build.parts
        if isinstance(p, Fan) and not p.sockets and not a.wired.hubs_above(p)
    ]
    if hanging:
        yield Finding(
            id="rule.fans",
            severity="note",
            subject=Subject(of="part", key=hanging[0].key),
            cause=sum(p.count for p in hanging),
        )
