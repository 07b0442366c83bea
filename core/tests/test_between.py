"""Adapters, extensions and backplanes on the way of a run: each figure worked out by hand."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis import analyse
from easy_tally.publishing import compact
from easy_tally.ratings.elements import Element
from easy_tally.ratings.runs import RunResult
from easy_tally.things.adapters import Adapter, Backplane, BackplaneInput, CodeAt, Extension, Lead
from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, Connection, Plug, RailPins, Run
from easy_tally.things.case import Area, Case, Route
from easy_tally.things.parts import Drive, Socket
from pydantic import ValidationError

from .helpers import (
    board,
    build,
    card,
    disk,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    ref,
    rules,
    run,
    sata_cable,
    sixteen_cable,
    supply,
    told,
)

GRAPHICS = RailPins(v12=3, ground=3)
DRIVE = RailPins(v12=1, v5=1, v3v3=1, ground=2)


def adapter(
    leads: int = 2, codes: tuple[tuple[int, int], ...] = ((2, 300), (3, 450), (4, 600)), **more: Any
) -> Adapter:
    """8-pin leads to one 16-pin plug 200 mm on, in the card's socket."""
    fields: dict[str, Any] = {
        "key": "adapter",
        "name": "Adapter",
        "leads": tuple(Lead(key="abcd"[i], kind="pcie8") for i in range(leads)),
        "plugs": (Plug(key="x", kind="16pin", at_mm=200, grade="high"),),
        "gauge": 16,
        "conductors": GRAPHICS,
        "codes": tuple(CodeAt(leads=n, watts=w) for n, w in codes if n <= leads),  # type: ignore[arg-type]
        "connections": (Connection(plug="x", socket=ref("card#1/a")),),
    }
    return Adapter(**(fields | more))


def by_adapter(power: float, leads: int, plugged: int, of: Adapter | None = None) -> Build:
    """A card of `power` W, 50 W of it by the slot, on a cable a lead."""
    cables = tuple(graphics_cable(f"g{i + 1}", count=1) for i in range(plugged))
    runs = tuple(run(f"g{i + 1}", f"g{i + 1}", a=f"adapter#1/{'abcd'[i]}") for i in range(plugged))
    return build(
        board(), card(power, "16pin"), cables=cables, runs=runs, adapters=(of or adapter(leads),)
    )


def element(r: RunResult, kind: str, at: str | None = None, line: str = "v12") -> Element:
    """An element of a run."""
    return next(
        e for e in r.elements if e.kind == kind and e.line == line and at in (None, str(e.at))
    )


def runs_of(b: Build) -> tuple[RunResult, ...]:
    """Every run judged."""
    return analyse(b).runs


