"""Why a plug goes into a socket or does not, in sentences."""

from __future__ import annotations

from ..standards.connectors import CONNECTORS, PLUGS, PlugKind, SocketKind, clash, grant_12v_w

SECOND_4 = (
    "Of a 4+4-pin plug only the marked half fits a 4-pin processor socket, by its keying; the "
    "second 4 stays parked beside it."
)
ONE_12V = "A 20-pin plug in a 24-pin socket: one 12 V pin instead of two."
HALF_FILLED = "Half filled: two 12 V pins instead of four."
BARE_PINS = "It sits on bare pins: look that it is not one pin off before power-on."
NOT_ALLOWED = (
    "A 4-pin processor plug has 2 of the 4 12 V pins of an 8-pin socket, and this board's manual "
    "is not marked as allowing it."
)


def a(words: str, capital: bool = True) -> str:
    """`words` with its article."""
    article = "an" if words.startswith("8") or words[:1].lower() in "aeiou" else "a"
    return f"{article.capitalize() if capital else article} {words}"


def no_halves(plug: PlugKind) -> str:
    """Of a plug that is asked for its half."""
    return f"{a(PLUGS[plug].words)} has no halves."


def loose_words(plug: PlugKind, socket: SocketKind) -> str:
    """Why the loose part of a plug goes nowhere."""
    shape = PLUGS[plug]
    if plug == "atx20+4" and socket == "eps4":
        return (
            "The loose 4 of a 20+4-pin plug carries one pin each of 12 V, 5 V, 3.3 V and ground; "
            "a 4-pin processor socket expects 12 V on 2 pins and ground on 2. It would put 5 V "
            "and 3.3 V where 12 V and ground belong."
        )
    name = shape.loose_words or f"part of {a(shape.words, False)}"
    return f"The {name} is never plugged in by itself."


def refusal_words(plug: PlugKind, as_kind: SocketKind, socket: SocketKind) -> str:
    """Why a plug does not go into a socket, with the numbers of its pins."""
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
