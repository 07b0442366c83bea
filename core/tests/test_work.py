"""The work on a machine that stands: whatever is changed, carrying out the work order act by act
ends in what is wanted, pulls nothing that hangs on something that stays, touches nothing that could
stay, and calls nothing done of which the record does not say so."""

from __future__ import annotations

import random
import unittest
from collections.abc import Iterator
from datetime import UTC, datetime, timedelta
from itertools import pairwise

from easy_tally.analysis import Analysis, analyse
from easy_tally.base.errors import EasyTallyError
from easy_tally.bench import Act, Noted, Placed, found_whole, owner, plan, standing
from easy_tally.bench.machine import Machine
from easy_tally.editing import (
    ChangeBuild,
    Edit,
    Exchange,
    Park,
    RemovePart,
    SwapPlugs,
    TakeSupply,
    Unplug,
)
from easy_tally.files import build_file
from easy_tally.mapping import Mapping, Wish, applied, solve
from easy_tally.things import individuals, settled
from easy_tally.things.build import Build
from easy_tally.things.individuals import Individual
from easy_tally.things.parts import Board, Card, Cooler, Drive, M2Drive, Memory, Processor
from easy_tally.things.supply import Supply
from easy_tally.wiring import Wired
from hypothesis import example, given, settings
from hypothesis import strategies as st

from .small import made_up
from .test_bench import DEMO

Known = dict[str, Individual]
BEGUN = datetime(2026, 12, 1, tzinfo=UTC)


class Bench:
    """A machine at the bench: its record, and everything that it ever held."""

    def __init__(self, build: Build) -> None:
        self.build = build
        self.record: list[Noted] = []
        self.known: Known = {i.id: i for i in individuals(self.build)}
        self._edits = 0
        self._analysis: Analysis | None = None

    def note(self, step: str, kind: str, acts: tuple[Act, ...], words: str = "") -> None:
        """One entry more."""
        at = BEGUN + timedelta(minutes=len(self.record))
        self.record.append(Noted(step, kind, at, "MK", 1, words, acts))

    @property
    def analysis(self) -> Analysis:
        """Of the build as it is."""
        if self._analysis is None or self._analysis.wired.stated is not self.build:
            self._analysis = analyse(self.build, 2026)
        return self._analysis

    def find(self) -> None:
        """Take it over as it is found."""
        acts = found_whole(self.analysis, standing(self.record), self.known)
        self.note("found", "found", acts)

    def change(self, *edits: Edit) -> None:
        """Change the build; what can't be is left."""
        for edit in edits:
            try:
                self.build = settled(self.build, edit.apply(self.build), f"{self._edits}")
                self._edits += 1
            except EasyTallyError:
                continue
        self.known |= {i.id: i for i in individuals(self.build)}

    def lay(self, found: Mapping) -> None:
        """Lay a map."""
        self.build = settled(self.build, applied(self.build, found), f"{self._edits}")
        self._edits += 1
        self.known |= {i.id: i for i in individuals(self.build)}

    def plan(self) -> list[Placed]:
        """The work as it is now."""
        return list(plan(self.analysis, self.record, self.known).steps)

    def open(self) -> list[Placed]:
        """What is to be done."""
        return [s for s in self.plan() if s.state == "open"]

    def titles(self) -> list[str]:
        """What is to be done, in words."""
        return [s.step.title for s in self.open()]

    def tick(self, placed: Placed, answer: int = 0) -> tuple[Act, ...]:
        """Do a step; the acts that it was."""
        step = placed.step
        acts = step.answers[answer].acts if step.answers else placed.acts
        self.note(step.id, "done", acts, step.title)
        return acts


# -- what hangs on what, worked out once more ----------------------------------------------------


def of(known: Known, thing: str) -> object:
    """What an individual is."""
    return known[thing].of if thing in known else None


def stays_on(known: Known, thing: str) -> bool:
    """Whether something is carried along by what it rests on."""
    part = of(known, thing)
    if isinstance(part, Cooler):
        return part.radiator_mm == 0
    return (
        isinstance(part, Processor | Memory | M2Drive | Drive) or type(part).__name__ == "Bracket"
    )


