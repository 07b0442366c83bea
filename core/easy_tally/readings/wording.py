"""What readings say, in sentences: the number, what it may mean, what to look at."""

from __future__ import annotations

from collections.abc import Callable

from ..base.saying import number
from ..base.units import STATE_WORDS
from ..wiring import Wired
from .channels import UNIT_WORDS, words
from .judged import Read


def say(wired: Wired, f: Read) -> tuple[str, str]:
    """(what was found, what to look at) of a finding."""
    text, look = _WORDS[f.id](wired, f)
    text = text[:1].upper() + text[1:]
    if f.also:
        text += f" Also at {' and '.join(STATE_WORDS[s] for s in f.also)}."
    return text, look


def _value(f: Read, key: str = "value") -> str:
    unit = UNIT_WORDS[f.channel.unit]
    value = f.numbers[key]
    if unit == "°C":
        return f"{value:.0f} °C"
    # A reading is said as it was read, to the nearest; limits and bands with it.
    if unit == "W":
        return f"{value:,.0f} W" if value >= 20 else f"{value:.1f} W"
    return number(value, unit)


def _in(f: Read) -> str:
    return f" at {STATE_WORDS[f.state]}" if f.state else ""


def _where(wired: Wired, f: Read) -> str:
    # The quantity is in the number's unit already.
    return words(wired, f.channel).rpartition(", ")[0] or words(wired, f.channel)


_SEAT = (
    "Switch off, unplug, push the plug home until it clicks, see that there is no gap, and measure "
    "again."
)
_STOP = "Switch off at the wall and stop. Look at plug and socket; browned or loose: replace both."


def _pin_over(w: Wired, f: Read) -> tuple[str, str]:
    return f"{_where(w, f)} carries {_value(f)} of {_value(f, 'limit')}{_in(f)}.", _STOP


def _pin_tight(w: Wired, f: Read) -> tuple[str, str]:
    said = f"{_where(w, f)} carries {_value(f)} of {_value(f, 'limit')}{_in(f)}: little is left."
    return said, "Spread the load over more cables, or lower the power limit."


def _uneven(w: Wired, f: Read) -> tuple[str, str]:
    plug = w.words(f.channel.at)
    n = f.numbers
    said = (
        f"{plug}: pin {n['pin']:.0f} carries {n['worst']:.2f} A of a mean of {n['mean']:.2f} A a "
        f"pin{_in(f)}, {n['share']:.2f} times as much; up to {n['limit']:.2f} is usual."
    )
    return said, f"A contact does not touch as the others do. {_SEAT}"


def _uneven_stop(w: Wired, f: Read) -> tuple[str, str]:
    return _uneven(w, f)[0], f"The plug is not home, or contacts are spent. {_STOP}"


def _pin_away(w: Wired, f: Read) -> tuple[str, str]:
    n = f.numbers
    said = (
        f"{w.words(f.channel.at)}: pin {n['low pin']:.0f} carries {n['low']:.2f} A{_in(f)} where "
        f"its plug’s mean is {n['mean']:.2f} A; the others carry its part, pin {n['pin']:.0f} "
        f"{n['worst']:.2f} A."
    )
    return said, f"That contact is open: pushed in, bent, or its wire broken. {_STOP}"


def _pin_low(w: Wired, f: Read) -> tuple[str, str]:
    n = f.numbers
    said = (
        f"{w.words(f.channel.at)}: pin {n['low pin']:.0f} carries {n['low']:.2f} A{_in(f)} where "
        f"its plug’s mean is {n['mean']:.2f} A; the others carry the more."
    )
    look = "That contact or its wire lets less through: spent where it is warm, pinched where not."
    return said, f"{look} {_SEAT}"


def _hot_over(w: Wired, f: Read) -> tuple[str, str]:
    n = f.numbers
    value = f"{max(n['value'], n['worst']):.0f} °C"
    return f"{_where(w, f)} is at {value}{_in(f)}; it stands {_value(f, 'limit')}.", _STOP


def _hot_tight(w: Wired, f: Read) -> tuple[str, str]:
    said = f"{_where(w, f)} is at {_value(f)}{_in(f)}, and stands {_value(f, 'limit')}."
    return said, f"Hotter than good contacts grow. {_SEAT}"


def _volts_low(w: Wired, f: Read) -> tuple[str, str]:
    said = f"{_where(w, f)}: {_value(f)}{_in(f)}, below {_value(f, 'limit')}."
    look = "A long thin cable, a chained plug, a bad contact, or a supply that gives in."
    return said, f"{look} Measure at the supply’s end too."


def _volts_high(w: Wired, f: Read) -> tuple[str, str]:
    said = f"{_where(w, f)}: {_value(f)}{_in(f)}, above {_value(f, 'limit')}."
    return said, "Stop using this supply until it was looked at."


def _over_label(w: Wired, f: Read) -> tuple[str, str]:
    said = f"{_where(w, f)}: {_value(f)}{_in(f)}, of {_value(f, 'limit')} on its label."
    return said, "Lower a power limit, or take a larger supply."


