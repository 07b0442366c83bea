"""From the figures that a builder knows to loads: part, rail, feed, watts per state.

A load is of one instance. Its `spans` are what that path may carry; its `net` is what it adds
to a total. They differ only where a card's split between slot and own sockets is uncertain:
what the slot does not carry the sockets do, so the total is no less certain than the card.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, NamedTuple

from .assumptions import Assumptions
from .build import Build
from .parts import (
    Board,
    Card,
    Cooler,
    Drive,
    Fan,
    Hub,
    LightStrip,
    M2Drive,
    Memory,
    Other,
    Part,
    Processor,
    Pump,
    UsbLoad,
)
from .quantities import RAIL_V, RAIL_WORDS, ZERO, Figure, Rail, Span
from .standards.connectors import CONNECTORS, SLOT_W

#: own: the part's own sockets; slot: through a slot; board: through the main plug;
#: processor: the board's processor sockets; header: a header of the board, so the main plug too,
#: or of a hub (`via`), so through what feeds the hub.
Feed = Literal["own", "slot", "board", "processor", "header"]


OnHeader = Fan | Pump | Cooler | LightStrip | Hub


class PerState(NamedTuple):
    """Watts [W] in each state; `short` is full with the processor at its short limit."""

    sleep: Span
    idle: Span
    everyday: Span
    full: Span
    start: Span
    short: Span

    def times(self, factor: float) -> PerState:
        """Scale every state."""
        return PerState(*(s.times(factor) for s in self))


NOTHING = PerState(ZERO, ZERO, ZERO, ZERO, ZERO, ZERO)


@dataclass(frozen=True, slots=True)
class Load:
    """Watts [W] of one instance of a part on one rail by one feed, per state.

    `field` is what a builder changes to change it; `formula` how it comes about. `missing`
    loads have no figure and no honest default: everything that they touch reads unknown.
    """

    part: str
    count: int
    rail: Rail
    feed: Feed
    spans: PerState
    net: PerState
    field: str
    formula: str
    assumed: bool
    missing: bool = False
    via: str | None = None
    #: What spinning up adds to running, where disks start one after another; else in `start`.
    surge: Span = ZERO


def loads(build: Build) -> tuple[Load, ...]:
    """Every load of `build`, in the order of its parts."""
    return tuple(load for part in build.parts for load in part_loads(part, build))


def part_loads(part: Part, build: Build) -> Iterator[Load]:
    """The loads of one instance of `part`."""
    assume = build.assumptions
    match part:
        case Processor():
            yield from _processor(part, assume, build.board())
        case Board():
            yield from _board(part, assume)
        case Card():
            yield from _card(part, assume, build.lanes_of(part))
        case Memory():
            yield from _memory(part, assume)
        case M2Drive():
            yield from _m2(part, assume)
        case Drive():
            yield from _drive(part, assume, build.spin_up_at_once is not None)
        case Fan() | Pump():
            yield _on_header(part, "v12", "rated_a", part.rated_a, assume)
        case Cooler():
            yield from _cooler(part, assume)
        case LightStrip():
            yield _strip(part, assume)
        case Hub():
            yield _hub(part, assume)
        case UsbLoad():
            yield from _usb(part, assume)
        case Other():
            yield from _other(part, assume)


def _states(full: Span, idle: Span, duty: float, start: Span | None = None) -> PerState:
    """Everyday lies at `duty` of the way from idle to full; idle never above full."""
    idle = Span(min(idle.low, full.low), min(idle.likely, full.likely), min(idle.high, full.high))
    everyday = Span(*(i + duty * (f - i) for i, f in zip(idle, full, strict=True)))
    return PerState(ZERO, idle, everyday, full, idle if start is None else start, full)


def _or_assumed(figure: Figure | None, default: Span) -> tuple[Span, bool]:
    if figure is None:
        return default, True
    return figure.span(), figure.origin == "assumed"


def _load(
    part: Part,
    rail: Rail,
    feed: Feed,
    spans: PerState,
    field: str,
    formula: str,
    assumed: bool,
    net: PerState | None = None,
    via: str | None = None,
    surge: Span = ZERO,
) -> Load:
    return Load(
        part.key, part.count, rail, feed, spans, net or spans, field, formula, assumed, False, via,
        surge,
    )  # fmt: skip


def _missing(part: Part, rail: Rail, feed: Feed, field: str) -> Load:
    return Load(part.key, part.count, rail, feed, NOTHING, NOTHING, field, "no figure", True, True)


def _processor(part: Processor, assume: Assumptions, board: Board | None) -> Iterator[Load]:
    through_board = board is not None and not any(s.kind in ("eps8", "eps4") for s in board.sockets)
    rail: Rail = "v5" if through_board else "v12"
    feed: Feed = "board" if through_board else "processor"
    efficiency = assume.regulator_efficiency_5v if through_board else assume.regulator_efficiency
    if part.package_w is None:
        yield _missing(part, rail, feed, "package_w")
        return
    sustained = part.package_w.span()
    idle, _ = _or_assumed(part.package_idle_w, assume.processor_idle_w.span())
    short, _ = _or_assumed(part.package_short_w, sustained.by(assume.processor_short_ratio.span()))
    short = Span(*(max(a, b) for a, b in zip(short, sustained, strict=True)))
    spans = _states(sustained, idle, assume.everyday_processor)._replace(short=short)
    yield _load(
        part, rail, feed, spans.times(1 / efficiency), "package_w",
        f"package ÷ regulator efficiency {efficiency:g}", part.package_w.origin == "assumed",
    )  # fmt: skip


def _board(part: Board, assume: Assumptions) -> Iterator[Load]:
    rows: tuple[tuple[Rail, str, Figure | None, Span], ...] = (
        ("v12", "own_12v_w", part.own_12v_w, assume.board_12v_w.span()),
        ("v5", "own_5v_w", part.own_5v_w, assume.board_5v_w.span()),
        ("v3v3", "own_3v3_w", part.own_3v3_w, assume.board_3v3_w.span()),
    )
    for rail, field, figure, default in rows:
        full, assumed = _or_assumed(figure, default)
        spans = _states(full, full.by(assume.board_idle_share.span()), assume.everyday_board)
        yield _load(part, rail, "board", spans, field, "own draw", assumed)
    standby, assumed = _or_assumed(part.standby_w, assume.board_standby_w.span())
    # Awake, what the board takes from standby is within its own draw above.
    asleep = NOTHING._replace(sleep=standby)
    yield _load(part, "v5sb", "board", asleep, "standby_w", "asleep, from standby", assumed)


def _card(part: Card, assume: Assumptions, lanes: int) -> Iterator[Load]:
    if part.board_power_w is None:
        yield _missing(part, "v12", "slot", "board_power_w")
        if part.sockets:
            yield _missing(part, "v12", "own", "board_power_w")
        return
    power = part.board_power_w.span().times(part.power_limit)
    idle, _ = _or_assumed(part.idle_w, power.by(assume.card_idle_share.span()))
    states = _states(power, idle, assume.everyday_card)
    slot_12v, slot_3v3 = slot_share(part, power, assume, lanes)
    assumed = part.board_power_w.origin == "assumed"
    at_full = power.likely or 1.0
    formula = f"board power × {part.power_limit:g}" if part.power_limit != 1 else "board power"

    spans_12v = PerState(*(slot_12v.times(s.likely / at_full) for s in states))
    yield _load(
        part, "v12", "slot", spans_12v, "slot_w" if part.sockets else "board_power_w",
        "share of the slot at 12 V", assumed or (part.slot_w is None and bool(part.sockets)),
        states.times(slot_12v.likely / at_full),
    )  # fmt: skip
    if slot_3v3:
        net_3v3 = states.times(slot_3v3 / at_full)
        yield _load(part, "v3v3", "slot", net_3v3, "slot_w", "share of the slot at 3.3 V", assumed)
    if part.sockets:
        rest = PerState(
            *(_rest(s, slot_12v.times(s.likely / at_full), slot_3v3 * s.likely / at_full)
              for s in states)
        )  # fmt: skip
        net = states.times((power.likely - slot_12v.likely - slot_3v3) / at_full)
        yield _load(
            part,
            "v12",
            "own",
            rest,
            "board_power_w",
            f"{formula} − share of the slot",
            assumed,
            net,
        )


def _rest(total: Span, slot_12v: Span, slot_3v3: float) -> Span:
    return Span(
        max(total.low - slot_12v.high - slot_3v3, 0.0),
        max(total.likely - slot_12v.likely - slot_3v3, 0.0),
        max(total.high - slot_12v.low - slot_3v3, 0.0),
    )


def slot_share(part: Card, power: Span, assume: Assumptions, lanes: int) -> tuple[Span, float]:
    """What a card takes through a slot of `lanes`: (watts at 12 V with bounds, watts at 3.3 V).

    All of it where the card has no sockets; else the stated or the assumed share, raised where
    board power less what the sockets are granted requires it, up to what the slot grants.
    Source: PCI Express CEM slot power; shares are assumptions.
    """
    most_12v, most_3v3, most = SLOT_W[lanes]
    spare_3v3 = min(most_3v3, most - most_12v)
    if not part.sockets:
        at_3v3 = min(max(power.likely - most_12v, 0.0), spare_3v3)
        return Span(*(max(w - at_3v3, 0.0) for w in power)), at_3v3
    if part.slot_w is not None:
        stated = part.slot_w.span()
        return Span(*(min(s, p) for s, p in zip(stated, power, strict=True))), 0.0
    has_16pin = any(s.kind == "16pin" for s in part.sockets)
    usual = (assume.slot_share_with_16pin_w if has_16pin else assume.slot_share_with_8pin_w).span()
    needed = power.likely - sum(CONNECTORS[s.kind].grant_w or 0.0 for s in part.sockets)
    likely = min(max(usual.likely, needed), most_12v, power.likely)
    at_3v3 = min(max(needed - most_12v, 0.0), spare_3v3)
    low, high = min(usual.low, likely), max(min(usual.high, most_12v, power.high), likely)
    return Span(low, likely, high), at_3v3


def _memory(part: Memory, assume: Assumptions) -> Iterator[Load]:
    full, assumed = _or_assumed(part.module_w, assume.memory_module_w.span())
    spans = _states(full, full.by(assume.memory_idle_share.span()), assume.everyday_memory)
    # DDR5 unbuffered regulates from 5 V on the module; the others take 12 V through the board.
    rail: Rail = "v5" if part.generation == "ddr5" else "v12"
    yield _load(part, rail, "board", spans, "module_w", "one module", assumed)


def _m2(part: M2Drive, assume: Assumptions) -> Iterator[Load]:
    full, assumed = _or_assumed(part.full_w, assume.m2_w.span())
    idle, _ = _or_assumed(part.idle_w, full.by(assume.m2_idle_share.span()))
    spans = _states(full, idle, assume.everyday_m2)
    yield _load(part, "v3v3", "board", spans, "full_w", "at 3.3 V", assumed)


def assumed(part: Part, field: str, assume: Assumptions) -> Span | None:
    """What is taken for a figure that a part does not have; None where no default is honest."""
    if isinstance(part, Drive):
        return _drive_defaults(part.form, assume).get(field)
    extra = type(part).model_fields[field].json_schema_extra
    name = extra.get("default_from") if isinstance(extra, dict) else None
    return getattr(assume, str(name)).span() if name else None


def _drive_defaults(form: str, assume: Assumptions) -> dict[str, Span]:
    """Amperes of a drive without figures, by its form."""
    match form:
        case "3.5":
            return {
                "run_12v_a": assume.disk35_12v_a.span(),
                "run_5v_a": assume.disk35_5v_a.span(),
                "start_12v_a": assume.disk35_start_12v_a.span(),
                "start_5v_a": assume.disk35_start_5v_a.span(),
            }
        case "optical":
            return {
                "run_12v_a": assume.optical_12v_a.span(),
                "run_5v_a": assume.optical_5v_a.span(),
            }
        case "floppy":
            return {
                "run_12v_a": assume.floppy_12v_a.span(),
                "run_5v_a": assume.floppy_5v_a.span(),
            }
        case _:
            return {"run_12v_a": ZERO, "run_5v_a": assume.drive25_5v_a.span()}


def _drive(part: Drive, assume: Assumptions, staggered: bool) -> Iterator[Load]:
    """Staggered, those not yet started draw nothing and those started run: at the worst moment
    all but the last few run, and these few draw their surge on top."""
    share = assume.disk35_idle_share if part.form == "3.5" else assume.drive25_idle_share
    defaults = _drive_defaults(part.form, assume)
    for rail, volts in (("v12", "12v"), ("v5", "5v")):
        run, assumed = _or_assumed(getattr(part, f"run_{volts}_a"), defaults[f"run_{volts}_a"])
        start, _ = _or_assumed(
            getattr(part, f"start_{volts}_a"), defaults.get(f"start_{volts}_a", run)
        )
        if run.high == 0 and start.high == 0:
            continue
        surge = Span(*(max(s - r, 0.0) for s, r in zip(start, run, strict=True)))
        at_start = run if staggered and surge.high > 0 else start
        amps = _states(run, run.by(share.span()), assume.everyday_drive, at_start)
        yield _load(
            part, rail, "own", amps.times(RAIL_V[rail]), f"run_{volts}_a",  # type: ignore[arg-type, index]
            f"amps × {RAIL_V[rail]:g} V", assumed,  # type: ignore[index]
            surge=surge.times(RAIL_V[rail]) if staggered else ZERO,  # type: ignore[index]
        )  # fmt: skip


def _feed(part: OnHeader) -> tuple[Feed, str | None]:
    """Its own socket where it has one, else a header of its hub or of the board."""
    return ("own", None) if part.sockets else ("header", part.on)


def _on_header(
    part: OnHeader,
    rail: Rail,
    field: str,
    rated: Figure | None,
    assume: Assumptions,
    times: int = 1,
) -> Load:
    """Fans and pumps: rated amperes × 12 V."""
    default = assume.fan_a if isinstance(part, Fan) or field == "fan_a" else assume.pump_a
    full, assumed = _or_assumed(rated, default.span())
    full = full.times(12.0 * times)
    spans = _states(full, full.by(assume.fan_idle_share.span()), assume.everyday_fan)
    feed, via = _feed(part)
    formula = f"{times} × rated amps × 12 V" if times != 1 else "rated amps × 12 V"
    return _load(part, rail, feed, spans, field, formula, assumed, via=via)


def _cooler(part: Cooler, assume: Assumptions) -> Iterator[Load]:
    yield _on_header(part, "v12", "pump_a", part.pump_a, assume)
    if part.fans:
        yield _on_header(part, "v12", "fan_a", part.fan_a, assume, part.fans)
    yield _electronics(part, "controller_w", part.controller_w, assume)


def _hub(part: Hub, assume: Assumptions) -> Load:
    return _electronics(part, "own_w", part.own_w, assume)


def _electronics(part: OnHeader, field: str, figure: Figure | None, assume: Assumptions) -> Load:
    """A controller's own draw: at 5 V from a plug; a fan header has 12 V only."""
    full, assumed = _or_assumed(figure, assume.controller_w.span())
    feed, via = _feed(part)
    rail: Rail = "v5" if feed == "own" else "v12"
    spans = _states(full, full.by(assume.lights_idle_share.span()), assume.everyday_lights)
    return _load(part, rail, feed, spans, field, "its own electronics", assumed, via=via)


