"""Properties of the whole: every watt is judged somewhere or named, and knowing less never makes
a build read fine."""

from __future__ import annotations

import unittest
from collections.abc import Iterator
from typing import Any

from easy_tally.analysis import TO_MEND, Analysis, analyse
from easy_tally.base.series import span_at
from easy_tally.base.units import RAIL_V, RUN_RAILS, RUN_STATES
from easy_tally.ratings.flows import flow_of
from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, RailPins, Run
from easy_tally.things.parts import (
    Cooler,
    Fan,
    Header,
    Hub,
    M2Drive,
    Memory,
    Other,
    Pump,
    Slot,
    Socket,
    UsbLoad,
)
from easy_tally.things.supply import PortGroup
from hypothesis import given, settings
from hypothesis import strategies as st

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    run,
    sata_cable,
    sixteen_cable,
    supply,
)

KINDS_OF_CARDS = st.sampled_from(["", "pcie8", "pcie8 pcie8", "pcie6 pcie8", "16pin", "sata"])


@st.composite
def _machines(draw: Any) -> Build:
    """Machines of every kind of way in, with whatever is connected, required or forgotten."""
    maybe = st.booleans()

    def socket(key: str, kind: str) -> Socket:
        return Socket(key=key, kind=kind, required=draw(maybe))  # type: ignore[arg-type]

    sata = (socket("power", "sata"),)
    sockets = [socket("main", "atx24")] if draw(st.integers(0, 5)) else []
    sockets += [socket(f"cpu-{i + 1}", "eps8") for i in range(draw(st.integers(0, 2)))]
    sockets += [socket("extra", "pcie6")] if draw(maybe) else []
    one = card(draw(st.floats(5, 500)), draw(KINDS_OF_CARDS), slot_w=None)
    one = one.model_copy(
        update={
            "sockets": tuple(socket(s.key, s.kind) for s in one.sockets),
            "count": draw(st.integers(1, 2)),
        }
    )
    parts: list[Any] = [
        board(
            sockets=tuple(sockets),
            slots=(Slot(key="slot-1"), Slot(key="slot-2")),
            headers=(Header(key="f1", limit_a=exact(3)), Header(key="p1", kind="pump")),
        ),
        processor(draw(st.floats(5, 300)), draw(st.floats(300, 500))),
        one,
        disk(draw(st.integers(1, 6)), sockets=sata if draw(maybe) else ()),
        Memory(key="memory", name="M", count=2),
        M2Drive(key="m2", name="N"),
        Hub(key="hub", name="H", outputs=(Header(key="o1"),), sockets=sata if draw(maybe) else ()),
        Fan(key="f-a", name="A", count=3),
        Fan(key="f-b", name="B", on="hub"),
        Pump(key="pump", name="P", sockets=sata if draw(maybe) else ()),
        Cooler(key="cooler", name="C", sockets=(socket("a", "sata"), socket("b", "per4"))),
        UsbLoad(key="usb", name="U", draw_w=exact(4), asleep_w=exact(1)),
        Other(
            key="other",
            name="O",
            v12_w=exact(9),
            v5sb_w=exact(2),
            sockets=sata if draw(maybe) else (),
        ),
    ]
    kept = [p for p in parts if p.kind in ("hub", "card") or draw(st.integers(0, 5))]
    ports = tuple(
        p.model_copy(update={"group": "g"}) if p.kind == "drive" else p for p in supply().ports
    )
    box = supply(groups=(PortGroup(key="g", label="G", limit_a=60),), ports=ports)
    bare = build(
        *kept,
        supply=box if draw(st.integers(0, 5)) else None,
        spin_up_at_once=draw(st.none() | st.integers(1, 3)),
    )
    return _connected(draw, bare)


def _connected(draw: Any, b: Build) -> Build:
    """Some of its sockets fed, by cables that fit."""
    if b.supply is None:
        return b
    cables: list[Cable] = []
    runs: list[Run] = []
    free = {"eps8": ["p1", "p2"], "graphics": ["g1", "g2", "g3"], "drive": ["d1", "d2"]}
    for ref, socket in b.sockets():
        if not draw(st.integers(0, 3)):
            continue
        key = f"c{len(cables)}"
        if socket.kind == "atx24":
            cables.append(board_cable())
            runs.append(run("board", "b1 b2", main=str(ref)))
        elif socket.kind == "eps8" and free["eps8"]:
            cables.append(processor_cable(key))
            runs.append(run(key, free["eps8"].pop(), a=str(ref)))
        elif socket.kind in ("pcie8", "pcie6") and free["graphics"]:
            cables.append(graphics_cable(key, 1))
            half = "a" if socket.kind == "pcie8" else "a__marked"
            runs.append(run(key, free["graphics"].pop(), **{half: str(ref)}))
        elif socket.kind == "sata" and free["drive"]:
            cables.append(sata_cable(key))
            runs.append(run(key, free["drive"].pop(), p1=str(ref)))
        elif socket.kind == "16pin" and not any(c.key == "sixteen" for c in cables):
            cables.append(sixteen_cable())
            runs.append(run("sixteen", "h1", a=str(ref)))
    return Build.model_validate(
        {n: getattr(b, n) for n in Build.model_fields}
        | {"cables": tuple(cables), "runs": tuple(runs)}
    )