def lifted_with(where: dict[str, str], known: Known, thing: str) -> set[str]:
    """Everything that comes up with one thing: what rests on it, the cables in it, what hangs on
    those."""
    up = {thing}
    while True:
        more = {e for e, p in where.items() if e == owner(e) and owner(p) in up}
        more |= {owner(e) for e, p in where.items() if e.endswith(">") and owner(p) in up}
        more |= {
            owner(p)
            for e, p in where.items()
            if owner(e) in up
            and type(of(known, owner(p))).__name__ in ("Adapter", "Extension")
            and e != owner(e)
        }
        if more <= up:
            return up
        up |= more


def torn(where: dict[str, str], known: Known, thing: str) -> list[str]:
    """Ends of which one side comes up with a thing, and the other does not."""
    up = lifted_with(where, known, thing)
    return [e for e, p in where.items() if e != owner(e) and (owner(e) in up) != (owner(p) in up)]


def over(where: dict[str, str], known: Known, end: str) -> list[str]:
    """What lies over an end: a cooler over its processor; what a person said is not in here."""
    if not isinstance(of(known, end), Processor) or end != owner(end):
        return []
    on = owner(where[end])
    return [
        e
        for e, p in where.items()
        if isinstance(of(known, owner(e)), Cooler)
        and owner(p) == on
        and (e.endswith("/head") or (e == owner(e) and stays_on(known, e)))
    ]


def grounded(where: dict[str, str], wanted: dict[str, str], known: Known) -> set[str]:
    """What has to come out, and nothing else."""
    out = {e for e, p in where.items() if wanted.get(e) != p and not p.endswith("/fixed")}
    moved = out | {e for e in wanted if e not in where}
    while True:
        more: set[str] = set()
        for end in out:
            if end == owner(end):
                # A supply comes out with its cables: their own end is pulled on the table.
                left = {e: p for e, p in where.items() if e not in out or e == end or ">" in e}
                more |= {*torn(left, known, end)} & where.keys()
                more |= {
                    e
                    for e, p in where.items()
                    if e == owner(e) and owner(p) == end and not stays_on(known, e)
                }
        for end in moved | out:
            if end in where:
                more |= {*over(where, known, end)}
            elif isinstance(of(known, end), Processor):
                more |= {*over({**where, end: wanted[end]}, known, end)}
        if more <= out:
            return out
        out |= more


def said(record: list[Noted], act: Act) -> bool:
    """Whether the record says of an individual that it is where an act brings it."""
    at: str | None = None
    for entry in record:
        for a in entry.acts:
            if a.thing == act.thing and a.act in ("found", "mounted", "plugged", "led"):
                at = a.place
            elif a.thing == act.thing and a.act in ("taken out", "unplugged"):
                at = None
    return at == act.place


def _fixed(place: str) -> bool:
    return place.endswith("/fixed")


# -- random changes ------------------------------------------------------------------------------


def changes(draw: random.Random, b: Build) -> Iterator[Edit]:
    """One to three things that people do to a machine."""
    for _ in range(draw.randint(1, 3) if b.parts else 0):
        part = draw.choice(b.parts)
        several = draw.randint(1, part.count)
        yield draw.choice(
            [
                Exchange(of="part", key=part.key),
                Exchange(of="part", key=part.key, instance=several),
                RemovePart(part=part.key, release=True),
                Exchange(of="supply"),
                Exchange(of="case"),
                *([TakeSupply(supply=b.supply, cables=b.cables, release=True)] if b.supply else []),
                *([Exchange(of="cable", key=c.key) for c in b.cables[:3]]),
                *([Unplug(cable=r.cable) for r in b.runs[:3]]),
                *(
                    [
                        Park(cable=r.cable, plug=r.connections[0].plug)
                        for r in b.runs
                        if r.connections
                    ]
                ),
                *_swapped(b),
                ChangeBuild(house_rules={"card_first": "plug then mount"}),
                ChangeBuild(house_rules={"first_in": "board first", "small_leads": "last"}),
            ]
        )


def _swapped(b: Build) -> list[Edit]:
    used = [(r.cable, c.plug) for r in b.runs for c in r.connections]
    return [
        SwapPlugs(cable=one[0], plug=one[1], other_cable=two[0], other_plug=two[1])
        for one, two in pairwise(used)
    ]


