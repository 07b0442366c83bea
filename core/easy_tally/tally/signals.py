"""Signal ports: what needs one against what there is. Counts, between a least and a most: what
nobody states is what is usual at the least, or any number, so that a count is enough, short, or
not known.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from itertools import combinations
from typing import Literal

from ..standards.signals import (
    BOARD_GIVES,
    BOARD_SEES_SPEED,
    FRONT_FIELDS,
    FRONT_NEEDS,
    HUB_SPEEDS,
    M2_SWITCHES_OFF,
    SIGNAL_FIELDS,
    SignalKind,
)
from ..things.parts import (
    ON_HEADER,
    Board,
    Card,
    Cooler,
    Drive,
    Header,
    Hub,
    M2Drive,
    M2Slot,
    Part,
    UsbLoad,
)
from ..wiring import Wired


@dataclass(frozen=True, slots=True, kw_only=True)
class Item:
    """What needs or gives signal ports of one kind: the part's key (or `case`, `supply`), its name,
    how many at least and at most, and the field that says it."""

    of: Literal["part", "case", "supply"] = "part"
    key: str = ""
    name: str
    low: int
    high: float
    field: str

    @property
    def known(self) -> bool:
        """Whether it is stated."""
        return self.low == self.high


@dataclass(frozen=True, slots=True, kw_only=True)
class SignalCount:
    """Signal ports of one kind: who needs them, who gives them; of SATA data ports the board gives
    those alone that its used M.2 slots do not switch off (`off`: so many at least, at most)."""

    kind: SignalKind
    needs: tuple[Item, ...]
    gives: tuple[Item, ...]
    off: tuple[int, int] = (0, 0)

    @property
    def needed(self) -> tuple[int, float]:
        """At least, at most."""
        return sum(i.low for i in self.needs), sum(i.high for i in self.needs)

    @property
    def there(self) -> tuple[float, float]:
        """At least, at most."""
        return sum(i.low for i in self.gives), sum(i.high for i in self.gives)

    @property
    def short(self) -> float:
        """How many are short for certain; 0 where there may be enough."""
        return max(0, self.needed[0] - self.there[1])

    @property
    def verdict(self) -> Literal["enough", "short", "unknown"]:
        """Enough whatever is not stated, short whatever is not stated, or not known."""
        if self.short:
            return "short"
        return "enough" if self.needed[1] <= self.there[0] else "unknown"


@dataclass(frozen=True, slots=True, kw_only=True)
class Signals:
    """The signal ports of a build; `keep_free` are M.2 slots that would switch off SATA data ports
    and need not be used."""

    counts: tuple[SignalCount, ...]
    keep_free: tuple[M2Slot, ...]
    speeds: Speeds


@dataclass(frozen=True, slots=True, kw_only=True)
class Speeds:
    """Fans and pumps on headers: how many there are, how many show no speed, and the headers that
    more than one is on, as (owner, header, how many); `on_hubs` of those unseen hang on hubs."""

    fans: int
    unseen: int
    shared: tuple[tuple[str, str, int], ...]
    on_hubs: int


def signals(wired: Wired) -> Signals:
    """Count the signal ports of a build."""
    off, keep_free = _switched_off(wired)
    needs, gives = _needs(wired), _gives(wired, off)
    counts = tuple([_count(kind, needs[kind], gives[kind], off) for kind in SIGNAL_FIELDS])
    return Signals(counts=counts, keep_free=keep_free, speeds=_speeds(wired))


def _count(
    kind: SignalKind, needs: list[Item], gives: list[Item], off: tuple[int, int]
) -> SignalCount:
    dead = off if kind == "sata" else (0, 0)
    return SignalCount(kind=kind, needs=tuple(needs), gives=tuple(gives), off=dead)


# -- what needs one ------------------------------------------------------------------------


def _needs(wired: Wired) -> dict[SignalKind, list[Item]]:
    """What needs a port of each kind: parts in their order, then the case's front, the supply."""
    needs: dict[SignalKind, list[Item]] = {kind: [] for kind in SIGNAL_FIELDS}
    for part in wired.build.parts:
        for kind, item in wired.memory.of(_needs_of, (part,)):
            needs[kind].append(item)
    case, supply = wired.build.case, wired.build.supply
    if case is not None:
        for kind, field in FRONT_FIELDS.items():
            n = getattr(case, field)
            if n != 0:
                needs[kind].append(
                    Item(
                        of="case",
                        name=f"{case.name}, front",
                        low=n or 0,
                        high=FRONT_NEEDS if n is None else n,
                        field=field,
                    )
                )
    if supply is not None and supply.telemetry_lead:
        needs["usb2"].append(
            Item(of="supply", name=supply.name, low=1, high=1, field="telemetry_lead")
        )
    return needs


