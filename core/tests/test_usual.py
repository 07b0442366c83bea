"""What nobody measures: each usual figure's two ends by hand, and that what is found out never
surprises."""

from __future__ import annotations

import unittest
from collections.abc import Iterator
from typing import Any

from easy_tally import Build, analyse, compact
from easy_tally.analysis import Analysis
from easy_tally.analysis.find_out import to_find_out
from easy_tally.editing import ChangeBuild, FindOut
from easy_tally.publishing.result import FindOutAnswer
from easy_tally.ratings.runs import RunResult
from easy_tally.standards import unmeasured as usual
from easy_tally.things.adapters import Adapter
from easy_tally.things.cables import Cable, Plug
from easy_tally.things.case import Case, Route
from easy_tally.things.parts import Card, Fan, Header
from easy_tally.things.supply import Port
from easy_tally.usual import facts_of, taken, with_found

from .helpers import (
    board,
    board_cable,
    build,
    card,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    run,
    run_of,
    sata_cable,
    sixteen_cable,
    supply,
)
from .machines import machine, seeds


def bare(cable: Cable) -> Cable:
    """The cable without gauge and distances."""
    plugs = tuple(p.model_copy(update={"at_mm": None}) for p in cable.plugs)
    return cable.model_copy(update={"gauge": None, "plugs": plugs})


def sixteen(power: float, **more: Any) -> Build:
    """A card on a 16-pin cable of which nobody says the gauge."""
    return build(
        card(power, sockets="16pin", slot_w=exact(10)),
        cables=(sixteen_cable(gauge=None, **more),),
        runs=(run("sixteen", "h1", a="card#1/a"),),
    )


def asked(b: Build, field: str) -> FindOutAnswer:
    return next(i for i in compact(analyse(b, 2026)).find_out if i.field == field)


def ends(b: Build, field: str, at: str = "") -> tuple[float, float]:
    """Usual and cautious figure of a fact."""
    band = next(f.band for f in facts_of(b) if (f.field, f.at) == (field, at))
    return band.likely, band.cautious


class Gauges(unittest.TestCase):
    def test_each_lead_by_its_plug(self) -> None:
        for cable, likely, cautious in (
            (board_cable(), 18, 20),
            (processor_cable(), 18, 20),
            (graphics_cable(), 18, 20),
            (sata_cable(), 18, 20),
            (sixteen_cable(), 16, 18),
        ):
            b = build(cables=(bare(cable),))
            self.assertEqual(ends(b, "gauge"), (likely, cautious), cable.name)

    def test_cables_fixed_to_a_small_or_an_old_supply(self) -> None:
        fixed = bare(sata_cable(needs=()))
        for own, likely in (
            (supply(rated_w=400), 20),
            (supply(rated_w=401), 18),
            (supply(rated_w=500, made=2010), 20),
            (supply(rated_w=500, made=2011), 18),
            (supply(rated_w=500, form="TFX"), 20),
        ):
            b = build(cables=(fixed,), supply=own)
            self.assertEqual(ends(b, "gauge"), (likely, likely + 2), own)

    def test_whatever_its_gauge_it_holds(self) -> None:
        """(300 − 10) W ÷ 12 V ÷ 6 pins × 1.1 = 4.43 A: within 80 % of 9.2 A, tight of 5.5 A × 0.8 =
        4.4 A, and holds: nothing is asked."""
        r = run_of(sixteen(300))
        pins = next(e for e in r.elements if e.kind == "plug pins" and e.line == "v12")
        self.assertAlmostEqual(pins.judged.load, 4.4306, 4)
        self.assertEqual((pins.judged.verdict, pins.judged.usual), ("within", "holds"))
        end = pins.judged.at_cautious
        self.assertEqual(end and (end.verdict, end.limit), ("tight", 5.5))
        asked_for = to_find_out(analyse(sixteen(300), 2026))
        self.assertEqual([i for i in asked_for if i.fact is not None], [])

    def test_only_the_cautious_end_breaks(self) -> None:
        """440 W ÷ 12 ÷ 6 × 1.1 = 6.72 A: of 9.2 A within, of 5.5 A over: tight, and what to find
        out, with what each print would mean."""
        b = sixteen(450)
        self.assertEqual(run_of(b).verdict, "tight")
        item = asked(b, "gauge")
        self.assertEqual(item.means, "16 AWG: within; 18 AWG: over")
        self.assertEqual((item.settles, item.subject), ("verdict", "sixteen"))
        self.assertIn("6.72 A of 5.50 A", item.text)
        for answer, verdict in zip(item.answers, ("within", "over"), strict=True):
            assert answer.edit is not None
            self.assertEqual(run_of(answer.edit.apply(b)).verdict, verdict)

    def test_what_is_over_as_usual_stays_over(self) -> None:
        """650 W ÷ 12 ÷ 6 × 1.1 = 9.9 A of 9.2 A."""
        self.assertEqual(run_of(sixteen(660)).verdict, "over")

    def test_one_item_for_all_cables(self) -> None:
        """Two cards, ten other cables without a gauge: one line, of the one that decides."""
        cables = [sixteen_cable(gauge=None, key=f"h{i}") for i in (1, 2)]
        others = [bare(graphics_cable(f"g{i}")) for i in range(10)]
        second = Port(key="h2", label="H2", kind="16pin", column=19)
        b = build(
            card(410, sockets="16pin", key="c1", slot_w=exact(10)),
            card(450, sockets="16pin", key="c2", slot_w=exact(10)),
            cables=(*cables, *others),
            runs=(run("h1", "h1", a="c1#1/a"), run("h2", "h2", a="c2#1/a")),
            supply=supply(ports=(*supply().ports, second)),
        )
        items = [i for i in compact(analyse(b, 2026)).find_out if i.field == "gauge"]
        self.assertEqual([(i.subject, i.alike) for i in items], [("h2", 12)])


