"""The Parts station in a real browser: the entry line, lists, opened numbers, the start."""

from __future__ import annotations

from playwright.sync_api import expect

from builds import actions
from builds.models import current_owner
from builds.tests.browser import BrowserCase
from builds.tests.support import ROOT


class Entry(BrowserCase):
    def test_a_part_is_said_asked_about_and_added(self) -> None:
        page = self.go(self.heron(), "parts")
        line = page.get_by_role("combobox", name="Add a part")
        told = page.locator("main").get_by_role("status")
        line.fill("card 450w slot 20w blue")
        expect(told).to_contain_text("Which power sockets does the card have?")
        line.press("Enter")
        expect(self.figure("full")).to_have_text("789 W")
        # Enter takes the first way to say it; the blue is still not accounted for.
        expect(line).to_have_value("card 450w slot 20w blue 16pin")
        expect(told).to_have_text("Not understood: blue")
        line.press("Enter")
        expect(self.figure("full")).to_have_text("789 W")
        line.fill("16pin card 450w slot 20w")
        expect(told).to_contain_text("450 W in all. Enter adds it.")
        line.press("Enter")
        expect(self.figure("full")).to_have_text("1,239 W")
        expect(page.get_by_role("region", name="Part in hand: Card")).to_be_visible()

    def test_a_list_goes_in_and_what_is_not_understood_stays(self) -> None:
        page = self.go(self.heron(), "parts")
        page.get_by_role("button", name="Paste a list").click()
        text = page.get_by_role("dialog").get_by_role("textbox")
        text.fill("fan 120 0.5a x2\nblue lamp\nusb 5w")
        page.get_by_role("button", name="Add 2 understood").click()
        expect(text).to_have_value("blue lamp")
        page.keyboard.press("Escape")
        # 2 × 6 W and 5 W more: 805.4 W.
        expect(self.figure("full")).to_have_text("806 W")
        page.get_by_role("button", name="Undo: add 2 parts").click()
        expect(self.figure("full")).to_have_text("789 W")


class Numbers(BrowserCase):
    def test_a_column_opens_to_rows_that_add_up_and_lead_to_their_part(self) -> None:
        page = self.go(self.heron(), "parts")
        page.get_by_role("button", name="84 W: open board lead").click()
        dialog = page.get_by_role("dialog")
        expect(dialog).to_contain_text("Board lead, full: 84 W")
        cells = dialog.locator("tbody tr td:nth-last-child(2)").all_inner_texts()
        self.assertAlmostEqual(sum(float(c) for c in cells[:-1]), float(cells[-1]), places=1)
        dialog.get_by_role("button", name="Eelgrass M.2 drive").click()
        expect(page.get_by_role("region", name="Part in hand: Eelgrass M.2 drive")).to_be_visible()

    def test_staggering_lowers_the_start_at_once(self) -> None:
        """Ten disks: 273 W at once; 2 × 27.3 + 8 × 9.6 = 131.4 W two at a time: 141.6 W less."""
        text = (ROOT / "demo/builds/cormorant.tally.json").read_text(encoding="utf-8")
        page = self.go(actions.open_file(current_owner(), text).key, "parts")
        page.locator("[data-state-choice=start]").click()
        shown = self.figure("start").get_attribute("data-watts") or ""
        field = page.get_by_label("Disks that spin up at a time")
        field.fill("2")
        field.press("Enter")
        expect(page.locator("footer")).to_have_attribute("data-typing", "false")
        expect(self.figure("start")).not_to_have_attribute("data-watts", shown)
        after = float(self.figure("start").get_attribute("data-watts") or 0)
        self.assertAlmostEqual(float(shown) - after, 141.6)
