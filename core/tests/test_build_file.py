"""The build file: read whole or not at all, written byte for byte."""

from __future__ import annotations

import json
import unittest
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import jsonschema
from easy_tally.base.errors import BadFile
from easy_tally.files import build_file
from easy_tally.files.canonical import to_text
from easy_tally.standards.connectors import CONNECTORS, PLUGS
from easy_tally.standards.unmeasured import lead_pins
from easy_tally.things.adapters import Extension
from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, RailPins
from easy_tally.things.supply import Port
from pydantic import BaseModel

ROOT = Path(__file__).resolve().parent.parent.parent
DATA = ROOT / "core/tests/data"
EVERY = (DATA / "every-field.v2.tally.json").read_text(encoding="utf-8")
HERON = (ROOT / "demo/builds/heron.tally.json").read_text(encoding="utf-8")


def _set_fields(thing: Any) -> Iterator[tuple[str, str]]:
    """(type, field) of every field below `thing` that differs from its default."""
    if isinstance(thing, tuple):
        for item in thing:
            yield from _set_fields(item)
    if not isinstance(thing, BaseModel):
        return
    for name, field in type(thing).model_fields.items():
        value = getattr(thing, name)
        if field.is_required() or value != field.default:
            yield type(thing).__name__, name
        yield from _set_fields(value)


def _all_fields(thing: Any) -> set[tuple[str, str]]:
    found: set[tuple[str, str]] = set()
    if isinstance(thing, tuple):
        for item in thing:
            found |= _all_fields(item)
    if isinstance(thing, BaseModel):
        for name in type(thing).model_fields:
            found |= {(type(thing).__name__, name)} | _all_fields(getattr(thing, name))
    return found


def _problem(text: str) -> tuple[str, str, str]:
    try:
        build_file.read(text)
    except BadFile as error:
        return error.problems[0]
    raise AssertionError("it was read")


def _changed(**changes: Any) -> str:
    return json.dumps(json.loads(HERON) | changes)


class RoundTrip(unittest.TestCase):
    def test_saving_an_opened_file_gives_its_bytes(self) -> None:
        for text in (EVERY, HERON):
            self.assertEqual(build_file.write(build_file.read(text)), text)

    def test_the_sample_sets_every_field(self) -> None:
        """A field added to the declarations has to be added to the sample too."""
        sample = build_file.read(EVERY)
        fixed = {("Build", "format"), ("Build", "version"), ("Board", "count"), ("Hub", "count")}
        kinds = {(type(p).__name__, "kind") for p in sample.parts}
        missing = _all_fields(sample) - set(_set_fields(sample)) - fixed - kinds
        self.assertEqual(missing, set())

    def test_effective_rules_and_assumptions_are_inside(self) -> None:
        written = json.loads(build_file.write(Build(name="Empty")))
        self.assertEqual(written["house_rules"]["chained_graphics"], "by plug")
        self.assertEqual(written["assumptions"]["regulator_efficiency"], 0.9)

    def test_other_order_of_runs_is_put_in_order(self) -> None:
        value = json.loads(HERON)
        value["runs"].reverse()
        self.assertEqual(build_file.write(build_file.read(json.dumps(value))), HERON)

    def test_files_hold_to_the_published_schema(self) -> None:
        schema = json.loads((ROOT / "docs/build-file.schema.json").read_text(encoding="utf-8"))
        for text in (EVERY, HERON):
            jsonschema.Draft202012Validator(schema).validate(json.loads(text))


class Upgrades(unittest.TestCase):
    """Files of the first version, kept as it wrote them."""

    def test_every_field_of_the_first_version_is_taken_along(self) -> None:
        old = json.loads((DATA / "every-field.v1.tally.json").read_text(encoding="utf-8"))
        now = json.loads(build_file.write(build_file.read(json.dumps(old))))
        self.assertEqual(
            now.pop("case"), old.pop("case") | {"size": None, "in_box": [], "individual": ""}
        )
        for owner in (now["supply"], *now["parts"]):
            self.assertEqual(owner.pop("in_box"), [])
        for part in now["parts"]:
            self.assertEqual((part.pop("individual"), part.pop("exchanged")), ("", []))
        lists = ("cables", "adapters", "extensions", "backplanes")
        for thing in (now["supply"], now["bracket"], *(t for name in lists for t in now[name])):
            self.assertIsNone(thing.pop("to_buy"))
            self.assertEqual(thing.pop("individual"), "")
        for name in ("cables", "adapters", "extensions"):  # of which nobody had said the conductors
            for thing, was in zip(now[name], old[name], strict=True):
                if not any(was["conductors"].values()):
                    was["conductors"] = thing["conductors"]
                if "supply_end" in was and not any(was["supply_end"]["pins"].values()):
                    was["supply_end"] = thing["supply_end"]
        self.assertEqual(now.pop("house_rules").pop("little_short"), "worth a look")
        old.pop("house_rules")
        self.assertEqual(now, old | {"version": 2})

    def test_what_nobody_had_said_is_missing(self) -> None:
        """No conductors at all were those that were left out; a gauge that is written was said."""
        old = json.loads((DATA / "every-field.v1.tally.json").read_text(encoding="utf-8"))
        none = dict.fromkeys(("v12", "v5", "v3v3", "v5sb", "ground"), 0)
        cable = next(c for c in old["cables"] if c["needs"])
        cable |= {"conductors": none, "gauge": 20}
        cable["supply_end"] |= {"pins": none}
        read = build_file.read(json.dumps(old)).cable(cable["key"])
        assert read is not None
        whole = CONNECTORS[PLUGS[read.plugs[0].kind].whole]
        self.assertEqual(read.conductors, RailPins(**lead_pins(whole)))
        self.assertEqual((read.supply_end.pins, read.gauge), (read.conductors, 20))


