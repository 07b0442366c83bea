"""Readings held against the tally: figures worked out by hand, faults found, nothing fine that was
not measured; simulated machines agree with the checker."""

from __future__ import annotations

import unittest
from dataclasses import replace
from functools import lru_cache
from pathlib import Path

import numpy as np
from easy_tally.analysis import Analysis, analyse
from easy_tally.editing import ChangeCable, ChangePart, TakeMap
from easy_tally.files import build_file
from easy_tally.readings import (
    Against,
    Channel,
    Named,
    Readings,
    Typed,
    channels_of,
    drawn,
    hold,
    of_typed,
    parse,
    say,
    settle,
)
from easy_tally.simulate import (
    FAULT_KINDS,
    Contacts,
    Fault,
    Running,
    Scene,
    heating_w,
    lagged,
    places,
    plant,
    rise_k_per_w,
    shares,
    together_mohm,
)
from easy_tally.things.parts import Drive
from hypothesis import given, settings
from hypothesis import strategies as st

from .helpers import map_said

DEMO = Path(__file__).resolve().parents[2] / "demo/builds"
STATES = ("idle", "everyday", "full")


@lru_cache(maxsize=8)
def mapped(name: str) -> Analysis:
    """A demo build with its best map, or as it is where there is none."""
    build = build_file.read((DEMO / f"{name}.tally.json").read_text(encoding="utf-8"))
    answer = map_said(build)
    if answer.status == "mapped" and answer.edit is not None:
        build = TakeMap.model_validate(answer.edit).apply(build)
    return analyse(build, 2026)


def _typed(*rows: tuple[str, str, float]) -> Readings:
    return of_typed(
        tuple(Typed(channel=parse(c), state=s, value=v) for s, c, v in rows)  # type: ignore[arg-type]
    )


def _ids(a: Analysis, r: Readings) -> set[tuple[str, str]]:
    return {(f.id, str(f.channel)) for f in hold(a, r).found if f.severity != "note"}


class Channels(unittest.TestCase):
    def test_a_channel_is_its_text(self) -> None:
        for text in ("wall.w", "dc.v12.a", "card-1#1/power.pin3.a", "card-1#1.w", "supply.rpm"):
            self.assertEqual(str(parse(text)), text)
        for bad in ("", "wall", "wall.x", "card/power.v12.v", "wall.w.w", "a#1/b.pin333.a"):
            with self.assertRaisesRegex(Exception, "a channel such as wall.w"):
                parse(bad)

    def test_every_channel_of_a_build_has_words_and_is_its_text(self) -> None:
        for c in channels_of(mapped("heron")):
            self.assertEqual(parse(str(c)), c)


class Physics(unittest.TestCase):
    def test_pins_share_by_conductance(self) -> None:
        """5, 5 and 10 mΩ: 0.2, 0.2 and 0.1 of 0.5 mΩ⁻¹; together 2 mΩ."""
        of = Contacts(contact_mohm=(5, 5, 10), wire_mohm=(0, 0, 0), new_mohm=5, rated_a=7)
        self.assertTrue(np.allclose(shares(of), [0.4, 0.4, 0.2]))
        self.assertAlmostEqual(together_mohm(of), 2.0)

    def test_an_open_pin_carries_nothing_and_the_others_its_part(self) -> None:
        of = Contacts(contact_mohm=(5, float("inf"), 5), wire_mohm=(3, 3, 3), new_mohm=5, rated_a=7)
        self.assertTrue(np.allclose(shares(of), [0.5, 0, 0.5]))
        self.assertTrue(np.isfinite(heating_w(of, np.array([10.0]))).all())

    def test_a_new_contact_at_its_rating_rises_by_thirty_kelvins(self) -> None:
        """7 A through 5 mΩ: 0.245 W; three pins with 21 A."""
        of = Contacts(contact_mohm=(5, 5, 5), wire_mohm=(9, 9, 9), new_mohm=5, rated_a=7)
        heat = heating_w(of, np.array([21.0]))
        self.assertAlmostEqual(float(heat[0, 0]), 0.245)
        self.assertAlmostEqual(float(heat[0, 0]) * rise_k_per_w(of), 30.0)

    def test_the_lag_is_the_closed_form(self) -> None:
        """1 − e^(−t ÷ τ) after a step, across the blocks that it is worked out in."""
        t = np.arange(2000) * 0.1
        got = lagged(np.ones(2000), 0.1, 40.0, first=0.0)
        self.assertTrue(np.allclose(got, 1 - np.exp(-(t + 0.1) / 40.0)))

    @given(st.lists(st.floats(0.5, 500), min_size=2, max_size=6), st.floats(0.1, 60))
    def test_shares_add_up_and_a_worse_contact_carries_less(
        self, mohm: list[float], amps: float
    ) -> None:
        of = Contacts(contact_mohm=tuple(mohm), wire_mohm=(1.0,) * len(mohm), new_mohm=5, rated_a=7)
        found = shares(of) * amps
        self.assertAlmostEqual(float(found.sum()), amps)
        worse = replace(of, contact_mohm=(mohm[0] * 3, *mohm[1:]))
        self.assertLess(shares(worse)[0], shares(of)[0])


