"""Every limit of a run against a second computation that shares nothing with the core."""

from __future__ import annotations

import json
import random
import unittest
from collections.abc import Iterator
from typing import Any, get_args

from easy_tally import Build, analyse
from easy_tally.base.units import WINDOWS
from easy_tally.ratings.elements import Element
from easy_tally.things.adapters import Backplane, BackplaneInput
from easy_tally.things.cables import Connection, Run, SocketRef
from easy_tally.things.case import Area, Case, Route
from easy_tally.things.parts import Drive, Fan, Header, LightStrip, Pump, Slot
from easy_tally.things.supply import PortGroup
from easy_tally.usual import End, facts_of, taken

from . import oracle, oracle_more, oracle_runs
from .helpers import board, build, disk, exact, runs_at, sata_cable, supply
from .machines import Laid, about, machine, made_card, panel, seeds

#: Where full stands among the states of a load, at likely.
_FULL = 3 * 2 + 1
#: Where start does.
_START = 3 * 3 + 1
_KINDS = {
    "grant",
    "plug pins",
    "supply-end pins",
    "port pins",
    "wire",
    "drop",
    "group",
    "house rule",
    "lead pins",
}


class AgainstTheOracle(unittest.TestCase):
    def test_every_limit_of_every_run_is_what_it_comes_to_a_second_time(self) -> None:
        """At each bound, through adapters, splitters and extensions one after another, with leads
        that nobody plugged in; and whether it is never allowed at all."""
        seen = forbidden = 0
        for seed in seeds(200):
            b = machine(seed)
            with self.subTest(seed=seed):
                for end in get_args(End) if facts_of(b) else ("likely",):
                    self.assertEqual(list(differences(b, end)), [], end)
            of = [e for r in analyse(b).runs for e in r.elements]
            seen += sum(e.kind in _KINDS for e in of)
            forbidden += sum(e.kind == "forbidden" for e in of)
        self.assertGreater(seen, 7_000)
        self.assertGreater(forbidden, 15)

    def test_how_far_plugs_reach_in_a_case(self) -> None:
        """Each plug of a cable, those beyond it, and what lies between two of a chain."""
        over: list[str] = []
        for seed in seeds(60):
            for b in (machine(seed), shelf(seed)):
                b = cased(b, seed)
                if b.backplanes:
                    continue
                with self.subTest(seed=seed):
                    self.assertEqual(list(reach_differences(b)), [])
                of = [e for r in analyse(b).runs for e in r.elements if e.kind == "reach"]
                over += [str(e.at) or e.said for e in of if e.judged.verdict == "over"]
        self.assertGreater(len(over), 15)
        self.assertGreater(sum(at.endswith(" span") for at in over), 5)

    def test_totals_spikes_and_the_size_that_they_take(self) -> None:
        """The size is found by trying every common one; a disk's start and a raised floor, which
        ask for less here, stay out."""
        sizes = set()
        for seed in range(150):
            b = machine(seed)
            of = b.supply
            assert of is not None
            design = random.Random(seed).choice(("classic", "3.1"))
            b = b.model_copy(update={"supply": of.model_copy(update={"design": design})})
            doc, a = json.loads(b.model_dump_json()), analyse(b)
            with self.subTest(seed=seed):
                expected = oracle.in_all(doc)
                self.assertAlmostEqual(a.tally.total.at("full").likely, expected.full, 9)
                self.assertAlmostEqual(a.tally.total.at("short").likely, expected.short, 9)
                found = [a.spikes.total[w].likely for w in WINDOWS]
                for got, wanted in zip(found, expected.spikes, strict=True):
                    self.assertAlmostEqual(got, wanted, 9)
                if a.tally.total.at("start").likely <= expected.full:
                    self.assertEqual(a.sizing.pick_w, oracle.smallest_w(doc))
                    sizes.add(a.sizing.pick_w)
        self.assertGreater(len(sizes), 10)


def differences(b: Build, end: End = "likely") -> Iterator[str]:
    """What the core says of the runs of a build that comes to something else a second time, at one
    end of what nobody measured."""
    doc = json.loads(taken(b, end).model_dump_json())
    expected = [oracle_runs.held(doc, bound) for bound in oracle.BOUNDS]
    runs = runs_at(b, end)
    found: dict[oracle.Key, Element] = {}
    for r in runs:  # worst first: what two leads of one thing bring to a plug stands twice
        for e in r.elements:
            if e.kind in _KINDS:
                found.setdefault((r.wired.cable.key, e.kind, e.line, str(e.at), e.from_mm), e)
    # What carries something at the high bound alone is there, with nothing at likely.
    if set(found) != set(expected[2]):
        yield f"other limits: {set(found) ^ set(expected[2])}"
        return
    for key, e in found.items():
        if wrong := _wrong(e, *(of.get(key) for of in expected)):
            yield f"{key}: {wrong}"
    never = {
        r.wired.cable.key: any(
            e.kind == "forbidden" and e.judged.verdict == "over" for e in r.elements
        )
        for r in runs
    }
    if never != oracle_runs.forbidden(doc):
        yield f"never allowed: {never}"