class LeftOut(unittest.TestCase):
    """What a file leaves out is missing: taken as usual where it is judged, never as said."""

    def test_a_gauge_a_distance_a_grade(self) -> None:
        plugs = [{"key": "a", "kind": "pcie6+2"}, {"key": "b", "kind": "pcie6+2", "at_mm": None}]
        value = {"key": "c", "name": "C", "family": "x", "needs": ["graphics"], "plugs": plugs}
        cable = Cable.model_validate(value)
        self.assertEqual((cable.gauge, cable.plugs[0].at_mm, cable.plugs[1].at_mm), (None,) * 3)
        self.assertEqual((cable.plugs[0].grade, cable.supply_end.grade), (None, None))

    def test_pins_follow_from_the_plug(self) -> None:
        """An 8-pin graphics plug: 3 of 12 V and 3 of ground; a SATA lead one a rail, 2 of ground; a
        graphics port 8 circuits, 3 of 12 V."""
        plug = [{"key": "a", "kind": "pcie6+2"}]
        cable = Cable.model_validate(
            {"key": "c", "name": "C", "family": "x", "needs": ["graphics"], "plugs": plug}
        )
        self.assertEqual((cable.conductors.v12, cable.conductors.ground), (3, 3))
        self.assertEqual((cable.supply_end.circuits, cable.supply_end.pins.v12), (8, 3))
        lead = Extension.model_validate({"key": "e", "name": "E", "kind": "sata"})
        self.assertEqual((lead.conductors.v12, lead.conductors.ground), (1, 2))
        port = Port.model_validate({"key": "p", "label": "P", "kind": "drive"})
        self.assertEqual((port.circuits, port.pins_12v), (6, 1))


class Canonical(unittest.TestCase):
    def test_whole_numbers_have_no_fraction(self) -> None:
        self.assertEqual(to_text([1.0, 0.5, 2]), "[1, 0.5, 2]\n")

    def test_what_fits_stands_on_one_line(self) -> None:
        long = {"a": ["x" * 60, "y" * 60]}
        self.assertEqual(to_text(long).count("\n"), 6)
        self.assertEqual(json.loads(to_text(long)), long)