def _needs_of(part: Part) -> tuple[tuple[SignalKind, Item], ...]:
    """What all instances of one part need."""
    match part:
        case Drive() if part.form != "floppy":
            return _items(part, "sata", *_data_ports(part), "data")
        case M2Drive():
            return _items(part, "m2", 1, 1, "slot")
        case Hub() | Cooler():
            least, most = int(part.usb_lead is True), int(part.usb_lead is not False)
            return _items(part, "usb2", least, most, "usb_lead")
        case UsbLoad() if part.port in SIGNAL_FIELDS:
            return _items(part, part.port, 1, 1, "port")
        case _:
            return ()


def _items(
    part: Part, kind: SignalKind, low: int, high: float, field: str
) -> tuple[tuple[SignalKind, Item], ...]:
    """What all instances need or give, of which one does so many at least and at most, by the field
    that says it; empty where that is none."""
    if not high:
        return ()
    count = part.count
    item = Item(key=part.key, name=part.name, low=low * count, high=high * count, field=field)
    return ((kind, item),)


def _data_ports(drive: Drive) -> tuple[int, int]:
    """One where its data goes by SATA; where only its power plug tells, and that is not SATA,
    it may be a ribbon's."""
    if drive.data is not None:
        return (1, 1) if drive.data == "sata" else (0, 0)
    return (1, 1) if any(s.kind == "sata" for s in drive.sockets) else (0, 1)


# -- what gives them -----------------------------------------------------------------------


def _gives(wired: Wired, off: tuple[int, int]) -> dict[SignalKind, list[Item]]:
    """What gives ports of each kind: the board first, known or not; then cards, and hubs inside.
    Of SATA data ports the board gives those that are not switched `off`."""
    given: dict[SignalKind, list[Item]] = {kind: [] for kind in SIGNAL_FIELDS}
    board = wired.board
    if board is not None:
        for kind, item in _given_by_board(board, off):
            given[kind].append(item)
    for part in wired.build.parts:
        for kind, item in wired.memory.of(_given_by, (part,)):
            given[kind].append(item)
    return given


def _given_by_board(board: Board, off: tuple[int, int]) -> tuple[tuple[SignalKind, Item], ...]:
    items: list[tuple[SignalKind, Item]] = []
    for kind, field in SIGNAL_FIELDS.items():
        n = getattr(board, field)
        n = len(n) if isinstance(n, tuple) else n
        least, most = off if kind == "sata" else (0, 0)
        low = max(0, (BOARD_GIVES[kind] if n is None else n) - most)
        high = math.inf if n is None else n - least
        item = Item(key=board.key, name=board.name, low=low, high=high, field=field)
        items.append((kind, item))
    return tuple(items)


def _given_by(part: Part) -> tuple[tuple[SignalKind, Item], ...]:
    """What all instances of one part give. A plain card that does not say may give some; a graphics
    card gives none but what it says."""

    if isinstance(part, Card):
        fields = SIGNAL_FIELDS.items()
        return tuple([x for k, f in fields for x in _items(part, k, *_of_card(part, f), f)])
    if isinstance(part, UsbLoad):
        n = part.usb2_headers or 0
        return _items(part, "usb2", n, n, SIGNAL_FIELDS["usb2"])
    return ()


