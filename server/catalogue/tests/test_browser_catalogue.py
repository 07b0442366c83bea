"""The catalogue in a real browser: found, added, kept; a CSV with a broken line mended in place."""

from __future__ import annotations

from pathlib import Path

from builds.tests.browser import BrowserCase
from playwright.sync_api import expect

HEAD = "slug,kind,name,sockets,power W,rated A\n"


class Catalogue(BrowserCase):
    def test_found_and_added_without_a_pointer(self) -> None:
        page = self.go(self.heron(), "parts/catalogue")
        expect(page.locator("[data-entry]").first).to_be_visible()
        page.get_by_role("searchbox").focus()
        page.keyboard.type("knot s")
        expect(page.locator("[data-entry]").first).to_have_attribute("data-entry", "knot-s")
        page.keyboard.press("ArrowDown")
        entry = page.get_by_role("region", name="Entry: Knot S")
        expect(entry).to_contain_text("the card at idle")
        expect(page.locator("[data-entry=knot-s]")).to_contain_text("page gives no slot share")
        entry.get_by_role("button", name="Add it to Heron").focus()
        page.keyboard.press("Enter")
        expect(entry).to_contain_text("Knot S is in Heron.")
        # 818.4 + 150 W.
        expect(self.figure("full")).to_have_text("969 W")

    def test_a_csv_with_a_broken_line(self) -> None:
        page = self.go(self.heron(), "parts/catalogue")
        page.get_by_role("button", name="Read a CSV").click()
        dialog = page.get_by_role("dialog")
        text = HEAD + "shed-fan,fan,Shed fan,,,0.3\nshed-card,card,Shed card,2x8pin,lots,\n"
        dialog.get_by_label("CSV file").set_input_files(
            {"name": "shed.csv", "mimeType": "text/csv", "buffer": text.encode()}
        )
        changes = dialog.get_by_role("list", name="What would change")
        expect(changes).to_contain_text("power W: needs a number of W, or low/likely/high")
        expect(dialog).to_contain_text("1 new, 0 changed, 0 as they are, 1 to mend first")
        expect(dialog.get_by_role("button", name="Take 1 in")).to_be_disabled()
        area = dialog.get_by_role("textbox")
        self.assertEqual(area.input_value(), text)
        area.fill(text.replace("lots", "240"))
        dialog.get_by_role("button", name="Take 2 in").click()
        expect(dialog).to_have_count(0)
        expect(page.locator("[data-entry=shed-fan]")).to_contain_text("yours")
        with page.expect_download() as download:
            page.get_by_role("button", name="Save as CSV").click()
            page.get_by_role("menuitem", name="Yours only").click()
        saved = Path(download.value.path()).read_text(encoding="utf-8")
        self.assertEqual([x.split(",")[0] for x in saved.split()[0:1]], ["slug"])
        self.assertIn("shed-card,1,card,Shed card,2x8pin", saved)

    def test_an_entry_changed_since_is_offered_and_never_applied(self) -> None:
        key = self.heron()
        page = self.go(key, "parts?at=card-2")
        page.get_by_role("button", name="Keep it in the catalogue").click()
        held = page.get_by_role("region", name="Part in hand: Knot R")
        expect(held).to_contain_text("Kept in your catalogue as knot-r-2.")
        self.go(key, "parts/catalogue")
        page.get_by_role("button", name="Read a CSV").click()
        dialog = page.get_by_role("dialog")
        row = "knot-r-2,card,Knot R,2x8pin,260,\n"
        dialog.get_by_role("textbox").fill(HEAD + row)
        expect(dialog).to_contain_text("220/230/245 → 260")
        dialog.get_by_role("button", name="Take 1 in").click()
        expect(dialog).to_have_count(0)
        self.go(key, "parts?at=card-2")
        expect(self.figure("full")).to_have_text("819 W")
        held.get_by_role("button", name="Take it over").click()
        # 260 W instead of 230 W.
        expect(self.figure("full")).to_have_text("849 W")
