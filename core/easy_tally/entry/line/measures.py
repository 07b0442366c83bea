"""What a thing measures: its length and height, how thick it is, how much room it takes."""

from __future__ import annotations

import math
from collections.abc import Iterator

from ..strict.building import LEAST_RADIATOR_MM
from .amounts import Amount, Line, unit_at
from .figures import WithFigures
from .heads import Misread
from .patterns import Slot

#: How thick one slot place is [mm]. Source: PCI Express CEM.
_SLOT_MM = 20.32


#: How thick fans are [mm]; `120 x 3` are three.
_THICK = (15, 25, 26, 27, 30, 32, 38)


def dimensions(line: Line, i: int) -> Iterator[Slot]:
    """`304 x 137 x 61 mm`, `120x120x25`."""
    sizes, at = [], i
    while (n := line.number(at)) is not None:
        sizes.append(n)
        at += 1
        units = [(to, own) for to, own, _ in unit_at(line, at) if own in ("mm", "in")]
        at = units[0][0] if units else at
        if line.text(at) not in ("x", "*"):
            break
        at += 1
    is_thick = len(sizes) == 2 and sizes[0] >= 40 and sizes[1] in _THICK
    if (len(sizes) == 3 and min(sizes) >= 5) or (len(sizes) == 2 and min(sizes) >= 30) or is_thick:
        yield Slot("dimensions", tuple(sizes), i, at, 5.5 + 0.5 * len(sizes))


class WithMeasures(WithFigures):
    """One thing being put together: what it measures, each in the line's own words."""

    def take_length(self, slot: Slot) -> None:
        x: Amount = slot.value
        if x.unit == "in" and self.figures == "drive":
            if self.kind == "disk" and x.likely == 2.5:
                self.words[0] = "drive"
            if self.kind in ("disk", "drive", "ssd"):
                self.words.append(f"{x.likely:g}in")
        elif self.kind in ("fan", "cooler"):
            mm = x.likely * 25.4 if x.unit == "in" else x.likely
            self.words.append(f"{mm:.0f}mm")
            if self.kind == "cooler" and mm >= LEAST_RADIATOR_MM and self.head.has_radiator:
                self.words.append(f"radiator:{mm:.0f}")
        elif self.kind == "card" and (mm := x.likely * (25.4 if x.unit == "in" else 1)) >= 100:
            self.words.append(f"long:{round(mm, 1):g}")
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
        if self.kind == "card":
            self.words.append(f"covers:{math.ceil(slot.value / _SLOT_MM - 0.02)}")
        elif self.kind == "cooler":
            self.words.append(f"thick:{slot.value:g}")
        else:
            raise Misread

    def take_covers(self, slot: Slot) -> None:
        if self.called == "M.2 adapter":
            self.words.append(f"m2-slots:{slot.value:g}")
        elif self.kind == "card":
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
            raise Misread

    def take_high(self, slot: Slot) -> None:
        if self.kind == "card":
            self.words.append(f"high:{slot.value.likely:g}")
        else:
            self.described.append(self.text(slot))