class SixteenPin(unittest.TestCase):
    def test_what_each_lead_carries(self) -> None:
        """290 W − 50 W by the slot = 240 W at the plug; 120 W a lead = 10 A, 3.33 A a pin of 3."""
        for r in runs_of(by_adapter(290, 2, 2)):
            self.assertAlmostEqual(element(r, "grant", "a").judged.load, 120)
            self.assertAlmostEqual(element(r, "plug pins", "a").judged.load, 10 / 3)
            self.assertAlmostEqual(element(r, "lead pins").judged.load, 10 / 3)
            lead = r.wired.feeds[0].input.socket.key
            self.assertAlmostEqual(element(r, "wire", f"adapter/{lead}").judged.load, 10 / 3)
            # The plug at the card carries all of it: 20 A over 6 pins, the worst with a tenth more.
            self.assertAlmostEqual(element(r, "plug pins", "adapter/x").judged.load, 20 / 6 * 1.1)

    def test_the_smaller_of_its_code_and_150_w_a_lead(self) -> None:
        """By leads plugged in, of an adapter coded 300 W with two, 450 W with three: one is too
        few, whatever the card draws."""
        for plugged, limit in ((1, 0), (2, 300), (3, 450)):
            for power in (limit + 50, limit + 51):
                b = by_adapter(max(power, 60), 3, plugged)
                found = element(runs_of(b)[0], "grant", "adapter/x").judged
                over = plugged == 1 or power > limit + 50
                self.assertEqual((found.limit, found.verdict == "over"), (limit, over), power)

    def test_150_w_a_lead_where_the_code_says_more(self) -> None:
        """Coded 450 W with two leads: 300 W."""
        of = adapter(2, ((2, 450),))
        found = element(runs_of(by_adapter(351, 2, 2, of))[0], "grant", "adapter/x").judged
        self.assertEqual((found.limit, found.verdict), (300, "over"))

    def test_fewer_leads_than_its_least_the_card_does_not_start(self) -> None:
        found = compact(analyse(by_adapter(200, 2, 1)))
        texts = [m.text for m in told(found) if m.kind == "over"]
        self.assertTrue(any("does not start, it needs at least 2 leads" in t for t in texts), texts)

    def test_a_code_that_nobody_states_is_unknown(self) -> None:
        found = element(runs_of(by_adapter(290, 2, 2, adapter(codes=())))[0], "grant", "adapter/x")
        self.assertEqual(found.judged.verdict, "unknown")
        wires = adapter(conductors=RailPins())
        found = element(runs_of(by_adapter(290, 2, 2, wires))[0], "wire", "adapter/a")
        self.assertEqual(found.judged.verdict, "unknown")

    def test_leads_share_by_the_pins_in_use(self) -> None:
        """A lead of two 12 V pins beside one of three: 2 of 5 and 3 of 5 of 240 W."""
        leads = (Lead(key="a", kind="pcie8", pins_12v=2), Lead(key="b", kind="pcie8"))
        first, second = runs_of(
            by_adapter(290, 2, 2, adapter(leads=2).model_copy(update={"leads": leads}))
        )
        self.assertAlmostEqual(element(first, "grant", "a").judged.load, 96)
        self.assertAlmostEqual(element(second, "grant", "a").judged.load, 144)

    def test_each_lead_its_own_cable_under_every_rule(self) -> None:
        chain = graphics_cable("g1")
        of = adapter()
        for socket, more in (("adapter#1/b", {}), ("card-2#1/a", {"key": "card-2"})):
            parts = [board(), card(200, "16pin"), *([card(100, "pcie8", **more)] if more else [])]
            chained = run("g1", "g1", a="adapter#1/a", b=socket)
            for rule in ("never", "by plug", "by pins"):
                b = build(
                    *parts,
                    cables=(chain,),
                    runs=(chained,),
                    adapters=(of,),
                    house_rules=rules(chained_graphics=rule),
                )
                r = runs_of(b)[0]
                self.assertEqual(
                    (r.verdict, element(r, "forbidden").judged.verdict), ("over", "over")
                )

    def test_volts_lost_along_the_whole_way(self) -> None:
        """10 A by each lead. Out: supply end 10 × 5 mΩ ÷ 3, wire 600 mm of 18 AWG 23.2 × 0.6 ÷ 3,
        the mated lead 5 ÷ 3, 200 mm of 16 AWG 14.6 × 0.2 ÷ 3; then 20 A over 6 pins of 5 mΩ."""
        r = runs_of(by_adapter(290, 2, 2))[0]
        lead = 10 * (5 / 3 + 23.2 * 0.6 / 3 + 5 / 3 + 14.6 * 0.2 / 3) / 1000
        found = element(r, "drop", "adapter/x").judged.load
        self.assertAlmostEqual(found, 2 * (lead + 20 * 5 / 6 / 1000))

    def test_what_is_fed_by_an_adapter_that_nothing_feeds_is_unfed(self) -> None:
        b = by_adapter(290, 2, 2).model_copy(update={"runs": ()})
        found = compact(analyse(b))
        self.assertIn("card#1/a", [m.subject for m in told(found) if m.kind == "unfed"])
        self.assertEqual(found.strip.sockets_fed, 0)