class EveryWatt(unittest.TestCase):
    """The watts judged on runs, and on the way through the board, are those of the tally; what is
    missing is named in what is to mend."""

    @settings(max_examples=150)
    @given(_machines())
    def test_is_judged_somewhere_or_named(self, b: Build) -> None:
        a = analyse(b)
        named = {f.subject.key for f in a.findings if f.severity in TO_MEND}
        parts_named = {k.partition("#")[0] for k in named} | {""}
        # Staggered, a start is what a plug and what a chain carry at their worst: no sum.
        for state in RUN_STATES if b.spin_up_at_once is None else RUN_STATES[:-1]:
            whole = sum(_load_w(x, state) for x in a.loads if x.rail in RUN_RAILS)
            on_runs = sum(_input_w(a, r, state) for r in a.wired.feeds)
            self.assertAlmostEqual(on_runs, sum(_flow_w(r, state) for r in a.runs), places=6)
            unfed = {r: _input_w(a, r, state) for r in a.carried.by_input if r not in a.wired.feeds}
            for ref, watts in unfed.items():
                if watts > 1e-9 and b.supply is not None:
                    self.assertIn(ref, named, watts)
            adrift = sum(_one_w(x.load, state) for x in a.carried.adrift)
            for x in a.carried.adrift:
                if b.supply is not None and x.load.draws:
                    self.assertIn(x.load.part, parts_named | _board_of(a, x))
            through = sum(_load_w(x, state) for x in a.loads if _nowhere(a, x))
            if through > 1e-9:
                self.assertIn("unknown", [e.judged.verdict for e in a.board])
            found = on_runs + sum(unfed.values()) + adrift + through
            self.assertAlmostEqual(found, whole, places=6)
        if b.supply is None:
            self.assertIn("supply.none", [f.id for f in a.findings])


def _board_of(a: Analysis, x: Any) -> set[str]:
    """The processor is named by the board's sockets that could feed it."""
    return {x.load.part} if any(i.ref.partition("#")[0] in _named(a) for i in x.inputs) else set()


def _named(a: Analysis) -> set[str]:
    return {f.subject.key.partition("#")[0] for f in a.findings if f.severity in TO_MEND}


def _nowhere(a: Analysis, load: Any) -> bool:
    """A load by the board where it has no main socket, or where there is no board."""
    if load.rail not in RUN_RAILS or load.feed == "own":
        return False
    if load.feed == "processor":
        return a.wired.board is None
    if load.feed == "header" and a.wired.source_of(a.wired.parts[load.part]) is not None:
        return False
    return a.wired.main is None


def _one_w(load: Any, state: Any) -> float:
    return span_at(load.run_amps(), state, RUN_STATES).likely * RAIL_V[load.rail]


def _load_w(load: Any, state: Any) -> float:
    return _one_w(load, state) * load.count


def _input_w(a: Analysis, ref: str, state: Any) -> float:
    flow = flow_of(a.carried.of(ref))
    base = flow.base
    return sum(span_at(base[r], state, RUN_STATES).likely * RAIL_V[r] for r in base)


def _flow_w(r: Any, state: Any) -> float:
    """What the elements of a run say that its plugs carry: by its plug pins, rail by rail."""
    found = 0.0
    for e in r.elements:
        if e.kind == "plug pins" and e.line != "ground":
            loads = e.judged.loads
            pins = e.terms["pins"] or 1.0
            amps = span_at(loads, state, RUN_STATES).likely * pins / e.terms["uneven"]
            found += amps * RAIL_V[e.line]
    return found


# -- less knowledge ------------------------------------------------------------------------


@st.composite
def _mapped(draw: Any) -> Build:
    """A machine with everything required fed, mostly within its ratings: what a builder hopes
    for, so that there is something to lose."""
    return build(
        board(headers=(Header(key="f1", limit_a=exact(2)),)),
        processor(draw(st.floats(30, 120)), draw(st.floats(120, 200))),
        card(draw(st.floats(60, 300)), "pcie8 pcie8"),
        disk(2),
        Fan(key="fan", name="F", rated_a=exact(draw(st.floats(0.1, 1)))),
        UsbLoad(key="usb", name="U", draw_w=exact(5), asleep_w=exact(1)),
        cables=(
            board_cable(),
            processor_cable(),
            graphics_cable("one", 1),
            graphics_cable("two", 1),
            sata_cable(),
        ),
        runs=(
            run("board", "b1 b2", main="board#1/main"),
            run("cpu", "p1", a="board#1/cpu-1"),
            run("one", "g1", a="card#1/a"),
            run("two", "g2", a="card#1/b"),
            run("sata", "d1", p1="disk#1/power", p2="disk#2/power"),
        ),
        supply=supply(rated_w=draw(st.floats(350, 1000)), v12_a=draw(st.floats(20, 80))),
    )


