"""Findings as data, and the register that everything derives from."""

from __future__ import annotations

import unittest
from dataclasses import replace
from unittest.mock import patch

from easy_tally.analysis import CHECKS, TO_MEND, analyse, not_built
from easy_tally.analysis.register import findings
from easy_tally.editing import Connect
from easy_tally.publishing import compact, report
from easy_tally.publishing.wording import remedies, said
from easy_tally.ratings import runs as runs_module
from easy_tally.supplies import Offered, compare
from easy_tally.supplies import checks as checks_module
from easy_tally.supplies.checks import check_supply

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    graphics_cable,
    processor_cable,
    run,
    run_of,
    sata_cable,
    supply,
    told,
)


class Register(unittest.TestCase):
    def test_every_check_once(self) -> None:
        ids = [c.id for c in CHECKS]
        self.assertEqual(len(set(ids)), len(ids))
        for check in CHECKS:
            self.assertTrue(check.words and check.needs)
            self.assertIn(check.within, {"", *ids})

    def test_what_is_not_built_is_what_is_listed(self) -> None:
        found = compact(analyse(build(board())))
        # No case is chosen, and nobody tells the year.
        bare = [x for x in found.not_checked if "no case" in x or "the year" in x]
        self.assertEqual(len(bare), 2)
        self.assertEqual(len(found.not_checked), len(not_built()) + len(bare))
        self.assertTrue(all(not c.built for c in not_built()))
        words = [c.words for c in not_built("supply")]
        self.assertEqual(list(found.supply.not_checked) if found.supply else [], words)

    def test_a_check_that_breaks_down_is_unknown(self) -> None:
        a = analyse(build(board(), card()))
        broken = tuple(
            replace(c, find=lambda _: 1 / 0) if c.id == "part.figures" else c for c in CHECKS
        )
        with patch("easy_tally.analysis.register.CHECKS", broken):
            found = findings(a)
        told = [f for f in found if f.id == "check.broke-down"]
        self.assertEqual([f.severity for f in told], ["unknown"])
        self.assertIn("broke down", said(a, told[0]).text)

    def test_a_limit_that_breaks_down_makes_its_run_unknown(self) -> None:
        b = build(disk(), cables=(sata_cable(),), runs=(run("sata", "d1", p1="disk#1/power"),))
        broken = tuple(
            replace(c, find=lambda _: 1 / 0) if c.id == "wire" else c
            for c in runs_module.MAP_CHECKS
        )
        with patch.object(runs_module, "MAP_CHECKS", broken):
            self.assertEqual(run_of(b).verdict, "unknown")
            self.assertIn("wires", report(analyse(b)).runs[0].cause)

    def test_a_check_of_a_supply_that_breaks_down_is_unknown(self) -> None:
        broken = tuple(
            replace(c, find=lambda *_: 1 / 0) if c.id == "spikes" else c
            for c in checks_module.SUPPLY_CHECKS
        )
        with patch.object(checks_module, "SUPPLY_CHECKS", broken):
            a = analyse(build(board()))
            self.assertEqual(a.supply and a.supply.verdict, "unknown")
            self.assertTrue(any("broke down" in m.text for m in told(compact(a))))


class Data(unittest.TestCase):
    def _chained(self) -> object:
        return build(
            board(),
            card(),
            disk(),
            cables=(graphics_cable(), graphics_cable("spare", 1), sata_cable()),
            runs=(run("chain", "g1", a="card#1/a", b="card#1/b"),),
        )

    def test_severities_come_worst_first(self) -> None:
        order = (*TO_MEND, "tight", "warn", "note")
        found = [order.index(f.severity) for f in analyse(self._chained()).findings]  # type: ignore[arg-type]
        self.assertEqual(found, sorted(found))

    def test_a_remedy_is_an_edit_that_mends(self) -> None:
        """270 W on one cable of two plugs; the spare cable takes the second: 135 W each."""
        b = self._chained()
        found = next(f for f in analyse(b).findings if f.id == "run.house-rule")  # type: ignore[arg-type]
        self.assertEqual(
            (found.severity, found.subject.of, found.subject.key), ("refused", "cable", "chain")
        )
        edit = found.remedies[0].edit
        self.assertIsInstance(edit, Connect)
        after = analyse(edit.apply(b))  # type: ignore[union-attr,arg-type]
        self.assertEqual([f for f in after.findings if f.subject.key == "chain"], [])

    def test_each_unfed_socket_is_offered_a_plug_that_fits(self) -> None:
        b = self._chained()
        unfed = [f for f in analyse(b).findings if f.id == "socket.unfed"]  # type: ignore[arg-type]
        by = {f.subject.key: f.remedies[0] for f in unfed}
        self.assertEqual(by["board#1/main"].id, "no-plug")
        edit = by["disk#1/power"].edit
        after = edit.apply(b)  # type: ignore[union-attr,arg-type]
        self.assertNotIn("disk#1/power", [f.subject.key for f in analyse(after).findings])

    def test_every_remedy_has_its_words(self) -> None:
        for words in remedies._WORDS.values():
            self.assertTrue(words.endswith("."))


class Compare(unittest.TestCase):
    def test_those_that_do_come_first_then_the_nearest(self) -> None:
        """25 + 320 W + a fifth: 414 W; spikes of 665 W at 0.1 ms need 443.3 W."""
        a = analyse(build(board(), card(), supply=None))
        box = (board_cable(), processor_cable(), graphics_cable("g1"), graphics_cable("g2"))
        found = compare(
            (Offered(w, supply(rated_w=w), box) for w in (400, 1000, 650, 450)), a.asked
        )
        self.assertEqual([c.of for c in found], [450, 650, 1000, 400])
        # Without cables nobody knows whether its leads do.
        bare = compare((Offered(w, supply(rated_w=w), ()) for w in (450, 650)), a.asked)
        for c in bare:
            asked = replace(a.asked, new=True)
            self.assertEqual(c.result, check_supply(c.supply, asked))
