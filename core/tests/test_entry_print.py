"""Every part prints as a line that reads back to it, in any order of its words."""

from __future__ import annotations

import random
import unittest
from pathlib import Path
from typing import Any

from easy_tally.base.declared import Figure
from easy_tally.entry import parse, say
from easy_tally.entry.strict.lexer import words_of
from easy_tally.files import build_file
from easy_tally.standards.connectors import SOCKET_KINDS
from easy_tally.things.parts import (
    PART_KINDS,
    Board,
    Card,
    Cooler,
    Drive,
    Fan,
    Header,
    Hub,
    LightStrip,
    M2Slot,
    Memory,
    Other,
    Part,
    Processor,
    Slot,
    Socket,
    UsbLoad,
)
from hypothesis import given, settings
from hypothesis import strategies as st

from .helpers import exact

ROOT = Path(__file__).resolve().parents[2]
KEYS = st.from_regex(r"[a-z0-9][a-z0-9-]{0,9}", fullmatch=True)
TEXTS = st.text(max_size=40)
LEADS = st.sampled_from([None, True, False])


@st.composite
def _figures(draw: Any, most: float) -> Figure | None:
    if draw(st.booleans()):
        return None
    values = sorted(draw(st.just(0.0) | st.floats(0.001, most)) for _ in range(3))
    low, likely, high = values if draw(st.booleans()) else values[:1] * 3
    origin = draw(st.sampled_from(["maker", "measured", "assumed"]))
    return Figure(low=low, likely=likely, high=high, origin=origin, note=draw(TEXTS))


@st.composite
def _sockets(draw: Any) -> tuple[Socket, ...]:
    keys = draw(st.lists(KEYS, max_size=5, unique=True))
    return tuple(
        Socket(
            key=k,
            kind=draw(st.sampled_from(SOCKET_KINDS)),
            required=draw(st.booleans()),
            version=draw(st.sampled_from(["first", "revised"])),
            pins_12v=draw(st.none() | st.integers(1, 6)),
        )
        for k in keys
    )


@st.composite
def _headers(draw: Any) -> tuple[Header, ...]:
    kinds = st.sampled_from(["fan", "pump", "lights-5v", "lights-12v"])
    keys = draw(st.lists(KEYS, max_size=4, unique=True))
    speeds = st.sampled_from([None, True, False])
    return tuple(
        Header(key=k, kind=draw(kinds), limit_a=draw(_figures(60)), speed=draw(speeds))
        for k in keys
    )


@st.composite
def _m2_slots(draw: Any) -> tuple[M2Slot, ...] | None:
    if draw(st.booleans()):
        return None
    keys = draw(st.lists(KEYS, max_size=4, unique=True))
    ports = st.lists(st.integers(1, 32), max_size=3, unique=True)
    return tuple(M2Slot(key=k, off=tuple(draw(ports))) for k in keys)


def _signals(draw: Any) -> dict[str, Any]:
    counts = {
        "sata_ports": 32,
        "usb2_headers": 8,
        "usb3_headers": 8,
        "usbc_headers": 8,
        "audio_headers": 8,
    }
    return {name: draw(st.none() | st.integers(0, n)) for name, n in counts.items()}


def _mm(most: float) -> Any:
    return st.none() | st.floats(0.001, most)


def _blowing(draw: Any) -> dict[str, Any]:
    sides = [None, "front", "top", "rear", "bottom", "left", "right"]
    return {
        "flow_m3h": draw(_mm(1000)),
        "side": draw(st.sampled_from(sides)),
        "blows": draw(st.sampled_from([None, "in", "out"])),
    }


def _own(draw: Any, kind: type[Any], has_16pin: bool) -> dict[str, Any]:
    """Fields that one kind has and the others do not."""
    lanes = st.sampled_from([1, 4, 8, 16])
    if kind is Board:
        place = st.none() | st.integers(1, 16)
        slots = [
            Slot(key=k, lanes=draw(lanes), place=draw(place))
            for k in draw(st.lists(KEYS, unique=True))[:5]
        ]
        # With a number of ports, a slot can switch off none beyond them.
        ports = draw(st.none() | st.just(32))
        return _signals(draw) | {
            "slots": slots,
            "headers": draw(_headers()),
            "eps4_in_eps8": draw(st.booleans()),
            "sata_ports": ports,
            "m2_slots": draw(_m2_slots()),
        }
    if kind is Card:
        worst = has_16pin and draw(st.booleans())
        factors = draw(st.none() | st.tuples(*[st.floats(1, 5)] * 4))
        return {
            "use": draw(st.sampled_from(["graphics", "plain"])),
            "lanes": draw(lanes),
            "spikes": "by-standard worst" if worst else "usual",
            "spike_factors": factors,
            "power_limit": draw(st.floats(0.3, 2)),
            "m2_slots": draw(st.none() | st.integers(0, 8)),
            **_signals(draw),
            "length_mm": draw(_mm(600)),
            "height_mm": draw(_mm(300)),
            "covers": draw(st.none() | st.integers(1, 6)),
            "support": draw(st.sampled_from([None, "not needed", "in the box", "needed"])),
            "plugs_face": draw(st.sampled_from(["side panel", "front"])),
        }
    if kind is Processor:
        return {"spike_factors": draw(st.none() | st.tuples(*[st.floats(1, 5)] * 4))}
    if kind is Memory:
        return {"generation": draw(st.sampled_from(["ddr5", "ddr5-registered", "ddr4", "ddr3"]))}
    if kind is Drive:
        forms = st.sampled_from(["3.5", "2.5", "optical", "floppy"])
        data = st.sampled_from([None, "sata", "ribbon", "expander"])
        return {"form": draw(forms), "power_disable": draw(st.booleans()), "data": draw(data)}
    if kind is Fan:
        return {"size_mm": draw(st.integers(20, 400)), **_blowing(draw)}
    if kind is Cooler:
        return {
            "fans": draw(st.integers(0, 12)),
            "usb_lead": draw(LEADS),
            **_blowing(draw),
            "radiator_mm": draw(st.none() | st.integers(0, 560)),
            "thick_mm": draw(_mm(120)),
        }
    if kind is LightStrip:
        return {"volts": draw(st.sampled_from([5, 12]))}
    if kind is Hub:
        return {"outputs": draw(_headers()), "usb_lead": draw(LEADS)}
    if kind is UsbLoad:
        port = draw(st.sampled_from(["outside", "usb2", "usb3", "usb-c"]))
        return {"port": port, "usb2_headers": draw(st.none() | st.integers(0, 8))}
    return {"idle_share": draw(st.floats(0, 1))} if kind is Other else {}


