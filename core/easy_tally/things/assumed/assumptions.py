"""The one map of what is assumed. A builder can set each value; all travel in the file.

Source of every row here: **assumption** of Easy Tally, unless its description names another.
"""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import AfterValidator, Field, ValidationInfo

from ...base.declared import Bounds, Model

#: The most that a default with bounds may be, by its unit; none is below zero.
_MOST = {"W": 3000.0, "A": 60.0, "×": 5.0}


def _span(low: float, likely: float, high: float, unit: str, text: str) -> Any:
    return Field(
        default=Bounds(low=low, likely=likely, high=high),
        description=text,
        json_schema_extra={"unit": unit},
    )


def _in_range(value: Bounds, info: ValidationInfo) -> Bounds:
    extra = Assumptions.model_fields[info.field_name or ""].json_schema_extra
    unit = str(extra["unit"]) if isinstance(extra, dict) else ""
    if value.low < 0 or value.high > _MOST[unit]:
        raise ValueError(f"between 0 and {_MOST[unit]:g} {unit}")
    return value


def _number(value: float, at_least: float, at_most: float, unit: str, text: str) -> Any:
    return Field(
        default=value, ge=at_least, le=at_most, description=text, json_schema_extra={"unit": unit}
    )


_Span = Annotated[Bounds, AfterValidator(_in_range)]


