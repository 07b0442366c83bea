"""Tables of runs swept over gauge, grade, rule, code and number of plugs; every figure by hand.

A card of 50 W by its slot and 120 W at each socket: 10 A a plug. One cable has 3 pins and 3
conductors of 12 V and 8 circuits at the supply.
"""

from __future__ import annotations

import unittest

from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, Plug, RailPins, SupplyEnd

from .helpers import (
    board,
    build,
    card,
    disk,
    element_of,
    graphics_cable,
    rules,
    run,
    run_of,
    sata_cable,
    sixteen_cable,
)
from .test_between import adapter, by_adapter, element, runs_of

#: Gauge → (A of a contact of standard grade, of high-current grade (None: nobody states it), both
#: of 7 to 10 circuits; A of a conductor in a bundle).
TABLE: dict[int, tuple[float, float | None, float]] = {
    14: (7, 10, 17),
    16: (7, 10, 13),
    18: (7, 9, 10),
    20: (5, None, 7.5),
    22: (4, None, 5),
}


def _graphics(n: int, gauge: int, grade: str, rule: str) -> Build:
    plugs = tuple(
        Plug(key="abc"[i], kind="pcie6+2", at_mm=600 + 50 * i, grade=grade) for i in range(n)
    )
    cable = graphics_cable(
        "g",
        plugs=plugs,
        gauge=gauge,
        supply_end=SupplyEnd(circuits=8, pins=RailPins(v12=3, ground=3), grade=grade),
    )
    one = card(50 + 120 * n, " ".join(["pcie8"] * n))
    fed = {"abc"[i]: f"card#1/{'abc'[i]}" for i in range(n)}
    return build(
        board(),
        one,
        cables=(cable,),
        runs=(run("g", "g1", **fed),),
        house_rules=rules(chained_graphics=rule),
    )


class GraphicsPlugs(unittest.TestCase):
    def test_pins_and_wires_by_gauge_and_grade(self) -> None:
        """n plugs: 10 n A on 3 pins and 3 conductors, 3.33 n A each; each plug 3.33 A a pin."""
        for gauge, (standard, high, wire) in TABLE.items():
            for grade, contact in (("standard", standard), ("high", high)):
                for n in (1, 2, 3):
                    with self.subTest(gauge=gauge, grade=grade, n=n):
                        r = run_of(_graphics(n, gauge, grade, "by pins"))
                        end = element_of(r, "supply-end pins").judged
                        self.assertAlmostEqual(end.load, 10 * n / 3)
                        self.assertEqual(end.limit, contact)
                        self.assertEqual(end.verdict, _verdict(10 * n / 3, contact))
                        first = element_of(r, "wire").judged
                        self.assertAlmostEqual(first.share or 0, 10 * n / 3 / wire)
                        self.assertEqual(first.verdict, _verdict(10 * n / 3, wire))
                        plug = element_of(r, "plug pins", at="a").judged
                        self.assertEqual(plug.verdict, _verdict(10 / 3, contact))

    def test_house_rules_by_number_of_plugs(self) -> None:
        """120 n W by one cable: never: n plugs of 1; by plug: of 150 W; as delivered and by pins:
        no limit by the rule."""
        shares = {"never": {2: 2.0, 3: 3.0}, "by plug": {2: 1.6, 3: 2.4}}
        for rule in ("never", "by plug", "as delivered", "by pins"):
            for n in (1, 2, 3):
                with self.subTest(rule=rule, n=n):
                    r = run_of(_graphics(n, 16, "high", rule))
                    found = [e for e in r.elements if e.kind == "house rule"]
                    share = shares.get(rule, {}).get(n)
                    self.assertEqual(
                        [round(e.judged.share or 0, 9) for e in found],
                        [] if share is None else [share],
                    )
                    self.assertTrue(all(e.refused for e in found))


def _verdict(amps: float, limit: float | None) -> str:
    if limit is None:
        return "unknown"
    return "over" if amps > limit else "tight" if amps > 0.8 * limit else "within"


