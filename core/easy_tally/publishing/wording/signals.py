"""Signal ports in words."""

from __future__ import annotations

import math
from collections.abc import Mapping

from ...standards.signals import SIGNAL_WORDS, SignalKind
from ...tally.signals import Item, SignalCount, Speeds
from ...things.parts import M2Slot

_NAMED = 3


def _range(low: float, high: float) -> str:
    if low == high:
        return f"{low:g}"
    if math.isinf(high):
        return f"{low:g} or more" if low else "not known how many"
    return f"{low:g} to {high:g}"


def kind_words(kind: SignalKind, n: float = 2) -> str:
    """One or several ports of a kind."""
    one, several = SIGNAL_WORDS[kind]
    return one if n == 1 else several


def signal_title(kind: SignalKind) -> str:
    """The kind, as what a finding is about."""
    words = kind_words(kind)
    return words[0].upper() + words[1:]


def who_needs(c: SignalCount) -> str:
    """Who needs them, those with the most first."""
    items = sorted(c.needs, key=lambda i: -i.high)
    said = [_whose(i) for i in items[:_NAMED]]
    more = len(items) - _NAMED
    return ", ".join(said) + (f" and {more} more" if more > 0 else "")


def _whose(item: Item) -> str:
    """`Disk`, `10 × Disk`, `perhaps Hub`."""
    perhaps = "perhaps " if not item.low else ""
    if math.isinf(item.high):
        return perhaps + item.name
    return perhaps + (f"{item.high:g} × {item.name}" if item.high > 1 else item.name)


def short_words(c: SignalCount) -> str:
    """How many are needed, by whom, how many there are, and how many that is short."""
    there = _range(*c.there) if c.there[1] else "none"
    text = f"{c.needed[0]} needed: {who_needs(c)}. There {'is' if there == '1' else 'are'} {there}"
    if c.off[1]:
        text += f"; the M.2 slots in use switch off {_range(*c.off)} of the board’s"
    return f"{text}. {c.short:g} short."


def unknown_words(counts: tuple[SignalCount, ...]) -> str:
    """What can't be told, kind by kind."""
    return " ".join(_unknown(c) for c in counts)


def _unknown(c: SignalCount) -> str:
    needed, there = _range(*c.needed), _range(*c.there)
    dead = " at worst, with those that M.2 slots in use may switch off" if c.off[1] else ""
    return f"{signal_title(c.kind)}: {needed} needed ({who_needs(c)}), {there} there{dead}."


def keep_free_words(slots: tuple[M2Slot, ...]) -> str:
    """Which slots to leave free, and what each would switch off."""
    each = (f"{s.key} would switch off {_ports(s.off)}" for s in slots)
    return f"Leave free: {'; '.join(each)}."


def _ports(off: tuple[int, ...]) -> str:
    numbers = " and ".join(str(n) for n in off)
    return f"SATA data port{'s' if len(off) > 1 else ''} {numbers}"


def speed_words(s: Speeds, names: Mapping[str, str]) -> str:
    """How many fans show no speed, and why."""
    text = f"Of {s.fans} fans and pumps on headers, {s.unseen} show no speed"
    if s.shared:
        text += ": " + ", ".join(
            f"{n} share {key} of {names[owner]}" for owner, key, n in s.shared[:_NAMED]
        )
    if s.on_hubs:
        also = "; " if s.shared else ": "
        text += f"{also}a hub shows one fan’s, so {s.on_hubs} on hubs are not seen"
    return text + "."
