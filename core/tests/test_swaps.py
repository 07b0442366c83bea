"""Swaps of a supply, a card, a board, a case, a cooler and a disk, worked out by hand; what is
found in a machine, what was done of it before, what a change amid the work makes of it."""

from __future__ import annotations

import unittest

from easy_tally.bench import Act, Ticked, acts_of_older, found_parts, found_places, standing, steps
from easy_tally.editing import AddPart, ChangePart, ChangeSupply, Exchange, RemovePart, TakeSupply
from easy_tally.files import build_file
from easy_tally.mapping import applied, solve
from easy_tally.things.build import Build
from easy_tally.things.parts import Cooler, Pump

from .helpers import board, build, processor
from .test_bench import DEMO
from .test_work import Bench


def demo(name: str) -> Build:
    """A build of the demo."""
    return build_file.read((DEMO / f"{name}.tally.json").read_text(encoding="utf-8"))


def stands(name: str) -> Bench:
    """A machine of the demo that was taken over as it stands."""
    bench = Bench(demo(name))
    bench.find()
    return bench


#: What follows any work on a machine that stands.
AFTER = ["Tie the leads where no fan reaches them", "A last look", "Switch on", "Take readings"]


class Swapped(unittest.TestCase):
    maxDiff = None

    def test_a_card(self) -> None:
        """Its plug, the card, where it goes; the new one in, by the house rule before its plug."""
        bench = stands("heron")
        bench.change(Exchange(of="part", key="card-1"))
        titles = bench.titles()
        self.assertEqual(
            titles,
            [
                "Make it safe",
                "Photograph the wiring as it is",
                "Unplug 16-pin cable 1, plug a, from the old Kittiwake L · power",
                "Take out the old Kittiwake L",
                "Where does the old Kittiwake L go?",
                "Look into every plug",
                "Sort the cables by their family",
                "Mount the new Kittiwake L",
                "16-pin cable 1 from H1 into Kittiwake L",
                *AFTER[:3],
                "Install the card’s driver",
                AFTER[3],
            ],
        )

    def test_a_card_of_another_board_in_a_small_case(self) -> None:
        bench = stands("dunlin")
        bench.change(Exchange(of="part", key="card"))
        self.assertEqual(
            [t for t in bench.titles() if t.startswith(("Unplug", "Take out", "Mount"))],
            [
                "Unplug Graphics cable 1, plug a, from the old Stint S · a",
                "Take out the old Stint S",
                "Mount the new Stint S",
            ],
        )

    def test_a_supply_with_its_cables(self) -> None:
        """At every part, then the supply, and on the table its own end; the new one the other way
        round."""
        bench = stands("dunlin")
        supply = bench.build.supply
        assert supply is not None
        bench.change(TakeSupply(supply=supply, cables=bench.build.cables, release=True))
        found = solve(bench.build)
        assert found is not None
        bench.lay(found)
        self.assertEqual(
            bench.titles(),
            [
                "Make it safe",
                "Photograph the wiring as it is",
                "Unplug the old Graphics cable 1, plug a, from Stint S",
                "Unplug the old Board cable, plug main, from Rill board, small · main",
                "Unplug the old Processor cable 1, plug a, from Rill board, small · cpu",
                "Lift the supply out: the old Samphire 450",
                "On the table: unplug the cables of the old Samphire 450 at its own end",
                "Where does the old Samphire 450 with its 3 cables go?",
                "Look into every plug",
                "Sort the cables by their family",
                "the new Graphics cable 1 into port G1",
                "the new Board cable into port B1 and B2",
                "the new Processor cable 1 into port P1",
                "Mount the supply: the new Samphire 450",
                "the new Board cable from B1 and B2 into Rill board, small · main",
                "the new Processor cable 1 from P1 into Rill board, small · cpu",
                "the new Graphics cable 1 from G1 into Stint S",
                *AFTER,
            ],
        )

    def test_a_board_with_what_is_on_it(self) -> None:
        """Out of the case with processor and memory on it; those go over on the table."""
        bench = stands("godwit")
        bench.change(Exchange(of="part", key="board"))
        titles = bench.titles()
        old, new = "the old Shingle board, 20-pin", "the new Shingle board, 20-pin"
        out = titles.index(f"Lift the board out: {old}")
        over = titles.index("Take Ruff, single core out of its socket")
        into = titles.index("Set Ruff, single core in its socket")
        mount = titles.index(f"Mount the board: {new}")
        main = titles.index("Board cable into Shingle board, 20-pin · main")
        self.assertEqual(sorted([out, over, into, mount, main]), [out, over, into, mount, main])
        self.assertEqual([t for t in titles if "supply" in t], [])
        # Disks stay where they are: their data leads alone come off the old board.
        self.assertFalse([t for t in titles if t.startswith("Take out Old disk")])
        self.assertIn(f"Unplug the data lead of Old disk 3.5 from {old}", titles[:out])

    def test_a_case(self) -> None:
        """Everything that stands in it; a modular supply keeps its own end plugged, memory and
        processor stay on their board."""
        bench = stands("dunlin")
        bench.change(Exchange(of="case"))
        titles = bench.titles()
        self.assertFalse(
            [t for t in titles if "Dotterel" in t or "Memory" in t or "at its own end" in t]
        )
        self.assertFalse([t for t in titles if "into port" in t])
        card, supply = (
            titles.index("Take out Stint S"),
            titles.index("Lift the supply out: Samphire 450"),
        )
        lifted = titles.index("Lift the board out: Rill board, small")
        self.assertLess(max(card, supply), lifted)
        self.assertTrue([t for t in titles if t.startswith("Where does the old")])

    def test_one_disk_of_three(self) -> None:
        bench = stands("heron")
        bench.change(Exchange(of="part", key="disk", instance=2))
        titles = [t for t in bench.titles() if "isk" in t]
        name = "Mudflat disk 3.5 2"
        self.assertEqual(
            [t for t in titles if "reached" not in t],
            [
                f"Unplug SATA cable 1, plug p2, from the old {name} · power",
                f"Unplug the data lead of the old {name} from Tideline board",
                f"Take out the old {name}",
                f"Where does the old {name} go?",
                f"Mount the new {name}",
                f"Data leads of the new {name}",
                f"SATA cable 1 from D1 into {name}",
            ],
        )

    def test_a_cooler_over_the_processors_plug_is_asked_for_once(self) -> None:
        """Another supply: by its answer the cooler comes out before the plug and goes in after."""
        bench = Bench(_cooled())
        bench.find()
        bench.change(Exchange(of="supply"))
        ask = "Can the processor’s plugs be reached with Teal tower in its place?"
        self.assertEqual(bench.titles()[1], ask)
        question = bench.open()[1]
        bench.tick(question, 1)
        titles = bench.titles()
        out, plug = (
            titles.index("Take out Teal tower"),
            titles.index("Unplug cpu, plug a, from Board · cpu-1"),
        )
        again, back = (
            titles.index("cpu from P1 into Board · cpu-1"),
            titles.index("Mount Teal tower"),
        )
        self.assertEqual(sorted([out, plug, again, back]), [out, plug, again, back])
        self.assertIn(
            "It lies over the processor’s plugs. It goes in again later.",
            next(p.step.text for p in bench.open() if p.step.title == "Take out Teal tower"),
        )
        while left := bench.open():
            bench.tick(left[0])
        bench.change(Exchange(of="supply"))
        self.assertNotIn(ask, bench.titles())

    def test_another_processor_takes_its_cooler_off_first(self) -> None:
        bench = Bench(_cooled())
        bench.find()
        bench.change(Exchange(of="part", key="processor"))
        titles = bench.titles()
        order = [
            "Take out Teal tower",
            "Take the old Processor out of its socket",
            "Set the new Processor in its socket",
            "Mount Teal tower",
        ]
        self.assertEqual([t for t in titles if t in order], order)

    def test_a_loop_is_filled_and_stays_dry_for_an_hour_before_the_start(self) -> None:
        bench = stands("dunlin")
        bench.change(AddPart(part=Pump(key="pump", name="Otter pump")))
        titles = bench.titles()
        fill = titles.index("Fill and bleed the loop")
        self.assertEqual(titles[fill + 1], "An hour without a drop")
        self.assertLess(fill, titles.index("Switch on"))
        pump = next(p.step for p in bench.open() if p.step.title == "Mount Otter pump")
        self.assertIn("never runs dry", pump.caution)


