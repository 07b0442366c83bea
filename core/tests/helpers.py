"""Small builds for tests: every figure exact, so that sums can be worked out by hand."""

from __future__ import annotations

from typing import Any

from easy_tally.advice import map_it
from easy_tally.analysis import analyse
from easy_tally.base.declared import Figure
from easy_tally.publishing import Compact, MapAnswer, compact, map_answer
from easy_tally.publishing.result import Mend
from easy_tally.ratings.elements import Element
from easy_tally.ratings.runs import RunResult, carried_in_spikes, check_runs
from easy_tally.tally.demand import Demand, demands
from easy_tally.tally.loads import loads as loads_of
from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, Connection, Plug, RailPins, Run, SocketRef, SupplyEnd
from easy_tally.things.parts import Board, Card, Drive, Part, Processor, Slot, Socket
from easy_tally.things.rules import HouseRules
from easy_tally.things.supply import Port, PortGroup, Supply
from easy_tally.usual import End
from easy_tally.wiring import Wired

FAMILY = "Test A"


def exact(value: float, origin: str = "maker") -> Figure:
    """A figure without width."""
    return Figure(low=value, likely=value, high=value, origin=origin)  # type: ignore[arg-type]


def wide(low: float, likely: float, high: float) -> Figure:
    """A figure with bounds."""
    return Figure(low=low, likely=likely, high=high)


def board(**more: Any) -> Board:
    """24-pin and two 8-pin processor sockets; 12 W at 12 V, 6 at 5 V, 7 at 3.3 V."""
    fields: dict[str, Any] = {
        "key": "board",
        "name": "Board",
        "own_12v_w": exact(12),
        "own_5v_w": exact(6),
        "own_3v3_w": exact(7),
        "sockets": (
            Socket(key="main", kind="atx24"),
            Socket(key="cpu-1", kind="eps8"),
            Socket(key="cpu-2", kind="eps8", required=False),
        ),
        "slots": (Slot(key="slot-1"),),
    }
    return Board(**(fields | more))


def processor(package: float = 90, short: float = 108) -> Processor:
    """At 0.90 regulator efficiency 90 W package are 100 W at the sockets, 108 W are 120 W."""
    return Processor(
        key="processor",
        name="Processor",
        package_w=exact(package),
        package_short_w=exact(short),
        package_idle_w=exact(9),
    )


def card(power: float = 320, sockets: str = "pcie8 pcie8", **more: Any) -> Card:
    """A card whose slot share is exactly 50 W at full."""
    made = tuple(Socket(key="abcd"[i], kind=k) for i, k in enumerate(sockets.split()))  # type: ignore[arg-type]
    fields: dict[str, Any] = {
        "key": "card",
        "name": "Card",
        "board_power_w": exact(power),
        "slot_w": exact(50),
        "sockets": made,
    }
    return Card(**(fields | more))


def disk(count: int = 1, **more: Any) -> Drive:
    """0.5 A at both rails running, 2 A and 1 A at spin-up."""
    fields: dict[str, Any] = {
        "key": "disk",
        "name": "Disk",
        "count": count,
        "run_12v_a": exact(0.5),
        "run_5v_a": exact(0.5),
        "start_12v_a": exact(2),
        "start_5v_a": exact(1),
        "sockets": (Socket(key="power", kind="sata"),),
    }
    return Drive(**(fields | more))


def graphics_cable(key: str = "chain", count: int = 2, **more: Any) -> Cable:
    """8 circuits at the supply, 3 pins and 3 conductors of 12 V, 18 AWG; plugs at 600 and 750."""
    fields: dict[str, Any] = {
        "key": key,
        "name": key.capitalize(),
        "family": FAMILY,
        "needs": ("graphics",),
        "supply_end": SupplyEnd(circuits=8, pins=RailPins(v12=3, ground=3)),
        "gauge": 18,
        "conductors": RailPins(v12=3, ground=3),
        "plugs": tuple(
            Plug(key="ab"[i], kind="pcie6+2", at_mm=600 + 150 * i) for i in range(count)
        ),
    }
    return Cable(**(fields | more))


def processor_cable(key: str = "cpu", **more: Any) -> Cable:
    """4 pins and 4 conductors of 12 V, one 4+4 plug at 700 mm."""
    fields: dict[str, Any] = {
        "key": key,
        "name": key,
        "family": FAMILY,
        "needs": ("processor",),
        "supply_end": SupplyEnd(circuits=8, pins=RailPins(v12=4, ground=4)),
        "conductors": RailPins(v12=4, ground=4),
        "plugs": (Plug(key="a", kind="eps4+4", at_mm=700),),
    }
    return Cable(**(fields | more))


def board_cable() -> Cable:
    """The 24-pin cable with two supply-end plugs."""
    pins = RailPins(v12=2, v5=5, v3v3=4, v5sb=1, ground=8)
    return Cable(
        key="board",
        name="Board cable",
        family=FAMILY,
        needs=("board-a", "board-b"),
        supply_end=SupplyEnd(circuits=18, pins=pins),
        conductors=pins,
        plugs=(Plug(key="main", kind="atx20+4", at_mm=600),),
    )