class DriveLeads(unittest.TestCase):
    def _by(self, of: Adapter, cable: Cable, **more: Any) -> Build:
        runs = (
            Run(
                cable=cable.key,
                ports=("d1",),
                connections=(Connection(plug=cable.plugs[0].key, socket=ref(f"{of.key}#1/a")),),
            ),
        )
        return build(board(), disk(2), cables=(cable,), runs=runs, adapters=(of,), **more)

    def _y(self, lead: str = "sata", **more: Any) -> Adapter:
        plugs = tuple(Plug(key=k, kind="sata", at_mm=mm) for k, mm in (("x", 150), ("y", 250)))
        into = tuple(
            Connection(plug=k, socket=ref(f"disk#{i}/power")) for i, k in ((1, "x"), (2, "y"))
        )
        fields: dict[str, Any] = {
            "key": "y",
            "name": "Y",
            "leads": (Lead(key="a", kind=lead),),
            "plugs": plugs,  # type: ignore[arg-type]
            "conductors": DRIVE,
            "connections": into,
        }
        return Adapter(**(fields | more))

    def test_a_y_piece_carries_both_by_one_plug(self) -> None:
        """Running 2 × 0.5 A at 12 V; at start 2 × 2 A, one after another 2 A + 0.5 A."""
        r = runs_of(self._by(self._y(), sata_cable()))[0]
        self.assertEqual(element(r, "grant", "p1").judged.loads[-2], 4)
        staggered = runs_of(self._by(self._y(), sata_cable(), spin_up_at_once=1))[0]
        self.assertAlmostEqual(element(staggered, "grant", "p1").judged.loads[-2], 2.5)
        first = element(r, "wire", "y/a")
        self.assertEqual((first.from_mm, first.to_mm), (0, 150))

    def test_from_4_pin_to_sata_crimped_moulded_or_nobody_says(self) -> None:
        four = sata_cable("per", plugs=1).model_copy(
            update={"plugs": (Plug(key="p1", kind="per4", at_mm=400),)}
        )
        for moulded, verdict in ((False, None), (True, "over"), (None, "unknown")):
            r = runs_of(self._by(self._y("per4", moulded=moulded), four))[0]
            found = [e.judged.verdict for e in r.elements if e.kind == "forbidden"]
            self.assertEqual(found, [verdict] if verdict else [])

    def test_sata_to_graphics_is_never_allowed(self) -> None:
        of = self._y().model_copy(
            update={
                "plugs": (Plug(key="x", kind="pcie6", at_mm=150),),
                "connections": (Connection(plug="x", socket=ref("card#1/a")),),
            }
        )
        cable = sata_cable()
        runs = (run("sata", "d1", p1="y#1/a"),)
        b = build(board(), card(60, "pcie6"), cables=(cable,), runs=runs, adapters=(of,))
        self.assertEqual(element(runs_of(b)[0], "forbidden").judged.verdict, "over")


