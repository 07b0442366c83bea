"""What is often forgotten: not thought of and none here differ, and the tally says so."""

from __future__ import annotations

import unittest
from collections.abc import Sequence

from easy_tally import analyse, report
from easy_tally.base import Figure
from easy_tally.catalogue import OFTEN, STARTERS
from easy_tally.editing import ChangeBuild
from easy_tally.entry import parse
from easy_tally.files import print_report
from easy_tally.publishing import Compact
from easy_tally.things import Build
from easy_tally.things.forgotten import FORGOTTEN, Topic

from .helpers import told


def _build(*lines: str, none_here: Sequence[Topic] = ()) -> Build:
    parts = [part for line in lines if (part := parse(line).part) is not None]
    keyed = [p.model_copy(update={"key": f"p{i}"}) for i, p in enumerate(parts)]
    return Build(name="Hide", parts=tuple(keyed), none_here=tuple(none_here))


def _result(build: Build) -> Compact:
    return report(analyse(build)).result


def _open(build: Build) -> set[str]:
    return {u.id for u in _result(build).unspoken}


class Forgotten(unittest.TestCase):
    def test_a_build_that_has_yet_to_begin_is_not_nagged(self) -> None:
        self.assertEqual(_open(_build()), set())
        self.assertEqual(_result(_build()).strip.watts["full"].missing, ())

    def test_each_is_open_until_a_part_or_none_speaks_of_it(self) -> None:
        bare = _build("board 8pin", "processor 65w")
        self.assertEqual(_open(bare), set(FORGOTTEN))
        for topic in FORGOTTEN:
            said = ChangeBuild(changes={"none_here": [topic]}).apply(bare)
            self.assertEqual(_open(said), set(FORGOTTEN) - {topic})
        for topic, parts in OFTEN.items():
            for part in parts:
                more = bare.model_copy(update={"parts": (*bare.parts, part)})
                self.assertEqual(topic in _open(more), part.kind == "hub", part.name)

    def test_the_boards_own(self) -> None:
        self.assertNotIn("second-lead", _open(_build("board 2x8")))
        self.assertNotIn("second-lead", _open(_build("board no-cpu")))
        extra = "board 8pin sockets:main=atx24,cpu-1=eps8,extra=pcie6+optional"
        self.assertNotIn("extras", _open(_build(extra)))

    def test_a_disc_drive_stores_nothing_and_a_coolers_fan_is_no_case_fan(self) -> None:
        found = _open(_build("processor 65w", "optical", "floppy", 'fan 120 "Air cooler"'))
        self.assertLessEqual({"storage", "fans"}, found)
        self.assertNotIn("cooling", found)

    def test_at_least_while_what_nearly_always_draws_is_open(self) -> None:
        """65 W of package alone: cooling, fans, storage and USB are not thought of."""
        bare = _build("board 8pin", "processor 65w")
        missing = _result(bare).strip.watts["full"].missing
        self.assertEqual(missing, ("processor cooling", "fans", "storage", "USB"))
        self.assertEqual(_result(bare).strip.spikes.ms_1.missing, missing)
        text = print_report(report(analyse(bare)))
        self.assertIn("  fans (nearly always draws)", text)
        self.assertIn("full      ≥ ", text)
        none = ChangeBuild(changes={"none_here": ["cooling", "fans", "storage", "usb"]}).apply(bare)
        self.assertEqual(_result(none).strip.watts["full"].missing, ())

    def test_saying_none_changes_no_watt_and_no_verdict(self) -> None:
        bare = _build("board 8pin", "processor 65w")
        none = ChangeBuild(changes={"none_here": list(FORGOTTEN)}).apply(bare)
        self.assertEqual(_result(none).by_path, _result(bare).by_path)
        self.assertEqual(told(_result(none)), told(_result(bare)))

    def test_what_is_added_says_that_it_is_assumed(self) -> None:
        for topic in ("cooling", "fans", "usb", "front-panel"):
            for part in OFTEN[topic]:
                figures = [v for v in dict(part).values() if isinstance(v, Figure)]
                self.assertTrue(figures and all(f.origin == "assumed" for f in figures), part.name)

    def test_machines_to_start_from(self) -> None:
        """Each line is a part, every figure that a tally needs is there, nothing is forgotten that
        nearly always draws."""
        for starter in STARTERS:
            for line in starter.lines:
                self.assertIsNotNone(parse(line).part, line)
            found = _result(_build(*starter.lines))
            self.assertEqual(found.strip.watts["full"].missing, (), starter.id)
            self.assertTrue(all(not u.draws for u in found.unspoken), starter.id)


if __name__ == "__main__":
    unittest.main()
