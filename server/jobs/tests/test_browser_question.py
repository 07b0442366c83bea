"""Questions, builds side by side, schools and the list of builds in a real browser: by keyboard,
and by touch on a phone."""

from __future__ import annotations

import re

from builds import actions
from builds.tests.browser import LAYOUT, SMALLEST, BrowserCase
from builds.tests.support import ROOT
from easy_tally.things import Build
from owners.models import current_owner
from playwright.sync_api import Page, expect

CARD = "a 250 W card with two 8-pin, 267 mm"


class Asking(BrowserCase):
    def curlew(self) -> str:
        text = (ROOT / "demo/builds/curlew.tally.json").read_text(encoding="utf-8")
        return actions.open_file(current_owner(), text).key

    def headline(self, page: Page) -> None:
        """The answer stands there, and is what the keyboard is at."""
        expect(page.locator("[data-goes]")).to_be_focused()
        expect(page.locator("[data-verdict]")).to_have_count(6)

    def test_asked_taken_and_undone_by_keyboard(self) -> None:
        page = self.go(self.curlew(), "ask")
        line = page.get_by_label("What would you change?")
        expect(line).to_be_focused()
        page.keyboard.type("a 300 W card")
        page.keyboard.press("Enter")
        # What is open takes the focus; its first answer is one key away.
        first = page.get_by_role("button", name="a 300w card 16pin")
        expect(first).to_be_focused()
        page.get_by_role("button", name="a 300w card 2x8pin").press("Enter")
        self.headline(page)
        line.fill(CARD)
        line.press("Enter")
        expect(page.locator("[data-goes='goes in']")).to_be_focused()
        watts = page.locator("[data-verdict=watts]")
        expect(watts).to_contain_text("539\u00a0W of 650\u00a0W")
        expect(watts).to_contain_text("now 660\u00a0W of 650\u00a0W")
        self.assertEqual(self.axe_finds(page), [])
        page.get_by_role("button", name="Take it into the build").press("Enter")
        expect(page.get_by_role("heading", name="Parts")).to_be_visible()
        expect(self.figure("mend")).to_contain_text("nothing")
        page.keyboard.press("Control+z")
        expect(self.figure("mend")).to_contain_text("refused")

    def test_on_a_phone_into_a_variant_and_taken_by_touch(self) -> None:
        key = self.curlew()
        page = self.window(viewport={"width": 360, "height": 760}, has_touch=True)
        self.go(key, "ask", page)
        page.get_by_label("What would you change?").fill(CARD)
        page.get_by_role("button", name="Ask", exact=True).tap()
        self.headline(page)
        self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth"), 360)
        self.assertGreaterEqual(page.evaluate(SMALLEST), 12)
        page.get_by_role("button", name="beside what is there").tap()
        expect(page.get_by_role("button", name="beside what is there")).to_have_attribute(
            "aria-pressed", "true"
        )
        page.get_by_role("button", name="in place of Whimbrel XL").tap()
        expect(page.locator("[data-goes='goes in']")).to_be_visible()
        page.get_by_role("button", name="Make it a variant").first.tap()
        expect(page.get_by_role("heading", name="Side by side")).to_be_visible()
        expect(page.locator("[data-differs]").first).to_be_visible()
        self.assertEqual(self.axe_finds(page), [])
        page.get_by_role("button", name="Take it into Curlew").tap()
        expect(page.get_by_role("heading", name="Parts")).to_be_visible()
        expect(page).to_have_url(re.compile(f"/b/{key}/parts"))
        expect(page.get_by_text("250 W card").first).to_be_visible()

    def test_a_build_under_schools_and_one_of_ones_own(self) -> None:
        key = self.curlew()
        page = self.go(key, "rules")
        page.get_by_label("Keep the positions of this build as").fill("Ours")
        page.get_by_role("button", name="Keep it").press("Enter")
        ours = page.locator("[data-school^=own-]")
        expect(ours).to_contain_text("This build is judged by it")
        pins = page.locator("[data-school=by-the-pins]")
        pins.get_by_role("button", name="Judge this build by it").press("Enter")
        expect(pins).to_contain_text("This build is judged by it")
        expect(ours.get_by_role("button", name="Judge this build by it")).to_be_visible()
        page.get_by_role("link", name="This build under each, side by side").press("Enter")
        expect(page.locator("[data-group='As a whole'] [data-differs]").first).to_be_visible()
        expect(page.get_by_role("columnheader", name="Cool and quiet")).to_be_visible()
        page.get_by_role("button", name="Leave out Cool and quiet").press("Enter")
        expect(page.get_by_role("columnheader", name="Cool and quiet")).to_have_count(0)
        self.assertEqual(self.axe_finds(page), [])
        self.assertEqual(page.evaluate(LAYOUT), [])


class Listed(BrowserCase):
    def test_two_hundred_are_one_stop_and_walked_found_grouped_and_thrown_away(self) -> None:
        owner = current_owner()
        for n in range(30):
            actions.create(owner, Build(name=f"Bird {n:02}"))
        page = self.page
        page.goto(self.live_server_url)
        find = page.get_by_role("searchbox", name="Find a build")
        find.fill("bird")
        page.get_by_label("Sorted by").select_option("name")
        find.press("ArrowDown")
        expect(page.get_by_role("link", name="Bird 00")).to_be_focused()
        page.keyboard.press("ArrowDown")
        page.keyboard.press("End")
        expect(page.get_by_role("link", name="Bird 29")).to_be_focused()
        # Tab goes to what can be done with it, and then on: not through the other twenty-nine.
        page.keyboard.press("Tab")
        expect(page.get_by_role("button", name="Do… with Bird 29")).to_be_focused()
        page.keyboard.press("Enter")
        page.get_by_role("menuitem", name="Put it into a group…").press("Enter")
        page.get_by_label("Group; empty for none").fill("Boathouse")
        page.keyboard.press("Enter")
        expect(page.get_by_role("heading", name="Boathouse")).to_be_visible()
        expect(page.get_by_role("link", name="Bird 29")).to_be_focused()
        page.keyboard.press("Delete")
        expect(page.get_by_role("link", name="Bird 29")).to_have_count(0)
        expect(page.get_by_role("link", name="Bird 00")).to_be_focused()
        page.keyboard.press("Control+z")
        expect(page.get_by_role("link", name="Bird 29")).to_have_count(1)
        find.fill("boathouse")
        expect(page.locator("[data-build]")).to_have_count(1)
        self.assertEqual(self.axe_finds(page), [])

    def test_a_variant_stands_under_what_it_began_as(self) -> None:
        page = self.page
        key = self.heron()
        page.goto(self.live_server_url)
        page.get_by_role("button", name="Do… with Heron").press("Enter")
        page.get_by_role("menuitem", name="Make a variant of it…").press("Enter")
        page.keyboard.press("Enter")
        made = page.get_by_role("link", name="Heron, variant")
        expect(made).to_be_focused()
        expect(page.get_by_text("A variant of Heron.")).to_be_visible()
        page.keyboard.press("Tab")
        page.keyboard.press("Enter")
        page.get_by_role("menuitem", name="Put it beside another…").press("Enter")
        expect(page.get_by_role("heading", name="Side by side")).to_be_visible()
        expect(page.get_by_role("columnheader", name="Heron", exact=True)).to_be_visible()
        self.assertIn(key, page.url)