class Extensions(unittest.TestCase):
    def test_its_own_wires_pins_and_drop(self) -> None:
        """150 W by 300 mm more of 20 AWG: 12.5 A, 4.17 A a conductor of 7.5; two contacts more."""
        extension = Extension(
            key="ext",
            name="Extension",
            kind="pcie6+2",
            length_mm=300,
            gauge=20,
            conductors=GRAPHICS,
            connections=(Connection(plug="out", socket=ref("card#1/a")),),
        )
        b = build(
            board(),
            card(200, "pcie8"),
            cables=(graphics_cable("g1", count=1),),
            runs=(run("g1", "g1", a="ext#1/in"),),
            extensions=(extension,),
        )
        r = runs_of(b)[0]
        self.assertAlmostEqual(element(r, "wire", "ext/in").judged.load, 12.5 / 3)
        self.assertEqual(element(r, "wire", "ext/in").judged.limit, 7.5)
        out = 12.5 * (5 / 3 + 23.2 * 0.6 / 3 + 5 / 3 + 36.7 * 0.3 / 3 + 5 / 3) / 1000
        self.assertAlmostEqual(element(r, "drop", "ext/out").judged.load, 2 * out)
        self.assertEqual(element(r, "grant", "ext/out").judged.load, 150)

    def test_the_code_of_a_16_pin_cable_goes_on(self) -> None:
        extension = Extension(
            key="ext",
            name="Extension",
            kind="16pin",
            length_mm=250,
            gauge=16,
            conductors=RailPins(v12=6, ground=6),
            connections=(Connection(plug="out", socket=ref("card#1/a")),),
        )
        for sense, limit in (("both_grounded", 600), ("sense0_grounded", 300), (None, None)):
            b = build(
                board(),
                card(400, "16pin"),
                cables=(sixteen_cable(sense),),
                runs=(run("sixteen", "h1", a="ext#1/in"),),
                extensions=(extension,),
            )
            found = [e.judged.limit for e in runs_of(b)[0].elements if e.kind == "grant"]
            self.assertEqual(found, [limit])

    def test_reach_counts_the_whole_way(self) -> None:
        """600 mm and 300 mm more, for a way of 700 + 40: without it 140 mm short."""
        case = Case(name="C", routes=(Route(area="card", length_mm=700),))
        cables = (graphics_cable("g1", count=1),)
        extension = Extension(
            key="ext",
            name="Extension",
            kind="pcie6+2",
            length_mm=300,
            conductors=GRAPHICS,
            connections=(Connection(plug="out", socket=ref("card#1/a")),),
        )
        long = build(
            board(),
            card(200, "pcie8"),
            cables=cables,
            case=case,
            runs=(run("g1", "g1", a="ext#1/in"),),
            extensions=(extension,),
        )
        short = build(
            board(),
            card(200, "pcie8"),
            cables=cables,
            case=case,
            runs=(run("g1", "g1", a="card#1/a"),),
        )
        self.assertEqual(element(runs_of(long)[0], "reach").judged.verdict, "within")
        found = element(runs_of(short)[0], "reach").judged
        self.assertEqual((found.verdict, found.load, found.limit), ("over", 740, 600))


class Backplanes(unittest.TestCase):
    def _cage(self, disks: int, inputs: int, **more: Any) -> Build:
        each = disks // inputs
        cage = Backplane(
            key="cage",
            name="Cage",
            inputs=tuple(
                BackplaneInput(
                    key=f"in-{i + 1}",
                    kind="sata",
                    bays=tuple(f"bay-{i * each + n + 1}" for n in range(each)),
                )
                for i in range(inputs)
            ),
            connections=tuple(
                Connection(plug=f"bay-{n}", socket=ref(f"disk#{n}/power"))
                for n in range(1, disks + 1)
            ),
        )
        plugs = {f"p{i + 1}": f"cage#1/in-{i + 1}" for i in range(inputs)}
        return build(
            board(),
            disk(disks),
            cables=(sata_cable(),),
            runs=(run("sata", "d1", **plugs),),
            backplanes=(cage,),
            **more,
        )

    def test_the_spin_up_on_one_plug_decides(self) -> None:
        """Two disks behind one plug start with 4 A of 4.5; eight on two with 8 A a plug: over. One
        at a time: 2 + 3 × 0.5 = 3.5 A."""
        for disks, inputs, at_once, amps, verdict in (
            (2, 1, None, 4, "within"),
            (8, 2, None, 8, "over"),
            (8, 2, 1, 3.5, "within"),
        ):
            r = runs_of(self._cage(disks, inputs, spin_up_at_once=at_once))[0]
            found = element(r, "grant", "p1").judged
            self.assertAlmostEqual(found.loads[-2], amps)
            self.assertEqual(found.verdict, verdict)

    def test_every_drive_in_it_is_fed_and_each_bay_feeds_its_own(self) -> None:
        found = compact(analyse(self._cage(4, 2)))
        self.assertNotIn("disk", " ".join(m.subject for m in told(found) if m.kind == "unfed"))


