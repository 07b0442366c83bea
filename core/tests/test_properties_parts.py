"""Properties over random machines of every kind of part: more load never improves anything that
comes through the board, and every number opens to rows that add up to it."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis.analyse import Analysis, analyse
from easy_tally.base.declared import Figure
from easy_tally.entry.words import FIGURES
from easy_tally.publishing.publish import report
from easy_tally.ratings.verdicts import VERDICTS
from easy_tally.things.build import Build
from easy_tally.things.parts import (
    Cooler,
    Fan,
    Header,
    Hub,
    LightStrip,
    M2Drive,
    Memory,
    Other,
    Pump,
    Socket,
    UsbLoad,
)
from hypothesis import given, settings
from hypothesis import strategies as st

from .helpers import board, build, card, disk, exact, processor


@st.composite
def _figure(draw: Any, most: float) -> Figure | None:
    if draw(st.integers(0, 4)) == 0:
        return None
    low, likely, high = sorted(draw(st.floats(0.01, most)) for _ in range(3))
    return Figure(low=low, likely=likely, high=high)


@st.composite
def _machines(draw: Any) -> Build:
    def limit() -> Figure | None:
        return draw(st.none() | st.floats(0.1, 3).map(exact))

    headers = tuple(
        Header(key=k, kind=kind, limit_a=limit())  # type: ignore[arg-type]
        for k, kind in (("f1", "fan"), ("f2", "fan"), ("p1", "pump"), ("l1", "lights-5v"))
    )
    outputs = (Header(key="o1", limit_a=limit()), Header(key="o2", kind="lights-12v"))
    sata = (Socket(key="power", kind="sata"),)
    count = st.integers(1, 6)
    return build(
        board(headers=headers, own_12v_w=draw(_figure(40)), standby_w=draw(_figure(20))),
        processor(draw(st.floats(5, 300)), draw(st.floats(5, 300))),
        card(draw(st.floats(20, 500)), slot_w=draw(_figure(60))),
        disk(draw(count), run_12v_a=draw(_figure(2)), start_12v_a=draw(_figure(4))),
        Memory(key="memory", name="M", count=draw(count), module_w=draw(_figure(12))),
        M2Drive(key="m2", name="N", full_w=draw(_figure(15)), idle_w=draw(_figure(5))),
        Hub(
            key="hub",
            name="H",
            own_w=draw(_figure(5)),
            outputs=outputs,
            sockets=sata if draw(st.booleans()) else (),
        ),
        Fan(key="f-a", name="A", count=draw(count), rated_a=draw(_figure(1))),
        Fan(key="f-b", name="B", count=draw(count), rated_a=draw(_figure(1)), on="hub"),
        Pump(key="pump", name="P", rated_a=draw(_figure(2))),
        Cooler(
            key="cooler", name="C", pump_a=draw(_figure(1)), fan_a=draw(_figure(1)), sockets=sata
        ),
        LightStrip(key="s-5", name="S5", rated_a=draw(_figure(3))),
        LightStrip(key="s-12", name="S12", volts=12, rated_a=draw(_figure(3)), on="hub"),
        UsbLoad(key="usb", name="U", draw_w=draw(_figure(20)), asleep_w=draw(_figure(10))),
        Other(
            key="other",
            name="O",
            v12_w=draw(_figure(30)),
            v5sb_w=draw(_figure(10)),
            vneg12_w=draw(_figure(3)),
            v5_w=exact(1),
        ),
        spin_up_at_once=draw(st.none() | st.integers(1, 4)),
    )


#: What a part adds in a slot or at idle is a share of its full draw: it is no load by itself.
_SHARES = ("slot_w", "idle_w", "package_idle_w", "package_short_w", "system_floor_w")


def _heavier(b: Build, factor: float) -> Build:
    """Every figure that is known, times `factor`."""
    parts = []
    for part in b.parts:
        figures = {
            n.field: f.model_copy(update={k: getattr(f, k) * factor for k in _ENDS})
            for n in FIGURES[part.kind]
            if n.field not in _SHARES and (f := getattr(part, n.field)) is not None
        }
        parts.append(part.model_copy(update=figures))
    return b.model_copy(update={"parts": tuple(parts)})


_ENDS = ("low", "likely", "high")


class MoreLoad(unittest.TestCase):
    @settings(max_examples=80)
    @given(_machines(), st.floats(1, 2))
    def test_never_improves_what_comes_through_the_board(self, b: Build, factor: float) -> None:
        before, after = self._elements(analyse(b)), self._elements(analyse(_heavier(b, factor)))
        for key, old in before.items():
            new = after[key]
            self.assertLessEqual(VERDICTS.index(new.verdict), VERDICTS.index(old.verdict), key)
            self.assertGreaterEqual(new.share or 0, (old.share or 0) - 1e-9, key)

    def _elements(self, a: Analysis) -> dict[tuple[str, ...], Any]:
        return {(e.kind, e.part, e.at, e.line, e.unit): e.judged for e in a.board}

    @settings(max_examples=60)
    @given(_machines(), st.floats(1, 2))
    def test_never_lowers_totals_spikes_or_what_is_needed(self, b: Build, factor: float) -> None:
        old, new = analyse(b), analyse(_heavier(b, factor))
        for state in ("sleep", "idle", "everyday", "full", "start"):
            for k in range(3):
                more = new.tally.total.at(state)[k]  # type: ignore[arg-type]
                self.assertGreaterEqual(more, old.tally.total.at(state)[k] - 1e-9)  # type: ignore[arg-type]
        for window, span in old.spikes.total.items():
            self.assertGreaterEqual(new.spikes.total[window].likely, span.likely - 1e-9)
        self.assertGreaterEqual(new.sizing.at_least_w, old.sizing.at_least_w - 1e-9)


class Rows(unittest.TestCase):
    @settings(max_examples=60)
    @given(_machines())
    def test_every_number_opens_to_rows_that_add_up(self, b: Build) -> None:
        """Of the whole, of each rail and of each path, in every state, at every bound."""
        found = report(analyse(b))
        strip = found.result.strip
        for state in ("sleep", "idle", "everyday", "full", "start"):
            for end in _ENDS:

                def added(keep: Any, s: str = state, e: str = end) -> float:
                    return sum(getattr(r.watts[s], e) for r in found.rows if keep(r))  # type: ignore[literal-required]

                whole = getattr(strip.watts[state], end)  # type: ignore[literal-required]
                self.assertAlmostEqual(added(lambda r: True), whole)
                for rail, sums in found.result.by_rail.items():
                    at = getattr(sums[state], end)  # type: ignore[literal-required]
                    self.assertAlmostEqual(added(lambda r, k=rail: r.rail == k), at)
                for path, sums in found.result.by_path.items():
                    at = getattr(sums[state], end)  # type: ignore[literal-required]
                    self.assertAlmostEqual(added(lambda r, k=path: r.path == k), at)
        for window in ("ms_0_1", "ms_1", "ms_10", "ms_100"):
            for end in _ENDS:
                total = sum(getattr(getattr(r.watts, window), end) for r in found.spike_rows)
                self.assertAlmostEqual(total, getattr(getattr(strip.spikes, window), end))