def _of_card(card: Card, field: str) -> tuple[int, float]:
    n: int | None = getattr(card, field)
    if n is not None:
        return n, n
    return 0, math.inf if card.use == "plain" else 0


def _switched_off(wired: Wired) -> tuple[tuple[int, int], tuple[M2Slot, ...]]:
    """How many of the board's SATA data ports its used M.2 slots switch off, at least and at most,
    with drives whose slot is not named where they switch off the fewest; and the slots that are
    then better left free."""
    drives = [p for p in wired.build.parts if isinstance(p, M2Drive)]
    board = wired.board
    if not drives or board is None:
        return (0, 0), ()
    if board.m2_slots is None:
        there = BOARD_GIVES["sata"] if board.sata_ports is None else board.sata_ports
        return (0, min(M2_SWITCHES_OFF, there)), ()
    named = {d.slot for d in drives if d.slot is not None}
    used = tuple(s for s in board.m2_slots if s.key in named)
    free = [s for s in board.m2_slots if s.key not in named]
    rest = sum(d.count for d in drives if d.slot is None)
    low, high = _on_cards(wired)
    most, least = (used + _fewest(used, free, rest - n) for n in (low, high))
    keep = tuple(s for s in free if s not in most and not set(s.off) <= _dead(most))
    return (len(_dead(least)), len(_dead(most))), keep if rest else ()


def _on_cards(wired: Wired) -> tuple[float, float]:
    """M.2 slots that cards bring, at least and at most."""
    cards = (p for p in wired.build.parts if isinstance(p, Card))
    slots = [(c.count, _of_card(c, "m2_slots")) for c in cards]
    return sum(n * low for n, (low, _) in slots), sum(n * high for n, (_, high) in slots)


def _fewest(used: tuple[M2Slot, ...], free: list[M2Slot], n: float) -> tuple[M2Slot, ...]:
    """`n` of the free slots that, beside those used, switch off the fewest ports; the first such
    in the board's order."""
    chosen = combinations(free, int(max(0, min(n, len(free)))))
    return min(chosen, key=lambda c: len(_dead(used + c)))


def _dead(slots: tuple[M2Slot, ...]) -> set[int]:
    return {port for s in slots for port in s.off}


# -- speeds --------------------------------------------------------------------------------


def _speeds(wired: Wired) -> Speeds:
    """Fans and pumps on headers, placed in turn as their amperes are."""
    on: dict[tuple[str, str], int] = {}
    seen: dict[tuple[str, str], bool] = {}
    for part in wired.build.parts:
        if not isinstance(part, ON_HEADER) or isinstance(part, Hub) or part.kind == "strip":
            continue
        outputs = wired.headers_for(part)
        owner = wired.parts.get(part.on) if part.on else wired.board
        for instance in range(part.count if outputs else 0):
            header = wired.hung[part.key][instance]
            at = (owner.key if owner else "", header.key)
            on[at] = on.get(at, 0) + 1
            seen[at] = _is_seen(owner, header)
    fans = sum(on.values())
    shown = sum(1 for at in on if seen[at])
    shared = tuple((owner, key, n) for (owner, key), n in on.items() if n > 1)
    hubs = {at for at in on if isinstance(wired.parts.get(at[0]), Hub)}
    on_hubs = sum(on[at] for at in hubs) - sum(1 for at in hubs if seen[at])
    return Speeds(fans=fans, unseen=fans - shown, shared=shared, on_hubs=on_hubs)


def _is_seen(owner: Part | None, header: Header) -> bool:
    if header.speed is not None:
        return header.speed
    if isinstance(owner, Hub):
        return header in owner.outputs[:HUB_SPEEDS]
    return isinstance(owner, Board) and BOARD_SEES_SPEED
