"""Readings in words: the number, what it may mean, what to look at."""

from __future__ import annotations

import unittest
import xml.etree.ElementTree as ElementTree

from easy_tally.analysis import analyse
from easy_tally.files import readings_svg
from easy_tally.readings import channels_of, hold, say
from easy_tally.simulate import Running, Scene

from .test_readings import _typed, mapped

_SEAT = (
    "Switch off, unplug, push the plug home until it clicks, see that there is no gap, and measure "
    "again."
)
_STOP = "Switch off at the wall and stop. Look at plug and socket; browned or loose: replace both."


class Sentences(unittest.TestCase):
    """At *Heron*'s 16-pin plug and its whole."""

    def setUp(self) -> None:
        self.a = mapped("heron")

    def _said(self, id: str, *rows: tuple[str, str, float]) -> tuple[str, str]:
        found = hold(self.a, _typed(*rows)).found
        return say(self.a.wired, next(f for f in found if f.id == id))

    def _pins(self, *amps: float) -> list[tuple[str, str, float]]:
        return [("full", f"card-1#1/power.pin{n}.a", x) for n, x in enumerate(amps, 1)]

    def test_pins_over_and_near_their_rating(self) -> None:
        amps = self._pins(9.3, 8.5, 8.5, 8.5, 8.5, 8.5)
        self.assertEqual(
            self._said("pin over", *amps),
            ("Kittiwake L, pin 1 carries 9.30 A of 9.20 A at full load.", _STOP),
        )
        self.assertEqual(
            self._said("pin tight", *amps),
            (
                "Kittiwake L, pin 2 carries 8.50 A of 9.20 A at full load: little is left.",
                "Spread the load over more cables, or lower the power limit.",
            ),
        )

    def test_pins_that_share_badly(self) -> None:
        """6.0 of a mean of 5.0 is 1.20; 7.6 of 5.0 is 1.52."""
        text, look = self._said("uneven", *self._pins(6.0, 4.8, 4.8, 4.8, 4.8, 4.8))
        self.assertEqual(
            text,
            "Kittiwake L: pin 1 carries 6.00 A of a mean of 5.00 A a pin at full load, 1.20 "
            "times as much; up to 1.10 is usual.",
        )
        self.assertEqual(look, f"A contact does not touch as the others do. {_SEAT}")
        text, look = self._said("uneven stop", *self._pins(7.6, 4.48, 4.48, 4.48, 4.48, 4.48))
        self.assertIn("1.52 times as much", text)
        self.assertEqual(look, f"The plug is not home, or contacts are spent. {_STOP}")

    def test_pins_that_carry_little(self) -> None:
        """0.2 beside five of 5 A: a mean of 4.20; 3.5 beside them: 4.75."""
        text, look = self._said("pin away", *self._pins(0.2, 5, 5, 5, 5, 5))
        self.assertEqual(
            text,
            "Kittiwake L: pin 1 carries 0.20 A at full load where its plug’s mean is 4.20 A; "
            "the others carry its part, pin 2 5.00 A.",
        )
        self.assertTrue(look.endswith(_STOP))
        text, look = self._said("pin low", *self._pins(3.5, 5, 5, 5, 5, 5))
        self.assertEqual(
            text,
            "Kittiwake L: pin 1 carries 3.50 A at full load where its plug’s mean is 4.75 A; "
            "the others carry the more.",
        )
        self.assertTrue(look.endswith(_SEAT))

    def test_volts(self) -> None:
        """A 3.1 supply may fall to 11.2 V and rise to 12.6."""
        self.assertEqual(
            self._said("volts low", ("full", "card-1#1/power.v12.v", 11.1)),
            (
                "Kittiwake L, 12 V: 11.10 V at full load, below 11.20 V.",
                "A long thin cable, a chained plug, a bad contact, or a supply that gives in. "
                "Measure at the supply’s end too.",
            ),
        )
        self.assertEqual(
            self._said("volts high over", ("full", "card-1#1/power.v12.v", 12.9)),
            (
                "Kittiwake L, 12 V: 12.90 V at full load, above 12.60 V.",
                "Stop using this supply until it was looked at.",
            ),
        )
        text, _ = self._said(
            "volts lost", ("full", "dc.v12.v", 11.9), ("full", "card-1#1/power.v12.v", 11.3)
        )
        self.assertTrue(text.startswith("Kittiwake L, 12 V: 0.60 V are lost on the way at full"))

    def test_heat(self) -> None:
        for id, degc, text, look in (
            (
                "hot tight",
                95,
                "Kittiwake L is at 95 °C at full load, and stands 105 °C.",
                f"Hotter than good contacts grow. {_SEAT}",
            ),
            ("hot over", 106, "Kittiwake L is at 106 °C at full load; it stands 105 °C.", _STOP),
        ):
            self.assertEqual(self._said(id, ("full", "card-1#1/power.degc", degc)), (text, look))

    def test_the_whole_against_tally_and_label(self) -> None:
        self.assertEqual(
            self._said("supply over", ("full", "dc.w", 1100))[0],
            "Supply’s output: 1,100 W at full load, of 1,000 W on its label.",
        )
        for id, watts, words in (
            ("above tally", 1100, "above the tally’s 794 W to 854 W."),
            ("below tally", 300, "below the tally’s 794 W to 854 W."),
            ("as tallied", 800, "within the tally’s 794 W to 854 W."),
        ):
            text = self._said(id, ("full", "dc.w", watts))[0]
            self.assertEqual(text, f"Supply’s output: {watts:,} W at full load, {words}")

    def test_wall_and_output(self) -> None:
        """815 ÷ 905 is 90.06 %, ÷ 960 is 84.90; gold gives 90.11 there. Never rounded up."""
        out = ("full", "dc.w", 815)
        self.assertEqual(
            self._said("more out than in", ("full", "wall.w", 700), out),
            (
                "815 W leave the supply at full load where only 700 W come from the wall.",
                "One of the two meters is wrong, or they were not read at the same time.",
            ),
        )
        self.assertEqual(
            self._said("efficiency", ("full", "wall.w", 905), out)[0],
            "The supply turns 90.1 % into output at full load; its curve says 90.1 %.",
        )
        self.assertEqual(
            self._said("below curve", ("full", "wall.w", 960), out)[0],
            "The supply turns 84.9 % into output at full load; its curve says 90.1 %.",
        )

    def test_a_card_that_is_held_back_and_a_plug_that_carries_nothing(self) -> None:
        """151 W by six pins; 310 W ÷ 12 V are 25.83 A."""
        text, look = self._said("as coded", *self._pins(*[151 / 12 / 6] * 6))
        self.assertEqual(
            text,
            "Kittiwake L, 12 V stops at 151 W at full load, as a code for 150 W would make "
            "it; the tally has 310 W.",
        )
        self.assertIn("coded for", look)
        text, _ = self._said("carries nothing", *self._pins(0, 0, 0, 0, 0, 0))
        self.assertEqual(
            text, "Kittiwake L carries 0.00 A at full load where the map gives it 25.83 A."
        )

    def test_what_was_not_measured(self) -> None:
        found = hold(self.a, _typed(("idle", "dc.w", 80))).found
        said = [say(self.a.wired, f)[0] for f in found]
        self.assertIn("Nothing was measured at everyday.", said)
        self.assertIn("Nothing was measured at full load.", said)
        self.assertIn("Kittiwake L: no amps a pin, volts, temperature measured.", said)

    def test_every_sentence_begins_and_ends_as_one(self) -> None:
        rows = [("full", str(c), 1.0) for c in channels_of(self.a)]
        for f in hold(self.a, _typed(*rows)).found:
            text, look = say(self.a.wired, f)
            self.assertTrue(text[:1].isupper() or text[:1].isdigit(), text)
            self.assertTrue(text.endswith("."), text)
            self.assertTrue(not look or look.endswith("."), look)


