"""Prices of what could be had: one currency a builder, and what is taken is to be bought at it."""

from __future__ import annotations

import json
from typing import Any

from builds.tests.support import ROOT, ApiCase

HERON = json.loads((ROOT / "demo/builds/heron.tally.json").read_text(encoding="utf-8"))


class Prices(ApiCase):
    def give(self, currency: str | None = "EUR", **prices: float | None) -> tuple[int, Any]:
        named = {k.replace("__", ":").replace("_", "-"): v for k, v in prices.items()}
        return self.call("patch", "/prices", {"prices": named, "currency": currency})

    def candidate(self, key: str, slug: str) -> dict[str, Any]:
        found = self.call("get", f"/builds/{key}/candidates")[1]
        return next(dict(c) for c in found if c["slug"] == slug)

    def test_given_changed_and_taken_back(self) -> None:
        self.assertEqual(self.call("get", "/prices")[1], {"currency": "", "prices": {}})
        status, told = self.give(marram_850=129.5)
        self.assertEqual(
            (status, told), (200, {"currency": "EUR", "prices": {"marram-850": 129.5}})
        )
        self.assertEqual(self.give(None, marram_850=None)[1], {"currency": "EUR", "prices": {}})

    def test_what_is_no_price_changes_nothing(self) -> None:
        self.give(marram_850=129.5)
        for prices, status in (
            ({"marram_850": -1}, 422),
            ({"marram_850": 1e9}, 422),
            ({"no": 1}, 404),
        ):
            self.assertEqual(self.give("USD", **prices)[0], status, prices)  # type: ignore[arg-type]
        told = self.call("get", "/prices")[1]
        self.assertEqual(told, {"currency": "EUR", "prices": {"marram-850": 129.5}})

    def test_a_supply_that_is_taken_is_to_be_bought(self) -> None:
        self.give(marram_850=129.5)
        made = self.call("post", "/builds", {"name": "New"})[1]
        self.assertEqual(made["doc"]["place"]["currency"], "EUR")
        key = made["key"]
        self.assertEqual(self.candidate(key, "marram-850")["price"], 129.5)
        body = {"base_version": 1, "slug": "marram-850"}
        _, taken = self.call("post", f"/builds/{key}/supply", body)
        self.assertEqual(taken["result"]["to_buy"]["text"], "1 thing to buy, 129.50 EUR")
        here = {"type": "change supply", "changes": {"to_buy": None}}
        _, done = self.act(key, taken["version"], **here)
        self.assertEqual(done["result"]["to_buy"]["items"], [])

    def test_in_another_currency_no_price_is_known(self) -> None:
        """Francs are no euros: a build that names another has none of the builder's prices."""
        self.give("EUR", marram_850=129.5)
        francs = json.dumps(HERON | {"place": HERON["place"] | {"currency": "CHF"}})
        self.assertIsNone(self.candidate(self.open(francs)["key"], "marram-850")["price"])

    def test_one_looked_at_and_removed_takes_its_price_along(self) -> None:
        text = '"Own" 550w 12v:45a family:Own'
        body = {"kind": "supply", "text": text, "standing": "looked at"}
        status, made = self.call("post", "/drawer", body)
        self.assertEqual(status, 201, made)
        slug = f"drawer:{made['thing']['key']}"
        self.call("patch", "/prices", {"prices": {slug: 80}, "currency": "EUR"})
        key = self.call("post", "/builds", {"name": "New"})[1]["key"]
        self.assertEqual(self.candidate(key, slug)["price"], 80)
        self.call("delete", f"/drawer/{made['thing']['key']}")
        self.assertEqual(self.call("get", "/prices")[1]["prices"], {})

    def test_ways_to_stay_by_price(self) -> None:
        """*Heron* with a long way to its processor: the cheaper of what does comes first."""
        way = next(r for r in HERON["case"]["routes"] if r["area"] == "processor")
        routes = [r for r in HERON["case"]["routes"] if r is not way] + [way | {"length_mm": 760}]
        key = self.open(json.dumps(HERON | {"case": HERON["case"] | {"routes": routes}}))["key"]
        found = self.call("get", f"/builds/{key}/reach")[1]
        self.assertIn(("extension", None), [(w["id"], w["price"]["money"]) for w in found])
        self.give("EUR", loose__extension_processor=9.0)
        found = self.call("get", f"/builds/{key}/reach")[1]
        self.assertEqual((found[0]["id"], found[0]["price"]["money"]), ("extension", 9.0))
        before = self.call("get", f"/builds/{key}")[1]["result"]
        _, done = self.act(key, 1, **found[0]["edit"])
        self.assertEqual(done["result"]["to_buy"]["sum"], 9.0)
        self.assertTrue(any(m["id"] == "run.reach" for m in before["mend"]))
        self.assertFalse(any(m["id"] == "run.reach" for m in done["result"]["mend"]))
