"""Readings from files and lines: heads, units, commas, times; broken lines named, the rest kept."""

from __future__ import annotations

import contextlib
import io
import unittest

import numpy as np
from easy_tally import BadInput
from easy_tally.files import readings_heads
from easy_tally.files.tables.readings_csv import Imported, Stopped, read, write
from easy_tally.readings import Channel, Named, Readings, parse
from easy_tally.simulate import lines, read_first, read_line
from hypothesis import given
from hypothesis import strategies as st

WALL, DC = Channel("wall", "", "w"), Channel("dc", "", "w")


def _read(text: str, names: dict[str, str] | None = None, **more: object) -> Imported:
    return read(io.BytesIO(text.encode()), names or {}, **more)  # type: ignore[arg-type]


def _values(text: str, channel: str = "wall.w", names: dict[str, str] | None = None) -> list[float]:
    found: list[float] = _read(text, names).readings.columns[parse(channel)].tolist()
    return found


class Heads(unittest.TestCase):
    def test_usual_heads_and_units(self) -> None:
        for head, means in (
            ("Wall power (W)", "wall.w"),
            ("mains [V]", "wall.v"),
            ("12V current (A)", "dc.v12.a"),
            ("+12 V (V)", "dc.v12.v"),
            ("3.3V voltage", "dc.v3v3.v"),
            ("PSU temp (°C)", "supply.degc"),
            ("Fan (rpm)", "supply.rpm"),
            ("GPU power (W)", "card#1.w"),
            ("Pin 3 (A)", "card#1/p.pin3.a"),
            ("Total output", "dc.w"),
            ("Timestamp", "time"),
            ("t [ms]", "time"),
            ("State", "state"),
            ("dc.v12.v", "dc.v12.v"),
            ("Something else (W)", ""),
            ("Pin 3 (V)", ""),
        ):
            column = readings_heads.recognise_head(head, {}, "card#1", "card#1/p")
            self.assertEqual(column.means, means, head)

    def test_a_head_that_was_learnt(self) -> None:
        column = readings_heads.recognise_head("CH1 (mA)", {"CH1 (mA)": "dc.v5.a"})
        self.assertEqual((column.means, column.factor), ("dc.v5.a", 0.001))

    def test_what_is_not_recognised_is_asked_for(self) -> None:
        with self.assertRaisesRegex(BadInput, "a channel for each column.*Foo"):
            _read("time,Foo\n1,2\n")
        with self.assertRaisesRegex(BadInput, "just one column of times"):
            _read("wall (W),dc.w\n1,2\n")
        with self.assertRaisesRegex(BadInput, "each channel once"):
            _read("t,wall (W),mains (W)\n1,2,3\n")

    def test_no_head_one_column_no_text(self) -> None:
        for text, said in (
            ("", "an empty file"),
            ("1,2\n3,4\n", "column names before"),
            ("x\n", "1 column"),
            ("a\x00,b\n", "UTF-8"),
        ):
            with self.assertRaisesRegex(BadInput, said):
                _read(text)


class Numbers(unittest.TestCase):
    def test_decimal_commas_and_semicolons(self) -> None:
        self.assertEqual(_values("t;wall (W)\n0,5;100,25\n1,5;101,5\n"), [100.25, 101.5])

    def test_quoted_cells_with_commas_stay_numbers_of_their_column(self) -> None:
        self.assertEqual(
            _values('t,wall (W),"note, x (W)"\n'.replace("note, x", "dc") + "0,1,2\n"), [1.0]
        )

    def test_units_of_heads_and_of_cells(self) -> None:
        self.assertEqual(_values("t,wall (kW)\n0,0.1\n1,0.2\n"), [100.0, 200.0])
        self.assertEqual(_values("t,wall (W)\n0,0.1 kW\n1,200\n"), [100.0, 200.0])
        got = _values("t,PSU temp (°F)\n0,212\n1,32\n", "supply.degc")
        self.assertTrue(np.allclose(got, [100.0, 0.0]))

    def test_gaps_are_gaps(self) -> None:
        got = _values("t,wall (W)\n0,100\n1,\n2,n/a\n3,103\n")
        self.assertEqual([x if x == x else None for x in got], [100.0, None, None, 103.0])
        self.assertEqual(_read("t,wall (W)\n0,1\n1,1\n2,1\n20,1\n21,1\n").gaps, 1)


class Times(unittest.TestCase):
    def test_moments_of_many_kinds(self) -> None:
        for first, second in (
            ("2026-11-26 10:00:00", "2026-11-26 10:00:01.5"),
            ("2026-11-26T10:00:00Z", "2026-11-26T10:00:01.5Z"),
            ("26.11.2026 10:00:00", "26.11.2026 10:00:01.5"),
            ("11/26/2026 10:00:00 AM", "11/26/2026 10:00:01.5 AM"),
            ("26/11/2026 10:00:00", "26/11/2026 10:00:01.5"),
            ("10:00:00", "10:00:01.5"),
            ("12:59:59 PM", "1:00:00.5 PM"),
        ):
            made = _read(f"time,wall (W)\n{first},1\n{second},2\n")
            self.assertEqual(made.readings.times.tolist(), [0.0, 1.5], first)
        self.assertEqual(made.readings.began, "")
        made = _read("time,wall (W)\n2026-11-26 10:00:00,1\n2026-11-26 10:00:01,1\n")
        self.assertEqual(made.readings.began, "2026-11-26T10:00:00")

    def test_past_midnight_without_a_date_and_zones(self) -> None:
        made = _read("time,wall (W)\n23:59:59,1\n00:00:01,2\n00:00:02,3\n")
        self.assertEqual(made.readings.times.tolist(), [0.0, 2.0, 3.0])
        made = _read("t,wall (W)\n2026-11-26T10:00:00+01:00,1\n2026-11-26T09:00:01Z,2\n")
        self.assertEqual(made.readings.times.tolist(), [0.0, 1.0])

    def test_a_clock_that_goes_back_is_named_and_left_out(self) -> None:
        made = _read("t,wall (W)\n0,1\n5,2\n3,9\n6,4\n6,5\n")
        self.assertEqual(made.readings.columns[WALL].tolist(), [1.0, 2.0, 4.0])
        self.assertEqual(
            [(p.line, p.reason) for p in made.problems],
            [(4, "the clock goes back by 2 s"), (6, "the same time twice")],
        )


