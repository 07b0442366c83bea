"""What is found on signal ports: too few, not known, slots better left free, speeds not seen."""

from __future__ import annotations

import math
from collections.abc import Iterator
from typing import Any

from ..editing import AddPart, ChangeBuild, ChangePart
from ..standards.signals import FRONT_FIELDS, SIGNAL_FIELDS, SignalKind
from ..standards.usual import PLAIN_CARD_W, USB_W, usual
from ..tally.signals import Item, SignalCount
from ..things.parts import Card, Fan, Hub, UsbLoad
from .facts import Analysis
from .finding import Finding, Remedy, Subject

#: Kind → (name in what is usual, sizes that such a card is sold with). Source: the field.
_CARDS: dict[SignalKind, tuple[str, tuple[int, ...]]] = {
    "sata": ("Storage controller", (2, 4, 6, 8, 16, 24)),
    "m2": ("M.2 adapter", (1, 2, 4)),
    "usb2": ("USB card", (1, 2)),
    "usb3": ("USB card", (1, 2)),
    "usb-c": ("USB card", (1,)),
    "audio": ("Sound card", (1,)),
}
#: Headers that a USB hub for the inside is sold with.
_HUB_SIZES = (2, 3, 4)


def ports(a: Analysis) -> Iterator[Finding]:
    """Each kind that is short; those that nobody can tell together; slots better left free."""
    if a.wired.board is None:
        return  # said where anything comes through it
    counts = [c for c in a.signals.counts if c.verdict != "enough"]
    for count in counts:
        if count.verdict == "short":
            yield Finding(
                id=f"signal.{count.kind}",
                severity="failed",
                cause=count,
                subject=Subject(of="part", key=a.wired.board.key, field=SIGNAL_FIELDS[count.kind]),
                numbers={"needed": count.needed[0], "there": count.there[1], "short": count.short},
                remedies=tuple(_remedies(a, count)),
            )
    if unknown := tuple(c for c in counts if c.verdict == "unknown"):
        blank = dict.fromkeys(i for c in unknown for i in (*c.gives, *c.needs) if not i.known)
        facts = tuple(Remedy(id="find-out", find=_place(i), names=(i.name,)) for i in blank)
        yield Finding(
            id="signal.unknown",
            severity="unknown",
            cause=unknown,
            remedies=facts,
            subject=facts[0].find or Subject(of="build"),
        )
    sata = next(c for c in a.signals.counts if c.kind == "sata")
    if a.signals.keep_free and sata.needed[1]:
        yield Finding(
            id="signal.keep-free",
            severity="note",
            cause=a.signals.keep_free,
            subject=Subject(of="part", key=a.wired.board.key, field="m2_slots"),
        )


def _place(item: Item) -> Subject:
    if item.of == "case":
        return Subject(of="build", field=item.field)
    return Subject(of=item.of, key=item.key, field=item.field)


def _remedies(a: Analysis, count: SignalCount) -> Iterator[Remedy]:
    """What gives so many more; or a front lead that stays unplugged."""
    short = int(count.short)
    if count.kind == "usb2" and count.there[0] > 0:
        # One of its headers is paid for by the one that it takes.
        size = next((n for n in _HUB_SIZES if n > short), _HUB_SIZES[-1])
        times = math.ceil(short / (size - 1))
        hub = UsbLoad(
            key="usb-hub",
            name="USB hub inside",
            count=times,
            port="usb2",
            usb2_headers=size,
            draw_w=usual(USB_W["USB hub"]),
        )
        yield Remedy(id="add-usb-hub", edit=AddPart(part=hub), names=_size(size, times))
    else:
        name, sizes = _CARDS[count.kind]
        size = next((n for n in sizes if n >= short), sizes[-1])
        times = math.ceil(short / size)
        card = _card(count.kind, name, size).model_copy(update={"count": times})
        yield Remedy(id=f"add-card-{count.kind}", edit=AddPart(part=card), names=_size(size, times))
    case, field = a.build.case, FRONT_FIELDS.get(count.kind, "")
    leads = getattr(case, field, None) or 0
    if case is not None and leads >= short:
        off = case.model_copy(update={field: leads - short})
        edit = ChangeBuild(changes={"case": off.model_dump(mode="json")})
        yield Remedy(id="leave-lead-off", edit=edit, names=(str(short),))


def _size(size: int, times: int) -> tuple[str, str]:
    return str(size), f"; {times} of them" if times > 1 else ""


def _card(kind: SignalKind, name: str, size: int) -> Card:
    """A plain card that gives so many ports of one kind, and none of another."""
    fields: dict[str, Any] = dict.fromkeys(SIGNAL_FIELDS.values(), 0)
    return Card(
        key="card",
        name=name,
        use="plain",
        lanes=4,
        board_power_w=usual(PLAIN_CARD_W[name]),
        **(fields | {SIGNAL_FIELDS[kind]: size}),
    )


def speeds(a: Analysis) -> Iterator[Finding]:
    """Fans whose speed nobody sees: several on a header, on a hub, on one that reads none."""
    s = a.signals.speeds
    if not s.unseen or a.wired.board is None:
        return
    yield Finding(
        id="signal.speeds",
        severity="note",
        cause=s,
        numbers={"fans": s.fans, "unseen": s.unseen},
        subject=Subject(of="part", key=a.wired.board.key, field="headers"),
        remedies=tuple(_spread(a)),
    )


def _spread(a: Analysis) -> Iterator[Remedy]:
    """Headers that several fans share: a hub with a plug of its own and outputs to spare takes
    them, or has yet to be added."""
    board = a.wired.board
    shared = {key for owner, key, _ in a.signals.speeds.shared if board and owner == board.key}
    if not shared:
        return
    fans = [p for p in a.build.parts if isinstance(p, Fan) and _shares(a, p, shared)]
    for hub in (p for p in a.build.parts if isinstance(p, Hub) and p.sockets):
        hanging = sum(p.count for p in a.build.parts if getattr(p, "on", None) == hub.key)
        free = sum(h.kind == "fan" for h in hub.outputs) - hanging
        fan = next((f for f in fans if f.count <= free), None)
        if fan is not None:
            edit = ChangePart(part=fan.key, changes={"on": hub.key, "headers": []})
            yield Remedy(id="hang-on-hub", edit=edit, names=(fan.name, hub.name))
            return
    yield Remedy(id="add-fan-hub", find=Subject(of="build", field="parts"))


def _shares(a: Analysis, fan: Fan, shared: set[str]) -> bool:
    """Whether it hangs on one of some headers of the board."""
    on_board = fan.on is None and not fan.sockets
    return on_board and any(h.key in shared for h in a.wired.headers_for(fan))
