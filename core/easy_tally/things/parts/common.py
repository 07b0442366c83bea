"""What parts are built of: figures that may be missing, sockets, headers, slots, signal ports.

Every figure may be missing. Where a default is honest (`assumptions.py`) the tally uses it and
marks it assumed; where none is, the tally reads unknown.
"""

from __future__ import annotations

from typing import Annotated, Any, ClassVar, Literal, Self

from pydantic import Field, model_validator

from ...base.declared import Amps, Identity, Key, Model, Name, Note, shown
from ...standards.connectors import SocketKind, SocketVersion
from ..boxed import InBox
from .traits import Traits


def known(
    text: str,
    *default_from: str,
    said: str,
    missed: str = "",
    share_of: str = "",
    needed: bool = False,
) -> Any:
    """A figure that may be missing; `default_from` names the assumptions, one of which is used
    then (see `defaults.py`), as a share of the figure `share_of` where that is named. A figure
    that is `needed` has none: without it totals read “at least”. `said`: the word that names it in
    a line and over its column; `missed`: what a catalogue's page is said to leave out."""
    extra = {
        "default_from": list(default_from),
        "share_of": share_of or None,
        "needed": needed,
        "said": said,
        "missed": missed,
    }
    return Field(default=None, description=text, json_schema_extra=extra)  # type: ignore[arg-type]


class Socket(Model):
    """A power input on a part."""

    key: Key
    kind: SocketKind
    required: bool = True
    version: Annotated[
        SocketVersion, Field(description="of a 16-pin socket: first (H+) or revised (H++)")
    ] = "revised"
    pins_12v: Annotated[
        int | None, Field(ge=1, le=6, description="12 V pins wired, where not the usual number")
    ] = None


HeaderKind = Literal["fan", "pump", "lights-5v", "lights-12v"]
HEADER_WORDS: dict[HeaderKind, str] = {
    "fan": "fan",
    "pump": "pump",
    "lights-5v": "5 V lights",
    "lights-12v": "12 V lights",
}


class Header(Model):
    """A power output on the board or on a hub; one for 5 V lights gives 5 V, the others 12 V."""

    key: Key
    kind: HeaderKind = "fan"
    limit_a: Annotated[Amps, Field(description="what the header gives at its volts")] = None
    speed: Annotated[
        bool | None, Field(description="whether the speed of what hangs on it is seen; none: usual")
    ] = None


class Slot(Model):
    """A slot on the board, by its wired lanes."""

    key: Key
    lanes: Literal[1, 4, 8, 16] = 16
    fed_by: Annotated[
        Key | None,
        Field(description="the board's socket that feeds it at 12 V, where the manual says so"),
    ] = None
    place: Annotated[
        int | None,
        Field(ge=1, le=16, description="the case's slot place that it lies behind, 1 the topmost"),
    ] = None


class M2Slot(Model):
    """An M.2 slot on the board, and the SATA data ports that go dead once a drive is in it."""

    key: Key
    off: Annotated[
        tuple[Annotated[int, Field(ge=1, le=32)], ...],
        Field(max_length=32, description="numbers of the SATA data ports that it switches off"),
    ] = ()

    @model_validator(mode="after")
    def _each_once(self) -> Self:
        if len(set(self.off)) < len(self.off):
            raise ValueError("every port that it switches off once")
        return self


def ports(kind: str, most: int = 8) -> Any:
    """How many signal ports of a kind a part has; none: not known."""
    return Field(default=None, ge=0, le=most, description=kind)


class WithSignals(Model):
    """Ports that carry signals: counted against what needs one, nothing is rated on them."""

    sata_ports: int | None = ports("SATA data ports", 32)
    usb2_headers: int | None = ports("internal USB 2 headers, 9-pin")
    usb3_headers: int | None = ports("internal USB 3 headers, 19-pin")
    usbc_headers: int | None = ports("internal USB-C headers for the front")
    audio_headers: int | None = ports("front audio headers")


class PartOfBuild(Model):
    """What every part of a build has."""

    traits: ClassVar[Traits]

    key: Key
    name: Name
    count: Annotated[int, Field(ge=1, le=64)] = 1
    note: Note = ""
    in_box: InBox = ()
    individual: Identity = ""
    exchanged: Annotated[
        tuple[Annotated[int, Field(ge=1, le=64)], ...],
        Field(
            max_length=200,
            description="instances exchanged for another of the same make, once for each time",
        ),
    ] = ()
    catalogue: Annotated[
        str,
        Field(
            pattern=r"^([a-z0-9][a-z0-9-]{0,59}@[1-9][0-9]{0,3})?$",
            description="slug@revision of the catalogue entry that it was copied from, if any",
        ),
    ] = ""


class FedThroughBoard(PartOfBuild):
    """A part without a power input of its own."""

    @property
    def sockets(self) -> tuple[Socket, ...]:
        """Power inputs of one instance: none, it is fed through the board."""
        return ()


class WithSockets(PartOfBuild):
    """A part that has power inputs, or may have."""

    sockets: Annotated[tuple[Socket, ...], Field(max_length=16)] = ()

    @model_validator(mode="after")
    def _keys_differ(self) -> Self:
        keys = [s.key for s in self.sockets]
        if len(set(keys)) < len(keys):
            raise ValueError("every socket of a part a key of its own")
        return self


def own_spikes(share_of: str) -> Any:
    """A part's own spike factors in the four windows, on what a text names."""
    return Field(
        default=None,
        min_length=4,
        max_length=4,
        description=f"its own factors on {share_of} at 0.1, 1, 10 and 100 ms",
    )


SpikeFactor = Annotated[float, Field(ge=1, le=5)]


def usb_lead() -> Any:
    """Whether a controller has a lead for an internal USB header."""
    return Field(
        default=None,
        description=(
            "whether its controller has a lead for an internal USB 2 header; none: not known"
        ),
        **shown(
            "Lead for an internal USB header",
            words={None: "not known", True: "has one", False: "has none"},
        ),
    )
