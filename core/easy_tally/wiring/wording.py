"""Why something is never connected, in sentences without an end: what shows them puts it."""

from __future__ import annotations

from ..standards.connectors import CONNECTORS, PLUGS, SocketKind, clash, grant_12v_w
from ..things.cables import Cable
from ..things.wording import a
from .between import Between
from .wired import Carrier, Feed, Input, Wired


def crossed(between: Between, kind: SocketKind, end: SocketKind) -> str:
    """A processor's plug for a graphics one, or the other way round."""
    one, two = CONNECTORS[kind].words, CONNECTORS[end].words
    shorted = clash(kind, end)
    wrong = f", which has 12 V where the other has ground on {shorted} pins" if shorted else ""
    ends = f"from {a(one, False)} plug to {a(two, False)} one"
    return f"{between.name}: {ends}{wrong}; the two are never exchanged"


def too_little(between: Between, kind: SocketKind) -> str:
    """A plug that brings less than a graphics socket may draw."""
    brings, plug = f"{grant_12v_w(kind):.0f} W", CONNECTORS[kind].lead
    return f"{between.name}: a {plug} plug brings {brings}, a graphics socket may draw more"


def burns(between: Between) -> str:
    """A moulded adapter from 4-pin to SATA."""
    return f"{between.name}: moulded adapters from 4-pin to SATA are known to burn"


def nobody_says(between: Between) -> str:
    """One of which nobody says whether it is moulded."""
    return f"{between.name}: moulded or crimped, nobody says; moulded ones are known to burn"


def own_cable(between: Between) -> str:
    """Leads that share a cable."""
    return f"{between.name}: each of its leads needs a cable that feeds nothing else"


def keyed(wired: Wired, feed: Feed) -> str:
    """The second half of a plug where its keying does not let it."""
    half = PLUGS[feed.plug.kind].loose_words
    into = wired.words(feed.input.ref)
    return f"{half} in {into}: by its keying only the marked half fits there"


def itself(carrier: Carrier) -> str:
    """A plug on its way back to its own lead."""
    return f"{carrier.name} can’t feed itself."


def would_share(wired: Wired, between: Between, cable: Cable, other: Input) -> str:
    """A lead whose cable would feed something else too."""
    lead = between.sockets[0].kind
    counts = (
        f"{between.name} counts on {grant_12v_w(lead):.0f} W by each {CONNECTORS[lead].words} lead"
    )
    shares = f"{cable.name} would feed {wired.words(other.ref)} too"
    return f"{counts}: each needs a cable of its own, and {shares}."