class Assumptions(Model):
    """What is taken where the builder has no figure."""

    regulator_efficiency: float = _number(
        0.90, 0.5, 1, "", "efficiency of the board's processor regulator fed from 12 V"
    )
    regulator_efficiency_5v: float = _number(
        0.80, 0.5, 1, "", "efficiency of the processor regulator on a board that feeds it from 5 V"
    )
    processor_idle_w: _Span = _span(8, 15, 30, "W", "processor package at idle")
    processor_short_ratio: _Span = _span(
        1.0, 1.25, 1.6, "×", "short package limit as a multiple of the sustained one"
    )
    board_12v_w: _Span = _span(8, 12, 18, "W", "the board's own draw at 12 V, at full")
    board_5v_w: _Span = _span(3, 6, 10, "W", "the board's own draw at 5 V, at full")
    board_3v3_w: _Span = _span(4, 7, 10, "W", "the board's own draw at 3.3 V, at full")
    board_idle_share: _Span = _span(0.4, 0.6, 0.9, "×", "the board's idle draw as a share of full")
    card_idle_share: _Span = _span(0.03, 0.06, 0.12, "×", "a card's idle draw as a share of full")
    slot_share_with_8pin_w: _Span = _span(
        0, 50, 66, "W", "what a card with 6- or 8-pin sockets takes from its slot at 12 V"
    )
    slot_share_with_16pin_w: _Span = _span(
        0, 10, 66, "W", "what a card with a 16-pin socket takes from its slot at 12 V"
    )
    memory_module_w: _Span = _span(3, 5, 8, "W", "one memory module at full")
    memory_idle_share: _Span = _span(0.2, 0.3, 0.5, "×", "memory at idle as a share of full")
    m2_w: _Span = _span(4, 7, 11, "W", "an M.2 drive at full")
    m2_idle_share: _Span = _span(0.05, 0.15, 0.3, "×", "an M.2 drive at idle as a share of full")
    disk35_12v_a: _Span = _span(0.4, 0.6, 0.8, "A", "a 3.5-inch disk running, at 12 V")
    disk35_5v_a: _Span = _span(0.4, 0.6, 0.9, "A", "a 3.5-inch disk running, at 5 V")
    disk35_start_12v_a: _Span = _span(1.6, 2.0, 2.6, "A", "a 3.5-inch disk at spin-up, at 12 V")
    disk35_start_5v_a: _Span = _span(0.7, 1.0, 1.3, "A", "a 3.5-inch disk at spin-up, at 5 V")
    disk35_idle_share: _Span = _span(0.6, 0.8, 1.0, "×", "a 3.5-inch disk's idle share of running")
    drive25_5v_a: _Span = _span(0.3, 0.6, 1.2, "A", "a 2.5-inch drive running, at 5 V")
    drive25_idle_share: _Span = _span(0.1, 0.2, 0.5, "×", "a 2.5-inch drive's idle share")
    fan_a: _Span = _span(0.1, 0.2, 0.4, "A", "a fan at full speed, at 12 V")
    optical_12v_a: _Span = _span(0.5, 1.0, 1.5, "A", "an optical drive running, at 12 V")
    optical_5v_a: _Span = _span(0.5, 0.9, 1.3, "A", "an optical drive running, at 5 V")
    floppy_12v_a: _Span = _span(0.0, 0.1, 0.5, "A", "a floppy drive running, at 12 V")
    floppy_5v_a: _Span = _span(0.2, 0.4, 0.8, "A", "a floppy drive running, at 5 V")
    pump_a: _Span = _span(0.2, 0.4, 1.5, "A", "a pump at full speed, at 12 V")
    strip_a: _Span = _span(0.3, 1.0, 2.0, "A", "a light strip with all lights on")
    controller_w: _Span = _span(0.3, 1.0, 3.0, "W", "a hub's or cooler's own electronics at 5 V")
    lights_idle_share: _Span = _span(0.3, 0.8, 1.0, "×", "lights at idle as a share of full")
    board_standby_w: _Span = _span(0.8, 2.0, 4.0, "W", "the board at 5 V standby")
    usb_asleep_w: _Span = _span(0, 0, 0.5, "W", "a USB load asleep, from standby")
    usb_idle_share: _Span = _span(0.5, 0.5, 0.5, "×", "a USB load at idle as a share of in use")
    fan_idle_share: _Span = _span(0.1, 0.35, 1.0, "×", "a fan at idle speed as a share of full")
    everyday_board: float = _number(0.7, 0, 1, "", "the board's everyday duty, from idle to full")
    everyday_processor: float = _number(0.35, 0, 1, "", "the processor's everyday duty")
    everyday_card: float = _number(0.4, 0, 1, "", "a card's everyday duty")
    everyday_memory: float = _number(0.5, 0, 1, "", "the memory's everyday duty")
    everyday_m2: float = _number(0.3, 0, 1, "", "an M.2 drive's everyday duty")
    everyday_drive: float = _number(0.5, 0, 1, "", "a SATA drive's everyday duty")
    everyday_fan: float = _number(0.5, 0, 1, "", "a fan's or pump's everyday duty")
    everyday_lights: float = _number(1, 0, 1, "", "the lights' everyday duty")
    everyday_other: float = _number(0.5, 0, 1, "", "everyday duty of USB and other loads")
    spike_card_0_1ms: float = _number(2.0, 1, 5, "×", "a graphics card's spike at 0.1 ms")
    spike_card_1ms: float = _number(1.7, 1, 5, "×", "a graphics card's spike at 1 ms")
    spike_card_10ms: float = _number(1.4, 1, 5, "×", "a graphics card's spike at 10 ms")
    spike_card_100ms: float = _number(1.15, 1, 5, "×", "a graphics card's spike at 100 ms")
    spike_sustained_0_1ms: float = _number(
        1.5, 1, 5, "×", "the processor's spike at 0.1 ms, on its sustained load"
    )
    spike_sustained_1ms: float = _number(
        1.3, 1, 5, "×", "the processor's spike at 1 ms, on its sustained load"
    )
    spike_sustained_10ms: float = _number(
        1.2, 1, 5, "×", "the processor's spike at 10 ms, on its sustained load"
    )
    spike_sustained_100ms: float = _number(
        1.1, 1, 5, "×", "the processor's spike at 100 ms, on its sustained load"
    )
    spike_short_0_1ms: float = _number(
        1.2, 1, 5, "×", "the processor's spike at 0.1 ms, on its short-time load"
    )
    spike_short_1ms: float = _number(
        1.1, 1, 5, "×", "the processor's spike at 1 ms, on its short-time load"
    )
    spike_short_10ms: float = _number(
        1.0, 1, 5, "×", "the processor's spike at 10 ms, on its short-time load"
    )
    spike_short_100ms: float = _number(
        1.0, 1, 5, "×", "the processor's spike at 100 ms, on its short-time load"
    )
    ride_classic_0_1ms: float = _number(
        1.30, 1, 3, "×", "what a supply of a classic design rides through at 0.1 ms"
    )
    ride_classic_1ms: float = _number(
        1.20, 1, 3, "×", "what a supply of a classic design rides through at 1 ms"
    )
    ride_classic_10ms: float = _number(
        1.10, 1, 3, "×", "what a supply of a classic design rides through at 10 ms"
    )
    ride_classic_100ms: float = _number(
        1.05, 1, 3, "×", "what a supply of a classic design rides through at 100 ms"
    )
    room_degc: float = _number(25, -20, 60, "°C", "air in the room")
    plug_air_rise_degc: float = _number(15, 0, 50, "°C", "air at a plug above the room's")
    insulation_degc: float = _number(
        80, 60, 200, "°C", "what a wire's insulation stands, where nothing is printed on it"
    )
    worst_pin_16pin: float = _number(
        1.10, 1, 3, "×", "current of a 16-pin plug's worst pin over the mean"
    )
    start_factor: float = _number(
        1.5, 1, 3, "×", "what pins and wires stand for the seconds of a start"
    )
    contact_mohm: float = _number(5, 0, 100, "mΩ", "one mated contact")
    bend_radius_mm: float = _number(10, 0, 100, "mm", "radius of a cable's bend behind a plug")
    plug_stands_mm: float = _number(
        12, 0, 60, "mm", "how far the body of a 16-pin plug stands out of its socket"
    )
    plug_8pin_mm: float = _number(
        35, 0, 100, "mm", "room that a 6- or 8-pin plug takes with the bend of its cable"
    )
    air_rise_degc: float = _number(10, 1, 40, "°C", "how much warmer air may leave the case")
    fan_flow_share: float = _number(
        0.5, 0.05, 1, "", "what a fan moves in a case, of its flow in the open"
    )
    wire_14awg_a: float = _number(17, 1, 40, "A", "one 14 AWG conductor in a bundle")
    wire_16awg_a: float = _number(13, 1, 40, "A", "one 16 AWG conductor in a bundle")
    wire_18awg_a: float = _number(10, 1, 40, "A", "one 18 AWG conductor in a bundle")
    wire_20awg_a: float = _number(7.5, 1, 40, "A", "one 20 AWG conductor in a bundle")
    wire_22awg_a: float = _number(5, 1, 40, "A", "one 22 AWG conductor in a bundle")
