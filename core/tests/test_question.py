"""The question: what is heard, what it comes to by hand, and that the answer is the build's own."""

from __future__ import annotations

import random
import unittest

from easy_tally import analyse, compact
from easy_tally.analysis import CHECKS
from easy_tally.analysis.finding import BAD, Finding, Subject
from easy_tally.base.saying import number
from easy_tally.bench import Pace, pace
from easy_tally.editing import AddPart, Become, ChangePart, Edit, RemovePart, TakeEntry, TakeSupply
from easy_tally.files import answer_html, answer_pdf, build_file, print_answer
from easy_tally.mapping import InStock
from easy_tally.question import (
    VERDICTS,
    Answered,
    Around,
    Change,
    Heard,
    Patience,
    Shelf,
    VerdictAnswer,
    ask,
    heard,
    of_which,
)
from easy_tally.supplies import Kit
from easy_tally.things import Build, Case, Price, cheapest_first, settled
from easy_tally.things.parts import Card
from hypothesis import given, settings
from hypothesis import strategies as st

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    run,
    sata_cable,
    sixteen_cable,
    supply,
)
from .machines import machine
from .test_demo import demo, kits


def looks(most: int) -> Patience:
    """Patience for so many looks at whether it is enough: the same on every machine."""
    seen = iter(range(1, 10_000))
    return Patience(lambda: next(seen) / most)


def plugged(**more: object) -> Build:
    """A machine of 445 W at full: board 25, processor 100 at its sockets, card 320."""
    return build(
        board(),
        processor(),
        card(),
        disk(),
        cables=(board_cable(), processor_cable(), graphics_cable(), sata_cable(), sixteen_cable()),
        runs=(
            run("board", "b1 b2", main="board#1/main"),
            run("cpu", "p1", a="board#1/cpu-1"),
            run("chain", "g1", a="card#1/a", b="card#1/b"),
            run("sata", "d1", p1="disk#1/power"),
        ),
        **more,
    )


def verdict(came: Answered, id: str) -> VerdictAnswer:
    return next(v for v in came.answer.verdicts if v.id == id)


def asked(b: Build, *edits: Edit, around: Around | None = None) -> Answered:
    return ask(b, Change(words="it", edits=edits), around or Around(year=2026), looks(30))


class IsHeard(unittest.TestCase):
    """What a line asks, by what is said and by what is there."""

    def said(self, text: str, b: Build | None = None, **more: object) -> str:
        came = self.hear(text, b, **more)
        self.assertIsNotNone(came.change, (text, came))
        return came.change.words if came.change else ""

    def hear(self, text: str, b: Build | None = None, **more: object) -> Heard:
        shelf = Shelf(kits=tuple(Kit(k.slug, "catalogue", k.supply, k.cables) for k in kits()))
        return heard(text, b or demo("heron"), shelf, **more)  # type: ignore[arg-type]

    def test_each_as_it_is_meant(self) -> None:
        for text, words in {
            "a 450 W card, 16-pin, 358 x 149 x 72": "450 W card in place of Kittiwake L",
            "will a 450 W card with 16-pin fit?": "450 W card in place of Kittiwake L",
            "what if I put in two 3.5 disks": "2 × 3.5-inch disk",
            "does a Marram 850 do?": "Marram 850",
            "without the Knot R": "without Knot R",
            "take out the capture": "without Scoter capture",
            "hold Kittiwake L to 250 W": "Kittiwake L held to 250 W",
            "Kittiwake L limited to 80 %": "Kittiwake L held to 256 W",
            "a 300 W card with 2x8pin instead of the Knot R": "300 W card in place of Knot R",
            "Marram 850 and without the Knot R": "Marram 850; without Knot R",
            "a case, cards up to 400 mm, 8 slots": "into Case",
            "a case, cards up to 300 mm, ATX supplies up to 180 mm, 7 slots": "into Case",
        }.items():
            with self.subTest(text):
                self.assertEqual(self.said(text), words)

    def test_what_is_open_is_asked_with_whole_lines_that_answer(self) -> None:
        came = self.hear("a 300 W card and without the Knot R")
        self.assertIsNone(came.change)
        self.assertIn("Which power sockets", came.question)
        for line in came.choices:
            self.assertTrue(self.said(line).endswith("without Knot R"), line)

    def test_what_is_meant_of_the_build_is_asked_where_two_answer(self) -> None:
        came = self.hear("without the card")
        self.assertIsNone(came.change)
        self.assertEqual(came.choices[:2], ("without Kittiwake L", "without Knot R"))
        self.assertIn("nothing called", self.hear("without the toaster").question)

    def test_it_may_come_elsewhere(self) -> None:
        text = "a 450 W card, 16-pin"
        came = self.hear(text)
        self.assertEqual([i.key for i in came.instead], ["card-1", "card-2", "beside"])
        self.assertEqual(self.said(text, instead="card-2"), "450 W card in place of Knot R")
        self.assertEqual(self.said(text, instead="beside"), "450 W card")

    def test_a_card_that_may_be_one_of_two_is_asked_and_is_no_new_one(self) -> None:
        came = self.hear("hold the card to 300 W")
        self.assertEqual(came.choices[:2], ("hold Kittiwake L to 300 W", "hold Knot R to 300 W"))

    def test_counts_that_nobody_has_are_refused_with_a_sentence(self) -> None:
        stock = (InStock(thing=sixteen_cable(), owned=False),)
        part = card(200, name="Knot XL")
        for text in ("99 x 16-pin cable", "0 x 16-pin cable", "0 x Knot XL", "99 x Knot XL"):
            came = heard(text, demo("heron"), Shelf(parts=(part,), loose=stock))
            self.assertIsNone(came.change, text)
            self.assertIn("needs", came.question)

    def test_nothing_endless_or_empty(self) -> None:
        self.assertIn("What would you change", self.hear("will it fit?").question)
        self.assertIn("400 characters", self.hear("x" * 401).question)