class Picture(unittest.TestCase):
    """The drawing as a file: what a reader of the format sees in it."""

    def test_a_strip_a_unit_a_line_a_channel_and_its_words(self) -> None:
        a = mapped("dunlin")
        every = tuple(channels_of(a))
        shown = tuple(c for c in every if c.unit in ("w", "v"))[:5]
        r = Running(a, Scene()).readings(every)
        text = readings_svg.write(a, r, r.named, shown, 0.0, float(r.times[-1]))
        root = ElementTree.fromstring(text)
        ns = "{http://www.w3.org/2000/svg}"
        frames = [x for x in root.iter(f"{ns}rect") if x.get("stroke") == "#cfc6b4"]
        self.assertEqual(len(frames), len({c.unit for c in shown}))
        lines = [x for x in root.iter(f"{ns}path") if x.get("fill") == "none"]
        self.assertEqual(len(lines), len(shown))
        title = root.find(f"{ns}title")
        assert title is not None
        self.assertEqual(title.text, f"{a.build.name}: readings")

    def test_names_of_any_letters_stay_text(self) -> None:
        a = mapped("dunlin")
        build = a.build.model_copy(update={"name": '<b>&"Dunlin"'})
        other = analyse(build, 2026)
        every = tuple(channels_of(other))
        r = Running(other, Scene()).readings(every)
        root = ElementTree.fromstring(
            readings_svg.write(other, r, r.named, every[:2], 0.0, float(r.times[-1]))
        )
        title = root.find("{http://www.w3.org/2000/svg}title")
        assert title is not None
        self.assertEqual(title.text, '<b>&"Dunlin": readings')

    def test_nothing_in_the_span_is_an_empty_strip(self) -> None:
        a = mapped("dunlin")
        every = tuple(channels_of(a))
        r = Running(a, Scene()).readings(every)
        end = float(r.times[-1])
        text = readings_svg.write(a, r, r.named, every[:1], end + 100, end + 200)
        root = ElementTree.fromstring(text)
        lines = [x.get("d") for x in root.iter() if x.get("fill") == "none" and x.get("d")]
        self.assertEqual(lines, [])
