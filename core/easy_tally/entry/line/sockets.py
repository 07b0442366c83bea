"""Power sockets in a line: how many of which, one by one or in a chain."""

from __future__ import annotations

from collections.abc import Iterator

from .amounts import Line, unit_at
from .patterns import Slot


def sockets(line: Line, i: int) -> Iterator[Slot]:
    """`2x8`, `two 8-pin`, `one 16pin`, `dual 8 pin`, `2 plugs by 8 pin`."""
    for to, socket in line.of_role(i, "socket one"):
        yield Slot("sockets", ((socket, 1),), i, to, 2.2 + 0.2 * (to - i))
    for at, count in _counts_of_sockets(line, i):
        j = at
        while j == at or line.text(j - 1) in _BETWEEN:
            for to, socket in line.of_role(j + (line.text(j) == "("), "socket one"):
                to += line.text(j) == "(" and line.text(to) == ")"
                weight = (
                    4.2 + 0.2 * (to - i) + 1.6 * (j > at + 1 or line.text(at) not in ("x", "*"))
                )
                yield Slot("sockets", ((socket, count),), i, to, weight)
            j += 1
        pins = line.number(at + 1) if line.text(at) == "x" else None
        if pins in (6, 8, 16) and not has_other_unit(line, at + 2):
            end = at + 2 + (line.text(at + 2) in ("pin", "pins"))
            yield Slot("sockets", ((f"{pins:g}pin", count),), i, end, 3.2)
        if line.text(at) in _PLUGS and line.text(at + 1) in ("by", "of", "with", "x"):
            for to, socket in line.of_role(at + 2, "socket one"):
                yield Slot("sockets", ((socket, count),), i, to, 3.6)


#: What may stand between a number of sockets and their pins: `two separate PCIe 8-pins`.
_BETWEEN = (
    *("x", "*", "times", "pieces", "piece", "pcs", "of", "separate", "individual"),
    *("pcie", "pci", "express", "e", "power", "extra", "aux"),
)


def _counts_of_sockets(line: Line, i: int) -> Iterator[tuple[int, int]]:
    """How many sockets are said at a place, and where that ends; not behind a bus: `gen 5 x8`."""
    n = line.number(i)
    is_of_bus = i > 0 and line.text(i - 1) in ("pcie", "pci", "gen", "express")
    if n is not None and line.text(i).isdigit() and 1 <= n <= 8 and not is_of_bus:
        yield i + 1, int(n)
    yield from ((to, int(value)) for to, value in line.of_role(i, "multiple"))


def chained_sockets(line: Line, i: int) -> Iterator[Slot]:
    """`8+6 pin`, `24 pin + 8 pin`; halves of one plug are one."""
    pins, at = [], i
    while line.number(at) in (4, 6, 8, 20, 24):
        pins.append(f"{line.number(at):g}")
        at += 1
        at += line.text(at) in ("pin", "pins") and line.text(at + 1) == "+"
        if line.text(at) != "+":
            break
        at += 1
    if len(pins) > 1 and "+".join(pins) not in _ONE_PLUG:
        end = at + (line.text(at) in ("pin", "pins"))
        sockets = tuple((f"{n}pin", 1) for n in pins)
        yield Slot("sockets", sockets, i, end, 2.8 + 0.3 * len(pins))
        for to, _ in [*line.of_role(end, "eps"), *line.of_role(end, "cpu")]:
            yield Slot("sockets", sockets, i, to, 7.5 + 0.3 * len(pins))


#: Two halves of one plug.
_ONE_PLUG = ("20+4", "4+4", "6+2")
_PLUGS = ("plug", "plugs", "connector", "connectors", "socket", "sockets")


def has_other_unit(line: Line, i: int) -> bool:
    """Whether a number before here has a unit that is not of pins: `2x16 gb`."""
    return any(unit != "pin" for _, unit, _ in unit_at(line, i))