class ByHand(unittest.TestCase):
    """Figures worked out on paper."""

    def test_a_smaller_card(self) -> None:
        # 25 + 100 + 200 W card + disk 0.5 A × (12 + 5) V = 333.5 W; a fifth on top is 400.2 W.
        new = card(200, key="new", name="New")
        came = asked(plugged(), TakeEntry(part="card", entry=new, release=True))
        watts = verdict(came, "watts")
        # 25 + 100 + 320 + 8.5 = 453.5 W, and a fifth: 544.2 W.
        self.assertEqual((watts.figure, watts.now), ("401 W of 1,000 W", "545 W of 1,000 W"))
        # 270 W on one chained cable is over one plug's 150 W; 150 W is not.
        self.assertEqual(verdict(came, "leads").was, "fail")
        self.assertEqual(verdict(came, "leads").status, "pass")
        # Of no case nobody knows the room.
        self.assertEqual((came.answer.goes, came.answer.ways), ("not known", ()))
        self.assertEqual(verdict(came, "room").status, "unknown")

    def test_a_larger_card_by_a_power_limit_in_whole_watts(self) -> None:
        small = supply(rated_w=550, v12_a=45)
        new = card(450, "16pin", key="new", name="New", slot_w=None)
        edit = TakeEntry(part="card", entry=new, release=True)
        came = asked(plugged(supply=small), edit)
        # 25 + 100 + 450 + 8.5 = 583.5 W, and a fifth: 700.2 W, of 550 W.
        self.assertEqual(verdict(came, "watts").figure, "701 W of 550 W")
        self.assertEqual(came.answer.goes, "goes in with")
        first = came.answer.ways[0]
        # Two plugs and a port end of the chained cable, a plug and a port end of the 16-pin one.
        # Nine tenths of the headroom are 18 %: 550 / 1.18 = 466.1 W, less 133.5: 332 W; but what is
        # offered makes it whole: 550 / 1.2 = 458.3 W, less 133.5 leaves 324.8, so 324 W.
        self.assertEqual(first.text, "Hold New to 324 W, 72 % of its maker’s.")
        self.assertEqual((first.price.money, first.price.moves), (0, 5))
        taken = came.builds[1].part("new") or came.builds[1].part("card")
        assert isinstance(taken, Card)
        self.assertLessEqual(taken.power_limit * 450, 324)

    def test_a_cable_by_name_where_one_lead_is_short(self) -> None:
        bare = plugged().model_copy(
            update={"cables": tuple(c for c in plugged().cables if c.key != "sixteen")}
        )
        new = card(300, "16pin", key="new", name="New", slot_w=None)
        stock = (InStock(thing=sixteen_cable(key="other"), owned=False, price=19.0),)
        around = Around(year=2026, stock=stock)
        came = asked(bare, TakeEntry(part="card", entry=new, release=True), around=around)
        self.assertEqual(verdict(came, "leads").figure, "3 of 4 fed")
        (way, *_) = came.answer.ways
        self.assertIn("Add 16-pin cable, to be had for 19.00", way.text)
        self.assertEqual((way.price.money, way.mends), (19.0, ("leads",)))
        self.assertEqual(next(v for v in way.verdicts if v.id == "leads").figure[:10], "4 of 4 fed")

    def test_a_pair_where_one_alone_does_nothing(self) -> None:
        bare = plugged(supply=supply(rated_w=550, v12_a=45))
        bare = bare.model_copy(
            update={"cables": tuple(c for c in bare.cables if c.key != "sixteen")}
        )
        new = card(450, "16pin", key="new", name="New", slot_w=None)
        stock = (InStock(thing=sixteen_cable(key="other"), owned=True),)
        around = Around(year=2026, stock=stock)
        came = asked(bare, TakeEntry(part="card", entry=new, release=True), around=around)
        self.assertEqual(
            came.answer.ways[0].text,
            "Add 16-pin cable, from your drawer, in a free port. Hold New to 324 W, 72 % of its "
            "maker’s.",
        )
        self.assertEqual(came.answer.ways[0].mends, ("watts", "leads"))

    def test_room_and_another_case(self) -> None:
        short = Case(
            name="Short",
            card_length_mm=300,
            card_height_mm=200,
            slots=7,
            bays_35=2,
            supply_forms=("ATX",),
            supply_length_mm=250,
        )
        long = short.model_copy(update={"name": "Long", "card_length_mm": 360.0})
        long_card = card(200, key="new", name="New", length_mm=330.0, height_mm=110.0, covers=2)
        edit = TakeEntry(part="card", entry=long_card, release=True)
        came = asked(plugged(case=short), edit, around=Around(year=2026, cases=(short, long)))
        self.assertEqual(verdict(came, "room").figure, "330 of 300 mm")
        self.assertEqual(
            [w.text for w in came.answer.ways], ["Put it into Long: there is room in it."]
        )

    def test_another_supply_where_nothing_else_does(self) -> None:
        kit = Kit("big", "owned", supply(name="Big", rated_w=1200, v12_a=100), plugged().cables)
        small = supply(name="Small", rated_w=300, v12_a=20)
        new = card(140, key="new", name="New")
        edits = (TakeEntry(part="card", entry=new, release=True), AddPart(part=disk(2, key="more")))
        # 25 + 100 + 140 + 3 × 8.5 = 290.5 W, and a fifth: 348.6 W of 300 W.
        came = asked(plugged(supply=small), *edits, around=Around(year=2026, kits=(kit,)))
        texts = [w.text for w in came.answer.ways]
        self.assertTrue(any("Take Big, from your drawer" in t for t in texts), texts)

    def test_work_from_how_it_stands_and_minutes_where_records_tell(self) -> None:
        around = Around(year=2026, pace=Pace(usual=60.0))
        new = card(200, key="new", name="New")
        edit = TakeEntry(part="card", entry=new, release=True)
        came = asked(plugged(), edit, around=around)
        work = verdict(came, "work")
        steps = int(work.figure.split()[0])
        self.assertEqual(work.figure, f"{steps} steps, about {steps} min")
        self.assertEqual(came.answer.price.minutes, steps)
        self.assertTrue(any("Card" in t for t in work.more), work.more)

    def test_pace_is_the_median_of_what_was_ticked(self) -> None:
        gaps = [("joint:a", 30.0)] * 4 + [("mount:b", 120.0)] * 5 + [("mount:b", 2000.0)]
        told = pace(gaps)
        self.assertEqual(told.minutes(["joint:x", "joint:y", "mount:z"]), 3)
        self.assertIsNone(pace(gaps[:3]).minutes(["joint:x"]))

    def test_one_order_of_ways(self) -> None:
        several = [
            Price(None, 0),
            Price(20.0, 1),
            Price(0.0, 5, 9),
            Price(0.0, 5, 4),
            Price(0.0, 2, 30),
        ]
        ordered = sorted(several, key=cheapest_first)
        self.assertEqual(ordered, [several[4], several[3], several[2], several[1], several[0]])


