"""Kinds of parts by their declaration: each is said, listed, drawn, mapped and plugged by it."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis import analyse
from easy_tally.bench import steps
from easy_tally.entry import parse, say
from easy_tally.mapping import Wish, applied, solve
from easy_tally.tally.loads import loads_of_part
from easy_tally.things.build import Build
from easy_tally.things.parts import KINDS, PART_KINDS, DeclaredField, Part
from easy_tally.wiring import Wired

from .test_bench import _demo

#: A line of each kind, fed by a plug of its own where it may be.
LINES = {
    "processor": "processor 120w",
    "board": "board 8pin",
    "card": "card 16pin 300w",
    "memory": "memory ddr5 x2",
    "m2": "m.2 7w",
    "drive": "disk sata",
    "fan": "fan 120 sata 0.2a",
    "pump": "pump peripheral 0.6a",
    "cooler": "cooler sata",
    "strip": "strip 5v sata 0.5a",
    "hub": "hub sata",
    "usb": "usb 3w",
    "other": "load sata 5v:5w",
}


def _part(kind: str) -> Part:
    part = parse(LINES[kind]).part
    assert part is not None, kind
    return part


def _with(build: Build, part: Part) -> Build:
    named = part.model_copy(update={"key": "tern", "name": "Tern"})
    return build.model_copy(update={"parts": (*build.parts, named)})


class Declared(unittest.TestCase):
    def test_there_is_a_line_of_each_kind_here(self) -> None:
        self.assertEqual(set(LINES), set(KINDS))
        self.assertEqual(len(PART_KINDS), len(KINDS))

    def test_a_fan_by_hand(self) -> None:
        """A figure with its word and its default; a size in whole mm; air within 1,000 m³/h that
        may be missing; a side and a way, chosen, that may be unknown."""
        shapes = {f.name: (f.shape, f.unit, f.may_miss) for f in KINDS["fan"].fields}
        self.assertEqual(
            shapes,
            {
                "rated_a": ("figure", "A", True),
                "size_mm": ("whole", "mm", False),
                "flow_m3h": ("number", "m³/h", True),
                "side": ("choice", "", True),
                "blows": ("choice", "", True),
            },
        )
        _, rated, flow, _, blows = KINDS["fan"].fields
        self.assertEqual(
            (rated.said, rated.default_from, rated.missed), ("rated", ("fan_a",), "amps")
        )
        self.assertEqual((flow.minimum, flow.maximum), (0, 1000))
        self.assertEqual(
            blows.choices,
            ((None, "not known"), ("in", "into the case"), ("out", "out of the case")),
        )

    def test_every_choice_is_a_value_that_its_field_takes(self) -> None:
        for kind, declared in KINDS.items():
            part = _part(kind)
            for f in declared.fields:
                for value, words in f.choices:
                    with self.subTest(kind=kind, field=f.name, value=value):
                        self.assertTrue(words)
                        self.assertEqual(getattr(_set(part, f.name, value), f.name), value)

    def test_a_choice_leaves_out_no_value(self) -> None:
        """What is declared as one of some words is offered whole: nothing can be had by the file
        alone."""
        for kind, declared in KINDS.items():
            fields: dict[str, Any] = type(_part(kind)).model_json_schema()["properties"]
            for f in declared.fields:
                schema = fields[f.name]
                options = [schema, *schema.get("anyOf", [])]
                enum = next((o["enum"] for o in options if "enum" in o), [])
                with self.subTest(kind=kind, field=f.name):
                    self.assertLessEqual(set(enum), {value for value, _ in f.choices})

    def test_what_has_a_word_is_said_and_read_back(self) -> None:
        for kind, declared in KINDS.items():
            for f in declared.fields:
                if f.shape == "figure" or not f.said:
                    continue
                for value in _values(f):
                    part = _set(_part(kind), f.name, value)
                    with self.subTest(kind=kind, field=f.name, value=value):
                        self.assertEqual(parse(say(part)).part, part)
                        self.assertIn("{}", f.told)


def _values(f: DeclaredField) -> list[Any]:
    if f.choices:
        return [value for value, _ in f.choices]
    return [f.minimum or 1, f.maximum]


def _set(part: Part, field: str, value: Any) -> Part:
    changed: Part = type(part).model_validate(part.model_dump() | {field: value})
    return changed


class Everywhere(unittest.TestCase):
    def test_each_draws(self) -> None:
        """One of each kind, its figures said or usual: it has loads, and some watt of them."""
        for kind in KINDS:
            part = _part(kind)
            loads = loads_of_part(part, Wired(_with(_demo("heron"), part)))
            with self.subTest(kind):
                self.assertGreater(sum(x.spans.full.likely for x in loads), 0)

    def test_each_with_a_plug_is_mapped_and_plugged_at_the_bench(self) -> None:
        for kind, declared in KINDS.items():
            if kind in ("board", "card") or not declared.has_sockets:
                continue
            with self.subTest(kind):
                build = _with(_demo("dunlin"), _part(kind))
                found = solve(build, Wish(partial=True))
                assert found is not None
                mapped = analyse(applied(build, found), 2026)
                fed = [r for r in mapped.wired.feeds if r.startswith("tern#")]
                plugged = [s.title for s in steps(mapped) if s.joint and "Tern" in s.title]
                self.assertEqual((len(fed), len(plugged)), (1, 1), plugged)

    def test_each_that_hangs_on_a_header_is_put_onto_it_at_the_bench(self) -> None:
        for kind in (k for k, declared in KINDS.items() if declared.hangs):
            with self.subTest(kind):
                part = _set(_part(kind), "sockets", ())
                made = steps(analyse(_with(_demo("dunlin"), part), 2026))
                self.assertEqual([s.id for s in made if s.id == "header:tern"], ["header:tern"])
