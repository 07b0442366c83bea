"""What a builder does to a build, as pure functions: a build and an edit in, a build out.

Every write of the product is one of these. Each either returns a whole, valid build or raises
from `errors.py` and changes nothing.
"""

from __future__ import annotations

from collections.abc import Callable
from typing import Annotated, Any, Literal

from pydantic import Field

from .build import Build
from .errors import BadInput, NotThere, Refused, WouldRelease
from .fits import best_half, fit
from .making import fresh_key, remade, set_fields, settle
from .offers import free_ports_for, why_no_port, why_not_here
from .parts import Part, ties
from .quantities import Key, Model
from .standards.connectors import Half
from .supply import Cable, Connection, Plug, Run, SocketRef, Supply, port_takes

Release = Annotated[
    bool, Field(description="consent to unplug what the edit takes the ground from")
]


class AddPart(Model):
    """Add a part; its key is made from its name where the one given is taken."""

    type: Literal["add part"] = "add part"
    part: Part


class AddParts(Model):
    """Add several parts in one step."""

    type: Literal["add parts"] = "add parts"
    parts: Annotated[tuple[Part, ...], Field(min_length=1, max_length=200)]


class ChangePart(Model):
    """Set some fields of a part."""

    type: Literal["change part"] = "change part"
    part: Key
    changes: dict[str, Any]
    release: Release = False


class TakeEntry(Model):
    """Take a catalogue entry's figures over into a part; what ties it to its build stays."""

    type: Literal["take entry"] = "take entry"
    part: Key
    entry: Part
    release: Release = False


class RemovePart(Model):
    """Take a part out."""

    type: Literal["remove part"] = "remove part"
    part: Key
    release: Release = False


class ChangeBuild(Model):
    """Set name, note, case, staggering, or single house rules and assumptions."""

    type: Literal["change build"] = "change build"
    changes: dict[str, Any] = {}
    house_rules: dict[str, Any] = {}
    assumptions: dict[str, Any] = {}


class TakeSupply(Model):
    """Put a supply in, with the cables from its box, in place of the one there is."""

    type: Literal["take supply"] = "take supply"
    supply: Supply
    cables: tuple[Cable, ...] = ()
    release: Release = False


class ChangeSupply(Model):
    """Set some fields of the supply."""

    type: Literal["change supply"] = "change supply"
    changes: dict[str, Any]
    release: Release = False


class AddCable(Model):
    """Add a cable to the bag."""

    type: Literal["add cable"] = "add cable"
    cable: Cable


class ChangeCable(Model):
    """Set some fields of a cable."""

    type: Literal["change cable"] = "change cable"
    cable: Key
    changes: dict[str, Any]
    release: Release = False


class RemoveCable(Model):
    """Take a cable out of the bag."""

    type: Literal["remove cable"] = "remove cable"
    cable: Key
    release: Release = False


class Connect(Model):
    """Put a plug into a socket. A plug in use moves; a plug already there parks. The cable goes
    into `ports`, or where it has none yet into the first free ones that take it."""

    type: Literal["connect"] = "connect"
    cable: Key
    plug: Key
    socket: SocketRef
    half: Half | None = None
    ports: tuple[Key, ...] | None = None


class Park(Model):
    """Pull a plug out of its socket; the cable stays in its ports."""

    type: Literal["park"] = "park"
    cable: Key
    plug: Key


class PlugIn(Model):
    """Put the supply end of a cable into ports, or into others."""

    type: Literal["plug in"] = "plug in"
    cable: Key
    ports: tuple[Key, ...] | None = None


class Unplug(Model):
    """Take a cable out, both ends."""

    type: Literal["unplug"] = "unplug"
    cable: Key


Edit = Annotated[
    AddPart | AddParts | ChangePart | TakeEntry | RemovePart | ChangeBuild | TakeSupply
    | ChangeSupply | AddCable | ChangeCable | RemoveCable | Connect | Park | PlugIn | Unplug,
    Field(discriminator="type"),
]  # fmt: skip


def apply(build: Build, edit: Edit) -> Build:
    """Return `build` with `edit` made. Raises BadInput, NotThere, Refused or WouldRelease."""
    return _EDITS[type(edit)](build, edit)


def title(build: Build, edit: Edit) -> str:
    """What an edit does, for the history: a short phrase."""
    match edit:
        case AddPart():
            return f"add {edit.part.name}"
        case AddParts():
            return f"add {len(edit.parts)} parts"
        case ChangePart() | TakeEntry() | RemovePart():
            part = build.part(edit.part)
            return f"{edit.type.split()[0]} {part.name if part else edit.part}"
        case ChangeCable() | RemoveCable() | Park() | PlugIn() | Unplug() | Connect():
            cable = build.cable(edit.cable)
            return f"{edit.type.split()[0]} {cable.name if cable else edit.cable}"
        case TakeSupply():
            return f"take {edit.supply.name}"
        case AddCable():
            return f"add {edit.cable.name}"
        case ChangeSupply():
            return "change supply"
        case ChangeBuild():
            return "change build"


# -- parts ---------------------------------------------------------------------------------