def _cooled() -> Build:
    """A board with a processor under a cooler of its own, and one cable to each."""
    from .helpers import board_cable, processor_cable, supply

    made = build(
        board(),
        processor(),
        Cooler(key="cooler", name="Teal tower", radiator_mm=0, fans=1),
        cables=(board_cable(), processor_cable()),
        supply=supply(),
    )
    found = solve(made)
    assert found is not None
    return applied(made, found)


class Standing(unittest.TestCase):
    def test_figures_change_nothing(self) -> None:
        bench = stands("heron")
        bench.change(ChangeSupply(changes={"rated_w": 1100, "name": "Called otherwise"}))
        bench.change(ChangePart(part="card-1", changes={"name": "Another name"}))
        self.assertEqual(bench.titles(), [])

    def test_what_was_done_to_the_old_one_is_not_done_to_the_new(self) -> None:
        """Ticked to the end, then another supply of the same name with the same cables."""
        bench = Bench(demo("heron"))
        for _ in bench.open():
            bench.tick(bench.open()[0])
        self.assertEqual(bench.titles(), [])
        supply = bench.build.supply
        assert supply is not None
        bench.change(TakeSupply(supply=supply, cables=bench.build.cables, release=True))
        found = solve(bench.build)
        assert found is not None
        bench.lay(found)
        done = {p.step.id for p in bench.plan() if p.state != "open"}
        for step in ("safe", "pins", "sort", "mount", "last-look", "power-on"):
            self.assertNotIn(step, done)
        self.assertIn("mount:card-1", done)

    def test_a_change_in_the_middle_makes_a_new_difference(self) -> None:
        """The old card is out when another thought is had: it goes in again, and nothing else."""
        bench = stands("heron")
        before = bench.build
        bench.change(RemovePart(part="card-1", release=True))
        for _ in range(4):  # safe, photographs, the plug, the card
            bench.tick(bench.open()[0])
        bench.build = before
        self.assertEqual(
            bench.titles(),
            [
                "Look into every plug",
                "Sort the cables by their family",
                "Mount Kittiwake L",
                "16-pin cable 1 from H1 into Kittiwake L",
                *AFTER[:3],
                "Install the card’s driver",
                AFTER[3],
            ],
        )

    def test_a_tick_that_is_taken_back_was_not_done(self) -> None:
        bench = stands("heron")
        bench.change(RemovePart(part="card-1", release=True))
        first = bench.titles()
        bench.tick(bench.open()[0])
        bench.note("safe", "undone", ())
        self.assertEqual(bench.titles(), first)

    def test_what_nobody_saw_is_said_by_the_first_work_that_meets_it(self) -> None:
        bench = Bench(demo("heron"))
        bench.note("found:parts", "found", found_parts(bench.analysis, standing([])))
        for place in found_places(bench.analysis, standing(bench.record), bench.known):
            if "Kittiwake" not in place.words and place.wanted != "nothing":
                acts = next(c.acts for c in place.choices if c.id == place.wanted)
                bench.note(f"found:{place.place}", "found", acts)
        titles = bench.titles()
        self.assertIn("16-pin cable 1 from H1 into Kittiwake L", titles)
        step = next(p.step for p in bench.open() if p.step.joint is not None)
        self.assertIn("Nobody saw it", step.text[0])
        self.assertFalse([t for t in titles if t.startswith("Mount")])

    def test_what_nobody_saw_is_looked_for_before_anything_is_lifted(self) -> None:
        """Its plug may be in the very card that comes out."""
        bench = Bench(demo("heron"))
        bench.find()
        end = next(f"{i.id}/a" for i in bench.known.values() if i.key == "sixteen-1")
        bench.note("found:x", "found", (Act("found", end, "?"),))
        bench.change(Exchange(of="part", key="card-1"))
        titles = bench.titles()
        look = "See whether 16-pin cable 1, plug a is in anything, and pull it"
        self.assertLess(titles.index(look), titles.index("Take out the old Kittiwake L"))
        self.assertIn("16-pin cable 1 from H1 into Kittiwake L", titles)

    def test_what_is_found_otherwise_is_what_is_to_be_done(self) -> None:
        bench = stands("heron")
        cable = next(i.id for i in bench.known.values() if i.key == "sata-1")
        supply = next(i.id for i in bench.known.values() if i.key == "supply")
        bench.note("found:x", "found", (Act("found", f"{cable}>", f"{supply}/d3"),))
        self.assertIn("Unplug SATA cable 1 from port d3", bench.titles())
        self.assertIn("SATA cable 1 into port D1", bench.titles())


