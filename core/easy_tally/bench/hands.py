"""The craft of each act: a short line or two where they matter, what to look at, what it takes."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from ..things.adapters import Backplane, Bracket
from ..things.parts import Board, Card, Cooler, Drive, Fan, Hub, M2Drive, Memory, Processor, Pump
from ..things.supply import Supply
from .joints import Look

DRIVER, PASTE, TIES, TORCH = "a cross-head screwdriver", "thermal paste", "cable ties", "a torch"
CLOTH, PAPER = "a lint-free cloth and cleaning spirit", "dry paper towels"


@dataclass(frozen=True, slots=True, kw_only=True)
class Hand:
    """How a kind of thing is put in and taken out: words, crafts, looks, cautions, tools."""

    put: str = "Mount {}"
    putting: tuple[str, ...] = ()
    seen: tuple[Look, ...] = ()
    take: str = "Take out {}"
    taking: tuple[str, ...] = ()
    caution: str = ""
    tools: tuple[str, ...] = ()


_SCREWS = Look(id="screws", text="Screws loose first, lined up, then tight: none is left over.")
PUMP = (
    "A pump never runs dry, not for a second. Fill and bleed a loop by its maker’s own procedure, "
    "and no other; never start a supply off its board except by that."
)
SEALED = (
    "A sealed cooler is not opened and its hoses are not bent sharply. Its pump runs at full speed "
    "from the start."
)

HANDS: Mapping[type, Hand] = {
    Supply: Hand(
        put="Mount the supply: {}",
        seen=(Look(id="screws", text="All its screws are in; no cable is caught behind it."),),
        take="Lift the supply out: {}",
        taking=(
            "Hold it while its last screw comes out; its own end of the cables stays plugged.",
        ),
        tools=(DRIVER,),
    ),
    Bracket: Hand(put="Screw on {}", take="Unscrew {}", tools=(DRIVER,)),
    Board: Hand(
        put="Mount the board: {}",
        putting=("Over its stand-offs, into the shield at the back; the middle screw first.",),
        seen=(
            Look(id="stand-offs", text="A stand-off is under every hole, and none elsewhere."),
            Look(id="shield", text="No spring of the shield is in a socket at the back."),
            _SCREWS,
        ),
        take="Lift the board out: {}",
        taking=("Hold it by its edges and by the cooler’s foot, never by a card’s slot.",),
        tools=(DRIVER,),
    ),
    Processor: Hand(
        put="Set {} in its socket",
        putting=("Its marked corner on the marked corner: it lies down by its own weight.",),
        seen=(
            Look(id="flat", text="It lies flat and was not pushed; the lever is shut."),
            Look(id="paste", text="New paste is on, the old one is wiped off both faces."),
        ),
        take="Take {} out of its socket",
        taking=("Lever up first; lift it straight, and never touch its contacts.",),
        tools=(PASTE, CLOTH),
    ),
    Memory: Hand(
        put="Push in {}",
        putting=("Into the slots that the board’s manual names first; brace the board below.",),
        seen=(Look(id="caught", text="Both ends are level, and each catch has closed by itself."),),
        take="Take out {}",
        taking=("Catches open first, then straight up.",),
    ),
    M2Drive: Hand(
        put="Screw in {}",
        putting=("In at a slant, down flat; the film is off its heat pad.",),
        seen=(Look(id="screws", text="Its screw or catch holds it down flat."),),
        take="Take out {}",
        tools=(DRIVER,),
    ),
    Backplane: Hand(
        put="Mount the cage: {}", take="Take out the cage: {}", seen=(_SCREWS,), tools=(DRIVER,)
    ),
    Drive: Hand(
        putting=("Not while anything of it turns: half a minute after the power is off.",),
        seen=(Look(id="level", text="It sits level and does not move in its place."),),
        taking=("Not while it turns: half a minute after the power is off. Keep it level.",),
        tools=(DRIVER,),
    ),
    Cooler: Hand(
        putting=("Its screws crosswise, a turn each, until they stop.",),
        seen=(
            Look(id="film", text="No film is left on its face, and the paste is new."),
            Look(id="even", text="All its screws are tight, and none was forced."),
        ),
        taking=("Warm it comes off more easily; turn it a little, never tear it up.",),
        tools=(DRIVER, PASTE, CLOTH),
    ),
    Fan: Hand(
        seen=(Look(id="way", text="The arrow on its frame points the way that the air goes."),),
        tools=(DRIVER,),
    ),
    Hub: Hand(),
    Pump: Hand(caution=PUMP, tools=(DRIVER, PAPER)),
    Card: Hand(
        putting=(
            "Lay the case on its side for a heavy card.",
            "Straight into the slot, the bracket not deeper than its stand-off lets it.",
        ),
        seen=(
            Look(id="slot", text="It is level in its slot, and the slot’s catch has closed."),
            Look(id="screws", text="Its bracket is screwed to the case."),
        ),
        taking=("Its support and its screws first, then the slot’s catch; then straight out.",),
        tools=(DRIVER,),
    ),
}
OTHERS = Hand(tools=(DRIVER,))


def hand_of(thing: object) -> Hand:
    """The craft of a thing."""
    return HANDS.get(type(thing), OTHERS)