def _strip(part: LightStrip, assume: Assumptions) -> Load:
    rated, assumed = _or_assumed(part.rated_a, assume.strip_a.span())
    full = rated.times(part.volts)
    spans = _states(full, full.by(assume.lights_idle_share.span()), assume.everyday_lights)
    feed, via = _feed(part)
    return _load(
        part, "v5" if part.volts == 5 else "v12", feed, spans, "rated_a",
        f"rated amps × {part.volts} V", assumed, via=via,
    )  # fmt: skip


def _usb(part: UsbLoad, assume: Assumptions) -> Iterator[Load]:
    if part.draw_w is None:
        yield _missing(part, "v5", "board", "draw_w")
    else:
        full = part.draw_w.span()
        spans = _states(full, full.times(0.5), assume.everyday_other)
        yield _load(part, "v5", "board", spans, "draw_w", "in use, at 5 V",
                    part.draw_w.origin == "assumed")  # fmt: skip
    asleep, assumed = _or_assumed(part.asleep_w, assume.usb_asleep_w.span())
    if asleep.high > 0:
        yield _load(part, "v5sb", "board", NOTHING._replace(sleep=asleep),
                    "asleep_w", "asleep, from standby", assumed)  # fmt: skip


_OTHER_RAILS: tuple[Rail, ...] = ("v12", "v5", "v3v3", "v5sb", "vneg12", "vneg5")


def _other(part: Other, assume: Assumptions) -> Iterator[Load]:
    known = [r for r in _OTHER_RAILS if getattr(part, f"{r}_w") is not None]
    if not known:
        yield _missing(part, "v12", "own" if part.sockets else "board", "v12_w")
    for rail in known:
        figure: Figure = getattr(part, f"{rail}_w")
        full = figure.span()
        spans = _states(full, full.times(part.idle_share), assume.everyday_other)
        if rail == "v5sb":
            spans = PerState(full, full, full, full, full, full)
        # Standby and the negative rails come through the main plug alone.
        feed: Feed = "own" if part.sockets and rail in ("v12", "v5", "v3v3") else "board"
        yield _load(part, rail, feed, spans, f"{rail}_w", f"at {RAIL_WORDS[rail]}",
                    figure.origin == "assumed")  # fmt: skip
