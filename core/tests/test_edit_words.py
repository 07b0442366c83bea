"""What edits are called, what they ask for, and what they say when they can’t be made. A title
stands on the button of undo; a refusal on the page."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.base.errors import BadInput, NotThere, Refused, WouldRelease
from easy_tally.editing import (
    AddBetween,
    AddCable,
    AddPart,
    AddParts,
    ChangeBetween,
    ChangeBuild,
    ChangeCable,
    ChangePart,
    ChangeSupply,
    Connect,
    Park,
    Pin,
    PlugIn,
    RemoveBetween,
    RemoveCable,
    RemovePart,
    SwapPlugs,
    TakeEntry,
    TakeMap,
    TakeSupply,
    Unplug,
)

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    graphics_cable,
    processor,
    ref,
    run,
    sata_cable,
    supply,
)
from .test_between import adapter

BUILD = build(
    board(),
    processor(),
    card(),
    disk(2),
    adapters=(adapter(connections=()),),
    cables=(board_cable(), graphics_cable(), graphics_cable("spare", count=1), sata_cable()),
    runs=(run("chain", "g1", a="card#1/a"), run("sata", "d1", p1="disk#1/power")),
)
_B = ref("card#1/b")


class Titles(unittest.TestCase):
    def test_of_every_edit(self) -> None:
        for edit, title in (
            (AddPart(part=card(key="x")), "add Card"),
            (AddParts(parts=(card(key="x"), disk(key="y"))), "add 2 parts"),
            (ChangePart(part="card", changes={}), "change Card"),
            (TakeEntry(part="card", entry=card(200)), "take Card"),
            (RemovePart(part="disk"), "remove Disk"),
            (AddCable(cable=sata_cable()), "add sata"),
            (ChangeCable(cable="sata", changes={}), "change sata"),
            (RemoveCable(cable="sata"), "remove sata"),
            (AddBetween(thing=adapter()), "add Adapter"),
            (ChangeBetween(key="adapter", changes={}), "change Adapter"),
            (RemoveBetween(key="adapter"), "remove Adapter"),
            (Connect(cable="chain", plug="b", socket=_B), "connect Chain"),
            (Park(cable="chain", plug="a"), "park Chain"),
            (PlugIn(cable="spare"), "plug Spare"),
            (Unplug(cable="chain"), "unplug Chain"),
            (Pin(cable="chain"), "keep Chain"),
            (Pin(cable="chain", pinned=False), "let go of Chain"),
            (
                SwapPlugs(cable="chain", plug="a", other_cable="sata", other_plug="p1"),
                "swap Chain and sata",
            ),
            (ChangeSupply(changes={}), "change supply"),
            (TakeSupply(supply=supply(name="Other"), cables=()), "take Other"),
            (ChangeBuild(), "change build"),
            (TakeMap(runs=()), "lay the map"),
        ):
            self.assertEqual(edit.title(BUILD), title)

    def test_of_what_is_gone_by_its_key(self) -> None:
        for edit in (
            ChangePart(part="gone", changes={}),
            RemoveCable(cable="gone"),
            RemoveBetween(key="gone"),
            Unplug(cable="gone"),
        ):
            self.assertTrue(edit.title(BUILD).endswith(" gone"), edit)


class AskedFor(unittest.TestCase):
    """What an edit collides by with what others changed."""

    def test_plugs_sockets_and_ports(self) -> None:
        self.assertEqual(
            Connect(cable="chain", plug="b", socket=_B, ports=("g2",)).asks_for(),
            ("socket:card#1/b", "plug:chain/b", "port:g2"),
        )
        self.assertEqual(
            SwapPlugs(cable="chain", plug="a", other_cable="sata", other_plug="p1").asks_for(),
            ("plug:chain/a", "plug:sata/p1"),
        )
        self.assertEqual(Park(cable="chain", plug="a").asks_for(), ())


class Refusals(unittest.TestCase):
    def _says(self, kind: type[Exception], edit: Any, text: str) -> None:
        with self.assertRaises(kind) as raised:
            edit.apply(BUILD)
        self.assertEqual(str(raised.exception), text)

    def test_what_is_not_there(self) -> None:
        for edit, text in (
            (Connect(cable="nope", plug="b", socket=_B), "There is no cable nope in this build."),
            (Connect(cable="chain", plug="z", socket=_B), "Chain has no plug z."),
            (
                Connect(cable="chain", plug="b", socket=ref("card#2/b")),
                "There is no socket card#2/b in this build.",
            ),
            (PlugIn(cable="chain", ports=("zz",)), "The supply has no port zz."),
            (
                ChangeBetween(key="nope", changes={}),
                "There is no adapter, extension or backplane nope in this build.",
            ),
            (RemoveCable(cable="nope"), "There is no cable nope in this build."),
            (RemovePart(part="nope"), "There is no part nope in this build."),
        ):
            self._says(NotThere, edit, text)

    def test_what_does_not_fit(self) -> None:
        for edit, text in (
            (
                Connect(cable="sata", plug="p2", socket=_B),
                "A SATA power plug is granted 4.5 A at 12 V (54 W); an 8-pin graphics socket may "
                "draw 150 W.",
            ),
            (
                PlugIn(cable="chain", ports=("d1",)),
                "Chain needs a graphics port; D1 is drive, with 6 circuits, 1 of them 12 V.",
            ),
            (
                Connect(cable="spare", plug="a", socket=_B, ports=("g1",)),
                "Port G1 has a cable in it; 0 of 1 free.",
            ),
            (
                SwapPlugs(cable="chain", plug="a", other_cable="sata", other_plug="p1"),
                "A 6+2-pin graphics plug has 8 contacts (3 at 12 V); a SATA power socket has 15 "
                "(3 at 12 V).",
            ),
        ):
            self._says(Refused, edit, text)

    def test_what_is_so_already(self) -> None:
        for edit, text in (
            (Park(cable="chain", plug="b"), "Plug b of Chain is parked already."),
            (Unplug(cable="spare"), "Spare is in the bag already."),
            (Pin(cable="spare"), "Spare is in the bag: there is nothing to keep as it is."),
            (
                SwapPlugs(cable="chain", plug="b", other_cable="sata", other_plug="p1"),
                "Plug b of Chain is parked: there is nothing to swap.",
            ),
        ):
            self._says(Refused, edit, text)

    def test_what_would_be_unplugged(self) -> None:
        self._says(WouldRelease, RemoveCable(cable="chain"), "This unplugs Chain from Card · a.")
        self._says(WouldRelease, RemovePart(part="disk"), "This unplugs sata from Disk 1.")
        for edit in (
            RemoveCable(cable="chain", release=True),
            RemovePart(part="disk", release=True),
        ):
            self.assertLess(len(edit.apply(BUILD).runs), len(BUILD.runs) + 1)

    def test_values_that_can_not_be_taken(self) -> None:
        for edit, text in (
            (ChangePart(part="card", changes={"count": 0}), "card.count: needs at least 1, got 0"),
            (
                ChangeBuild(house_rules={"headroom": 9}),
                "house_rules.headroom: needs at most 2, got 9",
            ),
            (ChangeSupply(changes={"rated_w": -1}), "supply.rated_w: needs at least 0, got -1"),
            (
                ChangeBuild(changes={"parts": []}),
                "build.parts: needs one of name, note, spin_up_at_once, none_here, case, place, "
                "bracket, got parts",
            ),
            # What is wrong with the whole is said of it by its name, and not by all that is in it.
            (
                AddPart(part=board(key="second")),
                "second: needs one board in a build; there are 2, got “Test”",
            ),
        ):
            self._says(BadInput, edit, text)

    def test_nothing_changes_where_an_edit_is_refused(self) -> None:
        before = BUILD.model_dump_json()
        for edit in (
            RemoveCable(cable="chain"),
            AddPart(part=board(key="second")),
            Connect(cable="sata", plug="p2", socket=_B),
        ):
            with self.assertRaises((BadInput, Refused, WouldRelease)):
                edit.apply(BUILD)
        self.assertEqual(BUILD.model_dump_json(), before)
