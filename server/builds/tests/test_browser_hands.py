"""A machine from nothing to a printed sheet: by the keyboard alone, by touch alone."""

from __future__ import annotations

import re
from typing import Any

from playwright.sync_api import Page, expect

from builds.models import Build
from builds.tests.browser import BrowserCase

#: Keys that a machine may take, of which so many may be Tab.
MOST_KEYS, MOST_TABS = 250, 30
#: What is said, and the key that takes it: a question is answered by the number of an answer.
LINES = (
    ("board", "Alt+1"),
    ("cpu 105w", "Enter"),
    ("card 250w 2x8pin", "Enter"),
    ("2 memory", "Alt+1"),
    ("sata ssd", "Enter"),
    ("3 fans", "Enter"),
)


class Hands:
    """A keyboard that counts."""

    def __init__(self, page: Page) -> None:
        self.page, self.keys, self.tabs = page, 0, 0

    def press(self, *keys: str) -> None:
        """Keys, one after another."""
        for key in keys:
            self.page.keyboard.press(key)
            self.keys += 1
            self.tabs += key == "Tab"
            # No step may end on the page's body.
            held = self.page.evaluate("document.activeElement?.tagName")
            assert held != "BODY" or self.settled() != "BODY", f"focus fell after {key}"

    def settled(self) -> Any:
        """What has the focus once what was pressed has come to its end."""
        self.page.wait_for_timeout(1_000)
        return self.page.evaluate("document.activeElement?.tagName")

    def type(self, text: str) -> None:
        """Letters, each a key."""
        self.page.keyboard.type(text)
        self.keys += len(text)


class FromNothing(BrowserCase):
    """The whole way."""

    def test_by_the_keyboard(self) -> None:
        page = self.page
        page.goto(self.live_server_url)
        name = page.get_by_label("Name of a new build")
        expect(name).to_be_visible()
        hand = Hands(page)
        while not name.evaluate("e => e === document.activeElement"):
            hand.press("Tab")
        hand.type("Tern")
        hand.press("Enter")
        line = page.locator("[data-line]")
        expect(line).to_be_focused()
        for said, takes in LINES:
            hand.type(said)
            several = page.get_by_role("listbox", name="Parts to add").get_by_role("option")
            shown = several.filter(has_text="Alt 1") if takes == "Alt+1" else several
            expect(shown.first).to_be_visible()
            hand.press(takes)
            expect(line).to_have_value("")
            expect(line).to_be_focused()
        self.find(hand, "take marr")
        own = page.locator("[data-ticket][data-in-build=true]")
        expect(own).to_be_focused()
        self.find(hand, "map it")
        lay = page.get_by_role("button", name="Take this map")
        expect(lay).to_be_visible()
        while not lay.evaluate("e => e === document.activeElement"):
            hand.press("Tab")
        hand.press("Enter")
        expect(lay).to_have_count(0)
        with page.expect_download() as download:
            self.find(hand, "print work")
        self.assertIn("tern", download.value.suggested_filename)
        self.assertLess(hand.keys, MOST_KEYS)
        self.assertLess(hand.tabs, MOST_TABS)
        self.assertTrue(Build.objects.get().document.count('"runs"'))

    def test_by_touch(self) -> None:
        page = self.window(viewport={"width": 360, "height": 740}, has_touch=True)
        page.goto(self.live_server_url)
        page.get_by_label("Name of a new build").fill("Tern")
        page.get_by_role("button", name="Start it").tap()
        line = page.locator("[data-line]")
        for said, _ in LINES:
            line.fill(said)
            several = page.get_by_role("listbox", name="Parts to add").get_by_role("option")
            several.filter(has_text=re.compile(r"\d W")).first.tap()
            expect(line).to_have_value("")
        # A tapped part opens its fields over the page.
        page.keyboard.press("Escape")
        page.locator("[data-part]").first.tap()
        fields = page.get_by_role("dialog")
        expect(fields.get_by_label("Name")).to_be_visible()
        fields.get_by_role("button", name="Close").tap()
        self.station(page, "Parts", "Supply")
        page.get_by_role("button", name="Take Marram 750").tap()
        expect(page.locator("[data-ticket][data-in-build=true]")).to_be_visible()
        self.station(page, "Supply", "Loom")
        page.get_by_role("button", name="Map it").tap()
        page.get_by_role("button", name="Take this map").tap()
        fed = page.get_by_role("list", name="Cables").locator("[data-plug]", has_text="Board")
        expect(fed.first).to_be_visible()
        self.station(page, "Loom", "Bench")
        expect(page.get_by_role("region", name="Step").get_by_role("heading").first).to_be_visible()
        page.get_by_role("button", name="More on Bench").tap()
        with page.expect_download() as download:
            page.get_by_role("menuitem", name="Work order, A4").tap()
        self.assertIn("tern", download.value.suggested_filename)
        self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth"), 360)

    def station(self, page: Page, now: str, to: str) -> None:
        """From one to another, by the name of the one."""
        page.get_by_role("button", name=f"{now} the other stations").tap()
        page.get_by_role("menuitem", name=to, exact=True).tap()
        expect(page.locator("h1")).to_contain_text(to)

    def find(self, hand: Hands, said: str) -> None:
        """Something by its name, wherever one is."""
        hand.press("Control+k")
        hand.type(said)
        several = hand.page.get_by_role("listbox", name="Found").get_by_role("option")
        expect(several.first).to_contain_text(re.compile(said.split()[0], re.IGNORECASE))
        hand.press("Enter")
