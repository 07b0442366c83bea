"""The figures of one thing, each in the unit and under the word that its kind has it in; and how
many there are of it, which says what each of them draws."""

from __future__ import annotations

import re
from collections.abc import Iterator
from itertools import pairwise
from typing import Any, NamedTuple

from ...things.parts import KINDS as PARTS
from ..words import figures_of, main_figure
from .amounts import Amount, Line
from .heads import Head, Misread, head_of
from .parting import COUNTS
from .patterns import MOST_COUNTED, Slot

#: As much as a slot gives, with what is read and rounded [W]. Source: PCI Express CEM.
_SLOT_W = 76
_RAILS = {12.0: "12v", 5.0: "5v", 3.3: "3.3v", -12.0: "-12v", -5.0: "-5v"}
#: How much of a disk's watts at the start 12 V carries, at least and likely. Source: assumption.
_OF_START = (0.75, 0.9)
#: Roles of words that are taken with others, or stand between them.
SAYS_NOTHING = ("count", "filler", "break", "mark", "for", "with")
#: Kinds of which `dual` says what they are and not how many.
DUAL = ("card", "board", "cooler", "hub", "usb")


class Open(NamedTuple):
    """A question, and the words that would answer it."""

    question: str
    words: tuple[str, ...]


class WithFigures:
    """One thing being put together: its head, its count, its figures."""

    def __init__(self, kinds: list[Slot], slots: list[Slot], line: Line) -> None:
        self.slots, self.line, self.kinds = slots, line, kinds
        self.weight = 0.0
        self.words: list[str] = []
        self.open: Open | None = None
        self.described: list[str] = []
        self.dropped: list[str] = []
        self.unsure: list[str] = []
        self.loose: list[str] = []
        self.doubtful = False
        self.elsewhere = ""
        self.head = head_of(kinds, slots)
        self._take_head(self.head)
        self.count = self._count()
        self._join_volts()
        if self.kind == "cooler":
            self._name_fans()

    def text(self, slot: Slot) -> str:
        """A slot as it was typed."""
        return self.line.typed(slot.at, slot.to)

    def _take_head(self, head: Head) -> None:
        self.kind, self.called = head.kind, head.called
        self.figures = figures_of(head.kind)
        self.words += head.words
        self.weight += head.weight
        counted = any(
            s.role in (*COUNTS, "shared out") or (s.role == "total" and s.value[1])
            for s in self.slots
        )
        if head.is_plural and not counted and head.kind != "board":
            self.open = Open("How many?", tuple(f"x{n}" for n in range(2, 7)))

    def _count(self) -> int:
        counts = set(self._counts_said())
        if len(counts) > 1:
            raise Misread
        n = counts.pop() if counts else 1
        is_one = self.kind == "board" or (self.kind == "cooler" and not self.head.is_plural)
        if not 1 <= n <= (1 if is_one else MOST_COUNTED):
            raise Misread
        if n > 1 and not self._may_be_lanes(n):
            self.words.append(f"x{n}")
        return n

    def _counts_said(self) -> Iterator[int]:
        kits = [s.value for s in self.slots if s.role == "kit of"]
        kits += [s.value[0] for s in self.slots if s.role == "kit"]
        yield from kits
        for slot in self.slots:
            if slot.role == "count" and (slot.value != 1 or not kits):  # one kit
                yield slot.value
            elif slot.role == "multiple" and self.kind not in DUAL:
                yield int(slot.value)
            elif slot.role == "shared out":
                yield slot.value
            elif slot.role == "sized" and slot.value[0]:
                yield slot.value[0]
            elif slot.role == "fans" and self.kind == "fan":
                yield slot.value

    def _may_be_lanes(self, n: int) -> bool:
        """Whether `x4` of a plain card may be its lanes: then it is asked."""
        own = [s for s in self.slots if s.role == "count"]
        is_written_so = len(own) == 1 and self.line.text(own[0].at) == "x"
        if "plain" not in self.words or n not in (4, 8, 16) or not is_written_so:
            return False
        self.open = Open(f"The lanes of one, or {n} cards?", (f"{n}lanes", f"x{n}"))
        return True

    def _name_fans(self) -> None:
        """A figure right behind a cooler's fans is theirs."""
        said = [s for s in self.slots if s.role not in SAYS_NOTHING]
        for fans, figure in pairwise(said):
            is_bare = figure.role in ("figure", "each") and figure.value[0] == ""
            if fans.role == "fans" and is_bare and figure.value[1].unit == "a":
                at = self.slots.index(figure)
                self.slots[at] = figure._replace(value=("fan", figure.value[1]))

    def _join_volts(self) -> None:
        """The one figure of what is fed by several rails is at the volts that stand apart."""
        has_rails = self.figures == "drive" or self.kind in ("board", "other")
        if not has_rails or any(s.role == "rail" for s in self.slots):
            return
        for before, behind in pairwise([s for s in self.slots if s.role != "mark"]):
            if behind.role == "volts" and _is_start(before) and behind.value == 12:
                self.slots.remove(behind)  # where all of it is taken
        volts = [s for s in self.slots if s.role == "volts"]
        alone = [
            s for s in self.slots if s.role in ("figure", "each") and s.value[0] in ("", "start")
        ]
        if len(volts) == len(alone) == 1:
            word, x = alone[0].value
            at = self.slots.index(alone[0])
            if not word:
                self.slots[at] = alone[0]._replace(role="rail", value=(volts[0].value, x))
            if not word or volts[0].value == 12:
                self.slots.remove(volts[0])

    def take_figure(self, slot: Slot) -> None:
        word, x = slot.value
        if word == "idle" and word not in {f.said for f in PARTS[self.figures].figures}:
            self.dropped.append(self.text(slot))  # less than it is tallied with
        else:
            self._add_figure(word, x)

    take_each = take_figure

    def take_of_all(self, slot: Slot) -> None:
        """`all four disks draw 30 W`: of all together."""
        at = self.slots.index(slot)
        alone = [s for s in self.slots[at:] if s.role == "figure" and not s.value[0]]
        if any(self.line.of_role(s.to, "each") for s in alone):
            raise Misread  # `all four take 0.2 A each`
        if len(alone) == 1 and self.count > 1:
            where = self.slots.index(alone[0])
            self.slots[where] = alone[0]._replace(role="total", value=(alone[0].value[1], 0))

    def take_total(self, slot: Slot) -> None:
        x, both = slot.value
        if both and self.count > both:
            raise Misread
        n = max(self.count, both)
        if both and self.count == 1:
            self.words.append(f"x{both}")
        self._add_figure("", x._replace(low=x.low / n, likely=x.likely / n, high=x.high / n))

    def _add_figure(self, word: str, x: Amount) -> None:
        if word == "slot" and (self.figures != "card" or x.likely > _SLOT_W):
            raise Misread
        word = self._figure_word(word)
        if self._asks_of_what(word, x) or (not word and self._says_so_in_amperes(x)):
            return
        if word and word not in {f.said for f in PARTS[self.figures].figures}:
            raise Misread
        label = f"{word}:" if word else ""
        self.words.append(label + amount_word(self._in_its_unit(word, x)))

    def _asks_of_what(self, word: str, x: Amount) -> bool:
        """Whether it is asked what a figure in watts is of."""
        if x.unit != "w":
            return False
        if self.kind == "cooler" and not word:
            at_12v = f"pump:{amount_word(_times(x, 1 / 12, 'a'))}"
            self.open = Open(
                "All that it draws, its pump or its controller alone?",
                (f"{at_12v} fan:0a controller:0w", at_12v, f"controller:{amount_word(x)}"),
            )
            return True
        if self.kind == "board" and not word:
            self.open = Open(
                "All that the board draws, or at 12 V alone?",
                (f"own-12v:{amount_word(x)} own-5v:0w own-3.3v:0w", f"own-12v:{amount_word(x)}"),
            )
            return True
        if self.kind == "card" and word == "start":
            question = "A peak: take it for all that it draws, or leave it out?"
            self.open = Open(question, (amount_word(x), ""))
            return True
        return False

    def _in_its_unit(self, word: str, x: Amount) -> Amount:
        """A figure in the unit that its kind has it in. Raises Misread for a number without one
        that may be of nothing."""
        if self.kind == "usb" and x.unit == "a":
            return _times(x, 5, "w")
        if word == "start" and self.figures == "drive" and x.unit == "w":
            amps = _times(x, 1 / 12, "a")  # 12 V at the most, some of it from 5 V
            least, likely = (amps.likely * share for share in _OF_START)
            return Amount(least, likely, amps.high, "a", assumed=True)
        if x.unit:
            return x
        main = main_figure(self.figures, "w") or main_figure(self.figures, "a")
        if main is None:
            raise Misread
        return x._replace(unit=main.unit)

    def _says_so_in_amperes(self, x: Amount) -> bool:
        """Whether a fan's or a pump's watts are said in amperes at 12 V too."""
        if self.kind not in ("fan", "pump") or x.unit != "w":
            return False
        amps = [s.value[1] for s in self.slots if s.role in ("figure", "each", "rail")]
        return any(a.unit == "a" and abs(a.likely * 12 - x.likely) < 0.06 * x.likely for a in amps)

    def _figure_word(self, word: str) -> str:
        if word == "main":
            return ""
        if word == "start" and self.figures == "processor":
            return "short"
        # Of what takes no more at its start, a peak is all that it draws.
        has_start = any(f.said == "start" for f in PARTS[self.figures].figures)
        is_peak = word == "start" and not has_start
        return "" if is_peak and self.figures not in ("card", "board", "cooler") else word

    def take_rail(self, slot: Slot) -> None:
        volts, x = slot.value
        if volts < 0 and self.kind != "other":
            raise Misread
        watts = x if x.unit == "w" else _times(x, abs(volts), "w")
        amps = x if x.unit == "a" else _times(x, 1 / volts, "a")
        if self.figures == "drive" and volts in (12, 5):
            self.words.append(f"{_RAILS[volts]}:{amount_word(amps)}")
        elif self.kind == "other" and volts in _RAILS:
            self.words.append(f"{_RAILS[volts]}:{amount_word(watts)}")
        elif self.kind == "board" and volts in _RAILS:
            self.words.append(f"own-{_RAILS[volts]}:{amount_word(watts)}")
        elif self.kind == "strip" and volts in (5, 12):
            self.words += [f"{volts:g}v", amount_word(x)]
        elif self.kind in ("usb", "m2", "card", "processor", "hub", "memory") and volts in _RAILS:
            self.words.append(amount_word(watts))
        elif self.kind in ("fan", "pump", "cooler") and volts == 12:
            self.words.append(amount_word(x))
        else:
            raise Misread

    def take_volts(self, slot: Slot) -> None:
        if self.kind == "strip" and slot.value in (5, 12):
            self.words.append(f"{slot.value:g}v")
        elif self.figures == "drive" or self.kind in ("board", "other"):
            raise Misread  # of which figure?
        elif self.kind in ("fan", "pump", "cooler", "hub") and slot.value != 12:
            raise Misread
        elif slot.value not in _RAILS and self.kind != "memory":
            self.weight -= 1

    def take_limit(self, slot: Slot) -> None:
        if self.kind == "card":
            self.words.append(f"limit:{slot.value:.6g}")
        elif self.kind == "processor" and slot.value > 1 and len(power := self._power()) == 1:
            raised = (f"short:{power[0] * slot.value:.6g}w", "")
            self.open = Open("Does it draw so much more, or is it the clock alone?", raised)
        else:
            raise Misread

    def _power(self) -> list[float]:
        """The figures in watts that no word names."""
        return [s.value[1].likely for s in self.slots if s.role == "figure" and not s.value[0]]

    def _refuse_less_for_a_short_time(self) -> None:
        """No processor draws less for a short time than sustained."""
        short = [float(m[1]) for w in self.words if (m := re.match(r"short:([0-9.]+)w", w))]
        if self.kind == "processor" and any(s < p for s in short for p in self._power()):
            raise Misread

    def take_limit_watts(self, slot: Slot) -> None:
        power = self._power()
        if self.kind == "processor":
            self.words = [w for w in self.words if not re.fullmatch(r"[0-9.]+w", w)]
            self.words.append(f"{slot.value:g}w")
        elif self.kind == "card" and not power:
            self.words.append(f"{slot.value:g}w")
        elif self.kind == "card" and len(power) == 1 and power[0]:
            self.words.append(f"limit:{slot.value / power[0]:.6g}")
        else:
            raise Misread

    def take_floor(self, slot: Slot) -> None:
        if self.kind != "card":
            raise Misread
        self.words.append(f"floor:{slot.value:g}w")

    def take_two_figures(self, slot: Slot) -> None:
        low, x = slot.value
        if self.kind != "processor" or not low < x.likely:
            raise Misread
        self.words += [f"{low:g}w", f"short:{amount_word(x)}"]

    def take_fans_each(self, slot: Slot) -> None:
        n, x = slot.value
        if self.kind != "cooler":
            raise Misread
        self.words += [f"fans:{n}", f"fan:{amount_word(x)}"]

    def take_fan_figure(self, slot: Slot) -> None:
        if self.kind != "cooler":
            raise Misread
        self.words.append(f"fan:{amount_word(slot.value)}")


def _is_start(slot: Slot) -> bool:
    return slot.role in ("figure", "each") and bool(slot.value[0] == "start")


def _times(x: Amount, factor: float, unit: str) -> Amount:
    return Amount(x.low * factor, x.likely * factor, x.high * factor, unit, x.assumed)


def amount_word(x: Amount) -> str:
    """A figure as the line writes it."""
    values: tuple[Any, ...] = (x.likely,) if x.exact else (x.low, x.likely, x.high)
    text = "/".join(f"{round(v, 6):.10g}" for v in values)
    return f"{text}{x.unit}" + ("(assumed)" if x.assumed else "")