def _less(b: Build) -> Iterator[tuple[str, Build]]:
    """The build with any one thing not known, or one less of it: figures that have no honest
    default (where one has, it stands in and says so), ratings, pins, conductors, plugs, ports,
    cables. A group's limit is left: without it its group is a note, since few makers state it."""
    assert b.supply is not None
    for part in b.parts:
        for name, field in type(part).model_fields.items():
            extra = field.json_schema_extra
            if isinstance(extra, dict) and extra.get("needed"):
                yield f"{part.key}.{name}", _part(b, part.model_copy(update={name: None}))
    header = b.parts[0].headers[0].model_copy(update={"limit_a": None})  # type: ignore[union-attr]
    yield "header", _part(b, b.parts[0].model_copy(update={"headers": (header,)}))
    for name in ("rated_w", "v12_a", "v5_a", "v3v3_a", "v5sb_a", "combined_w", "design"):
        yield name, b.model_copy(update={"supply": b.supply.model_copy(update={name: None})})
    for port in b.supply.ports:
        fewer = port.model_copy(update={"pins_12v": max(port.pins_12v - 1, 0)})
        ports = tuple(fewer if p is port else p for p in b.supply.ports)
        yield (
            f"pin of {port.key}",
            b.model_copy(update={"supply": b.supply.model_copy(update={"ports": ports})}),
        )
        runs = tuple(r for r in b.runs if port.key not in r.ports)
        ports = tuple(p for p in b.supply.ports if p is not port)
        yield (
            f"port {port.key}",
            b.model_copy(
                update={"supply": b.supply.model_copy(update={"ports": ports}), "runs": runs}
            ),
        )
    for cable in b.cables:
        yield from _less_cable(b, cable)


def _less_cable(b: Build, cable: Cable) -> Iterator[tuple[str, Build]]:
    end = cable.supply_end
    yield f"gauge of {cable.key}", _cable(b, cable, gauge=None)
    yield (
        f"grade of {cable.key}",
        _cable(b, cable, supply_end=end.model_copy(update={"grade": None})),
    )
    for rail in RailPins.model_fields:
        for what, now in (("conductor", cable.conductors), ("pin", end.pins)):
            fewer = now.model_copy(update={rail: max(getattr(now, rail) - 1, 0)})
            more = (
                {"conductors": fewer}
                if what == "conductor"
                else {"supply_end": end.model_copy(update={"pins": fewer})}
            )
            yield f"{what} of {cable.key} at {rail}", _cable(b, cable, **more)
    for plug in cable.plugs:
        plugs = tuple(p for p in cable.plugs if p is not plug)
        runs = tuple(
            r.model_copy(
                update={"connections": tuple(c for c in r.connections if c.plug != plug.key)}
            )
            if r.cable == cable.key
            else r
            for r in b.runs
        )
        if plugs:
            yield (
                f"plug {plug.key} of {cable.key}",
                _cable(b, cable, plugs=plugs).model_copy(update={"runs": runs}),
            )
        bare = plug.model_copy(update={"grade": None})
        plugs = tuple(bare if p is plug else p for p in cable.plugs)
        yield f"grade of plug {plug.key} of {cable.key}", _cable(b, cable, plugs=plugs)
    yield (
        f"cable {cable.key}",
        b.model_copy(
            update={
                "cables": tuple(c for c in b.cables if c is not cable),
                "runs": tuple(r for r in b.runs if r.cable != cable.key),
            }
        ),
    )


def _part(b: Build, part: Any) -> Build:
    return b.model_copy(update={"parts": tuple(part if p.key == part.key else p for p in b.parts)})


def _cable(b: Build, cable: Cable, **more: Any) -> Build:
    changed = cable.model_copy(update=more)
    return b.model_copy(update={"cables": tuple(changed if c is cable else c for c in b.cables)})


def _worst(b: Build) -> int:
    """0 nothing to mend, 1 not known, 2 something wrong."""
    severities = {f.severity for f in analyse(b).findings if f.severity in TO_MEND}
    return 2 if severities - {"unknown"} else 1 if severities else 0


class LessKnowledge(unittest.TestCase):
    @settings(max_examples=6)
    @given(_mapped())
    def test_never_makes_a_build_read_fine(self, b: Build) -> None:
        """What is wrong may turn into what is not known, nothing ever into fine."""
        before = _worst(b)
        for what, less in _less(b):
            with self.subTest(what):
                self.assertGreaterEqual(_worst(less), min(before, 1), what)

    @settings(max_examples=6)
    @given(_mapped())
    def test_takes_the_proof_from_a_build_that_reads_fine(self, b: Build) -> None:
        """Whatever is needed and taken away shows, but for what is spare."""
        if _worst(b):
            return
        lost = {what for what, less in _less(b) if _worst(less)}
        for needed in (
            "rated_w",
            "v12_a",
            "card.board_power_w",
            "processor.package_w",
            "usb.draw_w",
            "cable board",
            "cable one",
            "port g1",
            "plug p1 of sata",
        ):
            self.assertIn(needed, lost)