class SixteenPin(unittest.TestCase):
    def test_every_code_on_both_versions(self) -> None:
        """400 W at the plug against what the code grants."""
        codes = {
            "both_grounded": (600, 600),
            "sense1_grounded": (450, 450),
            "sense0_grounded": (300, 300),
            "joined": (150, 150),
            "open": (150, 0),
        }
        for sense, of in codes.items():
            for version, watts in zip(("first", "revised"), of, strict=True):
                with self.subTest(sense=sense, version=version):
                    r = run_of(_native(450, sense=sense, version=version))
                    found = element_of(r, "grant").judged
                    self.assertAlmostEqual(found.load, 440)
                    self.assertEqual(found.limit, watts)
                    self.assertEqual(found.verdict, "over" if watts < 440 else "within")

    def test_pins_by_gauge(self) -> None:
        """440 W: 36.67 A over 6 pins, the worst with a tenth more: 6.72 A."""
        for gauge, limit in ((14, None), (16, 9.2), (18, 5.5), (20, None)):
            with self.subTest(gauge=gauge):
                found = element_of(run_of(_native(450, gauge=gauge)), "plug pins").judged
                self.assertAlmostEqual(found.load, 440 / 12 / 6 * 1.1)
                self.assertEqual(found.limit, limit)
                self.assertEqual(found.verdict, _verdict(440 / 12 / 6 * 1.1, limit))

    def test_two_ports(self) -> None:
        """440 W on two ports of 3 pins: 6.11 A a pin of 7, the supply end's 6 pins alike."""
        cable = sixteen_cable(
            needs=("graphics", "graphics"),
            supply_end=SupplyEnd(circuits=8, pins=RailPins(v12=6, ground=6)),
        )
        one = card(450, "16pin", slot_w=_SLOT)
        b = build(board(), one, cables=(cable,), runs=(run("sixteen", "g1 g2", a="card#1/a"),))
        r = run_of(b)
        self.assertAlmostEqual(element_of(r, "supply-end pins").judged.load, 440 / 12 / 6)
        for port in ("g1", "g2"):
            found = element_of(r, "port pins", at=port).judged
            self.assertAlmostEqual(found.load, 440 / 12 / 6)
            self.assertEqual((found.limit, found.verdict), (7, "tight"))

    def test_by_adapters_of_two_three_and_four_leads(self) -> None:
        """The smaller of the code and 150 W a lead: 300, 450, 600 W for 440 W at the plug."""
        for leads, watts, verdict in ((2, 300, "over"), (3, 450, "within"), (4, 600, "within")):
            with self.subTest(leads=leads):
                b = _by_leads(leads)
                for r in runs_of(b):
                    found = element(r, "grant", "adapter/x").judged
                    self.assertEqual((found.limit, found.verdict), (watts, verdict))
                    self.assertAlmostEqual(found.load, 440)
                    self.assertAlmostEqual(element(r, "grant", "a").judged.load, 440 / leads)


def _native(power: float, version: str = "revised", gauge: int = 16, **more: str) -> Build:
    cable: Cable = sixteen_cable(gauge=gauge, **more)
    one = card(power, "16pin", slot_w=None)
    sockets = tuple(s.model_copy(update={"version": version}) for s in one.sockets)
    return build(
        board(),
        one.model_copy(update={"sockets": sockets, "slot_w": _SLOT}),
        cables=(cable,),
        runs=(run("sixteen", "h1", a="card#1/a"),),
    )


def _by_leads(leads: int) -> Build:
    b = by_adapter(450, leads, min(leads, 3), adapter(leads))
    one = b.parts[1].model_copy(update={"slot_w": _SLOT})
    cables, runs = b.cables, b.runs
    if leads == 4:
        more = graphics_cable("g4", count=1, needs=("processor",))
        cables, runs = (*cables, more), (*runs, run("g4", "p1", a="adapter#1/d"))
    return Build(
        name="T",
        supply=b.supply,
        parts=(b.parts[0], one),
        cables=cables,
        runs=runs,
        adapters=b.adapters,
    )


class EightDrives(unittest.TestCase):
    """0.5 A running and 2 A at spin-up at 12 V, one pin and conductor a cable, 18 AWG: a contact of
    6 circuits 8 A, for the seconds of a start 12 A."""

    def test_on_one_chain_on_two_and_staggered(self) -> None:
        for chains, at_once, amps, verdict in (
            (1, None, 16, "over"),
            (2, None, 8, "within"),
            (1, 4, 4 * 2 + 4 * 0.5, "tight"),
            (1, 2, 2 * 2 + 6 * 0.5, "within"),
            (1, 1, 2 + 7 * 0.5, "within"),
        ):
            with self.subTest(chains=chains, at_once=at_once):
                each = 8 // chains
                runs = tuple(
                    run(
                        f"s{c}",
                        f"d{c + 1}",
                        **{f"p{i + 1}": f"disk#{c * each + i + 1}/power" for i in range(each)},
                    )
                    for c in range(chains)
                )
                cables = tuple(sata_cable(f"s{c}", plugs=8) for c in range(chains))
                b = build(board(), disk(8), cables=cables, runs=runs, spin_up_at_once=at_once)
                found = element_of(run_of(b), "supply-end pins").judged
                self.assertAlmostEqual(found.loads[-2], amps)
                self.assertEqual(found.verdict, verdict)


_SLOT = card().slot_w.model_copy(update={"low": 10, "likely": 10, "high": 10})  # type: ignore[union-attr]
