"""What is taken for a figure that a part does not have, from the one map of assumptions."""

from __future__ import annotations

from typing import Any

from ...base.declared import Figure
from ...base.series import ZERO, Span
from ...standards.connectors import is_coded
from ..parts import Card, Drive, Part
from .assumptions import Assumptions

#: Assumption of a drive's figure, by its form; a 2.5-inch drive takes nothing at 12 V.
_DRIVES: dict[str, dict[str, str]] = {
    "3.5": {
        "run_12v_a": "disk35_12v_a",
        "run_5v_a": "disk35_5v_a",
        "start_12v_a": "disk35_start_12v_a",
        "start_5v_a": "disk35_start_5v_a",
    },
    "2.5": {"run_5v_a": "drive25_5v_a"},
    "optical": {"run_12v_a": "optical_12v_a", "run_5v_a": "optical_5v_a"},
    "floppy": {"run_12v_a": "floppy_12v_a", "run_5v_a": "floppy_5v_a"},
}


def default_name(part: Part, field: str) -> str | None:
    """Name of the assumption that stands in for a figure of `part`; None where none does."""
    if isinstance(part, Drive):
        return _DRIVES[part.form].get(field)
    names = _extra(part, field)["default_from"]
    if isinstance(part, Card) and field == "slot_w":
        if not part.sockets:
            return None
        has_16pin = any(is_coded(s.kind) for s in part.sockets)
        return "slot_share_with_16pin_w" if has_16pin else "slot_share_with_8pin_w"
    return names[0] if names else None


def default(part: Part, field: str, assume: Assumptions) -> Span | None:
    """What is taken for a figure that `part` does not have, in its own unit; None where no
    default is honest. An assumed share is of the figure that it is a share of."""
    name = default_name(part, field)
    if name is None:
        runs = isinstance(part, Drive) and field.startswith("run_")
        return ZERO if runs else None
    span: Span = getattr(assume, name).span()
    whole = _extra(part, field)["share_of"]
    if whole is None:
        return span
    whole_span = taken(part, whole, assume)
    return None if whole_span is None else whole_span.by(span)


def taken(part: Part, field: str, assume: Assumptions) -> Span | None:
    """A figure as it counts: stated, or its default; board power at the power limit that is set."""
    figure: Figure | None = getattr(part, field)
    span = default(part, field, assume) if figure is None else figure.span()
    if isinstance(part, Card) and field == "board_power_w" and span is not None:
        return span.times(part.power_limit)
    return span


def _extra(part: Part, field: str) -> dict[str, Any]:
    extra = type(part).model_fields[field].json_schema_extra
    return extra if isinstance(extra, dict) else {}