class BrokenLines(unittest.TestCase):
    def test_each_with_its_line_and_the_good_ones_kept(self) -> None:
        made = _read(
            "t,wall (W),dc.w\n0,100,90\n1,1x,90\n2,100\n3,-4,90\n4,12 V,90\nnever,1,1\n5,101,91\n"
            "6,1"
        )
        self.assertEqual(made.readings.columns[WALL].tolist(), [100.0, 101.0])
        said = {p.line: p.reason for p in made.problems}
        self.assertEqual(sorted(said), [3, 4, 5, 6, 7, 9])
        self.assertIn("'1x' is no number", said[3].replace("in a column of W", "is no number"))
        self.assertIn("2 cells where the head has 3", said[4])
        self.assertIn("below nothing", said[5])
        self.assertIn("'12 V' in a column of W", said[6])
        self.assertIn("ends in the middle", said[9])

    def test_twenty_are_listed_and_all_are_counted(self) -> None:
        made = _read("t,wall (W)\n0,1\n" + "x,y\n" * 500)
        self.assertEqual((len(made.problems), made.of_problems), (20, 500))

    def test_nothing_good_is_an_error_with_the_first_line(self) -> None:
        with self.assertRaisesRegex(BadInput, "line 2: .*no time|line 2"):
            _read("t,wall (W)\nx,1\n")

    def test_line_numbers_hold_across_blocks(self) -> None:
        """More than one block of lines: the fast way and the slow one count alike."""
        n = 400_000
        text = "t,wall (W)\n" + "".join(f"{i},{i % 9}.5\n" for i in range(n)) + "bad,1\n"
        made = _read(text + "".join(f"{i},1\n" for i in range(n, n + 10)))
        self.assertEqual([p.line for p in made.problems], [n + 2])
        self.assertEqual(made.readings.samples, n + 10)

    def test_it_can_be_stopped_and_tells_how_far_it_is(self) -> None:
        told: list[int] = []
        _read("t,wall (W)\n0,1\n1,2\n", tell=told.append)
        self.assertEqual(told, [19])
        with self.assertRaises(Stopped):
            _read("t,wall (W)\n0,1\n", stop=lambda: True)

    @given(st.binary(max_size=300))
    def test_whatever_is_sent_is_read_or_refused(self, content: bytes) -> None:
        for head in (b"", b"t,wall (W)\n"):
            with contextlib.suppress(BadInput):
                read(io.BytesIO(head + content), {})


class ThereAndBack(unittest.TestCase):
    @given(
        st.lists(st.floats(0, 5000).map(lambda x: float(f"{x:.5g}")), min_size=2, max_size=50),
        st.booleans(),
    )
    def test_what_is_written_is_read(self, watts: list[float], named: bool) -> None:
        n = len(watts)
        spans = (Named(from_s=0, to_s=n - 1, state="full"),) if named else ()
        r = Readings(times=np.arange(n, dtype=float), columns={WALL: np.array(watts)}, named=spans)
        back = _read("".join(write(r))).readings
        self.assertEqual(back.times.tolist(), r.times.tolist())
        self.assertEqual(back.columns[WALL].tolist(), watts)
        self.assertEqual([x.state for x in back.named], [x.state for x in spans])

    def test_lines_of_the_protocol(self) -> None:
        r = Readings(
            times=np.array([0.0, 0.5]),
            columns={WALL: np.array([100.0, np.nan])},
            began="2026-11-30T20:15:00",
        )
        first, *rest = lines(r)
        channels, began, simulated = read_first(first)
        self.assertFalse(simulated)
        self.assertEqual((channels, began), ((WALL,), "2026-11-30T20:15:00"))
        self.assertEqual([read_line(x, channels) for x in rest], [(0.0, {WALL: 100.0}), (0.5, {})])

    def test_what_is_simulated_stays_so_wherever_it_goes(self) -> None:
        """As CSV and read back, and as lines of the protocol."""
        r = Readings(
            times=np.array([0.0, 0.5]), columns={WALL: np.array([100.0, 101.0])}, simulated=True
        )
        text = "".join(write(r))
        self.assertTrue(text.startswith("simulated time (s),"))
        self.assertTrue(_read(text).readings.simulated)
        self.assertFalse(_read(text.removeprefix("simulated ")).readings.simulated)
        self.assertTrue(read_first(next(iter(lines(r)))).simulated)

    def test_lines_that_can_not_be_read(self) -> None:
        for text in (
            "",
            "[]",
            "{}",
            '{"easy-tally readings": 2, "channels": ["wall.w"]}',
            '{"easy-tally readings": 1, "channels": []}',
            "[" * 5000,
        ):
            with self.assertRaises(BadInput):
                read_first(text)
        for text in (
            '{"t": "x"}',
            '{"wall.w": 1}',
            '{"t": 1, "wall.w": "a"}',
            '{"t": NaN}',
            '{"t": 1e999}',
            '{"t": ' + "9" * 400 + "}",
        ):
            with self.assertRaises(BadInput):
                read_line(text, (WALL,))