@st.composite
def _parts(draw: Any) -> Part:
    kind = draw(st.sampled_from(PART_KINDS))
    fields: dict[str, Any] = {
        "key": draw(KEYS),
        "name": draw(st.text(min_size=1, max_size=30)),
        "note": draw(TEXTS),
        "catalogue": draw(st.sampled_from(["", "plover-6@2"])),
    }
    if kind not in (Board, Hub):
        fields["count"] = draw(st.integers(1, 64))
    if "sockets" in kind.model_fields:
        fields["sockets"] = draw(_sockets())
    if "on" in kind.model_fields:
        fields |= {"on": draw(st.none() | KEYS), "headers": draw(st.lists(KEYS, max_size=3))}
    for name, field in kind.model_fields.items():
        extra = field.json_schema_extra or {}
        if "default_from" in extra:
            fields[name] = draw(_figures(60 if extra["unit"] == "A" else 3000))  # type: ignore[index]
    has_16pin = any(s.kind == "16pin" for s in fields.get("sockets", ()))
    made: Part = kind(**fields, **_own(draw, kind, has_16pin))
    return made


class RoundTrip(unittest.TestCase):
    @settings(max_examples=300)
    @given(_parts(), st.randoms(use_true_random=False))
    def test_any_part_in_any_order_of_words(self, part: Part, shuffle: random.Random) -> None:
        line = say(part)
        self.assertEqual(len(line.splitlines()), 1)
        found = parse(line)
        self.assertEqual(found.part, part, (line, found))
        words = words_of(line)
        shuffle.shuffle(words)
        self.assertEqual(parse(" ".join(words)).part, part, words)

    def test_every_part_of_the_builds_that_ship(self) -> None:
        files = [*(ROOT / "demo/builds").glob("*.json"), *(ROOT / "core/tests/data").glob("*.json")]
        self.assertGreater(len(files), 5)
        for file in files:
            for part in build_file.read(file.read_text(encoding="utf-8")).parts:
                plain = part.model_copy(update={"individual": "", "exchanged": ()})
                self.assertEqual(parse(say(part)).part, plain, say(part))


class Printed(unittest.TestCase):
    """As short as a builder would say it."""

    def test_lines(self) -> None:
        eights = tuple(Socket(key=k, kind="pcie8") for k in "ab")
        cpu = (
            Socket(key="main", kind="atx24"),
            Socket(key="cpu-1", kind="eps8"),
            Socket(key="cpu-2", kind="eps8", required=False),
        )
        extra = Socket(key="slots", kind="pcie6", required=False)
        headers = tuple(Header(key=f"fan-{n}", limit_a=exact(1)) for n in (1, 2))
        slots = (Slot(key="slot-1"), Slot(key="slot-2", lanes=4))
        sixteen = (Socket(key="a", kind="16pin", version="first"),)
        measured = Figure(low=0.1, likely=0.18, high=0.2, origin="measured", note="at the bench")
        for part, line in (
            (Fan(key="fan", name="Fan 120 mm", count=5, rated_a=exact(0.18)), "fan x5 0.18a 120mm"),
            (
                Card(
                    key="card",
                    name="Knot R",
                    sockets=eights,
                    board_power_w=exact(230),
                    lanes=8,
                    slot="slot-2",
                ),
                'card "Knot R" 2x8pin 230w 8lanes in:slot-2',
            ),
            (Card(key="card", name="Card", lanes=4), "card slot-only 4lanes"),
            (
                Card(key="card-2", name="Card", sockets=sixteen),
                "card sockets:a=16pin+first key:card-2",
            ),
            (
                Board(key="board", name="Board", sockets=cpu, headers=headers, slots=slots),
                "board 24pin 2xcpu8 slots:x16,x4 headers:2+1a",
            ),
            (
                Board(key="board", name="Board", sockets=(*cpu[:2], extra)),
                "board sockets:main=atx24,cpu-1=eps8,slots=pcie6+optional slots:none headers:0",
            ),
            (
                Drive(
                    key="disk",
                    name="3.5-inch disk",
                    count=4,
                    power_disable=True,
                    sockets=(Socket(key="power", kind="sata"),),
                ),
                "disk x4 power-disable",
            ),
            (
                Fan(key="fan", name="Fan 92 mm", size_mm=92, rated_a=measured, on="hub"),
                'fan 0.1/0.18/0.2a(measured,"at the bench") 92mm on:hub',
            ),
        ):
            self.assertEqual(say(part), line)
            self.assertEqual(parse(line).part, part)
