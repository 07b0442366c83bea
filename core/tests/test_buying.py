"""Money: what is to be bought with its sum, and what mends by price, then by moves."""

from __future__ import annotations

import unittest

from easy_tally.advice import map_it, supplies_that_do, ways_to_stay
from easy_tally.analysis import analyse
from easy_tally.editing import ChangeCable
from easy_tally.files import build_file, print_report
from easy_tally.mapping import InStock
from easy_tally.publishing import compact, map_answer, report, way_words
from easy_tally.supplies import Kit
from easy_tally.things.build import Build
from easy_tally.things.buying import ToBuy
from easy_tally.things.place import Place

from .helpers import (
    apply,
    board,
    board_cable,
    build,
    card,
    graphics_cable,
    processor,
    processor_cable,
    supply,
)

EUR = Place(currency="EUR")


def _short(**more: object) -> Build:
    """Two 8-pin sockets of a card, and one lead for them."""
    cables = (board_cable(), processor_cable(), graphics_cable("g1", count=1))
    return build(board(), processor(), card(), cables=cables, place=EUR, **more)  # type: ignore[arg-type]


def _single(key: str, **more: object) -> InStock:
    """A graphics cable of one plug that could be had; each `mm` longer, so that none is another."""
    name, mm = str(more.pop("name", key)), more.pop("mm", 650)
    thing = graphics_cable(key, count=1, name=name)
    plugs = (thing.plugs[0].model_copy(update={"at_mm": mm}),)
    return InStock(thing=thing.model_copy(update={"plugs": plugs}), **more)  # type: ignore[arg-type]


class ToBeBought(unittest.TestCase):
    def test_the_sum_of_what_has_a_price(self) -> None:
        """12.50 + 120 = 132.50, and one without a price."""
        bought = graphics_cable("g1", count=1).model_copy(update={"to_buy": ToBuy(price=12.5)})
        unknown = graphics_cable("g2", count=1).model_copy(update={"to_buy": ToBuy()})
        own = supply(to_buy=ToBuy(price=120))
        b = build(board(), cables=(bought, unknown), supply=own, place=EUR)
        found = compact(analyse(b, 2026)).to_buy
        self.assertEqual((found.items[0].of, found.items[0].price), ("supply", 120))
        self.assertEqual((len(found.items), found.sum, found.without), (3, 132.5, 1))
        self.assertEqual(found.text, "3 things to buy, 132.50 EUR and 1 without a price")
        self.assertIn("To buy: 3 things", print_report(report(analyse(b, 2026))))
        self.assertEqual(build_file.read(build_file.write(b)), b)
        here = apply(b, ChangeCable(cable="g2", changes={"to_buy": None}))
        self.assertEqual(compact(analyse(here, 2026)).to_buy.without, 0)

    def test_nothing(self) -> None:
        found = compact(analyse(build(board()), 2026)).to_buy
        self.assertEqual((found.items, found.sum, found.text), ((), 0, "Nothing to buy"))

    def test_a_price_changes_no_verdict(self) -> None:
        b = _short()
        dear = b.model_copy(
            update={
                "cables": tuple(c.model_copy(update={"to_buy": ToBuy(price=99)}) for c in b.cables)
            }
        )
        plain, priced = (compact(analyse(x, 2026)) for x in (b, dear))
        self.assertEqual((plain.overall, plain.strip), (priced.overall, priced.strip))


class ByPrice(unittest.TestCase):
    def test_repairs_by_price_and_last_what_has_none(self) -> None:
        """Owned, then 8, 12, then what nobody gave a price; what is taken is then to be bought."""
        stock = (
            _single("no-price", owned=False, mm=640),
            _single("dear", owned=False, price=12.0, mm=660),
            _single("cheap", owned=False, price=8.0, mm=670),
            _single("mine", owned=True, free=1, mm=680),
        )
        answer = map_answer(map_it(_short(), stock=stock))
        cables = [r for r in answer.repairs if r.id == "cable"]
        self.assertEqual([r.price.money for r in cables], [0.0, 8.0, 12.0, None])
        self.assertIn("to be had for 8.00 EUR", cables[1].text)
        costs = [(r.price.money is None, r.price.money or 0.0) for r in answer.repairs]
        self.assertEqual(costs, sorted(costs))
        then = apply(_short(), cables[1].edit)
        self.assertEqual(compact(analyse(then, 2026)).to_buy.sum, 8.0)
        own = apply(_short(), cables[0].edit)
        self.assertEqual(compact(analyse(own, 2026)).to_buy.items, ())

    def test_of_one_price_by_moves(self) -> None:
        """Of a card held to 200 W on one chained cable, and a cable of the drawer beside it, the
        first moves one port end less: both cost nothing."""
        cables = (board_cable(), processor_cable(), graphics_cable("g1"))
        b = build(board(), processor(), card(), cables=cables)
        answer = map_answer(map_it(b, stock=(_single("mine", owned=True, free=1),)))
        moved = [(r.id, r.price.moves) for r in answer.repairs]
        self.assertEqual(moved, [("power-limit", 8), ("cable", 9)])

    def test_ways_to_stay(self) -> None:
        stock = (_single("dear", owned=False, price=12.0), _single("cheap", owned=False, price=8.0))
        ways = ways_to_stay(analyse(_short(), 2026), stock)
        self.assertEqual([(w.name, w.cost) for w in ways], [("cheap", 8.0)])
        self.assertIn("to be had for 8.00 EUR", way_words(ways[0], "EUR"))
        then = apply(_short(), ways[0].edit)
        self.assertEqual(compact(analyse(then, 2026)).to_buy.sum, 8.0)

    def test_other_supplies_by_price(self) -> None:
        """One's own first, then 90, 110, then what has no price."""
        cables = (board_cable(), processor_cable(), graphics_cable("g1"), graphics_cable("g2"))

        def kit(slug: str, source: str, price: float | None = None) -> Kit:
            return Kit(slug, source, supply(name=slug), cables, price=price)  # type: ignore[arg-type]

        kits = [
            kit("none", "catalogue"),
            kit("dear", "catalogue", 110),
            kit("mine", "owned"),
            kit("cheap", "looked at", 90),
        ]
        found = [s.supply.name for s in supplies_that_do(_short(), kits, 2026)]
        self.assertEqual(found, ["mine", "cheap", "dear", "none"])