class IsComplete(unittest.TestCase):
    def test_every_finding_belongs_to_a_verdict(self) -> None:
        for check in CHECKS:
            finding = Finding(id=check.id, severity="warn", subject=Subject(of="build"))
            self.assertIn(of_which(finding), VERDICTS)

    def test_a_supply_of_which_no_cable_is_said_is_not_known(self) -> None:
        came = asked(plugged(), TakeSupply(supply=supply(name="Bare", family="x"), release=True))
        self.assertEqual(verdict(came, "leads").status, "unknown")
        self.assertIn("Nobody says which cables", " ".join(verdict(came, "leads").more))
        # What is only worth knowing stands behind what decides.
        told = verdict(asked(plugged(), AddPart(part=disk(key="more"))), "leads")
        self.assertNotIn("limit is not known", told.text)

    def test_what_is_short_fails_also_where_no_case_is_known(self) -> None:
        ports = ChangePart(part="board", changes={"sata_ports": 1}).apply(plugged())
        came = asked(ports, AddPart(part=disk(2, key="more")))
        self.assertEqual(verdict(came, "room").status, "fail")
        self.assertEqual(verdict(came, "room").figure, "3 of 1, SATA data ports")
        self.assertEqual(came.answer.goes, "does not go in")

    def test_what_is_over_fails_also_where_no_cable_of_a_supply_is_said(self) -> None:
        bare = TakeSupply(supply=supply(name="Bare", family="x"), release=True)
        hot = ChangePart(part="board", changes={"own_12v_w": exact(400)}).apply(plugged())
        came = asked(hot, bare)
        # 400 W at 12 V through the 24-pin are 16.7 A a pin.
        self.assertEqual(verdict(came, "leads").status, "fail")

    def test_what_is_not_known_is_told_beside_what_mends(self) -> None:
        new = card(450, "16pin", key="new", name="New", slot_w=None)
        small = plugged(supply=supply(rated_w=550, v12_a=45))
        came = asked(small, TakeEntry(part="card", entry=new, release=True))
        self.assertIn("Not known yet: room, air.", came.answer.text)

    def test_what_is_looked_for_ends_and_says_so(self) -> None:
        over = Patience(lambda: 2.0)
        new = card(450, "16pin", key="new", name="New", slot_w=None)
        change = Change(words="it", edits=(TakeEntry(part="card", entry=new, release=True),))
        cables = tuple(c for c in plugged().cables if c.key != "sixteen")
        bare = plugged().model_copy(update={"cables": cables})
        came = ask(bare, change, Around(year=2026), over)
        self.assertIn("more ways than were looked at", came.answer.undecided)


