"""The things that a line speaks of, each put into the line's own words from its slots."""

from __future__ import annotations

import re
from typing import NamedTuple

from ...things.parts import KINDS as PARTS
from ..words import Spans
from .amounts import Amount, Line
from .figures import DUAL, SAYS_NOTHING, Open, amount_word
from .heads import Misread, kind_of
from .lexicon import FIGURES_OF_ONE, PLACES
from .measures import WithMeasures
from .parting import COUNTS, parted
from .patterns import MOST_COUNTED, Slot

#: A bare number from here on is a fan's size [mm].
_LEAST_FAN_MM = 40
#: Sizes that a module of memory has [GB].
_MODULE_GB = (4, 8, 12, 16, 24, 32, 48, 64, 96, 128)
#: Inches that only drives are said to have, and the drive.
_DRIVES_IN = {3.5: "disk", 2.5: "drive 2.5in"}
#: What disks turn at [rpm].
_RPM = (5400, 5900, 7200, 10_000, 15_000)
#: A number without a unit beyond this is of no count and no figure: a model's.
_LEAST_MODEL = 2100
_BOARD_GIVES = ("sata-ports", "usb2-headers", "usb3-headers", "usbc-headers", "audio-headers")
#: Kind → what it may give by number.
_GIVES = {
    "board": (*_BOARD_GIVES, "m2-slots", "headers"),
    "card": ("sata-ports", "usb2-headers", "m2-slots"),
    "hub": ("outputs",),
    "usb": ("usb2-headers",),
}
#: What a word of ports means on a kind.
_SIGNALS_OF = {
    ("hub", "ports"): "outputs",
    ("hub", "headers"): "outputs",
    ("usb", "headers"): "usb2-headers",
}
#: Roles of figures, which may be of what stands before them.
_FIGURES = ("figure", "each", "total", "rail", "bare", "limit watts")


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
    #: Kind of part, as a build has it; nothing where no word says one.
    kind: str
    open: Open | None = None
    #: Why a thing is no part of the tally, where that is all that the line speaks of.
    elsewhere: str = ""
    #: Whether a word that nobody knows stands where it may be what a figure or a count is of.
    doubtful: bool = False
    #: Where in the line stands what: its slot (`kind`, `count`, `each`, `fed by`, `measures`,
    #: `note`, `left out`), from which character to which.
    spans: Spans = ()


#: Role → the slot that a person sees.
_SEEN: dict[str, str] = {
    **dict.fromkeys(("kind", "sized", "fans"), "kind"),
    **dict.fromkeys(("count", "kit", "kit of", "multiple"), "count"),
    **dict.fromkeys(("figure", "each", "total", "rail", "limit watts", "two figures"), "each"),
    **dict.fromkeys(
        ("sockets", "feed", "cpu sockets", "card cpu sockets", "on hub", "usb lead"), "fed by"
    ),
    **dict.fromkeys(("length", "dimensions", "thick", "covers", "place", "blows"), "measures"),
    **dict.fromkeys(("loose", "described", "under", "name", "detail"), "note"),
    **dict.fromkeys(("price", "told", "beside"), "left out"),
}


def items_of(slots: tuple[Slot, ...], line: Line) -> list[Item] | None:
    """The things of a reading; None where its slots do not go together."""
    if not any(s.role in ("kind", "fans", "sized") for s in slots):
        kind = _kind_implied(slots, line)
        if kind is None:
            return [_kindless(slots)]
        slots = (kind, *slots)
    try:
        return [_Making(kinds, own, line).item() for kinds, own in parted(slots, line)]
    except Misread:
        return None


def _kind_implied(slots: tuple[Slot, ...], line: Line) -> Slot | None:
    """The kind of part that something else says where no word does: `graphics power`, `3.5 inch`,
    `140 mm exhaust`."""
    for slot in slots:
        if slot.role == "length" and slot.value.unit == "in" and slot.value.likely in _DRIVES_IN:
            return slot._replace(role="kind", value=_DRIVES_IN[slot.value.likely], weight=0.0)
        if slot.role == "blows":
            return slot._replace(role="kind", value="fan", weight=0.0)
        if slot.role in ("figure", "each"):
            words = line.typed(slot.at, slot.to).lower()
            for kind, names in FIGURES_OF_ONE.items():
                if any(name in words for name in names):
                    return slot._replace(role="kind", value=kind, weight=0.0)
    return None