class Halves(unittest.TestCase):
    def test_a_4_4_split_over_two_4_pin_sockets(self) -> None:
        """100 W over two sockets of two pins each: 4.17 A at each, all 8.33 A in one cable."""
        sockets = (
            Socket(key="main", kind="atx24"),
            Socket(key="cpu-1", kind="eps4"),
            Socket(key="cpu-2", kind="eps4", required=False),
        )
        connections = (
            Connection(plug="a", half="marked", socket=ref("board#1/cpu-1")),
            Connection(plug="a", half="loose", socket=ref("board#1/cpu-2")),
        )
        b = build(
            board(sockets=sockets),
            processor(90, 90),
            cables=(processor_cable(),),
            runs=(Run(cable="cpu", ports=("p1",), connections=connections),),
        )
        r = runs_of(b)[0]
        full = [e for e in r.elements if e.kind == "plug pins" and e.line == "v12"]
        for e in full:
            self.assertAlmostEqual(e.judged.load, 100 / 12 / 2 / 2)
        self.assertEqual(len(full), 2)
        self.assertAlmostEqual(element(r, "supply-end pins").judged.load, 100 / 12 / 4)

    def test_a_half_is_used_once_and_a_whole_plug_has_no_halves_left(self) -> None:
        for halves in (("whole", "marked"), ("marked", "marked")):
            sockets = tuple(Socket(key=f"cpu-{i}", kind="eps4") for i in (1, 2))
            connections = tuple(
                Connection(plug="a", half=h, socket=ref(f"board#1/cpu-{i}"))  # type: ignore[arg-type]
                for i, h in zip((1, 2), halves, strict=True)
            )
            with self.assertRaises(ValidationError):
                build(
                    board(sockets=sockets),
                    cables=(processor_cable(),),
                    runs=(Run(cable="cpu", ports=("p1",), connections=connections),),
                )


class Reach(unittest.TestCase):
    def _chain(self, **routes: float) -> tuple[RunResult, ...]:
        areas: dict[str, Area] = {"bays": "3.5-inch bays", "places": "2.5-inch places"}
        case = Case(
            name="C", routes=tuple(Route(area=areas[k], length_mm=v) for k, v in routes.items())
        )
        ssd = Drive(
            key="ssd",
            name="SSD",
            form="2.5",
            run_5v_a=exact(0.5),
            sockets=(Socket(key="power", kind="sata"),),
        )
        runs = (run("sata", "d1", p1="disk#1/power", p2="ssd#1/power"),)
        return runs_of(build(board(), disk(), ssd, cables=(sata_cable(),), runs=runs, case=case))

    def test_along_the_route_with_slack(self) -> None:
        """Plugs at 400 and 500 mm: 360 + 40 reaches, 361 does not."""
        self.assertEqual(self._chain(bays=360, places=440)[0].verdict, "within")
        over = self._chain(bays=361, places=440)[0]
        self.assertEqual((over.verdict, element(over, "reach").judged.limit), ("over", 400))

    def test_between_the_plugs_of_a_chain(self) -> None:
        """100 mm apart; the areas lie at least 360 − 250 = 110 mm apart."""
        r = self._chain(bays=250, places=360)[0]
        self.assertEqual(element(r, "reach", "p2 span").judged.verdict, "over")
        self.assertEqual(self._chain(bays=260, places=360)[0].verdict, "within")


class GroupSpikes(unittest.TestCase):
    def test_beyond_the_limit_it_may_trip_and_no_more(self) -> None:
        """300 W by the card's own sockets: 25 A; for 10 ms × 1.4 = 35 A, for 100 ms × 1.15."""
        for limit, verdict in ((36, "within"), (34, "tight")):
            s = supply(groups=(supply().groups[0].model_copy(update={"limit_a": limit}),))
            b = build(
                board(),
                card(350),
                cables=tuple(graphics_cable(k, count=1) for k in ("g1", "g2")),
                runs=(run("g1", "g1", a="card#1/a"), run("g2", "g2", a="card#1/b")),
                supply=s,
            )
            e = element(runs_of(b)[0], "group spike", "g 10")
            self.assertEqual((e.judged.verdict, round(e.judged.load, 2)), (verdict, 35))
            self.assertAlmostEqual(
                element(runs_of(b)[0], "group spike", "g 100").judged.load, 28.75
            )