class Distances(unittest.TestCase):
    def test_each_kind_of_lead(self) -> None:
        for cable, plug, likely, cautious in (
            (board_cable(), "main", 600, 500),
            (processor_cable(), "a", 650, 550),
            (graphics_cable("g", count=2), "a", 650, 550),
            (graphics_cable("g", count=2), "b", 800, 700),
            (sixteen_cable(), "a", 650, 550),
            (sata_cable(plugs=4), "p1", 450, 350),
            (sata_cable(plugs=4), "p4", 840, 740),
        ):
            b = build(cables=(bare(cable),))
            self.assertEqual(ends(b, "at_mm", plug), (likely, cautious), (cable.name, plug))

    def test_a_supply_for_small_cases_has_short_leads(self) -> None:
        b = build(cables=(bare(processor_cable()),), supply=supply(form="SFX"))
        self.assertEqual(ends(b, "at_mm", "a"), (450, 400))

    def test_a_plug_behind_one_that_is_measured_hangs_a_step_further(self) -> None:
        away = (300, None, 380)
        plugs = tuple(Plug(key=f"p{i}", kind="sata", at_mm=mm) for i, mm in enumerate(away))
        b = build(cables=(sata_cable().model_copy(update={"plugs": plugs}),))
        self.assertEqual(ends(b, "at_mm", "p1"), (380, 380))

    def _reach(self, way: float | None, **case: Any) -> RunResult:
        routes = () if way is None else (Route(area="processor", length_mm=way),)
        b = build(
            board(),
            processor(),
            cables=(bare(processor_cable()),),
            runs=(run("cpu", "p1", a="board#1/cpu-1"),),
            case=Case(name="Case", routes=routes, **case),
        )
        return run_of(b)

    def test_a_usual_lead_along_a_way_that_is_measured(self) -> None:
        """650 mm usual, 550 cautious, 40 of slack: 510 holds at both, 511 as usual alone, 611 at
        neither."""
        for way, verdict in ((510, "within"), (511, "tight"), (610, "tight"), (611, "over")):
            self.assertEqual(self._reach(way).verdict, verdict, way)

    def test_what_to_measure_and_from_where_on_it_reaches(self) -> None:
        b = build(
            board(),
            processor(),
            cables=(bare(processor_cable()),),
            runs=(run("cpu", "p1", a="board#1/cpu-1"),),
            case=Case(name="Case", routes=(Route(area="processor", length_mm=540),)),
        )
        item = asked(b, "at_mm")
        self.assertTrue(item.means.startswith("580 mm or more: within; less: over"), item.means)
        for mm, verdict in ((580, "within"), (579, "over")):
            found = FindOut(of="cable", keys=("cpu",), at="a", field="at_mm", value=mm).apply(b)
            self.assertEqual(run_of(found).verdict, verdict)

    def test_volts_are_lost_over_the_length_that_is_usual(self) -> None:
        """Cautious is a thin wire as long as usual, not a short one: 24 A in 4 wires of 20 AWG,
        650 mm out and back are 6 A × 36.7 mΩ × 0.65 × 2 = 286 mV, and 4 contacts 6 A × 5 mΩ × 4 =
        120 mV."""
        b = build(
            board(),
            processor(package=24 * 12 * 0.9, short=24 * 12 * 0.9),
            cables=(bare(processor_cable()),),
            runs=(run("cpu", "p1", a="board#1/cpu-1"),),
        )
        lost = next(e for e in run_of(b).elements if e.kind == "drop")
        assert lost.judged.at_cautious is not None
        self.assertAlmostEqual(lost.judged.at_cautious.load, 0.28626 + 0.12, 5)


