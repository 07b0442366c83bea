"""The Supply station in a real browser: can it stay, what it costs to run, every check."""

from __future__ import annotations

import re

from owners.models import current_owner
from playwright.sync_api import expect

from builds import actions
from builds.tests.browser import BrowserCase
from builds.tests.support import ROOT


class Choosing(BrowserCase):
    def _demo(self, name: str) -> str:
        text = (ROOT / f"demo/builds/{name}.tally.json").read_text(encoding="utf-8")
        return actions.open_file(current_owner(), text).key

    def test_can_it_stay(self) -> None:
        """Curlew's card at 330 W is too much for 650 W; at 323 W every check of the size passes."""
        page = self.go(self._demo("curlew"), "supply")
        own = page.locator("[data-in-build=true]")
        expect(own).to_contain_text("too small")
        own.get_by_role("button", name="Hold Whimbrel XL to 323 W").press("Enter")
        expect(own).to_contain_text("right size")
        expect(own.get_by_role("heading", name="Can it stay?")).to_have_count(0)
        page.get_by_role("button", name=re.compile("Undo")).click()
        expect(own).to_contain_text("too small")

    def test_a_year_by_the_price(self) -> None:
        """377 kWh a year at 0.40: 150.17; at 115 V its grade converts less."""
        page = self.go(self._demo("dunlin"), "supply")
        own = page.locator("[data-in-build=true]")
        expect(own).to_contain_text("377 kWh")
        page.get_by_text("Where it stands").click()
        price = page.get_by_label("A kWh costs")
        price.fill("0,40")
        price.press("Enter")
        expect(own).to_contain_text(re.compile(r"377 kWh, 150\.\d\d"))
        page.get_by_label("A day at full").fill("9")
        page.get_by_label("A day at full").press("Enter")
        expect(page.get_by_role("alert").first).to_contain_text("at most 24 hours in all")
        page.get_by_label("A day at full").press("Escape")
        page.get_by_label("Mains").select_option("115")
        expect(own).not_to_contain_text("377 kWh")
        page.reload()
        expect(page.get_by_text("115 V;")).to_be_visible()

    def test_every_check_has_an_address(self) -> None:
        page = self.go(self._demo("heron"), "supply")
        ticket = page.locator("[data-ticket='Campion 450']")
        ticket.get_by_role("button", name=re.compile("^All")).press("Enter")
        dialog = page.get_by_role("dialog", name="Campion 450, every check")
        expect(dialog).to_contain_text("450 W rated; the rules ask for")
        expect(dialog.get_by_role("row", name=re.compile("^0.1 ms"))).to_contain_text("too little")
        expect(page).to_have_url(re.compile("open=campion-450"))
        page.reload()
        expect(dialog).to_be_visible()
        page.keyboard.press("Escape")
        expect(dialog).to_have_count(0)

    def test_what_is_not_known_is_led_to_and_entered(self) -> None:
        page = self.go(self._demo("curlew"), "supply")
        own = page.locator("[data-in-build=true]")
        own.get_by_text("Its label says otherwise?").click()
        own.get_by_label("Efficiency grade").select_option("")
        mend = page.get_by_role("button", name=re.compile("^To mend"))
        expect(mend).to_contain_text("1 unknown")
        mend.click()
        page.get_by_role("link", name=re.compile("its efficiency")).click()
        expect(own.get_by_label("Efficiency grade")).to_be_focused()
        own.get_by_label("Efficiency grade").select_option("gold")
        expect(mend).not_to_contain_text("unknown")

    def test_a_house_rule_says_what_it_would_make_of_the_build(self) -> None:
        """Curlew: with headroom trusted the rules ask for 650 W, and the old supply does."""
        page = self.go(self._demo("curlew"), "supply")
        with page.expect_download() as download:
            page.get_by_role("link", name="Compare as CSV").click()
        text = download.value.path().read_text(encoding="utf-8")
        self.assertTrue(text.startswith(",Fulmar 650,"))
        self.assertIn("verdict,too small", text)
        page.get_by_role("link", name="House rules").click()
        trust = page.get_by_role("radio", name=re.compile("Trust the headroom"))
        expect(trust).to_contain_text("650 W, next common size 650; Fulmar 650: right size")
        trust.press("Space")
        expect(trust).to_be_checked()
        expect(self.figure("supply")).not_to_contain_text("too small")
