"""What is found about the parts themselves."""

from __future__ import annotations

from collections.abc import Iterator

from ..standards.connectors import SLOT_W
from ..tally.contradictions import contradictions
from ..tally.demand import Adrift
from ..things.parts import Card
from ..wiring import first_offer
from .facts import Analysis
from .finding import Finding, Remedy, Subject
from .of_map import plug_in


def figures(a: Analysis) -> Iterator[Finding]:
    """Parts without a figure that has no honest default; a build without parts."""
    if not a.build.parts:
        yield Finding(
            id="build.empty",
            severity="unknown",
            subject=Subject(of="build"),
            remedies=(Remedy(id="add-part", find=Subject(of="build", field="parts")),),
        )
    seen: set[str] = set()
    for row in a.tally.rows:
        if row.missing and row.part not in seen:
            seen.add(row.part)
            at = Subject(of="part", key=row.part, field=row.field)
            yield Finding(
                id="part.no-figure",
                severity="unknown",
                subject=at,
                cause=row,
                remedies=(Remedy(id="enter-figure", find=at),),
            )


def contradicting(a: Analysis) -> Iterator[Finding]:
    """Figures of which the lower is the higher: used as they stand, and said."""
    for c in contradictions(a.build, a.wired.memory):
        at = Subject(of="part", key=c.part.key, field=c.field)
        yield Finding(
            id="part.contradiction",
            severity="unknown",
            subject=at,
            cause=c,
            numbers={"value": c.value, "limit": c.limit, "other": c.other},
            remedies=(Remedy(id="set-right", find=at),),
        )


def without_way_in(a: Analysis) -> Iterator[Finding]:
    """Loads that no run, slot or header carries: their part has no socket, or all of its sockets
    are optional and nothing feeds them."""
    alike: dict[tuple[str, int | None], list[Adrift]] = {}
    for x in a.carried.adrift:
        # Without any socket it is one thing to say of a part; else one of each instance.
        alike.setdefault((x.load.part, x.instance if x.inputs else None), []).append(x)
    for (part, instance), loads in alike.items():
        watts = sum(_most_w(x) for x in loads)
        if instance is None:
            at = Subject(of="part", key=part, field="sockets")
            yield Finding(
                id="part.no-way-in",
                severity="unknown",
                subject=at,
                cause=loads[0],
                numbers={"watts": watts},
                remedies=(Remedy(id="give-socket", find=at),),
            )
        elif a.build.supply is not None:
            into = loads[0].inputs[0]
            remedy = plug_in(into, first_offer(a.wired, into))
            yield Finding(
                id="part.unfed",
                severity="unfed",
                subject=Subject(of="socket", key=into.ref),
                cause=loads[0],
                numbers={"watts": watts},
                remedies=(remedy,),
            )


def _most_w(x: Adrift) -> float:
    return max(s.likely for s in x.load.spans) + x.load.surge.likely


def few_lanes(a: Analysis) -> Iterator[Finding]:
    """Cards in a slot of fewer lanes than their edge has: they run on those, and such a slot grants
    what it grants."""
    for part in a.build.parts:
        slot = a.wired.slot_of(part) if isinstance(part, Card) else None
        if isinstance(part, Card) and slot is not None and slot.lanes < part.lanes:
            yield Finding(
                id="card.few-lanes",
                severity="note",
                subject=Subject(of="part", key=part.key, field="slot"),
                cause=slot,
                numbers={"lanes": slot.lanes, "edge": part.lanes, "watts": SLOT_W[slot.lanes][2]},
            )


def ignored(a: Analysis) -> Iterator[Finding]:
    """Figures that are stated and do not count."""
    for part in a.build.parts:
        if isinstance(part, Card) and part.slot_w is not None and not part.sockets:
            yield Finding(
                id="card.slot-share-ignored",
                severity="note",
                cause=part,
                subject=Subject(of="part", key=part.key, field="slot_w"),
            )