class InPrint(unittest.TestCase):
    def setUp(self) -> None:
        self.came = asked(demo("curlew"), RemovePart(part="disk", release=True))

    def test_a_page_holds_the_build(self) -> None:
        answer, then = self.came.answer, self.came.builds[0]
        named = then.model_copy(update={"name": "</script><b>"})
        page = answer_html.write(answer, compact(analyse(then)), build_file.write(named))
        self.assertEqual(build_file.read(page), build_file.read(build_file.write(named)))
        for v in answer.verdicts:
            self.assertIn(v.figure, page)
        self.assertNotIn("http", page.replace("http://www.w3.org/2000/svg", ""))

    def test_pages_and_text(self) -> None:
        self.assertTrue(answer_pdf.answer(self.came.answer).startswith(b"%PDF"))
        self.assertIn(self.came.answer.verdicts[0].figure, print_answer(self.came.answer))


def changes(draw: random.Random, b: Build) -> list[Edit]:
    """One or two things that people ask of a machine."""
    cards = [p for p in b.parts if isinstance(p, Card) and p.board_power_w]
    part = draw.choice(b.parts)
    several: list[Edit] = [
        AddPart(part=disk(draw.randint(1, 3), key="more")),
        RemovePart(part=part.key, release=True),
    ]
    sockets = draw.choice(("pcie8", "pcie8 pcie8", "16pin"))
    new = card(draw.choice((90, 250, 450)), sockets, key="new", name="New", slot_w=None)
    several.append(AddPart(part=new))
    if cards:
        one = draw.choice(cards)
        several.append(TakeEntry(part=one.key, entry=new, release=True))
        several.append(ChangePart(part=one.key, changes={"power_limit": draw.choice((0.6, 1.2))}))
    return [draw.choice(several)]


class IsTheBuildsOwn(unittest.TestCase):
    @settings(max_examples=10, deadline=None)
    @given(st.integers(0, 100_000))
    def test_once_the_change_is_made_its_figures_are_the_answers(self, seed: int) -> None:
        draw = random.Random(seed)
        names = ("heron", "dunlin", "curlew")
        b = demo(names[seed % 3]) if seed % 2 else machine(seed)
        came = asked(b, *changes(draw, b))
        for at, then in enumerate(came.builds):
            taken = settled(b, Become(build=then).apply(b), "9")
            told = came.answer if at == 0 else came.answer.ways[at - 1]
            self._same(taken, told.verdicts, told.overall.text)

    def _same(self, taken: Build, verdicts: tuple[VerdictAnswer, ...], overall: str) -> None:
        a = analyse(taken, 2026)
        result = compact(a)
        self.assertEqual(result.overall.text, overall)
        by_id = {v.id: v for v in verdicts}
        strip, needed = result.strip, result.sizing.needed
        fed = f"{strip.sockets_fed} of {strip.sockets_needed} fed"
        self.assertEqual(by_id["leads"].figure.partition(",")[0], fed)
        if by_id["watts"].status != "fail" and needed and strip.supply_w:
            said = f"{number(needed.likely, 'W')} of {number(strip.supply_w, 'W')}"
            self.assertEqual(by_id["watts"].figure, said)
        kwh = result.supply.year_kwh if result.supply else None
        if kwh is not None and not taken.place.tariff:
            self.assertEqual(by_id["cost"].figure, f"{kwh:,.0f} kWh a year")
        fails = {of_which(f) for f in a.findings if f.severity in BAD}
        told = {v.id for v in verdicts if v.status == "fail"}
        # Where no search decided what can be fed, that something is not says nothing.
        self.assertEqual(told, fails - {"leads"} if by_id["leads"].status == "unknown" else fails)