class Routes(unittest.TestCase):
    def test_by_the_size_of_the_case(self) -> None:
        for size, likely, cautious in (
            ("small", 280, 360),
            ("mid", 430, 510),
            ("large", 540, 620),
            (None, 430, 620),
        ):
            b = build(case=Case(name="Case", size=size))  # type: ignore[arg-type]
            self.assertEqual(ends(b, "routes", "processor"), (likely, cautious))

    def test_the_size_is_one_thing_to_tap(self) -> None:
        b = build(
            board(),
            processor(),
            cables=(processor_cable(plugs=(Plug(key="a", kind="eps4+4", at_mm=600),)),),
            runs=(run("cpu", "p1", a="board#1/cpu-1"),),
            case=Case(name="Case"),
        )
        item = asked(b, "routes")
        self.assertEqual(item.title, "How large the case is")
        self.assertEqual([a.means for a in item.answers], ["may not fit", "within", "over"])
        edit = item.answers[1].edit
        assert isinstance(edit, ChangeBuild)
        self.assertEqual(run_of(edit.apply(b)).verdict, "within")

    def test_a_case_by_tape_measure_takes_no_electrical_verdict_away(self) -> None:
        """The same runs with and without a case read the same, but for reach."""
        for seed in seeds(10):
            b = machine(seed)
            cased = b.model_copy(update={"case": Case(name="Case", size="mid", slots=7)})
            for r, then in zip(analyse(b).runs, analyse(cased).runs, strict=True):
                own = [e for e in then.elements if e.kind != "reach"]
                self.assertEqual(list(r.elements), own)


class Others(unittest.TestCase):
    def test_headers(self) -> None:
        """A fan header 1 A at both ends; lights 3 A, cautiously 2 A."""
        kinds = (("fan", 1, 1), ("pump", 2, 1), ("lights-5v", 3, 2), ("lights-12v", 3, 2))
        for kind, likely, cautious in kinds:
            b = build(board(headers=(Header(key="h", kind=kind),)))  # type: ignore[arg-type]
            self.assertEqual(ends(b, "headers", "h"), (likely, cautious))

    def test_the_air_of_a_fan(self) -> None:
        for mm, likely, cautious in ((120, 85, 60), (140, 115, 80), (130, 85, 60), (30, 10, 6)):
            b = build(Fan(key="f", name="F", size_mm=mm), case=Case(name="Case"))
            self.assertEqual(ends(b, "flow_m3h"), (likely, cautious))

    def test_a_card_by_its_watts(self) -> None:
        sizes = ((75, 170, 2), (76, 230, 2), (250, 280, 3), (350, 320, 3), (351, 340, 4))
        for watts, mm, covers in sizes:
            b = build(card(watts), case=Case(name="Case"))
            self.assertEqual((ends(b, "length_mm")[0], ends(b, "covers")[0]), (mm, covers))
        self.assertEqual(facts_of(build(Card(key="c", name="C"))), ())

    def test_what_can_not_be_assumed_stays_unknown(self) -> None:
        """A sense code that nobody states, a rating that a label leaves out."""
        self.assertEqual(run_of(sixteen(300, sense=None)).verdict, "unknown")
        found = compact(analyse(build(board(), supply=supply(v12_a=None)), 2026))
        self.assertEqual(found.overall.verdict, "to mend")  # its sockets are unfed
        self.assertIn("supply.rail", [i.id for i in found.find_out])


class Overall(unittest.TestCase):
    def _whole(self, gauge: int | None, power: float = 450) -> Build:
        """All fed, in a case that is measured where it matters."""
        cables = (
            board_cable().model_copy(update={"gauge": 18}),
            processor_cable(),
            sixteen_cable(gauge=gauge),
        )
        runs = (
            run("board", "b1 b2", main="board#1/main"),
            run("cpu", "p1", a="board#1/cpu-1"),
            run("sixteen", "h1", a="card#1/a"),
        )
        of = card(power, sockets="16pin", slot_w=exact(10))
        return build(board(), processor(), of, cables=cables, runs=runs)

    def test_in_four_words(self) -> None:
        """Without a case the whole is never proven; all else is told by what is in use."""
        for gauge, power, could in ((None, 450, 1), (None, 250, 0), (16, 450, 0)):
            found = compact(analyse(self._whole(gauge, power), 2026))
            self.assertEqual(found.overall.could_break, could, (gauge, power))
            self.assertEqual(found.overall.verdict, "not proven")
            self.assertEqual(found.mend, ())

    def test_the_same_number_everywhere(self) -> None:
        found = compact(analyse(self._whole(None), 2026))
        self.assertEqual(found.strip.find_out, len(found.find_out))
        lane = next(x for x in found.lanes if x.cable == "sixteen")
        self.assertEqual((lane.verdict, lane.usual), ("tight", True))