class Simulated(unittest.TestCase):
    """A machine's steady state is what the checker says of it, to one percent."""

    def test_amps_and_drops_agree_with_the_checker(self) -> None:
        for name in ("heron", "dunlin", "cormorant"):
            a = mapped(name)
            held = hold(
                a, Running(a, Scene(spread=0.0)).readings(c for c in channels_of(a) if c.at != "dc")
            )
            drops = {
                (r.wired.cable.key, str(e.at)): e
                for r in a.runs
                for e in r.elements
                if e.kind == "drop" and e.line == "v12"
            }
            run = Running(a, Scene(spread=0.0))
            full = slice(-run.counts[-1], None)
            against = Against(a)
            checked = 0
            for ref, feed in run.feeds.items():
                want = against.at_input(ref, "v12", "full")
                if want is None or want.likely == 0:
                    continue
                for n in range(1, feed.pins["v12"] + 1):
                    stats = held.stats.get(("full", Channel(ref, f"pin{n}", "a")))
                    if stats is not None:
                        each = want.likely / feed.pins["v12"]
                        self.assertAlmostEqual(stats.mean / each, 1.0, delta=0.01)
                        checked += 1
                volts = run.value(Channel(ref, "v12", "v"))
                drop = drops.get((feed.cable.key, feed.plug.key))
                # With the processor at its sustained limit; the checker has it at its short one.
                short = feed.mated in ("eps8", "eps4")
                if volts is not None and drop is not None and not short:
                    lost = float((run.volts - volts)[full].mean())
                    self.assertAlmostEqual(lost / drop.judged.loads[7], 1.0, delta=0.01)
                    checked += 1
            self.assertGreater(checked, 4, name)

    def test_the_whole_is_the_tally(self) -> None:
        for name in ("heron", "cormorant"):
            a = mapped(name)
            held = hold(a, Running(a, Scene()).readings([Channel("dc", "", "w")]))
            for state in STATES:
                want = a.tally.total.at(state).likely  # type: ignore[arg-type]
                got = held.stats[state, Channel("dc", "", "w")].mean  # type: ignore[index]
                self.assertAlmostEqual(got / want, 1.0, delta=0.01, msg=f"{name} {state}")

    def test_the_same_seed_whatever_is_asked_for(self) -> None:
        a, c = mapped("heron"), Channel("card-1#1/power", "pin2", "a")
        one = Running(a, Scene(seed=5)).readings([c])
        other = Running(a, Scene(seed=5)).readings([Channel("wall", "", "w"), c])
        self.assertTrue((one.columns[c] == other.columns[c]).all())
        third = Running(a, Scene(seed=6)).readings([c])
        self.assertFalse((one.columns[c] == third.columns[c]).all())

    def test_a_sound_machine_that_is_measured_whole_reads_within(self) -> None:
        for name in ("heron", "dunlin", "cormorant", "godwit"):
            a = mapped(name)
            r = Running(a, Scene()).readings(channels_of(a))
            for readings in (r, r.calling(())):  # states named, and recognised by their level
                held = hold(a, readings)
                self.assertEqual(held.verdict, "within", name)
                self.assertEqual([n.state for n in held.named], list(STATES))

    def test_every_kind_of_fault_is_found_at_its_joint(self) -> None:
        found: set[str] = set()
        for name in ("heron", "cormorant", "curlew"):
            a = mapped(name)
            for kind in FAULT_KINDS:
                for at in places(a, kind)[::2]:
                    of = plant(a, Fault(kind=kind, at=at), Scene(rate_hz=4))
                    held = hold(a, of.running.readings(channels_of(a)))
                    worst = [f for f in held.found if f.severity in ("over", "tight")]
                    self.assertIn(worst[0].channel.at, of.joints, f"{name} {kind} {at}")
                    self.assertNotEqual(held.verdict, "within")
                    found.add(kind)
        self.assertEqual(found, set(FAULT_KINDS))


