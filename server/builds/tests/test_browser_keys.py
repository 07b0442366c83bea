"""Keys that hold everywhere: the line, the stations, the finder; and that the keyboard never falls
off the page."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from builds.tests.browser import BrowserCase

ON_THE_BODY = "document.activeElement === document.body"


class Everywhere(BrowserCase):
    def test_stations_line_finder_and_what_keys_there_are(self) -> None:
        page = self.go(self.heron(), "supply")
        page.keyboard.press("Tab")
        expect(page.get_by_role("link", name="To the page, past the stations")).to_be_focused()
        page.keyboard.press("Enter")
        expect(page.locator("main")).to_be_focused()
        page.keyboard.press("3")
        expect(page.get_by_role("heading", name="Loom")).to_be_visible()
        page.keyboard.press("?")
        keys = page.get_by_role("dialog", name="Keys")
        expect(keys).to_contain_text("On Loom")
        self.assertEqual(self.axe_finds(page), [])
        page.keyboard.press("Escape")
        expect(keys).to_have_count(0)
        page.keyboard.press("/")
        line = page.get_by_role("combobox", name="Add a part")
        expect(line).to_be_focused()
        page.keyboard.type("4")  # a letter of the line, and no station
        expect(line).to_have_value("4")
        page.keyboard.press("Escape")
        page.keyboard.press("Control+k")
        page.keyboard.type("knot")
        expect(page.get_by_role("option").first).to_contain_text("Knot R")
        self.assertEqual(self.axe_finds(page), [])
        page.keyboard.press("ArrowDown")
        page.keyboard.press("Enter")
        expect(page).to_have_url(re.compile(r"/loom\?at=card-2"))

    def test_what_is_taken_out_leaves_the_keyboard_near(self) -> None:
        page = self.go(self.heron(), "parts")
        slip = page.locator("[data-part=capture][data-tail=false]")
        slip.focus()
        page.keyboard.press("Delete")
        expect(slip).to_have_count(0)
        page.wait_for_function(f"!({ON_THE_BODY})")
        page.keyboard.press("Control+z")
        expect(slip).to_have_count(1)

    def test_a_build_that_is_begun_has_its_line_in_hand(self) -> None:
        page = self.page
        page.goto(self.live_server_url)
        page.get_by_label("Name of a new build").fill("Egret")
        page.keyboard.press("Enter")
        expect(page.get_by_role("combobox", name="Add a part")).to_be_focused()
        self.assertIn("Egret", page.title())
