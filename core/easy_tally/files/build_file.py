"""The build file, `*.tally.json`: read whole or not at all, written in canonical form."""

from __future__ import annotations

import json
import re
from collections.abc import Callable
from typing import Any

from pydantic import ValidationError

from ..base.errors import BadFile
from ..base.problems import problems_of
from ..things.build import FORMAT, FORMAT_VERSION, Build
from .canonical import to_text

#: Largest file that is read, in characters; a build of 400 parts takes a tenth of it.
MOST_CHARACTERS = 4_000_000

#: Digits of a number, brackets in brackets, values in all at the most; a build of 400 parts with
#: 2,000 sockets has a third of them.
MOST_DIGITS, MOST_DEPTH, MOST_VALUES = 400, 200, 150_000
#: Half of a surrogate pair, as it stands or as an escape.
_LONE = re.compile(
    r"[\ud800-\udfff]"
    r"|(?<!\\)(?:\\\\)*\\u[dD](?:[89abAB][0-9a-fA-F]{2}(?!\\u[dD][c-fC-F][0-9a-fA-F]{2})"
    r"|(?<!\\u[dD][89abAB]..\\u[dD])[c-fC-F][0-9a-fA-F]{2})"
)
_BRACKET = re.compile(r'"(?:[^"\\]|\\.)*"|[\[\]{}]')
#: Pure upgrades of the parsed file, n → n + 1, by n. Version 1 is the first.
UPGRADES: dict[int, Callable[[dict[str, Any]], dict[str, Any]]] = {}


def read(text: str) -> Build:
    """The build that a file's text holds.

    Raises BadFile with the place, what is required there, and what was got.
    """
    if len(text) > MOST_CHARACTERS:
        raise BadFile([("file", f"at most {MOST_CHARACTERS:,} characters", f"{len(text):,}")])
    value = _parse(text)
    for version in range(value["version"], FORMAT_VERSION):
        value = UPGRADES[version](value)
    try:
        build = Build.model_validate_json(json.dumps(value))
    except ValidationError as error:
        raise BadFile(problems_of(error)) from error
    return in_order(build)


def _parse(text: str) -> dict[str, Any]:
    if lone := _LONE.search(text):
        need = "whole characters"
        raise BadFile([(_place(text, lone.start()), need, "half of a pair (a lone surrogate)")])
    try:
        value = json.loads(
            text, parse_constant=_no_constant, object_pairs_hook=_no_twins, parse_int=_number,
            parse_float=_number,
        )  # fmt: skip
    except _EndlessNumber as error:
        where = _place(text, text.index(str(error)))
        got = f"{len(str(error)):,} digits"
        raise BadFile([(where, f"numbers of at most {MOST_DIGITS} digits", got)]) from error
    except json.JSONDecodeError as error:
        where = f"line {error.lineno}, column {error.colno}"
        raise BadFile([(where, "JSON", error.msg)]) from error
    except RecursionError as error:
        raise BadFile(
            [(_too_deep(text), "JSON nested less deeply", "too many brackets")]
        ) from error
    _bounded(value)
    if not isinstance(value, dict) or value.get("format") != FORMAT:
        found = value.get("format") if isinstance(value, dict) else type(value).__name__
        raise BadFile([("format", f'"{FORMAT}"', repr(found)[:80])])
    version = value.get("version")
    if type(version) is not int or not 1 <= version <= FORMAT_VERSION:
        required = f"a whole number from 1 to {FORMAT_VERSION}"
        raise BadFile([("version", required, repr(version)[:80])])
    return value


class _EndlessNumber(ValueError):
    """A number with more digits than any figure has."""


def _number(text: str) -> int | float:
    if len(text) > MOST_DIGITS:
        raise _EndlessNumber(text)
    return float(text) if set(text) & set(".eE") else int(text)


def _place(text: str, at: int) -> str:
    line = text.count("\n", 0, at) + 1
    return f"line {line}, column {at - text.rfind(chr(10), 0, at)}"


def _too_deep(text: str) -> str:
    """Where brackets stand deeper than any of ours."""
    depth = 0
    for found in _BRACKET.finditer(text):
        depth += {"[": 1, "{": 1, "]": -1, "}": -1}.get(found[0], 0)
        if depth > MOST_DEPTH:
            return _place(text, found.start())
    return "file"


def _bounded(value: Any) -> None:
    """Raises BadFile for more values than a build has: each would be a problem of its own."""
    waiting, count = [value] if isinstance(value, dict | list) else [], 0
    while waiting:
        found = waiting.pop()
        inner = found.values() if isinstance(found, dict) else found
        count += len(inner)
        if count > MOST_VALUES:
            raise BadFile([("file", f"at most {MOST_VALUES:,} values", "more")])
        waiting += [x for x in inner if isinstance(x, dict | list)]


def _no_constant(name: str) -> float:
    raise BadFile([("file", "finite numbers", name)])


def _no_twins(pairs: list[tuple[str, Any]]) -> dict[str, Any]:
    found: dict[str, Any] = {}
    for key, value in pairs:
        if key in found:
            raise BadFile([(key, "each key once in an object", "it twice")])
        found[key] = value
    return found


def in_order(build: Build) -> Build:
    """Runs in the order of the cables and connections in the order of the plugs."""
    cables = {c.key: i for i, c in enumerate(build.cables)}
    runs = []
    for run in sorted(build.runs, key=lambda r: cables[r.cable]):
        plugs = {p.key: i for i, p in enumerate(build.cables[cables[run.cable]].plugs)}
        connections = tuple(sorted(run.connections, key=lambda c: (plugs[c.plug], c.half)))
        runs.append(run.model_copy(update={"connections": connections}))
    return build.model_copy(update={"runs": tuple(runs)})


def write(build: Build) -> str:
    """The canonical text of a build's file."""
    return to_text(build.model_dump(mode="json"))


def schema() -> dict[str, Any]:
    """The JSON Schema of the build file, made from the declarations that validate it."""
    made = Build.model_json_schema()
    made["$schema"] = "https://json-schema.org/draft/2020-12/schema"
    made["title"] = "Easy Tally build file"
    return made
