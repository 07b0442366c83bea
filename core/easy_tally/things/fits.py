"""Which plug goes into which socket, and why not, with numbers from the pin tables.

Source: ATX12V design guide and PCI Express CEM pin-outs (`standards/connectors.py`).
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import get_args

from ..standards.connectors import PLUGS, SOCKET_KINDS, Half, PlugKind, SocketKind
from . import wording


@dataclass(frozen=True, slots=True)
class Fit:
    """Whether a plug fits. `mated` is the pin-out that then counts; `warning` what to know. One
    that does not fit and is mated all the same stands so in builds of earlier versions."""

    fits: bool
    mated: SocketKind | None = None
    reason: str = ""
    warning: str = ""


def fit(plug: PlugKind, half: Half, socket: SocketKind, eps4_in_eps8: bool = False) -> Fit:
    """Tell whether `half` of `plug` goes into `socket`, and what it then counts as."""
    return _FITS[plug, half, socket, eps4_in_eps8]


def _fit(plug: PlugKind, half: Half, socket: SocketKind, eps4_in_eps8: bool) -> Fit:
    shape = PLUGS[plug]
    if half == "loose" and plug == "eps4+4" and socket == "eps4":
        return Fit(False, "eps4", reason=wording.SECOND_4)
    if half == "loose":
        return Fit(False, reason=wording.loose_words(plug, socket))
    as_kind = shape.whole if half == "whole" else shape.marked
    if as_kind is None:
        return Fit(False, reason=wording.no_halves(plug))
    if as_kind == "fdd4" and socket == "fdd4":
        return Fit(True, as_kind, warning=wording.BARE_PINS)
    if as_kind == socket:
        return Fit(True, as_kind)
    if as_kind == "atx20" and socket == "atx24":
        return Fit(True, "atx20", warning=wording.ONE_12V)
    if as_kind == "eps4" and socket == "eps8":
        if eps4_in_eps8:
            return Fit(True, "eps4", warning=wording.HALF_FILLED)
        return Fit(False, reason=wording.NOT_ALLOWED)
    return Fit(False, reason=wording.refusal_words(plug, as_kind, socket))


def best_half(plug: PlugKind, socket: SocketKind, eps4_in_eps8: bool = False) -> Half:
    """The half of `plug` to use in `socket`: whole where that fits, else the marked one."""
    if fit(plug, "whole", socket, eps4_in_eps8).fits or PLUGS[plug].marked is None:
        return "whole"
    return "marked" if fit(plug, "marked", socket, eps4_in_eps8).fits else "whole"


def goes_into(plug: PlugKind, socket: SocketKind, eps4_in_eps8: bool = False) -> bool:
    """Whether a plug, or a half of it, fits a socket."""
    return fit(plug, best_half(plug, socket, eps4_in_eps8), socket, eps4_in_eps8).fits


_FITS = {
    (plug, half, socket, easy): _fit(plug, half, socket, easy)
    for plug in PLUGS
    for half in get_args(Half)
    for socket in SOCKET_KINDS
    for easy in (False, True)
}
