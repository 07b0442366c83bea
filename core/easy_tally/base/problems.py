"""Validation errors as (field, what is required, what was got)."""

from __future__ import annotations

import re
from typing import Any

from pydantic import ValidationError

_MOST = 20
#: How the messages of validation begin, which say it of “input”.
_SHOULD = re.compile(r"^(input|string|tuple|list|dictionary) should (be |have )?")


def problems_of(error: ValidationError, where: str = "") -> list[tuple[str, str, str]]:
    """The problems of a validation error, each with the path of its field, at most twenty."""
    problems = []
    for item in error.errors(include_url=False)[:_MOST]:
        path = ".".join(str(x) for x in (where, *item["loc"]) if x != "")
        problems.append((path or "build", _required(dict(item)), _got(item.get("input"))))
    return problems


def _required(item: dict[str, Any]) -> str:
    kind = item["type"]
    if kind == "value_error":
        return str(item["ctx"]["error"])
    if kind == "extra_forbidden":
        return "no field of this name"
    if kind == "missing":
        return "this field"
    if kind == "string_pattern_mismatch":
        return f"the pattern {item['ctx']['pattern']}"
    text = str(item["msg"])
    text = _SHOULD.sub("", text[:1].lower() + text[1:])
    return text.replace("less than or equal to", "at most").replace(
        "greater than or equal to", "at least"
    )


def _got(value: Any) -> str:
    if hasattr(value, "model_dump"):
        value = value.model_dump(mode="json")
    if isinstance(value, dict) and {"low", "likely", "high"} <= value.keys():
        low, likely, high = value["low"], value["likely"], value["high"]
        return f"{likely}" if low == likely == high else f"{low} to {high}, likely {likely}"
    if isinstance(value, dict):  # a whole thing, by what it is called
        called = next((value[k] for k in ("name", "label", "key") if value.get(k)), None)
        return f"“{str(called)[:78]}”" if called else f"one of {len(value)} fields"
    text = repr(value)
    return text if len(text) <= 80 else text[:77] + "…"
