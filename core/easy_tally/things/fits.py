"""Which plug goes into which socket, and why not, with numbers from the pin tables.

Source: ATX12V design guide and PCI Express CEM pin-outs (`standards/connectors.py`).
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import get_args

from ..standards.connectors import (
    CONNECTORS,
    PLUGS,
    SOCKET_KINDS,
    Half,
    PlugKind,
    SocketKind,
    grant_12v_w,
)


@dataclass(frozen=True, slots=True)
class Fit:
    """Whether a plug fits. `mated` is the pin-out that then counts; `warning` what to know. One
    that does not fit and is mated all the same stands so in builds of earlier versions."""

    fits: bool
    mated: SocketKind | None = None
    reason: str = ""
    warning: str = ""


_SECOND_4 = (
    "Of a 4+4-pin plug only the marked half fits a 4-pin processor socket, by its keying; the "
    "second 4 stays parked beside it."
)


def fit(plug: PlugKind, half: Half, socket: SocketKind, eps4_in_eps8: bool = False) -> Fit:
    """Tell whether `half` of `plug` goes into `socket`, and what it then counts as."""
    return _FITS[plug, half, socket, eps4_in_eps8]


def _fit(plug: PlugKind, half: Half, socket: SocketKind, eps4_in_eps8: bool) -> Fit:
    shape = PLUGS[plug]
    if half == "loose" and plug == "eps4+4" and socket == "eps4":
        return Fit(False, "eps4", reason=_SECOND_4)
    if half == "loose":
        return Fit(False, reason=_loose_reason(plug, socket))
    as_kind = shape.whole if half == "whole" else shape.marked
    if as_kind is None:
        return Fit(False, reason=f"{a(shape.words)} has no halves.")
    if as_kind == "fdd4" and socket == "fdd4":
        one_off = "It sits on bare pins: look that it is not one pin off before power-on."
        return Fit(True, as_kind, warning=one_off)
    if as_kind == socket:
        return Fit(True, as_kind)
    if as_kind == "atx20" and socket == "atx24":
        return Fit(
            True, "atx20", warning="A 20-pin plug in a 24-pin socket: one 12 V pin instead of two."
        )
    if as_kind == "eps4" and socket == "eps8":
        if eps4_in_eps8:
            return Fit(True, "eps4", warning="Half filled: two 12 V pins instead of four.")
        return Fit(
            False,
            reason="A 4-pin processor plug has 2 of the 4 12 V pins of an 8-pin socket, and this "
            "board's manual is not marked as allowing it.",
        )
    return Fit(False, reason=_refusal(plug, as_kind, socket))


def best_half(plug: PlugKind, socket: SocketKind, eps4_in_eps8: bool = False) -> Half:
    """The half of `plug` to use in `socket`: whole where that fits, else the marked one."""
    if fit(plug, "whole", socket, eps4_in_eps8).fits or PLUGS[plug].marked is None:
        return "whole"
    return "marked" if fit(plug, "marked", socket, eps4_in_eps8).fits else "whole"


def a(words: str, capital: bool = True) -> str:
    """`words` with its article."""
    article = "an" if words.startswith("8") or words[:1].lower() in "aeiou" else "a"
    return f"{article.capitalize() if capital else article} {words}"


def _loose_reason(plug: PlugKind, socket: SocketKind) -> str:
    shape = PLUGS[plug]
    if plug == "atx20+4" and socket == "eps4":
        return (
            "The loose 4 of a 20+4-pin plug carries one pin each of 12 V, 5 V, 3.3 V and ground; "
            "a 4-pin processor socket expects 12 V on 2 pins and ground on 2. It would put 5 V "
            "and 3.3 V where 12 V and ground belong."
        )
    name = shape.loose_words or f"part of {a(shape.words, False)}"
    return f"The {name} is never plugged in by itself."


def _refusal(plug: PlugKind, as_kind: SocketKind, socket: SocketKind) -> str:
    have, want = CONNECTORS[as_kind], CONNECTORS[socket]
    if have.apart_from == want.family and not (have.coded or want.coded):
        shorted = clash(as_kind, socket)
        return (
            f"{a(PLUGS[plug].words)} puts 12 V where {a(want.words, False)} socket has ground, on "
            f"{shorted} pins: a short circuit. The two look alike and are never exchanged."
        )
    if have.too_little_for == want.family and want.grant_w and not want.coded:
        return (
            f"{a(PLUGS[plug].words)} is granted {have.grant_rail_a:g} A at 12 V "
            f"({grant_12v_w(as_kind):.0f} W); {a(want.words, False)} socket may "
            f"draw {want.grant_w:.0f} W."
        )
    if have.burns_moulded_to == socket or want.burns_moulded_to == as_kind:
        return (
            f"{a(PLUGS[plug].words)} has {have.circuits} contacts, {a(want.words, False)} socket "
            f"{want.circuits}. Moulded adapters between the two are known to burn."
        )
    return (
        f"{a(PLUGS[plug].words)} has {have.circuits} contacts ({have.count('y')} at 12 V); "
        f"{a(want.words, False)} socket has {want.circuits} ({want.count('y')} at 12 V)."
    )


def clash(plug: SocketKind, socket: SocketKind) -> int:
    """Pins where 12 V of the plug would meet ground of the socket, laid row on row."""
    return sum(
        a == "y" and b == "k"
        for plug_row, socket_row in zip(
            CONNECTORS[plug].face, CONNECTORS[socket].face, strict=False
        )
        for a, b in zip(plug_row, socket_row, strict=False)
    )


def goes_into(plug: PlugKind, socket: SocketKind, eps4_in_eps8: bool = False) -> bool:
    """Whether a plug, or a half of it, fits a socket."""
    return fit(plug, best_half(plug, socket, eps4_in_eps8), socket, eps4_in_eps8).fits


_FITS = {
    (plug, half, socket, easy): _fit(plug, half, socket, easy)
    for plug in PLUGS
    for half in get_args(Half)
    for socket in SOCKET_KINDS
    for easy in (False, True)
}