def _wrong(
    e: Element, low: oracle.Held | None, held: oracle.Held | None, high: oracle.Held | None
) -> str:
    assert high is not None
    limit = high.limit
    if limit is None:
        unknown = e.judged.limit is None and e.judged.verdict == "unknown"
        return "" if unknown else f"not unknown: {e.judged}"
    for i, x in enumerate((low, held, high)):
        # Where a plug itself carries nothing at a bound, others on its wire still lose volts.
        load = e.judged.loads[_FULL - 1 + i]
        if (x is not None or e.kind != "drop") and abs(load - (x.load if x else 0.0)) > 1e-9:
            return f"{load} of {oracle.BOUNDS[i]} in place of {x}"
    held = held or oracle.Held(0.0, None)
    if e.judged.rated is None or abs(e.judged.rated - limit) > 1e-9:
        return f"limit {e.judged.rated} in place of {limit}"
    over, tight = held.load > limit * 1.000001, held.load > limit * _within(e.kind)
    if over and high.warns:
        return "" if e.judged.verdict in ("tight", "unknown") else f"{e.judged.verdict}, not tight"
    at_high = e.judged.verdict != "over" and high.load > limit * 1.000001
    wanted = "over" if over else None
    if not over and e.judged.state == "full" and not e.judged.only_at_high:
        wanted = "tight" if tight else "within"
    elif not over and at_high:
        wanted = "tight"
    return "" if wanted in (None, e.judged.verdict) else f"{e.judged.verdict}, not {wanted}"


def cased(b: Build, seed: int) -> Build:
    """The build in a case whose routes are made up, with disks in places of several kinds."""
    rng = random.Random(seed)
    parts = tuple(
        p.model_copy(update={"form": rng.choice(("3.5", "2.5"))}) if isinstance(p, Drive) else p
        for p in b.parts
    )
    routes = tuple(
        Route(area=area, length_mm=rng.choice((350, 500, 610, 660, 800))) for area in get_args(Area)
    )
    return b.model_copy(update={"parts": parts, "case": Case(name="Case", routes=routes)})


def reach_differences(b: Build) -> Iterator[str]:
    """What the core says of the reach of plugs that comes to something else a second time."""
    expected = oracle_runs.reaches(json.loads(taken(b).model_dump_json()))
    found = {
        (r.wired.cable.key, str(e.at)): (
            e.judged.loads[0],
            e.judged.rated,
            e.judged.verdict == "over",
        )
        for r in runs_at(b)
        for e in r.elements
        if e.kind == "reach"
    }
    for key in sorted(found.keys() | expected.keys()):
        if found.get(key) != expected.get(key):
            yield f"{key}: {found.get(key)} in place of {expected.get(key)}"


def start_differences(b: Build) -> Iterator[str]:
    """What the core says of loads while disks spin up that comes to something else a second time,
    and limits that do not stand half as much again for these seconds."""
    doc = json.loads(b.model_dump_json())
    expected = [oracle_more.at_start(doc, bound) for bound in oracle.BOUNDS]
    found = {
        (r.wired.cable.key, e.kind, e.line, str(e.at), e.from_mm): e.judged
        for r in analyse(b).runs
        for e in r.elements
        if e.kind in _KINDS - {"drop"} and not e.at.between
    }
    if set(found) != set(expected[2]):
        yield f"other limits: {set(found) ^ set(expected[2])}"
        return
    for key, judged in found.items():
        for of, load in zip(expected, judged.loads[_START - 1 :], strict=False):
            if abs(of[key] - load) > 1e-9:
                yield f"{key}: {load} in place of {of[key]}"
        lasting = key[1] in ("grant", "house rule", "group")
        stands = 1.5 if judged.state == "start" and not lasting else 1.0
        if judged.limit != (None if judged.rated is None else judged.rated * stands):
            yield f"{key}: {judged.limit} of {judged.rated}"


def _within(kind: str) -> float:
    """Up to which share of its limit a load is well within it."""
    share = 1.0 if kind in ("grant", "house rule") else 0.6 if kind == "drop" else 0.8
    return share * 1.000001