class AgainstLimits(unittest.TestCase):
    """*Heron*'s 16-pin plug: contacts of 9.2 A, at 40 °C derated by nothing."""

    def setUp(self) -> None:
        self.a = mapped("heron")

    def _pins(self, *amps: float) -> Readings:
        return _typed(*(("full", f"card-1#1/power.pin{n}.a", x) for n, x in enumerate(amps, 1)))

    def test_a_pin_over_its_rating(self) -> None:
        limit = Against(self.a).limit(Channel("card-1#1/power", "pin1", "a"))
        assert limit is not None
        assert limit.most is not None
        self.assertAlmostEqual(limit.most, 9.2)
        at = ("pin over", "card-1#1/power.pin1.a")
        self.assertNotIn(at, _ids(self.a, self._pins(9.2, 8.5, 8.5, 8.5, 8.5, 8.5)))
        self.assertIn(at, _ids(self.a, self._pins(9.21, 8.5, 8.5, 8.5, 8.5, 8.5)))
        tight = ("pin tight", "card-1#1/power.pin1.a")
        self.assertNotIn(tight, _ids(self.a, self._pins(7.36, 7, 7, 7, 7, 7)))
        self.assertIn(tight, _ids(self.a, self._pins(7.37, 7, 7, 7, 7, 7)))

    def test_imbalance_is_worst_over_mean(self) -> None:
        """6.0 of a mean of 5.0 is 1.2: above 1.10 and the meter's two percent."""
        r = self._pins(6.0, 4.8, 4.8, 4.8, 4.8, 4.8)
        found = next(f for f in hold(self.a, r).found if f.id == "uneven")
        self.assertAlmostEqual(found.numbers["share"], 1.2)
        self.assertEqual(found.channel.pin, 1)
        self.assertIn("pin 1 carries 6.00 A of a mean of 5.00 A", say(self.a.wired, found)[0])
        even = self._pins(5.5, 4.9, 4.9, 4.9, 4.9, 4.9)  # 1.10 just: usual
        self.assertFalse([f for f in hold(self.a, even).found if f.id == "uneven"])
        worst = self._pins(7.6, 4.48, 4.48, 4.48, 4.48, 4.48)  # 1.52
        self.assertIn(("uneven stop", "card-1#1/power.pin1.a"), _ids(self.a, worst))

    def test_a_pin_with_next_to_nothing(self) -> None:
        ids = _ids(self.a, self._pins(0.2, 5, 5, 5, 5, 5))
        self.assertIn(("pin away", "card-1#1/power.pin1.a"), ids)

    def test_volts_by_design(self) -> None:
        """A 3.1 supply may fall to 11.2 V, a classic one to 11.4 V."""
        at = ("volts low", "card-1#1/power.v12.v")
        for design, volts, low in (
            ("3.1", 11.2, False),
            ("3.1", 11.19, True),
            ("classic", 11.4, False),
            ("classic", 11.39, True),
        ):
            build = self.a.build
            assert build.supply is not None
            supply = build.supply.model_copy(update={"design": design})
            a = analyse(build.model_copy(update={"supply": supply}), 2026)
            ids = _ids(a, _typed(("full", "card-1#1/power.v12.v", volts)))
            self.assertEqual(at in ids, low, f"{design} {volts}")

    def test_heat_against_insulation(self) -> None:
        """Its cable is printed 105 °C: tight above 90, over above 105."""
        for degc, said in (
            (90.0, None),
            (90.1, "hot tight"),
            (105.0, "hot tight"),
            (105.1, "hot over"),
        ):
            found = {i for i, _ in _ids(self.a, _typed(("full", "card-1#1/power.degc", degc)))}
            self.assertEqual(found & {"hot tight", "hot over"}, {said} if said else set())

    def test_more_out_than_in_can_not_be(self) -> None:
        r = _typed(("full", "wall.w", 700), ("full", "dc.w", 815))
        self.assertIn(("more out than in", "wall.w"), _ids(self.a, r))

    def test_efficiency_against_the_curve(self) -> None:
        """815 W of 1000 W: gold at 230 V gives 0.92 − 0.03 × 0.315 ÷ 0.5 = 90.1 %."""
        held = hold(self.a, _typed(("full", "wall.w", 905), ("full", "dc.w", 815)))
        found = next(f for f in held.found if f.id == "efficiency")
        self.assertAlmostEqual(found.numbers["limit"], 0.9011, places=3)
        self.assertIn(
            ("below curve", "wall.w"),
            _ids(self.a, _typed(("full", "wall.w", 960), ("full", "dc.w", 815))),
        )

    def test_against_the_bounds_of_the_tally(self) -> None:
        band = Against(self.a).expected(Channel("dc", "", "w"), "full")
        assert band is not None
        for value, said in (
            (band.high * 1.02 + 0.9, None),
            (band.high * 1.02 + 1.1, "above tally"),
            (band.low * 0.98 - 0.9, None),
            (band.low * 0.98 - 1.1, "below tally"),
        ):
            ids = {i for i, c in _ids(self.a, _typed(("full", "dc.w", value))) if c == "dc.w"}
            self.assertEqual(ids & {"above tally", "below tally"}, {said} if said else set())

    def test_a_code_that_holds_the_card_back(self) -> None:
        """151 W through six pins where the tally has 310 W: as coded for 150 W."""
        found = hold(self.a, self._pins(*[151 / 12 / 6] * 6)).found
        coded = next(f for f in found if f.id == "as coded")
        self.assertEqual(coded.numbers["limit"], 150)