class OfEarlierVersions(unittest.TestCase):
    """Records of steps, as versions before acts kept them."""

    def _taken_along(self, b: Build, *ticked: str) -> Bench:
        bench = Bench(b)
        ids = ticked or tuple(s.id for s in steps(bench.analysis) if _was(s.id))
        told, gone = acts_of_older(bench.analysis, [Ticked(i, "", i) for i in ids])
        bench.known |= gone
        for id, acts in zip(ids, told, strict=True):
            bench.note(id, "done", acts)
        return bench

    def test_what_was_ticked_to_the_end_stands(self) -> None:
        for name in ("heron", "godwit", "dunlin"):
            self.assertEqual(self._taken_along(demo(name)).titles(), [], name)

    def test_of_another_supply_it_is_all_to_be_done(self) -> None:
        bench = self._taken_along(demo("dunlin"))
        bench.change(Exchange(of="supply"))
        self.assertIn("Lift the supply out: the old Samphire 450", bench.titles())

    def test_a_plug_that_the_map_has_lost_is_still_to_be_pulled(self) -> None:
        bench = self._taken_along(demo("heron"), "safe", "joint:sata-9/p1>disk#3/power")
        self.assertIn("Unplug joint:sata-9/p1>disk#3/power", bench.titles())


def _was(step: str) -> bool:
    """Whether earlier versions had a step."""
    head = step.partition(":")[0]
    return head in ("joint", "front", "lead", "data", "header", "driver") or step in (
        "safe",
        "pins",
        "sort",
        "mount",
        "bracket",
        "mount:card-1",
        "mount:card-2",
        "mount:capture",
        "mount:card",
        "last-look",
        "power-on",
        "readings",
    )