def shelf(seed: int) -> Build:
    """Disks of up to three models on drive cables, some of them in the bays of a cage."""
    rng = random.Random(seed)
    models = [
        disk(
            rng.randint(1, 5),
            key=f"disk-{n}",
            start_12v_a=about(rng, rng.choice((1.5, 2.0, 2.6))),
            start_5v_a=about(rng, rng.choice((0.6, 1.4))),
            run_12v_a=about(rng, rng.choice((0.3, 0.9, 1.4))),
            run_5v_a=about(rng, rng.choice((0.5, 0.9))),
        )
        for n in range(rng.randint(1, 3))
    ]
    refs = [f"{m.key}#{i}/power" for m in models for i in range(1, m.count + 1)]
    rng.shuffle(refs)
    cages, into = [], []
    if len(refs) > 3 and rng.random() < 0.6:
        caged = [refs.pop() for _ in range(rng.randint(2, 4))]
        into.append("cage#1/in-1")
        bays = [f"bay-{i}" for i in range(1, len(caged) + 1)]
        inputs = [BackplaneInput(key="in-1", kind="sata", bays=tuple(bays[:2]))]
        if bays[2:]:
            inputs.append(BackplaneInput(key="in-2", kind="sata", bays=tuple(bays[2:])))
            into.append("cage#1/in-2")
        cages.append(
            Backplane(
                key="cage",
                name="Cage",
                inputs=tuple(inputs),
                connections=tuple(
                    Connection(plug=bay, socket=SocketRef.read(at))
                    for bay, at in zip(bays, caged, strict=True)
                ),
            )
        )
    into += refs
    rng.shuffle(into)
    laid = Laid(rng)
    for n in range(0, len(into), 4):
        several = [(f"p{i}", "whole", at) for i, at in enumerate(into[n : n + 4], 1)]
        laid.cables.append(sata_cable(f"sata-{n // 4}"))
        laid.runs.append(
            Run(
                cable=f"sata-{n // 4}",
                ports=(f"d{n // 4 + 1}",),
                connections=tuple(
                    Connection(plug=p, half="whole", socket=SocketRef.read(at))
                    for p, _, at in several
                ),
            )
        )
    limits = PortGroup(key="d", label="D", limit_a=20), PortGroup(key="g", label="G")
    return build(
        board(),
        *models,
        cables=tuple(laid.cables),
        runs=tuple(laid.runs),
        supply=supply(ports=panel(), groups=limits),
        backplanes=tuple(cages),
        spin_up_at_once=rng.choice((None, 1, 2, 3)),
    )


class DisksAtStart(unittest.TestCase):
    def test_every_load_of_every_run_of_disks(self) -> None:
        seen = 0
        for seed in seeds(150):
            b = shelf(seed)
            with self.subTest(seed=seed):
                self.assertEqual(list(start_differences(b)), [])
            seen += sum(len(r.elements) for r in analyse(b).runs)
        self.assertGreater(seen, 5_000)


class ThroughTheBoard(unittest.TestCase):
    def test_every_slot_and_every_header(self) -> None:
        seen = 0
        for seed in range(200):
            b = _desk(seed)
            expected = oracle_more.through_board(json.loads(taken(b).model_dump_json()))
            found: dict[tuple[str, str, str], list[oracle.Held]] = {}
            for e in analyse(b).board:
                if e.kind in ("slot", "header"):
                    held = oracle.Held(e.judged.loads[_FULL], e.judged.rated)
                    found.setdefault((e.kind, e.part, e.at), []).append(held)
            self.assertEqual(set(found), set(expected), f"seed {seed}")
            for key, several in found.items():
                for got, wanted in zip(several, expected[key], strict=True):
                    self.assertAlmostEqual(got.load, wanted.load, 9, f"seed {seed}: {key}")
                    self.assertEqual(got.limit, wanted.limit, f"seed {seed}: {key}")
            seen += len(found)
        self.assertGreater(seen, 800)


def _desk(seed: int) -> Build:
    """Cards in slots, and fans, pumps and lights on the board's headers."""
    rng = random.Random(seed)
    kinds = (
        ["fan"] * rng.randint(0, 3)
        + ["pump"] * rng.randint(0, 1)
        + (["lights-5v"] * rng.randint(0, 2) + ["lights-12v"] * rng.randint(0, 1))
    )
    headers = [
        Header(key=f"h-{i}", kind=kind, limit_a=rng.choice((exact(1), exact(3), None)))  # type: ignore[arg-type]
        for i, kind in enumerate(kinds)
    ]
    fans = [h.key for h in headers if h.kind == "fan"]
    named = tuple(rng.sample(fans, 1)) if fans and rng.random() < 0.3 else ()
    parts: list[Any] = [
        Fan(
            key="fan",
            name="Fan",
            count=rng.randint(1, 5),
            headers=named,
            rated_a=exact(rng.choice((0.1, 0.35))),
        ),
        Pump(key="pump", name="Pump", rated_a=exact(0.8)),
        LightStrip(
            key="strip",
            name="Strip",
            count=rng.randint(1, 3),
            rated_a=exact(1.1),
            volts=rng.choice((5, 12)),
        ),
    ]
    slots = tuple(Slot(key=f"slot-{n}") for n in (1, 2))
    cards = [made_card(rng, n) for n in (1, 2)]
    if rng.random() < 0.5:
        cards[0] = cards[0].model_copy(update={"slot": "slot-1"})
    kept = [p for p in parts if rng.random() < 0.8]
    return build(board(headers=tuple(headers), slots=slots), *cards, *kept)
