"""House rules: where good builders disagree, the positions that a build is judged by."""

from __future__ import annotations

from typing import Annotated, Literal, NamedTuple

from pydantic import Field

from ..base.declared import Model
from ..standards.connectors import grant_12v_w
from ..standards.sizes import FIFTH


class HouseRules(Model):
    """Where good builders disagree: the positions this build is judged by."""

    chained_graphics: Annotated[
        Literal["never", "by plug", "as delivered", "by pins"],
        Field(description="both plugs of one chained graphics cable"),
    ] = "by plug"
    plug_grant: Annotated[
        Literal["limit", "warning"],
        Field(description="what a standard grants a graphics plug, beside its pins and wires"),
    ] = "limit"
    graphics_cables: Annotated[
        Literal["one a socket", "fewest"],
        Field(description="single plugs before chained ones, or as few graphics cables as may be"),
    ] = "one a socket"
    drives: Annotated[
        Literal["fewest cables", "balanced", "by place"],
        Field(description="how a map spreads drives over cables"),
    ] = "fewest cables"
    adapter_leads: Annotated[
        Literal["as the watts need", "all"], Field(description="leads of an adapter in use")
    ] = "as the watts need"
    headroom: Annotated[
        float, Field(ge=0, le=2, description="share added to the sustained load")
    ] = 0.20
    little_short: Annotated[
        Literal["worth a look", "not enough"],
        Field(description="a supply short of the headroom by less than a tenth of it"),
    ] = "worth a look"
    maker_floor: Annotated[
        Literal["keep", "keep and add a fifth", "ignore"],
        Field(description="the card maker's stated smallest supply"),
    ] = "keep"
    spikes: Annotated[
        Literal["ride through", "trust headroom"],
        Field(description="short spikes against what the supply's design rides through"),
    ] = "ride through"
    straight_length: Annotated[
        Literal["maker", "40 mm", "35 mm"],
        Field(description="straight length before a bend at a 16-pin plug"),
    ] = "maker"
    supply_fan: Annotated[
        Literal["by the case", "down", "up"], Field(description="which way the supply's fan looks")
    ] = "by the case"
    adapter_16pin: Annotated[
        Literal["native first", "fine"], Field(description="a 16-pin socket fed by an adapter")
    ] = "native first"
    port_groups: Annotated[
        Literal["by what is known", "keep together", "spread"],
        Field(description="one device's cables in port groups"),
    ] = "by what is known"
    fans: Annotated[Literal["headers first", "on a hub"], Field(description="where fans hang")] = (
        "headers first"
    )
    card_first: Annotated[
        Literal["mount then plug", "plug then mount"],
        Field(description="a card, and then its cable"),
    ] = "mount then plug"
    small_leads: Annotated[
        Literal["before the cards", "last"],
        Field(description="small leads of the front panel and of data, before the cards or last"),
    ] = "before the cards"
    first_in: Annotated[
        Literal["supply first", "board first"],
        Field(description="which of the two goes into the case first"),
    ] = "supply first"


class Position(NamedTuple):
    """One of the positions that a rule may have: its value, its name, and what it means."""

    value: str
    words: str
    text: str


#: Straight length before a bend where no maker states one [mm]. Source: a school of builders.
STRAIGHT_MM = 40.0
#: What one plug of a chained cable delivers at the most, by a standard [W].
BY_PLUG_W = grant_12v_w("pcie8")


class Rule(NamedTuple):
    """A question on which good builders disagree: how it is called, the positions that there are,
    and the checks of room in the case that it decides."""

    words: str
    positions: tuple[Position, ...]
    room: tuple[str, ...] = ()
    #: Whether a map is another by it.
    maps: bool = False