def _part(build: Build, key: str) -> Part:
    part = build.part(key)
    if part is None:
        raise NotThere(f"There is no part {key} in this build.")
    return part


def _add_part(build: Build, edit: AddPart) -> Build:
    key = fresh_key(edit.part.key, {p.key for p in build.parts})
    part = edit.part.model_copy(update={"key": key})
    return remade(build, key, parts=(*build.parts, part))


def _add_parts(build: Build, edit: AddParts) -> Build:
    renamed: dict[str, str] = {}
    for part in edit.parts:
        on = getattr(part, "on", None)
        if on in renamed:
            part = part.model_copy(update={"on": renamed[on]})
        build = _add_part(build, AddPart(part=part))
        # A hub of the list that got a new key takes what hangs on it along.
        renamed[part.key] = build.parts[-1].key
    return build


def _change_part(build: Build, edit: ChangePart) -> Build:
    part = _part(build, edit.part)
    changed = set_fields(part, edit.changes, part.key, fixed=("key", "kind"))
    return _put_part(build, changed, edit.release)


def _take_entry(build: Build, edit: TakeEntry) -> Build:
    part, entry = _part(build, edit.part), edit.entry
    if entry.kind != part.kind:
        raise BadInput([(f"{part.key}.kind", part.kind, entry.kind)])
    stays = {n: getattr(part, n) for n in ("key", *ties(part))}
    return _put_part(build, entry.model_copy(update=stays), edit.release)


def _put_part(build: Build, part: Part, release: bool) -> Build:
    parts = tuple(part if p.key == part.key else p for p in build.parts)
    return settle(build, release, part.key, parts=parts)


def _remove_part(build: Build, edit: RemovePart) -> Build:
    part = _part(build, edit.part)
    parts = tuple(p for p in build.parts if p.key != part.key)
    return settle(build, edit.release, part.key, parts=parts)


# -- the build itself ----------------------------------------------------------------------


_HEADER = ("name", "note", "spin_up_at_once", "case")


def _change_build(build: Build, edit: ChangeBuild) -> Build:
    for name in edit.changes:
        if name not in _HEADER:
            raise BadInput([(f"build.{name}", f"one of {', '.join(_HEADER)}", name)])
    rules = set_fields(build.house_rules, edit.house_rules, "house_rules", ())
    assume = set_fields(build.assumptions, edit.assumptions, "assumptions", ())
    return remade(build, "build", **edit.changes, house_rules=rules, assumptions=assume)


# -- supply and cables ---------------------------------------------------------------------


def _take_supply(build: Build, edit: TakeSupply) -> Build:
    # Cables of the old family leave with their supply; others in the bag stay.
    old = build.supply.family if build.supply else None
    stay = [c for c in build.cables if c.family != old]
    # Keys of the cables that leave are not given again: a key is one thing in a history.
    keys = {c.key for c in build.cables}
    arrive: list[Cable] = []
    for new in edit.cables:
        key = fresh_key(new.key, keys)
        keys.add(key)
        arrive.append(new.model_copy(update={"key": key}))
    plugged = [
        f"{cable.name} from {build.ref_words(c.socket)}"
        for run in build.runs
        for c in run.connections
        if (cable := build.cable(run.cable))
    ]
    if plugged and not edit.release:
        raise WouldRelease(plugged)
    return remade(build, "supply", supply=edit.supply, cables=(*stay, *arrive), runs=())


def _change_supply(build: Build, edit: ChangeSupply) -> Build:
    if build.supply is None:
        raise NotThere("There is no supply in this build.")
    supply = set_fields(build.supply, edit.changes, "supply", ())
    return settle(build, edit.release, "supply", supply=supply)


def _cable(build: Build, key: str) -> Cable:
    cable = build.cable(key)
    if cable is None:
        raise NotThere(f"There is no cable {key} in this build.")
    return cable


def _add_cable(build: Build, edit: AddCable) -> Build:
    key = fresh_key(edit.cable.key, {c.key for c in build.cables})
    return remade(build, key, cables=(*build.cables, edit.cable.model_copy(update={"key": key})))


def _change_cable(build: Build, edit: ChangeCable) -> Build:
    cable = _cable(build, edit.cable)
    changed = set_fields(cable, edit.changes, cable.key, fixed=("key",))
    cables = tuple(changed if c.key == cable.key else c for c in build.cables)
    return settle(build, edit.release, cable.key, cables=cables)


def _remove_cable(build: Build, edit: RemoveCable) -> Build:
    cable = _cable(build, edit.cable)
    cables = tuple(c for c in build.cables if c.key != cable.key)
    return settle(build, edit.release, cable.key, cables=cables)


# -- the map -------------------------------------------------------------------------------


def _plug(cable: Cable, key: str) -> Plug:
    plug = next((p for p in cable.plugs if p.key == key), None)
    if plug is None:
        raise NotThere(f"{cable.name} has no plug {key}.")
    return plug


