"""What is never allowed to be connected, whatever flows: named when it is refused.

Source: model, section 4.6: a lead that shares a cable with another load of its adapter; SATA to
graphics; moulded 4-pin to SATA.
"""

from __future__ import annotations

from collections.abc import Iterator

from ..standards.connectors import CONNECTORS, grant_12v_w
from ..things.adapters import Adapter, Backplane
from ..things.cables import Plug
from .between import Between
from .wired import Carrier, Feed, Input, Wired, WiredRun

_GRAPHICS = ("pcie8", "pcie6", "16pin")


def never_allowed(wired: Wired, run: WiredRun) -> tuple[str, ...]:
    """Why a run, with all that it is plugged into, is never allowed; empty where it is."""
    found = list(_shared(run.feeds))
    for of in _on_the_way(wired, run.feeds).values():
        found += never(of)
    return tuple(dict.fromkeys(found))


def nobody_says(wired: Wired, run: WiredRun) -> tuple[str, ...]:
    """What on the way of a run would never be allowed, if it is what nobody says."""
    return tuple(
        f"{of.name}: moulded or crimped, nobody says; moulded ones are known to burn"
        for of in unsaid(wired, run)
    )


def unsaid(wired: Wired, run: WiredRun) -> tuple[Between, ...]:
    """What on the way of a run is moulded or crimped, and nobody says which."""
    return tuple(of for of in _on_the_way(wired, run.feeds).values() if _unsaid(of))


def _on_the_way(wired: Wired, feeds: tuple[Feed, ...]) -> dict[str, Between]:
    found: dict[str, Between] = {}
    for feed in feeds:
        of = feed.input.between
        if of is not None and of.key not in found:
            found[of.key] = of
            found |= _on_the_way(wired, wired.onward(feed.input))
    return found


def for_graphics(of: Between) -> bool:
    """Whether an adapter feeds a graphics socket: each of its leads needs a cable of its own."""
    return isinstance(of.of, Adapter) and any(
        p.kind in ("16pin", "pcie6+2", "pcie8", "pcie6") for p in of.plugs
    )


def _shared(feeds: tuple[Feed, ...]) -> Iterator[str]:
    for of in {f.input.part.key: f.input.between for f in feeds if f.input.between}.values():
        if of is None or not for_graphics(of):
            continue
        beside = [f for f in feeds if f.mated in _GRAPHICS]
        if len(beside) > 1:
            yield f"{of.name}: each of its leads needs a cable that feeds nothing else"


def never(of: Between) -> Iterator[str]:
    """What is wrong with a thing in between by itself, whatever it feeds."""
    if isinstance(of.of, Backplane):
        return
    leads, plugs = {s.kind for s in of.sockets}, {p.kind for p in of.plugs}
    if "sata" in leads and plugs & {"pcie6+2", "pcie8", "pcie6", "16pin"}:
        brings = f"{grant_12v_w('sata'):.0f} W"
        yield f"{of.name}: a SATA plug brings {brings}, a graphics socket may draw more"
    if isinstance(of.of, Adapter) and "per4" in leads and "sata" in plugs and of.of.moulded:
        yield f"{of.name}: moulded adapters from 4-pin to SATA are known to burn"


def _unsaid(of: Between) -> bool:
    return (
        isinstance(of.of, Adapter) and of.of.moulded is None
        and any(s.kind == "per4" for s in of.sockets) and any(p.kind == "sata" for p in of.plugs)
    )  # fmt: skip


def why_never(wired: Wired, carrier: Carrier, plug: Plug, into: Input) -> str:
    """Why a plug may never go into an input as things are plugged now; empty where it may."""
    if into.between is carrier:
        return f"{carrier.name} can’t feed itself."
    for of in (carrier, into.between):
        if isinstance(of, Between) and (reason := next(never(of), "")):
            return f"{reason}."
    if isinstance(carrier, Between) or into.socket.kind not in _GRAPHICS:
        return ""
    beside = [
        f for f in wired.feeds.values()
        if f.cable is carrier and f.plug.key != plug.key and f.mated in _GRAPHICS
    ]  # fmt: skip
    others = (f.input.between for f in beside)
    adapters = [of for of in others if of is not None and for_graphics(of)]
    if into.between is not None and for_graphics(into.between) and beside:
        return _own_cable(into.between, carrier, wired.words(beside[0].input.ref))
    if adapters:
        return _own_cable(adapters[0], carrier, wired.words(into.ref))
    return ""


def _own_cable(of: Between, carrier: Carrier, other: str) -> str:
    lead = CONNECTORS[of.sockets[0].kind].words
    watts = grant_12v_w(of.sockets[0].kind)
    return (
        f"{of.name} counts on {watts:.0f} W by each {lead} lead: each needs a cable of its own, "
        f"and {carrier.name} would feed {other} too."
    )