def _machine(seed: int) -> Build:
    names = ("heron", "godwit", "cormorant", "dunlin", "curlew")
    if seed % 3:
        path = DEMO / f"{names[seed % 5]}.tally.json"
        return build_file.read(path.read_text(encoding="utf-8"))
    b = made_up(seed)
    found = solve(b, Wish(partial=True))
    assert found is not None
    return applied(b, found)


class AnyChange(unittest.TestCase):
    @settings(max_examples=12, deadline=None)
    @given(st.integers(0, 100_000))
    # A plug of an adapter that is reached only once its disk is out, under a supply that is lifted.
    @example(96024)
    def test_the_work_order_ends_in_what_is_wanted_and_tears_nothing(self, seed: int) -> None:
        draw = random.Random(seed)
        bench = Bench(_machine(seed))
        bench.find()
        self.assertEqual(bench.titles(), [])
        bench.change(*changes(draw, bench.build))
        if draw.random() < 0.5 and bench.build.supply is not None:
            laid = solve(bench.build, Wish(partial=True))
            if laid is not None:
                bench.lay(laid)
        self._carry_out(bench, draw)
        # Another change on top of it, in the middle of which the build is changed once more.
        bench.change(*changes(draw, bench.build))
        for placed in bench.open()[: draw.randint(0, 12)]:
            if not placed.step.answers:
                bench.tick(bench.open()[0], 0)
        bench.change(*changes(draw, bench.build))
        self._carry_out(bench, draw, is_whole=False)

    def _carry_out(self, bench: Bench, draw: random.Random, is_whole: bool = True) -> None:
        before = dict(standing(bench.record).where)
        wanted = dict(Machine(Wired(bench.build)).where)
        answers = 0
        touched: set[str] = set()
        for _ in range(400):
            everything = bench.plan()
            left = [p for p in everything if p.state == "open"]
            for placed in everything:
                if placed.state != "open" and placed.step.group not in ("out", "away", "before"):
                    for act in placed.step.acts:
                        if act.act in ("mounted", "plugged", "led") and not _fixed(act.place):
                            self.assertTrue(said(bench.record, act), act)
            if not left:
                break
            answer = draw.randint(0, 1) if left[0].step.id.startswith("ask:") else 0
            answers += answer
            where = dict(standing(bench.record).where)
            acts = bench.tick(left[0], answer)
            self._holds(where, acts, bench.known, left[0])
            touched |= {a.thing for a in acts if a.act in ("taken out", "unplugged")}
        else:
            self.fail("it does not come to an end")
        now = {e: p for e, p in standing(bench.record).where.items() if not _fixed(p)}
        self.assertEqual(now, {e: p for e, p in wanted.items() if not _fixed(p)})
        if is_whole and not answers:
            closed = touched - grounded(before, wanted, bench.known)
            self.assertLessEqual(closed, self._by_reach(bench, wanted))

    def _by_reach(self, bench: Bench, wanted: dict[str, str]) -> set[str]:
        """Cards whose own plug can't be reached, with what is plugged into them."""
        cards = {t for t, i in bench.known.items() if isinstance(i.of, Card)}
        return cards | {e for e, p in wanted.items() if owner(p) in cards}

    def _holds(
        self, where: dict[str, str], acts: tuple[Act, ...], known: Known, placed: Placed
    ) -> None:
        for act in acts:
            title = f"{placed.step.title}: {act}"
            if act.act in ("taken out", "unplugged"):
                self.assertEqual(where.get(act.thing), act.place, title)
                self.assertEqual(over(where, known, act.thing), [], title)
            if act.act == "taken out":
                self.assertEqual(torn(where, known, act.thing), [], title)
                standing_on = [
                    e
                    for e, p in where.items()
                    if e == owner(e) and owner(p) == act.thing and not stays_on(known, e)
                ]
                self.assertEqual(standing_on, [], title)
            if act.act in ("mounted", "plugged", "led"):
                on = owner(act.place)
                is_thing = isinstance(of(known, on), Board | Supply)
                if is_thing and act.thing != owner(act.thing) and not act.thing.endswith(">"):
                    self.assertIn(on, where, title)
            if act.act in ("taken out", "unplugged"):
                where.pop(act.thing)


if __name__ == "__main__":
    unittest.main()