def sixteen_cable(sense: str | None = "both_grounded", **more: Any) -> Cable:
    """A native 16-pin cable, 16 AWG."""
    pins = RailPins(v12=6, ground=6)
    fields: dict[str, Any] = {
        "key": "sixteen",
        "name": "16-pin cable",
        "family": FAMILY,
        "needs": ("16pin",),
        "supply_end": SupplyEnd(circuits=12, pins=pins, grade="high"),
        "gauge": 16,
        "conductors": pins,
        "plugs": (Plug(key="a", kind="16pin", at_mm=700, sense=sense),),  # type: ignore[arg-type]
    }
    return Cable(**(fields | more))


def sata_cable(key: str = "sata", plugs: int = 4, **more: Any) -> Cable:
    """One pin and conductor a rail, two of ground; plugs from 400 mm, 100 mm apart."""
    pins = RailPins(v12=1, v5=1, v3v3=1, ground=2)
    fields: dict[str, Any] = {
        "key": key,
        "name": key,
        "family": FAMILY,
        "needs": ("drive",),
        "supply_end": SupplyEnd(circuits=6, pins=pins),
        "conductors": pins,
        "plugs": tuple(
            Plug(key=f"p{i + 1}", kind="sata", at_mm=400 + 100 * i) for i in range(plugs)
        ),
    }
    return Cable(**(fields | more))


def supply(**more: Any) -> Supply:
    """1000 W, 80 A at 12 V, one port of each kind and three for graphics in a group of 60 A."""
    kinds = [
        ("b1", "board-a", 18, 1),
        ("b2", "board-b", 10, 1),
        ("p1", "processor", 8, 4),
        ("p2", "processor", 8, 4),
        ("g1", "graphics", 8, 3),
        ("g2", "graphics", 8, 3),
        ("g3", "graphics", 8, 3),
        ("h1", "16pin", 12, 6),
        ("d1", "drive", 6, 1),
        ("d2", "drive", 6, 1),
    ]
    fields: dict[str, Any] = {
        "name": "Supply",
        "family": FAMILY,
        "rated_w": 1000,
        "form": "ATX",
        "length_mm": 160,
        "modular": "fully",
        "regulation": "independent",
        "grade": "gold",
        "fan_off_share": 0.3,
        "made": 2024,
        "v12_a": 80,
        "v5_a": 20,
        "v3v3_a": 20,
        "v5sb_a": 3,
        "combined_w": 120,
        "design": "3.1",
        "groups": (PortGroup(key="g", label="G", limit_a=60),),
        "ports": tuple(
            Port(
                key=key,
                label=key.upper(),
                kind=kind,  # type: ignore[arg-type]
                column=i,
                circuits=circuits,
                pins_12v=pins,
                group="g" if kind == "graphics" else None,
            )
            for i, (key, kind, circuits, pins) in enumerate(kinds)
        ),
    }
    return Supply(**(fields | more))


def ref(text: str) -> SocketRef:
    """`part#1/socket` as a reference."""
    return SocketRef.read(text)


def run(cable: str, ports: str, **plugs: str) -> Run:
    """A run: `run("chain", "g1", a="card#1/a")`; `a__marked=` for the marked half."""
    connections = []
    for name, target in plugs.items():
        plug, _, half = name.partition("__")
        connections.append(Connection(plug=plug, half=half or "whole", socket=ref(target)))  # type: ignore[arg-type]
    return Run(cable=cable, ports=tuple(ports.split()), connections=tuple(connections))


def build(
    *parts: Part, cables: tuple[Cable, ...] = (), runs: tuple[Run, ...] = (), **more: Any
) -> Build:
    """A build in the test supply."""
    return Build(
        **({"name": "Test", "supply": supply()} | more), parts=parts, cables=cables, runs=runs
    )


def rules(**more: Any) -> HouseRules:
    """House rules with some set."""
    return HouseRules(**more)


def run_of(b: Build, index: int = 0) -> RunResult:
    """One run of a build, judged."""
    return analyse(b).runs[index]


def element_of(r: RunResult, kind: str, line: str = "v12", at: str | None = None) -> Element:
    """The first element of a kind on a line, at a plug or port where one is named."""
    return next(
        e for e in r.elements if e.kind == kind and e.line == line and at in (None, str(e.at))
    )


def apply(b: Build, edit: Any) -> Build:
    """A build with an edit made."""
    made: Build = edit.apply(b)
    return made


def runs_at(b: Build, end: End = "likely") -> tuple[RunResult, ...]:
    """Runs judged at one end of what nobody measured alone."""
    wired = Wired(b, end=end)
    loads = loads_of(wired)
    carried_loads = demands(wired, loads)
    return check_runs(wired, carried_loads, carried_in_spikes(wired, loads, carried_loads))


def carried(b: Build) -> dict[str, Demand]:
    """What every input of a build carries."""
    wired = Wired(b)
    return demands(wired, loads_of(wired)).by_input


def warning_of(b: Build, index: int = 0) -> str:
    """What the first plug of a run says of how it sits."""
    return compact(analyse(b)).lanes[index].plugs[0].warning


def map_said(*given: Any, **more: Any) -> MapAnswer:
    """What mapping finds, in words."""
    return map_answer(map_it(*given, **more))


def told(found: Compact) -> tuple[Mend, ...]:
    """What is to mend, then what is to find out since nobody says it, in one shape."""
    unknown = [
        Mend(
            id=i.id,
            kind="unknown",
            title=i.title,
            text=i.text,
            fix=i.where,
            of=i.of,
            subject=i.subject,
            field=i.field,
            remedies=i.remedies,
        )
        for i in found.find_out
        if not i.id.startswith("usual.")
    ]
    return (*found.mend, *unknown)