#: Rule → what it is, in the order of the work.
RULES: dict[str, Rule] = {
    "chained_graphics": Rule(
        "Both plugs of one chained graphics cable",
        (
            Position(
                "never",
                "Never both plugs",
                "One graphics cable feeds one socket, whatever it would carry.",
            ),
            Position(
                "by plug",
                "One plug’s worth a cable",
                f"Both plugs together carry no more than the {BY_PLUG_W:.0f} W that a standard "
                "grants one. The strictest figure that a standard states.",
            ),
            Position(
                "as delivered",
                "By pins while the card runs as delivered",
                "As pins and wires allow, at its maker’s power limit or below; one plug a cable "
                "once it is raised.",
            ),
            Position(
                "by pins",
                "As far as pins and wires allow",
                "Only pins, wires and the supply end limit it.",
            ),
        ),
        maps=True,
    ),
    "plug_grant": Rule(
        "What a standard grants a graphics plug",
        (
            Position(
                "limit",
                "A limit",
                f"An 8-pin plug carries no more than the {BY_PLUG_W:.0f} W that it is granted, a "
                "6-pin plug half of it.",
            ),
            Position(
                "warning",
                "A warning",
                "Above it the plug is worth a look; pins, wires and ports decide. What a 16-pin "
                "plug is coded for stays a limit: the card goes by it.",
            ),
        ),
        maps=True,
    ),
    "graphics_cables": Rule(
        "Cables of a card with several sockets",
        (
            Position(
                "one a socket",
                "A cable for every socket",
                "Plugs of single cables go before the second plug of a chained one.",
            ),
            Position(
                "fewest",
                "As few cables as may be",
                "Both plugs of a chained cable, where every limit holds.",
            ),
        ),
        maps=True,
    ),
    "drives": Rule(
        "Drives on their cables",
        (
            Position(
                "fewest cables",
                "On as few as may be",
                "A cable more only where a limit asks for it.",
            ),
            Position(
                "balanced",
                "Balanced",
                "The cable that feeds the most drives feeds as few as may be.",
            ),
            Position(
                "by place",
                "By place in the case",
                "A cable for each cage or side: none feeds two, none is fed by two.",
            ),
        ),
        maps=True,
    ),
    "adapter_leads": Rule(
        "Leads of an adapter",
        (
            Position(
                "as the watts need",
                "As many as the watts need",
                "By what it is coded for with so many plugged in, and what each lead may carry.",
            ),
            Position(
                "all",
                "All that it has",
                "One that hangs is told, and a map leaves none where there is a cable for it.",
            ),
        ),
        maps=True,
    ),
    "spikes": Rule(
        "Short spikes",
        (
            Position(
                "ride through",
                "It has to ride through",
                "In each of four windows the spikes stay below what its design stands.",
            ),
            Position(
                "trust headroom",
                "Trust the headroom",
                "Spikes are told as a warning, and ask for no larger supply: it may trip.",
            ),
        ),
    ),
    "little_short": Rule(
        "A little short of the headroom",
        (
            Position(
                "worth a look",
                "Worth a look",
                "With nine tenths of the headroom, in whole percents, it is told, and no fault: "
                "headroom is a margin, not a load.",
            ),
            Position("not enough", "Not enough", "What the headroom asks for is asked for."),
        ),
    ),
    "maker_floor": Rule(
        "The card maker’s smallest supply",
        (
            Position("keep", "Never below it", "The card maker’s smallest supply is a floor."),
            Position(
                "keep and add a fifth",
                "Add a fifth to it",
                f"The floor and {FIFTH * 100:g} % on top.",
            ),
            Position("ignore", "Leave it out", "Only the tally decides."),
        ),
    ),
    "adapter_16pin": Rule(
        "A 16-pin socket fed by an adapter",
        (
            Position(
                "native first",
                "A native cable where there is one",
                "An adapter is told where a 16-pin cable and a port for it are free.",
            ),
            Position("fine", "An adapter is fine", "As long as each lead has a cable of its own."),
        ),
    ),
    "port_groups": Rule(
        "One device’s cables in port groups",
        (
            Position(
                "by what is known",
                "By what is known",
                "Spread by amperes where every group’s limit is known; together where only the "
                "marking is.",
            ),
            Position("keep together", "Keep together", "A device’s cables in one group of ports."),
            Position("spread", "Spread", "A device’s cables over several groups."),
        ),
    ),
    "straight_length": Rule(
        "Straight length before a bend at a 16-pin plug",
        (
            Position(
                "maker",
                "The cable maker’s figure",
                f"As its maker states; {STRAIGHT_MM:g} mm where that is not known.",
            ),
            Position(
                "40 mm", "40 mm", "The longer of the two that are usual, whatever a maker says."
            ),
            Position("35 mm", "35 mm", "The shorter of the two that are usual."),
        ),
        ("plug-room",),
    ),
    "card_first": Rule(
        "A card, and then its cables",
        (
            Position(
                "mount then plug",
                "Mount it, then plug it",
                "Its plugs are pushed home where one sees them, unless they can’t be reached.",
            ),
            Position(
                "plug then mount",
                "Plug it, then mount it",
                "Its plugs are pushed home on the table.",
            ),
        ),
    ),
    "small_leads": Rule(
        "Small leads: front panel, audio, USB, data",
        (
            Position(
                "before the cards", "Before the cards", "Nothing lies over their headers yet."
            ),
            Position("last", "Last", "They lie over all others and come off again by themselves."),
        ),
    ),
    "first_in": Rule(
        "What goes into the case first",
        (
            Position("supply first", "The supply", "Its cables are led before the board is in."),
            Position("board first", "The board", "There is room for both hands around it."),
        ),
    ),
    "fans": Rule(
        "Where fans hang",
        (
            Position(
                "headers first",
                "On the board’s headers",
                "Their speed is seen; a hub where the headers’ amperes do not last.",
            ),
            Position("on a hub", "On a hub or a drive lead", "The board carries no fan."),
        ),
    ),
    "supply_fan": Rule(
        "Which way the supply’s fan looks",
        (
            Position(
                "by the case",
                "By the case",
                "Down on a filtered, raised vent; up on carpet or without a vent.",
            ),
            Position("down", "Always down", "It draws its air from below the case."),
            Position("up", "Always up", "It draws its air from inside the case."),
        ),
        ("supply-fan",),
    ),
}