def _connect(build: Build, edit: Connect) -> Build:
    cable = _cable(build, edit.cable)
    plug, socket = _plug(cable, edit.plug), build.socket(edit.socket)
    if socket is None:
        raise NotThere(f"There is no socket {edit.socket} in this build.")
    board = build.board()
    allows = board is not None and board.eps4_in_eps8
    half = edit.half or best_half(plug.kind, socket.kind, allows)
    answer = fit(plug.kind, half, socket.kind, allows)
    if not answer.fits:
        raise Refused(answer.reason)
    ports = _seat(build, cable, edit.ports)
    cleared = tuple(
        r.model_copy(
            update={
                "connections": tuple(
                    c
                    for c in r.connections
                    if c.socket != edit.socket and not (r.cable == cable.key and c.plug == plug.key)
                )
            }
        )
        for r in build.runs
    )
    new = Connection(plug=plug.key, half=half, socket=edit.socket)
    old = next((r for r in cleared if r.cable == cable.key), None)
    connections = (*(old.connections if old else ()), new)
    run = Run(cable=cable.key, ports=ports, connections=connections)
    return remade(build, runs=_ordered(build, [r for r in cleared if r.cable != cable.key], run))


def _seat(build: Build, cable: Cable, wanted: tuple[str, ...] | None) -> tuple[str, ...]:
    """The ports that a cable goes into: those wanted, those it is in, or the first free ones."""
    if reason := why_not_here(build, cable):
        raise Refused(reason)
    run = build.run(cable.key)
    if wanted is None and run is not None:
        return run.ports
    if wanted is None:
        free = free_ports_for(build, cable)
        if free is None:
            raise Refused(why_no_port(build, cable))
        return tuple(p.key for p in free)
    return _asked_ports(build, cable, wanted)


def _asked_ports(build: Build, cable: Cable, wanted: tuple[str, ...]) -> tuple[str, ...]:
    ports = {p.key: p for p in build.supply.ports} if build.supply else {}
    free = {p.key for p in build.free_ports(without=cable.key)}
    if len(wanted) != len(cable.needs):
        raise Refused(f"{cable.name} goes into {len(cable.needs)} ports, got {len(wanted)}.")
    for key, need in zip(wanted, cable.needs, strict=True):
        if key not in ports:
            raise NotThere(f"The supply has no port {key}.")
        if not port_takes(ports[key].kind, need):
            raise Refused(
                f"{cable.name} needs a {need} port; {ports[key].label} is {ports[key].kind}, with "
                f"{ports[key].circuits} circuits, {ports[key].pins_12v} of them 12 V."
            )
        if key not in free:
            raise Refused(f"Port {ports[key].label} has a cable in it; 0 of 1 free.")
    return wanted


def _ordered(build: Build, others: list[Run], run: Run) -> tuple[Run, ...]:
    """Runs in the order of the cables, connections in the order of the plugs."""
    cables = {c.key: i for i, c in enumerate(build.cables)}
    cable = build.cable(run.cable)
    plugs = {p.key: i for i, p in enumerate(cable.plugs)} if cable else {}
    run = run.model_copy(
        update={"connections": tuple(sorted(run.connections, key=lambda c: plugs[c.plug]))}
    )
    # A fixed cable that feeds nothing is not a run: it hangs there anyway.
    kept = [
        r for r in [*others, run] if r.connections or (c := build.cable(r.cable)) is None or c.needs
    ]
    return tuple(sorted(kept, key=lambda r: cables[r.cable]))


def _park(build: Build, edit: Park) -> Build:
    cable = _cable(build, edit.cable)
    _plug(cable, edit.plug)
    run = build.run(cable.key)
    if run is None or all(c.plug != edit.plug for c in run.connections):
        raise Refused(f"Plug {edit.plug} of {cable.name} is parked already.")
    left = run.model_copy(
        update={"connections": tuple(c for c in run.connections if c.plug != edit.plug)}
    )
    others = [r for r in build.runs if r.cable != cable.key]
    return remade(build, runs=_ordered(build, others, left))


def _plug_in(build: Build, edit: PlugIn) -> Build:
    cable = _cable(build, edit.cable)
    if not cable.needs:
        raise Refused(f"{cable.name} is fixed to the supply.")
    run = build.run(cable.key)
    ports = _seat(build, cable, edit.ports)
    new = Run(cable=cable.key, ports=ports, connections=run.connections if run else ())
    return remade(build, runs=_ordered(build, [r for r in build.runs if r is not run], new))


def _unplug(build: Build, edit: Unplug) -> Build:
    cable = _cable(build, edit.cable)
    if build.run(cable.key) is None:
        raise Refused(f"{cable.name} is in the bag already.")
    return remade(build, runs=tuple(r for r in build.runs if r.cable != cable.key))


_EDITS: dict[type[Any], Callable[[Build, Any], Build]] = {
    AddPart: _add_part,
    AddParts: _add_parts,
    ChangePart: _change_part,
    TakeEntry: _take_entry,
    RemovePart: _remove_part,
    ChangeBuild: _change_build,
    TakeSupply: _take_supply,
    ChangeSupply: _change_supply,
    AddCable: _add_cable,
    ChangeCable: _change_cable,
    RemoveCable: _remove_cable,
    Connect: _connect,
    Park: _park,
    PlugIn: _plug_in,
    Unplug: _unplug,
}
