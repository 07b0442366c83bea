"""What people say of parts in a row of words: patterns, each with the slot that it fills.

What a row can't say is a rule of `grammar`.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from typing import Any

from .amounts import Amount, Line, unit_at
from .patterns import Rows, Slot


def _no(*_: Any) -> str:
    return ""


def _one_or(n: int | None, *_: Any) -> int:
    return 1 if n is None else n


def _times(n: int | None, of_one: str | None = None) -> int:
    return int(of_one) if n is None and of_one else _one_or(n)


def _year(n: float) -> float | None:
    """A year in which a part may be bought."""
    return n if n % 1 == 0 and 1990 <= n <= 2050 and n != 2000 else None


def _fans_sized(n: int, size: Amount) -> tuple[int, float] | None:
    """So many of a size that fans have."""
    return (
        (n, size.likely) if size.unit == "mm" and size.likely in (80, 92, 120, 140, 200) else None
    )


def _so_many(n: int, *said: Any) -> tuple[tuple[str, int]] | None:
    return ((said[-1], n),) if 1 <= n < 5 else None


def _one_and_more(n: int | None, socket: str) -> tuple[tuple[str, int]] | None:
    return _so_many(_one_or(n), socket)


def _of_pcie(socket: str, *said: Any) -> tuple[tuple[str, int]] | None:
    return _so_many(said[-1], socket) if socket in ("6pin", "8pin", "16pin") else None


def _multiple(said: str, socket: str) -> tuple[tuple[str, int]] | None:
    return _so_many(int(said), socket)


def _gives(word: str) -> Callable[..., tuple[str, int, Amount | None]]:
    """Ports or headers that a board, a controller or a hub has, as many as the first says."""
    return lambda n=None, *said: (
        word,
        0 if n == "no" else _one_or(n),
        next((x for x in said if isinstance(x, Amount)), None),
    )


def _lacks(word: str) -> Callable[..., tuple[str, int, None]]:
    return lambda *_: (word, 0, None)


def _of_cpu(socket: str) -> Callable[..., tuple[tuple[str, int], ...]]:
    return lambda n=None, times=None, *_: ((socket, _times(n, times)),)


#: What one row of elements says, and nothing beside it.
_ROWS = Rows(
    # Ports, slots and headers that a board, a controller or a hub has.
    ("signal", "I x? <sata_data> <ports>", 3.2, _gives("sata-ports")),
    ("signal", "I x? <sata_data>", 2.6, _gives("sata-ports")),
    ("signal", "no|without <sata_data> <ports>?", 3.2, _lacks("sata-ports")),
    ("told", "<sata_data> port|ports", 2.4, _no),
    (
        "board's ports",
        "<sata_data> <ports>? :|x I",
        5.0,
        lambda *said: ("sata-ports", said[-1], None),
    ),
    ("board's ports", "<m2_data> slots? :|x I", 5.0, lambda *said: ("m2-slots", said[-1], None)),
    ("board's ports", "<fan_headers> : I", 5.0, lambda _, n: ("headers", n, None)),
    ("signal", "I x? 3|4 <pins> <fan_headers>", 6.0, _gives("headers")),
    ("signal", "I x? <m2_data> <ports>", 3.2, _gives("m2-slots")),
    ("signal", "I x? <m2_data> slot|slots", 3.2, _gives("m2-slots")),
    ("signal", "I x? <m2_data>", 2.4, _gives("m2-slots")),
    ("signal", "I? x? <usb2_header>", 5.0, _gives("usb2-headers")),
    ("signal", "I? x? <usb3_header>", 5.0, _gives("usb3-headers")),
    ("signal", "I? x? <usbc_header>", 5.0, _gives("usbc-headers")),
    ("signal", "<audio_header>", 2.8, lambda _: ("audio-headers", 1, None)),
    ("signal", "I x? <fan_headers>", 3.6, _gives("headers")),
    ("signal", "I x? <fan_headers> _ Q.a <each>?", 6.2, _gives("headers")),
    ("signal", "I x? <outputs>", 3.2, _gives("outputs")),
    ("signal", "I x? <outputs> _ Q.a <each>?", 6.0, _gives("outputs")),
    ("signal", "1 to I", 3.0, _gives("outputs")),
    ("signal", "I port|ports", 2.4, _gives("ports")),
    ("signal", "I x? pwm", 4.4, _gives("outputs")),
    ("described", "<multiple> port", 4.0, _no),
    ("signal", "I x? port|ports <sata_data>", 4.2, _gives("sata-ports")),
    ("signal", "I i", 2.4, _gives("ports")),
    ("memory slots", "I x? <memory_slots>", 3.4, _no),
    ("described", "I x? usb port|ports", 3.4, _no),
    ("lanes", "pcie|pci x N <lanes>?", 5.5, lambda n, _: n),
    ("lanes", "pcie|pci|gen N x N <lanes>?", 6.5, lambda _, n, __: n),
    ("lanes", "x? N <lanes>", 3.2, lambda n, _: n),
    ("slots", "I? x? pcie|pci x I slot|slots", 6.0, lambda n, lanes: (f"x{lanes}",) * _one_or(n)),
    ("described", "I pcie|pci slot|slots", 5.0, _no),
    ("told", "pcie|pci N", 2.6, _no),
    # Processor sockets: of a card that takes such a plug, of a board.
    ("card cpu sockets", "I? x? 8 <pins>? <cpu> style|type? <plugs>?", 6.5, _one_or),
    ("card cpu sockets", "I? x? <cpu> style|type? 8 <pins>? <plugs>?", 6.5, _one_or),
    ("cpu sockets", "I? <multiple>? x? 8 <pins>? <cpu> <plugs>?", 5.5, _of_cpu("8pin")),
    ("cpu sockets", "I? <multiple>? x? <cpu> 8 <pins>? <plugs>?", 5.5, _of_cpu("8pin")),
    ("cpu sockets", "I? <multiple>? x? 4 <pins>? <cpu> <plugs>?", 5.5, _of_cpu("4pin")),
    ("cpu sockets", "I? <multiple>? x? <cpu> 4 <pins>? <plugs>?", 5.5, _of_cpu("4pin")),
    ("cpu sockets", "I <cpu> <plugs> 8 <pins>", 6.5, _of_cpu("8pin")),
    ("cpu sockets", "I? <multiple>? x? 4 + 4 <pins>? <cpu>? <plugs>?", 6.5, _of_cpu("8pin")),
    ("cpu sockets", "I? <multiple>? x? <cpu> 4 + 4 <pins>? <plugs>?", 6.5, _of_cpu("8pin")),
    ("cpu sockets", "I x? <cpu> <plugs>", 3.8, _of_cpu("8pin")),
    ("cpu sockets", "<multiple> x? <cpu> <plugs>", 3.8, lambda n, *_: (("8pin", int(n)),)),
    ("cpu sockets", "I x? <eps> <plugs>?", 2.0, _of_cpu("8pin")),
    ("cpu sockets", "<multiple> x? <eps> <plugs>?", 2.6, lambda n, *_: (("8pin", int(n)),)),
    ("cpu word", "<cpu> <plugs>", 3.0, _no),
    ("cpu word", "<eps>", 2.0, _no),
    ("no cpu", "no|without <cpu> <plugs>?", 3.8, _no),
    # Memory and drives as they are bought.
    ("kit", "I x N gb|gig|gigs|tb", 3.6, lambda n, of: (n, of)),
    ("kit", "<multiple> x? N gb|tb", 3.0, lambda n, of: (int(n), of)),
    ("kit", "I x N", 2.4, lambda n, of: (n, of)),
    ("kit of", "kit|set|pack|bundle of I", 3.4, int),
    ("kit of", "in I module|modules|stick|sticks|dimms", 3.4, int),
    ("kit of", "I - pack|set|kit", 3.4, int),
    ("kit of", "I pack|set", 3.4, int),
    # Counts.
    ("count", "<count> _ N", 2.6, lambda _, n: int(n)),
    ("count", "I <pieces> .? of?", 2.4, lambda n, _: n or None),
    ("sockets", "I power|pcie? <plugs> _ <socket_one> each", 8.0, _so_many),
    ("sockets", "<socket_one> pcie|pci e? <plugs>? x I", 9.0, _of_pcie),
    ("sockets", "<socket_one> twice", 5.0, lambda s: ((s, 2),)),
    ("sockets", "twice|both <socket_one>", 5.0, lambda s: ((s, 2),)),
    ("sockets", "<socket_one> ( <socket_one> )", 7.0, lambda a, b: ((a, 1),) if a == b else None),
    ("card sockets", "I? x? <socket_one> cable|cables|lead|leads", 8.0, _one_and_more),
    ("card sockets", "<multiple> <socket_one> cable|cables|lead|leads", 8.0, _multiple),
    ("sockets", "<socket_one> x I", 4.8, lambda socket, n: ((socket, n),) if 1 < n < 5 else None),
    ("count", "I of them|these|those|it", 3.4, int),
    ("count", "( x I )", 2.6, int),
    ("count", "I no .", 3.0, int),
    ("count", "times I", 2.8, int),
    ("total", "Q.w,a for the? I", 3.4, lambda x, n: (x, n)),
    ("count", "( I )", 1.8, int),
    ("sized", "I? x? N s", 3.6, lambda n, size: (n, size)),
    ("sized", "I x Q.mm", 3.4, _fans_sized),
    ("sized", "I Q.mm", 2.4, _fans_sized),
    ("sockets", "I power|pcie? <plugs> of? <socket_one>", 6.5, _so_many),
    ("figure", "Q.w for Q.s", 6.0, lambda x, _: ("short", x)),
    ("floor", "at least an|a? Q.w <floor>", 8.0, lambda x, _: x.likely),
    # Figures, and what else has a unit.
    ("figure", "watts|watt|wattage _ N", 2.8, lambda n: ("", Amount(n, n, n, "w"))),
    ("figure", "amps|amp|amperes _ N", 2.8, lambda n: ("", Amount(n, n, n, "a"))),
    ("limit", "at Q.%", 2.4, lambda x: x.likely / 100),
    ("more placed", "I _ <place>", 3.2, lambda n, place: (n, place)),
    ("more placed", "I Q.mm _ <place>", 6.0, lambda n, size, place: (n, place, size)),
    ("total", "<total> _ Q.w,a", 3.8, lambda _, x: (x, 0)),
    ("detail", "Q.gb,tb,ghz,mhz,mt/s,rpm,core", 1.8, lambda x: x),
    ("flow", "Q.m3h", 1.8, lambda x: x.likely),
    ("length", "Q.mm,in", 1.8, lambda x: x),
    ("length", "card|gpu length|long _ Q.mm,in", 6.0, lambda x: x),
    ("length", "length _ Q.mm,in", 3.4, lambda x: x),
    ("high", "height|high _ Q.mm,in", 3.6, lambda x: x),
    ("length", "Q.mm,in long|length", 2.4, lambda x: x),
    ("high", "Q.mm,in high|height|tall", 2.6, lambda x: x),
    ("thick", "Q.mm,in <thick>", 3.4, lambda x, _: x.likely),
    ("volts", "Q.v", 1.2, lambda x: x.likely),
    ("two figures", "N / Q.w", 2.6, lambda low, x: (low, x)),
    ("fans each", "<fans_of> _ I x Q.a", 5.0, lambda _, n, x: (n, x)),
    ("fan figure", "<fans_of> _ Q.a", 3.4, lambda _, x: x),
    ("two figures", "Q.w / Q.w", 3.6, lambda low, x: (low.likely, x)),
    ("described", "N st|nd|rd|th gen|generation?", 3.4, _no),
    ("fans", "<multiple> <fans_of>", 3.4, lambda n, _: int(n)),
    ("told", "on|at|from|off 1|a plug|connector|cable|lead", 3.4, _no),
    ("told", "<tau> _ Q.s", 3.0, _no),
    ("told", "bought|from|since|made|built in? N", 3.4, _year),
    ("year", "N", 0.4, _year),
    ("described", "N led|leds|lights", 4.2, _no),
    ("no usb lead", "no|without usb <plugs>", 5.5, _no),
    ("no usb lead", "no|without usb lead|cable", 5.5, _no),
    ("described", "gen3|gen4|gen5 x N", 4.4, _no),
    ("mark", "[ x ]", 2.0, _no),
    # Of its plug or of the card?
    ("maybe", "with 1|a? Q.w <socket_one> cable|lead|plug|connector", 14.0, _no),
    ("described", "N k rpm", 3.0, _no),
    ("described", "gen|generation N", 3.4, _no),
    ("described", "N c / N t", 6.0, _no),
    ("described", "<multiple> core|cores", 5.0, _no),
    ("figure", "Q.w,a at most", 4.0, lambda x: ("", x)),
    ("described", "I bay|bays cage?", 3.0, _no),
    ("feed", "<no_plug>", 3.4, lambda _: "slot-only"),
    ("feed", "on|from|to 1 <feed>", 4.4, str),
    # Of a cooler: by itself it would be a pump.
    ("pump feed", "pump on|via|by|from|with 1|a|the? <feed>", 5.0, lambda feed: feed),
    ("pump feed", "sata powered pump", 5.0, lambda: "sata"),
    ("pump's header", "cpu|processor fan header", 7.0, lambda: "header"),
    ("pump's header", "fan|chassis|system header", 6.0, lambda: "header"),
)


#: Roles that a board alone has, and those that are likelier of it: by how much.
_OF_BOARD = ("cpu sockets", "cpu word", "no cpu")
_LIKELIER = 2.0


#: Role of what is said so of one kind alone → the role that it has then, and the kind.
_OF_ONE = {
    "pump feed": ("feed", "cooler"),
    "pump's header": ("feed", "pump"),
    "card sockets": ("sockets", "card"),
    "board's ports": ("signal", "board"),
}


def of_rows(line: Line, i: int) -> Iterator[Slot]:
    """What the rows find at a place; of a board's alone where the line speaks of one."""
    for slot in _ROWS.slots(line, i):
        if slot.role in _OF_ONE:
            role, kind = _OF_ONE[slot.role]
            if kind in line.kinds:
                yield slot._replace(role=role)
        elif slot.role == "figure" and [*unit_at(line, slot.to)]:
            continue  # `wattage of 0.2 A`: another figure
        elif line.speaks_of_board and slot.role in (*_OF_BOARD, "signal"):
            yield slot._replace(weight=slot.weight + _LIKELIER)
        elif slot.role not in _OF_BOARD:
            yield slot
