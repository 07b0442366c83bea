"""A machine taken over as it is found: the whole of it as its build has it, or socket by socket."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from ..analysis import Analysis
from ..things.cables import Cable
from ..things.fits import best_half, goes_into
from ..things.parts import Card, Pump
from ..things.supply import port_takes
from ..wiring import Carrier, Input
from .covers import Known
from .machine import Machine
from .record import FIXED, UNSEEN, Act, Standing, owner
from .steps import Bench

#: An answer of a socket or of a cable: nothing is there, or nobody can see.
NOTHING, NOT_SEEN = "nothing", "unseen"
#: Plugs that are offered over all sockets at the most: of thousands there are thousands for each.
MOST_CHOICES = 4_000


@dataclass(frozen=True, slots=True)
class FoundAs:
    """What may be found at a place: how it is called, and the acts that say so."""

    id: str
    words: str
    acts: tuple[Act, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class FoundPlace:
    """A socket, or the supply end of a cable, with what may be found there. `wanted`, `stands`: ids
    of choices, by the build and by the record; empty where that says nothing."""

    place: str
    words: str
    group: str
    choices: tuple[FoundAs, ...]
    wanted: str
    stands: str


def found_whole(a: Analysis, stands: Standing, known: Known) -> tuple[Act, ...]:
    """What the record says of a machine that runs, and is plugged as its build has it."""
    machine = Machine(a.wired)
    wanted = machine.where
    # What was found last begins the next work: all that follows from it goes before.
    acts = [*_runs(machine)]
    acts += [
        Act("taken out" if end == owner(end) else "unplugged", end, place)
        for end, place in stands.where.items()
        if end not in wanted and not place.endswith(f"/{FIXED}")
    ]
    acts += [
        Act("put away", thing, "not here") for thing in stands.loose if thing not in machine.of
    ]
    acts += [Act("found", e, p) for e, p in wanted.items() if not stands.is_at(e, p)]
    return tuple(acts)


def _runs(machine: Machine) -> Iterator[Act]:
    """What follows from that it runs."""
    for one in machine.of.values():
        if isinstance(one.of, Card):
            yield Act("looked at", one.id, "driver")
        if isinstance(one.of, Pump):
            yield Act("looked at", one.id, "filled")
            yield Act("looked at", one.id, "an hour dry")


def found_parts(a: Analysis, stands: Standing) -> tuple[Act, ...]:
    """The same of parts and small leads alone: what each socket holds is looked at one by one."""
    machine = Machine(a.wired)
    powered = {e for e, link in machine.links.items() if link.kind in ("port", "plug")}
    acts = [*_runs(machine)]
    acts += [
        Act("found", e, p)
        for e, p in machine.where.items()
        if e not in powered and not stands.is_at(e, p)
    ]
    acts += [Act("found", e, UNSEEN) for e in powered if e not in stands.where]
    return tuple(acts)


def found_places(a: Analysis, stands: Standing, known: Known) -> Iterator[FoundPlace]:
    """Every socket, then every cable that is modular: where its supply end is."""
    bench = Bench(a, stands, known)
    most = max(6, MOST_CHOICES // max(1, len(a.wired.inputs)))
    held = {place: end for end, place in stands.where.items() if ">" not in end}
    wanted = {link.place: end for end, link in bench.machine.links.items()}
    for into in a.wired.inputs.values():
        at = f"{bench.machine.id(into.at.part, into.at.instance)}/{into.at.socket}"
        place = _socket(bench, into, at, held.get(at, ""), wanted.get(at, ""), most)
        if len(place.choices) > 2:  # beside nothing and not seen
            yield place
    for cable in a.build.cables:
        if cable.needs and a.build.supply is not None:
            yield _supply_end(bench, cable)


def _socket(bench: Bench, into: Input, place: str, held: str, wanted: str, most: int) -> FoundPlace:
    """A socket at a place: the end that is `held` there by the record, and the one `wanted`."""
    stands = bench.stands
    emptied = (Act("unplugged", held, place),) if held else ()
    choices = [
        FoundAs(end, words, (*(emptied if held != end else ()), Act("found", end, place)))
        for end, words in _plugs_for(bench, into)
    ]
    choices.sort(key=lambda c: (c.id != wanted, c.id != held))
    nothing = FoundAs(NOTHING, "Nothing", emptied)
    unseen = FoundAs(NOT_SEEN, "Can’t see", (Act("found", wanted, UNSEEN),) if wanted else ())
    return FoundPlace(
        place=place,
        words=bench.wired.words(into.ref),
        group=into.part.name,
        choices=(*choices[:most], nothing, unseen),
        wanted=wanted or NOTHING,
        stands=held or (NOT_SEEN if wanted and stands.where.get(wanted) == UNSEEN else ""),
    )


def _plugs_for(bench: Bench, into: Input) -> Iterator[tuple[str, str]]:
    carriers: tuple[Carrier, ...] = (*bench.wired.cables.values(), *bench.wired.betweens.values())
    allows = bench.wired.eps4_in_eps8
    for carrier in carriers:
        if carrier is into.part:
            continue
        whose = (
            bench.machine.cable(carrier.key)
            if isinstance(carrier, Cable)
            else bench.machine.id(carrier.key)
        )
        for plug in carrier.plugs:
            if goes_into(plug.kind, into.socket.kind, allows):
                half = best_half(plug.kind, into.socket.kind, allows)
                end = f"{whose}/{plug.key}" + ("" if half == "whole" else f".{half}")
                yield end, f"{carrier.name}, plug {plug.key}"


def _supply_end(bench: Bench, cable: Cable) -> FoundPlace:
    machine, stands = bench.machine, bench.stands
    end = f"{machine.cable(cable.key)}>"
    ports = [
        p for p in bench.wired.ports.values() if any(port_takes(p.kind, n) for n in cable.needs)
    ]
    link = machine.links.get(end)
    several = {p.key: p.label for p in ports} if len(cable.needs) == 1 else {}
    if link is not None:
        keys = link.place.partition("/")[2]
        labels = [bench.wired.ports[k].label for k in keys.split("+")]
        several = {keys: " and ".join(labels)} | several
    choices = [
        FoundAs(k, f"Port {label}", (Act("found", end, f"{machine.supply}/{k}"),))
        for k, label in several.items()
    ]
    held = stands.where.get(end, "")
    emptied = (Act("unplugged", end, held),) if held else ()
    choices.append(FoundAs(NOTHING, "Not plugged", emptied))
    choices.append(FoundAs(NOT_SEEN, "Can’t see", (Act("found", end, UNSEEN),)))
    is_ours = held.startswith(f"{machine.supply}/")
    return FoundPlace(
        place=end,
        words=f"{cable.name}, at the supply",
        group="At the supply",
        choices=tuple(choices),
        wanted=link.place.partition("/")[2] if link else NOTHING,
        stands=NOT_SEEN if held == UNSEEN else held.partition("/")[2] if is_ours else "",
    )
