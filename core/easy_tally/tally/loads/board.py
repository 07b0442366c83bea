"""Loads of what stands on the board: the processor, the board itself, memory, M.2, USB."""

from __future__ import annotations

from collections.abc import Iterator

from ...base.declared import Figure
from ...base.series import ZERO, Span
from ...base.units import RAIL_WORDS, Rail
from ...things.assumed.assumptions import Assumptions
from ...things.assumed.defaults import default
from ...things.parts import Board, M2Drive, Memory, Other, Processor, UsbLoad
from .common import (
    NOTHING,
    Feed,
    Load,
    PerState,
    full_and_idle,
    load,
    nothing_known,
    or_assumed,
    states,
)


def processor(part: Processor, assume: Assumptions, through_board: bool) -> Iterator[Load]:
    """Socket watts = package ÷ regulator efficiency, at 12 V on the processor sockets; from 5 V
    through the main plug on a board that has none. A limit that is stated counts although the
    other is missing."""
    rail: Rail = "v5" if through_board else "v12"
    feed: Feed = "board" if through_board else "processor"
    efficiency = assume.regulator_efficiency_5v if through_board else assume.regulator_efficiency
    stated = part.package_w
    formula = f"package ÷ regulator efficiency {efficiency:g}"
    spans = _known_part(part) if stated is None else _package(part, stated, assume)
    yield load(
        part,
        rail,
        feed,
        spans.times(1 / efficiency),
        field="package_w",
        formula="no figure" if stated is None else formula,
        assumed=stated is None or stated.is_assumed,
        missing=stated is None,
    )


def _package(part: Processor, stated: Figure, assume: Assumptions) -> PerState:
    sustained = stated.span()
    if part.package_idle_w is None:
        idle = assume.processor_idle_w.span().least(sustained)
    else:
        idle = part.package_idle_w.span()
    figure = part.package_short_w
    short = default(part, "package_short_w", assume) if figure is None else figure.span()
    spans = states(sustained, idle, assume.everyday_processor)
    # A short limit below the sustained one is a contradiction, and the larger counts.
    return spans._replace(short=(short or sustained).most(sustained))


def _known_part(part: Processor) -> PerState:
    """What is known of a processor without a sustained limit."""
    idle = part.package_idle_w.span() if part.package_idle_w else ZERO
    short = part.package_short_w.span() if part.package_short_w else ZERO
    return NOTHING._replace(idle=idle, everyday=idle, full=idle, start=idle, short=short.most(idle))


def board(part: Board, assume: Assumptions) -> Iterator[Load]:
    """The board's own draw on three rails; asleep from standby."""
    rows: tuple[tuple[Rail, str, Figure | None, Span], ...] = (
        ("v12", "own_12v_w", part.own_12v_w, assume.board_12v_w.span()),
        ("v5", "own_5v_w", part.own_5v_w, assume.board_5v_w.span()),
        ("v3v3", "own_3v3_w", part.own_3v3_w, assume.board_3v3_w.span()),
    )
    for rail, field, figure, usual in rows:
        full, idle, assumed = full_and_idle(figure, usual, assume.board_idle_share.span())
        spans = states(full, idle, assume.everyday_board)
        yield load(part, rail, "board", spans, field=field, formula="own draw", assumed=assumed)
    standby, assumed = or_assumed(part.standby_w, assume.board_standby_w.span())
    # Awake, what the board takes from standby is within its own draw above.
    asleep = NOTHING._replace(sleep=standby)
    yield load(
        part,
        "v5sb",
        "board",
        asleep,
        field="standby_w",
        formula="asleep, from standby",
        assumed=assumed,
    )


def memory(part: Memory, assume: Assumptions) -> Iterator[Load]:
    """Unbuffered DDR5 regulates from 5 V on the module; the others take 12 V through the board."""
    full, idle, assumed = full_and_idle(
        part.module_w, assume.memory_module_w.span(), assume.memory_idle_share.span()
    )
    rail: Rail = "v5" if part.generation == "ddr5" else "v12"
    yield load(
        part,
        rail,
        "board",
        states(full, idle, assume.everyday_memory),
        field="module_w",
        formula="one module",
        assumed=assumed,
    )


def m2(part: M2Drive, assume: Assumptions) -> Iterator[Load]:
    """3.3 V through the main plug."""
    full, idle, assumed = full_and_idle(
        part.full_w, assume.m2_w.span(), assume.m2_idle_share.span(), part.idle_w
    )
    yield load(
        part,
        "v3v3",
        "board",
        states(full, idle, assume.everyday_m2),
        field="full_w",
        formula="at 3.3 V",
        assumed=assumed,
    )


def usb(part: UsbLoad, assume: Assumptions) -> Iterator[Load]:
    """5 V in use; 5 V standby asleep."""
    if part.draw_w is None:
        yield nothing_known(part, "v5", "board", "draw_w")
    else:
        full = part.draw_w.span()
        spans = states(full, full.by(assume.usb_idle_share.span()), assume.everyday_other)
        yield load(
            part,
            "v5",
            "board",
            spans,
            field="draw_w",
            formula="in use, at 5 V",
            assumed=part.draw_w.is_assumed,
        )
    asleep, assumed = or_assumed(part.asleep_w, assume.usb_asleep_w.span())
    if asleep.high > 0:
        yield load(
            part,
            "v5sb",
            "board",
            NOTHING._replace(sleep=asleep),
            field="asleep_w",
            formula="asleep, from standby",
            assumed=assumed,
        )


_OTHER_RAILS: tuple[Rail, ...] = ("v12", "v5", "v3v3", "v5sb", "vneg12", "vneg5")


def other(part: Other, assume: Assumptions) -> Iterator[Load]:
    """Anything else, by rail: through its own socket, or through the board where it has none."""
    known = [r for r in _OTHER_RAILS if getattr(part, f"{r}_w") is not None]
    if not known:
        yield nothing_known(part, "v12", "own" if part.sockets else "board", "v12_w")
    for rail in known:
        figure: Figure = getattr(part, f"{rail}_w")
        full = figure.span()
        spans = states(full, full.times(part.idle_share), assume.everyday_other)
        if rail == "v5sb":
            spans = PerState(full, full, full, full, full, full)
        # Standby and the negative rails come through the main plug alone.
        feed: Feed = "own" if part.sockets and rail in ("v12", "v5", "v3v3") else "board"
        yield load(
            part,
            rail,
            feed,
            spans,
            field=f"{rail}_w",
            formula=f"at {RAIL_WORDS[rail]}",
            assumed=figure.is_assumed,
        )
