"""The things that a line speaks of, each put into the line's own words from its slots."""

from __future__ import annotations

import math
import re
from itertools import pairwise
from typing import Any, NamedTuple

from ...things.parts import KINDS as PARTS
from ..vocabulary import MEANT
from ..words import KINDS, PLURALS, figures_of, main_figure
from .amounts import Amount, Line
from .grammar import Slot

#: How thick one slot place is [mm]. Source: PCI Express CEM.
_SLOT_MM = 20.32
_RAILS = {12.0: "12v", 5.0: "5v", 3.3: "3.3v"}


#: Roles of words that are taken with others, or stand between them.
_SAYS_NOTHING = ("count", "filler", "break", "mark", "for", "with")


class Open(NamedTuple):
    """A question, and the words that would answer it; whether nothing in the line tells it."""

    question: str
    words: tuple[str, ...]
    is_told_nowhere: bool = True


class Item(NamedTuple):
    """One thing: its line in the line's own words; the name that its kind goes by; what describes
    it, behind its name; what was left out; what is not sure. `weight` beyond that of its slots."""

    said: str
    called: str
    described: tuple[str, ...]
    dropped: tuple[str, ...]
    unsure: tuple[str, ...]
    loose: tuple[str, ...]
    weight: float
    #: Kind of part, as a build has it.
    kind: str
    open: Open | None = None


class _Misread(Exception):
    """Slots that do not go together."""


def items_of(slots: tuple[Slot, ...], line: Line) -> list[Item] | None:
    """The things of a reading; None where its slots do not go together."""
    try:
        return [_Making(kinds, own, line).item() for kinds, own in _split(slots, line)]
    except _Misread:
        return None


def _split(slots: tuple[Slot, ...], line: Line) -> list[tuple[list[Slot], list[Slot]]]:
    """Slots by the thing that they are of: a kind behind `with` or `for` is no thing of its own,
    and two stand apart only where something parts them."""
    groups: list[tuple[list[Slot], list[Slot]]] = [([], [])]
    parted, under, joined = False, False, ""
    for slot in slots:
        kinds, own = groups[-1]
        if slot.role == "break" or line.text(slot.at) in ("and", "&"):
            parted, under, joined = True, False, line.text(slot.at)
        elif slot.role in ("with", "for") and kinds:
            under = True
        elif slot.role == "kind":
            if not kinds:
                kinds.append(slot)
            elif (
                _kind(slot) == "fan"
                and _kind(kinds[0]) in ("cooler", "card", "hub")
                and joined != "and"
            ):
                n = _taken_count(own, kinds[-1].to)
                own.append(slot._replace(role="fans", value=n))
            elif under:
                counted = own.pop() if own and own[-1].role == "count" else slot
                own.append(slot._replace(role="under", at=counted.at))
                continue
            elif parted and _may_stand_apart(kinds, own, slot):
                groups.append(([slot], _counts_before(own, slot)))
            else:
                kinds.append(slot)
            parted = False
            continue
        own.append(slot)
    return groups


def _may_stand_apart(kinds: list[Slot], own: list[Slot], slot: Slot) -> bool:
    """Another kind, another thing of a kind, or the same once more with a count of its own."""
    if slot.value not in {k.value for k in kinds}:
        return True
    breaks = [i for i, s in enumerate(own) if s.role == "break"]
    counts = [i for i, s in enumerate(own) if s.role == "count"]
    return len(counts) > 1 and bool(breaks) and counts[-1] > breaks[-1]


def _counts_before(own: list[Slot], kind: Slot) -> list[Slot]:
    """What stands right before a second kind is its own: taken out of what came before."""
    taken: list[Slot] = []
    while (
        own
        and own[-1].role not in ("break", "and", "mark")
        and own[-1].to == (taken[0].at if taken else kind.at)
    ):
        taken.insert(0, own.pop())
    return taken


