"""What a builder does to a build: whole and valid, or refused and unchanged."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally import editing as edits
from easy_tally.base.errors import BadInput, NotThere, Refused, WouldRelease
from easy_tally.editing.parts import _by_itself
from easy_tally.things.build import Build
from easy_tally.things.parts import PART_KINDS, Fan, Header, Hub, Socket

from .helpers import (
    apply,
    board,
    board_cable,
    build,
    card,
    disk,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    ref,
    run,
    sata_cable,
    supply,
)


def _bench() -> Build:
    """A card on one chained cable, two disks on one, and cables in the bag."""
    return build(
        board(),
        processor(),
        card(),
        disk(2),
        cables=(
            graphics_cable("chain"),
            graphics_cable("spare", 1),
            processor_cable(),
            sata_cable(),
            board_cable(),
            graphics_cable("stray", 1, family="Other"),
        ),
        runs=(
            run("chain", "g1", a="card#1/a", b="card#1/b"),
            run("sata", "d1", p1="disk#1/power", p2="disk#2/power"),
        ),
    )


def _connect(b: Build, cable: str, plug: str, socket: str, **more: Any) -> Build:
    return apply(b, edits.Connect(cable=cable, plug=plug, socket=ref(socket), **more))


def _feeds(b: Build, cable: str) -> dict[str, str]:
    found = b.run(cable)
    return {c.plug: str(c.socket) for c in found.connections} if found else {}


class Connecting(unittest.TestCase):
    def test_a_cable_from_the_bag_goes_into_the_first_free_port(self) -> None:
        after = _connect(_bench(), "spare", "a", "card#1/b")
        self.assertEqual(after.run("spare").ports, ("g2",))  # type: ignore[union-attr]

    def test_the_plug_that_was_there_parks(self) -> None:
        after = _connect(_bench(), "spare", "a", "card#1/b")
        self.assertEqual(_feeds(after, "chain"), {"a": "card#1/a"})
        self.assertEqual(_feeds(after, "spare"), {"a": "card#1/b"})

    def test_a_plug_in_use_moves(self) -> None:
        b = apply(_bench(), edits.Park(cable="chain", plug="b"))
        after = _connect(b, "chain", "a", "card#1/b")
        self.assertEqual(_feeds(after, "chain"), {"a": "card#1/b"})

    def test_wrong_kind_is_refused_with_numbers(self) -> None:
        with self.assertRaisesRegex(Refused, "on 3 pins: a short circuit"):
            _connect(_bench(), "cpu", "a", "card#1/a")

    def test_another_family_is_refused(self) -> None:
        with self.assertRaisesRegex(Refused, "Pinout family Other; the supply is Test A"):
            _connect(_bench(), "stray", "a", "card#1/a")

    def test_loose_half_is_refused(self) -> None:
        b = apply(
            _bench(),
            edits.ChangePart(
                part="board",
                changes={
                    "sockets": [{"key": "main", "kind": "atx24"}, {"key": "cpu", "kind": "eps4"}]
                },
            ),
        )
        with self.assertRaisesRegex(Refused, "one pin each of 12 V, 5 V, 3.3 V and ground"):
            _connect(b, "board", "main", "board#1/cpu", half="loose")

    def test_no_free_port_gives_the_count(self) -> None:
        ports = tuple(p for p in supply().ports if p.key not in ("g2", "g3"))
        b = _bench().model_copy(update={"supply": supply(ports=ports)})
        with self.assertRaisesRegex(Refused, "1 graphics port; 0 of 1 free"):
            _connect(b, "spare", "a", "card#1/b")

    def test_asked_port_in_use_or_of_another_kind(self) -> None:
        with self.assertRaisesRegex(Refused, "Port G1 has a cable in it"):
            _connect(_bench(), "spare", "a", "card#1/b", ports=("g1",))
        with self.assertRaisesRegex(Refused, "D2 is drive, with 6 circuits"):
            _connect(_bench(), "spare", "a", "card#1/b", ports=("d2",))

    def test_no_supply(self) -> None:
        b = build(card(), cables=(graphics_cable(),), supply=None)
        with self.assertRaisesRegex(Refused, "no supply"):
            _connect(b, "chain", "a", "card#1/a")

    def test_what_is_not_there(self) -> None:
        for cable, plug, socket in (
            ("gone", "a", "card#1/a"),
            ("spare", "z", "card#1/a"),
            ("spare", "a", "card#2/a"),
        ):
            with self.assertRaises(NotThere):
                _connect(_bench(), cable, plug, socket)

    def test_fixed_cable_needs_no_port(self) -> None:
        b = build(board(), processor(), cables=(processor_cable(needs=()),))
        after = _connect(b, "cpu", "a", "board#1/cpu-1")
        self.assertEqual(after.run("cpu").ports, ())  # type: ignore[union-attr]
        parked = apply(after, edits.Park(cable="cpu", plug="a"))
        self.assertEqual(parked.runs, ())

    def test_runs_stand_in_the_order_of_the_cables(self) -> None:
        after = _connect(_bench(), "spare", "a", "card#1/b")
        self.assertEqual([r.cable for r in after.runs], ["chain", "spare", "sata"])


class Unplugging(unittest.TestCase):
    def test_park_and_unplug(self) -> None:
        b = apply(_bench(), edits.Park(cable="chain", plug="a"))
        self.assertEqual(_feeds(b, "chain"), {"b": "card#1/b"})
        self.assertIsNone(apply(b, edits.Unplug(cable="chain")).run("chain"))

    def test_parked_already(self) -> None:
        with self.assertRaisesRegex(Refused, "parked already"):
            apply(_bench(), edits.Park(cable="spare", plug="a"))

    def test_into_another_port(self) -> None:
        b = apply(_bench(), edits.PlugIn(cable="chain", ports=("g3",)))
        self.assertEqual(b.run("chain").ports, ("g3",))  # type: ignore[union-attr]
        self.assertEqual(len(_feeds(b, "chain")), 2)


class Parts(unittest.TestCase):
    def test_a_key_already_taken_is_made_anew(self) -> None:
        b = apply(_bench(), edits.AddPart(part=disk(1)))
        self.assertEqual(b.parts[-1].key, "disk-2")

    def test_a_list_of_parts_is_one_step_or_none(self) -> None:
        b = apply(_bench(), edits.AddParts(parts=(disk(1), disk(2))))
        self.assertEqual([p.key for p in b.parts[-2:]], ["disk-2", "disk-3"])
        with self.assertRaises(BadInput):
            apply(_bench(), edits.AddParts(parts=(disk(1), board(key="b2"))))

    def test_change(self) -> None:
        b = apply(
            _bench(),
            edits.ChangePart(part="card", changes={"board_power_w": exact(250).model_dump()}),
        )
        self.assertEqual(b.part("card").board_power_w.likely, 250)  # type: ignore[union-attr]

    def test_unknown_field_names_those_there_are(self) -> None:
        with self.assertRaises(BadInput) as caught:
            apply(_bench(), edits.ChangePart(part="disk", changes={"colour": 1}))
        field, required, _ = caught.exception.problems[0]
        self.assertEqual(field, "disk.colour")
        self.assertIn("run_12v_a", required)

    def test_kind_and_key_stay(self) -> None:
        for name in ("kind", "key"):
            with self.assertRaises(BadInput):
                apply(_bench(), edits.ChangePart(part="disk", changes={name: "fan"}))

    def test_negative_figure(self) -> None:
        bad = {"low": -5, "likely": -5, "high": -5}
        with self.assertRaises(BadInput) as caught:
            apply(_bench(), edits.ChangePart(part="card", changes={"board_power_w": bad}))
        self.assertEqual(
            caught.exception.problems[0][:2], ("card.board_power_w", "between 0 and 3000 W")
        )

    def test_an_entry_taken_over_leaves_what_ties_the_part_to_its_build(self) -> None:
        """Figures, name and sockets come from the entry; key, count, note, hub and outputs stay."""
        hub = Hub(key="hub", name="Hub", outputs=tuple(Header(key=f"out-{i}") for i in (1, 2, 3)))
        was = Fan(
            key="fan",
            name="Old",
            count=2,
            note="front",
            on="hub",
            headers=("out-2",),
            catalogue="gale@1",
            rated_a=exact(0.2),
        )
        entry = Fan(key="gale", name="Gale", catalogue="gale@2", rated_a=exact(0.3), size_mm=140)
        taken = edits.TakeEntry(part="fan", entry=entry)
        found = apply(build(board(), hub, was), taken).part("fan")
        ties = {"key": "fan", "count": 2, "note": "front", "on": "hub", "headers": ("out-2",)}
        self.assertEqual(found, entry.model_copy(update=ties))

    def test_an_entry_of_other_sockets_names_what_it_unplugs(self) -> None:
        socket = (Socket(key="a", kind="16pin"),)
        edit = edits.TakeEntry(part="card", entry=card().model_copy(update={"sockets": socket}))
        with self.assertRaises(WouldRelease) as caught:
            apply(_bench(), edit)
        self.assertEqual(len(caught.exception.released), 2)

    def test_an_entry_of_another_kind_is_refused(self) -> None:
        with self.assertRaises(BadInput) as caught:
            apply(_bench(), edits.TakeEntry(part="card", entry=disk()))
        self.assertEqual(caught.exception.problems, [("card.kind", "card", "drive")])

    def test_lower_count_names_what_it_unplugs_first(self) -> None:
        edit = edits.ChangePart(part="disk", changes={"count": 1})
        with self.assertRaises(WouldRelease) as caught:
            apply(_bench(), edit)
        self.assertEqual(caught.exception.released, ["sata from Disk 2"])
        after = apply(_bench(), edit.model_copy(update={"release": True}))
        self.assertEqual(_feeds(after, "sata"), {"p1": "disk#1/power"})

    def test_removing_a_part_leaves_its_cable_in_the_port(self) -> None:
        after = apply(_bench(), edits.RemovePart(part="card", release=True))
        self.assertEqual(_feeds(after, "chain"), {})
        self.assertEqual(after.run("chain").ports, ("g1",))  # type: ignore[union-attr]

    def test_other_kind_of_socket_lets_go_of_its_plug(self) -> None:
        sockets = [Socket(key="a", kind="16pin").model_dump()]
        edit = edits.ChangePart(part="card", changes={"sockets": sockets})
        with self.assertRaises(WouldRelease) as caught:
            apply(_bench(), edit)
        self.assertEqual(caught.exception.released, ["Chain from Card · a", "Chain from Card · b"])

    def test_what_stands_by_itself_is_set_as_with_all_looked_over(self) -> None:
        """A figure, a name and a note: the same build as where the whole of it is validated."""
        b, seen = _bench(), 0
        for part in b.parts:
            for name in _by_itself(type(part)):
                value: Any = f"New {name}"
                if name not in ("name", "note"):
                    value = {"low": 1, "likely": 2, "high": 3}
                found = apply(b, edits.ChangePart(part=part.key, changes={name: value}))
                fields = part.model_dump() | {name: value}
                parts = [fields if p is part else p.model_dump() for p in b.parts]
                self.assertEqual(found, Build.model_validate(b.model_dump() | {"parts": parts}))
                seen += name not in ("name", "note")
        self.assertGreater(seen, 10)

    def test_what_others_stand_on_is_looked_over(self) -> None:
        """Sockets, counts, slots and headers, whatever figure is set beside them."""
        for kind in PART_KINDS:
            held = {"count", "sockets", "slot", "slots", "m2_slots", "on", "headers", "outputs"}
            self.assertEqual(_by_itself(kind) & held, set())
        changes = {"count": 1, "run_12v_a": {"low": 1, "likely": 1, "high": 1}}
        with self.assertRaises(WouldRelease):
            apply(_bench(), edits.ChangePart(part="disk", changes=changes))

    def test_a_figure_that_can_not_be_is_named(self) -> None:
        change = edits.ChangePart(part="disk", changes={"run_12v_a": {"low": 2, "likely": 1}})
        with self.assertRaisesRegex(BadInput, "disk.run_12v_a"):
            apply(_bench(), change)

    def test_a_slot_and_a_header_that_go_name_what_was_there(self) -> None:
        headers = (Header(key="fan-1"), Header(key="fan-2"))
        fan = Fan(key="fan", name="Fan", headers=("fan-1", "fan-2"))
        b = build(board(headers=headers), card(slot="slot-1"), fan)
        change = edits.ChangePart(part="board", changes={"slots": [], "headers": [headers[1]]})
        with self.assertRaises(WouldRelease) as caught:
            apply(b, change)
        self.assertEqual(caught.exception.released, ["Card from slot-1", "Fan from fan-1"])
        after = apply(b, change.model_copy(update={"release": True}))
        self.assertIsNone(after.part("card").slot)  # type: ignore[union-attr]
        self.assertEqual(after.part("fan").headers, ("fan-2",))  # type: ignore[union-attr]

    def test_a_hub_that_goes_leaves_its_fans_to_the_board(self) -> None:
        b = build(board(), Hub(key="hub", name="Hub"), Fan(key="fan", name="Fan", on="hub"))
        with self.assertRaises(WouldRelease) as caught:
            apply(b, edits.RemovePart(part="hub"))
        self.assertEqual(caught.exception.released, ["Fan from Hub"])
        after = apply(b, edits.RemovePart(part="hub", release=True))
        self.assertIsNone(after.part("fan").on)  # type: ignore[union-attr]

    def test_a_card_into_a_slot_that_is_not_there(self) -> None:
        change = edits.ChangePart(part="card", changes={"slot": "slot-7"})
        with self.assertRaisesRegex(BadInput, "no slot-7, it has slot-1"):
            apply(_bench(), change)

    def test_second_board_is_refused(self) -> None:
        with self.assertRaises(BadInput):
            apply(_bench(), edits.AddPart(part=board(key="board-2")))


class SupplyAndRules(unittest.TestCase):
    def test_taking_a_supply_replaces_its_family_and_names_what_it_unplugs(self) -> None:
        new = supply(name="New", family="Other")
        edit = edits.TakeSupply(supply=new, cables=(graphics_cable("chain", 1, family="Other"),))
        with self.assertRaises(WouldRelease) as caught:
            apply(_bench(), edit)
        self.assertEqual(len(caught.exception.released), 4)
        after = apply(_bench(), edit.model_copy(update={"release": True}))
        self.assertEqual([c.key for c in after.cables], ["stray", "chain-2"])
        self.assertEqual(after.runs, ())

    def test_removing_a_port_in_use(self) -> None:
        ports = [p.model_dump() for p in supply().ports if p.key != "d1"]
        edit = edits.ChangeSupply(changes={"ports": ports})
        with self.assertRaises(WouldRelease):
            apply(_bench(), edit)
        after = apply(_bench(), edit.model_copy(update={"release": True}))
        self.assertIsNone(after.run("sata"))

    def test_house_rules_and_assumptions(self) -> None:
        b = apply(
            _bench(),
            edits.ChangeBuild(
                house_rules={"chained_graphics": "never"}, assumptions={"room_degc": 30}
            ),
        )
        self.assertEqual(b.house_rules.chained_graphics, "never")
        self.assertEqual(b.assumptions.room_degc, 30)
        self.assertEqual(b.house_rules.headroom, 0.2)

    def test_absurd_rules(self) -> None:
        for change in (
            {"house_rules": {"headroom": -1}},
            {"assumptions": {"room_degc": 900}},
            {"changes": {"version": 2}},
            {"changes": {"name": ""}},
        ):
            with self.assertRaises(BadInput):
                apply(_bench(), edits.ChangeBuild(**change))  # type: ignore[arg-type]

    def test_adding_and_removing_a_cable(self) -> None:
        b = apply(_bench(), edits.AddCable(cable=graphics_cable("chain")))
        self.assertEqual(b.cables[-1].key, "chain-2")
        with self.assertRaises(WouldRelease):
            apply(b, edits.RemoveCable(cable="chain"))
        after = apply(b, edits.RemoveCable(cable="chain", release=True))
        self.assertIsNone(after.run("chain"))
