"""JSON in one canonical form: the same thing is always the same bytes.

Keys in the order of the declarations; whole numbers without a fraction; what fits on a line of
100 columns stands on one line, so that a difference of two files reads well.
"""

from __future__ import annotations

import json
from typing import Any

_WIDTH = 100


def to_text(value: Any) -> str:
    """Canonical text of a JSON value, with a newline at its end."""
    return _lay(_whole(value), 0, 0) + "\n"


_flat = json.JSONEncoder(ensure_ascii=False, allow_nan=False).encode


def _whole(value: Any) -> Any:
    """A value whose whole numbers have no fraction."""
    if isinstance(value, dict):
        return {k: _whole(v) for k, v in value.items()}
    if isinstance(value, list):
        return [_whole(v) for v in value]
    if isinstance(value, float) and value.is_integer() and abs(value) < 1e15:
        return int(value)
    return value


def _lay(value: Any, indent: int, taken: int) -> str:
    flat = _flat(value)
    if not isinstance(value, dict | list) or not value or indent + taken + len(flat) <= _WIDTH:
        return flat
    pad = " " * (indent + 2)
    if isinstance(value, dict):
        rows = [
            f"{pad}{(name := _flat(k))}: {_lay(v, indent + 2, len(name) + 3)}"
            for k, v in value.items()
        ]
        return "{\n" + ",\n".join(rows) + f"\n{' ' * indent}}}"
    return "[\n" + ",\n".join(pad + _lay(v, indent + 2, 1) for v in value) + f"\n{' ' * indent}]"
