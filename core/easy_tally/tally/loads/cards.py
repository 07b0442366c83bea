"""Loads of cards: board power split between the slot and the card's own sockets.

Each bound of what a card draws is split against each bound of its slot's share; low and high of
slot and rest are the least and the most of these, so that a certain load gives a certain share.
Below full the split is as at full. Source: PCI Express CEM, slot power; shares are assumptions.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from ...base.series import BOUNDS, Span
from ...standards.connectors import SLOT_W, grant_12v_w
from ...things.assumed.assumptions import Assumptions
from ...things.assumed.defaults import default, taken
from ...things.parts import Card
from ...wiring import Wired
from .common import Load, PerState, load, nothing_known, states


@dataclass(frozen=True, slots=True, kw_only=True)
class Split:
    """Shares of a card's draw, 1.0 being all of it: the slot at 12 V and at 3.3 V, its sockets."""

    slot_12v: float
    slot_3v3: float

    @property
    def rest(self) -> float:
        """What its own sockets carry."""
        return max(1.0 - self.slot_12v - self.slot_3v3, 0.0)


def card(
    part: Card, assume: Assumptions, lanes: int, granted_w: tuple[float, ...]
) -> Iterator[Load]:
    """One load a path. Instances whose sockets are granted other watts [W] are split otherwise."""
    if part.board_power_w is None:
        yield nothing_known(part, "v12", "slot", "board_power_w")
        if part.sockets:
            yield nothing_known(part, "v12", "own", "board_power_w")
        return
    alike: dict[float, list[int]] = {}
    for instance, granted in enumerate(granted_w, 1):
        alike.setdefault(granted, []).append(instance)
    for granted, instances in alike.items():
        yield from _loads(part, assume, lanes, granted, tuple(instances))


def granted_w(part: Card, instance: int, wired: Wired) -> float:
    """What the sockets that are required or fed are granted [W]."""
    inputs = wired.inputs_of(part.key, instance)
    counted = (i for i in inputs if i.socket.required or i.ref in wired.live)
    return sum(grant_12v_w(i.socket.kind) for i in counted)


def _loads(
    part: Card, assume: Assumptions, lanes: int, granted_w: float, instances: tuple[int, ...]
) -> Iterator[Load]:
    power = taken(part, "board_power_w", assume)
    figure = part.board_power_w
    if power is None or figure is None:
        raise ValueError(f"board power of {part.key}, got none")
    drawn = _states(part, power, assume)
    splits = _splits(part, power, _share(part, assume), granted_w, lanes)
    usual = splits["likely", "likely"]
    assumed = figure.is_assumed
    formula = f"board power × {part.power_limit:g}" if part.power_limit != 1 else "board power"
    yield load(
        part,
        "v12",
        "slot",
        _carried(drawn, {k: s.slot_12v for k, s in splits.items()}),
        net=drawn.times(usual.slot_12v),
        field="slot_w" if part.sockets else "board_power_w",
        formula="share of the slot at 12 V",
        instances=instances,
        assumed=assumed or (part.slot_w is None and bool(part.sockets)),
    )
    if any(s.slot_3v3 for s in splits.values()):
        yield load(
            part,
            "v3v3",
            "slot",
            _carried(drawn, {k: s.slot_3v3 for k, s in splits.items()}),
            net=drawn.times(usual.slot_3v3),
            field="slot_w",
            instances=instances,
            formula="share of the slot at 3.3 V",
            assumed=assumed,
        )
    if part.sockets:
        yield load(
            part,
            "v12",
            "own",
            _carried(drawn, {k: s.rest for k, s in splits.items()}),
            net=drawn.times(usual.rest),
            field="board_power_w",
            instances=instances,
            formula=f"{formula} − share of the slot",
            assumed=assumed,
        )


def _states(part: Card, power: Span, assume: Assumptions) -> PerState:
    if part.idle_w is not None:
        return states(power, part.idle_w.span(), assume.everyday_card)
    idle = default(part, "idle_w", assume) or power
    return states(power, idle.least(power), assume.everyday_card)


def _share(part: Card, assume: Assumptions) -> Span | None:
    """The slot's share at 12 V [W] as stated or assumed; None: all of it, the card has no
    sockets (a share that is stated is ignored then)."""
    if not part.sockets:
        return None
    return part.slot_w.span() if part.slot_w else default(part, "slot_w", assume)


def _splits(
    part: Card, power: Span, share: Span | None, granted_w: float, lanes: int
) -> dict[tuple[str, str], Split]:
    """(bound of the load, bound of the share) → how that load is split."""
    stated = part.slot_w is not None and share is not None
    return {
        (b, s): split(
            getattr(power, b),
            None if share is None else getattr(share, s),
            granted_w=granted_w,
            lanes=lanes,
            raised=not stated,
        )
        for b in BOUNDS
        for s in BOUNDS
    }


def split(
    power_w: float, share_w: float | None, *, granted_w: float, lanes: int, raised: bool
) -> Split:
    """How a card's draw [W] is split: the slot carries `share_w` (None: all), `raised` where the
    draw less what the sockets are granted requires it, up to what a slot of `lanes` grants."""
    if power_w <= 0:
        return Split(slot_12v=0.0 if share_w is not None else 1.0, slot_3v3=0.0)
    most_12v, most_3v3, most = SLOT_W[lanes]
    spare_3v3 = min(most_3v3, most - most_12v)
    if share_w is None:
        at_3v3 = min(max(power_w - most_12v, 0.0), spare_3v3)
        return Split(slot_12v=(power_w - at_3v3) / power_w, slot_3v3=at_3v3 / power_w)
    if not raised:
        return Split(slot_12v=min(share_w, power_w) / power_w, slot_3v3=0.0)
    needed = power_w - granted_w
    at_12v = min(max(share_w, needed), most_12v, power_w)
    at_3v3 = min(max(needed - most_12v, 0.0), spare_3v3)
    return Split(slot_12v=at_12v / power_w, slot_3v3=at_3v3 / power_w)


def _carried(drawn: PerState, shares: dict[tuple[str, str], float]) -> PerState:
    """What one path carries in each state: the likely split, and the least and the most of all."""

    def span(figure: Span) -> Span:
        products = [getattr(figure, b) * share for (b, _), share in shares.items()]
        likely = figure.likely * shares["likely", "likely"]
        return Span(min(products), likely, max(products))

    return PerState(*(span(s) for s in drawn))