def verdicts(a: Analysis) -> dict[tuple[object, ...], tuple[str, str]]:
    """Verdict and how it stands on usual figures, of each run and each limit through the board."""
    found: dict[tuple[object, ...], tuple[str, str]] = {}
    for r in a.runs:
        breaks = any(e.judged.usual == "breaks" for e in r.elements)
        found["run", r.wired.cable.key] = r.verdict, "breaks" if breaks else ""
    for b in a.board:
        found[b.kind, b.part, b.at, b.line] = b.judged.verdict, b.judged.usual
    return found


def inside(b: Build) -> Iterator[Build]:
    """The build with one fact after another found somewhere in its usual band."""
    for fact in facts_of(b):
        likely, cautious = fact.band
        several = {likely, cautious}
        if fact.field not in ("gauge", "covers", "slots", "bays_35", "bays_25"):
            several.add((likely + cautious) / 2)
        for value in several:
            yield with_found(b, {fact: value})


class NeverSurprises(unittest.TestCase):
    def test_what_is_found_inside_the_band_confirms_or_was_asked_for(self) -> None:
        """It turns nothing over that was not, but what read tight for it; and nothing that is
        wrong, or not known for another reason, into what is right."""
        seen = 0
        for seed in seeds(12):
            b = machine(seed)
            if seed % 2:
                b = b.model_copy(update={"case": Case(name="Case", size="mid")})
            before = verdicts(analyse(b))
            for then in inside(b):
                for of, (verdict, _) in verdicts(analyse(then)).items():
                    was, how = before[of]
                    if verdict == "over" and was != "over":
                        self.assertIn(was, ("tight", "unknown"), (seed, of))
                        self.assertEqual(how, "breaks", (seed, of))
                    if was == "over":
                        self.assertEqual(verdict, "over", (seed, of))
                    seen += 1
        self.assertGreater(seen, 1_000)

    def test_it_is_asked_where_it_breaks(self) -> None:
        """Whatever reads tight for a usual figure alone has its item."""
        seen = 0
        for seed in seeds(30):
            a = analyse(machine(seed), 2026)
            breaks = any(how == "breaks" for _, how in verdicts(a).values())
            items = [i for i in to_find_out(a) if i.fact is not None and i.settles == "verdict"]
            self.assertEqual(bool(items), breaks, seed)
            seen += breaks
        self.assertGreater(seen, 4)


class Taken(unittest.TestCase):
    def test_nothing_missing_is_left(self) -> None:
        for seed in seeds(20):
            self.assertEqual(facts_of(taken(machine(seed))), ())

    def test_a_build_that_says_all_is_itself(self) -> None:
        whole = taken(machine(3))
        self.assertIs(taken(whole), whole)

    def test_an_adapter_from_the_box(self) -> None:
        """Its wires 150 mm, cautiously 100, 18 AWG."""
        of = Adapter.model_validate(
            {
                "key": "a",
                "name": "A",
                "leads": [{"key": "a", "kind": "pcie8"}],
                "plugs": [{"key": "x", "kind": "16pin"}],
            }
        )
        b = build(adapters=(of,))
        self.assertEqual((ends(b, "at_mm", "x"), ends(b, "gauge")), ((150, 100), (18, 20)))

    def test_found_with_the_edit_is_found_with_the_figure(self) -> None:
        b = build(
            Card(key="card", name="Card", board_power_w=exact(200)),
            board(headers=(Header(key="h"),)),
            cables=(bare(sata_cable()),),
            case=Case(name="Case", size="mid"),
        )
        for fact in facts_of(b):
            keys = (fact.key,) if fact.key else ()
            edit = FindOut(
                of=fact.of,
                keys=keys,
                at=fact.at,
                field=fact.field,  # type: ignore[arg-type]
                value=fact.band.likely,
            )
            now = {(f.of, f.key, f.at, f.field) for f in facts_of(edit.apply(b))}
            self.assertNotIn((fact.of, fact.key, fact.at, fact.field), now)

    def test_bands_are_in_order_of_what_is_worse(self) -> None:
        for kind in usual.AWAY.values():
            self.assertGreaterEqual(kind.first.likely, kind.first.cautious)
        for size in usual.CASE_SIZES:
            for area in usual.ROUTES_MM[size]:
                band = usual.route(size, area)
                self.assertGreater(band.cautious, band.likely)