def _lost(w: Wired, f: Read) -> tuple[str, str]:
    said = (
        f"{_where(w, f)}: {_value(f)} are lost on the way{_in(f)}; wires and contacts explain "
        f"{_value(f, 'expected')}."
    )
    look = "Two plugs on one cable where the map has two, a pinched bend, or tired contacts."
    return said, f"{look} Follow the cable to its port."


def _band(f: Read) -> str:
    return f"{_value(f, 'low')} to {_value(f, 'high')}"


def _above(w: Wired, f: Read) -> tuple[str, str]:
    said = f"{_where(w, f)}: {_value(f)}{_in(f)}, above the tally’s {_band(f)}."
    look = "Something draws more than was said: a raised limit, a figure too low, a part forgotten."
    return said, f"{look} Take the reading over where it is one part’s, or find the part."


def _below(w: Wired, f: Read) -> tuple[str, str]:
    said = f"{_where(w, f)}: {_value(f)}{_in(f)}, below the tally’s {_band(f)}."
    look = "It did not work as hard as was meant, something is not fed, or a figure is too high."
    return said, f"{look} See that every part runs, and what limits it."


def _nothing(w: Wired, f: Read) -> tuple[str, str]:
    said = (
        f"{w.words(f.channel.at)} carries {_value(f)}{_in(f)} where the map gives it "
        f"{_value(f, 'expected')}."
    )
    look = "Its cable is not in at one of its ends; what is fed beside it carries its part too."
    return said, f"{look} {_SEAT}"


def _coded(w: Wired, f: Read) -> tuple[str, str]:
    said = (
        f"{_where(w, f)} stops at {_value(f)}{_in(f)}, as a code for {_value(f, 'limit')} would "
        f"make it; the tally has {_value(f, 'expected')}."
    )
    return said, "Look at what the cable is coded for, and that its sense contacts are home."


def _out(w: Wired, f: Read) -> tuple[str, str]:
    n = f.numbers
    said = (
        f"{n['dc']:.0f} W leave the supply{_in(f)} where only {n['wall']:.0f} W come from the wall."
    )
    return said, "One of the two meters is wrong, or they were not read at the same time."


def _efficiency(w: Wired, f: Read) -> tuple[str, str]:
    n = f.numbers
    said = (
        f"The supply turns {n['value'] * 100:.1f} % into output{_in(f)}; its curve says "
        f"{n['limit'] * 100:.1f} %."
    )
    return said, ""


def _below_curve(w: Wired, f: Read) -> tuple[str, str]:
    said, _ = _efficiency(w, f)
    return said, "The wall meter reads other things too, a meter is wrong, or the supply has aged."


def _as_tallied(w: Wired, f: Read) -> tuple[str, str]:
    return f"{_where(w, f)}: {_value(f)}{_in(f)}, within the tally’s {_band(f)}.", ""


def _no_state(w: Wired, f: Read) -> tuple[str, str]:
    said = "No state is known in which this was measured."
    return said, "Name the spans: idle, everyday use, full load."


def _state_missing(w: Wired, f: Read) -> tuple[str, str]:
    return f"Nothing was measured{_in(f)}.", "Until it is, the machine is not known to be within."


def _total_missing(w: Wired, f: Read) -> tuple[str, str]:
    said = f"Neither the wall nor the supply’s output was measured{_in(f)}."
    return said, "A wall meter is enough to hold the whole against the tally."


def _plug_missing(w: Wired, f: Read) -> tuple[str, str]:
    return f"{w.words(f.channel.at)}: no {', '.join(f.among)} measured.", ""


def _no_band(w: Wired, f: Read) -> tuple[str, str]:
    said = f"{_where(w, f)} was measured{_in(f)}, and there is no figure to hold it against."
    return said, "Give the figures that To mend names as unknown."


def _no_limit(w: Wired, f: Read) -> tuple[str, str]:
    said = f"{w.words(f.channel.at)}: what one of its pins may carry is not known."
    return said, "Say its cable’s gauge and contacts, or what stands in between."


def _no_map(w: Wired, f: Read) -> tuple[str, str]:
    which = f"{', '.join(f.among)}: not fed in the map" if f.among else "Nothing is fed in the map"
    return f"{which}, so it was not held.", "Map it as it is plugged."


_WORDS: dict[str, Callable[[Wired, Read], tuple[str, str]]] = {
    "pin over": _pin_over,
    "pin tight": _pin_tight,
    "uneven": _uneven,
    "uneven stop": _uneven_stop,
    "pin away": _pin_away,
    "pin low": _pin_low,
    "hot over": _hot_over,
    "hot tight": _hot_tight,
    "volts low": _volts_low,
    "volts high over": _volts_high,
    "supply over": _over_label,
    "rail over": _over_label,
    "volts lost": _lost,
    "above tally": _above,
    "below tally": _below,
    "carries nothing": _nothing,
    "as coded": _coded,
    "more out than in": _out,
    "below curve": _below_curve,
    "efficiency": _efficiency,
    "as tallied": _as_tallied,
    "no state": _no_state,
    "state missing": _state_missing,
    "total missing": _total_missing,
    "plug missing": _plug_missing,
    "no band": _no_band,
    "no limit": _no_limit,
    "no map": _no_map,
}