class WhatIsMissing(unittest.TestCase):
    def test_nothing_measured_is_unknown(self) -> None:
        a = mapped("heron")
        empty = Readings(times=np.empty(0), columns={})
        self.assertEqual(hold(a, empty).verdict, "unknown")

    def test_each_state_and_each_plug_that_lacks_something_is_named(self) -> None:
        a = mapped("dunlin")
        whole = Running(a, Scene()).readings(channels_of(a))
        self.assertEqual(hold(a, whole).verdict, "within")
        for n in range(3):
            named = tuple(x for i, x in enumerate(whole.named) if i != n)
            held = hold(a, whole.calling(named))
            self.assertEqual(held.verdict, "unknown")
            missing = [f.state for f in held.found if f.id == "state missing"]
            self.assertEqual(missing, [STATES[n]])

    def test_what_there_is_nothing_to_hold_against_is_never_within(self) -> None:
        a = mapped("dunlin")
        whole = Running(a, Scene()).readings(channels_of(a))
        cpu = next(p.key for p in a.build.parts if p.kind == "processor")
        cable = next(f.cable.key for f in a.wired.feeds.values() if f.mated == "pcie8")
        bare = a.build.model_copy(update={"runs": ()})
        of = a.build.cable(cable)
        assert of is not None  # contacts of the high grade on 20 AWG: nobody has their figure
        high = [p.model_dump() | {"grade": "high"} for p in of.plugs]
        unheard_of = {"gauge": 20, "plugs": high}
        for build, said in (
            (ChangePart(part=cpu, changes={"package_w": None}).apply(a.build), "no band"),
            (ChangeCable(cable=cable, changes=unheard_of).apply(a.build), "no limit"),
            (bare, "no map"),
        ):
            b = analyse(build, 2026)
            held = hold(b, whole)
            found = next(f for f in held.found if f.id == said)
            self.assertEqual((held.verdict, found.severity), ("unknown", "unknown"), said)
            self.assertTrue(all(say(b.wired, found)))

    def test_a_part_that_draws_and_has_no_way_in_is_never_within(self) -> None:
        """A drive whose socket is optional and that nothing feeds: in the whole, at no plug."""
        a = mapped("dunlin")
        socket = {"key": "power", "kind": "sata", "required": False}
        two = [socket, socket | {"key": "other"}]
        drive = Drive.model_validate(
            {
                "key": "odd",
                "name": "Odd drive",
                "sockets": two,
                "run_12v_a": {"low": 0.001, "likely": 0.001, "high": 0.001},
            }
        )
        b = analyse(a.build.model_copy(update={"parts": (*a.build.parts, drive)}), 2026)
        self.assertTrue(b.carried.adrift)
        held = hold(b, Running(b, Scene()).readings(channels_of(b)))
        found = next(f for f in held.found if f.id == "no map")
        self.assertEqual((held.verdict, found.among), ("unknown", ("Odd drive",)))

    def test_a_plug_is_to_be_measured_in_each_state(self) -> None:
        a, c = mapped("dunlin"), Channel("card#1/a", "", "degc")
        whole = Running(a, Scene()).readings(channels_of(a))
        cool = whole.columns[c].copy()
        cool[whole.rows(90, 1e9)] = np.nan  # not at full
        less = replace(whole, columns={**whole.columns, c: cool})
        found = [f for f in hold(a, less).found if f.id == "plug missing"]
        self.assertEqual([(f.channel.at, f.among) for f in found], [(c.at, ("temperature",))])

    @settings(max_examples=40, deadline=None)
    @given(st.data())
    def test_fewer_channels_never_read_better(self, data: st.DataObject) -> None:
        a = mapped("dunlin")
        rank = ["within", "tight", "unknown", "over"]
        whole = _sound()
        keep = data.draw(st.lists(st.sampled_from(sorted(whole.columns)), max_size=12, unique=True))
        less = replace(whole, columns={c: whole.columns[c] for c in keep})
        held = hold(a, less) if keep else hold(a, replace(less, times=np.empty(0)))
        self.assertGreaterEqual(rank.index(held.verdict), rank.index(hold(a, whole).verdict))