def _taken_count(own: list[Slot], behind: int) -> int:
    """The count that stands last behind a place, taken out. Raises where there is none."""
    for i in range(len(own) - 1, -1, -1):
        slot = own[i]
        if slot.role in ("figure", "each") and slot.value[0] == "" and slot.at >= behind:
            own[i] = slot._replace(value=("fan", slot.value[1]))
        if slot.role == "count" and slot.at >= behind:
            return int(own.pop(i).value)
    raise _Misread


def _kind(slot: Slot) -> str:
    word = str(slot.value).split(" ")[0]
    return KINDS[PLURALS.get(word, word)]


class _Making:
    """One thing being put together from its slots."""

    def __init__(self, kinds: list[Slot], slots: list[Slot], line: Line) -> None:
        self.slots, self.line = slots, line
        self.weight = 0.0
        self.words: list[str] = []
        self.called = ""
        self.open: Open | None = None
        self.described: list[str] = []
        self.dropped: list[str] = []
        self.unsure: list[str] = []
        self.loose: list[str] = []
        self.kind = self._head(kinds)
        self.figures = figures_of(self.kind)
        self.count = self._count()

    def text(self, slot: Slot) -> str:
        """A slot as it stands in the line."""
        return " ".join(t.text for t in self.line.tokens[slot.at : slot.to])

    def _head(self, kinds: list[Slot]) -> str:
        if not kinds:
            fans = [s for s in self.slots if s.role == "fans"]
            if len(fans) != 1:
                raise _Misread
            self.words, self.head_at, self.plural = ["fan"], -1, False
            self.radiator = self.liquid = False
            return "fan"
        names = [_kind(k) for k in kinds]
        self.radiator = any("radiator" in str(k.value) for k in kinds)
        meant = names[0] if len(set(names)) == 1 else MEANT.get(frozenset(names))
        if meant is None:
            raise _Misread
        if set(names) == {"card", "fan"} or (meant == "m2" and "card" in names):
            raise _Misread  # an adapter, or a drive: asked
        head = max((k for k in kinds if _kind(k) == meant), key=lambda k: len(str(k.value)))
        sizes = [s.value.likely for s in self.slots if s.role == "length"]
        self.liquid = str(head.value) != "cooler" or any(mm >= 200 for mm in sizes)
        word, _, rest = str(head.value).partition(" ")
        called = re.search(r'called:"([^"]*)"', rest)
        self.called = called[1] if called else ""
        rest = re.sub(r'called:"[^"]*"', "", rest).strip()
        for one, other in pairwise(kinds):
            if _kind(one) != _kind(other):
                self.weight -= 1.0 + 0.6 * (other.at - one.to)
        self.head_at, self.plural = head.at, word in PLURALS
        self.words = [PLURALS.get(word, word), *rest.split()]
        counted = any(s.role == "count" or (s.role == "total" and s.value[1]) for s in self.slots)
        if word in PLURALS and not counted:
            self.open = Open("How many?", tuple(f"x{n}" for n in range(2, 7)), False)
        return meant

    def _count(self) -> int:
        counts = [s.value for s in self.slots if s.role == "count"]
        if self.kind == "fan":
            counts += [s.value for s in self.slots if s.role == "fans"]
        if len(counts) > 1 and len(set(counts)) > 1:
            raise _Misread
        if counts and not 1 <= counts[0] <= 64:
            raise _Misread
        if counts and counts[0] > 1:
            self.words.append(f"x{counts[0]}")
        return counts[0] if counts else 1

    def item(self) -> Item:
        """The thing in the line's own words."""
        for slot in self.slots:
            if slot.role not in _SAYS_NOTHING:
                getattr(self, f"take_{slot.role.replace(' ', '_')}")(slot)
        return Item(
            said=" ".join(self.words),
            called=self.called,
            described=tuple(self.described),
            dropped=tuple(self.dropped),
            unsure=tuple(self.unsure),
            loose=tuple(self.loose),
            weight=self.weight,
            kind=self.figures,
            open=self.open,
        )

    # -- figures ---------------------------------------------------------------------------------

    def take_figure(self, slot: Slot) -> None:
        word, x = slot.value
        self._add_figure(word, x)

    take_each = take_figure

    def take_total(self, slot: Slot) -> None:
        x, both = slot.value
        if both and self.count > both:
            raise _Misread
        n = max(self.count, both)
        if both and self.count == 1:
            self.words.append(f"x{both}")
        self._add_figure("", x._replace(low=x.low / n, likely=x.likely / n, high=x.high / n))

    def _add_figure(self, word: str, x: Amount) -> None:
        word = self._figure_word(word)
        if self.kind == "usb" and x.unit == "a":
            x = _times(x, 5, "w")
        if self.kind == "cooler" and not word and x.unit == "w":
            at_12v = f"pump:{_amount(_times(x, 1 / 12, 'a'))}"
            self.open = Open(
                "All that it draws, its pump or its controller alone?",
                (f"{at_12v} fan:0a controller:0w", at_12v, f"controller:{_amount(x)}"),
            )
            return
        if self.kind == "board" and not word and x.unit == "w":
            self.open = Open(
                "All that the board draws, or at 12 V alone?",
                (f"own-12v:{_amount(x)} own-5v:0w own-3.3v:0w", f"own-12v:{_amount(x)}"),
            )
            return
        known = {f.said for f in PARTS[self.figures].figures}
        if word and word not in known:
            raise _Misread
        if not x.unit:
            main = main_figure(self.figures, "w") or main_figure(self.figures, "a")
            if main is None:
                raise _Misread
            x = x._replace(unit=main.unit)
        label = f"{word}:" if word else ""
        self.words.append(label + _amount(x))

    def _figure_word(self, word: str) -> str:
        if word == "main":
            return ""
        if word == "start" and self.figures in ("processor",):
            return "short"
        if word == "slot" and self.figures != "card":
            return ""
        return word

    def take_rail(self, slot: Slot) -> None:
        volts, x = slot.value
        watts = x if x.unit == "w" else _times(x, volts, "w")
        amps = x if x.unit == "a" else _times(x, 1 / volts, "a")
        if self.figures == "drive" and volts in (12, 5):
            self.words.append(f"{_RAILS[volts]}:{_amount(amps)}")
        elif self.kind == "other" and volts in _RAILS:
            self.words.append(f"{_RAILS[volts]}:{_amount(watts)}")
        elif self.kind == "board" and volts in _RAILS:
            self.words.append(f"own-{_RAILS[volts]}:{_amount(watts)}")
        elif self.kind == "strip" and volts in (5, 12):
            self.words += [f"{volts:g}v", _amount(x)]
        elif self.kind in ("usb", "m2", "card", "processor", "hub", "memory"):
            self.words.append(_amount(watts))
        elif self.kind in ("fan", "pump", "cooler") and volts == 12:
            self.words.append(_amount(x))
        else:
            raise _Misread

    def take_volts(self, slot: Slot) -> None:
        if self.kind == "strip" and slot.value in (5, 12):
            self.words.append(f"{slot.value:g}v")
        elif self.figures == "drive" or self.kind in ("board", "other"):
            raise _Misread  # of which figure?
        elif self.kind in ("fan", "pump", "cooler", "hub") and slot.value != 12:
            raise _Misread
        elif slot.value not in _RAILS and self.kind != "memory":
            self.weight -= 1

    # -- what feeds it ---------------------------------------------------------------------------

    def take_sockets(self, slot: Slot) -> None:
        if not PARTS[self.figures].has_sockets:
            raise _Misread
        for socket, n in slot.value:
            self.weight -= 1.5 * (self.kind == "card" and socket == "sata")
            self.words.append(socket if n == 1 else f"{n}x{socket}")

    def take_feed(self, slot: Slot) -> None:
        if slot.value == "header" and not PARTS[self.figures].hangs:
            self.described.append(self.text(slot))
        elif slot.value == "sata" and self.kind == "m2":
            raise _Misread
        elif slot.value == "sata" and not PARTS[self.figures].has_sockets:
            self.described.append(self.text(slot))
        elif slot.value not in self.words:
            self.words += slot.value.split()
            self.weight -= 1.5 * (self.kind == "card" and slot.value == "sata")

    def take_usb_lead(self, slot: Slot) -> None:
        if self.kind in ("hub", "cooler"):
            self.words.append("usb-lead")
        else:
            self.described.append(self.text(slot))

    def take_on_hub(self, slot: Slot) -> None:
        self._for_fans(slot, "on:hub")

    def take_blows(self, slot: Slot) -> None:
        self._for_fans(slot, f"blows:{slot.value}")

    def take_place(self, slot: Slot) -> None:
        self._for_fans(slot, f"mounted:{slot.value}")

    def _for_fans(self, slot: Slot, word: str) -> None:
        if self.kind in ("fan", "cooler"):
            self.words.append(word)
        else:
            self.described.append(self.text(slot))

    # -- sizes, limits -----------------------------------------------------------------------------

    def take_length(self, slot: Slot) -> None:
        x: Amount = slot.value
        if x.unit == "in" and self.figures == "drive":
            self.words.append(f"{x.likely:g}in")
        elif self.kind in ("fan", "cooler"):
            mm = x.likely * 25.4 if x.unit == "in" else x.likely
            self.words.append(f"{mm:.0f}mm")
            if self.kind == "cooler" and mm >= 200 and self.radiator:
                self.words.append(f"radiator:{mm:.0f}")
        elif self.kind == "card" and x.unit == "mm" and x.likely >= 100:
            self.words.append(f"long:{x.likely:g}")
        else:
            self.described.append(self.text(slot))

    def take_dimensions(self, slot: Slot) -> None:
        sizes = slot.value
        if self.kind == "card" and len(sizes) == 3:
            long, high, thick = sorted(sizes, reverse=True)
            covers = math.ceil(thick / _SLOT_MM - 0.02)
            self.words += [f"long:{long:g}", f"high:{high:g}", f"covers:{covers}"]
        elif self.kind in ("fan", "cooler"):
            self.words.append(f"{sizes[0]:g}mm")
        else:
            self.described.append(self.text(slot))

    def take_thick(self, slot: Slot) -> None:
        if self.kind != "cooler":
            raise _Misread
        self.words.append(f"thick:{slot.value:g}")

    def take_covers(self, slot: Slot) -> None:
        if self.called == "M.2 adapter":
            raise _Misread  # its M.2 slots
        if self.kind == "card":
            self.words.append(f"covers:{math.ceil(slot.value)}")
        else:
            self.described.append(self.text(slot))

    def take_detail(self, slot: Slot) -> None:
        x: Amount = slot.value
        self.words.append(f"{x.likely:g}{x.unit}")

    def take_flow(self, slot: Slot) -> None:
        if self.kind in ("fan", "cooler"):
            self.words.append(f"flow:{slot.value:.4g}")
        else:
            raise _Misread

    def take_limit(self, slot: Slot) -> None:
        if self.kind == "card":
            self.words.append(f"limit:{slot.value:.6g}")
        elif self.kind == "processor" and slot.value > 1 and len(power := self._power()) == 1:
            raised = (f"short:{power[0] * slot.value:.6g}w", "")
            self.open = Open("Does it draw so much more, or is it the clock alone?", raised)
        else:
            raise _Misread

    def _power(self) -> list[float]:
        """The figures in watts that no word names."""
        return [s.value[1].likely for s in self.slots if s.role == "figure" and not s.value[0]]

    def take_limit_watts(self, slot: Slot) -> None:
        power = self._power()
        if self.kind == "processor":
            self.words = [w for w in self.words if not re.fullmatch(r"[0-9.]+w", w)]
            self.words.append(f"{slot.value:g}w")
        elif self.kind == "card" and len(power) == 1 and power[0]:
            self.words.append(f"limit:{slot.value / power[0]:.6g}")
        else:
            raise _Misread

    def take_floor(self, slot: Slot) -> None:
        if self.kind != "card":
            raise _Misread
        self.words.append(f"floor:{slot.value:g}w")

    def take_fans(self, slot: Slot) -> None:
        if self.kind == "cooler" and not self.liquid:
            raise _Misread  # by air or by water: asked
        if self.kind == "cooler":
            self.words.append(f"fans:{slot.value}")
        elif self.kind == "hub":
            self.words.append(f"outputs:{slot.value}")
        elif self.kind == "board":
            raise _Misread
        elif self.kind != "fan":
            self.described.append(self.text(slot))

    def take_ports(self, slot: Slot) -> None:
        if self.kind == "hub":
            self.words.append(f"outputs:{slot.value}")
        elif self.called == "Storage controller":
            self.words.append(f"sata-ports:{slot.value}")
        else:
            self.described.append(self.text(slot))

    # -- the rest ----------------------------------------------------------------------------------

    def take_signal(self, slot: Slot) -> None:
        word, n = slot.value
        if word == "ports" and self.kind == "hub":
            self.words.append(f"outputs:{n}")
            return
        if word == "ports":
            if self.called != "Storage controller":
                self.described.append(self.text(slot))
                return
            word = "sata-ports"
        if self.kind != "board" and (word == "headers" or self.kind != "card"):
            raise _Misread
        self.words.append(f"{word}:{n}")

    def take_slots(self, slot: Slot) -> None:
        if self.kind != "board":
            raise _Misread
        self.words.append(f"slots:{','.join(slot.value)}")

    def take_lanes(self, slot: Slot) -> None:
        if self.kind == "card":
            self.words.append(f"{slot.value}lanes")
        else:
            self.described.append(self.text(slot))

    def take_name(self, slot: Slot) -> None:
        if any(w.startswith('"') for w in self.words):
            raise _Misread
        self.words.append(f'"{slot.value}"')

    def take_bare(self, slot: Slot) -> None:
        n = slot.value
        if n > 64 and slot.to == self.head_at and self.plural:
            raise _Misread  # more than there are of anything
        if self.kind in ("fan", "cooler") and n >= 40 and n % 1 == 0:
            self.words.append(f"{n:g}mm")
        elif self.kind == "fan" and n < 20:
            self.open = Open(f"{n:g} of what?", (f"{n:g}w", f"{n:g}a"), n % 1 != 0)
        else:
            self.words.append(f"{n:g}")

    def take_described(self, slot: Slot) -> None:
        self.described.append(self.text(slot))

    def take_under(self, slot: Slot) -> None:
        if self.kind == "fan" and _kind(slot) == "hub":
            self.unsure.append(self.text(slot))
        self.described.append(self.text(slot))

    def take_loose(self, slot: Slot) -> None:
        self.loose.append(self.text(slot))

    def take_maybe(self, slot: Slot) -> None:
        self.unsure.append(self.text(slot))

    def take_label(self, slot: Slot) -> None:
        self.unsure.append(self.text(slot))

    def take_price(self, slot: Slot) -> None:
        self.dropped.append(self.text(slot))

    take_told = take_price
    take_beside = take_price

    def take_elsewhere(self, slot: Slot) -> None:
        self.unsure.append(self.text(slot))


def _times(x: Amount, factor: float, unit: str) -> Amount:
    return Amount(x.low * factor, x.likely * factor, x.high * factor, unit, x.assumed)


def _amount(x: Amount) -> str:
    values: tuple[Any, ...] = (x.likely,) if x.exact else (x.low, x.likely, x.high)
    text = "/".join(f"{round(v, 6):.10g}" for v in values)
    return f"{text}{x.unit}" + ("(assumed)" if x.assumed else "")