def _kindless(slots: tuple[Slot, ...]) -> Item:
    """What is said of no part: of something that draws nothing, or nobody knows of what."""
    why = next((str(s.value) for s in slots if s.role == "elsewhere"), "")
    if any(s.role == "floor" for s in slots):
        why = PLACES["supply"]
    loose = tuple(str(s.value) for s in slots if s.role == "loose")
    return Item("", "", (), (), (), loose, -0.5, "", elsewhere=why)


class _Making(WithMeasures):
    """One thing being put together from its slots."""

    def item(self) -> Item:
        """The thing in the line's own words."""
        for slot in self.slots:
            if slot.role not in SAYS_NOTHING:
                getattr(self, f"take_{slot.role.replace(' ', '_')}")(slot)
        self._refuse_less_for_a_short_time()
        return Item(
            said=" ".join(_once(self.words)),
            called=self.called,
            described=tuple(self.described),
            dropped=tuple(self.dropped),
            unsure=tuple(self.unsure),
            loose=tuple(self.loose),
            weight=self.weight,
            kind=self.figures,
            open=self.open,
            doubtful=self.doubtful,
            elsewhere=self.elsewhere,
            spans=self._spans(),
        )

    def _spans(self) -> Spans:
        tokens, every = self.line.tokens, sorted((*self.kinds, *self.slots), key=lambda s: s.at)
        seen = (
            (_SEEN[s.role], tokens[s.at].at, tokens[s.to - 1].to) for s in every if s.role in _SEEN
        )
        return tuple(seen)

    # -- what feeds it ---------------------------------------------------------------------------

    def take_sockets(self, slot: Slot) -> None:
        if not PARTS[self.figures].has_sockets:
            raise Misread
        for socket, n in slot.value:
            if self.kind == "board" and socket in ("sata", "peripheral"):
                raise Misread  # it gives those of data, and takes none of power
            if self.figures == "drive" and n > 1:
                raise Misread  # each with its own
            self.weight -= 1.5 * (self.kind == "card" and socket == "sata")
            self._fed_by_more_than_its_slot()
            self.words.append(socket if n == 1 else f"{n}x{socket}")

    def _fed_by_more_than_its_slot(self) -> None:
        """A plain card is fed by its slot alone, where nobody says more."""
        if "plain" in self.words:
            self.words = [w for w in self.words if w != "slot-only"]

    def take_feed(self, slot: Slot) -> None:
        is_of_header = slot.value == "header" and not PARTS[self.figures].hangs
        if is_of_header or (slot.value == "slot-only" and self.kind == "usb"):
            self.described.append(self.text(slot))
        elif slot.value == "sata" and self.kind == "m2":
            raise Misread
        elif slot.value == "sata" and not PARTS[self.figures].has_sockets:
            self.described.append(self.text(slot))
        elif slot.value not in self.words:
            if slot.value != "slot-only":
                self._fed_by_more_than_its_slot()
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
        label = word.partition(":")[0]
        if any(w != word and w.startswith(f"{label}:") for w in self.words):
            raise Misread  # some here and some there: said one by one
        if self.kind in ("fan", "cooler"):
            self.words.append(word)
        else:
            self.described.append(self.text(slot))

    def take_fans(self, slot: Slot) -> None:
        if self.kind == "cooler" and not self.head.is_liquid:
            self.words.append(f"{slot.value} fans")  # by air or by liquid: it is asked
        elif self.kind == "cooler":
            self.words.append(f"fans:{slot.value}")
        elif self.kind == "hub":
            self.words.append(f"outputs:{slot.value}")
        elif self.kind == "board":
            raise Misread
        elif self.kind != "fan":
            self.described.append(self.text(slot))

    # -- the rest ----------------------------------------------------------------------------------

    def take_signal(self, slot: Slot) -> None:
        said, n, amps = slot.value
        if self.called == "Storage controller":
            word = {"ports": "sata-ports", "outputs": "sata-ports"}.get(said, said)
        else:
            word = _SIGNALS_OF.get((self.kind, said), said)
        if word == "ports" or (self.kind, word) == ("usb", "outputs"):
            self.described.append(self.text(slot))
            return
        if word not in _GIVES.get(self.kind, ()) or (word in ("outputs", "headers") and not n):
            raise Misread
        each = "" if amps is None else f"+{amount_word(amps)}"
        if self.called == "Light hub":
            self.words = [w for w in self.words if not w.startswith("outputs:")]
            self.words.append("outputs:" + ",".join(f"out-{i + 1}=lights-5v" for i in range(n)))
        else:
            self.words.append(f"{word}:{n}{each}")

    def take_card_cpu_sockets(self, slot: Slot) -> None:
        if self.kind != "card" or any(w.startswith("sockets:") for w in self.words):
            raise Misread
        self.words.append("sockets:" + ",".join(f"{chr(97 + i)}=eps8" for i in range(slot.value)))

    def take_cpu_sockets(self, slot: Slot) -> None:
        if self.kind != "board":
            raise Misread
        pins = {t.number for t in self.line.tokens[slot.at : slot.to]} & {4, 8}
        if not pins and self._has_pins_said(slot):
            return  # `two processor sockets, two 8-pin`
        self.take_sockets(slot)

    def _has_pins_said(self, but: Slot) -> bool:
        """Whether another slot says its processor sockets by their pins."""
        said = [s for s in self.slots if s.role in ("sockets", "cpu sockets") and s is not but]
        return any(socket in ("8pin", "4pin") for s in said for socket, _ in s.value)

    def take_cpu_word(self, slot: Slot) -> None:
        """Of sockets that are said already; else it says one."""
        if self.kind != "board":
            raise Misread
        if not any(s.role in ("sockets", "cpu sockets") for s in self.slots):
            self.words.append("8pin")

    def take_ribbon(self, slot: Slot) -> None:
        if self.figures == "drive":
            self.words.append("data:ribbon")
        else:
            self.described.append(self.text(slot))

    def take_no_usb_lead(self, slot: Slot) -> None:
        if self.kind not in ("hub", "cooler"):
            raise Misread
        self.words.append("no-usb-lead")

    def take_memory_slots(self, slot: Slot) -> None:
        if self.kind == "memory":
            raise Misread  # modules
        self.dropped.append(self.text(slot))

    def take_no_cpu(self, slot: Slot) -> None:
        if self.kind != "board":
            raise Misread
        self.words.append("no-cpu")

    def take_kit(self, slot: Slot) -> None:
        """So many of so much: modules of memory, drives by their size."""
        n, size = slot.value
        unit = self.line.text(slot.to - 1)
        unit = {"gig": "gb", "gigs": "gb"}.get(unit, unit)
        if not unit.isalpha():
            if self.kind != "memory" or size not in _MODULE_GB:
                raise Misread
            unit = "gb"
        self.words = [w for w in self.words if w != f"{n * size:g}gb"]
        self.words.append(f"{size:g}{unit}")

    def take_kit_of(self, slot: Slot) -> None:
        """What is said of a kit's memory is of all its modules."""
        for i, word in enumerate(self.words):
            if self.kind == "memory" and (match := re.fullmatch(r"([0-9.]+)gb", word)):
                self.words[i] = f"{float(match[1]) / slot.value:g}gb"

    def take_year(self, slot: Slot) -> None:
        if self.kind == "memory":
            raise Misread  # a speed
        self.dropped.append(self.text(slot))

    def take_inside(self, slot: Slot) -> None:
        if self.kind == "usb":
            self.words.append("port:usb2")
        elif self.called == "USB hub":
            self.words.append("usb-lead")

    def take_flag(self, slot: Slot) -> None:
        self.words.append(slot.value)

    def take_sized(self, slot: Slot) -> None:
        if self.kind != "fan":
            raise Misread
        self.words.append(f"{slot.value[1]:g}mm")

    def _is_behind(self, slot: Slot, words: tuple[str, ...]) -> bool:
        """Whether one of some words stands before it, an article between or not."""
        before = [self.line.text(i) for i in range(max(slot.at - 2, 0), slot.at)]
        return any(w in words for w in before[-1:]) or (
            before[-1:] in (["the"], ["a"], ["my"], ["our"]) and before[0] in words
        )

    def take_multiple(self, slot: Slot) -> None:
        if self.kind not in DUAL:
            return
        if slot.to == self.head.at and int(slot.value) > 1 and self.kind == "card":
            one_or_more = (f"x{slot.value}", "")
            self.open = Open(f"Are there {slot.value}, or is it one?", one_or_more)
        else:
            self.described.append(self.text(slot))

    def take_slots(self, slot: Slot) -> None:
        if self.kind != "board":
            raise Misread
        self.words.append(f"slots:{','.join(slot.value)}")

    def take_lanes(self, slot: Slot) -> None:
        if slot.value not in (1, 2, 4, 8, 16):
            raise Misread
        if self.kind == "card":
            self.words.append(f"{slot.value:g}lanes")
        else:
            self.described.append(self.text(slot))

    def take_name(self, slot: Slot) -> None:
        if any(w.startswith('"') for w in self.words):
            raise Misread
        self.words.append(f'"{slot.value}"')

    def take_bare(self, slot: Slot) -> None:
        n = slot.value
        is_counted = any(s.role in COUNTS for s in self.slots)
        if n > MOST_COUNTED and slot.to == self.head.at and self.head.is_plural and not is_counted:
            self.words.append(f"x{n:g}")  # more than there are of anything: refused as such
            self.open = None
            return
        if self._is_size(slot) and n % 1 == 0:
            self.words.append(f"{n:g}mm")
        elif self.figures == "drive" and n in (2.5, 3.5):
            self.take_length(slot._replace(value=Amount(n, n, n, "in")))
        elif self.kind == "m2" and n in (2230, 2242, 2260, 2280, 22110):
            self.described.append(f"form-{n:g}")
        elif self.figures == "drive" and n in _RPM:
            self.described.append(f"{n:g} rpm")
        elif (
            n > _LEAST_MODEL and self.kind in ("processor", "card", "board") and self._has_figure()
        ):
            self.described.append(f"{n:g}")
        elif self.kind == "fan" and n < 20:
            may_count = self.head.is_plural and n % 1 == 0 and n > 1 and self.count == 1
            several = (f"x{n:g}",) if may_count else ()
            self.open = Open(f"{n:g} of what?", (f"{n:g}w", f"{n:g}a", *several))
        else:
            self.words.append(f"{n:g}")

    def _has_figure(self) -> bool:
        return any(s.role in ("figure", "each", "total") for s in self.slots)

    def take_described(self, slot: Slot) -> None:
        self.described.append(self.text(slot))

    def take_under(self, slot: Slot) -> None:
        self.weight -= 1.2
        if self.kind == "fan" and kind_of(slot) == "hub":
            self.unsure.append(self.text(slot))
        self.described.append(self.text(slot))

    def take_loose(self, slot: Slot) -> None:
        self.loose.append(self.text(slot))
        at = self.slots.index(slot)
        before = self.slots[at - 1].role if at and not self._is_size(self.slots[at - 1]) else ""
        behind = self.slots[at + 1].role if at + 1 < len(self.slots) else ""
        is_known = bool(self.line.senses[slot.at]) and not self.line.corrected[slot.at]
        is_apart = before in ("break", "with", "for") and behind in _FIGURES
        self.doubtful = self.doubtful or is_known or before == "bare" or is_apart

    def _is_size(self, slot: Slot) -> bool:
        """Whether a number without a unit is a fan's size."""
        return (
            self.kind in ("fan", "cooler") and slot.role == "bare" and slot.value >= _LEAST_FAN_MM
        )

    def take_shared_out(self, slot: Slot) -> None:
        self.described.append(self.text(slot).strip("(): "))

    def take_maybe(self, slot: Slot) -> None:
        self.unsure.append(self.text(slot))

    def take_label(self, slot: Slot) -> None:
        if slot.value == "main":
            return  # of the one figure that there is
        if slot.value == "power-disable":
            self.words.append("power-disable")
            return
        self.weight -= 1.5
        self.unsure.append(self.text(slot))

    def take_price(self, slot: Slot) -> None:
        self.dropped.append(self.text(slot))

    take_told = take_price

    def take_beside(self, slot: Slot) -> None:
        """An adapter whose leads are said lies in the part's box; of another nothing is known."""
        if slot.value and self.kind == "card":
            self.words.append(f'boxed:"{slot.value} x pcie8 to 16-pin adapter"')
        else:
            self.dropped.append(self.text(slot))

    def take_elsewhere(self, slot: Slot) -> None:
        at = self.slots.index(slot)
        under = any(s.role in ("for", "with") for s in self.slots[:at])
        if slot.at < self.head.at and [s.role for s in self.slots[at + 1 : at + 2]] == ["break"]:
            self.elsewhere = str(slot.value)  # `full tower, 9 fans`
            return
        told_of = [s.at for s in self.slots[at:] if s.role in ("for", "with")]
        if told_of and self.head.at > told_of[0]:
            self.elsewhere = str(slot.value)  # `power supply with three PCIe cables`
            return
        if self.kind == "usb" or under or self._is_behind(slot, ("for", "on", "in", "with", "to")):
            self.described.append(self.text(slot))
        elif slot.at == self.head.to:
            self.elsewhere = str(slot.value)  # what stands last is the head: `card riser`
        else:
            self.unsure.append(self.text(slot))


def _once(words: list[str]) -> list[str]:
    """Words of volts, sizes and generations once, however often they are said."""
    kept: list[str] = []
    for word in words:
        if word not in kept or not re.fullmatch(
            r"[0-9.]+(?:v|in|mm)|ddr[345]|[a-z-]+|[a-z-]+:.+", word
        ):
            kept.append(word)
    return kept