@lru_cache(maxsize=1)
def _sound() -> Readings:
    a = mapped("dunlin")
    states = (("idle", 12.0), ("everyday", 12.0), ("full", 30.0))
    return Running(a, Scene(states=states)).readings(channels_of(a))  # type: ignore[arg-type]


class Drawing(unittest.TestCase):
    @given(st.integers(1, 5000), st.integers(1, 400), st.integers(0, 10**6))
    def test_no_peak_is_lost(self, n: int, buckets: int, seed: int) -> None:
        column = np.random.default_rng(seed).normal(size=n)
        c = Channel("wall", "", "w")
        r = Readings(times=np.arange(n, dtype=float), columns={c: column})
        found = drawn(r, c, -1, n, buckets)
        self.assertLessEqual(len(found.times), buckets)
        self.assertEqual(max(x for x in found.high if x is not None), column.max())
        self.assertEqual(min(x for x in found.low if x is not None), column.min())

    def test_a_gap_stays_one(self) -> None:
        c = Channel("wall", "", "w")
        column = np.array([1.0, np.nan, np.nan, 4.0])
        r = Readings(times=np.arange(4.0), columns={c: column})
        self.assertEqual(drawn(r, c, 0, 3, 2).high, (1.0, 4.0))
        self.assertEqual(drawn(r, c, 1, 2, 5).high, (None, None))
        self.assertEqual(drawn(r, c, 9, 10, 5).times, ())


class Settling(unittest.TestCase):
    def test_what_warms_up_is_judged_once_it_has(self) -> None:
        a, c = mapped("heron"), Channel("card-1#1/power", "", "degc")
        t = np.arange(3000) * 0.1
        warm = 40 + 40 * (1 - np.exp(-t / 20))
        named = (Named(from_s=0, to_s=300, state="full"),)
        stats = hold(a, Readings(times=t, columns={c: warm}, named=named)).stats["full", c]
        self.assertAlmostEqual(stats.mean, 80, delta=1.0)
        self.assertGreater(stats.settle_s, 40)

    def test_percentiles_and_worst(self) -> None:
        a, c = mapped("heron"), Channel("dc", "", "w")
        values = np.random.default_rng(3).permutation(np.arange(1000) % 100 + 1.0)
        r = Readings(
            times=np.arange(1000.0),
            columns={c: values},
            named=(Named(from_s=0, to_s=999, state="full"),),
        )
        stats = hold(a, r).stats["full", c]
        self.assertEqual(stats.worst, 100.0)
        self.assertAlmostEqual(stats.mean, 50.5, delta=2)
        self.assertAlmostEqual(stats.high, 95, delta=1)
        self.assertAlmostEqual(stats.top, 100, delta=0.5)


class Calibrating(unittest.TestCase):
    def test_measured_figures_replace_assumed_ones_and_bounds_narrow(self) -> None:
        a = mapped("heron")
        held = hold(a, Running(a, Scene()).readings(channels_of(a)))
        found = {(x.of, x.field): x for x in settle(a, held, "26 Nov 2026")}
        idle = found["card-2", "idle_w"]
        self.assertIsNone(idle.now)
        self.assertEqual(idle.then.origin, "measured")
        self.assertIn("card, 26 Nov 2026. Before: assumed", idle.then.note)
        package = found["processor", "package_w"]
        assert package.now is not None
        self.assertIn(f"Before: {package.now.likely:g} W", package.then.note)
        self.assertAlmostEqual(package.then.likely / package.now.likely, 1.0, delta=0.02)
        then = analyse(idle.edit.apply(a.build), 2026)
        before, after = a.tally.total.at("idle"), then.tally.total.at("idle")
        self.assertLess(after.high - after.low, before.high - before.low)

    def test_the_supplys_own_curve(self) -> None:
        a = mapped("heron")
        r = _typed(
            ("idle", "wall.w", 120),
            ("idle", "dc.w", 100),
            ("full", "wall.w", 900),
            ("full", "dc.w", 810),
        )
        curve = next(x for x in settle(a, hold(a, r), "today") if x.field == "efficiency")
        supply = curve.edit.apply(a.build).supply
        assert supply is not None
        self.assertEqual(
            [(p.share, p.value) for p in supply.efficiency], [(0.1, 0.8333), (0.81, 0.9)]
        )
        self.assertIn("Before: grade gold", supply.note)
