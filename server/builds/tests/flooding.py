"""What a flood is made of: files broken in many ways, and requests with generated input for every
operation of the interface. The same seed gives the same flood. Knows no Django."""

from __future__ import annotations

import copy
import json
import random
from collections.abc import Iterator
from dataclasses import dataclass
from typing import Any

_ODD: tuple[Any, ...] = (
    None,
    True,
    0,
    -1,
    1e308,
    2**70,
    "",
    "x" * 300,
    "'; --",
    "\u202e",
    "=1+1",
    [],
    [[]],
    {},
    {"a": {}},
    "NaN",
    "../../etc",
    "0" * 50,
)
_BITS = ('"', "{", "}", "[", "]", ",", ":", "null", "1e999", "-", "\\", "\\ud800", "\x00", "é")


def broken_files(text: str, seed: int, count: int) -> Iterator[str]:
    """A file with bytes changed, pieces cut out, doubled or moved, and values put in."""
    rng = random.Random(seed)
    value = json.loads(text)
    for i in range(count):
        if i % 2:
            yield json.dumps(_swapped(json.loads(text), rng))
            continue
        found = json.dumps(value) if i % 4 else text
        for _ in range(rng.randint(1, 4)):
            at = rng.randrange(len(found))
            to = min(len(found), at + rng.randint(1, 200))
            found = rng.choice(
                (
                    found[:at] + rng.choice(_BITS) + found[at:],
                    found[:at] + found[to:],
                    found[:to] + found[at:to] + found[to:],
                    found[:at] + chr(rng.randrange(32, 127)) + found[at + 1 :],
                )
            )
        yield found


def _swapped(value: Any, rng: random.Random) -> Any:
    """A file with some values in the place of others."""
    for _ in range(rng.randint(1, 3)):
        at: Any = value
        while True:
            keys = list(at) if isinstance(at, dict) else list(range(len(at)))
            if not keys:
                break
            key = rng.choice(keys)
            if isinstance(at[key], dict | list) and at[key] and rng.random() < 0.8:
                at = at[key]
                continue
            if rng.random() < 0.2 and isinstance(at, dict):
                del at[key]
            else:
                at[key] = copy.deepcopy(rng.choice(_ODD))
            break
    return value


@dataclass(frozen=True, slots=True)
class Asked:
    """A request with generated input, and the statuses that its operation documents."""

    operation: str
    method: str
    path: str
    query: dict[str, str]
    body: Any
    documented: frozenset[int]


def requests(described: dict[str, Any], key: str, seed: int, each: int) -> Iterator[Asked]:
    """Requests for every operation of a described interface; `key`: of a build that is there."""
    rng = random.Random(seed)
    schemas = described["components"]["schemas"]
    for path, methods in described["paths"].items():
        for method, operation in methods.items():
            statuses = frozenset(int(s) for s in operation["responses"])
            content = operation.get("requestBody", {}).get("content", {})
            schema = content.get("application/json", {}).get("schema")
            for _ in range(each):
                filled, query = path, {}
                for p in operation.get("parameters", ()):
                    made = _made(p["schema"], schemas, rng, 0)
                    if p["in"] == "path":
                        there = key if p["name"] == "key" and rng.random() < 0.9 else str(made)
                        there = there.replace("/", "x").replace("#", "x").replace("?", "x") or "x"
                        filled = filled.replace("{" + p["name"] + "}", there[:60])
                    elif rng.random() < 0.7:
                        query[p["name"]] = str(made)
                body = _made(schema, schemas, rng, 0) if schema else None
                yield Asked(operation["operationId"], method, filled, query, body, statuses)


def _made(schema: dict[str, Any], schemas: dict[str, Any], rng: random.Random, deep: int) -> Any:
    """A value for a schema, now and then one that does not fit."""
    if rng.random() < 0.06:
        return rng.choice(_ODD)
    if "$ref" in schema:
        return _made(schemas[schema["$ref"].rsplit("/", 1)[1]], schemas, rng, deep + 1)
    for of in ("anyOf", "oneOf", "allOf"):
        if of in schema:
            return _made(rng.choice(schema[of]), schemas, rng, deep + 1)
    if "const" in schema:
        return schema["const"]
    if "enum" in schema:
        return rng.choice(schema["enum"])
    match schema.get("type"):
        case "object":
            if deep > 7:
                return {}
            own = schema.get("properties", {})
            needed = set(schema.get("required", ()))
            return {
                k: _made(s, schemas, rng, deep + 1)
                for k, s in own.items()
                if k in needed or rng.random() < 0.4
            }
        case "array":
            items = schema.get("items", {})
            return [_made(items, schemas, rng, deep + 1) for _ in range(rng.randint(0, 3))]
        case "integer":
            return rng.choice((0, 1, 2, 7, rng.randint(-5, 5000)))
        case "number":
            return rng.choice((0, 0.5, 12, 250.25, rng.uniform(-10, 4000)))
        case "boolean":
            return rng.random() < 0.5
        case "null":
            return None
    return rng.choice(("x", "card-1", "fan 120 x5", "board#1/main", "v12", "a" * 20))
