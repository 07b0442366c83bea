"""Properties over random builds: more load never improves anything, nothing is lost in a file."""

from __future__ import annotations

import unittest

from easy_tally import editing as edits
from easy_tally.analysis.analyse import analyse
from easy_tally.base.errors import EasyTallyError
from easy_tally.files import build_file
from easy_tally.publishing.publish import compact
from easy_tally.ratings.verdicts import VERDICTS
from easy_tally.things.build import Build
from easy_tally.things.cables import RailPins, SupplyEnd
from easy_tally.things.parts import Card, Drive
from hypothesis import given, settings
from hypothesis import strategies as st

from .helpers import (
    apply,
    board,
    build,
    card,
    disk,
    exact,
    graphics_cable,
    processor,
    ref,
    rules,
    run,
    sata_cable,
)

_GAUGES = st.sampled_from([16, 18, 20, 22, None])
_GRADES = st.sampled_from(["standard", "high", None])


@st.composite
def _builds(draw: st.DrawFn) -> Build:
    power, amps = draw(st.floats(20, 700)), draw(st.floats(0.1, 4))
    pins = draw(st.integers(1, 4))
    end = SupplyEnd(circuits=8, pins=RailPins(v12=pins, ground=pins), grade=draw(_GRADES))  # type: ignore[arg-type]
    return build(
        board(),
        processor(draw(st.floats(10, 300)), draw(st.floats(10, 400))),
        card(power),
        disk(3, run_12v_a=exact(amps), start_12v_a=exact(2 * amps)),
        cables=(
            graphics_cable(gauge=draw(_GAUGES), supply_end=end),
            sata_cable(gauge=draw(_GAUGES)),
        ),
        runs=(
            run("chain", "g1", a="card#1/a", b="card#1/b"),
            run("sata", "d1", p1="disk#1/power", p2="disk#2/power", p3="disk#3/power"),
        ),
        house_rules=rules(chained_graphics=draw(st.sampled_from(["never", "by plug", "by pins"]))),
    )


def _heavier(b: Build, factor: float) -> Build:
    """The same build with card and disks drawing `factor` times as much."""
    parts = []
    for part in b.parts:
        if isinstance(part, Card) and part.board_power_w and part.slot_w:
            more = {"board_power_w": exact(part.board_power_w.likely * factor)}
            parts.append(part.model_copy(update=more))
        elif isinstance(part, Drive) and part.run_12v_a and part.start_12v_a:
            names = ("run_12v_a", "start_12v_a")
            more = {n: exact(getattr(part, n).likely * factor) for n in names}
            parts.append(part.model_copy(update=more))
        else:
            parts.append(part)
    return b.model_copy(update={"parts": tuple(parts)})


class MoreLoad(unittest.TestCase):
    @settings(max_examples=60)
    @given(_builds(), st.floats(1, 3))
    def test_never_improves_a_run_or_a_share(self, b: Build, factor: float) -> None:
        before, after = analyse(b), analyse(_heavier(b, factor))
        for old, new in zip(before.runs, after.runs, strict=True):
            self.assertLessEqual(VERDICTS.index(new.verdict), VERDICTS.index(old.verdict))
            shares = {(e.kind, e.line, e.at, e.from_mm): e.judged.share for e in new.elements}
            for e in old.elements:
                share = shares[e.kind, e.line, e.at, e.from_mm]
                if e.judged.share is not None and share is not None:
                    self.assertGreaterEqual(share, e.judged.share - 1e-9)

    @settings(max_examples=60)
    @given(_builds(), st.floats(1, 3))
    def test_never_improves_the_supply(self, b: Build, factor: float) -> None:
        """Of a mixture (regulation) more is neither better nor worse; a rating can be too big."""
        order = ("fail", "unknown", "warn", "not checked", "pass")
        mixture = ("too big", "regulation")
        before, after = analyse(b), analyse(_heavier(b, factor))
        old, new = (
            {(c.id, c.rail): c for c in a.supply.checks if a.supply and c.id not in mixture}  # type: ignore[union-attr]
            for a in (before, after)
        )
        for key, check in old.items():
            self.assertLessEqual(order.index(new[key].status), order.index(check.status), key)


class Bounds(unittest.TestCase):
    @settings(max_examples=40)
    @given(_builds())
    def test_totals_lie_in_their_bounds_and_paths_add_up(self, b: Build) -> None:
        found = compact(analyse(b))
        for state in ("idle", "everyday", "full", "start"):
            total = found.strip.watts[state]  # type: ignore[literal-required]
            self.assertLessEqual(total.low, total.likely + 1e-9)
            self.assertLessEqual(total.likely, total.high + 1e-9)
            for sums in (found.by_path, found.by_rail):
                parts = sum(s[state].likely for s in sums.values())  # type: ignore[literal-required]
                self.assertAlmostEqual(parts, total.likely)


class Files(unittest.TestCase):
    @settings(max_examples=40)
    @given(_builds())
    def test_written_and_read_is_the_same(self, b: Build) -> None:
        text = build_file.write(b)
        self.assertEqual(build_file.read(text), b)
        self.assertEqual(build_file.write(build_file.read(text)), text)


class Editing(unittest.TestCase):
    @settings(max_examples=60)
    @given(_builds(), st.data())
    def test_every_edit_gives_a_valid_build_or_an_error(
        self, b: Build, data: st.DataObject
    ) -> None:
        sockets = [str(r) for r, _ in b.sockets()]
        for _ in range(6):
            cable = data.draw(st.sampled_from(b.cables))
            plug = data.draw(st.sampled_from(cable.plugs)).key
            edit = data.draw(
                st.sampled_from(
                    [
                        edits.Connect(
                            cable=cable.key,
                            plug=plug,
                            socket=ref(data.draw(st.sampled_from(sockets))),
                        ),
                        edits.Park(cable=cable.key, plug=plug),
                        edits.Unplug(cable=cable.key),
                        edits.PlugIn(cable=cable.key),
                    ]
                )
            )
            try:
                b = apply(b, edit)
            except EasyTallyError:
                continue
            self.assertEqual(b.problems(), [])
            self.assertEqual(build_file.in_order(b), b)