class BadFiles(unittest.TestCase):
    def test_not_json_gives_the_place(self) -> None:
        self.assertEqual(_problem('{"format": ')[0], "line 1, column 12")

    def test_other_format(self) -> None:
        self.assertEqual(
            _problem('{"format": "recipe"}'), ("format", '"easy-tally-build"', "'recipe'")
        )
        self.assertEqual(_problem("[]")[0], "format")

    def test_newer_version(self) -> None:
        self.assertEqual(
            _problem(_changed(version=3)), ("version", "a whole number from 1 to 2", "3")
        )
        self.assertEqual(_problem(_changed(version=True))[0], "version")

    def test_unknown_key_with_its_path(self) -> None:
        value = json.loads(HERON)
        value["parts"][0]["colour"] = "red"
        self.assertEqual(
            _problem(json.dumps(value)), ("parts.0.board.colour", "no field of this name", "'red'")
        )

    def test_figure_out_of_order(self) -> None:
        value = json.loads(HERON)
        value["parts"][1]["package_w"]["low"] = 500
        field, required, _ = _problem(json.dumps(value))
        self.assertEqual((field, required), ("parts.1.processor.package_w", "low ≤ likely ≤ high"))

    def test_negative_and_absurd_figures(self) -> None:
        for bad in (-1, 99_999):
            value = json.loads(HERON)
            value["parts"][1]["package_w"] = {"low": bad, "likely": bad, "high": bad}
            self.assertEqual(_problem(json.dumps(value))[1], "between 0 and 3000 W")

    def test_not_a_number(self) -> None:
        self.assertEqual(_problem(HERON.replace('"headroom": 0.2', '"headroom": NaN'))[2], "NaN")

    def test_a_key_twice(self) -> None:
        text = HERON.replace('"name": "Heron"', '"name": "Heron", "name": "Egret"')
        self.assertEqual(_problem(text), ("name", "each key once in an object", "it twice"))

    def test_too_long_and_too_deep(self) -> None:
        self.assertEqual(_problem(" " * 4_000_001)[0], "file")
        self.assertEqual(_problem("[" * 200_000)[0], "line 1, column 201")
        deep = '{"format": "easy-tally-build",\n "note": ' + "[" * 100_000 + "]" * 100_000 + "}"
        self.assertEqual(_problem(deep)[0], "line 2, column 209")
        self.assertEqual(_problem('{"version":\n ' + "9" * 4301 + "}")[0], "line 2, column 2")
        for half in (r"\ud800", r"\udc00x", "\ud800", r"\ud83d\ude00\ude00"):
            where, need, _ = _problem('{"name": "' + half + '"}')
            self.assertEqual(
                (where.split(",")[0], need),
                ("name", "text: letters, digits, signs, tabs and line feeds"),
            )
        self.assertEqual(_problem(r'{"name": "\ud83d\ude00 \\ud800"}')[0], "format")

    def test_a_million_of_anything_is_one_problem(self) -> None:
        for of in ("[]", "{}", "1", '""', "null"):
            for field in ("parts", "runs", "cables"):
                text = f'{{"format":"easy-tally-build","version":1,"name":"x","{field}":['
                found = _problem(text + ",".join([of] * 200_000) + "]}")
                self.assertEqual(found[:2], ("file", "at most 150,000 values"))

    def test_every_list_has_a_bound_and_so_has_the_whole(self) -> None:
        def unbounded(node: Any, path: str) -> list[str]:
            if isinstance(node, list):
                return [x for i, n in enumerate(node) for x in unbounded(n, f"{path}.{i}")]
            if not isinstance(node, dict):
                return []
            own = [path] if node.get("type") == "array" and "maxItems" not in node else []
            return own + [x for k, n in node.items() for x in unbounded(n, f"{path}.{k}")]

        self.assertEqual(unbounded(build_file.schema(), ""), [])
        sockets = [{"key": f"s{i}", "kind": "sata"} for i in range(16)]
        disk = {"kind": "drive", "name": "Disk", "count": 64, "sockets": sockets}
        for n, fits in ((1, True), (2, False)):
            parts = [disk | {"key": f"d{i}"} for i in range(n)]
            body = {"format": "easy-tally-build", "version": 1, "name": "x", "parts": parts}
            if fits:
                self.assertEqual(len(list(build_file.read(json.dumps(body)).sockets())), 1024)
            else:
                self.assertIn("at most 2,000 sockets", str(_problem(json.dumps(body))))

    def test_dangling_references(self) -> None:
        def plug(v: Any, run: int, place: int = 0) -> Any:
            return v["runs"][run]["connections"][place]

        for change, expected in (
            (lambda v: v["runs"][0].update(cable="gone"), "there is no gone"),
            (lambda v: v["runs"][0].update(ports=["b1", "zz"]), "it has no zz"),
            (lambda v: v["runs"][0].update(ports=["b1"]), "2 ports, got 1"),
            (lambda v: v["runs"][1].update(ports=["b1"]), "B1 is used twice"),
            (lambda v: v["runs"][1].update(ports=["d2"]), "D2 is drive"),
            (lambda v: plug(v, 1).update(plug="q"), "it has no q"),
            (lambda v: plug(v, 4, 1)["socket"].update(instance=1), "one plug in a socket"),
            (lambda v: plug(v, 4, 1).update(plug="p1"), "one use of plug p1"),
            (lambda v: plug(v, 4)["socket"].update(instance=9), "there is no disk#9/power"),
            (lambda v: plug(v, 1)["socket"].update(part="card-2", socket="a"), "a plug that fits"),
            (lambda v: v["supply"].update(family="Other"), "pinout family Other"),
            (lambda v: v.update(supply=None), "a supply to be plugged into"),
            (lambda v: v["parts"][2].update(key="board"), "board is used twice"),
            (lambda v: v["parts"][7].update(headers=["fan-9"]), "it has no fan-9"),
        ):
            value = json.loads(HERON)
            change(value)
            with self.subTest(expected):
                self.assertIn(expected, _problem(json.dumps(value))[1])
